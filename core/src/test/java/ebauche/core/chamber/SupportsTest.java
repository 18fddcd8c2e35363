package ebauche.core.chamber;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.TestTimber;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Cover;
import ebauche.core.job.Finding;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Refusal;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shop.Practice;
import ebauche.core.wires.Closing;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Supports in a hollow, sound holes over it, and how it is taken out. */
class SupportsTest {
    private static final String BASS = "M -145 -110 L -45 -110 L -45 110 L -145 110 Z";
    private static final String POST = "M -105 -10 L -85 -10 L -85 10 L -105 10 Z";
    private static final String HOLE = "M -110 50 L -80 50 L -80 60 L -110 60 Z";

    private static TestBody body(List<String> supports, List<String> soundHoles) {
        TestBody body = new TestBody();
        BlankLayer core = BlankLayer.even(TestTimber.ALDER, 2, 340, 40);
        BlankLayer top = BlankLayer.even(TestTimber.ASH, 2, 340, 10);
        body.blank = new Blank(340, 420, 0, 45, core, Optional.of(top));
        body.chambers.add(new Chamber("bass", lines(List.of(BASS)), 8, Set.of(), lines(supports), lines(soundHoles)));
        return body;
    }

    private static List<Outline> lines(List<String> paths) {
        return paths.stream().map(p -> Outline.parse(p, 1)).toList();
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream().map(s -> s.operation().key().written()).toList();
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    private static double left(TestBody body, double x, double y) {
        double[] at = body.plan().history().finished().intervalsAt(x, y);
        double wood = 0;
        for (int i = 0; i < at.length; i += 2) {
            wood += at[i + 1] - at[i];
        }
        return wood;
    }

    /** Cut away before the top where nothing opens them from the back; nothing of them is left in the finished body. */
    @Test
    void supports_stand_while_it_is_routed_and_go_before_the_top() {
        TestBody body = body(List.of(POST), List.of());
        BuildPlan plan = body.plan();
        assertThat(keys(plan)).containsSubsequence("chamber-bass:rout", "chamber-bass:supports", "blank:top");
        int away = keys(plan).indexOf("chamber-bass:supports");
        assertThat(plan.history().before(away).intervalsAt(-95, 0)).hasSize(2);
        assertThat(left(body, -95, 0)).isCloseTo(left(body, -60, 0), within(1e-3));
        double grams = plan.history().finished().balance().grams();
        double without =
                body(List.of(), List.of()).plan().history().finished().balance().grams();
        assertThat(grams).isCloseTo(without, within(0.5));
        assertThat(plan.lostWith(plan.step("blank:top").orElseThrow()))
                .extracting(o -> o.key().written())
                .contains("chamber-bass:supports");
    }

    /** Where a cavity from the back opens all of them, they hold the top while it is glued and go through it afterwards: common practice. */
    @Test
    void where_the_back_opens_them_they_go_once_the_top_is_on() {
        TestBody body = body(List.of(POST), List.of());
        body.cavities.add(new Cavity(
                "plate",
                Face.BACK,
                Outline.parse("M -125 -40 L -65 -40 L -65 40 L -125 40 Z", 1),
                new Cavity.Floor.Leaving(20),
                Cover.letIn(2.5, 5),
                Set.of(Feature.parse("chamber-bass"))));
        BuildPlan plan = body.plan();
        assertThat(keys(plan))
                .containsSubsequence("chamber-bass:rout", "blank:top", "cavity-plate:rout", "chamber-bass:supports");
        assertThat(step(plan, "chamber-bass:supports").title()).contains("through the plate cavity");
        assertThat(plan.lostWith(plan.step("blank:top").orElseThrow()))
                .extracting(o -> o.key().written())
                .doesNotContain("chamber-bass:supports");
        assertThat(Closing.of(body.build()).sealed()).isEmpty();
    }

    /** Drawn once it was routed out whole, they never stood: nothing is to be cut away, and the top waits for nothing. */
    @Test
    void supports_drawn_too_late_are_none() {
        TestBody body = body(List.of(), List.of());
        body.doneUpTo("chamber-bass:rout");
        body.chambers.set(0, body(List.of(POST), List.of()).chambers.get(0));
        assertThat(keys(body.plan())).doesNotContain("chamber-bass:supports");
        assertThat(body.rules()).doesNotContain("nobody-gives", "chamber-lacks");
    }

    /** A base that falls into the open hollow is carried by a post in its middle. */
    @Test
    void a_base_that_falls_in_wants_a_support() {
        assertThat(body(List.of(), List.of()).rules()).contains("router-falls-in");
        assertThat(body(
                                List.of(
                                        "M -110 -60 L -80 -60 L -80 -30 L -110 -30 Z",
                                        "M -110 30 L -80 30 L -80 60 L -110 60 Z"),
                                List.of())
                        .rules())
                .doesNotContain("router-falls-in", "supports-in-the-way");
        TestBody done = body(List.of(), List.of());
        done.doneUpTo("chamber-bass:rout");
        assertThat(done.rules()).as("it is out").doesNotContain("router-falls-in");
    }

    @Test
    void supports_that_leave_the_bit_no_way_are_told() {
        Finding told = body(List.of("M -140 -60 L -50 -60 L -50 60 L -140 60 Z"), List.of()).plan().findings().stream()
                .filter(f -> f.rule().equals("supports-in-the-way"))
                .findFirst()
                .orElseThrow();
        assertThat(told.what())
                .as("two strips of 5 by 120 beside it and the corners, of 112 cm²")
                .contains("11 %");
    }

    @ParameterizedTest
    @ValueSource(strings = {"M -200 0 L -100 0 L -100 20 L -200 20 Z", "M 0 0 L 20 0 L 20 20 L 0 20 Z"})
    void what_lies_beside_the_hollow_is_refused(String line) {
        assertThatThrownBy(() -> body(List.of(line), List.of()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("support");
        assertThatThrownBy(() -> body(List.of(), List.of(line)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("sound hole");
        assertThatThrownBy(() -> body(List.of(POST, POST), List.of())).hasMessageContaining("cross");
    }

    /** Through the top to the hollow under it, once that is on: nothing but the floor is left there. */
    @Test
    void a_sound_hole_opens_the_top_over_it() {
        TestBody body = body(List.of(), List.of(HOLE));
        BuildPlan plan = body.plan();
        assertThat(keys(plan)).containsSubsequence("blank:top", "thickness:front", "soundholes-bass:saw");
        assertThat(left(body, -95, 55)).isCloseTo(8, within(1e-3));
        assertThat(Closing.of(body.build()).sealed()).isEmpty();
        assertThat(Closing.of(body(List.of(), List.of()).build()).sealed()).hasSize(1);
        assertThat(plan.findings())
                .filteredOn(f -> f.isOn(Feature.parse("soundholes-bass")))
                .extracting(Finding::rule)
                .doesNotContain("breaks-in", "nobody-gives");
    }

    /** The shop that drills its waste drills a large hollow out first; its router has the less to do, common practice. */
    @Test
    void a_large_hollow_is_drilled_out_first_where_the_shop_does_so() {
        TestBody drills = body(List.of(POST), List.of());
        drills.shop = drills.shop.with(drills.shop.practice().with(Practice.Waste.DRILL));
        TestBody routs = body(List.of(POST), List.of());
        routs.shop = routs.shop.with(routs.shop.practice().with(Practice.Waste.FREEHAND));
        assertThat(keys(drills.plan()))
                .containsSubsequence("chamber-bass:mark", "chamber-bass:waste", "chamber-bass:rout", "blank:top");
        assertThat(keys(routs.plan())).doesNotContain("chamber-bass:waste");
        assertThat(step(drills.plan(), "chamber-bass:rout").handsOnMinutes())
                .isLessThan(step(routs.plan(), "chamber-bass:rout").handsOnMinutes());
        Operation waste = step(drills.plan(), "chamber-bass:waste");
        double deep = UnderTop.depth(drills.build(), drills.chambers.get(0)).value();
        assertThat(waste.setting().figure().orElseThrow().value()).isLessThan(deep);
        assertThat(waste.changes()).allSatisfy(c -> {
            assertThat(drills.chambers.get(0).routed().contains(c.solid().plan()))
                    .isTrue();
            assertThat(c.solid().deepest()).isLessThan(UnderTop.front(drills.build()) + deep);
        });
        assertThat(drills.plan().history().finished().balance().grams())
                .isCloseTo(routs.plan().history().finished().balance().grams(), within(0.5));
    }

    /** 20 to 25 minutes for a hollow of a litre or so, common practice; a shop that is twice as slow plans twice the time for what it routs. */
    @Test
    void its_minutes_are_the_shops_own() {
        TestBody usual = body(List.of(POST), List.of());
        usual.shop = usual.shop.with(usual.shop.practice().with(Practice.Waste.FREEHAND));
        TestBody slow = body(List.of(POST), List.of());
        slow.shop = usual.shop.with(TestPractice.hollowing(usual.shop.practice(), 40));
        int before = step(usual.plan(), "chamber-bass:rout").handsOnMinutes();
        int after = step(slow.plan(), "chamber-bass:rout").handsOnMinutes();
        double litres = usual.chambers.get(0).routed().area()
                * UnderTop.depth(usual.build(), usual.chambers.get(0)).value()
                / 1e6;
        assertThat(before).isBetween(18, 30);
        assertThat(after - before).isCloseTo((int) Math.round(20 * (litres - 0.06)), within(1));
    }
}
