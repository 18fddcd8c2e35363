package ebauche.core.layout;

import ebauche.core.shop.Cutting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * Where the pieces of a blank meet.
 *
 * @param edges x of the outer edges and the seams between them, from left to right
 * @param bookMatched whether the two halves are one board resawn and opened
 */
@SuppressWarnings("ArrayRecordComponent") // read a hundred thousand times a search, never compared
record Pattern(double[] edges, boolean bookMatched) {
    /** Most pieces that are tried. */
    static final int MOST_PIECES = 7;

    /** Widths of the inner pieces that are tried, at most; those nearest to even pieces first. */
    private static final int MOST_WIDTHS = 24;

    private static final double NARROWEST = 20;

    int pieces() {
        return edges.length - 1;
    }

    double width(int piece) {
        return edges[piece + 1] - edges[piece];
    }

    double[] seams() {
        return Arrays.copyOfRange(edges, 1, edges.length - 1);
    }

    /** Rough width of a piece: jointing is added where it is glued. */
    double rough(int piece, Cutting cutting) {
        int glued = (piece > 0 ? 1 : 0) + (piece < pieces() - 1 ? 1 : 0);
        return width(piece) + glued * cutting.jointing();
    }

    /** Rough width of the widest piece: that of the strip that both halves of a book-matched blank are opened from. */
    double widest(Cutting cutting) {
        return IntStream.range(0, pieces())
                .mapToDouble(i -> rough(i, cutting))
                .max()
                .orElseThrow();
    }

    double jointedLeft(int piece, Cutting cutting) {
        return piece > 0 ? cutting.jointing() : 0;
    }

    /**
     * The patterns of so many pieces, symmetric about the centre line: inner pieces of one width, outer ones taking the
     * rest. The inner width is what makes them even, or what a board of the rack just gives.
     */
    static List<Pattern> of(int pieces, boolean bookMatched, Need need, Cutting cutting, List<OnRack> rack) {
        double left = need.left() + cutting.margin();
        double right = need.right() + cutting.margin();
        if (pieces == 1) {
            return List.of(new Pattern(new double[] {-left, right}, false));
        }
        if (pieces == 2) {
            boolean room = need.left() >= cutting.sliver() && need.right() >= cutting.sliver();
            return room ? List.of(new Pattern(new double[] {-left, 0, right}, bookMatched)) : List.of();
        }
        List<Pattern> found = new ArrayList<>();
        for (double inner : widths(pieces, need, cutting, rack)) {
            double outermost = inner * (pieces - 2) / 2;
            double[] edges = new double[pieces + 1];
            edges[0] = -left;
            edges[pieces] = right;
            for (int i = 0; i < pieces - 1; i++) {
                edges[i + 1] = -outermost + i * inner;
            }
            if (Math.min(need.left(), need.right()) - outermost >= cutting.sliver()) {
                found.add(new Pattern(edges, false));
            }
        }
        return found;
    }

    private static List<Double> widths(int pieces, Need need, Cutting cutting, List<OnRack> rack) {
        double even = 2 * (Math.max(need.left(), need.right()) + cutting.margin()) / pieces;
        TreeSet<Double> tried = new TreeSet<>();
        tried.add(tenth(even));
        for (OnRack r : rack) {
            double board = r.board().width();
            for (int lanes = 1; lanes <= 3; lanes++) {
                tried.add(tenth((board - (lanes - 1) * cutting.ripKerf()) / lanes - 2 * cutting.jointing()));
            }
            double outer = board - cutting.jointing();
            tried.add(tenth(2 * (need.left() + cutting.margin() - outer) / (pieces - 2)));
            tried.add(tenth(2 * (need.right() + cutting.margin() - outer) / (pieces - 2)));
        }
        double most = 2 * (Math.min(need.left(), need.right()) - cutting.sliver()) / (pieces - 2);
        return tried.stream()
                .filter(w -> w >= NARROWEST && w <= most)
                .sorted((a, b) -> Double.compare(Math.abs(a - even), Math.abs(b - even)))
                .limit(MOST_WIDTHS)
                .toList();
    }

    /** Rounded down to a tenth, so that the board surely gives it. */
    private static double tenth(double width) {
        return Math.floor(width * 10 + 1e-6) / 10;
    }
}
