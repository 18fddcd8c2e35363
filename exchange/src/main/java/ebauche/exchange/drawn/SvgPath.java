package ebauche.exchange.drawn;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import java.util.ArrayList;
import java.util.List;
import org.apache.batik.parser.PathHandler;
import org.apache.batik.parser.PathParser;

/** SVG path data as lines, arcs and cubics; the letters are parsed by Batik, whose numbers are floats. */
final class SvgPath implements PathHandler {
    /** Two points of one curve nearer than this are one. */
    private static final double SAME = 1e-9;

    private final List<SubPath> parts = new ArrayList<>();
    private final int most;
    private List<Segment> segments = new ArrayList<>();
    private int count;
    private Point here = new Point(0, 0);
    private Point first = here;
    /** The last handle, for curves that go on smoothly: of a cubic, or of a quadratic; null after anything else. */
    private Point cubicHandle;

    private Point quadHandle;

    /** One run of the pen. */
    record SubPath(List<Segment> segments, boolean closed) {}

    private SvgPath(int most) {
        this.most = most;
    }

    static List<SubPath> parts(String data, int most) {
        SvgPath handler = new SvgPath(most);
        PathParser parser = new PathParser();
        parser.setPathHandler(handler);
        parser.parse(data);
        return handler.parts;
    }

    private Point at(double x, double y, boolean relative) {
        Point p = relative ? here.plus(x, y) : new Point(x, y);
        if (Math.abs(p.x()) > DrawnFile.FARTHEST || Math.abs(p.y()) > DrawnFile.FARTHEST) {
            throw new DrawnFileException("SVG: a point of a path lies far outside any drawing of a body");
        }
        return p;
    }

    private void add(Segment segment) {
        if (++count > most) {
            throw new DrawnFileException("the drawing has more than " + DrawnFile.MOST_PIECES
                    + " pieces. Save only the outline, with fewer, longer curves");
        }
        segments.add(segment);
    }

    private void move(Point to) {
        finish(false);
        here = to;
        first = to;
        forget();
    }

    private void forget() {
        cubicHandle = null;
        quadHandle = null;
    }

    private void finish(boolean closed) {
        if (!segments.isEmpty()) {
            boolean meets = closed || (here.distance(first) <= SAME && segments.size() > 1);
            parts.add(new SubPath(segments, meets));
            segments = new ArrayList<>();
        }
    }

    private void line(Point to) {
        if (to.distance(here) > SAME) {
            add(new Segment.Line(here, to));
            here = to;
        }
        forget();
    }

    private void cubic(Point a, Point b, Point to) {
        if (a.distance(here) + b.distance(here) + to.distance(here) > SAME) {
            add(new Segment.Cubic(here, a, b, to));
        }
        here = to;
        cubicHandle = b;
        quadHandle = null;
    }

    private void quad(Point handle, Point to) {
        Point from = here;
        cubic(from.towards(handle, 2.0 / 3), to.towards(handle, 2.0 / 3), to);
        cubicHandle = null;
        quadHandle = handle;
    }

    /** The last handle mirrored about where the pen stands. */
    private Point smooth(Point handle) {
        return handle == null ? here : handle.towards(here, 2);
    }

    /** The end-point form of an arc turned into centre and angles, SVG 1.1 appendix F.6.5 and F.6.6. */
    private void arc(double rx, double ry, double turned, boolean large, boolean sweepUp, Point to) {
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
        forget();
    }

    @Override
    public void startPath() {
        forget();
    }

    @Override
    public void endPath() {
        finish(false);
    }

    @Override
    public void closePath() {
        if (first.distance(here) > SAME) {
            add(new Segment.Line(here, first));
        }
        here = first;
        finish(true);
        forget();
    }

    @Override
    public void movetoRel(float x, float y) {
        move(at(x, y, true));
    }

    @Override
    public void movetoAbs(float x, float y) {
        move(at(x, y, false));
    }

    @Override
    public void linetoRel(float x, float y) {
        line(at(x, y, true));
    }

    @Override
    public void linetoAbs(float x, float y) {
        line(at(x, y, false));
    }

    @Override
    public void linetoHorizontalRel(float x) {
        line(at(x, 0, true));
    }

    @Override
    public void linetoHorizontalAbs(float x) {
        line(at(x, here.y(), false));
    }

    @Override
    public void linetoVerticalRel(float y) {
        line(at(0, y, true));
    }

    @Override
    public void linetoVerticalAbs(float y) {
        line(at(here.x(), y, false));
    }

    @Override
    public void curvetoCubicRel(float x1, float y1, float x2, float y2, float x, float y) {
        cubic(at(x1, y1, true), at(x2, y2, true), at(x, y, true));
    }

    @Override
    public void curvetoCubicAbs(float x1, float y1, float x2, float y2, float x, float y) {
        cubic(at(x1, y1, false), at(x2, y2, false), at(x, y, false));
    }

    @Override
    public void curvetoCubicSmoothRel(float x2, float y2, float x, float y) {
        cubic(smooth(cubicHandle), at(x2, y2, true), at(x, y, true));
    }

    @Override
    public void curvetoCubicSmoothAbs(float x2, float y2, float x, float y) {
        cubic(smooth(cubicHandle), at(x2, y2, false), at(x, y, false));
    }

    @Override
    public void curvetoQuadraticRel(float x1, float y1, float x, float y) {
        quad(at(x1, y1, true), at(x, y, true));
    }

    @Override
    public void curvetoQuadraticAbs(float x1, float y1, float x, float y) {
        quad(at(x1, y1, false), at(x, y, false));
    }

    @Override
    public void curvetoQuadraticSmoothRel(float x, float y) {
        quad(smooth(quadHandle), at(x, y, true));
    }

    @Override
    public void curvetoQuadraticSmoothAbs(float x, float y) {
        quad(smooth(quadHandle), at(x, y, false));
    }

    @Override
    public void arcRel(float rx, float ry, float turned, boolean large, boolean sweep, float x, float y) {
        arc(rx, ry, turned, large, sweep, at(x, y, true));
    }

    @Override
    public void arcAbs(float rx, float ry, float turned, boolean large, boolean sweep, float x, float y) {
        arc(rx, ry, turned, large, sweep, at(x, y, false));
    }
}
