package ebauche.app.design;

import ebauche.exchange.design.DesignCatalogue;
import ebauche.exchange.field.Field;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What differs between two designs, key by key, whether the form has a field for it or another page keeps it. Members of a list are
 * known by their ids, or by the feature that they are for, not by their places.
 */
final class DesignDifference {
    /** Longer text, such as a drawn line, is cut short. */
    private static final int LONGEST = 60;

    private final Map<List<String>, String> labels;
    private final List<List<String>> found = new ArrayList<>();

    private DesignDifference(ObjectNode from, ObjectNode to) {
        this.labels = labels(from);
        labels.putAll(labels(to));
    }

    /**
     * One place that differs.
     *
     * @param path its keys, members of a list by their names
     * @param field in words
     */
    record Place(List<String> path, String field) {}

    /** Every place whose text differs, in the order of the later design, what is gone from it last. */
    static List<Place> between(ObjectNode from, ObjectNode to) {
        DesignDifference difference = new DesignDifference(from, to);
        difference.walk(List.of(), from, to);
        return difference.found.stream()
                .map(p -> new Place(p, difference.said(p)))
                .toList();
    }

    /** What stands at a place, empty where nothing does. */
    static String text(ObjectNode design, List<String> path) {
        JsonNode at = design;
        for (String key : path) {
            at = child(at, key);
        }
        String text = at.isMissingNode() || at.isContainer() ? "" : at.asString("");
        return text.length() > LONGEST ? text.substring(0, LONGEST) + "…" : text;
    }

    private void walk(List<String> path, JsonNode from, JsonNode to) {
        if (!from.isContainer() && !to.isContainer()) {
            if (!from.asString("").equals(to.asString(""))) {
                found.add(path);
            }
            return;
        }
        Set<String> keys = new LinkedHashSet<>(keys(to));
        keys.addAll(keys(from));
        for (String key : keys) {
            List<String> deeper = new ArrayList<>(path);
            deeper.add(key);
            walk(deeper, child(from, key), child(to, key));
        }
        boolean emptied = keys.isEmpty() && from.isMissingNode() != to.isMissingNode();
        if (emptied) {
            found.add(path);
        }
    }

    private static List<String> keys(JsonNode node) {
        List<String> keys = new ArrayList<>();
        if (node instanceof ObjectNode object) {
            object.propertyNames().forEach(keys::add);
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                keys.add(name(array, i));
            }
        }
        return keys;
    }

    /** The name of a list's member: its id or its feature, else its number. */
    private static String name(ArrayNode array, int i) {
        JsonNode member = array.get(i);
        String own = member.path("id").asString(member.path("feature").asString(""));
        boolean twice = false;
        for (int j = 0; j < array.size() && !own.isEmpty(); j++) {
            JsonNode other = array.get(j);
            twice |= j != i
                    && own.equals(
                            other.path("id").asString(other.path("feature").asString("")));
        }
        return own.isEmpty() || twice ? String.valueOf(i + 1) : own;
    }

    private static JsonNode child(JsonNode node, String key) {
        if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                if (name(array, i).equals(key)) {
                    return array.get(i);
                }
            }
            return array.path(array.size());
        }
        return node.path(key);
    }

    /** The form's labels by the places of its fields. */
    private static Map<List<String>, String> labels(ObjectNode design) {
        Map<List<String>, String> labels = new LinkedHashMap<>();
        for (DesignCatalogue.Section section : DesignCatalogue.sections(design)) {
            for (Field.Input field : section.fields()) {
                List<String> path = new ArrayList<>();
                JsonNode at = design;
                for (String key : field.path().split("\\.")) {
                    boolean member = at instanceof ArrayNode && key.chars().allMatch(Character::isDigit);
                    String name = member ? name((ArrayNode) at, Integer.parseInt(key)) : key;
                    path.add(name);
                    at = child(at, name);
                }
                labels.put(path, section.title() + ", " + field.label());
            }
        }
        return labels;
    }

    private String said(List<String> path) {
        String label = labels.get(path);
        return label != null
                ? label
                : String.join(", ", path.stream().map(DesignDifference::words).toList());
    }

    /** {@code woodOver} as {@code wood over}. */
    private static String words(String key) {
        return key.replaceAll("([a-z])([A-Z])", "$1 $2").replace('-', ' ').toLowerCase(Locale.ROOT);
    }
}
