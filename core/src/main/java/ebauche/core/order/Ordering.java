package ebauche.core.order;

import ebauche.core.feature.StepKey;
import ebauche.core.job.Finding;
import ebauche.core.operation.Operation;
import ebauche.core.shop.HouseRule;
import ebauche.core.shop.HouseRules;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The order that a build's steps are done in, and what it costs.
 *
 * @param sequence the steps in that order
 * @param costs what orders of these steps cost
 * @param links what must come before what
 * @param rules the shop's
 * @param house what they put before what here
 * @param done so many steps at the start are facts
 * @param asFound what their order costs if nothing but the links and what is in hand at the moment is looked at
 * @param least what the cheapest order that was found costs; it keeps the shop's rules
 * @param own whether it is the maker's own
 * @param findings circles, steps that were done too early, rules of the shop that cannot be kept, and where the maker's own order could not be
 */
public record Ordering(
        Sequence sequence,
        Costs costs,
        List<Link> links,
        HouseRules rules,
        HouseOrder house,
        int done,
        Price asFound,
        Price least,
        boolean own,
        List<Finding> findings) {
    /** Less is not told, minutes: nobody orders a body anew for it. */
    private static final double WORTH_A_WORD = 1;

    public Ordering {
        links = List.copyOf(links);
        findings = List.copyOf(findings);
    }

    /**
     * The maker's own order where there is one, else the cheapest that is found and that the shop's rules leave. Steps that wait for each
     * other stand as they were found: with a link let go, the cheapest order would be one that nobody can work by.
     *
     * @param found an order that keeps the links, what is done first
     * @param costs of its steps
     * @param done keys of what is done
     * @param own the maker's own order; empty for none
     * @param rules the shop's
     */
    public static Ordering of(
            Sequence found, Costs costs, List<Link> links, List<StepKey> done, List<StepKey> own, HouseRules rules) {
        List<Operation> start = found.operations();
        int facts = (int) start.stream().filter(o -> done.contains(o.key())).count();
        HouseOrder house = found.circled() ? HouseOrder.NONE : HouseOrder.of(start, links, facts, own, rules);
        List<Link> kept = new ArrayList<>(links);
        kept.addAll(house.links());
        List<Operation> begun = house.pairs().isEmpty() ? start : found.keeping(kept, facts);
        List<Operation> cheapest = found.circled() ? start : LeastLoss.of(costs, begun, kept, facts);
        List<Finding> findings = new ArrayList<>(found.findings());
        findings.addAll(house.findings());
        List<Operation> order = cheapest;
        if (!own.isEmpty()) {
            OwnOrder its = new OwnOrder(costs, cheapest, kept, facts, own);
            order = its.kept();
            findings.addAll(its.findings());
        }
        return new Ordering(
                found.in(order),
                costs,
                links,
                rules,
                house,
                facts,
                costs.price(start),
                costs.price(cheapest),
                !own.isEmpty(),
                findings);
    }

    /** What the order of least loss would cost if the shop had no rules about what comes first. */
    public Price withoutRules() {
        return house.pairs().isEmpty() ? least : costs.price(cheapest(links));
    }

    /** Minutes that the rules cost; less than nothing where the search found something cheaper by them. */
    public double rulesCost() {
        return least.total() - withoutRules().total();
    }

    /** The order of least loss that the plan would take if the maker had none. */
    List<Operation> cheapest() {
        List<Operation> start = sequence.keeping(links, done);
        List<Link> kept = new ArrayList<>(links);
        kept.addAll(HouseOrder.of(start, links, done, List.of(), rules).links());
        return cheapest(kept);
    }

    private List<Operation> cheapest(List<Link> kept) {
        return LeastLoss.of(costs, sequence.keeping(kept, done), kept, done);
    }

    /**
     * A cheaper order by a deeper look, which takes seconds; it keeps links and the shop's rules, and what is done stays.
     *
     * @param tries shakes of the best order so far
     * @return empty where the order is the maker's own, steps wait for each other, or nothing is found that is worth a word
     */
    public Optional<Deeper> deeper(int tries) {
        if (own || sequence.circled()) {
            return Optional.empty();
        }
        List<Link> kept = new ArrayList<>(links);
        kept.addAll(house.links());
        List<Operation> found = LeastLoss.deeper(costs, operations(), kept, done, tries);
        Price its = costs.price(found);
        double saves = least.total() - its.total();
        return saves < WORTH_A_WORD ? Optional.empty() : Optional.of(new Deeper(found, its, saves));
    }

    /**
     * An order that a deeper look found, and its price.
     *
     * @param saves minutes beside the cheapest that the plan found
     */
    public record Deeper(List<Operation> order, Price price, double saves) {
        public Deeper {
            order = List.copyOf(order);
        }
    }

    /** By which rules of the shop a step stands after others, or others after it. */
    public List<HouseRule> rulesOf(StepKey step) {
        return house.pairs().stream()
                .filter(p -> p.before().equals(step) || p.after().equals(step))
                .map(HouseOrder.Pair::rule)
                .distinct()
                .toList();
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
