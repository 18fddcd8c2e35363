package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Finding;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Each rule finds what it is for, and a sound body gives no finding at all. */
class FindingsTest {
    private static Finding find(TestBody body, String rule) {
        return body.plan().findings().stream()
                .filter(f -> f.rule().equals(rule))
                .findFirst()
                .orElseThrow(() -> new AssertionError(rule + " not among " + body.rules()));
    }

    @Test
    void a_sound_body_has_none() {
        assertThat(new TestBody().wired().plan().findings()).isEmpty();
    }

    static Stream<Arguments> faults() {
        return Stream.of(
                fault("block-too-long", b -> b.vibrato = Optional.of(TestBody.vibrato(50))),
                fault("block-near-back", b -> b.vibrato = Optional.of(TestBody.vibrato(43.5))),
                fault("control-top", b -> b.controls.set(0, TestBody.pot("volume", 100, -40, 5))),
                fault("control-outside", b -> b.controls.set(0, TestBody.pot("volume", 72, -40, 8))),
                fault(
                        "control-too-tall",
                        b -> b.controls.set(
                                0,
                                new Control(
                                        "deep",
                                        Control.Kind.POT,
                                        new Point(100, -40),
                                        10,
                                        0,
                                        0,
                                        8,
                                        25,
                                        25,
                                        39,
                                        OptionalDouble.empty()))),
                fault("no-cavity", b -> b.cavities.clear()),
                fault("thin-floor", b -> b.pickups.add(TestBody.pickup("deep", 0, 85, 42.5))),
                fault("thin-wall", b -> b.pickups.add(TestBody.pickup("near", 0, 72.5, 19))),
                fault("comes-through", b -> b.pickups.set(0, TestBody.pickup("neck", 0, 130, 46))),
                fault("breaks-in", b -> b.pickups.set(0, TestBody.pickup("neck", 0, 62, 19))),
                fault("breaks-out", b -> b.pickups.set(0, TestBody.pickup("neck", 130, 130, 19))),
                fault("outside-window", b -> b.wantedSaddle = OptionalDouble.of(25)),
                fault("no-depth-serves", b -> {
                    b.radius = 100;
                    b.spread = 90;
                    b.highestSaddle = 10;
                    b.wantedSaddle = OptionalDouble.empty();
                }),
                fault("little-room", b -> b.wantedSaddle = OptionalDouble.of(15.9)),
                fault("no-pocket", b -> b.wantedSaddle = OptionalDouble.of(60)),
                fault("saddle-travel", b -> b.saddleTravel = 2),
                fault("bridge-off-centre", b -> b.offCentre = 1.5),
                fault("bridge-off-body", b -> b.offCentre = 150),
                fault("end-wall-beyond-fret-12", b -> b.scale = 320),
                fault("blank-too-thin", b -> b.blankThickness = 44),
                fault("blank-only-just", b -> b.blankThickness = 45.5),
                fault("outline-off-blank", b -> b.outline = b.outline.replace("160", "185")),
                fault(
                        "no-bit",
                        b -> b.outline =
                                "M -100 -150 L 100 -150 L 160 180 L 20 180 L 20 150 L -20 150 L -20 240 L -160 240 Z"),
                fault(
                        "no-bit",
                        b -> b.pickups.set(0, new Pickup("sharp", new Point(0, 130), 80, 30, 1, 0, 19, Set.of()))));
    }

    private static Arguments fault(String rule, Consumer<TestBody> change) {
        return Arguments.of(rule, change);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("faults")
    void a_fault_is_found_with_its_numbers_and_a_cure(String rule, Consumer<TestBody> change) {
        TestBody body = new TestBody();
        change.accept(body);
        Finding finding = find(body, rule);
        assertThat(finding.cure()).isNotBlank();
        assertThat(finding.what(v -> "#")).doesNotContain("{");
        assertThat(finding.cure(v -> "#")).doesNotContain("{");
    }

    @Test
    void the_block_says_by_how_much_it_stands_proud() {
        TestBody body = new TestBody();
        body.vibrato = Optional.of(TestBody.vibrato(50));
        Finding finding = find(body, "block-too-long");
        assertThat(finding.severity()).isEqualTo(Finding.Severity.STOPS);
        assertThat(finding.numbers().get(2).value()).isEqualTo(50 - 44.5, within(1e-9));
    }

    @Test
    void a_wall_between_pickups_is_measured_exactly_and_a_declared_join_is_none() {
        TestBody body = new TestBody();
        body.pickups.add(TestBody.pickup("near", 0, 72.5, 19));
        assertThat(find(body, "thin-wall").numbers().get(0).value()).isEqualTo(2.5, within(1e-6));
        body.pickups.set(
                2, new Pickup("near", new Point(0, 72.5), 80, 30, 4.8, 0, 19, Set.of(Feature.parse("pickup-bridge"))));
        assertThat(body.rules()).doesNotContain("thin-wall");
    }

    @Test
    void a_thin_top_under_a_blade_switch_is_on_purpose() {
        TestBody body = new TestBody();
        body.controls.add(TestBody.bladeSwitch(1.5, 4.8, OptionalDouble.of(2.5)));
        assertThat(body.plan().findings())
                .filteredOn(f -> f.work() == Work.CAVITY)
                .allMatch(f -> f.severity() == Finding.Severity.GOOD_TO_KNOW)
                .extracting(Finding::rule)
                .containsExactly("thin-on-purpose");
        body.controls.clear();
        body.controls.add(TestBody.pot("volume", 100, -40, 8));
        body.cavities.set(0, TestBody.cavity(2.5));
        assertThat(body.rules())
                .as("a pot asks for no thin top")
                .contains("thin-floor")
                .doesNotContain("thin-on-purpose");
    }

    @Test
    void a_jack_that_ends_in_solid_wood_or_comes_out_of_a_face_is_seen() {
        TestBody body = new TestBody();
        body.jack = Optional.of(new Jack(new Point(165, -40), new Point(110, -40), 22.2, 8));
        assertThat(said(body, "comes-through")).isEqualTo("The jack hole breaks through the front by 3.1.");
        body.jack = Optional.empty();
        body.pickups.set(0, TestBody.pickup("neck", 0, 62, 19));
        assertThat(said(body, "breaks-in")).isEqualTo("The neck pickup cavity breaks into the bridge pickup cavity.");
        body.pickups.set(0, TestBody.pickup("neck", 140, 130, 19));
        assertThat(said(body, "breaks-out")).isEqualTo("The neck pickup cavity breaks out of the edge.");
    }

    private static String said(TestBody body, String rule) {
        return find(body, rule).what(v -> String.format(java.util.Locale.ROOT, "%.1f", v.value()));
    }

    @Test
    void gravest_comes_first() {
        TestBody body = new TestBody();
        body.blankThickness = 45.5;
        body.vibrato = Optional.of(TestBody.vibrato(50));
        List<Finding> findings = body.plan().findings();
        assertThat(findings).isSortedAccordingTo(java.util.Comparator.comparing(Finding::severity));
        assertThat(body.plan().stops()).isTrue();
    }
}
