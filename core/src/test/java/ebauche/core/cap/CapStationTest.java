package ebauche.core.cap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.design.Contour;
import ebauche.core.design.Recap;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hollow.NewCap;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Profile;
import ebauche.core.stock.WoodLeft;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** A new cap on a body that is built, as a job: its steps, their order, and the wood after each. */
class CapStationTest {
    private static final double PLANED = 2;
    private static final double CAP = 5;

    private static TestBody built() {
        TestBody body = new TestBody();
        List<BuildPlan.PlanStep> steps = body.schedule().steps();
        return body.doneUpTo(steps.get(steps.size() - 1).operation().key().written());
    }

    private static TestBody capped() {
        TestBody body = built();
        body.recap = Optional.of(new Recap(PLANED, CAP, TestTimber.ASH));
        return body;
    }

    private static List<String> toDo(TestBody body) {
        return body.schedule().steps().stream()
                .filter(s -> !s.done())
                .map(s -> s.operation().key().written())
                .toList();
    }

    private static double gramsAfter(BuildPlan plan, String key) {
        List<History.Step> steps = plan.history().steps();
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).operation().key().written().equals(key)) {
                return plan.history().before(i + 1).balance().grams();
            }
        }
        throw new IllegalArgumentException(key);
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.steps().stream()
                .map(BuildPlan.PlanStep::operation)
                .filter(o -> o.key().written().equals(key))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void its_steps_stand_after_all_else_in_the_order_of_the_job() {
        assertThat(toDo(built())).isEmpty();
        TestBody body = capped();
        assertThat(toDo(body))
                .containsExactly(
                        "new-cap:mark",
                        "new-cap:front",
                        "new-cap:top-level",
                        "new-cap:top",
                        "new-cap:edge",
                        "new-cap:start",
                        "new-cap:rout",
                        "new-cap:drill",
                        "new-cap:finish");
        assertThat(body.plan().findings())
                .extracting(Finding::rule)
                .doesNotContain("nobody-gives", "circle", "done-early");
        assertThat(step(body.plan(), "new-cap:mark").places())
                .extracting(p -> p.name())
                .contains("neck pocket", "bridge pickup cavity")
                .doesNotContain("control cavity");
    }

    /** Volumes by hand, as areas by depths: what was open is neither planed nor stays covered. 0.2 % of the wood that moves. */
    @Test
    void every_step_takes_and_puts_on_the_wood_that_it_says() {
        BuildPlan plan = capped().plan();
        NewCap cap = NewCap.overWhatIsCut(plan.build()).orElseThrow();
        Region body = plan.build().design().outline().region();
        double open = cap.cavities().area();
        double ash = TestTimber.ASH.density().value() * 1e-6;
        double alder = TestTimber.ALDER.density().value() * 1e-6;
        double before = gramsAfter(plan, "new-cap:mark");
        double planed = before - gramsAfter(plan, "new-cap:front");
        // The neck's screws and the controls' holes are open too.
        assertThat(planed).isCloseTo((body.area() - open) * PLANED * alder, within(planed * 0.03));
        double glued = gramsAfter(plan, "new-cap:top") - gramsAfter(plan, "new-cap:top-level");
        assertThat(glued).isCloseTo(body.grown(4).area() * CAP * ash, within(glued * 0.002));
        double trimmed = gramsAfter(plan, "new-cap:edge") - gramsAfter(plan, "new-cap:front");
        assertThat(trimmed).isCloseTo(body.area() * CAP * ash, within(trimmed * 0.002));
        double opened = gramsAfter(plan, "new-cap:rout") - gramsAfter(plan, "new-cap:front");
        assertThat(opened).isCloseTo((body.area() - open) * CAP * ash, within(opened * 0.002));
        assertThat(opened).isCloseTo(cap.comesOn(TestTimber.ASH).grams(), within(opened * 0.002));
    }

    /** Done step by step it stands as recorded, and what lies under it is still what the record of the old body says. */
    @Test
    void done_step_by_step_it_stays_a_record() {
        TestBody body = capped();
        double planned = gramsAfter(body.plan(), "new-cap:finish");
        List<String> keys = toDo(body);
        for (String key : keys) {
            assertThat(toDo(body)).startsWith(key);
            body.done(key);
        }
        assertThat(toDo(body)).isEmpty();
        BuildPlan plan = body.plan();
        assertThat(gramsAfter(plan, "new-cap:finish")).isCloseTo(planned, within(1e-6));
        assertThat(plan.findings())
                .extracting(Finding::rule)
                .doesNotContain("done-early", "cut-away", "cap-on-nothing");
        NewCap cap = NewCap.overWhatIsCut(plan.build()).orElseThrow();
        assertThat(cap.deeper())
                .extracting(d -> d.feature().word() + " " + Math.round(1000 * d.is().value()))
                .isEqualTo(NewCap.overWhatIsCut(capped().build()).orElseThrow().deeper().stream()
                        .map(d -> d.feature().word() + " " + Math.round(1000 * d.is().value()))
                        .toList());
        assertThat(NewCap.of(plan.build(), plan.history(), PLANED, CAP)
                        .planedOff(plan.history())
                        .grams())
                .as("reckoned on the body before its cap")
                .isPositive();
    }

    /** What is glued on is a fact: a cap that is drawn otherwise afterwards is trimmed and opened as it lies. */
    @Test
    void a_cap_drawn_otherwise_once_it_is_on_stays_as_it_is() {
        TestBody body = capped();
        body.doneUpTo("new-cap:top");
        body.recap = Optional.of(new Recap(0, 3, TestTimber.ASH));
        NewCap cap = NewCap.overWhatIsCut(body.build()).orElseThrow();
        assertThat(cap.planed()).isCloseTo(PLANED, within(1e-9));
        assertThat(cap.cap()).isCloseTo(CAP, within(1e-9));
        assertThat(NewCap.isGlued(body.build())).isTrue();
        assertThat(NewCap.isGlued(capped().build())).isFalse();
    }

    /** Its front is a face like another: flat but where it is opened. */
    @Test
    void the_front_is_that_of_the_cap_once_it_is_on() {
        BuildPlan plan = capped().plan();
        int last = plan.steps().size() - 1;
        double front = NewCap.front(plan.build(), plan.history(), last, 0);
        assertThat(front).isCloseTo(plan.build().faces().frontFinished() - (CAP - PLANED), within(1e-9));
        assertThat(front).isEqualTo(plan.build().frontmost());
        NewCap cap = NewCap.overWhatIsCut(plan.build()).orElseThrow();
        double flat =
                plan.build().design().outline().region().minus(cap.cavities()).area();
        assertThat(plan.history().finished().flat(front, true)).isCloseTo(flat, within(flat * 0.002));
        assertThat(NewCap.front(plan.build(), plan.history(), 0, 7)).isEqualTo(7);
    }

    /** Wood that is left under it is told as it was: the cap fills no cavity. */
    @Test
    void floors_and_walls_are_those_of_the_old_body() {
        assertThat(capped().plan().history().thinnest())
                .extracting(WoodLeft.Thin::thickness)
                .isEqualTo(built().plan().history().thinnest().stream()
                        .map(WoodLeft.Thin::thickness)
                        .toList());
    }

    @Test
    void an_undone_cut_of_the_front_comes_before_it() {
        TestBody body = new TestBody();
        body.doneUpTo("neck:rout");
        body.recap = Optional.of(new Recap(0, CAP, TestTimber.ASH));
        List<String> keys = toDo(body);
        assertThat(keys.indexOf("new-cap:mark")).isGreaterThan(keys.indexOf("pickup-bridge:rout"));
        assertThat(keys.indexOf("new-cap:front")).isGreaterThan(keys.indexOf("sanding:front"));
        assertThat(body.rules()).doesNotContain("cap-on-nothing");
        TestBody untouched = new TestBody();
        untouched.recap = body.recap;
        assertThat(untouched.rules()).contains("cap-on-nothing");
    }

    @Test
    void holes_are_drilled_anew_and_carves_carried_on() {
        TestBody body = new TestBody();
        body.studs = Optional.of(new Bridge.Studs(82, 0, 11, 18));
        body.contours.add(new Contour(
                "forearm",
                Face.FRONT,
                new Contour.Start.Round(30),
                10,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        List<BuildPlan.PlanStep> steps = body.schedule().steps();
        body.doneUpTo(steps.get(steps.size() - 1).operation().key().written());
        body.recap = Optional.of(new Recap(0, CAP, TestTimber.ASH));
        BuildPlan plan = body.plan();
        assertThat(step(plan, "new-cap:drill").places())
                .extracting(p -> p.name())
                .contains("bridge stud holes 1", "bridge stud holes 2");
        Setting.Carved carved = (Setting.Carved) step(plan, "new-cap:carve").setting();
        assertThat(carved.depth().value()).isCloseTo(10 + CAP, within(1e-9));
        assertThat(body.rules()).contains("cap-over-a-carve", "cap-moves-the-front");
        // What stands over the old carve is gone again: under the rim there is no more wood than before.
        Region rim = plan.build().contours().get(0).plan();
        assertThat(plan.history()
                        .finished()
                        .intervalsAt(rim.inner().x(), rim.inner().y())[0])
                .isGreaterThan(0);
    }

    @Test
    void the_bits_that_follow_reach_through_it() {
        BuildPlan plan = capped().plan();
        for (String key : List.of("new-cap:edge", "new-cap:rout")) {
            assertThat(step(plan, key).setting()).as(key).isInstanceOfSatisfying(Setting.Routed.class, s -> {
                assertThat(s.passes()).singleElement().satisfies(p -> {
                    assertThat(p.cutter().bit().bearing().atTip()).isTrue();
                    assertThat(p.cutter().bit().cutterLength()).isGreaterThanOrEqualTo(CAP);
                    assertThat(p.cutter().fits()).isTrue();
                });
                assertThat(s.depth().value()).isEqualTo(CAP);
            });
        }
        TestBody bare = capped();
        bare.shop = bare.shop.with(bare.shop
                .crib()
                .only(bare.shop.crib().bits().stream()
                        .filter(b -> !b.bearing().atTip())
                        .toList()));
        assertThat(step(bare.plan(), "new-cap:edge").setting()).isInstanceOf(Setting.ByHand.class);
    }

    @Test
    void a_cap_that_moves_the_front_is_told_and_one_of_its_thickness_is_not() {
        TestBody body = capped();
        assertThat(body.rules()).contains("cap-moves-the-front").doesNotContain("new-cap-too-thin");
        body.recap = Optional.of(new Recap(4.5, 5, TestTimber.ASH));
        assertThat(body.rules()).doesNotContain("cap-moves-the-front");
        body.recap = Optional.of(new Recap(1, 1.5, TestTimber.ASH));
        assertThat(body.rules()).contains("new-cap-too-thin");
        assertThatThrownBy(() -> new Recap(0, 0.5, TestTimber.ASH))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("cap"));
        body.thickness = 15;
        body.recap = Optional.of(new Recap(19, 5, TestTimber.ASH));
        assertThatThrownBy(body::design)
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("planed"));
    }
}
