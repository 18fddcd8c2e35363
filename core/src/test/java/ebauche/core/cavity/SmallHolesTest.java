package ebauche.core.cavity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Drill;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Finding;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.routing.Pilot;
import ebauche.core.stock.Change;
import ebauche.core.timber.Hardness;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The small holes: a switch slot, the jack, screws and their pilots, drills by their fit. */
class SmallHolesTest {
    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    private static int place(BuildPlan plan, String key) {
        return plan.steps().stream()
                .map(s -> s.operation().key().written())
                .toList()
                .indexOf(key);
    }

    /** The switch stands at (82, -40), its slot 25 long and 3.2 wide: two holes at its ends, then the slot once only the top is left. */
    @Test
    void a_switchs_slot_is_two_small_holes_and_what_lies_between() {
        TestBody body = new TestBody();
        body.controls.add(TestBody.bladeSwitch(3.2, 4.8, OptionalDouble.of(4)));
        BuildPlan plan = body.plan();
        Operation drill = step(plan, "control-selector:drill");
        assertThat(drill.changes())
                .singleElement()
                .extracting(c -> c.solid().plan().parts().stream()
                        .map(p -> p.centroid())
                        .sorted(java.util.Comparator.comparingDouble(Point::y))
                        .toList())
                .satisfies(at -> {
                    assertThat(at).hasSize(2);
                    assertThat(at.get(0).distance(new Point(82, -40 - 10.9))).isLessThan(0.01);
                    assertThat(at.get(1).distance(new Point(82, -40 + 10.9))).isLessThan(0.01);
                });
        // 4 of top and what is still to sand, and 3 into what the step takes: never through the body.
        double deep = 4 + body.build().faces().toSand(Face.FRONT) + 3;
        assertThat(drill.setting().figure().orElseThrow().value()).isCloseTo(deep, within(1e-9));
        assertThat(drill.changes().get(0).solid().deepest())
                .isCloseTo(body.build().faces().frontNow() + deep, within(1e-9));
        Operation slot = step(plan, "control-selector:slot");
        assertThat(slot.setting().tool()).contains("slot bit 3/32").contains("stiffened");
        assertThat(slot.changes().get(0).solid().plan().area()).isCloseTo(25 * 3.2, within(0.1));
        assertThat(place(plan, "control-selector:drill")).isLessThan(place(plan, "control-selector:slot"));
        assertThat(place(plan, "step-selector:rout")).isLessThan(place(plan, "control-selector:slot"));
        assertThat(place(plan, "control-selector:slot")).isLessThan(place(plan, "control-selector:try"));
    }

    /** Where no pot's hole goes through, the switch's does: the rear template is placed by nothing else. */
    @Test
    void a_switch_alone_is_drilled_through_as_the_rear_template_hangs_on_it() {
        TestBody body = new TestBody();
        body.controls.clear();
        body.controls.add(TestBody.bladeSwitch(3.2, 4.8, OptionalDouble.empty()));
        BuildPlan plan = body.plan();
        assertThat(step(plan, "control-selector:drill").changes().get(0).solid().deepest())
                .isCloseTo(body.build().faces().backNow(), within(1e-9));
        assertThat(body.rules()).doesNotContain("nobody-gives");
    }

    /** From (165, -40) square into a cavity whose wall is at x 133; the body's edge is at 160: 27 of wood and 3 of spur. */
    @Test
    void the_jack_has_a_middle_to_mark_and_a_depth_to_stop_at() {
        TestBody body = new TestBody();
        BuildPlan plan = body.plan();
        double edge = body.design().outline().region().wayOut(new Point(110, -40), 1, 0) + 110;
        Operation mark = step(plan, "jack:mark");
        assertThat(mark.setting().figure().orElseThrow().value())
                .isCloseTo(22 + body.build().faces().toSand(Face.FRONT), within(1e-9));
        assertThat(mark.setting().figureSays()).contains("from the front");
        Operation drill = step(plan, "jack:drill");
        assertThat(drill.setting().figureSays()).isEqualTo("deep from the edge, into the control cavity");
        assertThat(drill.setting().figure().orElseThrow().value()).isCloseTo(edge - 133 + 3, within(0.3));
        assertThat(place(plan, "jack:mark")).isLessThan(place(plan, "jack:drill"));
    }

    /** From the edge at x 160 to the wall at 133; aslant, from either side, the far side of the bore meets the wall later, by 11.1 tan. */
    @ParameterizedTest
    @CsvSource({"0", "15", "-15"})
    void a_jack_that_comes_in_aslant_goes_on_until_its_whole_width_is_through(double degrees) {
        double aslant = Math.toRadians(degrees);
        TestBody body = new TestBody();
        body.jack = Optional.of(new Jack(new Point(165, -40 + 55 * Math.tan(aslant)), new Point(110, -40), 22.2, 22));
        assertThat(body.figure("jack:drill") - 3)
                .isCloseTo(27 / Math.cos(aslant) + 11.1 * Math.tan(Math.abs(aslant)), within(0.01));
    }

    /** In a crib without such a bit, or with one whose bearing would run in the slot, it is cut with a knife. */
    @Test
    void a_slot_is_cut_with_a_knife_where_no_thin_bit_is_to_be_had() {
        TestBody body = new TestBody();
        body.controls.add(TestBody.bladeSwitch(3.2, 4.8, OptionalDouble.of(4)));
        Crib c = body.shop.crib();
        List<Bit> bits = new ArrayList<>(c.bits());
        bits.removeIf(b -> b.diameter() < 3);
        bits.add(Bit.usual("flush 3/32", Bit.Bearing.AT_SHANK, 2.38, 6, 3));
        body.shop = body.shop.with(new Crib(
                c.routers(),
                bits,
                c.drills(),
                c.templates(),
                c.spacers(),
                c.saws(),
                c.drums(),
                c.aids(),
                c.machines(),
                c.bearings()));
        assertThat(step(body.plan(), "control-selector:slot").setting().tool()).startsWith("a knife along a rule");
    }

    /** Holes at the ends of a slot go as far under the front as it is now, also when it was sanded before. */
    @Test
    void the_slots_holes_are_measured_from_the_front_as_it_is() {
        TestBody body = new TestBody();
        body.controls.add(TestBody.bladeSwitch(3.2, 4.8, OptionalDouble.of(4)));
        body.done("sanding:front");
        Operation drill = step(body.plan(), "control-selector:drill");
        double front = body.build().faces().frontNow();
        assertThat(front).isPositive();
        assertThat(drill.setting().figure().orElseThrow().value()).isCloseTo(4 + 3, within(1e-9));
        assertThat(drill.changes().get(0).solid().deepest()).isCloseTo(front + 7, within(1e-9));
    }

    /** Screws of a cover and of a let-in bridge stand on a floor: wood under it is kept, not under the face. */
    @Test
    void pilots_in_a_recess_keep_the_wood_under_its_floor() {
        TestBody body = new TestBody();
        body.cavities.set(
                0,
                TestBody.cavity(6)
                        .with(new Cover(
                                Cover.Kind.LET_IN,
                                body.thickness - 11,
                                5,
                                List.of(new Point(62, -40)),
                                Optional.empty())));
        body.recess = body.thickness - 10;
        BuildPlan plan = body.plan();
        assertThat(step(plan, "cover-screws:drill")
                        .setting()
                        .figure()
                        .orElseThrow()
                        .value())
                .isCloseTo(11 - 2, within(1e-9));
        assertThat(step(plan, "bridge:screws").setting().figure().orElseThrow().value())
                .isCloseTo(10 - 2, within(1e-9));
    }

    @Test
    void a_jack_that_ends_in_wood_is_drilled_as_deep_as_it_is_drawn() {
        TestBody body = new TestBody();
        body.jack = Optional.of(new Jack(new Point(165, -40), new Point(140, -40), 22.2, 22));
        Setting setting = step(body.plan(), "jack:drill").setting();
        assertThat(setting.figureSays()).isEqualTo("deep from the edge");
        double edge = body.design().outline().region().wayOut(new Point(140, -40), 1, 0);
        assertThat(setting.figure().orElseThrow().value()).isCloseTo(edge, within(1e-9));
    }

    /**
     * Pilots of the usual wood screws, within 1/64 in of the tables for soft and hard wood: no. 4 (2.84 mm) 1/16 and 5/64, no. 6
     * (3.51) 5/64 and 3/32, no. 8 (4.17) 3/32 and 1/8 in. Source: screw tables of woodworking handbooks, from memory.
     */
    @ParameterizedTest
    @CsvSource({"2.84, 4, 5", "3.51, 5, 6", "4.17, 6, 8"})
    void a_pilot_follows_screw_and_wood(double screw, int soft, int hard) {
        double sixtyFourth = 25.4 / 64;
        assertThat(new Pilot(new TestBody().build(), screw, Hardness.SOFT).wide())
                .isCloseTo(soft * sixtyFourth, within(sixtyFourth));
        assertThat(new Pilot(new TestBody().build(), screw, Hardness.HARD).wide())
                .isCloseTo(hard * sixtyFourth, within(sixtyFourth));
        assertThat(new Pilot(new TestBody().build(), screw, Hardness.MEDIUM).wide())
                .isBetween(
                        new Pilot(new TestBody().build(), screw, Hardness.SOFT).wide(),
                        new Pilot(new TestBody().build(), screw, Hardness.HARD).wide());
    }

    @ParameterizedTest
    @CsvSource({"45, 10", "12, 10", "11.9, 9.9", "5, 3"})
    void a_pilot_never_goes_through(double wood, double deep) {
        assertThat(Pilot.small(new TestBody().build()).smallDepth(wood).value()).isCloseTo(deep, within(1e-9));
    }

    /** The heel is marked through the body's holes; the pilots end where the screws do, and never in the fingerboard. */
    @ParameterizedTest
    @CsvSource({"40, true", "80, false"})
    void the_heels_pilots_follow_the_screws(double screw, boolean fits) {
        TestBody body = new TestBody();
        body.screwLength = OptionalDouble.of(screw);
        BuildPlan plan = body.plan();
        Operation heel = step(plan, "neck-screws:heel");
        var window = ebauche.core.neck.NeckScrews.of(body.build()).orElseThrow();
        double most = window.longest().value();
        assertThat(screw <= most).isEqualTo(fits);
        assertThat(heel.setting().figure().orElseThrow().value())
                .isCloseTo(Math.min(screw, most) - window.leastWood().value(), within(1e-9));
        assertThat(heel.setting().tool()).isEqualTo("twist 1/8");
        assertThat(heel.changes()).as("it is the neck that is drilled").isEmpty();
        assertThat(place(plan, "neck-screws:drill")).isLessThan(place(plan, "neck-screws:heel"));
    }

    /** A crib without the drill, or with one that is loose or too short, is told with the drill that would do. */
    @Test
    void the_missing_drill_is_named() {
        TestBody body = new TestBody();
        body.studs = Optional.of(new ebauche.core.hardware.Bridge.Studs(74, -4, 11, 19));
        assertThat(body.rules()).doesNotContain("no-drill", "drill-too-short");
        body.shop = body.shop.with(
                drills(body.shop.crib(), "brad point 11", Drill.usual("brad 11.2", Drill.Kind.BRAD_POINT, 11.2, 2)));
        Finding loose = finding(body, "no-drill");
        assertThat(loose.feature()).contains(Feature.parse("bridge-studs"));
        assertThat(loose.severity()).isEqualTo(Finding.Severity.THINK_AGAIN);
        assertThat(loose.what(v -> String.valueOf(v.value()))).contains("11.0", "pressed in", "brad 11.2", "too wide");
        assertThat(loose.cure(v -> String.valueOf(v.value()))).contains("10.85", "11.02");
        body.shop = body.shop.with(
                drills(body.shop.crib(), "brad 11.2", new Drill("stub 11", Drill.Kind.BRAD_POINT, 11, 2, 12)));
        Finding tooShort = finding(body, "drill-too-short");
        assertThat(tooShort.numbers())
                .extracting(Finding.Value::value)
                .containsExactly(12.0, 19 + body.build().faces().toSand(Face.FRONT));
        body.shop = body.shop.with(drills(
                body.shop.crib(),
                "stub 11",
                new Drill(
                        "just 11",
                        Drill.Kind.BRAD_POINT,
                        11,
                        2,
                        19 + body.build().faces().toSand(Face.FRONT))));
        assertThat(body.rules()).as("just long enough").doesNotContain("drill-too-short");
        body.shop = body.shop.with(
                drills(body.shop.crib(), "just 11", new Drill("stub 11", Drill.Kind.BRAD_POINT, 11, 2, 12)));
        body.doneUpTo("bridge-studs:drill");
        assertThat(body.rules()).as("what is drilled needs no drill").doesNotContain("drill-too-short");
    }

    private static Finding finding(TestBody body, String rule) {
        return body.plan().findings().stream()
                .filter(f -> f.rule().equals(rule))
                .reduce((a, b) -> {
                    throw new AssertionError("two: " + a + " and " + b);
                })
                .orElseThrow();
    }

    private static Crib drills(Crib c, String without, Drill with) {
        List<Drill> drills = new ArrayList<>(c.drills());
        drills.removeIf(d -> d.name().equals(without));
        drills.add(with);
        return new Crib(
                c.routers(),
                c.bits(),
                drills,
                c.templates(),
                c.spacers(),
                c.saws(),
                c.drums(),
                c.aids(),
                c.machines(),
                c.bearings());
    }

    /** A drill that is too short for the body goes in from both faces; the card says so. */
    @Test
    void a_hole_through_is_met_from_both_faces_where_the_drill_is_short() {
        TestBody body = new TestBody();
        assertThat(step(body.plan(), "control-volume:drill").setting().figureSays())
                .isEqualTo("right through, onto scrap");
        body.shop = body.shop.with(
                drills(body.shop.crib(), "brad point 10", new Drill("stub 10", Drill.Kind.BRAD_POINT, 10, 2, 30)));
        body.shop = body.shop.with(
                drills(body.shop.crib(), "Forstner 3/8", new Drill("stub 3/8", Drill.Kind.BRAD_POINT, 9.525, 2, 30)));
        assertThat(step(body.plan(), "control-volume:drill").setting().figureSays())
                .contains("half from each face");
        assertThat(body.rules()).doesNotContain("drill-too-short");
        double deep = body.figure("control-volume:drill");
        body.shop = body.shop.with(
                drills(body.shop.crib(), "stub 10", new Drill("just 10", Drill.Kind.BRAD_POINT, 10, 2, deep)));
        assertThat(step(body.plan(), "control-volume:drill").setting().figureSays())
                .as("just long enough")
                .isEqualTo("right through, onto scrap");
    }

    /** Screws of parts are marked through the parts: one step for each pickup, or one for the plate that covers them. */
    @Test
    void screws_are_marked_through_the_parts_in_hand() {
        TestBody body = new TestBody();
        body.studs = Optional.empty();
        BuildPlan plan = body.plan();
        assertThat(plan.steps().stream().map(s -> s.operation().key().written()).filter(k -> k.endsWith(":screws")))
                .containsExactlyInAnyOrder("bridge:screws", "pickup-neck:screws", "pickup-bridge:screws");
        for (BuildPlan.PlanStep s : plan.steps()) {
            if (s.operation().key().written().endsWith(":screws")) {
                assertThat(s.operation().changes().stream().filter(Change.Remove.class::isInstance))
                        .isEmpty();
                assertThat(s.operation().setting().figure().orElseThrow().value())
                        .isEqualTo(10);
            }
        }
        assertThat(place(plan, "pickup-neck:rout")).isLessThan(place(plan, "pickup-neck:screws"));
        assertThat(place(plan, "neck:bridge")).isLessThan(place(plan, "bridge:screws"));
    }
}
