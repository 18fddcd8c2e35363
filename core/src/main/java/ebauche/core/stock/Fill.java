package ebauche.core.stock;

import ebauche.core.geometry.Region;
import java.util.ArrayList;
import java.util.List;

/** Wood that is put back into a hole: a plug, a shim, a cap. */
public final class Fill {
    private static final double NEARLY = 1e-6;

    /** Narrower than twice this, what is left beside a fill is rounding, mm. */
    private static final double SLIVER = 1e-3;

    private Fill() {}

    /**
     * What is left of a hole once wood is put into it.
     *
     * <p>Beside the fill a routed one keeps its depth, over and under it what the fill leaves. A drilled one is shortened by a plug on its
     * own axis, and gone where all of it is filled; any other is left as it was, so that less wood is told than there is and never more.
     */
    public static List<Solid> without(Solid hole, Solid fill) {
        return hole instanceof Bore bore ? drilled(bore, fill) : routed((Solid.Prism) hole, fill);
    }

    /** What is left of several. */
    public static List<Solid> without(List<Solid> holes, Solid fill) {
        return holes.stream().flatMap(h -> without(h, fill).stream()).toList();
    }

    private static List<Solid> routed(Solid.Prism hole, Solid fill) {
        Region filled = hole.plan().intersection(fill.plan());
        boolean misses = filled.isEmpty()
                || fill.deepest() <= hole.shallowest() + NEARLY
                || fill.shallowest() >= hole.deepest() - NEARLY
                || (fill instanceof Bore bore && !bore.isUpright());
        if (misses) {
            return List.of(hole);
        }
        Surface top = fill instanceof Solid.Prism p ? p.top() : Plane.at(fill.shallowest());
        Surface bottom = fill instanceof Solid.Prism p ? p.bottom() : Plane.at(fill.deepest());
        List<Solid> left = new ArrayList<>();
        add(left, hole.plan().minus(fill.plan()), hole.top(), hole.bottom());
        add(left, filled, hole.top(), top);
        add(left, filled, bottom, hole.bottom());
        return left;
    }

    /** What lies between two surfaces, where there is any depth between them. */
    private static void add(List<Solid> left, Region all, Surface top, Surface bottom) {
        Region plan = all.parts().stream()
                .filter(p -> p.area() > SLIVER * p.perimeter())
                .reduce(Region.EMPTY, Region::union);
        if (!plan.isEmpty() && bottom.deepest(plan) > top.shallowest(plan) + NEARLY) {
            left.add(new Solid.Prism(plan, top, bottom));
        }
    }

    private static List<Solid> drilled(Bore hole, Solid fill) {
        if (fill instanceof Bore plug && plug.diameter() >= hole.diameter() - NEARLY && hole.isOnAxis(plug)) {
            double one = hole.alongAxis(plug.from(), plug.fromDepth());
            double other = hole.alongAxis(plug.to(), plug.toDepth());
            double from = Math.min(one, other);
            double to = Math.max(one, other);
            List<Solid> left = new ArrayList<>();
            if (to <= NEARLY || from >= hole.length() - NEARLY) {
                return List.of(hole);
            }
            if (from > NEARLY) {
                left.add(hole.between(0, from));
            }
            if (to < hole.length() - NEARLY) {
                left.add(hole.between(to, hole.length()));
            }
            return left;
        }
        boolean all = fill instanceof Solid.Prism
                && fill.plan().contains(hole.plan())
                && fill.shallowest(hole.plan()) <= hole.shallowest() + NEARLY
                && fill.deepest(hole.plan()) >= hole.deepest() - NEARLY;
        return all ? List.of() : List.of(hole);
    }
}
