package ebauche.core.edge;

import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.memo.Memo;
import ebauche.core.passes.BaseSupport;
import ebauche.core.passes.Foot;
import java.util.ArrayList;
import java.util.List;

/**
 * Where a router's base tips over while its bearing rides along an edge: it hangs on the outline, the bearing and the base alone, and is
 * remembered by them.
 *
 * @param tips at places so far apart along the edge, from where it is walked from
 */
record Bases(List<Boolean> tips) {
    /** A base is looked at at every so much of the edge, mm: it is much larger. */
    private static final double EVERY = 12;

    /** What carries a base is taken so coarse, mm. */
    private static final double COARSE = 0.25;

    private record Asked(Region body, double bearing, double base) {}

    /**
     * All along an outline.
     *
     * @param bearing half its diameter: so far outside the edge the bit's axis runs, mm
     * @param base its diameter, mm
     */
    static Bases along(Region body, double bearing, double base) {
        return Memo.here()
                .get(
                        new Asked(body, bearing, base),
                        () -> look(body, bearing, base),
                        b -> b.tips().size());
    }

    private static Bases look(Region body, double bearing, double base) {
        Region carries = body.coarser(COARSE);
        EdgeWalk walk = new EdgeWalk(body);
        List<Boolean> tips = new ArrayList<>();
        for (double way = 0; way < walk.length(); way += EVERY) {
            Point axis = walk.at(way, bearing);
            Point on = walk.at(way, 0);
            Point outward = new Point((axis.x() - on.x()) / bearing, (axis.y() - on.y()) / bearing);
            tips.add(BaseSupport.at(carries, axis, outward, Foot.round(base)).footing() == BaseSupport.Footing.TIPS);
        }
        return new Bases(tips);
    }

    /** Whether it tips at a way along the edge. */
    boolean tipsAt(double way) {
        return tips.get(Math.min((int) (way / EVERY), tips.size() - 1));
    }
}
