package ebauche.core.order;

import ebauche.core.feature.StepKey;
import ebauche.core.operation.Operation;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/**
 * Looks for the order that costs least among those that keep the links.
 *
 * <p>It begins with an order that keeps them and moves blocks of neighbouring steps to where they cost less, until no such move helps
 * ({@link Placed} tells what each saves). Of few steps the best order is found exactly ({@link ExactOrder}). A
 * deeper look shakes the order found and settles it again, many times. The same steps and links give the same order: no clock, and chance only
 * from a fixed seed.
 *
 * <p>Cost of one round: steps x longest block x how far the links let it go.
 */
public final class LeastLoss {
    /** A saving so small is none, minutes: a sum of the same numbers in another order. */
    private static final double NONE = 1e-9;

    /**
     * A move that saves less is not made in a plan, minutes: what steps take is not known better, and an order that turns round with every
     * small change of a design is none to work by.
     */
    private static final double WORTHWHILE = 0.3;

    /** Steps that are moved together, at most: a template's, from putting it on to taking it off, are nine. */
    private static final int LONGEST = 12;

    private static final long SEED = 12;

    private final Placed placed;
    private final int fixed;
    private final int n;
    /** What must come before each step. */
    private final BitSet[] before;
    /** Minutes that a move must save to be made. */
    private final double worthwhile;

    /** Places whose blocks are to be looked at. */
    private final BitSet look = new BitSet();

    private LeastLoss(Costs costs, int[] start, int fixed, BitSet[] before, double worthwhile) {
        this.placed = new Placed(costs, start);
        this.fixed = fixed;
        this.n = start.length;
        this.before = before;
        this.worthwhile = worthwhile;
        look.set(fixed, n);
    }

    /**
     * The cheapest order that is found.
     *
     * @param costs of the same steps
     * @param start an order of them; a link that it does not keep is not kept by what is found either
     * @param links what must come before what
     * @param fixed so many steps at the start stay where they are
     */
    public static List<Operation> of(Costs costs, List<Operation> start, List<Link> links, int fixed) {
        return found(costs, start, links, fixed, 0, WORTHWHILE);
    }

    /** The same by so many tries that each shake the best order and settle it again, to the last second. */
    public static List<Operation> deeper(Costs costs, List<Operation> start, List<Link> links, int fixed, int tries) {
        return found(costs, start, links, fixed, tries, NONE);
    }

    private static List<Operation> found(
            Costs costs, List<Operation> start, List<Link> links, int fixed, int tries, double worthwhile) {
        BitSet[] before = before(costs, start, links);
        int[] numbers = costs.numbers(start);
        int[] found = start.size() - fixed <= ExactOrder.MOST
                ? ExactOrder.of(costs, numbers, fixed, before)
                : new LeastLoss(costs, numbers, fixed, before, worthwhile).settled(tries);
        return Arrays.stream(found).mapToObj(costs::step).toList();
    }

    /** What the search finds, however few the steps. */
    static List<Operation> searched(Costs costs, List<Operation> start, List<Link> links, int fixed, int tries) {
        int[] numbers = costs.numbers(start);
        return Arrays.stream(new LeastLoss(costs, numbers, fixed, before(costs, start, links), NONE).settled(tries))
                .mapToObj(costs::step)
                .toList();
    }

    private static BitSet[] before(Costs costs, List<Operation> start, List<Link> links) {
        BitSet[] before = new BitSet[costs.size()];
        for (int i = 0; i < before.length; i++) {
            before[i] = new BitSet();
        }
        List<StepKey> keys = start.stream().map(Operation::key).toList();
        Map<StepKey, Integer> place = new HashMap<>();
        for (int i = 0; i < keys.size(); i++) {
            place.put(keys.get(i), i);
        }
        for (Link link : links) {
            Integer from = place.get(link.before());
            Integer to = place.get(link.after());
            if (from != null && to != null && from < to) {
                before[costs.number(start.get(to))].set(costs.number(start.get(from)));
            }
        }
        return before;
    }

    private int[] settled(int tries) {
        settle();
        int[] best = placed.order();
        double least = placed.price();
        SplittableRandom chance = new SplittableRandom(SEED);
        for (int i = 0; i < tries; i++) {
            shake(chance);
            settle();
            double found = placed.price();
            if (found < least - NONE) {
                least = found;
                best = placed.order();
            } else {
                placed.become(best);
            }
        }
        return best;
    }

    /** Moves blocks as long as that saves anything; a block is looked at again once something has moved near it. */
    private void settle() {
        int from = look.nextSetBit(0);
        while (from >= 0) {
            look.clear(from);
            for (int to = from + 1; to <= Math.min(n, from + LONGEST); to++) {
                if (moveLater(from, to) || moveEarlier(from, to)) {
                    look.set(from);
                }
            }
            int next = look.nextSetBit(from);
            from = next < 0 ? look.nextSetBit(0) : next;
        }
    }

    /** Moves the block of places from {@code a} to before {@code b} to where it costs least after {@code b}. */
    private boolean moveLater(int a, int b) {
        int use = placed.used(a, b);
        double best = -worthwhile;
        int to = b;
        double lying = 0;
        for (int c = b + 1; c <= n && !meets(before[placed.at(c - 1)], a, b); c++) {
            lying += placed.lying(a, b, c - 1);
            double more = placed.swapped(a, b, c, use) + lying;
            if (more < best) {
                best = more;
                to = c;
            }
        }
        return swap(a, b, to);
    }

    /** Moves the block from {@code b} to before {@code c} to where it costs least before {@code b}. */
    private boolean moveEarlier(int b, int c) {
        int use = placed.used(b, c);
        double best = -worthwhile;
        int to = b;
        double lying = 0;
        for (int a = b - 1; a >= fixed && !holdsBack(placed.at(a), b, c); a--) {
            lying -= placed.lying(b, c, a);
            double more = placed.swapped(a, b, c, use) + lying;
            if (more < best) {
                best = more;
                to = a;
            }
        }
        return swap(to, b, c);
    }

    private boolean meets(BitSet held, int a, int b) {
        for (int at = a; at < b; at++) {
            if (held.get(placed.at(at))) {
                return true;
            }
        }
        return false;
    }

    private boolean holdsBack(int step, int from, int to) {
        for (int at = from; at < to; at++) {
            if (before[placed.at(at)].get(step)) {
                return true;
            }
        }
        return false;
    }

    private boolean swap(int a, int b, int c) {
        if (a == b || b == c) {
            return false;
        }
        placed.swap(a, b, c);
        look.set(Math.max(fixed, a - LONGEST), Math.min(n, c + 1));
        return true;
    }

    /** Changes places of some neighbouring blocks that no link keeps in order. */
    private void shake(SplittableRandom chance) {
        int moved = 0;
        for (int tries = 0; moved < 3 && tries < 60; tries++) {
            int a = fixed + chance.nextInt(n - fixed - 1);
            int b = Math.min(n - 1, a + 1 + chance.nextInt(LONGEST));
            int c = b;
            while (c < n && c - b < LONGEST && !meets(before[placed.at(c)], a, b)) {
                c++;
            }
            if (c > b) {
                moved += swap(a, b, b + 1 + chance.nextInt(c - b)) ? 1 : 0;
            }
        }
    }
}
