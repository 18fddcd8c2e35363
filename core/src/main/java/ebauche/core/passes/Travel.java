package ebauche.core.passes;

import ebauche.core.crib.Bit;

/**
 * The way that a bit goes at one depth.
 *
 * @param wall length of the line that it follows, mm
 * @param floor area that it clears beside it, mm²
 */
public record Travel(double wall, double floor) {
    /** Clearing a floor, each round lies so much of the cutter's width beside the last: common practice. */
    private static final double STEP_OVER = 0.5;

    /** How far a bit cuts on it, mm. */
    public double of(Bit bit) {
        return wall + floor / (STEP_OVER * bit.diameter());
    }
}
