package ebauche.core.operation;

import ebauche.core.design.Measurand;
import ebauche.core.measure.Reckoning;

/**
 * What to measure, and what it must be.
 *
 * @param measurand what a reading answers
 * @param expected what it should read now
 * @param below how much less is still good
 * @param above how much more is still good
 * @param with the gauge to use
 */
public record Inspection(Measurand measurand, Reckoning expected, double below, double above, String with) {

    public double least() {
        return expected.value() - below;
    }

    public double most() {
        return expected.value() + above;
    }

    /** Whether a reading lies in the band; its ends belong to it. */
    public boolean holds(double reading) {
        return reading >= least() - 1e-9 && reading <= most() + 1e-9;
    }
}
