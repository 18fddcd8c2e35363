package ebauche.app.ways;

import ebauche.app.web.TypedValues;
import ebauche.core.crib.HoldDown;
import ebauche.core.measure.LengthUnit;
import ebauche.core.shop.Practice;
import ebauche.exchange.design.Field;
import ebauche.exchange.file.ShopPart;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.json.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What was typed about the shop's ways: every field that is wrong is named at once, and nothing is kept until none is.
 *
 * @param ways as they would be kept
 * @param troubles what is wrong, by field
 */
record WaysForm(ObjectNode ways, Map<String, String> troubles) {

    /** A field of the form: its place in the shop part, its label, and whether it is a length. */
    public record Field(String path, String label, boolean length) {}

    static final List<Field> CUTTING = List.of(
            new Field("cutting.ripKerf", "kerf, ripping and cross-cutting", true),
            new Field("cutting.resawKerf", "kerf, resawing", true),
            new Field("cutting.resawHeight", "widest strip the resaw takes", true),
            new Field("cutting.jointing", "jointing takes off each edge", true),
            new Field("cutting.endTrim", "trimmed off a board's ends", true),
            new Field("cutting.margin", "blank round the outline", true),
            new Field("cutting.sliver", "narrowest strip outside a seam", true),
            new Field("cutting.flattening", "flattening both faces takes", true),
            new Field("cutting.snipe", "snipe at each end", true),
            new Field("cutting.leastOffcutLength", "shortest offcut kept", true),
            new Field("cutting.leastOffcutWidth", "narrowest offcut kept", true),
            new Field("cutting.leastOffcutThickness", "thinnest offcut kept", true),
            new Field("cutting.moistureApart", "boards glued together may differ by, %", false),
            new Field("cutting.readyWithin", "ready within, % of the air's", false));

    static final List<Field> CLEARANCES = List.of(
            new Field("clearances.pickupSide", "round a pickup, on each side", true),
            new Field("clearances.pickupUnder", "under a pickup", true),
            new Field("clearances.bushing", "a bushing's hole wider by", true),
            new Field("clearances.block", "round a vibrato's block", true),
            new Field("clearances.control", "round a pot's or switch's body", true),
            new Field("clearances.neck", "a pocket wider than the heel in hand by", true));

    static final List<Field> LIMITS = List.of(
            new Field("limits.thinnestFloor", "thinnest floor", true),
            new Field("limits.stopsFloor", "a floor under this stops the build", true),
            new Field("limits.thinnestWall", "thinnest wall", true),
            new Field("limits.stopsWall", "a wall under this stops the build", true),
            new Field("limits.pocketPass", "deepest pass in a pocket, by hand", true),
            new Field("limits.edgePass", "deepest pass at an outline or on the table", true),
            new Field("limits.depthTolerance", "a routed floor is hit within", true),
            new Field("limits.bridgeOffCentre", "the bridge off the centre line by at most", true));

    /** A choice between schools: its name in the practice, its label, and what may be chosen with its words. */
    public record School(String name, String label, Map<String, String> choices) {}

    static final List<School> SCHOOLS = List.of(
            school(
                    "thicknessing",
                    "blanks are brought to thickness by",
                    ShopPart.THICKNESSING,
                    Practice.Thicknessing::words),
            school("holdDown", "templates are held with", Words.HOLD_DOWN, HoldDown::words),
            school("edge", "outlines are", ShopPart.EDGE, Practice.EdgeSchool::words),
            school("hand", "the hand at the saw is", ShopPart.HAND, Practice.Hand::words));

    /** What hands may be trusted with, by its word in the file. */
    static final Map<String, String> SKILLS = school(
                    "skills", "hands here are trusted to", ShopPart.SKILL, Practice.Skill::words)
            .choices();

    private static <T extends Enum<T>> School school(
            String name, String label, Map<String, T> words, Function<T, String> said) {
        Map<String, String> choices = new LinkedHashMap<>();
        words.entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .forEach(e -> choices.put(e.getKey(), said.apply(e.getValue())));
        return new School(name, label, choices);
    }

    private static final List<String> CLAMP = List.of("name", "count", "opening", "reach", "jaw", "force");
    private static final List<String> CAUL = List.of("name", "count", "length", "width", "thickness", "crowned");
    private static final int MOST_ROWS = 60;
    private static final Pattern IN_LIST = Pattern.compile("(gluing\\.(?:clamps|cauls))\\[(\\d+)](.*)");

    static WaysForm of(Map<String, String> typed, ObjectNode from, LengthUnit bare) {
        ObjectNode ways = from.deepCopy();
        Map<String, String> troubles = new LinkedHashMap<>();
        ObjectNode cutting = ways.putObject("cutting");
        for (Field f : CUTTING) {
            value(typed, f.path(), f.path().substring("cutting.".length()), f.length(), bare, cutting, troubles);
        }
        ObjectNode room = ways.withObject("/clearances");
        for (Field f : CLEARANCES) {
            if (typed.containsKey(f.path())) {
                value(typed, f.path(), f.path().substring("clearances.".length()), true, bare, room, troubles);
            }
        }
        ObjectNode limits = ways.withObject("/limits");
        for (Field f : LIMITS) {
            if (typed.containsKey(f.path())) {
                value(typed, f.path(), f.path().substring("limits.".length()), true, bare, limits, troubles);
            }
        }
        ObjectNode practice = ways.withObject("/practice");
        for (School school : SCHOOLS) {
            practice.put(school.name(), typed.getOrDefault("practice." + school.name(), ""));
        }
        if (typed.containsKey("practice.skills")) {
            ArrayNode skills = practice.putArray("skills");
            SKILLS.keySet().stream()
                    .filter(s -> typed.containsKey("practice.skill." + s))
                    .forEach(skills::add);
        }
        value(typed, "practice.sawAllowance", "sawAllowance", true, bare, practice, troubles);
        ObjectNode gluing = ways.putObject("gluing");
        for (String word : List.of("glue", "edges", "complementary")) {
            gluing.put(word, typed.getOrDefault("gluing." + word, ""));
        }
        value(typed, "gluing.outOfSquare", "outOfSquare", false, bare, gluing, troubles);
        Map<String, List<Integer>> typedRows = new LinkedHashMap<>();
        typedRows.put(
                "gluing.clamps",
                rows(
                        typed,
                        "gluing.clamps",
                        CLAMP,
                        List.of("opening", "reach", "jaw"),
                        bare,
                        gluing.putArray("clamps"),
                        troubles));
        typedRows.put(
                "gluing.cauls",
                rows(
                        typed,
                        "gluing.cauls",
                        CAUL,
                        List.of("length", "width", "thickness"),
                        bare,
                        gluing.putArray("cauls"),
                        troubles));
        if (troubles.isEmpty()) {
            judge(ways, typedRows, troubles);
        }
        return new WaysForm(ways, troubles);
    }

    private static void judge(ObjectNode ways, Map<String, List<Integer>> typedRows, Map<String, String> troubles) {
        try {
            ShopPart.read(ways);
        } catch (BuildFileException e) {
            Matcher m = IN_LIST.matcher(e.place());
            String field = m.matches()
                    ? m.group(1) + "." + typedRows.get(m.group(1)).get(Integer.parseInt(m.group(2)) - 1) + m.group(3)
                    : e.place();
            troubles.put(field, e.getMessage());
        }
    }

    /** Reads a list's filled rows; answers which rows of the form they are, so that what is refused is named there. */
    private static List<Integer> rows(
            Map<String, String> typed,
            String list,
            List<String> columns,
            List<String> lengths,
            LengthUnit bare,
            ArrayNode out,
            Map<String, String> troubles) {
        List<Integer> filled = new ArrayList<>();
        for (int i = 0; i < MOST_ROWS; i++) {
            String row = list + "." + i + ".";
            if (typed.getOrDefault(row + "name", "").isBlank()) {
                continue;
            }
            filled.add(i);
            ObjectNode json = out.addObject();
            for (String column : columns) {
                if (column.equals("name")) {
                    json.put("name", typed.get(row + "name").strip());
                } else if (column.equals("crowned")) {
                    json.put("crowned", typed.getOrDefault(row + column, "no"));
                } else {
                    value(typed, row + column, column, lengths.contains(column), bare, json, troubles);
                }
            }
        }
        return filled;
    }

    private static void value(
            Map<String, String> typed,
            String field,
            String key,
            boolean length,
            LengthUnit bare,
            ObjectNode out,
            Map<String, String> troubles) {
        TypedValues values = new TypedValues(typed, bare, troubles);
        if (length) {
            values.length(field, out, key);
        } else {
            values.number(field, out, key);
        }
    }
}
