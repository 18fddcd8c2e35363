package ebauche.core.blank;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.feature.StepKey;
import ebauche.core.job.Build;
import ebauche.core.job.UnderTop;
import ebauche.core.shop.Gluing;
import ebauche.core.station.Clamping;
import ebauche.core.station.Grip;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** Which of the shop's clamps and cauls each glue-up of a blank takes, as its sheet has them. */
final class Grips {
    /** A caul on each side of the joint. */
    private static final int BOTH_SIDES = 2;

    private final Gluing gluing;
    private final Map<String, Integer> taken = new LinkedHashMap<>();

    private String lacking = "";

    private Grips(Gluing gluing) {
        this.gluing = gluing;
    }

    static Clamping of(Build build, StepKey step) {
        Blank blank = build.design().blank();
        Grips grips = new Grips(build.shop().gluing());
        switch (step.kind()) {
            case GLUE -> grips.edges(blank.layers().get(0), blank);
            case TOP_GLUE -> blank.top().ifPresent(top -> grips.edges(top, blank));
            case BACKING ->
                grips.press(TopPress.onto(
                        blank.plan(),
                        UnderTop.hollowWhenBacked(build),
                        blank.sawn().back(),
                        grips.gluing));
            case TOP ->
                grips.press(TopPress.onto(
                        blank.plan(), UnderTop.hollowWhenClosed(build), blank.topThickness(), grips.gluing));
            default -> {
                // Nothing else of a blank is glued.
            }
        }
        return grips.all();
    }

    private void edges(BlankLayer layer, Blank blank) {
        if (layer.strips().size() < 2) {
            return;
        }
        ClampPlan plan = new GlueUp(layer, blank.along(), gluing, Optional.empty()).clamps();
        plan.clamps().forEach(set -> take(set.clamp().name(), 1));
        lacking = plan.missing();
        plan.caul().ifPresent(caul -> take(caul.name(), BOTH_SIDES));
    }

    private void press(TopPress press) {
        press.cauls().forEach(laid -> {
            take(laid.caul().name(), 1);
            take(laid.clamp().name(), 2);
        });
        press.spine().ifPresent(spine -> {
            take(spine.caul().name(), 1);
            take(spine.clamp().name(), 2);
        });
        press.presses().forEach(p -> take(p.clamp().name(), 1));
    }

    private void take(String thing, int count) {
        taken.merge(thing, count, Integer::sum);
    }

    private Clamping all() {
        int minutes = gluing.glue().clampMinutes();
        return new Clamping(
                taken.entrySet().stream()
                        .map(e -> new Grip(e.getKey(), e.getValue(), minutes))
                        .toList(),
                lacking);
    }
}
