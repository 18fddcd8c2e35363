package ebauche.app.drawing;

import ebauche.core.measure.Decimals;

/** Scales as the hand's scripts need them: a hundredth would be a millimetre off across a body. */
public final class Decimal {
    private Decimal() {}

    public static String six(double value) {
        return Decimals.plain(value, 6);
    }
}
