package ebauche.core.operation;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.crib.HoldDown;
import ebauche.core.crib.Machine;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Gluing;
import ebauche.core.shop.Practice;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The usual cautions stand where the hazard is, and not where it is not. Common practice; the tool's manual and local rules come first. */
class CautionTest {
    private static List<Caution> of(BuildPlan plan, String step) {
        return plan.step(step)
                .orElseThrow(() -> new AssertionError(step))
                .operation()
                .cautions();
    }

    /** Half an inch in the collet, the bearing felt, the bit still, no force; no gloves at a drill; a large bit slow where it breaks in. */
    @Test
    void router_and_drill_say_what_hurts_at_them() {
        BuildPlan plan = new TestBody().plan();
        assertThat(of(plan, "neck:rout")).contains(Caution.ROUTER).doesNotContain(Caution.DRILL, Caution.PLANER);
        assertThat(Caution.ROUTER.words())
                .contains("half an inch of shank", "bearing for play", "stands still", "wants force");
        assertThat(of(plan, "neck:waste")).contains(Caution.DRILL, Caution.LARGE_DRILL);
        assertThat(of(plan, "jack:drill")).contains(Caution.DRILL, Caution.LARGE_DRILL);
        assertThat(of(plan, "neck-screws:drill")).contains(Caution.DRILL).doesNotContain(Caution.LARGE_DRILL);
        assertThat(Caution.DRILL.words()).contains("No gloves", "loose sleeves");
        assertThat(Caution.LARGE_DRILL.words()).contains("breaks in", "both hands");
    }

    @Test
    void every_cutting_step_at_a_machine_has_a_caution() {
        for (BuildPlan.PlanStep step : new TestBody().schedule().steps()) {
            Operation op = step.operation();
            boolean machine = op.setting() instanceof Setting.Routed
                    || op.setting() instanceof Setting.Drilled
                    || op.setting() instanceof Setting.Sawn;
            if (machine) {
                assertThat(op.cautions()).as(op.key().written()).isNotEmpty();
            }
        }
    }

    /** A blank is jointed with the jointer's caution, not the band saw's, and PVA wants neither gloves nor air. */
    @Test
    void the_blanks_steps_have_the_caution_of_the_shops_own_way() {
        BuildPlan plan = new TestBody().plan();
        assertThat(of(plan, "blank:joint")).contains(Caution.JOINTER).doesNotContain(Caution.SAW);
        assertThat(of(plan, "blank:glue")).isEmpty();
        assertThat(Caution.of(Gluing.Edges.TABLE_SAW)).contains(Caution.SAW, Caution.RIP);
        assertThat(Caution.RIP.words()).contains("Push stick");
        assertThat(Caution.of(Gluing.Edges.HAND_PLANE)).isEmpty();
        assertThat(Caution.of(Glue.EPOXY)).containsExactly(Caution.EPOXY);
        assertThat(Caution.of(Glue.HIDE)).containsExactly(Caution.HOT_GLUE);
    }

    @Test
    void a_planer_kicks_back_and_has_a_least_length_and_ca_fumes() {
        TestBody body = new TestBody();
        body.shop = TestBody.owning(
                body.shop.with(body.shop.practice().withThicknessing(Practice.Thicknessing.PLANER)),
                new Machine("planer", Machine.Kind.PLANER, 500));
        assertThat(of(body.plan(), "thickness:back")).contains(Caution.PLANER).doesNotContain(Caution.ROUTER);
        assertThat(Caution.PLANER.words()).contains("kicks back", "Nothing shorter");
        assertThat(Caution.of(HoldDown.TAPE_AND_CA)).containsExactly(Caution.CA);
        assertThat(Caution.of(HoldDown.TAPE)).isEmpty();
    }
}
