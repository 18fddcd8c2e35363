package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Work along a stretch of the edge, on a round plate whose distances anybody can reckon, and on a body. */
class StretchTest {
    private static final double R = 150;
    private static final double WIDE = 30;
    private static final Region PLATE = Outline.parse("M 150 0 A 150 150 0 0 1 -150 0 A 150 150 0 0 1 150 0 Z", 1)
            .region();
    private static final Profile SLOPE = Profile.straight(WIDE, 12);

    /** From -60 to 60 degrees, through the right; fades out over 40 mm. */
    private static final Course.Stretch RIGHT = Course.Stretch.of(PLATE, at(-60, R), at(60, R), 40, WIDE);

    private static Point at(double degrees, double radius) {
        return new Point(radius * Math.cos(Math.toRadians(degrees)), radius * Math.sin(Math.toRadians(degrees)));
    }

    private static double fall(double degrees, double radius) {
        Point p = at(degrees, radius);
        return SLOPE.fall(RIGHT.across(p.x(), p.y()));
    }

    /** Along the stretch it is what a rim is: as deep as the profile says so far from the edge, here worked out by hand. */
    @Test
    void along_the_stretch_it_is_a_rim() {
        for (double degrees = -50; degrees <= 50; degrees += 5) {
            assertThat(fall(degrees, R)).isCloseTo(12, within(0.02));
            assertThat(fall(degrees, R - 15)).isCloseTo(6, within(0.02));
            assertThat(fall(degrees, R - WIDE)).isCloseTo(0, within(0.02));
        }
    }

    /** Beyond its ends it falls ever less, and not at all where the fade is over; the other side of the plate is left alone. */
    @Test
    void it_fades_out_beyond_its_ends_and_is_over_there() {
        double over = Math.toDegrees(40 / R);
        double before = fall(60, R);
        for (double beyond = 1; beyond < over; beyond += 1) {
            double here = fall(60 + beyond, R);
            assertThat(here).isLessThan(before);
            assertThat(fall(-60 - beyond, R)).as("at both ends alike").isCloseTo(here, within(0.02));
            before = here;
        }
        assertThat(fall(60 + over + 1, R)).isZero();
        assertThat(fall(180, R)).isZero();
        Region taken = RIGHT.over(PLATE);
        assertThat(taken.contains(at(0, R - 5))).isTrue();
        assertThat(taken.contains(at(60 + over + 2, R - 0.5))).isFalse();
    }

    /** How far a place lies across changes by no more than the way to it: what every clearance to a carve rests on. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void no_place_lies_farther_across_than_the_way_to_it(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 2000; i++) {
            Point a = at(random.nextDouble() * 360, R * Math.sqrt(random.nextDouble()));
            Point b = a.plus(random.nextDouble() * 10 - 5, random.nextDouble() * 10 - 5);
            assertThat(Math.abs(Math.max(0, RIGHT.across(a.x(), a.y())) - Math.max(0, RIGHT.across(b.x(), b.y()))))
                    .isLessThanOrEqualTo(a.distance(b) + 1e-9);
        }
    }

    /** The least wood over a pocket near an end of it, against looking everywhere in the pocket's ceiling and on the carve. */
    @Test
    void the_least_wood_to_it_is_what_looking_everywhere_finds() {
        FaceShape.Carved carved = new FaceShape.Carved(
                Feature.parse("contour-x"), RIGHT.over(PLATE), new Carve(Face.FRONT, 0, RIGHT, SLOPE));
        Region area = Region.rectangle(at(66, R - 22), 14, 10, 1, 30);
        Solid pocket = Solid.Prism.between(area, 14, 40);
        double looked = Double.POSITIVE_INFINITY;
        for (double x = area.minX() - 16; x <= area.maxX() + 16; x += 0.2) {
            for (double y = area.minY() - 16; y <= area.maxY() + 16; y += 0.2) {
                Point p = new Point(x, y);
                double beside = Math.max(0, area.outside(p));
                looked = Math.min(
                        looked, Math.hypot(beside, 14 - carved.surface().fall(p)));
            }
        }
        assertThat(Web.least(carved, Slices.of(pocket)).orElseThrow().thickness())
                .isCloseTo(looked, within(0.03));
    }

    /** Walked anticlockwise from wherever it begins: 2 π r round, a quarter of it to the top. */
    @Test
    void an_outline_is_walked_anticlockwise() {
        EdgeWalk walk = new EdgeWalk(PLATE);
        assertThat(walk.length()).isCloseTo(2 * Math.PI * R, within(0.05));
        double right = walk.nearest(new Point(400, 0));
        assertThat(walk.at(right + walk.length() / 4, 0).distance(new Point(0, R)))
                .isLessThan(0.05);
        assertThat(walk.at(right - walk.length() / 4, 10).distance(new Point(0, -R - 10)))
                .isLessThan(0.05);
    }

    /** A carved top that leaves the neck's end alone: flat there, as deep as drawn on the other side. */
    @Test
    void a_carved_top_leaves_the_necks_end_flat() {
        TestBody body = new TestBody();
        body.contours.add(new Contour(
                "top",
                Face.FRONT,
                new Contour.Start.Round(
                        40,
                        java.util.Optional.of(
                                new Contour.Start.Stretch(new Point(-100, 150), new Point(100, 150), 60))),
                5,
                Profile.Shape.ROUND,
                OptionalDouble.empty()));
        Build build = body.build();
        assertThat(build.surfaces())
                .singleElement()
                .satisfies(r -> assertThat(r.feature()).isEqualTo(Feature.parse("contour-top")));
        Region edge = build.design().outline().region();
        Point low = new Point(0, edge.minY() + 1);
        assertThat(build.finished(Face.FRONT).fall(low)).isGreaterThan(4);
        assertThat(build.finished(Face.FRONT).fall(new Point(0, edge.maxY() - 1)))
                .isZero();
        assertThatThrownBy(() -> new Contour.Start.Stretch(low, low, 40)).hasMessageContaining("10 mm");
    }
}
