package ebauche.core.layout;

import java.util.List;

/**
 * Pieces in their places and turns, with the boards' uses they come from.
 *
 * @param uses how each board is cut
 * @param numbers for each use, which pieces (counted from 1, left to right) come from each of its lengths
 * @param faults points of the pieces' faults, estimated on the show map
 */
record PlacedPieces(
        List<Piece> pieces,
        boolean bookMatched,
        double frontAt,
        List<BoardUse> uses,
        List<List<List<Integer>>> numbers,
        double faults) {

    double usedUp() {
        return uses.stream().mapToDouble(BoardUse::usedUp).sum();
    }

    /** What its timber counts against it. */
    double timber(Preference taste) {
        return uses.stream().mapToDouble(use -> use.points(taste)).sum();
    }

    /** Timber of its rests that is too small for another body, litres. */
    double cutSmall() {
        return uses.stream().mapToDouble(BoardUse::cutSmall).sum();
    }
}
