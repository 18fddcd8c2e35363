package ebauche.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Decimal numbers as people write them: no exponent, no trailing noughts, no negative nought. */
public final class Decimals {
    /** So near to the middle between two written numbers it is told by its own digits which is meant. */
    private static final double TIE = 1e-4;

    /** A scaled value beyond this is not told apart to a tie, and is written the long way. */
    private static final double LARGEST = 1e9;

    private static final double[] TENS = {1, 10, 100, 1000, 10_000, 100_000, 1_000_000};

    private Decimals() {}

    /** The value to at most {@code places} decimals, without trailing noughts. */
    public static String plain(double value, int places) {
        return plain(value, places, new StringBuilder()).toString();
    }

    /** The same, written on. A drawing writes thousands of numbers. */
    public static StringBuilder plain(double value, int places, StringBuilder to) {
        double scaled = places < TENS.length ? Math.abs(value) * TENS[places] : LARGEST;
        boolean tie = Math.abs(scaled - Math.floor(scaled) - 0.5) < TIE;
        if (scaled < LARGEST && !tie) {
            return written(value < 0, Math.round(scaled), places, to);
        }
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP);
        return to.append(
                rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString());
    }

    /** Whole digits, and as many decimals as are no noughts. */
    private static StringBuilder written(boolean negative, long scaled, int places, StringBuilder to) {
        long digits = scaled;
        int left = places;
        while (left > 0 && digits % 10 == 0) {
            digits /= 10;
            left--;
        }
        long ten = (long) TENS[left];
        if (negative && digits != 0) {
            to.append('-');
        }
        to.append(digits / ten);
        if (left > 0) {
            to.append('.');
            long part = digits % ten;
            for (long nought = ten / 10; part < nought; nought /= 10) {
                to.append('0');
            }
            to.append(part);
        }
        return to;
    }

    /** The value to exactly {@code places} decimals. */
    public static String fixed(double value, int places) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP);
        return (rounded.signum() == 0 ? rounded.abs() : rounded).toPlainString();
    }
}
