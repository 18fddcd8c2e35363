package ebauche.core.passes;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Router;

/**
 * What a guided bit can reach: plane geometry of cutter, bearing and guide.
 *
 * <p>A bearing at the shank sits right above the cutter, one at the tip right below it; a shank that is ridden on itself
 * is one from the cutter up to the collet. A bearing copies a guide if at least
 * {@link #LEAST_CONTACT} of its width runs on it.
 */
public final class Reach {
    /** Least of a bearing's width that runs on its guide: common practice. */
    public static final double LEAST_CONTACT = 2;

    /** A pass of less than this is none. */
    static final double NOTHING = 0.01;

    private Reach() {}

    /**
     * Depths that can be set, from {@code least} to {@code most}; none if most is less than least.
     *
     * @param least nought where any depth from the face will do
     */
    public record Window(double least, double most) {
        public static final Window NONE = new Window(1, 0);

        public boolean isEmpty() {
            return most < least - 1e-9;
        }

        public boolean holds(double depth) {
            return depth >= least - 1e-9 && depth <= most + 1e-9;
        }
    }

    /**
     * Depths with a shank bearing on a template so thick, raised by a spacer; before the bite and the projection limit it.
     *
     * <p>The cutter's top lies L above its tip, so its bearing runs from d - L - b to d - L; the template lies from -(s + t)
     * to -s. An overlap of at least c gives L - t - s + c <= d <= L + b - s - c.
     */
    public static Window onTemplate(Bit bit, double template, double spacer) {
        double c = LEAST_CONTACT;
        if (!bit.copies() || !bit.bearing().atShank() || template < c || bit.guideWidth() < c) {
            return Window.NONE;
        }
        double length = bit.cutterLength();
        return new Window(
                Math.max(0, length - template - spacer + c), Math.max(0, length + bit.guideWidth() - spacer - c));
    }

    /**
     * Depths with a shank bearing on the wall that was cut so deep, the template taken off.
     *
     * <p>The bearing lies within the work from d - L - b to d - L, the wall from 0 to u: L + c <= d <= u + L + b - c.
     */
    public static Window onWall(Bit bit, double cut) {
        double c = LEAST_CONTACT;
        if (!bit.copies() || !bit.bearing().atShank() || cut < c || bit.guideWidth() < c) {
            return Window.NONE;
        }
        return new Window(bit.cutterLength() + c, cut + bit.cutterLength() + bit.guideWidth() - c);
    }

    /**
     * Where the cutter's end may lie with a tip bearing on a wall cut from the far face: the router stands on the near face of
     * work so thick, and the far wall is so deep. One pass takes all that stands between.
     *
     * <p>The bearing runs from q to q + b; the wall from T - u to T. The cutter must reach the wall's beginning, and the
     * bearing keep a contact of c within the work: T - u <= q <= min(L, T - c).
     */
    public static Window tipOnWall(Bit bit, double work, double farCut) {
        double c = LEAST_CONTACT;
        if (!bit.copies() || !bit.bearing().atTip() || farCut < c || bit.guideWidth() < c) {
            return Window.NONE;
        }
        return new Window(Math.max(0, work - farCut), Math.min(bit.cutterLength(), work - c));
    }

    /** The same with a template under the far face: T <= q <= min(L, T + t - c). */
    public static Window tipOnTemplate(Bit bit, double work, double template) {
        double c = LEAST_CONTACT;
        if (!bit.copies() || !bit.bearing().atTip() || template < c || bit.guideWidth() < c) {
            return Window.NONE;
        }
        return new Window(work, Math.min(bit.cutterLength(), work + template - c));
    }

    /** How far a bit can stand out of the router's sole, with half an inch of shank held. */
    public static double projection(Bit bit, Router router) {
        return bit.overallLength() - Bit.LEAST_HELD - router.colletGap();
    }
}
