package ebauche.core.measure;

/** The two units a maker's rule is divided in. */
public enum LengthUnit {
    MILLIMETRE("mm", 1.0),
    /** The international inch: exactly 25.4 mm since the yard and pound agreement of 1959. */
    INCH("in", 25.4);

    private final String symbol;
    private final double millimetres;

    LengthUnit(String symbol, double millimetres) {
        this.symbol = symbol;
        this.millimetres = millimetres;
    }

    public String symbol() {
        return symbol;
    }

    /** How many millimetres one of this unit is. */
    public double millimetres() {
        return millimetres;
    }
}
