package ebauche.core.sanding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.Contour;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Sanding comes last, takes what the shop's practice allows, and is settled by what was read. */
class SandingStationTest {
    private static Operation step(Build build, String key) {
        return new SandingStation()
                .operations(build).stream()
                        .filter(o -> o.key().written().equals(key))
                        .findFirst()
                        .orElseThrow();
    }

    /** A sanded face is not laid on the bench again for a router: nothing is cut after the first of it: common practice. */
    @Test
    void nothing_is_cut_once_sanding_has_begun() {
        List<Operation> steps = new TestBody()
                .plan().steps().stream().map(BuildPlan.PlanStep::operation).toList();
        int first = steps.stream()
                .filter(o -> o.work() == Work.SANDING)
                .findFirst()
                .map(steps::indexOf)
                .orElseThrow();
        assertThat(steps.subList(first, steps.size())).allMatch(o -> o.work() == Work.SANDING);
        assertThat(steps.subList(first, steps.size())).hasSize(3);
    }

    @Test
    void each_face_loses_the_shops_allowance_and_the_edge_is_not_measured() {
        TestBody body = new TestBody();
        Build build = body.build();
        for (Face face : Face.values()) {
            Operation sand = step(build, "sanding:" + face.word());
            double off = body.shop.practice().sanding(face);
            assertThat(sand.setting().figure().orElseThrow().value()).isCloseTo(off, within(1e-9));
            assertThat(sand.inspections())
                    .singleElement()
                    .satisfies(i -> assertThat(i.expected().value()).isCloseTo(off, within(1e-9)));
            assertThat(sand.face()).isEqualTo(face);
            assertThat(sand.cautions()).contains(Caution.DUST);
        }
        assertThat(step(build, "sanding:edge").inspections()).isEmpty();
    }

    /** The wood that goes is all that lies over the finished face, from the air above it down. */
    @Test
    void what_is_cut_ends_at_the_finished_face() {
        TestBody body = new TestBody();
        Build build = body.build();
        Operation front = step(build, "sanding:front");
        assertThat(front.changes().get(0).solid().deepest())
                .isCloseTo(build.faces().frontFinished(), within(1e-9));
        assertThat(front.changes().get(0).solid().shallowest())
                .isLessThan(build.faces().frontNow());
        Operation back = step(build, "sanding:back");
        assertThat(back.changes().get(0).solid().shallowest())
                .isCloseTo(build.faces().backFinished(), within(1e-9));
        assertThat(back.changes().get(0).solid().deepest())
                .isGreaterThan(build.faces().backNow());
    }

    /** What was read at the step is no longer to be sanded off; more than the allowance leaves nothing. */
    @Test
    void a_reading_leaves_the_rest() {
        TestBody body = new TestBody();
        double off = body.shop.practice().sanding(Face.FRONT);
        body.read("sanded-off:front", off / 3, "sanding:front");
        assertThat(step(body.build(), "sanding:front")
                        .setting()
                        .figure()
                        .orElseThrow()
                        .value())
                .isCloseTo(off * 2 / 3, within(1e-9));
        body.read("sanded-off:front", off, "sanding:front");
        assertThat(step(body.build(), "sanding:front")
                        .setting()
                        .figure()
                        .orElseThrow()
                        .value())
                .isCloseTo(0, within(1e-9));
    }

    /** A carved face is sanded along its carve as much as on its flat. */
    @Test
    void a_carved_face_is_sanded_in_the_carve_too() {
        TestBody body = new TestBody();
        int flat = step(body.build(), "sanding:front").changes().size();
        body.contours.add(new Contour(
                "top", Face.FRONT, new Contour.Start.Round(40), 8, Profile.Shape.ROUND, OptionalDouble.empty()));
        assertThat(step(body.build(), "sanding:front").changes()).hasSize(flat + 1);
        assertThat(step(body.build(), "sanding:back").changes()).hasSize(flat);
        BuildPlan plan = body.plan();
        assertThat(plan.step(StepKey.parse("contour-top:carve"))
                        .map(plan::indexOf)
                        .orElseThrow())
                .isLessThan(plan.step(StepKey.parse("sanding:front"))
                        .map(plan::indexOf)
                        .orElseThrow());
    }
}
