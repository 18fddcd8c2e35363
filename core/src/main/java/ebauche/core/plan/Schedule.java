package ebauche.core.plan;

import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.order.Link;
import ebauche.core.order.Ordering;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The steps of a build in their order, with their reasons and minutes: what can be told without looking at the wood.
 *
 * @param build what it follows from
 * @param steps in order
 * @param links the reasons for the order, those that follow from others left out
 * @param ordering how their order was found, and what it costs
 * @param stillOpen how long each undecided choice stays open
 * @param history what each step does; its wood is there when it is asked for
 */
public record Schedule(
        Build build,
        List<BuildPlan.PlanStep> steps,
        List<Link> links,
        Ordering ordering,
        List<StillOpen> stillOpen,
        History history) {

    public Schedule {
        steps = List.copyOf(steps);
        links = List.copyOf(links);
        stillOpen = List.copyOf(stillOpen);
    }

    /** The first step that is not done. */
    public Optional<BuildPlan.PlanStep> next() {
        return steps.stream().filter(s -> !s.done()).findFirst();
    }

    public Optional<BuildPlan.PlanStep> step(StepKey key) {
        return steps.stream().filter(s -> s.operation().key().equals(key)).findFirst();
    }

    /** The same by its name as it is written; empty where nothing is named so. */
    public Optional<BuildPlan.PlanStep> step(String written) {
        return StepKey.mentioned(written).flatMap(this::step);
    }

    /** Hands-on minutes of the whole build. */
    public int totalMinutes() {
        return steps.stream().mapToInt(s -> s.operation().handsOnMinutes()).sum();
    }

    /** Hands-on minutes of what is done. */
    public int doneMinutes() {
        return steps.stream()
                .filter(BuildPlan.PlanStep::done)
                .mapToInt(s -> s.operation().handsOnMinutes())
                .sum();
    }

    /** How much of a kind of work is done, by its hands-on minutes: 0 to 1, nought where there is none of it. */
    public double doneShare(Work work) {
        int all = 0;
        int done = 0;
        for (BuildPlan.PlanStep step : steps) {
            if (step.operation().work() == work) {
                int minutes = step.operation().handsOnMinutes();
                all += minutes;
                done += step.done() ? minutes : 0;
            }
        }
        return all == 0 ? 0 : (double) done / all;
    }

    /**
     * Glue or paint of a step that is done, which another waits for.
     *
     * @param step that put it on
     * @param title of it, as it was recorded
     * @param until when it may be worked on
     */
    public record Rest(StepKey step, String title, Instant until) {}

    /** What a step waits for, of what is done: told alike wherever somebody asks, whether it has rested by now or not. */
    public List<Rest> rests(StepKey key) {
        List<Rest> rests = new ArrayList<>();
        for (Link link : ordering.links()) {
            if (link.lagMinutes() > 0 && link.after().equals(key)) {
                build.asBuilt()
                        .done(link.before())
                        .ifPresent(done -> rests.add(new Rest(
                                link.before(),
                                done.title(),
                                Instant.parse(done.at()).plus(link.lagMinutes(), ChronoUnit.MINUTES))));
            }
        }
        return rests;
    }

    /** The reasons why a step stands after others. */
    public List<Link> reasons(StepKey key) {
        return links.stream().filter(l -> l.after().equals(key)).toList();
    }
}
