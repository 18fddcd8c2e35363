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
 * @param held how the drill is held to its angle
 */
public record Channel(String id, Point from, double fromUnder, Point to, double toUnder, double diameter, Held held) {
    /** How a long drill is held to its angle. */
    public enum Held {
        AS_USUAL("as-usual", "as the shop drills"),
        FREE_HAND("free-hand", "free hand"),
        SQUARE("square", "a square or bevel beside it"),
        JIG("jig", "in a jig"),
        PRESS("press", "at the press");

        private final String key;
        private final String words;

        Held(String key, String words) {
            this.key = key;
            this.words = words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }

        public String words() {
            return words;
        }
    }

    /** The bit goes on so far once its axis is through, mm: common practice. */
    public static final double BEYOND = 3;

    /** One that is shorter on the plan is no channel, mm. */
    private static final double SHORTEST = 5;

    public Channel {
        Refusal.between(diameter, 1, 20, "diameter");
        Refusal.between(fromUnder, 0, 120, "fromUnder");
        Refusal.between(toUnder, 0, 120, "toUnder");
        Refusal.unless(from.distance(to) >= SHORTEST, "to", "must lie at least 5 mm from where the channel begins");
    }

    /** One that is drilled as the shop usually drills. */
    public Channel(String id, Point from, double fromUnder, Point to, double toUnder, double diameter) {
        this(id, from, fromUnder, to, toUnder, diameter, Held.AS_USUAL);
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
        double across = across();
        double fall = toUnder - fromUnder;
        return Math.sqrt(across * across + fall * fall);
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

    /**
     * The same begun where it is, running otherwise: so much lower and to the right where it leaves the wood, as one looks along it with the
     * front up.
     *
     * @param enters where it goes into the wood, mm along it
     * @param wood how far it runs in wood, mm
     * @param length mm along its axis
     */
    public Channel running(double enters, double wood, double lower, double right, double length) {
        double leaves = enters + wood;
        double dx = (to.x() - from.x()) / across();
        double dy = (to.y() - from.y()) / across();
        Point in = at(enters);
        Point out = at(leaves).plus(right * dy, -right * dx);
        double underIn = under(enters);
        double underOut = under(leaves) + lower;
        double way = Math.hypot(in.distance(out), underOut - underIn);
        double back = -enters / way;
        double on = (length - enters) / way;
        return new Channel(
                id,
                in.towards(out, back),
                Math.max(0, underIn + back * (underOut - underIn)),
                in.towards(out, on),
                Math.max(0, underIn + on * (underOut - underIn)),
                diameter,
                held);
    }
}
