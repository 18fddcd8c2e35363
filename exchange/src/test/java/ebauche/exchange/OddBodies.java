package ebauche.exchange;

import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/**
 * The bodies that ship, and others unlike them: a bass with four strings on 864 mm (34 in, the usual long scale: common practice), seven
 * strings on 648 with ferrules under the neck's screws, left-handed ones.
 */
final class OddBodies {
    static final List<String> RIGHT_HANDED = with(DemoBodies.NAMES, "bass", "seven");
    static final List<String> ALL = with(RIGHT_HANDED, "left-sedge", "left-bass");

    private OddBodies() {}

    private static List<String> with(List<String> some, String... others) {
        List<String> all = new ArrayList<>(some);
        all.addAll(List.of(others));
        return List.copyOf(all);
    }

    static BuildFile read(String name) {
        return switch (name) {
            case "bass" -> of(bass());
            case "seven" -> of(seven());
            case "left-sedge" -> of(Mirrored.of(DemoBodies.read("sedge").design()));
            case "left-bass" -> of(Mirrored.of(bass()));
            default -> DemoBodies.read(name);
        };
    }

    private static BuildFile of(ObjectNode design) {
        ObjectNode file = DemoBodies.read("sedge").withoutRecord();
        file.set("design", design);
        return BuildFile.of(file);
    }

    private static ObjectNode bass() {
        ObjectNode design = DemoBodies.read("sedge").design().deepCopy();
        design.put("scale", "864 mm");
        strings(design, 4, "57 mm", "38 mm");
        ((ObjectNode) design.get("strings")).put("compensationBass", "6 mm");
        widen(design, "63 mm");
        return design;
    }

    private static ObjectNode seven() {
        ObjectNode design = DemoBodies.read("sedge").design().deepCopy();
        design.put("scale", "648 mm");
        strings(design, 7, "63 mm", "42 mm");
        widen(design, "64 mm");
        design.withObject("/neck")
                .set(
                        "ferrule",
                        PartFile.write(BoxFile.SHIPPED.stream()
                                .filter(g -> g.key().equals("neck-ferrule-14"))
                                .findFirst()
                                .orElseThrow()
                                .part()));
        return design;
    }

    private static void strings(ObjectNode design, int count, String spread, String atNut) {
        ObjectNode strings = (ObjectNode) design.get("strings");
        strings.put("count", count).put("spread", spread).put("nutSpread", atNut);
    }

    private static void widen(ObjectNode design, String wide) {
        ObjectNode neck = (ObjectNode) design.get("neck");
        neck.put("widthAtEnd", wide).put("widthAtMouth", wide);
        if (neck.get("heel") instanceof ObjectNode heel) {
            heel.put("widthAtEnd", wide).put("widthAtMouth", wide);
        }
    }
}
