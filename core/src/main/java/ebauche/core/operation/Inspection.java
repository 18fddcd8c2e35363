package ebauche.core.operation;

import ebauche.core.design.Measurand;
import ebauche.core.measure.Reckoning;

/**
 * What to measure, and what it must be.
 *
 * @param measurand what a reading answers
 * @param expected what it should read now
 * @param band how far off is still good, and why
 * @param with the gauge to use
 */
public record Inspection(Measurand measurand, Reckoning expected, Band band, String with) {

    public Inspection with(Band other) {
        return new Inspection(measurand, expected, other, with);
    }

    public double least() {
        return expected.value() - band.below().value();
    }

    public double most() {
        return expected.value() + band.above().value();
    }

    /** Whether a reading lies in the band; its ends belong to it. */
    public boolean holds(double reading) {
        return reading >= least() - 1e-9 && reading <= most() + 1e-9;
    }
}
