package ebauche.core.operation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.plan.BuildPlan;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Steps' lasting names: what a record has written stays readable. */
class StepKeyTest {
    @ParameterizedTest
    @EnumSource
    void every_kind_reads_its_own_word(StepKind kind) {
        if (kind != StepKind.UNKNOWN) {
            StepKey key = StepKey.of(Feature.parse("pickup-neck"), kind);
            assertThat(key.written()).isEqualTo("pickup-neck:" + kind.word()).hasToString(key.toString());
            assertThat(StepKey.parse(key.written())).isEqualTo(key);
        }
    }

    /** A record of an earlier or a later program: feature and step are kept as they stand. */
    @Test
    void a_step_that_nobody_knows_is_kept() {
        StepKey key = StepKey.parse("from-elsewhere:polish-2");
        assertThat(key.kind()).isEqualTo(StepKind.UNKNOWN);
        assertThat(key.written()).isEqualTo("from-elsewhere:polish-2");
        assertThat(key).isNotEqualTo(StepKey.parse("from-elsewhere:polish-3"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "neck", "neck:", ":rout", "neck:rout:again", "Neck:rout", "neck:Rout", "neck: rout"})
    void what_is_no_step_is_refused_and_no_address_falls_over_it(String written) {
        assertThatThrownBy(() -> StepKey.parse(written)).hasMessageContaining("steps are written like neck:rout");
        assertThat(StepKey.mentioned(written)).isEmpty();
        assertThat(new TestBody().schedule().step(written)).isEmpty();
    }

    /** Every step of a plan is of a kind that has a name, and found again by what an address writes. */
    @Test
    void a_plans_steps_are_found_by_what_is_written() {
        BuildPlan plan = new TestBody().plan();
        assertThat(plan.steps()).hasSizeGreaterThan(40).allSatisfy(s -> {
            StepKey key = s.operation().key();
            assertThat(key.kind()).isNotEqualTo(StepKind.UNKNOWN);
            assertThat(plan.step(key.written())).contains(s);
        });
    }
}
