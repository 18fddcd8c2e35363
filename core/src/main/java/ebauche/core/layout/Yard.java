package ebauche.core.layout;

import ebauche.core.shop.Cutting;
import ebauche.core.timber.Board;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What the rack's boards give for one need: how many lengths, how wide, and what a use of them uses up. */
final class Yard {
    final List<OnRack> rack;
    final Need need;
    final Cutting cutting;

    /** Length of every piece. */
    final double length;

    private final int[] segments;

    Yard(List<OnRack> rack, Need need, Cutting cutting, boolean snipes) {
        this.rack = rack;
        this.need = need;
        this.cutting = cutting;
        this.length = need.length() + 2 * cutting.margin() + (snipes ? 2 * cutting.snipe() : 0);
        this.segments = rack.stream().mapToInt(r -> segments(r.board())).toArray();
    }

    private int segments(Board board) {
        double usable = board.length() - 2 * trim(board);
        return (int) Math.max(0, Math.floor((usable + cutting.ripKerf()) / pitch() + 1e-9));
    }

    /** An offcut was sawn already: its ends are sound. */
    private double trim(Board board) {
        return board.offcut() ? 0 : cutting.endTrim();
    }

    double trim(int index) {
        return trim(board(index));
    }

    /** From the start of one length to that of the next. */
    double pitch() {
        return length + cutting.ripKerf();
    }

    /** Thickness of each half of a resawn board. */
    double halfOf(double thickness) {
        return (thickness - cutting.resawKerf()) / 2;
    }

    /** Depth of the finished upper face under the upper face of a blank so thick. */
    double frontAt(double blankThickness) {
        return need.frontAt(blankThickness, need.rough() - cutting.flattening());
    }

    Board board(int index) {
        return rack.get(index).board();
    }

    int size() {
        return rack.size();
    }

    /** How many lengths a board gives. */
    int segments(int index) {
        return segments[index];
    }

    /** Whether a board is thick enough for the pattern. */
    boolean thickEnough(int index, boolean bookMatched) {
        double thickness = board(index).thickness();
        return bookMatched ? halfOf(thickness) >= need.rough() : thickness >= need.rough();
    }

    /** Room along a board beyond so many lengths. */
    double slackAlong(int index, int used) {
        Board b = board(index);
        return b.length() - 2 * trim(b) - used * length - (used - 1) * cutting.ripKerf();
    }

    /**
     * The least that a draft can use up, litres: in every board the strips pushed to one edge, and the lengths to one
     * end or so that what is left at both ends goes back on the rack.
     */
    double leastUsed(Draft draft) {
        Map<Integer, Map<Integer, Double>> taken = new TreeMap<>();
        for (int i = 0; i < draft.pieces(); i++) {
            double wide = draft.pattern().rough(i, cutting) + cutting.ripKerf();
            taken.computeIfAbsent(draft.board()[i], b -> new TreeMap<>()).merge(draft.segment()[i], wide, Double::sum);
        }
        double litres = 0;
        for (Map.Entry<Integer, Map<Integer, Double>> e : taken.entrySet()) {
            litres += leastUsed(board(e.getKey()), e.getValue().values());
        }
        return litres;
    }

    private double leastUsed(Board b, Collection<Double> widths) {
        double area = 0;
        for (double taken : widths) {
            boolean back = b.width() - taken >= cutting.leastOffcutWidth() && length >= cutting.leastOffcutLength();
            area += length * (back ? taken : b.width());
        }
        double rest = b.length() - widths.size() * length - (widths.size() - 1) * cutting.ripKerf();
        double least = cutting.leastOffcutLength();
        boolean wide = b.width() >= cutting.leastOffcutWidth();
        double oneEnd = wide && rest - trim(b) - cutting.ripKerf() >= least ? rest - trim(b) - cutting.ripKerf() : 0;
        double bothEnds = wide && rest - 2 * cutting.ripKerf() >= 2 * least ? rest - 2 * cutting.ripKerf() : 0;
        double between = b.length() - widths.size() * length - Math.max(oneEnd, bothEnds);
        return (area + between * b.width()) * b.thickness() * 1e-6;
    }

    /** Rough volume of a strip out of a board, litres. */
    double litres(int index, double roughWidth) {
        return roughWidth * length * board(index).thickness() * 1e-6;
    }
}
