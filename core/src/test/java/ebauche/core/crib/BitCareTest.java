package ebauche.core.crib;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Refusal;
import ebauche.core.passes.GuidedCut;
import ebauche.core.passes.Pass;
import ebauche.core.passes.PassPlan;
import ebauche.core.passes.PassPlanner;
import ebauche.core.passes.Travel;
import ebauche.core.routing.CribTrouble;
import ebauche.core.shop.Shop;
import ebauche.core.timber.Hardness;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** A bit's bearing and its edge: what runs on the template, what lies by as a spare, how far it has cut. */
class BitCareTest {
    private static final Crib STARTER = Shop.starter(Shop.STARTER).crib();
    private static final double QUARTER = 6.35;

    private static Bit ridden(double diameter, double cutter, double shank) {
        return Bit.usual("plain bit", Bit.Bearing.ITSELF, diameter, cutter, shank);
    }

    private static Bit played(Bit bit) {
        return new Bit(
                bit.name(),
                bit.profile(),
                bit.bearing(),
                bit.diameter(),
                bit.cutterLength(),
                bit.overallLength(),
                bit.shank(),
                bit.bearingDiameter(),
                bit.bearingWidth(),
                bit.flutes(),
                bit.spiral(),
                bit.centreCutting(),
                bit.mostTurns(),
                bit.edge(),
                false,
                "");
    }

    private static GuidedCut pocket(double depth) {
        return new GuidedCut(depth, 45, QUARTER, OptionalDouble.empty(), 0.8, 12.7, Hardness.MEDIUM, 10);
    }

    private static Crib of(List<Bit> bits, List<Double> spares) {
        return new Crib(
                STARTER.routers(),
                bits,
                STARTER.drills(),
                STARTER.templates(),
                STARTER.spacers(),
                STARTER.saws(),
                STARTER.drums(),
                STARTER.aids(),
                STARTER.machines(),
                spares);
    }

    /** Common practice: a cutter as wide as its shank copies a template that the shank turns on; a wider one does not. */
    @Test
    void a_cutter_as_wide_as_its_shank_is_ridden_on_the_shank() {
        Bit bit = ridden(QUARTER, 19, QUARTER);
        assertThat(bit.copies()).isTrue();
        assertThat(bit.guideDiameter()).isEqualTo(QUARTER);
        // what the collet holds of 51 mm, half an inch, and the cutter are not there to run on anything
        assertThat(bit.guideWidth()).isCloseTo(bit.overallLength() - 19 - 12.7, within(1e-9));
        assertThatThrownBy(() -> ridden(12.7, 25, QUARTER))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("as wide as the cutter");
    }

    @Test
    void it_makes_a_pocket_that_no_bearing_bit_makes_and_its_card_says_what_to_mind() {
        Crib alone = of(List.of(ridden(QUARTER, 19, QUARTER)), List.of());
        PassPlan plan = PassPlanner.best(pocket(16), alone).orElseThrow();
        assertThat(plan.passes())
                .allMatch(Pass::isRidden)
                .noneMatch(p -> p.led().contains("bearing"));
        assertThat(plan.cost())
                .isEqualTo(4 * plan.bitChanges() + (2 + 8) * plan.passes().size() + 3 * plan.setUps());
        TestBody body = new TestBody();
        body.shop = body.shop.with(alone);
        assertThat(body.schedule()
                        .step("pickup-neck:rough")
                        .orElseThrow()
                        .operation()
                        .setting()
                        .with())
                .contains(", its shank on the ")
                .doesNotContain("bearing");
        assertThat(body.schedule()
                        .step("pickup-neck:rough")
                        .orElseThrow()
                        .operation()
                        .cautions())
                .anyMatch(c -> c.name().equals("router-shank"));
    }

    /** The shank burns and wears its template: a bearing that does the same comes first, at twice the passes too. */
    @Test
    void a_bearing_comes_before_it() {
        Bit bearing = Bit.usual("pattern", Bit.Bearing.AT_SHANK, QUARTER, 15.9, QUARTER);
        Crib both = of(List.of(ridden(QUARTER, 15.9, QUARTER), bearing), List.of());
        assertThat(PassPlanner.best(pocket(12), both).orElseThrow().bits()).containsExactly("pattern");
    }

    /** Without its bearing a pocket cannot be made; a spare of its diameter in the drawer is the cure, any other is not. */
    @Test
    void a_worn_bearing_is_cured_by_the_spare_in_the_drawer() {
        Bit worn = played(Bit.usual("pattern bit", Bit.Bearing.AT_SHANK, 12.7, 25.4, 12.7));
        assertThat(cure(of(List.of(worn), List.of(9.525, 12.7))))
                .contains("a new bearing {3} across on the pattern bit, which lies in the drawer");
        assertThat(cure(of(List.of(worn), List.of(9.525))))
                .contains("a new bearing {3} across on the pattern bit")
                .doesNotContain("drawer");
    }

    private static String cure(Crib crib) {
        Finding trouble = CribTrouble.of(
                        pocket(16), crib, Work.CAVITY, Feature.OUTLINE, "pocket", new Point(0, 0), QUARTER)
                .orElseThrow();
        assertThat(trouble.numbers().get(3).value()).isEqualTo(12.7);
        return trouble.cure();
    }

    /** A 50 mm square cleared by a 10 mm bit at half its width: 200 mm of wall and 500 mm of rows. */
    @Test
    void a_bit_cuts_along_the_wall_and_in_rows_over_the_floor() {
        Bit ten = Bit.usual("ten", Bit.Bearing.AT_SHANK, 10, 20, 8);
        assertThat(new Travel(200, 2500).of(ten)).isCloseTo(700, within(1e-9));
        assertThat(new Travel(1500, 0).of(ten)).isCloseTo(1500, within(1e-9));
    }

    /** What a step's record says was routed is the way of each of its passes, by its bit. */
    @Test
    void the_record_of_a_step_says_how_far_each_bit_cut() {
        var step = new TestBody().schedule().step("pickup-neck:rough").orElseThrow();
        AsBuilt.Done done = step.asDone("1", "2026-03-01T10:00:00Z", "me");
        List<Pass> passes = step.operation().setting().passes();
        assertThat(done.routed().keySet())
                .containsExactlyInAnyOrderElementsOf(passes.stream()
                        .map(p -> p.cutter().bit().name())
                        .distinct()
                        .toList());
        assertThat(done.routed().values()).allMatch(way -> way > 200);
        assertThat(new TestBody()
                        .plan()
                        .step("pickup-neck:waste")
                        .orElseThrow()
                        .asDone("2", "2026-03-01T10:00:00Z", "me")
                        .routed())
                .isEqualTo(Map.of());
    }

    @Test
    void an_edge_counts_what_it_cut_since_it_was_sharpened() {
        Bit bit = ridden(QUARTER, 19, QUARTER);
        List<EdgeUse.Cut> cuts = List.of(
                new EdgeUse.Cut("plain bit", LocalDate.of(2026, 3, 1), 60_000),
                new EdgeUse.Cut("another", LocalDate.of(2026, 3, 2), 500_000),
                new EdgeUse.Cut("plain bit", LocalDate.of(2026, 3, 15), 150_000));
        assertThat(EdgeUse.of(bit, cuts, 200).metres()).isCloseTo(210, within(1e-9));
        assertThat(EdgeUse.of(bit, cuts, 200).isDue()).isTrue();
        EdgeUse since = EdgeUse.of(bit.sharpenedOn(LocalDate.of(2026, 3, 15)), cuts, 200);
        assertThat(since.metres()).isCloseTo(150, within(1e-9));
        assertThat(since.isDue()).isFalse();
        assertThat(bit.sharpenedOn(LocalDate.of(2026, 3, 15)).edge()).isEqualTo(Bit.Edge.SHARP);
    }
}
