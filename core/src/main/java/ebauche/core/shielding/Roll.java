package ebauche.core.shielding;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Pieces of foil as they are cut off a roll: laid side by side across it where they fit, each row as long as its longest.
 *
 * @param width of the roll, mm
 * @param length of the roll that is used, mm
 */
public record Roll(List<Placed> pieces, double width, double length) {
    /** Up to so many pieces every way of laying them is looked at. */
    private static final int EXACT = 11;

    private static final double CLOSE = 1e-6;

    /**
     * A piece.
     *
     * @param wide across the roll, mm
     * @param length along it, mm
     */
    public record Piece(String said, double wide, double length) {}

    /** Where a piece lies: so far from the roll's edge, so far along it, mm. */
    public record Placed(Piece piece, double across, double along) {}

    public Roll {
        pieces = List.copyOf(pieces);
    }

    /** Pieces in rows side by side; exactly the shortest for a few, longest first into the first row with room for more. */
    static Roll of(List<Piece> pieces, double width) {
        List<Piece> sorted = new ArrayList<>(pieces);
        sorted.sort(Comparator.comparingDouble(Piece::length)
                .thenComparingDouble(Piece::wide)
                .reversed());
        List<List<Piece>> rows = firstFit(sorted, width);
        if (sorted.size() <= EXACT) {
            Search search = new Search(sorted, width, rows);
            search.from(0, new ArrayList<>(), 0);
            rows = search.best;
        }
        return laid(rows, width);
    }

    private static List<List<Piece>> firstFit(List<Piece> sorted, double width) {
        List<List<Piece>> rows = new ArrayList<>();
        for (Piece piece : sorted) {
            rows.stream()
                    .filter(r -> wide(r) + piece.wide() <= width + CLOSE)
                    .findFirst()
                    .orElseGet(() -> {
                        List<Piece> row = new ArrayList<>();
                        rows.add(row);
                        return row;
                    })
                    .add(piece);
        }
        return rows;
    }

    private static double wide(List<Piece> row) {
        return row.stream().mapToDouble(Piece::wide).sum();
    }

    /** The first of a row is its longest. */
    private static double length(List<List<Piece>> rows) {
        return rows.stream().mapToDouble(r -> r.get(0).length()).sum();
    }

    private static Roll laid(List<List<Piece>> rows, double width) {
        List<Placed> placed = new ArrayList<>();
        double along = 0;
        for (List<Piece> row : rows) {
            double across = 0;
            for (Piece piece : row) {
                placed.add(new Placed(piece, across, along));
                across += piece.wide();
            }
            along += row.get(0).length();
        }
        return new Roll(placed, width, along);
    }

    /** Every way to put pieces, longest first, into rows, but those that are no shorter than the best so far. */
    private static final class Search {
        private final List<Piece> sorted;
        private final double width;
        private List<List<Piece>> best;
        private double shortest;

        Search(List<Piece> sorted, double width, List<List<Piece>> known) {
            this.sorted = sorted;
            this.width = width;
            this.best = known;
            this.shortest = Roll.length(known);
        }

        void from(int next, List<List<Piece>> rows, double length) {
            if (length >= shortest - CLOSE) {
                return;
            }
            if (next == sorted.size()) {
                shortest = length;
                best = rows.stream().map(List::copyOf).toList();
                return;
            }
            Piece piece = sorted.get(next);
            for (List<Piece> row : List.copyOf(rows)) {
                if (wide(row) + piece.wide() <= width + CLOSE) {
                    row.add(piece);
                    from(next + 1, rows, length);
                    row.remove(row.size() - 1);
                }
            }
            List<Piece> fresh = new ArrayList<>(List.of(piece));
            rows.add(fresh);
            from(next + 1, rows, length + piece.length());
            rows.remove(rows.size() - 1);
        }
    }
}
