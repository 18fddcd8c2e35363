package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.measure.Refusal;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Profiles across a carve against the circle's equation and the area of its segment. */
class ProfileOutsideTest {
    private static final int SEED = 20261126;

    @Test
    void a_straight_one_falls_in_proportion() {
        Profile plane = Profile.straight(70, 22.2);
        assertThat(plane.fall(35)).isEqualTo(11.1);
        // C10's worked value: a plane 70 wide and 22.2 deep lies at 17.6 degrees
        assertThat(plane.steepest()).isCloseTo(17.6, within(0.05));
    }

    @Test
    void nothing_is_carved_before_the_line_and_no_more_beyond_the_width() {
        for (Profile profile :
                new Profile[] {Profile.straight(40, 10), Profile.round(40, 10), Profile.hollow(40, 10, 120)}) {
            assertThat(profile.fall(-3)).isZero();
            assertThat(profile.fall(0)).isZero();
            assertThat(profile.fall(40)).isEqualTo(10);
            assertThat(profile.fall(55)).isEqualTo(10);
        }
    }

    /** Every point of an arc has the radius from one centre: the centre from three of its points, by perpendiculars. */
    @Test
    void an_arc_keeps_its_radius() {
        Random random = new Random(SEED);
        for (int i = 0; i < 300; i++) {
            double width = 20 + random.nextDouble() * 100;
            double depth = 2 + random.nextDouble() * 18;
            double radius = Profile.smallestRadius(width, depth) * (1 + random.nextDouble() * 3);
            Profile[] arcs = {Profile.hollow(width, depth, radius), Profile.round(width, depth)};
            for (Profile arc : arcs) {
                double a = width * 0.02;
                double b = width * (0.3 + 0.4 * random.nextDouble());
                double c = width * 0.98;
                assertThat(circumradius(a, arc.fall(a), b, arc.fall(b), c, arc.fall(c)))
                        .isCloseTo(arc.radius(), within(arc.radius() * 1e-6));
            }
        }
    }

    /** Circumradius of a triangle: abc / 4K, school geometry. */
    private static double circumradius(double ax, double ay, double bx, double by, double cx, double cy) {
        double area = Math.abs((bx - ax) * (cy - ay) - (cx - ax) * (by - ay)) / 2;
        return Math.hypot(bx - ax, by - ay) * Math.hypot(cx - bx, cy - by) * Math.hypot(ax - cx, ay - cy) / (4 * area);
    }

    @Test
    void a_hollow_lies_under_the_slope_and_a_round_one_over_it_by_the_segments_area() {
        double width = 60;
        double depth = 15;
        double radius = 200;
        double chord = Math.hypot(width, depth);
        double angle = 2 * Math.asin(chord / (2 * radius));
        // Area of a circle's segment, (R² / 2) (θ − sin θ): school geometry
        double segment = radius * radius / 2 * (angle - Math.sin(angle));
        assertThat(area(Profile.hollow(width, depth, radius))).isCloseTo(width * depth / 2 + segment, within(0.01));
        Profile round = Profile.round(width, depth);
        double half = 2 * Math.asin(chord / (2 * round.radius()));
        double over = round.radius() * round.radius() / 2 * (half - Math.sin(half));
        assertThat(area(round)).isCloseTo(width * depth / 2 - over, within(0.01));
    }

    private static double area(Profile profile) {
        int n = 20_000;
        double sum = 0;
        for (int i = 0; i < n; i++) {
            sum += profile.fall((i + 0.5) * profile.width() / n);
        }
        return sum * profile.width() / n;
    }

    @Test
    void none_ever_rises_again() {
        Random random = new Random(SEED);
        for (int i = 0; i < 200; i++) {
            double width = 20 + random.nextDouble() * 100;
            double depth = 1 + random.nextDouble() * 19;
            double radius = Profile.smallestRadius(width, depth) * (1 + random.nextDouble());
            for (Profile p : new Profile[] {Profile.round(width, depth), Profile.hollow(width, depth, radius)}) {
                double before = 0;
                for (double t = 0; t <= width; t += width / 97) {
                    assertThat(p.fall(t)).isGreaterThanOrEqualTo(before - 1e-9);
                    before = p.fall(t);
                }
            }
        }
    }

    /** The steepest is the slope of the curve itself, by differences; where it has fallen so much is where its fall is so much. */
    @Test
    void the_steepest_is_the_curves_own_and_across_is_the_reverse_of_fall() {
        Profile[] all = {Profile.straight(60, 15), Profile.round(60, 15), Profile.hollow(60, 15, 200)};
        for (Profile p : all) {
            double steepest = 0;
            double step = 1e-4;
            for (double t = 0; t + step <= 60; t += 0.01) {
                steepest = Math.max(steepest, Math.toDegrees(Math.atan2(p.fall(t + step) - p.fall(t), step)));
            }
            assertThat(steepest).as(p.shape().word()).isCloseTo(p.steepest(), within(0.02));
            for (double fall = 0.5; fall < 15; fall += 1.7) {
                assertThat(p.fall(p.across(fall))).isCloseTo(fall, within(1e-4));
            }
        }
        assertThat(all[0].across(5)).isCloseTo(20, within(1e-4));
    }

    @Test
    void a_round_one_starts_level_and_the_tightest_hollow_ends_level() {
        Profile round = Profile.round(50, 10);
        assertThat(round.fall(0.5)).isLessThan(0.002);
        Profile hollow = Profile.hollow(50, 10, Profile.smallestRadius(50, 10));
        assertThat(10 - hollow.fall(49.5)).isLessThan(0.002);
    }

    @Test
    void what_cannot_be_is_refused() {
        assertThatThrownBy(() -> Profile.hollow(50, 10, 100))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("at least 130.0 mm");
        assertThatThrownBy(() -> Profile.round(8, 10))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("as it is wide");
        assertThatThrownBy(() -> Profile.straight(0, 10)).isInstanceOf(Refusal.class);
    }
}
