package ebauche.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.operation.Inspection;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.plan.Schedule;
import ebauche.core.stock.Change;
import ebauche.exchange.OddBodies;
import ebauche.exchange.Remembering;
import ebauche.exchange.file.DemoBodies;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A body that is built as its cards say, every reading inside its band, ends as it was planned: whether a step is read before it is
 * called done or after, nothing is found that the first plan did not find, no step is left, what is begun grows no new ones, and the
 * wood weighs what was planned, but for what the readings explain.
 */
@Tag("slow")
@Execution(ExecutionMode.CONCURRENT)
@ExtendWith(Remembering.class)
class DoneInOrderTest {
    /** Where in its band a reading lies. */
    private enum Read {
        EXACT,
        LEAST,
        MOST,
        RANDOM
    }

    /** Whether a step is read before its "done", after it, or now so and now so. */
    private enum When {
        BEFORE,
        AFTER,
        EITHER
    }

    static Stream<Arguments> builds() {
        List<Arguments> builds = new ArrayList<>();
        for (String body : DemoBodies.NAMES) {
            builds.add(Arguments.of(body, Read.EXACT, When.BEFORE));
            builds.add(Arguments.of(body, Read.LEAST, When.AFTER));
            builds.add(Arguments.of(body, Read.MOST, When.BEFORE));
            builds.add(Arguments.of(body, Read.RANDOM, When.EITHER));
        }
        for (String body : List.of("bass", "seven", "plated", "left-sedge", "other-schools")) {
            builds.add(Arguments.of(body, Read.RANDOM, When.EITHER));
        }
        return builds.stream();
    }

    /** From one station of the edge to the next, and the body's thickness, mm: the most that any has. */
    private static final double WAY = 100;

    private static final double THICK = 50;

    /** After one in so many steps all is found anew, the wood looked at; after the others the steps alone. */
    private static final int WITH_WOOD = 8;

    private final List<AsBuilt.Entry> timeline = new ArrayList<>();
    private final Random random = new Random(31);

    /** Grams that the readings so far can have added or taken. */
    private double explained;

    @ParameterizedTest
    @MethodSource("builds")
    void it_ends_as_it_was_planned(String body, Read read, When when) {
        Build bare = OddBodies.read(body).build();
        BuildPlan first = plan(bare);
        Schedule schedule = first.schedule();
        int steps = 0;
        while (schedule.next().isPresent()) {
            BuildPlan.PlanStep step = schedule.next().get();
            boolean before = when == When.BEFORE || (when == When.EITHER && random.nextBoolean());
            if (before) {
                read(step, read);
                Schedule told = Planner.schedule(soFar(bare));
                assertThat(newSteps(schedule, told))
                        .as("a reading adds no step")
                        .isEmpty();
                schedule = told;
                step = schedule.step(step.operation().key()).orElseThrow();
            }
            timeline.add(step.asDone("done-" + timeline.size(), "2026-11-01T10:00:00Z", "test"));
            if (!before) {
                read(step, read);
            }
            Schedule then = Planner.schedule(soFar(bare));
            assertThat(newSteps(schedule, then))
                    .as("what is done grows no new steps: %s", step.operation().key())
                    .isEmpty();
            schedule = then;
            if (steps % WITH_WOOD == 0) {
                assertThat(order(plan(bare))).as("order").isEqualTo(order(first));
            }
            steps++;
            assertThat(steps)
                    .as("steps without end; now " + step.operation().key())
                    .isLessThan(200);
        }
        BuildPlan plan = plan(bare);
        assertThat(found(plan)).as("nothing new is found").isSubsetOf(found(first));
        double planned = first.history().finished().balance().grams();
        assertThat(plan.history().finished().balance().grams()).isCloseTo(planned, within(explained + planned * 1e-3));
        assertThat(timeline).filteredOn(AsBuilt.Reading.class::isInstance).hasSizeGreaterThan(10);
    }

    private BuildPlan plan(Build bare) {
        return Planner.plan(soFar(bare));
    }

    private Build soFar(Build bare) {
        return new Build(bare.drawn(), bare.shop(), new AsBuilt(timeline));
    }

    /** Steps of a feature that is being cut or is cut, which an earlier plan did not have. */
    private static List<String> newSteps(Schedule earlier, Schedule later) {
        Set<Feature> begun = later.steps().stream()
                .filter(s -> s.done() && s.operation().cannotBeTakenBack())
                .map(s -> s.operation().feature())
                .collect(Collectors.toSet());
        return later.steps().stream()
                .map(BuildPlan.PlanStep::operation)
                .filter(o ->
                        begun.contains(o.feature()) && earlier.step(o.key()).isEmpty())
                .map(o -> o.key().written())
                .toList();
    }

    private static Set<String> found(BuildPlan plan) {
        return plan.findings().stream().map(DoneInOrderTest::said).collect(Collectors.toSet());
    }

    /** What is found about the order at any time on the way. */
    private static Set<String> order(BuildPlan plan) {
        return plan.findings().stream()
                .filter(f -> f.work() == Work.ORDER)
                .map(f -> f.what())
                .collect(Collectors.toSet());
    }

    private static String said(Finding f) {
        return f.severity() + " " + f.rule() + " " + f.feature();
    }

    private void read(BuildPlan.PlanStep step, Read read) {
        for (Inspection i : step.operation().inspections()) {
            // A floor that is shallow by all that is good, and a face sanded by more than planned, ask for a deepening
            // with right.
            boolean addsUp = read == Read.RANDOM && i.measurand() instanceof Measurand.SandedOff;
            double value = value(i, addsUp ? Read.EXACT : read);
            if (i.measurand() instanceof Measurand.BoreRead) {
                // Two spreads off, which one hand in twenty drills, may well leave thin wood beside a channel: a
                // quarter of it must not.
                value = i.expected().value() + (value - i.expected().value()) / 10;
            }
            timeline.add(new AsBuilt.Reading(
                    "read-" + timeline.size(),
                    "2026-11-01T10:00:00Z",
                    "test",
                    Optional.of(step.operation().key()),
                    i.measurand(),
                    value));
            explained += explains(step, i, value);
        }
    }

    private double value(Inspection i, Read read) {
        return switch (read) {
            case EXACT -> i.expected().value();
            case LEAST -> Math.max(i.least(), i.measurand().least());
            case MOST -> i.most();
            case RANDOM -> {
                double least = Math.max(i.least(), i.measurand().least());
                yield least + random.nextDouble() * (i.most() - least);
            }
        };
    }

    /** A floor or a face that was read off its number by so much explains that much wood over its whole area. */
    private static double explains(BuildPlan.PlanStep step, Inspection i, double value) {
        double off = Math.abs(value - i.expected().value());
        double area = step.operation().changes().stream()
                .filter(Change.Remove.class::isInstance)
                .mapToDouble(c -> c.solid().plan().area())
                .sum();
        boolean ofWood = i.measurand() instanceof Measurand.DepthOf
                || i.measurand() instanceof Measurand.SandedOff
                || i.measurand() == Measurand.Dimension.BODY_THICKNESS;
        double densest = 0.8e-3;
        if (i.measurand() instanceof Measurand.EdgeInside) {
            // Between a station and its neighbours, and through the body.
            return off * WAY * THICK * densest;
        }
        return ofWood ? off * area * densest : 0;
    }
}
