package ebauche.core.order;

import ebauche.core.feature.StepKey;
import ebauche.core.operation.Operation;
import ebauche.core.shop.HouseRule;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What comes of it if a maker puts one step elsewhere and leaves all others as they are.
 *
 * @param to the place asked for, from 0
 * @param order the steps then
 * @param broken links that it would not keep; then it cannot be put there
 * @param against rules of the shop that it would leave; it may, and the order is the maker's own then
 * @param was what the order costs as it is
 * @param now what it would cost
 * @param nearest the place nearest to the one asked for that keeps every link
 */
public record Move(
        int to,
        List<Operation> order,
        List<Link> broken,
        List<HouseRule> against,
        Price was,
        Price now,
        WhyHere.Place nearest) {
    public Move {
        against = List.copyOf(against);
        order = List.copyOf(order);
        broken = List.copyOf(broken);
    }

    /**
     * Tries it.
     *
     * @param step one that is still to be done
     * @param to its new place; what is done stays before it
     */
    public static Move of(Ordering ordering, StepKey step, int to) {
        WhyHere why = WhyHere.of(ordering, step);
        List<Operation> order = ordering.operations();
        int at = Math.max(ordering.done(), Math.min(order.size() - 1, to));
        List<Operation> moved = WhyHere.moved(order, why.place(), at);
        Map<StepKey, Integer> place = new HashMap<>();
        moved.forEach(o -> place.put(o.key(), place.size()));
        Map<StepKey, Integer> before = new HashMap<>();
        order.forEach(o -> before.put(o.key(), before.size()));
        List<Link> broken = ordering.links().stream()
                .filter(l ->
                        place.get(l.before()) > place.get(l.after()) && before.get(l.before()) < before.get(l.after()))
                .toList();
        List<HouseRule> against = ordering.house().pairs().stream()
                .filter(p ->
                        place.get(p.before()) > place.get(p.after()) && before.get(p.before()) < before.get(p.after()))
                .map(HouseOrder.Pair::rule)
                .distinct()
                .toList();
        WhyHere.Place nearest = why.places()
                .get(Math.max(
                        0,
                        Math.min(
                                why.places().size() - 1,
                                at - why.places().get(0).at())));
        return new Move(
                at, moved, broken, against, ordering.price(), ordering.costs().price(moved), nearest);
    }

    /** Whether it can be put there. */
    public boolean holds() {
        return broken.isEmpty();
    }

    /** Minutes that it costs more; less than nothing if it saves some. */
    public double more() {
        return now.total() - was.total();
    }
}
