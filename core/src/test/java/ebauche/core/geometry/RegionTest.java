package ebauche.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RegionTest {
    private static Region random(Random r) {
        Point at = new Point(r.nextDouble() * 100 - 50, r.nextDouble() * 100 - 50);
        return r.nextBoolean()
                ? Region.disc(at, 10 + r.nextDouble() * 60)
                : Region.rectangle(
                        at,
                        10 + r.nextDouble() * 60,
                        10 + r.nextDouble() * 60,
                        r.nextDouble() * 4,
                        r.nextDouble() * 180);
    }

    /** Area by counting fine cells: the slow obvious version. */
    private static double counted(java.util.function.Predicate<Point> inside) {
        double cell = 0.8;
        int n = 0;
        for (double x = -110; x < 110; x += cell) {
            for (double y = -110; y < 110; y += cell) {
                if (inside.test(new Point(x + cell / 2, y + cell / 2))) {
                    n++;
                }
            }
        }
        return n * cell * cell;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void sets_of_points_come_out_as_counted(long seed) {
        Random r = new Random(seed);
        Region a = random(r);
        Region b = random(r);
        double slack = 0.8 * (a.perimeter() + b.perimeter()) * 0.5;
        assertThat(a.intersection(b).area()).isEqualTo(counted(p -> a.contains(p) && b.contains(p)), within(slack));
        assertThat(a.union(b).area()).isEqualTo(counted(p -> a.contains(p) || b.contains(p)), within(slack));
        assertThat(a.minus(b).area()).isEqualTo(counted(p -> a.contains(p) && !b.contains(p)), within(slack));
    }

    /** What was taken away is remembered, and the shortcut answers as the long way would. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16, 17, 18})
    void what_a_region_lacks_it_shares_nothing_with(long seed) {
        Random r = new Random(seed);
        Region blank = Region.rectangle(new Point(0, 0), 180, 180, 0, 0);
        Region body = random(r);
        Region waste = blank.minus(body);
        Region part = body.grown(-2);
        assertThat(waste.intersection(body)).isEqualTo(Region.EMPTY);
        assertThat(waste.overlaps(part)).isFalse();
        assertThat(part.overlaps(waste)).isFalse();
        Region other = random(r);
        List<double[]> rings = new ArrayList<>();
        waste.forEachRing(rings::add);
        Region forgotten = Region.ofRings(rings);
        assertThat(waste.intersection(other).area())
                .isEqualTo(forgotten.intersection(other).area(), within(1e-6));
    }

    @Test
    void the_area_two_share_is_the_circles_segment_and_the_same_either_way() {
        Region disc = Region.disc(new Point(0, 0), 40);
        Region beyondFive = Region.rectangle(new Point(30, 0), 50, 60, 0, 0);
        // segment of a circle: r² acos(h / r) - h √(r² - h²), school geometry
        double segment = 400 * Math.acos(5.0 / 20) - 5 * Math.sqrt(400 - 25);
        assertThat(disc.shared(beyondFive))
                .isCloseTo(segment, within(segment * 0.002))
                .isCloseTo(beyondFive.shared(disc), within(1e-6));
        assertThat(disc.shared(disc)).isEqualTo(disc.area());
        assertThat(disc.shared(Region.EMPTY)).isZero();
    }

    @Test
    void rings_and_back_keep_holes() {
        Region ring = Region.disc(new Point(0, 0), 40).minus(Region.disc(new Point(0, 0), 20));
        List<double[]> rings = new ArrayList<>();
        ring.forEachRing(rings::add);
        assertThat(rings).hasSize(2);
        assertThat(Region.ofRings(rings).area()).isEqualTo(ring.area(), within(1e-9));
    }

    @Test
    void areas_that_touch_along_an_edge_share_nothing() {
        Region left = Region.rectangle(new Point(-10, 0), 20, 20, 0, 0);
        Region right = Region.rectangle(new Point(10, 0), 20, 20, 0, 0);
        assertThat(left.overlaps(right)).isFalse();
        assertThat(left.intersection(right)).isEqualTo(Region.EMPTY);
        assertThat(left.minus(right).area()).isEqualTo(left.area());
    }

    @Test
    void a_round_bit_leaves_round_corners_and_no_narrow_slot() {
        Region square = Region.rectangle(new Point(0, 0), 40, 40, 0, 0);
        double corner = 6.35 * 6.35 * (1 - Math.PI / 4);
        assertThat(square.opened(12.7).area()).isEqualTo(1600 - 4 * corner, within(0.5));
        assertThat(Region.rectangle(new Point(0, 0), 8, 100, 0, 0).opened(12.7).isEmpty())
                .isTrue();
    }

    @Test
    void a_point_that_is_none_and_an_empty_region_are_harmless() {
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> new Point(Double.NaN, 0))
                .hasMessageContaining("finite");
        assertThat(Region.EMPTY.area()).isZero();
        assertThat(Region.EMPTY.overlaps(Region.disc(new Point(0, 0), 4))).isFalse();
        assertThat(Region.disc(new Point(3, 1), 4).mirrored().centroid().x()).isEqualTo(-3, within(1e-9));
    }

    /** What an area was cut to lies in it, also where its corners lie on the other's edges but for a rounding. */
    @Test
    void what_was_cut_to_an_area_lies_in_it() {
        Region area = Region.ofRing(List.of(
                new Point(0.6636282241278586, -25.939250355685772),
                new Point(22.423715144923044, -8.31827940629033),
                new Point(8.578666541826621, 8.77893174576303),
                new Point(-13.181420378968562, -8.842039203632414)));
        Region over = Region.ofRing(List.of(
                new Point(6.899757155283686, -6.818472437317917),
                new Point(18.046929537444598, 3.218486658064956),
                new Point(1.9877949848320018, 21.053962469522418),
                new Point(-9.159377397328912, 11.017003374139547)));
        Region shared = area.intersection(over);
        assertThat(shared.area()).isCloseTo(123.015, within(0.001));
        assertThat(shared.intersection(area).area()).isCloseTo(shared.area(), within(1e-6));
        assertThat(area.intersection(shared).area()).isCloseTo(shared.area(), within(1e-6));
        assertThat(shared.minus(area).area()).isCloseTo(0, within(1e-6));
        assertThat(area.minus(shared).area()).isCloseTo(area.area() - shared.area(), within(1e-6));
    }

    /** Against the area that is really cut out, for areas that two share just about, and for rings, whose middle is not theirs. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void two_share_more_than_an_area_or_not(long seed) {
        Random r = new Random(seed);
        int shares = 0;
        for (int i = 0; i < 60; i++) {
            Region a = random(r);
            Region b = random(r);
            Region ring = a.minus(a.grown(-3));
            for (Region one : List.of(a, ring)) {
                double shared = one.shared(b);
                for (double area : new double[] {1, shared * 0.999, shared * 1.001, shared / 2}) {
                    assertThat(one.sharesMore(b, area))
                            .as("%s: %s of %s", i, area, shared)
                            .isEqualTo(shared > area);
                }
                shares += shared > 1 ? 1 : 0;
            }
        }
        assertThat(shares).isGreaterThan(20);
        assertThat(Region.EMPTY.sharesMore(random(r), 0)).isFalse();
    }

    /** From a place on the very edge, in any direction: nought out of it, across it to the other side, and never endless. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void the_way_out_of_a_place_on_the_edge_has_an_end(long seed) {
        Random r = new Random(seed);
        int onIt = 0;
        for (int i = 0; i < 400; i++) {
            Region region = random(r);
            List<double[]> rings = new ArrayList<>();
            region.forEachRing(rings::add);
            double[] ring = rings.get(0);
            int k = 2 * r.nextInt(ring.length / 2 - 1);
            double t = r.nextInt(3) == 0 ? 0 : r.nextDouble();
            Point at = new Point(ring[k], ring[k + 1]).towards(new Point(ring[k + 2], ring[k + 3]), t);
            double angle = r.nextDouble() * 2 * Math.PI;
            if (region.contains(at)) {
                onIt++;
                double way = region.wayOut(at, Math.cos(angle), Math.sin(angle));
                assertThat(way).isBetween(0.0, 200.0);
            }
        }
        assertThat(onIt).isGreaterThan(50);
    }

    /** Pythagoras in a disc with a hole: two chords across both, one across the outer alone. */
    @Test
    void chords_run_where_a_line_is_inside() {
        Region ring = Region.disc(new Point(10, 20), 100).minus(Region.disc(new Point(10, 20), 60));
        double[] both = ring.chords(false, 30);
        assertThat(both).hasSize(4);
        assertThat(both[1] - both[0]).isCloseTo(Math.sqrt(50 * 50 - 100) - Math.sqrt(30 * 30 - 100), within(0.1));
        double[] outer = ring.chords(true, 50);
        assertThat(outer).hasSize(2);
        assertThat(outer[0]).isCloseTo(20 - Math.sqrt(50 * 50 - 40 * 40), within(0.1));
        assertThat(ring.chords(true, 61)).isEmpty();
    }
}
