package ebauche.core.layout;

import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import java.util.List;

/**
 * What a body, or one layer of it, asks of its blank. Depths are measured from the layer's own finished upper face.
 *
 * @param outline finished, seen from the front
 * @param finished thickness of the layer in the finished body
 * @param rough least thickness of its boards
 * @param frontAllowance wood over the finished upper face once the blank is thicknessed
 * @param pockets cut into it
 * @param coveredFront what hardware hides of the front
 * @param coveredBack what covers hide of the back
 * @param seat where the neck's joint carries load
 * @param showsFront whether its upper face is seen; a top over it hides it
 * @param showsBack the same of its lower face
 */
public record Need(
        Region outline,
        double finished,
        double rough,
        double frontAllowance,
        List<Pocket> pockets,
        Region coveredFront,
        Region coveredBack,
        Region seat,
        boolean showsFront,
        boolean showsBack) {

    /** Depth noise under which a fault reaches a face, mm. */
    private static final double TOUCH = 0.01;

    public Need {
        Refusal.unless(!outline.isEmpty(), "outline", "the body has no area");
        Refusal.between(finished, 1, 120, "finished");
        Refusal.between(rough, finished, 200, "rough");
        pockets = List.copyOf(pockets);
    }

    /** Depth of the finished upper face under the upper face of a blank, when both faces lose alike. */
    public double frontAt(double blankThickness, double thicknessed) {
        return Math.max(0, (blankThickness - thicknessed) / 2) + frontAllowance;
    }

    /** Pockets that open through the upper face. */
    public Region openFront() {
        return union(pockets.stream().filter(p -> p.top() <= TOUCH).toList());
    }

    /** Pockets that open through the lower face. */
    public Region openBack() {
        return union(
                pockets.stream().filter(p -> p.bottom() >= finished - TOUCH).toList());
    }

    private static Region union(List<Pocket> open) {
        Region sum = Region.EMPTY;
        for (Pocket pocket : open) {
            sum = sum.union(pocket.area());
        }
        return sum;
    }

    /** Half width left of the centre line, mm. */
    public double left() {
        return -outline.minX();
    }

    public double right() {
        return outline.maxX();
    }

    public double length() {
        return outline.maxY() - outline.minY();
    }
}
