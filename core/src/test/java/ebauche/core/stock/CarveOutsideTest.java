package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Carved surfaces in the stock against closed forms: a wedge, a cylinder's segment, a spherical cap, a cone's frustum. */
@Tag("slow")
class CarveOutsideTest {
    private static final double THICK = 44;
    private static final Material WOOD = new Material("alder", 459);

    private static Stock slab(Region plan, double pitch) {
        Grid grid = Grid.covering(plan.minX() - 1, plan.maxX() + 1, plan.minY() - 1, plan.maxY() + 1, pitch);
        return Stock.empty(grid)
                .after(new Change.Add(
                        Feature.parse("blank"), Workpiece.BODY, Solid.Prism.between(plan, 0, THICK), WOOD));
    }

    private static double carvedOff(Region plan, Carve carve, double pitch) {
        Stock before = slab(plan, pitch);
        Solid taken = carve.face() == Face.FRONT
                ? new Solid.Prism(plan, Plane.at(-1), carve)
                : new Solid.Prism(plan, carve, Plane.at(THICK + 1));
        return before.volume()
                - before.after(Change.Remove.fromBody(Feature.parse("contour-x"), taken))
                        .volume();
    }

    /** A slab 200 by 300 with its line 70 inside the right edge, walked downwards so that the right is carved. */
    private static final Region SLAB = Region.rectangle(new Point(0, 0), 200, 300, 0, 0);

    private static final Course RIGHT = new Course.Line(new Point(30, 150), new Point(30, -150));

    @Test
    void a_plane_takes_a_wedge() {
        Carve front = new Carve(Face.FRONT, 0, RIGHT, Profile.straight(70, 22.2));
        assertThat(carvedOff(SLAB, front, 0.5)).isCloseTo(70 * 22.2 / 2 * 300, within(1.0));
        Carve back = new Carve(Face.BACK, THICK, RIGHT, Profile.straight(70, 22.2));
        assertThat(carvedOff(SLAB, back, 0.5)).isCloseTo(70 * 22.2 / 2 * 300, within(1.0));
    }

    @Test
    void a_hollow_takes_the_wedge_and_a_cylinders_segment() {
        double radius = 400;
        double chord = Math.hypot(70, 20);
        double angle = 2 * Math.asin(chord / (2 * radius));
        double exact = (70 * 20 / 2.0 + radius * radius / 2 * (angle - Math.sin(angle))) * 300;
        Carve carve = new Carve(Face.FRONT, 0, RIGHT, Profile.hollow(70, 20, radius));
        assertThat(carvedOff(SLAB, carve, 0.5)).isCloseTo(exact, within(exact * 1e-4));
    }

    /**
     * A disc carved round from its middle out is a sphere's cap of height d: what is left of the top d mm is
     * π d² (3R − d) / 3, school geometry. The grid comes nearer as its pitch is halved.
     */
    @Test
    void a_round_carve_of_a_disc_leaves_a_spherical_cap_and_the_grid_converges() {
        double radius = 100;
        double depth = 12;
        Region disc = ring(radius, 2048);
        Carve carve = new Carve(Face.FRONT, 0, Course.Rim.of(disc, radius), Profile.round(radius, depth));
        double sphere = carve.profile().radius();
        double cap = Math.PI * depth * depth * (3 * sphere - depth) / 3;
        double exact = Math.PI * radius * radius * depth - cap;
        double last = Double.POSITIVE_INFINITY;
        for (double pitch : new double[] {2, 1, 0.5, 0.25}) {
            double off = Math.abs(carvedOff(disc, carve, pitch) - exact) / exact;
            assertThat(off).as("pitch %s", pitch).isLessThan(0.004 * pitch);
            last = off;
        }
        assertThat(last).isLessThan(0.0005);
    }

    /** A straight slope round a disc leaves the frustum of a cone: π d (R² + R r + r²) / 3, school geometry. */
    @Test
    void a_straight_slope_all_round_leaves_a_frustum() {
        double radius = 100;
        double width = 40;
        double depth = 9;
        Region disc = ring(radius, 2048);
        Carve carve = new Carve(Face.FRONT, 0, Course.Rim.of(disc, width), Profile.straight(width, depth));
        double inner = radius - width;
        double frustum = Math.PI * depth * (radius * radius + radius * inner + inner * inner) / 3;
        double exact = Math.PI * radius * radius * depth - frustum;
        assertThat(carvedOff(disc, carve, 0.5)).isCloseTo(exact, within(exact * 0.002));
    }

    /** Cell by cell the stock's front lies where the surface says. */
    @Test
    void every_cell_lies_on_the_surface() {
        Region disc = ring(80, 256);
        Carve carve = new Carve(Face.FRONT, 0, Course.Rim.of(disc, 30), Profile.round(30, 8));
        Stock stock = slab(disc, 0.5)
                .after(Change.Remove.fromBody(
                        Feature.parse("contour-top"), new Solid.Prism(disc, Plane.at(-1), carve)));
        for (double r = 1; r < 79; r += 3.5) {
            double x = grid(r);
            double[] wood = stock.intervalsAt(x, 0.25);
            assertThat(wood[0]).isCloseTo(Math.max(0, carve.depthAt(x, 0.25)), within(1e-3));
            assertThat(wood[1]).isEqualTo(THICK);
        }
    }

    /** All round a body of no symmetry, walked in two ways; each cell where the nearest edge says. */
    @Test
    void a_rim_falls_by_the_distance_to_the_nearest_edge_wherever_it_is_asked() {
        Region wing =
                Region.quadrilateral(new Point(-60, -40), new Point(90, -70), new Point(50, 80), new Point(-30, 60));
        Carve carve = new Carve(Face.FRONT, 0, Course.Rim.of(wing, 30), Profile.round(30, 8));
        Stock stock = slab(wing, 0.5)
                .after(Change.Remove.fromBody(
                        Feature.parse("contour-top"), new Solid.Prism(wing, Plane.at(-1), carve)));
        Region around = Region.rectangle(new Point(0, 0), 600, 600, 0, 0).minus(wing);
        Random random = new Random(5);
        int asked = 0;
        while (asked < 200) {
            Point at = new Point(grid(random.nextDouble() * 150 - 60), grid(random.nextDouble() * 150 - 70));
            double[] wood = stock.intervalsAt(at.x(), at.y());
            if (wing.contains(Region.disc(at, 2)) && wood.length > 0) {
                Point[] out = Region.disc(at, 0.002).nearest(around);
                double toEdge = out[0].distance(out[1]);
                assertThat(wood[0]).as("%s", at).isCloseTo(carve.profile().fall(30 - toEdge), within(0.01));
                asked++;
            }
        }
    }

    /** What lies so far into a carve: a strip beside a line, a band along an edge. */
    @Test
    void what_lies_beyond_is_a_strip_or_a_band() {
        assertThat(RIGHT.beyond(SLAB, 25).area()).isCloseTo((70 - 25) * 300, within(1e-6));
        assertThat(RIGHT.beyond(SLAB, 0).area()).isCloseTo(70 * 300, within(1e-6));
        Region disc = ring(80, 512);
        Course rim = Course.Rim.of(disc, 30);
        assertThat(rim.beyond(disc, 10).area()).isCloseTo(Math.PI * (80 * 80 - 60 * 60), within(15.0));
        assertThat(Course.Rim.of(disc, 90).beyond(disc, 0).area())
                .as("all of it")
                .isEqualTo(disc.area());
    }

    /** What is remembered of a course or a carve goes with its like and with no other. */
    @Test
    void carves_alike_run_with_each_other_and_others_do_not() {
        Profile profile = Profile.straight(70, 10);
        Course same = new Course.Line(new Point(30, 150), new Point(30, -150));
        Course other = new Course.Line(new Point(30, 150), new Point(31, -150));
        assertThat(RIGHT).isEqualTo(same).hasSameHashCodeAs(same).isNotEqualTo(other);
        assertThat(RIGHT).isNotEqualTo(new Course.Line(new Point(31, 150), new Point(30, -150)));
        Region disc = ring(80, 64);
        assertThat(Course.Rim.of(disc, 30))
                .isEqualTo(Course.Rim.of(ring(80, 64), 30))
                .isNotEqualTo(Course.Rim.of(disc, 31))
                .isNotEqualTo(Course.Rim.of(ring(81, 64), 30));
        Carve carve = new Carve(Face.FRONT, 0, RIGHT, profile);
        assertThat(carve.runsWith(new Carve(Face.FRONT, 3, same, profile))).isTrue();
        assertThat(carve.runsWith(new Carve(Face.BACK, 0, same, profile))).isFalse();
        assertThat(carve.runsWith(new Carve(Face.FRONT, 0, other, profile))).isFalse();
        assertThat(carve.runsWith(new Carve(Face.FRONT, 0, same, Profile.straight(70, 11))))
                .isFalse();
        assertThat(new double[] {carve.shallowest(SLAB), carve.deepest(SLAB)}).containsExactly(0, 10);
        Carve back = new Carve(Face.BACK, THICK, RIGHT, profile);
        assertThat(new double[] {back.shallowest(SLAB), back.deepest(SLAB)}).containsExactly(THICK - 10, THICK);
    }

    private static double grid(double x) {
        return Math.floor(x / 0.5) * 0.5 + 0.25;
    }

    private static Region ring(double radius, int corners) {
        return Region.ofRing(java.util.stream.IntStream.range(0, corners)
                .mapToObj(i -> new Point(
                        radius * Math.cos(2 * Math.PI * i / corners), radius * Math.sin(2 * Math.PI * i / corners)))
                .toList());
    }

    @Test
    void a_face_lies_where_the_deeper_of_its_carves_is() {
        Carve shallow = new Carve(Face.BACK, THICK, RIGHT, Profile.straight(70, 10));
        Carve deep = new Carve(
                Face.BACK,
                THICK,
                new Course.Line(new Point(100, -100), new Point(-100, -100)),
                Profile.straight(50, 20));
        FaceShape face = new FaceShape(
                Face.BACK,
                THICK,
                List.of(
                        new FaceShape.Carved(Feature.parse("contour-a"), SLAB, shallow),
                        new FaceShape.Carved(Feature.parse("contour-b"), SLAB, deep)));
        Point both = new Point(90, -140);
        assertThat(face.fall(both)).isEqualTo(16);
        assertThat(face.depthAt(both)).isEqualTo(THICK - 16);
        assertThat(face.mostFall(Region.rectangle(both, 20, 4, 0, 0)))
                .as("its far edge lies 42 of 50 across the deeper one")
                .isCloseTo(20 * 42 / 50.0, within(1e-6));
        assertThat(face.mostFall(Region.EMPTY)).isZero();
        assertThat(face.carvedAt(both))
                .get()
                .extracting(x -> x.feature().word())
                .isEqualTo("contour-b");
        assertThat(face.carvedAt(new Point(0, 0))).isEmpty();
    }
}
