package ebauche.core.sheet;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.operation.Operation;
import ebauche.core.order.Lying;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.BuildPlan.PlanStep;
import ebauche.core.stock.Change;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * On what a body lies while a step works straight down into it.
 *
 * @param on the face that it lies on
 * @param flat share of that face that is left flat by then, 0 to 1
 * @param carves that have taken the rest, as they are said
 */
public record Rest(Face on, double flat, List<String> carves) {
    public Rest {
        carves = List.copyOf(carves);
    }

    /** Of a step that wants the body lying flat; empty for all others. */
    public static Optional<Rest> of(BuildPlan plan, PlanStep step) {
        Operation operation = step.operation();
        if (!Lying.flat(operation)) {
            return Optional.empty();
        }
        Face on = operation.face().other();
        Region body = plan.build().design().outline().region();
        List<String> carves = new ArrayList<>();
        Region taken = Region.EMPTY;
        for (PlanStep before : plan.steps().subList(0, plan.indexOf(step))) {
            Operation carve = before.operation();
            if (carve.face() == on && Lying.carves(carve)) {
                carves.add(carve.feature().said());
                for (Change change : carve.changes()) {
                    taken = taken.union(change.solid().plan());
                }
            }
        }
        return Optional.of(new Rest(on, 1 - taken.shared(body) / body.area(), carves));
    }

    /** Whether it lies flat. */
    public boolean isFlat() {
        return carves.isEmpty();
    }
}
