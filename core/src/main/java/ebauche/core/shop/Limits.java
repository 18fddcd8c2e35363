package ebauche.core.shop;

import ebauche.core.measure.Refusal;
import ebauche.core.stock.WoodLeft;

/**
 * What the shop will not go below, and how closely it works. Millimetres, degrees for the angle.
 *
 * @param thinnestFloor least wood under any cavity
 * @param thinnestWall least wood between cavities, or between a cavity and the edge
 * @param bridgeOffCentre how far the bridge's middle may stand off the centre line
 * @param depthTolerance how closely a routed floor is hit, either way
 * @param thicknessTolerance how closely a heel, fingerboard or body thickness is known
 * @param angleTolerance how closely the neck angle is known, degrees
 */
public record Limits(
        double thinnestFloor,
        double thinnestWall,
        double bridgeOffCentre,
        double depthTolerance,
        double thicknessTolerance,
        double angleTolerance) {

    /** Noise of the arithmetic under which a thickness counts as the limit itself, mm. */
    private static final double NOISE = 1e-9;

    public Limits {
        Refusal.between(thinnestFloor, 0, 50, "thinnestFloor");
        Refusal.between(thinnestWall, 0, 50, "thinnestWall");
        Refusal.between(bridgeOffCentre, 0, 20, "bridgeOffCentre");
        Refusal.between(depthTolerance, 0.01, 5, "depthTolerance");
        Refusal.between(thicknessTolerance, 0, 5, "thicknessTolerance");
        Refusal.between(angleTolerance, 0, 5, "angleTolerance");
    }

    /** Least wood that the shop leaves there. */
    public double least(WoodLeft.Kind kind) {
        return kind == WoodLeft.Kind.FLOOR ? thinnestFloor : thinnestWall;
    }

    /** Whether that is less wood than the shop leaves; the limit itself is enough. */
    public boolean tooThin(WoodLeft.Kind kind, double thickness) {
        return thickness < least(kind) - NOISE;
    }
}
