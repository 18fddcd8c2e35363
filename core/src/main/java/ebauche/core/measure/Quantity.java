package ebauche.core.measure;

/** What kind of number a value is, so that a screen can write its unit. */
public enum Quantity {
    /** Millimetres. */
    LENGTH,
    /** Degrees. */
    ANGLE,
    /** Grams. */
    MASS,
    /** Minutes. */
    TIME,
    /** A ratio or a count. */
    NUMBER,
    /** A ratio so small that it needs five decimals, such as a movement coefficient. */
    FINE
}
