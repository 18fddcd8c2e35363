package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.stock.WoodLeft;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * What a contour leaves while its line follows the hand, told without a plan: voids lie where they are planned or cut now, under the surface
 * as it would be. A plan may then move a floor that is to leave its wood.
 *
 * @param bands the edge that stays between it and what shapes the other face
 * @param floors of what lies under it, the thinnest first
 */
public record Dragged(Contour.Laid laid, List<EdgeBand> bands, List<Floor> floors) {
    /**
     * The wood over a void.
     *
     * @param now as the plan has it, mm; empty where it is not told of
     * @param then under the contour as it is held, mm
     */
    public record Floor(Feature feature, OptionalDouble now, double then, Point at) {}

    /**
     * Of a build that has it so.
     *
     * @param plan the wood of the body as it is planned today
     */
    public static Dragged of(Build held, History plan, Contour.Laid laid) {
        Map<Feature, WoodLeft.Thin> then = new LinkedHashMap<>();
        plan.toFace(held, laid.face(), laid.plan()).forEach(t -> then.putIfAbsent(t.feature(), t));
        Feature face = laid.face() == Face.FRONT ? Feature.FRONT : Feature.BACK;
        List<Floor> floors = then.values().stream()
                .map(t -> new Floor(
                        t.feature(),
                        plan.thinnest().stream()
                                .filter(n -> n.feature().equals(t.feature())
                                        && n.neighbour().equals(face))
                                .mapToDouble(WoodLeft.Thin::thickness)
                                .min(),
                        t.thickness(),
                        t.at()))
                .toList();
        return new Dragged(laid, EdgeBand.of(held, laid.feature()), floors);
    }
}
