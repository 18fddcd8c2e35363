package ebauche.core.contour;

import static ebauche.core.contour.TestContours.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.cavity.CavityFloor;
import ebauche.core.design.Contour;
import ebauche.core.design.Contour.Start;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.DepthCard;
import ebauche.core.station.ControlTop;
import ebauche.core.stock.Profile;
import ebauche.core.stock.WoodLeft;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Contours in a plan: what waits for them, what they leave. */
class ContourPlanTest {
    private static int place(BuildPlan plan, String step) {
        List<String> keys =
                plan.steps().stream().map(s -> s.operation().key().written()).toList();
        assertThat(keys).contains(step);
        return keys.indexOf(step);
    }

    @Test
    void the_smaller_part_of_the_body_is_carved_whichever_way_the_line_is_drawn() {
        Outline outline = with().design().outline();
        Contour one = forearm(20);
        Contour other = new Contour(
                "forearm",
                Face.FRONT,
                new Start.Across(new Point(-60, -150), new Point(-160, -60)),
                20,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty());
        Region plan = one.on(outline).plan();
        assertThat(plan.area()).isCloseTo(other.on(outline).plan().area(), within(1e-6));
        assertThat(plan.area()).isLessThan(outline.region().area() / 2);
        assertThat(one.on(outline).under(0).fall(new Point(0, 0))).isZero();
        assertThat(other.on(outline).under(0).mostFall(plan)).isEqualTo(20);
    }

    /** The neck pocket's jig wants the flat: the pocket before the carved top, the main school, common practice. */
    @Test
    void the_neck_pocket_is_cut_before_a_carved_top_takes_its_flat() {
        BuildPlan plan = with(top(90, 8)).plan();
        assertThat(place(plan, "neck:rout")).isLessThan(place(plan, "contour-top:carve"));
        assertThat(place(plan, "outline:finish")).isLessThan(place(plan, "contour-top:line"));
        assertThat(place(plan, "contour-top:carve")).isLessThan(place(plan, "sanding:front"));
    }

    /** On a carved top the final control depth comes after the carve: common practice. */
    @Test
    void the_control_cavitys_last_pass_waits_for_the_carve_and_its_holes_do_not() {
        BuildPlan plan = with(top(90, 8)).plan();
        int carve = place(plan, "contour-top:carve");
        assertThat(place(plan, "control-volume:drill")).isLessThan(carve);
        assertThat(place(plan, "controls:rough")).isLessThan(place(plan, "controls:rout"));
        assertThat(place(plan, "controls:rout")).isGreaterThan(carve);
        assertThat(plan.findings())
                .noneMatch(f -> f.rule().equals("circle") || f.rule().equals("nobody-gives"));
        BuildPlan flat = with().plan();
        assertThat(flat.step("controls:fit-again")).isEmpty();
    }

    @Test
    void the_cavitys_floor_keeps_its_wood_where_the_front_has_fallen_most() {
        TestBody body = with(top(90, 8));
        BuildPlan plan = body.plan();
        WoodLeft.Thin floor = plan.thinnest().stream()
                .filter(t -> t.kind() == WoodLeft.Kind.FLOOR
                        && t.feature().equals(Feature.parse("controls"))
                        && t.neighbour().equals(Feature.FRONT))
                .findFirst()
                .orElseThrow();
        assertThat(floor.thickness()).isCloseTo(6, within(1e-6));
        // The finished stock, cell by cell over the cavity, against the card: the least wood between front and floor.
        Region over = plan.build().design().cavities().get(0).outline().region();
        double least = Double.POSITIVE_INFINITY;
        for (double x = 68; x < 133; x += 0.5) {
            for (double y = -69; y < -10; y += 0.5) {
                double[] wood = plan.history().finished().intervalsAt(x, y);
                if (wood.length > 0 && over.contains(new Point(x, y))) {
                    least = Math.min(least, wood[1] - wood[0]);
                }
            }
        }
        assertThat(least).isCloseTo(6, within(0.05));
        double round = fallAtEdgeOfCavity(90, 8, 160 - 133);
        DepthCard card = card(plan, "controls");
        assertThat(card.depth().value()).isCloseTo(44.5 - round - 6, within(1e-6));
    }

    /** The arc written out again: level at its start, R = (w² + d²) / 2d. */
    private static double fallAtEdgeOfCavity(double width, double depth, double fromEdge) {
        double radius = (width * width + depth * depth) / (2 * depth);
        double across = width - fromEdge;
        return radius - Math.sqrt(radius * radius - across * across);
    }

    private static DepthCard card(BuildPlan plan, String feature) {
        return DepthCard.of(plan).stream()
                .filter(c -> c.feature().word().equals(feature))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_pot_gets_the_top_that_is_there_and_is_told_where_it_is_too_much() {
        TestBody body = with(top(90, 8));
        body.controls.set(0, TestBody.pot("volume", 100, -40, 8));
        double there = fallAtEdgeOfCavity(90, 8, 60);
        double over = 6 + fallAtEdgeOfCavity(90, 8, 27) - there;
        ControlTop top = card(body.plan(), "controls").tops().get(0);
        assertThat(top.wood().value()).isCloseTo(over, within(1e-6));
        assertThat(top.thickness().value()).isCloseTo(44.5 - there, within(1e-6));
        assertThat(top.tooThick()).isTrue();
        assertThat(body.rules()).contains("control-top");
        // The stock says the same at the hole's rim.
        double[] wood = body.plan().history().finished().intervalsAt(100.25, -34.75);
        assertThat(wood[1] - wood[0]).isCloseTo(over, within(0.2));
    }

    @Test
    void a_step_under_a_control_is_set_by_the_front_at_its_hole() {
        TestBody body = with(top(90, 8));
        body.controls.set(
                0,
                new ebauche.core.hardware.Control(
                        "volume",
                        ebauche.core.hardware.Control.Kind.POT,
                        new Point(100, -40),
                        10,
                        0,
                        0,
                        8,
                        25,
                        25,
                        20,
                        OptionalDouble.of(7)));
        BuildPlan plan = body.plan();
        assertThat(card(plan, "step-volume").tops().get(0).wood().value()).isCloseTo(7, within(1e-6));
        assertThat(card(plan, "controls").tops()).isEmpty();
        assertThat(body.rules()).doesNotContain("control-top");
        assertThat(place(plan, "step-volume:rout")).isGreaterThan(place(plan, "contour-top:carve"));
    }

    @Test
    void the_body_read_at_a_control_after_the_carve_moves_the_cavitys_last_pass() {
        TestBody body = with(top(90, 8));
        double before = card(body.plan(), "controls").depth().value();
        body.doneUpTo("contour-top:carve");
        double expected = body.schedule().step("contour-top:carve").orElseThrow().operation().inspections().stream()
                .filter(i -> i.measurand().key().equals("thickness-at:control-volume"))
                .findFirst()
                .orElseThrow()
                .expected()
                .value();
        assertThat(card(body.plan(), "controls").depth().value()).isCloseTo(before, within(1e-6));
        body.read("thickness-at:control-volume", expected - 0.4);
        DepthCard card = card(body.plan(), "controls");
        assertThat(card.depth().value()).isCloseTo(before - 0.4, within(1e-6));
        assertThat(card.tops().get(0).measured()).isTrue();
        assertThat(card.tops().get(0).wood().value())
                .as("the pot loses what was carved too deep and wins what the floor stays higher")
                .isCloseTo(6 + fallAtEdgeOfCavity(90, 8, 27) - fallAtEdgeOfCavity(90, 8, 60), within(1e-6));
    }

    /** What is sanded off after the body was read at the control is no carve: neither the fall nor the pot's top moves. */
    @Test
    void sanding_after_the_reading_is_not_taken_for_a_deeper_carve() {
        TestBody body = with(top(90, 8));
        body.doneUpTo("contour-top:carve");
        double flat = body.build().thicknessNow();
        body.read("thickness-at:control-volume", flat - 5);
        ControlTop before = CavityFloor.all(body.build()).get(0).tops().get(0);
        assertThat(before.thickness().formula()).isEqualTo("finished thickness − front carved down at the volume pot");
        body.doneUpTo("sanding:front");
        assertThat(body.build().thicknessNow()).isLessThan(flat - 0.2);
        ControlTop after = CavityFloor.all(body.build()).get(0).tops().get(0);
        assertThat(after.thickness().value())
                .isCloseTo(before.thickness().value(), within(1e-9))
                .isCloseTo(body.build().faces().thickness() - 5, within(1e-9));
    }

    @Test
    void a_reading_from_before_the_carve_says_nothing_about_it() {
        TestBody body = with(top(90, 8));
        double before = card(body.plan(), "controls").depth().value();
        body.read("thickness-at:control-volume", 45);
        assertThat(card(body.plan(), "controls").depth().value()).isEqualTo(before);
    }

    @Test
    void a_belly_carve_over_a_rear_cavity_is_told_with_what_is_left() {
        TestBody body = with(new Contour(
                "belly",
                Face.BACK,
                new Start.Across(new Point(60, -150), new Point(60, 240)),
                20,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        assertThat(body.plan().findings())
                .anyMatch(f -> f.rule().equals("not-flat") && f.what().contains("cover recess"));
    }

    /** A pickup's cavity 19 deep under a back that falls 18 of 44.5 leaves what its card says, to the numbers of school geometry. */
    @Test
    void a_carved_back_thins_the_floors_of_front_cavities() {
        TestBody body = with(new Contour(
                "belly",
                Face.BACK,
                new Start.Across(new Point(-200, 20), new Point(200, 20)),
                18,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        WoodLeft.Thin floor = body.plan().thinnest().stream()
                .filter(t -> t.feature().equals(Feature.parse("pickup-bridge"))
                        && t.neighbour().equals(Feature.BACK))
                .findFirst()
                .orElseThrow();
        // The carve runs from y = 20 down to -150: the pickup's lower edge at y = 25 lies outside it.
        assertThat(floor.thickness()).isCloseTo(44.5 - 19, within(1e-6));
        TestBody higher = with(new Contour(
                "belly",
                Face.BACK,
                new Start.Across(new Point(-200, 40), new Point(200, 40)),
                18,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        double fall = 18 * (40.0 - 25) / (40 + 150);
        DepthCard card = card(higher.plan(), "pickup-bridge");
        assertThat(card.thinnest().orElseThrow().sum().value()).isCloseTo(44.5 - 19 - fall, within(1e-6));
        assertThat(card.thinnest().orElseThrow().sum().formula()).contains("carved off the back there");
    }

    /** Over a carved front, the saddles' height is taken from the front's height at the bridge (C1). */
    @Test
    void a_front_carved_down_under_the_bridge_deepens_the_pocket_by_as_much() {
        double flat = card(with().plan(), "neck").depth().value();
        TestBody body = with(new Contour(
                "tail",
                Face.FRONT,
                new Start.Across(new Point(-200, 15), new Point(200, 15)),
                11,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        double fall = 11 * (15 + 10.0) / (15 + 150);
        assertThat(card(body.plan(), "neck").depth().value()).isCloseTo(flat + fall, within(1e-6));
    }

    @Test
    void an_undecided_contour_keeps_its_wood() {
        TestBody body = with(top(90, 8));
        body.undecided = Set.of(Feature.parse("contour-top"));
        BuildPlan plan = body.plan();
        assertThat(plan.step("contour-top:carve")).isEmpty();
        assertThat(plan.build().finished(Face.FRONT).carves()).isEmpty();
        assertThat(plan.stillOpen()).anyMatch(o -> o.feature().equals(Feature.parse("contour-top")));
    }
}
