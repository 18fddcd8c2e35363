package ebauche.core.calendar;

import java.util.Arrays;

/** How many of a thing are taken at any time: levels between moments. */
final class Profile {
    private final int count;
    private long[] at = new long[16];
    private int[] level = new int[16];
    private int n;

    Profile(int count) {
        this.count = count;
    }

    void clear() {
        n = 0;
    }

    /** How many moments are not after one. */
    private int upTo(long moment) {
        int low = 0;
        int high = n;
        while (low < high) {
            int mid = (low + high) >>> 1;
            if (at[mid] <= moment) {
                low = mid + 1;
            } else {
                high = mid;
            }
        }
        return low;
    }

    /** A later moment before which so many cannot be had for all of that time; else the start. */
    long freeFrom(long start, long end, int wanted) {
        long free = start;
        for (int i = Math.max(0, upTo(start) - 1); i < n && at[i] < end; i++) {
            if (level[i] + wanted > count) {
                free = i + 1 < n ? Math.max(free, at[i + 1]) : free;
            }
        }
        return free;
    }

    /** Takes some, or gives them back if it is fewer than none. */
    void take(long start, long end, int taken) {
        int first = moment(start);
        int last = moment(end);
        for (int i = first; i < last; i++) {
            level[i] += taken;
        }
    }

    private int moment(long when) {
        int i = upTo(when);
        if (i > 0 && at[i - 1] == when) {
            return i - 1;
        }
        if (n == at.length) {
            at = Arrays.copyOf(at, 2 * n);
            level = Arrays.copyOf(level, 2 * n);
        }
        System.arraycopy(at, i, at, i + 1, n - i);
        System.arraycopy(level, i, level, i + 1, n - i);
        at[i] = when;
        level[i] = i > 0 ? level[i - 1] : 0;
        n++;
        return i;
    }
}
