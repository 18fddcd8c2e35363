package ebauche.core.sheet;

import ebauche.core.feature.Feature;
import ebauche.core.job.Build;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Stations;
import ebauche.core.routing.Unreached;
import java.util.Optional;

/** The corners that the crib's bits leave standing, for a cut as a whole and for the card of the step that finishes it. */
public final class CornersLeft {
    private CornersLeft() {}

    /** Of what is routed along a template; empty where nothing stands. */
    public static Optional<Unreached> of(Build build, Feature feature) {
        return Stations.guidedWork(build, feature)
                .flatMap(w -> w.corners(build.design().outline().region()));
    }

    /** On the card of a step: only where it brings the cut to its end, and a router does. */
    public static Optional<Unreached> at(BuildPlan plan, Operation step) {
        Build build = plan.build();
        return step.setting().passes().isEmpty()
                ? Optional.empty()
                : Stations.guidedWork(build, step.feature())
                        .filter(w -> step.gives().contains(w.whenDone()))
                        .flatMap(w -> w.corners(build.design().outline().region()));
    }
}
