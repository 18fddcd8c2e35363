package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Round holes in every direction, against what a cylinder is (school geometry, reckoned here by hand). */
class BoreTest {
    private static final Feature WIRE = Feature.parse("wire");

    private static Bore bore(double degrees, double length, double fromDepth, double diameter) {
        double angle = Math.toRadians(degrees);
        return new Bore(
                new Point(0, 0),
                fromDepth,
                new Point(length * Math.cos(angle), 0),
                fromDepth + length * Math.sin(angle),
                diameter);
    }

    private static Stock slab(double pitch) {
        Region plan = Region.rectangle(new Point(0, 0), 160, 60, 0, 0);
        return Stock.empty(Grid.covering(-81, 81, -31, 31, pitch))
                .after(new Change.Add(
                        Feature.parse("blank"),
                        Workpiece.BODY,
                        Solid.Prism.between(plan, 0, 60),
                        new Material("alder", 400)));
    }

    /** A hole of 8 on a slope: its ends are square to it, so that it reaches r cos over and under them, and r sin before and behind. */
    @ParameterizedTest
    @CsvSource({"0", "17", "30", "-30", "45", "80", "90"})
    void a_hole_reaches_as_far_as_its_square_ends(double degrees) {
        Bore hole = bore(degrees, 50, 30, 8);
        double rise = 50 * Math.sin(Math.toRadians(degrees));
        double level = 4 * Math.cos(Math.toRadians(degrees));
        double before = 4 * Math.abs(Math.sin(Math.toRadians(degrees)));
        assertThat(hole.length()).isCloseTo(50, within(1e-9));
        assertThat(hole.pitch()).isCloseTo(degrees, within(1e-9));
        assertThat(hole.shallowest()).isCloseTo(30 + Math.min(0, rise) - level, within(1e-9));
        assertThat(hole.deepest()).isCloseTo(30 + Math.max(0, rise) + level, within(1e-9));
        assertThat(hole.plan().minX()).isCloseTo(-before, within(0.01));
        assertThat(hole.plan().maxX()).isCloseTo(50 * Math.cos(Math.toRadians(degrees)) + before, within(0.01));
        assertThat(hole.plan().maxY()).isCloseTo(4, within(0.01));
    }

    /** Any upright line, and any level slice, has of the hole what its definition has: a thousand places each. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void lines_and_slices_through_a_hole_are_the_cylinders(long seed) {
        Random random = new Random(seed);
        Bore hole = new Bore(
                new Point(random.nextDouble() * 10, random.nextDouble() * 10),
                random.nextDouble() * 20,
                new Point(20 + random.nextDouble() * 30, random.nextDouble() * 40 - 20),
                random.nextDouble() * 60 - 10,
                4 + random.nextDouble() * 8);
        Region plan = hole.plan();
        for (int i = 0; i < 1000; i++) {
            double x = plan.minX() + random.nextDouble() * (plan.maxX() - plan.minX());
            double y = plan.minY() + random.nextDouble() * (plan.maxY() - plan.minY());
            double z = hole.shallowest() + random.nextDouble() * (hole.deepest() - hole.shallowest());
            boolean in = RoundHole.holds(hole, x, y, z);
            double[] piece = hole.pieceAt(x, y);
            assertThat(piece.length == 2 && z > piece[0] && z < piece[1])
                    .as("%s, %s, %s", x, y, z)
                    .isEqualTo(in);
            Region slice = hole.slice(z);
            if (slice.grown(0.01).contains(new Point(x, y)) != slice.contains(new Point(x, y))) {
                continue; // within a hundredth of its edge, where chords stand for the ellipse
            }
            assertThat(slice.contains(new Point(x, y)))
                    .as("%s, %s, %s", x, y, z)
                    .isEqualTo(in);
        }
    }

    /** π r² L, in whatever direction: the grid's error is a fraction of a percent. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 20, 45, 70, 90})
    void as_much_wood_goes_in_every_direction(double degrees) {
        Stock whole = slab(0.25);
        double taken = whole.volume()
                - whole.after(Change.Remove.fromBody(WIRE, bore(degrees, 40, 10, 9)))
                        .volume();
        assertThat(taken).isCloseTo(Math.PI * 4.5 * 4.5 * 40, within(Math.PI * 4.5 * 4.5 * 40 * 0.005));
    }

    /**
     * From the front at 30 degrees, 60 long, 6 wide, under a back at 45: its end lies 60 sin 30 = 30 down and 3 cos 30 more, so that
     * 12.40 is left, under the end.
     */
    @Test
    void a_hole_from_the_front_is_nearest_to_the_back_at_its_end() {
        WoodLeft wood = wood();
        Bore hole = bore(30, 60, 0, 6);
        wood.add(WIRE, Face.FRONT, hole);
        WoodLeft.Thin floor = wood.thinnest().stream()
                .filter(t -> t.neighbour().equals(Feature.BACK))
                .findFirst()
                .orElseThrow();
        assertThat(floor.thickness()).isCloseTo(45 - 30 - 3 * Math.cos(Math.toRadians(30)), within(1e-6));
        assertThat(floor.at().x()).isCloseTo(60 * Math.cos(Math.toRadians(30)) - 1.5, within(1e-6));
        assertThat(wood.thinnest()).noneMatch(t -> t.neighbour().equals(Feature.FRONT));
    }

    /** The same where the rest of it runs through a cavity that it is meant to meet: only as far as that does its floor count. */
    @Test
    void what_runs_in_a_cavity_that_it_joins_has_no_floor_there() {
        Feature pit = Feature.parse("pit");
        WoodLeft wood = new WoodLeft(
                Region.rectangle(new Point(0, 0), 200, 100, 0, 0),
                FaceShape.flat(Face.FRONT, 0),
                FaceShape.flat(Face.BACK, 45),
                (a, b) -> (a.equals(WIRE) && b.equals(pit)) || (a.equals(pit) && b.equals(WIRE)));
        wood.add(WIRE, Face.FRONT, bore(30, 60, 0, 6));
        wood.add(pit, Face.FRONT, Solid.Prism.between(Region.rectangle(new Point(60, 0), 60, 40, 0, 0), 0, 40));
        double floor = wood.thinnest().stream()
                .filter(t -> t.feature().equals(WIRE) && t.neighbour().equals(Feature.BACK))
                .findFirst()
                .orElseThrow()
                .thickness();
        // At x = 30 its under side lies x tan 30 + r / cos 30 down.
        double angle = Math.toRadians(30);
        assertThat(floor).isCloseTo(45 - 30 * Math.tan(angle) - 3 / Math.cos(angle), within(1e-5));
    }

    /** Square to both: two holes that pass each other, and a hole that passes the edge of a pocket's floor. */
    @Test
    void holes_pass_each_other_and_pockets_at_the_shortest_way_between_axes() {
        Bore one = bore(45, 40, 5, 6);
        Bore other = new Bore(
                new Point(30, -20),
                5 + 10 * Math.tan(Math.PI / 4),
                new Point(30, 20),
                5 + 10 * Math.tan(Math.PI / 4),
                5);
        // The other's axis is level along y at x 30, depth 15: off the first's, which goes down 45 degrees from (0, 5),
        // by (30 - 10) / √2.
        assertThat(Web.least(Slices.of(one), Slices.of(other)).orElseThrow().thickness())
                .isCloseTo(20 / Math.sqrt(2) - 3 - 2.5, within(0.01));
        Solid pocket = Solid.Prism.between(Region.rectangle(new Point(40, 0), 40, 30, 0, 0), 0, 8);
        // Its floor's edge at x 20, depth 8: off the axis by (20 - 3) / √2.
        assertThat(Web.least(Slices.of(one), Slices.of(pocket)).orElseThrow().thickness())
                .isCloseTo(17 / Math.sqrt(2) - 3, within(0.01));
    }

    @Test
    void a_hole_needs_a_length_and_a_width() {
        Point at = new Point(1, 2);
        assertThatThrownBy(() -> new Bore(at, 5, at, 5, 4)).hasMessageContaining("length");
        assertThatThrownBy(() -> bore(10, 10, 0, 0)).hasMessageContaining("diameter");
        assertThat(new Bore(at, 5, at, 9, 4).plan().area()).isCloseTo(Math.PI * 4, within(0.02));
    }

    private static WoodLeft wood() {
        return new WoodLeft(
                Region.rectangle(new Point(0, 0), 200, 100, 0, 0),
                FaceShape.flat(Face.FRONT, 0),
                FaceShape.flat(Face.BACK, 45),
                (a, b) -> false);
    }

    /**
     * However little it leans, a slice is told by few corners: at the depth of its own middle it is as long as the hole and as wide, and off it
     * by d as wide as the chord there, 2 √(r² − d²), summed up along it.
     */
    @ParameterizedTest
    @ValueSource(doubles = {1e-6, 1e-4, 0.02, 1})
    void a_hole_that_hardly_leans_is_cut_into_few_corners(double falls) {
        Bore hole = new Bore(new Point(10, 20), 15, new Point(10, 320), 15 + falls, 8);
        for (double off : new double[] {0, 2, 3.5}) {
            Region slice = hole.slice(15 + falls / 2 + off);
            int[] corners = {0};
            slice.forEachRing(ring -> corners[0] += ring.length / 2);
            assertThat(corners[0]).isBetween(4, 400);
            double area = IntStream.range(0, 3000)
                    .mapToDouble(i -> off + falls * ((i + 0.5) / 3000 - 0.5))
                    .map(d -> 0.1 * 2 * Math.sqrt(Math.max(0, 16 - d * d)))
                    .sum();
            assertThat(slice.area()).isCloseTo(area, within(1.5));
        }
    }
}
