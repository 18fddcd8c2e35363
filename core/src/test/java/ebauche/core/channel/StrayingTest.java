package ebauche.core.channel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.BoreRead;
import ebauche.core.design.Measurand.BoreRead.Sight;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Channel.Held;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.logbook.Astray;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.shop.LongHoles;
import ebauche.core.stock.Bore;
import ebauche.core.stock.WoodLeft;
import ebauche.core.wires.Run;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What a reading of a drilled channel does: to where it runs, to the wood beside it, to what is said of the next one. */
class StrayingTest {
    private static final String STEP = "channel-long:drill";
    private static final Point IN_CAVITY = new Point(75, -30);

    private static TestBody body(double fromUnder, double toUnder, Held held) {
        TestBody body = new TestBody();
        Point in = body.design().neck().pocket().centroid();
        body.channels.add(new Channel("long", in, fromUnder, IN_CAVITY, toUnder, 8, held));
        return body;
    }

    private static TestBody level() {
        return body(12, 12.0001, Held.SQUARE);
    }

    /** As the bench logs it. */
    private static TestBody read(TestBody body, Sight sight, double value) {
        Measurand measures = new BoreRead(body.channels.get(0).feature(), sight);
        body.timeline.add(new AsBuilt.Reading(
                "read-" + body.timeline.size(),
                "2026-11-02T10:00:00Z",
                "me",
                Optional.of(StepKey.parse(STEP)),
                measures,
                value,
                Straying.told(body.build(), measures, value)));
        return body;
    }

    private static Channel asRead(TestBody body) {
        return body.build().design().channels().get(0);
    }

    /** Where the axis of the channel as it was read leaves the wood that the drawn one leaves. */
    private static double underAtExit(TestBody body) {
        Run drawn = Run.of(body.build(), body.channels.get(0));
        Channel read = asRead(body);
        double flat =
                drawn.leavesAt() * drawn.channel().across() / drawn.channel().length();
        return read.fromUnder() + (read.toUnder() - read.fromUnder()) * flat / read.across();
    }

    @Test
    void it_runs_from_where_it_goes_in_to_where_it_came_out() {
        TestBody body = read(level(), Sight.LOWER, 3.5);
        Run drawn = Run.of(body.build(), body.channels.get(0));
        Channel read = asRead(body);
        assertThat(underAtExit(body)).isCloseTo(15.5, within(1e-3));
        double in = drawn.entersAt();
        assertThat(read.under(in * read.length() / drawn.channel().length())).isCloseTo(12, within(1e-3));
        assertThat(body.build().drawn().channels()).isEqualTo(body.channels);
    }

    /** Looked along the drill with the front up, a hand to the right: of one that runs to the tail, to the left as seen from the front. */
    @Test
    void to_the_right_is_to_the_right_of_the_hand_that_drills() {
        TestBody body = new TestBody();
        body.channels.add(new Channel("long", new Point(100, -40), 20, new Point(100, 60), 20, 8));
        TestBody up = read(body, Sight.ASIDE, 2);
        assertThat(asRead(up).to().x()).isGreaterThan(101);
        TestBody other = new TestBody();
        other.channels.add(new Channel("long", new Point(100, 60), 20, new Point(100, -40), 20, 8));
        assertThat(asRead(read(other, Sight.ASIDE, 2)).to().x()).isLessThan(99);
    }

    /** A rod that slopes 2 degrees more comes out lower by the length on the plan times the tangents' difference. */
    @Test
    void a_rod_and_where_it_came_out_say_the_same() {
        TestBody body = level();
        Run drawn = Run.of(body.build(), body.channels.get(0));
        double wood = drawn.passage().wood();
        double lower = wood * Math.tan(Math.toRadians(2));
        TestBody byRod = read(level(), Sight.SLOPE, 2);
        TestBody byMark = read(level(), Sight.LOWER, lower);
        assertThat(asRead(byRod).toUnder()).isCloseTo(asRead(byMark).toUnder(), within(0.001));
        assertThat(astray(byRod)).isCloseTo(2, within(1e-3));
        assertThat(astray(byMark)).isCloseTo(2, within(1e-3));
    }

    private static double astray(TestBody body) {
        return ((AsBuilt.Reading) body.timeline.get(body.timeline.size() - 1))
                .astray()
                .orElseThrow()
                .degrees();
    }

    @Test
    void one_that_is_too_short_ends_in_the_wood_and_is_told() {
        TestBody body = level();
        double wood = Run.of(body.build(), body.channels.get(0)).passage().wood();
        assertThat(rules(read(body, Sight.DEEP, wood + 3))).doesNotContain("channel-in-wood");
        assertThat(asRead(body).to().distance(IN_CAVITY)).isLessThan(0.001);
        assertThat(rules(read(level(), Sight.DEEP, wood - 5))).contains("channel-in-wood");
    }

    private static List<String> rules(TestBody body) {
        return body.plan().findings().stream().map(Finding::rule).toList();
    }

    /** Drilled, it is no matter of chance any more: it is out, or it is not; the wood beside it is what the reading leaves. */
    @Test
    void a_drilled_one_is_out_or_it_is_not() {
        TestBody body = body(9, 9.0001, Held.FREE_HAND);
        assertThat(rules(body)).contains("channel-comes-out");
        body.done(STEP);
        assertThat(rules(body)).doesNotContain("channel-comes-out");
        TestBody out = read(body, Sight.LOWER, -6);
        assertThat(out.plan().findings())
                .filteredOn(f -> f.rule().equals("channel-comes-out"))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.severity()).isEqualTo(Finding.Severity.STOPS);
                    assertThat(f.what(v -> ""))
                            .isEqualTo("As it was read, the long channel comes out through the front.");
                    assertThat(f.cure(v -> "")).startsWith("Plug it");
                });
    }

    /** The wood that is left follows the reading, before it is called done and after. */
    @Test
    void the_wood_that_is_weighed_and_told_has_the_hole_where_it_was_read() {
        TestBody before = read(level(), Sight.LOWER, -4);
        double ahead = overIt(before);
        TestBody after = level().done(STEP);
        read(after, Sight.LOWER, -4);
        assertThat(overIt(after)).isCloseTo(ahead, within(0.01));
        assertThat(overIt(level())).isGreaterThan(ahead + 2);
        Bore bore = (Bore) after.plan()
                .build()
                .changes(after.build().asBuilt().done(StepKey.parse(STEP)).orElseThrow())
                .get(0)
                .solid();
        assertThat(bore.toDepth() - bore.fromDepth()).isLessThan(-3);
    }

    private static double overIt(TestBody body) {
        return body.plan().history().thinnest().stream()
                .filter(t -> Set.of(t.feature(), t.neighbour())
                        .equals(Set.of(body.channels.get(0).feature(), Feature.FRONT)))
                .mapToDouble(WoodLeft.Thin::thickness)
                .min()
                .orElseThrow();
    }

    /** Off by two spreads is still the hand's; the readings' band says so. */
    @Test
    void what_the_card_asks_to_be_read() {
        TestBody body = level();
        Operation drill = body.plan().step(STEP).orElseThrow().operation();
        assertThat(drill.inspections())
                .extracting(i -> ((BoreRead) i.measurand()).sight())
                .containsExactly(Sight.LOWER, Sight.ASIDE, Sight.SLOPE, Sight.DEEP);
        Inspection lower = drill.inspections().get(0);
        double wood = Run.of(body.build(), body.channels.get(0)).passage().wood();
        assertThat(lower.most()).isCloseTo(wood * Math.tan(Math.toRadians(2)), within(1e-9));
        assertThat(lower.least()).isLessThan(0).isGreaterThanOrEqualTo(-lower.most());
        // Asked of the channel as it is drawn: a reading does not move its own mark.
        Inspection again = read(level(), Sight.SLOPE, 5)
                .plan()
                .step(STEP)
                .orElseThrow()
                .operation()
                .inspections()
                .get(2);
        assertThat(again.expected().value()).isCloseTo(0, within(1e-3));
    }

    /** Read before it is called done or after, once or again: the hole lies where the last reading has it, and not twice as far off. */
    @Test
    void a_reading_counts_once_whenever_it_was_taken() {
        TestBody before = read(level(), Sight.LOWER, 4);
        before.done(STEP);
        TestBody after = read(level().done(STEP), Sight.LOWER, 4);
        TestBody twice = read(read(level(), Sight.LOWER, 2).done(STEP), Sight.LOWER, 4);
        double end = drilled(after).toDepth();
        assertThat(end - drilled(level().done(STEP)).toDepth()).isGreaterThan(4);
        assertThat(drilled(before).toDepth()).isCloseTo(end, within(1e-6));
        assertThat(drilled(twice).toDepth()).isCloseTo(end, within(1e-6));
        for (TestBody body : List.of(before, after, twice)) {
            assertThat(rules(body)).doesNotContain("cut-too-small", "done-contradicted");
        }
    }

    private static Bore drilled(TestBody body) {
        return (Bore) body.build()
                .changes(body.build().asBuilt().done(StepKey.parse(STEP)).orElseThrow())
                .get(0)
                .solid();
    }

    /** With no hole of its own the usual value; with very many its own; ten count as much as the usual one. */
    @Test
    void the_shops_own_holes_take_over_little_by_little() {
        TestBody body = level();
        assertThat(spread(body)).isEqualTo(1);
        body.shop = body.shop.with(own(10, 3));
        assertThat(spread(body)).isCloseTo(Math.sqrt((10 + 10 * 9) / 20.0), within(1e-12));
        body.shop = body.shop.with(own(100_000, 3));
        assertThat(spread(body)).isCloseTo(3, within(0.001));
        body.shop = body.shop.with(own(10, 3));
        double others = spread(body);
        read(body, Sight.SLOPE, 0.1);
        assertThat(spread(body)).as("a straight hole of this body").isLessThan(others);
        read(body, Sight.SLOPE, 12);
        assertThat(spread(body))
                .as("read again, the last counts, and once")
                .isCloseTo(Math.sqrt((10 + 90 + 144) / 21.0), within(0.01));
    }

    private static LongHoles own(int holes, double spread) {
        return new LongHoles(2, 1, 0.5, 0.5, 10, List.of(new LongHoles.Own(Held.SQUARE, holes, spread)));
    }

    private static double spread(TestBody body) {
        Reckoning sum = Straying.spread(body.build(), Held.SQUARE);
        return sum.value();
    }

    /** The estimate against a hand that is known: 400 seeded shops of 40 holes each, spread 1.7, are found within 3 % in the mean. */
    @Test
    void a_hand_that_is_known_is_found() {
        Random random = new Random(9);
        double sum = 0;
        for (int shop = 0; shop < 400; shop++) {
            List<Astray> holes = IntStream.range(0, 40)
                    .mapToObj(hole -> new Astray(Held.JIG, 1.7 * random.nextGaussian()))
                    .toList();
            List<LongHoles.Own> own = Straying.gathered(holes);
            assertThat(own).hasSize(1);
            sum += own.get(0).spread();
        }
        assertThat(sum / 400).isCloseTo(1.7, within(0.05));
    }

    /** A worse hand makes the same hole likelier to come out: chance follows the record. */
    @Test
    void chance_follows_the_record() {
        TestBody body = body(10, 10.0001, Held.SQUARE);
        double before = chance(body);
        body.shop = body.shop.with(own(50, 4));
        assertThat(chance(body)).isGreaterThan(before + 3);
        double leeway = BoreLook.leeway(Run.of(body.build(), body.channels.get(0)), Face.FRONT);
        assertThat(leeway).isPositive();
    }

    private static double chance(TestBody body) {
        return new ChannelStation()
                .rules(body.build()).stream()
                        .filter(r -> r.name().equals("channel-comes-out"))
                        .mapToDouble(r -> r.number().value())
                        .findFirst()
                        .orElseThrow();
    }

    @Test
    void what_cannot_be_meant_is_refused() {
        BoreRead slope = new BoreRead(level().channels.get(0).feature(), Sight.SLOPE);
        assertThatThrownBy(() -> slope.check(90)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Astray(Held.AS_USUAL, 1)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new LongHoles(2, 1, 0, 0.5, 10, List.of())).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new LongHoles(
                        2,
                        1,
                        0.5,
                        0.5,
                        10,
                        List.of(new LongHoles.Own(Held.JIG, 1, 1), new LongHoles.Own(Held.JIG, 2, 1))))
                .isInstanceOf(Refusal.class);
        for (Sight sight : Sight.values()) {
            Measurand measures = new BoreRead(level().channels.get(0).feature(), sight);
            assertThat(Measurand.parse(measures.key())).isEqualTo(measures);
        }
    }
}
