package ebauche.app.shopfloor;

import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.NextStep;
import ebauche.core.job.Finding;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Optional;

/**
 * What the floor shows of a body: so little that hundreds of them are kept.
 *
 * @param next title of the first step that is not done
 * @param nextSteps what may be done next
 * @param worst the gravest finding
 * @param drawing a small plan, as far as it has come
 */
public record FloorCard(
        Body body,
        String name,
        Optional<String> next,
        List<NextStep> nextSteps,
        int doneMinutes,
        int totalMinutes,
        Optional<Finding> worst,
        String drawing) {

    static FloorCard of(Bodies.Current current) {
        BuildPlan plan = current.plan();
        return new FloorCard(
                current.body(),
                current.name(),
                plan.next().map(s -> s.operation().title()),
                NextStep.of(plan),
                plan.doneMinutes(),
                plan.totalMinutes(),
                plan.findings().stream().findFirst(),
                BodyThumbnail.of(plan));
    }
}
