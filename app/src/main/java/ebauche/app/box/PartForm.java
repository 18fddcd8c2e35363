package ebauche.app.box;

import ebauche.app.web.TypedValues;
import ebauche.app.words.Words;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.file.ShopPart;
import ebauche.exchange.json.BuildFileException;
import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What was typed about a part of the shop's own, and the shop's ways with it in the box: every field that is wrong is named
 * at once.
 *
 * @param ways with the part in their box
 * @param troubles what is wrong, by field
 */
record PartForm(ObjectNode ways, Map<String, String> troubles) {
    private static final int LONGEST_NAME = 80;

    static ArrayNode box(ObjectNode ways) {
        return ways.get("box") instanceof ArrayNode box ? box : ways.putArray("box");
    }

    /**
     * Reads the form.
     *
     * @param place of the part that is changed, or the number of parts for a new one
     */
    static PartForm of(PartKind kind, int place, Map<String, String> typed, ObjectNode from, LengthUnit bare) {
        ObjectNode ways = from.deepCopy();
        Map<String, String> troubles = new LinkedHashMap<>();
        TypedValues values = new TypedValues(typed, bare, troubles);
        ObjectNode part =
                JsonNodeFactory.instance.objectNode().put("kind", kind.key()).put("name", values.text("name"));
        ObjectNode sizes = part.putObject("sizes");
        for (PartSize size : kind.sizes()) {
            if (kind.needed().contains(size) || !values.isBlank(size.key())) {
                values.length(size.key(), sizes, size.key());
            }
        }
        ArrayNode box = box(ways);
        named(values, box, place);
        if (place < box.size()) {
            box.set(place, part);
        } else {
            box.add(part);
        }
        if (troubles.isEmpty()) {
            judge(ways, place, troubles);
        }
        return new PartForm(ways, troubles);
    }

    private static void named(TypedValues values, ArrayNode box, int place) {
        String name = values.text("name");
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            values.troubles().put("name", Words.say("part-form.needs-a-name-of-up-to", LONGEST_NAME));
        }
        for (int i = 0; i < box.size(); i++) {
            if (i != place && box.get(i).path("name").asString("").equals(name)) {
                values.troubles().put("name", Words.say("part-form.another-part-in-the-box-is", name));
            }
        }
    }

    private static void judge(ObjectNode ways, int place, Map<String, String> troubles) {
        try {
            ShopPart.read(ways);
        } catch (BuildFileException e) {
            String here = "box[" + (place + 1) + "].sizes.";
            troubles.put(e.place().startsWith(here) ? e.place().substring(here.length()) : "name", e.getMessage());
        }
    }

    /** A part as its fields hold it. */
    static Map<String, String> typed(JsonNode part) {
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("name", part.path("name").asString(""));
        part.path("sizes")
                .properties()
                .forEach(e -> typed.put(e.getKey(), e.getValue().asString("")));
        return typed;
    }
}
