package ebauche.core.takeon;

import ebauche.core.design.NeckJoint;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Refusal;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The neck as it lies there: what was read off it, and for the rest what such a neck usually has (common practice, from memory). Millimetres.
 *
 * @param kind how it is held
 * @param frets on its fingerboard: what was not read follows from the last of them
 * @param nutToEnd from the nut to the end of its heel
 * @param heelWidth of the heel, straight
 * @param heelLength of the heel that lies in the body
 * @param heelThickness of the heel without its fingerboard
 * @param boardThickness thickness of the fingerboard
 */
public record NeckInHand(
        NeckJoint.Kind kind,
        int frets,
        OptionalDouble nutToEnd,
        OptionalDouble heelWidth,
        OptionalDouble heelLength,
        OptionalDouble heelThickness,
        OptionalDouble boardThickness) {
    /** The board ends so far beyond its last fret. */
    private static final double BEYOND_LAST_FRET = 4;

    /** A neck screw stands so far in from the heel's side, and from its two ends. */
    private static final double SCREW_IN = 9.75;

    private static final double SCREW_FROM_END = 14;
    private static final double SCREW_FROM_MOUTH = 22;

    /** Narrower heels have their screws in one line. */
    private static final double TWO_ABREAST = 40;

    public NeckInHand {
        Refusal.between(frets, 12, 36, "frets");
        nutToEnd.ifPresent(l -> Refusal.between(l, 200, 1100, "nutToEnd"));
        heelWidth.ifPresent(l -> Refusal.between(l, 20, 120, "heelWidth"));
        heelLength.ifPresent(l -> Refusal.between(l, 20, 250, "heelLength"));
        heelThickness.ifPresent(l -> Refusal.between(l, 8, 60, "heelThickness"));
        boardThickness.ifPresent(l -> Refusal.between(l, 0, 20, "boardThickness"));
    }

    /** From the end of the heel to the saddle line, on that scale. */
    double endToSaddle(double scale) {
        return nutToEnd.isPresent() ? scale - nutToEnd.getAsDouble() : fret(scale, frets) - BEYOND_LAST_FRET;
    }

    /** Where a fret lies from the saddle line (twelve-tone equal temperament). */
    static double fret(double scale, double n) {
        return scale / Math.pow(2, n / 12);
    }

    /** At which fret the neck leaves the body, as a number of frets from the nut. */
    static double fretAt(double scale, double fromSaddle) {
        return 12 * Math.log(scale / fromSaddle) / Math.log(2);
    }

    /** Width of the heel: what the strings are apart over its end, and the board's edges. */
    double width(Strung strung, int strings, double scale) {
        double nut = strung.nutSpread(strings);
        double over = nut + (strung.spread(strings) - nut) * (scale - endToSaddle(scale)) / scale;
        return heelWidth.orElse(Math.rint(2 * (over + 2 * strung.boardEdge())) / 2);
    }

    double length(Strung strung) {
        return heelLength.orElse(strung.heelLength());
    }

    double usualThickness() {
        return heelThickness.orElse(kind == NeckJoint.Kind.SET ? 22 : 25.4);
    }

    double usualBoard() {
        return boardThickness.orElse(6.35);
    }

    /** Where its screws pass; none through a glued neck. */
    static List<Point> screws(NeckJoint.Kind kind, double width, double end, double length) {
        if (kind == NeckJoint.Kind.SET) {
            return List.of();
        }
        double near = end + Math.min(SCREW_FROM_END, length / 4);
        double far = end + Math.max(length - SCREW_FROM_MOUTH, length * 0.6);
        if (width < TWO_ABREAST) {
            return List.of(new Point(0, near), new Point(0, far));
        }
        double x = width / 2 - SCREW_IN;
        return List.of(new Point(-x, near), new Point(x, near), new Point(-x, far), new Point(x, far));
    }
}
