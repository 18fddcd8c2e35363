package ebauche.core.layout;

import ebauche.core.shop.Cutting;
import ebauche.core.timber.Board;
import ebauche.core.timber.Defect;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How one board is cut: lengths from its near end, each ripped from its marked edge; and what is left over.
 *
 * @param start of the first length, from the near end
 * @param lengths each with where its first strip starts and the rough widths of its strips
 */
record BoardUse(Yard yard, int index, double start, List<Length> lengths) {

    /** One length of the board. */
    record Length(double firstEdge, List<Double> strips) {}

    /** A rectangle of the board, from end and edge. */
    record Rest(double u0, double u1, double v0, double v1) {
        double area() {
            return (u1 - u0) * (v1 - v0);
        }
    }

    private Board board() {
        return yard.board(index);
    }

    double lengthStart(int i) {
        return start + i * yard.pitch();
    }

    double stripStart(int length, int strip) {
        double v = lengths.get(length).firstEdge();
        for (int i = 0; i < strip; i++) {
            v += lengths.get(length).strips().get(i) + yard.cutting.ripKerf();
        }
        return v;
    }

    private double stripsEnd(int length) {
        List<Double> strips = lengths.get(length).strips();
        return stripStart(length, strips.size() - 1) + strips.get(strips.size() - 1);
    }

    /** What goes back on the rack: the ends, and the edges of each length, where they are large enough. */
    List<Rest> offcuts() {
        Cutting cutting = yard.cutting;
        Board b = board();
        List<Rest> found = new ArrayList<>();
        keep(found, 0, start - cutting.ripKerf(), 0, b.width());
        for (int i = 0; i < lengths.size(); i++) {
            double from = lengthStart(i);
            keep(found, from, from + yard.length, 0, lengths.get(i).firstEdge() - cutting.ripKerf());
            keep(found, from, from + yard.length, stripsEnd(i) + cutting.ripKerf(), b.width());
        }
        double end = lengthStart(lengths.size() - 1) + yard.length;
        keep(found, end + cutting.ripKerf(), b.length(), 0, b.width());
        return found;
    }

    private void keep(List<Rest> found, double u0, double u1, double v0, double v1) {
        if (u1 - u0 >= yard.cutting.leastOffcutLength() && v1 - v0 >= yard.cutting.leastOffcutWidth()) {
            found.add(new Rest(u0, u1, v0, v1));
        }
    }

    /** Timber that does not come back to the rack, litres: pieces, kerfs, dust and what is too small. */
    double usedUp() {
        double area = board().length() * board().width();
        for (Rest rest : offcuts()) {
            area -= rest.area();
        }
        return area * board().thickness() * 1e-6;
    }

    /** The offcuts as boards of the rack, named after their board. */
    List<Board> offcutBoards() {
        List<Board> boards = new ArrayList<>();
        for (Rest rest : offcuts()) {
            boards.add(asBoard(rest, board().name() + "-" + (boards.size() + 1)));
        }
        return boards;
    }

    private Board asBoard(Rest rest, String name) {
        Board b = board();
        double share = rest.area() / (b.length() * b.width());
        List<Defect> defects = new ArrayList<>();
        for (Defect d : b.defects()) {
            double u0 = Math.max(d.fromEnd(), rest.u0());
            double u1 = Math.min(d.fromEnd() + d.along(), rest.u1());
            double v0 = Math.max(d.fromEdge(), rest.v0());
            double v1 = Math.min(d.fromEdge() + d.across(), rest.v1());
            if (u1 - u0 >= 0.5 && v1 - v0 >= 0.5) {
                defects.add(
                        new Defect(d.kind(), u0 - rest.u0(), v0 - rest.v0(), u1 - u0, v1 - v0, d.top(), d.bottom()));
            }
        }
        return new Board(
                name,
                b.species(),
                true,
                rest.u1() - rest.u0(),
                rest.v1() - rest.v0(),
                b.thickness(),
                b.rings(),
                b.heart(),
                b.rise(),
                b.grainAngle(),
                b.price().isPresent() ? OptionalDouble.of(b.price().getAsDouble() * share) : OptionalDouble.empty(),
                b.readings(),
                defects);
    }

    /** The cuts in order: first the lengths, then each ripped, the pieces called by their number in the blank. */
    List<Cut> cuts(List<List<Integer>> pieceNumbers) {
        List<Cut> cuts = new ArrayList<>();
        Board b = board();
        double kerf = yard.cutting.ripKerf();
        for (int i = 0; i < lengths.size(); i++) {
            double from = lengthStart(i);
            boolean touching = i > 0;
            if (!touching && from > 0.01) {
                cuts.add(new Cut(Cut.Kind.CROSS, b.name(), from - kerf, kerf, "the near end off"));
            }
            if (from + yard.length < b.length() - 0.01) {
                cuts.add(new Cut(Cut.Kind.CROSS, b.name(), from + yard.length, kerf, "length " + (i + 1)));
            }
        }
        for (int i = 0; i < lengths.size(); i++) {
            rips(cuts, i, pieceNumbers.get(i));
        }
        return cuts;
    }

    /** Opens the board in the middle of its thickness, for two halves that mirror each other. */
    Cut resaw() {
        double kerf = yard.cutting.resawKerf();
        return new Cut(
                Cut.Kind.RESAW, board().name(), yard.halfOf(board().thickness()), kerf, "pieces 1 and 2, mirrored");
    }

    private void rips(List<Cut> cuts, int length, List<Integer> numbers) {
        Board b = board();
        double kerf = yard.cutting.ripKerf();
        double first = lengths.get(length).firstEdge();
        if (first > 0.01) {
            cuts.add(new Cut(
                    Cut.Kind.RIP,
                    b.name(),
                    first - kerf,
                    kerf,
                    "the marked edge off" + (lengths.size() > 1 ? ", of length " + (length + 1) : "")));
        }
        for (int s = 0; s < numbers.size(); s++) {
            double end = stripStart(length, s) + lengths.get(length).strips().get(s);
            String gives = "piece " + numbers.get(s) + (lengths.size() > 1 ? ", of length " + (length + 1) : "");
            if (end < b.width() - 0.01) {
                cuts.add(new Cut(Cut.Kind.RIP, b.name(), end, kerf, gives));
            }
        }
    }
}
