package ebauche.exchange.field;

import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.json.JsonPlace;
import ebauche.exchange.json.Lengths;
import ebauche.exchange.json.Words;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * One value that an element of a file holds: how it is read, what a form asks for it, what the file's schema says of it.
 *
 * @param <T> what core makes of it
 */
public final class Field<T> {
    /** How a form asks for a value. */
    public enum Kind {
        LENGTH,
        /** Several, parted by semicolons. */
        LENGTHS,
        NUMBER,
        TEXT,
        LONG_TEXT,
        CHOICE
    }

    /** Whether a value is its element's own, drawn where there is no bought part to follow, or asked only of a bought part. */
    public enum With {
        ALWAYS,
        DRAWN,
        FITTED
    }

    /**
     * What a form asks.
     *
     * @param path its place, from the element or from the design
     * @param options what can be chosen, the usual one first
     * @param measured what a reading at the bench replaces it with
     * @param ofAPart whether it says a part of something that may be left out whole, such as x of a place
     */
    public record Input(
            String path, String label, Kind kind, List<Option> options, Optional<Dimension> measured, boolean ofAPart) {
        public Input(String path, String label, Kind kind, List<Option> options, Optional<Dimension> measured) {
            this(path, label, kind, options, measured, false);
        }

        /** One of several alike, told apart by its number. */
        public Input numbered(int number) {
            return new Input(path, label + " " + number, kind, options, measured, ofAPart);
        }

        private Input partly() {
            return new Input(path, label, kind, options, measured, path.contains("."));
        }

        /** The same under an element's place. */
        public Input under(String element) {
            return element.isEmpty() ? this : new Input(element + "." + path, label, kind, options, measured, ofAPart);
        }
    }

    /** One that can be chosen: its word in a file, and how a form says it. */
    public record Option(String word, String said) {}

    private static final int MOST_FEATURE = 60;
    private static final int MOST_STEP = 110;
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final Map<String, LengthUnit> UNITS = units();

    private final String key;
    private final BiFunction<JsonPlace, String, T> reader;
    private final Optional<T> usual;
    private final boolean needed;
    private final With with;
    private final List<Input> inputs;
    private final ObjectNode schema;
    private final Function<? super T, JsonNode> writer;

    private Field(
            String key,
            BiFunction<JsonPlace, String, T> reader,
            Optional<T> usual,
            boolean needed,
            With with,
            List<Input> inputs,
            ObjectNode schema,
            Function<? super T, JsonNode> writer) {
        this.key = key;
        this.reader = reader;
        this.usual = usual;
        this.needed = needed;
        this.with = with;
        this.inputs = List.copyOf(inputs);
        this.schema = schema;
        this.writer = writer;
    }

    private static <T> Field<T> of(
            String key,
            BiFunction<JsonPlace, String, T> reader,
            boolean needed,
            List<Input> inputs,
            ObjectNode schema) {
        return new Field<>(key, reader, Optional.empty(), needed, With.ALWAYS, inputs, schema, value -> {
            throw new IllegalStateException(key + " is written as it was typed");
        });
    }

    private Field<T> written(Function<? super T, JsonNode> how) {
        return new Field<>(key, reader, usual, needed, with, inputs, schema, how);
    }

    private static Map<String, LengthUnit> units() {
        Map<String, LengthUnit> units = new LinkedHashMap<>();
        units.put("mm", LengthUnit.MILLIMETRE);
        units.put("in", LengthUnit.INCH);
        return units;
    }

    private static ObjectNode json() {
        return JSON.objectNode();
    }

    private static ObjectNode ref(String definition) {
        return json().put("$ref", "#/$defs/" + definition);
    }

    private static Input input(String path, String label, Kind kind) {
        return new Input(path, label, kind, List.of(), Optional.empty());
    }

    /** A length, in millimetres. */
    public static Field<Double> length(String key, String label) {
        return of(key, JsonPlace::length, true, List.of(input(key, label, Kind.LENGTH)), ref("length"))
                .written(Field::length);
    }

    /** A length that may be left open. */
    public static Field<OptionalDouble> lengthIfAny(String key, String label) {
        return of(
                key,
                (spot, k) -> spot.has(k) ? OptionalDouble.of(spot.length(k)) : OptionalDouble.empty(),
                false,
                List.of(input(key, label, Kind.LENGTH)),
                ref("length"));
    }

    public static Field<Double> number(String key, String label) {
        return of(key, JsonPlace::number, true, List.of(input(key, label, Kind.NUMBER)), json().put("type", "number"))
                .written(JSON::numberNode);
    }

    /** A number that may be left open; core refuses what is not between two others. */
    public static Field<OptionalDouble> numberIfAny(String key, String label, double least, double most) {
        return of(
                        key,
                        (spot, k) -> spot.has(k) ? OptionalDouble.of(spot.number(k)) : OptionalDouble.empty(),
                        false,
                        List.of(input(key, label, Kind.NUMBER)),
                        json().put("type", "number"))
                .saying(s -> s.set("minimum", plain(least)).set("maximum", plain(most)));
    }

    /** A number of which core refuses what is not between two others. */
    public static Field<Double> number(String key, String label, double least, double most) {
        return number(key, label).saying(s -> s.set("minimum", plain(least)).set("maximum", plain(most)));
    }

    private static JsonNode plain(double value) {
        return value == Math.rint(value) ? JSON.numberNode((int) value) : JSON.numberNode(value);
    }

    private static JsonNode length(double millimetres) {
        return JSON.stringNode(Lengths.written(millimetres));
    }

    /** Lengths in a list. */
    public static Field<List<Double>> lengths(String key, String label, int least, int most) {
        ObjectNode schema = json().put("type", "array");
        if (least > 0) {
            schema.put("minItems", least);
        }
        schema.put("maxItems", most).set("items", ref("length"));
        return Field.<List<Double>>of(
                        key,
                        (spot, k) -> spot.list(k, most, JsonPlace::asLength),
                        true,
                        List.of(input(key, label, Kind.LENGTHS)),
                        schema)
                .written(all -> array(all, Field::length));
    }

    private static <T> ArrayNode array(Collection<T> all, Function<? super T, JsonNode> how) {
        ArrayNode array = JSON.arrayNode();
        all.forEach(one -> array.add(how.apply(one)));
        return array;
    }

    public static Field<Integer> whole(String key, String label, int least, int most) {
        return of(
                        key,
                        JsonPlace::whole,
                        true,
                        List.of(input(key, label, Kind.NUMBER)),
                        json().put("type", "integer").put("minimum", least).put("maximum", most))
                .written(JSON::numberNode);
    }

    public static Field<String> text(String key, String label, int most) {
        return of(
                        key,
                        (spot, k) -> spot.text(k, most),
                        true,
                        List.of(input(key, label, Kind.TEXT)),
                        json().put("type", "string").put("maxLength", most))
                .written(JSON::stringNode);
    }

    /** What tells a member of a list from the others. */
    public static Field<String> id() {
        return id("id", "called");
    }

    /** The id of a member, its own or another's. */
    public static Field<String> id(String key, String label) {
        return of(key, Field::readId, true, List.of(input(key, label, Kind.TEXT)), ref("id"));
    }

    private static String readId(JsonPlace spot, String key) {
        String id = spot.text(key, 30);
        if (!id.matches("[a-z0-9-]+")) {
            throw spot.at(key).trouble("“" + id + "” may hold small letters, digits and dashes only");
        }
        return id;
    }

    /** One of some words, said as the file writes it. */
    public static <T> Field<T> word(String key, String label, Map<String, T> words) {
        return word(key, label, words, value -> Words.word(words, value).replace('-', ' '));
    }

    /** One of some words, with how each is said. */
    public static <T> Field<T> word(String key, String label, Map<String, T> words, Function<T, String> said) {
        ObjectNode schema = json();
        words.keySet().forEach(schema.putArray("enum")::add);
        List<Option> options = new ArrayList<>();
        words.forEach((word, value) -> options.add(new Option(word, said.apply(value))));
        Input input = new Input(key, label, Kind.CHOICE, List.copyOf(options), Optional.empty());
        return of(key, (spot, k) -> spot.word(k, words), true, List.of(input), schema)
                .written(value -> JSON.stringNode(Words.word(words, value)));
    }

    /** Some of some words, in a list. */
    public static <T extends Comparable<T>> Field<Set<T>> words(String key, Map<String, T> words) {
        ObjectNode schema = json().put("type", "array").put("maxItems", words.size());
        words.keySet().forEach(schema.putObject("items").putArray("enum")::add);
        return Field.<Set<T>>of(
                        key,
                        (spot, k) -> Set.copyOf(spot.list(k, words.size(), s -> s.asWord(words))),
                        true,
                        List.of(),
                        schema)
                .written(
                        some -> array(some.stream().sorted().toList(), one -> JSON.stringNode(Words.word(words, one))));
    }

    /** A list of things. */
    public static <T extends Record> Field<List<T>> list(String key, int most, RecordFields<T> each) {
        ObjectNode schema = json().put("type", "array").put("maxItems", most);
        schema.set("items", each.schema());
        return Field.<List<T>>of(
                        key, (spot, k) -> spot.list(k, most, s -> s.asObject(each::read)), true, List.of(), schema)
                .written(all -> array(all, each::write));
    }

    public static Field<Point> point(String key, String across, String along) {
        return of(
                key,
                JsonPlace::point,
                true,
                List.of(input(key + ".x", across, Kind.LENGTH), input(key + ".y", along, Kind.LENGTH)),
                ref("point"));
    }

    /** A closed line as path data, with its unit. */
    public static Field<Outline> outline(String key, String pathLabel) {
        List<Option> units =
                UNITS.keySet().stream().map(unit -> new Option(unit, unit)).toList();
        Input unit = new Input(key + ".unit", "outline's unit", Kind.CHOICE, units, Optional.empty());
        return of(
                key,
                (spot, k) -> spot.object(k, Field::outline),
                true,
                List.of(unit, input(key + ".path", pathLabel, Kind.LONG_TEXT)),
                ref("outline"));
    }

    /** Several closed lines in one path, each begun with an absolute move. */
    public static Field<List<Outline>> outlines(String key, String pathLabel) {
        Field<Outline> one = outline(key, pathLabel);
        return of(key, (spot, k) -> spot.object(k, Field::outlines), true, one.inputs, one.schema);
    }

    private static List<Outline> outlines(JsonPlace spot) {
        LengthUnit unit = spot.word("unit", UNITS);
        return spot.parsed("path", Integer.MAX_VALUE, text -> Outline.parseAll(text, unit.millimetres()));
    }

    private static Outline outline(JsonPlace spot) {
        LengthUnit unit = spot.word("unit", UNITS);
        return spot.parsed("path", Integer.MAX_VALUE, text -> Outline.parse(text, unit.millimetres()));
    }

    /** An object with a reader of its own, which the schema defines by name; none if it is left out. */
    public static <T> Field<Optional<T>> object(String key, Function<JsonPlace, T> reader, String definition) {
        return of(key, (spot, k) -> spot.optionalObject(k, reader), false, List.of(), ref(definition));
    }

    public static Field<List<Point>> points(String key, int most) {
        ObjectNode schema = json().put("type", "array").put("maxItems", most);
        schema.set("items", ref("point"));
        return of(key, (spot, k) -> spot.list(k, most, JsonPlace::asPoint), false, List.of(), schema);
    }

    /** Features named in a list; a word that is none is kept. */
    public static Field<Set<Feature>> features(String key, int most) {
        ObjectNode schema = json().put("type", "array").put("maxItems", most);
        schema.set("items", json().put("type", "string").put("maxLength", MOST_FEATURE));
        return of(
                key,
                (spot, k) -> spot.list(k, most, s -> s.asText(MOST_FEATURE)).stream()
                        .map(Feature::mentioned)
                        .collect(Collectors.toUnmodifiableSet()),
                false,
                List.of(),
                schema);
    }

    /** Steps named in a list, each once. */
    public static Field<List<StepKey>> steps(String key, int most) {
        ObjectNode schema = json().put("type", "array").put("maxItems", most).put("uniqueItems", true);
        schema.set(
                "items",
                json().put("type", "string").put("maxLength", MOST_STEP).put("pattern", ".+:[a-z0-9-]+"));
        return of(
                key,
                (spot, k) -> {
                    List<StepKey> steps = spot.list(k, most, s -> s.asParsed(MOST_STEP, StepKey::parse));
                    if (Set.copyOf(steps).size() < steps.size()) {
                        throw spot.at(k).trouble("a step is listed twice; each may stand once");
                    }
                    return steps;
                },
                false,
                List.of(),
                schema);
    }

    public static Field<Feature> feature(String key) {
        return of(
                key,
                (spot, k) -> spot.parsed(k, MOST_FEATURE, Feature::mentioned),
                true,
                List.of(),
                json().put("type", "string").put("maxLength", MOST_FEATURE));
    }

    /** One feature; which there are to choose from its element says. */
    public static Field<Feature> feature(String key, String label) {
        Field<Feature> one = feature(key);
        return new Field<>(
                key,
                one.reader,
                one.usual,
                true,
                With.ALWAYS,
                List.of(input(key, label, Kind.CHOICE)),
                one.schema,
                one.writer);
    }

    /** What a reader of its own reads: a form and the schema know it all the same. */
    public static Field<Void> elsewhere(Field<?> known) {
        return of(
                known.key,
                (spot, k) -> {
                    throw new IllegalStateException(k + " has a reader of its own");
                },
                known.needed,
                known.inputs,
                known.schema);
    }

    /** A timber by its key; which there are, the shop says. */
    public static Field<Void> timber(String key, String label) {
        return elsewhere(of(key, (spot, k) -> null, true, List.of(input(key, label, Kind.CHOICE)), ref("timberKey")));
    }

    /** A timber by its key, or none: then it is the one of what it belongs to. */
    public static Field<Void> timberIfOther(String key, String label, String none) {
        List<Option> same = List.of(new Option("", none));
        Input asked = new Input(key, label, Kind.CHOICE, same, Optional.empty());
        return elsewhere(of(key, (spot, k) -> null, false, List.of(asked), ref("timberKey")));
    }

    /** A value that the file's schema defines by a name of its own, and no form asks for. */
    public static Field<Void> defined(String key, String definition) {
        return elsewhere(of(key, (spot, k) -> null, false, List.of(), ref(definition)));
    }

    /** The value where none is said. */
    public Field<T> usually(T value) {
        ObjectNode said = schema.deepCopy();
        if (said.has("enum")) {
            said.set("default", writer.apply(value));
        }
        return new Field<>(key, reader, Optional.of(value), false, with, inputs, said, writer);
    }

    /** May be left out; what that means its reader says. */
    public Field<T> ifAny() {
        return new Field<>(key, reader, usual, false, with, partly(), schema, writer);
    }

    private List<Input> partly() {
        return inputs.stream().map(Input::partly).toList();
    }

    public Field<Optional<T>> orNone() {
        return new Field<>(
                key,
                (spot, k) -> spot.has(k) ? Optional.of(reader.apply(spot, k)) : Optional.empty(),
                Optional.empty(),
                false,
                with,
                partly(),
                schema,
                value -> value.map(writer).orElseThrow());
    }

    /** Drawn: it is its part's where the element follows one. */
    public Field<T> drawn() {
        return new Field<>(key, reader, usual, needed, With.DRAWN, inputs, schema, writer);
    }

    /** Asked only where the element follows a part. */
    public Field<T> fitted() {
        return new Field<>(key, reader, usual, needed, With.FITTED, inputs, schema, writer);
    }

    /** Not asked for in the form of the design. */
    public Field<T> unasked() {
        return new Field<>(key, reader, usual, needed, with, List.of(), schema, writer);
    }

    /** What a reading at the bench stands in the place of. */
    public Field<T> measured(Dimension dimension) {
        List<Input> told = new ArrayList<>();
        inputs.forEach(i -> told.add(new Input(i.path(), i.label(), i.kind(), i.options(), Optional.of(dimension))));
        return new Field<>(key, reader, usual, needed, with, told, schema, writer);
    }

    /** What the schema says of it in words. */
    public Field<T> described(String words) {
        return saying(s -> s.put("description", words));
    }

    private Field<T> saying(Consumer<ObjectNode> more) {
        ObjectNode said = schema.deepCopy();
        more.accept(said);
        return new Field<>(key, reader, usual, needed, with, inputs, said, writer);
    }

    /** The value in an object. */
    public T of(JsonPlace spot) {
        return usual.isPresent() && !spot.has(key) ? usual.get() : reader.apply(spot, key);
    }

    /** The value as a file holds it, where nobody typed it. */
    JsonNode written(T value) {
        return writer.apply(value);
    }

    boolean hasUsual() {
        return usual.isPresent();
    }

    public String key() {
        return key;
    }

    public boolean needed() {
        return needed;
    }

    public With with() {
        return with;
    }

    public List<Input> inputs() {
        return inputs;
    }

    public ObjectNode schema() {
        return schema.deepCopy();
    }
}
