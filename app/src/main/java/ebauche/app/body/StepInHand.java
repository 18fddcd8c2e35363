package ebauche.app.body;

import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.BuildPlan.PlanStep;
import ebauche.core.realism.ToolChoice;
import ebauche.core.routing.HowDrilled;
import ebauche.core.routing.LayerChange;
import ebauche.core.routing.Unreached;
import ebauche.core.sheet.BearingGap;
import ebauche.core.sheet.CornersLeft;
import ebauche.core.sheet.MarkingOut;
import ebauche.core.sheet.Rest;
import java.util.List;
import java.util.Optional;

/**
 * What a step's card shows, wherever it lies open.
 *
 * @param stops where a bearing would fall into an opened wall
 * @param corners what the bit cannot reach
 * @param instead the tool that does it where the usual one is missing
 * @param marking where its places lie
 * @param layers where it comes through the joint of two timbers
 * @param rests on what the body lies meanwhile, where it is to lie flat
 * @param drilled how its holes are drilled, and how sure that is
 */
public record StepInHand(
        Bodies.Current current,
        BuildPlan plan,
        PlanStep step,
        List<BearingGap> stops,
        Optional<Unreached> corners,
        Optional<ToolChoice> instead,
        Optional<MarkingOut> marking,
        Optional<LayerChange> layers,
        Optional<Rest> rests,
        Optional<HowDrilled> drilled) {
    public static StepInHand of(Bodies.Current current, PlanStep step) {
        BuildPlan plan = current.plan();
        return new StepInHand(
                current,
                plan,
                step,
                BearingGap.at(plan, step.operation()),
                CornersLeft.at(plan, step.operation()),
                ToolChoice.instead(plan, step.operation().key()),
                MarkingOut.of(plan, plan.indexOf(step)),
                LayerChange.of(plan.build(), step.operation()),
                Rest.of(plan, step),
                HowDrilled.of(plan.build(), step.operation()));
    }

    /** The step asked for, else the next one to do, else the last. */
    public static PlanStep chosen(BuildPlan plan, String key) {
        return Optional.ofNullable(key)
                .flatMap(plan::step)
                .or(plan::next)
                .orElseGet(() -> plan.steps().get(plan.steps().size() - 1));
    }
}
