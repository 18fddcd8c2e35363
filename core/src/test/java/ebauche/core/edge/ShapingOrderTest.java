package ebauche.core.edge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.crib.Bit;
import ebauche.core.design.Contour;
import ebauche.core.design.RoundOver;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Stations;
import ebauche.core.shop.Practice.Shaping;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Round-overs before contours and contours before round-overs: both are done, and each costs something else. */
class ShapingOrderTest {
    private static final String ROUT = "rounding-front:rout";
    private static final String CARVE = "contour-forearm:carve";
    private static final String BREAK = "rounding-front:finish";

    private static TestBody body(Shaping first) {
        TestBody body = new TestBody();
        body.roundOvers.add(new RoundOver("front", Face.FRONT, 6.35, Optional.empty()));
        body.roundOvers.add(new RoundOver("back", Face.BACK, 6.35, Optional.empty()));
        body.contours.add(new Contour(
                "forearm",
                Face.FRONT,
                new Contour.Start.Across(new Point(-160, 0), new Point(0, -150)),
                20,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        Bit plain = Bit.usual("round-over", Bit.Bearing.AT_TIP, 12.7, 14, 6.35);
        Bit rounding = new Bit(
                plain.name(),
                Bit.Profile.ROUND_OVER,
                Bit.Bearing.AT_TIP,
                25.4,
                14,
                plain.overallLength(),
                6.35,
                12.7,
                25,
                2,
                Bit.Spiral.NONE,
                true,
                0,
                Bit.Edge.SHARP,
                true,
                "");
        body.shop = body.shop
                .with(body.shop.crib().with(rounding))
                .with(body.shop.practice().with(first));
        return body;
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream().map(s -> s.operation().key().written()).toList();
    }

    @Test
    void each_school_has_its_order_and_neither_contradicts_itself() {
        BuildPlan rounded = body(Shaping.ROUND_OVER_FIRST).plan();
        List<String> keys = keys(rounded);
        assertThat(keys.indexOf(ROUT)).isLessThan(keys.indexOf(CARVE));
        assertThat(keys.indexOf(CARVE)).isLessThan(keys.indexOf(BREAK));
        BuildPlan carved = body(Shaping.CONTOURS_FIRST).plan();
        assertThat(keys(carved).indexOf(CARVE)).isLessThan(keys(carved).indexOf(ROUT));
        assertThat(keys(carved)).doesNotContain(BREAK);
        for (BuildPlan plan : List.of(rounded, carved)) {
            assertThat(plan.findings())
                    .extracting(Finding::rule)
                    .doesNotContain("circle", "nobody-gives", "done-contradicted");
        }
        assertThat(carved.history().finished().volume())
                .as("the same body")
                .isCloseTo(rounded.history().finished().volume(), within(200.0));
    }

    /** Walked by itself: where the contour lies more than half a millimetre inside the face at the edge. */
    @Test
    void what_a_contour_takes_of_a_corner_is_broken_by_hand_afterwards() {
        Build build = body(Shaping.ROUND_OVER_FIRST).build();
        RoundOver.Laid front = build.roundOvers().get(0);
        EdgeZones zones = Stations.zones(build, front).orElseThrow();
        EdgeWalk walk = new EdgeWalk(build.design().outline().region());
        double taken = 0;
        for (double way = 0; way < walk.length(); way += 0.5) {
            taken += build.contours().get(0).under(0).fall(walk.at(way, 0)) > 0.5 ? 0.5 : 0;
        }
        assertThat(zones.lost()).isCloseTo(taken, within(10.0));
    }

    @Test
    void what_each_costs_is_told_the_shops_own_first() {
        for (Shaping own : Shaping.values()) {
            Build build = body(own).build();
            List<ShapingCost> costs = Stations.shapingCosts(build);
            assertThat(costs)
                    .extracting(ShapingCost::first)
                    .doesNotHaveDuplicates()
                    .hasSize(2);
            assertThat(costs.get(0).first()).isEqualTo(own);
            ShapingCost carved = costs.stream()
                    .filter(c -> c.first() == Shaping.CONTOURS_FIRST)
                    .findFirst()
                    .orElseThrow();
            ShapingCost rounded = costs.stream()
                    .filter(c -> c.first() == Shaping.ROUND_OVER_FIRST)
                    .findFirst()
                    .orElseThrow();
            // Under the forearm the wide bearing of the back's corner finds no wall any more: hands do that too.
            assertThat(carved.byHand()).isGreaterThan(rounded.byHand() + 50);
            int minutes = body(own).schedule().steps().stream()
                    .filter(s -> s.operation().key().written().startsWith("rounding-"))
                    .mapToInt(s -> s.operation().handsOnMinutes())
                    .sum();
            assertThat(costs.get(0).minutes()).isEqualTo(minutes);
        }
    }

    /** Nobody breaks the corner of a contour that may never be carved, nor waits for it. */
    @Test
    void a_contour_that_is_not_decided_on_takes_no_corner() {
        for (Shaping first : Shaping.values()) {
            TestBody body = body(first);
            body.undecided = Set.of(Feature.parse("contour-forearm"));
            assertThat(keys(body.plan())).contains(ROUT).doesNotContain(BREAK, CARVE);
            assertThat(Stations.zones(body.build(), body.build().roundOvers().get(0))
                            .orElseThrow()
                            .lost())
                    .isZero();
        }
    }
}
