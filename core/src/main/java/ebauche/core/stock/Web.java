package ebauche.core.stock;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * The least wood between two voids, straight through it in whatever direction.
 *
 * <p>Two places of them lie as far apart as their way on the plan and their way in depth say, so the least is found over pairs of
 * level slices: the way on the plan between two slices, exact, with the way between their depths. Between prisms with level floors
 * and tops there is one pair to ask. Where a slice changes with depth (a tilted floor, a bore) the depths are tried in {@value #TRIED} steps, and the best is closed in on by golden section (Kiefer, 1953): the way falls and then rises with the
 * depth as slices only shrink, so it is found to a few micrometres where one changes, and to a hundredth of a millimetre where both do.
 *
 * @param thickness mm; nought where they meet
 * @param at on the plan, half way
 */
record Web(double thickness, Point at) {
    private static final int TRIED = 12;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
    private static final double CLOSE = 1e-3;
    private static final double PIECE = 60;

    /** A web between one pair of slices. */
    private record Pair(Slices one, Slices other) {
        Optional<Web> at(double depth, double otherDepth) {
            Region a = one.slice(depth);
            Region b = other.slice(otherDepth);
            if (a.isEmpty() || b.isEmpty()) {
                return Optional.empty();
            }
            double down = Math.abs(depth - otherDepth);
            Region shared = a.apart(b) ? Region.EMPTY : a.intersection(b);
            if (!shared.isEmpty()) {
                return Optional.of(new Web(down, shared.inner()));
            }
            Point[] ends = one.isEven() ? a.nearest(b) : b.nearest(a);
            return Optional.of(new Web(Math.hypot(ends[0].distance(ends[1]), down), ends[0].towards(ends[1], 0.5)));
        }
    }

    /**
     * The least wood between a void and a carved face. How far a place lies across the carve changes by no more than the way to it, and by
     * as much on the shortest way; so from a slice that reaches t0 across, the carve's surface at t lies t - t0 away on the plan, and the
     * least is found over t alone.
     */
    static Optional<Web> least(FaceShape.Carved carved, Slices of) {
        Carve carve = carved.surface();
        Best best = new Best();
        for (double[] range : of.isEven() ? new double[][] {{of.from(), of.to()}} : of.ranges()) {
            least(range[0], range[1], depth -> {
                Region slice = of.slice(depth);
                return slice.isEmpty()
                        ? Double.POSITIVE_INFINITY
                        : best.take(Optional.of(toCarve(carve, slice, depth)));
            });
        }
        return Optional.ofNullable(best.web);
    }

    private static Web toCarve(Carve carve, Region slice, double depth) {
        return toCarve(carve, carve.course().farthest(slice), depth);
    }

    private static Web toCarve(Carve carve, Point farthest, double depth) {
        double across = carve.course().across(farthest.x(), farthest.y());
        double under = Math.abs(depth - carve.flat());
        double[] best = {Double.POSITIVE_INFINITY};
        least(Math.max(0, across), Math.max(carve.profile().width(), across), t -> {
            double way = Math.hypot(
                    Math.max(0, t - across), Math.max(0, under - carve.profile().fall(t)));
            best[0] = Math.min(best[0], way);
            return way;
        });
        return new Web(best[0], farthest);
    }

    /** The least wood between two; empty if one of them is nothing. */
    static Optional<Web> least(Slices one, Slices other) {
        Pair pair = new Pair(one, other);
        if (one.isEven() || other.isEven()) {
            Slices changing = one.isEven() ? other : one;
            Slices even = one.isEven() ? one : other;
            Pair asked = new Pair(even, changing);
            return overDepths(changing, depth -> clamp(depth, even), asked);
        }
        return overBoth(pair);
    }

    /**
     * The least wood beside a bore as if its ends were round.
     *
     * @param exact whether it is the wood beside it as it is; else one of its flat ends lies nearest, and there is a little more
     */
    record Round(Web web, boolean exact) {}

    /** The least wood between a bore and a carved face, from its axis. */
    static Round least(FaceShape.Carved carved, Bore bore) {
        return fromAxis(bore, (at, depth) -> toCarve(carved.surface(), at, depth));
    }

    /** The same between a bore and a void whose slices are all alike. */
    static Round least(Bore bore, Slices even) {
        return fromAxis(bore, (at, depth) -> {
            double down = Math.max(0, Math.max(even.from() - depth, depth - even.to()));
            return new Web(Math.hypot(Math.max(0, even.plan().outside(at)), down), at);
        });
    }

    private interface FromAxis {
        Web at(Point at, double depth);
    }

    /**
     * Where the way from the axis is least it stands square to it, so that half of the bore's width lies on it; but not at its ends. It is
     * looked at along every {@value #PIECE} mm by itself, as it may fall and rise more than once.
     */
    private static Round fromAxis(Bore bore, FromAxis way) {
        double length = bore.length();
        int pieces = (int) Math.ceil(length / PIECE);
        double[] bestAt = {0};
        Web[] best = {null};
        for (int i = 0; i < pieces; i++) {
            least(length * i / pieces, length * (i + 1) / pieces, s -> {
                double share = s / length;
                Web web = way.at(
                        bore.from().towards(bore.to(), share),
                        bore.fromDepth() + share * (bore.toDepth() - bore.fromDepth()));
                if (best[0] == null || web.thickness() < best[0].thickness()) {
                    best[0] = web;
                    bestAt[0] = s;
                }
                return web.thickness();
            });
        }
        boolean atEnd = bestAt[0] < 2 * CLOSE || bestAt[0] > length - 2 * CLOSE;
        double wood = Math.max(0, best[0].thickness() - bore.diameter() / 2);
        return new Round(new Web(wood, best[0].at()), !atEnd);
    }

    private static double clamp(double depth, Slices within) {
        return Math.max(within.from(), Math.min(within.to(), depth));
    }

    /** The other's depth follows from the changing one's: as near as can be. */
    private static Optional<Web> overDepths(Slices changing, DoubleUnaryOperator otherDepth, Pair pair) {
        Best best = new Best();
        for (double[] range : changing.ranges()) {
            least(range[0], range[1], depth -> best.take(pair.at(otherDepth.applyAsDouble(depth), depth)));
        }
        return Optional.ofNullable(best.web);
    }

    /** Every depth of one with the best depth of the other. */
    private static Optional<Web> overBoth(Pair pair) {
        Best best = new Best();
        for (double[] range : pair.one().ranges()) {
            least(range[0], range[1], depth -> {
                Best inner = new Best();
                for (double[] others : pair.other().ranges()) {
                    least(others[0], others[1], d -> inner.take(pair.at(depth, d)));
                }
                return best.take(Optional.ofNullable(inner.web));
            });
        }
        return Optional.ofNullable(best.web);
    }

    /** How far it is at one place of a search; who is asked keeps the least. */
    private interface Way {
        double at(double place);
    }

    private static void least(double from, double to, Way way) {
        if (to - from < CLOSE) {
            way.at(from);
            way.at(to);
            return;
        }
        double bestAt = from;
        double best = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= TRIED; i++) {
            double at = from + (to - from) * i / TRIED;
            double here = way.at(at);
            if (here < best) {
                best = here;
                bestAt = at;
            }
        }
        double step = (to - from) / TRIED;
        double low = Math.max(from, bestAt - step);
        double high = Math.min(to, bestAt + step);
        double a = high - GOLDEN * (high - low);
        double b = low + GOLDEN * (high - low);
        double atA = way.at(a);
        double atB = way.at(b);
        while (high - low > CLOSE) {
            if (atA <= atB) {
                high = b;
                b = a;
                atB = atA;
                a = high - GOLDEN * (high - low);
                atA = way.at(a);
            } else {
                low = a;
                a = b;
                atA = atB;
                b = low + GOLDEN * (high - low);
                atB = way.at(b);
            }
        }
    }

    /** The least so far. */
    private static final class Best {
        private Web web;

        double take(Optional<Web> found) {
            if (found.isEmpty()) {
                return Double.POSITIVE_INFINITY;
            }
            if (web == null || found.get().thickness() < web.thickness()) {
                web = found.get();
            }
            return found.get().thickness();
        }
    }
}
