package ebauche.exchange.table;

import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** The generic parts that ship, {@code parts.csv}: of no maker, every size nominal, each row with where it comes from. */
public final class BoxFile {
    private static final List<String> COLUMNS = List.of("key", "kind", "name", "sizes", "from");
    private static final int MOST_PARTS = 500;
    private static final String SHIPPED_AT = "/ebauche/hardware/parts.csv";

    /** The parts that ship. */
    public static final List<Generic> SHIPPED = shipped();

    private BoxFile() {}

    /**
     * One part of the library.
     *
     * @param key by which it is picked
     * @param from where its sizes come from
     */
    public record Generic(String key, Part part, String from) {}

    /** A part that ships, by its key. */
    public static Part shipped(String key) {
        return SHIPPED.stream()
                .filter(g -> g.key().equals(key))
                .findFirst()
                .orElseThrow()
                .part();
    }

    private static List<Generic> shipped() {
        try (InputStream in = BoxFile.class.getResourceAsStream(SHIPPED_AT)) {
            CsvTable.Read<Generic> read = read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            if (!read.troubles().isEmpty()) {
                throw new IllegalStateException(
                        "parts.csv: " + read.troubles().get(0).inWords());
            }
            return List.copyOf(read.good());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Reads a table of parts; a bad row is named, the good ones stand beside it. */
    static CsvTable.Read<Generic> read(String csv) {
        return CsvTable.read(csv, COLUMNS, List.of(), MOST_PARTS, BoxFile::generic);
    }

    private static Generic generic(CsvTable.Row row) {
        PartKind kind = PartKind.of(row.text("kind"))
                .orElseThrow(() -> new Refusal("kind", "“" + row.text("kind") + "” is no kind of part"));
        Refusal.unless(!row.text("from").isBlank(), "from", "is empty: say where the sizes come from");
        return new Generic(
                row.text("key"), new Part(kind, row.text("name"), sizes(row.text("sizes"))), row.text("from"));
    }

    private static Map<PartSize, Double> sizes(String text) {
        Map<PartSize, Double> sizes = new EnumMap<>(PartSize.class);
        for (String one : text.split(";")) {
            String[] word = one.strip().split(" ", 2);
            PartSize size = PartSize.of(word[0])
                    .orElseThrow(() -> new Refusal("sizes", "“" + word[0] + "” is no size of a part"));
            try {
                sizes.put(size, Length.parse(word.length > 1 ? word[1] : "").millimetres());
            } catch (LengthFormatException e) {
                throw new Refusal("sizes", e.getMessage());
            }
        }
        return sizes;
    }
}
