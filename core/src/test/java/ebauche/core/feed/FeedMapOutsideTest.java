package ebauche.core.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import ebauche.core.passes.BaseSupport;
import ebauche.core.passes.Foot;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.util.GeometricShapeFactory;

/** Grain, feed and the base's stand, against a disc, a straight edge and JTS. */
class FeedMapOutsideTest {
    private static final Outline DISC = Outline.parse(
            "M 150 0 A 150 150 0 0 1 0 150 A 150 150 0 0 1 -150 0 A 150 150 0 0 1 0 -150 A 150 150 0 0 1 150 0 Z", 1);
    private static final Outline HORNED = Outline.parse(
            "M -30 240 L 30 240 C 36 220 44 200 70 200 C 100 200 118 226 130 214 C 142 200 116 130 110 90"
                    + " C 106 50 150 28 160 -24 C 170 -84 130 -142 60 -158 L -98 -138 C -156 -104 -186 -44 -168 8"
                    + " C -152 56 -118 74 -116 116 L -120 200 C -110 230 -60 220 -30 240 Z",
            1);

    private static FeedMap map(Outline outline, double grain, Face up) {
        return FeedMap.of(outline, List.of(Grain.even(grain)), up);
    }

    private static double angle(FeedMap.Edge e) {
        Point p = e.from().towards(e.to(), 0.5);
        return Math.toDegrees(Math.atan2(p.y(), p.x()));
    }

    /** Worked by hand: a disc, grain along y, fed anticlockwise, is cut with the grain in the upper right and lower left. */
    @Test
    void a_disc_is_with_the_grain_in_two_quadrants() {
        for (FeedMap.Edge e : map(DISC, 0, Face.FRONT).edges()) {
            double at = angle(e);
            double expected = at > -90 && at < 90 ? at : at > 0 ? at - 180 : at + 180;
            assertThat(e.phi()).as("at %s", at).isEqualTo(expected, within(0.7));
        }
        FeedMap map = map(DISC, 0, Face.FRONT);
        double round = 2 * Math.PI * 150;
        assertThat(map.length(FeedMap.Band.WITH) / round).isEqualTo(2 * 65 / 360.0, within(0.01));
        assertThat(map.length(FeedMap.Band.TEAR_OUT) / round).isEqualTo(2 * 50 / 360.0, within(0.01));
        assertThat(map.length(FeedMap.Band.MILD) / round).isEqualTo(2 * 15 / 360.0, within(0.01));
        assertThat(map.length(FeedMap.Band.ALONG) / round).isEqualTo(2 * 10 / 360.0, within(0.01));
        assertThat(map.length(FeedMap.Band.END_GRAIN) / round).isEqualTo(2 * 40 / 360.0, within(0.01));
    }

    /** Drawn by a machine in thousands of short lines it maps as its curve does. */
    @ParameterizedTest
    @ValueSource(ints = {300, 5000})
    void an_outline_of_many_short_lines_maps_as_its_curve(int lines) {
        List<Segment> chords = new ArrayList<>();
        for (int i = 0; i < lines; i++) {
            double a = 2 * Math.PI * i / lines;
            double b = 2 * Math.PI * (i + 1) / lines;
            chords.add(new Segment.Line(
                    new Point(150 * Math.cos(a), 150 * Math.sin(a)), new Point(150 * Math.cos(b), 150 * Math.sin(b))));
        }
        FeedMap chopped = map(Outline.of(chords), 0, Face.FRONT);
        FeedMap curve = map(DISC, 0, Face.FRONT);
        assertThat(chopped.edges()).hasSizeBetween(250, 600);
        for (FeedMap.Band band : FeedMap.Band.values()) {
            assertThat(chopped.length(band)).as(band.words()).isEqualTo(curve.length(band), within(7.0));
        }
        if (lines > 1000) {
            assertThat(chopped.edges()).allMatch(e -> Math.abs(e.bend() - 1 / 150.0) < 0.002);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "5, ALONG",
        "5.1, WITH",
        "-5, ALONG",
        "-5.1, MILD",
        "-20, MILD",
        "-20.1, TEAR_OUT",
        "-70, TEAR_OUT",
        "-70.1, END_GRAIN",
        "70.1, END_GRAIN",
        "70, WITH"
    })
    void the_bands_begin_where_the_trade_puts_them(double phi, FeedMap.Band band) {
        assertThat(FeedMap.band(phi)).isEqualTo(band);
    }

    /** The grain turned by an angle turns the map with it. */
    @Test
    void the_map_turns_with_the_grain() {
        FeedMap straight = map(DISC, 0, Face.FRONT);
        FeedMap turned = map(DISC, -30, Face.FRONT);
        for (FeedMap.Edge e : turned.edges()) {
            double back = angle(e) - 30;
            FeedMap.Edge same = straight.edges().stream()
                    .min((a, b) -> Double.compare(apart(angle(a), back), apart(angle(b), back)))
                    .orElseThrow();
            assertThat(Math.abs(e.phi())).isEqualTo(Math.abs(same.phi()), within(1.5));
        }
    }

    private static double apart(double a, double b) {
        double d = Math.abs(a - b) % 360;
        return Math.min(d, 360 - d);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 4, -7, 30})
    void flipping_swaps_the_zones_and_the_two_shares_leave_nothing_against_the_grain(double grain) {
        FeedMap front = map(HORNED, grain, Face.FRONT);
        FeedMap back = map(HORNED, grain, Face.BACK);
        assertThat(front.edges()).hasSameSizeAs(back.edges());
        int n = front.edges().size();
        for (int i = 0; i < n; i++) {
            FeedMap.Edge other = back.edges().get(n - 1 - i);
            assertThat(other.from()).isEqualTo(front.edges().get(i).to());
            double phi = front.edges().get(i).phi();
            // Square to the feed a fibre points both ways.
            if (Math.abs(phi) < 89.9) {
                assertThat(other.phi()).isEqualTo(-phi, within(1e-6));
            }
        }
        FeedPlan plan = FeedPlan.of(HORNED, List.of(Grain.even(grain)));
        List<FeedMap.Edge> shared =
                plan.bites().stream().flatMap(b -> b.run().edges().stream()).toList();
        assertThat(length(shared)).isEqualTo(length(front.edges()), within(1e-6));
        assertThat(shared).noneMatch(e -> e.band().against()).doesNotHaveDuplicates();
        assertThat(plan.left()).isEmpty();
        assertThat(front.arcs().stream().mapToDouble(FeedMap.Arc::length).sum())
                .isEqualTo(HORNED.perimeter(), within(0.5));
    }

    private static double length(List<FeedMap.Edge> edges) {
        return edges.stream().mapToDouble(FeedMap.Edge::length).sum();
    }

    /** A disc's chord at 8 inside the edge: 2 sqrt(r² - x²), and the tip of a narrow horn is short. */
    @Test
    void fibres_are_as_long_as_the_chord() {
        Region disc = DISC.region();
        for (FeedMap.Edge e : map(DISC, 0, Face.FRONT).edges()) {
            double x = (150 - 8) * Math.cos(Math.toRadians(angle(e)));
            double chord = 2 * Math.sqrt(150 * 150 - x * x);
            assertThat(FeedMap.fibre(disc, e, Grain.even(0), 8)).isEqualTo(chord, within(1.5));
        }
        Outline wedge = Outline.parse("M -100 0 L 100 0 L 0 40 Z", 1);
        double shortest = map(wedge, 90, Face.FRONT).edges().stream()
                .filter(e -> e.from().y() > 30)
                .mapToDouble(e -> FeedMap.fibre(wedge.region(), e, Grain.even(90), 3))
                .min()
                .orElseThrow();
        assertThat(shortest).isLessThan(60);
    }

    /** The segment of a disc over a straight edge, by the formula: bit 12.7; base 152.4 gives 0.447, base 90 gives 0.410. */
    @ParameterizedTest
    @CsvSource({"152.4, 0.447", "90, 0.410"})
    void along_a_straight_edge_less_than_half_the_base_is_carried(double base, double share) {
        Region work = Region.rectangle(new Point(0, -500), 2000, 1000, 0, 0);
        BaseSupport support = BaseSupport.at(work, new Point(0, 6.35), new Point(0, 1), Foot.round(base));
        double r = base / 2;
        double exact = (r * r * Math.acos(6.35 / r) - 6.35 * Math.sqrt(r * r - 6.35 * 6.35)) / (Math.PI * r * r);
        assertThat(exact).isEqualTo(share, within(0.0006));
        assertThat(support.share()).isEqualTo(exact, within(0.001));
        assertThat(support.margin()).isEqualTo(6.35, within(0.01));
        // The inner hand presses half way to the rim.
        assertThat(support.stand()).isEqualTo(base / 4 - 6.35, within(0.01));
    }

    /** Share and margin all round a body with horns, against JTS asked directly with a finer circle. */
    @Test
    void the_stand_round_a_body_agrees_with_jts() {
        Region body = HORNED.region();
        FeedMap map = map(HORNED, 0, Face.FRONT);
        List<Steadying.Place> places = Steadying.along(map, body, 12.7, Foot.round(152.4));
        assertThat(places).hasSameSizeAs(map.edges());
        GeometryFactory factory = new GeometryFactory();
        List<Coordinate> ring = new ArrayList<>();
        body.forEachRing(r -> {
            for (int i = 0; i + 1 < r.length; i += 2) {
                ring.add(new Coordinate(r[i], r[i + 1]));
            }
        });
        Geometry polygon = factory.createPolygon(ring.toArray(new Coordinate[0]));
        for (int i = 0; i < places.size(); i += 9) {
            FeedMap.Edge e = places.get(i).edge();
            Point m = e.from().towards(e.to(), 0.5);
            Point axis = m.plus(e.outward().x() * 6.35, e.outward().y() * 6.35);
            GeometricShapeFactory shape = new GeometricShapeFactory(factory);
            shape.setCentre(new Coordinate(axis.x(), axis.y()));
            shape.setSize(152.4);
            shape.setNumPoints(400);
            Geometry circle = shape.createCircle();
            Geometry over = polygon.intersection(circle);
            assertThat(places.get(i).support().share()).isEqualTo(over.getArea() / circle.getArea(), within(0.004));
            double outside = over.convexHull().distance(factory.createPoint(new Coordinate(axis.x(), axis.y())));
            assertThat(Math.max(0, places.get(i).support().margin())).isEqualTo(outside, within(0.3));
        }
        // Common practice: the base tips worst at the horns. Less of it is carried there, and the axis stands further
        // out.
        BaseSupport horn = worst(
                places,
                p -> p.edge().from().y() > 190 && Math.abs(p.edge().from().x()) > 60);
        BaseSupport broad = worst(places, p -> p.edge().from().y() < -40);
        assertThat(horn.share()).isLessThan(broad.share());
        assertThat(horn.margin()).isGreaterThan(6);
        assertThat(places).anyMatch(p -> p.support().margin() < 4);
    }

    private static BaseSupport worst(List<Steadying.Place> places, Predicate<Steadying.Place> where) {
        return places.stream()
                .filter(where)
                .map(Steadying.Place::support)
                .min(Comparator.comparingDouble(BaseSupport::share))
                .orElseThrow();
    }
}
