package ebauche.core.routing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Pass;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Stations;
import ebauche.core.shop.Bands;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Change;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class GuidedPocketTest {
    private static List<String> steps(TestBody body, String feature) {
        return body.schedule().steps().stream()
                .map(s -> s.operation().key().written())
                .filter(k -> k.startsWith(feature + ":"))
                .toList();
    }

    private static Operation step(TestBody body, String key) {
        return body.schedule()
                .step(key)
                .orElseThrow(() -> new AssertionError(key))
                .operation();
    }

    @Test
    void a_deep_cavity_is_drilled_routed_to_its_last_pass_and_brought_to_depth() {
        assertThat(steps(new TestBody(), "pickup-bridge"))
                .contains(
                        "pickup-bridge:fit",
                        "pickup-bridge:waste",
                        "pickup-bridge:rough",
                        "pickup-bridge:rout",
                        "pickup-bridge:off");
    }

    /** Another school: freehand first, an eighth of an inch inside the line, then the template. The last pass is as before. */
    @Test
    void a_shop_that_routs_freehand_first_stays_inside_the_line_and_leaves_the_template_little() {
        TestBody drilled = new TestBody();
        TestBody body = new TestBody();
        body.shop = body.shop.with(body.shop.practice().with(Practice.Waste.FREEHAND));
        Operation waste = step(body, "pickup-bridge:waste");
        assertThat(waste.setting().kind()).isEqualTo("routed");
        assertThat(waste.setting().passes())
                .isNotEmpty()
                .allMatch(p -> p.guide() == Pass.Guide.FREEHAND)
                .allMatch(p -> p.bite() <= p.cutter().bit().diameter() / 2 + 1e-9);
        assertThat(waste.cautions()).anyMatch(c -> c.name().equals("router-freehand"));
        assertThat(waste.setting().with())
                .endsWith(", by eye, inside a pencil line")
                .doesNotContain("bearing");
        Region plan = Stations.pockets(body.plan().build()).stream()
                .filter(p -> p.feature().word().equals("pickup-bridge"))
                .findFirst()
                .orElseThrow()
                .plan();
        Region went = waste.changes().get(0).solid().plan();
        assertThat(went.minus(plan.grown(-3.1)).area()).isLessThan(1);
        assertThat(step(body, "pickup-bridge:rough").setting().passes())
                .hasSizeLessThanOrEqualTo(
                        step(drilled, "pickup-bridge:rough").setting().passes().size())
                .allMatch(p -> p.engaged() <= 3.2 + 1e-9);
        assertThat(step(body, "pickup-bridge:rout")
                        .setting()
                        .figure()
                        .orElseThrow()
                        .value())
                .isEqualTo(step(drilled, "pickup-bridge:rout")
                        .setting()
                        .figure()
                        .orElseThrow()
                        .value());
    }

    /** What is done is a fact: waste that was drilled stays drilled, whatever the shop does now. */
    @Test
    void waste_that_was_drilled_is_not_routed_freehand_when_the_shop_changes_its_way() {
        TestBody body = new TestBody();
        body.timeline.add(
                body.schedule().step("pickup-bridge:waste").orElseThrow().asDone("d", "2026-03-01T10:00:00Z", "me"));
        body.shop = body.shop.with(body.shop.practice().with(Practice.Waste.FREEHAND));
        assertThat(step(body, "pickup-bridge:waste").setting().kind()).isEqualTo("drilled");
        assertThat(step(body, "pickup-neck:waste").setting().kind()).isEqualTo("routed");
    }

    /** Without a bit that plunges deep enough it is drilled all the same. */
    @Test
    void without_a_bit_that_is_long_enough_the_waste_is_drilled() {
        TestBody body = new TestBody();
        Crib c = body.shop.crib();
        body.shop = body.shop
                .with(c.only(
                        c.bits().stream().filter(b -> b.cutterLength() < 14).toList()))
                .with(body.shop.practice().with(Practice.Waste.FREEHAND));
        assertThat(step(body, "pickup-bridge:waste").setting().kind()).isEqualTo("drilled");
    }

    @Test
    void a_shallow_recess_goes_in_one_pass() {
        assertThat(steps(new TestBody(), "cover")).containsExactly("cover:fit", "cover:rout", "cover:off");
    }

    @Test
    void a_cavity_too_narrow_for_any_forstner_is_not_drilled() {
        TestBody body = new TestBody();
        body.pickups.set(
                1,
                new ebauche.core.hardware.Pickup(
                        "bridge", new ebauche.core.geometry.Point(0, 40), 80, 12, 4.8, 0, 19, java.util.Set.of()));
        assertThat(steps(body, "pickup-bridge")).doesNotContain("pickup-bridge:waste");
    }

    @ParameterizedTest
    @ValueSource(doubles = {8, 12, 16, 19, 25, 33})
    void no_step_goes_deeper_than_the_floor_and_the_last_reaches_it(double depth) {
        TestBody body = new TestBody();
        body.pickups.set(0, TestBody.pickup("neck", 0, 130, depth));
        BuildPlan plan = body.plan();
        double floor = plan.build().faces().frontFinished() + depth;
        double deepest = 0;
        for (History.Step step : plan.history().steps()) {
            for (Change change : step.changes()) {
                if (change.feature().equals(Feature.parse("pickup-neck"))) {
                    assertThat(change.solid().deepest())
                            .as(step.operation().key().written())
                            .isLessThanOrEqualTo(floor + 1e-9);
                    deepest = Math.max(deepest, change.solid().deepest());
                }
            }
        }
        assertThat(deepest).isEqualTo(floor, within(1e-9));
    }

    @Test
    void the_card_reads_from_the_face_as_it_is_and_its_sum_says_so() {
        TestBody body = new TestBody();
        Setting setting = step(body, "pickup-neck:rout").setting();
        assertThat(setting.figure().orElseThrow().value()).isEqualTo(19.3, within(1e-9));
        assertThat(setting.figure().orElseThrow().terms()).anySatisfy(t -> {
            assertThat(t.name()).contains("still to be sanded off the front");
            assertThat(t.value()).isEqualTo(0.3, within(1e-9));
        });
        assertThat(setting.figureSays()).isEqualTo("deep from the front");
    }

    @Test
    void the_band_of_the_last_pass_is_the_shops_and_a_reading_at_its_ends_still_holds() {
        Inspection inspection =
                step(new TestBody(), "pickup-neck:rout").inspections().get(0);
        assertThat(inspection.most() - inspection.least()).isEqualTo(1.6, within(1e-9));
        assertThat(inspection.holds(inspection.least())).isTrue();
        assertThat(inspection.holds(inspection.most())).isTrue();
        assertThat(inspection.holds(inspection.most() + 0.01)).isFalse();
    }

    /** Common practice: a part sits within 0.15, threads come through within 0.4, and 0.8 is nothing where there is only room. */
    @Test
    void a_band_is_as_wide_as_what_hangs_on_it_allows() {
        Build build = new TestBody().build();
        assertThat(band(build, "neck", Face.FRONT)).isEqualTo(0.15);
        assertThat(band(build, "step-selector", Face.BACK)).isEqualTo(0.15);
        assertThat(band(build, "cover", Face.BACK)).isEqualTo(0.15);
        assertThat(band(build, "controls", Face.BACK)).isEqualTo(0.4);
        assertThat(band(build, "controls", Face.FRONT))
                .as("its parts hang on the plate")
                .isEqualTo(0.8);
        assertThat(band(build, "pickup-neck", Face.FRONT)).isEqualTo(0.8);
        assertThat(band(build, "springs", Face.BACK)).isEqualTo(0.8);
    }

    private static double band(Build build, String feature, Face face) {
        return build.floorBand(Feature.parse(feature), face).value();
    }

    /** So much is left over the shop's thinnest floor; however little it is, what a gauge can tell is good. */
    @ParameterizedTest
    @CsvSource({"2, 0.8", "0.5, 0.5", "0.1, 0.15"})
    void a_floor_may_not_come_nearer_than_the_thinnest(double left, double deeper) {
        TestBody body = new TestBody();
        double most = body.build().faces().thickness() - body.shop.limits().thinnestFloor();
        body.pickups.set(0, TestBody.pickup("neck", 0, 130, most - left));
        Inspection last = step(body, "pickup-neck:rout").inspections().get(0);
        assertThat(last.band().above().value()).isCloseTo(deeper, within(1e-9));
        assertThat(last.band().below().value()).isEqualTo(0.8);
    }

    @Test
    void a_shop_that_wants_it_closer_says_so() {
        TestBody body = new TestBody();
        body.shop = body.shop.with(new Bands(0.4, 0.3, 0.2, 0.3, 0.15, 0.5, 0.5));
        Inspection last = step(body, "pickup-neck:rout").inspections().get(0);
        assertThat(last.band().below().value()).isEqualTo(0.3);
        assertThat(last.band().below().terms().get(0).name()).isEqualTo("a floor that only gives room");
        assertThat(step(body, "pickup-neck:rough")
                        .inspections()
                        .get(0)
                        .band()
                        .above()
                        .value())
                .isEqualTo(0.2);
    }

    @Test
    void between_passes_half_a_millimetre_either_way_is_good() {
        Inspection rough =
                step(new TestBody(), "pickup-neck:rough").inspections().get(0);
        assertThat(rough.expected().value() - rough.least()).isEqualTo(0.5, within(1e-9));
        assertThat(rough.most() - rough.expected().value()).isEqualTo(0.5, within(1e-9));
    }

    @Test
    void the_tool_turns_in_the_corner() {
        TestBody body = new TestBody();
        Setting.Routed routed = (Setting.Routed) step(body, "pickup-neck:rout").setting();
        double diameter = body.shop.crib().bits().stream()
                .filter(b -> b.name().equals(routed.tool()))
                .findFirst()
                .orElseThrow()
                .diameter();
        assertThat(diameter / 2).isLessThanOrEqualTo(4.8);
    }

    /** With one bit that must leave the template half-way: begun on it, the template off, brought down on its own wall. */
    @Test
    void a_template_that_must_come_off_between_passes_is_a_step_of_its_own() {
        TestBody body = new TestBody();
        body.pickups.set(0, TestBody.pickup("neck", 0, 130, 19));
        Bit narrow = Bit.usual("narrow", Bit.Bearing.AT_SHANK, 9.5, 12, 6.35);
        body.shop = body.shop.with(new Crib(
                body.shop.crib().routers(), List.of(narrow), body.shop.crib().drills(), List.of(6.35), List.of()));
        assertThat(steps(body, "pickup-neck"))
                .containsSubsequence(
                        "pickup-neck:waste",
                        "pickup-neck:fit",
                        "pickup-neck:start",
                        "pickup-neck:off",
                        "pickup-neck:rough",
                        "pickup-neck:rout");
        Setting.Routed start = (Setting.Routed) step(body, "pickup-neck:start").setting();
        Setting.Routed rough = (Setting.Routed) step(body, "pickup-neck:rough").setting();
        assertThat(start.passes()).allMatch(p -> p.guide() == Pass.Guide.TEMPLATE);
        assertThat(rough.passes()).allMatch(p -> p.guide() == Pass.Guide.WALL);
        assertThat(rough.guide()).isEqualTo("wall just cut");
        assertThat(start.depth().value()).isLessThan(rough.depth().value());
    }
}
