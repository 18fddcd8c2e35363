package ebauche.core.neck;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.build.Finding;
import ebauche.core.design.Heel;
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
    @CsvSource({"0.5, THINK_AGAIN, still serves", "2.9, STOPS, lower than the bridge goes"})
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
        assertThat(fit.fit()).as("the wider gap is what shows").isEqualTo(NeckFit.Class.SHOWS);
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
        assertThat(NeckFit.of(body.build()).orElseThrow().fit()).isEqualTo(NeckFit.Class.LOOSE);
        body.read("heel-width-mouth", 56.1);
        assertThat(NeckFit.of(body.build()).orElseThrow().fit()).isEqualTo(NeckFit.Class.TOO_TIGHT);
    }
}
