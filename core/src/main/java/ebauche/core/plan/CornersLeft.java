package ebauche.core.plan;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.outline.OutlineRouting;
import ebauche.core.outline.OutlineStation;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Unreached;
import java.util.Optional;

/** The corners that the crib's bits leave standing, for a cut as a whole and for the card of the step that finishes it. */
public final class CornersLeft {
    private CornersLeft() {}

    /** Of a pocket or the outline; empty where nothing stands. */
    public static Optional<Unreached> of(Build build, Feature feature) {
        Region body = build.design().outline().region();
        Optional<Unreached> left = feature.equals(OutlineStation.FEATURE)
                ? Unreached.outside(body, new OutlineRouting(build).crib())
                : Stations.pocket(build, feature)
                        .flatMap(p -> Unreached.inside(
                                p.plan(), body, build.shop().crib().tables(false)));
        return left.filter(u -> !u.corners().isEmpty());
    }

    /** On the card of a step: only where it brings the cut to its end, and a router does. */
    public static Optional<Unreached> at(BuildPlan plan, Operation step) {
        Build build = plan.build();
        boolean outlineDone = step.feature().equals(OutlineStation.FEATURE) && gives(step, Datum.OUTLINE_ROUTED);
        boolean ends = outlineDone
                || Stations.pocket(build, step.feature())
                        .filter(p -> gives(step, p.atDepth()))
                        .isPresent();
        return ends && !step.setting().passes().isEmpty() ? of(build, step.feature()) : Optional.empty();
    }

    private static boolean gives(Operation step, Condition.Mark mark) {
        return step.gives().contains(mark);
    }
}
