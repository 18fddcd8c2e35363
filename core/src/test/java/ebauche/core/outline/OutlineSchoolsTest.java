package ebauche.core.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestPractice;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Drum;
import ebauche.core.crib.HoldDown;
import ebauche.core.crib.Router;
import ebauche.core.crib.Saw;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.job.Finding;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Pass;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shop.Practice.EdgeSchool;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The three schools of an outline, the ways to hold a template, and what saw and hand leave outside the line. */
class OutlineSchoolsTest {
    private static final double INCH = 25.4;

    /** A body with an inside curve of 20 mm at its waist. */
    private static TestBody waisted() {
        TestBody body = new TestBody();
        body.outline = "M -100 -150 L 100 -150 A 60 60 0 0 1 160 -90 L 160 20 A 20 20 0 0 0 160 60 L 160 180"
                + " A 60 60 0 0 1 100 240 L -100 240 A 60 60 0 0 1 -160 180 L -160 -90 A 60 60 0 0 1 -100 -150 Z";
        return body;
    }

    private static TestBody with(TestBody body, EdgeSchool edge, HoldDown hold) {
        body.shop = body.shop.with(TestPractice.with(TestPractice.with(body.shop.practice(), edge), hold));
        return body;
    }

    private static TestBody with(TestBody body, EdgeSchool edge) {
        return with(body, edge, HoldDown.SCREWS_IN_WASTE);
    }

    private static Crib crib(TestBody body, List<Router> routers, List<Bit> bits, List<Drum> drums) {
        Crib c = body.shop.crib();
        return new Crib(
                routers,
                bits,
                c.drills(),
                c.templates(),
                c.spacers(),
                c.saws(),
                drums,
                c.aids(),
                c.machines(),
                c.bearings());
    }

    private static Router table() {
        return new Router(
                "table",
                Router.Kind.TABLE,
                Router.Power.STRONG,
                600,
                300,
                70,
                List.of(INCH / 4, INCH / 2),
                8,
                8000,
                24_000);
    }

    private static List<String> rules(BuildPlan plan) {
        return plan.findings().stream()
                .filter(f -> f.work() == Work.OUTLINE)
                .map(Finding::rule)
                .toList();
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step("outline:" + key).orElseThrow().operation();
    }

    private static boolean has(BuildPlan plan, String key) {
        return plan.step("outline:" + key).isPresent();
    }

    @Test
    void by_hand_the_body_is_flipped_and_a_tip_bearing_takes_the_rest() {
        BuildPlan plan = with(waisted(), EdgeSchool.HAND).plan();
        assertThat(rules(plan)).isEmpty();
        Setting.Routed last = (Setting.Routed) step(plan, "finish").setting();
        assertThat(last.passes()).hasSize(1);
        assertThat(last.passes().get(0).guide()).isEqualTo(Pass.Guide.FAR_WALL);
        assertThat(last.feed()).isEqualTo(Setting.Feed.ANTICLOCKWISE);
        assertThat(step(plan, "finish").face()).isEqualTo(Face.BACK);
        double front = Math.max(deepest(step(plan, "rout")), deepest(step(plan, "deepen")));
        assertThat(front
                        + ((Setting.Routed) step(plan, "finish").setting())
                                .depth()
                                .value())
                .isEqualTo(plan.build().thicknessed(), within(1e-9));
    }

    private static double deepest(Operation op) {
        return op.changes().stream().mapToDouble(c -> c.solid().deepest()).max().orElseThrow();
    }

    /** A tip bit too short for what the template leaves: the wall guides a deeper round first. */
    @Test
    void where_the_flush_bit_is_short_the_outline_is_deepened_on_its_own_wall_first() {
        TestBody body = with(waisted(), EdgeSchool.HAND);
        List<Bit> bits = List.of(
                Bit.usual("half", Bit.Bearing.AT_SHANK, INCH / 2, INCH / 2, INCH / 2),
                Bit.usual("short flush", Bit.Bearing.AT_TIP, INCH / 2, INCH / 2, INCH / 2));
        body.shop = body.shop.with(
                crib(body, body.shop.crib().routers(), bits, body.shop.crib().drums()));
        BuildPlan plan = body.plan();
        assertThat(plan.findings()).noneMatch(f -> f.isOn(Feature.parse("outline")));
        Setting.Routed deepen = (Setting.Routed) step(plan, "deepen").setting();
        assertThat(deepen.passes()).isNotEmpty().allMatch(p -> p.guide() == Pass.Guide.WALL);
        List<String> keys =
                plan.steps().stream().map(s -> s.operation().key().written()).toList();
        assertThat(keys.indexOf("outline:off")).isBetween(keys.indexOf("outline:rout"), keys.indexOf("outline:deepen"));
        assertThat(keys.indexOf("outline:finish")).isGreaterThan(keys.indexOf("outline:deepen"));
        double rest = ((Setting.Routed) step(plan, "finish").setting()).depth().value();
        assertThat(rest).isLessThanOrEqualTo(INCH / 2);
        // Nothing of the waste is left standing.
        assertThat(deepest(step(plan, "finish"))).isEqualTo(plan.build().thicknessed(), within(1e-9));
    }

    @Test
    void an_outline_that_no_bit_finishes_says_what_would() {
        TestBody body = with(waisted(), EdgeSchool.HAND);
        List<Bit> bits = List.of(Bit.usual("half", Bit.Bearing.AT_SHANK, INCH / 2, INCH / 2, INCH / 2));
        body.shop = body.shop.with(
                crib(body, body.shop.crib().routers(), bits, body.shop.crib().drums()));
        Finding finding = body.plan().findings().stream()
                .filter(f -> f.rule().equals("no-passes") && f.isOn(Feature.parse("outline")))
                .findFirst()
                .orElseThrow();
        assertThat(finding.cure(v -> "#")).contains("a tip-bearing bit");
    }

    /** Under a table the router sees the work from below: the face that is worked lies down, and the feed turns round. */
    @Test
    void on_the_table_the_worked_face_lies_down() {
        TestBody body = with(waisted(), EdgeSchool.TABLE);
        assertThat(rules(body.plan())).containsExactly("no-table");
        body.shop = body.shop.with(crib(
                body,
                List.of(body.shop.crib().routers().get(0), table()),
                body.shop.crib().bits(),
                List.of()));
        BuildPlan plan = body.plan();
        assertThat(rules(plan)).doesNotContain("no-table", "no-passes");
        Operation rout = step(plan, "rout");
        assertThat(rout.face()).isEqualTo(Face.BACK);
        assertThat(rout.setting().feed()).isEqualTo(Setting.Feed.CLOCKWISE);
        assertThat(((Setting.Routed) rout.setting()).passes())
                .allMatch(p -> p.cutter().router().kind() == Router.Kind.TABLE);
    }

    @Test
    void sanding_to_the_line_wants_a_drum_that_goes_into_the_tightest_curve_and_no_template() {
        TestBody body = with(waisted(), EdgeSchool.SAND_TO_LINE);
        assertThat(new OutlineStation().guidedWork(body.build()))
                .as("no template to rout along")
                .isEmpty();
        assertThat(new OutlineStation().guidedWork(waisted().build())).hasSize(1);
        BuildPlan plan = body.plan();
        assertThat(rules(plan)).isEmpty();
        assertThat(has(plan, "rout")).isFalse();
        assertThat(has(plan, "fit")).isFalse();
        // Inside radius 20: of the drums of 1/2, 1, 2 and 3 in the one of 1 in goes in and 2 in does not.
        assertThat(((Setting.ByHand) step(plan, "sand-to-line").setting()).tool())
                .contains("drum 1 in");
        body.shop = body.shop.with(crib(
                body, body.shop.crib().routers(), body.shop.crib().bits(), List.of(new Drum("drum 2", 2 * INCH, 50))));
        assertThat(rules(body.plan())).containsExactly("no-drum");
    }

    @ParameterizedTest
    @EnumSource(HoldDown.class)
    void only_screws_and_pins_need_wood_that_a_pocket_takes_away(HoldDown hold) {
        BuildPlan plan = with(waisted(), EdgeSchool.HAND, hold).plan();
        boolean seats =
                step(plan, "fit").needs().stream().anyMatch(c -> c.toString().contains("screw seats"));
        assertThat(seats).isEqualTo(hold == HoldDown.SCREWS_IN_WASTE || hold == HoldDown.PINS);
    }

    /** Common practice: 1/4 in for a new hand, 1/8 in or less for a steady one, more with a jigsaw in thick work. */
    @ParameterizedTest
    @CsvSource({
        "BAND, 0, 44, 6.35",
        "BAND, 1, 44, 3.0",
        "JIG, 1, 20, 3.0",
        "JIG, 1, 45, 5.0",
        "COPING, 0.75, 44, 3.8375"
    })
    void saw_and_hand_say_what_to_leave(Saw.Kind kind, double steadiness, double thick, double expected) {
        assertThat(Saw.usual("saw", kind, 6).allowance(steadiness, thick)).isEqualTo(expected, within(1e-9));
    }

    /** The table beside the band saw, common practice (memory): 1/4 in follows 5/8 in, 3/8 in 1 1/2 in, 1/8 in 3/16 in. */
    @ParameterizedTest
    @CsvSource({"6.35, 15.9", "9.525, 38.1", "3.175, 4.8", "7.9375, 27", "19.05, 139.7", "38.1, 279.4"})
    void a_blade_follows_a_curve_as_tight_as_it_is_narrow(double blade, double radius) {
        assertThat(Saw.usual("saw", Saw.Kind.BAND, blade).turns()).isEqualTo(radius, within(0.01));
    }

    @Test
    void sawing_nearer_than_the_saw_allows_is_said() {
        TestBody body = waisted();
        Crib c = body.shop.crib();
        List<Saw> jig = List.of(Saw.usual("jigsaw", Saw.Kind.JIG, 7));
        body.shop = body.shop.with(new Crib(
                c.routers(),
                c.bits(),
                c.drills(),
                c.templates(),
                c.spacers(),
                jig,
                c.drums(),
                c.aids(),
                c.machines(),
                c.bearings()));
        assertThat(rules(body.plan())).containsExactly("saw-near-line");
    }
}
