package ebauche.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.measure.Refusal;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Pieces laid down elsewhere, cut and mirrored. */
class PlacingTest {
    private static final List<Placing> WAYS = List.of(
            Placing.AS_IT_IS,
            Placing.scaled(25.4),
            Placing.moved(3, -4),
            Placing.fromTheBack(),
            new Placing(true, 2, 0.7, 5, 6),
            new Placing(false, 0.5, -2, 1, 0));

    static Stream<Segment> pieces() {
        return Stream.of(
                new Segment.Line(new Point(1, 2), new Point(9, -4)),
                new Segment.Arc(new Point(2, 1), 7, 0.4, 2.2),
                new Segment.Arc(new Point(2, 1), 7, 3, -4),
                new Segment.Cubic(new Point(0, 0), new Point(3, 8), new Point(9, 8), new Point(12, -1)));
    }

    @ParameterizedTest
    @MethodSource("pieces")
    void a_piece_laid_down_elsewhere_is_laid_down_point_by_point(Segment piece) {
        for (Placing way : WAYS) {
            Segment there = piece.placed(way);
            for (double t = 0; t <= 1; t += 0.125) {
                assertThat(there.at(t).distance(way.of(piece.at(t)))).isLessThan(1e-9);
            }
            assertThat(there.length()).isEqualTo(piece.length() * way.scale(), within(1e-6));
        }
    }

    @ParameterizedTest
    @MethodSource("pieces")
    void a_part_runs_through_the_same_points(Segment piece) {
        Segment part = piece.part(0.2, 0.7);
        for (double t = 0; t <= 1; t += 0.1) {
            assertThat(part.at(t).distance(piece.at(0.2 + 0.5 * t))).isLessThan(1e-9);
        }
    }

    @Test
    void an_arc_as_cubics_stays_on_its_circle() {
        Segment.Arc arc = new Segment.Arc(new Point(5, -3), 300, 0.3, -5.5);
        assertThat(arc.cubics().get(0).start().distance(arc.start())).isLessThan(1e-9);
        for (Segment.Cubic c : arc.cubics()) {
            for (double t = 0; t <= 1; t += 0.1) {
                assertThat(c.at(t).distance(arc.centre())).isEqualTo(300, within(1e-4));
            }
        }
    }

    /** Mirroring a half gives twice its area, and every point has its partner. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void half_an_outline_makes_a_symmetrical_one(boolean treble) {
        Outline lopsided = Outline.parse(
                "M -30 240 L 30 240 C 36 220 44 200 70 200 C 100 200 118 226 130 214 C 142 200 116 130 110 90"
                        + " C 106 50 150 28 160 -24 C 170 -84 130 -142 60 -158 L -98 -138 C -156 -104 -186 -44 -168 8"
                        + " C -152 56 -118 74 -116 116 L -120 200 C -110 230 -60 220 -30 240 Z",
                1);
        Outline even = Symmetry.of(lopsided, treble);
        Region box = Region.rectangle(new Point(treble ? 250 : -250, 0), 500, 1000, 0, 0);
        double half = lopsided.region().intersection(box).area();
        // The halves are measured on the flattened curve, which lies up to 0.01 mm inside along some 600 mm of curve.
        assertThat(even.area()).isEqualTo(2 * half, within(6.0));
        assertThat(even.region().minX()).isEqualTo(-even.region().maxX(), within(1e-6));
        assertThat(even.region().minus(even.region().mirrored()).area()).isLessThan(1e-3);
        assertThat(Symmetry.of(even, treble).area()).isEqualTo(even.area(), within(1e-3));
    }

    /** Wherever the centre line meets it, and on whichever side halving ends. */
    @ParameterizedTest
    @ValueSource(doubles = {-31.7, -12, -0.3, 0.001, 4.4, 9, 27.123, 63})
    void an_outline_moved_to_and_fro_can_always_be_mirrored(double moved) {
        Outline round = Outline.parse(
                "M 150 0 A 150 150 0 0 1 0 150 C -60 150 -170 90 -150 0 A 150 150 0 0 1 0 -150 L 60 -140"
                        + " C 130 -130 150 -60 150 0 Z",
                1);
        Outline there = Outline.of(round.segments().stream()
                .map(s -> s.placed(Placing.moved(moved, 0)))
                .toList());
        for (boolean treble : new boolean[] {true, false}) {
            Outline even = Symmetry.of(there, treble);
            assertThat(even.region().minX()).isEqualTo(-even.region().maxX(), within(1e-6));
        }
    }

    @Test
    void an_outline_beside_the_centre_line_has_no_half() {
        Outline aside = Outline.parse("M 10 0 L 50 0 L 50 40 L 10 40 Z", 1);
        assertThatThrownBy(() -> Symmetry.of(aside, true))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("two places");
    }
}
