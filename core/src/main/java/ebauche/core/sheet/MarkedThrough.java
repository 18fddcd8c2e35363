package ebauche.core.sheet;

import ebauche.core.feature.StepKind;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Holes of the drill list whose places nobody can say beforehand: they are marked through the part in hand, or through holes that are
 * drilled already.
 *
 * @param step that marks and drills them; its title says through what
 * @param wide their diameter, mm, where a drill was chosen for it
 * @param depth as the step is set
 */
public record MarkedThrough(Operation step, OptionalDouble wide, Reckoning depth, boolean done) {

    /** In the order of the plan. */
    public static List<MarkedThrough> of(BuildPlan plan) {
        return plan.steps().stream()
                .filter(s -> s.operation().setting() instanceof Setting.Drilled)
                .filter(s -> !s.operation().key().is(StepKind.WASTE))
                .filter(s -> s.operation().changes().isEmpty())
                .map(s -> of(s.operation(), (Setting.Drilled) s.operation().setting(), s.done()))
                .toList();
    }

    private static MarkedThrough of(Operation step, Setting.Drilled drilled, boolean done) {
        OptionalDouble wide =
                drilled.hole().stream().mapToDouble(Setting.Drilled.Hole::wide).findFirst();
        return new MarkedThrough(step, wide, drilled.depth(), done);
    }
}
