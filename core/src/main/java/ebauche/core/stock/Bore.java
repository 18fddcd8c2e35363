package ebauche.core.stock;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
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
        return Math.hypot(from.distance(to), toDepth - fromDepth);
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
        double half = radius() * Math.abs(down());
        return ellipse(from, half).hullWith(ellipse(to, half));
    }

    /** An ellipse round a place, the radius beside the axis and so much along it. */
    private Region ellipse(Point centre, double half) {
        double largest = Math.max(half, radius());
        int corners = (int) Math.max(24, Math.ceil(Math.PI / Math.sqrt(2 * CHORD / largest)));
        Point along = along();
        List<Point> ring = new ArrayList<>();
        for (int i = 0; i < corners; i++) {
            double angle = 2 * Math.PI * i / corners;
            double a = half * Math.cos(angle);
            double b = radius() * Math.sin(angle);
            ring.add(centre.plus(a * along.x() - b * along.y(), a * along.y() + b * along.x()));
        }
        return Region.ofRing(ring);
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

    private double extreme(Region over, boolean deepest) {
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
     * area's edge, as the hole is convex.
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
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Point at = onEdge(new Point(ring[i], ring[i + 1]), new Point(ring[i + 2], ring[i + 3]), deepest);
                double here = way(at, deepest);
                if (here > most[0]) {
                    most[0] = here;
                    found[0] = at;
                }
            }
        });
        return found[0];
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
        Point along = along();
        Point centre = from.plus(along.x() * t * h / v, along.y() * t * h / v);
        double near = -t * v / h;
        double far = (length() - t * v) / h;
        Region ellipse = ellipse(centre, radius() / Math.abs(v));
        return cut(cut(ellipse, near, 1), far, -1);
    }

    /** The part of a region that lies farther along the axis than a place, or less far. */
    private Region cut(Region region, double place, int side) {
        Point along = along();
        Point at = from.plus(along.x() * place, along.y() * place);
        Point beside = at.plus(side * along.y(), -side * along.x());
        return region.intersection(region.leftOf(at, beside));
    }

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
