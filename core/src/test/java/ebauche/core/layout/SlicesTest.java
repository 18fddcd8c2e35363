package ebauche.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.shop.Cutting;
import ebauche.core.timber.Board;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Side;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Thin layers sliced off thick boards, the rest back on the rack. */
class SlicesTest {
    private static final Cutting CUTTING = Cutting.USUAL;
    private static final double ROUGH = Racks.top().rough();

    private static List<Layout> plan(Preference taste, Cutting cutting, Board... boards) {
        List<OnRack> rack = List.of(boards).stream().map(Racks::ready).toList();
        return BlankPlanner.plan(new BlankPlanner.Request(rack, Racks.top(), cutting, false, 7, taste))
                .layouts();
    }

    private static Layout first(List<Layout> layouts, boolean bookMatched) {
        return layouts.stream()
                .filter(l -> l.bookMatched() == bookMatched)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_slice_is_taken_and_the_rest_of_the_strip_goes_back() {
        Layout two = first(plan(Preference.BALANCED, CUTTING, Racks.board("thick", 900, 171, 40)), false);
        assertThat(two.pieces()).hasSize(2).allMatch(p -> Math.abs(p.thickness() - ROUGH) < 1e-9);
        double rest = 40 - ROUGH - CUTTING.resawKerf();
        assertThat(two.offcuts().stream().filter(b -> Math.abs(b.thickness() - rest) < 1e-9))
                .hasSize(2)
                .allMatch(b -> Math.abs(b.width() - two.pieces().get(0).roughWidth()) < 1e-9);
        assertThat(two.cuts().stream().filter(c -> c.kind() == Cut.Kind.RESAW))
                .extracting(Cut::at)
                .containsExactly(ROUGH, ROUGH);
        assertThat(two.reasons()).contains("sliced off thicker stock");
        // By hand: two strips of 171 x 416 lose 8 and a kerf of 1.6, and a kerf of 3.2 is lost across the board, and
        // the
        // ends: 20 trimmed at the near one, 900 - 20 - 2 x 416 - 3.2 at the far one.
        double strips = 2 * 416 * 169 * (ROUGH + 1.6);
        double beside = 2 * 416 * (171 - 169) * 40.0;
        double ends = (900 - 2 * 416) * 171 * 40.0;
        assertThat(two.usedUp()).isEqualTo((strips + beside + ends) * 1e-6, within(1e-9));
    }

    @Test
    void book_matched_slices_lie_one_on_the_other_and_mirror_each_other() {
        Board board = Racks.board("thick", 480, 180, 44, new Defect(Defect.Kind.KNOT, 100, 20, 30, 20, 0, 44));
        Layout book = first(plan(Preference.BALANCED, CUTTING, board), true);
        Piece left = book.pieces().get(0);
        Piece right = book.pieces().get(1);
        assertThat(left.sliceBottom() + CUTTING.resawKerf()).isEqualTo(right.sliceTop(), within(1e-9));
        assertThat(left.up()).isEqualTo(Side.B);
        assertThat(right.up()).isEqualTo(Side.A);
        assertThat(book.flaws().get(0).minX()).isEqualTo(-book.flaws().get(1).maxX(), within(1e-9));
        assertThat(book.offcuts()).extracting(Board::thickness).containsExactly(44 - 2 * (ROUGH + CUTTING.resawKerf()));
        assertThat(book.cuts().stream().filter(c -> c.kind() == Cut.Kind.RESAW)).hasSize(2);
    }

    @Test
    void the_slice_comes_off_the_sound_face() {
        // Stain 5 deep all over face A.
        Board stained = Racks.board("stained", 500, 171, 40, new Defect(Defect.Kind.STAIN, 0, 0, 500, 171, 0, 5));
        Board other = Racks.board("other", 500, 171, 40);
        Layout two = plan(Preference.CLEANEST, CUTTING, stained, other).stream()
                .filter(l -> l.pieces().size() == 2 && l.boards().size() == 2)
                .findFirst()
                .orElseThrow();
        Piece off = two.pieces().stream()
                .filter(p -> p.board().equals(stained))
                .findFirst()
                .orElseThrow();
        assertThat(off.sliceBottom()).isEqualTo(40);
        assertThat(two.judgements()).isEmpty();
        Board back = two.offcuts().stream()
                .filter(b -> b.name().startsWith("stained"))
                .findFirst()
                .orElseThrow();
        assertThat(back.defects())
                .singleElement()
                .satisfies(d -> assertThat(d.bottom()).isEqualTo(5));
        Cut resaw = two.cuts().stream()
                .filter(c -> c.kind() == Cut.Kind.RESAW && c.board().equals("stained"))
                .findFirst()
                .orElseThrow();
        assertThat(resaw.at() + resaw.kerf()).isEqualTo(off.sliceTop(), within(1e-9));
    }

    @Test
    void a_strip_that_the_saw_cannot_take_or_whose_rest_is_too_thin_stays_whole() {
        Board board = Racks.board("thick", 480, 180, 40);
        for (Layout l : plan(Preference.BALANCED, resawHeight(150), board, Racks.board("b", 480, 180, 40))) {
            assertThat(l.bookMatched()).isFalse();
            assertThat(l.pieces()).allMatch(p -> p.roughWidth() <= 150 || p.thickness() == 40);
        }
        Board thin = Racks.board("thin", 900, 180, ROUGH + 1.6 + 5.9);
        assertThat(plan(Preference.BALANCED, CUTTING, thin))
                .isNotEmpty()
                .allSatisfy(l -> assertThat(l.reasons()).doesNotContain("sliced off thicker stock"));
    }

    private static Cutting resawHeight(double most) {
        Cutting c = CUTTING;
        return new Cutting(
                c.ripKerf(),
                c.resawKerf(),
                most,
                c.jointing(),
                c.endTrim(),
                c.margin(),
                c.sliver(),
                c.flattening(),
                c.snipe(),
                c.leastOffcutLength(),
                c.leastOffcutWidth(),
                c.leastOffcutThickness(),
                c.moistureApart(),
                c.readyWithin());
    }

    /** What a book-matched draft is said to use up at least, before it is placed, is never more than it then does. */
    @ParameterizedTest
    @ValueSource(longs = {51, 52, 53})
    void the_estimate_before_placing_never_says_too_much(long seed) {
        for (Need need : List.of(Racks.top(), Racks.need())) {
            List<OnRack> rack = List.of(
                    Racks.ready(Racks.board("thick", 1200, 300.0 + seed, 99)),
                    Racks.ready(Racks.board("wide", 480, 420, 97.5)));
            RackCapacity yard = new RackCapacity(rack, need, CUTTING, false);
            Pattern halves = Pattern.of(2, true, need, CUTTING, rack).get(0);
            Laying laying = new Laying(yard, new ShowMap(need), Preference.BALANCED);
            for (int b = 0; b < 2; b++) {
                Draft draft = new Draft(halves, new int[] {b, b}, new int[] {0, 0});
                double used = laying.lay(draft).usedUp();
                assertThat(yard.leastUsed(draft)).isLessThanOrEqualTo(used + 1e-9);
            }
        }
    }

    /** On any rack: none is made or lost, and every piece lies in its board. */
    @ParameterizedTest
    @ValueSource(longs = {31, 32, 33, 34, 35, 36, 37, 38})
    void whatever_is_sliced_adds_up(long seed) {
        Random random = new Random(seed);
        Preference taste = Preference.values()[(int) (seed % 5)];
        List<OnRack> rack = Racks.random(12, random);
        List<Layout> layouts = BlankPlanner.plan(new BlankPlanner.Request(rack, Racks.top(), CUTTING, false, 5, taste))
                .layouts();
        assertThat(layouts).anyMatch(l -> l.reasons().contains("sliced off thicker stock"));
        for (Layout l : layouts) {
            double boards = l.boards().stream().mapToDouble(Board::volume).sum();
            double offcuts = l.offcuts().stream().mapToDouble(Board::volume).sum();
            assertThat(l.usedUp() * 1e6 + offcuts).isEqualTo(boards, within(1e-3));
            double pieces = l.pieces().stream()
                    .mapToDouble(p -> p.roughWidth() * p.length() * p.thickness())
                    .sum();
            assertThat(l.usedUp() * 1e6).isGreaterThanOrEqualTo(pieces - 1e-3);
            for (Piece p : l.pieces()) {
                assertThat(p.thickness()).isGreaterThanOrEqualTo(ROUGH - 1e-9);
                assertThat(p.sliceTop()).isGreaterThanOrEqualTo(0);
                assertThat(p.sliceBottom()).isLessThanOrEqualTo(p.board().thickness() + 1e-9);
            }
        }
    }
}
