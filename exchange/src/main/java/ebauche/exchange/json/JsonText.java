package ebauche.exchange.json;

import java.nio.charset.StandardCharsets;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** JSON as text, read within limits that come before allocation. */
public final class JsonText {
    public static final int DEEPEST = 40;

    private static final JsonMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .maxNumberLength(40)
                            .build())
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build();

    private JsonText() {}

    /**
     * Parses JSON.
     *
     * @throws BuildFileException with the line and the reason
     */
    public static JsonNode tree(byte[] bytes) {
        if (new String(bytes, 0, Math.min(bytes.length, 4096), StandardCharsets.UTF_8).isBlank()) {
            throw new BuildFileException("", "the file is empty");
        }
        try {
            return MAPPER.readTree(bytes);
        } catch (JacksonException e) {
            TokenStreamLocation at = e.getLocation();
            String place = at == null ? "" : "line " + at.getLineNr() + ", column " + at.getColumnNr();
            throw new BuildFileException(place, "this is no JSON that can be read: " + plain(e.getOriginalMessage()));
        }
    }

    /** Parses JSON held as a text. */
    public static JsonNode tree(String text) {
        return tree(text.getBytes(StandardCharsets.UTF_8));
    }

    private static String plain(String message) {
        String first = message.lines().findFirst().orElse("").replaceAll("\\(through reference.*", "");
        first = first.replaceAll("`[^`]*`", "")
                .replaceAll("\\(for [^)]*\\)", "")
                .strip();
        return first.length() > 160 ? first.substring(0, 157) + "..." : first;
    }

    /** Writes a tree as people read it, a member a line. */
    public static byte[] bytes(JsonNode tree) {
        return MAPPER.writeValueAsBytes(tree);
    }
}
