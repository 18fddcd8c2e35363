package ebauche.core.order;

import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.job.Finding;
import ebauche.core.operation.Operation;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * An order that its maker chose, kept where it holds: what it lists stays in its order unless a link forbids it, and then the step that
 * came too early waits until what it needs is done, which is told. Steps that it does not list, of a part drawn later or of a new reading,
 * go in one by one where they cost least, and move nothing else.
 */
final class OwnOrder {
    private final Costs costs;
    private final List<Operation> start;
    private final int fixed;
    private final Map<StepKey, Integer> rank = new HashMap<>();
    private final Map<StepKey, Integer> place = new HashMap<>();
    /** By its place in the start: all that must come before a step, by links or by links of links. */
    private final List<BitSet> before = new ArrayList<>();

    private final List<Link> links;
    private final List<Finding> findings = new ArrayList<>();

    /**
     * Keeps it.
     *
     * @param start an order of all steps that keeps the links, what is done first
     * @param own the maker's order; steps that there are no longer are passed over
     */
    OwnOrder(Costs costs, List<Operation> start, List<Link> links, int fixed, List<StepKey> own) {
        this.costs = costs;
        this.start = start;
        this.links = links;
        this.fixed = fixed;
        own.forEach(k -> rank.putIfAbsent(k, rank.size()));
        for (int i = 0; i < start.size(); i++) {
            place.put(start.get(i).key(), i);
            before.add(new BitSet());
        }
        List<Link> inward = links.stream()
                .filter(l -> place.get(l.before()) < place.get(l.after()))
                .sorted(Comparator.comparing(l -> place.get(l.after())))
                .toList();
        for (Link link : inward) {
            BitSet its = before.get(place.get(link.after()));
            its.set(place.get(link.before()));
            its.or(before.get(place.get(link.before())));
        }
    }

    /** Where the maker's order could not be kept. */
    List<Finding> findings() {
        return List.copyOf(findings);
    }

    /** All steps, in that order. */
    List<Operation> kept() {
        List<Operation> order = new ArrayList<>(start.subList(0, fixed));
        List<Operation> listed = new ArrayList<>();
        List<Operation> others = new ArrayList<>();
        for (Operation step : start.subList(fixed, start.size())) {
            (rank.containsKey(step.key()) ? listed : others).add(step);
        }
        order.addAll(sorted(listed));
        others.forEach(step -> insert(order, step));
        return order;
    }

    private List<Operation> sorted(List<Operation> listed) {
        List<Operation> left = new ArrayList<>(listed);
        left.sort(Comparator.comparing(o -> rank.get(o.key())));
        List<Operation> sorted = new ArrayList<>();
        while (!left.isEmpty()) {
            Operation next = left.stream()
                    .filter(o -> left.stream().noneMatch(b -> comesBefore(b, o)))
                    .findFirst()
                    .orElseThrow();
            for (Operation early : left.subList(0, left.indexOf(next))) {
                if (comesBefore(next, early)) {
                    tell(early, next);
                }
            }
            left.remove(next);
            sorted.add(next);
        }
        return sorted;
    }

    private boolean comesBefore(Operation one, Operation other) {
        return before.get(place.get(other.key())).get(place.get(one.key()));
    }

    private void tell(Operation early, Operation first) {
        String because = links.stream()
                .filter(l -> l.before().equals(first.key()) && l.after().equals(early.key()))
                .map(Link::because)
                .findFirst()
                .orElse("waits for steps that need that one");
        findings.add(Finding.goodToKnow(Work.ORDER, "own-order")
                .on(early.feature())
                .says(
                        "In your own order “" + early.title() + "” comes before “" + first.title() + "”, but it "
                                + because + ". It waits for that; all else stays as you put it.",
                        "Put it after that step, or let the plan order the steps again."));
    }

    /** Puts one more step where it costs least. */
    private void insert(List<Operation> order, Operation step) {
        int from = fixed;
        int to = order.size();
        for (int i = fixed; i < order.size(); i++) {
            if (comesBefore(order.get(i), step)) {
                from = i + 1;
            }
        }
        for (int i = order.size() - 1; i >= from; i--) {
            if (comesBefore(step, order.get(i))) {
                to = i;
            }
        }
        Optional<Integer> best = Optional.empty();
        double least = Double.POSITIVE_INFINITY;
        for (int at = from; at <= to; at++) {
            order.add(at, step);
            double price = costs.price(order).total();
            order.remove(at);
            if (price < least) {
                least = price;
                best = Optional.of(at);
            }
        }
        order.add(best.orElse(from), step);
    }
}
