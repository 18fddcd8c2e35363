package ebauche.core.measure;

/** Which way a number is rounded to a gauge's step. Settings go to the side that leaves wood, readings to nearest. */
public enum Rounding {
    LESS,
    NEAREST,
    MORE
}
