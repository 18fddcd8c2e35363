package ebauche.app.timber;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.node.ObjectNode;

/** A board's file as its form shows it: every length as it was typed. */
final class BoardWords {
    private static final List<String> FIELDS = List.of(
            "name", "species", "kind", "length", "width", "thickness", "rings", "heart", "rise", "grainAngle", "price");

    private BoardWords() {}

    static Map<String, String> of(ObjectNode file) {
        Map<String, String> words = new LinkedHashMap<>();
        FIELDS.forEach(f -> words.put(f, file.path(f).asString("")));
        return words;
    }
}
