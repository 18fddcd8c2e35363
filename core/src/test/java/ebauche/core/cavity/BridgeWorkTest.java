package ebauche.core.cavity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.DepthCard;
import ebauche.core.sheet.DrillHole;
import ebauche.core.stock.Change;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a bridge takes out of the body: strings through it, studs, a recess, a vibrato route and springs. */
class BridgeWorkTest {
    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    private static int place(BuildPlan plan, String key) {
        return plan.indexOf(plan.step(key).orElseThrow(() -> new AssertionError(key)));
    }

    private static List<Point> holes(Operation step) {
        return step.changes().stream()
                .map(Change::solid)
                .map(s -> s.plan().centroid())
                .toList();
    }

    private static TestBody stringsThrough(double offCentre) {
        TestBody body = new TestBody();
        body.offCentre = offCentre;
        body.stringThrough = Optional.of(new Bridge.StringThrough(-14, 3, Optional.of(TestParts.ferrule())));
        return body;
    }

    /** One hole a string, outer strings as far apart as their spread, evenly between: worked out here. */
    @ParameterizedTest
    @CsvSource({"0, 52", "0.4, 50", "-0.3, 54"})
    void strings_come_through_where_they_leave_the_bridge(double offCentre, double spread) {
        TestBody body = stringsThrough(offCentre);
        body.spread = spread;
        List<Point> at = holes(step(body.plan(), "string-holes:drill"));
        assertThat(at).hasSize(6);
        for (int i = 0; i < 6; i++) {
            assertThat(at.get(i).x()).isCloseTo(offCentre - spread / 2 + i * spread / 5, within(1e-6));
            assertThat(at.get(i).y()).isCloseTo(-14, within(1e-6));
        }
        assertThat(holes(step(body.plan(), "ferrules:bore"))).hasSize(6);
    }

    @Test
    void ferrules_sit_flush_with_the_finished_back_on_the_holes_that_came_through() {
        TestBody body = stringsThrough(0);
        BuildPlan plan = body.plan();
        double toSand = plan.build().faces().toSand(Face.BACK);
        assertThat(toSand).isPositive();
        assertThat(body.figure("ferrules:bore")).isCloseTo(10 + toSand, within(1e-9));
        assertThat(step(plan, "ferrules:bore").changes()).allSatisfy(c -> {
            assertThat(c.solid().shallowest()).isCloseTo(plan.build().faces().backFinished() - 10, within(1e-9));
            assertThat(c.solid().plan().maxX() - c.solid().plan().minX()).isCloseTo(8, within(0.02));
        });
        // A spur finds its place in a small hole; the hole is opened once the seat is there.
        assertThat(place(plan, "string-holes:locate")).isLessThan(place(plan, "ferrules:bore"));
        assertThat(place(plan, "ferrules:bore")).isLessThan(place(plan, "string-holes:drill"));
        body.read("size:ferrules.length", 11.5);
        assertThat(body.figure("ferrules:bore")).isCloseTo(11.5 + toSand, within(1e-9));
    }

    @Test
    void studs_stand_either_side_of_the_bridges_middle_as_deep_as_their_bushings() {
        TestBody body = new TestBody();
        body.offCentre = 0.3;
        body.studs = Optional.of(new Bridge.Studs(74, -4, 11, 19));
        Operation drill = step(body.plan(), "bridge-studs:drill");
        assertThat(holes(drill))
                .extracting(Point::x)
                .satisfiesExactly(
                        x -> assertThat(x).isCloseTo(0.3 - 37, within(1e-6)),
                        x -> assertThat(x).isCloseTo(0.3 + 37, within(1e-6)));
        assertThat(drill.changes())
                .allSatisfy(c -> assertThat(c.solid().deepest())
                        .isCloseTo(body.build().faces().frontFinished() + 19, within(1e-9)));
        // fret 12 lies half the scale of 640 before the saddles, the studs 4 behind them
        assertThat(DrillHole.of(body.plan()))
                .filteredOn(h -> h.step().feature().equals(Feature.parse("bridge-studs")))
                .hasSize(2)
                .allSatisfy(h -> assertThat(h.fromFret12()).isCloseTo(324, within(1e-6)));
    }

    private static TestBody vibrato() {
        TestBody body = new TestBody();
        body.pickups = List.of();
        body.bridgePart = Optional.of(TestParts.vibratoLetIn());
        body.studs = Optional.of(new Bridge.Studs(56, 19, 10, 20));
        body.vibrato = Optional.of(TestBody.vibrato(38));
        return body;
    }

    /** Recess, route and studs follow from the part and the shop's room; the springs lie in the back and the route opens into them. */
    @Test
    void a_vibrato_let_in_has_its_recess_its_route_its_studs_and_its_springs() {
        TestBody body = vibrato();
        BuildPlan plan = body.plan();
        double room = body.shop.clearances().block();
        Bridge bridge = plan.build().design().bridge();
        assertThat(bridge.recess()).isEqualTo(3);
        assertThat(bridge.vibrato().orElseThrow().routeAcross()).isCloseTo(52 + 2 * room, within(1e-9));
        assertThat(bridge.vibrato().orElseThrow().routeAlong()).isCloseTo(12 + 8 + 2 * room, within(1e-9));
        List<DepthCard> cards = DepthCard.of(plan);
        assertThat(cards)
                .filteredOn(c -> c.feature().equals(Feature.parse("bridge-recess")))
                .singleElement()
                .satisfies(c -> {
                    assertThat(c.depth().value()).isEqualTo(3);
                    assertThat(c.face()).isEqualTo(Face.FRONT);
                });
        assertThat(cards)
                .filteredOn(c -> c.feature().equals(Feature.parse("springs")))
                .singleElement()
                .satisfies(c -> {
                    assertThat(c.depth().value()).isEqualTo(12);
                    assertThat(c.face()).isEqualTo(Face.BACK);
                });
        assertThat(cards)
                .filteredOn(c -> c.feature().equals(Feature.parse("vibrato")))
                .singleElement()
                .satisfies(c -> assertThat(c.through()).isTrue());
        assertThat(place(plan, "bridge-studs:drill"))
                .as("the studs' holes locate the recess's template")
                .isLessThan(place(plan, "bridge-recess:fit"));
        double[] in = plan.history()
                .finished()
                .intervalsAt(0, bridge.vibrato().orElseThrow().routeY());
        assertThat(in).as("nothing is left in the route").isEmpty();
    }

    @Test
    void every_size_of_the_vibrato_in_hand_moves_what_follows_from_it() {
        TestBody body = vibrato();
        body.read("size:bridge.recess", 3.4).read("size:bridge.stud-depth", 21).read("size:bridge.block-across", 53);
        Bridge bridge = body.build().design().bridge();
        assertThat(bridge.recess()).isEqualTo(3.4);
        assertThat(bridge.studs().orElseThrow().depth()).isEqualTo(21);
        assertThat(body.build().fitting().bridges().studDepth(bridge).terms())
                .as("the sum says that the part was measured")
                .singleElement()
                .extracting(Reckoning.Term::source)
                .isEqualTo(Source.MEASURED);
        assertThat(bridge.vibrato().orElseThrow().routeAcross())
                .isCloseTo(53 + 2 * body.shop.clearances().block(), within(1e-9));
        // Measured at the bench: from the front as it is, with its sanding still to come.
        assertThat(body.figure("bridge-studs:drill"))
                .isCloseTo(21 + body.build().faces().toSand(Face.FRONT), within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"40, ''", "42.6, block-near-back", "44.5, block-near-back", "46, block-too-long"})
    void a_block_is_held_against_the_body_and_the_room_behind_it(double block, String rule) {
        TestBody body = new TestBody();
        body.pickups = List.of();
        body.vibrato = Optional.of(TestBody.vibrato(block));
        List<String> rules = body.rules();
        for (String each : List.of("block-near-back", "block-too-long")) {
            assertThat(rules.contains(each)).as(each).isEqualTo(each.equals(rule));
        }
    }

    @Test
    void a_bridge_off_the_body_stops_the_build() {
        TestBody body = new TestBody();
        body.offCentre = 150;
        assertThat(body.plan().findings()).anySatisfy(f -> assertThat(f.rule()).isEqualTo("bridge-off-body"));
        assertThat(body.plan().stops()).isTrue();
    }
}
