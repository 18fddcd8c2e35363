package ebauche.core.calendar;

import java.util.Arrays;

/**
 * When something of which there is one is taken: spans in the order of time that do not meet, each with how the last user left it. A gap in which it
 * stays set up for the next counts as taken.
 */
final class Busy {
    private long[] from = new long[16];
    private long[] to = new long[16];
    private int[] leaves = new int[16];
    private int n;

    void clear() {
        n = 0;
    }

    /** How many spans begin before a moment. */
    private int before(long moment) {
        int low = 0;
        int high = n;
        while (low < high) {
            int mid = (low + high) >>> 1;
            if (from[mid] < moment) {
                low = mid + 1;
            } else {
                high = mid;
            }
        }
        return low;
    }

    /** When it is free again if it is taken at any time in between; else the start. */
    long freeFrom(long start, long end) {
        int i = before(end) - 1;
        return i >= 0 && to[i] > start ? to[i] : start;
    }

    /** How it stands at a moment at which it is free; -1 for nothing in particular. */
    int stands(long moment, long kept) {
        int i = before(moment + 1) - 1;
        return i >= 0 && moment - to[i] <= kept ? leaves[i] : -1;
    }

    void take(long start, long end, int left) {
        int i = before(start);
        if (n == from.length) {
            from = Arrays.copyOf(from, 2 * n);
            to = Arrays.copyOf(to, 2 * n);
            leaves = Arrays.copyOf(leaves, 2 * n);
        }
        System.arraycopy(from, i, from, i + 1, n - i);
        System.arraycopy(to, i, to, i + 1, n - i);
        System.arraycopy(leaves, i, leaves, i + 1, n - i);
        from[i] = start;
        to[i] = end;
        leaves[i] = left;
        n++;
    }

    /** Goes on from where the last user before the start left it. */
    void ride(long start, long end, int left) {
        int i = before(start + 1) - 1;
        to[i] = end;
        leaves[i] = left;
    }

    /** Gives back what was taken from just that moment. */
    void giveBack(long start) {
        int i = before(start);
        System.arraycopy(from, i + 1, from, i, n - i - 1);
        System.arraycopy(to, i + 1, to, i, n - i - 1);
        System.arraycopy(leaves, i + 1, leaves, i, n - i - 1);
        n--;
    }
}
