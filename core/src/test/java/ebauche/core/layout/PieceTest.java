package ebauche.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.shop.Cutting;
import ebauche.core.timber.Board;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Flaw;
import ebauche.core.timber.Side;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Strips turned over and end for end, as a hand turns them; and where seams may stand. */
class PieceTest {
    private static final double LENGTH = 400;
    private static final double WIDTH = 120;
    private static final double THICKNESS = 50;

    private static Piece piece(Defect... defects) {
        Board board = Racks.board("B", 900, 200, THICKNESS, defects);
        return new Piece(board, 100, 30, WIDTH, 0, THICKNESS, Side.A, true, -60, WIDTH, -150, LENGTH, 0);
    }

    /** A fault near the far end, near the marked edge, under face A: at the neck, on the left, near the top. */
    private static final Defect CORNER = new Defect(Defect.Kind.KNOT, 450, 40, 30, 20, 0, 10);

    @Test
    void as_it_lies_a_fault_is_where_it_was_in_the_board() {
        Flaw flaw = piece(CORNER).flaws().get(0);
        assertThat(flaw.minY()).isEqualTo(-150 + 350, within(1e-9));
        assertThat(flaw.minX()).isEqualTo(-60 + 10, within(1e-9));
        assertThat(flaw.top()).isZero();
    }

    @Test
    void turned_over_left_and_right_and_up_and_down_swap_and_the_ends_stay() {
        Flaw flaw = piece(CORNER).turned(Side.B, true).flaws().get(0);
        assertThat(flaw.maxX()).isEqualTo(60 - 10, within(1e-9));
        assertThat(flaw.minY()).isEqualTo(200, within(1e-9));
        assertThat(flaw.bottom()).isEqualTo(THICKNESS, within(1e-9));
        assertThat(flaw.top()).isEqualTo(THICKNESS - 10, within(1e-9));
    }

    @Test
    void turned_end_for_end_both_ends_and_both_edges_swap_and_the_face_stays_up() {
        Flaw flaw = piece(CORNER).turned(Side.A, false).flaws().get(0);
        assertThat(flaw.maxY()).isEqualTo(-150 + LENGTH - 350, within(1e-9));
        assertThat(flaw.maxX()).isEqualTo(60 - 10, within(1e-9));
        assertThat(flaw.top()).isZero();
    }

    /** Whatever the turn, a fault keeps its size, stays in its piece, and two faults keep their distance. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void turning_moves_faults_stiffly(long seed) {
        Random random = new Random(seed);
        Defect[] two = new Defect[2];
        for (int i = 0; i < 2; i++) {
            two[i] = new Defect(
                    Defect.Kind.KNOT,
                    110 + random.nextDouble() * 350,
                    35 + random.nextDouble() * 90,
                    5 + random.nextDouble() * 20,
                    5 + random.nextDouble() * 15,
                    random.nextDouble() * 20,
                    25 + random.nextDouble() * 20);
        }
        Piece lying = piece(two);
        for (int turn = 0; turn < 4; turn++) {
            List<Flaw> flaws = Turns.turned(lying, turn).flaws();
            assertThat(flaws).hasSize(2);
            for (int i = 0; i < 2; i++) {
                Flaw f = flaws.get(i);
                assertThat(f.maxY() - f.minY()).isEqualTo(two[i].along(), within(1e-9));
                assertThat(f.maxX() - f.minX()).isEqualTo(two[i].across(), within(1e-9));
                assertThat(f.bottom() - f.top()).isEqualTo(two[i].bottom() - two[i].top(), within(1e-9));
                assertThat(f.minX()).isGreaterThanOrEqualTo(lying.left() - 1e-9);
                assertThat(f.maxX()).isLessThanOrEqualTo(lying.right() + 1e-9);
            }
            double apart = Math.hypot(
                    middleX(flaws.get(0)) - middleX(flaws.get(1)), middleY(flaws.get(0)) - middleY(flaws.get(1)));
            double inBoard = Math.hypot(
                    two[0].fromEdge() + two[0].across() / 2 - two[1].fromEdge() - two[1].across() / 2,
                    two[0].fromEnd() + two[0].along() / 2 - two[1].fromEnd() - two[1].along() / 2);
            assertThat(apart).isEqualTo(inBoard, within(1e-9));
        }
    }

    private static double middleX(Flaw f) {
        return (f.minX() + f.maxX()) / 2;
    }

    private static double middleY(Flaw f) {
        return (f.minY() + f.maxY()) / 2;
    }

    /** Common practice: flipped over or end for end, a board is planed the other way; both at once, the same way. */
    @Test
    void the_way_of_planing_turns_round_with_each_turn() {
        Piece piece = piece();
        assertThat(piece.planedTowardsNeck()).isEqualTo(1);
        assertThat(piece.turned(Side.B, true).planedTowardsNeck()).isEqualTo(-1);
        assertThat(piece.turned(Side.A, false).planedTowardsNeck()).isEqualTo(-1);
        assertThat(piece.turned(Side.B, false).planedTowardsNeck()).isEqualTo(1);
        assertThat(piece.heartUp()).contains(true);
        assertThat(piece.turned(Side.B, true).heartUp()).contains(false);
    }

    @Test
    void a_fault_outside_the_strip_is_not_in_it_and_one_across_its_edge_only_in_part() {
        assertThat(piece(new Defect(Defect.Kind.KNOT, 10, 10, 20, 10, 0, 50)).flaws())
                .isEmpty();
        Flaw part = piece(new Defect(Defect.Kind.KNOT, 90, 40, 30, 20, 0, 50))
                .flaws()
                .get(0);
        assertThat(part.maxY() - part.minY()).isEqualTo(20, within(1e-9));
    }

    @Test
    void seams_stand_symmetrically_and_leave_no_sliver() {
        Need need = Racks.need();
        List<OnRack> rack = List.of(Racks.ready(Racks.board("a", 900, 100, 50)));
        for (int pieces = 1; pieces <= Pattern.MOST_PIECES; pieces++) {
            for (Pattern pattern : Pattern.of(pieces, false, need, Cutting.USUAL, rack)) {
                double[] seams = pattern.seams();
                for (int i = 0; i < seams.length; i++) {
                    assertThat(seams[i]).isEqualTo(-seams[seams.length - 1 - i], within(1e-9));
                    assertThat(need.right() - Math.abs(seams[i])).isGreaterThanOrEqualTo(Cutting.USUAL.sliver() - 1e-9);
                }
                double sum = 0;
                for (int i = 0; i < pattern.pieces(); i++) {
                    sum += pattern.width(i);
                }
                assertThat(sum).isEqualTo(need.left() + need.right() + 2 * Cutting.USUAL.margin(), within(1e-9));
            }
        }
        assertThat(Pattern.of(2, false, need, Cutting.USUAL, rack).get(0).rough(0, Cutting.USUAL))
                .isEqualTo(need.left() + Cutting.USUAL.margin() + Cutting.USUAL.jointing(), within(1e-9));
    }
}
