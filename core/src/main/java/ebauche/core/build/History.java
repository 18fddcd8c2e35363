package ebauche.core.build;

import ebauche.core.operation.Operation;
import ebauche.core.stock.Change;
import ebauche.core.stock.Stock;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** The wood before the first step and after each one, with what each step really did or will do. */
public record History(Stock start, List<Step> steps) {
    public History {
        steps = List.copyOf(steps);
    }

    /**
     * One step.
     *
     * @param changes as done, else as planned
     * @param done whether it is a fact
     */
    public record Step(Operation operation, List<Change> changes, boolean done, Stock after) {}

    public Stock before(int step) {
        return step == 0 ? start : steps.get(step - 1).after();
    }

    public Stock finished() {
        return before(steps.size());
    }

    /** Every change of the build. */
    public List<Change> changes() {
        return steps.stream().flatMap(s -> s.changes().stream()).toList();
    }

    /** Whether two features are meant to break into each other. */
    public boolean joined(String one, String other) {
        return one.equals(other) || joins(one).contains(other) || joins(other).contains(one);
    }

    private Set<String> joins(String feature) {
        return steps.stream()
                .filter(s -> s.operation().feature().equals(feature))
                .flatMap(s -> s.operation().joins().stream())
                .collect(Collectors.toSet());
    }
}
