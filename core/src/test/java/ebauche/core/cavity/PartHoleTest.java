package ebauche.core.cavity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.PartHole.Side;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Finding;
import ebauche.core.measure.Refusal;
import ebauche.core.sheet.DrillHole;
import ebauche.core.stock.Bore;
import ebauche.core.stock.WoodLeft;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Single holes for inserts and strap buttons, as wide and as deep as the part in hand wants. */
class PartHoleTest {
    private static PartHole insert(String id, Side from, double x, double y) {
        return new PartHole(
                id,
                TestParts.of(PartKind.INSERT, PartSize.HOLE, 6.4, PartSize.LENGTH, 13.0),
                new Point(x, y),
                from,
                Optional.empty());
    }

    private static PartHole strap(double x, double y, Point aim) {
        return new PartHole(
                "strap",
                TestParts.of(PartKind.STRAP_BUTTON, PartSize.HOLE, 3.0, PartSize.LENGTH, 25.0),
                new Point(x, y),
                Side.EDGE,
                Optional.of(aim));
    }

    private static DrillHole hole(TestBody body, String feature) {
        return DrillHole.of(body.plan()).stream()
                .filter(h -> h.step().feature().word().equals(feature))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void an_insert_ends_flush_with_the_face_as_it_will_be() {
        TestBody body = new TestBody();
        body.holes.add(insert("cover", Side.BACK, -60, 60));
        DrillHole hole = hole(body, "hole-cover");
        assertThat(hole.face()).isEqualTo(Face.BACK);
        assertThat(hole.depth().value()).isCloseTo(13 + 0.3, within(1e-9));
        assertThat(hole.diameter()).isCloseTo(6.4, within(0.01));
        WoodLeft.Thin floor = body.plan().thinnest().stream()
                .filter(t -> t.feature().equals(Feature.parse("hole-cover"))
                        && t.neighbour().equals(Feature.FRONT))
                .findFirst()
                .orElseThrow();
        assertThat(floor.thickness()).isCloseTo(44.5 - 13, within(1e-9));
    }

    @Test
    void the_insert_in_hand_replaces_the_nominal_one() {
        TestBody body = new TestBody();
        body.holes.add(insert("cover", Side.FRONT, -60, 60));
        body.read("size:hole-cover.length", 14.5);
        assertThat(hole(body, "hole-cover").depth().value()).isCloseTo(14.5 + 0.3, within(1e-9));
    }

    @Test
    void a_strap_buttons_hole_lies_in_the_middle_of_the_edge_and_ends_where_its_screw_does() {
        TestBody body = new TestBody();
        body.holes.add(strap(0, -150, new Point(0, -100)));
        Bore bore = (Bore) body.schedule()
                .step("hole-strap:drill")
                .orElseThrow()
                .operation()
                .changes()
                .get(0)
                .solid();
        assertThat(bore.to().y()).isCloseTo(-125, within(1e-9));
        assertThat(bore.fromDepth()).isCloseTo(0.3 + 44.5 / 2, within(1e-9));
        assertThat(hole(body, "hole-strap").wall().orElseThrow().down().value())
                .isCloseTo(0.3 + 44.5 / 2, within(1e-9));
        assertThat(body.rules()).doesNotContain("breaks-out");
    }

    @Test
    void a_strap_button_that_meets_the_control_cavity_is_told() {
        TestBody body = new TestBody();
        body.holes.add(strap(100, -150, new Point(100, -60)));
        assertThat(body.rules()).doesNotContain("breaks-in");
        body.holes.set(
                0,
                new PartHole(
                        "strap",
                        TestParts.of(PartKind.STRAP_BUTTON, PartSize.HOLE, 3.0, PartSize.LENGTH, 90.0),
                        new Point(100, -150),
                        Side.EDGE,
                        Optional.of(new Point(100, -60))));
        assertThat(body.rules()).contains("breaks-in");
    }

    @Test
    void what_has_a_cavity_of_its_own_or_points_nowhere_is_refused() {
        assertThatThrownBy(() -> new PartHole("x", TestParts.pot(), new Point(0, 0), Side.FRONT, Optional.empty()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("cavity of its own");
        assertThatThrownBy(() -> new PartHole(
                        "x",
                        TestParts.of(PartKind.INSERT, PartSize.HOLE, 6.4, PartSize.LENGTH, 13.0),
                        new Point(0, 0),
                        Side.EDGE,
                        Optional.empty()))
                .hasMessageContaining("point to");
    }

    /** The body ends at x 160: half of a 6.4 hole whose middle is 2 inside reaches 1.2 beyond. */
    @Test
    void a_hole_off_the_body_stops_the_build() {
        TestBody body = new TestBody();
        body.holes.add(insert("cover", Side.BACK, 156.7, 60));
        assertThat(body.rules()).doesNotContain("hole-off-body");
        body.holes.set(0, insert("cover", Side.BACK, 158, 60));
        Finding off = body.plan().findings().stream()
                .filter(f -> f.rule().equals("hole-off-body"))
                .findFirst()
                .orElseThrow();
        assertThat(off.feature()).contains(Feature.parse("hole-cover"));
        assertThat(off.numbers())
                .extracting(Finding.Value::value)
                .satisfiesExactly(
                        x -> assertThat(x).isEqualTo(158.0),
                        y -> assertThat(y).isEqualTo(60.0),
                        by -> assertThat(by).isCloseTo(1.2, within(0.01)));
    }

    @Test
    void every_hole_is_a_part_to_be_measured() {
        TestBody body = new TestBody();
        body.holes.addAll(List.of(insert("a", Side.BACK, -60, 60), strap(0, -150, new Point(0, -100))));
        assertThat(body.design().parts()).containsKeys(Feature.parse("hole-a"), Feature.parse("hole-strap"));
    }
}
