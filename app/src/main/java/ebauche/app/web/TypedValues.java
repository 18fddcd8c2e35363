package ebauche.app.web;

import ebauche.app.words.Words;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Rounding;
import ebauche.exchange.field.Field;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Fields as they were typed, read one by one into what a file would hold: every field that is wrong is named at once.
 *
 * @param typed by field
 * @param bare unit of a length without one
 * @param troubles filled with what is wrong, by field
 */
public record TypedValues(Map<String, String> typed, LengthUnit bare, Map<String, String> troubles) {
    private static final Pattern FINE = Pattern.compile("(\\d+\\.\\d{4,}) mm");

    public String text(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    public boolean isBlank(String field) {
        return text(field).isEmpty();
    }

    /** Puts a length under {@code key}, as it was written. */
    public void length(String field, ObjectNode out, String key) {
        try {
            out.put(key, Length.parse(text(field), bare).toString());
        } catch (LengthFormatException e) {
            troubles.put(field, e.getMessage());
        }
    }

    /** Puts a number under {@code key}; a whole one as such. */
    public void number(String field, ObjectNode out, String key) {
        String text = text(field);
        String plain = text.replace(',', '.');
        if (!plain.matches("-?\\d{1,6}(\\.\\d{1,4})?")) {
            troubles.put(
                    field,
                    text.isEmpty()
                            ? Words.say("typed-values.is-empty-and-a-number-is")
                            : Words.say("typed-values.is-no-number", text));
            return;
        }
        double number = Double.parseDouble(plain);
        if (number == Math.rint(number)) {
            out.put(key, (int) number);
        } else {
            out.put(key, number);
        }
    }

    /** Puts lengths under {@code key}, typed with semicolons between; none where nothing was typed. */
    public void lengths(String field, ObjectNode out, String key) {
        ArrayNode all = out.putArray(key);
        for (String part : isBlank(field) ? new String[0] : text(field).split(";")) {
            try {
                all.add(Length.parse(part.strip(), bare).toString());
            } catch (LengthFormatException e) {
                troubles.put(field, e.getMessage());
            }
        }
    }

    /** Puts what was typed for a field under {@code key}, as its kind is written. */
    public void put(Field.Input input, String field, ObjectNode out, String key) {
        switch (input.kind()) {
            case LENGTH -> length(field, out, key);
            case LENGTHS -> lengths(field, out, key);
            case NUMBER -> number(field, out, key);
            case TEXT, LONG_TEXT, CHOICE -> out.put(key, text(field));
        }
    }

    /** A field's value in a file, as it would be typed. */
    public static String asTyped(JsonNode value) {
        if (value.isArray()) {
            return StreamSupport.stream(value.spliterator(), false)
                    .map(TypedValues::asTyped)
                    .collect(Collectors.joining("; "));
        }
        return value.isNumber() ? Decimals.plain(value.asDouble(), 3) : asFraction(value.asString(""));
    }

    /** Millimetres that only a fraction of an inch says shortly are said by it: 1/32 in, not 0.79375 mm. */
    private static String asFraction(String text) {
        Matcher fine = FINE.matcher(text);
        if (!fine.matches()) {
            return text;
        }
        double mm = Double.parseDouble(fine.group(1));
        Gauge rule = new Gauge(LengthUnit.INCH);
        boolean onMark = Math.abs(rule.shown(mm, Rounding.NEAREST) - mm) < 1e-6;
        return onMark ? rule.text(mm, Rounding.NEAREST) : text;
    }
}
