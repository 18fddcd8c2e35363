package ebauche.core.order;

import ebauche.core.feature.StepKey;
import ebauche.core.operation.Operation;
import ebauche.core.shop.HouseRule;
import ebauche.core.shop.Stage;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Habits that a maker's own order shows: stages that it puts before others where the cheapest order does not. */
public final class Learned {
    private Learned() {}

    /**
     * The rules that would have given the order, each by itself; none where the order is not the maker's own.
     *
     * @return in the stages' order, those left out that the shop has already
     */
    public static List<HouseRule> of(Ordering ordering) {
        if (!ordering.own()) {
            return List.of();
        }
        List<Operation> own = undone(ordering.operations(), ordering);
        List<Operation> cheapest = undone(ordering.cheapest(), ordering);
        List<HouseRule> learned = new ArrayList<>();
        for (Stage first : Stage.values()) {
            for (Stage then : Stage.values()) {
                if (first != then && comes(first, then, own) && !comes(first, then, cheapest)) {
                    learned.add(new HouseRule(first, then));
                }
            }
        }
        learned.removeAll(ordering.rules().order());
        return learned;
    }

    private static List<Operation> undone(List<Operation> order, Ordering ordering) {
        return order.subList(ordering.done(), order.size());
    }

    /** Whether all of one stage comes before all of another, of which each has some that does not belong to the other too. */
    private static boolean comes(Stage first, Stage then, List<Operation> order) {
        Set<StepKey> before = new HashSet<>();
        order.stream().filter(o -> HouseOrder.isOf(first, o)).forEach(o -> before.add(o.key()));
        boolean begun = false;
        boolean both = false;
        for (Operation step : order) {
            if (before.contains(step.key())) {
                if (begun) {
                    return false;
                }
                both = true;
            } else {
                begun |= HouseOrder.isOf(then, step);
            }
        }
        return both && begun;
    }
}
