package ebauche.core.order;

import ebauche.core.feature.StepKey;
import ebauche.core.operation.Operation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Why a step stands where it does: what must come before it and after it, and what the order would cost with it elsewhere between those,
 * all other steps as they are.
 *
 * @param place of the step in the order, from 0
 * @param places that it may take alone, the earliest first, its own among them
 * @param held the step that it cannot come before, where one holds it back
 * @param holds the step that it cannot come after, where it holds one back
 */
public record WhyHere(int place, List<Place> places, Optional<Link> held, Optional<Link> holds) {
    public WhyHere {
        places = List.copyOf(places);
    }

    /**
     * One place that the step may take.
     *
     * @param at the place, once it is there
     * @param next to which step it comes: the one before it there, if there is one
     * @param price of the whole order then
     */
    public record Place(int at, Optional<Operation> next, Price price) {}

    /** Of a step that is still to be done. */
    public static WhyHere of(Ordering ordering, StepKey step) {
        List<Operation> order = ordering.sequence().operations();
        int here = place(order, step);
        List<Link> before = ordering.links().stream()
                .filter(l -> l.after().equals(step) && place(order, l.before()) < here)
                .toList();
        List<Link> after = ordering.links().stream()
                .filter(l -> l.before().equals(step) && place(order, l.after()) > here)
                .toList();
        Optional<Link> held = before.stream().max(Comparator.comparingInt(l -> place(order, l.before())));
        Optional<Link> holds = after.stream().min(Comparator.comparingInt(l -> place(order, l.after())));
        int first = Math.max(
                ordering.done(), held.map(l -> place(order, l.before()) + 1).orElse(0));
        int last = holds.map(l -> place(order, l.after()) - 1).orElse(order.size() - 1);
        List<Place> places = new ArrayList<>();
        for (int at = Math.min(first, here); at <= last; at++) {
            List<Operation> moved = moved(order, here, at);
            places.add(new Place(
                    at,
                    at == 0 ? Optional.empty() : Optional.of(moved.get(at - 1)),
                    ordering.costs().price(moved)));
        }
        return new WhyHere(here, places, held, holds);
    }

    /** An order with one of its steps elsewhere. */
    static List<Operation> moved(List<Operation> order, int from, int to) {
        List<Operation> moved = new ArrayList<>(order);
        moved.add(to, moved.remove(from));
        return moved;
    }

    private static int place(List<Operation> order, StepKey step) {
        for (int i = 0; i < order.size(); i++) {
            if (order.get(i).key().equals(step)) {
                return i;
            }
        }
        throw new IllegalArgumentException("no step " + step.written() + " in this order");
    }

    /** Where it stands. */
    public Place here() {
        return at(place);
    }

    /** Whether it can stand nowhere else. */
    public boolean fixed() {
        return places.size() == 1;
    }

    private Place at(int wanted) {
        return places.stream().filter(p -> p.at() == wanted).findFirst().orElseThrow();
    }

    /** Minutes that the order would cost more with it at a place; less than nothing if it would be cheaper there. */
    public double more(Place place) {
        return place.price().total() - here().price().total();
    }

    /** As early as it may come, if that is earlier than it does. */
    public Optional<Place> earliest() {
        return Optional.of(places.get(0)).filter(p -> p.at() < place);
    }

    /** As late as it may come, if that is later than it does. */
    public Optional<Place> latest() {
        return Optional.of(places.get(places.size() - 1)).filter(p -> p.at() > place);
    }
}
