package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.design.Contour;
import ebauche.core.design.EdgeDepths;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Curve;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Carves off curved lines, against closed forms, the sampled surface and the wood on a grid. */
class RuledTest {
    private static final Outline SLAB = Outline.parse("M -150 -150 L 150 -150 L 150 150 L -150 150 Z", 1);

    private static final Feature CARVE = Feature.parse("contour-forearm");

    private static Contour contour(Contour.Start.Across line, double depth, Profile.Shape shape) {
        return new Contour("forearm", Face.FRONT, line, depth, shape, OptionalDouble.empty());
    }

    private static Contour.Laid laid(List<Point> through, EdgeDepths depths, double depth) {
        return contour(
                        new Contour.Start.Across(new Point(-150, 80), new Point(150, 80), through, depths),
                        depth,
                        Profile.Shape.STRAIGHT)
                .on(SLAB);
    }

    /** Off a straight line a wedge is the plane that it always was, as a ruled carve too: to the thousandth. */
    @Test
    void off_a_straight_line_it_is_the_plane() {
        Contour.Laid plane = laid(List.of(), EdgeDepths.WEDGE, 20);
        assertThat(plane.course()).isInstanceOf(Course.Line.class);
        Contour.Laid ruled = laid(List.of(new Point(0, 80)), EdgeDepths.WEDGE, 20);
        assertThat(ruled.course()).isInstanceOf(Ruled.class);
        Random random = new Random(3);
        for (int i = 0; i < 300; i++) {
            Point at = new Point(148 - 296 * random.nextDouble(), 81 + 68 * random.nextDouble());
            assertThat(ruled.under(0).fall(at)).isCloseTo(plane.under(0).fall(at), within(0.001));
        }
    }

    /** An arc by its closed form: all of its places lie so far from the circle's middle. */
    @ParameterizedTest
    @CsvSource({"0, 40, 100", "30, 25, 100", "0, -40, 100", "10, 90, 100", "0, 130, 100"})
    void an_arc_passes_its_apex_on_a_circle(double x, double y, double half) {
        Point apex = new Point(x, y);
        List<Point> arc = Curve.through(List.of(new Point(-half, 0), apex, new Point(half, 0)));
        // The middle lies on x = 0 at k with x² + (y − k)² = half² + k².
        double k = (x * x + y * y - half * half) / (2 * y);
        double radius = Math.hypot(half, k);
        assertThat(arc).allSatisfy(p -> assertThat(Math.hypot(p.x(), p.y() - k)).isCloseTo(radius, within(0.01)));
        assertThat(arc.stream().mapToDouble(apex::distance).min().orElseThrow()).isLessThan(0.6);
        assertThat(arc.get(0)).isEqualTo(new Point(-half, 0));
        assertThat(arc.stream()
                        .mapToDouble(Point::y)
                        .map(v -> v * Math.signum(y))
                        .min()
                        .orElseThrow())
                .as("the arc on the apex's side")
                .isGreaterThan(-radius);
    }

    /** A wedge off an arc has one slope everywhere: it falls by the distance from the circle, as a cone does. */
    @Test
    void a_wedge_off_an_arc_is_a_cone() {
        Contour.Laid laid = laid(List.of(new Point(0, 60)), EdgeDepths.WEDGE, 18);
        double k = (60.0 - 80) / 2 + (150 * 150) / (2 * (60.0 - 80));
        // Through (±150, 80) and (0, 60): the middle at y = 60 + r, by Pythagoras.
        double r = (150 * 150 + 20 * 20) / (2 * 20.0);
        double middle = 60 + r;
        assertThat(k).isNegative();
        Random random = new Random(5);
        double slope = 18 / laid.profile().width();
        int asked = 0;
        while (asked < 300) {
            Point at = new Point(140 - 280 * random.nextDouble(), 62 + 87 * random.nextDouble());
            double out = r - Math.hypot(at.x(), at.y() - middle);
            double off = -out;
            // Beyond the arc's ends it falls by the way to the end itself.
            double foot = at.x() * r / Math.hypot(at.x(), at.y() - middle);
            if (laid.plan().contains(at) && Math.abs(foot) < 148) {
                asked++;
                assertThat(laid.under(0).fall(at)).isCloseTo(slope * Math.abs(off), within(0.01));
            }
        }
    }

    /** Even all along: away from the ends the wedge's volume, by hand; the grid comes nearer as its pitch is halved. */
    @Test
    void an_even_one_takes_a_wedge_less_its_fades() {
        double depth = 20;
        double fade = 60;
        Contour.Laid laid = laid(List.of(), new EdgeDepths.Even(fade), depth);
        // Each fade's mean depth is half: the ease is odd about its middle.
        double exact = 70 * depth / 2 * (300 - fade);
        double last = Double.POSITIVE_INFINITY;
        for (double pitch : new double[] {2, 1, 0.5, 0.25}) {
            last = Math.abs(taken(laid, pitch) - exact) / exact;
            assertThat(last).as("pitch %s", pitch).isLessThan(0.01 * pitch + 0.001);
        }
        assertThat(last).isLessThan(0.002);
    }

    private static double taken(Contour.Laid laid, double pitch) {
        Region body = SLAB.region();
        Grid grid = Grid.covering(-152, 152, -152, 152, pitch);
        Stock slab = Stock.empty(grid)
                .after(new Change.Add(
                        Feature.parse("blank"),
                        Workpiece.BODY,
                        Solid.Prism.between(body, 0, 45),
                        new Material("alder", 450)));
        Stock after =
                slab.after(Change.Remove.fromBody(CARVE, new Solid.Prism(laid.plan(), Plane.at(-1), laid.under(0))));
        return slab.volume() - after.volume();
    }

    /** At the edge it is as deep as it was said: at the deepest place, and half way of one that was typed. */
    @Test
    void along_the_edge_it_is_as_deep_as_it_was_said() {
        Contour.Laid typed = laid(List.of(), new EdgeDepths.Typed(List.of(6.0, 20.0, 12.0)), 20);
        assertThat(typed.under(0).fall(new Point(-75, 150))).isCloseTo(6, within(0.05));
        assertThat(typed.under(0).fall(new Point(0, 150))).isCloseTo(20, within(0.05));
        assertThat(typed.under(0).fall(new Point(75, 150))).isCloseTo(12, within(0.05));
        assertThat(typed.under(0).fall(new Point(112.5, 150))).isCloseTo(6, within(0.05));
        Contour.Laid leaned = laid(List.of(new Point(0, 40)), new EdgeDepths.Leaned(0.6), 20);
        assertThat(leaned.under(0).fall(new Point(60, 150)))
                .isGreaterThan(leaned.under(0).fall(new Point(-60, 150)) + 3);
        Point deepest = leaned.course().farthest(leaned.plan());
        assertThat(leaned.under(0).fall(deepest)).isCloseTo(20, within(0.01));
        assertThat(deepest.x()).isPositive();
    }

    /** Extremes over areas against a scan of their places: none is passed over by a hundredth of a millimetre. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void extremes_over_areas_are_those_of_a_scan(long seed) {
        Random random = new Random(seed);
        Contour.Laid laid = laid(
                List.of(new Point(-60, 70 + 6 * random.nextDouble()), new Point(50, 70 + 6 * random.nextDouble())),
                new EdgeDepths.Leaned(random.nextDouble() - 0.5),
                15);
        Carve carve = laid.under(0);
        for (int k = 0; k < 8; k++) {
            Region over = Region.disc(
                    new Point(120 - 240 * random.nextDouble(), 70 + 60 * random.nextDouble()),
                    8 + 30 * random.nextDouble());
            double most = 0;
            for (int i = 0; i < 4000; i++) {
                double r = 20 * Math.sqrt(random.nextDouble());
                double a = 2 * Math.PI * random.nextDouble();
                Point at = over.centroid().plus(r * Math.cos(a), r * Math.sin(a));
                if (over.contains(at) && laid.plan().contains(at)) {
                    most = Math.max(most, carve.fall(at));
                }
            }
            assertThat(carve.mostFall(over)).isGreaterThanOrEqualTo(most - 0.01);
            assertThat(carve.mostFall(over)).isLessThanOrEqualTo(15.001);
        }
    }

    /** What lies so far in and no less: its edge and its inside. */
    @Test
    void what_lies_farther_in_is_the_area_of_the_surface_below() {
        Contour.Laid laid = laid(List.of(new Point(0, 40)), EdgeDepths.WEDGE, 20);
        double across = laid.profile().width() / 2;
        Region beyond = laid.beyond(across);
        Random random = new Random(9);
        int in = 0;
        for (int i = 0; i < 2000; i++) {
            Point at = new Point(148 - 296 * random.nextDouble(), 42 + 106 * random.nextDouble());
            double is = laid.course().across(at.x(), at.y());
            if (laid.plan().contains(at) && Math.abs(is - across) > 0.05) {
                assertThat(beyond.contains(at)).isEqualTo(is > across);
                in += is > across ? 1 : 0;
            }
        }
        assertThat(in).isGreaterThan(100);
    }

    /** It goes in no faster for its way than it says: clearances beside it rest on that. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void it_is_no_steeper_than_it_says(long seed) {
        Random random = new Random(seed);
        Contour.Laid laid = laid(
                List.of(new Point(20 * random.nextDouble(), 50)),
                new EdgeDepths.Typed(List.of(4.0, 18.0, 3.0, 9.0)),
                18);
        Course course = laid.course();
        assertThat(course.steepest()).isGreaterThanOrEqualTo(1);
        Region inside = laid.plan().grown(-1);
        for (int i = 0; i < 3000; i++) {
            Point a = new Point(140 - 280 * random.nextDouble(), 52 + 96 * random.nextDouble());
            Point b = a.plus(2 * random.nextDouble() - 1, 2 * random.nextDouble() - 1);
            if (inside.contains(a) && inside.contains(b)) {
                double rises = Math.abs(course.across(a.x(), a.y()) - course.across(b.x(), b.y()));
                assertThat(rises).isLessThanOrEqualTo(course.steepest() * a.distance(b) * 1.05 + 1e-6);
            }
        }
    }

    @Test
    void lines_that_cannot_be_are_refused_where_they_are() {
        List<Runnable> wrong = new ArrayList<>();
        wrong.add(() -> laid(List.of(new Point(0, 300)), EdgeDepths.WEDGE, 10));
        wrong.add(() -> laid(List.of(new Point(0, 148)), EdgeDepths.WEDGE, 70));
        wrong.add(() -> contour(
                        new Contour.Start.Across(
                                new Point(300, 0), new Point(400, 0), List.of(new Point(0, 0)), EdgeDepths.WEDGE),
                        10,
                        Profile.Shape.STRAIGHT)
                .on(SLAB));
        wrong.add(() -> new EdgeDepths.Typed(List.of(0.0, 0.1)));
        wrong.add(() -> new EdgeDepths.Even(1));
        wrong.add(() -> new EdgeDepths.Leaned(2));
        for (Runnable each : wrong) {
            assertThatThrownBy(each::run).isInstanceOf(Refusal.class);
        }
        // A hook: square to it its rays cross before the edge.
        assertThatThrownBy(() ->
                        laid(List.of(new Point(-30, 60), new Point(0, -60), new Point(30, 60)), EdgeDepths.WEDGE, 10))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("cross");
    }
}
