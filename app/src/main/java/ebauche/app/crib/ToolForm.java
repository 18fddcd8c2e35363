package ebauche.app.crib;

import ebauche.app.web.TypedValues;
import ebauche.app.words.Words;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.field.Field;
import ebauche.exchange.file.ShopPart;
import ebauche.exchange.json.BuildFileException;
import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What was typed about a tool, and the shop's ways with it: every field that is wrong is named at once, and nothing is kept
 * until none is.
 *
 * @param ways with the tool in their crib
 * @param troubles what is wrong, by field
 */
record ToolForm(ObjectNode ways, Map<String, String> troubles) {
    private static final int LONGEST_NAME = 80;

    /**
     * Reads the form.
     *
     * @param ways with a whole crib
     * @param place of the tool that is changed, or the number of tools for a new one
     */
    static ToolForm of(ToolKind kind, int place, Map<String, String> typed, ObjectNode ways, LengthUnit bare) {
        ObjectNode all = ways.deepCopy();
        ArrayNode tools = (ArrayNode) all.path("crib").get(kind.many());
        Map<String, String> troubles = new LinkedHashMap<>();
        ObjectNode tool = JsonNodeFactory.instance.objectNode();
        TypedValues values = new TypedValues(typed, bare, troubles);
        kind.fields().forEach(f -> read(f, kind, values, tool));
        for (int i = 0; i < tools.size(); i++) {
            if (i != place && tools.get(i).path("name").asString("").equals(values.text("name"))) {
                troubles.put("name", Words.say("tool-form.another-is-called-already", kind.one(), values.text("name")));
            }
        }
        if (place < tools.size()) {
            tools.set(place, tool);
        } else {
            tools.add(tool);
        }
        if (troubles.isEmpty()) {
            judge(all, kind, place, troubles);
        }
        return new ToolForm(all, troubles);
    }

    private static void read(Field.Input input, ToolKind kind, TypedValues values, ObjectNode tool) {
        String name = input.path();
        if (values.isBlank(name) && !kind.needed().contains(input)) {
            return;
        }
        values.put(input, name, tool, name);
        if (input.kind() == Field.Kind.TEXT
                && (values.isBlank(name) || values.text(name).length() > LONGEST_NAME)) {
            values.troubles().put(name, Words.say("tool-form.needs-a-name-of-up-to", LONGEST_NAME));
        }
    }

    private static void judge(ObjectNode ways, ToolKind kind, int place, Map<String, String> troubles) {
        try {
            ShopPart.read(ways);
        } catch (BuildFileException e) {
            String here = "crib." + kind.many() + "[" + (place + 1) + "].";
            String field = e.place().startsWith(here) ? e.place().substring(here.length()) : "name";
            troubles.put(field.replaceAll("\\[\\d+]$", ""), e.getMessage());
        }
    }

    /** A tool as its fields hold it. */
    static Map<String, String> typed(ToolKind kind, JsonNode tool) {
        Map<String, String> typed = new LinkedHashMap<>();
        for (Field.Input f : kind.fields()) {
            if (tool.has(f.path())) {
                typed.put(f.path(), TypedValues.asTyped(tool.get(f.path())));
            }
        }
        return typed;
    }
}
