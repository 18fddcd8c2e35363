package ebauche.core.channel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.design.Passage.Begun;
import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Channel;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Change;
import ebauche.core.wires.ComingOut;
import ebauche.core.wires.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Channels on the test body: where they run, in what order they are drilled, what stops them. */
class ChannelStationTest {
    /** The test body's control cavity lies at 67 to 133, -70 to -10, 6 mm of wood over it. */
    private static final Point IN_CAVITY = new Point(75, -30);

    private static TestBody with(Channel... channels) {
        TestBody body = new TestBody();
        body.channels.addAll(List.of(channels));
        return body;
    }

    /** From the neck pocket, over its floor, down into the control cavity. */
    private static Channel fromNeck(TestBody body, double fromUnder, double toUnder) {
        Point in = body.design().neck().pocket().centroid();
        return new Channel("long", in, fromUnder, IN_CAVITY, toUnder, 8);
    }

    private static Channel fromNeck(double fromUnder, double toUnder) {
        return fromNeck(new TestBody(), fromUnder, toUnder);
    }

    private static Rule rule(TestBody body) {
        return new ChannelStation().rules(body.build()).get(0);
    }

    private static List<String> rules(TestBody body) {
        return body.plan().findings().stream().map(Finding::rule).toList();
    }

    @Test
    void it_waits_for_its_pocket_and_is_as_deep_as_its_wood() {
        TestBody body = with(fromNeck(10, 24));
        BuildPlan plan = body.plan();
        Operation drill = plan.step("channel-long:drill").orElseThrow().operation();
        assertThat(plan.steps().stream().map(s -> s.operation().key().written()))
                .containsSubsequence("neck:rout", "channel-long:drill")
                .containsSubsequence("controls:rout", "channel-long:drill")
                .as("no chuck turns over a sanded face")
                .containsSubsequence("channel-long:drill", "sanding:front")
                .containsSubsequence("channel-long:drill", "sanding:back");
        assertThat(drill.title()).isEqualTo("Drill the long channel from the neck pocket into the control cavity");
        Channel channel = body.channels.get(0);
        Run run = Run.of(body.build(), channel);
        double wood = run.leavesAt() - run.entersAt();
        assertThat(drill.setting().figure().orElseThrow().value()).isCloseTo(wood + 3, within(1e-9));
        // From the pocket's edge to the cavity's, measured on the plan and along the slope.
        Point enters = channel.at(run.entersAt());
        Point leaves = channel.at(run.leavesAt());
        assertThat(body.design().neck().pocket().outside(enters)).isCloseTo(0, within(0.01));
        assertThat(body.cavities.get(0).plan().outside(leaves)).isCloseTo(0, within(0.01));
        assertThat(wood).isCloseTo(enters.distance(leaves) / Math.cos(Math.toRadians(channel.pitch())), within(1e-6));
        Change cut = drill.changes().get(0);
        assertThat(cut.solid().shallowest())
                .isCloseTo(
                        body.build().faces().frontFinished() + 10 - 4 * Math.cos(Math.toRadians(channel.pitch())),
                        within(1e-6));
    }

    /** Level, 44 thick: 10 under the front to its middle leaves 6 over it, and as far as the wood goes that is its leeway. */
    @Test
    void its_leeway_is_the_angle_to_the_face_at_its_far_end() {
        TestBody body = with(fromNeck(10, 10.0001));
        Run run = Run.of(body.build(), body.channels.get(0));
        double wood = Math.floor(run.leavesAt() - run.entersAt());
        assertThat(ComingOut.leeway(run.beside(Face.FRONT)))
                .isCloseTo(Math.toDegrees(Math.atan(6 / wood)), within(0.001));
        double back = body.build().faces().thickness() - 10 - 4;
        assertThat(ComingOut.leeway(run.beside(Face.BACK)))
                .isCloseTo(Math.toDegrees(Math.atan(back / wood)), within(0.001));
    }

    @Test
    void what_is_laid_in_the_middle_holds_and_what_grazes_a_face_does_not() {
        TestBody skilled = with(fromNeck(16, 22));
        skilled.shop = skilled.shop.with(TestPractice.with(skilled.shop.practice(), Set.of(Practice.Skill.DRILL)));
        assertThat(rule(skilled).finding()).isEmpty();
        TestBody near = with(fromNeck(6, 8));
        assertThat(rule(near).verdict()).isEqualTo(Rule.Verdict.THINK_AGAIN);
        TestBody out = with(fromNeck(3, 8));
        assertThat(rule(out).verdict()).isEqualTo(Rule.Verdict.FAILS);
        assertThat(rule(out).finding().orElseThrow().what(v -> "" + v.value())).contains("comes out through the front");
    }

    @Test
    void a_steadier_hand_comes_out_less_often() {
        TestBody free = with(fromNeck(12, 20));
        free.shop = free.shop.with(TestPractice.with(free.shop.practice(), Set.of()));
        TestBody square = with(fromNeck(12, 20));
        square.shop = square.shop.with(TestPractice.with(square.shop.practice(), Set.of(Practice.Skill.DRILL)));
        assertThat(rule(square).number().value()).isLessThan(rule(free).number().value());
    }

    @Test
    void it_must_begin_where_a_drill_can_be_set_and_end_in_a_space() {
        assertThat(rules(with(new Channel("stray", new Point(-100, 0), 20, IN_CAVITY, 22, 6))))
                .contains("channel-in-wood");
        assertThat(rules(with(new Channel("blind", IN_CAVITY, 20, new Point(-100, 0), 20, 6))))
                .contains("channel-in-wood");
        assertThat(rules(with(fromNeck(10, 24)))).doesNotContain("channel-in-wood", "channel-in-air");
        Point in = new TestBody().design().neck().pocket().centroid();
        assertThat(rules(with(new Channel("long", in, 10, new Point(-400, 0), 20, 8))))
                .as("beyond the edge")
                .contains("channel-in-air")
                .doesNotContain("channel-in-wood");
        assertThat(rules(with(fromNeck(10, 80)))).as("under the back").contains("channel-in-air");
    }

    @Test
    void from_the_edge_it_shows_and_from_the_front_only_under_the_bridge_it_does_not() {
        TestBody edge = with(new Channel("edge", new Point(165, -64), 22, new Point(110, -60), 22, 4));
        assertThat(Run.of(edge.build(), edge.channels.get(0)).begun()).isEqualTo(Begun.AT_THE_EDGE);
        assertThat(rules(edge)).contains("channel-plug");
        assertThat(rules(edge.done("channel-edge:drill"))).contains("channel-plug");
        List<String> drilled = new ArrayList<>(rules(edge));
        BuildPlan plugged = edge.done("channel-edge:plug").plan();
        drilled.remove("channel-plug");
        assertThat(plugged.findings())
                .extracting(Finding::rule)
                .as("nothing else is found for it")
                .containsExactlyInAnyOrderElementsOf(drilled);
        assertThat(plugged.step("channel-edge:plug").orElseThrow().done()).isTrue();
        TestBody ground = with(new Channel("ground", new Point(20, -10), 0, IN_CAVITY, 20, 3));
        assertThat(Run.of(ground.build(), ground.channels.get(0)).begun()).isEqualTo(Begun.ON_THE_FRONT);
        assertThat(rules(ground)).doesNotContain("channel-shows");
        TestBody seen = with(new Channel("ground", new Point(0, -120), 0, IN_CAVITY, 20, 3));
        assertThat(rules(seen)).contains("channel-shows");
    }

    /** A pickup whose rout the channel passes on its way has its wires' way too. */
    @Test
    void what_a_channel_passes_is_reached_by_wires() {
        TestBody body = new TestBody();
        body.pickups = body.pickups.stream().map(p -> p).toList();
        Channel through = fromNeck(body, 12, 20);
        body.channels.add(through);
        Run run = Run.of(body.build(), through);
        assertThat(run.spaces()).extracting(Space::feature).contains(Feature.parse("neck"), Feature.parse("controls"));
        assertThat(run.passage().through())
                .allSatisfy(
                        s -> assertThat(s.plan().intersection(run.bore().plan()).area())
                                .isPositive());
    }

    @Test
    void what_cannot_be_a_channel_is_refused() {
        assertThatThrownBy(() -> new Channel("c", new Point(0, 0), 10, new Point(2, 0), 10, 8))
                .hasMessageContaining("5 mm");
        assertThatThrownBy(() -> new Channel("c", new Point(0, 0), 10, new Point(20, 0), 10, 0))
                .isInstanceOf(RuntimeException.class);
        assertThatThrownBy(() -> new Channel("c", new Point(0, 0), -1, new Point(20, 0), 10, 8))
                .isInstanceOf(RuntimeException.class);
    }
}
