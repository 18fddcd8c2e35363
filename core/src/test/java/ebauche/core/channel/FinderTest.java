package ebauche.core.channel;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.channel.Finder.Proposal;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.job.Finding;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.WoodLeft;
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
