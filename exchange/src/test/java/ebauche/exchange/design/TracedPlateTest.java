package ebauche.exchange.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.design.BodyDesign;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Pickup;
import ebauche.exchange.OddBodies;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** A plate brought in: its line, its screws, and what comes through it stands where its openings are. */
class TracedPlateTest {
    private static final Outline LINE = Outline.parse("M -60 15 L 75 15 L 75 170 L -60 170 Z", 1);
    private static final Feature SCRATCH_PLATE = Feature.parse("scratch-plate");

    private static double leftOfPlate(ObjectNode file) {
        return read(file).plateLines().get(0).minX();
    }

    private static BodyDesign read(ObjectNode file) {
        return BuildFile.of(file).build().drawn();
    }

    @Test
    void pickups_go_to_the_openings_nearest_to_them_and_small_holes_are_screws() {
        ObjectNode file = DemoBodies.read("tussock").withoutRecord();
        List<TracedPlate.Opening> openings = List.of(
                new TracedPlate.Opening(new Point(0.5, 141), 84, 21),
                new TracedPlate.Opening(new Point(-0.25, 43.2), 84, 21),
                new TracedPlate.Opening(new Point(-55, 160), 3.5, 3.5),
                new TracedPlate.Opening(new Point(70, 160), 4, 4),
                new TracedPlate.Opening(new Point(70, 20), 300, 300));
        assertThat(TracedPlate.put(file.withObject("/design"), SCRATCH_PLATE, LINE, openings))
                .isTrue();
        BodyDesign design = read(file);
        assertThat(design.pickups())
                .extracting(Pickup::at)
                .containsExactly(new Point(0.5, 141), new Point(-0.25, 43.2));
        assertThat(design.neck().scratchPlate().orElseThrow().screws())
                .containsExactly(new Point(-55, 160), new Point(70, 160));
        assertThat(design.neck()
                        .scratchPlate()
                        .orElseThrow()
                        .outline()
                        .orElseThrow()
                        .area())
                .isEqualTo(135 * 155, within(1e-6));
    }

    /** A plate without holes keeps the screws that were there, and what has no opening near it stays. */
    @Test
    void what_the_drawing_does_not_say_stays() {
        ObjectNode file = DemoBodies.read("tussock").withoutRecord();
        BodyDesign before = read(file);
        TracedPlate.put(file.withObject("/design"), SCRATCH_PLATE, LINE, List.of());
        BodyDesign after = read(file);
        assertThat(after.neck().scratchPlate().orElseThrow().screws())
                .isEqualTo(before.neck().scratchPlate().orElseThrow().screws());
        assertThat(after.pickups()).isEqualTo(before.pickups());
    }

    @Test
    void a_control_plate_takes_its_controls_and_no_pickups() {
        ObjectNode file = OddBodies.read("plated").withoutRecord();
        ObjectNode rout = (ObjectNode) file.at("/design/cavities/1");
        rout.put("closed", "control-plate").put("coverThickness", "1.5 mm");
        BodyDesign before = read(file);
        Point pot = before.controls().get(before.controls().size() - 1).at();
        TracedPlate.put(
                file.withObject("/design"),
                Feature.parse("cavity-wiring"),
                LINE,
                List.of(
                        new TracedPlate.Opening(pot.plus(1, -2), 9, 9),
                        new TracedPlate.Opening(before.pickups().get(0).at().plus(2, 2), 80, 40)));
        BodyDesign after = read(file);
        assertThat(after.pickups()).isEqualTo(before.pickups());
        assertThat(after.controls().get(after.controls().size() - 1).at().distance(pot.plus(1, -2)))
                .isLessThan(0.01);
        assertThat(after.cavity("wiring").orElseThrow().cover().outline()).isPresent();
        // Made for the other hand, the plate and its screws are mirrored with the rest.
        ObjectNode other = file.deepCopy();
        other.set("design", Mirrored.of((ObjectNode) file.get("design")));
        assertThat(leftOfPlate(other)).isEqualTo(-75, within(1e-3));
        assertThat(FeatureMove.move((ObjectNode) other.get("design"), Feature.parse("cavity-wiring"), 3, 0))
                .isTrue();
        assertThat(leftOfPlate(other)).isEqualTo(-72, within(1e-3));
    }

    @Test
    void a_design_without_that_plate_is_left_alone() {
        ObjectNode design = DemoBodies.read("sedge").design().deepCopy();
        ObjectNode before = design.deepCopy();
        assertThat(TracedPlate.put(design, SCRATCH_PLATE, LINE, List.of())).isFalse();
        assertThat(TracedPlate.put(design, Feature.parse("cavity-nowhere"), LINE, List.of()))
                .isFalse();
        assertThat(design).isEqualTo(before);
    }
}
