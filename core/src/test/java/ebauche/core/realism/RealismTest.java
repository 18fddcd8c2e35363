package ebauche.core.realism;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.design.Contour;
import ebauche.core.design.Heel;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.ScratchPlate;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Rule;
import ebauche.core.shop.Glue;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The rules of the trade with a body's numbers, and the shop against the steps. */
@Tag("slow")
class RealismTest {
    private static Rule rule(TestBody body, String name) {
        return Realism.of(body.plan()).rules().stream()
                .filter(r -> r.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no rule " + name));
    }

    @Test
    void a_sound_body_holds_every_rule() {
        Realism realism = Realism.of(new TestBody().plan());
        assertThat(realism.count(Rule.Verdict.FAILS)).isZero();
        assertThat(realism.rules()).extracting(Rule::name).contains("control-top", "bridge-window", "floor", "wall");
        assertThat(realism.impossible()).isZero();
    }

    /**
     * A body of 1 3/8 to 1 1/2 in leaves a standard block, 2 in long here, at least 1/2 in proud of the back: common
     * practice.
     */
    @Test
    void a_standard_block_stands_half_an_inch_out_of_a_thin_body() {
        for (double thick : new double[] {25.4 * 11 / 8, 25.4 * 3 / 2}) {
            TestBody body = new TestBody();
            body.thickness = thick;
            body.blankThickness = thick + 6;
            body.heel = 18;
            body.pickups = List.of();
            body.vibrato = Optional.of(TestBody.vibrato(50.8));
            Rule block = rule(body, "block");
            assertThat(block.verdict()).isEqualTo(Rule.Verdict.FAILS);
            assertThat(-block.number().value()).isGreaterThanOrEqualTo(12.7 - 1e-9);
        }
        TestBody deep = new TestBody();
        deep.pickups = List.of();
        deep.vibrato = Optional.of(TestBody.vibrato(40));
        assertThat(rule(deep, "block").verdict()).isEqualTo(Rule.Verdict.HOLDS);
        deep.vibrato = Optional.of(TestBody.vibrato(43.5));
        assertThat(rule(deep, "block").verdict())
                .as("less room than the clearance wanted behind it")
                .isEqualTo(Rule.Verdict.ONLY_JUST);
    }

    /** A blade switch wants 1/8 to 3/16 in of top, a pot's thread another limit, both in one cavity: common practice. */
    @Test
    void a_blade_switch_and_a_pot_in_one_cavity_need_two_floors() {
        TestBody one = new TestBody();
        one.controls.add(TestBody.bladeSwitch(25.4 / 8, 25.4 * 3 / 16, OptionalDouble.empty()));
        Rule selector = Realism.of(one.plan()).rules().stream()
                .filter(r -> r.name().equals("control-top") && r.feature().equals(Feature.parse("control-selector")))
                .findFirst()
                .orElseThrow();
        assertThat(selector.verdict()).isEqualTo(Rule.Verdict.FAILS);
        assertThat(selector.room()).isCloseTo(25.4 * 3 / 16 - 6, within(1e-9));
        TestBody two = new TestBody();
        two.controls.add(TestBody.bladeSwitch(25.4 / 8, 25.4 * 3 / 16, OptionalDouble.of(4)));
        assertThat(Realism.of(two.plan()).rules())
                .filteredOn(r -> r.name().equals("control-top"))
                .allMatch(r -> r.verdict() == Rule.Verdict.HOLDS);
    }

    @Test
    void the_heel_must_stand_proud_for_a_plate_under_the_fingerboard() {
        TestBody body = new TestBody();
        body.scratchPlate = Optional.of(new ScratchPlate(2.5, true));
        Rule plate = rule(body, "plate-under-fingerboard");
        assertThat(plate.number().value()).isCloseTo(25.4 - 24.05, within(0.01));
        assertThat(plate.verdict()).isEqualTo(Rule.Verdict.FAILS);
        body.scratchPlate = Optional.of(new ScratchPlate(1.0, true));
        assertThat(rule(body, "plate-under-fingerboard").verdict()).isEqualTo(Rule.Verdict.HOLDS);
    }

    @Test
    void a_part_that_does_not_pass_its_opening_is_told_by_how_much() {
        TestBody body = new TestBody();
        body.controls.set(
                0,
                new Control(
                        "volume",
                        Control.Kind.POT,
                        new Point(124, -40),
                        10,
                        0,
                        0,
                        8,
                        25,
                        25,
                        20,
                        OptionalDouble.empty()));
        Rule passes = rule(body, "passes");
        // 124 + 12.5 reaches 3.5 beyond the cavity's wall at 133
        assertThat(passes.number().value()).isCloseTo(-3.5, within(1e-6));
        assertThat(passes.verdict()).isEqualTo(Rule.Verdict.FAILS);
    }

    @Test
    void a_pickup_measured_larger_still_drops_in_since_its_cavity_follows() {
        TestBody body = new TestBody();
        body.pickups = List.of(Pickup.of("bridge", new Point(0, 40), 0, Set.of(), 3, TestParts.pickup()));
        Rule before = Realism.of(body.plan()).rules().stream()
                .filter(r -> r.feature().equals(Feature.parse("pickup-bridge"))
                        && r.name().equals("passes"))
                .findFirst()
                .orElseThrow();
        body.read("size:pickup-bridge.across", before.number().terms().get(1).value() + 1.5);
        List<Rule> after = Realism.of(body.plan()).rules().stream()
                .filter(r -> r.feature().equals(Feature.parse("pickup-bridge"))
                        && r.name().equals("passes"))
                .toList();
        assertThat(after).hasSize(2).allMatch(r -> r.verdict() != Rule.Verdict.FAILS);
        assertThat(Realism.of(body.plan()).unmeasured()).isEmpty();
    }

    @Test
    void a_part_whose_cavity_is_cut_already_is_no_longer_asked_for() {
        TestBody body = new TestBody();
        body.pickups = List.of(Pickup.of("bridge", new Point(0, 40), 0, Set.of(), 3, TestParts.pickup()));
        assertThat(Realism.of(body.plan()).unmeasured()).containsExactly("bridge pickup");
        body.doneUpTo("pickup-bridge:off");
        assertThat(Realism.of(body.plan()).unmeasured()).isEmpty();
    }

    /** A bridge in hand decides the neck pocket, its studs and its route: it is asked for until the last of them is cut. */
    @Test
    void a_bridge_is_asked_for_until_all_that_follows_from_it_is_cut() {
        TestBody body = new TestBody();
        body.bridgePart = Optional.of(TestParts.of(
                PartKind.POST_BRIDGE,
                PartSize.LOWEST_SADDLE,
                9,
                PartSize.HIGHEST_SADDLE,
                16,
                PartSize.SADDLE_TRAVEL,
                10,
                PartSize.ACROSS,
                80,
                PartSize.ALONG,
                20,
                PartSize.STUD_SPACING,
                74,
                PartSize.STUD_DIAMETER,
                11,
                PartSize.STUD_DEPTH,
                20));
        body.studs = Optional.of(new Bridge.Studs(74, 4, 11, 20));
        assertThat(Realism.of(body.plan()).unmeasured()).containsExactly("bridge");
        body.doneUpTo("neck:rout");
        body.schedule().steps().stream()
                .map(s -> s.operation().key().written())
                .filter(k -> k.startsWith("neck") && !k.contains("heel") && !k.contains("bridge-studs"))
                .toList()
                .forEach(k -> {
                    if (!body.schedule().step(k).orElseThrow().done()) {
                        body.done(k);
                    }
                });
        assertThat(Realism.of(body.plan()).unmeasured())
                .as("the studs' holes are still to drill")
                .containsExactly("bridge");
        body.doneUpTo("bridge-studs:drill");
        assertThat(Realism.of(body.plan()).unmeasured()).isEmpty();
    }

    /** Rules are counted and grouped as they stand; with contours on both faces the edge between them is one of them. */
    @Test
    void rules_are_grouped_by_subject_and_counted_by_verdict() {
        TestBody body = new TestBody();
        body.vibrato = Optional.of(TestBody.vibrato(50.8));
        body.pickups = List.of();
        for (Face face : Face.values()) {
            body.contours.add(new Contour(
                    face.word(),
                    face,
                    new Contour.Start.Across(new Point(-160, -40), new Point(-50, -150)),
                    9,
                    Profile.Shape.STRAIGHT,
                    OptionalDouble.empty()));
        }
        Realism realism = Realism.of(body.plan());
        for (Rule.Verdict verdict : Rule.Verdict.values()) {
            assertThat(realism.count(verdict))
                    .isEqualTo(realism.rules().stream()
                            .map(Rule::verdict)
                            .filter(verdict::equals)
                            .count());
        }
        assertThat(realism.count(Rule.Verdict.FAILS)).isPositive();
        int all = 0;
        for (Rule.About about : Rule.About.values()) {
            assertThat(realism.about(about)).allMatch(r -> r.about() == about);
            assertThat(about.words()).isNotBlank();
            all += realism.about(about).size();
        }
        assertThat(all).isEqualTo(realism.rules().size());
        assertThat(realism.about(Rule.About.CONTOURS))
                .filteredOn(r -> r.name().equals("edge-band"))
                .singleElement()
                .satisfies(r -> assertThat(r.number().value()).isBetween(44.5 - 18, 44.5));
    }

    /** C13: a neck screw is bounded by floor, heel and fingerboard; the numbers of the sum written out again. */
    @Test
    void a_neck_screw_is_bounded_by_floor_heel_and_fingerboard() {
        TestBody body = new TestBody();
        double under = 44.5 - 24.05;
        Rule wood = rule(body, "screw-wood");
        assertThat(wood.number().value()).isCloseTo(under, within(0.01));
        body.screwLength = OptionalDouble.of(45);
        Rule length = rule(body, "screw-length");
        assertThat(length.least()).isCloseTo(under + 15.875, within(0.01));
        assertThat(length.most()).isCloseTo(under + 25.4 - 2, within(0.01));
        assertThat(length.verdict()).isEqualTo(Rule.Verdict.FAILS);
        assertThat(body.rules()).contains("screw-too-long");
        body.screwLength = OptionalDouble.of(40);
        assertThat(body.rules()).doesNotContain("screw-too-long", "screw-too-short");
        body.screwLength = OptionalDouble.of(30);
        assertThat(body.rules()).contains("screw-too-short");
    }

    /** Check the wood that the neck screws hold in after a heel ramp: common practice. */
    @Test
    void a_heel_ramp_takes_the_wood_that_the_screws_pull_against() {
        TestBody body = new TestBody();
        double before = rule(body, "screw-wood").number().value();
        body.contours = List.of(new Contour(
                "heel",
                Face.BACK,
                new Contour.Start.Across(new Point(-200, 160), new Point(200, 160)),
                16,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        Rule after = rule(body, "screw-wood");
        assertThat(after.number().value()).isCloseTo(before - 16 * (180.0 - 160) / (240 - 160), within(1e-6));
    }

    @Test
    void a_rules_verdict_turns_at_its_ends() {
        Rule base = rule(new TestBody(), "bridge-centre");
        assertThat(base.verdict()).isEqualTo(Rule.Verdict.HOLDS);
        TestBody edge = new TestBody();
        edge.offCentre = 0.45;
        assertThat(rule(edge, "bridge-centre").verdict()).isEqualTo(Rule.Verdict.ONLY_JUST);
        edge.offCentre = -0.6;
        Rule off = rule(edge, "bridge-centre");
        assertThat(off.verdict()).isEqualTo(Rule.Verdict.FAILS);
        assertThat(off.room()).isCloseTo(-0.1, within(1e-9));
    }

    private static Rule passes(TestBody body, String feature, String says) {
        return Realism.of(body.plan()).rules().stream()
                .filter(r -> r.name().equals("passes")
                        && r.feature().word().equals(feature)
                        && r.says().contains(says))
                .findFirst()
                .orElseThrow(() -> new AssertionError(feature + " " + says));
    }

    /** Every part passes its opening: by how much, from the part in hand and the hole that follows from it. */
    @Test
    void bushing_jack_and_block_pass_what_is_cut_for_them() {
        TestBody body = new TestBody();
        body.pickups = List.of();
        body.controls.set(0, Control.of("volume", new Point(100, -40), OptionalDouble.empty(), TestParts.pot()));
        Part plug = TestParts.of(PartKind.JACK, PartSize.HOLE, 21);
        body.jack = body.jack.map(j -> new Jack(j.entry(), j.aim(), j.diameter(), j.fromFront(), Optional.of(plug)));
        body.bridgePart = Optional.of(TestParts.vibratoLetIn());
        body.studs = Optional.of(new Bridge.Studs(56, 19, 10, 20));
        body.vibrato = Optional.of(TestBody.vibrato(38));
        double room = body.shop.clearances().block();
        assertThat(passes(body, "control-volume", "bushing").number().value()).isCloseTo(0.4, within(1e-9));
        assertThat(passes(body, "jack", "jack goes in").verdict()).isNotEqualTo(Rule.Verdict.FAILS);
        Rule block = passes(body, "vibrato", "swings");
        assertThat(block.number().value()).isCloseTo(2 * room, within(1e-9));
        assertThat(block.number().terms()).extracting(t -> t.name()).contains("its end swings, in all");
        assertThat(block.verdict()).isEqualTo(Rule.Verdict.HOLDS);
    }

    /** A gap of 1/64 in beside the neck shows, a heel wider than its pocket does not go in: common practice. */
    @Test
    void a_neck_that_is_loose_or_does_not_go_in_fails_its_rule() {
        for (double heel : new double[] {55.8, 55.4, 56.2}) {
            TestBody body = new TestBody();
            body.heelFit = Optional.of(new Heel(heel, heel, 76, Heel.Made.DRAWING_FIRST, Heel.Jig.DRAWN));
            List<Rule> gaps = Realism.of(body.plan()).rules().stream()
                    .filter(r -> r.name().equals("neck-gap"))
                    .toList();
            double gap = 56 - heel;
            assertThat(gaps).singleElement().satisfies(r -> {
                assertThat(r.number().value()).isCloseTo(gap, within(1e-9));
                assertThat(r.verdict())
                        .isEqualTo(gap >= 0 && gap <= 25.4 / 64 ? Rule.Verdict.HOLDS : Rule.Verdict.THINK_AGAIN);
            });
        }
    }

    /** Only a set neck has a glue line; its gap is shared by two sides, and a glue fills only so much. */
    @Test
    void the_glue_line_of_a_set_neck_is_half_its_gap() {
        TestBody body = new TestBody();
        body.heelFit = Optional.of(new Heel(55.8, 55.7, 76, Heel.Made.DRAWING_FIRST, Heel.Jig.DRAWN));
        assertThat(Realism.of(body.plan()).rules()).extracting(Rule::name).doesNotContain("glue-gap");
        body.joint = NeckJoint.Kind.SET;
        Rule line = rule(body, "glue-gap");
        assertThat(line.number().value()).isCloseTo(0.15, within(1e-9));
        // PVA fills a tenth of a millimetre: common practice
        assertThat(body.shop.gluing().glue()).isEqualTo(Glue.PVA);
        assertThat(line.most()).isEqualTo(0.1);
        assertThat(line.verdict()).isEqualTo(Rule.Verdict.THINK_AGAIN);
        body.heelFit = Optional.of(new Heel(55.85, 55.85, 76, Heel.Made.DRAWING_FIRST, Heel.Jig.DRAWN));
        assertThat(rule(body, "glue-gap").number().value()).isCloseTo(0.075, within(1e-9));
        assertThat(rule(body, "glue-gap").verdict()).isEqualTo(Rule.Verdict.HOLDS);
    }
}
