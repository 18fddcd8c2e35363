package ebauche.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Pickup;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Pass;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Stock;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

class DepthCardTest {
    private static DepthCard card(BuildPlan plan, String feature) {
        return DepthCard.of(plan).stream()
                .filter(c -> c.feature().word().equals(feature))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void every_cavity_has_a_card_and_the_cards_steps_are_the_plans() {
        TestBody body = new TestBody();
        body.controls.add(TestBody.bladeSwitch(3.2, 4.8, OptionalDouble.of(4)));
        BuildPlan plan = body.plan();
        assertThat(DepthCard.of(plan).stream().map(x -> x.feature().word()))
                .containsExactly("neck", "pickup-neck", "pickup-bridge", "step-selector", "controls", "cover");
        for (DepthCard card : DepthCard.of(plan)) {
            assertThat(card.steps()).allMatch(s -> plan.steps().contains(s)).isNotEmpty();
            assertThat(card.last().orElseThrow().feature()).isEqualTo(card.feature());
            assertThat(card.measure().orElseThrow().measurand().key()).isEqualTo("depth:" + card.feature());
            assertThat(card.measure().orElseThrow().expected().value())
                    .isEqualTo(card.now().value());
        }
    }

    @Test
    void from_the_templates_top_is_deeper_by_the_template() {
        DepthCard card = card(new TestBody().plan(), "pickup-neck");
        assertThat(card.now().value()).isCloseTo(19.3, within(1e-9));
        assertThat(card.fromTemplate().value()).isCloseTo(19.3 + 6.35, within(1e-9));
    }

    @Test
    void the_wood_left_agrees_with_the_stock_at_the_same_place() {
        TestBody body = new TestBody();
        body.controls.add(TestBody.bladeSwitch(3.2, 4.8, OptionalDouble.of(4)));
        BuildPlan plan = body.plan();
        Stock finished = plan.history().finished();
        for (DepthCard card : DepthCard.of(plan)) {
            DepthCard.Left left = card.thinnest().orElseThrow();
            Point at = left.thin().at();
            double[] solid = finished.intervalsAt(at.x(), at.y());
            assertThat(thicknesses(solid))
                    .as(card.said())
                    .anySatisfy(t -> assertThat(t).isCloseTo(left.sum().value(), within(0.01)));
        }
    }

    private static List<Double> thicknesses(double[] solid) {
        return java.util.stream.IntStream.range(0, solid.length / 2)
                .mapToObj(i -> solid[2 * i + 1] - solid[2 * i])
                .toList();
    }

    @Test
    void a_tilted_neck_pocket_is_deeper_at_its_mouth_by_the_worked_value() {
        TestBody body = new TestBody();
        body.angle = 2;
        DepthCard card = card(body.plan(), "neck");
        double deeper = card.mouth().orElseThrow().value() - card.depth().value();
        // 75 mm at 2 degrees is 2.6; this pocket is 76 long
        assertThat(deeper * 75 / 76).isCloseTo(2.62, within(0.005));
    }

    @Test
    void front_sanded_after_the_pocket_was_measured_leaves_more_to_cut() {
        TestBody body = new TestBody().doneUpTo("pickup-neck:rout");
        body.read("depth:pickup-neck", 19.3, "pickup-neck:rout");
        assertThat(card(body.plan(), "pickup-neck").stillToCut().orElseThrow().value())
                .isCloseTo(0, within(1e-9));
        body.read("sanded-off:front", 0.4);
        DepthCard sanded = card(body.plan(), "pickup-neck");
        assertThat(sanded.found().orElseThrow().value()).isCloseTo(18.6, within(1e-9));
        assertThat(sanded.stillToCut().orElseThrow().value()).isCloseTo(0.4, within(1e-9));
        assertThat(sanded.done()).isTrue();
    }

    @Test
    void legs_have_a_card_of_their_own_below_the_cavity() {
        TestBody body = new TestBody();
        body.pickups.set(0, Pickup.of("neck", new Point(0, 130), 0, Set.of(), 5, TestParts.pickup()));
        BuildPlan plan = body.plan();
        assertThat(card(plan, "legs-neck").depth().value())
                .isEqualTo(card(plan, "pickup-neck").depth().value() + 4);
        assertThat(card(plan, "legs-neck").thinnest().orElseThrow().sum().value())
                .isCloseTo(body.thickness - 22, within(1e-6));
    }

    @Test
    void a_through_route_is_met_from_both_faces_and_no_wood_is_left_in_it() {
        TestBody body = new TestBody();
        body.vibrato = Optional.of(TestBody.vibrato(40));
        BuildPlan plan = body.plan();
        DepthCard route = card(plan, "vibrato");
        assertThat(route.through()).isTrue();
        assertThat(route.left()).isEmpty();
        List<Face> faces = route.steps().stream()
                .map(s -> s.operation())
                .filter(o -> o.setting() instanceof Setting.Routed)
                .map(o -> o.face())
                .distinct()
                .toList();
        assertThat(faces).containsExactly(Face.FRONT, Face.BACK);
        Setting.Routed meet = (Setting.Routed) route.last().orElseThrow().setting();
        assertThat(meet.passes()).singleElement().satisfies(p -> {
            assertThat(p.guide()).isEqualTo(Pass.Guide.FAR_WALL);
            assertThat(p.cutter().bit().bearing().atTip()).isTrue();
            // the tip bearing keeps its contact on the wall that was cut from the front
            assertThat(p.to()).isGreaterThan(meet.depth().value());
        });
        assertThat(plan.history().finished().intervalsAt(0, -2)).isEmpty();
    }

    @Test
    void a_route_begun_deeper_than_planned_is_met_from_where_it_is() {
        TestBody body = new TestBody();
        body.vibrato = Optional.of(TestBody.vibrato(40));
        body.doneUpTo("vibrato:rout");
        double before = card(body.plan(), "vibrato")
                .last()
                .orElseThrow()
                .setting()
                .figure()
                .orElseThrow()
                .value();
        AsBuilt.Done rout = (AsBuilt.Done) body.timeline.get(body.timeline.size() - 1);
        assertThat(rout.changes()).hasSize(1);
        Operation deepen = body.schedule().step("vibrato:deepen").orElseThrow().operation();
        assertThat(deepen.changes().get(0).solid().shallowest())
                .as("goes on where the first round left it")
                .isCloseTo(rout.changes().get(0).solid().deepest(), within(1e-6));
        assertThat(before)
                .isCloseTo(
                        body.build().faces().backNow()
                                - deepen.changes().get(0).solid().deepest(),
                        within(1e-6));
        body.read("depth:vibrato", deepen.changes().get(0).solid().shallowest() + 0.1, "vibrato:rout");
        assertThat(body.schedule()
                        .step("vibrato:deepen")
                        .orElseThrow()
                        .operation()
                        .changes()
                        .get(0)
                        .solid()
                        .shallowest())
                .isCloseTo(rout.changes().get(0).solid().deepest() + 0.1, within(1e-6));
    }

    @Test
    void the_drill_list_places_every_hole_from_centre_line_saddle_line_and_fret_12() {
        TestBody body = new TestBody();
        body.studs = Optional.of(new ebauche.core.hardware.Bridge.Studs(74, 4, 11, 20));
        BuildPlan plan = body.plan();
        List<DrillHole> holes = DrillHole.of(plan);
        assertThat(holes).noneMatch(h -> h.step().key().written().endsWith(":waste"));
        assertThat(holes.stream().filter(h -> h.step().feature().equals(Feature.parse("bridge-studs"))))
                .hasSize(2)
                .allSatisfy(h -> {
                    assertThat(Math.abs(h.at().x())).isCloseTo(37, within(1e-6));
                    // fret 12 of an even-tempered scale is half of it away
                    assertThat(h.fromFret12()).isCloseTo(body.scale / 2 - 4, within(1e-9));
                    assertThat(h.diameter()).isCloseTo(11, within(0.01));
                    assertThat(h.depth().value()).isCloseTo(20.3, within(1e-9));
                });
        assertThat(holes.stream().filter(h -> h.wall().isPresent()))
                .singleElement()
                .satisfies(h -> {
                    assertThat(h.wall().get().words()).isEqualTo("the edge");
                    assertThat(h.wall().get().down().value()).isCloseTo(22.3, within(1e-9));
                    assertThat(h.depth()).isEqualTo(h.step().setting().figure().orElseThrow());
                });
        assertThat(holes.stream().filter(h -> h.step().feature().equals(Feature.parse("control-volume"))))
                .singleElement()
                .satisfies(h -> assertThat(h.through()).isTrue());
    }
}
