package ebauche.core.calendar;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Fills stretches of a hand's time: what had better be done in one half of a day so that least of it is left over. As pieces are not torn, a shop with little
 * time to spare is a packing of half days, and one block elsewhere seldom makes a fuller one. Blocks are drawn by chance among those that may be done by then,
 * several times, and the fullest drawing is taken; set-ups and what others have in use are seen to only when the list is placed.
 */
final class Filling {
    /** Stretches of one hand filled in one change, at the most. */
    private static final int MOST = 3;

    /** Drawings for each stretch. */
    private static final int DRAWINGS = 12;

    private final Placing placing;
    private final SplittableRandom chance;
    private final List<List<Stretches.Span>> time;
    /** Of each hand whether it may do a block. */
    private final boolean[][] able;

    /** Of the list that changes begin with, by block. */
    private final long[] from;

    private final long[] to;
    private final int[] hand;

    /** When each block is done as far as it is drawn; never where it is not. */
    private final long[] end;

    private final int[] drawn;
    private final int[] fullest;
    private final int[] free;
    /** What may be drawn into a stretch at all. */
    private final int[] asked;

    /** Whether a block goes to the hand that was not meant to do it. */
    private boolean handedOver;

    Filling(Workload load, Placing placing, SplittableRandom chance) {
        this.placing = placing;
        this.chance = chance;
        time = load.hands().stream().map(w -> w.time().spans()).toList();
        int n = placing.size();
        able = new boolean[load.hands().size()][n];
        for (int b = 0; b < n; b++) {
            for (int h : placing.able(b)) {
                able[h][b] = true;
            }
        }
        asked = new int[n];
        from = new long[n];
        to = new long[n];
        hand = new int[n];
        end = new long[n];
        drawn = new int[n];
        fullest = new int[n];
        free = new int[n];
        stands();
    }

    /** The list placed last is the one that changes begin with from now on. */
    void stands() {
        System.arraycopy(placing.from, 0, from, 0, from.length);
        System.arraycopy(placing.to, 0, to, 0, to.length);
        System.arraycopy(placing.hand, 0, hand, 0, hand.length);
    }

    /**
     * Changes a list so that some stretches of a hand, one after the other, are fuller; whether anything was changed.
     *
     * @param list the one that stands
     */
    boolean change(int[] list) {
        int some = list[chance.nextInt(list.length)];
        if (to[some] == Stretches.NEVER) {
            return false;
        }
        int h = hand[some];
        List<Stretches.Span> spans = time.get(h);
        int first = 0;
        while (first < spans.size() && spans.get(first).to() <= from[some]) {
            first++;
        }
        int[] order = Arrays.stream(list)
                .boxed()
                .sorted(Comparator.comparingLong(b -> from[b]))
                .mapToInt(b -> b)
                .toArray();
        int begun = begun(order, spans, first);
        int count = begun;
        handedOver = false;
        int stretches = 1 + chance.nextInt(MOST);
        for (int s = first; s < Math.min(spans.size(), first + stretches); s++) {
            count = filled(order, begun, count, h, spans.get(s));
        }
        boolean other = handedOver || !Arrays.equals(order, list);
        System.arraycopy(order, 0, list, 0, list.length);
        return other;
    }

    /** How many blocks have begun before a stretch: they stay. */
    private int begun(int[] order, List<Stretches.Span> spans, int first) {
        Arrays.fill(end, Stretches.NEVER);
        int begun = 0;
        while (first < spans.size()
                && begun < order.length
                && from[order[begun]] < spans.get(first).from()) {
            end[order[begun]] = to[order[begun]];
            begun++;
        }
        return begun;
    }

    /**
     * Puts what fills a stretch behind the first so many of an order.
     *
     * @param begun blocks at its start that are not drawn
     * @return how many it is now
     */
    private int filled(int[] order, int begun, int count, int h, Stretches.Span stretch) {
        long start = stretch.from();
        for (int k = 0; k < begun; k++) {
            if (hand[order[k]] == h) {
                start = Math.max(start, to[order[k]]);
            }
        }
        int may = 0;
        for (int k = count; k < order.length; k++) {
            if (able[h][order[k]] && start + placing.minutes(order[k]) <= stretch.to()) {
                asked[may++] = order[k];
            }
        }
        long least = Long.MAX_VALUE;
        int most = 0;
        for (int d = 0; d < DRAWINGS && least > 0; d++) {
            int some = draw(may, start, stretch.to());
            long left = stretch.to() - (some == 0 ? start : end[drawn[some - 1]]);
            for (int k = 0; k < some; k++) {
                end[drawn[k]] = Stretches.NEVER;
            }
            if (left < least) {
                least = left;
                most = some;
                System.arraycopy(drawn, 0, fullest, 0, some);
            }
        }
        long now = start;
        for (int k = 0; k < most; k++) {
            now += placing.minutes(fullest[k]);
            end[fullest[k]] = now;
            if (placing.able(fullest[k]).length > 1) {
                handedOver |= placing.by[fullest[k]] != h;
                placing.by[fullest[k]] = h;
            }
        }
        bringForward(order, count, most);
        return count + most;
    }

    /** Draws blocks one after the other until none fits any more; how many. */
    private int draw(int may, long start, long until) {
        long now = start;
        int some = 0;
        while (true) {
            int fit = 0;
            for (int k = 0; k < may; k++) {
                if (fits(asked[k], now, until)) {
                    free[fit++] = asked[k];
                }
            }
            if (fit == 0) {
                return some;
            }
            int next = free[chance.nextInt(fit)];
            now += placing.minutes(next);
            end[next] = now;
            drawn[some++] = next;
        }
    }

    private boolean fits(int block, long now, long until) {
        if (end[block] != Stretches.NEVER || now + placing.minutes(block) > until || placing.soonest(block) > now) {
            return false;
        }
        int[] before = placing.before(block);
        int[] rests = placing.rests(block);
        for (int k = 0; k < before.length; k++) {
            long done = end[before[k]];
            if (done == Stretches.NEVER || done + rests[k] > now) {
                return false;
            }
        }
        return true;
    }

    /** The fullest drawing comes next, the others behind it as they were. */
    private void bringForward(int[] order, int count, int most) {
        int[] rest = Arrays.stream(order, count, order.length)
                .filter(b -> Arrays.stream(fullest, 0, most).noneMatch(f -> f == b))
                .toArray();
        System.arraycopy(fullest, 0, order, count, most);
        System.arraycopy(rest, 0, order, count + most, rest.length);
    }
}
