package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The least wood between surfaces against looking everywhere. */
class GapTest {
    private static final int SEED = 1126;
    private static final Region BODY = Region.rectangle(new Point(0, 0), 220, 320, 30, 0);

    private static Carve carve(Random random, Face face, double flat) {
        Course course = random.nextBoolean()
                ? Course.Rim.of(BODY, 20 + 40 * random.nextDouble())
                : new Course.Line(
                        new Point(-110 + 60 * random.nextDouble(), -150), new Point(80 * random.nextDouble(), 150));
        double width = course instanceof Course.Rim rim ? rim.width() : 180;
        double depth = 4 + 10 * random.nextDouble();
        return new Carve(
                face,
                flat,
                course,
                random.nextBoolean() ? Profile.straight(width, depth) : Profile.round(width, depth));
    }

    private static Region area(Random random) {
        return Region.rectangle(
                        new Point(-60 + 120 * random.nextDouble(), -100 + 200 * random.nextDouble()),
                        20 + 40 * random.nextDouble(),
                        20 + 60 * random.nextDouble(),
                        5,
                        90 * random.nextDouble())
                .intersection(BODY);
    }

    private static double everywhere(Surface upper, Surface lower, Region over) {
        double least = Double.POSITIVE_INFINITY;
        for (double x = over.minX(); x <= over.maxX(); x += 0.7) {
            for (double y = over.minY(); y <= over.maxY(); y += 0.7) {
                if (over.contains(new Point(x, y))) {
                    least = Math.min(least, lower.depthAt(x, y) - upper.depthAt(x, y));
                }
            }
        }
        return least;
    }

    @Test
    void a_level_floor_under_a_carve_is_thinnest_where_the_carve_is_deepest() {
        Random random = new Random(SEED);
        for (int i = 0; i < 40; i++) {
            Carve front = carve(random, Face.FRONT, 0);
            Region over = area(random);
            Gap gap = Gap.least(front, Plane.at(30), over);
            assertThat(gap.thickness()).isLessThanOrEqualTo(everywhere(front, Plane.at(30), over) + 1e-9);
            assertThat(gap.thickness()).isCloseTo(everywhere(front, Plane.at(30), over), within(0.5));
            assertThat(30 - front.depthAt(gap.at())).isCloseTo(gap.thickness(), within(1e-9));
            Carve back = carve(random, Face.BACK, 44);
            Gap under = Gap.least(Plane.at(12), back, over);
            assertThat(under.thickness()).isLessThanOrEqualTo(everywhere(Plane.at(12), back, over) + 1e-9);
            assertThat(back.depthAt(under.at()) - 12).isCloseTo(under.thickness(), within(1e-9));
        }
    }

    @Test
    void a_tilted_floor_or_another_carve_is_found_by_search() {
        Random random = new Random(SEED + 1);
        for (int i = 0; i < 25; i++) {
            Carve front = carve(random, Face.FRONT, 0);
            Region over = area(random);
            Plane tilted = Plane.tilted(32, 0, 3);
            assertThat(Gap.least(front, tilted, over).thickness())
                    .isCloseTo(everywhere(front, tilted, over), within(0.2));
            Carve back = carve(random, Face.BACK, 44);
            assertThat(Gap.least(front, back, over).thickness()).isCloseTo(everywhere(front, back, over), within(0.3));
        }
    }

    @Test
    void two_tilted_planes_are_exact_at_a_corner() {
        Region over = Region.rectangle(new Point(0, 0), 40, 80, 0, 0);
        Gap gap = Gap.least(Plane.tilted(10, 0, 2), Plane.at(40), over);
        assertThat(gap.thickness()).isCloseTo(30 - 40 * Math.tan(Math.toRadians(2)), within(1e-9));
        assertThat(gap.at().y()).isEqualTo(40);
    }
}
