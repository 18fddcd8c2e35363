package ebauche.core.blank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestTimber;
import ebauche.core.design.BlankLayer;
import ebauche.core.shop.Clamp;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Gluing;
import ebauche.core.timber.Climate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Marks, times and bounds of a glue-up, worked by hand. */
class GlueUpTest {
    private static final Clamp WEAK = new Clamp("weak", 12, 600, 80, 35, 1000);

    private static GlueUp glueUp(int pieces, double thick, boolean complementary, Optional<Climate> air) {
        Gluing gluing = new Gluing(Glue.PVA, Gluing.Edges.JOINTER, 0.1, complementary, List.of(WEAK), List.of());
        return new GlueUp(BlankLayer.even(TestTimber.ALDER, pieces, 330, thick), 420, gluing, air);
    }

    /** Under 12 mm a plate springs up between bar clamps: common practice. */
    @ParameterizedTest
    @CsvSource({"11.9, true", "12, false", "45, false"})
    void a_thin_plate_buckles(double thick, boolean buckles) {
        assertThat(glueUp(2, thick, true, Optional.empty()).buckles()).isEqualTo(buckles);
    }

    /** Three pieces: seam a between the first two, b between the last; no letter on an outer edge. */
    @Test
    void each_seam_has_its_letter_on_both_its_edges() {
        List<GlueUp.EdgeCuts> cuts = glueUp(3, 45, true, Optional.empty()).edges();
        assertThat(cuts).extracting(GlueUp.EdgeCuts::leftMark).containsExactly("", "a", "b");
        assertThat(cuts).extracting(GlueUp.EdgeCuts::rightMark).containsExactly("a", "b", "");
        assertThat(cuts).extracting(GlueUp.EdgeCuts::piece).containsExactly(1, 2, 3);
        assertThat(cuts).extracting(GlueUp.EdgeCuts::leftFaceUp).containsOnly(false);
        assertThat(cuts).extracting(GlueUp.EdgeCuts::rightFaceUp).containsOnly(true);
        assertThat(glueUp(3, 45, false, Optional.empty()).edges())
                .extracting(GlueUp.EdgeCuts::leftFaceUp)
                .containsOnly(true);
    }

    /** 0.7 minutes a seam and 0.5 a clamp: common practice. The glue: seams x 420 x 45 mm at its spread. */
    @Test
    void time_and_glue_grow_with_seams_and_clamps() {
        GlueUp two = glueUp(2, 45, true, Optional.empty());
        GlueUp four = glueUp(4, 45, true, Optional.empty());
        int clamps = two.clamps().clamps().size();
        assertThat(two.handsTime().value()).isCloseTo(0.7 + 0.5 * clamps, within(1e-9));
        assertThat(four.handsTime().value() - 0.5 * four.clamps().clamps().size())
                .isCloseTo(3 * 0.7, within(1e-9));
        assertThat(two.seams()).isEqualTo(1);
        assertThat(four.glueLeast().value()).isCloseTo(3 * two.glueLeast().value(), within(1e-9));
        assertThat(two.glueLeast().value()).isCloseTo(0.42 * 0.045 * Glue.PVA.spreadLeast(), within(1e-9));
        assertThat(two.glueMost().value()).isGreaterThan(two.glueLeast().value());
    }

    /** Twice as fast for ten degrees more, half as fast for ten less; too cold and no film forms. */
    @Test
    void warmth_takes_from_the_open_time() {
        double usual = glueUp(2, 45, true, Optional.empty()).openTime().value();
        assertThat(usual).isEqualTo(Glue.PVA.openMinutes());
        GlueUp warm = glueUp(2, 45, true, Optional.of(new Climate(30, 0.45)));
        GlueUp cold = glueUp(2, 45, true, Optional.of(new Climate(Glue.PVA.coldest() - 0.5, 0.45)));
        assertThat(warm.openTime().value()).isCloseTo(usual / 2, within(1e-9));
        assertThat(cold.openTime().value()).isGreaterThan(usual);
        assertThat(warm.warmEnough()).isTrue();
        assertThat(cold.warmEnough()).isFalse();
        assertThat(glueUp(2, 45, true, Optional.empty()).warmEnough()).isTrue();
        assertThat(glueUp(2, 45, true, Optional.of(new Climate(Glue.PVA.coldest(), 0.45)))
                        .warmEnough())
                .isTrue();
    }

    /** Weak clamps: the force decides how many, not the spacing. 420 x 45 at 0.7 MPa and more in alder is over 13 kN: all twelve. */
    @Test
    void force_wants_more_clamps_than_spacing() {
        ClampPlan plan = glueUp(2, 45, true, Optional.empty()).clamps();
        assertThat(plan.clamps()).hasSize(12);
        assertThat(plan.pressureReached().value()).isCloseTo(12_000 / (420.0 * 45), within(1e-9));
        assertThat(plan.forceWanted().value()).isGreaterThan(12);
        assertThat(plan.enough()).isFalse();
    }

    /** Twelve clamps on a seam of 420: 35 apart, the first half of that from the end, bars over and under in turn, the middle first. */
    @Test
    void each_clamp_has_its_place_and_its_turn() {
        List<ClampPlan.Set> sets =
                glueUp(2, 45, true, Optional.empty()).clamps().clamps();
        for (int i = 0; i < 12; i++) {
            assertThat(sets.get(i).along()).isCloseTo(17.5 + 35 * i, within(1e-9));
            assertThat(sets.get(i).over()).isEqualTo(i % 2 == 0);
        }
        assertThat(sets).extracting(ClampPlan.Set::turn).containsExactly(11, 9, 7, 5, 3, 1, 2, 4, 6, 8, 10, 12);
    }

    /** Of 13.23 kN twelve are there: two more of 1 kN. With strong ones the joint has too much, and each is turned a share of its force. */
    @Test
    void too_little_and_too_much_are_told() {
        ClampPlan weak = glueUp(2, 45, true, Optional.empty()).clamps();
        double wanted = weak.forceWanted().value();
        int more = (int) Math.ceil(wanted - 12);
        assertThat(weak.missing()).startsWith(more + (more == 1 ? " more clamp that" : " more clamps that"));
        assertThat(weak.share()).isEqualTo(1);
        assertThat(weak.kinds()).containsExactly("12 weaks");
        Gluing strong = new Gluing(
                Glue.PVA,
                Gluing.Edges.JOINTER,
                0.1,
                true,
                List.of(new Clamp("strong", 12, 600, 80, 35, 12_000)),
                List.of());
        ClampPlan plan = new ClampPlan(strong, ebauche.core.timber.Hardness.SOFT, 420, 330, 20, 100);
        assertThat(plan.clamps()).as("as many as keep the spacing of 150").hasSize(3);
        double reached = 36_000 / (420.0 * 20);
        assertThat(plan.pressureReached().value()).isCloseTo(reached, within(1e-9));
        assertThat(plan.share()).isCloseTo(1.0 / reached, within(1e-9));
        assertThat(plan.missing()).isEmpty();
        assertThat(plan.kinds()).containsExactly("3 strongs");
    }

    /** A glue that fills wants contact only, and says so; another has its pressure from the handbook. */
    @Test
    void where_the_pressure_is_from() {
        for (Glue glue : Glue.values()) {
            Gluing gluing = new Gluing(glue, Gluing.Edges.JOINTER, 0.1, true, List.of(WEAK), List.of());
            ClampPlan plan = new ClampPlan(gluing, ebauche.core.timber.Hardness.SOFT, 420, 330, 45, 165);
            assertThat(plan.forceWanted().terms().get(0).origin())
                    .contains(glue.contactOnly() ? "contact only" : "Wood Handbook");
            assertThat(plan.forceWanted().value())
                    .isCloseTo((glue.contactOnly() ? 0.02 : 0.7) * 420 * 45 / 1000, within(1e-9));
        }
    }

    /** A blade 0.1 degrees off: edges cut alike gape by twice 45 tan 0.1 = 0.157 mm, more than PVA bridges; cut opposite ways they close. */
    @Test
    void a_seam_closes_or_gapes() {
        SeamFit alike = glueUp(2, 45, false, Optional.empty()).fit();
        SeamFit opposite = glueUp(2, 45, true, Optional.empty()).fit();
        assertThat(alike.gap().value()).isCloseTo(0.157, within(5e-4));
        assertThat(alike.limit().value()).isEqualTo(Glue.PVA.widestGap());
        assertThat(alike.tight()).isFalse();
        assertThat(alike.lean().value()).isZero();
        assertThat(opposite.gap().value()).isZero();
        assertThat(opposite.tight()).isTrue();
        assertThat(opposite.lean().value()).isCloseTo(0.0785, within(5e-4));
    }
}
