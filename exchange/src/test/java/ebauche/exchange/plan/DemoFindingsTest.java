package ebauche.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.job.Finding;
import ebauche.core.plan.Planner;
import ebauche.exchange.Remembering;
import ebauche.exchange.file.DemoBodies;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is found in the demo bodies is what their scenario means to show, and nothing that came in by the way. */
@ExtendWith(Remembering.class)
class DemoFindingsTest {
    @ParameterizedTest
    @CsvSource({
        "tussock, neck-sanded-later second-way hot-tip",
        "sedge, neck-sanded-later second-way hot-tip",
        "shale, block-too-long heel-under-front",
        "marram, channel-comes-out near-hardware"
    })
    void only_what_the_scenario_means_is_found(String name, String rules) {
        assertThat(Planner.plan(DemoBodies.read(name).build()).findings())
                .extracting(Finding::rule)
                .containsExactlyInAnyOrder(rules.split(" "));
    }

    @Test
    void every_demo_body_is_held_to_its_findings() {
        assertThat(DemoBodies.NAMES).containsExactlyInAnyOrder("tussock", "sedge", "shale", "marram");
    }
}
