package ebauche.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Jack;
import ebauche.core.operation.Operation;
import ebauche.core.passes.Pass;
import ebauche.core.passes.Reach;
import ebauche.core.plan.BuildPlan;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A bearing that runs on a wall dives into a hole in it: common practice. Where, worked out here from bit, pass and hole. */
class BearingGapTest {
    private static final double HOLE = 10;

    /** Where the jack hole opens into the cavity's wall. */
    private static final Point MOUTH = new Point(133, -40);

    private static TestBody jackAt(double fromFront) {
        TestBody body = new TestBody();
        body.jack = Optional.of(new Jack(new Point(165, -40), new Point(110, -40), HOLE, fromFront));
        return body;
    }

    private static List<BearingGap> stops(BuildPlan plan, String step) {
        return BearingGap.at(plan, plan.step(step).orElseThrow().operation());
    }

    /** The control cavity is begun on its template and goes on with the bearing on its own wall, from the back. */
    @Test
    void a_pass_stops_where_the_jacks_hole_takes_the_wall_from_its_bearing() {
        int stopped = 0;
        for (double fromFront = 14; fromFront <= 38; fromFront += 0.75) {
            BuildPlan plan = jackAt(fromFront).plan();
            assertThat(plan.indexOf(plan.step("jack:drill").orElseThrow()))
                    .isLessThan(plan.indexOf(plan.step("controls:rough").orElseThrow()));
            double axis = plan.build().faces().frontFinished() + fromFront;
            double back = plan.build().faces().backNow();
            for (String key : List.of("controls:rough", "controls:rout")) {
                Operation step = plan.step(key).orElseThrow().operation();
                List<double[]> expected = new ArrayList<>();
                for (Pass pass : step.setting().passes()) {
                    assertThat(pass.guide()).isEqualTo(Pass.Guide.WALL);
                    // the bearing sits on the shank, over the cutting edges
                    double low = pass.to() - pass.cutter().bit().cutterLength();
                    double high = Math.max(0, low - pass.cutter().bit().guideWidth());
                    double from = Math.max(high, back - axis - HOLE / 2);
                    double to = Math.min(low, back - axis + HOLE / 2);
                    if (to > from + 0.05 && low - high - (to - from) < Reach.LEAST_CONTACT - 0.05) {
                        expected.add(new double[] {from, to});
                    }
                }
                List<BearingGap> found = stops(plan, key);
                assertThat(found).as("%s, jack %s down", key, fromFront).hasSameSizeAs(expected);
                for (int i = 0; i < found.size(); i++) {
                    assertThat(found.get(i).feature()).isEqualTo(Feature.parse("jack"));
                    assertThat(found.get(i).from()).isCloseTo(expected.get(i)[0], within(1e-6));
                    assertThat(found.get(i).to()).isCloseTo(expected.get(i)[1], within(1e-6));
                    assertThat(found.get(i).at().distance(MOUTH)).isLessThan(3);
                    stopped++;
                }
            }
        }
        assertThat(stopped).as("the sweep went through the bearing's band").isPositive();
    }

    @Test
    void on_its_template_a_bearing_dives_nowhere() {
        BuildPlan plan = jackAt(32).plan();
        for (String key : List.of("controls:start", "neck:rough", "cover:rout", "outline:rout")) {
            assertThat(stops(plan, key)).as(key).isEmpty();
        }
        assertThat(stops(plan, "jack:drill")).isEmpty();
    }

    /** What is cut later is no hole yet: without a jack there is nothing to dive into, whatever else stands in the plan. */
    @Test
    void what_is_cut_afterwards_stops_nothing() {
        TestBody body = jackAt(32);
        body.jack = Optional.empty();
        BuildPlan plan = body.plan();
        assertThat(stops(plan, "controls:rough")).isEmpty();
        assertThat(stops(plan, "outline:finish")).isEmpty();
    }
}
