package ebauche.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.shop.Cutting;
import ebauche.core.timber.Board;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Side;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a cut leaves on the rack: one long rest rather than two short ones, and two bodies out of one board. */
class RestsTest {
    private static final Cutting CUTTING = Cutting.USUAL;

    /** Length of the pieces of the body here: 400 with its margins. */
    private static final double PIECE = 400 + 2 * CUTTING.margin();

    private static BlankPlanner.Request ask(List<OnRack> rack) {
        return new BlankPlanner.Request(rack, Racks.need(), CUTTING, false, 2, Preference.BALANCED);
    }

    private static List<OnRack> rack(Board... boards) {
        return Stream.of(boards).map(Racks::ready).toList();
    }

    /**
     * A knot near one end of a board for two bodies: cut in its middle it would fall outside the body, at the price of two rests too
     * short for anything; cut off the other end it does too, and leaves one that is another body.
     */
    @Test
    void a_board_is_cut_so_that_its_rest_stays_in_one_piece() {
        double length = 2 * PIECE + 2 * CUTTING.endTrim() + 10;
        Board board = Racks.board("long", length, 350, 50, new Defect(Defect.Kind.KNOT, 60, 170, 20, 20, 0, 50));
        Layout layout = BlankPlanner.plan(ask(rack(board))).layouts().get(0);
        assertThat(layout.pieces()).hasSize(1);
        assertThat(layout.offcuts()).hasSize(1);
        assertThat(layout.offcuts().get(0).length()).isGreaterThanOrEqualTo(PIECE);
        assertThat(layout.gives(layout.offcuts().get(0))).startsWith("another body");
    }

    /**
     * A rest three quarters as long as a piece is none: of it 3/8 count for what else it may give. One as long loses nothing to bodies; of
     * two and a half pieces the half, but for a quarter of it. What lies beside the piece is wide enough.
     */
    @ParameterizedTest
    @CsvSource({"0.75, 0.625", "1, 0", "2.5, 0.15"})
    void of_a_rest_that_is_too_short_its_share_is_lost_to_bodies(double pieces, double lost) {
        double rest = pieces * PIECE + Math.floor(pieces) * (pieces > 1 ? CUTTING.ripKerf() : 0);
        Board board = Racks.board("b", CUTTING.endTrim() + PIECE + CUTTING.ripKerf() + rest, 700, 47.05);
        RackCapacity yard = new RackCapacity(rack(board), Racks.need(), CUTTING, false);
        BoardUse use = new BoardUse(
                yard, 0, false, Side.A, CUTTING.endTrim(), List.of(new BoardUse.Length(0, List.of(340.0))));
        assertThat(use.cutSmall()).isCloseTo(pieces * PIECE * 700 * 47.05 * 1e-6 * lost, within(1e-6));
        assertThat(Preference.BALANCED.timber(1, 1)).isCloseTo(1.5 * Preference.BALANCED.perLitre(), within(1e-9));
    }

    /** Two rests, one of them all but a piece, are worth less than one that is a piece and more. */
    @Test
    void nearly_a_piece_is_none() {
        double sum = 0.99 * PIECE + 0.78 * PIECE;
        assertThat(lost(0.99 * PIECE) + lost(0.78 * PIECE)).isGreaterThan(lost(sum - CUTTING.ripKerf()));
    }

    private static double lost(double rest) {
        Board board = Racks.board("b", CUTTING.endTrim() + PIECE + CUTTING.ripKerf() + rest, 700, 47.05);
        RackCapacity yard = new RackCapacity(rack(board), Racks.need(), CUTTING, false);
        return new BoardUse(yard, 0, false, Side.A, CUTTING.endTrim(), List.of(new BoardUse.Length(0, List.of(340.0))))
                .cutSmall();
    }

    @Test
    void a_rest_says_what_it_gives() {
        assertThat(RestUse.of(Racks.board("n", 700, 80, 25), 430, 350, 47)).containsExactly(RestUse.NECK);
        assertThat(RestUse.of(Racks.board("s", 450, 90, 50), 430, 350, 47)).containsExactly(RestUse.STRIP);
        assertThat(RestUse.of(Racks.board("h", 450, 180, 50), 430, 350, 47))
                .containsExactly(RestUse.HALF, RestUse.COVER);
        assertThat(RestUse.of(Racks.board("b", 450, 350, 50), 430, 350, 47))
                .containsExactly(RestUse.BODY, RestUse.COVER);
        assertThat(RestUse.said(RestUse.of(Racks.board("x", 90, 60, 50), 430, 350, 47)))
                .isEqualTo("small parts");
    }

    /** One board for two bodies: laid out together, the second comes out of what the first leaves, and no board twice. */
    @Test
    void two_bodies_come_out_of_one_board() {
        Board one = Racks.board("one", 2 * PIECE + 2 * CUTTING.endTrim() + CUTTING.ripKerf() + 2, 350, 50);
        TogetherPlanner.Joint joint = TogetherPlanner.plan(List.of(List.of(ask(rack(one))), List.of(ask(rack(one)))))
                .orElseThrow();
        assertThat(joint.shares()).hasSize(2);
        int second = joint.shares().get(1).body();
        assertThat(joint.outOfRestsOf(second)).contains(joint.shares().get(0).body());
        assertThat(joint.of(second).layouts().get(0).boards())
                .extracting(Board::name)
                .containsExactly("one-1");
        assertThat(joint.outOfRestsOf(joint.shares().get(0).body())).isEmpty();
        // the same points as either alone, added up
        assertThat(joint.points())
                .isCloseTo(
                        joint.shares().stream()
                                .mapToDouble(s -> s.layouts().get(0).points().value())
                                .sum(),
                        within(1e-9));
    }

    /** Two that both want the one good board: the plan for both is dearer than each alone, and uses nothing twice. */
    @Test
    void what_one_takes_the_other_does_without() {
        Board good = Racks.board("good", 480, 350, 50);
        Board first = Racks.board("first", 480, 180, 50);
        Board second = Racks.board("second", 480, 180, 50);
        List<OnRack> rack = rack(good, first, second);
        double alone = BlankPlanner.plan(ask(rack)).layouts().get(0).points().value();
        TogetherPlanner.Joint joint = TogetherPlanner.plan(List.of(List.of(ask(rack)), List.of(ask(rack))))
                .orElseThrow();
        assertThat(joint.points()).isGreaterThan(2 * alone);
        List<String> used = joint.shares().stream()
                .flatMap(s -> s.layouts().get(0).boards().stream())
                .map(Board::name)
                .toList();
        assertThat(used).doesNotHaveDuplicates().contains("good", "first", "second");
        assertThat(TogetherPlanner.plan(List.of(List.of(ask(rack(good))), List.of(ask(rack(good))))))
                .isEqualTo(Optional.empty());
    }

    /** One after the other by hand, in either order, each in its best way: never cheaper than together. */
    @Test
    void no_order_of_cutting_one_after_the_other_is_cheaper() {
        List<OnRack> rack =
                rack(Racks.board("a", 1000, 200, 50), Racks.board("b", 480, 360, 52), Racks.board("c", 2000, 120, 50));
        BlankPlanner.Request body = ask(rack);
        BlankPlanner.Request top =
                new BlankPlanner.Request(rack, Racks.top(), CUTTING, false, 2, Preference.LEAST_WASTE);
        double together = TogetherPlanner.plan(List.of(List.of(body), List.of(top)))
                .orElseThrow()
                .points();
        assertThat(together).isLessThanOrEqualTo(oneAfterTheOther(body, top) + 1e-9);
        assertThat(together).isLessThanOrEqualTo(oneAfterTheOther(top, body) + 1e-9);
    }

    private static double oneAfterTheOther(BlankPlanner.Request first, BlankPlanner.Request then) {
        Layout cut = BlankPlanner.plan(first).layouts().get(0);
        List<OnRack> left = Stream.concat(
                        first.rack().stream().filter(r -> !cut.boards().contains(r.board())),
                        cut.offcuts().stream().map(Racks::ready))
                .toList();
        BlankPlanner.Request rest = new BlankPlanner.Request(
                left, then.need(), then.cutting(), then.snipes(), then.mostPieces(), then.taste());
        return cut.points().value()
                + BlankPlanner.plan(rest).layouts().get(0).points().value();
    }
}
