package ebauche.core.channel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.JackSeat;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a jack can stand, held to the body's own points and to a circle. */
class JackPlacesTest {
    private static List<JackPlaces.Place> places(BuildPlan plan) {
        return JackPlaces.of(plan.build(), plan.history(), 6);
    }

    /** Every place's hole, looked at in 400 random points: in the body, in no hollow but its own, as far from the faces as it says. */
    @Test
    void each_place_holds_what_it_says() {
        BuildPlan plan = new TestBody().plan();
        Region body = plan.build().design().outline().region();
        Region pit = plan.build().design().cavities().get(0).plan();
        List<JackPlaces.Place> places = places(plan);
        assertThat(places).isNotEmpty();
        double front = plan.build().faces().frontFinished();
        Random random = new Random(3);
        for (JackPlaces.Place place : places) {
            Jack jack = place.jack();
            double r = jack.diameter() / 2;
            double way = jack.entry().distance(jack.aim());
            double x = (jack.aim().x() - jack.entry().x()) / way;
            double y = (jack.aim().y() - jack.entry().y()) / way;
            assertThat(body.outside(jack.entry())).isCloseTo(0, within(0.01));
            // Square to the edge: on the chord of 6 mm either side.
            assertThat(body.outside(jack.entry().plus(-0.5 * x, -0.5 * y))).isPositive();
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i < 400; i++) {
                double angle = random.nextDouble() * 2 * Math.PI;
                double along = 1 + random.nextDouble() * (place.wood() - 1);
                double aside = r * Math.cos(angle);
                Point at = jack.entry().plus(along * x - aside * y, along * y + aside * x);
                double depth = front + jack.fromFront() + r * Math.sin(angle);
                if (body.contains(at)) {
                    least = Math.min(
                            least, depth - plan.build().finished(Face.FRONT).depthAt(at));
                }
            }
            assertThat(least).isBetween(place.over() - 0.01, place.over() + 0.6);
            for (int side = -1; side <= 1; side++) {
                Point end = jack.entry()
                        .plus((place.wood() + 0.5) * x - side * r * y, (place.wood() + 0.5) * y + side * r * x);
                assertThat(pit.contains(end)).as("the whole width is in").isTrue();
            }
        }
    }

    /** The plan itself finds nothing against a jack that is put where it is offered. */
    @Test
    void one_that_is_taken_drills_without_a_finding_of_its_own() {
        TestBody body = new TestBody();
        JackPlaces.Place best = places(body.plan()).get(0);
        body.jack = Optional.of(best.jack());
        BuildPlan plan = body.plan();
        assertThat(plan.findings())
                .filteredOn(f -> f.feature().filter(Jack.FEATURE::equals).isPresent())
                .isEmpty();
        double deep = body.figure("jack:drill");
        assertThat(deep).as("wood and the spur's 3 mm").isCloseTo(best.wood() + 3, within(0.05));
    }

    /** On a circle of radius R a plate so long lies off by its sagitta, R − √(R² − (l/2)²), with 1 mm levelled beside it. */
    @ParameterizedTest
    @CsvSource({"170, 38", "90, 38", "60, 30"})
    void a_plate_on_a_circle_stands_off_by_the_sagitta(double radius, double plate) {
        Region disc = circle(radius);
        Jack jack = new Jack(new Point(radius, 0), new Point(radius - 30, 0), 22, 20);
        JackSeat flat = JackSeat.of(disc, jack, plate);
        double half = plate / 2 + 1;
        assertThat(flat.bulge()).isCloseTo(radius - Math.sqrt(radius * radius - half * half), within(0.02));
        assertThat(flat.gap()).isZero();
        // What comes off is the circle's segment: R²(θ − sin θ)/2.
        double angle = 2 * Math.asin(half / radius);
        assertThat(flat.off().area()).isCloseTo(radius * radius * (angle - Math.sin(angle)) / 2, within(0.6));
        Region hollow = Region.rectangle(new Point(0, 0), 500, 500, 0, 0).minus(disc);
        Jack inside = new Jack(new Point(radius, 0), new Point(radius + 30, 0), 22, 20);
        JackSeat gap = JackSeat.of(hollow, inside, plate);
        assertThat(gap.gap()).isCloseTo(flat.bulge(), within(0.02));
        assertThat(gap.bulge()).isLessThan(0.02);
    }

    /** With so many corners that no chord lies a thousandth of a millimetre inside. */
    private static Region circle(double radius) {
        return Region.ofRing(IntStream.range(0, 1500)
                .mapToObj(i -> 2 * Math.PI * i / 1500)
                .map(angle -> new Point(radius * Math.cos(angle), radius * Math.sin(angle)))
                .toList());
    }

    private static Part plate(double along, double across) {
        return new Part(
                PartKind.JACK, "plate", Map.of(PartSize.HOLE, 22.2, PartSize.ALONG, along, PartSize.ACROSS, across));
    }

    /** A plate wants a flat where the edge bulges: cut before the hole is marked; a cup in the same place wants none. */
    @Test
    void a_plate_on_a_round_edge_has_a_flat_cut_for_it() {
        TestBody body = new TestBody();
        // Where the tail's round corner begins: 60 of plate hang over it.
        Jack cup = new Jack(new Point(89, -150), new Point(89, -69), 22.2, 22.25);
        body.jack = Optional.of(cup);
        assertThat(body.schedule().step("jack:flat")).isEmpty();
        double whole = body.plan().history().finished().volume();
        double fromTheCurve = body.figure("jack:drill");
        body.jack = Optional.of(
                new Jack(cup.entry(), cup.aim(), cup.diameter(), cup.fromFront(), Optional.of(plate(60, 38))));
        JackSeat flat = JackSeat.of(body.design().outline().region(), body.jack.get(), 60);
        assertThat(flat.bulge()).isBetween(2.0, 5.0);
        BuildPlan plan = body.plan();
        assertThat(plan.steps().stream().map(s -> s.operation().key().written()))
                .containsSubsequence("outline:finish", "jack:flat", "jack:mark", "jack:drill");
        double taken = whole - plan.history().finished().volume();
        // As high as the plate and 1 mm either side; the part of it that the jack's own hole takes is counted once.
        double high = 40;
        assertThat(taken).isBetween(0.7 * flat.off().area() * high, flat.off().area() * high);
        assertThat(body.figure("jack:flat")).isCloseTo(flat.bulge(), within(1e-9));
        // Drilled from the flat, not from the curve that is gone.
        Region edge = body.design().outline().region();
        double gone = edge.wayOut(cup.aim(), 0, -1) - edge.minus(flat.off()).wayOut(cup.aim(), 0, -1);
        assertThat(gone).isPositive();
        assertThat(fromTheCurve - body.figure("jack:drill")).isCloseTo(gone, within(1e-6));
        assertThat(plan.findings())
                .filteredOn(f -> f.feature().filter(Jack.FEATURE::equals).isPresent())
                .extracting(f -> f.rule())
                .containsOnly("drill-too-short");
    }
}
