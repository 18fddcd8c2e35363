package ebauche.app.contour;

import ebauche.app.web.Figures;
import ebauche.app.web.TypedValues;
import ebauche.app.words.Words;
import ebauche.core.design.Contour;
import ebauche.core.geometry.Point;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * One contour as its form has it.
 *
 * @param was its id in the design; empty for a new one
 * @param typed fields as they stand in the form
 * @param troubles what is wrong, by field
 */
public record ContourForm(String was, Map<String, String> typed, Map<String, String> troubles) {
    /** Fields of a stretch of the edge begin with it. */
    static final String STRETCH = "along-";

    private static final String ID = "[a-z0-9][a-z0-9-]{0,29}";

    /** A contour as the design's file has it, in the maker's own writing. */
    static ContourForm of(JsonNode contour) {
        Map<String, String> typed = new LinkedHashMap<>();
        for (String key : List.of("id", "face", "depth", "shape", "radius", "width")) {
            typed.put(key, contour.path(key).asString(""));
        }
        typed.put("start", contour.has("line") ? "line" : "round");
        ends(typed, "", contour.path("line"));
        ends(typed, STRETCH, contour.path("stretch"));
        typed.put("fade", contour.at("/stretch/fade").asString(""));
        if (typed.get("shape").isEmpty()) {
            typed.put("shape", "straight");
        }
        return new ContourForm(typed.get("id"), typed, new LinkedHashMap<>());
    }

    private static void ends(Map<String, String> typed, String prefix, JsonNode line) {
        for (String end : List.of("from", "to")) {
            typed.put(prefix + end + "x", line.path(end).path("x").asString(""));
            typed.put(prefix + end + "y", line.path(end).path("y").asString(""));
        }
    }

    /** One that is about to be, in the maker's unit. */
    static ContourForm fresh(Contour contour, Figures fig) {
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("id", contour.id());
        typed.put("face", contour.face().word());
        typed.put("depth", fig.exactText(contour.depth()));
        typed.put("shape", contour.shape().word());
        contour.radius().ifPresent(r -> typed.put("radius", fig.exactText(r)));
        if (contour.start() instanceof Contour.Start.Across across) {
            typed.put("start", "line");
            point(typed, "from", across.from(), fig);
            point(typed, "to", across.to(), fig);
        } else {
            typed.put("start", "round");
            typed.put("width", fig.exactText(((Contour.Start.Round) contour.start()).width()));
        }
        return new ContourForm("", typed, new LinkedHashMap<>());
    }

    private static void point(Map<String, String> typed, String end, Point at, Figures fig) {
        typed.put(end + "x", fig.exactText(at.x()));
        typed.put(end + "y", fig.exactText(at.y()));
    }

    static ContourForm posted(Map<String, String> typed) {
        return new ContourForm(typed.getOrDefault("was", ""), typed, new LinkedHashMap<>());
    }

    public String get(String field) {
        return typed.getOrDefault(field, "");
    }

    public boolean line() {
        return !get("start").equals("round");
    }

    /** Whether it runs along a part of the edge only: one of its fields says something. */
    private boolean alongAStretch() {
        return typed.entrySet().stream()
                .filter(e -> e.getKey().startsWith(STRETCH) || e.getKey().equals("fade"))
                .anyMatch(e -> !e.getValue().isBlank());
    }

    public boolean hollow() {
        return get("shape").equals("hollow");
    }

    public String key() {
        return was.isEmpty() ? "new" : was;
    }

    /** Puts it into a design in the place of the one that it was; what is wrong in a field goes to the troubles. */
    void into(ObjectNode design, Figures fig) {
        TypedValues values = new TypedValues(typed, fig.unit(), troubles);
        if (!values.text("id").matches(ID)) {
            troubles.put("id", Words.say("contour-form.small-letters-digits-and-dashes-such"));
        }
        ObjectNode out = design.objectNode();
        out.put("id", values.text("id")).put("face", values.text("face"));
        if (line()) {
            ObjectNode across = out.putObject("line");
            end(values, across.putObject("from"), "from");
            end(values, across.putObject("to"), "to");
        } else {
            values.length("width", out, "width");
            if (alongAStretch()) {
                ObjectNode stretch = out.putObject("stretch");
                end(values, stretch.putObject("from"), STRETCH + "from");
                end(values, stretch.putObject("to"), STRETCH + "to");
                values.length("fade", stretch, "fade");
            }
        }
        values.length("depth", out, "depth");
        out.put("shape", values.text("shape"));
        if (hollow()) {
            values.length("radius", out, "radius");
        }
        replace(design, out);
    }

    private static void end(TypedValues values, ObjectNode point, String end) {
        values.length(end + "x", point, "x");
        values.length(end + "y", point, "y");
    }

    private static String id(JsonNode contour) {
        return contour.path("id").asString("");
    }

    private void replace(ObjectNode design, ObjectNode with) {
        ArrayNode all = design.withArray("/contours");
        for (JsonNode other : all) {
            if (id(other).equals(id(with)) && !id(other).equals(was)) {
                troubles.put("id", Words.say("contour-form.another-contour-has-that-name"));
            }
        }
        for (int i = 0; i < all.size(); i++) {
            if (id(all.get(i)).equals(was)) {
                all.set(i, with);
                return;
            }
        }
        all.add(with);
    }

    /** Takes it out of a design. */
    static void remove(ObjectNode design, String id) {
        JsonNode all = design.path("contours");
        if (all instanceof ArrayNode list) {
            for (int i = 0; i < list.size(); i++) {
                if (id(list.get(i)).equals(id)) {
                    list.remove(i);
                }
            }
            if (list.isEmpty()) {
                design.remove("contours");
            }
        }
    }
}
