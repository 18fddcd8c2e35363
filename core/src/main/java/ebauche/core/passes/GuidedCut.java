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
 * @param engaged width of wood that the bit meets at the wall where the rest was sawn away; empty where it is engaged over its
 *     diameter, as on the floor that drilling leaves and the ridges between its holes
 * @param lastPass what the last light pass leaves to take; nought if there is none
 * @param template thickness of its template
 * @param hardness of the timber
 * @param flipped whether a cut through the work leaves its last skin to a tip bearing from the other face: a hand-held router
 *     then needs no room under the work, and each face takes the edges that are with the grain
 * @param drilled whether a hole or an open side is there to start in
 * @param deepest that the shop takes in one pass
 * @param begun how deep it is cut already
 * @param templateOff whether the template is off for good
 */
public record GuidedCut(
        double depth,
        double work,
        double corner,
        OptionalDouble engaged,
        double lastPass,
        double template,
        Hardness hardness,
        boolean flipped,
        boolean drilled,
        double deepest,
        double begun,
        boolean templateOff) {

    /** Left standing by the first face of a flipped cut: a bearing's contact, mm. */
    private static final double SKIN = Reach.LEAST_CONTACT;

    /** So much heavier a last pass is still light, and better than one that takes a shaving before it: common practice. */
    private static final double STILL_LIGHT = 1.5;

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
        Refusal.positive(deepest, "deepest");
        Refusal.notNegative(begun, "begun");
        engaged.ifPresent(e -> Refusal.positive(e, "engaged"));
    }

    /** A cut that is not begun yet and may be taken from one face alone; what was sawn away leaves an open side to start in. */
    public GuidedCut(
            double depth,
            double work,
            double corner,
            OptionalDouble engaged,
            double lastPass,
            double template,
            Hardness hardness,
            double deepest) {
        this(depth, work, corner, engaged, lastPass, template, hardness, false, engaged.isPresent(), deepest, 0, false);
    }

    /** The same, finished from the other face. */
    public GuidedCut flip() {
        return with(template, true, drilled, begun, templateOff);
    }

    /** The same with its waste drilled, so that there is a hole to start in. */
    public GuidedCut drilledFirst() {
        return with(template, flipped, true, begun, templateOff);
    }

    /** What is left of it once it is cut so deep; what is little more than a last light pass is taken in that one. */
    public GuidedCut from(double depthCut, boolean takenOff) {
        double done = Math.max(0, depthCut);
        boolean light = done > 0 && depth - done <= STILL_LIGHT * lastPass;
        return new GuidedCut(
                depth,
                work,
                corner,
                engaged,
                light ? 0 : lastPass,
                template,
                hardness,
                flipped,
                drilled,
                deepest,
                done,
                takenOff);
    }

    /** The same on a template so thick. */
    GuidedCut on(double otherTemplate) {
        return with(otherTemplate, flipped, drilled, begun, templateOff);
    }

    private GuidedCut with(double thick, boolean turned, boolean hole, double cut, boolean off) {
        return new GuidedCut(depth, work, corner, engaged, lastPass, thick, hardness, turned, hole, deepest, cut, off);
    }

    /** A drawn corner's radius, nought where it is sharp and endless where there is none, as one that can be asked for. */
    public static double corner(double radius) {
        return Math.max(SHARP, Math.min(radius, OPEN));
    }

    /** Whether it goes through the work, so that the rest may be taken from the other face. */
    public boolean through() {
        return depth >= work - 1e-9;
    }

    /** Whether nothing is left to take. */
    public boolean done() {
        return begun >= depth - Reach.NOTHING;
    }

    /** Deepest that the first face goes. */
    double firstFace() {
        return flipped && through() ? depth - SKIN : depth;
    }

    /** Depth at which the last light pass begins; the whole depth where there is none. */
    double roughDepth() {
        return lastPass > 0 && depth > lastPass && !through() ? depth - lastPass : firstFace();
    }

    /** Width of wood that a bit of a diameter meets. */
    double met(double diameter) {
        return Math.min(diameter, engaged.orElse(diameter));
    }
}
