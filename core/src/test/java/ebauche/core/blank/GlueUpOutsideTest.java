package ebauche.core.blank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestTimber;
import ebauche.core.design.BlankLayer;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.gluing.TopPress;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Caul;
import ebauche.core.shop.Clamp;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Gluing;
import ebauche.core.timber.Climate;
import ebauche.core.timber.Hardness;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Gluing held to plane geometry, to the Wood Handbook's chapter 10 (from memory) and to facts of the trade. */
class GlueUpOutsideTest {
    private static Gluing gluing(Glue glue, Gluing.Edges edges, double off, boolean complementary, Clamp... clamps) {
        return new Gluing(glue, edges, off, complementary, List.of(clamps), List.of());
    }

    private static final Clamp BAR = new Clamp("bar", 10, 600, 80, 35, 4500);

    /** Two edges drawn in coordinates, each leaning by e, laid together: the gap is what is measured between their ends. */
    @ParameterizedTest
    @CsvSource({"50.8, 0.5, 0.89", "44.45, 0.2, 0.31", "20, 1.5, 1.05"})
    void edges_cut_the_same_face_up_gape_as_two_drawn_lines_do(double thickness, double off, double gap) {
        SeamFit same = new SeamFit(gluing(Glue.PVA, Gluing.Edges.JOINTER, off, false, BAR), thickness);
        double e = Math.toRadians(off);
        // The left edge leans from (0, 0) and the right one from (0, 0) the other way; their far ends are apart by:
        double drawn = 2 * Math.sin(e) * (thickness / Math.cos(e));
        assertThat(same.gap().value()).isEqualTo(drawn, within(1e-9)).isEqualTo(gap, within(0.006));
        assertThat(same.lean().value()).isZero();
        SeamFit complementary = new SeamFit(gluing(Glue.PVA, Gluing.Edges.JOINTER, off, true, BAR), thickness);
        assertThat(complementary.gap().value()).isZero();
        assertThat(complementary.lean().value()).isEqualTo(drawn / 2, within(1e-9));
    }

    @Test
    void a_hand_planes_error_does_not_repeat_and_cannot_be_made_to_cancel() {
        SeamFit plane = new SeamFit(gluing(Glue.PVA, Gluing.Edges.HAND_PLANE, 0.5, true, BAR), 50.8);
        assertThat(plane.gap().value()).isEqualTo(0.89, within(0.01));
        assertThat(plane.tight()).isFalse();
        assertThat(new SeamFit(gluing(Glue.EPOXY, Gluing.Edges.HAND_PLANE, 0.25, true, BAR), 50.8).tight())
                .isTrue();
    }

    /** Wood Handbook, ch. 10 (from memory): 0.7 to 1.0 MPa for soft, 1.2 to 1.7 MPa for hard woods; 457 x 44.45 at 0.9. */
    @Test
    void the_force_is_pressure_times_area() {
        ClampPlan soft = new ClampPlan(
                gluing(Glue.PVA, Gluing.Edges.JOINTER, 0, true, BAR), Hardness.SOFT, 457, 340, 44.45, 170);
        assertThat(soft.forceWanted().value() / 0.7 * 0.9).isEqualTo(18.3, within(0.05));
        assertThat(Glue.PVA.pressureLeast(Hardness.SOFT)).isEqualTo(0.7);
        assertThat(Glue.PVA.pressureMost(Hardness.SOFT)).isEqualTo(1.0);
        assertThat(Glue.PVA.pressureLeast(Hardness.HARD)).isEqualTo(1.2);
        assertThat(Glue.PVA.pressureMost(Hardness.HARD)).isEqualTo(1.7);
    }

    @Test
    void clamps_are_as_many_as_force_and_spacing_ask_alternate_and_start_in_the_middle() {
        ClampPlan plan = new ClampPlan(
                gluing(Glue.PVA, Gluing.Edges.JOINTER, 0, true, BAR), Hardness.SOFT, 457, 340, 44.45, 170);
        assertThat(plan.enough()).isTrue();
        // 14.2 kN at 4.5 kN each: four; 457 at 150 apart: four.
        assertThat(plan.clamps()).hasSize(4);
        assertThat(plan.clamps().stream().map(ClampPlan.Set::over)).containsExactly(true, false, true, false);
        assertThat(plan.clamps().get(1).turn()).isEqualTo(1);
        assertThat(plan.clamps().stream().map(ClampPlan.Set::turn)).containsExactlyInAnyOrder(1, 2, 3, 4);
        for (int i = 1; i < 4; i++) {
            assertThat(plan.clamps().get(i).along() - plan.clamps().get(i - 1).along())
                    .isLessThanOrEqualTo(plan.spacingMost().value());
        }
        assertThat(plan.pressureReached().value()).isBetween(0.7, 1.0);
        assertThat(plan.share()).isEqualTo(1);
    }

    /** Pressure spreads at 45 degrees (common practice): a seam 40 from the jaw is covered by clamps 80 apart. */
    @Test
    void a_seam_near_the_edge_wants_clamps_closer_together_unless_a_caul_spreads_them() {
        Gluing bare = gluing(Glue.PVA, Gluing.Edges.JOINTER, 0, true, BAR);
        assertThat(new ClampPlan(bare, Hardness.SOFT, 457, 340, 44, 40)
                        .spacingMost()
                        .value())
                .isEqualTo(80, within(1e-9));
        Gluing cauls = new Gluing(
                Glue.PVA, Gluing.Edges.JOINTER, 0, true, List.of(BAR), List.of(new Caul("c", 2, 460, 45, 25, false)));
        ClampPlan spread = new ClampPlan(cauls, Hardness.SOFT, 457, 340, 44, 40);
        assertThat(spread.spacingMost().value()).isEqualTo(130, within(1e-9));
        assertThat(spread.opening().value()).isEqualTo(390, within(1e-9));
    }

    @Test
    void what_is_missing_is_said() {
        ClampPlan few = new ClampPlan(
                gluing(Glue.PVA, Gluing.Edges.JOINTER, 0, true, new Clamp("bar", 2, 600, 80, 35, 4500)),
                Hardness.HARD,
                457,
                340,
                44.45,
                170);
        assertThat(few.enough()).isFalse();
        // 24.4 kN wanted, 9 there: four more of 4.5.
        assertThat(few.missing()).startsWith("4 more clamps");
        ClampPlan none = new ClampPlan(
                gluing(Glue.PVA, Gluing.Edges.JOINTER, 0, true, new Clamp("small", 9, 150, 80, 35, 2500)),
                Hardness.SOFT,
                457,
                340,
                44.45,
                170);
        assertThat(none.clamps()).isEmpty();
        assertThat(none.enough()).isFalse();
    }

    private static GlueUp glueUp(int pieces, Gluing gluing, double celsius) {
        return new GlueUp(
                BlankLayer.even(TestTimber.ALDER, pieces, 340, 47),
                450,
                gluing,
                Optional.of(new Climate(celsius, 0.5)));
    }

    /** Common practice: 150 to 250 g of PVA per square metre of joint. */
    @Test
    void glue_is_weighed_by_the_area_of_the_seams() {
        Reckoning least = glueUp(3, Gluing.USUAL, 20).glueLeast();
        assertThat(least.value()).isEqualTo(2 * 0.450 * 0.047 * 150, within(1e-9));
        assertThat(glueUp(3, Gluing.USUAL, 20).glueMost().value() / least.value())
                .isEqualTo(250.0 / 150, within(1e-9));
    }

    @Test
    void warm_air_shortens_the_open_time_and_many_seams_are_glued_in_stages() {
        Gluing hide = gluing(Glue.HIDE, Gluing.Edges.JOINTER, 0, true, BAR);
        assertThat(glueUp(2, hide, 30).openTime().value()).isEqualTo(1, within(1e-9));
        assertThat(glueUp(2, hide, 20).stages()).isZero();
        Gluing pva = gluing(Glue.PVA, Gluing.Edges.JOINTER, 0, true, BAR);
        assertThat(glueUp(2, pva, 20).stages()).isEqualTo(1);
        assertThat(glueUp(7, pva, 28).stages()).isGreaterThan(1);
        assertThat(glueUp(2, pva, 6).warmEnough()).isFalse();
    }

    @Test
    void each_seam_has_its_letter_on_both_edges_and_they_are_cut_opposite_ways() {
        List<GlueUp.EdgeCuts> edges = glueUp(3, Gluing.USUAL, 20).edges();
        assertThat(edges.get(0).rightMark()).isEqualTo(edges.get(1).leftMark()).isEqualTo("a");
        assertThat(edges.get(0).rightFaceUp()).isNotEqualTo(edges.get(1).leftFaceUp());
        assertThat(edges.get(1).rightMark()).isEqualTo("b");
        assertThat(edges.get(0).leftMark()).isEmpty();
    }

    /** 0.125 m² at 0.9 MPa is 112 kN (plain arithmetic): no shop clamps that, so the pressure that is reached is told. */
    @Test
    void a_top_is_pressed_by_what_there_is_and_the_weakest_place_is_named() {
        Region plan = Region.rectangle(new Point(0, 0), 330, 380, 0, 0);
        assertThat(0.9 * plan.area() / 1000).isEqualTo(112, within(1.0));
        TopPress bare = TopPress.onto(plan, 8, gluing(Glue.PVA, Gluing.Edges.JOINTER, 0, true, BAR));
        assertThat(bare.least()).isZero();
        assertThat(bare.covered()).isLessThan(0.6);
        assertThat(Math.abs(bare.weakest().x())).isLessThan(60);
        assertThat(bare.help()).contains("Crowned cauls as long as the blank is wide");
        Gluing crowned = new Gluing(
                Glue.PVA,
                Gluing.Edges.JOINTER,
                0,
                true,
                List.of(new Clamp("bar", 12, 600, 80, 35, 4500)),
                List.of(new Caul("crowned", 6, 420, 50, 45, true)));
        TopPress pressed = TopPress.onto(plan, 8, crowned);
        assertThat(pressed.cauls()).hasSize(6);
        assertThat(pressed.least()).isPositive();
        // 150 to 250 g/m² (common practice) over 330 x 380.
        assertThat(pressed.glueLeast().value()).isEqualTo(0.33 * 0.38 * 150, within(1e-6));
        assertThat(pressed.glueMost().value()).isEqualTo(0.33 * 0.38 * 250, within(1e-6));
        assertThat(pressed.average().value()).isEqualTo(12 * 4500 / plan.area(), within(1e-9));
        assertThat(pressed.average().value()).isGreaterThan(pressed.least() * 0.9);
    }
}
