package ebauche.exchange.design;

import ebauche.core.design.Measurand;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.JsonPaths;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What the file's JSON Schema says of a design and of what can be measured on it, made from the catalogue. */
final class DesignSchema {
    private DesignSchema() {}

    /** The definition {@code design}. */
    static ObjectNode of() {
        ObjectNode design = object(BodyElements.BODY);
        ObjectNode properties = (ObjectNode) design.get("properties");
        for (Field<?> field : List.of(BodyElements.SCALE, BodyElements.UNDECIDED, BodyElements.ORDER)) {
            properties.set(field.key(), field.schema());
            if (field.needed()) {
                ((ArrayNode) design.get("required")).add(field.key());
            }
        }
        return design;
    }

    /** The definition {@code measures}. */
    static ObjectNode measures() {
        return JsonNodeFactory.instance.objectNode().put("type", "string").put("pattern", Measurand.pattern());
    }

    private static ObjectNode object(Element element) {
        ObjectNode schema = JsonNodeFactory.instance.objectNode().put("type", "object");
        ObjectNode properties = JsonNodeFactory.instance.objectNode();
        List<String> required = new ArrayList<>();
        List<String> drawn = new ArrayList<>();
        List<String> neededDrawn = new ArrayList<>();
        List<String> fitted = new ArrayList<>();
        for (Field<?> field : element.fields()) {
            properties.set(field.key(), field.schema());
            switch (field.with()) {
                case ALWAYS -> {
                    if (field.needed()) {
                        required.add(field.key());
                    }
                }
                case DRAWN -> {
                    drawn.add(field.key());
                    if (field.needed()) {
                        neededDrawn.add(field.key());
                    }
                }
                case FITTED -> fitted.add(field.key());
            }
        }
        element.slot().ifPresent(slot -> {
            properties.putObject(slot.key()).put("$ref", "#/$defs/part");
            if (element.alwaysFitted()) {
                required.add(slot.key());
            }
        });
        for (Element part : DesignCatalogue.ELEMENTS) {
            boolean within =
                    part != element && JsonPaths.parentPath(part.path()).equals(element.path());
            if (within && !part.isPart() && !part.fields().isEmpty()) {
                properties.set(JsonPaths.key(part.path()), part.many() ? list(part) : described(part, object(part)));
                if (!part.optional()) {
                    required.add(JsonPaths.key(part.path()));
                }
            }
        }
        schema.set("required", array(required));
        schema.put("additionalProperties", false);
        element.slot()
                .filter(slot -> !drawn.isEmpty())
                .ifPresent(slot -> eitherOr(schema, element, slot.key(), drawn, neededDrawn));
        if (element.oneOf().size() > 1) {
            ArrayNode one = schema.putArray("oneOf");
            element.oneOf().forEach(k -> one.addObject().set("required", array(List.of(k))));
        }
        if (!element.notBoth().isEmpty()) {
            schema.putObject("not").set("required", array(element.notBoth()));
        }
        element.slot()
                .filter(slot -> !fitted.isEmpty())
                .ifPresent(slot -> fitted.forEach(
                        k -> schema.withObject("/dependentRequired").set(k, array(List.of(slot.key())))));
        schema.set("properties", properties);
        return schema;
    }

    /** Its part, or what is drawn where there is none. */
    private static void eitherOr(
            ObjectNode schema, Element element, String slot, List<String> drawn, List<String> needed) {
        if (element.oneOf().contains(slot)) {
            return;
        }
        if (!needed.isEmpty()) {
            ArrayNode any = schema.putArray("anyOf");
            any.addObject().set("required", array(List.of(slot)));
            any.addObject().set("required", array(needed));
        }
        ObjectNode none = schema.putObject("dependentSchemas").putObject(slot).putObject("properties");
        drawn.forEach(k -> none.put(k, false));
    }

    private static ObjectNode list(Element element) {
        ObjectNode list = described(element, JsonNodeFactory.instance.objectNode());
        list.put("type", "array").put("maxItems", Element.MOST_MEMBERS);
        list.set("items", object(element));
        return list;
    }

    private static ObjectNode described(Element element, ObjectNode schema) {
        element.description().ifPresent(words -> schema.put("description", words));
        return schema;
    }

    private static ArrayNode array(List<String> keys) {
        ArrayNode array = JsonNodeFactory.instance.arrayNode();
        keys.forEach(array::add);
        return array;
    }
}
