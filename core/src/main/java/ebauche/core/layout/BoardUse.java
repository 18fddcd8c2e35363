package ebauche.core.layout;

import ebauche.core.shop.Cutting;
import ebauche.core.timber.Board;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How one board is cut: lengths from its near end, each ripped from its marked edge; and what is left over.
 *
 * @param bookMatched whether its one strip is opened into two halves
 * @param from the face that slices are taken off
 * @param start of the first length, from the near end
 * @param lengths each with where its first strip starts and the rough widths of its strips
 */
record BoardUse(RackCapacity yard, int index, boolean bookMatched, Side from, double start, List<Length> lengths) {

    /** What is nearly a piece is none: of it no more than this counts, for what else it may give. */
    private static final double NO_PIECE = 0.5;

    /** Smallest part of a fault that is worth a mark on an offcut, mm. */
    private static final double LEAST = 0.5;

    /** One length of the board. */
    record Length(double firstEdge, List<Double> strips) {}

    /** A block of the board, from end and edge and under face A. */
    record Rest(double u0, double u1, double v0, double v1, double z0, double z1) {
        double volume() {
            return (u1 - u0) * (v1 - v0) * (z1 - z0);
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

    private double stripEnd(int length, int strip) {
        return stripStart(length, strip) + lengths.get(length).strips().get(strip);
    }

    private double stripsEnd(int length) {
        return stripEnd(length, lengths.get(length).strips().size() - 1);
    }

    private Sawn sawn(int length, int strip) {
        return yard.sawn(index, lengths.get(length).strips().get(strip), bookMatched);
    }

    /**
     * What goes back on the rack: the ends, the edges of each length, and what lies under the slices of its strips, where
     * they are large enough.
     */
    List<Rest> offcuts() {
        Cutting cutting = yard.cutting;
        Board b = board();
        List<Rest> found = new ArrayList<>();
        keep(found, 0, start - cutting.ripKerf(), 0, b.width(), 0, b.thickness());
        for (int i = 0; i < lengths.size(); i++) {
            double near = lengthStart(i);
            double far = near + yard.length;
            keep(found, near, far, 0, lengths.get(i).firstEdge() - cutting.ripKerf(), 0, b.thickness());
            keep(found, near, far, stripsEnd(i) + cutting.ripKerf(), b.width(), 0, b.thickness());
            for (int s = 0; s < lengths.get(i).strips().size(); s++) {
                Sawn sawn = sawn(i, s);
                if (sawn.leavesRest()) {
                    double z0 = sawn.restTop(from, b.thickness());
                    keep(found, near, far, stripStart(i, s), stripEnd(i, s), z0, z0 + sawn.rest());
                }
            }
        }
        double end = lengthStart(lengths.size() - 1) + yard.length;
        keep(found, end + cutting.ripKerf(), b.length(), 0, b.width(), 0, b.thickness());
        return found;
    }

    private void keep(List<Rest> found, double u0, double u1, double v0, double v1, double z0, double z1) {
        if (yard.isKept(u1 - u0, v1 - v0)) {
            found.add(new Rest(u0, u1, v0, v1, z0, z1));
        }
    }

    /** Timber that does not come back to the rack, litres: pieces, kerfs, dust and what is too small. */
    double usedUp() {
        double volume = board().volume();
        for (Rest rest : offcuts()) {
            volume -= rest.volume();
        }
        return volume * 1e-6;
    }

    /**
     * Timber of what goes back to the rack that is too small for another body like this, litres. Of each rest: what whole pieces
     * leave of its length, but for half of the share of a piece that it is; and the share by which it is narrower than half a blank
     * or thinner than boards for it. So one long rest is worth more than two short ones of the same wood.
     */
    double cutSmall() {
        return offcuts().stream().mapToDouble(this::cutSmall).sum() * 1e-6;
    }

    private double cutSmall(Rest rest) {
        double good = goodLength(rest.u1() - rest.u0())
                * share(rest.v1() - rest.v0(), yard.halfWidth())
                * share(rest.z1() - rest.z0(), yard.need.rough());
        return rest.volume() * (1 - good);
    }

    /** What its timber counts against a layout: what is used up, and what goes back too small. */
    double points(Preference taste) {
        double used = board().volume();
        double small = 0;
        for (Rest rest : offcuts()) {
            used -= rest.volume();
            small += cutSmall(rest);
        }
        return taste.timber(used * 1e-6, small * 1e-6);
    }

    /** Whole pieces count whole, the end that they leave by half the share of a piece that it is; of all the length. */
    private double goodLength(double length) {
        double pieces = Math.floor((length + yard.cutting.ripKerf()) / yard.pitch() + 1e-9);
        double end = Math.max(0, length - pieces * yard.pitch());
        return 1 - end / length * (1 - NO_PIECE * share(end, yard.length));
    }

    private static double share(double there, double wanted) {
        return Math.min(1, there / wanted);
    }

    /** Whether a strip is opened so that a part of its thickness stays for another time. */
    boolean leavesThickness() {
        for (int i = 0; i < lengths.size(); i++) {
            for (int s = 0; s < lengths.get(i).strips().size(); s++) {
                if (sawn(i, s).leavesRest()) {
                    return true;
                }
            }
        }
        return false;
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
        double share = rest.volume() / b.volume();
        List<Defect> defects = new ArrayList<>();
        for (Defect d : b.defects()) {
            double u0 = Math.max(d.fromEnd(), rest.u0());
            double u1 = Math.min(d.fromEnd() + d.along(), rest.u1());
            double v0 = Math.max(d.fromEdge(), rest.v0());
            double v1 = Math.min(d.fromEdge() + d.across(), rest.v1());
            double z0 = Math.max(d.top(), rest.z0());
            double z1 = Math.min(d.bottom(), rest.z1());
            if (u1 - u0 >= LEAST && v1 - v0 >= LEAST && z1 > z0) {
                defects.add(new Defect(
                        d.kind(), u0 - rest.u0(), v0 - rest.v0(), u1 - u0, v1 - v0, z0 - rest.z0(), z1 - rest.z0()));
            }
        }
        return new Board(
                name,
                b.species(),
                true,
                rest.u1() - rest.u0(),
                rest.v1() - rest.v0(),
                rest.z1() - rest.z0(),
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
            double near = lengthStart(i);
            boolean touching = i > 0;
            if (!touching && near > 0.01) {
                cuts.add(new Cut(Cut.Kind.CROSS, b.name(), near - kerf, kerf, "the near end off"));
            }
            if (near + yard.length < b.length() - 0.01) {
                cuts.add(new Cut(Cut.Kind.CROSS, b.name(), near + yard.length, kerf, "length " + (i + 1)));
            }
        }
        for (int i = 0; i < lengths.size(); i++) {
            rips(cuts, i, pieceNumbers.get(i));
            resaws(cuts, i, pieceNumbers.get(i));
        }
        return cuts;
    }

    /** Opens the strips through their thickness, each by one cut after the other from the face it starts at. */
    private void resaws(List<Cut> cuts, int length, List<Integer> numbers) {
        Board b = board();
        for (int s = 0; s < numbers.size(); s++) {
            Sawn sawn = sawn(length, s);
            int through = sawn.leavesRest() ? sawn.pieces() : sawn.pieces() - 1;
            for (int slice = 0; slice < through; slice++) {
                double at = from == Side.A
                        ? sawn.bottom(slice, from, b.thickness())
                        : sawn.top(slice, from, b.thickness()) - sawn.kerf();
                cuts.add(new Cut(Cut.Kind.RESAW, b.name(), at, sawn.kerf(), gives(sawn, slice, numbers.get(s))));
            }
        }
    }

    private String gives(Sawn sawn, int slice, int number) {
        if (!bookMatched) {
            return "piece " + number + "; the rest of it stays";
        }
        if (!sawn.leavesRest()) {
            return "pieces 1 and 2, mirrored";
        }
        return "piece " + ((slice == 0) == (from == Side.A) ? 1 : 2)
                + (slice == 0 ? ", mirrored by the next" : "; the rest of it stays");
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
            double end = stripEnd(length, s);
            String gives = (bookMatched ? "pieces 1 and 2" : "piece " + numbers.get(s))
                    + (lengths.size() > 1 ? ", of length " + (length + 1) : "");
            if (end < b.width() - 0.01) {
                cuts.add(new Cut(Cut.Kind.RIP, b.name(), end, kerf, gives));
            }
        }
    }
}
