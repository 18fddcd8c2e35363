package ebauche.exchange.file;

import ebauche.core.feature.FeatureKind;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Build files of earlier versions, made what the present one writes. */
final class EarlierVersions {
    private EarlierVersions() {}

    /**
     * A build file as the present version has it.
     *
     * @return the same tree where it is of the present version, of a later one, or no build file
     */
    static JsonNode raised(JsonNode tree) {
        if (!isFirst(tree)) {
            return tree;
        }
        ObjectNode raised = (ObjectNode) tree.deepCopy();
        raised.put("version", BuildFile.VERSION);
        if (raised.get("design") instanceof ObjectNode design
                && design.has("controlCavity")
                && !design.has("cavities")) {
            manyCavities(design);
        }
        return raised;
    }

    private static boolean isFirst(JsonNode tree) {
        return tree.isObject()
                && tree.path("format").asString("").equals(BuildFile.FORMAT)
                && tree.path("version").isInt()
                && tree.path("version").asInt() == 1;
    }

    /** Version 1 had one cavity, from the back. */
    private static void manyCavities(ObjectNode design) {
        JsonNode only = design.remove("controlCavity");
        if (only instanceof ObjectNode cavity) {
            ObjectNode first = design.putArray("cavities").addObject().put("id", FeatureKind.ELDEST);
            first.setAll(cavity);
        } else {
            design.putArray("cavities").add(only);
        }
    }

    /** A place in a raised file as the file itself has it. */
    static String placeIn(JsonNode file, String place) {
        return isFirst(file) ? place.replaceFirst("^design\\.cavities\\[1]", "design.controlCavity") : place;
    }
}
