package ebauche.exchange.drawn;

import ebauche.core.geometry.PathReader;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/** SVG path data as lines, arcs and cubics. */
final class SvgPath implements PathReader.Pen {
    /** Two points of one curve nearer than this are one. */
    private static final double SAME = 1e-9;

    private final List<SubPath> parts = new ArrayList<>();
    private final int most;
    private List<Segment> segments = new ArrayList<>();
    private int count;
    private Point here = new Point(0, 0);
    private Point first = here;
    /** One run of the pen. */
    record SubPath(List<Segment> segments, boolean closed) {}

    private SvgPath(int most) {
        this.most = most;
    }

    static List<SubPath> parts(String data, int most) {
        SvgPath pen = new SvgPath(most);
        new PathReader(data, 1, Double.POSITIVE_INFINITY, pen).read();
        pen.finish(false);
        return pen.parts;
    }

    private static void near(Point p) {
        if (!(Math.abs(p.x()) <= DrawnFile.FARTHEST) || !(Math.abs(p.y()) <= DrawnFile.FARTHEST)) {
            throw new DrawnFileException("SVG: a point of a path lies far outside any drawing of a body");
        }
    }

    private void add(Segment segment) {
        if (++count > most) {
            throw new DrawnFileException("the drawing has more than " + DrawnFile.MOST_PIECES
                    + " pieces. Save only the outline, with fewer, longer curves");
        }
        segments.add(segment);
    }

    @Override
    public void move(Point to) {
        near(to);
        finish(false);
        here = to;
        first = to;
    }

    private void finish(boolean closed) {
        if (!segments.isEmpty()) {
            boolean meets = closed || (here.distance(first) <= SAME && segments.size() > 1);
            parts.add(new SubPath(segments, meets));
            segments = new ArrayList<>();
        }
    }

    @Override
    public void line(Point to) {
        near(to);
        if (to.distance(here) > SAME) {
            add(new Segment.Line(here, to));
            here = to;
        }
    }

    @Override
    public void cubic(Point a, Point b, Point to) {
        near(a);
        near(b);
        near(to);
        if (a.distance(here) + b.distance(here) + to.distance(here) > SAME) {
            add(new Segment.Cubic(here, a, b, to));
        }
        here = to;
    }

    @Override
    public void close() {
        if (first.distance(here) > SAME) {
            add(new Segment.Line(here, first));
        }
        here = first;
        finish(true);
    }

    /** The end-point form of an arc turned into centre and angles, SVG 1.1 appendix F.6.5 and F.6.6. */
    @Override
    public void arc(double rx, double ry, double turned, boolean large, boolean sweepUp, Point to) {
        near(to);
        double a = Math.abs(rx);
        double b = Math.abs(ry);
        if (to.distance(here) <= SAME) {
            return;
        }
        if (a == 0 || b == 0) {
            line(to);
            return;
        }
        double phi = Math.toRadians(turned);
        double c = Math.cos(phi);
        double s = Math.sin(phi);
        double mx = (here.x() - to.x()) / 2;
        double my = (here.y() - to.y()) / 2;
        double x1 = c * mx + s * my;
        double y1 = -s * mx + c * my;
        double grow = x1 * x1 / (a * a) + y1 * y1 / (b * b);
        if (grow > 1) {
            a *= Math.sqrt(grow);
            b *= Math.sqrt(grow);
        }
        double under = Math.max(0, 1 / (x1 * x1 / (a * a) + y1 * y1 / (b * b)) - 1);
        double k = (large == sweepUp ? -1 : 1) * Math.sqrt(under);
        double cx = k * a * y1 / b;
        double cy = -k * b * x1 / a;
        double from = Math.atan2((y1 - cy) / b, (x1 - cx) / a);
        double sweep = Math.atan2((-y1 - cy) / b, (-x1 - cx) / a) - from;
        if (sweepUp && sweep < 0) {
            sweep += 2 * Math.PI;
        } else if (!sweepUp && sweep > 0) {
            sweep -= 2 * Math.PI;
        }
        Affine seen = new Affine(
                c * a,
                s * a,
                -s * b,
                c * b,
                c * cx - s * cy + (here.x() + to.x()) / 2,
                s * cx + c * cy + (here.y() + to.y()) / 2);
        seen.of(new Segment.Arc(new Point(0, 0), 1, from, sweep)).forEach(this::add);
        here = to;
    }
}
