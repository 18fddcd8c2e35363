package ebauche.core.station;

import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.routing.GuidedWork;
import java.util.List;

/** A kind of work. All are alike from outside: they check the build, add operations, and look at what is left. */
public interface Station {
    /** Short and lasting, such as {@code neck}. */
    String name();

    /** What cannot work, or only just, told from the build alone. */
    List<Finding> check(Build build);

    /** The operations that this work adds; their order follows from what they need and give. */
    List<Operation> operations(Build build);

    /** The pockets of this work that are routed along a template, by the order of the design. */
    default List<GuidedPocket> pockets(Build build) {
        return List.of();
    }

    /** What of this work is routed along a template: its pockets, and whatever else is. */
    default List<GuidedWork> guidedWork(Build build) {
        return pockets(build).stream().map(GuidedWork::of).toList();
    }

    /** The numbers of this work that a maker asks about, each with its sum. */
    default List<Reckoning> reckonings(Build build) {
        return List.of();
    }

    /** What the wood that is left tells; adds findings, never operations. */
    default List<Finding> review(Build build, History history) {
        return List.of();
    }
}
