package ebauche.core.layout;

import ebauche.core.timber.Side;

/**
 * How a strip of a board is opened through its thickness. Millimetres.
 *
 * @param piece thickness of what goes into the blank
 * @param pieces slices of that thickness: two for book-matched halves, else one
 * @param kerf the resaw takes after each slice; nought where the strip is left whole
 * @param rest thickness of what stays of the strip beyond slices and kerfs
 */
record Sawn(double piece, int pieces, double kerf, double rest) {
    static Sawn whole(double thickness) {
        return new Sawn(thickness, 1, 0, 0);
    }

    /** Two halves of all there is. */
    static Sawn halved(double thickness, double kerf) {
        return new Sawn((thickness - kerf) / 2, 2, kerf, 0);
    }

    /** So many slices off one face of a strip, the rest for another time. */
    static Sawn sliced(double thickness, int pieces, double piece, double kerf) {
        return new Sawn(piece, pieces, kerf, thickness - pieces * (piece + kerf));
    }

    boolean leavesRest() {
        return rest > 0;
    }

    /** Depth under face A of the upper side of a slice, the first nearest to the face it is taken {@code from}. */
    double top(int slice, Side from, double thickness) {
        double outer = slice * (piece + kerf);
        return from == Side.A ? outer : thickness - outer - piece;
    }

    double bottom(int slice, Side from, double thickness) {
        return top(slice, from, thickness) + piece;
    }

    /** Depth under face A of the rest's upper side. */
    double restTop(Side from, double thickness) {
        return from == Side.A ? thickness - rest : 0;
    }
}
