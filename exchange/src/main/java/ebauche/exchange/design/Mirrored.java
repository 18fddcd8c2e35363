package ebauche.exchange.design;

import ebauche.core.geometry.Outline;
import ebauche.core.geometry.PathData;
import ebauche.core.geometry.Placing;
import ebauche.core.measure.LengthUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A design for the other hand: every place, line and turn mirrored about the centre line, as its file has them, so that what was typed
 * stays as it was typed but for its sign.
 */
public final class Mirrored {
    /** Lengths across, positive to the right. */
    private static final Set<String> ACROSS = Set.of("x", "offCentre", "middleX");

    /** Turns, positive one way round. */
    private static final Set<String> TURNS = Set.of("turned", "grainAngle");

    private static final Pattern NOUGHT = Pattern.compile("[+-]?0+(\\.0*)?\\s*[a-z\"]*");

    private Mirrored() {}

    /** A copy of a design for the other hand. */
    public static ObjectNode of(ObjectNode design) {
        ObjectNode other = design.deepCopy();
        mirror(other);
        boolean left = "left".equals(design.path("hand").asString(""));
        other.put("hand", left ? "right" : "left");
        return other;
    }

    /** Mirrors a part of a design as it stands there. */
    public static void inPlace(JsonNode part) {
        mirror(part);
    }

    private static void mirror(JsonNode node) {
        if (node instanceof ArrayNode array) {
            array.forEach(Mirrored::mirror);
        } else if (node instanceof ObjectNode object) {
            List.copyOf(object.propertyNames()).forEach(key -> mirror(object, key));
            edges(object);
        }
    }

    private static void mirror(ObjectNode object, String key) {
        JsonNode value = object.get(key);
        if (ACROSS.contains(key) || TURNS.contains(key)) {
            negate(object, key);
        } else if (value instanceof ObjectNode outline && outline.has("path") && outline.has("unit")) {
            outline(outline);
        } else if (key.equals("stretch") && value instanceof ObjectNode stretch) {
            mirror(value);
            JsonNode from = stretch.get("from");
            stretch.set("from", stretch.get("to"));
            stretch.set("to", from);
        } else if (key.equals("strips") && value instanceof ArrayNode strips) {
            List<JsonNode> turned = new ArrayList<>(strips.valueStream().toList());
            strips.removeAll();
            Collections.reverse(turned);
            turned.forEach(strips::add);
            mirror(strips);
        } else {
            mirror(value);
        }
    }

    private static void negate(ObjectNode object, String key) {
        JsonNode value = object.get(key);
        if (value.isNumber()) {
            object.put(key, value.asDouble() == 0 ? 0 : -value.asDouble());
        } else {
            object.put(key, opposite(value.asString("")));
        }
    }

    /** A length as text, with the other sign. */
    private static String opposite(String length) {
        String text = length.strip();
        if (text.isEmpty() || NOUGHT.matcher(text).matches()) {
            return text;
        }
        return text.startsWith("-")
                ? text.substring(1).strip()
                : "-" + (text.startsWith("+") ? text.substring(1).strip() : text);
    }

    private static void outline(ObjectNode outline) {
        LengthUnit unit = "in".equals(outline.path("unit").asString("")) ? LengthUnit.INCH : LengthUnit.MILLIMETRE;
        int decimals = unit == LengthUnit.INCH ? 6 : 4;
        outline.put(
                "path",
                Outline.parseAll(outline.path("path").asString(""), 1).stream()
                        .map(o -> o.segments().stream()
                                .map(s -> s.placed(Placing.fromTheBack()))
                                .toList())
                        .map(o -> PathData.write(o, decimals))
                        .collect(Collectors.joining(" ")));
    }

    /** A fault's two sides change places. */
    private static void edges(ObjectNode fault) {
        if (fault.has("minX") && fault.has("maxX")) {
            String low = fault.get("minX").asString("");
            fault.put("minX", opposite(fault.get("maxX").asString("")));
            fault.put("maxX", opposite(low));
        }
    }
}
