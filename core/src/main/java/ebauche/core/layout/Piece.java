package ebauche.core.layout;

import ebauche.core.timber.Board;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Flaw;
import ebauche.core.timber.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One strip: where it is cut out of its board, and where and how it lies in the blank.
 *
 * @param fromEnd of the board, to its nearer end
 * @param fromEdge of the board, to its nearer edge; the rough strip with its jointing allowances
 * @param roughWidth as sawn
 * @param sliceTop depth of its upper side in the board, under face A; more than nought in a resawn board
 * @param sliceBottom depth of its lower side
 * @param up the board's face that lies upward
 * @param farEndToNeck whether the board's far end points to the neck
 * @param left x of its left edge in the blank, jointed
 * @param width jointed
 * @param low y of its lower end
 * @param length along y
 * @param jointedLeft taken off its left edge by jointing
 */
public record Piece(
        Board board,
        double fromEnd,
        double fromEdge,
        double roughWidth,
        double sliceTop,
        double sliceBottom,
        Side up,
        boolean farEndToNeck,
        double left,
        double width,
        double low,
        double length,
        double jointedLeft) {

    public double right() {
        return left + width;
    }

    public double thickness() {
        return sliceBottom - sliceTop;
    }

    /**
     * Whether the board's marked edge lies on the left. Seen with face A up and the far end to the neck it does; each
     * turn, over or end for end, swaps it.
     */
    public boolean markedEdgeLeft() {
        return (up == Side.A) == farEndToNeck;
    }

    /** 1 if the upper face is planed towards the neck, -1 away from it, 0 if either will do. */
    public int planedTowardsNeck() {
        int alongBoard = up == Side.A ? board.rise().sign() : -board.rise().sign();
        return farEndToNeck ? alongBoard : -alongBoard;
    }

    /** Whether the pith lies upward, where it is known. */
    public Optional<Boolean> heartUp() {
        return board.heart().map(h -> h == up);
    }

    /** Degrees by which the grain runs off the body's length, towards x as y grows. */
    public double grainAngle() {
        return up == Side.A ? board.grainAngle() : 0 - board.grainAngle();
    }

    /** The board's faults that lie in this piece, in the blank's frame. */
    public List<Flaw> flaws() {
        List<Flaw> found = new ArrayList<>();
        for (Defect d : board.defects()) {
            double u0 = Math.max(d.fromEnd() - fromEnd, 0);
            double u1 = Math.min(d.fromEnd() + d.along() - fromEnd, length);
            double v0 = Math.max(d.fromEdge() - fromEdge, 0);
            double v1 = Math.min(d.fromEdge() + d.across() - fromEdge, roughWidth);
            double top = Math.max(d.top(), sliceTop);
            double bottom = Math.min(d.bottom(), sliceBottom);
            if (u1 > u0 && v1 > v0 && bottom > top) {
                laid(d.kind(), u0, u1, v0, v1, top, bottom).ifPresent(found::add);
            }
        }
        return found;
    }

    private Optional<Flaw> laid(
            Defect.Kind kind, double u0, double u1, double v0, double v1, double top, double bottom) {
        double y0 = farEndToNeck ? low + u0 : low + length - u1;
        double y1 = farEndToNeck ? low + u1 : low + length - u0;
        double roughLeft = left - jointedLeft;
        double x0 = Math.max(markedEdgeLeft() ? roughLeft + v0 : roughLeft + roughWidth - v1, left);
        double x1 = Math.min(markedEdgeLeft() ? roughLeft + v1 : roughLeft + roughWidth - v0, right());
        double z0 = up == Side.A ? top - sliceTop : sliceBottom - bottom;
        double z1 = up == Side.A ? bottom - sliceTop : sliceBottom - top;
        return x1 > x0 ? Optional.of(new Flaw(kind, x0, x1, y0, y1, z0, z1)) : Optional.empty();
    }

    /** The same strip turned. */
    Piece turned(Side upward, boolean farEnd) {
        return new Piece(
                board,
                fromEnd,
                fromEdge,
                roughWidth,
                sliceTop,
                sliceBottom,
                upward,
                farEnd,
                left,
                width,
                low,
                length,
                jointedLeft);
    }
}
