package ebauche.core.channel;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.channel.Finder.Proposal;
import ebauche.core.design.Passage.Begun;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Cover;
import ebauche.core.job.Finding;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.WoodLeft;
import ebauche.core.wires.Run;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Channels are found where wires have no way; what is found can be drilled, keeps its wood, and gives them one. */
@Tag("slow")
class FinderTest {
    private static TestBody body(double thickness) {
        TestBody body = new TestBody();
        body.thickness = thickness;
        body.pickups =
                List.of(TestBody.pickup("neck", 0, 130, 19, Set.of()), TestBody.pickup("bridge", 0, 40, 19, Set.of()));
        return body;
    }

    private static List<Proposal> found(TestBody body) {
        BuildPlan plan = body.plan();
        return Finder.missing(plan.build(), plan.history());
    }

    @ParameterizedTest
    @ValueSource(doubles = {40, 44, 46})
    void what_is_found_gives_every_wire_a_way(double thickness) {
        TestBody body = body(thickness);
        BuildPlan before = body.plan();
        assertThat(rules(before)).contains("no-way-for-wires");
        List<Proposal> found = found(body);
        assertThat(found).isNotEmpty();
        found.forEach(p -> body.channels.add(p.channel()));
        assertThat(rules(body.plan())).doesNotContain("no-way-for-wires", "channel-in-wood", "channel-comes-out");
        assertThat(stops(body.plan())).as("nothing new stops the build").isSubsetOf(stops(before));
        assertThat(found(body)).isEmpty();
    }

    /** Nothing that it is not meant to open into is nearer than three millimetres, and no face. */
    @Test
    void it_keeps_its_wood_all_round() {
        TestBody body = body(44);
        found(body).forEach(p -> body.channels.add(p.channel()));
        assertThat(body.plan().history().thinnest().stream()
                        .filter(t -> isChannel(t.feature()) || isChannel(t.neighbour()))
                        .map(WoodLeft.Thin::thickness))
                .isNotEmpty()
                .allMatch(t -> t > 2.9);
    }

    private static boolean isChannel(Feature feature) {
        return feature.is(FeatureKind.CHANNEL);
    }

    @Test
    void the_same_body_gives_the_same_channels_and_each_says_what_it_gives_a_way() {
        List<Proposal> once = found(body(44));
        assertThat(found(body(44))).isEqualTo(once);
        assertThat(once).allSatisfy(p -> {
            assertThat(p.reaches()).isNotEmpty();
            assertThat(p.drill()).isGreaterThan(p.channel().across());
            assertThat(p.chance()).isBetween(0.0, 0.2);
        });
    }

    /**
     * Two small deep cavities from the back: no chuck goes into either, and no drill gets out over a face from one into the other. From the
     * edge through the one into the other it goes, and its mouth is plugged before the edge is sanded.
     */
    @Test
    void from_the_edge_where_no_drill_can_be_held_inside() {
        TestBody body = body(44);
        body.pickups = List.of();
        body.jack = java.util.Optional.empty();
        body.controls.clear();
        body.controls.add(TestBody.pot("volume", -110, -110, 12));
        body.controls.add(TestBody.pot("tone", -110, 10, 12));
        body.cavities = new java.util.ArrayList<>(List.of(pit("low", -110, -110), pit("high", -110, 10)));
        List<Proposal> found = found(body);
        assertThat(found).first().satisfies(p -> {
            assertThat(p.reaches()).isNotEmpty();
            Run run = Run.of(body.build(), p.channel());
            assertThat(run.begun()).as(p.toString()).isEqualTo(Begun.AT_THE_EDGE);
            assertThat(run.spaces()).hasSize(2);
        });
        List<String> before = stops(body.plan());
        found.forEach(p -> body.channels.add(p.channel()));
        BuildPlan plan = body.plan();
        assertThat(rules(plan)).contains("channel-plug").doesNotContain("no-way-for-wires", "channel-no-room");
        assertThat(stops(plan)).as(plan.findings() + "").isSubsetOf(before);
        String id = "channel-" + found.get(0).channel().id();
        assertThat(plan.steps().stream().map(s -> s.operation().key().written()))
                .containsSubsequence("cavity-low:rout", id + ":drill", id + ":plug", "sanding:edge");
    }

    private static Cavity pit(String id, double x, double y) {
        double half = 9;
        return new Cavity(
                id,
                Face.BACK,
                Outline.parse(
                        "M %1$s %3$s L %2$s %3$s L %2$s %4$s L %1$s %4$s Z"
                                .formatted(x - half, x + half, y - half, y + half),
                        1),
                new Cavity.Floor.Leaving(6),
                Cover.letIn(2.5, 5),
                Set.of());
    }

    @Test
    void where_nothing_is_wired_nothing_is_found() {
        TestBody body = body(44);
        body.controls.clear();
        body.jack = java.util.Optional.empty();
        assertThat(found(body)).isEmpty();
        assertThat(Set.copyOf(rules(body.plan()))).doesNotContain("no-way-for-wires");
    }

    private static List<String> rules(BuildPlan plan) {
        return plan.findings().stream().map(Finding::rule).toList();
    }

    private static List<String> stops(BuildPlan plan) {
        return plan.findings().stream()
                .filter(f -> f.severity() == Finding.Severity.STOPS)
                .map(Finding::rule)
                .toList();
    }
}
