package ebauche.core.hollow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.passes.BaseSupport;
import ebauche.core.passes.Foot;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How a base stands over a hollow, against points thrown on what carries it and their hull, made here by itself. */
class CarryingOutsideTest {
    private static final double BIT = 12.7;

    private static final Region BLANK = Region.rectangle(new Point(0, 0), 340, 420, 0, 0);

    private static Region hollow(double across, double along) {
        return Region.rectangle(new Point(0, 0), across, along, 0, 0);
    }

    /** A base that is narrower than the hollow falls in; one half as wide again as it spans it. */
    @ParameterizedTest
    @CsvSource({"150, 120, false", "150, 300, true", "60, 150, true", "90, 76, false"})
    void it_spans_the_hollow_or_falls_in(double across, double base, boolean stands) {
        Carrying carrying = Carrying.of(BLANK, hollow(across, 240), BIT, base).orElseThrow();
        assertThat(carrying.stands()).isEqualTo(stands);
    }

    @Test
    void no_bit_no_base() {
        assertThat(Carrying.of(BLANK, hollow(10, 240), BIT, 150)).isEmpty();
    }

    /** Thrown points hold no more than the true hull does, and nearly as much. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void it_stands_as_deep_as_in_the_hull_of_what_lies_under_it(long seed) {
        Random random = new Random(seed);
        double base = 120 + 80 * random.nextDouble();
        Region hollow = hollow(60 + 100 * random.nextDouble(), 200);
        if (seed % 2 == 0) {
            hollow = hollow.minus(Region.disc(new Point(10, -20), Carrying.SUPPORT));
        }
        Carrying carrying = Carrying.of(BLANK, hollow, BIT, base).orElseThrow();
        double thrown = stand(hollow, carrying.worst(), base, random);
        assertThat(carrying.stand()).isCloseTo(thrown, within(2.5));
        // Nowhere on a grid of its own it stands much worse.
        for (int i = 0; i < 60; i++) {
            Point at = new Point(
                    hollow.minX() + random.nextDouble() * (hollow.maxX() - hollow.minX()),
                    hollow.minY() + random.nextDouble() * (hollow.maxY() - hollow.minY()));
            if (hollow.grown(-BIT / 2).contains(at)) {
                assertThat(stand(hollow, at, base, random)).isGreaterThan(carrying.stand() - 7);
            }
        }
    }

    /** What corners and rim promise is kept everywhere, so that no worse place is passed over. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void what_is_promised_quickly_is_no_more_than_what_is(long seed) {
        Random random = new Random(seed);
        Region carries = BLANK.minus(hollow(60 + 120 * random.nextDouble(), 200))
                .union(Region.disc(new Point(10, -20), Carrying.SUPPORT));
        List<Point> corners = new ArrayList<>();
        carries.forEachRing(ring -> {
            for (int i = 0; i < ring.length; i += 2) {
                corners.add(new Point(ring[i], ring[i + 1]));
            }
        });
        int near = 0;
        for (int i = 0; i < 200; i++) {
            Point at = new Point(120 - 240 * random.nextDouble(), 120 - 240 * random.nextDouble());
            Foot foot = Foot.round(100 + 100 * random.nextDouble());
            double promised = BaseSupport.atLeast(carries, corners, at, foot);
            double is = BaseSupport.at(carries, at, foot).stand();
            assertThat(promised).isLessThanOrEqualTo(is + 1e-6);
            near += promised > is - 3 ? 1 : 0;
        }
        assertThat(near).as("and seldom much less").isGreaterThan(120);
    }

    private static double stand(Region hollow, Point axis, double base, Random random) {
        List<Point> on = new ArrayList<>();
        for (int i = 0; i < 6000; i++) {
            double r = base / 2 * Math.sqrt(random.nextDouble());
            double a = 2 * Math.PI * random.nextDouble();
            Point p = axis.plus(r * Math.cos(a), r * Math.sin(a));
            if (!hollow.contains(p)) {
                on.add(p);
            }
        }
        List<Point> hull = hull(on);
        double best = Double.NEGATIVE_INFINITY;
        for (int degrees = 0; degrees < 360; degrees += 30) {
            double a = Math.toRadians(degrees);
            best = Math.max(best, inside(hull, axis.plus(base / 4 * Math.cos(a), base / 4 * Math.sin(a)), base));
        }
        return best;
    }

    /** Andrew's monotone chain (1979), anticlockwise. */
    private static List<Point> hull(List<Point> points) {
        List<Point> sorted = points.stream()
                .sorted((p, q) -> p.x() != q.x() ? Double.compare(p.x(), q.x()) : Double.compare(p.y(), q.y()))
                .toList();
        List<Point> hull = new ArrayList<>();
        for (int turn = 0; turn < 2; turn++) {
            int floor = hull.size();
            for (int i = 0; i < sorted.size(); i++) {
                Point p = sorted.get(turn == 0 ? i : sorted.size() - 1 - i);
                while (hull.size() >= floor + 2
                        && cross(hull.get(hull.size() - 2), hull.get(hull.size() - 1), p) <= 0) {
                    hull.remove(hull.size() - 1);
                }
                hull.add(p);
            }
            if (!hull.isEmpty()) {
                hull.remove(hull.size() - 1);
            }
        }
        return hull;
    }

    private static double cross(Point a, Point b, Point c) {
        return (b.x() - a.x()) * (c.y() - a.y()) - (b.y() - a.y()) * (c.x() - a.x());
    }

    /** Distance to the nearest side, negative outside; half a base outside where there is none. */
    private static double inside(List<Point> hull, Point p, double base) {
        if (hull.size() < 3) {
            return -base / 2;
        }
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < hull.size(); i++) {
            Point a = hull.get(i);
            Point b = hull.get((i + 1) % hull.size());
            least = Math.min(least, cross(a, b, p) / a.distance(b));
        }
        return least;
    }

    /** What is proposed carries the base, stands whole in the hollow, and leaves the bit its way round. */
    @ParameterizedTest
    @CsvSource({"110, 220, 150", "150, 260, 180", "120, 120, 120"})
    void supports_that_are_proposed_carry_it(double across, double along, double base) {
        Region hollow = hollow(across, along);
        List<Point> supports = Carrying.supports(BLANK, hollow, BIT, base);
        Region left = hollow;
        for (Point at : supports) {
            assertThat(left.contains(Region.disc(at, Carrying.SUPPORT))).isTrue();
            left = left.minus(Region.disc(at, Carrying.SUPPORT));
        }
        assertThat(supports).isNotEmpty();
        assertThat(Carrying.of(BLANK, left, BIT, base).orElseThrow().stands()).isTrue();
        assertThat(left.opened(BIT).parts()).hasSize(1);
        assertThat(Carrying.supports(BLANK, hollow(40, 100), BIT, 200)).isEmpty();
    }
}
