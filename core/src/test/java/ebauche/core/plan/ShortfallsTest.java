package ebauche.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.design.Heel;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Finding;
import ebauche.core.realism.Realism;
import ebauche.core.sheet.DepthCard;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Parts that come, or are measured, after their cavity was cut: what is wanted more, and the step that takes it. */
@Tag("slow")
class ShortfallsTest {
    private static final Point AT = new Point(0, 40);

    /** Its pickup is 70 across and 38 along, 20 high and 3 proud, with 3 under it: a cavity 20 deep. */
    private static TestBody cut() {
        TestBody body = new TestBody();
        body.pickups = List.of(Pickup.of("bridge", AT, 0, Set.of(), 3, TestParts.pickup()));
        return body.doneUpTo("pickup-bridge:off");
    }

    private static Optional<Finding> finding(TestBody body, String rule) {
        return body.plan().findings().stream()
                .filter(f -> f.rule().equals(rule))
                .findFirst();
    }

    private static boolean wood(TestBody body, double x, double depth) {
        double[] in = body.plan().history().finished().intervalsAt(x, AT.y());
        for (int i = 0; i < in.length; i += 2) {
            if (depth > in[i] && depth < in[i + 1]) {
                return true;
            }
        }
        return false;
    }

    @Test
    void what_is_cut_as_wanted_wants_nothing_more() {
        TestBody body = cut();
        assertThat(body.rules()).doesNotContain("cut-too-small", "cut-too-shallow", "done-contradicted");
        assertThat(body.schedule().steps())
                .noneMatch(s -> s.operation().key().written().endsWith(":widen")
                        || (s.operation().key().written().endsWith(":deepen")
                                && !s.operation().feature().equals(Feature.parse("outline"))));
    }

    @Test
    void a_pickup_measured_wider_after_its_cavity_was_cut_is_told_and_routed_again() {
        TestBody body = cut().read("size:pickup-bridge.across", 74);
        Finding small = finding(body, "cut-too-small").orElseThrow();
        assertThat(small.numbers().get(0).value()).isCloseTo(2, within(0.02));
        assertThat(small.feature()).contains(Feature.parse("pickup-bridge"));
        assertThat(small.cure(v -> "")).contains("planned");
        assertThat(body.schedule().step("pickup-bridge:widen")).isPresent();
        assertThat(Realism.of(body.plan()).impossible())
                .as("the bits that cut it cut it again")
                .isZero();
        assertThat(wood(body, 37.5, 10))
                .as("the plan takes what is still wanted")
                .isFalse();
        body.doneUpTo("pickup-bridge:widen");
        assertThat(body.rules()).doesNotContain("cut-too-small");
        assertThat(body.schedule().step("pickup-bridge:widen"))
                .get()
                .extracting(BuildPlan.PlanStep::done)
                .isEqualTo(true);
        assertThat(wood(body, 37.5, 10)).as("and it stays taken").isFalse();
    }

    @Test
    void a_pickup_measured_taller_after_its_cavity_was_cut_has_it_deepened() {
        TestBody body = cut().read("size:pickup-bridge.height", 21.5);
        Finding shallow = finding(body, "cut-too-shallow").orElseThrow();
        assertThat(shallow.numbers().get(0).value()).isCloseTo(1.5, within(1e-6));
        DepthCard before = card(body);
        assertThat(Realism.of(body.plan()).impossible()).isZero();
        assertThat(before.done()).isFalse();
        assertThat(before.stillToCut().orElseThrow().value()).isCloseTo(1.5, within(1e-6));
        body.doneUpTo("legs-bridge:deepen").doneUpTo("pickup-bridge:deepen");
        assertThat(body.rules()).as("its legs' pockets are deepened like it").doesNotContain("cut-too-shallow");
        assertThat(card(body).done()).isTrue();
        assertThat(card(body).found().orElseThrow().value())
                .isCloseTo(card(body).depth().value(), within(1e-6));
        body.read("depth:pickup-bridge", 19.2, "pickup-bridge:deepen");
        assertThat(finding(body, "cut-too-shallow"))
                .as("what the gauge finds counts more than the card")
                .isPresent();
    }

    private static DepthCard card(TestBody body) {
        return DepthCard.of(body.plan()).stream()
                .filter(c -> c.feature().equals(Feature.parse("pickup-bridge")))
                .findFirst()
                .orElseThrow();
    }

    /** What a pickup's card allows, 1/32 in, is not worth another round; the neck pocket is held closer: common practice. */
    @ParameterizedTest
    @CsvSource({"20.75, false", "20.85, true"})
    void a_little_depth_is_not_worth_another_round(double height, boolean told) {
        TestBody body = cut().read("size:pickup-bridge.height", height);
        assertThat(finding(body, "cut-too-shallow").isPresent()).isEqualTo(told);
        TestBody neck = new TestBody().doneUpTo("neck:rout").read("heel-thickness", 25.4 + height - 20);
        assertThat(neck.schedule().step("neck:deepen")).isPresent();
    }

    @Test
    void a_part_measured_a_little_smaller_goes_on_with_more_room() {
        TestBody body = cut().read("size:pickup-bridge.across", 68);
        Finding roomier = finding(body, "done-contradicted").orElseThrow();
        assertThat(roomier.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        assertThat(roomier.numbers().get(0).value()).isCloseTo(1, within(0.02));
        assertThat(body.plan().stops()).isFalse();
        TestBody lower = cut().read("size:pickup-bridge.height", 18.5);
        assertThat(finding(lower, "done-contradicted").orElseThrow().severity())
                .isEqualTo(Finding.Severity.THINK_AGAIN);
        TestBody small = cut().read("size:pickup-bridge.across", 62);
        assertThat(small.plan().stops()).isTrue();
    }

    @Test
    void a_hole_drilled_before_its_part_came_is_told_to_be_too_narrow() {
        TestBody body = new TestBody();
        body.controls.set(0, Control.of("volume", new Point(100, -40), OptionalDouble.empty(), TestParts.pot()));
        body.doneUpTo("control-volume:drill").doneUpTo("jack:drill");
        assertThat(body.rules()).doesNotContain("cut-too-small");
        body.read("size:control-volume.bushing", 9.7);
        Finding pot = finding(body, "cut-too-small").orElseThrow();
        assertThat(pot.feature()).contains(Feature.parse("control-volume"));
        // 9.1 to 9.7 in diameter
        assertThat(pot.numbers().get(0).value()).isCloseTo(0.3, within(0.02));
        assertThat(pot.cure(v -> "")).contains("Ream it");
        body.jack = body.jack.map(j -> new Jack(j.entry(), j.aim(), j.diameter() + 0.4, j.fromFront()));
        assertThat(body.plan().findings())
                .filteredOn(f -> f.rule().equals("cut-too-small"))
                .extracting(f -> f.feature().map(Feature::word).orElse(""))
                .contains("control-volume", "jack");
    }

    @Test
    void a_heel_measured_wider_after_its_pocket_was_cut_widens_the_pocket() {
        TestBody body = new TestBody();
        body.heelFit = Optional.of(new Heel(55.9, 55.9, 76, Heel.Made.NECK_FIRST, Heel.Jig.THREE_STRIPS));
        body.doneUpTo("neck:rout");
        assertThat(body.rules()).doesNotContain("cut-too-small");
        body.read("heel-width-end", 57.2).read("heel-width-mouth", 57.2);
        assertThat(finding(body, "cut-too-small").orElseThrow().feature()).contains(Feature.parse("neck"));
        assertThat(body.schedule().step("neck:widen")).isPresent();
    }

    @Test
    void what_was_widened_can_be_deepened_later_and_both_stay() {
        TestBody body = cut().read("size:pickup-bridge.across", 74).read("size:pickup-bridge.height", 21);
        assertThat(body.schedule().step("pickup-bridge:deepen"))
                .as("the wider round goes to the new depth at once")
                .isEmpty();
        body.doneUpTo("pickup-bridge:widen");
        assertThat(body.rules()).doesNotContain("cut-too-small", "cut-too-shallow");
        body.read("size:pickup-bridge.height", 23);
        assertThat(finding(body, "cut-too-shallow")
                        .orElseThrow()
                        .numbers()
                        .get(0)
                        .value())
                .isCloseTo(2, within(1e-6));
        body.doneUpTo("pickup-bridge:deepen");
        assertThat(body.rules()).doesNotContain("cut-too-small", "cut-too-shallow");
        assertThat(body.schedule().steps())
                .filteredOn(s -> s.operation().feature().equals(Feature.parse("pickup-bridge"))
                        && s.operation().cannotBeTakenBack())
                .isNotEmpty()
                .allMatch(BuildPlan.PlanStep::done);
        assertThat(wood(body, 36, 22.5)).isFalse();
    }

    /** A vibrato's block that is wider than it was sold as, once its route is through: right through again. */
    @Test
    void a_through_route_is_routed_again_too() {
        TestBody body = new TestBody();
        body.pickups = List.of();
        body.bridgePart = Optional.of(TestParts.vibratoLetIn());
        body.studs = Optional.of(new Bridge.Studs(56, 19, 10, 20));
        body.vibrato = Optional.of(TestBody.vibrato(38));
        for (BuildPlan.PlanStep step : body.schedule().steps()) {
            if (step.operation().feature().equals(Feature.parse("vibrato"))
                    && body.schedule().step("vibrato:widen").isEmpty()) {
                body.doneUpTo(step.operation().key().written());
            }
        }
        assertThat(body.rules()).doesNotContain("cut-too-small");
        body.read("size:bridge.block-across", 55);
        Finding small = finding(body, "cut-too-small").orElseThrow();
        assertThat(small.feature()).contains(Feature.parse("vibrato"));
        assertThat(small.numbers().get(0).value()).isCloseTo(1.5, within(0.02));
        assertThat(small.cure(v -> "")).contains("planned");
        double beside = (52 + 2 * body.shop.clearances().block()) / 2 + 1;
        double y = body.build().design().bridge().vibrato().orElseThrow().routeY();
        assertThat(body.plan().history().finished().intervalsAt(beside, y)).isEmpty();
        body.doneUpTo("vibrato:widen");
        assertThat(body.rules()).doesNotContain("cut-too-small");
        assertThat(body.plan().history().finished().intervalsAt(beside, y)).isEmpty();
    }
}
