package ebauche.core.layout;

import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Lays several bodies out of one rack together: what one leaves, the next may use, so that two may come out of one board.
 *
 * <p>Bodies are cut one after another, in every order; of each order the {@value #BEAM} cheapest partial plans are carried on, so the
 * answer is a good one, not surely the best of all. Points are the planner's own, summed.
 */
public final class TogetherPlanner {
    /** Most bodies that are laid out together. */
    public static final int MOST = 3;

    private static final int BEAM = 4;

    private TogetherPlanner() {}

    /**
     * One body's blank among the others.
     *
     * @param body which, counted from 0 as asked
     * @param layouts of its layers, in the order of asking; cut one after the other
     */
    public record Share(int body, List<Layout> layouts) {
        public Share {
            layouts = List.copyOf(layouts);
        }

        private Set<String> boards() {
            Set<String> names = new HashSet<>();
            layouts.forEach(l -> l.boards().forEach(b -> names.add(b.name())));
            return names;
        }

        private boolean leaves(Set<String> boards) {
            return layouts.stream().flatMap(l -> l.offcuts().stream()).anyMatch(o -> boards.contains(o.name()));
        }
    }

    /**
     * Blanks for all, in the order of cutting.
     *
     * @param points of all together
     */
    public record Joint(List<Share> shares, double points) {
        public Joint {
            shares = List.copyOf(shares);
        }

        public Share of(int body) {
            return shares.stream().filter(s -> s.body() == body).findFirst().orElseThrow();
        }

        /** Bodies whose blank comes out of what another's leaves, by the other. */
        public Optional<Integer> outOfRestsOf(int body) {
            Set<String> mine = of(body).boards();
            return shares.stream()
                    .takeWhile(s -> s.body() != body)
                    .filter(s -> s.leaves(mine))
                    .map(Share::body)
                    .findFirst();
        }
    }

    /** What is cut so far: its layouts, each with the body that it is for, and their points. */
    private record Partial(List<Integer> bodies, List<Layout> layouts, double points) {
        static final Partial NOTHING = new Partial(List.of(), List.of(), 0);

        Partial with(int body, Layout layout) {
            List<Integer> whose = new ArrayList<>(bodies);
            whose.add(body);
            List<Layout> all = new ArrayList<>(layouts);
            all.add(layout);
            return new Partial(whose, all, points + layout.points().value());
        }

        Joint joint() {
            Map<Integer, List<Layout>> byBody = new LinkedHashMap<>();
            for (int i = 0; i < bodies.size(); i++) {
                byBody.computeIfAbsent(bodies.get(i), b -> new ArrayList<>()).add(layouts.get(i));
            }
            List<Share> shares = new ArrayList<>();
            byBody.forEach((body, its) -> shares.add(new Share(body, its)));
            return new Joint(shares, points);
        }
    }

    /**
     * The cheapest way that was found to cut a blank for every body; empty where the rack does not give them all.
     *
     * @param bodies what each asks, layer by layer
     */
    public static Optional<Joint> plan(List<List<BlankPlanner.Request>> bodies) {
        Refusal.between(bodies.size(), 1, MOST, "bodies");
        List<Partial> found = new ArrayList<>();
        Map<BlankPlanner.Request, BlankPlanner.Answer> answers = new HashMap<>();
        orders(bodies).forEach(order -> {
            List<Partial> partial = List.of(Partial.NOTHING);
            for (int body : order) {
                for (BlankPlanner.Request layer : bodies.get(body)) {
                    partial = partial.stream()
                            .flatMap(p -> carriedOn(p, body, layer, answers).stream())
                            .sorted(Comparator.comparingDouble(Partial::points))
                            .limit(BEAM)
                            .toList();
                }
            }
            found.addAll(partial);
        });
        return found.stream().min(Comparator.comparingDouble(Partial::points)).map(Partial::joint);
    }

    private static List<Partial> carriedOn(
            Partial so, int body, BlankPlanner.Request asked, Map<BlankPlanner.Request, BlankPlanner.Answer> answers) {
        BlankPlanner.Request left = asked;
        for (Layout cut : so.layouts()) {
            left = left.after(cut);
        }
        return answers.computeIfAbsent(left, BlankPlanner::plan).layouts().stream()
                .limit(BEAM)
                .map(l -> so.with(body, l))
                .toList();
    }

    /** Every order of cutting; of bodies that ask the same, one stands for all. */
    private static Set<List<Integer>> orders(List<List<BlankPlanner.Request>> bodies) {
        Set<List<Integer>> orders = new LinkedHashSet<>();
        Set<List<List<BlankPlanner.Request>>> seen = new HashSet<>();
        for (List<Integer> order :
                permutations(IntStream.range(0, bodies.size()).boxed().toList())) {
            if (seen.add(order.stream().map(bodies::get).toList())) {
                orders.add(order);
            }
        }
        return orders;
    }

    private static List<List<Integer>> permutations(List<Integer> of) {
        if (of.isEmpty()) {
            return List.of(List.of());
        }
        List<List<Integer>> all = new ArrayList<>();
        for (Integer first : of) {
            List<Integer> rest = new ArrayList<>(of);
            rest.remove(first);
            permutations(rest).forEach(tail -> {
                List<Integer> one = new ArrayList<>(List.of(first));
                one.addAll(tail);
                all.add(one);
            });
        }
        return all;
    }
}
