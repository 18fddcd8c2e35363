package ebauche.core.routing;

import ebauche.core.crib.Crib;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.operation.Condition;
import ebauche.core.passes.GuidedCut;
import ebauche.core.passes.PassPlan;
import ebauche.core.passes.PassPlanner;
import java.util.List;
import java.util.Optional;

/**
 * Something that is routed along a template.
 *
 * @param name as it is said at the bench
 * @param face it is cut from, first
 * @param plan inside its line
 * @param outside whether the bit runs round the outside of that, else within it
 * @param whenDone what holds once it is cut to the end
 * @param cut as the planner is asked; empty where the design leaves no depth
 * @param crib that may be asked for it
 */
public record GuidedWork(
        Feature feature,
        String name,
        Face face,
        Region plan,
        boolean outside,
        Condition.Mark whenDone,
        Optional<GuidedCut> cut,
        Crib crib) {

    /** A pocket: cut by a router in the hand. */
    public static GuidedWork of(GuidedPocket pocket) {
        return new GuidedWork(
                pocket.feature(),
                pocket.noun(),
                pocket.face(),
                pocket.plan(),
                false,
                pocket.atDepth(),
                pocket.cut(),
                pocket.crib());
    }

    /** The cheapest plan, and the next two with other bits. */
    public List<PassPlan> plans() {
        return cut.map(c -> PassPlanner.plans(c, crib)).orElse(List.of());
    }

    /** Whether the crib gives any plan at all. */
    public boolean feasible() {
        return cut.map(c -> PassPlanner.isFeasible(c, crib)).orElse(false);
    }

    /** The wood that a bearing runs on once a wall stands: a ring of that width beside the line. */
    public Region wall(double width) {
        return outside ? plan.minus(plan.grown(-width)) : plan.grown(width).minus(plan);
    }

    /** The corners that the narrowest bearing bit leaves standing; empty where nothing stands. */
    public Optional<Unreached> corners(Region body) {
        Optional<Unreached> left = outside ? Unreached.outside(plan, crib) : Unreached.inside(plan, body, crib);
        return left.filter(u -> !u.corners().isEmpty());
    }
}
