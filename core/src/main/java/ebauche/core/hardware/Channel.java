package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Refusal;

/**
 * A straight hole for wires, from one space of the body into another.
 *
 * @param id short and lasting
 * @param from where the drill is set: in a space that is cut by then, at the edge, or on the front under the bridge
 * @param fromUnder depth of its axis there, under the finished front, mm
 * @param to where its axis is to end
 * @param toUnder depth of its axis there, under the finished front, mm
 * @param diameter mm
 */
public record Channel(String id, Point from, double fromUnder, Point to, double toUnder, double diameter) {
    /** One that is shorter on the plan is no channel, mm. */
    private static final double SHORTEST = 5;

    public Channel {
        Refusal.between(diameter, 1, 20, "diameter");
        Refusal.between(fromUnder, 0, 120, "fromUnder");
        Refusal.between(toUnder, 0, 120, "toUnder");
        Refusal.unless(from.distance(to) >= SHORTEST, "to", "must lie at least 5 mm from where the channel begins");
    }

    public Feature feature() {
        return Feature.of(FeatureKind.CHANNEL, id);
    }

    /** On the plan, mm. */
    public double across() {
        return from.distance(to);
    }

    /** Of its axis, mm. */
    public double length() {
        return Math.hypot(across(), toUnder - fromUnder);
    }

    /** How steeply it goes down, degrees; less than nought where it rises to the front. */
    public double pitch() {
        return Math.toDegrees(Math.atan2(toUnder - fromUnder, across()));
    }

    /** A place along its axis, mm from where it begins. */
    public Point at(double along) {
        return from.towards(to, along / length());
    }

    /** Depth of its axis under the finished front so far along it, mm. */
    public double under(double along) {
        return fromUnder + (toUnder - fromUnder) * along / length();
    }
}
