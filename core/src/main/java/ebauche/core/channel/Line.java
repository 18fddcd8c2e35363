package ebauche.core.channel;

import ebauche.core.geometry.Point;
import ebauche.core.hardware.Channel;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Solid;
import java.util.Optional;

/**
 * The axis of a hole from where it enters the wood to where it leaves it, depths in the stock, mm.
 *
 * @param start depth where it enters
 * @param end depth where it leaves
 */
record Line(Point entry, double start, Point exit, double end) {
    /** The drill is set so far inside a space, and goes on so far into the other, on the plan, mm. */
    static final double INTO = 12;

    /** At the least so far, mm; and its middle at the least so far under the front there. */
    private static final double LEAST_INTO = 2;

    private static final double UNDER_FRONT = 1;

    /** An axis so near a floor hardly opens the space over it, mm. */
    private static final double GRAZES = 0.5;

    double length() {
        return Math.hypot(entry.distance(exit), end - start);
    }

    /** Of length one for each millimetre along it, on the plan. */
    double lean() {
        return entry.distance(exit) / length();
    }

    Point at(double along) {
        return entry.towards(exit, along / length());
    }

    double depth(double along) {
        return start + (end - start) * along / length();
    }

    /** Whether its box is surely farther from a solid's than so. */
    boolean isAwayFrom(Solid solid, double most) {
        var plan = solid.plan();
        return Math.max(entry.x(), exit.x()) + most < plan.minX()
                || Math.min(entry.x(), exit.x()) - most > plan.maxX()
                || Math.max(entry.y(), exit.y()) + most < plan.minY()
                || Math.min(entry.y(), exit.y()) - most > plan.maxY()
                || Math.max(start, end) + most < solid.shallowest()
                || Math.min(start, end) - most > solid.deepest();
    }

    /** Whether it goes through a solid: a hole that only grazes a space lets no wire in. */
    boolean meets(Solid solid, double stride) {
        if (isAwayFrom(solid, 0)) {
            return false;
        }
        for (double s = 0; s <= length(); s += stride) {
            double[] piece = piece(solid, at(s));
            if (piece.length > 0 && depth(s) >= piece[0] + GRAZES && depth(s) <= piece[1] - GRAZES) {
                return true;
            }
        }
        return false;
    }

    /** Whether it comes so near a solid, looked at every so far. */
    boolean isNearer(Solid solid, double least, double stride) {
        if (isAwayFrom(solid, least)) {
            return false;
        }
        double top = solid.shallowest() - least;
        double bottom = solid.deepest() + least;
        for (double s = 0; s <= length(); s += stride) {
            double depth = depth(s);
            if (depth > top && depth < bottom && solid.plan().outside(at(s)) < least) {
                return true;
            }
        }
        return false;
    }

    /** Between which depths a solid is cut away at a place; nothing where it is not. */
    static double[] piece(Solid solid, Point at) {
        if (solid instanceof Bore bore) {
            return bore.plan().contains(at) ? bore.pieceAt(at.x(), at.y()) : new double[0];
        }
        Solid.Prism prism = (Solid.Prism) solid;
        return prism.plan().contains(at)
                ? new double[] {prism.top().depthAt(at), prism.bottom().depthAt(at)}
                : new double[0];
    }

    /** Begun and ended a little inside the two spaces, where the front lets it. */
    Optional<Channel> channel(String id, double wide, double front) {
        double across = entry.distance(exit);
        double fall = (end - start) / across;
        double before = fall > 0 ? Math.min(INTO, (start - front - UNDER_FRONT) / fall) : INTO;
        return before < LEAST_INTO ? Optional.empty() : channel(id, wide, front, before);
    }

    /** Begun where it enters the wood, on the front or at the edge, and ended a little inside the other space. */
    Optional<Channel> fromOutside(String id, double wide, double front) {
        return channel(id, wide, front, 0);
    }

    private Optional<Channel> channel(String id, double wide, double front, double before) {
        double across = entry.distance(exit);
        double fall = (end - start) / across;
        double after = fall < 0 ? Math.min(INTO / 2, (end - front - UNDER_FRONT) / -fall) : INTO / 2;
        double slope = length() / across;
        return after < LEAST_INTO
                ? Optional.empty()
                : Optional.of(new Channel(
                        id,
                        at(-before * slope),
                        Math.max(0, start - before * fall - front),
                        at(length() + after * slope),
                        end + after * fall - front,
                        wide));
    }
}
