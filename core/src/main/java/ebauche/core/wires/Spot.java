package ebauche.core.wires;

import ebauche.core.geometry.Point;

/**
 * A place in the body.
 *
 * @param at on the plan
 * @param under depth under the finished front, mm
 */
public record Spot(Point at, double under) {
    /** Straight, mm. */
    double distance(Spot other) {
        return Math.hypot(at.distance(other.at), under - other.under);
    }
}
