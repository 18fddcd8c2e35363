package ebauche.app.blank;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Strip;
import ebauche.core.layout.BlankPlanner;
import ebauche.core.layout.Judgement;
import ebauche.core.layout.Layout;
import ebauche.core.layout.Need;
import ebauche.core.layout.Piece;
import ebauche.core.timber.Flaw;
import ebauche.core.timber.Rings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One layer as the planner offers it, and as it is chosen and moved.
 *
 * @param layout the chosen one
 * @param layer as it goes into the blank: its strips, its thickness when levelled, its faults where they lie now
 * @param frontAt depth of the finished upper face in that layer
 */
public record LaidOut(Layout layout, BlankLayer layer, double frontAt, double dx, double dy) {

    /**
     * A layer of a layout.
     *
     * @param thickness as it goes into the blank; what the boards have beyond it comes off both faces alike
     * @param dx outline moved over the blank
     */
    static LaidOut of(BlankPlanner.Answer answer, int index, double thickness, double frontAt, double dx, double dy) {
        return of(answer.layouts().get(Math.min(index, answer.layouts().size() - 1)), thickness, 0, frontAt, dx, dy);
    }

    /** The same, after a slice of its boards came off their backs. */
    static LaidOut of(Layout layout, double thickness, double sliced, double frontAt, double dx, double dy) {
        double off = Math.max(0, layout.thickness() - sliced - thickness) / 2;
        List<Strip> strips = layout.pieces().stream().map(LaidOut::strip).toList();
        List<Flaw> flaws = new ArrayList<>();
        for (Flaw f : layout.flaws()) {
            double top = Math.max(0, f.top() - off);
            double bottom = Math.min(thickness, f.bottom() - off);
            if (bottom > top) {
                flaws.add(new Flaw(f.kind(), f.minX(), f.maxX(), f.minY(), f.maxY(), top, bottom).moved(-dx, -dy));
            }
        }
        return new LaidOut(layout, new BlankLayer(layout.species(), strips, thickness, flaws), frontAt, dx, dy);
    }

    private static Strip strip(Piece piece) {
        return new Strip(
                piece.width(),
                piece.board().name(),
                piece.up(),
                piece.farEndToNeck(),
                piece.board().rings(),
                piece.board().rings() == Rings.QUARTERED ? Optional.empty() : piece.heartUp(),
                piece.planedTowardsNeck(),
                piece.grainAngle(),
                Optional.empty());
    }

    /** The blank that it makes alone, where it lies under the moved outline. */
    Blank alone() {
        return new Blank(
                layout.right() - layout.left(),
                layout.length(),
                (layout.left() + layout.right()) / 2 - dx,
                layout.low() + layout.length() / 2 - dy,
                layer,
                Optional.empty());
    }

    /** What becomes of its faults under the moved outline, worst first. */
    List<Judgement> judged(Need need) {
        return layer.flaws().stream()
                .map(f -> Judgement.of(f, need, frontAt))
                .sorted(Comparator.comparingDouble(Judgement::points).reversed())
                .toList();
    }
}
