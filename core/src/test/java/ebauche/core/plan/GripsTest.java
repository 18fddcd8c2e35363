package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.Recap;
import ebauche.core.feature.StepKey;
import ebauche.core.gluing.Clamping;
import ebauche.core.gluing.Grip;
import ebauche.core.gluing.TopPress;
import ebauche.core.hollow.NewCap;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.shop.Clamp;
import ebauche.core.shop.Gluing;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** With what of the shop's a body's glue-ups are pressed, whatever is glued. */
class GripsTest {
    private static Clamping clamping(TestBody body, String key) {
        return Stations.clamping(body.build(), StepKey.parse(key));
    }

    private static TestBody setNeck(Clamp... clamps) {
        TestBody body = new TestBody();
        body.joint = NeckJoint.Kind.SET;
        if (clamps.length > 0) {
            Gluing usual = Gluing.USUAL;
            body.shop = body.shop.with(new Gluing(
                    usual.glue(),
                    usual.edges(),
                    usual.outOfSquare(),
                    usual.complementary(),
                    List.of(clamps),
                    usual.cauls()));
        }
        return body;
    }

    private static double value(List<Reckoning> sums, String what) {
        return sums.stream()
                .filter(r -> r.what().equals(what))
                .findFirst()
                .orElseThrow()
                .value();
    }

    /** Two clamps over the joint (common practice), the smallest that do; they stay on as long as the glue is clamped, and the step names them. */
    @Test
    void a_set_neck_takes_two_clamps() {
        TestBody body = setNeck();
        Clamping clamping = clamping(body, "neck:glue");
        assertThat(clamping.grips())
                .containsExactly(new Grip("screw clamp", 2, Gluing.USUAL.glue().clampMinutes()));
        assertThat(clamping.lacking()).isEmpty();
        Setting.Glued set = (Setting.Glued)
                body.schedule().step("neck:glue").orElseThrow().operation().setting();
        assertThat(set.toString()).contains("2 × screw clamp");
    }

    /**
     * By hand: 44.5 of body, over it heel and fingerboard of 25.4 + 6.35 less a pocket of {@code p}, and two cauls of 20. A clamp that opens so far does, one
     * that opens a millimetre less does not; nor does one that does not reach the middle of a pocket 56 wide.
     */
    @Test
    void a_clamp_must_open_over_body_neck_and_cauls_and_reach_the_middle_of_the_pocket() {
        List<Reckoning> sums = setNeck().plan().reckonings();
        double pocket = value(sums, "pocket depth");
        double opening = 44.5 + 25.4 + 6.35 - pocket + 40;
        assertThat(value(sums, "a clamp over the neck joint opens")).isCloseTo(opening, within(1e-9));
        Clamp does = new Clamp("does", 1, opening + 0.1, 28, 30, 2500);
        Clamp narrow = new Clamp("narrow", 9, opening - 1, 90, 30, 2500);
        Clamp shallow = new Clamp("shallow", 9, 400, 27, 30, 2500);
        Clamping one = clamping(setNeck(narrow, does, shallow), "neck:glue");
        assertThat(one.grips()).extracting(Grip::thing).containsExactly("does");
        assertThat(one.lacking()).startsWith("1 more clamp that opens");
        assertThat(one.words()).startsWith("1 × does, 1 more clamp");
        Clamping none = clamping(setNeck(narrow, shallow), "neck:glue");
        assertThat(none.grips()).isEmpty();
        assertThat(none.lacking()).startsWith("2 more clamps that");
    }

    @Test
    void a_screwed_neck_takes_none() {
        assertThat(clamping(new TestBody(), "neck:glue")).isEqualTo(Clamping.NONE);
    }

    /** What its sheet has, counted once more; a body without one takes nothing for it. */
    @Test
    void a_new_cap_takes_what_its_sheet_has() {
        TestBody body = new TestBody();
        assertThat(clamping(body, "new-cap:top")).isEqualTo(Clamping.NONE);
        List<BuildPlan.PlanStep> steps = body.schedule().steps();
        body.doneUpTo(steps.get(steps.size() - 1).operation().key().written());
        body.recap = Optional.of(new Recap(2, 5, TestTimber.ASH));
        TopPress press = NewCap.overWhatIsCut(body.build()).orElseThrow().press();
        Clamping clamping = clamping(body, "new-cap:top");
        int clamps = clamping.grips().stream()
                .filter(g -> g.thing().endsWith("clamp"))
                .mapToInt(Grip::count)
                .sum();
        int cauls = clamping.grips().stream()
                .filter(g -> g.thing().endsWith("caul"))
                .mapToInt(Grip::count)
                .sum();
        assertThat(clamps).isEqualTo(press.clamps()).isPositive();
        assertThat(cauls)
                .isEqualTo(press.cauls().size() + (press.spine().isPresent() ? 1 : 0))
                .isPositive();
    }

    /** No glue-up is forgotten: the blank's and the neck's are each pressed with something of the shop's. */
    @Test
    void every_glue_up_under_clamps_is_known() {
        TestBody body = setNeck();
        List<StepKey> glued = body.schedule().steps().stream()
                .map(BuildPlan.PlanStep::operation)
                .filter(o -> o.setting() instanceof Setting.Glued)
                .map(Operation::key)
                .toList();
        assertThat(glued).extracting(StepKey::written).containsExactly("blank:glue", "neck:glue");
        assertThat(glued)
                .allSatisfy(
                        key -> assertThat(Stations.clamping(body.build(), key).grips())
                                .as(key.written())
                                .isNotEmpty());
    }
}
