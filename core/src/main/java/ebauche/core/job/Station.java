package ebauche.core.job;

import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import java.util.List;

/** A kind of work. All are alike from outside: they check the build, add operations, and look at what is left. */
public interface Station {
    /** Short and lasting, such as {@code neck}. */
    String name();

    /** What cannot work, or only just, told from the build alone. */
    List<Finding> check(Build build);

    /** The operations that this work adds; their order follows from what they need and give. */
    List<Operation> operations(Build build);

    /** The numbers of this work that a maker asks about, each with its sum. */
    default List<Reckoning> reckonings(Build build) {
        return List.of();
    }

    /** What the wood that is left tells; adds findings, never operations. */
    default List<Finding> review(Build build, History history) {
        return List.of();
    }
}
