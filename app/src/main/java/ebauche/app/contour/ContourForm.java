package ebauche.app.contour;

import ebauche.app.web.Figures;
import ebauche.app.web.TypedValues;
import ebauche.app.words.Words;
import ebauche.core.design.Contour;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import java.util.ArrayList;
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

    /** Fields of a place that the line is pulled through begin with it. */
    static final String THROUGH = "through";

    private static final String ID = "[a-z0-9][a-z0-9-]{0,29}";

    /** A contour as the design's file has it, in the maker's own writing. */
    static ContourForm of(JsonNode contour) {
        Map<String, String> typed = new LinkedHashMap<>();
        for (String key : List.of("id", "face", "depth", "shape", "radius", "width", "edge")) {
            typed.put(key, contour.path(key).asString(""));
        }
        typed.put("start", contour.has("line") ? "line" : contour.has("disc") ? "disc" : "round");
        JsonNode disc = contour.path("disc");
        typed.put("atx", disc.path("at").path("x").asString(""));
        typed.put("aty", disc.path("at").path("y").asString(""));
        typed.put("diameter", disc.path("diameter").asString(""));
        ends(typed, "", contour.path("line"));
        ends(typed, STRETCH, contour.path("stretch"));
        typed.put("fade", contour.at("/stretch/fade").asString(""));
        typed.put("by", contour.path("by").asString(""));
        JsonNode line = contour.path("line");
        typed.put("along", line.path("along").asString("wedge"));
        typed.put("even-fade", line.path("fade").asString(""));
        typed.put(
                "lean",
                line.path("lean").isMissingNode() ? "" : line.path("lean").asString());
        List<String> depths = new ArrayList<>();
        line.path("depths").forEach(d -> depths.add(d.asString()));
        typed.put("depths", String.join("; ", depths));
        for (int i = 0; i < line.path("through").size(); i++) {
            typed.put(THROUGH + i + "x", line.path("through").path(i).path("x").asString(""));
            typed.put(THROUGH + i + "y", line.path("through").path(i).path("y").asString(""));
        }
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
            typed.put("along", "wedge");
        } else if (contour.start() instanceof Contour.Start.Disc disc) {
            typed.put("start", "disc");
            point(typed, "at", disc.at(), fig);
            typed.put("diameter", fig.exactText(disc.diameter()));
            typed.put("width", fig.exactText(disc.width()));
        } else {
            Contour.Start.Round round = (Contour.Start.Round) contour.start();
            typed.put("start", "round");
            typed.put("width", fig.exactText(round.width()));
            round.along().ifPresent(s -> {
                point(typed, STRETCH + "from", s.from(), fig);
                point(typed, STRETCH + "to", s.to(), fig);
                typed.put("fade", fig.exactText(s.fade()));
            });
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

    /** How many places its line is pulled through. */
    public int handles() {
        int count = 0;
        while (!get(THROUGH + count + "x").isBlank()
                && !get(THROUGH + count + "y").isBlank()) {
            count++;
        }
        return count;
    }

    /** The names of its handles' fields. */
    public List<String> pulls() {
        List<String> names = new ArrayList<>();
        for (int i = 0; i < handles(); i++) {
            names.add(THROUGH + i);
        }
        return names;
    }

    /** With one more handle in the middle of its line, or without any. */
    ContourForm pulled(String act, Figures fig) {
        Map<String, String> now = new LinkedHashMap<>(typed);
        if (act.equals("straighten")) {
            now.keySet().removeIf(k -> k.startsWith(THROUGH));
            return new ContourForm(was, now, troubles);
        }
        if (!act.equals("bow")) {
            return this;
        }
        int count = handles();
        try {
            Point before = at(count == 0 ? "from" : THROUGH + (count - 1), fig);
            Point after = at("to", fig);
            point(now, THROUGH + count, before.towards(after, 0.5), fig);
        } catch (LengthFormatException unread) {
            // Told beside the field when the form is read.
            return this;
        }
        return new ContourForm(was, now, troubles);
    }

    private Point at(String end, Figures fig) throws LengthFormatException {
        return new Point(
                Length.parse(get(end + "x"), fig.unit()).millimetres(),
                Length.parse(get(end + "y"), fig.unit()).millimetres());
    }

    public String get(String field) {
        return typed.getOrDefault(field, "");
    }

    public boolean line() {
        return !get("start").equals("round") && !disc();
    }

    public boolean disc() {
        return get("start").equals("disc");
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
            ArrayNode through = design.arrayNode();
            pulls().forEach(p -> end(values, through.addObject(), p));
            if (!through.isEmpty()) {
                across.set("through", through);
            }
            along(values, across, fig);
        } else if (disc()) {
            ObjectNode disc = out.putObject("disc");
            end(values, disc.putObject("at"), "at");
            values.length("diameter", disc, "diameter");
            values.length("width", out, "width");
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
        if (!get("edge").isBlank()) {
            values.length("edge", out, "edge");
        }
        if (!get("by").isBlank()) {
            out.put("by", get("by"));
        }
        replace(design, out);
    }

    private void along(TypedValues values, ObjectNode across, Figures fig) {
        String along = get("along").isEmpty() ? "wedge" : get("along");
        if (along.equals("wedge")) {
            return;
        }
        across.put("along", along);
        switch (along) {
            case "even" -> {
                if (!get("even-fade").isBlank()) {
                    values.length("even-fade", across, "fade");
                }
            }
            case "leaned" -> lean(across);
            default -> depths(across, fig);
        }
    }

    private void lean(ObjectNode across) {
        if (get("lean").isBlank()) {
            return;
        }
        try {
            across.put(
                    "lean",
                    Double.parseDouble(
                            get("lean").strip().replace('\u2212', '-').replace(',', '.')));
        } catch (NumberFormatException unread) {
            troubles.put("lean", Words.say("contour-form.a-number"));
        }
    }

    /** Depths one after the other, told apart by semicolons. */
    private void depths(ObjectNode across, Figures fig) {
        ArrayNode all = across.putArray("depths");
        for (String one : get("depths").split(";", -1)) {
            if (one.isBlank()) {
                continue;
            }
            try {
                all.add(Length.parse(one, fig.unit()).toString());
            } catch (LengthFormatException unread) {
                troubles.put("depths", unread.getMessage());
            }
        }
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
