package ebauche.app.body;

import ebauche.core.design.Hand;
import ebauche.exchange.BoxFile;
import ebauche.exchange.Mirrored;
import ebauche.exchange.PartFile;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Parts to add to a design, with usual sizes of their kind (common practice) at a place to be moved from. */
final class NewParts {
    /** Every kind of part that can be added to a design. */
    static final List<String> KINDS = List.of(
            "pickup",
            "pot",
            "toggle-switch",
            "blade-switch",
            "controlCavity",
            "jack",
            "heel",
            "neckFerrules",
            "studs",
            "vibrato",
            "stringThrough",
            "scratchPlate",
            "strap-button",
            "insert");

    private NewParts() {}

    /** Adds a part of that kind; does nothing for a kind that is not known or already there. */
    static void add(ObjectNode design, String kind) {
        boolean there = has(design, kind);
        put(design, kind);
        if (!there && Hand.LEFT.word().equals(design.path("hand").asString(""))) {
            Mirrored.inPlace(added(design, kind));
        }
    }

    /** What an added part of a kind that stands beside the centre line is, the last of its list or the only one. */
    private static JsonNode added(ObjectNode design, String kind) {
        return switch (kind) {
            case "pot", "toggle-switch", "blade-switch" ->
                design.path("controls").path(design.path("controls").size() - 1);
            case "controlCavity", "jack" -> design.path(kind);
            default -> design.path("");
        };
    }

    private static void put(ObjectNode design, String kind) {
        switch (kind) {
            case "pickup" -> pickup(list(design, "pickups"));
            case "pot" -> control(list(design, "controls"), "pot", "pot-metric", "100 mm", "-50 mm");
            case "toggle-switch" -> control(list(design, "controls"), "switch", "toggle", "80 mm", "-30 mm");
            case "blade-switch" -> {
                ArrayNode controls = list(design, "controls");
                control(controls, "switch", "blade-three", "80 mm", "-10 mm");
                ((ObjectNode) controls.get(controls.size() - 1)).put("woodOver", "4 mm");
            }
            case "strap-button" -> hole(design, "strap", "strap", "edge", "0 mm", "-150 mm", "0 mm", "-100 mm");
            case "insert" -> hole(design, "insert", "insert-8", "back", "0 mm", "180 mm", "0 mm", "100 mm");
            case "controlCavity" -> controlCavity(design);
            case "jack" -> jack(design);
            case "heel" ->
                object(
                        design.withObject("/neck"),
                        "heel",
                        "widthAtEnd",
                        "55.9 mm",
                        "widthAtMouth",
                        "55.9 mm",
                        "length",
                        "76 mm",
                        "made",
                        "neck-first");
            case "neckFerrules" -> {
                if (!has(design, kind)) {
                    design.withObject("/neck").set("ferrule", generic("neck-ferrule-14"));
                }
            }
            case "scratchPlate" ->
                object(design.withObject("/neck"), "scratchPlate", "thickness", "1.6 mm", "runs", "beside");
            case "stringThrough" -> {
                object(design.withObject("/bridge"), "stringThrough", "y", "-24 mm", "diameter", "3.2 mm");
                ((ObjectNode) design.path("bridge").get("stringThrough")).set("ferrule", generic("ferrule-8"));
            }
            case "studs" ->
                object(
                        design.withObject("/bridge"),
                        "studs",
                        "spacing",
                        "74 mm",
                        "y",
                        "4 mm",
                        "diameter",
                        "10 mm",
                        "depth",
                        "20 mm");
            case "vibrato" ->
                object(
                        design.withObject("/bridge"),
                        "vibrato",
                        "blockLength",
                        "42 mm",
                        "routeAcross",
                        "56 mm",
                        "routeAlong",
                        "24 mm",
                        "routeY",
                        "-2 mm",
                        "springsAcross",
                        "56 mm",
                        "springsAlong",
                        "92 mm",
                        "springsY",
                        "60 mm",
                        "springsDepth",
                        "16 mm");
            default -> {
                // An unknown kind comes only from a forged form.
            }
        }
    }

    /** Where a vibrato's route and springs lie, as far as it is not said yet. */
    static void vibratoPlace(ObjectNode vibrato) {
        String[] usual = {
            "routeY",
            "-2 mm",
            "springsAcross",
            "56 mm",
            "springsAlong",
            "92 mm",
            "springsY",
            "60 mm",
            "springsDepth",
            "16 mm"
        };
        for (int i = 0; i < usual.length; i += 2) {
            if (!vibrato.has(usual[i])) {
                vibrato.put(usual[i], usual[i + 1]);
            }
        }
    }

    private static ArrayNode list(ObjectNode design, String key) {
        return design.get(key) instanceof ArrayNode list ? list : design.putArray(key);
    }

    private static String freeId(ArrayNode list, String wanted) {
        Set<String> taken = new HashSet<>();
        list.forEach(p -> taken.add(p.path("id").asString("")));
        String id = wanted;
        for (int i = 2; taken.contains(id); i++) {
            id = wanted + "-" + i;
        }
        return id;
    }

    private static ObjectNode fill(ObjectNode part, String... values) {
        for (int i = 0; i < values.length; i += 2) {
            part.put(values[i], values[i + 1]);
        }
        return part;
    }

    private static void object(ObjectNode parent, String key, String... values) {
        if (!parent.has(key)) {
            fill(parent.putObject(key), values);
        }
    }

    private static void pickup(ArrayNode pickups) {
        ObjectNode part = pickups.addObject().put("id", freeId(pickups, "pickup"));
        fill(part.putObject("at"), "x", "0 mm", "y", "80 mm");
        part.put("proud", "4 mm").set("part", generic("coil-wide"));
    }

    private static void control(ArrayNode controls, String id, String generic, String x, String y) {
        ObjectNode part = controls.addObject().put("id", freeId(controls, id));
        fill(part.putObject("at"), "x", x, "y", y);
        part.set("part", generic(generic));
    }

    /** A hole with a place that it points to, which counts only in the edge. */
    private static void hole(
            ObjectNode design, String id, String generic, String from, String x, String y, String aimX, String aimY) {
        ArrayNode holes = list(design, "holes");
        ObjectNode hole = holes.addObject().put("id", freeId(holes, id)).put("from", from);
        fill(hole.putObject("at"), "x", x, "y", y);
        fill(hole.putObject("aim"), "x", aimX, "y", aimY);
        hole.set("part", generic(generic));
    }

    /** A part of the library that ships, as a design holds it. */
    private static ObjectNode generic(String key) {
        return BoxFile.SHIPPED.stream()
                .filter(g -> g.key().equals(key))
                .findFirst()
                .map(g -> PartFile.write(g.part()))
                .orElseThrow();
    }

    private static void controlCavity(ObjectNode design) {
        if (!design.has("controlCavity")) {
            ObjectNode part = design.putObject("controlCavity");
            fill(
                    part.putObject("outline"),
                    "unit",
                    "mm",
                    "path",
                    "M 75 -80 L 120 -80 A 10 10 0 0 1 130 -70 L 130 -25 A 10 10 0 0 1 120 -15 L 75 -15 A 10 10 0 0 1 65 -25 L 65 -70 A 10 10 0 0 1 75 -80 Z");
            fill(part, "woodOver", "6 mm", "coverLip", "5 mm");
            part.set("cover", generic("cover-plastic"));
        }
    }

    private static void jack(ObjectNode design) {
        if (!design.has("jack")) {
            ObjectNode part = design.putObject("jack");
            fill(part.putObject("entry"), "x", "170 mm", "y", "-50 mm");
            fill(part.putObject("aim"), "x", "110 mm", "y", "-50 mm");
            fill(part, "fromFront", "22 mm");
            part.set("part", generic("jack-cup"));
        }
    }

    static boolean has(JsonNode design, String kind) {
        return switch (kind) {
            case "studs", "vibrato" ->
                design.path("bridge").has(kind) || design.path("bridge").has("part");
            case "heel", "scratchPlate" -> design.path("neck").has(kind);
            case "neckFerrules" ->
                design.path("neck").has("ferrule")
                        || design.path("neck").path("screws").isEmpty();
            case "stringThrough" -> design.path("bridge").has(kind);
            case "controlCavity", "jack" -> design.has(kind);
            default -> false;
        };
    }
}
