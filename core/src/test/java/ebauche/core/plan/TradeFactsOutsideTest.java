package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.crib.Crib;
import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Finding;
import ebauche.core.neck.PocketState;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.realism.Realism;
import ebauche.core.realism.ToolChoice;
import ebauche.core.sheet.DepthCard;
import ebauche.core.stock.Profile;
import ebauche.core.stock.WoodLeft;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Facts of the trade without a published source; each is marked common practice. */
class TradeFactsOutsideTest {
    private static final double INCH = 25.4;

    private static int place(BuildPlan plan, String key) {
        return plan.indexOf(plan.step(key).orElseThrow(() -> new AssertionError(key)));
    }

    /** Common practice: a body of 1 3/8 to 1 1/2 in leaves a standard block (2 in, from memory) at least 1/2 in proud. */
    @ParameterizedTest
    @ValueSource(doubles = {1.375, 1.5})
    void a_thin_body_leaves_a_standard_block_half_an_inch_proud(double inches) {
        TestBody body = new TestBody();
        body.thickness = inches * INCH;
        body.jack = Optional.empty();
        body.vibrato = Optional.of(TestBody.vibrato(2 * INCH));
        Finding finding = body.plan().findings().stream()
                .filter(f -> f.rule().equals("block-too-long"))
                .findFirst()
                .orElseThrow();
        assertThat(finding.severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(finding.numbers().get(2).value()).isGreaterThanOrEqualTo(INCH / 2 - 1e-9);
    }

    /** Common practice: a blade switch wants 1/8 to 3/16 in of top; 6 mm is right for pots and too much for the switch. */
    @Test
    void one_floor_does_not_serve_pots_and_a_blade_switch() {
        TestBody body = new TestBody();
        body.controls.add(TestBody.bladeSwitch(INCH / 8, INCH * 3 / 16, OptionalDouble.empty()));
        assertThat(body.plan().findings())
                .anyMatch(f -> f.rule().equals("control-top") && f.isOn(Feature.parse("control-selector")));
        body.controls.set(1, TestBody.bladeSwitch(INCH / 8, INCH * 3 / 16, OptionalDouble.of(INCH * 5 / 32)));
        assertThat(body.plan().findings()).noneMatch(f -> f.rule().equals("control-top"));
        assertThat(body.schedule().step("step-selector:rout")).isPresent();
    }

    /** Common practice: the jack's 7/8 in hole sits 7/8 in from the face of a 1 3/4 in body, centred in its edge. */
    @Test
    void a_seven_eighths_jack_is_centred_in_a_body_of_one_and_three_quarters() {
        TestBody body = new TestBody();
        body.thickness = INCH * 1.75;
        body.jack = Optional.of(new Jack(new Point(165, -40), new Point(110, -40), INCH * 7 / 8, INCH * 7 / 8));
        List<WoodLeft.Thin> thin = body.plan().thinnest();
        double front = thin.stream()
                .filter(t -> t.feature().equals(Feature.parse("jack"))
                        && t.neighbour().equals(Feature.parse("front")))
                .findFirst()
                .orElseThrow()
                .thickness();
        double back = thin.stream()
                .filter(t -> t.feature().equals(Feature.parse("jack"))
                        && t.neighbour().equals(Feature.parse("back")))
                .findFirst()
                .orElseThrow()
                .thickness();
        assertThat(front).isEqualTo(back, within(1e-6)).isEqualTo(INCH * 7 / 16, within(1e-6));
    }

    /** Common practice: fed against the rotation, a hand-held router goes anticlockwise round the outside, clockwise inside. */
    @Test
    void routers_are_fed_against_their_rotation() {
        for (BuildPlan.PlanStep step : new TestBody().schedule().steps()) {
            Setting setting = step.operation().setting();
            if (setting instanceof Setting.Routed routed) {
                assertThat(routed.feed())
                        .as(step.operation().key().written())
                        .isEqualTo(
                                step.operation().work() == Work.OUTLINE
                                        ? Setting.Feed.ANTICLOCKWISE
                                        : Setting.Feed.CLOCKWISE);
            }
        }
    }

    /** Common practice: PVA overnight, 24 h, before machining, since the seam swells and sinks if levelled wet. */
    @Test
    void a_glued_blank_rests_a_day_before_it_is_flattened() {
        BuildPlan plan = new TestBody().plan();
        Operation glue = plan.step("blank:glue").orElseThrow().operation();
        assertThat(glue.waitMinutes()).isEqualTo(24 * 60);
        assertThat(plan.reasons(StepKey.parse("thickness:front")))
                .anyMatch(l -> l.before().written().equals("blank:glue") && l.lagMinutes() == 24 * 60);
    }

    /** Common practice: the pocket first, then the neck in it locates the bridge, and the studs locate the vibrato route. */
    @Test
    void the_pocket_locates_the_bridge_and_the_studs_locate_the_route() {
        TestBody body = new TestBody();
        body.studs = Optional.of(new Bridge.Studs(74, 14, 10, 20));
        body.vibrato = Optional.of(TestBody.vibrato(38));
        BuildPlan plan = body.plan();
        assertThat(place(plan, "neck:rout")).isLessThan(place(plan, "neck:bridge"));
        assertThat(place(plan, "neck:bridge")).isLessThan(place(plan, "bridge-studs:drill"));
        assertThat(place(plan, "bridge-studs:drill")).isLessThan(place(plan, "vibrato:fit"));
        assertThat(place(plan, "neck:check")).isLessThan(place(plan, "neck-screws:drill"));
    }

    /** Common practice: control holes are drilled from the front, so that they locate the rear template. */
    @Test
    void control_holes_come_before_the_rear_template() {
        BuildPlan plan = new TestBody().plan();
        assertThat(place(plan, "control-volume:drill")).isLessThan(place(plan, "controls:fit"));
        assertThat(plan.step("controls:rout").orElseThrow().operation().face())
                .isEqualTo(ebauche.core.geometry.Face.BACK);
    }

    /** Common practice: the jack hole crosses the edge that a bearing rides, so the outline is routed first. */
    @Test
    void the_outline_is_routed_before_the_jack_hole_crosses_its_edge() {
        BuildPlan plan = new TestBody().plan();
        assertThat(place(plan, "outline:finish")).isLessThan(place(plan, "jack:drill"));
    }

    /** Common practice: template screws stand in future waste, so the outline is done before those pockets are cut. */
    @Test
    void the_outline_template_is_screwed_where_a_pocket_will_be() {
        BuildPlan plan = new TestBody().plan();
        long seats = List.of("neck:waste", "pickup-neck:waste", "pickup-bridge:waste").stream()
                .filter(k -> place(plan, k) > place(plan, "outline:rout"))
                .count();
        assertThat(seats).isGreaterThanOrEqualTo(2);
    }

    /** Common practice: a Forstner stops short of the depth by its spur; the router takes the last light pass. */
    @Test
    void waste_is_drilled_short_of_the_floor_and_the_last_pass_is_light() {
        BuildPlan plan = new TestBody().plan();
        double waste = plan.step("neck:waste")
                .orElseThrow()
                .operation()
                .setting()
                .figure()
                .orElseThrow()
                .value();
        double rough = plan.step("neck:rough")
                .orElseThrow()
                .operation()
                .setting()
                .figure()
                .orElseThrow()
                .value();
        double depth = plan.step("neck:rout")
                .orElseThrow()
                .operation()
                .setting()
                .figure()
                .orElseThrow()
                .value();
        assertThat(depth - waste).isGreaterThanOrEqualTo(2.5);
        assertThat(depth - rough).isBetween(0.3, 1.6);
    }

    /** Common practice: rear cavities are routed until 6 mm of top remain for pots; a flat body of 1 3/4 in. */
    @Test
    void a_rear_cavity_leaves_the_top_that_pots_want() {
        TestBody body = new TestBody();
        BuildPlan plan = body.plan();
        double[] solid = plan.history().finished().intervalsAt(112, -28);
        assertThat(solid[1] - solid[0]).isEqualTo(6, within(1e-3));
    }

    /** Common practice: sanding comes last; every deeper cut already allows for what it takes. */
    @Test
    void nothing_is_cut_into_a_sanded_face() {
        BuildPlan plan = new TestBody().plan();
        int firstSanding = place(plan, "sanding:back");
        assertThat(plan.steps().subList(firstSanding, plan.steps().size()))
                .allMatch(s -> s.operation().work() == Work.SANDING);
        assertThat(plan.history().finished().intervalsAt(0, 40)[0]).isEqualTo(19 + 0.3, within(1e-3));
    }

    /** Common practice: another school cuts exactly the heel's thickness, so that only the fingerboard stands out. */
    @Test
    void a_pocket_as_deep_as_the_heel_leaves_only_the_fingerboard_standing_out() {
        TestBody body = new TestBody();
        // The saddle height that such a pocket calls for: f + r + 2 a12 - a0, by hand.
        body.wantedSaddle = OptionalDouble.of(6.35 + 1.2 + 2 * 1.8 - 0.5);
        PocketState pocket = PocketState.of(body.build());
        assertThat(pocket.target().value()).isCloseTo(body.heel, within(1e-9));
        assertThat(pocket.proud().value()).isCloseTo(0, within(1e-9));
    }

    /** Common practice: the centre line is checked end to end before the neck screw holes are drilled. */
    @Test
    void the_centre_line_is_checked_before_the_neck_screws_are_drilled() {
        BuildPlan plan = new TestBody().plan();
        assertThat(place(plan, "neck:check")).isLessThan(place(plan, "neck-screws:drill"));
        assertThat(plan.step("neck:check").orElseThrow().operation().inspections())
                .anyMatch(i -> i.measurand().key().equals("centre-at-bridge"));
    }

    /** Common practice: a cover's recess is as deep as the cover's own sheet. */
    @Test
    void a_covers_recess_is_as_deep_as_its_sheet() {
        DepthCard cover = DepthCard.of(new TestBody().plan()).stream()
                .filter(c -> c.feature().equals(Feature.parse("cover")))
                .findFirst()
                .orElseThrow();
        assertThat(cover.depth().value()).isEqualTo(2.5);
    }

    /** Common practice: a blade switch slot is cut with a bit of 1/16 to 3/32 in, or by knife between two drilled holes. */
    @Test
    void a_slot_wants_a_thin_bit_or_a_knife() {
        TestBody body = new TestBody();
        body.controls.add(TestBody.bladeSwitch(INCH / 8, INCH * 3 / 16, OptionalDouble.of(4)));
        assertThat(slot(body).with()).isEqualTo("slot bit 3/32");
        Crib c = body.shop.crib();
        body.shop = body.shop.with(c.only(
                c.bits().stream().filter(b -> !b.name().startsWith("slot")).toList()));
        assertThat(slot(body).how()).isEqualTo(ToolChoice.How.STAND_IN);
        assertThat(slot(body).with()).contains("knife");
    }

    private static ToolChoice slot(TestBody body) {
        return Realism.of(body.plan()).ways().stream()
                .filter(w -> w.work().contains("slot"))
                .findFirst()
                .orElseThrow();
    }

    /** Common practice: a vibrato route is met from both faces: a top bearing, flip, a bottom bearing. */
    @Test
    void a_vibratos_route_is_met_from_both_faces() {
        TestBody body = new TestBody();
        body.pickups = List.of();
        body.vibrato = Optional.of(TestBody.vibrato(40));
        List<Operation> route = body.schedule().steps().stream()
                .map(BuildPlan.PlanStep::operation)
                .filter(o -> o.feature().equals(Feature.parse("vibrato")) && o.setting() instanceof Setting.Routed)
                .toList();
        assertThat(route).extracting(Operation::face).contains(Face.FRONT, Face.BACK);
        Setting.Routed last = (Setting.Routed) route.get(route.size() - 1).setting();
        assertThat(last.passes()).allMatch(p -> p.cutter().bit().bearing().atTip());
    }

    /** Common practice: on a carved top the final control depth comes after the carve; the neck pocket before it. */
    @Test
    void a_carved_top_comes_between_the_neck_pocket_and_the_last_of_the_control_cavity() {
        TestBody body = new TestBody();
        body.contours = List.of(new Contour(
                "top", Face.FRONT, new Contour.Start.Round(90), 6, Profile.Shape.ROUND, OptionalDouble.empty()));
        BuildPlan plan = body.plan();
        assertThat(place(plan, "neck:rout")).isLessThan(place(plan, "contour-top:carve"));
        assertThat(place(plan, "contour-top:carve")).isLessThan(place(plan, "controls:rout"));
    }
}
