package ebauche.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Bridge;
import ebauche.core.plan.BuildPlan;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Places to mark, from lines that a rule can be laid to, in the order of marking, with a diagonal that proves them. */
class MarkingOutTest {
    private static MarkingOut of(BuildPlan plan, String step) {
        return MarkingOut.of(plan, plan.indexOf(plan.step(step).orElseThrow())).orElseThrow();
    }

    @Test
    void studs_are_marked_from_centre_line_and_saddle_line_and_proved_across() {
        TestBody body = new TestBody();
        body.offCentre = 0.3;
        body.studs = Optional.of(new Bridge.Studs(74, 4, 11, 20));
        MarkingOut card = of(body.plan(), "bridge-studs:drill");
        assertThat(card.from()).isEqualTo(MarkingOut.Along.SADDLE_LINE);
        assertThat(card.marks()).extracting(m -> m.place().name()).containsExactly("bass stud", "treble stud");
        assertThat(card.marks().get(0).across()).isCloseTo(0.3 - 37, within(1e-9));
        assertThat(card.marks().get(1).along()).isCloseTo(4, within(1e-9));
        assertThat(card.check().straight().value()).isCloseTo(74, within(1e-9));
        assertThat(card.there()).isEmpty();
        assertThat(card.oneWay()).hasValue(1);
    }

    @Test
    void a_single_place_is_proved_from_where_the_lines_cross() {
        TestBody body = new TestBody();
        MarkingOut card = of(body.plan(), "control-volume:drill");
        MarkingOut.Mark mark = card.marks().get(0);
        assertThat(card.check().one()).isZero();
        // the longest side of a right-angled triangle: Euclid I.47
        assertThat(card.check().straight().value() * card.check().straight().value())
                .isCloseTo(mark.across() * mark.across() + mark.along() * mark.along(), within(1e-6));
    }

    @Test
    void before_the_bridge_is_marked_and_on_the_back_an_end_of_the_body_is_measured_from() {
        TestBody body = new TestBody();
        BuildPlan plan = body.plan();
        MarkingOut neck = of(plan, "neck:waste");
        assertThat(neck.from()).isEqualTo(MarkingOut.Along.NECK_END);
        assertThat(neck.marks()).allSatisfy(m -> assertThat(m.along()).isNegative());
        MarkingOut controls = of(plan, "controls:waste");
        assertThat(controls.face()).isEqualTo(Face.BACK);
        assertThat(controls.from()).isEqualTo(MarkingOut.Along.TAIL_END);
        assertThat(controls.marks()).allSatisfy(m -> assertThat(m.along()).isPositive());
    }

    @Test
    void what_an_earlier_step_has_marked_is_not_marked_again() {
        TestBody body = new TestBody();
        MarkingOut card = of(body.plan(), "jack:drill");
        assertThat(card.there().orElseThrow().key())
                .isEqualTo(StepKey.mentioned("jack:mark").orElseThrow());
    }

    @Test
    void holes_that_are_opened_were_marked_where_the_small_ones_came_on_the_same_face() {
        TestBody body = new TestBody();
        body.stringThrough = Optional.of(new Bridge.StringThrough(-20, 3, Optional.of(TestParts.ferrule())));
        BuildPlan plan = body.plan();
        assertThat(of(plan, "string-holes:drill").there().orElseThrow().key().written())
                .isEqualTo("string-holes:locate");
        assertThat(of(plan, "ferrules:bore").there().orElseThrow().key().written())
                .isEqualTo("string-holes:locate");
        assertThat(of(plan, "string-holes:locate").marks())
                .extracting(m -> m.place().name())
                .startsWith("string 6")
                .endsWith("string 1");
    }
}
