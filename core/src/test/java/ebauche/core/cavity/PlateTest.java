package ebauche.core.cavity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.design.Hand;
import ebauche.core.design.Measurand;
import ebauche.core.design.ScratchPlate;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Cover;
import ebauche.core.job.Rule;
import ebauche.core.operation.Inspection;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A plate locates what lies under it, and is judged where it was drawn. */
@Tag("slow")
class PlateTest {
    private static Outline box(double minX, double minY, double maxX, double maxY) {
        return Outline.parse("M %1$s %2$s L %3$s %2$s L %3$s %4$s L %1$s %4$s Z".formatted(minX, minY, maxX, maxY), 1);
    }

    /** Both pickups of the test body, 90 x 40 at most, and a rout with a pot under one plate. */
    private static TestBody plated(Optional<Outline> outline, Point... screws) {
        TestBody body = new TestBody();
        body.scratchPlate = Optional.of(new ScratchPlate(2.3, false, outline, List.of(screws)));
        body.controls.add(TestBody.pot("blend", -70, -60, 8));
        body.cavities.add(new Cavity(
                "wiring",
                Face.FRONT,
                box(-87, -80, -53, -40),
                new Cavity.Floor.Deep(30),
                new Cover(Cover.Kind.SCRATCH_PLATE, 0, 0, List.of(), Optional.empty()),
                Set.of()));
        return body;
    }

    private static final Outline LARGE = box(-100, -95, 60, 170);

    private static Point at(TestBody body, String pickup) {
        return body.build().design().pickups().stream()
                .filter(p -> p.id().equals(pickup))
                .findFirst()
                .orElseThrow()
                .at();
    }

    private static Point middle(TestBody body, String cavity) {
        return body.build().design().cavity(cavity).orElseThrow().plan().centroid();
    }

    /** Common practice: the plate in hand, placed by neck and bridge, says where pickups and the rout under it go. */
    @Test
    void pickups_and_the_rout_follow_the_plate_in_hand() {
        TestBody body = plated(Optional.empty());
        Point drawn = at(body, "neck");
        Point rout = middle(body, "wiring");
        assertThat(body.schedule()
                        .step("scratch-plate:locate")
                        .orElseThrow()
                        .operation()
                        .inspections())
                .extracting(Inspection::measurand)
                .contains(
                        new Measurand.OpeningAt(Feature.parse("pickup-neck"), true),
                        new Measurand.OpeningAt(Feature.parse("control-blend"), false));
        body.read("opening-along:pickup-neck", drawn.y() + 1.5);
        body.read("opening-across:pickup-neck", 0.7);
        assertThat(at(body, "neck").y()).isEqualTo(drawn.y() + 1.5, within(1e-9));
        assertThat(at(body, "neck").x()).isEqualTo(0.7, within(1e-9));
        assertThat(middle(body, "wiring").y()).as("a plate is stiff").isEqualTo(rout.y() + 1.5, within(1e-6));
        assertThat(body.build().design().controls().get(1).at().x()).isEqualTo(-69.3, within(1e-9));
        body.read("opening-along:control-blend", -58);
        body.read("opening-across:control-blend", -71);
        assertThat(middle(body, "wiring").y()).isEqualTo(rout.y() + 2, within(1e-6));
        assertThat(middle(body, "wiring").x()).isEqualTo(rout.x() - 1, within(1e-6));
        assertThat(body.build().design().controls().get(1).at()).isEqualTo(new Point(-71, -58));
        assertThat(body.build().drawn().controls().get(1).at()).isEqualTo(new Point(-70, -60));
    }

    /** What is marked by the plate is routed after it is laid on, and what the pocket takes away is where it was read. */
    @Test
    void the_pocket_is_cut_where_the_plate_has_it() {
        TestBody body = plated(Optional.empty());
        body.read("opening-along:pickup-neck", at(body, "neck").y() + 3, "scratch-plate:locate");
        BuildPlan plan = body.plan();
        List<String> keys =
                plan.steps().stream().map(s -> s.operation().key().written()).toList();
        assertThat(keys).containsSubsequence("neck:bridge", "scratch-plate:locate", "pickup-neck:fit");
        assertThat(plan.step("pickup-neck:rout")
                        .orElseThrow()
                        .operation()
                        .changes()
                        .get(0)
                        .solid()
                        .plan()
                        .centroid()
                        .y())
                .isEqualTo(at(body, "neck").y(), within(0.05));
        assertThat(body.rules()).doesNotContain("done-contradicted");
    }

    /** A plate that was laid on otherwise after the pickup's cavity was cut contradicts it. */
    @Test
    void a_reading_after_the_cut_is_told() {
        TestBody body = plated(Optional.empty()).doneUpTo("pickup-neck:rout");
        body.read("opening-along:pickup-neck", at(body, "neck").y() + 6);
        assertThat(body.rules()).containsAnyOf("done-contradicted", "cut-too-small");
    }

    @Test
    void on_a_left_handed_body_treble_is_the_other_side() {
        TestBody body = plated(Optional.empty());
        body.hand = Hand.LEFT;
        body.read("opening-across:pickup-neck", 1);
        assertThat(at(body, "neck").x()).isEqualTo(-1, within(1e-9));
    }

    private static Rule rule(TestBody body, String name) {
        return body.plan().rules().stream()
                .filter(r -> r.name().equals(name))
                .min((a, b) -> Double.compare(a.number().value(), b.number().value()))
                .orElseThrow(() -> new AssertionError(name));
    }

    /** Numbers by hand: the rout's left wall at -87 under a plate to -100; its lower one at -80 over -95. */
    @Test
    void a_drawn_plate_is_held_against_body_routs_and_screws() {
        TestBody body = plated(Optional.of(LARGE), new Point(-94, 0), new Point(-50, -60));
        assertThat(rule(body, "plate-hides").number().value()).isBetween(5.0, 13.0 + 1e-9);
        assertThat(rule(body, "plate-on-body").verdict()).isNotEqualTo(Rule.Verdict.FAILS);
        assertThat(rule(body, "plate-screw-in-plate").number().value()).isEqualTo(6, within(1e-6));
        assertThat(rule(body, "plate-screw-in-wood").number().value())
                .as("-50 to the wall at -53")
                .isEqualTo(3, within(1e-6));
        assertThat(body.rules()).contains("plate-screw-over-rout").doesNotContain("plate-shows-rout", "plate-off-body");
    }

    @Test
    void a_plate_too_small_shows_its_rout_and_one_too_large_stands_over_the_edge() {
        assertThat(plated(Optional.of(box(-86, -95, 60, 170))).rules()).contains("plate-shows-rout");
        assertThat(plated(Optional.of(box(-86.5 - 1, -95, 60, 170))).rules()).contains("plate-shows-rout");
        assertThat(plated(Optional.of(box(-89, -95, 60, 170))).rules()).doesNotContain("plate-shows-rout");
        assertThat(plated(Optional.of(box(-165, -95, 60, 170))).rules()).contains("plate-off-body");
        assertThat(plated(Optional.of(LARGE), new Point(-70, -60)).rules()).contains("plate-screw-over-rout");
        assertThat(plated(Optional.of(LARGE), new Point(-99, 20)).rules()).contains("plate-screw-at-edge");
    }

    /** A pickup that the plate does not reach stands by the centre line. */
    @Test
    void a_pickup_beside_the_plate_is_not_the_plates() {
        TestBody body =
                plated(Optional.of(box(-100, -95, 60, at(new TestBody(), "neck").y() - 30)));
        assertThat(body.build().design().onPlates()).doesNotContainKey(Feature.parse("pickup-neck"));
        assertThat(body.schedule().step("pickup-neck:fit").orElseThrow().operation().needs().stream()
                        .map(c -> c.words()))
                .contains("the centre line on the front");
    }

    /** A control plate is drawn too, and its cavity follows its controls. */
    @Test
    void a_control_plate_locates_its_own() {
        TestBody body = plated(Optional.empty());
        Cover plate = new Cover(
                Cover.Kind.CONTROL_PLATE,
                1.6,
                0,
                List.of(new Point(-70, -35), new Point(-70, -86)),
                Optional.empty(),
                Optional.of(box(-90, -92, -50, -29)));
        body.scratchPlate = Optional.empty();
        body.cavities.set(1, body.cavities.get(1).with(plate));
        assertThat(body.rules()).doesNotContain("plate-shows-rout", "plate-screw-over-rout", "plate-screw-at-edge");
        body.read("opening-along:control-blend", -63);
        assertThat(middle(body, "wiring").y()).isEqualTo(-63, within(1e-6));
        Cover moved = body.build().design().cavity("wiring").orElseThrow().cover();
        assertThat(moved.screws().get(0).y()).as("its screws go with it").isEqualTo(-38, within(1e-9));
        assertThat(moved.outline().orElseThrow().region().minY()).isEqualTo(-95, within(1e-6));
        assertThatThrownBy(() -> new Cover(Cover.Kind.LET_IN, 2, 4, List.of(), Optional.empty(), Optional.of(LARGE)))
                .hasMessageContaining("control plate");
    }

    /** A plate read far off its place, so that its rout lies under a control of another cavity: told, and nothing falls. */
    @Test
    void a_plate_read_far_off_takes_no_other_control_with_it() {
        TestBody body = plated(Optional.empty());
        body.controls.add(TestBody.pot("tone", -70, 60, 8));
        body.read("opening-along:control-blend", 60);
        assertThat(middle(body, "wiring").y()).isEqualTo(60, within(1e-6));
        assertThat(body.schedule()
                        .step("scratch-plate:locate")
                        .orElseThrow()
                        .operation()
                        .inspections())
                .extracting(Inspection::measurand)
                .doesNotContain(new Measurand.OpeningAt(Feature.parse("control-tone"), true));
        // Off the plate's own drawn line too: it is still the plate's.
        TestBody drawn = plated(Optional.of(LARGE));
        drawn.read("opening-along:pickup-neck", 400);
        assertThat(drawn.schedule().step("scratch-plate:locate")).isPresent();
        assertThat(drawn.plan().findings()).isNotEmpty();
    }

    /** The plate lies where its openings were read: what it hides and its screws are held against it there. */
    @Test
    void the_plates_own_line_follows_it() {
        TestBody body = plated(Optional.of(LARGE), new Point(-94, 0));
        double over = rule(body, "plate-hides").number().value();
        body.read("opening-along:pickup-neck", at(new TestBody(), "neck").y() + 6);
        body.read("opening-along:pickup-bridge", at(new TestBody(), "bridge").y() + 6);
        body.read("opening-along:control-blend", -54);
        ScratchPlate plate = body.build().design().neck().scratchPlate().orElseThrow();
        assertThat(plate.outline().orElseThrow().region().minY()).isEqualTo(-89, within(1e-6));
        assertThat(plate.screws().get(0)).isEqualTo(new Point(-94, 6));
        assertThat(rule(body, "plate-hides").number().value()).isEqualTo(over, within(1e-6));
    }

    @Test
    void a_screw_outside_its_plate_is_said_to_be_outside() {
        assertThat(plated(Optional.of(LARGE), new Point(-105, 20)).plan().findings())
                .filteredOn(f -> f.rule().equals("plate-screw-at-edge"))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.what()).contains("outside the plate");
                    assertThat(f.numbers().get(0).value()).isEqualTo(5, within(1e-6));
                });
    }
}
