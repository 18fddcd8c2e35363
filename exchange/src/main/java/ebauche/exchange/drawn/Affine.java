package ebauche.exchange.drawn;

import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/** A straight map of the plane: x' = a x + c y + e, y' = b x + d y + f, as SVG numbers them. */
record Affine(double a, double b, double c, double d, double e, double f) {
    static final Affine NONE = new Affine(1, 0, 0, 1, 0, 0);

    static Affine of(double a, double b, double c, double d, double e, double f) {
        return new Affine(a, b, c, d, e, f);
    }

    /** This after another: the other is nearer to the drawing's points. */
    Affine after(Affine inner) {
        return new Affine(
                a * inner.a + c * inner.b,
                b * inner.a + d * inner.b,
                a * inner.c + c * inner.d,
                b * inner.c + d * inner.d,
                a * inner.e + c * inner.f + e,
                b * inner.e + d * inner.f + f);
    }

    Point of(Point p) {
        double x = a * p.x() + c * p.y() + e;
        double y = b * p.x() + d * p.y() + f;
        if (!(Math.abs(x) <= DrawnFile.FARTHEST) || !(Math.abs(y) <= DrawnFile.FARTHEST)) {
            throw new DrawnFileException("a point lies far outside any drawing of a body");
        }
        return new Point(x, y);
    }

    Segment.Cubic of(Segment.Cubic s) {
        return new Segment.Cubic(of(s.start()), of(s.first()), of(s.second()), of(s.end()));
    }

    /** Maps a piece; an arc stays one where shapes are kept, and becomes cubics where not. */
    List<Segment> of(Segment segment) {
        List<Segment> out = new ArrayList<>();
        if (segment instanceof Segment.Line line) {
            out.add(new Segment.Line(of(line.start()), of(line.end())));
        } else if (segment instanceof Segment.Cubic cubic) {
            out.add(of(cubic));
        } else if (segment instanceof Segment.Arc arc) {
            if (keepsShapes()) {
                of(arc.centre());
                out.add(arc.placed(placing()));
            } else {
                arc.cubics().forEach(s -> out.add(of(s)));
            }
        }
        return out;
    }

    private boolean keepsShapes() {
        double size = Math.hypot(a, b);
        boolean turned = Math.abs(a - d) + Math.abs(b + c) <= 1e-9 * size;
        boolean mirrored = Math.abs(a + d) + Math.abs(b - c) <= 1e-9 * size;
        return size > 0 && (turned || mirrored);
    }

    /** Where it keeps shapes, the same in those words. */
    private Placing placing() {
        boolean mirrored = a * d - b * c < 0;
        double size = Math.hypot(a, b);
        double turned = mirrored ? Math.atan2(-b, -a) : Math.atan2(b, a);
        return new Placing(mirrored, size, turned, e, f);
    }
}
