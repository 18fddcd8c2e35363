package ebauche.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Drill;
import ebauche.core.crib.HoldDown;
import ebauche.core.crib.Router;
import ebauche.core.crib.TemplateMaterial;
import ebauche.core.design.TemplateMade;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import ebauche.core.hardware.Control;
import ebauche.core.neck.NeckStation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Cutter;
import ebauche.core.passes.Pass;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Holding;
import ebauche.core.plan.Stations;
import ebauche.core.routing.DrillPattern;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.routing.GuidedWork;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Templates as sheets: mirrored for the back, held in waste; voids in the wall; where waste is drilled. */
class TemplateSheetTest {
    private static TemplateSheet sheet(BuildPlan plan, String feature) {
        return TemplateSheet.of(plan).stream()
                .filter(s -> s.feature().word().equals(feature))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_rear_template_is_mirrored_with_its_holes_and_a_front_one_is_not() {
        BuildPlan plan = new TestBody().plan();
        TemplateSheet rear = sheet(plan, "controls");
        assertThat(rear.mirrored()).isTrue();
        List<Segment> drawn = plan.build().design().cavities().get(0).outline().segments();
        for (int i = 0; i < drawn.size(); i++) {
            Point there = rear.rings().get(0).get(i).at(0.3);
            assertThat(there.distance(new Point(
                            -drawn.get(i).at(0.3).x(), drawn.get(i).at(0.3).y())))
                    .isLessThan(1e-9);
        }
        // The control's hole locates it, at x 100 seen from the front.
        assertThat(rear.holes())
                .singleElement()
                .satisfies(h -> assertThat(h.distance(new Point(-100, -40))).isLessThan(1e-9));
        TemplateSheet front = sheet(plan, "outline");
        assertThat(front.mirrored()).isFalse();
        assertThat(front.rings().get(0))
                .isEqualTo(plan.build().design().outline().segments());
    }

    /** Seats lie in wood that goes, off the line that the template guides, and far enough apart to keep it from turning. */
    @Test
    void screws_stand_clear_of_the_bit_and_of_each_other() {
        BuildPlan plan = new TestBody().plan();
        Holding holding = sheet(plan, "neck").holding();
        assertThat(holding.asMeant()).isTrue();
        Region cut = NeckStation.pocket(plan.build()).plan();
        for (Holding.Seat seat : holding.seats()) {
            assertThat(cut.grown(3.9).contains(seat.at())).isFalse();
            assertThat(Stations.pockets(plan.build()).stream()
                            .filter(p -> p.feature().equals(seat.waste()))
                            .findFirst()
                            .orElseThrow()
                            .plan()
                            .grown(-3.9)
                            .contains(seat.at()))
                    .isTrue();
        }
        assertThat(holding.seats().get(0).at().distance(holding.seats().get(1).at()))
                .isGreaterThan(30);
    }

    /** A step under a switch that stands at the cavity's wall: clipped by it, its corners are sharper than any bit, and its card says so. */
    @Test
    void corners_that_no_bit_reaches_are_told_on_the_card_that_ends_the_cut() {
        TestBody body = new TestBody();
        assertThat(cornersLeft(body.plan())).isEmpty();
        body.controls.add(new Control(
                "near",
                Control.Kind.BLADE_SWITCH,
                new Point(72, -40),
                3.2,
                25,
                3.2,
                4.8,
                13,
                40,
                20,
                OptionalDouble.of(4)));
        assertThat(cornersLeft(body.plan())).containsOnly(Map.entry("step-near:rout", 2));
    }

    private static Map<String, Integer> cornersLeft(BuildPlan plan) {
        Map<String, Integer> left = new TreeMap<>();
        for (BuildPlan.PlanStep step : plan.steps()) {
            CornersLeft.at(plan, step.operation())
                    .ifPresent(u -> left.put(
                            step.operation().key().written(), u.corners().size()));
        }
        return left;
    }

    /** A blade switch that wants less top, placed off the cavity: its step is cut into nothing, and has no template. */
    @Test
    void a_step_outside_its_cavity_has_no_template() {
        TestBody body = new TestBody();
        body.controls.add(new Control(
                "far",
                Control.Kind.BLADE_SWITCH,
                new Point(-100, 150),
                3.2,
                25,
                2,
                5,
                13,
                44,
                25,
                OptionalDouble.of(4)));
        assertThat(TemplateSheet.of(body.plan()))
                .extracting(x -> x.feature().word())
                .contains("controls")
                .doesNotContain("step-far");
    }

    /** Template 6.35, pocket some 24 deep: a screw of 30 and a bit ends in wood that goes, one millimetre over the floor. */
    @Test
    void seats_are_pockets_still_to_be_cut_and_say_how_long_a_screw_may_be() {
        BuildPlan plan = new TestBody().plan();
        TemplateSheet outline = sheet(plan, "outline");
        assertThat(outline.holding().seats())
                .extracting(s -> s.waste().word())
                .containsOnly("neck", "pickup-neck", "pickup-bridge")
                .hasSize(6);
        double depth = NeckStation.pocket(plan.build()).depthNow().value();
        assertThat(outline.holding().seats().get(0).longest().value()).isEqualTo(6.35 + depth - 1, within(1e-9));
        assertThat(outline.holding().asMeant()).isTrue();
        // The last pocket of a face finds no waste any more.
        long last = TemplateSheet.of(plan).stream()
                .filter(s -> s.face() == Face.FRONT && s.holding().seats().isEmpty())
                .count();
        assertThat(last).isEqualTo(1);
    }

    /** The step that fixes a template says what its sheet says: where the screws go, how long, and tape where no waste is left. */
    @Test
    void the_step_that_fixes_a_template_follows_its_sheet() {
        BuildPlan plan = new TestBody().plan();
        List<String> taped = new ArrayList<>();
        for (TemplateSheet sheet : TemplateSheet.of(plan)) {
            Setting fixed = plan.step(sheet.feature() + ":fit")
                    .orElseThrow()
                    .operation()
                    .setting();
            List<Holding.Seat> seats = sheet.holding().seats();
            if (seats.size() < 2) {
                taped.add(sheet.feature().word());
                assertThat(fixed.tool()).contains("double-sided tape").contains("no cavity that is cut later");
                assertThat(fixed.figure()).isEmpty();
            } else {
                assertThat(fixed.tool()).contains("screws");
                assertThat(seats).allMatch(s -> fixed.tool().contains(s.waste().said()));
                assertThat(fixed.figure().orElseThrow().value())
                        .isEqualTo(seats.stream()
                                .mapToDouble(s -> s.longest().value())
                                .min()
                                .orElseThrow());
            }
        }
        // On the front the neck pickup's template still finds the bridge pickup's waste, that one's none; on the back
        // nothing but the
        // cover's narrow ledge is cut after the control cavity.
        assertThat(taped).containsExactly("pickup-bridge", "controls", "cover");
    }

    @Test
    void a_template_made_otherwise_changes_its_own_passes_only() {
        TestBody body = new TestBody();
        BuildPlan usual = body.plan();
        body.templates = List.of(new TemplateMade(
                Feature.parse("pickup-neck"),
                OptionalDouble.of(12.7),
                TemplateMaterial.PLYWOOD,
                Optional.of(HoldDown.TAPE)));
        BuildPlan plan = body.plan();
        assertThat(sheet(plan, "pickup-neck").thickness()).isEqualTo(12.7);
        assertThat(sheet(plan, "pickup-neck").holding().asMeant()).isTrue();
        assertThat(sheet(plan, "pickup-bridge").thickness()).isEqualTo(6.35);
        assertThat(plan.step("pickup-neck:fit")
                        .orElseThrow()
                        .operation()
                        .setting()
                        .toString())
                .contains("double-sided tape");
        assertThat(plan.step("pickup-bridge:rout").orElseThrow().operation().setting())
                .isEqualTo(usual.step("pickup-bridge:rout")
                        .orElseThrow()
                        .operation()
                        .setting());
    }

    private static Pass wallPass(double to) {
        Bit bit = Bit.usual("inch", Bit.Bearing.AT_SHANK, 12.7, 25.4, 12.7);
        return new Pass(new Cutter(bit, Router.usual("r", 150, 60)), Pass.Guide.WALL, 0, to - 5, to, to, 2);
    }

    /** The bearing of a pass to 35.4 runs 5.24 to 10 deep: the cover's recess of 2 leaves it alone, and the pot's hole is inside. */
    @Test
    void a_bearing_with_wall_enough_does_not_stop() {
        BuildPlan plan = new TestBody().plan();
        assertThat(BearingGap.of(plan, GuidedWork.of(controls(plan)), List.of(wallPass(35.4))))
                .isEmpty();
    }

    /** To 27.4 it runs on the uppermost 2, which the wider recess of the cover, cut too early, has taken all round. */
    @Test
    void a_bearing_in_a_wider_recess_has_no_wall() {
        BuildPlan plan =
                new TestBody().doneUpTo("outline:finish").done("cover:rout").plan();
        List<BearingGap> stops = BearingGap.of(plan, GuidedWork.of(controls(plan)), List.of(wallPass(27.4)));
        assertThat(stops).singleElement().satisfies(s -> {
            assertThat(s.feature()).isEqualTo(Feature.parse("cover"));
            assertThat(s.from()).isEqualTo(0, within(1e-6));
            assertThat(s.to()).isEqualTo(2, within(1e-6));
        });
    }

    /** A pickup's cavity that was cut before crosses the wall: the bearing falls in, at a place on the wall. */
    @Test
    void a_cavity_that_crosses_the_wall_is_a_named_stop() {
        BuildPlan plan = new TestBody().plan();
        List<BearingGap> stops =
                BearingGap.of(plan, GuidedWork.of(beside(controls(plan), plan)), List.of(wallPass(35.4)));
        assertThat(stops).singleElement().satisfies(s -> {
            assertThat(s.feature()).isEqualTo(Feature.parse("pickup-bridge"));
            assertThat(s.pass()).isEqualTo(1);
            assertThat(s.said()).isNotBlank();
        });
    }

    private static GuidedPocket controls(BuildPlan plan) {
        return Stations.pockets(plan.build()).stream()
                .filter(p -> p.feature().equals(Feature.parse("controls")))
                .findFirst()
                .orElseThrow();
    }

    /** A cavity from the front that the bridge pickup's cavity, cut before it, crosses. */
    private static GuidedPocket beside(GuidedPocket p, BuildPlan plan) {
        Region there = Region.rectangle(new Point(45, 40), 60, 30, 5, 0);
        return new GuidedPocket(
                plan.build(),
                Work.CAVITY,
                Feature.parse("controls"),
                "cavity",
                Face.FRONT,
                there,
                p.floor(),
                p.depthFinished(),
                p.cornerRadius(),
                Set.of(),
                p.located(),
                false,
                GuidedPocket.CutBefore.NOTHING);
    }

    /** A strip as wide as the drill and its skins takes one row; every rim keeps off the edge by the skin. */
    @ParameterizedTest
    @CsvSource({"29.6, 100, 25.4, 0.85", "90, 40, 25.4, 0.7", "60, 60, 15.875, 0.8"})
    void the_waste_is_drilled_inside_the_skin(double across, double along, double diameter, double share) {
        Region cavity = Region.rectangle(new Point(3, 7), across, along, 5, 20);
        DrillPattern pattern =
                DrillPattern.of(cavity, Drill.usual("f", Drill.Kind.FORSTNER, diameter, 2), 2, Region.EMPTY);
        Region inside = cavity.grown(-2 + 0.01);
        for (Point hole : pattern.holes()) {
            assertThat(inside.contains(Region.disc(hole, diameter - 0.05))).isTrue();
        }
        assertThat(pattern.share()).isBetween(share, 1.0);
        assertThat(pattern.holes()).hasSizeLessThan(40).doesNotHaveDuplicates();
    }

    @Test
    void a_drill_too_wide_bores_nothing() {
        Region cavity = Region.rectangle(new Point(0, 0), 20, 100, 2, 0);
        assertThat(DrillPattern.of(cavity, Drill.usual("f", Drill.Kind.FORSTNER, 30, 2), 2, Region.EMPTY)
                        .holes())
                .isEmpty();
    }
}
