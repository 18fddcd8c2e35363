package ebauche.core.passes;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Router;
import ebauche.core.passes.Pass.Guide;
import ebauche.core.timber.Hardness;
import java.util.ArrayList;
import java.util.List;

/**
 * What every pass must keep, checked by laying bearing, guide and cutter against each other as intervals of depth: simpler than
 * the planner, slower, and sharing nothing with it but the limits of machines and timbers.
 */
final class PassRules {
    private static final double NEARLY = 1e-6;

    private PassRules() {}

    /** What is wrong with a plan; empty if nothing is. */
    static List<String> broken(GuidedCut cut, PassPlan plan) {
        List<String> wrong = new ArrayList<>();
        double done = 0;
        boolean templateOn = true;
        double spacer = plan.passes().get(0).spacer();
        for (Pass p : plan.passes()) {
            boolean flipped = p.guide() == Guide.FAR_WALL;
            if (!flipped && Math.abs(p.from() - done) > NEARLY) {
                wrong.add("a pass begins at " + p.from() + " where " + done + " is cut");
            }
            if (p.guide() == Guide.TEMPLATE && (!templateOn || p.spacer() > spacer + NEARLY)) {
                wrong.add("what was taken off came back");
            }
            templateOn &= p.guide() == Guide.TEMPLATE;
            spacer = p.spacer();
            wrong.addAll(broken(cut, p, done));
            done = flipped ? cut.depth() : p.to();
        }
        if (Math.abs(done - cut.depth()) > NEARLY) {
            wrong.add("ends at " + done);
        }
        return wrong;
    }

    /** What is wrong with one pass when the cut is so deep already. */
    static List<String> broken(GuidedCut cut, Pass p, double done) {
        List<String> wrong = new ArrayList<>();
        Bit bit = p.cutter().bit();
        double bite = p.guide() == Guide.FAR_WALL ? cut.work() - done : p.to() - done;
        double cutterTop = p.to() - bit.cutterLength();
        double engaged = Math.min(cut.engaged().orElse(Double.POSITIVE_INFINITY), bit.diameter());
        check(wrong, bit.diameter() <= 2 * cut.corner() + NEARLY, "the bit does not turn in the corner");
        check(
                wrong,
                p.cutter().router().collets().stream().anyMatch(c -> Math.abs(c - bit.shank()) <= 0.1 + NEARLY),
                "no collet for the shank");
        check(wrong, bite > 0, "nothing is taken");
        check(wrong, bite <= bit.cutterLength() + NEARLY, "deeper than the edges are long");
        check(
                wrong,
                bite * engaged <= p.cutter().crossSection(cut.hardness()) + NEARLY,
                "more than the machine takes: " + bite * engaged);
        check(wrong, bite <= bears(p, cut.hardness(), engaged) + NEARLY, "more than the bit bears: " + bite);
        check(wrong, bite <= cut.deepest() + NEARLY, "deeper than the shop takes in a pass: " + bite);
        double outOfSole = switch (p.guide()) {
            case TEMPLATE -> p.to() + p.spacer() + cut.template();
            case WALL, FAR_WALL, FREEHAND, EDGE, UNDER -> p.to();
        };
        check(wrong, Math.abs(outOfSole - p.projection()) < NEARLY, "another projection than said");
        check(
                wrong,
                bit.overallLength() - outOfSole - p.cutter().router().colletGap() >= 12.7 - NEARLY,
                "too little shank in the collet");
        double contact = switch (p.guide()) {
            case TEMPLATE ->
                overlap(cutterTop - bit.guideWidth(), cutterTop, -p.spacer() - cut.template(), -p.spacer());
            case WALL -> overlap(cutterTop - bit.guideWidth(), cutterTop, 0, done);
            case FAR_WALL -> overlap(p.to(), p.to() + bit.guideWidth(), cut.work() - done, cut.work());
            case FREEHAND, EDGE, UNDER -> throw new AssertionError("a guided cut is led by template or wall");
        };
        check(wrong, contact >= 2 - NEARLY, "only " + contact + " of the bearing runs on its guide");
        boolean right = p.guide() == Guide.FAR_WALL
                ? bit.bearing().atTip()
                : bit.bearing().atShank();
        check(wrong, right, "the bearing is at the other end");
        if (p.guide() == Guide.FAR_WALL) {
            check(wrong, cut.depth() >= cut.work() - NEARLY, "flipped, and does not go through");
            check(wrong, p.to() >= cut.work() - done - NEARLY, "leaves a web");
            check(wrong, p.to() <= bit.cutterLength() + NEARLY, "stands deeper than its edges");
        } else if (cut.lastPass() > 0 && cut.depth() > cut.lastPass() && cut.depth() < cut.work() - NEARLY) {
            double light = cut.depth() - cut.lastPass();
            check(wrong, p.to() <= light + NEARLY || done >= light - NEARLY, "the last pass is not light");
        }
        return wrong;
    }

    /**
     * What a bit bears (C2, common practice): a slot of its diameter in soft wood, three quarters in medium, half in hard; so much
     * more as it meets less, at most 3 diameters on a shank of 12 and more and 2 on a thinner one, which takes less in proportion
     * where its tip is farther out of the sole than about four shanks (25 for a quarter inch).
     */
    private static double bears(Pass p, Hardness hardness, double engaged) {
        Bit bit = p.cutter().bit();
        boolean table = p.cutter().router().kind() == Router.Kind.TABLE && bit.diameter() >= 12;
        double slot =
                bit.diameter() * (table || hardness == Hardness.SOFT ? 1 : hardness == Hardness.MEDIUM ? 0.75 : 0.5);
        double most = slot * bit.diameter() / engaged;
        if (bit.shank() >= 12) {
            return Math.min(most, 3 * bit.diameter());
        }
        double bends = Math.min(1, 25 * bit.shank() / 6.35 / p.projection());
        return Math.min(most, 2 * bit.diameter()) * bends;
    }

    private static double overlap(double a0, double a1, double b0, double b1) {
        return Math.min(a1, b1) - Math.max(a0, b0);
    }

    private static void check(List<String> wrong, boolean holds, String what) {
        if (!holds) {
            wrong.add(what);
        }
    }
}
