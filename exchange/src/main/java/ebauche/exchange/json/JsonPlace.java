package ebauche.exchange.json;

import ebauche.core.geometry.Point;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.Refusal;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;

/**
 * A place in a JSON document that knows its own name, so that whatever is wrong is answered with where it stands.
 *
 * <p>An object's spot must be closed with {@link #noMore()}, which refuses keys that nobody read.
 */
public final class JsonPlace {
    private static final Instant EARLIEST = Instant.parse("1990-01-01T00:00:00Z");
    private static final Instant LATEST = Instant.parse("2100-01-01T00:00:00Z");

    private final JsonNode node;
    /** What this place lies in; null at the root. */
    private final JsonPlace within;

    /** Its key in there, or its number in brackets; its whole name is put together only for those that ask. */
    private final String key;

    private final Set<String> read = new HashSet<>();

    private JsonPlace(JsonNode node, JsonPlace within, String key) {
        this.node = node;
        this.within = within;
        this.key = key;
    }

    public static JsonPlace root(JsonNode node) {
        return new JsonPlace(node, null, "");
    }

    public String name() {
        return within == null ? key : within.nameOf(key);
    }

    /** The name of what lies here under a key. */
    private String nameOf(String inner) {
        String name = name();
        return name.isEmpty() || inner.startsWith("[") ? name + inner : name + "." + inner;
    }

    public BuildFileException trouble(String reason) {
        return new BuildFileException(name(), reason);
    }

    private JsonPlace child(String key) {
        read.add(key);
        return new JsonPlace(node.get(key), this, key);
    }

    private JsonPlace member(int index) {
        return new JsonPlace(node.get(index), this, "[" + (index + 1) + "]");
    }

    public boolean has(String key) {
        read.add(key);
        return node.isObject() && node.has(key) && !node.get(key).isNull();
    }

    private JsonPlace needed(String key) {
        if (!has(key)) {
            throw child(key).trouble("is missing");
        }
        return child(key);
    }

    /** Reads an object and refuses what it holds beyond what was read. */
    public <T> T object(String key, Function<JsonPlace, T> reader) {
        return needed(key).asObject(reader);
    }

    public <T> Optional<T> optionalObject(String key, Function<JsonPlace, T> reader) {
        return has(key) ? Optional.of(object(key, reader)) : Optional.empty();
    }

    public <T> T asObject(Function<JsonPlace, T> reader) {
        if (!node.isObject()) {
            throw trouble("must be an object in braces, and is " + kind());
        }
        T value = making(() -> reader.apply(this));
        noMore();
        return value;
    }

    /** Runs a constructor of core and says where a value that it refuses stands. */
    private <T> T making(Supplier<T> maker) {
        try {
            return maker.get();
        } catch (Refusal refusal) {
            throw new BuildFileException(nameOf(refusal.field()), refusal.getMessage());
        }
    }

    /** Reads a list; a missing one is empty. */
    public <T> List<T> list(String key, int most, Function<JsonPlace, T> reader) {
        if (!has(key)) {
            return List.of();
        }
        JsonPlace list = child(key);
        if (!list.node.isArray()) {
            throw list.trouble("must be a list in brackets, and is " + list.kind());
        }
        if (list.node.size() > most) {
            throw list.trouble("has " + list.node.size() + " entries; at most " + most + " are read");
        }
        List<T> values = new ArrayList<>();
        for (int i = 0; i < list.node.size(); i++) {
            values.add(reader.apply(list.member(i)));
        }
        return values;
    }

    public String text(String key, int most) {
        return needed(key).asText(most);
    }

    public String text(String key, int most, String otherwise) {
        return has(key) ? text(key, most) : otherwise;
    }

    public String asText(int most) {
        if (!node.isString()) {
            throw trouble("must be text in quotes, and is " + kind());
        }
        String text = node.stringValue();
        if (text.length() > most) {
            throw trouble("is longer than " + most + " characters");
        }
        return text;
    }

    /** A length in millimetres. */
    public double length(String key) {
        return needed(key).asLength();
    }

    public double length(String key, double otherwise) {
        return has(key) ? length(key) : otherwise;
    }

    /** The way that a tool went, in millimetres. */
    public double way(String key) {
        return needed(key).asLength(Length::parseWay);
    }

    public double asLength() {
        return asLength(Length::parse);
    }

    private double asLength(Function<String, Length> parsed) {
        if (node.isNumber()) {
            throw trouble("is the bare number " + node.asString() + "; write it as text with its unit, like \""
                    + node.asString() + " mm\"");
        }
        try {
            return parsed.apply(asText(80)).millimetres();
        } catch (LengthFormatException e) {
            throw trouble(e.getMessage());
        }
    }

    public double number(String key) {
        return needed(key).asNumber();
    }

    /** A number between two others. */
    public double number(String key, double least, double most) {
        return needed(key).asNumber(least, most);
    }

    private double asNumber(double least, double most) {
        double value = asNumber();
        if (value < least || value > most) {
            throw trouble("must lie between " + Decimals.plain(least, 3) + " and " + Decimals.plain(most, 3));
        }
        return value;
    }

    public double number(String key, double otherwise) {
        return has(key) ? number(key) : otherwise;
    }

    public double asNumber() {
        if (!node.isNumber() || !Double.isFinite(node.doubleValue())) {
            throw trouble("must be a number, and is " + kind());
        }
        return node.doubleValue();
    }

    public int whole(String key) {
        JsonPlace spot = needed(key);
        double value = spot.asNumber();
        if (value != Math.rint(value) || Math.abs(value) > 1e6) {
            throw spot.trouble("must be a whole number");
        }
        return (int) value;
    }

    /** One of some words. */
    public <T> T word(String key, Map<String, T> words) {
        return needed(key).asWord(words);
    }

    public <T> T asWord(Map<String, T> words) {
        T value = words.get(asText(60));
        if (value == null) {
            throw trouble("“" + asText(60) + "” is none of " + String.join(", ", new TreeSet<>(words.keySet())));
        }
        return value;
    }

    public Point point(String key) {
        return object(key, JsonPlace::asPointHere);
    }

    public Point asPoint() {
        return asObject(JsonPlace::asPointHere);
    }

    private Point asPointHere() {
        return new Point(length("x"), length("y"));
    }

    /** Runs a reader of text and says where the text stands that it refuses. */
    public <T> T parsed(String key, int most, Function<String, T> parser) {
        return needed(key).asParsed(most, parser);
    }

    /** What a text means to a parser that refuses what it cannot read. */
    public <T> T asParsed(int most, Function<String, T> parser) {
        String text = asText(most);
        try {
            return parser.apply(text);
        } catch (IllegalArgumentException e) {
            throw trouble(e.getMessage());
        }
    }

    /** At most so many numbers, none of them larger than a size, either way. */
    public double[] numbers(int most, double largest) {
        if (!node.isArray() || node.size() > most) {
            throw trouble("must be a list of at most " + most + " numbers");
        }
        double[] out = new double[node.size()];
        for (int i = 0; i < out.length; i++) {
            double value = node.get(i).doubleValue(Double.NaN);
            out[i] = Math.abs(value) <= largest ? value : member(i).asNumber(-largest, largest);
        }
        return out;
    }

    /** A moment, as ISO 8601 writes it, in the years in which anybody can have written it. */
    public String moment(String key) {
        JsonPlace spot = needed(key);
        String text = spot.asText(40);
        try {
            Instant at = Instant.parse(text);
            if (at.isBefore(EARLIEST) || at.isAfter(LATEST)) {
                throw spot.trouble("“" + text + "” lies before " + EARLIEST + " or after " + LATEST);
            }
        } catch (DateTimeException e) {
            throw spot.trouble("“" + text + "” is no moment; write it like 2026-11-02T08:30:00Z");
        }
        return text;
    }

    public JsonPlace at(String key) {
        return needed(key);
    }

    public JsonNode node() {
        return node;
    }

    public Iterable<String> keys() {
        List<String> keys = new ArrayList<>(node.propertyNames());
        read.addAll(keys);
        return keys;
    }

    private void noMore() {
        for (String key : node.propertyNames()) {
            if (!read.contains(key)) {
                String known = String.join(", ", new TreeSet<>(read));
                throw child(key).trouble("is not known here. Known: " + known);
            }
        }
    }

    private String kind() {
        return node == null || node.isNull()
                ? "missing"
                : node.isObject() ? "an object" : node.isArray() ? "a list" : node.isString() ? "text" : "" + node;
    }
}
