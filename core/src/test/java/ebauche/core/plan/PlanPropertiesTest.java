package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.History;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.order.Link;
import ebauche.core.stock.Change;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold of every plan, over random designs and records. */
@Tag("slow")
class PlanPropertiesTest {
    static Stream<TestBody> bodies() {
        Random random = new Random(21);
        return Stream.generate(() -> body(random)).limit(12);
    }

    private static TestBody body(Random random) {
        TestBody body = new TestBody();
        body.thickness = 40 + random.nextDouble() * 6;
        body.pieces = 1 + random.nextInt(4);
        body.angle = random.nextInt(3);
        body.wantedSaddle = java.util.OptionalDouble.empty();
        body.pickups.set(
                0,
                TestBody.pickup(
                        "neck", random.nextDouble() * 4, 128 + random.nextDouble() * 4, 16 + random.nextDouble() * 6));
        if (random.nextBoolean()) {
            body.studs = Optional.of(new Bridge.Studs(74, 4, 10, 20));
        }
        if (random.nextInt(3) == 0) {
            body.vibrato = Optional.of(TestBody.vibrato(38));
        }
        if (random.nextInt(3) == 0) {
            body.doneUpTo("neck:rough");
        }
        if (random.nextInt(2) == 0) {
            body.read("heel-thickness", 25 + random.nextDouble());
        }
        return body;
    }

    @ParameterizedTest
    @MethodSource("bodies")
    void a_plan_is_a_pure_function(TestBody body) {
        BuildPlan one = body.plan();
        BuildPlan two = body.plan();
        assertThat(two.steps().stream().map(s -> s.operation().key().written()).toList())
                .isEqualTo(one.steps().stream()
                        .map(s -> s.operation().key().written())
                        .toList());
        assertThat(two.findings()).isEqualTo(one.findings());
        assertThat(two.links()).isEqualTo(one.links());
        assertThat(two.history().finished().balance())
                .isEqualTo(one.history().finished().balance());
    }

    @ParameterizedTest
    @MethodSource("bodies")
    void every_reason_points_backwards_and_keys_are_unique(TestBody body) {
        BuildPlan plan = body.plan();
        List<String> keys =
                plan.steps().stream().map(s -> s.operation().key().written()).toList();
        assertThat(keys).doesNotHaveDuplicates();
        for (Link link : plan.links()) {
            assertThat(keys.indexOf(link.before().written()))
                    .as(link.toString())
                    .isLessThan(keys.indexOf(link.after().written()));
        }
    }

    /** A card says "bearing on the" and then the guide; a step that is done lacks no tool. */
    @ParameterizedTest
    @MethodSource("bodies")
    void what_a_card_says_reads_on(TestBody body) {
        for (BuildPlan.PlanStep step : body.schedule().steps()) {
            if (step.operation().setting() instanceof Setting.Routed routed) {
                assertThat(routed.tool() + ", bearing on the " + routed.guide())
                        .as(step.operation().key().written())
                        .doesNotContainPattern("\\b(\\w+) \\1\\b");
                if (step.done()) {
                    assertThat(routed.tool()).doesNotContain("lacks");
                }
            }
        }
    }

    /** Every cut needs the wood it takes or a wall to ride, and something that shows where it goes. */
    @ParameterizedTest
    @MethodSource("bodies")
    void every_cutting_step_needs_wood_and_a_reference(TestBody body) {
        for (BuildPlan.PlanStep step : body.schedule().steps()) {
            Operation op = step.operation();
            if (op.cannotBeTakenBack()) {
                assertThat(op.needs())
                        .as(op.key() + " has no reference")
                        .anyMatch(n -> n instanceof Condition.Mark
                                || n instanceof Condition.Flat
                                || n instanceof Condition.Held
                                || n instanceof Condition.Access
                                || op.key().written().equals("thickness:front"));
                assertThat(op.needs())
                        .as(op.key() + " needs no wood")
                        .anyMatch(n -> n instanceof Condition.Wood
                                || n instanceof Condition.Wall
                                || n instanceof Condition.Settled
                                || op.key().written().equals("neck:deepen"));
            }
        }
    }

    /** Depths on cards come from exact geometry, the stock from the grid: over a flat cavity they agree. */
    @ParameterizedTest
    @MethodSource("bodies")
    void the_wood_over_a_cavitys_middle_is_what_its_cards_sum_says(TestBody body) {
        BuildPlan plan = body.plan();
        List<History.Step> steps = plan.history().steps();
        for (int i = 0; i < steps.size(); i++) {
            History.Step step = steps.get(i);
            if (step.operation().key().written().equals("pickup-neck:rout") && !step.done()) {
                var at = body.pickups.get(0).at();
                double front = plan.build().faces().frontNow();
                double depth = step.operation().setting().figure().orElseThrow().value();
                double[] solid = plan.history().before(i + 1).intervalsAt(at.x(), at.y());
                assertThat(solid[0]).isEqualTo(front + depth, within(1e-4));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("bodies")
    void wood_only_ever_gets_less_after_the_blank(TestBody body) {
        double last = Double.POSITIVE_INFINITY;
        History history = body.plan().history();
        for (int i = 0; i < history.steps().size(); i++) {
            History.Step step = history.steps().get(i);
            double grams = history.before(i + 1).balance().grams();
            boolean adds = step.changes().stream().anyMatch(Change.Add.class::isInstance);
            if (!adds && grams > 0) {
                assertThat(grams).as(step.operation().key().written()).isLessThanOrEqualTo(last + 1e-6);
            }
            last = grams == 0 ? last : grams;
        }
    }

    @ParameterizedTest
    @MethodSource("bodies")
    void what_a_slip_costs_only_rises(TestBody body) {
        int last = 0;
        for (BuildPlan.PlanStep step : body.schedule().steps()) {
            assertThat(step.slip().minutes()).isGreaterThanOrEqualTo(last);
            last = step.slip().minutes();
        }
        assertThat(last).isEqualTo(body.plan().totalMinutes());
    }
}
