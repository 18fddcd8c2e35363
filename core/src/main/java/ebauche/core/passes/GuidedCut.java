package ebauche.core.passes;

import ebauche.core.measure.Refusal;
import ebauche.core.timber.Hardness;
import java.util.OptionalDouble;

/**
 * A cut that a template guides.
 *
 * @param depth from the face it is cut from; all the work's thickness if it goes through
 * @param work thickness of the work
 * @param corner smallest inside corner
 * @param engaged width of wood that the bit meets at the wall where waste was drilled or sawn away; empty where it stands in
 *     solid wood and is engaged over its diameter
 * @param lastPass what the last light pass leaves to take; nought if there is none
 * @param template thickness of its template
 * @param hardness of the timber
 * @param flipped whether a cut through the work leaves its last skin to a tip bearing from the other face: a hand-held router
 *     then needs no room under the work, and each face takes the edges that are with the grain
 */
public record GuidedCut(
        double depth,
        double work,
        double corner,
        OptionalDouble engaged,
        double lastPass,
        double template,
        Hardness hardness,
        boolean flipped) {

    /** Left standing by the first face of a flipped cut: a bearing's contact, mm. */
    private static final double SKIN = Reach.LEAST_CONTACT;

    /** A corner drawn sharp is asked for as this radius: no bit turns in it. */
    private static final double SHARP = 0.01;

    /** An outline without an inside corner lets any bit turn. */
    private static final double OPEN = 1000;

    public GuidedCut {
        Refusal.positive(depth, "depth");
        Refusal.unless(depth <= work + 1e-9, "depth", "cannot be more than the work is thick");
        Refusal.positive(corner, "corner");
        Refusal.notNegative(lastPass, "lastPass");
        Refusal.between(template, 0.5, 80, "template");
        engaged.ifPresent(e -> Refusal.positive(e, "engaged"));
    }

    /** A cut that may be taken from one face alone. */
    public GuidedCut(
            double depth,
            double work,
            double corner,
            OptionalDouble engaged,
            double lastPass,
            double template,
            Hardness hardness) {
        this(depth, work, corner, engaged, lastPass, template, hardness, false);
    }

    /** The same, finished from the other face. */
    public GuidedCut flip() {
        return new GuidedCut(depth, work, corner, engaged, lastPass, template, hardness, true);
    }

    /** A drawn corner's radius, nought where it is sharp and endless where there is none, as one that can be asked for. */
    public static double corner(double radius) {
        return Math.max(SHARP, Math.min(radius, OPEN));
    }

    /** Whether it goes through the work, so that the rest may be taken from the other face. */
    public boolean through() {
        return depth >= work - 1e-9;
    }

    /** Deepest that the first face goes. */
    double firstFace() {
        return flipped && through() ? depth - SKIN : depth;
    }

    /** Depth at which the last light pass begins; the whole depth where there is none. */
    double roughDepth() {
        return lastPass > 0 && depth > lastPass && !through() ? depth - lastPass : firstFace();
    }

    /** The same on a template so thick. */
    GuidedCut on(double otherTemplate) {
        return new GuidedCut(depth, work, corner, engaged, lastPass, otherTemplate, hardness, flipped);
    }
}
