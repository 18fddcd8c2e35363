package ebauche.app.body;

import ebauche.core.feature.StepKey;
import ebauche.core.order.Link;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.BuildPlan.PlanStep;
import ebauche.core.plan.Schedule;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Glue that must rest before a step may start, and what rests after one. */
public final class Resting {
    private Resting() {}

    /** What rests before a step, at a moment. */
    public static List<Schedule.Rest> before(BuildPlan plan, PlanStep step, Instant now) {
        return plan.rests(step.operation().key()).stream()
                .filter(r -> r.until().isAfter(now))
                .toList();
    }

    /** How long a step must rest before the first that waits for it; empty where none does. */
    public static Optional<Duration> after(BuildPlan plan, PlanStep step) {
        StepKey key = step.operation().key();
        return plan.steps().stream()
                .flatMap(s -> plan.reasons(s.operation().key()).stream())
                .filter(l -> l.before().equals(key) && l.lagMinutes() > 0)
                .map(Link::lagMinutes)
                .min(Integer::compare)
                .map(Duration::ofMinutes);
    }
}
