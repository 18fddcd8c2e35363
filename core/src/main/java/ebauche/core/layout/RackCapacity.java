package ebauche.core.layout;

import ebauche.core.shop.Cutting;
import ebauche.core.timber.Board;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What the rack's boards give for one need: how many lengths, how wide, and what a use of them uses up. */
final class RackCapacity {
    final List<OnRack> rack;
    final Need need;
    final Cutting cutting;

    /** Length of every piece. */
    final double length;

    private final int[] segments;

    RackCapacity(List<OnRack> rack, Need need, Cutting cutting, boolean snipes) {
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

    /**
     * How a strip so wide is opened: a slice of what the blank needs where the saw reaches and the rest is worth keeping,
     * else all of it.
     */
    Sawn sawn(int index, double roughWidth, boolean bookMatched) {
        double thickness = board(index).thickness();
        if (roughWidth <= cutting.resawHeight() + 1e-9) {
            Sawn sliced = Sawn.sliced(thickness, bookMatched ? 2 : 1, need.rough(), cutting.resawKerf());
            if (sliced.rest() >= cutting.leastOffcutThickness()) {
                return sliced;
            }
        }
        return bookMatched ? Sawn.halved(thickness, cutting.resawKerf()) : Sawn.whole(thickness);
    }

    /** Thickness that a strip so wide uses up: without the rest of it, where that goes back on the rack. */
    double thicknessUsed(int index, double roughWidth, boolean bookMatched) {
        double rest = sawn(index, roughWidth, bookMatched).rest();
        return board(index).thickness() - (isKept(length, roughWidth) ? rest : 0);
    }

    /** Rough width of half a blank: what a two-piece body asks of a board. */
    double halfWidth() {
        return Math.max(need.left(), need.right()) + cutting.margin();
    }

    /** Whether what is left over is large enough for the rack. */
    boolean isKept(double along, double across) {
        return along >= cutting.leastOffcutLength() && across >= cutting.leastOffcutWidth();
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

    /** Whether a board gives the pattern's pieces in their thickness. */
    boolean thickEnough(int index, boolean bookMatched) {
        double thickness = board(index).thickness();
        return (bookMatched ? Sawn.halved(thickness, cutting.resawKerf()).piece() : thickness) >= need.rough();
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
        double restsOfStrips = 0;
        boolean book = draft.pattern().bookMatched();
        for (int i = 0; i < (book ? 1 : draft.pieces()); i++) {
            double rough =
                    book ? draft.pattern().widest(cutting) : draft.pattern().rough(i, cutting);
            int b = draft.board()[i];
            taken.computeIfAbsent(b, x -> new TreeMap<>())
                    .merge(draft.segment()[i], rough + cutting.ripKerf(), Double::sum);
            double rest = board(b).thickness() - thicknessUsed(b, rough, book);
            restsOfStrips += length * rough * rest * 1e-6;
        }
        double litres = 0;
        for (Map.Entry<Integer, Map<Integer, Double>> e : taken.entrySet()) {
            litres += leastUsed(board(e.getKey()), e.getValue().values());
        }
        return litres - restsOfStrips;
    }

    private double leastUsed(Board b, Collection<Double> widths) {
        double area = 0;
        for (double taken : widths) {
            boolean back = isKept(length, b.width() - taken);
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

    /** Timber that a strip out of a board uses up at least, litres. */
    double litres(int index, double roughWidth, boolean bookMatched) {
        return roughWidth * length * thicknessUsed(index, roughWidth, bookMatched) * 1e-6;
    }
}
