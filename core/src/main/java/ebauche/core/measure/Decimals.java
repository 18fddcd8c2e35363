package ebauche.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Decimal numbers as people write them: no exponent, no trailing noughts, no negative nought. */
public final class Decimals {
    private Decimals() {}

    /** The value to at most {@code places} decimals, without trailing noughts. */
    public static String plain(double value, int places) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP);
        return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
    }

    /** The value to exactly {@code places} decimals. */
    public static String fixed(double value, int places) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP);
        return (rounded.signum() == 0 ? rounded.abs() : rounded).toPlainString();
    }
}
