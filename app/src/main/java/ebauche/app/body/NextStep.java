package ebauche.app.body;

import ebauche.core.logbook.AsBuilt;
import ebauche.core.order.Link;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.BuildPlan.PlanStep;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
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
        Instant from = Instant.EPOCH;
        for (Link link : plan.reasons(step.operation().key())) {
            Optional<AsBuilt.Done> before = plan.build().asBuilt().done(link.before());
            if (before.isEmpty()) {
                return Optional.empty();
            }
            Instant rested = Instant.parse(before.get().at()).plus(link.lagMinutes(), ChronoUnit.MINUTES);
            from = link.lagMinutes() > 0 && rested.isAfter(from) ? rested : from;
        }
        return Optional.of(from);
    }
}
