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

    /** A search that ends within {@value #CLOSE} mm of a least knows it so well, mm. */
    private static final double NOISE = 1e-6;

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
     * least is found over t alone. On a ruled carve that goes farther in than the way is long, so much less is promised: never too much.
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
        double steepest = carve.course().steepest();
        double[] best = {Double.POSITIVE_INFINITY};
        least(Math.max(0, across), Math.max(carve.profile().width(), across), t -> {
            double way = Math.hypot(
                    Math.max(0, t - across) / steepest,
                    Math.max(0, under - carve.profile().fall(t)));
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

    /** The least wood between a bore and a carved face, from its axis; from the rim of the end that lies nearest, where one does. */
    static Web least(FaceShape.Carved carved, Bore bore) {
        return besideBore(bore, (at, depth) -> toCarve(carved.surface(), at, depth));
    }

    /** The same between a bore and a void whose slices are all alike. */
    static Web least(Bore bore, Slices even) {
        return besideBore(bore, (at, depth) -> {
            double down = Math.max(0, Math.max(even.from() - depth, depth - even.to()));
            return new Web(Math.hypot(Math.max(0, even.plan().outside(at)), down), at);
        });
    }

    private interface FromPlace {
        Web at(Point at, double depth);
    }

    /**
     * Where the way from the axis falls and rises again it stands square to it, so that half of the bore's width lies on it; at the ends
     * their rims are looked at. It is looked at along every {@value #PIECE} mm by itself, as it may fall and rise more than once.
     */
    private static Web besideBore(Bore bore, FromPlace way) {
        double length = bore.length();
        double radius = bore.diameter() / 2;
        int pieces = (int) Math.ceil(length / PIECE);
        Best best = new Best();
        for (int i = 0; i < pieces; i++) {
            Best onAxis = new Best();
            double[] bestAt = {0};
            least(length * i / pieces, length * (i + 1) / pieces, s -> {
                Web web = alongAxis(bore, s, way);
                if (onAxis.web == null || web.thickness() < onAxis.web.thickness()) {
                    bestAt[0] = s;
                }
                return onAxis.take(Optional.of(web));
            });
            if (falls(bore, bestAt[0], onAxis.web.thickness(), way)) {
                best.take(Optional.of(new Web(Math.max(0, onAxis.web.thickness() - radius), onAxis.web.at())));
            }
        }
        for (boolean start : new boolean[] {true, false}) {
            double end = alongAxis(bore, start ? 0 : length, way).thickness();
            if (best.web == null || end - radius < best.web.thickness()) {
                best.take(Optional.of(atEnd(bore, start, way)));
            }
        }
        return best.web;
    }

    private static Web alongAxis(Bore bore, double s, FromPlace way) {
        double share = s / bore.length();
        return way.at(
                bore.from().towards(bore.to(), share), bore.fromDepth() + share * (bore.toDepth() - bore.fromDepth()));
    }

    /** Whether it is no nearer on either side of a place along the axis, and that is none of its ends. */
    private static boolean falls(Bore bore, double at, double here, FromPlace way) {
        double step = 2 * CLOSE;
        return at > step
                && at < bore.length() - step
                && alongAxis(bore, at - step, way).thickness() > here - NOISE
                && alongAxis(bore, at + step, way).thickness() > here - NOISE;
    }

    /**
     * To a flat end: the way to what lies beyond a disc is least on its rim, or where a ridge stands over it, which one of two
     * chords through its middle crosses; or a little before the rim, along the wall of the hole.
     */
    private static Web atEnd(Bore bore, boolean start, FromPlace way) {
        Disc disc = Disc.of(bore, start);
        Best best = new Best();
        double nearest = 0;
        double least = Double.POSITIVE_INFINITY;
        double step = 2 * Math.PI / TRIED;
        for (int i = 0; i < TRIED; i++) {
            double here = best.take(Optional.of(disc.asked(way, i * step, 1, 0)));
            if (here < least) {
                least = here;
                nearest = i * step;
            }
        }
        double round = nearest;
        least(round - step, round + step, r -> best.take(Optional.of(disc.asked(way, r, 1, 0))));
        for (double chord : new double[] {round, round + Math.PI / 2}) {
            least(-1, 1, out -> best.take(Optional.of(disc.asked(way, chord, out, 0))));
        }
        least(0, Math.min(PIECE, bore.length()), back -> best.take(Optional.of(disc.asked(way, round, 1, back))));
        return best.web;
    }

    /**
     * A flat end of a bore.
     *
     * @param inX share of the way from it into the bore, with {@code inY} on the plan and {@code inZ} in depth
     */
    private record Disc(Point middle, double depth, double radius, double inX, double inY, double inZ) {
        static Disc of(Bore bore, boolean start) {
            Point middle = start ? bore.from() : bore.to();
            Point beyond = start ? bore.to() : bore.from();
            double depth = start ? bore.fromDepth() : bore.toDepth();
            double under = start ? bore.toDepth() : bore.fromDepth();
            double length = bore.length();
            return new Disc(
                    middle,
                    depth,
                    bore.diameter() / 2,
                    (beyond.x() - middle.x()) / length,
                    (beyond.y() - middle.y()) / length,
                    (under - depth) / length);
        }

        /** From a place on it, so far round and out, or behind that along the bore. */
        Web asked(FromPlace way, double round, double out, double back) {
            double level = Math.hypot(inX, inY);
            double beside = radius * out * Math.cos(round);
            double aslant = radius * out * Math.sin(round);
            double besideX = level > 0 ? -inY / level : 1;
            double besideY = level > 0 ? inX / level : 0;
            // Square to both: beside x in.
            double x = besideY * inZ;
            double y = -besideX * inZ;
            double z = besideX * inY - besideY * inX;
            return way.at(
                    middle.plus(beside * besideX + aslant * x + back * inX, beside * besideY + aslant * y + back * inY),
                    depth + aslant * z + back * inZ);
        }
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
