package ebauche.core.measure;

/**
 * A length as it reads on an inch rule divided in 64ths.
 *
 * @param negative whether it lies below nought
 * @param whole whole inches
 * @param top numerator in lowest terms, 0 if there is no fraction
 * @param bottom denominator in lowest terms, a power of two up to 64
 * @param errorMm what was lost: the true length less the length read here, millimetres
 */
public record InchFraction(boolean negative, int whole, int top, int bottom, double errorMm) {
    private static final double STEP = LengthUnit.INCH.millimetres() / 64;
    /** Decimal noise under which a value counts as lying on the division. */
    private static final double ON_THE_LINE = 1e-9;

    /** The nearest 64th, as a reading is given. */
    public static InchFraction nearest(double millimetres) {
        return ofSteps(Math.round(millimetres / STEP), millimetres);
    }

    /** The nearest 64th, or the one at or below, or at or above. */
    public static InchFraction rounded(double millimetres, Rounding rounding) {
        double steps = millimetres / STEP;
        return switch (rounding) {
            case LESS -> ofSteps((long) Math.floor(steps + ON_THE_LINE), millimetres);
            case NEAREST -> nearest(millimetres);
            case MORE -> ofSteps((long) Math.ceil(steps - ON_THE_LINE), millimetres);
        };
    }

    private static InchFraction ofSteps(long steps, double millimetres) {
        long size = Math.abs(steps);
        int top = (int) (size % 64);
        int bottom = 64;
        while (top != 0 && top % 2 == 0) {
            top /= 2;
            bottom /= 2;
        }
        return new InchFraction(steps < 0, (int) (size / 64), top, top == 0 ? 1 : bottom, millimetres - steps * STEP);
    }

    /** The length this fraction stands for, millimetres. */
    public double millimetres() {
        double inches = whole + (double) top / bottom;
        return (negative ? -inches : inches) * LengthUnit.INCH.millimetres();
    }

    /** For example {@code 1 3/4}, {@code 3/64}, {@code 0} or {@code -1/8}. */
    @Override
    public String toString() {
        String sign = negative ? "-" : "";
        if (top == 0) {
            return sign + whole;
        }
        return sign + (whole == 0 ? "" : whole + " ") + top + "/" + bottom;
    }
}
