package ebauche.core.chamber;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Channel;
import ebauche.core.plan.BuildPlan;
import ebauche.core.wires.WireWays;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A pot in a hollow: drilled through the top, put in by what opens into it, wired in it; no cavity anywhere. */
class InHollowTest {
    private static final String TREBLE = "M 55 -90 L 135 -90 L 135 60 L 55 60 Z";

    /** A pot of 25 by 25, 20 deep, passing 8 of top, at (100, -40) in the hollow; the top leaves about 5. */
    private static TestBody body(String... soundHoles) {
        TestBody body = new TestBody();
        body.pickups = new ArrayList<>(
                List.of(TestBody.pickup("neck", 0, 130, 19, Set.of()), TestBody.pickup("bridge", 0, 40, 19, Set.of())));
        body.cavities.clear();
        body.jack = Optional.empty();
        BlankLayer core = BlankLayer.even(TestTimber.ALDER, 2, 340, 40);
        BlankLayer top = BlankLayer.even(TestTimber.ASH, 2, 340, 10);
        body.blank = new Blank(340, 420, 0, 45, core, Optional.of(top));
        body.chambers.add(new Chamber(
                "main",
                List.of(Outline.parse(TREBLE, 1)),
                8,
                Set.of(),
                List.of(),
                List.of(soundHoles).stream().map(p -> Outline.parse(p, 1)).toList()));
        return body;
    }

    private static final String SLOT = "M 70 0 L 100 0 L 100 40 L 70 40 Z";

    @Test
    void it_is_drilled_through_the_top_into_the_hollow() {
        BuildPlan plan = body(SLOT).plan();
        assertThat(plan.steps().stream().map(s -> s.operation().key().written()))
                .containsSubsequence("blank:top", "thickness:front", "control-volume:drill");
        var drill = plan.step("control-volume:drill").orElseThrow().operation();
        assertThat(drill.title()).isEqualTo("Drill the volume pot hole through the top into the main chamber");
        double[] wood = plan.history().finished().intervalsAt(100, -40);
        assertThat(wood).as("nothing but the floor").hasSize(2);
        assertThat(plan.findings())
                .filteredOn(f -> f.isOn(Feature.parse("control-volume")))
                .extracting(f -> f.rule())
                .isEmpty();
        assertThat(body(SLOT).rules()).doesNotContain("no-cavity", "hollow-control-no-way", "hollow-control-top");
    }

    /** Common practice: in a body without a cover all goes in by the sound hole, or by a pickup's rout. */
    @Test
    void without_an_opening_that_it_passes_it_cannot_be_put_in() {
        assertThat(body().rules()).contains("hollow-control-no-way");
        assertThat(body("M 70 0 L 85 0 L 85 40 L 70 40 Z").rules()).contains("hollow-control-no-way");
        TestBody byPickup = body();
        byPickup.chambers.set(
                0,
                new Chamber(
                        "main",
                        List.of(Outline.parse("M 10 -90 L 135 -90 L 135 80 L 10 80 Z", 1)),
                        8,
                        Set.of(Feature.parse("pickup-bridge"))));
        assertThat(byPickup.rules()).doesNotContain("hollow-control-no-way");
    }

    @Test
    void a_top_too_thick_or_a_hollow_too_low_is_told() {
        TestBody thick = body(SLOT);
        thick.controls.set(0, TestBody.pot("volume", 100, -40, 3));
        assertThat(thick.rules()).contains("hollow-control-top");
        TestBody low = body(SLOT);
        low.chambers.set(
                0,
                new Chamber(
                        "main",
                        low.chambers.get(0).parts(),
                        24,
                        Set.of(),
                        List.of(),
                        low.chambers.get(0).soundHoles()));
        assertThat(low.plan().rules())
                .anyMatch(r ->
                        r.name().equals("hollow-control-deep") && r.number().value() < 0);
    }

    /** Its wire ends in the hollow; a cavity that it names, or is drawn in, goes before. */
    @Test
    void its_wires_end_in_the_hollow() {
        TestBody body = body(SLOT);
        body.channels.add(new Channel("in", new Point(20, 40), 4, new Point(66, 40), 20, 8));
        assertThat(WireWays.of(body.build()).ways())
                .anySatisfy(w -> assertThat(w.through().stream().map(Feature::word))
                        .containsExactly("pickup-bridge", "channel-in", "chamber-main"));
        body.cavities.add(TestBody.cavity(6));
        assertThat(body.design().chamberOf(body.controls.get(0))).isEmpty();
        assertThat(body.design().cavityOf(body.controls.get(0))).isPresent();
    }

    @ParameterizedTest
    @CsvSource({"20, 25, true", "20, 28, true", "20, 31, false", "29, 29, false", "20, 40, false"})
    void a_box_passes_a_round_hole_by_its_diagonal(double narrow, double wide, boolean passes) {
        // A round of 36: the diagonal of 20 by 29.9 by Pythagoras.
        assertThat(InHollow.passes(Region.disc(new Point(3, 4), 36), narrow, wide))
                .isEqualTo(passes);
    }
}
