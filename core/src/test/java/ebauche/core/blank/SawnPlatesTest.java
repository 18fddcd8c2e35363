package ebauche.core.blank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestTimber;
import ebauche.core.chamber.ChamberStation;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Plates;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Cover;
import ebauche.core.job.Build;
import ebauche.core.job.Rule;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Front and back sawn off a body's own wood, the core hollowed and all glued together again. That the back goes on first, on supports that
 * are cut away before the front closes it: common practice.
 */
class SawnPlatesTest {
    private static final String BASS = "M -145 -110 L -45 -110 L -45 110 L -145 110 Z";
    /** Out to the hollow's wall at its left. */
    private static final String HELD = "M -145 -10 L -85 -10 L -85 10 L -145 10 Z";

    private static final String LOOSE = "M -105 -10 L -85 -10 L -85 10 L -105 10 Z";

    private static TestBody body(double front, double back, double floor, String... supports) {
        TestBody body = new TestBody();
        BlankLayer wood = BlankLayer.even(TestTimber.ALDER, 2, 340, 50);
        body.blank = new Blank(340, 420, 0, 45, wood, Optional.empty(), new Plates(front, back));
        body.chambers.add(new Chamber(
                "bass",
                List.of(Outline.parse(BASS, 1)),
                floor,
                Set.of(),
                List.of(supports).stream().map(s -> Outline.parse(s, 1)).toList(),
                List.of()));
        return body;
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream().map(s -> s.operation().key().written()).toList();
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    private static List<String> rules(BuildPlan plan) {
        return plan.findings().stream().map(f -> f.rule()).toList();
    }

    /** Two pieces of 170 go through a saw that opens 300; the blank of 340 does not. */
    @Test
    void the_pieces_are_sawn_and_the_back_goes_on_while_supports_stand() {
        BuildPlan plan = body(9, 9, 4, HELD).plan();
        assertThat(keys(plan))
                .containsSubsequence(
                        "blank:saw-front",
                        "blank:saw-back",
                        "blank:joint",
                        "blank:glue",
                        "blank:top-level",
                        "chamber-bass:mark",
                        "chamber-bass:rout",
                        "blank:backing",
                        "chamber-bass:supports",
                        "blank:top",
                        "thickness:front");
        assertThat(rules(plan)).doesNotContain("nobody-gives", "circle", "support-falls-out", "plate-too-wide");
        assertThat(step(plan, "blank:top").title()).isEqualTo("Glue the front plate on");
    }

    /** A narrow one goes through whole, once it is glued up. */
    @Test
    void a_blank_that_the_saw_opens_for_is_sawn_when_it_is_glued_up() {
        TestBody body = body(9, 9, 4, HELD);
        BlankLayer wood = BlankLayer.even(TestTimber.ALDER, 2, 290, 50);
        body.blank = new Blank(290, 420, 0, 45, wood, Optional.empty(), new Plates(9, 9));
        assertThat(keys(body.plan()))
                .containsSubsequence(
                        "blank:joint", "blank:glue", "blank:saw-front", "blank:saw-back", "blank:top-level");
    }

    @Test
    void a_piece_too_wide_for_the_saw_is_told() {
        TestBody body = body(9, 9, 4, HELD);
        BlankLayer wood = BlankLayer.even(TestTimber.ALDER, 1, 340, 50);
        body.blank = new Blank(340, 420, 0, 45, wood, Optional.empty(), new Plates(9, 9));
        assertThat(rules(body.plan())).contains("plate-too-wide");
    }

    /** By construction: through the core there is nothing between what is left of front and back plate; each counted from its own glue line. */
    @Test
    void the_hollow_lies_between_the_plates() {
        TestBody body = body(9, 9, 4, HELD);
        BuildPlan plan = body.plan();
        Build build = plan.build();
        double[] at = plan.history().finished().intervalsAt(-60, 60);
        assertThat(at).hasSize(4);
        double spare = (50 - build.thicknessed()) / 2;
        assertThat(at[1] - at[0]).isCloseTo(9 - spare - build.shop().practice().frontSanding(), within(1e-5));
        assertThat(at[3] - at[2]).isCloseTo(9 - spare - build.shop().practice().backSanding(), within(1e-5));
        assertThat(at[2] - at[1]).isCloseTo(50 - 18, within(1e-5));
        assertThat(at[1] - at[0]).isCloseTo(build.topReaches().orElseThrow(), within(1e-5));
        assertThat(at[3] - at[2]).isCloseTo(build.backReaches().orElseThrow(), within(1e-5));
        // Where the support stood it is as hollow.
        assertThat(plan.history().finished().intervalsAt(-100, 0)).containsExactly(at);
    }

    /** What lies on the bench: the core alone, the core with a hole through it, then its back, then no support, then all of it. */
    @Test
    void step_by_step_the_wood_is_what_lies_on_the_bench() {
        BuildPlan plan = body(9, 9, 4, HELD).plan();
        double core = 50 - 18;
        assertThat(wood(plan, "blank:top-level", -100, 0)).isCloseTo(core, within(1e-5));
        assertThat(wood(plan, "chamber-bass:rout", -60, 60)).isZero();
        assertThat(wood(plan, "chamber-bass:rout", -100, 0)).isCloseTo(core, within(1e-5));
        assertThat(wood(plan, "blank:backing", -60, 60)).isCloseTo(9, within(1e-5));
        assertThat(wood(plan, "blank:backing", -100, 0)).isCloseTo(core + 9, within(1e-5));
        assertThat(wood(plan, "chamber-bass:supports", -100, 0)).isCloseTo(9, within(1e-5));
        assertThat(wood(plan, "blank:top", -60, 60)).isCloseTo(18, within(1e-5));
        assertThat(wood(plan, "blank:top", 60, 60)).isCloseTo(50, within(1e-5));
    }

    private static double wood(BuildPlan plan, String after, double x, double y) {
        double[] at = plan.history().before(keys(plan).indexOf(after) + 1).intervalsAt(x, y);
        double sum = 0;
        for (int i = 0; i < at.length; i += 2) {
            sum += at[i + 1] - at[i];
        }
        return sum;
    }

    /** 9 of plate and 1 for its sawn face; the back comes off what front and a kerf of 1.6 leave of 50 and twice 3.6. */
    @Test
    void the_fence_is_set_for_each_plate() {
        BuildPlan plan = body(9, 7, 6, HELD).plan();
        Setting.Resawn front = (Setting.Resawn) step(plan, "blank:saw-front").setting();
        Setting.Resawn back = (Setting.Resawn) step(plan, "blank:saw-back").setting();
        assertThat(front.slice().value()).isCloseTo(10, within(1e-9));
        assertThat(front.board().value()).isCloseTo(57.2, within(1e-9));
        assertThat(back.slice().value()).isCloseTo(8, within(1e-9));
        assertThat(back.board().value()).isCloseTo(57.2 - 10 - 1.6, within(1e-9));
        assertThat(front.figureSays()).contains("off its front");
        double plain = BlankNeed.whole(
                        new TestBody().build(), new TestBody().plan().history())
                .rough();
        assertThat(BlankNeed.whole(plan.build(), plan.history()).rough()).isCloseTo(plain + 7.2, within(1e-9));
    }

    /** A slice for the cover of 3 and two planed faces, its kerf, and the plates' 7.2. */
    @Test
    void a_cover_out_of_the_own_back_comes_off_before_the_plates() {
        TestBody body = body(9, 9, 4, HELD);
        Cavity cavity = body.cavities.get(0);
        body.cavities.set(0, cavity.with(new Cover(Cover.Kind.OWN_BACK, 3, 5, List.of(), Optional.empty())));
        BuildPlan plan = body.plan();
        assertThat(keys(plan)).containsSubsequence("blank:slice", "blank:saw-front", "blank:saw-back", "blank:joint");
        assertThat(((Setting.Resawn) step(plan, "blank:slice").setting())
                        .board()
                        .value())
                .isCloseTo(50 + 5 + 1.6 + 7.2, within(1e-9));
    }

    @Test
    void a_floor_thinner_than_the_back_plate_is_that_plate_and_told() {
        BuildPlan plan = body(9, 9, 2, HELD).plan();
        double plate = plan.build().backReaches().orElseThrow();
        assertThat(plan.build().design().chambers().get(0).floor()).isCloseTo(plate, within(1e-9));
        assertThat(rules(plan)).contains("chamber-on-plate");
        assertThat(step(plan, "chamber-bass:rout").inspections()).isEmpty();
        assertThat(rules(body(9, 9, plate + 8, LOOSE).plan()))
                .doesNotContain("chamber-on-plate", "chamber-web", "support-falls-out");
    }

    @Test
    void a_web_over_the_plate_and_a_loose_support_are_told() {
        double plate = body(9, 9, 2).build().backReaches().orElseThrow();
        assertThat(rules(body(9, 9, plate + 1, HELD).plan())).contains("chamber-web");
        assertThat(rules(body(9, 9, 2, LOOSE).plan())).contains("support-falls-out");
    }

    /** Those that are proposed reach a wall, and carry the router as those do that stand on a floor. */
    @Test
    void supports_that_are_proposed_for_a_hollow_through_the_core_are_held_by_a_wall() {
        TestBody body = body(9, 9, 2);
        body.chambers.set(
                0,
                new Chamber(
                        "bass", List.of(Outline.parse("M -160 -150 L 150 -150 L 150 60 L -160 60 Z", 1)), 2, Set.of()));
        Build build = body.build();
        Chamber held = ChamberStation.supported(build, build.design().chambers().get(0));
        assertThat(held.supports()).isNotEmpty();
        assertThat(held.loose().isEmpty()).isTrue();
        assertThat(held.plan().grown(0.1).contains(held.standing())).isTrue();
    }

    /** Clamps bear on the core and on supports; nothing is pressed over the hole. */
    @Test
    void the_back_is_pressed_on_what_stands() {
        Build build = body(9, 9, 2, HELD).build();
        Region hollow = UnderTop.hollowWhenBacked(build);
        assertThat(hollow.area()).isCloseTo(100 * 220 - 60 * 20, within(1e-6));
        assertThat(UnderTop.hollowWhenClosed(build).area()).isCloseTo(100 * 220, within(1e-6));
    }

    /** Its span, the plate's own thickness: the back gives under a thumb as a front does. */
    @Test
    void the_back_plate_is_held_against_a_thumb_too() {
        assertThat(body(9, 9, 2, HELD).plan().rules().stream()
                        .filter(r -> r.name().equals("cap-bends"))
                        .map(Rule::says))
                .containsExactlyInAnyOrder(
                        "The top over the bass chamber carries a thumb.",
                        "The back plate under the bass chamber carries a thumb.");
    }

    @ParameterizedTest
    @CsvSource({"0, 9, sawnBack", "2, 0, sawnFront", "41, 0, sawnFront", "25, 24, sawnBack"})
    void plates_that_cannot_be_are_refused_at_their_field(double front, double back, String field) {
        assertThatThrownBy(() -> body(front, back, 4))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo(field));
    }

    @Test
    void a_top_apart_and_a_front_sawn_off_are_not_both() {
        BlankLayer wood = BlankLayer.even(TestTimber.ALDER, 2, 340, 45);
        BlankLayer top = BlankLayer.even(TestTimber.ASH, 2, 340, 6);
        assertThatThrownBy(() -> new Blank(340, 420, 0, 45, wood, Optional.of(top), new Plates(6, 0)))
                .isInstanceOf(Refusal.class);
        assertThat(new Blank(340, 420, 0, 45, wood, Optional.of(top), new Plates(0, 9)).thickness())
                .isEqualTo(51);
    }

    /** Its record holds the wood that each step put there, so that what is done reads back as it was. */
    @Test
    void done_step_by_step_it_is_the_body_that_was_planned() {
        TestBody body = body(9, 9, 4, HELD);
        double planned = body.plan().history().finished().balance().grams();
        List<String> steps = keys(body.plan());
        body.doneUpTo(steps.get(steps.size() - 1));
        BuildPlan done = body.plan();
        assertThat(done.history().finished().balance().grams()).isCloseTo(planned, within(0.5));
        assertThat(done.steps()).allMatch(s -> s.done());
        body.read("body-thickness", 43);
        assertThat(rules(body.plan())).doesNotContain("nobody-gives", "circle");
    }

    /** Thought of once the blank is glued up whole: a narrow one is still sawn, and comes out as if it had been planned so. */
    @Test
    void a_blank_that_is_glued_up_already_is_sawn_if_the_saw_opens_for_it() {
        TestBody body = body(9, 9, 4, HELD);
        BlankLayer wood = BlankLayer.even(TestTimber.ALDER, 2, 290, 50);
        Blank sawn = new Blank(290, 420, 0, 45, wood, Optional.empty(), new Plates(9, 9));
        body.blank = sawn;
        double planned = body.plan().history().finished().balance().grams();
        List<String> told = body.rules();
        List<Chamber> chambers = List.copyOf(body.chambers);
        body.chambers.clear();
        body.blank = new Blank(290, 420, 0, 45, BlankLayer.even(TestTimber.ALDER, 2, 290, 57.2), Optional.empty());
        body.doneUpTo("blank:glue");
        body.blank = sawn;
        body.chambers.addAll(chambers);
        assertThat(body.plan().history().finished().balance().grams()).isCloseTo(planned, within(0.5));
        assertThat(body.rules())
                .as("nothing is told that was not told of the one planned so")
                .isSubsetOf(told);
    }

    /** Drawn once the top is on: told, and no step saws at it any more. */
    @Test
    void plates_of_a_body_that_is_closed_are_told() {
        TestBody body = body(9, 9, 4, HELD);
        body.chambers.clear();
        BlankLayer wood = BlankLayer.even(TestTimber.ALDER, 2, 340, 45);
        BlankLayer top = BlankLayer.even(TestTimber.ASH, 2, 340, 6);
        body.blank = new Blank(340, 420, 0, 45, wood, Optional.of(top));
        body.doneUpTo("blank:top");
        body.blank = new Blank(340, 420, 0, 45, wood, Optional.of(top), new Plates(0, 9));
        assertThat(body.rules()).contains("plates-too-late").doesNotContain("nobody-gives", "circle");
        assertThat(keys(body.plan())).doesNotContain("blank:saw-back", "blank:backing");
    }
}
