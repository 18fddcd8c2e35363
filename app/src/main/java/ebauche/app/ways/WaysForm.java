package ebauche.app.ways;

import ebauche.app.web.TypedValues;
import ebauche.core.measure.LengthUnit;
import ebauche.core.shop.Habit;
import ebauche.core.shop.Practice;
import ebauche.core.shop.Shop;
import ebauche.exchange.field.Field;
import ebauche.exchange.field.RecordFields;
import ebauche.exchange.file.ShopFields;
import ebauche.exchange.file.ShopPart;
import ebauche.exchange.json.BuildFileException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What was typed about the shop's ways: every field that is wrong is named at once, and nothing is kept until none is.
 *
 * @param ways as they would be kept
 * @param troubles what is wrong, by field
 */
record WaysForm(ObjectNode ways, Map<String, String> troubles) {

    /**
     * A part of the ways that is typed field by field.
     *
     * @param name in the shop part of a file
     * @param written what a shop has of it
     */
    record Section(String name, List<Field.Input> fields, Function<Shop, ObjectNode> written) {
        private static <T extends Record> Section of(String name, RecordFields<T> of, Function<Shop, T> in) {
            List<Field.Input> fields =
                    of.inputs().stream().map(i -> i.under(name)).toList();
            return new Section(name, fields, shop -> of.write(in.apply(shop)));
        }

        private String key(Field.Input input) {
            return input.path().substring(name.length() + 1);
        }
    }

    static final List<Section> SECTIONS = List.of(
            Section.of("cutting", ShopFields.CUTTING, Shop::cutting),
            Section.of("clearances", ShopFields.CLEARANCES, Shop::clearances),
            Section.of("bands", ShopFields.BANDS, Shop::bands),
            Section.of("limits", ShopFields.LIMITS, Shop::limits),
            Section.of("practice", ShopFields.PRACTICE, Shop::practice),
            Section.of("gluing", ShopFields.GLUING, Shop::gluing),
            Section.of("wire", ShopFields.WIRE, Shop::wire),
            Section.of("longHoles", ShopFields.LONG_HOLES, Shop::longHoles),
            Section.of("shielding", ShopFields.SHIELDING, Shop::shielding),
            Section.of("worth", ShopFields.WORTH, Shop::worth),
            Section.of("rules", ShopFields.RULES, Shop::rules));

    /** Things of which there are several, each in a row of its own, by their place in the shop part. */
    static final Map<String, List<Field.Input>> ROWS = Map.of(
            "gluing.clamps", ShopFields.CLAMPS.inputs(),
            "gluing.cauls", ShopFields.CAULS.inputs(),
            "rules.order", ShopFields.HOUSE_RULE.inputs());

    /** Lists of the practice of which each thing is ticked or not, by their words in the file: how each is asked for. */
    static final Map<String, Map<String, String>> TICKED = Map.of(
            "skills", asked(Practice.Skill.values(), Practice.Skill::key, Practice.Skill::words),
            "habits", asked(Habit.values(), Habit::key, Habit::words));

    private static <T> Map<String, String> asked(T[] values, Function<T, String> key, Function<T, String> words) {
        Map<String, String> asked = new LinkedHashMap<>();
        for (T value : values) {
            asked.put(key.apply(value), words.apply(value));
        }
        return asked;
    }

    private static final int MOST_ROWS = 60;
    private static final Pattern IN_LIST = Pattern.compile("(gluing\\.(?:clamps|cauls)|rules\\.order)\\[(\\d+)](.*)");

    static WaysForm of(Map<String, String> typed, ObjectNode from, LengthUnit bare) {
        ObjectNode ways = from.deepCopy();
        TypedValues values = new TypedValues(typed, bare, new LinkedHashMap<>());
        for (Section section : SECTIONS) {
            ObjectNode out = ways.withObject("/" + section.name());
            section.fields().forEach(f -> values.put(f, f.path(), out, section.key(f)));
        }
        TICKED.forEach((list, words) -> {
            if (typed.containsKey("practice." + list)) {
                ArrayNode ticked = ways.withObject("/practice").putArray(list);
                words.keySet().stream()
                        .filter(w -> typed.containsKey(tick(list, w)))
                        .forEach(ticked::add);
            }
        });
        Map<String, List<Integer>> typedRows = new LinkedHashMap<>();
        ROWS.forEach((list, columns) -> typedRows.put(list, rows(values, list, columns, ways)));
        if (values.troubles().isEmpty()) {
            judge(ways, typedRows, values.troubles());
        }
        return new WaysForm(ways, values.troubles());
    }

    private static String tick(String list, String word) {
        return "practice." + list + "." + word;
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
    private static List<Integer> rows(TypedValues values, String list, List<Field.Input> columns, ObjectNode ways) {
        ArrayNode out = ways.withArray("/" + list.replace('.', '/'));
        out.removeAll();
        List<Integer> filled = new ArrayList<>();
        for (int i = 0; i < MOST_ROWS; i++) {
            String row = list + "." + i + ".";
            if (asked(columns).allMatch(c -> values.isBlank(row + c.path()))) {
                continue;
            }
            filled.add(i);
            ObjectNode json = out.addObject();
            columns.stream()
                    .filter(c -> c.kind() != Field.Kind.CHOICE || !values.isBlank(row + c.path()))
                    .forEach(c -> values.put(c, row + c.path(), json, c.path()));
        }
        return filled;
    }

    /** What tells that a row is filled: its name, so that one whose name was taken out is none any more; any of its choices where it has no name. */
    private static Stream<Field.Input> asked(List<Field.Input> columns) {
        return columns.stream().limit(onlyChoices(columns) ? columns.size() : 1);
    }

    /** Whether a row has nothing but choices: then each may be left open. */
    static boolean onlyChoices(List<Field.Input> columns) {
        return columns.stream().allMatch(c -> c.kind() == Field.Kind.CHOICE);
    }

    /** Ways as the form's fields hold them, lengths as they were typed where they were. */
    static Map<String, String> typed(Ways ways) {
        Map<String, String> typed = new LinkedHashMap<>();
        for (Section section : SECTIONS) {
            // What was kept before a field was asked for is shown with its usual value.
            ObjectNode all = section.written().apply(ways.means().shop());
            ways.json().path(section.name()).properties().forEach(e -> all.set(e.getKey(), e.getValue()));
            section.fields().forEach(f -> typed.put(f.path(), TypedValues.asTyped(all.path(section.key(f)))));
            TICKED.keySet().forEach(list -> all.path(list).forEach(w -> typed.put(tick(list, w.asString("")), "on")));
            ROWS.forEach((list, columns) -> {
                if (list.startsWith(section.name() + ".")) {
                    rows(typed, list, columns, (ArrayNode)
                            all.get(list.substring(section.name().length() + 1)));
                }
            });
        }
        return typed;
    }

    /** Rows of a list up to the last that is filled, and two more. */
    static int rows(Map<String, String> typed, String list) {
        int filled = 0;
        for (int i = 0; i < MOST_ROWS; i++) {
            String row = list + "." + i + ".";
            if (asked(ROWS.get(list))
                    .anyMatch(c -> !typed.getOrDefault(row + c.path(), "").isBlank())) {
                filled = i + 1;
            }
        }
        return Math.min(MOST_ROWS, filled + 2);
    }

    private static void rows(Map<String, String> typed, String list, List<Field.Input> columns, ArrayNode rows) {
        for (int i = 0; i < rows.size(); i++) {
            for (Field.Input c : columns) {
                typed.put(
                        list + "." + i + "." + c.path(),
                        TypedValues.asTyped(rows.get(i).path(c.path())));
            }
        }
    }
}
