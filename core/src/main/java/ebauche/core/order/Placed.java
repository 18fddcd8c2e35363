package ebauche.core.order;

import java.util.stream.IntStream;

/**
 * An order of steps with what stands before and after each place, so that the price of a move is told without counting the order anew:
 * of the sums only what lies between a block's old place and its new one changes, and a holder only where two users meet that did not meet
 * before. Cost: constant for a move, but for the holders that its block uses, what lies flat and templates between; steps times holders
 * once a move is made.
 */
final class Placed {
    private final Costs costs;
    private final int[] order;
    private final int n;
    private final int holders;
    /** Sums over what stands before a place. */
    private final double[] risk;

    private final double[] in;
    private final int[] place;
    /** Holders that the block in hand uses. */
    private final int[] using;
    /** Steps that fix a template which wants waste to be held in. */
    private final int[] fits;
    /** The place of the last user of each holder before a place, and of the first from it on; so many numbers for a place as there are holders. */
    private final int[] lastUser;

    private final int[] nextUser;
    /** What the step at a place wants and leaves in each holder. */
    private final int[] first;

    private final int[] last;

    Placed(Costs costs, int[] start) {
        this.costs = costs;
        this.order = start.clone();
        this.n = start.length;
        this.holders = costs.change.length;
        risk = new double[n + 1];
        in = new double[n + 1];
        place = new int[costs.size()];
        using = new int[holders];
        fits = IntStream.range(0, n).filter(i -> costs.seats[i] != null).toArray();
        lastUser = new int[(n + 1) * holders];
        nextUser = new int[(n + 1) * holders];
        first = new int[n * holders];
        last = new int[n * holders];
        count();
    }

    int size() {
        return n;
    }

    /** The step at a place. */
    int at(int where) {
        return order[where];
    }

    int[] order() {
        return order.clone();
    }

    double price() {
        return costs.price(order).total();
    }

    /** Puts the steps in another order. */
    void become(int[] other) {
        System.arraycopy(other, 0, order, 0, n);
        count();
    }

    /** Lets the neighbouring blocks from a to b and from b to c change places. */
    void swap(int a, int b, int c) {
        int[] block = new int[b - a];
        System.arraycopy(order, a, block, 0, b - a);
        System.arraycopy(order, b, order, a, c - b);
        System.arraycopy(block, 0, order, a + c - b, b - a);
        count();
    }

    /** Counts the holders that a block uses, and names them in {@link #using}. */
    int used(int from, int to) {
        int count = 0;
        for (int h = 0; h < holders; h++) {
            if (nextUser[from * holders + h] < to) {
                using[count++] = h;
            }
        }
        return count;
    }

    /** Minutes of propping more, if a step goes from after a block to before it. */
    double lying(int a, int b, int place) {
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
    double swapped(int a, int b, int c, int use) {
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
