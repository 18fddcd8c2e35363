package ebauche.core.measure;

/** How finely a length deserves to be shown: what it is set or read with, in either unit. Common practice. */
public enum Division {
    /** A calliper, a depth gauge, a router's stop: twentieths of a millimetre, thousandths of an inch. */
    CALLIPER(0.05, 1000),
    /** A length as it is said and marked: twentieths of a millimetre, 64ths of an inch. */
    SAID(0.05, 64),
    /** A rule or a drill's stop, where half a millimetre is nothing: halves, 64ths. */
    RULE(0.5, 64),
    /** A line to saw to: millimetres, 32nds. */
    SAW(1, 32),
    /** A tape along a board: half millimetres, sixteenths. */
    TAPE(0.5, 16);

    private final double millimetres;
    private final int partsOfAnInch;

    Division(double millimetres, int partsOfAnInch) {
        this.millimetres = millimetres;
        this.partsOfAnInch = partsOfAnInch;
    }

    /** Whether inches are shown as a fraction, not in thousandths. */
    boolean byFractions() {
        return partsOfAnInch <= 64;
    }

    /** One step of it in that unit, mm. */
    double step(LengthUnit unit) {
        return unit == LengthUnit.INCH ? LengthUnit.INCH.millimetres() / partsOfAnInch : millimetres;
    }
}
