package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.TestTimber;
import ebauche.core.crib.HoldDown;
import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.FinishedFaces;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.operation.Operation;
import ebauche.core.shop.Habit;
import ebauche.core.stock.Change;
import ebauche.core.stock.Profile;
import ebauche.core.stock.Solid;
import ebauche.core.stock.Workpiece;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What good shops do besides: common practice. Each has its place by what it needs and gives, and a shop may do without. */
class HabitsTest {
    private static TestBody studded() {
        TestBody body = new TestBody();
        body.studs = Optional.of(new Bridge.Studs(74, 4, 11, 20));
        return body;
    }

    private static TestBody keeping(TestBody body, Set<Habit> habits) {
        body.shop = body.shop.with(body.shop.practice().with(habits));
        return body;
    }

    private static List<String> order(TestBody body) {
        return body.schedule().steps().stream()
                .map(s -> s.operation().key().written())
                .toList();
    }

    private static Operation step(TestBody body, String key) {
        return body.schedule()
                .step(key)
                .orElseThrow(() -> new AssertionError(key))
                .operation();
    }

    @Test
    void a_trial_comes_between_the_bridges_marks_and_its_first_hole() {
        assertThat(order(studded())).containsSubsequence("neck:bridge", "bridge:trial", "bridge-studs:drill");
    }

    @Test
    void controls_are_tried_when_the_top_over_them_is_done_and_before_it_is_sanded() {
        assertThat(order(new TestBody()))
                .containsSubsequence("control-volume:drill", "controls:rout", "controls:try-parts", "sanding:front");
    }

    @Test
    void the_line_is_looked_along_again_with_the_screws_in() {
        assertThat(order(new TestBody()))
                .containsSubsequence("neck:check", "neck-screws:heel", "neck-screws:recheck", "sanding:front");
        assertThat(step(new TestBody(), "neck-screws:recheck").inspections()).hasSize(1);
    }

    @Test
    void a_wall_is_smoothed_before_a_bearing_rides_on_it() {
        List<String> order = order(new TestBody());
        assertThat(order).containsSubsequence("controls:off", "controls:smooth", "controls:rough");
        assertThat(order).as("no bearing rides on a recess's wall").doesNotContain("cover:smooth");
    }

    @Test
    void a_shop_that_does_without_has_neither_steps_nor_lines() {
        TestBody body = keeping(studded(), Set.of());
        assertThat(order(body))
                .doesNotContain("bridge:trial", "controls:try-parts", "neck-screws:recheck", "controls:smooth")
                .hasSize((int) (order(studded()).size() - 3 - smoothed(studded())));
        assertThat(body.schedule().steps())
                .allSatisfy(s -> assertThat(s.operation().habits()).isEmpty());
        assertThat(body.rules()).isEqualTo(studded().rules());
    }

    private static long smoothed(TestBody body) {
        return order(body).stream().filter(k -> k.endsWith(":smooth")).count();
    }

    @Test
    void one_habit_is_left_out_by_itself() {
        EnumSet<Habit> most = EnumSet.complementOf(EnumSet.of(Habit.TRIAL));
        assertThat(order(keeping(studded(), most)))
                .doesNotContain("bridge:trial")
                .contains("controls:try-parts", "neck-screws:recheck");
    }

    /** What is prepared is done already: nobody is asked to prepare it. */
    @Test
    void nothing_is_proved_after_the_fact() {
        TestBody without = keeping(studded(), Set.of()).doneUpTo("bridge-studs:drill");
        assertThat(order(keeping(without, EnumSet.allOf(Habit.class)))).doesNotContain("bridge:trial");
        TestBody with = studded().doneUpTo("bridge-studs:drill");
        assertThat(order(with)).as("what was done stays").contains("bridge:trial");
    }

    @Test
    void cards_remind_where_it_matters() {
        TestBody body = new TestBody();
        assertThat(step(body, "outline:saw").habits()).contains(Habit.COOL_BLADE);
        assertThat(step(body, "cover:rout").habits()).contains(Habit.ZERO_ON_COVER);
        assertThat(step(body, "control-volume:drill").habits()).contains(Habit.STEPPED);
        assertThat(step(body, "pickup-neck:fit").habits()).contains(Habit.SMOOTH);
        assertThat(step(body, "outline:finish").habits())
                .as("the last round of the outline has its bearing below")
                .contains(Habit.RAISE);
    }

    @Test
    void the_first_of_two_bevels_is_tried_in_the_same_wood() {
        TestBody body = new TestBody();
        for (Face face : Face.values()) {
            body.contours.add(new Contour(
                    face.word(),
                    face,
                    new Contour.Start.Across(new Point(-160, -40), new Point(-50, -150)),
                    9,
                    Profile.Shape.STRAIGHT,
                    OptionalDouble.empty()));
        }
        assertThat(body.schedule().steps().stream()
                        .map(BuildPlan.PlanStep::operation)
                        .filter(o -> o.key().is(StepKind.CARVE))
                        .map(o -> o.habits().contains(Habit.TEST_BEVEL)))
                .containsExactly(true, false);
    }

    @Test
    void each_bit_is_tried_once_and_a_turn_of_the_body_is_told() {
        BuildPlan plan = new TestBody().plan();
        List<Operation> steps =
                plan.steps().stream().map(BuildPlan.PlanStep::operation).toList();
        long bits = steps.stream()
                .flatMap(s -> s.setting().passes().stream())
                .map(p -> p.cutter().bit())
                .distinct()
                .count();
        long tried = steps.stream()
                .filter(s -> s.habits().contains(Habit.TEST_PIECE))
                .count();
        assertThat(tried).isPositive().isLessThanOrEqualTo(bits);
        for (int i = 1; i < steps.size(); i++) {
            if (steps.get(i).habits().contains(Habit.PAD)) {
                assertThat(steps.get(i).face()).isNotEqualTo(steps.get(i - 1).face());
            }
        }
        assertThat(steps).anyMatch(s -> s.habits().contains(Habit.PAD));
    }

    /** What small hands have learned the hard way stands where it happens: chips at the outline, CA before the finish. */
    @Test
    void chips_and_ca_are_minded_where_they_happen() {
        TestBody body = new TestBody();
        assertThat(body.schedule()
                        .step("outline:rout")
                        .orElseThrow()
                        .operation()
                        .habits())
                .contains(Habit.CHIP);
        assertThat(body.schedule()
                        .step(FinishedFaces.finish(Face.FRONT))
                        .orElseThrow()
                        .operation()
                        .habits())
                .doesNotContain(Habit.CA_RESIDUE);
        body.shop = body.shop.with(TestPractice.with(body.shop.practice(), HoldDown.TAPE_AND_CA));
        for (Face face : Face.values()) {
            assertThat(body.schedule()
                            .step(FinishedFaces.finish(face))
                            .orElseThrow()
                            .operation()
                            .habits())
                    .contains(Habit.CA_RESIDUE);
        }
    }

    /** A pocket that came too wide: a strip glued in up to the face is routed again, a shim on its floor is not. */
    @Test
    void filler_is_routed_again() {
        TestBody body = new TestBody().doneUpTo("pickup-neck:rout");
        assertThat(order(body)).doesNotContain("pickup-neck:widen");
        Region strip = Region.rectangle(new Point(-37, 130), 6, 30, 0, 0);
        double front = body.build().faces().frontNow();
        TestBody shimmed = new TestBody().doneUpTo("pickup-neck:rout");
        shimmed.timeline.add(glued(strip, front + 15, front + 19));
        assertThat(order(shimmed)).doesNotContain("pickup-neck:widen");
        body.timeline.add(glued(strip, front, front + 19));
        assertThat(order(body)).contains("pickup-neck:widen");
        body.doneUpTo("pickup-neck:widen");
        assertThat(body.schedule().step("pickup-neck:widen").orElseThrow().done())
                .isTrue();
        assertThat(body.rules()).doesNotContain("cut-too-small", "done-contradicted");
    }

    private static AsBuilt.Done glued(Region strip, double from, double to) {
        return new AsBuilt.Done(
                "filler",
                "2026-11-02T10:00:00Z",
                "test",
                StepKey.parse("repair-filler:glue"),
                "Glue a strip in",
                Face.FRONT,
                List.of(new Change.Add(
                        Feature.parse("repair-filler"),
                        Workpiece.BODY,
                        Solid.Prism.between(strip, from, to),
                        TestTimber.MATERIAL)),
                Map.of());
    }
}
