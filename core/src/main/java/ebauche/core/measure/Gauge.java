package ebauche.core.measure;

/**
 * How a maker's gauge, rule, saw line or tape shows a length.
 *
 * @param unit what it is divided in
 * @param division how finely
 */
public record Gauge(LengthUnit unit, Division division) {
    /** Decimal noise under which a value counts as lying on a division. */
    private static final double ON_THE_LINE = 1e-6;

    /** As lengths are said: twentieths of a millimetre, 64ths of an inch. */
    public Gauge(LengthUnit unit) {
        this(unit, Division.SAID);
    }

    /** The depth beside it that can be set with a gauge in millimetres, mm. */
    public static double settable(double millimetres, Rounding rounding) {
        return new Gauge(LengthUnit.MILLIMETRE, Division.CALLIPER).shown(millimetres, rounding);
    }

    /** The number as it is read there, without its unit: {@code 24.35}, {@code 0.958}, {@code 1 3/4}. */
    public String number(double millimetres, Rounding rounding) {
        double shown = shown(millimetres, rounding);
        if (unit == LengthUnit.MILLIMETRE) {
            return Decimals.plain(shown, 2);
        }
        return division.byFractions() ? fraction(shown) : Decimals.fixed(shown / LengthUnit.INCH.millimetres(), 3);
    }

    /** What lies on a 64th: {@code 1 3/4}, {@code 3/64}, {@code 0} or {@code -1/8}. */
    private static String fraction(double millimetres) {
        long steps = Math.round(millimetres / LengthUnit.INCH.millimetres() * 64);
        long whole = Math.abs(steps) / 64;
        long top = Math.abs(steps) % 64;
        long bottom = 64;
        while (top != 0 && top % 2 == 0) {
            top /= 2;
            bottom /= 2;
        }
        String sign = steps < 0 ? "-" : "";
        if (top == 0) {
            return sign + whole;
        }
        return sign + (whole == 0 ? "" : whole + " ") + top + "/" + bottom;
    }

    /** The number with its unit. */
    public String text(double millimetres, Rounding rounding) {
        return number(millimetres, rounding) + " " + unit.symbol();
    }

    /** The length that is shown, mm. */
    public double shown(double millimetres, Rounding rounding) {
        double step = division.step(unit);
        double steps = millimetres / step;
        return step
                * switch (rounding) {
                    case LESS -> Math.floor(steps + ON_THE_LINE);
                    case NEAREST -> Math.rint(steps);
                    case MORE -> Math.ceil(steps - ON_THE_LINE);
                };
    }
}
