package ebauche.exchange.drawn;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/**
 * A B-spline curve, rational or not, as cubic Bézier pieces.
 *
 * <p>Points by de Boor's algorithm (1972) in homogeneous coordinates; the derivative from the spline of the control polygon's
 * differences. Between two knots a curve of degree 3 or less without weights is itself a cubic, so that one piece with the same
 * ends and derivatives is exact. Others are halved until the piece's middle lies on the curve within a tolerance.
 */
final class BSpline {
    private static final int MOST_DEGREE = 9;
    private static final int MOST_HALVINGS = 10;

    private final int degree;
    private final double[] knots;
    private final double[][] homogeneous;
    private final double tolerance;

    /**
     * Takes a spline.
     *
     * @param knots not falling, degree + 1 more than control points
     * @param weights one for each control point, or none
     * @param tolerance of pieces that are not exact
     */
    BSpline(int degree, List<Double> knots, List<Point> control, List<Double> weights, double tolerance) {
        if (degree < 1 || degree > MOST_DEGREE) {
            throw new DrawnFileException("a spline of degree " + degree + " is not read; at most " + MOST_DEGREE);
        }
        if (control.size() < degree + 1 || knots.size() != control.size() + degree + 1) {
            throw new DrawnFileException("a spline of degree " + degree + " has " + control.size()
                    + " control points and " + knots.size() + " knots; that does not fit together");
        }
        if (!weights.isEmpty() && weights.size() != control.size()) {
            throw new DrawnFileException(
                    "a spline has " + weights.size() + " weights for " + control.size() + " points");
        }
        for (int i = 1; i < knots.size(); i++) {
            if (knots.get(i) < knots.get(i - 1)) {
                throw new DrawnFileException("a spline's knots run backwards at knot " + (i + 1));
            }
        }
        this.degree = degree;
        this.knots = knots.stream().mapToDouble(Double::doubleValue).toArray();
        this.homogeneous = new double[control.size()][];
        for (int i = 0; i < control.size(); i++) {
            double w = weights.isEmpty() ? 1 : weights.get(i);
            if (!(w > 0)) {
                throw new DrawnFileException("a spline's weight is " + w + "; weights are more than zero");
            }
            homogeneous[i] =
                    new double[] {control.get(i).x() * w, control.get(i).y() * w, w};
        }
        this.tolerance = tolerance;
    }

    List<Segment> pieces() {
        List<Segment> out = new ArrayList<>();
        for (int k = degree; k < knots.length - degree - 1; k++) {
            if (knots[k + 1] > knots[k]) {
                piece(k, knots[k], knots[k + 1], 0, out);
            }
        }
        if (out.isEmpty()) {
            throw new DrawnFileException("a spline's knots leave no curve between them");
        }
        return out;
    }

    private void piece(int span, double from, double to, int halvings, List<Segment> out) {
        Segment.Cubic cubic = hermite(span, from, to);
        double middle = (from + to) / 2;
        boolean there = cubic.at(0.5).distance(at(span, middle)[0]) <= tolerance
                && cubic.at(0.25).distance(at(span, (from + middle) / 2)[0]) <= tolerance;
        if (there || halvings >= MOST_HALVINGS) {
            if (out.size() >= DrawnFile.MOST_PIECES) {
                throw new DrawnFileException("a spline needs more than " + DrawnFile.MOST_PIECES + " pieces");
            }
            out.add(cubic);
        } else {
            piece(span, from, middle, halvings + 1, out);
            piece(span, middle, to, halvings + 1, out);
        }
    }

    private Segment.Cubic hermite(int span, double from, double to) {
        Point[] a = at(span, from);
        Point[] b = at(span, to);
        double third = (to - from) / 3;
        return new Segment.Cubic(
                a[0],
                a[0].plus(a[1].x() * third, a[1].y() * third),
                b[0].plus(-b[1].x() * third, -b[1].y() * third),
                b[0]);
    }

    /** Point and derivative. */
    private Point[] at(int span, double u) {
        double[][] points = new double[degree + 1][];
        double[][] slopes = new double[degree][3];
        for (int j = 0; j <= degree; j++) {
            int i = span - degree + j;
            points[j] = homogeneous[i].clone();
            if (j > 0) {
                double width = knots[i + degree] - knots[i];
                for (int c = 0; c < 3; c++) {
                    slopes[j - 1][c] = width == 0 ? 0 : degree * (homogeneous[i][c] - homogeneous[i - 1][c]) / width;
                }
            }
        }
        double[] value = deBoor(points, span, u);
        double[] slope = deBoor(slopes, span, u);
        double w = value[2];
        double x = value[0] / w;
        double y = value[1] / w;
        return new Point[] {point(x, y), point((slope[0] - slope[2] * x) / w, (slope[1] - slope[2] * y) / w)};
    }

    private static Point point(double x, double y) {
        if (!Double.isFinite(x) || !Double.isFinite(y)) {
            throw new DrawnFileException("a spline runs off to infinity");
        }
        return new Point(x, y);
    }

    /**
     * De Boor's triangle over the control points that count in a span, the last of them that span's own. Numbered so, a derivative's
     * points meet the same knots.
     */
    private double[] deBoor(double[][] d, int span, double u) {
        int p = d.length - 1;
        for (int r = 1; r <= p; r++) {
            for (int j = p; j >= r; j--) {
                int i = span - p + j;
                double low = knots[i];
                double high = knots[i + p + 1 - r];
                double t = high == low ? 0 : (u - low) / (high - low);
                for (int c = 0; c < 3; c++) {
                    d[j][c] = (1 - t) * d[j - 1][c] + t * d[j][c];
                }
            }
        }
        return d[p];
    }
}
