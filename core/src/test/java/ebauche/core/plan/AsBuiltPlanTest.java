package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Reckoning;
import ebauche.core.passes.Pass;
import ebauche.core.sheet.Moved;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What was done and measured is a fact, and every later number follows it. */
@Tag("slow")
class AsBuiltPlanTest {
    private static double number(TestBody body, String what) {
        return body.plan().reckoning(what).map(Reckoning::value).orElseThrow(() -> new AssertionError(what));
    }

    @Test
    void a_measured_heel_replaces_the_nominal_and_moves_the_pocket_by_as_much() {
        TestBody body = new TestBody();
        double before = body.figure("neck:rout");
        body.read("heel-thickness", 25.8);
        assertThat(body.figure("neck:rout")).isEqualTo(before + 0.4, within(1e-9));
    }

    @Test
    void sanding_the_front_before_the_pocket_is_cut_keeps_its_depth_and_thins_the_body() {
        TestBody body = new TestBody().doneUpTo("outline:finish");
        double depth = number(body, "pocket depth");
        double thick = number(body, "finished thickness");
        body.read("sanded-off:front", 0.4);
        assertThat(number(body, "pocket depth")).isEqualTo(depth, within(1e-9));
        assertThat(number(body, "finished thickness")).isEqualTo(thick - 0.4, within(1e-9));
        assertThat(body.figure("neck:rout")).isEqualTo(depth + 0.3, within(1e-9));
    }

    /** C1: after a depth m was measured and s sanded off, the depth is m - s and p - m + s is still to cut. */
    @Test
    void sanding_the_front_after_a_reading_leaves_more_still_to_cut() {
        TestBody body = new TestBody().doneUpTo("neck:rough").read("depth:neck", 23.5, "neck:rough");
        double left = number(body, "still to cut in the pocket");
        double saddle = number(body, "saddle height");
        body.read("sanded-off:front", 0.4);
        assertThat(number(body, "still to cut in the pocket")).isEqualTo(left + 0.4, within(1e-9));
        assertThat(number(body, "saddle height")).isEqualTo(saddle + 0.4, within(1e-9));
    }

    @Test
    void a_finished_pocket_that_became_shallow_gets_a_step_that_deepens_it() {
        TestBody body = new TestBody().doneUpTo("neck:rout");
        assertThat(body.schedule().step("neck:deepen")).isEmpty();
        body.read("sanded-off:front", 0.5);
        assertThat(body.schedule().step("neck:deepen")).isPresent();
    }

    @Test
    void a_pocket_read_too_deep_is_found_and_so_is_the_wood_that_is_missing() {
        TestBody body = new TestBody().doneUpTo("neck:rout").read("depth:neck", 25.4, "neck:rout");
        assertThat(body.rules()).contains("pocket-too-deep");
        double floor = body.plan().thinnest().stream()
                .filter(t -> t.feature().equals(Feature.parse("neck"))
                        && t.neighbour().equals(Feature.parse("back")))
                .findFirst()
                .orElseThrow()
                .thickness();
        // 44.5 finished + 0.3 still on the back are under a floor read at 25.4 from a front that loses 0.3
        assertThat(floor).isEqualTo(44.5 + 0.3 - 25.4, within(0.01));
    }

    @Test
    void what_is_done_stays_as_it_was_cut_when_the_design_changes_and_the_contradiction_is_found() {
        TestBody body = new TestBody().doneUpTo("pickup-neck:rout");
        var cut = body.schedule().step("pickup-neck:rout").orElseThrow();
        body.pickups.set(0, TestBody.pickup("neck", 0, 110, 19));
        BuildPlan plan = body.plan();
        assertThat(plan.findings()).anySatisfy(f -> {
            assertThat(f.rule()).isEqualTo("done-contradicted");
            assertThat(f.where()).isPresent();
        });
        assertThat(plan.stops()).isTrue();
        assertThat(plan.history()
                        .steps()
                        .get(plan.indexOf(plan.step("pickup-neck:rout").orElseThrow()))
                        .changes())
                .isEqualTo(cut.operation().changes());
    }

    @Test
    void a_shallower_pickup_after_it_was_cut_deep_is_a_contradiction_with_its_number() {
        TestBody body = new TestBody().doneUpTo("pickup-neck:rout");
        body.pickups.set(0, TestBody.pickup("neck", 0, 130, 16));
        assertThat(body.plan().findings()).anySatisfy(f -> {
            assertThat(f.rule()).isEqualTo("done-contradicted");
            assertThat(f.numbers().get(0).value()).isEqualTo(3, within(1e-6));
        });
    }

    @Test
    void a_withdrawn_entry_counts_no_more_and_stays_in_the_record() {
        TestBody body = new TestBody().read("heel-thickness", 30);
        double wrong = number(body, "pocket depth");
        body.timeline.add(
                new AsBuilt.Withdrawn("w", "", "test", body.timeline.get(0).id()));
        assertThat(number(body, "pocket depth")).isEqualTo(wrong - 4.6, within(1e-9));
        assertThat(body.build().asBuilt().timeline()).hasSize(2);
    }

    @Test
    void the_same_id_twice_is_refused() {
        List<AsBuilt.Entry> twice = List.of(
                new AsBuilt.Mishap("a", "", "", Optional.empty(), "x"),
                new AsBuilt.Mishap("a", "", "", Optional.empty(), "y"));
        assertThatThrownBy(() -> new AsBuilt(twice)).hasMessageContaining("stands twice");
    }

    @Test
    void a_reading_of_four_metres_is_refused() {
        assertThatThrownBy(() -> new TestBody().read("depth:neck", 4000)).hasMessageContaining("between 0 and 120");
    }

    @Test
    void a_step_done_before_what_it_needs_is_pointed_out() {
        TestBody body = new TestBody();
        body.done("neck:rout");
        assertThat(body.rules()).contains("done-early");
    }

    /** The passes of a deepened pocket begin at the floor that was read, not where the card of that day wanted it. */
    @Test
    void a_pocket_is_deepened_from_the_floor_that_was_found() {
        TestBody body = new TestBody().doneUpTo("neck:rout").read("depth:neck", 23.65, "neck:rout");
        List<Pass> passes = body.schedule()
                .step("neck:deepen")
                .orElseThrow()
                .operation()
                .setting()
                .passes();
        assertThat(passes).isNotEmpty();
        assertThat(passes.get(0).from()).isEqualTo(23.65, within(1e-9));
        assertThat(passes.get(passes.size() - 1).to()).isEqualTo(24.35, within(1e-9));
        body.done("neck:deepen");
        assertThat(body.schedule().steps())
                .noneMatch(s -> !s.done() && s.operation().key().written().startsWith("neck:r"));
        assertThat(body.rules()).doesNotContain("pocket-too-deep");
    }

    /** A pocket left half way is planned on from where it is: as it was read, not as it was to be. */
    @Test
    void a_pocket_left_half_way_goes_on_from_there() {
        TestBody body = new TestBody().doneUpTo("neck:start");
        double came = body.figure("neck:start");
        for (double off : new double[] {0, -0.6, 0.4}) {
            TestBody read = new TestBody().doneUpTo("neck:start").read("depth:neck", came + off, "neck:start");
            List<Pass> next = read.schedule()
                    .step("neck:rough")
                    .orElseThrow()
                    .operation()
                    .setting()
                    .passes();
            assertThat(next.get(0).from()).as("read off by " + off).isEqualTo(came + off, within(1e-9));
            assertThat(read.figure("neck:start")).isEqualTo(came + off, within(1e-9));
        }
    }

    /** Thicknessing took what it took: a body read a little or much thicker than it was to be makes no later step come too late. */
    @Test
    void a_blank_left_thicker_than_wanted_makes_nothing_done_early() {
        for (double thick : new double[] {44.9, 45.15, 45.4, 46, 48}) {
            TestBody body = new TestBody().doneUpTo("thickness:front").read("body-thickness", thick, "thickness:back");
            body.doneUpTo("outline:finish");
            assertThat(body.plan().findings())
                    .as(thick + " thick")
                    .noneMatch(f -> f.rule().equals("done-early"));
        }
    }

    /** A finished step that really took a later step's wood is still told, by what it took. */
    @Test
    void a_cavity_cut_far_too_deep_is_told_by_its_recorded_cut() {
        TestBody body = new TestBody();
        body.controls.clear();
        body.cavities.clear();
        body.jack = Optional.empty();
        body.doneUpTo("pickup-neck:rough");
        assertThat(body.rules()).doesNotContain("comes-through", "thin-floor");
        body.read("depth:pickup-neck", 44, "pickup-neck:rough");
        assertThat(body.rules()).contains("thin-floor");
    }

    /** What is cut is cut, whatever becomes of the design: it is weighed, and its floor is watched. */
    @Test
    void a_cavity_that_the_design_no_longer_has_stays_cut() {
        TestBody body = new TestBody().doneUpTo("pickup-neck:rout");
        double grams = body.plan().history().finished().balance().grams();
        body.pickups.remove(0);
        BuildPlan plan = body.plan();
        assertThat(plan.history().finished().balance().grams()).isEqualTo(grams, within(1e-6));
        assertThat(plan.step("pickup-neck:rout"))
                .hasValueSatisfying(s -> assertThat(s.done()).isTrue());
        assertThat(plan.thinnest()).anyMatch(t -> t.feature().equals(Feature.parse("pickup-neck")));
        assertThat(plan.findings())
                .anyMatch(f -> f.rule().equals("done-contradicted") && f.what().contains("no longer has"));
    }

    /** Whoever routs to depth without having logged what comes before it has a cavity, not steps that are left. */
    @Test
    void a_cavity_at_depth_wants_no_more_steps() {
        TestBody body = new TestBody().doneUpTo("pickup-neck:fit");
        body.done("pickup-neck:rout");
        List<String> left = body.schedule().steps().stream()
                .filter(s -> !s.done()
                        && s.operation().feature().equals(Feature.parse("pickup-neck"))
                        && !s.operation().key().written().equals("pickup-neck:screws"))
                .map(s -> s.operation().key().written())
                .toList();
        assertThat(left).containsExactly("pickup-neck:off");
        assertThat(body.done("pickup-neck:off").schedule().steps())
                .filteredOn(s -> !s.done() && s.operation().feature().equals(Feature.parse("pickup-neck")))
                .extracting(s -> s.operation().key().written())
                .as("its own screws, once the pickup lies in it")
                .containsExactly("pickup-neck:screws");
    }

    @Test
    void what_moved_names_the_pocket_and_its_steps_and_nothing_else() {
        TestBody body = new TestBody();
        BuildPlan before = body.plan();
        body.read("fingerboard-thickness", 6.05);
        List<Moved> moved = Moved.between(before, body.plan());
        assertThat(moved)
                .extracting(Moved::what)
                .contains("pocket depth", "Rout the neck pocket to depth", "Drill out the waste of the neck pocket")
                .noneMatch(w -> w.contains("pickup") || w.contains("control"));
        assertThat(moved.get(0).after().getAsDouble() - moved.get(0).before().getAsDouble())
                .isEqualTo(-0.3, within(1e-9));
        assertThat(Moved.between(before, before)).isEmpty();
    }
}
