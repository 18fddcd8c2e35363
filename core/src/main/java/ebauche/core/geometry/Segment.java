package ebauche.core.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * One piece of an outline: a straight line, a circular arc or a cubic Bézier curve.
 *
 * <p>Points are reached by a parameter from 0 (start) to 1 (end).
 */
public sealed interface Segment {
    /** Largest distance between a curve and the chords that stand for it, mm: a tenth of what a good rule shows. */
    double FLATNESS = 0.01;

    Point start();

    Point end();

    Point at(double t);

    /** First derivative by the parameter. */
    Point tangent(double t);

    /** Signed curvature, 1/mm; positive where the curve turns left. */
    double curvature(double t);

    /** Half the integral of x dy - y dx along the piece: its share of the signed area (Green's theorem), exact. */
    double areaShare();

    /** Length along the piece, mm. */
    double length();

    /** How many chords keep within {@link #FLATNESS}. */
    int chords();

    /** The same piece run the other way. */
    Segment reversed();

    /** The stretch between two parameters, from 0 to 1 and rising. */
    Segment part(double from, double to);

    /** The piece laid down elsewhere. */
    Segment placed(Placing how);

    /** A straight piece. */
    record Line(Point start, Point end) implements Segment {
        @Override
        public Point at(double t) {
            return start.towards(end, t);
        }

        @Override
        public Point tangent(double t) {
            return new Point(end.x() - start.x(), end.y() - start.y());
        }

        @Override
        public double curvature(double t) {
            return 0;
        }

        @Override
        public double areaShare() {
            return start.cross(end) / 2;
        }

        @Override
        public double length() {
            return start.distance(end);
        }

        @Override
        public int chords() {
            return 1;
        }

        @Override
        public Segment reversed() {
            return new Line(end, start);
        }

        @Override
        public Segment part(double from, double to) {
            return new Line(at(from), at(to));
        }

        @Override
        public Segment placed(Placing how) {
            return new Line(how.of(start), how.of(end));
        }
    }

    /**
     * A circular arc.
     *
     * @param from angle of the start seen from the centre, radians
     * @param sweep angle swept, radians; positive turns left
     */
    record Arc(Point centre, double radius, double from, double sweep) implements Segment {
        /**
         * The arc between two points that bulges so far: the tangent of a quarter of its sweep, positive to the left turn.
         */
        public static Arc ofBulge(Point start, Point end, double bulge) {
            double sweep = 4 * Math.atan(bulge);
            double half = start.distance(end) / 2;
            double radius = half / Math.abs(Math.sin(sweep / 2));
            // The centre stands off the chord's middle, to the left where the arc turns left by less than half a
            // circle.
            double off = half / Math.tan(sweep / 2);
            double ux = (end.x() - start.x()) / (2 * half);
            double uy = (end.y() - start.y()) / (2 * half);
            Point centre = start.towards(end, 0.5).plus(-uy * off, ux * off);
            return new Arc(centre, radius, Math.atan2(start.y() - centre.y(), start.x() - centre.x()), sweep);
        }

        /** Its {@link #ofBulge bulge}; an arc of a whole turn has none. */
        public double bulge() {
            return Math.tan(sweep / 4);
        }

        /** Cubics that follow it within a ten-thousandth of a thousandth of its radius: pieces of at most 22.5 degrees. */
        public List<Cubic> cubics() {
            int n = (int) Math.max(1, Math.ceil(Math.abs(sweep) / (Math.PI / 8)));
            double handle = radius * 4 / 3 * Math.tan(sweep / n / 4);
            List<Cubic> pieces = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                double a = from + sweep * i / n;
                double b = from + sweep * (i + 1) / n;
                Point p = at((double) i / n);
                Point q = at((i + 1.0) / n);
                pieces.add(new Cubic(
                        p,
                        p.plus(-Math.sin(a) * handle, Math.cos(a) * handle),
                        q.plus(Math.sin(b) * handle, -Math.cos(b) * handle),
                        q));
            }
            return pieces;
        }

        @Override
        public Point start() {
            return at(0);
        }

        @Override
        public Point end() {
            return at(1);
        }

        @Override
        public Point at(double t) {
            double angle = from + sweep * t;
            return centre.plus(radius * Math.cos(angle), radius * Math.sin(angle));
        }

        @Override
        public Point tangent(double t) {
            double angle = from + sweep * t;
            return new Point(-radius * sweep * Math.sin(angle), radius * sweep * Math.cos(angle));
        }

        @Override
        public double curvature(double t) {
            return Math.signum(sweep) / radius;
        }

        @Override
        public double areaShare() {
            double to = from + sweep;
            double moved = centre.x() * (Math.sin(to) - Math.sin(from)) - centre.y() * (Math.cos(to) - Math.cos(from));
            return (radius * radius * sweep + radius * moved) / 2;
        }

        @Override
        public double length() {
            return radius * Math.abs(sweep);
        }

        @Override
        public int chords() {
            double step = 2 * Math.acos(Math.max(0, 1 - FLATNESS / radius));
            return Math.max(1, (int) Math.ceil(Math.abs(sweep) / step));
        }

        @Override
        public Segment reversed() {
            return new Arc(centre, radius, from + sweep, -sweep);
        }

        @Override
        public Segment part(double t, double to) {
            return new Arc(centre, radius, from + sweep * t, sweep * (to - t));
        }

        @Override
        public Segment placed(Placing how) {
            return new Arc(how.of(centre), radius * how.scale(), how.angle(from), how.mirrored() ? -sweep : sweep);
        }
    }

    /** A cubic Bézier curve with its two handles. */
    record Cubic(Point start, Point first, Point second, Point end) implements Segment {
        /** Abscissae and weights of five-point Gauss-Legendre quadrature on -1..1. */
        private static final double[][] GAUSS = {
            {0, 0.5688888888888889},
            {-0.5384693101056831, 0.47862867049936647},
            {0.5384693101056831, 0.47862867049936647},
            {-0.9061798459386640, 0.23692688505618908},
            {0.9061798459386640, 0.23692688505618908}
        };

        @Override
        public Point at(double t) {
            double u = 1 - t;
            double a = u * u * u;
            double b = 3 * u * u * t;
            double c = 3 * u * t * t;
            double d = t * t * t;
            return new Point(
                    a * start.x() + b * first.x() + c * second.x() + d * end.x(),
                    a * start.y() + b * first.y() + c * second.y() + d * end.y());
        }

        @Override
        public Point tangent(double t) {
            double u = 1 - t;
            double a = 3 * u * u;
            double b = 6 * u * t;
            double c = 3 * t * t;
            return new Point(
                    a * (first.x() - start.x()) + b * (second.x() - first.x()) + c * (end.x() - second.x()),
                    a * (first.y() - start.y()) + b * (second.y() - first.y()) + c * (end.y() - second.y()));
        }

        @Override
        public double curvature(double t) {
            Point d = tangent(t);
            double u = 1 - t;
            double ax = 6 * (u * (second.x() - 2 * first.x() + start.x()) + t * (end.x() - 2 * second.x() + first.x()));
            double ay = 6 * (u * (second.y() - 2 * first.y() + start.y()) + t * (end.y() - 2 * second.y() + first.y()));
            double speed = Math.hypot(d.x(), d.y());
            return speed < 1e-12 ? 0 : (d.x() * ay - d.y() * ax) / (speed * speed * speed);
        }

        /** Closed form: the integrals of products of Bernstein polynomials and their derivatives. */
        @Override
        public double areaShare() {
            return (6 * start.cross(first)
                            + 3 * start.cross(second)
                            + start.cross(end)
                            + 3 * first.cross(second)
                            + 3 * first.cross(end)
                            + 6 * second.cross(end))
                    / 20;
        }

        /** Gauss-Legendre quadrature over the chords' spans; far below {@link #FLATNESS} in error. */
        @Override
        public double length() {
            int spans = Math.min(64, chords());
            double sum = 0;
            for (int i = 0; i < spans; i++) {
                for (double[] node : GAUSS) {
                    Point d = tangent((i + (node[0] + 1) / 2) / spans);
                    sum += node[1] * Math.hypot(d.x(), d.y()) / 2 / spans;
                }
            }
            return sum;
        }

        /** Wang's bound (1984): n chords of a cubic stay within 6/8 of its largest second difference over n squared. */
        @Override
        public int chords() {
            double bend = Math.max(
                    Math.hypot(start.x() - 2 * first.x() + second.x(), start.y() - 2 * first.y() + second.y()),
                    Math.hypot(first.x() - 2 * second.x() + end.x(), first.y() - 2 * second.y() + end.y()));
            return Math.max(1, (int) Math.ceil(Math.sqrt(0.75 * bend / FLATNESS)));
        }

        @Override
        public Segment reversed() {
            return new Cubic(end, second, first, start);
        }

        /** De Casteljau's: a part's handles lie along the tangents at its ends, a third of its span away. */
        @Override
        public Segment part(double from, double to) {
            double third = (to - from) / 3;
            Point a = at(from);
            Point b = at(to);
            Point u = tangent(from);
            Point v = tangent(to);
            return new Cubic(a, a.plus(u.x() * third, u.y() * third), b.plus(-v.x() * third, -v.y() * third), b);
        }

        @Override
        public Segment placed(Placing how) {
            return new Cubic(how.of(start), how.of(first), how.of(second), how.of(end));
        }
    }

    /** Appends the chords' end points, without the start. */
    default void flattenInto(List<Point> points) {
        int n = chords();
        for (int i = 1; i < n; i++) {
            points.add(at((double) i / n));
        }
        points.add(end());
    }
}
