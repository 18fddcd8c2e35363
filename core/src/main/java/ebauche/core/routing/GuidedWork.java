package ebauche.core.routing;

import ebauche.core.crib.Crib;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
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
 * @param cut as the planner is asked; empty where the design leaves no depth
 * @param crib that may be asked for it
 * @param pocket if it is one
 */
public record GuidedWork(
        Feature feature,
        String name,
        Face face,
        Region plan,
        Optional<GuidedCut> cut,
        Crib crib,
        Optional<GuidedPocket> pocket) {

    /** A pocket: cut by a router in the hand. */
    public static GuidedWork of(GuidedPocket pocket) {
        return new GuidedWork(
                pocket.feature(),
                pocket.noun(),
                pocket.face(),
                pocket.plan(),
                pocket.cut(),
                pocket.build().shop().crib().tables(false),
                Optional.of(pocket));
    }

    /** The cheapest plan, and the next two with other bits. */
    public List<PassPlan> plans() {
        return cut.map(c -> PassPlanner.plans(c, crib)).orElse(List.of());
    }

    /** Whether the crib gives any plan at all. */
    public boolean feasible() {
        return cut.map(c -> PassPlanner.isFeasible(c, crib)).orElse(false);
    }
}
