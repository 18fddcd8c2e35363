package ebauche.core.edge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.crib.Bit;
import ebauche.core.design.Contour;
import ebauche.core.design.RoundOver;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Corners rounded over: how much they take, where a router goes and where hands do, and when. */
class EdgeStationTest {
    private static RoundOver round(Face face, double radius) {
        return new RoundOver(face.word(), face, radius, Optional.empty());
    }

    private static TestBody body(RoundOver... some) {
        TestBody body = new TestBody();
        body.roundOvers.addAll(List.of(some));
        body.shop = body.shop.with(body.shop.crib().with(bit(6.35)));
        return body;
    }

    /** A bearing of 12.7, and twice the radius more. */
    private static Bit bit(double radius) {
        Bit plain = Bit.usual("round-over " + radius, Bit.Bearing.AT_TIP, 12.7, 14, 6.35);
        return new Bit(
                plain.name(),
                Bit.Profile.ROUND_OVER,
                Bit.Bearing.AT_TIP,
                12.7 + 2 * radius,
                14,
                plain.overallLength(),
                6.35,
                12.7,
                5,
                2,
                Bit.Spiral.NONE,
                true,
                0,
                Bit.Edge.SHARP,
                true,
                "");
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream().map(s -> s.operation().key().written()).toList();
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    /** Pappus: r² (1 − π / 4) round a disc of 170, its centroid 0.2234 r inside the edge. 36,355 mm³ for 12.7. */
    @ParameterizedTest
    @ValueSource(doubles = {3.175, 6.35, 12.7})
    void round_a_disc_it_takes_what_pappus_says(double radius) {
        Outline disc = Outline.circle(new Point(0, 0), 340);
        RoundOver.Laid laid = round(Face.FRONT, radius).on(disc, Region.EMPTY);
        // By symmetry one ray is enough: rings of it, each as long as its way round. The disc is drawn by chords, so
        // the ray says where its edge is.
        double edge = disc.region().chords(false, 0)[1];
        assertThat(edge).isCloseTo(170, within(0.1));
        double volume = 0;
        double cell = 0.01;
        for (double at = edge - radius + cell / 2; at < edge; at += cell) {
            volume += laid.under(0).fall(new Point(at, 0)) * cell * 2 * Math.PI * at;
        }
        double pappus = radius * radius * (1 - Math.PI / 4) * 2 * Math.PI * (edge - 0.2234 * radius);
        assertThat(volume).isCloseTo(pappus, within(pappus * 0.01));
        if (radius == 12.7) {
            assertThat(pappus).isCloseTo(36_355, within(40.0));
        }
    }

    /** The body weighs less by both corners; the stock is counted on its own grid. */
    @Test
    void both_steps_together_take_the_corner_and_nothing_else() {
        double before = new TestBody().plan().history().finished().balance().grams();
        TestBody body = body(round(Face.FRONT, 6.35));
        BuildPlan plan = body.plan();
        double after = plan.history().finished().balance().grams();
        RoundOver.Laid laid = plan.build().roundOvers().get(0);
        double length = laid.plan().area() / 6.35;
        double expected = 6.35 * 6.35 * (1 - Math.PI / 4) * length * 450 * 1e-6;
        assertThat(before - after).isCloseTo(expected, within(expected * 0.12));
        assertThat(laid.plan().overlaps(plan.build().design().neck().pocket()))
                .as("nothing is rounded at the neck's mouth")
                .isFalse();
    }

    /** Wall for the bearing and flat for the base: before the contours that would take them, after the outline. */
    @Test
    void it_comes_after_the_outline_and_before_contours() {
        TestBody body = body(round(Face.FRONT, 6.35), round(Face.BACK, 6.35));
        body.contours.add(new Contour(
                "forearm",
                Face.FRONT,
                new Contour.Start.Across(new Point(-170, 20), new Point(-60, -170)),
                15,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        BuildPlan plan = body.plan();
        assertThat(keys(plan))
                .containsSubsequence("outline:finish", "rounding-front:rout", "rounding-front:carve", "sanding:edge")
                .containsSubsequence("rounding-front:rout", "contour-forearm:carve");
        assertThat(plan.findings().stream().map(f -> f.rule())).doesNotContain("nobody-gives", "circle", "edge-no-bit");
        Setting.Routed set = (Setting.Routed) step(plan, "rounding-front:rout").setting();
        assertThat(set.feed()).isEqualTo(Setting.Feed.ANTICLOCKWISE);
        assertThat(set.depth().value()).isEqualTo(6.35);
        assertThat(set.passes())
                .as("bites of four at most, the last one to the radius")
                .hasSize(2)
                .allMatch(p -> p.bite() <= 4);
        assertThat(set.passes().get(1).to()).isEqualTo(6.35);
    }

    /** Carved first, the router no longer goes where the face has fallen or the wall under the bearing is gone. */
    @Test
    void carved_first_more_is_left_to_hands() {
        TestBody body = body(round(Face.FRONT, 6.35));
        body.contours.add(new Contour(
                "forearm",
                Face.FRONT,
                new Contour.Start.Across(new Point(-170, 20), new Point(-60, -170)),
                15,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        double before = hands(body).byHandLength();
        body.doneUpTo("rounding-front:rout");
        body.timeline.remove(body.timeline.size() - 1);
        body.done("contour-forearm:line").done("contour-forearm:carve");
        EdgeZones after = hands(body);
        assertThat(after.byHandLength()).isGreaterThan(before + 50);
        assertThat(after.byHand()).anyMatch(z -> z.why().contains(EdgeZones.Why.CARVED));
    }

    private static EdgeZones hands(TestBody body) {
        Build build = body.build();
        return EdgeStation.zones(build, build.roundOvers().get(0)).orElseThrow();
    }

    /** Each place that hands do says why, and lies on the edge. */
    @Test
    void zones_by_hand_say_why_and_where() {
        TestBody body = body(round(Face.FRONT, 6.35));
        EdgeZones zones = hands(body);
        Region edge = body.build().design().outline().region();
        assertThat(zones.byHandLength()).isLessThan(zones.length());
        assertThat(zones.byHand()).allSatisfy(z -> {
            assertThat(z.why()).isNotEmpty();
            assertThat(Math.abs(edge.outside(z.middle()))).isLessThan(0.05);
        });
        assertThat(step(body.plan(), "rounding-front:carve").places())
                .extracting(Place::name)
                .containsExactlyElementsOf(
                        zones.byHand().stream().map(EdgeZones.Zone::words).toList());
    }

    /** A jack of 22 whose axis lies 14 under the front: its hole begins 3 under it, where the bearing rides. */
    @Test
    void a_bearing_falls_into_the_jack_and_the_corner_runs_into_it() {
        TestBody body = body(round(Face.FRONT, 6.35));
        Build build = body.build();
        double from = build.design().jack().orElseThrow().fromFront();
        double left = from - build.design().jack().orElseThrow().diameter() / 2 - 6.35;
        assertThat(hands(body).byHand().stream().anyMatch(z -> z.why().contains(EdgeZones.Why.HOLE)))
                .isEqualTo(left < 5);
        body.roundOvers.set(0, round(Face.FRONT, Math.min(25, 6.35 + left)));
        assertThat(body.rules()).contains("edge-into-jack");
    }

    /** A stretch with a turn of 5 mm radius inward: a bearing of 12.7 leaves it. */
    @Test
    void an_inside_turn_tighter_than_the_bearing_is_left_to_hands() {
        TestBody body = body(round(Face.FRONT, 6.35));
        body.outline = "M -160 -150 L -5 -150 L -5 -130 A 5 5 0 0 1 5 -130 L 5 -150 L 160 -150 L 160 200 L -160 200 Z";
        assertThat(hands(body).byHand()).anyMatch(z -> z.why().contains(EdgeZones.Why.TURN));
    }

    /** A horn of 24 by 90: no base stands at its end; along the broad side of the body every one does. */
    @Test
    void round_a_narrow_horn_the_base_tips() {
        TestBody body = body(round(Face.FRONT, 6.35));
        body.outline = "M -160 -150 L 160 -150 L 160 200 L 134 200 L 134 290 L 110 290 L 110 200 L -160 200 Z";
        assertThat(hands(body).byHand())
                .filteredOn(z -> z.why().contains(EdgeZones.Why.TIPS))
                .isNotEmpty()
                .allSatisfy(z -> assertThat(z.middle().y()).isGreaterThan(150));
    }

    @Test
    void without_a_bit_all_of_it_is_by_hand_and_told() {
        TestBody body = new TestBody();
        body.roundOvers.add(round(Face.BACK, 9.5));
        BuildPlan plan = body.plan();
        assertThat(keys(plan)).contains("rounding-back:carve").doesNotContain("rounding-back:rout");
        assertThat(step(plan, "rounding-back:carve").title()).contains("by hand");
        assertThat(body.rules()).contains("edge-no-bit");
    }

    @Test
    void two_corners_that_leave_no_edge_between_them_are_told() {
        TestBody body = body(round(Face.FRONT, 22), round(Face.BACK, 22));
        assertThat(body.rules()).contains("edge-wall");
        assertThat(body(round(Face.FRONT, 6.35), round(Face.BACK, 6.35)).rules())
                .doesNotContain("edge-wall");
    }

    @ParameterizedTest
    @CsvSource({"0.5, 20, radius", "40, 50, radius", "12, 8, fade"})
    void what_cannot_be_is_refused_at_its_field(double radius, double fade, String field) {
        assertThatThrownBy(() -> new RoundOver(
                        "a",
                        Face.FRONT,
                        radius,
                        Optional.of(new Contour.Start.Stretch(new Point(0, -150), new Point(100, 0), fade))))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo(field));
    }

    /** Logged step by step it is the body that was planned. */
    @Test
    void done_it_reads_back_as_it_was_planned() {
        TestBody body = body(round(Face.FRONT, 6.35));
        double planned = body.plan().history().finished().balance().grams();
        List<String> steps = keys(body.plan());
        body.doneUpTo(steps.get(steps.size() - 1));
        assertThat(body.plan().history().finished().balance().grams()).isCloseTo(planned, within(0.5));
        assertThat(body.plan().steps()).allMatch(s -> s.done());
    }
}
