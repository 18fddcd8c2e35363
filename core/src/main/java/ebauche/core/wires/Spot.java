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

    /** By how much a straight way from one place to here turns towards another, degrees; nought where either is here. */
    double turn(Spot from, Spot to) {
        double ax = at.x() - from.at.x();
        double ay = at.y() - from.at.y();
        double az = under - from.under;
        double bx = to.at.x() - at.x();
        double by = to.at.y() - at.y();
        double bz = to.under - under;
        double lengths = Math.sqrt((ax * ax + ay * ay + az * az) * (bx * bx + by * by + bz * bz));
        double cos = (ax * bx + ay * by + az * bz) / lengths;
        return lengths == 0 ? 0 : Math.toDegrees(Math.acos(Math.max(-1, Math.min(1, cos))));
    }
}
