package ebauche.core.chamber;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Passage.Begun;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Channel;
import ebauche.core.job.UnderTop;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.wires.Closing;
import ebauche.core.wires.Run;
import ebauche.core.wires.WireWays;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Wires and long holes through chambers: what opens into them, what must be drilled before their top, what is looked at before it closes. */
class ThroughChambersTest {
    private static final Feature CONTROLS = Feature.parse("controls");

    /** Beside the pickups on the treble side, down to the control cavity. */
    private static final String TREBLE = "M 45 -60 L 85 -60 L 85 60 L 45 60 Z";

    /** Nothing but what is drilled opens the pickups; a hole from the bridge's into the chamber, the chamber open to the controls. */
    private static TestBody body(String... parts) {
        TestBody body = new TestBody();
        body.pickups = new ArrayList<>(
                List.of(TestBody.pickup("neck", 0, 130, 19, Set.of()), TestBody.pickup("bridge", 0, 40, 19, Set.of())));
        BlankLayer core = BlankLayer.even(TestTimber.ALDER, 2, 340, 40);
        BlankLayer top = BlankLayer.even(TestTimber.ASH, 2, 340, 10);
        body.blank = new Blank(340, 420, 0, 45, core, Optional.of(top));
        body.chambers.add(new Chamber(
                "main", List.of(parts).stream().map(p -> Outline.parse(p, 1)).toList(), 8, Set.of(CONTROLS)));
        return body;
    }

    private static TestBody outOfThePickup() {
        TestBody body = body(TREBLE);
        body.channels.add(new Channel("in", new Point(30, 40), 15, new Point(52, 40), 15, 8));
        return body;
    }

    /** The same hole the other way round: the drill stands in the chamber, and slants so that it clears the other wall. */
    private static TestBody outOfTheChamber() {
        TestBody body = body(TREBLE);
        body.channels.add(new Channel("out", new Point(52, 40), 10, new Point(30, 40), 18, 8));
        return body;
    }

    private static Run run(TestBody body) {
        return Run.all(body.build()).get(0);
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    private static List<String> through(TestBody body, String from) {
        return WireWays.of(body.build()).ways().stream()
                .filter(w -> w.wire().from().equals(Feature.parse(from)))
                .findFirst()
                .map(w -> w.through().stream().map(Feature::word).toList())
                .orElse(List.of());
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream().map(s -> s.operation().key().written()).toList();
    }

    @Test
    void a_wire_goes_through_a_hole_and_the_chamber_into_the_controls() {
        TestBody body = outOfThePickup();
        Run run = Run.all(body.build()).get(0);
        assertThat(run.begun()).isEqualTo(Begun.IN_A_SPACE);
        assertThat(run.into().orElseThrow().feature().word()).isEqualTo("chamber-main");
        assertThat(through(body, "pickup-bridge"))
                .containsExactly("pickup-bridge", "channel-in", "chamber-main", "controls");
        body.chambers.set(0, new Chamber("main", body.chambers.get(0).parts(), 8, Set.of()));
        assertThat(through(body, "pickup-bridge"))
                .as("unless the one is to open into the other")
                .isEmpty();
    }

    /** Without a top there is no chamber, and nothing of one for a wire. */
    @Test
    void without_a_top_it_is_no_way() {
        TestBody body = outOfThePickup();
        body.blank = null;
        assertThat(body.build().spaces().of(body.chambers.get(0).feature())).isEmpty();
        assertThat(through(body, "pickup-bridge")).isEmpty();
    }

    /** Its roof is where the top reaches in the finished body, its floor what it leaves to the back. */
    @Test
    void its_space_lies_between_the_top_and_its_floor() {
        TestBody body = outOfThePickup();
        var space = body.build().spaces().of(body.chambers.get(0).feature()).orElseThrow();
        assertThat(space.top())
                .isEqualTo(body.build().topReaches().orElseThrow())
                .isBetween(1.0, 10.0);
        assertThat(space.bottom()).isCloseTo(body.thickness - 8, within(1e-9));
    }

    @Test
    void two_hollows_that_do_not_meet_are_no_way_from_one_into_the_other() {
        TestBody body = body(TREBLE, "M -85 -60 L -45 -60 L -45 60 L -85 60 Z");
        body.channels.add(new Channel("left", new Point(-30, 40), 15, new Point(-52, 40), 15, 8));
        assertThat(through(body, "pickup-bridge")).isEmpty();
        body.channels.add(new Channel("across", new Point(-52, -40), 20, new Point(52, -40), 20, 8));
        assertThat(through(body, "pickup-bridge"))
                .containsExactly("pickup-bridge", "channel-left", "chamber-main", "channel-across", "controls");
    }

    /** Round a post that stands in the straight way the wire is longer, and its cord turns. */
    @Test
    void it_goes_round_what_stands_in_the_hollow() {
        TestBody free = body("M 40 -60 L 100 -60 L 100 100 L 40 100 Z");
        TestBody post = body("M 40 -60 L 100 -60 L 100 100 L 40 100 Z", "M 50 0 L 90 0 L 90 10 L 50 10 Z");
        for (TestBody body : List.of(free, post)) {
            body.channels.add(new Channel("in", new Point(30, 40), 15, new Point(52, 40), 15, 8));
        }
        WireWays.Way straight = WireWays.of(free.build()).ways().get(0);
        WireWays.Way round = WireWays.of(post.build()).ways().get(0);
        assertThat(round.spots()).hasSizeGreaterThan(straight.spots().size());
        assertThat(round.cut().terms().get(0).value())
                .isGreaterThan(straight.cut().terms().get(0).value());
    }

    @Test
    void what_is_drilled_out_of_a_chamber_is_drilled_before_its_top() {
        BuildPlan plan = outOfTheChamber().plan();
        assertThat(keys(plan))
                .containsSubsequence("chamber-main:rout", "channel-out:drill", "blank:top", "pickup-bridge:rout");
        assertThat(plan.reasons(UnderTop.CLOSES))
                .extracting(l -> l.before().written())
                .contains("channel-out:drill");
        assertThat(plan.findings())
                .filteredOn(f -> f.isOn(Feature.parse("channel-out")))
                .extracting(f -> f.rule())
                .doesNotContain("channel-no-room", "nobody-gives", "breaks-in");
        TestBody level = outOfTheChamber();
        level.channels.set(0, new Channel("out", new Point(52, 40), 15, new Point(30, 40), 15, 8));
        assertThat(level.rules()).as("level it stands in the other wall").contains("channel-no-room");
    }

    /** The other way round it waits for the pickup's rout, long after the top. */
    @Test
    void what_is_drilled_into_a_chamber_may_come_later() {
        assertThat(keys(outOfThePickup().plan()))
                .containsSubsequence("blank:top", "pickup-bridge:rout", "channel-in:drill");
    }

    /** Marked on the core: so far down from its front as it lies under the finished front, less the top's thickness there. */
    @Test
    void its_place_is_measured_from_the_core() {
        TestBody body = outOfTheChamber();
        double down = step(body.plan(), "channel-out:drill")
                .places()
                .get(0)
                .wall()
                .orElseThrow()
                .down()
                .value();
        double under = body.channels.get(0).under(run(body).entersAt());
        assertThat(under).isBetween(10.0, 15.0);
        assertThat(down).isCloseTo(under - body.build().topReaches().orElseThrow(), within(1e-9));
        assertThat(step(outOfThePickup().plan(), "channel-in:drill")
                        .places()
                        .get(0)
                        .wall()
                        .orElseThrow()
                        .down()
                        .value())
                .as("from the front as it then is")
                .isGreaterThan(14.9);
    }

    @Test
    void a_top_glued_on_too_early_loses_it() {
        TestBody body = outOfTheChamber();
        List<Channel> later = List.copyOf(body.channels);
        body.channels.clear();
        body.doneUpTo("blank:top");
        body.channels.addAll(later);
        assertThat(body.rules()).contains("channel-closed");
        assertThat(keys(body.plan())).doesNotContain("channel-out:drill");
        assertThat(through(body, "pickup-bridge")).isEmpty();
        body.channels.clear();
        body.channels.addAll(outOfThePickup().channels);
        assertThat(body.rules()).as("the other way round it can be drilled").doesNotContain("channel-closed");
        assertThat(through(body, "pickup-bridge")).isNotEmpty();
    }

    /** Whoever would close it now loses what is not done on the core; once that is done, nothing. */
    @Test
    void closing_it_tells_what_nobody_reaches_again() {
        TestBody body = outOfTheChamber();
        body.doneUpTo("chamber-main:mark");
        assertThat(lost(body)).containsExactlyInAnyOrder("chamber-main:rout", "channel-out:drill");
        body.done("chamber-main:rout").done("channel-out:drill");
        assertThat(lost(body)).isEmpty();
    }

    private static List<String> lost(TestBody body) {
        BuildPlan plan = body.plan();
        return plan.lostWith(plan.step("blank:top").orElseThrow()).stream()
                .map(o -> o.key().written())
                .toList();
    }

    /** A hole that runs on beyond the hollow leaves its wire open in it: it is fished there too. */
    @Test
    void a_channel_across_a_hollow_is_fished_through_it() {
        TestBody body = body(TREBLE);
        body.chambers.set(0, new Chamber("main", body.chambers.get(0).parts(), 8, Set.of()));
        body.channels.add(new Channel("through", new Point(30, 44), 12, new Point(80, -30), 20, 8));
        assertThat(through(body, "pickup-bridge")).containsExactly("pickup-bridge", "channel-through", "controls");
        assertThat(Closing.of(body.build()).fished())
                .anySatisfy(
                        f -> assertThat(f.through()).extracting(Feature::word).contains("chamber-main"));
    }

    @Test
    void the_step_that_closes_asks_for_a_cord_in_every_way_and_names_what_is_shut_for_good() {
        TestBody body = outOfThePickup();
        assertThat(step(body.plan(), "blank:top").ticks())
                .anySatisfy(t -> assertThat(t)
                        .startsWith("A wire is fished through the main chamber later: bridge pickup to volume (")
                        .contains("turn"));
        assertThat(step(body.plan(), "blank:top").ticks()).noneMatch(t -> t.contains("Nothing opens"));
        body.chambers.add(new Chamber(
                "holes", List.of(Outline.parse("M -100 -20 L -80 -20 L -80 20 L -100 20 Z", 1)), 8, Set.of()));
        assertThat(Closing.of(body.build()).sealed())
                .singleElement()
                .satisfies(s -> assertThat(s.said()).isEqualTo("the holes chamber"));
        assertThat(step(body.plan(), "blank:top").ticks()).anyMatch(t -> t.contains("Nothing opens"));
        assertThat(new TestBody().plan().steps())
                .allMatch(s -> s.operation().ticks().isEmpty());
    }
}
