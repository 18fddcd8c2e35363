package ebauche.exchange;

import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
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

    private PartFile() {}

    static Part read(Spot spot) {
        PartKind kind = spot.word("kind", KINDS);
        String name = spot.text("name", 80, kind.word());
        return spot.object("sizes", sizes -> new Part(kind, name, sizes(sizes, kind)));
    }

    private static Map<PartSize, Double> sizes(Spot spot, PartKind kind) {
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
}
