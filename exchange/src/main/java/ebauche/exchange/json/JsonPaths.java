package ebauche.exchange.json;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Places in a JSON tree, by keys and numbers with dots between. */
public final class JsonPaths {
    private JsonPaths() {}

    /** What stands at a place; a missing node if nothing does. */
    public static JsonNode find(JsonNode tree, String path) {
        JsonNode node = tree;
        if (path.isEmpty()) {
            return node;
        }
        for (String key : path.split("\\.", -1)) {
            node = node.isArray() && key.matches("\\d{1,6}") ? node.path(Integer.parseInt(key)) : node.path(key);
        }
        return node;
    }

    /** The text at a place, empty if nothing is there. */
    public static String text(JsonNode tree, String path) {
        JsonNode node = find(tree, path);
        return node == null || node.isNull() || node.isMissingNode() ? "" : node.asString("");
    }

    /** The place that holds a place, empty for the tree itself. */
    public static String parentPath(String path) {
        return path.substring(0, Math.max(0, path.lastIndexOf('.')));
    }

    /** What holds a place. */
    public static JsonNode parent(JsonNode tree, String path) {
        return find(tree, parentPath(path));
    }

    /** The last key of a place. */
    public static String key(String path) {
        return path.substring(path.lastIndexOf('.') + 1);
    }

    /** Takes out what stands at a place, if anything does. */
    public static void remove(JsonNode tree, String path) {
        JsonNode parent = parent(tree, path);
        if (parent instanceof ArrayNode list) {
            list.remove(Integer.parseInt(key(path)));
        } else if (parent instanceof ObjectNode object) {
            object.remove(key(path));
        }
    }
}
