package ebauche.exchange;

import ebauche.core.feature.Feature;
import ebauche.exchange.design.Additions;
import ebauche.exchange.design.FeatureMove;
import ebauche.exchange.design.Mirrored;
import ebauche.exchange.design.PartFile;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.JsonText;
import ebauche.exchange.table.BoxFile;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/**
 * The bodies that ship, and others unlike them: a bass with four strings on 864 mm (34 in, the usual long scale: common practice) and a wire channel, seven
 * strings on 648 with ferrules under the neck screws, a strip of maple beside its middle and a cover off its own back, one with a switch in a cavity of its own, one with a tab at its tail, a pot under its scratch plate and its edge eased along a stretch,
 * left-handed ones; and one of a shop that sands to the line, routs waste freehand and screws necks into inserts.
 */
public final class OddBodies {
    public static final List<String> RIGHT_HANDED = with(DemoBodies.NAMES, "bass", "seven", "two-cavities", "plated");
    public static final List<String> ALL = with(RIGHT_HANDED, "left-sedge", "left-bass");

    private OddBodies() {}

    private static List<String> with(List<String> some, String... others) {
        List<String> all = new ArrayList<>(some);
        all.addAll(List.of(others));
        return List.copyOf(all);
    }

    public static BuildFile read(String name) {
        return switch (name) {
            case "bass" -> of(bass());
            case "seven" -> of(seven());
            case "two-cavities" -> of(twoCavities());
            case "plated" -> of(plated());
            case "other-schools" -> otherSchools();
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

    private static BuildFile otherSchools() {
        ObjectNode file = DemoBodies.read("sedge").withoutRecord();
        ObjectNode design = DemoBodies.read("sedge").design().deepCopy();
        Additions.add(design, "heelInserts");
        file.set("design", design);
        file.withObject("/shop/practice").put("edge", "sand-to-line").put("waste", "freehand");
        return BuildFile.of(file);
    }

    private static ObjectNode bass() {
        ObjectNode design = DemoBodies.read("sedge").design().deepCopy();
        design.put("scale", "864 mm");
        strings(design, 4, "57 mm", "38 mm");
        ((ObjectNode) design.get("strings")).put("compensationBass", "6 mm");
        widen(design, "63 mm");
        design.putArray("channels").add(JsonText.tree("""
                {"id": "pickups", "from": {"x": "0 mm", "y": "205 mm"}, "fromUnder": "11 mm",
                 "to": {"x": "74 mm", "y": "-25 mm"}, "toUnder": "27 mm", "diameter": "8 mm"}"""));
        wire(design, "neck", "pickup-neck", "control-volume");
        wire(design, "bridge", "pickup-bridge", "control-volume").put("diameter", "2.5 mm");
        wire(design, "tone", "control-volume", "control-tone");
        wire(design, "out", "control-volume", "jack");
        wire(design, "ground", "bridge", "control-volume");
        return design;
    }

    private static ObjectNode wire(ObjectNode design, String id, String from, String to) {
        return design.withArray("/wires")
                .addObject()
                .put("id", id)
                .put("from", from)
                .put("to", to);
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
        ObjectNode blank = design.withObject("/blank").put("pieces", 3);
        blank.putArray("strips").addObject().put("width", "100 mm");
        blank.withArray("/strips").addObject().put("width", "40 mm").put("species", "maple");
        blank.withArray("/strips").addObject().put("width", "232 mm");
        ObjectNode cavity = (ObjectNode) design.path("cavities").get(0);
        cavity.remove("cover");
        cavity.put("closed", "own-back").put("coverThickness", "3 mm");
        return design;
    }

    private static ObjectNode twoCavities() {
        ObjectNode design = DemoBodies.read("sedge").design().deepCopy();
        Additions.add(design, "switch-cavity");
        FeatureMove.move(design, Feature.parse("cavity-switch"), 8, 4);
        ((ObjectNode) design.path("cavities").get(1)).put("woodOver", "3 mm");
        Additions.add(design, "toggle-switch");
        FeatureMove.move(design, Feature.parse("control-switch"), -162, 174);
        return design;
    }

    private static ObjectNode plated() {
        ObjectNode design = DemoBodies.read("sedge").design().deepCopy();
        Additions.add(design, "tab");
        Additions.add(design, "scratchPlate");
        Additions.add(design, "front-rout");
        FeatureMove.move(design, Feature.parse("cavity-wiring"), -55, 130);
        Additions.add(design, "pot");
        FeatureMove.move(design, Feature.parse("control-pot"), -57, 132);
        ObjectNode rout = (ObjectNode) design.path("cavities").get(1);
        rout.putArray("joins").add("pickup-neck").add("pickup-bridge");
        rout.remove("depth");
        design.putArray("contours").add(JsonText.tree("""
                {"id": "edge", "face": "front", "width": "20 mm", "depth": "3 mm", "shape": "round",
                 "stretch": {"from": {"x": "-120 mm", "y": "100 mm"}, "to": {"x": "110 mm", "y": "100 mm"}, "fade": "40 mm"}}"""));
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
