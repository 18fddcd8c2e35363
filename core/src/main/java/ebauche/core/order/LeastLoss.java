package ebauche.core.order;

import ebauche.core.feature.StepKey;
import ebauche.core.operation.Operation;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * Looks for the order that costs least among those that keep the links.
 *
 * <p>It begins with an order that keeps them and moves blocks of neighbouring steps to where they cost less, until no such move helps:
 * what a move saves is told in constant time, since of the sums only what lies between the block's old place and its new one changes, and
 * a holder only where two users meet that did not meet before. Of few steps the best order is found exactly ({@link ExactOrder}). A
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

    private final Costs costs;
    private final int fixed;
    private final int n;
    private final int holders;
    /** What must come before each step. */
    private final BitSet[] before;
    /** Minutes that a move must save to be made. */
    private final double worthwhile;

    private int[] order;
    /** Sums over what stands before a place. */
    private final double[] risk;

    private final double[] in;
    private final int[] place;
    /** Holders that the block in hand uses. */
    private final int[] using;
    /** Places whose blocks are to be looked at. */
    private final BitSet look = new BitSet();
    /** Steps that fix a template which wants waste to be held in. */
    private final int[] fits;
    /** The place of the last user of each holder before a place, and of the first from it on; so many numbers for a place as there are holders. */
    private final int[] lastUser;

    private final int[] nextUser;
    /** What the step at a place wants and leaves in each holder. */
    private final int[] first;

    private final int[] last;

    private LeastLoss(Costs costs, int[] start, int fixed, BitSet[] before, double worthwhile) {
        this.costs = costs;
        this.order = start;
        this.fixed = fixed;
        this.n = start.length;
        this.before = before;
        this.worthwhile = worthwhile;
        risk = new double[n + 1];
        in = new double[n + 1];
        place = new int[n];
        using = new int[costs.change.length];
        fits = IntStream.range(0, n).filter(i -> costs.seats[i] != null).toArray();
        holders = costs.change.length;
        lastUser = new int[(n + 1) * holders];
        nextUser = new int[(n + 1) * holders];
        first = new int[n * holders];
        last = new int[n * holders];
        look.set(fixed, n);
        count();
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
        int[] best = order.clone();
        double least = total();
        SplittableRandom chance = new SplittableRandom(SEED);
        for (int i = 0; i < tries; i++) {
            shake(chance);
            settle();
            double found = total();
            if (found < least - NONE) {
                least = found;
                best = order.clone();
            } else {
                order = best.clone();
                count();
            }
        }
        return best;
    }

    private double total() {
        return costs.price(order).total();
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
        int use = used(a, b);
        double best = -worthwhile;
        int to = b;
        double lying = 0;
        for (int c = b + 1; c <= n && !meets(before[order[c - 1]], a, b); c++) {
            lying += lying(a, b, c - 1);
            double more = swapped(a, b, c, use) + lying;
            if (more < best) {
                best = more;
                to = c;
            }
        }
        return swap(a, b, to);
    }

    /** Moves the block from {@code b} to before {@code c} to where it costs least before {@code b}. */
    private boolean moveEarlier(int b, int c) {
        int use = used(b, c);
        double best = -worthwhile;
        int to = b;
        double lying = 0;
        for (int a = b - 1; a >= fixed && !holdsBack(order[a], b, c); a--) {
            lying -= lying(b, c, a);
            double more = swapped(a, b, c, use) + lying;
            if (more < best) {
                best = more;
                to = a;
            }
        }
        return swap(to, b, c);
    }

    /** Counts the holders that a block uses, and names them in {@link #using}. */
    private int used(int from, int to) {
        int count = 0;
        for (int h = 0; h < holders; h++) {
            if (nextUser[from * holders + h] < to) {
                using[count++] = h;
            }
        }
        return count;
    }

    private boolean meets(BitSet held, int a, int b) {
        for (int at = a; at < b; at++) {
            if (held.get(order[at])) {
                return true;
            }
        }
        return false;
    }

    private boolean holdsBack(int step, int from, int to) {
        for (int at = from; at < to; at++) {
            if (before[order[at]].get(step)) {
                return true;
            }
        }
        return false;
    }

    /** Minutes of propping more, if a step goes from after a block to before it. */
    private double lying(int a, int b, int place) {
        int more = 0;
        boolean[] its = costs.props[order[place]];
        for (int at = a; at < b; at++) {
            boolean[] carve = costs.props[order[at]];
            more += carve != null && carve[order[place]] ? -Lying.PROPPED : 0;
            more += its != null && its[order[at]] ? Lying.PROPPED : 0;
        }
        return more;
    }

    /**
     * What it costs more if the neighbouring blocks from a to b and from b to c change places, but for what lies flat.
     *
     * @param use how many holders the block that is moved uses
     */
    private double swapped(int a, int b, int c, int use) {
        double more = (risk[b] - risk[a]) * (in[c] - in[b]) - (risk[c] - risk[b]) * (in[b] - in[a]);
        for (int i = 0; i < use; i++) {
            int h = using[i];
            int one = nextUser[a * holders + h];
            int other = nextUser[b * holders + h];
            if (one < b && other < c) {
                int oneEnds = lastUser[b * holders + h];
                int otherEnds = lastUser[c * holders + h];
                int ahead = lastUser[a * holders + h];
                int behind = nextUser[c * holders + h];
                int changes = differ(ahead, other, h)
                        + differ(otherEnds, one, h)
                        + differ(oneEnds, behind, h)
                        - differ(ahead, one, h)
                        - differ(oneEnds, other, h)
                        - differ(otherEnds, behind, h);
                more += changes * costs.change[h];
            }
        }
        return more + loosened(a, b, c);
    }

    /** Minutes that templates count more for being held otherwise, if these blocks change places. */
    private int loosened(int a, int b, int c) {
        int more = 0;
        for (int fit : fits) {
            int at = place[fit];
            if (at >= a && at < c) {
                boolean held = false;
                boolean then = false;
                for (int cut : costs.seats[fit]) {
                    held |= place[cut] > at;
                    then |= moved(place[cut], a, b, c) > moved(at, a, b, c);
                }
                more += (held ? 1 : 0) - (then ? 1 : 0);
            }
        }
        return more * Price.LOOSE;
    }

    /** Where what stands at a place stands once the neighbouring blocks from a to b and from b to c have changed places. */
    private static int moved(int at, int a, int b, int c) {
        if (at < a || at >= c) {
            return at;
        }
        return at < b ? at + c - b : at - b + a;
    }

    /** Whether a holder must be changed from the step at one place to that at another: 1 or 0. */
    private int differ(int from, int to, int holder) {
        return from >= 0 && to < n && last[from * holders + holder] != first[to * holders + holder] ? 1 : 0;
    }

    private boolean swap(int a, int b, int c) {
        if (a == b || b == c) {
            return false;
        }
        int[] block = new int[b - a];
        System.arraycopy(order, a, block, 0, b - a);
        System.arraycopy(order, b, order, a, c - b);
        System.arraycopy(block, 0, order, a + c - b, b - a);
        look.set(Math.max(fixed, a - LONGEST), Math.min(n, c + 1));
        count();
        return true;
    }

    /** Changes places of some neighbouring blocks that no link keeps in order. */
    private void shake(SplittableRandom chance) {
        int moved = 0;
        for (int tries = 0; moved < 3 && tries < 60; tries++) {
            int a = fixed + chance.nextInt(n - fixed - 1);
            int b = Math.min(n - 1, a + 1 + chance.nextInt(LONGEST));
            int c = b;
            while (c < n && c - b < LONGEST && !meets(before[order[c]], a, b)) {
                c++;
            }
            if (c > b) {
                moved += swap(a, b, b + 1 + chance.nextInt(c - b)) ? 1 : 0;
            }
        }
    }

    private void count() {
        for (int h = 0; h < holders; h++) {
            lastUser[h] = -1;
            nextUser[n * holders + h] = n;
        }
        for (int at = 0; at < n; at++) {
            int step = order[at];
            place[step] = at;
            risk[at + 1] = risk[at] + costs.risk[step];
            in[at + 1] = in[at] + costs.brings[step];
            for (int h = 0; h < holders; h++) {
                int here = at * holders + h;
                first[here] = costs.first[step][h];
                last[here] = costs.last[step][h];
                lastUser[here + holders] = first[here] == Costs.NOTHING ? lastUser[here] : at;
            }
        }
        for (int here = n * holders - 1; here >= 0; here--) {
            nextUser[here] = first[here] == Costs.NOTHING ? nextUser[here + holders] : here / holders;
        }
    }
}
