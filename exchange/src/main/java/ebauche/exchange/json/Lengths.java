package ebauche.exchange.json;

import ebauche.core.measure.Decimals;

/** Lengths as files hold them when nobody typed them. */
public final class Lengths {
    /** Decimals of a millimetre that are kept: a hundredth of a micrometre does nobody harm. */
    private static final int PLACES = 5;

    private Lengths() {}

    public static String written(double millimetres) {
        return Decimals.plain(millimetres, PLACES) + " mm";
    }
}
