package ebauche.core.operation;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.feature.StepKey;
import org.junit.jupiter.api.Test;

/** What a step leaves behind is one thing, whatever it is called. */
class MarksTest {
    private static final StepKey ROUT = StepKey.parse("cover:rout");
    private static final StepKey WASTE = StepKey.parse("cover:waste");

    @Test
    void two_marks_are_one_when_the_same_step_leaves_them() {
        Condition.Mark mark = new Condition.Mark(ROUT, "the cover recess at depth");
        Condition.Mark said = new Condition.Mark(ROUT, "the recess of the cover routed");
        assertThat(mark).isEqualTo(said).hasSameHashCodeAs(said).isNotEqualTo(new Condition.Mark(WASTE, mark.name()));
        assertThat(mark.answers(said)).isTrue();
        assertThat(said.words()).isEqualTo("the recess of the cover routed");
    }

    @Test
    void a_mark_a_hole_and_a_template_are_never_one() {
        Condition.Mark mark = new Condition.Mark(ROUT, "it");
        Condition.Access hole = new Condition.Access(ROUT, "it");
        Condition.Held held = new Condition.Held(ROUT, "it");
        assertThat(mark.answers(hole) || hole.answers(held) || held.answers(mark))
                .isFalse();
        assertThat(hole).isEqualTo(new Condition.Access(ROUT, "another word"));
        assertThat(held).isEqualTo(new Condition.Held(ROUT, "another word"));
    }
}
