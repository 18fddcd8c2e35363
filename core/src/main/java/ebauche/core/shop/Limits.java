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
 * @param stopsFloor less wood than this under a cavity stops the build: it cannot be cut without breaking through
 * @param stopsWall less wood than this between cavities, or to the edge, stops the build
 * @param pocketPass deepest pass that it takes in a pocket, the router in the hand
 * @param edgePass deepest pass that it takes on a table or round an outline
 * @param edgeLasts after so many metres of cut it looks at a bit's edge
 */
public record Limits(
        double thinnestFloor,
        double thinnestWall,
        double bridgeOffCentre,
        double depthTolerance,
        double thicknessTolerance,
        double angleTolerance,
        double stopsFloor,
        double stopsWall,
        double pocketPass,
        double edgePass,
        double edgeLasts) {

    /** Common practice: a millimetre and a half is gone with the next sanding, or shows through; 10 and 20 deep at most.
     * How long a carbide edge lasts in hardwood at the hand's feed is assumed: a shop sets it by its own bits. */
    public static final Limits USUAL = new Limits(3.0, 3.0, 0.5, 0.15, 0.1, 0.1, 1.5, 1.5, 10, 20, 200);

    /** Noise of the arithmetic under which a thickness counts as the limit itself, mm. */
    private static final double NOISE = 1e-9;

    public Limits {
        Refusal.between(thinnestFloor, 0, 50, "thinnestFloor");
        Refusal.between(thinnestWall, 0, 50, "thinnestWall");
        Refusal.between(bridgeOffCentre, 0, 20, "bridgeOffCentre");
        Refusal.between(depthTolerance, 0.01, 5, "depthTolerance");
        Refusal.between(thicknessTolerance, 0, 5, "thicknessTolerance");
        Refusal.between(angleTolerance, 0, 5, "angleTolerance");
        Refusal.between(stopsFloor, 0, 50, "stopsFloor");
        Refusal.between(stopsWall, 0, 50, "stopsWall");
        Refusal.between(pocketPass, 0.5, 60, "pocketPass");
        Refusal.between(edgePass, 0.5, 60, "edgePass");
        Refusal.between(edgeLasts, 1, 100_000, "edgeLasts");
    }

    /** Least wood that the shop leaves there. */
    public double least(WoodLeft.Kind kind) {
        return kind == WoodLeft.Kind.FLOOR ? thinnestFloor : thinnestWall;
    }

    /** Less wood than this there stops the build. */
    public double stops(WoodLeft.Kind kind) {
        return kind == WoodLeft.Kind.FLOOR ? stopsFloor : stopsWall;
    }

    /** Whether that is so little wood that the build stops; the limit itself is enough. */
    public boolean stops(WoodLeft.Kind kind, double thickness) {
        return thickness < stops(kind) - NOISE;
    }

    /** Whether that is less wood than the shop leaves; the limit itself is enough. */
    public boolean tooThin(WoodLeft.Kind kind, double thickness) {
        return thickness < least(kind) - NOISE;
    }
}
