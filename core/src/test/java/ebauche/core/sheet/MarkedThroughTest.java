package ebauche.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.feature.StepKind;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Every drilled step but the drilled waste is on the drill list, whether its places are known or not. */
@Tag("slow")
class MarkedThroughTest {
    @Test
    void what_is_drilled_stands_on_one_of_the_two_lists() {
        BuildPlan plan = new TestBody().plan();
        List<String> placed = DrillHole.of(plan).stream()
                .map(h -> h.step().key().written())
                .distinct()
                .toList();
        List<String> through = MarkedThrough.of(plan).stream()
                .map(h -> h.step().key().written())
                .toList();
        List<String> drilled = plan.steps().stream()
                .map(BuildPlan.PlanStep::operation)
                .filter(o -> o.setting() instanceof Setting.Drilled && !o.key().is(StepKind.WASTE))
                .map(o -> o.key().written())
                .toList();
        assertThat(through).contains("pickup-neck:screws", "neck-screws:heel").doesNotHaveDuplicates();
        assertThat(placed).doesNotContainAnyElementsOf(through);
        assertThat(drilled)
                .hasSize(placed.size() + through.size())
                .containsAll(placed)
                .containsAll(through);
    }

    @Test
    void each_says_how_wide_and_how_deep() {
        assertThat(MarkedThrough.of(new TestBody().plan())).isNotEmpty().allSatisfy(h -> {
            assertThat(h.wide().orElseThrow()).isBetween(1.0, 8.0);
            assertThat(h.depth().value()).isBetween(3.0, 40.0);
            assertThat(h.done()).isFalse();
        });
    }
}
