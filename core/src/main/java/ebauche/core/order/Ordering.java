package ebauche.core.order;

import ebauche.core.feature.StepKey;
import ebauche.core.operation.Operation;
import java.util.List;

/**
 * The order that a build's steps are done in, and what it costs.
 *
 * @param sequence the steps in that order
 * @param costs what orders of these steps cost
 * @param links what must come before what
 * @param done so many steps at the start are facts
 * @param asFound what their order costs if nothing but the links and what is in hand at the moment is looked at
 */
public record Ordering(Sequence sequence, Costs costs, List<Link> links, int done, Price asFound) {
    public Ordering {
        links = List.copyOf(links);
    }

    /**
     * The cheapest order that is found.
     *
     * @param found an order that keeps the links, what is done first
     * @param costs of its steps
     */
    public static Ordering cheapest(Sequence found, Costs costs, List<Link> links, List<StepKey> done) {
        List<Operation> start = found.operations();
        int facts = (int) start.stream().filter(o -> done.contains(o.key())).count();
        List<Operation> order = LeastLoss.of(costs, start, links, facts);
        return new Ordering(found.in(order), costs, links, facts, costs.price(start));
    }

    /** What it costs. */
    public Price price() {
        return costs.price(sequence.operations());
    }
}
