package ebauche.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.shop.Cutting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The planner against a plain exhaustive search that shares nothing of its pruning. */
@Tag("slow")
class SearchOutsideTest {
    private static final Cutting CUTTING = Cutting.USUAL;

    /** So many times the usual number of cases: {@code ./ebauche test --long} takes ten. */
    private static final int TIMES = Integer.getInteger("ebauche.times", 1);

    /** Every assignment of strips to lengths of boards, one by one; feasible if the strips fit side by side. */
    private static double exhaustive(RackCapacity yard, ShowMap show, Preference taste, int pieces) {
        return exhaustive(yard, taste, pieces, new Laying(yard, show, taste), Double.POSITIVE_INFINITY);
    }

    /** The same with a laying of one's own; drafts that surely count more than {@code known} are not laid. */
    private static double exhaustive(RackCapacity yard, Preference taste, int pieces, Laying laying, double known) {
        Score points = new Score(yard, taste);
        double best = Double.POSITIVE_INFINITY;
        for (Pattern pattern : Pattern.of(pieces, false, yard.need, yard.cutting, yard.rack)) {
            int places = 0;
            int[] boardOf = new int[200];
            int[] segmentOf = new int[200];
            for (int b = 0; b < yard.size(); b++) {
                for (int s = 0; s < Math.min(yard.segments(b), pieces); s++) {
                    boardOf[places] = b;
                    segmentOf[places++] = s;
                }
            }
            for (long code = 0; code < Math.round(Math.pow(places, pieces)); code++) {
                int[] board = new int[pieces];
                int[] segment = new int[pieces];
                long rest = code;
                for (int i = 0; i < pieces; i++) {
                    board[i] = boardOf[(int) (rest % places)];
                    segment[i] = segmentOf[(int) (rest % places)];
                    rest /= places;
                }
                Draft draft = new Draft(pattern, board, segment);
                if (fits(yard, draft)
                        && points.beforePlacing(draft) + taste.perLitre() * yard.leastUsed(draft) < known) {
                    PlacedPieces laid = laying.lay(draft);
                    assertThat(yard.leastUsed(draft)).isLessThanOrEqualTo(laid.usedUp() + 1e-9);
                    best = Math.min(best, points.total(draft, laid));
                }
            }
        }
        return best;
    }

    private static boolean fits(RackCapacity yard, Draft draft) {
        for (int i = 0; i < draft.pieces(); i++) {
            if (!yard.thickEnough(draft.board()[i], false)) {
                return false;
            }
            double sum = -CUTTING.ripKerf();
            for (int k = 0; k < draft.pieces(); k++) {
                if (draft.board()[k] == draft.board()[i] && draft.segment()[k] == draft.segment()[i]) {
                    sum += draft.pattern().rough(k, CUTTING) + CUTTING.ripKerf();
                }
            }
            if (sum > yard.board(draft.board()[i]).width() + 1e-9) {
                return false;
            }
        }
        return true;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void the_search_finds_the_exhaustive_best_on_small_racks(long seed) {
        theSearchFindsTheExhaustiveBest(Racks.need(), seed);
    }

    /** The same for a thin top, which is sliced off the rack's thick boards. */
    @ParameterizedTest
    @ValueSource(longs = {41, 42, 43, 44})
    void so_it_does_where_slices_are_taken(long seed) {
        theSearchFindsTheExhaustiveBest(Racks.top(), seed);
    }

    private static void theSearchFindsTheExhaustiveBest(Need need, long seed) {
        List<OnRack> rack = Racks.random(4, new Random(seed));
        Preference taste = Preference.values()[(int) (seed % Preference.values().length)];
        RackCapacity yard = new RackCapacity(rack, need, CUTTING, false);
        ShowMap show = new ShowMap(need);
        for (int pieces : new int[] {1, 2, 3}) {
            double exhaustive = exhaustive(yard, show, taste, pieces);
            BestOf planner = BestOf.of(yard, show, taste, pieces);
            if (planner.proven()) {
                assertThat(planner.total()).as("pieces %s", pieces).isLessThanOrEqualTo(exhaustive + 1e-6);
            } else {
                assertThat(planner.total()).as("pieces %s", pieces).isLessThanOrEqualTo(exhaustive * 1.1 + 0.5);
            }
        }
    }

    /**
     * How far the planner's steps along and across its boards leave it from an exhaustive search in steps three times as
     * fine again, on racks of old boards full of faults: a few per cent, and nothing on sound ones. The figures stand in docs/performance.md.
     */
    @Test
    void on_small_racks_finer_steps_find_little_that_is_better() {
        List<Double> distances = new ArrayList<>();
        for (long seed = 100; seed < 100 + 5 * TIMES; seed++) {
            RackCapacity yard = new RackCapacity(Racks.random(4, 14, new Random(seed)), Racks.need(), CUTTING, false);
            ShowMap show = new ShowMap(yard.need);
            Laying fine = new Laying(yard, show, Preference.BALANCED, 97, 33);
            for (int pieces : new int[] {1, 2, 3}) {
                double found =
                        BestOf.of(yard, show, Preference.BALANCED, pieces).total();
                if (Double.isFinite(found)) {
                    double best = Math.min(found, exhaustive(yard, Preference.BALANCED, pieces, fine, found));
                    distances.add(found / best - 1);
                }
            }
        }
        double mean = distances.stream().mapToDouble(d -> d).average().orElseThrow();
        double most = distances.stream().mapToDouble(d -> d).max().orElseThrow();
        assertThat(distances).hasSizeGreaterThan(6 * TIMES);
        assertThat(mean)
                .as("mean distance, most %s, of %s racks", most, distances.size())
                .isLessThan(0.03);
        assertThat(most).isLessThan(0.15);
    }

    /** What the planner finds for one number of pieces, by its own total. */
    private record BestOf(double total, boolean proven) {
        static BestOf of(RackCapacity yard, ShowMap show, Preference taste, int pieces) {
            BlankPlanner.OneKind kind = BlankPlanner.OneKind.of(yard, show, taste, pieces);
            kind.run();
            return new BestOf(kind.bestTotal(), kind.notLookedAt() >= kind.bestTotal());
        }
    }

    /** Turning by dynamic programming against all 4^n turns. */
    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23, 24, 25, 26})
    void the_turns_are_the_cheapest_of_all(long seed) {
        Random random = new Random(seed);
        List<OnRack> rack = Racks.random(5, random);
        Piece[] pieces = new Piece[5];
        for (int i = 0; i < pieces.length; i++) {
            var b = rack.get(i).board();
            pieces[i] = new Piece(
                    b, 0, 0, 70, 0, b.thickness(), ebauche.core.timber.Side.A, true, -175 + 70 * i, 70, -160, 400, 0);
        }
        double[][] alone = new double[5][4];
        Arrays.stream(alone).forEach(a -> Arrays.setAll(a, t -> random.nextDouble() * 3));
        List<Piece> chosen =
                new Turns(pieces, p -> alone[Arrays.asList(pieces).indexOf(original(pieces, p))][turn(p)]).cheapest();
        double least = Double.POSITIVE_INFINITY;
        for (int code = 0; code < 1024; code++) {
            double sum = 0;
            Piece before = null;
            for (int i = 0; i < 5; i++) {
                Piece here = Turns.turned(pieces[i], code >> (2 * i) & 3);
                sum += alone[i][code >> (2 * i) & 3] + (before == null ? 0 : Turns.neighbours(before, here));
                before = here;
            }
            least = Math.min(least, sum);
        }
        double found = 0;
        for (int i = 0; i < 5; i++) {
            found += alone[i][turn(chosen.get(i))] + (i == 0 ? 0 : Turns.neighbours(chosen.get(i - 1), chosen.get(i)));
        }
        assertThat(found).isEqualTo(least, within(1e-9));
    }

    private static Piece original(Piece[] pieces, Piece turned) {
        return Arrays.stream(pieces)
                .filter(p -> p.left() == turned.left())
                .findFirst()
                .orElseThrow();
    }

    private static int turn(Piece piece) {
        return (piece.up() == ebauche.core.timber.Side.A ? 0 : 2) + (piece.farEndToNeck() ? 0 : 1);
    }

    /** The quick map against exact areas: off by no more than a cell along the box's sides. */
    @Test
    void the_quick_map_agrees_with_exact_judgement() {
        Need need = Racks.need();
        ShowMap show = new ShowMap(need);
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            double x = random.nextDouble() * 340 - 170;
            double y = random.nextDouble() * 420 - 170;
            double across = 10 + random.nextInt(40);
            double along = 10 + random.nextInt(40);
            double top = random.nextBoolean() ? 0 : 20;
            var flaw = new ebauche.core.timber.Flaw(
                    ebauche.core.timber.Defect.Kind.STAIN, x, x + across, y, y + along, top, 47);
            double exact = Judgement.of(flaw, need, 1.3).points();
            double slack = 2 * 2 * (across + along) / 100 * 1.5 + 4;
            assertThat(show.points(flaw, 1.3)).as("%s", flaw).isBetween(exact - 1, exact + slack);
        }
    }
}
