package ebauche.core.wires;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Wire;
import ebauche.core.job.Finding;
import ebauche.core.measure.Refusal;
import ebauche.core.shop.WireStock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WireWaysTest {
    private static final Feature NECK = Feature.parse("pickup-neck");
    private static final Feature BRIDGE = Feature.parse("pickup-bridge");
    private static final Feature CONTROLS = Feature.parse("controls");
    private static final Feature VOLUME = Feature.parse("control-volume");

    /** Level holes from one pickup's rout into the other and on into the control cavity; none of them declared to join. */
    private static TestBody drilled() {
        TestBody body = new TestBody();
        body.pickups = new ArrayList<>(
                List.of(TestBody.pickup("neck", 0, 130, 19, Set.of()), TestBody.pickup("bridge", 0, 40, 19, Set.of())));
        body.channels.add(new Channel("between", new Point(0, 126), 15, new Point(0, 44), 15, 8));
        body.channels.add(new Channel("controls", new Point(36, 36), 15, new Point(75, -20), 15, 8));
        return body;
    }

    private static WireWays ways(TestBody body) {
        return new WireWays(body.build());
    }

    private static WireWays.Way way(WireWays ways, Feature from, Feature to) {
        return ways.ways().stream()
                .filter(w -> w.wire().from().equals(from) && w.wire().to().equals(to))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> rules(WireWays ways) {
        return ways.findings().stream().map(Finding::rule).toList();
    }

    /** Common practice: pickups to the switch, switch to volume, volume to tone and to the jack, the bridge grounded at the volume. */
    @Test
    void the_usual_wiring_follows_the_parts() {
        TestBody body = new TestBody();
        body.controls.add(0, TestBody.bladeSwitch(2, 8, OptionalDouble.empty()));
        body.controls.add(TestBody.pot("tone", 100, -60, 8));
        assertThat(Wiring.of(body.design()).wires().stream().map(Wire::said))
                .containsExactly(
                        "neck pickup to selector",
                        "bridge pickup to selector",
                        "selector to volume",
                        "volume to tone",
                        "volume to jack",
                        "bridge to volume");
        body.controls.clear();
        assertThat(Wiring.of(body.design()).wires().stream().map(Wire::said))
                .containsExactly("neck pickup to jack", "bridge pickup to jack", "bridge to jack");
        body.jack = Optional.empty();
        assertThat(Wiring.of(body.design()).wires()).isEmpty();
    }

    @Test
    void what_is_left_open_is_not_wired_yet() {
        TestBody body = new TestBody();
        body.undecided = Set.of(NECK);
        assertThat(Wiring.of(body.design()).wires()).noneMatch(w -> w.from().equals(NECK));
    }

    /**
     * By coordinates: the neck pickup (0, 130, 19 deep) into a hole at its wall y = 115, 15 under the front; out of it at the other rout's
     * wall y = 55; from there to the wall of the next hole and along it to the cavity's corner, and on to the volume pot at (100, -40) under 6 of wood.
     */
    @Test
    void a_wire_is_as_long_as_its_way_and_what_is_left_over_at_both_ends() {
        TestBody body = drilled();
        WireWays ways = ways(body);
        WireWays.Way way = way(ways, NECK, VOLUME);
        assertThat(way.through().stream().map(Feature::word))
                .containsExactly("pickup-neck", "channel-between", "pickup-bridge", "channel-controls", "controls");
        Run out = Run.of(body.build(), body.channels.get(1));
        Point leaves = body.channels.get(1).at(out.entersAt());
        Point enters = body.channels.get(1).at(out.leavesAt());
        double first = Math.hypot(15, 19 - 15);
        double between = 60;
        double across = leaves.distance(new Point(0, 55));
        double along = leaves.distance(enters);
        double last = Math.hypot(enters.distance(new Point(100, -40)), 15 - 6);
        double sum = first + between + across + along + last + 2 * WireStock.USUAL.slack();
        assertThat(way.cut().terms().get(0).value()).isCloseTo(sum - 150, within(1e-6));
        assertThat(way.cut().value()).isEqualTo(5 * Math.ceil(sum / 5)).isBetween(sum, sum + 5);
        assertThat(body.design().pickups().get(1).footprint().outside(leaves)).isCloseTo(0, within(0.01));
        assertThat(body.design().cavities().get(0).plan().outside(enters)).isCloseTo(0, within(0.01));
    }

    /** Spaces that may break into each other and do not touch let no wire through. */
    @Test
    void what_may_join_and_lies_apart_is_no_way() {
        TestBody apart = new TestBody();
        assertThat(ways(apart).without().stream().map(Wire::said)).contains("neck pickup to volume");
        apart.pickups.set(1, TestBody.pickup("bridge", 52, 0, 30, Set.of(CONTROLS)));
        assertThat(ways(apart).without().stream().map(Wire::said))
                .contains("neck pickup to volume")
                .doesNotContain("bridge pickup to volume");
        // As wide as before, but over the cavity's roof: wood lies between them.
        apart.pickups.set(1, TestBody.pickup("bridge", 52, 0, 5, Set.of(CONTROLS)));
        assertThat(ways(apart).without().stream().map(Wire::said)).contains("bridge pickup to volume");
    }

    @Test
    void the_bridge_is_grounded_from_under_it_through_its_studs_or_its_springs() {
        TestBody body = drilled();
        assertThat(ways(body).without().stream().map(Wire::said)).containsExactly("bridge to volume");
        assertThat(ways(body).findings())
                .singleElement()
                .satisfies(f -> assertThat(f.what(v -> "")).isEqualTo("No way is planned for the bridge's ground."));
        body.channels.add(new Channel("ground", new Point(30, -10), 0, new Point(72, -40), 20, 3.2));
        WireWays.Way ground = way(ways(body), Bridge.FEATURE, VOLUME);
        assertThat(ground.through().stream().map(Feature::word))
                .containsExactly("bridge", "channel-ground", "controls");

        TestBody studs = drilled();
        studs.studs = Optional.of(new Bridge.Studs(74, -5, 11, 20));
        studs.channels.add(new Channel("ground", new Point(75, -30), 14, new Point(38, -5), 14, 3.2));
        assertThat(way(ways(studs), Bridge.FEATURE, VOLUME).through()).contains(Bridge.STUDS);

        TestBody springs = drilled();
        springs.vibrato = Optional.of(TestBody.vibrato(30));
        springs.channels.add(new Channel("ground", new Point(75, -30), 38, new Point(20, 20), 38, 3.2));
        assertThat(way(ways(springs), Bridge.FEATURE, VOLUME).through().get(0)).isEqualTo(Bridge.SPRINGS);
    }

    /** Each wire of 2.0 in a hole of 8 takes 1/16 of it: five of them 0.31. */
    @Test
    void five_wires_of_two_fill_a_hole_of_eight_to_five_sixteenths() {
        TestBody body = drilled();
        for (int i = 0; i < 5; i++) {
            body.wires.add(
                    new Wire("w" + i, i < 4 ? NECK : BRIDGE, i < 4 ? VOLUME : Jack.FEATURE, OptionalDouble.of(2)));
        }
        WireWays.Fill controls = ways(body).fills().stream()
                .filter(f -> f.channel().id().equals("controls"))
                .findFirst()
                .orElseThrow();
        assertThat(controls.share().value()).isCloseTo(5.0 / 16, within(1e-9));
        assertThat(controls.most()).isEqualTo(0.40);
        assertThat(body.plan().findings().stream().map(Finding::rule)).doesNotContain("channel-full");
        body.wires.add(new Wire("thick", NECK, VOLUME, OptionalDouble.of(3)));
        assertThat(body.plan().findings().stream().map(Finding::rule)).contains("channel-full");
    }

    /** NFPA 70, chapter 9, table 1 (memory): one conductor 53 %, two 31 %, more than two 40 % of the section. */
    @ParameterizedTest
    @CsvSource({"1, 0.53", "2, 0.31", "3, 0.40", "9, 0.40"})
    void so_much_of_a_hole_may_be_full(int wires, double share) {
        assertThat(WireWays.mostFull(wires)).isEqualTo(share);
    }

    @Test
    void wires_that_form_no_circuit_and_wires_to_nothing_are_told() {
        TestBody body = drilled();
        body.wires.add(new Wire("a", NECK, VOLUME));
        body.wires.add(new Wire("b", BRIDGE, Jack.FEATURE));
        assertThat(ways(body).findings())
                .filteredOn(f -> f.rule().equals("no-circuit"))
                .singleElement()
                .satisfies(f -> assertThat(f.what(v -> ""))
                        .isEqualTo("No wires lead from the neck pickup and bridge to the jack."));
        body.wires.add(new Wire("c", VOLUME, Jack.FEATURE));
        body.wires.add(new Wire("d", Bridge.FEATURE, Feature.parse("control-blend")));
        assertThat(rules(ways(body))).contains("wire-to-nothing", "no-circuit");
        assertThat(ways(body).findings().get(0).what(v -> ""))
                .isEqualTo("A wire goes to the blend, which this body does not have.");
    }

    @Test
    void a_wire_goes_from_a_part_to_another() {
        assertThatThrownBy(() -> new Wire("a", NECK, NECK)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Wire("a", NECK, Feature.parse("neck")))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("nothing is wired to the neck pocket");
        assertThatThrownBy(() -> new Wire("a", NECK, VOLUME, OptionalDouble.of(0)))
                .isInstanceOf(Refusal.class);
    }

    /** Against every way without a circle, tried out: seeded bodies with up to seven channels between three rooms. */
    @Test
    void no_way_is_shorter_than_the_one_that_is_found() {
        Random random = new Random(17);
        int compared = 0;
        for (int i = 0; i < 200; i++) {
            TestBody body = drilled();
            body.channels.clear();
            for (int k = 0; k < 2 + random.nextInt(6); k++) {
                Point[] rooms = {
                    new Point(random.nextInt(-38, 38), random.nextInt(118, 142)),
                    new Point(random.nextInt(-38, 38), random.nextInt(28, 52)),
                    new Point(random.nextInt(70, 130), random.nextInt(-66, -14))
                };
                int a = random.nextInt(3);
                int b = (a + 1 + random.nextInt(2)) % 3;
                body.channels.add(new Channel("c" + k, rooms[a], 12, rooms[b], 14, 5));
            }
            List<Run> runs = Run.all(body.build());
            Openings openings = new Openings(body.build(), runs);
            Openings.End from = openings.end(NECK).orElseThrow();
            Openings.End to = openings.end(VOLUME).orElseThrow();
            double least = tried(runs, from, to);
            Optional<Openings.Path> found = openings.shortest(from, to);
            assertThat(found.isPresent()).isEqualTo(Double.isFinite(least));
            if (found.isPresent()) {
                assertThat(found.get().length()).isCloseTo(least, within(1e-6));
                compared++;
            }
        }
        assertThat(compared).isGreaterThan(100);
    }

    /** Depth first over rooms and channels by what each run says of itself. */
    private static double tried(List<Run> runs, Openings.End from, Openings.End to) {
        return tried(runs, from.space(), from.at(), to, new HashSet<>());
    }

    private static double tried(List<Run> runs, Feature room, Spot at, Openings.End to, Set<Feature> used) {
        double best = room.equals(to.space()) ? at.distance(to.at()) : Double.POSITIVE_INFINITY;
        for (Run run : runs) {
            Channel channel = run.channel();
            if (!used.add(channel.feature())) {
                continue;
            }
            List<Door> doors = doors(run);
            for (Door in : doors) {
                for (Door out : doors) {
                    if (in.room().equals(room) && in != out) {
                        double so = at.distance(in.spot()) + in.spot().distance(out.spot());
                        best = Math.min(best, so + tried(runs, out.room(), out.spot(), to, used));
                    }
                }
            }
            used.remove(channel.feature());
        }
        return best;
    }

    private record Door(Feature room, Spot spot) {}

    private static List<Door> doors(Run run) {
        Channel c = run.channel();
        Stream<Door> ends = Stream.of(
                new Door(run.from().orElseThrow().feature(), spot(c, run.entersAt())),
                new Door(run.into().orElseThrow().feature(), spot(c, run.leavesAt())));
        Stream<Door> between = run.passage().through().stream()
                .filter(s -> !s.feature().word().equals("neck"))
                .flatMap(s -> Arrays.stream(s.met(c)).mapToObj(d -> new Door(s.feature(), spot(c, d))));
        return Stream.concat(ends, between).toList();
    }

    private static Spot spot(Channel channel, double along) {
        return new Spot(channel.at(along), channel.under(along));
    }
}
