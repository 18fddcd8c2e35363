package ebauche.core.neck;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.Heel;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.ScratchPlate;
import ebauche.core.feature.Feature;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.DepthCard;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class NeckFitTest {
    private static TestBody body(double heelWidth, Heel.Made made, Heel.Jig jig) {
        TestBody body = new TestBody();
        body.heelFit = Optional.of(new Heel(heelWidth, heelWidth, 76, made, jig));
        return body;
    }

    private static List<String> rules(TestBody body) {
        return body.plan().findings().stream().map(f -> f.rule()).toList();
    }

    /** Common practice: a gap of 1/64 in shows, 1/32 in is loose. The pocket is 56 wide. */
    @ParameterizedTest
    @CsvSource({
        "56.05, TOO_TIGHT",
        "56, SNUG",
        "55.61, SNUG",
        "55.603125, SHOWS",
        "55.22, SHOWS",
        "55.20625, LOOSE",
        "54, LOOSE"
    })
    void the_class_of_a_fit_follows_from_the_gap(double heel, NeckFit.Grade fit) {
        TestBody body = body(heel, Heel.Made.DRAWING_FIRST, Heel.Jig.DRAWN);
        assertThat(NeckFit.of(body.build()).orElseThrow().fit()).isEqualTo(fit);
    }

    @Test
    void a_neck_sanded_after_its_pocket_was_made_to_the_drawing_is_warned_of() {
        assertThat(rules(body(55.9, Heel.Made.DRAWING_FIRST, Heel.Jig.DRAWN))).contains("neck-sanded-later");
        assertThat(rules(body(55.9, Heel.Made.NECK_FIRST, Heel.Jig.DRAWN))).doesNotContain("neck-sanded-later");
    }

    @Test
    void made_to_the_neck_the_pocket_follows_the_heel_that_was_measured() {
        TestBody body = body(55.5, Heel.Made.NECK_FIRST, Heel.Jig.THREE_STRIPS);
        assertThat(body.build().design().neck().widthAtEnd()).isCloseTo(55.6, within(1e-9));
        body.read("heel-width-end", 55.1).read("heel-width-mouth", 55.9);
        NeckFit fit = NeckFit.of(body.build()).orElseThrow();
        assertThat(body.build().design().neck().widthAtEnd()).isCloseTo(55.2, within(1e-9));
        assertThat(body.build().design().neck().widthAtMouth()).isCloseTo(56.0, within(1e-9));
        assertThat(fit.fit()).isEqualTo(NeckFit.Grade.SNUG);
        // common practice: the middle strip is made about 0.2 under the heel and eased to fit
        assertThat(fit.jig(true).value()).isCloseTo(54.9, within(1e-9));
        assertThat(fit.jig(false).value()).isCloseTo(55.7, within(1e-9));
    }

    @Test
    void a_measured_pocket_counts_whatever_it_was_made_to() {
        TestBody body = body(55.5, Heel.Made.NECK_FIRST, Heel.Jig.DRAWN);
        body.read("pocket-width-end", 56.4);
        assertThat(NeckFit.of(body.build()).orElseThrow().fit()).isEqualTo(NeckFit.Grade.LOOSE);
        assertThat(rules(body)).contains("neck-loose");
    }

    @Test
    void the_jig_comes_before_its_template_and_the_heel_is_measured_before_the_jig() {
        BuildPlan plan = body(55.5, Heel.Made.NECK_FIRST, Heel.Jig.THREE_STRIPS).plan();
        List<String> order =
                plan.steps().stream().map(s -> s.operation().key().written()).toList();
        assertThat(order).containsSubsequence("neck:measure", "neck:jig", "neck:fit", "neck:rout");
        Operation measure = plan.step("neck:measure").orElseThrow().operation();
        assertThat(measure.inspections().stream().map(i -> i.measurand().key()))
                .containsExactly("heel-thickness", "heel-width-end", "heel-width-mouth", "heel-length");
        assertThat(plan.step("neck:jig").orElseThrow().operation().setting()).isInstanceOf(Setting.Made.class);
        assertThat(new TestBody().schedule().step("neck:jig")).isEmpty();
    }

    /** Common practice: heel 1 3/16 in a pocket of 1 1/8 stands 1/16 proud; a plate under the fingerboard wants no less. */
    @Test
    void a_plate_under_the_fingerboard_wants_the_heel_proud_by_its_thickness() {
        TestBody body = new TestBody();
        body.heel = 25.4 * 19 / 16;
        body.fingerboard = 25.4 / 4;
        body.fret = 1.2;
        body.actionBass = 1.6;
        body.actionTreble = 1.6;
        body.wantedSaddle = OptionalDouble.of(11.8375);
        body.scratchPlate = Optional.of(new ScratchPlate(1.55, true));
        PocketState state = PocketState.of(body.build());
        assertThat(state.target().value()).isCloseTo(25.4 * 9 / 8, within(0.01));
        assertThat(state.proud().value()).isCloseTo(25.4 / 16, within(0.01));
        assertThat(rules(body)).doesNotContain("plate-under-fingerboard");
        body.scratchPlate = Optional.of(new ScratchPlate(2.4, true));
        assertThat(rules(body)).contains("plate-under-fingerboard");
        body.scratchPlate = Optional.of(new ScratchPlate(2.4, false));
        assertThat(rules(body)).doesNotContain("plate-under-fingerboard");
    }

    @Test
    void a_heel_thicker_than_the_body_is_asked_about() {
        TestBody body = new TestBody();
        body.heel = 50;
        assertThat(rules(body)).contains("heel-thicker-than-body");
    }

    static Stream<Long> seeds() {
        return IntStream.range(0, 200).mapToObj(i -> 77L * i + 5);
    }

    /** The carried-on line against the line through two drawn points, met with y = 0 by Cramer's rule. */
    @ParameterizedTest
    @MethodSource("seeds")
    void the_necks_line_meets_the_saddles_where_a_drawn_line_does(long seed) {
        Random random = new Random(seed);
        TestBody body = new TestBody();
        body.scale = 580 + random.nextInt(280);
        body.endWallToSaddle = 120 + random.nextInt(100);
        double nut = random.nextDouble() * 6 - 3;
        double pocket = random.nextDouble() * 2 - 1;
        body.read("centre-at-nut", nut).read("centre-at-pocket", pocket);
        double[] p = {nut, body.scale};
        double[] q = {pocket, body.endWallToSaddle};
        double a = q[1] - p[1];
        double b = p[0] - q[0];
        double c = a * p[0] + b * p[1];
        assertThat(CentreLine.of(body.build()).atBridge().orElseThrow().value()).isCloseTo(c / a, within(1e-9));
    }

    /** At the permitted offset the outer string, drawn from nut to saddle, lies exactly so far inside the fingerboard. */
    @ParameterizedTest
    @MethodSource("seeds")
    void at_the_permitted_offset_the_outer_string_keeps_its_wood(long seed) {
        Random random = new Random(seed);
        TestBody body = body(54 + random.nextDouble() * 4, Heel.Made.DRAWING_FIRST, Heel.Jig.DRAWN);
        body.nutSpread = OptionalDouble.of(34 + random.nextDouble() * 4);
        body.spread = 50 + random.nextDouble() * 4;
        double permitted = CentreLine.of(body.build()).permitted().value();
        double half = body.heelFit.orElseThrow().widthAtEnd() / 2;
        double nut = body.nutSpread.getAsDouble() / 2;
        double saddle = body.spread / 2 + permitted;
        double y = body.endWallToSaddle;
        double there = saddle + (nut - saddle) * y / body.scale;
        if (permitted > 0) {
            assertThat(half - there).isCloseTo(2.5, within(1e-9));
        } else {
            assertThat(half - there).isLessThanOrEqualTo(2.5 + 1e-9);
        }
    }

    @Test
    void a_neck_that_points_past_the_bridge_is_found_and_its_reading_at_the_bridge_counts_more() {
        TestBody body = new TestBody();
        body.read("centre-at-nut", -1.5).read("centre-at-pocket", 0.4);
        assertThat(rules(body)).contains("neck-off-line");
        body.read("centre-at-bridge", 0.2);
        assertThat(rules(body)).doesNotContain("neck-off-line");
    }

    @Test
    void fret_12_is_read_against_half_the_scale_before_the_bridge_is_drilled() {
        TestBody body = new TestBody();
        Inspection half = body.schedule()
                .step("neck:bridge")
                .orElseThrow()
                .operation()
                .inspections()
                .get(0);
        assertThat(half.expected().value()).isEqualTo(body.scale / 2);
        body.read("fret-12-to-saddle", body.scale / 2 + 0.4);
        assertThat(rules(body)).doesNotContain("scale-off");
        body.read("fret-12-to-saddle", body.scale / 2 + 0.6);
        assertThat(rules(body)).contains("scale-off");
    }

    /** A floor tilted over pocket length l falls by l tan α (C1: 75 at 2 degrees, 2.6): so much the wedge rises. */
    @Test
    void a_tilted_pockets_template_lies_on_a_wedge() {
        TestBody body = new TestBody();
        assertThat(body.build().wedge(Feature.parse("neck"))).isEmpty();
        body.angle = 2;
        double rise = body.build().wedge(Feature.parse("neck")).orElseThrow().value();
        assertThat(rise).isCloseTo(76 * Math.tan(Math.toRadians(2)), within(1e-9));
        assertThat(rise / 76 * 75).isCloseTo(2.6, within(0.05));
        BuildPlan plan = body.plan();
        int wedge = plan.indexOf(plan.step("neck:wedge").orElseThrow());
        assertThat(wedge).isLessThan(plan.indexOf(plan.step("neck:fit").orElseThrow()));
        DepthCard card = DepthCard.of(plan).get(0);
        assertThat(card.fromTemplate().value())
                .isCloseTo(
                        card.now().value() + body.build().templateThickness(Feature.parse("neck")) + rise,
                        within(1e-9));
        body.angle = -1;
        assertThat(body.figure("neck:wedge")).isCloseTo(76 * Math.tan(Math.toRadians(1)), within(1e-9));
        assertThat(body.build().raised(Feature.parse("neck"))).isZero();
    }

    /** A set neck is glued in when nothing more is cut: an angled body no longer lies flat. */
    @Test
    void a_set_neck_is_glued_in_after_every_cut() {
        TestBody body = new TestBody();
        assertThat(body.schedule().step("neck:glue")).isEmpty();
        body.joint = NeckJoint.Kind.SET;
        BuildPlan plan = body.plan();
        int glue = plan.indexOf(plan.step("neck:glue").orElseThrow());
        for (String cut : List.of("neck:rout", "controls:rout", "pickup-neck:rout", "jack:drill")) {
            assertThat(plan.indexOf(plan.step(cut).orElseThrow())).as(cut).isLessThan(glue);
        }
        assertThat(plan.step("neck:glue").orElseThrow().operation().waitMinutes())
                .isEqualTo(24 * 60);
    }

    @Test
    void fits_are_called_from_too_tight_to_loose() {
        assertThat(java.util.Arrays.stream(NeckFit.Grade.values()).map(NeckFit.Grade::words))
                .containsExactly("does not go in", "snug", "the gap shows", "loose");
    }
}
