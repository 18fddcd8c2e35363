package ebauche.core.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.TestPractice;
import ebauche.core.design.EdgeReadings;
import ebauche.core.design.Measurand;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.PartHole.Side;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Build;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.MarkingOut;
import ebauche.core.shop.Habit;
import ebauche.core.shop.Practice;
import ebauche.core.stock.WoodLeft;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The edge as it was sanded, read against its template: where the stations are, what edge follows, and what goes with it. */
class EdgeReadTest {
    private static final Outline ROUND = Outline.parse("M100 0A100 100 0 1 1 -100 0A100 100 0 1 1 100 0Z", 1);
    private static final Outline SQUARE = Outline.parse("M-100 -100L100 -100L100 100L-100 100Z", 1);

    private static TestBody sanding() {
        TestBody body = new TestBody();
        body.shop = body.shop.with(TestPractice.with(body.shop.practice(), Practice.EdgeSchool.SAND_TO_LINE));
        return body;
    }

    private static EdgeReadings all(Outline outline, double inside) {
        return new EdgeReadings(outline, Collections.nCopies(EdgeReadings.STATIONS, inside));
    }

    /** Sixteen on a circle stand every 22.5 degrees, the first at the tail, the fifth on the right as it is counted anticlockwise. */
    @Test
    void stations_stand_at_equal_ways_from_the_tail_anticlockwise() {
        List<Point> stations = EdgeReadings.stations(ROUND);
        assertThat(stations).hasSize(16);
        for (int i = 0; i < 16; i++) {
            double angle = Math.toRadians(-90 + 22.5 * i);
            assertThat(stations.get(i).distance(new Point(100 * Math.cos(angle), 100 * Math.sin(angle))))
                    .as("station " + (i + 1))
                    .isLessThan(0.05);
        }
    }

    /** A circle read a millimetre inside, or proud, all round is a circle of 99, or 101: its area by hand. */
    @ParameterizedTest
    @ValueSource(doubles = {1, 0.3, -1})
    void a_circle_that_is_off_alike_all_round_is_another_circle(double inside) {
        EdgeReadings read = all(ROUND, inside);
        double r = 100 - inside;
        assertThat(read.outline().area()).isCloseTo(Math.PI * r * r, within(7.0));
        // Still a curve that bits follow, without corners.
        assertThat(read.outline().smallestInsideRadius().radius()).isGreaterThan(50);
    }

    /** Corners are kept: a square a millimetre inside is a square of 198. */
    @Test
    void corners_stay_corners() {
        Region read = all(SQUARE, 1).outline().region();
        assertThat(read.area()).isCloseTo(198 * 198, within(3.0));
        assertThat(read.maxX()).isCloseTo(99, within(0.02));
    }

    /** Sides that are eaten up cross each other: a slip of the unit. */
    @Test
    void an_edge_that_would_cross_itself_is_refused() {
        Outline thin = Outline.parse("M-100 -4L100 -4L100 4L-100 4Z", 1);
        assertThatThrownBy(() -> all(thin, 5).outline())
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("another unit");
    }

    /** One station read: from its neighbours to it the edge runs straight, and beyond them it lies on its template. */
    @Test
    void one_reading_reaches_to_its_neighbours() {
        double[] inside = new double[16];
        inside[4] = 1.6;
        Region read = new EdgeReadings(
                        SQUARE, java.util.Arrays.stream(inside).boxed().toList())
                .outline()
                .region();
        Point at = EdgeReadings.stations(SQUARE).get(4);
        double triangle = 0.5 * 1.6 * 2 * 800 / 16;
        assertThat(SQUARE.region().area() - read.area()).isCloseTo(triangle, within(2.0));
        assertThat(read.contains(at.towards(new Point(0, 0), 0.005))).isFalse();
        assertThat(read.contains(EdgeReadings.stations(SQUARE).get(8).towards(new Point(0, 0), 0.002)))
                .isTrue();
    }

    @Test
    void the_shop_that_sands_to_the_line_reads_the_edge_before_the_jack_and_may_leave_it() {
        TestBody body = sanding();
        BuildPlan plan = body.plan();
        Operation read = plan.step("outline:read-edge").orElseThrow().operation();
        assertThat(read.places()).hasSize(16);
        assertThat(read.inspections())
                .extracting(Inspection::measurand)
                .contains(new Measurand.EdgeInside(1), new Measurand.EdgeInside(16));
        assertThat(plan.indexOf(plan.step("outline:read-edge").orElseThrow()))
                .isLessThan(plan.indexOf(plan.step("jack:drill").orElseThrow()))
                .isGreaterThan(plan.indexOf(plan.step("outline:sand-to-line").orElseThrow()));
        assertThat(new TestBody().schedule().step("outline:read-edge")).isEmpty();
        Set<Habit> kept = EnumSet.allOf(Habit.class);
        kept.remove(Habit.READ_EDGE);
        body.shop = body.shop.with(body.shop.practice().with(kept));
        assertThat(body.schedule().step("outline:read-edge")).isEmpty();
    }

    /** A station that was read is no mark: a strap button's hole at one is still to be marked. */
    @Test
    void what_was_only_read_is_not_marked() {
        TestBody body = sanding();
        Point station = EdgeReadings.stations(Outline.parse(body.outline, 1)).get(0);
        body.holes.add(new PartHole(
                "strap",
                TestParts.of(PartKind.STRAP_BUTTON, PartSize.HOLE, 3.0, PartSize.LENGTH, 25.0),
                station,
                Side.EDGE,
                Optional.of(station.towards(new Point(0, 0), 60))));
        BuildPlan plan = body.plan();
        MarkingOut mark = MarkingOut.of(
                        plan, plan.indexOf(plan.step("hole-strap:mark").orElseThrow()))
                .orElseThrow();
        assertThat(plan.step("outline:read-edge").orElseThrow().operation().places())
                .anyMatch(p -> p.at().distance(mark.marks().get(0).place().at()) < 0.05);
        assertThat(mark.there()).isEmpty();
    }

    /** Two millimetres off beside a cavity are two millimetres less wall; the template and what is cut to it stay as they are drawn. */
    @Test
    void walls_follow_the_edge_as_it_is() {
        TestBody body = sanding();
        double before = wall(body);
        for (int i = 1; i <= EdgeReadings.STATIONS; i++) {
            body.read(new Measurand.EdgeInside(i).key(), 2);
        }
        assertThat(wall(body)).isCloseTo(before - 2, within(0.05));
        Build build = body.build();
        assertThat(build.drawn().outline().area())
                .isGreaterThan(build.design().outline().area());
        BuildPlan plan = body.plan();
        assertThat(new OutlineStation().templates(build).get(0).rings())
                .isEqualTo(List.of(build.drawn().outline().segments()));
        // What came off the edge beyond the line is taken off the wood by the reading's own step.
        double gone = plan.step("outline:read-edge")
                .orElseThrow()
                .operation()
                .changes()
                .get(0)
                .solid()
                .plan()
                .area();
        assertThat(gone)
                .isCloseTo(
                        build.drawn().outline().area()
                                - build.design().outline().area(),
                        within(20.0));
    }

    /** A proud edge is not at its line yet: nothing is planned with wood that sanding has still to take. */
    @Test
    void where_the_edge_stands_proud_its_line_counts() {
        TestBody body = sanding().read("edge-inside:3", -0.4);
        Build build = body.build();
        assertThat(build.design().outline()).isSameAs(build.drawn().outline());
    }

    private static double wall(TestBody body) {
        return body.plan().thinnest().stream()
                .filter(t -> t.kind() == WoodLeft.Kind.WALL)
                .filter(t -> t.feature().word().startsWith("cavity")
                        || t.feature().word().startsWith("control"))
                .filter(t -> t.neighbour().word().equals("edge"))
                .mapToDouble(WoodLeft.Thin::thickness)
                .min()
                .orElseThrow();
    }

    @Test
    void a_station_that_is_none_and_a_reading_that_cannot_be_are_refused() {
        assertThatThrownBy(() -> Measurand.parse("edge-inside:17")).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Measurand.parse("edge-inside:0")).isInstanceOf(Refusal.class);
        assertThat(Measurand.parse("edge-inside:16")).isEqualTo(new Measurand.EdgeInside(16));
        assertThatThrownBy(() -> sanding().read("edge-inside:3", 40).plan()).isInstanceOf(Refusal.class);
    }
}
