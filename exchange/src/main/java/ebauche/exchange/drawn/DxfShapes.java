package ebauche.exchange.drawn;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/** DXF's entities as pieces of a path, in the drawing's own units. */
final class DxfShapes {
    /** Curves that are no cubics are followed so near, as a share of the drawing's size. */
    private static final double CLOSE = 2e-6;

    private DxfShapes() {}

    static List<Segment> line(DxfEntity e) {
        Point a = new Point(e.needed(10), e.needed(20));
        Point b = new Point(e.needed(11), e.needed(21));
        return a.equals(b) ? List.of() : List.of(new Segment.Line(a, b));
    }

    private static Point centre(DxfEntity e) {
        return new Point(e.needed(10), e.needed(20));
    }

    private static double radius(DxfEntity e) {
        double radius = e.needed(40);
        if (!(radius > 0)) {
            throw new DrawnFileException(
                    "DXF, line " + e.pairs().get(0).line() + ": a radius of " + radius + " draws nothing");
        }
        return radius;
    }

    static Segment arc(DxfEntity e) {
        double from = Math.toRadians(e.needed(50));
        double sweep = Math.toRadians(e.needed(51)) - from;
        sweep -= 2 * Math.PI * Math.floor(sweep / (2 * Math.PI));
        return new Segment.Arc(centre(e), radius(e), from, sweep == 0 ? 2 * Math.PI : sweep);
    }

    static List<Segment> circle(DxfEntity e) {
        Point centre = centre(e);
        double radius = radius(e);
        return List.of(new Segment.Arc(centre, radius, 0, Math.PI), new Segment.Arc(centre, radius, Math.PI, Math.PI));
    }

    /** Cubics of the circle that it is seen from its own axes. */
    static List<Segment> ellipse(DxfEntity e) {
        Point centre = centre(e);
        double ax = e.needed(11);
        double ay = e.needed(21);
        double ratio = e.number(40, 1);
        double from = e.number(41, 0);
        double to = e.number(42, 2 * Math.PI);
        if (Math.hypot(ax, ay) == 0 || !(ratio > 0)) {
            throw new DrawnFileException("DXF, line " + e.pairs().get(0).line() + ": an ellipse without an axis");
        }
        double sweep = to - from;
        sweep = sweep > 0 && sweep <= 2 * Math.PI + 1e-9
                ? sweep
                : sweep - 2 * Math.PI * Math.floor(sweep / (2 * Math.PI));
        List<Segment> out = new ArrayList<>();
        for (Segment.Cubic c : new Segment.Arc(new Point(0, 0), 1, from, sweep).cubics()) {
            out.add(Affine.of(ax, ay, -ay * ratio, ax * ratio, centre.x(), centre.y())
                    .of(c));
        }
        return out;
    }

    static List<double[]> vertices(DxfEntity e) {
        List<double[]> vertices = new ArrayList<>();
        for (DxfEntity.Pair p : e.pairs()) {
            switch (p.code()) {
                case 10 -> vertices.add(new double[] {p.number(), Double.NaN, 0});
                case 20 -> {
                    if (!vertices.isEmpty()) {
                        vertices.get(vertices.size() - 1)[1] = p.number();
                    }
                }
                case 42 -> {
                    if (!vertices.isEmpty()) {
                        vertices.get(vertices.size() - 1)[2] = p.number();
                    }
                }
                default -> {
                    // Widths and heights do not move the line.
                }
            }
        }
        for (double[] v : vertices) {
            if (Double.isNaN(v[1])) {
                throw new DrawnFileException(
                        "DXF, line " + e.pairs().get(0).line() + ": a polyline's point has no second coordinate");
            }
        }
        return vertices;
    }

    static List<Segment> polyline(List<double[]> vertices, boolean closed) {
        List<Segment> out = new ArrayList<>();
        int n = vertices.size();
        for (int i = 0; i < (closed ? n : n - 1); i++) {
            double[] v = vertices.get(i);
            double[] w = vertices.get((i + 1) % n);
            Point a = new Point(v[0], v[1]);
            Point b = new Point(w[0], w[1]);
            if (!a.equals(b)) {
                out.add(Math.abs(v[2]) < 1e-9 ? new Segment.Line(a, b) : Segment.Arc.ofBulge(a, b, v[2]));
            }
        }
        return out;
    }

    static List<Segment> spline(DxfEntity e, double size) {
        List<Double> knots = new ArrayList<>();
        List<Double> weights = new ArrayList<>();
        List<Point> control = new ArrayList<>();
        double x = Double.NaN;
        for (DxfEntity.Pair p : e.pairs()) {
            switch (p.code()) {
                case 40 -> knots.add(p.number());
                case 41 -> weights.add(p.number());
                case 10 -> x = p.number();
                case 20 -> control.add(new Point(Double.isNaN(x) ? 0 : x, p.number()));
                default -> {
                    // Tolerances, tangents and fit points do not make the curve where control points do.
                }
            }
        }
        if (control.isEmpty()) {
            throw new DrawnFileException(
                    "DXF, line " + (e.pairs().isEmpty() ? 1 : e.pairs().get(0).line())
                            + ": a spline without control points is not read. Let your program write them");
        }
        return new BSpline((int) e.number(71, 3), knots, control, weights, CLOSE * size).pieces();
    }
}
