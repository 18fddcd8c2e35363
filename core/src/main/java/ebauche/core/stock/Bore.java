package ebauche.core.stock;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.memo.Memo;
import java.util.ArrayList;
import java.util.List;

/**
 * A round hole drilled straight in any direction, its two ends flat and square to its axis.
 *
 * <p>With u the axis's unit vector, h its share on the plan and v = u's share in depth: a place at depth t, a along and b beside the axis on
 * the plan, lies in the hole where b² + (a v − t h)² ≤ r² and 0 ≤ a h + t v ≤ L. So a level slice is an ellipse, r beside and r / |v| along,
 * cut off by two straight lines; the shadow is what the two end discs and the way between them cover. A vertical line through the hole
 * meets it in one piece, whose ends are found by solving the same for t.
 *
 * @param from where its axis enters the wood, on the plan
 * @param fromDepth of the axis there, mm
 * @param to where its axis ends
 * @param toDepth of the axis there, mm
 * @param diameter mm
 */
public record Bore(Point from, double fromDepth, Point to, double toDepth, double diameter) implements Solid {
    /** An axis that rises or falls by less is level, and one that lies by less off the upright stands upright: sine. */
    private static final double LEVEL = 1e-9;

    /** An ellipse is told by chords that lie no farther inside it, mm. */
    private static final double CHORD = 0.002;

    private static final double CLOSE = 1e-6;

    /** Pieces of the line beside its axis, at the least. */
    private static final int FEWEST = 12;

    /** Two bores are told from each other's ends to such a place along, mm; to and fro until it hardly changes, or so often. */
    private static final double ALONG = 1e-3;

    /** About what its shadow weighs. */
    private static final long SHADOW_BYTES = 20_000;

    private static final double STILL = 1e-7;
    private static final int MOST_TURNS = 400;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    public Bore {
        if (!(diameter > 0) || Math.hypot(from.distance(to), toDepth - fromDepth) < 1e-6) {
            throw new IllegalArgumentException("a bore needs a diameter and a length");
        }
    }

    /** A level one, parallel to the faces. */
    public static Bore level(Point from, Point to, double depth, double diameter) {
        return new Bore(from, depth, to, depth, diameter);
    }

    /** Of its axis, mm. */
    public double length() {
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double fall = toDepth - fromDepth;
        return Math.sqrt(dx * dx + dy * dy + fall * fall);
    }

    /** The least depth of its axis, mm. */
    double highestAxis() {
        return Math.min(fromDepth, toDepth);
    }

    /** The greatest depth of its axis, mm. */
    double lowestAxis() {
        return Math.max(fromDepth, toDepth);
    }

    /** How steeply it goes down, degrees from the faces; less than nought where it rises to the front. */
    public double pitch() {
        return Math.toDegrees(Math.atan2(toDepth - fromDepth, from.distance(to)));
    }

    public boolean isLevel() {
        return Math.abs(down()) < LEVEL;
    }

    boolean isUpright() {
        return flat() < LEVEL;
    }

    private double down() {
        return (toDepth - fromDepth) / length();
    }

    private double flat() {
        return from.distance(to) / length();
    }

    private double radius() {
        return diameter / 2;
    }

    /** The way along its axis on the plan, of length one. */
    private Point along() {
        double way = from.distance(to);
        return isUpright() ? new Point(1, 0) : new Point((to.x() - from.x()) / way, (to.y() - from.y()) / way);
    }

    /** How far along its axis a place in space lies, mm from where it begins. */
    double alongAxis(Point at, double depth) {
        double way = from.distance(to);
        double ahead = way == 0
                ? 0
                : ((to.x() - from.x()) * (at.x() - from.x()) + (to.y() - from.y()) * (at.y() - from.y())) / length();
        return ahead + (depth - fromDepth) * down();
    }

    /** Whether another runs on the same axis, whichever way. */
    boolean isOnAxis(Bore other) {
        return offAxis(other.from, other.fromDepth) < CLOSE && offAxis(other.to, other.toDepth) < CLOSE;
    }

    private double offAxis(Point at, double depth) {
        double along = alongAxis(at, depth) / length();
        Point foot = from.towards(to, along);
        return Math.hypot(foot.distance(at), fromDepth + along * (toDepth - fromDepth) - depth);
    }

    /** The part of it between two places along its axis, mm from where it begins. */
    Bore between(double first, double last) {
        double one = first / length();
        double other = last / length();
        double fall = toDepth - fromDepth;
        return new Bore(
                from.towards(to, one),
                fromDepth + one * fall,
                from.towards(to, other),
                fromDepth + other * fall,
                diameter);
    }

    @Override
    public Region plan() {
        return Memo.here().get(new Shadow(this), this::shadow, r -> SHADOW_BYTES);
    }

    /** What is remembered of a bore. */
    private record Shadow(Bore of) {}

    private Region shadow() {
        if (isUpright()) {
            return Region.disc(from, diameter);
        }
        if (isLevel()) {
            double length = from.distance(to);
            double sideX = -(to.y() - from.y()) / length * diameter / 2;
            double sideY = (to.x() - from.x()) / length * diameter / 2;
            return Region.ofRing(List.of(
                    from.plus(sideX, sideY),
                    from.plus(-sideX, -sideY),
                    to.plus(-sideX, -sideY),
                    to.plus(sideX, sideY)));
        }
        // Of two ellipses that are one moved along the axis the outer halves, joined.
        double half = radius() * Math.abs(down());
        int pieces = corners(half) / 2;
        Point along = along();
        List<Point> ring = new ArrayList<>();
        for (int end = 0; end < 2; end++) {
            Point centre = end == 0 ? to : from;
            for (int i = 0; i <= pieces; i++) {
                double angle = Math.PI * ((double) i / pieces - 0.5 + end);
                double a = half * Math.cos(angle);
                double b = radius() * Math.sin(angle);
                ring.add(centre.plus(a * along.x() - b * along.y(), a * along.y() + b * along.x()));
            }
        }
        return Region.ofRing(ring);
    }

    /** So many that no chord lies farther inside than {@link #CHORD}. */
    private int corners(double half) {
        return (int) Math.max(24, Math.ceil(Math.PI / Math.sqrt(2 * CHORD / Math.max(half, radius()))));
    }

    @Override
    public double shallowest() {
        return Math.min(fromDepth, toDepth) - radius() * flat();
    }

    @Override
    public double deepest() {
        return Math.max(fromDepth, toDepth) + radius() * flat();
    }

    @Override
    public double shallowest(Region over) {
        return isLevel() || isUpright() || over.isEmpty() ? shallowest() : -extreme(over, false);
    }

    @Override
    public double deepest(Region over) {
        return isLevel() || isUpright() || over.isEmpty() ? deepest() : extreme(over, true);
    }

    /** How deep it lies at the most, or how high, is asked. */
    private record Extreme(Bore of, Region over, boolean deepest) {}

    private double extreme(Region over, boolean deepest) {
        return Memo.here().get(new Extreme(this, over, deepest), () -> farthest(over, deepest), r -> 0);
    }

    private double farthest(Region over, boolean deepest) {
        Region part = over.intersection(plan());
        return part.isEmpty() ? (deepest ? deepest() : -shallowest()) : way(farthestDown(part, deepest), deepest);
    }

    /** How deep its under side lies at a place, or how high its upper one. */
    private double way(Point at, boolean deepest) {
        double[] piece = pieceAt(at.x(), at.y());
        if (piece.length == 0) {
            return deepest ? shallowest() : -deepest();
        }
        return deepest ? piece[1] : -piece[0];
    }

    /**
     * Where its under side is deepest over an area, or its upper one highest: at the end that lies so, if that is in the area; else on the
     * area's edge, as the hole is convex. Only pieces of the edge are searched that may lie deeper than the deepest of its corners.
     */
    private Point farthestDown(Region over, boolean deepest) {
        boolean atTo = deepest == (toDepth > fromDepth);
        Point end = atTo ? to : from;
        double back = (deepest ? -1 : 1) * radius() * down();
        Point best = end.plus(back * along().x(), back * along().y());
        if (over.contains(best)) {
            return best;
        }
        Point[] found = {over.inner()};
        double[] most = {way(found[0], deepest)};
        over.forEachRing(ring -> {
            for (int i = 0; i + 1 < ring.length; i += 2) {
                keepDeeper(new Point(ring[i], ring[i + 1]), deepest, found, most);
            }
        });
        over.forEachRing(ring -> {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Point a = new Point(ring[i], ring[i + 1]);
                Point b = new Point(ring[i + 2], ring[i + 3]);
                if (atMost(a, b, deepest) > most[0]) {
                    keepDeeper(onEdge(a, b, deepest), deepest, found, most);
                }
            }
        });
        return found[0];
    }

    private void keepDeeper(Point at, boolean deepest, Point[] found, double[] most) {
        double here = way(at, deepest);
        if (here > most[0]) {
            most[0] = here;
            found[0] = at;
        }
    }

    /** What {@link #way} is nowhere more than along a straight edge: as far out as the edge's farther end, as near the axis as its nearest place. */
    private double atMost(Point a, Point b, boolean deepest) {
        Point along = along();
        double h = flat();
        double rise = down() / h * (deepest ? 1 : -1);
        double ahead = Math.max(
                rise * (along.x() * (a.x() - from.x()) + along.y() * (a.y() - from.y())),
                rise * (along.x() * (b.x() - from.x()) + along.y() * (b.y() - from.y())));
        double besideA = along.x() * (a.y() - from.y()) - along.y() * (a.x() - from.x());
        double besideB = along.x() * (b.y() - from.y()) - along.y() * (b.x() - from.x());
        double beside = besideA * besideB <= 0 ? 0 : Math.min(Math.abs(besideA), Math.abs(besideB));
        double half = Math.sqrt(Math.max(0, radius() * radius() - beside * beside));
        return (deepest ? fromDepth : -fromDepth) + ahead + half / h;
    }

    /** Along a straight edge it rises and then falls: closed in on by golden section. */
    private Point onEdge(Point a, Point b, boolean deepest) {
        double low = 0;
        double high = 1;
        double length = a.distance(b);
        while ((high - low) * length > CLOSE) {
            double one = high - GOLDEN * (high - low);
            double other = low + GOLDEN * (high - low);
            if (way(a.towards(b, one), deepest) >= way(a.towards(b, other), deepest)) {
                high = other;
            } else {
                low = one;
            }
        }
        return a.towards(b, (low + high) / 2);
    }

    /** The depths between which an upright line through a place is in the hole; empty where it is not. */
    public double[] pieceAt(double x, double y) {
        double wx = x - from.x();
        double wy = y - from.y();
        if (isLevel()) {
            double length = from.distance(to);
            double off = ((to.x() - from.x()) * wy - (to.y() - from.y()) * wx) / length;
            double square = diameter * diameter / 4 - off * off;
            double half = square > 0 ? Math.sqrt(square) : 0;
            return new double[] {fromDepth - half, fromDepth + half};
        }
        double a = along().x() * wx + along().y() * wy;
        double b = along().x() * wy - along().y() * wx;
        double v = down();
        double h = flat();
        double square = radius() * radius() - b * b;
        if (square < 0 || (isUpright() && square < a * a)) {
            return new double[0];
        }
        double first = -a * h / v;
        double last = (length() - a * h) / v;
        double low = Math.min(first, last);
        double high = Math.max(first, last);
        if (!isUpright()) {
            low = Math.max(low, (a * v - Math.sqrt(square)) / h);
            high = Math.min(high, (a * v + Math.sqrt(square)) / h);
        }
        return low < high ? new double[] {fromDepth + low, fromDepth + high} : new double[0];
    }

    /** What it covers of the plan at a depth: an ellipse, cut off by the planes of its ends. */
    Region slice(double depth) {
        double t = depth - fromDepth;
        double v = down();
        double h = flat();
        double centre = t * h / v;
        double near = -t * v / h;
        double far = (length() - t * v) / h;
        double half = radius() / Math.abs(v);
        double first = Math.max(near, centre - half);
        double last = Math.min(far, centre + half);
        if (last - first < CLOSE) {
            return Region.EMPTY;
        }
        // Only the piece of the ellipse that is left is told: of a bore that is nearly level it is a small share of a
        // very long one.
        double begin = Math.acos(Math.max(-1, (first - centre) / half));
        double end = Math.acos(Math.min(1, (last - centre) / half));
        int pieces = (int) Math.max(FEWEST, Math.ceil(corners(half) * (begin - end) / (2 * Math.PI)));
        Point along = along();
        List<Point> ring = new ArrayList<>();
        for (int side = 1; side >= -1; side -= 2) {
            for (int i = 0; i <= pieces; i++) {
                double share = (double) (side > 0 ? i : pieces - i) / pieces;
                double angle = begin + share * (end - begin);
                double a = Math.max(first, Math.min(last, centre + half * Math.cos(angle)));
                double b = side * radius() * Math.sin(angle);
                ring.add(from.plus(a * along.x() - b * along.y(), a * along.y() + b * along.x()));
            }
        }
        return Region.ofRing(ring);
    }

    /**
     * The wood between two bores: between their axes less both radii where they pass each other; where one of them ends there, from its
     * flat end. Both are convex, so the way from a slice of one to the other falls and then rises along it (golden section), and the nearest
     * places of a slice and the other are found by going to and fro between them (alternating projections, von Neumann).
     */
    Passing passing(Bore other) {
        double[] u = axis();
        double[] w = other.axis();
        double[] apart = {from.x() - other.from.x(), from.y() - other.from.y(), fromDepth - other.fromDepth};
        double across = dot(u, w);
        double sine = 1 - across * across;
        double s = (across * dot(w, apart) - dot(u, apart)) / sine;
        double t = (dot(w, apart) - across * dot(u, apart)) / sine;
        boolean pass = sine > CLOSE && s > 0 && t > 0 && s < length() && t < other.length();
        if (!pass) {
            return ending(other);
        }
        Point mine = from.towards(to, s / length());
        Point its = other.from.towards(other.to, t / other.length());
        double between = Math.hypot(mine.distance(its), fromDepth + s * u[2] - other.fromDepth - t * w[2]);
        return new Passing(between - radius() - other.radius(), mine.towards(its, 0.5));
    }

    private Passing ending(Bore other) {
        double low = 0;
        double high = length();
        Passing best = fromSlice(0, other);
        Passing last = fromSlice(high, other);
        best = last.wood() < best.wood() ? last : best;
        while (high - low > ALONG) {
            double one = high - GOLDEN * (high - low);
            double two = low + GOLDEN * (high - low);
            Passing first = fromSlice(one, other);
            Passing second = fromSlice(two, other);
            if (first.wood() <= second.wood()) {
                high = two;
                best = first.wood() < best.wood() ? first : best;
            } else {
                low = one;
                best = second.wood() < best.wood() ? second : best;
            }
        }
        return best;
    }

    /** From the disc across it, so far along, to the other. */
    private Passing fromSlice(double along, Bore other) {
        double[] at = {0, 0, 0};
        double[] there = {0, 0, 0};
        double[] start = place(along);
        System.arraycopy(start, 0, at, 0, 3);
        double far = Double.POSITIVE_INFINITY;
        for (int i = 0; i < MOST_TURNS; i++) {
            other.project(at, 0, other.length(), there);
            project(there, along, along, at);
            double now = Math.sqrt(square(at, there));
            if (far - now < STILL) {
                far = now;
                break;
            }
            far = now;
        }
        return new Passing(far, new Point((at[0] + there[0]) / 2, (at[1] + there[1]) / 2));
    }

    private double[] place(double along) {
        double[] u = axis();
        return new double[] {from.x() + along * u[0], from.y() + along * u[1], fromDepth + along * u[2]};
    }

    /** The place of it nearest to another, between two places along it. */
    private void project(double[] place, double least, double most, double[] into) {
        double[] u = axis();
        double dx = place[0] - from.x();
        double dy = place[1] - from.y();
        double dz = place[2] - fromDepth;
        double along = dx * u[0] + dy * u[1] + dz * u[2];
        double bx = dx - along * u[0];
        double by = dy - along * u[1];
        double bz = dz - along * u[2];
        double beside = Math.sqrt(bx * bx + by * by + bz * bz);
        double share = beside > radius() ? radius() / beside : 1;
        double held = Math.max(least, Math.min(most, along));
        into[0] = from.x() + held * u[0] + share * bx;
        into[1] = from.y() + held * u[1] + share * by;
        into[2] = fromDepth + held * u[2] + share * bz;
    }

    private static double square(double[] a, double[] b) {
        double x = a[0] - b[0];
        double y = a[1] - b[1];
        double z = a[2] - b[2];
        return x * x + y * y + z * z;
    }

    private double[] axis() {
        return new double[] {
            (to.x() - from.x()) / length(), (to.y() - from.y()) / length(), (toDepth - fromDepth) / length()
        };
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    /** Two bores where they are nearest; the wood is less than nought where they meet. */
    record Passing(double wood, Point at) {}

    /** Its upper side, or its under one, over the plan. */
    Surface side(boolean under) {
        return isLevel() || isUpright() ? Plane.at(under ? deepest() : shallowest()) : new Side(this, under, 0);
    }

    /**
     * One side of a hole that runs aslant.
     *
     * @param by so much deeper
     */
    record Side(Bore bore, boolean under, double by) implements Surface {
        @Override
        public double depthAt(double x, double y) {
            double[] piece = bore.pieceAt(x, y);
            double beside = under ? bore.shallowest() : bore.deepest();
            return by + (piece.length == 0 ? beside : piece[under ? 1 : 0]);
        }

        @Override
        public boolean isLevel() {
            return false;
        }

        @Override
        public Point highest(Region over) {
            return under ? least(over) : bore.farthestDown(over, false);
        }

        @Override
        public Point lowest(Region over) {
            return under ? bore.farthestDown(over, true) : least(over);
        }

        /** Its sides bulge outward, so that the other way round the farthest lies at a corner of the area. */
        private Point least(Region over) {
            Point[] best = {over.inner()};
            over.forEachRing(ring -> {
                for (int i = 0; i < ring.length; i += 2) {
                    Point at = new Point(ring[i], ring[i + 1]);
                    boolean less = under ? depthAt(at) < depthAt(best[0]) : depthAt(at) > depthAt(best[0]);
                    best[0] = less ? at : best[0];
                }
            });
            return best[0];
        }

        @Override
        public Side lowered(double more) {
            return new Side(bore, under, by + more);
        }
    }
}
