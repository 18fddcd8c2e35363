package ebauche.core.measure;

/**
 * How a maker's rule or gauge shows a length: in 64ths of an inch, or in twentieths of a millimetre.
 *
 * @param unit what it is divided in
 */
public record Gauge(LengthUnit unit) {
    /** The finest step that common workshop callipers and depth gauges are read to, mm: common practice. */
    private static final double METRIC_STEP = 0.05;

    /** Decimal noise under which a value counts as lying on a division. */
    private static final double ON_THE_LINE = 1e-6;

    /** The depth beside it that can be set with a gauge in millimetres, mm. */
    public static double settable(double millimetres, Rounding rounding) {
        return new Gauge(LengthUnit.MILLIMETRE).shown(millimetres, rounding);
    }

    /** The number as it is read there, without its unit: {@code 24.35}, {@code 1 3/4}. */
    public String number(double millimetres, Rounding rounding) {
        return unit == LengthUnit.INCH
                ? InchFraction.rounded(millimetres, rounding).toString()
                : Decimals.plain(shown(millimetres, rounding), 2);
    }

    /** The number with its unit. */
    public String text(double millimetres, Rounding rounding) {
        return number(millimetres, rounding) + " " + unit.symbol();
    }

    /** What a length lies over the mark that it is shown by, mm; less than nought under it. */
    public double offMark(double millimetres, Rounding rounding) {
        return millimetres - shown(millimetres, rounding);
    }

    /** The length that is shown, mm. */
    public double shown(double millimetres, Rounding rounding) {
        if (unit == LengthUnit.INCH) {
            return InchFraction.rounded(millimetres, rounding).millimetres();
        }
        double steps = millimetres / METRIC_STEP;
        return METRIC_STEP
                * switch (rounding) {
                    case LESS -> Math.floor(steps + ON_THE_LINE);
                    case NEAREST -> Math.rint(steps);
                    case MORE -> Math.ceil(steps - ON_THE_LINE);
                };
    }
}
