package ebauche.app.body;

import ebauche.core.feature.StepKey;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.BuildPlan.PlanStep;
import ebauche.core.plan.Schedule;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A step that nothing undone stands before: it may begin at once, or when what was glued has rested.
 *
 * @param key its key
 * @param minutes hands-on
 * @param from when what it waits for has rested; the beginning of time where nothing rests
 */
public record NextStep(String key, String title, int minutes, Instant from) {
    /** The steps of a plan that may come next, in its order; one that waits for somebody's yes is none. */
    public static List<NextStep> of(BuildPlan plan) {
        AsBuilt record = plan.build().asBuilt();
        List<NextStep> next = new ArrayList<>();
        for (PlanStep step : plan.steps()) {
            if (!step.done() && record.awaited(step.operation().key()).isEmpty()) {
                from(plan, step)
                        .ifPresent(at -> next.add(new NextStep(
                                step.operation().key().written(),
                                step.operation().title(),
                                step.operation().handsOnMinutes(),
                                at)));
            }
        }
        return next;
    }

    /** From when it may begin; empty while something that is not done stands before it. */
    private static Optional<Instant> from(BuildPlan plan, PlanStep step) {
        StepKey key = step.operation().key();
        boolean free = plan.reasons(key).stream()
                .allMatch(l -> plan.build().asBuilt().done(l.before()).isPresent());
        return free
                ? Optional.of(plan.rests(key).stream()
                        .map(Schedule.Rest::until)
                        .max(Comparator.naturalOrder())
                        .orElse(Instant.EPOCH))
                : Optional.empty();
    }
}
