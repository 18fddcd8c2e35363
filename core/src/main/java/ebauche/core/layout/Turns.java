package ebauche.core.layout;

import ebauche.core.timber.Rings;
import ebauche.core.timber.Side;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * How the pieces of a blank are turned: each over or not, end for end or not.
 *
 * <p>What a turn costs depends on the piece (its faults) and on its left neighbour (rings that cup alike, planing
 * directions that oppose), so the cheapest chain of turns is found exactly by dynamic programming over four turns a piece.
 */
final class Turns {
    private static final int TURNS = 4;

    private final Piece[] pieces;
    private final ToDoubleFunction<Piece> alone;

    Turns(Piece[] pieces, ToDoubleFunction<Piece> alone) {
        this.pieces = pieces;
        this.alone = alone;
    }

    static Piece turned(Piece piece, int turn) {
        return piece.turned(turn < 2 ? Side.A : Side.B, turn % 2 == 0);
    }

    /** What the piece's best turn costs, its neighbours left out. */
    static double least(Piece piece, ToDoubleFunction<Piece> alone) {
        double least = Double.POSITIVE_INFINITY;
        for (int turn = 0; turn < TURNS; turn++) {
            least = Math.min(least, alone.applyAsDouble(turned(piece, turn)));
        }
        return least;
    }

    List<Piece> cheapest() {
        int n = pieces.length;
        double[][] cost = new double[n][TURNS];
        int[][] from = new int[n][TURNS];
        for (int i = 0; i < n; i++) {
            for (int turn = 0; turn < TURNS; turn++) {
                Piece here = turned(pieces[i], turn);
                double before = i == 0 ? 0 : Double.POSITIVE_INFINITY;
                for (int left = 0; i > 0 && left < TURNS; left++) {
                    double sum = cost[i - 1][left] + neighbours(turned(pieces[i - 1], left), here);
                    if (sum < before - 1e-12) {
                        before = sum;
                        from[i][turn] = left;
                    }
                }
                cost[i][turn] = before + alone.applyAsDouble(here);
            }
        }
        return walkedBack(from, cheapestOf(cost[n - 1]));
    }

    private static int cheapestOf(double[] cost) {
        int best = 0;
        for (int turn = 1; turn < TURNS; turn++) {
            best = cost[turn] < cost[best] - 1e-12 ? turn : best;
        }
        return best;
    }

    private List<Piece> walkedBack(int[][] from, int last) {
        Piece[] out = new Piece[pieces.length];
        int turn = last;
        for (int i = out.length - 1; i >= 0; i--) {
            out[i] = turned(pieces[i], turn);
            turn = from[i][turn];
        }
        return Arrays.asList(out);
    }

    static double neighbours(Piece left, Piece right) {
        return (ringsAlike(left, right) ? Preference.RINGS_ALIKE : 0)
                + (planedApart(left, right) ? Preference.PLANED_APART : 0);
    }

    /** Whether two neighbours cup the same way, so that the blank does as a whole. */
    static boolean ringsAlike(Piece left, Piece right) {
        boolean cups = left.board().rings() != Rings.QUARTERED && right.board().rings() != Rings.QUARTERED;
        Optional<Boolean> one = left.heartUp();
        return cups && one.isPresent() && one.equals(right.heartUp());
    }

    static boolean planedApart(Piece left, Piece right) {
        return left.planedTowardsNeck() * right.planedTowardsNeck() < 0;
    }
}
