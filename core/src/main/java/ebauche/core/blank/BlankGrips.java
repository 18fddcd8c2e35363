package ebauche.core.blank;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.feature.StepKey;
import ebauche.core.gluing.Clamping;
import ebauche.core.gluing.Grips;
import ebauche.core.gluing.TopPress;
import ebauche.core.job.Build;
import ebauche.core.job.UnderTop;
import ebauche.core.shop.Gluing;
import java.util.Optional;

/** Which of the shop's clamps and cauls each glue-up of a blank takes, as its sheet has them. */
final class BlankGrips {
    /** A caul on each side of the joint. */
    private static final int BOTH_SIDES = 2;

    private BlankGrips() {}

    static Clamping of(Build build, StepKey step) {
        Blank blank = build.design().blank();
        Gluing gluing = build.shop().gluing();
        Grips grips = new Grips(gluing);
        switch (step.kind()) {
            case GLUE -> edges(grips, blank.layers().get(0), blank, gluing);
            case TOP_GLUE -> blank.top().ifPresent(top -> edges(grips, top, blank, gluing));
            case BACKING ->
                grips.take(TopPress.onto(
                        blank.plan(),
                        UnderTop.hollowWhenBacked(build),
                        blank.sawn().back(),
                        gluing));
            case TOP ->
                grips.take(TopPress.onto(blank.plan(), UnderTop.hollowWhenClosed(build), blank.topThickness(), gluing));
            default -> {
                // Nothing else of a blank is glued.
            }
        }
        return grips.clamping();
    }

    private static void edges(Grips grips, BlankLayer layer, Blank blank, Gluing gluing) {
        if (layer.strips().size() < 2) {
            return;
        }
        ClampPlan plan = new GlueUp(layer, blank.along(), gluing, Optional.empty()).clamps();
        plan.clamps().forEach(set -> grips.take(set.clamp().name(), 1));
        plan.caul().ifPresent(caul -> grips.take(caul.name(), BOTH_SIDES));
        grips.lacks(plan.missing());
    }
}
