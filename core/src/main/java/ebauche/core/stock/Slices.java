package ebauche.core.stock;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.function.DoubleFunction;

/**
 * A void told by its level slices: what it covers of the plan at each depth. A prism between level surfaces is one slice from top to
 * bottom; one with a tilted surface, a level bore and a carved face are ever smaller, or larger, ones.
 *
 * @param from least depth
 * @param to greatest depth
 * @param evenFrom between this depth and {@code evenTo} every slice is the whole plan; not a number where none is
 * @param plan the largest slice, or what all of them cover
 * @param at the slice at a depth between {@code from} and {@code to}; empty where it has shrunk to a line or a point
 */
record Slices(double from, double to, double evenFrom, double evenTo, Region plan, DoubleFunction<Region> at) {

    private static final double PIECE = 30;

    static Slices of(Solid solid) {
        return solid instanceof Bore bore ? of(bore) : of((Solid.Prism) solid);
    }

    private static Slices of(Bore bore) {
        if (bore.isUpright()) {
            return new Slices(
                    bore.shallowest(),
                    bore.deepest(),
                    bore.shallowest(),
                    bore.deepest(),
                    bore.plan(),
                    d -> bore.plan());
        }
        return bore.isLevel()
                ? level(bore)
                : new Slices(bore.shallowest(), bore.deepest(), Double.NaN, Double.NaN, bore.plan(), bore::slice);
    }

    /** Half as wide as its section's chord at each depth, and as long as it is. */
    private static Slices level(Bore bore) {
        double radius = bore.diameter() / 2;
        return new Slices(bore.shallowest(), bore.deepest(), bore.fromDepth(), bore.fromDepth(), bore.plan(), depth -> {
            double off = depth - bore.fromDepth();
            double half = Math.sqrt(Math.max(0, radius * radius - off * off));
            return half < 1e-9
                    ? Region.EMPTY
                    : Bore.level(bore.from(), bore.to(), bore.fromDepth(), 2 * half)
                            .plan();
        });
    }

    private static Slices of(Solid.Prism prism) {
        double top = prism.top().isLevel() ? prism.shallowest() : prism.top().deepest(prism.plan());
        double bottom =
                prism.bottom().isLevel() ? prism.deepest() : prism.bottom().shallowest(prism.plan());
        return new Slices(prism.shallowest(), prism.deepest(), top, Math.max(top, bottom), prism.plan(), depth -> {
            Region slice = prism.plan();
            if (depth < top) {
                slice = side(slice, prism.top(), depth, true);
            }
            return depth > bottom ? side(slice, prism.bottom(), depth, false) : slice;
        });
    }

    /** Where a tilted surface lies no deeper than a depth, or no shallower; a carved one counts with all of its plan. */
    private static Region side(Region plan, Surface surface, double depth, boolean shallower) {
        if (!(surface instanceof Plane plane) || plane.isLevel()) {
            return plan;
        }
        double sign = shallower ? -1 : 1;
        double slope = Math.hypot(plane.slopeX(), plane.slopeY());
        double dx = sign * plane.slopeX() / slope;
        double dy = sign * plane.slopeY() / slope;
        double off = (depth - plane.depth()) / slope * sign;
        Point foot = new Point(dx * off, dy * off);
        return plan.intersection(plan.leftOf(foot, foot.plus(dy, -dx)));
    }

    boolean isEven() {
        return evenFrom <= from && evenTo >= to;
    }

    /** The slice at a depth. */
    Region slice(double depth) {
        return depth >= evenFrom && depth <= evenTo ? plan : at.apply(depth);
    }

    /**
     * The depths over which slices change, and the even ones as their two ends: in each range the way to a neighbour is looked for by
     * itself. Slices that move along the plan are taken in pieces of no more than {@value #PIECE} mm of it.
     */
    double[][] ranges() {
        if (!Double.isNaN(evenFrom)) {
            return new double[][] {{from, evenFrom}, {evenFrom, evenTo}, {evenTo, to}};
        }
        double longest = Math.hypot(plan.maxX() - plan.minX(), plan.maxY() - plan.minY());
        double[][] ranges = new double[(int) Math.ceil(longest / PIECE)][];
        for (int i = 0; i < ranges.length; i++) {
            double step = (to - from) / ranges.length;
            ranges[i] = new double[] {from + i * step, from + (i + 1) * step};
        }
        return ranges;
    }

    /** How far apart two lie in depth at the least, mm. */
    double apartInDepth(Slices other) {
        return Math.max(0, Math.max(from - other.to, other.from - to));
    }
}
