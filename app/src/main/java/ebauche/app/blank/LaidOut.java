package ebauche.app.blank;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Plates;
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
        return of(
                answer.layouts().get(Math.min(index, answer.layouts().size() - 1)),
                thickness,
                SawnOff.NOTHING,
                frontAt,
                dx,
                dy);
    }

    /**
     * What is sawn off its boards before they are a layer.
     *
     * @param slice off their backs, for covers, with its kerf, mm
     * @param plates that are glued back on
     * @param between lost between each plate and the core, mm
     */
    record SawnOff(double slice, Plates plates, double between) {
        static final SawnOff NOTHING = new SawnOff(0, Plates.NONE, 0);

        double takes() {
            return slice + plates.count() * between;
        }

        /** Where a depth of the boards lies when the plates are on again; what the saw took lies at the glue line. */
        double moved(double depth, double thickness) {
            double front = plates.front();
            double under = front == 0 || depth <= front ? depth : Math.max(front, depth - between);
            double glued = thickness - plates.back();
            return plates.back() == 0 || under <= glued ? under : Math.max(glued, under - between);
        }
    }

    /** The same, after covers and plates were sawn off its boards. */
    static LaidOut of(Layout layout, double thickness, SawnOff sawn, double frontAt, double dx, double dy) {
        double off = Math.max(0, layout.thickness() - sawn.takes() - thickness) / 2;
        List<Strip> strips = layout.pieces().stream().map(LaidOut::strip).toList();
        List<Flaw> flaws = new ArrayList<>();
        for (Flaw f : layout.flaws()) {
            double top = Math.max(0, sawn.moved(f.top() - off, thickness));
            double bottom = Math.min(thickness, sawn.moved(f.bottom() - off, thickness));
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
