package ebauche.core.geometry;

import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.List;

/**
 * An outline made symmetrical: the half on one side of the centre line, and the same mirrored.
 *
 * <p>Pieces are cut where they cross the centre line, found between samples by halving.
 */
public final class Symmetry {
    private static final int SAMPLES = 64;
    private static final int HALVINGS = 60;
    private static final double ON_LINE = 1e-9;

    private Symmetry() {}

    /**
     * The outline with one half on both sides.
     *
     * @param treble whether the treble half (x > 0) is kept, else the bass half
     * @throws Refusal if the outline does not cross the centre line at two places
     */
    public static Outline of(Outline outline, boolean treble) {
        Placing flip = Placing.fromTheBack();
        List<Segment> pieces = treble
                ? outline.segments()
                : outline.segments().stream().map(s -> s.placed(flip)).toList();
        List<Segment> half = kept(pieces);
        List<Segment> whole = new ArrayList<>(half);
        for (int i = half.size() - 1; i >= 0; i--) {
            whole.add(half.get(i).reversed().placed(flip));
        }
        return Outline.of(whole);
    }

    /** The pieces with x > 0, as one run from the centre line to the centre line. */
    private static List<Segment> kept(List<Segment> pieces) {
        List<Segment> cut = new ArrayList<>();
        pieces.forEach(p -> cutInto(p, cut));
        int n = cut.size();
        int start = -1;
        int starts = 0;
        for (int i = 0; i < n; i++) {
            if (right(cut.get(i)) && !right(cut.get((i + n - 1) % n))) {
                start = i;
                starts++;
            }
        }
        Refusal.unless(
                starts == 1, "outline", "the outline must cross the centre line at exactly two places to be mirrored");
        List<Segment> run = new ArrayList<>();
        for (int k = 0; k < n && right(cut.get((start + k) % n)); k++) {
            run.add(cut.get((start + k) % n));
        }
        return snapped(run);
    }

    /** The ends brought exactly onto the centre line, which halving has missed by less than anything seen. */
    private static List<Segment> snapped(List<Segment> run) {
        List<Segment> out = new ArrayList<>();
        for (Segment s : run) {
            if (s instanceof Segment.Arc arc) {
                out.addAll(arc.cubics());
            } else {
                out.add(s);
            }
        }
        Segment first = out.get(0);
        out.set(0, between(new Point(0, first.start().y()), first, first.end()));
        Segment last = out.get(out.size() - 1);
        out.set(
                out.size() - 1,
                between(last.start(), last, new Point(0, last.end().y())));
        return out;
    }

    /** The same line or curve with its ends there. */
    private static Segment between(Point from, Segment piece, Point to) {
        return piece instanceof Segment.Cubic c
                ? new Segment.Cubic(from, c.first(), c.second(), to)
                : new Segment.Line(from, to);
    }

    private static boolean right(Segment s) {
        return s.at(0.5).x() > ON_LINE;
    }

    private static void cutInto(Segment piece, List<Segment> out) {
        double from = 0;
        for (int i = 0; i < SAMPLES; i++) {
            double a = (double) i / SAMPLES;
            double b = (i + 1.0) / SAMPLES;
            if (piece.at(a).x() > 0 != piece.at(b).x() > 0) {
                double at = crossing(piece, a, b);
                if (at > from + ON_LINE && at < 1 - ON_LINE) {
                    out.add(piece.part(from, at));
                    from = at;
                }
            }
        }
        out.add(from == 0 ? piece : piece.part(from, 1));
    }

    private static double crossing(Segment piece, double from, double to) {
        double a = from;
        double b = to;
        boolean right = piece.at(a).x() > 0;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (a + b) / 2;
            if (piece.at(middle).x() > 0 == right) {
                a = middle;
            } else {
                b = middle;
            }
        }
        return (a + b) / 2;
    }
}
