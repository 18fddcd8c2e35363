package ebauche.exchange.design;

import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Lengths;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A bought part as the build file and the shop's box hold it: its kind, what it is called, its nominal sizes. */
public final class PartFile {
    private static final Map<String, PartKind> KINDS = new LinkedHashMap<>();

    static {
        for (PartKind kind : PartKind.values()) {
            KINDS.put(kind.key(), kind);
        }
    }

    private static final String SIZES = ".sizes.";

    private PartFile() {}

    public static Part read(JsonPlace spot) {
        PartKind kind = spot.word("kind", KINDS);
        String name = spot.text("name", 80, kind.word());
        return spot.object("sizes", sizes -> new Part(kind, name, sizes(sizes, kind)));
    }

    private static Map<PartSize, Double> sizes(JsonPlace spot, PartKind kind) {
        Map<PartSize, Double> sizes = new EnumMap<>(PartSize.class);
        for (PartSize size : kind.sizes()) {
            if (spot.has(size.key())) {
                sizes.put(size, spot.length(size.key()));
            }
        }
        return sizes;
    }

    /** A part as a file holds it, in millimetres. */
    public static ObjectNode write(Part part) {
        ObjectNode out = JsonNodeFactory.instance
                .objectNode()
                .put("kind", part.kind().key())
                .put("name", part.name());
        ObjectNode sizes = out.putObject("sizes");
        part.sizes().forEach((size, value) -> sizes.put(size.key(), Lengths.written(value)));
        return out;
    }

    /** What a form asks of a part: kinds that have the same sizes can stand for each other. */
    static List<Field.Input> inputs(String path, JsonNode part) {
        Optional<PartKind> found = PartKind.of(part.path("kind").asString(""));
        if (found.isEmpty()) {
            return List.of();
        }
        PartKind kind = found.get();
        List<Field.Option> alike = Arrays.stream(PartKind.values())
                .filter(k -> k.sizes().equals(kind.sizes()))
                .map(k -> new Field.Option(k.key(), k.word()))
                .toList();
        List<Field.Input> inputs = new ArrayList<>();
        inputs.add(new Field.Input(path + ".kind", "kind of part", Field.Kind.CHOICE, alike, Optional.empty()));
        inputs.add(new Field.Input(path + ".name", "the part is called", Field.Kind.TEXT, List.of(), Optional.empty()));
        kind.needed().forEach(s -> inputs.add(size(path, s, s.words())));
        kind.others().forEach(s -> inputs.add(size(path, s, s.words() + " (if it has it)")));
        return inputs;
    }

    private static Field.Input size(String path, PartSize size, String label) {
        return new Field.Input(path + SIZES + size.key(), label, Field.Kind.LENGTH, List.of(), Optional.empty());
    }

    /** The size that a place in a design stands for, if it is a part's. */
    static Optional<PartSize> size(String path) {
        int at = path.indexOf(SIZES);
        return at < 0 ? Optional.empty() : PartSize.of(path.substring(at + SIZES.length()));
    }
}
