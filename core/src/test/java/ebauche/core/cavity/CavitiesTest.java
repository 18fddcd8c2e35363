package ebauche.core.cavity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.design.Contour;
import ebauche.core.design.ScratchPlate;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Finding;
import ebauche.core.job.Rule;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.DepthCard;
import ebauche.core.stock.Profile;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A body with several cavities, from the back and from the front, each closed in its own way. */
class CavitiesTest {
    /** 50 x 40 with corners of 8, its middle at a place. */
    private static Outline box(double x, double y) {
        return Outline.parse(
                "M %s %s h 34 a 8 8 0 0 1 8 8 v 24 a 8 8 0 0 1 -8 8 h -34 a 8 8 0 0 1 -8 -8 v -24 a 8 8 0 0 1 8 -8 Z"
                        .formatted(x - 17, y - 20),
                1);
    }

    private static Control toggle(String id, double x, double y) {
        return new Control(
                id, Control.Kind.TOGGLE_SWITCH, new Point(x, y), 11, 0, 0, 8, 20, 24, 28, OptionalDouble.empty());
    }

    /** A switch in a cavity of its own in the upper bout, beside the controls of every test body. */
    private static TestBody withSwitch() {
        TestBody body = new TestBody();
        body.controls.add(toggle("selector", -95, 120));
        body.cavities.add(new Cavity(
                "switch",
                Face.BACK,
                box(-95, 120),
                new Cavity.Floor.Leaving(5),
                Cover.letIn(2, 4),
                Set.of(Cavity.ELDEST)));
        return body;
    }

    /** A pot under a plate on the front, its cavity as deep as the pot asks. */
    private static TestBody underPlate(Cover.Kind kind, Cavity.Floor floor, Set<Feature> joins) {
        TestBody body = new TestBody();
        body.scratchPlate = Optional.of(new ScratchPlate(2.3, false));
        body.controls.add(TestBody.pot("blend", -70, -60, 8));
        double thickness = kind == Cover.Kind.CONTROL_PLATE ? 1.6 : 0;
        List<Point> screws =
                kind == Cover.Kind.CONTROL_PLATE ? List.of(new Point(-70, -30), new Point(-70, -90)) : List.of();
        body.cavities.add(new Cavity(
                "wiring",
                Face.FRONT,
                box(-70, -60),
                floor,
                new Cover(kind, thickness, 0, screws, Optional.empty()),
                joins));
        return body;
    }

    private static DepthCard card(BuildPlan plan, String feature) {
        return DepthCard.of(plan).stream()
                .filter(c -> c.feature().equals(Feature.parse(feature)))
                .findFirst()
                .orElseThrow();
    }

    private static Operation step(BuildPlan plan, String key) {
        return plan.step(key).orElseThrow(() -> new AssertionError(key)).operation();
    }

    private static List<String> keys(BuildPlan plan) {
        return plan.steps().stream().map(s -> s.operation().key().written()).toList();
    }

    private static List<String> rules(BuildPlan plan) {
        return plan.findings().stream().map(Finding::rule).toList();
    }

    private static Rule rule(BuildPlan plan, String name, String feature) {
        return plan.rules().stream()
                .filter(r -> r.name().equals(name) && r.feature().equals(Feature.parse(feature)))
                .findFirst()
                .orElseThrow();
    }

    /** Each has its own depth, its own holes that place its template, its own recess. */
    @Test
    void a_switch_cavity_is_cut_like_the_other_and_apart_from_it() {
        TestBody body = withSwitch();
        BuildPlan plan = body.plan();
        assertThat(rules(plan)).doesNotContain("no-cavity", "control-outside", "breaks-in");
        assertThat(card(plan, "controls").depth().value()).isCloseTo(body.thickness - 6, within(1e-9));
        assertThat(card(plan, "cavity-switch").depth().value()).isCloseTo(body.thickness - 5, within(1e-9));
        assertThat(card(plan, "recess-switch").depth().value()).isCloseTo(2, within(1e-9));
        assertThat(card(plan, "cavity-switch").tops())
                .extracting(t -> t.control().id())
                .containsExactly("selector");
        assertThat(card(plan, "controls").tops())
                .extracting(t -> t.control().id())
                .containsExactly("volume");
        List<String> keys = keys(plan);
        assertThat(keys).containsSubsequence("control-selector:drill", "cavity-switch:fit", "recess-switch:rout");
        assertThat(plan.links())
                .filteredOn(l -> l.after().feature().word().endsWith("switch"))
                .noneMatch(l -> l.before().feature().word().equals("control-volume"));
    }

    /** A control may name the cavity that it is to stand in; a name that is none is told, and so is one that it is not drawn in. */
    @Test
    void a_control_stands_in_the_cavity_that_it_names() {
        TestBody body = withSwitch();
        body.controls.set(1, body.controls.get(1).in(Optional.of("controls")));
        assertThat(body.rules()).contains("control-outside");
        body.controls.set(1, body.controls.get(1).in(Optional.of("attic")));
        assertThat(body.plan().findings())
                .filteredOn(f -> f.rule().equals("no-cavity"))
                .singleElement()
                .satisfies(f -> assertThat(f.what()).contains("selector").contains("attic"));
    }

    /** Wires find their way through what is joined, if only through another; a cavity apart from the jack's is told with the pickups. */
    @Test
    void a_cavity_that_no_wire_gets_to_is_told() {
        TestBody body = withSwitch().wired();
        body.channels.add(new Channel("switch", new Point(-36, 118), 15, new Point(-90, 120), 20, 8));
        assertThat(body.rules()).doesNotContain("no-way-for-wires");
        body.channels.remove(body.channels.size() - 1);
        assertThat(body.plan().findings())
                .filteredOn(f -> f.rule().equals("no-way-for-wires"))
                .singleElement()
                .satisfies(f -> assertThat(f.what()).contains("selector"));
    }

    /** The jack hole ends in the cavity that it points into, and in no other. */
    @Test
    void the_jack_goes_into_the_cavity_that_it_points_at() {
        TestBody body = withSwitch();
        body.jack = Optional.of(new Jack(new Point(-165, 120), new Point(-95, 120), 22.2, 22));
        assertThat(step(body.plan(), "jack:drill").joins())
                .contains(Feature.parse("cavity-switch"))
                .doesNotContain(Cavity.ELDEST);
    }

    /**
     * The plate in hand, placed by neck and bridge, shows where the rout under it goes (common practice); its controls are mounted
     * through it, so that nothing is drilled for them, and its thickness is their top.
     */
    @ParameterizedTest
    @EnumSource(
            value = Cover.Kind.class,
            names = {"SCRATCH_PLATE", "CONTROL_PLATE"})
    void a_rout_under_a_plate_is_placed_by_the_plate(Cover.Kind kind) {
        TestBody body = underPlate(kind, new Cavity.Floor.ForParts(), Set.of());
        BuildPlan plan = body.plan();
        String laid = kind == Cover.Kind.SCRATCH_PLATE ? "scratch-plate:locate" : "cavity-wiring:locate";
        String screwed = kind == Cover.Kind.SCRATCH_PLATE ? "scratch-plate:screws" : "screws-wiring:drill";
        assertThat(keys(plan))
                .containsSubsequence("neck:bridge", laid, "cavity-wiring:fit", "cavity-wiring:rout")
                .contains(screwed)
                .doesNotContain("control-blend:drill", "recess-wiring:rout");
        assertThat(card(plan, "cavity-wiring").face()).isEqualTo(Face.FRONT);
        double plate = kind == Cover.Kind.SCRATCH_PLATE ? 2.3 : 1.6;
        assertThat(card(plan, "cavity-wiring").tops().get(0).wood().value()).isCloseTo(plate, within(1e-9));
        // The pot reaches 20 down, and the shop leaves 2 round a control.
        assertThat(card(plan, "cavity-wiring").depth().value()).isCloseTo(22, within(1e-9));
        assertThat(rule(plan, "control-tall", "control-blend").number().value()).isCloseTo(2, within(1e-9));
        assertThat(plan.steps().stream()
                        .filter(s -> s.operation().key().written().equals(laid)))
                .hasSize(1);
    }

    /** A pot of which the bench reads more than it is sold as makes the rout under its plate deeper. */
    @Test
    void a_rout_for_its_parts_follows_what_is_read_of_them() {
        TestBody body = underPlate(Cover.Kind.SCRATCH_PLATE, new Cavity.Floor.ForParts(), Set.of());
        body.controls.set(1, Control.of("blend", new Point(-70, -60), OptionalDouble.empty(), TestParts.pot()));
        double sold = TestParts.pot().get(PartSize.BELOW);
        assertThat(card(body.plan(), "cavity-wiring").depth().value()).isCloseTo(sold + 2, within(1e-9));
        body.read("size:control-blend.below", sold + 1.5);
        assertThat(card(body.plan(), "cavity-wiring").depth().value()).isCloseTo(sold + 3.5, within(1e-9));
    }

    /** Too shallow for its pot, or under a plate that its thread does not pass: told with the numbers of the plate. */
    @Test
    void a_shallow_rout_and_a_thick_plate_are_told() {
        TestBody body = underPlate(Cover.Kind.CONTROL_PLATE, new Cavity.Floor.Deep(18), Set.of());
        body.controls.set(1, TestBody.pot("blend", -70, -60, 1.5));
        BuildPlan plan = body.plan();
        assertThat(plan.findings())
                .filteredOn(f -> f.rule().equals("control-too-tall"))
                .singleElement()
                .satisfies(f -> assertThat(f.what()).contains("under its plate"));
        assertThat(plan.findings())
                .filteredOn(f -> f.rule().equals("control-top"))
                .singleElement()
                .satisfies(f -> assertThat(f.what()).contains("the plate is"));
    }

    @Test
    void a_plate_that_nobody_described_is_told() {
        TestBody body = underPlate(Cover.Kind.SCRATCH_PLATE, new Cavity.Floor.Deep(30), Set.of());
        assertThat(body.rules()).doesNotContain("no-plate");
        body.scratchPlate = Optional.empty();
        assertThat(body.rules()).contains("no-plate");
        TestBody open = underPlate(Cover.Kind.OPEN, new Cavity.Floor.Deep(30), Set.of());
        assertThat(open.plan().findings())
                .filteredOn(f -> f.rule().equals("no-plate"))
                .singleElement()
                .satisfies(f -> assertThat(f.what()).contains("nothing to be mounted through"));
        open.controls.remove(1);
        assertThat(open.rules()).doesNotContain("no-plate");
    }

    /** As deep as its controls need, and none in it: told, not cut as deep as nothing. */
    @Test
    void a_rout_for_its_parts_without_any_is_told() {
        TestBody body = underPlate(Cover.Kind.SCRATCH_PLATE, new Cavity.Floor.ForParts(), Set.of());
        assertThat(body.rules()).doesNotContain("no-depth");
        body.controls.remove(1);
        assertThat(body.rules()).contains("no-depth");
    }

    /** Measured from the back as it will be under a belly carve: worked out by hand, 12 deep at the edge of the body. */
    @Test
    void a_rout_that_leaves_wood_over_the_back_keeps_it_under_a_carve() {
        TestBody body = underPlate(Cover.Kind.SCRATCH_PLATE, new Cavity.Floor.Leaving(8), Set.of());
        assertThat(card(body.plan(), "cavity-wiring").depth().value()).isCloseTo(body.thickness - 8, within(1e-9));
        body.contours.add(new Contour(
                "belly",
                Face.BACK,
                new Contour.Start.Across(new Point(-60, -150), new Point(-60, 250)),
                12,
                Profile.Shape.STRAIGHT,
                OptionalDouble.empty()));
        double depth = card(body.plan(), "cavity-wiring").depth().value();
        assertThat(depth).isLessThan(body.thickness - 8 - 1);
        assertThat(body.thickness
                        - depth
                        - body.build()
                                .finished(Face.BACK)
                                .mostFall(box(-70, -60).region()))
                .isCloseTo(8, within(1e-6));
    }

    /** A rout that is meant to meet a pickup's cavity may; one that is not is told. */
    @Test
    void a_rout_may_join_what_it_says() {
        Feature bridge = Feature.parse("pickup-bridge");
        for (boolean meant : new boolean[] {true, false}) {
            TestBody body =
                    underPlate(Cover.Kind.SCRATCH_PLATE, new Cavity.Floor.Deep(25), meant ? Set.of(bridge) : Set.of());
            body.controls.set(1, TestBody.pot("blend", -55, 20, 8));
            Cavity drawn = body.cavities.get(1);
            body.cavities.set(
                    1, new Cavity(drawn.id(), drawn.face(), box(-50, 32), drawn.floor(), drawn.cover(), drawn.joins()));
            assertThat(body.rules().contains("breaks-in")).isNotEqualTo(meant);
        }
    }

    @Test
    void what_no_cavity_can_be_is_refused_at_once() {
        Cover plate = new Cover(Cover.Kind.SCRATCH_PLATE, 0, 0, List.of(), Optional.empty());
        assertThatThrownBy(() ->
                        new Cavity("a", Face.BACK, box(0, 0), new Cavity.Floor.ForParts(), Cover.letIn(2, 4), Set.of()))
                .hasMessageContaining("how deep");
        assertThatThrownBy(() -> new Cavity("a", Face.BACK, box(0, 0), new Cavity.Floor.Deep(20), plate, Set.of()))
                .hasMessageContaining("front");
        assertThatThrownBy(() -> new Cavity.Floor.Deep(0)).hasMessageContaining("0");
    }

    /** The proposal is for the controls of one cavity, keeps the wall to the others, and leaves a plate its own screws. */
    @Test
    void each_cavity_is_proposed_for_its_own_parts() {
        TestBody body = withSwitch();
        CavityFromParts own = CavityFromParts.of(body.build(), new CavityFromParts.CavityWanted("switch", 9.525, 4))
                .orElseThrow();
        assertThat(own.controls()).extracting(Control::id).containsExactly("selector");
        assertThat(own.cavity().contains(body.controls.get(1).footprint())).isTrue();
        assertThat(own.screws()).isNotEmpty();
        TestBody plated = underPlate(Cover.Kind.SCRATCH_PLATE, new Cavity.Floor.Deep(30), Set.of());
        CavityFromParts flat = CavityFromParts.of(plated.build(), new CavityFromParts.CavityWanted("wiring", 9.525, 4))
                .orElseThrow();
        assertThat(flat.isWhole()).isTrue();
        assertThat(flat.screws()).isEmpty();
        assertThat(flat.cover().isEmpty()).isTrue();
    }
}
