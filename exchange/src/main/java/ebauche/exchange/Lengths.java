package ebauche.exchange;

import ebauche.core.measure.Decimals;

/** Lengths as files hold them when nobody typed them. */
final class Lengths {
    /** Decimals of a millimetre that are kept: a hundredth of a micrometre does nobody harm. */
    private static final int PLACES = 5;

    private Lengths() {}

    static String written(double millimetres) {
        return Decimals.plain(millimetres, PLACES) + " mm";
    }
}
