package ebauche.core.order;

import ebauche.core.feature.StepKey;
import ebauche.core.job.Finding;
import ebauche.core.operation.Operation;
import java.util.ArrayList;
import java.util.List;

/**
 * The order that a build's steps are done in, and what it costs.
 *
 * @param sequence the steps in that order
 * @param costs what orders of these steps cost
 * @param links what must come before what
 * @param done so many steps at the start are facts
 * @param asFound what their order costs if nothing but the links and what is in hand at the moment is looked at
 * @param least what the cheapest order that was found costs
 * @param own whether it is the maker's own
 * @param findings circles, steps that were done too early, and where the maker's own order could not be kept
 */
public record Ordering(
        Sequence sequence,
        Costs costs,
        List<Link> links,
        int done,
        Price asFound,
        Price least,
        boolean own,
        List<Finding> findings) {
    public Ordering {
        links = List.copyOf(links);
        findings = List.copyOf(findings);
    }

    /**
     * The maker's own order where there is one, else the cheapest that is found. Steps that wait for each other stand as they were found: with
     * a link let go, the cheapest order would be one that nobody can work by.
     *
     * @param found an order that keeps the links, what is done first
     * @param costs of its steps
     * @param done keys of what is done
     * @param own the maker's own order; empty for none
     */
    public static Ordering of(Sequence found, Costs costs, List<Link> links, List<StepKey> done, List<StepKey> own) {
        List<Operation> start = found.operations();
        int facts = (int) start.stream().filter(o -> done.contains(o.key())).count();
        List<Operation> cheapest = found.circled() ? start : LeastLoss.of(costs, start, links, facts);
        List<Finding> findings = new ArrayList<>(found.findings());
        List<Operation> order = cheapest;
        if (!own.isEmpty()) {
            OwnOrder kept = new OwnOrder(costs, cheapest, links, facts, own);
            order = kept.kept();
            findings.addAll(kept.findings());
        }
        return new Ordering(
                found.in(order),
                costs,
                links,
                facts,
                costs.price(start),
                costs.price(cheapest),
                !own.isEmpty(),
                findings);
    }

    /** The steps in their order. */
    public List<Operation> operations() {
        return sequence.operations();
    }

    /** What it costs. */
    public Price price() {
        return costs.price(operations());
    }
}
