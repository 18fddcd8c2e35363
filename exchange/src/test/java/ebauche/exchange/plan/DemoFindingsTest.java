package ebauche.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.feature.Work;
import ebauche.core.job.Finding;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.Remembering;
import ebauche.exchange.file.DemoBodies;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is found in the demo bodies is what their scenario means to show, and nothing that came in by the way. */
@ExtendWith(Remembering.class)
class DemoFindingsTest {
    @ParameterizedTest
    @CsvSource({
        "tussock, neck-sanded-later second-way hot-tip",
        "sedge, neck-sanded-later second-way hot-tip",
        "shale, block-too-long heel-under-front carve-by",
        "marram, channel-comes-out near-hardware",
        "fescue, neck-sanded-later second-way hot-tip",
        "rush, neck-sanded-later second-way hot-tip through-top edge-no-bit edge-no-bit"
    })
    void only_what_the_scenario_means_is_found(String name, String rules) {
        assertThat(Planner.plan(DemoBodies.read(name).build()).findings())
                .extracting(Finding::rule)
                .containsExactlyInAnyOrder(rules.split(" "));
    }

    /** Sanding is about half of the hands-on time, what a hollow and what is done to the edges apart: common practice. */
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram", "fescue", "rush"})
    void sanding_takes_about_half_of_the_hands_on_time(String name) {
        List<Operation> steps = Planner.schedule(DemoBodies.read(name).build()).steps().stream()
                .map(BuildPlan.PlanStep::operation)
                .filter(o -> o.work() != Work.CHAMBER && o.work() != Work.EDGE)
                .toList();
        double all = steps.stream().mapToInt(Operation::handsOnMinutes).sum();
        double sanding = steps.stream()
                .filter(o -> o.work() == Work.SANDING)
                .mapToInt(Operation::handsOnMinutes)
                .sum();
        assertThat(sanding / all).isBetween(0.4, 0.6);
    }

    @Test
    void every_demo_body_is_held_to_its_findings() {
        assertThat(DemoBodies.NAMES).containsExactlyInAnyOrder("tussock", "sedge", "shale", "marram", "fescue", "rush");
    }
}
