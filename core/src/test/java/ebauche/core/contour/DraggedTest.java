package ebauche.core.contour;

import static ebauche.core.contour.TestContours.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.job.Build;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Profile;
import ebauche.core.stock.WoodLeft;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What a held contour is told to leave, against the plans of the body before and after. */
class DraggedTest {
    /** Off the back, under the pickups, whose depth is drawn and follows nothing. */
    private static Contour half(double depth) {
        return new Contour(
                "belly",
                Face.BACK,
                new Contour.Start.Across(new Point(5, -150), new Point(5, 240)),
                depth,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty());
    }

    private static double under(BuildPlan plan, Feature feature) {
        return plan.thinnest().stream()
                .filter(t -> t.feature().equals(feature) && t.neighbour().equals(Feature.BACK))
                .mapToDouble(WoodLeft.Thin::thickness)
                .min()
                .orElseThrow();
    }

    @Test
    void floors_that_follow_nothing_are_those_of_the_plan_it_would_be() {
        BuildPlan today = with(half(6)).plan();
        BuildPlan then = with(half(20)).plan();
        Build held = then.build();
        Dragged dragged = Dragged.of(held, today.history(), held.contours().get(0));
        int asked = 0;
        for (Dragged.Floor floor : dragged.floors()) {
            assertThat(floor.now().orElseThrow()).isEqualTo(under(today, floor.feature()));
            if (floor.feature().is(FeatureKind.PICKUP)) {
                asked++;
                assertThat(floor.then()).isCloseTo(under(then, floor.feature()), within(1e-9));
                assertThat(floor.then()).isLessThan(floor.now().orElseThrow() - 1);
            }
        }
        assertThat(asked).isEqualTo(2);
    }

    @Test
    void one_that_is_held_where_it_lies_changes_nothing() {
        BuildPlan plan = with(half(12), top(60, 6)).plan();
        Dragged still =
                Dragged.of(plan.build(), plan.history(), plan.build().contours().get(0));
        assertThat(still.floors())
                .isNotEmpty()
                .allSatisfy(f -> assertThat(f.then()).isCloseTo(f.now().orElseThrow(), within(1e-9)));
        assertThat(still.bands()).isEqualTo(EdgeBand.of(plan.build()));
    }
}
