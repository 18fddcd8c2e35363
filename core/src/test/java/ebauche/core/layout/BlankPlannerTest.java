package ebauche.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestTimber;
import ebauche.core.shop.Cutting;
import ebauche.core.timber.Board;
import ebauche.core.timber.Defect;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BlankPlannerTest {
    private static final Cutting CUTTING = Cutting.USUAL;

    private static BlankPlanner.Answer plan(List<OnRack> rack, Preference taste) {
        return BlankPlanner.plan(new BlankPlanner.Request(rack, Racks.need(), CUTTING, false, 7, taste));
    }

    private static List<OnRack> rack(Board... boards) {
        return List.of(boards).stream().map(Racks::ready).toList();
    }

    @Test
    void each_kind_of_blank_that_the_rack_gives_is_offered() {
        BlankPlanner.Answer answer = plan(
                rack(
                        Racks.board("wide", 480, 350, 50),
                        Racks.board("half", 1000, 180, 50),
                        Racks.board("thick", 480, 180, 97),
                        Racks.board("strip", 3000, 90, 50)),
                Preference.BALANCED);
        assertThat(answer.layouts().stream().map(Layout::kind))
                .contains("One piece", "Two pieces", "Two pieces, book-matched", "Three pieces", "Five pieces");
        assertThat(answer.layouts().stream().map(l -> l.points().value())).isSorted();
    }

    @Test
    void a_book_matched_pair_mirrors_its_faults_about_the_seam() {
        // A knot right through the board, near the marked edge.
        Board thick = Racks.board("thick", 480, 180, 97, new Defect(Defect.Kind.KNOT, 100, 20, 30, 20, 0, 97));
        Layout book = plan(rack(thick), Preference.BALANCED).layouts().stream()
                .filter(Layout::bookMatched)
                .findFirst()
                .orElseThrow();
        assertThat(book.flaws()).hasSize(2);
        assertThat(book.flaws().get(0).minX()).isEqualTo(-book.flaws().get(1).maxX(), within(1e-9));
        assertThat(book.flaws().get(0).minY()).isEqualTo(book.flaws().get(1).minY(), within(1e-9));
        assertThat(book.thickness()).isEqualTo((97 - CUTTING.resawKerf()) / 2, within(1e-9));
        Cut resaw = book.cuts().get(book.cuts().size() - 1);
        assertThat(resaw.kind()).isEqualTo(Cut.Kind.RESAW);
        assertThat(resaw.at()).isEqualTo(book.thickness(), within(1e-9));
    }

    @Test
    void nothing_is_offered_from_boards_that_are_too_thin_or_too_short_and_it_is_said() {
        BlankPlanner.Answer answer =
                plan(rack(Racks.board("thin", 2000, 350, 40), Racks.board("short", 300, 350, 50)), Preference.BALANCED);
        assertThat(answer.layouts()).isEmpty();
        assertThat(answer.tooThin()).isEqualTo(1);
        assertThat(answer.tooShort()).isEqualTo(1);
    }

    @Test
    void a_knot_is_cut_round_where_the_board_has_room() {
        // The knot lies where the body would, if the piece were cut from the board's start.
        Board board = Racks.board("long", 1000, 350, 50, new Defect(Defect.Kind.KNOT, 200, 150, 40, 40, 0, 50));
        Layout one = plan(rack(board), Preference.CLEANEST).layouts().get(0);
        assertThat(one.kind()).isEqualTo("One piece");
        assertThat(one.judgements()).noneMatch(Judgement::bad);
    }

    @Test
    void neighbours_rings_alternate_and_partners_come_from_one_board() {
        Layout three = plan(rack(Racks.board("a", 1600, 125, 50), Racks.board("b", 1600, 125, 50)), Preference.BALANCED)
                .layouts()
                .stream()
                .filter(l -> l.pieces().size() == 3)
                .findFirst()
                .orElseThrow();
        assertThat(three.pieces().get(0).heartUp())
                .isEqualTo(three.pieces().get(2).heartUp());
        assertThat(three.pieces().get(0).heartUp())
                .isNotEqualTo(three.pieces().get(1).heartUp());
        assertThat(three.boards()).hasSize(1);
        assertThat(three.seams()[0]).isEqualTo(-three.seams()[1], within(1e-9));
    }

    @Test
    void taste_decides_between_waste_and_seams() {
        List<OnRack> rack = rack(Racks.board("wide", 1200, 420, 60), Racks.board("half", 900, 180, 48));
        assertThat(plan(rack, Preference.FEWEST_SEAMS).layouts().get(0).kind()).isEqualTo("One piece");
        assertThat(plan(rack, Preference.LEAST_WASTE).layouts().get(0).kind()).startsWith("Two pieces");
    }

    @Test
    void boards_far_apart_in_moisture_count_against_a_layout() {
        Board a = Racks.board("a", 480, 180, 50);
        Board b = Racks.board("b", 480, 180, 50);
        Layout apart = plan(
                        List.of(
                                new OnRack(a, java.util.OptionalDouble.of(8), true),
                                new OnRack(b, java.util.OptionalDouble.of(13), false)),
                        Preference.BALANCED)
                .layouts()
                .get(0);
        assertThat(apart.points().terms().stream().map(t -> t.name()))
                .contains("boards not ready", "moisture apart beyond the limit, %");
    }

    @Test
    void the_lightest_taste_ranks_a_light_timber_first() {
        List<OnRack> rack =
                rack(Racks.board("ash", 480, 350, 50), Racks.board("alder", TestTimber.ALDER, 480, 350, 50));
        assertThat(plan(rack, Preference.LIGHTEST).layouts().get(0).species().key())
                .isEqualTo("alder");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void every_layout_can_be_cut(long seed) {
        Random random = new Random(seed);
        for (Layout layout : plan(Racks.random(20, random), Preference.values()[(int) (seed % 5)])
                .layouts()) {
            if (!layout.bookMatched()) {
                piecesLieApartInTheirBoards(layout);
            }
            assertThat(layout.plan().contains(layout.need().outline())).isTrue();
            for (Piece p : layout.pieces()) {
                assertThat(p.thickness()).isGreaterThanOrEqualTo(layout.need().rough());
                assertThat(p.fromEnd()).isGreaterThanOrEqualTo(0);
                assertThat(p.fromEnd() + p.length())
                        .isLessThanOrEqualTo(p.board().length() + 1e-6);
                assertThat(p.fromEdge() + p.roughWidth())
                        .isLessThanOrEqualTo(p.board().width() + 1e-6);
            }
            // A bound from outside the search: no blank uses up less than its own pieces.
            double pieces = layout.pieces().stream()
                    .mapToDouble(p -> p.roughWidth() * p.length() * p.thickness() * 1e-6)
                    .sum();
            assertThat(layout.usedUp()).isGreaterThanOrEqualTo(pieces - 1e-9);
            double bound = 100 * layout.need().outline().area() * layout.need().finished() * 1e-6 / pieces;
            assertThat(layout.timberYield().value()).isLessThanOrEqualTo(bound + 1e-9);
            timberIsNeitherMadeNorLost(layout);
        }
    }

    /** Two strips of one board share no wood, nor the blade's path between them. */
    private static void piecesLieApartInTheirBoards(Layout layout) {
        List<Piece> pieces = layout.pieces();
        for (int i = 0; i < pieces.size(); i++) {
            for (int k = i + 1; k < pieces.size(); k++) {
                Piece a = pieces.get(i);
                Piece b = pieces.get(k);
                if (a.board().equals(b.board())) {
                    double kerf = CUTTING.ripKerf() - 1e-6;
                    boolean apart = a.fromEnd() + a.length() + kerf <= b.fromEnd()
                            || b.fromEnd() + b.length() + kerf <= a.fromEnd()
                            || a.fromEdge() + a.roughWidth() + kerf <= b.fromEdge()
                            || b.fromEdge() + b.roughWidth() + kerf <= a.fromEdge();
                    assertThat(apart).as("%s and %s", a, b).isTrue();
                }
            }
        }
    }

    private static void timberIsNeitherMadeNorLost(Layout layout) {
        double boards = layout.boards().stream().mapToDouble(Board::volume).sum() * 1e-6;
        double offcuts = layout.offcuts().stream().mapToDouble(Board::volume).sum() * 1e-6;
        assertThat(layout.usedUp() + offcuts).isEqualTo(boards, within(1e-6));
    }

    @Test
    void the_cut_list_leads_to_the_pieces() {
        Layout two = plan(rack(Racks.board("half", 1000, 200, 50)), Preference.BALANCED)
                .layouts()
                .get(0);
        List<String> said = new ArrayList<>();
        two.cuts().forEach(c -> said.add(c.kind() + " " + c.gives()));
        assertThat(said).contains("RIP piece 1, of length 1", "RIP piece 2, of length 2", "CROSS length 1");
        Piece first = two.pieces().get(0);
        assertThat(two.cuts().stream()
                        .filter(c -> c.gives().startsWith("piece 1"))
                        .findFirst()
                        .orElseThrow()
                        .at())
                .isEqualTo(first.fromEdge() + first.roughWidth(), within(1e-9));
        assertThat(two.points().value())
                .isEqualTo(
                        two.points().terms().stream()
                                .mapToDouble(t -> t.value())
                                .sum(),
                        within(1e-9));
    }
}
