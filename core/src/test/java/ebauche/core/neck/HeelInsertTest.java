package ebauche.core.neck;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.design.Measurand;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Finding;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Threaded inserts in the heel: another hole, a machine screw with a window of its own, and the fingerboard to stay out of. */
class HeelInsertTest {
    /** M4, 12 long, in a hole of 6. */
    private static TestBody body() {
        TestBody body = new TestBody();
        body.heelInsert = Optional.of(
                TestParts.of(PartKind.HEEL_INSERT, PartSize.HOLE, 6, PartSize.LENGTH, 12, PartSize.SCREW, 4));
        return body;
    }

    private static List<String> rules(TestBody body) {
        return body.plan().findings().stream().map(Finding::rule).toList();
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    /** Two millimetres under the insert for chips and the screw's end: common practice. */
    @Test
    void the_heel_is_drilled_for_the_inserts_and_they_go_in_before_the_line_is_looked_along() {
        BuildPlan plan = body().plan();
        List<String> keys = plan.steps().stream()
                .map(s -> s.operation().key().written())
                .filter(k -> k.startsWith("neck-screws:") || k.startsWith("neck-inserts:"))
                .toList();
        assertThat(keys)
                .containsExactly("neck-screws:drill", "neck-screws:heel", "neck-inserts:insert", "neck-screws:recheck");
        Setting.Drilled heel = (Setting.Drilled) step(plan, "neck-screws:heel").setting();
        assertThat(heel.depth().value()).isCloseTo(14, within(1e-9));
        assertThat(heel.hole().orElseThrow().wide()).isEqualTo(6);
        // nothing of the body is cut for them
        assertThat(step(plan, "neck-screws:heel").changes()).isEmpty();
    }

    /** A machine screw wants its own diameter of thread in the metal (handbooks, from memory), and ends in the hole. */
    @Test
    void a_machine_screw_is_a_diameter_in_the_insert_and_no_longer_than_its_hole() {
        NeckScrews plain = NeckScrews.of(new TestBody().build()).orElseThrow();
        NeckScrews insert = NeckScrews.of(body().build()).orElseThrow();
        assertThat(insert.shortest().value()).isCloseTo(plain.mostWood().value() + 4, within(1e-9));
        assertThat(insert.longest().value()).isCloseTo(plain.leastWood().value() + 14, within(1e-9));
        TestBody tooLong = body();
        tooLong.screwLength = OptionalDouble.of(insert.longest().value() + 1);
        assertThat(tooLong.plan().findings())
                .anySatisfy(f -> assertThat(f.what()).contains("meets the end of its insert's hole"));
        TestBody tooShort = body();
        tooShort.screwLength = OptionalDouble.of(insert.shortest().value() - 1);
        assertThat(tooShort.plan().findings())
                .anySatisfy(f -> assertThat(f.what()).contains("hardly turns into its insert"));
    }

    /** Its hole stays 2 mm out of the fingerboard: common practice. Measured longer than it is sold, it no longer does. */
    @Test
    void an_insert_too_long_for_the_heel_stops_the_build() {
        TestBody body = body();
        body.heel = 17;
        assertThat(rules(body)).doesNotContain("insert-depth");
        body.read(new Measurand.SizeOf(NeckJoint.INSERTS, PartSize.LENGTH).key(), 13.5);
        assertThat(body.plan().findings())
                .filteredOn(f -> f.rule().equals("insert-depth"))
                .singleElement()
                .extracting(Finding::severity)
                .isEqualTo(Finding.Severity.STOPS);
    }

    @Test
    void an_insert_whose_screw_does_not_pass_the_bodys_hole_is_refused() {
        TestBody body = body();
        body.heelInsert = Optional.of(
                TestParts.of(PartKind.HEEL_INSERT, PartSize.HOLE, 9, PartSize.LENGTH, 12, PartSize.SCREW, 6));
        assertThatThrownBy(body::design)
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("does not pass through the hole");
    }

    @Test
    void its_feature_says_what_it_is() {
        assertThat(Feature.parse("neck-inserts").said()).isEqualTo("heel inserts");
    }
}
