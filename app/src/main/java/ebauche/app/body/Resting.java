package ebauche.app.body;

import ebauche.core.feature.StepKey;
import ebauche.core.order.Link;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.BuildPlan.PlanStep;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Glue that must rest before a step may start, and what rests after one. */
public final class Resting {
    private Resting() {}

    /** A step whose glue or finish still has to rest before this one may start. */
    public record Waiting(String title, Instant until) {}

    /** What rests before a step, at a moment. */
    public static List<Waiting> before(BuildPlan plan, PlanStep step, Instant now) {
        List<Waiting> waits = new ArrayList<>();
        plan.reasons(step.operation().key()).stream()
                .filter(l -> l.lagMinutes() > 0)
                .forEach(link -> plan.build().asBuilt().done(link.before()).ifPresent(done -> {
                    Instant until = Instant.parse(done.at()).plus(link.lagMinutes(), ChronoUnit.MINUTES);
                    if (until.isAfter(now)) {
                        waits.add(new Waiting(done.title(), until));
                    }
                }));
        return waits;
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
