package ebauche.core.contour;

import static ebauche.core.contour.TestContours.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Contour;
import ebauche.core.design.Contour.Start;
import ebauche.core.design.Hand;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.measure.Refusal;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Profile;
import ebauche.core.stock.WoodLeft;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What a contour runs into, what it leaves at the edge, and how one is usually begun. */
class ContourRulesTest {
    @Test
    void what_runs_into_hardware_or_takes_too_much_is_told() {
        assertThat(with(top(130, 8)).rules()).contains("not-flat");
        assertThat(with(forearm(30)).rules()).contains("deep");
        TestBody near = with(new Contour(
                "cutaway",
                Face.FRONT,
                new Start.Across(new Point(-200, -36), new Point(200, -36)),
                12,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        Finding finding = near.plan().findings().stream()
                .filter(f -> f.rule().equals("near-hardware"))
                .findFirst()
                .orElseThrow();
        assertThat(finding.numbers().get(0).value()).isCloseTo(6, within(1e-6));
        assertThat(with(forearm(20)).rules()).doesNotContain("not-flat", "deep", "thin-edge", "contours-meet");
    }

    @Test
    void the_edge_between_forearm_and_belly_is_told_when_it_comes_to_a_point() {
        TestBody even = with(forearm(18), belly(16));
        EdgeBand band = EdgeBand.of(even.build()).get(0);
        assertThat(band.thickness().value()).isBetween(44.5 - 18 - 16 - 1e-6, 44.5 - 18 - 16 + 4.0);
        assertThat(even.build().thicknessAt(band.at()))
                .isCloseTo(band.thickness().value(), within(1e-9));
        assertThat(even.build().thicknessAt(new Point(0, 0))).isEqualTo(44.5, within(1e-9));
        TestBody point = with(forearm(24), belly(22));
        assertThat(point.rules()).contains("contours-meet");
    }

    /** A belly drawn so far in that it comes down to the floor of the springs stops the build before the rasp; one that only skims it does not. */
    @Test
    void a_belly_through_the_spring_cavity_stops_before_the_rasp() {
        for (double depth : new double[] {6, 34}) {
            TestBody body = with(new Contour(
                    "belly",
                    Face.BACK,
                    new Start.Across(new Point(5, -150), new Point(5, 240)),
                    depth,
                    Profile.Shape.STRAIGHT,
                    OptionalDouble.empty()));
            body.vibrato = Optional.of(new Bridge.Vibrato(40, 2, 56, 24, -2, 56, 84, 50, 6));
            BuildPlan plan = body.plan();
            Contour.Laid laid = body.build().contours().get(0);
            // By hand: the springs lie 56 wide about the centre line, so to 28 off it, 23 from the line of 155; they
            // are 6 deep.
            assertThat(laid.profile().width()).isCloseTo(155, within(0.01));
            double fall = depth * 23 / 155;
            boolean through = depth == 34;
            assertThat(6 - fall < body.shop.limits().stops(WoodLeft.Kind.WALL)).isEqualTo(through);
            assertThat(plan.findings().stream()
                            .anyMatch(
                                    f -> f.rule().equals("contour-through") && f.severity() == Finding.Severity.STOPS))
                    .as("falls " + fall)
                    .isEqualTo(through);
            assertThat(body.rules()).contains("not-flat");
        }
    }

    @Test
    void a_fade_longer_than_its_stretch_or_into_its_other_end_is_refused() {
        Contour.Start.Stretch tooLong = new Contour.Start.Stretch(new Point(-30, -150), new Point(30, -150), 80);
        Contour bevel = new Contour(
                "bevel",
                Face.FRONT,
                new Start.Round(15, Optional.of(tooLong)),
                8,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty());
        assertThatThrownBy(() -> with(bevel).build())
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("fades out over 80 mm, more than its stretch of 60 mm");
        Contour around = new Contour(
                "around",
                Face.FRONT,
                new Start.Round(
                        15, Optional.of(new Contour.Start.Stretch(new Point(30, -150), new Point(-30, -150), 40))),
                8,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty());
        assertThatThrownBy(() -> with(around).build()).hasMessageContaining("into each other");
    }

    @Test
    void what_cannot_be_carved_is_refused_with_its_name() {
        assertThatThrownBy(() -> with(forearm(45)).design())
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("forearm contour");
        Contour off = new Contour(
                "off",
                Face.FRONT,
                new Start.Across(new Point(300, 0), new Point(300, 50)),
                5,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty());
        assertThatThrownBy(() -> with(off).build()).hasMessageContaining("does not cross the body");
        Contour tight = new Contour(
                "belly",
                Face.BACK,
                new Start.Across(new Point(-160, -40), new Point(-50, -150)),
                12,
                Profile.Shape.HOLLOW,
                OptionalDouble.of(60));
        assertThatThrownBy(() -> with(tight).build()).hasMessageContaining("would rise again");
    }

    private static Contour across(Face face, double y, double depth) {
        return new Contour(
                "ramp",
                face,
                new Start.Across(new Point(-200, y), new Point(200, y)),
                depth,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty());
    }

    /** What is told of the hardware that a contour comes nearest to. */
    private static Rule nearest(TestBody body) {
        return ContourRules.of(body.build()).stream()
                .filter(r -> r.name().equals("contour-clear"))
                .findFirst()
                .orElseThrow();
    }

    /** How far the face falls under it, as its finding says. */
    private static double fall(Rule taken) {
        Finding finding = taken.finding().orElseThrow();
        assertThat(finding.rule()).isEqualTo("not-flat");
        return finding.numbers().get(0).value();
    }

    /** On the back a cover, the springs and the neck screws want their flat, each by its own place. */
    @Test
    void a_contour_of_the_back_is_held_against_what_stands_on_the_back() {
        // the neck screw holes, 4.76 across, stand at y 180: a heel ramp from 190 keeps 190 - 182.38 away
        Rule screws = nearest(with(across(Face.BACK, 190, 10)));
        assertThat(screws.says()).contains("screw");
        assertThat(screws.number().value()).isCloseTo(190 - 180 - 4.76 / 2, within(0.02));
        assertThat(screws.finding().orElseThrow().rule()).isEqualTo("near-hardware");
        // from 170 it takes their flat: ten on, of seventy to the edge at 240
        Rule taken = nearest(with(across(Face.BACK, 170, 14)));
        assertThat(fall(taken)).isCloseTo(14 * (180 + 4.76 / 2 - 170) / 70, within(0.01));
        TestBody springs = with(across(Face.BACK, -80, 10));
        springs.pickups = List.of();
        springs.cavities.clear();
        springs.controls.clear();
        springs.vibrato = Optional.of(TestBody.vibrato(38));
        Rule near = nearest(springs);
        Bridge.Vibrato vibrato = springs.build().design().bridge().vibrato().orElseThrow();
        double end = vibrato.springsY() - vibrato.springsAlong() / 2;
        assertThat(near.says()).contains("spring");
        assertThat(near.number().value()).isCloseTo(end + 80, within(0.02));
        TestBody cover = with(across(Face.BACK, -90, 10));
        assertThat(nearest(cover).says()).contains("cover");
    }

    /** A carve deeper than a glued-on top shows the glue line: common practice. */
    @Test
    void a_carve_through_a_glued_on_top_is_told() {
        for (double deep : new double[] {4, 9}) {
            TestBody body = with(top(60, deep));
            body.blank = topped();
            double reaches = body.build().topReaches().orElseThrow();
            assertThat(reaches).isBetween(4.0, 8.0);
            assertThat(body.rules().contains("through-top")).isEqualTo(deep > reaches);
        }
    }

    /** As they are usually begun, contours lie on the body, clear of each other's part, and the plan takes them. */
    @Test
    void usual_contours_can_be_laid_on_and_lie_away_from_the_controls() {
        for (UsualContour usual : UsualContour.values()) {
            Contour begun = usual.on(new TestBody().build());
            TestBody body = with(begun);
            Contour.Laid laid = body.build().contours().get(0);
            assertThat(laid.plan().area()).as(usual.id()).isPositive();
            assertThat(begun.depth()).isLessThanOrEqualTo(body.thickness * ContourRules.USUAL_SHARE);
            assertThat(body.schedule().step(StepKey.of(begun.feature(), StepKind.CARVE)))
                    .isPresent();
            assertThat(body.rules()).doesNotContain("deep", "contours-meet");
            if (begun.start() instanceof Start.Across) {
                // the controls stand on the treble side
                assertThat(laid.plan().centroid().x()).as(usual.id()).isNegative();
            }
        }
        for (UsualContour usual : UsualContour.values()) {
            TestBody one = new TestBody();
            TestBody other = new TestBody();
            other.hand = Hand.LEFT;
            double right =
                    usual.on(one.build()).on(one.design().outline()).plan().area();
            double left =
                    usual.on(other.build()).on(other.design().outline()).plan().area();
            if (usual != UsualContour.KNOB) {
                assertThat(left).as(usual.id() + " of the other hand").isCloseTo(right, within(0.02 * right));
            }
        }
        TestBody left = new TestBody();
        left.hand = Hand.LEFT;
        Contour.Laid forearm =
                UsualContour.FOREARM.on(left.build()).on(left.design().outline());
        assertThat(forearm.plan().centroid().x()).as("a left-handed body").isPositive();
    }

    /** On a body of 320 by 390 about x = 0, its tail at -150, 44.5 thick: the shares worked out by hand, to half a millimetre. */
    @Test
    void usual_contours_begin_at_their_shares_of_the_body() {
        TestBody body = new TestBody();
        for (Hand hand : Hand.values()) {
            body.hand = hand;
            double side = hand == Hand.RIGHT ? 1 : -1;
            Contour forearm = UsualContour.FOREARM.on(body.build());
            assertThat(forearm.start())
                    .isEqualTo(new Start.Across(new Point(-160 * side, 14), new Point(16 * side, -150)));
            assertThat(forearm.depth()).isEqualTo(18);
            Contour belly = UsualContour.BELLY.on(body.build());
            assertThat(belly.start())
                    .isEqualTo(new Start.Across(new Point(-83 * side, 25.5), new Point(-98.5 * side, 240)));
            assertThat(belly.depth()).isEqualTo(15.5);
            assertThat(belly.face()).isEqualTo(Face.BACK);
        }
        Contour top = UsualContour.TOP.on(body.build());
        assertThat(top.start()).isEqualTo(new Start.Round(48));
        assertThat(top.depth()).isEqualTo(9);
    }

    /** A carve that ends at the glue line shows none of it. */
    @Test
    void a_carve_down_to_the_glue_line_is_not_through() {
        TestBody body = new TestBody();
        body.blank = topped();
        double reaches = body.build().topReaches().orElseThrow();
        body.contours = List.of(top(60, reaches));
        assertThat(body.rules()).doesNotContain("through-top");
        body.contours = List.of(top(60, reaches + 0.01));
        assertThat(body.plan().findings())
                .filteredOn(f -> f.rule().equals("through-top"))
                .singleElement()
                .satisfies(f -> assertThat(f.numbers())
                        .extracting(Finding.Value::value)
                        .containsExactly(reaches + 0.01, reaches));
    }

    /** Eight of walnut over forty-two of alder. */
    private static Blank topped() {
        return new Blank(
                340,
                420,
                0,
                45,
                BlankLayer.even(TestTimber.ALDER, 2, 340, 42),
                Optional.of(BlankLayer.even(TestTimber.WALNUT, 2, 340, 8)));
    }
}
