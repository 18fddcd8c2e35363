package ebauche.app.timber;

import ebauche.app.words.Words;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import ebauche.core.timber.Timbers;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.rack.BoardFile;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What was typed about a board or one of its faults, read field by field: every field that is wrong is named at once, in
 * words, and nothing is kept until none is.
 *
 * @param file as it would be kept
 * @param troubles what is wrong, by field
 */
record BoardForm(ObjectNode file, Map<String, String> troubles) {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private static final List<String> LENGTHS = List.of("length", "width", "thickness");
    private static final List<String> FAULT_LENGTHS =
            List.of("fromEnd", "fromEdge", "along", "across", "top", "bottom");

    boolean good() {
        return troubles.isEmpty();
    }

    /** A board; its faults are those it had. */
    static BoardForm board(Map<String, String> typed, ArrayNode faults, LengthUnit bare, Timbers timbers) {
        ObjectNode file = JSON.objectNode();
        Map<String, String> troubles = new LinkedHashMap<>();
        for (String word : List.of("name", "species", "kind", "rings", "heart", "rise")) {
            String text = typed.getOrDefault(word, "").strip();
            if (!text.isEmpty() || word.equals("name") || word.equals("species")) {
                file.put(word, text);
            }
        }
        LENGTHS.forEach(f -> length(typed, f, bare, file, troubles));
        number(typed, "grainAngle", file, troubles);
        number(typed, "price", file, troubles);
        file.set("defects", faults);
        judge(file, timbers, troubles);
        return new BoardForm(file, troubles);
    }

    /** A board with one more fault. */
    static BoardForm fault(Map<String, String> typed, ObjectNode board, LengthUnit bare, Timbers timbers) {
        ObjectNode file = board.deepCopy();
        Map<String, String> troubles = new LinkedHashMap<>();
        ObjectNode fault = JSON.objectNode().put("kind", typed.getOrDefault("kind", ""));
        FAULT_LENGTHS.forEach(f -> length(typed, f, bare, fault, troubles));
        ArrayNode all = file.path("defects") instanceof ArrayNode there ? there : file.putArray("defects");
        all.add(fault);
        judge(file, timbers, troubles);
        return new BoardForm(file, troubles);
    }

    private static void length(
            Map<String, String> typed, String field, LengthUnit bare, ObjectNode out, Map<String, String> troubles) {
        String text = typed.getOrDefault(field, "").strip();
        try {
            out.put(field, Length.parse(text, bare).toString());
        } catch (LengthFormatException e) {
            troubles.put(field, e.getMessage());
        }
    }

    private static void number(Map<String, String> typed, String field, ObjectNode out, Map<String, String> troubles) {
        String text = typed.getOrDefault(field, "").strip().replace(',', '.');
        if (text.isEmpty()) {
            return;
        }
        if (text.matches("-?\\d{1,7}(\\.\\d{1,4})?")) {
            out.put(field, Double.parseDouble(text));
        } else {
            troubles.put(field, Words.say("board-form.is-no-number", text));
        }
    }

    /** What core refuses, once every field can be read. */
    private static void judge(ObjectNode file, Timbers timbers, Map<String, String> troubles) {
        if (!troubles.isEmpty()) {
            return;
        }
        try {
            BoardFile.read(file, timbers, List.of());
        } catch (BuildFileException e) {
            String place = e.place();
            troubles.put(place.substring(place.lastIndexOf('.') + 1), e.getMessage());
        }
    }
}
