package ebauche.core.timber;

import ebauche.core.measure.Refusal;

/**
 * What a moisture meter read.
 *
 * @param day when, in days since any fixed moment, fractions allowed
 * @param percent water per dry wood
 */
public record MoistureReading(double day, double percent) {
    /** Green wood of light timbers holds up to about twice its dry weight; no board in a shop does. */
    public static final double MOST = 150;

    public MoistureReading {
        Refusal.between(percent, 0, MOST, "moisture");
        Refusal.between(day, -1e6, 1e6, "day");
    }
}
