package ebauche.core.measure;

import java.util.Locale;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A length that keeps its millimetres and the way it was written, so that who typed {@code 1 3/4"} reads it again.
 *
 * <p>It parses whole numbers, decimals (point or comma) and fractions with one unit: {@code 44.5 mm}, {@code 4.4 cm},
 * {@code 1 3/4 in}, {@code 1-3/4"}, {@code 3/64"}, {@code 23 thou}. A fraction without a unit is inches, since no
 * metric rule has fractions; any other bare number needs a unit or a reader's default. Lengths may be negative; the
 * fields that hold them state their own limits. Two lengths are equal when their millimetres are.
 *
 * <p>Refused: two units, a fraction over nought, exponents, anything not finite or beyond {@value #LARGEST_MM} mm.
 */
public final class Length implements Comparable<Length> {
    /** No length in this craft comes near it; a larger one is a slip of the keyboard. */
    public static final double LARGEST_MM = 10_000;

    /** The way that a tool goes in one step is no longer, such as a bit's through a hollow, depth by depth. */
    public static final double FARTHEST_MM = 1_000_000;

    private static final Pattern WRITTEN = Pattern.compile("(?<sign>[-+−])?\\s*"
            + "(?:(?<decimal>\\d{1,9}(?:[.,]\\d{0,40})?|[.,]\\d{1,40})"
            + "|(?:(?<whole>\\d{1,9})(?:\\s+|\\s*-\\s*))?(?<top>\\d{1,9})\\s*[/⁄]\\s*(?<bottom>\\d{1,9}))"
            + "\\s*(?<unit>mm|millimetres?|millimeters?|cm|inches|inch|in|thou|\"|”|″)?\\.?");

    /** Nearer than this a length lies on a division of a rule, mm. */
    private static final double ON_THE_LINE = 1e-6;

    private static final Pattern UNIT =
            Pattern.compile("(?i)(mm|millimet(?:re|er)s?|cm|inch(?:es)?|in|thou|\"|”|″|ft|feet|')");

    private final double millimetres;
    private final String written;

    /** Kept to a millionth of a micrometre, so that 1 3/4 in and 44.45 mm are one number whatever the arithmetic. */
    private Length(double millimetres, String written) {
        this.millimetres = Math.rint(millimetres * 1e9) / 1e9 + 0.0;
        this.written = written;
    }

    /** A length in millimetres, written as such. */
    public static Length ofMillimetres(double millimetres) {
        checkSize(millimetres, Double.toString(millimetres));
        return new Length(millimetres, Decimals.plain(millimetres, 4) + " mm");
    }

    /** A length in decimal inches, written as such. */
    public static Length ofInches(double inches) {
        checkSize(inches * LengthUnit.INCH.millimetres(), Double.toString(inches));
        return new Length(inches * LengthUnit.INCH.millimetres(), Decimals.plain(inches, 5) + " in");
    }

    /** Parses a length that names its unit, or is a fraction (inches). */
    public static Length parse(String text) {
        return parse(text, null);
    }

    /**
     * Parses a length; a bare decimal is taken in {@code bare}.
     *
     * @param bare the unit of a number without one, or null to refuse it
     * @throws LengthFormatException if the text is no length
     */
    public static Length parse(String text, LengthUnit bare) {
        return parse(text, bare, LARGEST_MM);
    }

    /** Parses the way that a tool went: it may be longer than any part. */
    public static Length parseWay(String text) {
        return parse(text, null, FARTHEST_MM);
    }

    private static Length parse(String text, LengthUnit bare, double most) {
        String trimmed = Objects.requireNonNull(text, "text").strip();
        if (trimmed.isEmpty()) {
            throw new LengthFormatException(trimmed, "is empty, and a length is wanted here");
        }
        Matcher m = trimmed.length() > 60 ? null : WRITTEN.matcher(trimmed.toLowerCase(Locale.ROOT));
        if (m == null || !m.matches()) {
            throw new LengthFormatException(
                    trimmed, countUnits(trimmed) > 1 ? "has more than one unit" : "is no length");
        }
        double number = m.group("decimal") != null ? decimal(m.group("decimal"), trimmed) : fraction(m, trimmed);
        String unit = m.group("unit");
        String kept = trimmed;
        if (unit == null && m.group("decimal") != null) {
            if (bare == null) {
                throw new LengthFormatException(trimmed, "has no unit");
            }
            kept = trimmed + " " + bare.symbol();
        }
        double value = number * perUnit(unit, m.group("decimal") == null ? LengthUnit.INCH : bare);
        double signed = m.group("sign") == null || m.group("sign").equals("+") ? value : -value;
        checkSize(signed, trimmed, most);
        return new Length(signed, kept);
    }

    public double millimetres() {
        return millimetres;
    }

    /**
     * A length written in a unit: inches as a fraction where they come to a whole 64th.
     *
     * @throws LengthFormatException if it is longer than any length
     */
    public static Length of(double millimetres, LengthUnit unit) {
        if (unit == LengthUnit.MILLIMETRE) {
            return ofMillimetres(millimetres);
        }
        Gauge rule = new Gauge(unit);
        if (Math.abs(rule.shown(millimetres, Rounding.NEAREST) - millimetres) > ON_THE_LINE) {
            return ofInches(millimetres / unit.millimetres());
        }
        checkSize(millimetres, Double.toString(millimetres));
        return new Length(millimetres, rule.text(millimetres, Rounding.NEAREST));
    }

    public double inches() {
        return millimetres / LengthUnit.INCH.millimetres();
    }

    /** The length as it was written. */
    @Override
    public String toString() {
        return written;
    }

    @Override
    public int compareTo(Length other) {
        return Double.compare(millimetres, other.millimetres);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Length length && Double.compare(millimetres, length.millimetres) == 0;
    }

    @Override
    public int hashCode() {
        return Double.hashCode(millimetres);
    }

    private static double decimal(String digits, String read) {
        if (digits.matches("\\d{1,3},\\d{3}")) {
            throw new LengthFormatException(read, "could be a thousand or a decimal; write the decimal with a point");
        }
        return Double.parseDouble(digits.replace(',', '.'));
    }

    private static double fraction(Matcher m, String read) {
        double bottom = Double.parseDouble(m.group("bottom"));
        if (bottom == 0) {
            throw new LengthFormatException(read, "is a fraction over zero");
        }
        double whole = m.group("whole") == null ? 0 : Double.parseDouble(m.group("whole"));
        return whole + Double.parseDouble(m.group("top")) / bottom;
    }

    private static double perUnit(String unit, LengthUnit otherwise) {
        if (unit == null) {
            return otherwise.millimetres();
        }
        return switch (unit.charAt(0)) {
            case 'm' -> 1.0;
            case 'c' -> 10.0;
            case 't' -> LengthUnit.INCH.millimetres() / 1000;
            default -> LengthUnit.INCH.millimetres();
        };
    }

    private static long countUnits(String text) {
        return UNIT.matcher(text).results().count();
    }

    private static void checkSize(double millimetres, String read) {
        checkSize(millimetres, read, LARGEST_MM);
    }

    private static void checkSize(double millimetres, String read, double most) {
        if (!(Math.abs(millimetres) <= most)) {
            throw new LengthFormatException(read, "is beyond " + Decimals.plain(most, 0) + " mm");
        }
    }
}
