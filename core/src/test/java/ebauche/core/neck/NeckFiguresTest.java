package ebauche.core.neck;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.Hand;
import ebauche.core.design.Heel;
import ebauche.core.design.ScratchPlate;
import ebauche.core.job.Finding;
import ebauche.core.neck.NeckPocket.Sensitivity;
import ebauche.core.neck.NeckPocket.Window;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The neck's figures where left differs from right, end from mouth, deep from shallow; findings by figure, side and severity. */
class NeckFiguresTest {
    private static double target(Consumer<TestBody> change) {
        TestBody body = new TestBody();
        body.angle = 2;
        change.accept(body);
        return PocketState.of(body.build()).target().value();
    }

    private static Finding finding(TestBody body, String rule) {
        return body.plan().findings().stream()
                .filter(f -> f.rule().equals(rule))
                .findFirst()
                .orElseThrow(() -> new AssertionError(body.rules().toString()));
    }

    private static double number(Finding finding, String name) {
        return finding.numbers().stream()
                .filter(v -> v.name().equals(name))
                .findFirst()
                .orElseThrow()
                .value();
    }

    /** With a higher action on the bass side its saddle stands higher, by twice the difference over a flat board (fret 12 is half way). */
    @Test
    void each_outer_string_has_its_own_action() {
        TestBody body = new TestBody();
        body.radius = Double.POSITIVE_INFINITY;
        body.actionBass = 2.4;
        body.actionTreble = 1.6;
        NeckPocket neck = NeckPocket.of(body.build());
        assertThat(neck.saddleHeight(0, 20) - neck.saddleHeight(5, 20)).isCloseTo(2 * 0.8, within(1e-9));
        assertThat(neck.saddleHeight(1, 20) - neck.saddleHeight(4, 20)).isCloseTo(2 * 0.8 * 3 / 5, within(1e-9));
        Window window = neck.window(body.design().bridge());
        assertThat(window.governsShallowest())
                .as("the high side keeps it from being shallower")
                .isZero();
        assertThat(window.governsDeepest()).as("the low side from being deeper").isEqualTo(5);
    }

    @Test
    void room_is_told_to_either_side() {
        Window window = new Window(10, 14, 0, 0);
        assertThat(window.roomShallower(11)).isEqualTo(1);
        assertThat(window.roomDeeper(11)).isEqualTo(3);
        assertThat(window.roomDeeper(15)).isEqualTo(-1);
        assertThat(window.takesUp(12, 2)).isTrue();
        assertThat(window.takesUp(12, 2.01)).isFalse();
        assertThat(window.takesUp(13.5, 0.6)).isFalse();
        assertThat(window.takesUp(10.5, 0.6)).isFalse();
        assertThat(window.holds(10)).isTrue();
        assertThat(window.holds(9.99)).isFalse();
        assertThat(window.holds(14.01)).isFalse();
        assertThat(new Window(14, 10, 0, 0).takesUp(12, 0)).isFalse();
    }

    /** Each partial derivative against a central difference of the depth itself. */
    @Test
    void what_a_number_does_to_the_depth_is_its_derivative() {
        double h = 1e-4;
        TestBody body = new TestBody();
        body.angle = 2;
        Map<String, Double> told = new HashMap<>();
        for (Sensitivity s : NeckPocket.of(body.build()).sensitivities()) {
            told.put(s.of(), s.perUnit());
        }
        Map<String, double[]> by = Map.of(
                "heel thickness", ends(h, (b, d) -> b.heel += d),
                "fingerboard thickness", ends(h, (b, d) -> b.fingerboard += d),
                "fret height", ends(h, (b, d) -> b.fret += d),
                "action at fret 12",
                        ends(h, (b, d) -> {
                            b.actionBass += d;
                            b.actionTreble += d;
                        }),
                "string height at the nut", ends(h, (b, d) -> b.nut += d),
                "end wall to saddle", ends(h, (b, d) -> b.endWallToSaddle += d),
                "neck angle", ends(h, (b, d) -> b.angle += d));
        assertThat(told.keySet()).isEqualTo(by.keySet());
        by.forEach((of, two) -> assertThat(told.get(of)).as(of).isCloseTo((two[1] - two[0]) / (2 * h), within(1e-4)));
        assertThat(told.get("string height at the nut")).isNegative();
        assertThat(told.get("heel thickness")).isPositive();
    }

    private interface Change {
        void by(TestBody body, double more);
    }

    private static double[] ends(double h, Change change) {
        return new double[] {target(b -> change.by(b, -h)), target(b -> change.by(b, h))};
    }

    /** A saddle that is aimed for under or over what the bridge reaches: by how much, and the cure for that side. */
    @ParameterizedTest
    @CsvSource({"8, higher saddle, true", "17.5, lower saddle, false"})
    void a_depth_outside_the_window_is_told_from_its_nearer_end(double saddle, String cure, boolean deep) {
        TestBody body = new TestBody();
        body.wantedSaddle = OptionalDouble.of(saddle);
        Finding outside = finding(body, "outside-window");
        assertThat(outside.severity()).isEqualTo(Finding.Severity.STOPS);
        double depth = number(outside, "pocket depth");
        double by = deep ? depth - number(outside, "deepest") : number(outside, "shallowest") - depth;
        assertThat(by).isPositive();
        assertThat(number(outside, "outside by")).isCloseTo(by, within(1e-9));
        assertThat(outside.cure(v -> "")).contains(cure);
    }

    /** Half a millimetre too deep is served by the bridge and made good; two and a half are not, and stop the build. */
    @ParameterizedTest
    @CsvSource({"0.5, THINK_AGAIN, can still reach", "2.9, STOPS, lower than the bridge goes"})
    void a_pocket_too_deep_is_judged_by_what_the_bridge_serves(double over, Finding.Severity severity, String words) {
        TestBody body = new TestBody().doneUpTo("neck:rout");
        double shown = body.figure("neck:rout");
        body.read("depth:neck", shown + over, "neck:rout");
        Finding deep = finding(body, "pocket-too-deep");
        assertThat(deep.severity()).isEqualTo(severity);
        assertThat(number(deep, "too deep by")).isCloseTo(over, within(1e-9));
        assertThat(deep.what(v -> "")).contains(words);
        assertThat(number(deep, "saddle height")).isCloseTo(12 - over, within(0.05));
    }

    /** The treble saddle wants to stand 1.5 behind the scale line, the bass saddle 4. */
    @ParameterizedTest
    @CsvSource({"-1.6, 10, 0.1, 26", "0, 3.6, 0.4, -26"})
    void a_saddle_that_travels_too_little_is_told_on_its_side(double forward, double travel, double miss, double x) {
        TestBody body = new TestBody();
        body.saddleForward = forward;
        body.saddleTravel = travel;
        Finding found = body.plan().findings().stream()
                .filter(f -> f.rule().equals("saddle-travel"))
                .filter(f -> Math.abs(f.where().orElseThrow().x() - x) < 1e-6)
                .findFirst()
                .orElseThrow();
        assertThat(found.severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(found.numbers())
                .anySatisfy(v -> assertThat(Math.abs(v.value())).isCloseTo(miss, within(1e-9)));
    }

    @Test
    void saddles_that_just_reach_are_no_finding() {
        TestBody body = new TestBody();
        body.saddleForward = -1.5;
        body.saddleTravel = 2.5;
        assertThat(body.rules()).doesNotContain("saddle-travel");
        body.saddleTravel = 2.49;
        assertThat(body.rules()).contains("saddle-travel");
    }

    /** The heel is 0.4 narrower than its pocket at the end and 0.1 at the mouth. */
    @ParameterizedTest
    @EnumSource(Heel.Jig.class)
    void end_and_mouth_have_their_own_gaps_and_jigs(Heel.Jig jig) {
        TestBody body = new TestBody();
        body.heelFit = Optional.of(new Heel(55.6, 55.9, 76, Heel.Made.DRAWING_FIRST, jig));
        NeckFit fit = NeckFit.of(body.build()).orElseThrow();
        assertThat(fit.atEnd().value()).isCloseTo(0.4, within(1e-9));
        assertThat(fit.atMouth().value()).isCloseTo(0.1, within(1e-9));
        assertThat(fit.fit()).as("the wider gap is what shows").isEqualTo(NeckFit.Grade.SHOWS);
        double[] wanted = switch (jig) {
            case DRAWN -> new double[] {56, 56};
            // Made 0.2 under the heel and eased; a pencil's line of 0.35 lies on both sides of a traced one.
            case THREE_STRIPS -> new double[] {55.4, 55.7};
            case TRACED_NECK -> new double[] {56.3, 56.6};
        };
        assertThat(fit.jig(true).value()).isCloseTo(wanted[0], within(1e-9));
        assertThat(fit.jig(false).value()).isCloseTo(wanted[1], within(1e-9));
        body.read("pocket-width-end", 56.7);
        assertThat(NeckFit.of(body.build()).orElseThrow().atEnd().value()).isCloseTo(1.1, within(1e-9));
        assertThat(NeckFit.of(body.build()).orElseThrow().fit()).isEqualTo(NeckFit.Grade.LOOSE);
        body.read("heel-width-mouth", 56.1);
        assertThat(NeckFit.of(body.build()).orElseThrow().fit()).isEqualTo(NeckFit.Grade.TOO_TIGHT);
    }

    /** The shop's limit is 0.5 off the centre line, either way; at the limit it holds. */
    @ParameterizedTest
    @CsvSource({"0.5, false", "-0.5, false", "0.6, true", "-0.6, true"})
    void a_bridge_off_centre_is_told_where_it_stands(double off, boolean told) {
        TestBody body = new TestBody();
        body.offCentre = off;
        assertThat(body.rules().contains("bridge-off-centre")).isEqualTo(told);
        if (told) {
            Finding found = finding(body, "bridge-off-centre");
            assertThat(found.severity()).isEqualTo(Finding.Severity.STOPS);
            assertThat(found.where().orElseThrow().x()).isEqualTo(off);
            assertThat(number(found, "off the centre line")).isCloseTo(0.6, within(1e-9));
            assertThat(number(found, "limit")).isEqualTo(0.5);
        }
    }

    /** A heel as thick as the body, and one just thinner; an end wall as far as fret 12, and one just nearer. */
    @Test
    void a_heel_and_an_end_wall_of_another_guitar_are_told() {
        TestBody body = new TestBody();
        body.heel = body.build().faces().thickness();
        Finding heel = finding(body, "heel-thicker-than-body");
        assertThat(heel.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        assertThat(number(heel, "heel")).isEqualTo(body.heel);
        body.heel -= 0.01;
        assertThat(body.rules()).doesNotContain("heel-thicker-than-body");
        TestBody far = new TestBody();
        far.endWallToSaddle = far.scale / 2;
        Finding wall = finding(far, "end-wall-beyond-fret-12");
        assertThat(wall.severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(number(wall, "fret 12 to saddle")).isEqualTo(320);
        far.endWallToSaddle = 319.9;
        assertThat(far.rules()).doesNotContain("end-wall-beyond-fret-12");
    }

    /** Read at the bench: to which side the neck points, and by how much more than is permitted. */
    @ParameterizedTest
    @CsvSource({"0.9, treble", "-0.9, bass"})
    void a_neck_off_its_line_is_told_on_its_side(double off, String side) {
        TestBody body = new TestBody();
        double permitted = CentreLine.of(body.build()).permitted().value();
        body.read("centre-at-bridge", Math.copySign(permitted, off));
        assertThat(body.rules()).doesNotContain("neck-off-line");
        body.read("centre-at-bridge", off);
        Finding found = finding(body, "neck-off-line");
        assertThat(found.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        assertThat(found.what(v -> "")).contains("to the " + side + " side");
        assertThat(found.where().orElseThrow().x()).isEqualTo(off);
        assertThat(number(found, "off at the bridge")).isCloseTo(0.9, within(1e-9));
        assertThat(number(found, "permitted")).isEqualTo(permitted);
        body.hand = Hand.LEFT;
        assertThat(finding(body, "neck-off-line").where().orElseThrow().x()).isEqualTo(-off);
        assertThat(finding(body, "neck-off-line").what(v -> "")).contains("to the " + side + " side");
    }

    /** Bridge holes want to be within 0.5 of half the scale: common practice. */
    @ParameterizedTest
    @CsvSource({"320.5, ''", "319.5, ''", "320.7, too far from", "319.3, too near"})
    void fret_twelve_is_told_too_near_or_too_far(double read, String words) {
        TestBody body = new TestBody();
        body.read("fret-12-to-saddle", read);
        assertThat(body.rules().contains("scale-off")).isEqualTo(!words.isEmpty());
        if (!words.isEmpty()) {
            Finding found = finding(body, "scale-off");
            assertThat(found.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
            assertThat(found.what(v -> "")).contains(words);
            assertThat(number(found, "off by")).isCloseTo(0.7, within(1e-9));
        }
    }

    /** A plate under the fingerboard wants a heel that stands proud by as much; one beside the neck asks for nothing. */
    @Test
    void a_plate_wants_the_heel_proud_of_the_front() {
        TestBody body = new TestBody();
        double proud = PocketState.of(body.build()).proud().value();
        assertThat(proud).isPositive();
        body.scratchPlate = Optional.of(new ScratchPlate(proud, true));
        assertThat(body.rules()).doesNotContain("plate-under-fingerboard");
        body.scratchPlate = Optional.of(new ScratchPlate(proud + 0.01, true));
        Finding found = finding(body, "plate-under-fingerboard");
        assertThat(found.severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(number(found, "heel stands proud")).isCloseTo(proud, within(1e-9));
        body.scratchPlate = Optional.of(new ScratchPlate(proud + 0.01, false));
        assertThat(body.rules()).doesNotContain("plate-under-fingerboard");
    }

    /** The heel's top at the front is no finding, nor within the card's band; deeper it is, by how much. */
    @ParameterizedTest
    @CsvSource({"0.14, false", "0.16, true"})
    void a_heel_under_the_front_is_told_beyond_the_band(double under, boolean told) {
        TestBody body = new TestBody();
        double proud = PocketState.of(body.build()).proud().value();
        body.wantedSaddle = OptionalDouble.of(12 - proud - under);
        assertThat(body.rules().contains("heel-under-front")).isEqualTo(told);
        if (told) {
            Finding found = finding(body, "heel-under-front");
            assertThat(found.severity()).isEqualTo(Finding.Severity.GOOD_TO_KNOW);
            assertThat(number(found, "under the front")).isCloseTo(under, within(1e-9));
        }
    }

    /** Widths over the pocket's end: strings 52 at the saddles and 35 at the nut on a board as wide as the heel. */
    @Test
    void strings_near_the_boards_edge_or_off_it_are_told_apart() {
        TestBody body = new TestBody();
        body.nutSpread = OptionalDouble.of(35);
        double spread = 35 + 17 * (640 - 165) / 640.0;
        body.heelFit = Optional.of(new Heel(spread + 5, spread + 5, 76, Heel.Made.NECK_FIRST, Heel.Jig.DRAWN));
        assertThat(body.rules())
                .as("2.5 beside each is enough")
                .doesNotContain("strings-near-edge", "strings-off-fingerboard");
        body.heelFit = Optional.of(new Heel(spread + 4, spread + 4, 76, Heel.Made.NECK_FIRST, Heel.Jig.DRAWN));
        Finding near = finding(body, "strings-near-edge");
        assertThat(near.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        assertThat(number(near, "beside the outer string")).isCloseTo(2, within(1e-9));
        assertThat(number(near, "strings' spread there")).isCloseTo(spread, within(1e-9));
        assertThat(near.where().orElseThrow().x()).isCloseTo(spread / 2, within(1e-9));
        assertThat(near.what(v -> "")).contains("leave");
        body.heelFit = Optional.of(new Heel(spread - 1, spread - 1, 76, Heel.Made.NECK_FIRST, Heel.Jig.DRAWN));
        Finding off = finding(body, "strings-off-fingerboard");
        assertThat(off.severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(number(off, "over its edge by")).isCloseTo(0.5, within(1e-9));
        assertThat(off.what(v -> "")).contains("beside it on each side");
        body.strings = 1;
        assertThat(body.rules()).doesNotContain("strings-off-fingerboard", "strings-near-edge");
    }

    /** A depth of nothing is no pocket; just more is one. */
    @Test
    void a_pocket_of_no_depth_is_told() {
        TestBody body = new TestBody();
        double depth = PocketState.of(body.build()).target().value();
        body.wantedSaddle = OptionalDouble.of(12 + depth);
        Finding none = finding(body, "no-pocket");
        assertThat(none.severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(number(none, "pocket depth")).isCloseTo(0, within(1e-9));
        body.wantedSaddle = OptionalDouble.of(12 + depth - 0.5);
        assertThat(body.rules()).doesNotContain("no-pocket");
    }

    /** How much too wide, how wide the gap: at the worse of the two ends. */
    @ParameterizedTest
    @CsvSource({
        "56.2, 55.9, neck-too-tight, too wide by, 0.2",
        "55.9, 55.5, neck-gap-shows, gap, 0.5",
        "54.9, 55.9, neck-loose, gap, 1.1"
    })
    void a_neck_that_does_not_fit_says_by_how_much(double end, double mouth, String rule, String name, double by) {
        TestBody body = new TestBody();
        body.heelFit = Optional.of(new Heel(end, mouth, 76, Heel.Made.DRAWING_FIRST, Heel.Jig.DRAWN));
        Finding found = finding(body, rule);
        assertThat(found.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        assertThat(number(found, name)).isCloseTo(by, within(1e-9));
    }

    /** Little room: less than the work is likely to miss by, told with both; in the middle of the window there is none of it. */
    @Test
    void little_room_is_told_with_what_the_work_may_miss() {
        TestBody body = new TestBody();
        assertThat(body.rules()).doesNotContain("little-room");
        Window window = NeckPocket.of(body.build()).window(body.design().bridge());
        double depth = PocketState.of(body.build()).target().value();
        body.wantedSaddle = OptionalDouble.of(12 + depth - (window.deepest() - 0.05));
        Finding found = finding(body, "little-room");
        assertThat(found.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        assertThat(number(found, "room")).isCloseTo(0.05, within(1e-6));
        NeckPocket.ErrorBudget budget = NeckPocket.of(body.build()).errorBudget(body.shop.limits());
        assertThat(number(found, "likely miss")).isEqualTo(budget.likely());
        // Heel and board 0.1 each, floor 0.15, angle 0.1 degree over 165: to one end, and as root of squares.
        double angle = NeckPocket.of(body.build()).sensitivities().get(6).perUnit() * 0.1;
        assertThat(budget.worst()).isCloseTo(0.1 + 0.1 + 0.15 + angle, within(1e-9));
        assertThat(budget.likely()).isCloseTo(Math.sqrt(0.01 + 0.01 + 0.0225 + angle * angle), within(1e-9));
    }
}
