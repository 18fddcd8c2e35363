package ebauche.core.order;

import java.nio.IntBuffer;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;

/**
 * The cheapest order of few steps, exactly: dynamic programming over which of them are done and what stands set up (Held and Karp's
 * method, from memory, with what is set up in the place of the last city).
 *
 * <p>What lies in the body by then follows from which steps are done, whatever their order; so of two ways to the same steps done and the
 * same things set up the cheaper one is kept, and one that costs more than another to the same steps by all that could be set up anew is
 * dropped. Cost: 2 to the number of steps, times the ways to have things set up.
 */
final class ExactOrder {
    /** Steps, at most. */
    static final int MOST = 12;

    private final Costs costs;
    private final int fixed;
    private final int[] start;
    private final BitSet[] before;
    private final int n;

    /** A way to have some steps done: what it costs, what stands set up, and its last step. */
    private record Way(double cost, IntBuffer held, Way back, int step) {}

    private ExactOrder(Costs costs, int[] start, int fixed, BitSet[] before) {
        this.costs = costs;
        this.start = start;
        this.fixed = fixed;
        this.before = before;
        this.n = start.length - fixed;
    }

    /**
     * The cheapest order.
     *
     * @param start an order that keeps what comes before what
     * @param fixed so many of its steps stay where they are; at most {@link #MOST} follow
     */
    static int[] of(Costs costs, int[] start, int fixed, BitSet[] before) {
        return new ExactOrder(costs, start, fixed, before).found();
    }

    private int[] found() {
        double in = 0;
        int[] held = new int[costs.change.length];
        Arrays.fill(held, Costs.NOTHING);
        for (int at = 0; at < fixed; at++) {
            in += costs.brings[start[at]];
            hold(held, start[at]);
        }
        int all = 1 << n;
        int most = Arrays.stream(costs.change).sum();
        Map<Integer, Map<IntBuffer, Way>> ways = new HashMap<>();
        ways.put(0, Map.of(IntBuffer.wrap(held), new Way(0, IntBuffer.wrap(held), null, -1)));
        for (int done = 0; done < all - 1; done++) {
            Map<IntBuffer, Way> here = ways.remove(done);
            if (here == null) {
                continue;
            }
            double inNow = in;
            for (int i = 0; i < n; i++) {
                inNow += (done >> i & 1) == 1 ? costs.brings[start[fixed + i]] : 0;
            }
            double least = here.values().stream().mapToDouble(Way::cost).min().orElseThrow();
            for (int i = 0; i < n; i++) {
                if ((done >> i & 1) == 0 && mayCome(i, done)) {
                    Map<IntBuffer, Way> there = ways.computeIfAbsent(done | 1 << i, k -> new HashMap<>());
                    for (Way way : here.values()) {
                        if (way.cost() <= least + most) {
                            step(way, i, done, inNow, there);
                        }
                    }
                }
            }
        }
        Way best = ways.get(all - 1).values().stream()
                .min(Comparator.comparingDouble(Way::cost))
                .orElseThrow();
        int[] order = start.clone();
        for (int at = start.length - 1; at >= fixed; at--) {
            order[at] = start[fixed + best.step()];
            best = best.back();
        }
        return order;
    }

    private boolean mayCome(int i, int done) {
        BitSet held = before[start[fixed + i]];
        for (int j = 0; j < n; j++) {
            if ((done >> j & 1) == 0 && held.get(start[fixed + j])) {
                return false;
            }
        }
        return true;
    }

    private void step(Way way, int i, int done, double inNow, Map<IntBuffer, Way> there) {
        int step = start[fixed + i];
        double cost = way.cost() + costs.risk[step] * (inNow + costs.brings[step]);
        for (int j = 0; j < n; j++) {
            boolean[] carve = (done >> j & 1) == 1 ? costs.props[start[fixed + j]] : null;
            cost += carve != null && carve[step] ? Lying.PROPPED : 0;
        }
        cost += isLoose(step, done) ? Price.LOOSE : 0;
        int[] held = way.held().array().clone();
        cost += hold(held, step);
        Way next = new Way(cost, IntBuffer.wrap(held), way, i);
        there.merge(next.held(), next, (a, b) -> b.cost() < a.cost() ? b : a);
    }

    /** Whether a template that is fixed next finds no waste any more to be held in. */
    private boolean isLoose(int step, int done) {
        if (costs.seats[step] == null) {
            return false;
        }
        for (int j = 0; j < n; j++) {
            int left = start[fixed + j];
            if ((done >> j & 1) == 0 && Arrays.stream(costs.seats[step]).anyMatch(cut -> cut == left)) {
                return false;
            }
        }
        return true;
    }

    /** Sets up what a step wants, and leaves what it leaves: the minutes of that. */
    private int hold(int[] held, int step) {
        int minutes = 0;
        for (int h = 0; h < held.length; h++) {
            int wanted = costs.first[step][h];
            if (wanted != Costs.NOTHING) {
                minutes += held[h] != Costs.NOTHING && held[h] != wanted ? costs.change[h] : 0;
                held[h] = costs.last[step][h];
            }
        }
        return minutes;
    }
}
