package ebauche.core.calendar;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * When somebody works: stretches of minutes since 1970 in the order of time, none meeting the next but at its end. Work that is begun goes on in the next
 * stretch; a piece of it that fits into one is not torn.
 */
public final class Stretches {
    /** There is no such time. */
    static final long NEVER = Long.MAX_VALUE / 4;

    private final long[] from;
    private final long[] to;
    private final long longest;

    private Stretches(long[] from, long[] to) {
        this.from = from;
        this.to = to;
        long most = 0;
        for (int i = 0; i < from.length; i++) {
            most = Math.max(most, to[i] - from[i]);
        }
        longest = most;
    }

    /** Gathers stretches in the order of time; what begins before the last has ended goes on from there. */
    public static final class Builder {
        private final List<long[]> all = new ArrayList<>();

        public Builder add(long from, long to) {
            long[] last = all.isEmpty() ? null : all.get(all.size() - 1);
            if (last != null && from <= last[1]) {
                last[1] = Math.max(last[1], to);
            } else if (to > from) {
                all.add(new long[] {from, to});
            }
            return this;
        }

        public Stretches build() {
            return new Stretches(
                    all.stream().mapToLong(s -> s[0]).toArray(),
                    all.stream().mapToLong(s -> s[1]).toArray());
        }
    }

    /** A stretch of time, minutes since 1970. */
    public record Span(long from, long to) {
        public long minutes() {
            return to - from;
        }
    }

    public List<Span> spans() {
        List<Span> spans = new ArrayList<>();
        for (int i = 0; i < from.length; i++) {
            spans.add(new Span(from[i], to[i]));
        }
        return spans;
    }

    /** Whether there is none. */
    public boolean isNone() {
        return from.length == 0;
    }

    /** The same from a moment on. */
    public Stretches since(long moment) {
        Builder rest = new Builder();
        spans().stream().filter(s -> s.to() > moment).forEach(s -> rest.add(Math.max(moment, s.from()), s.to()));
        return rest.build();
    }

    /** Minutes of work between two moments. */
    public long between(long start, long end) {
        long sum = 0;
        for (int i = at(start); i < from.length && from[i] < end; i++) {
            sum += Math.max(0, Math.min(end, to[i]) - Math.max(start, from[i]));
        }
        return sum;
    }

    /** The first stretch that ends after a moment. */
    private int at(long moment) {
        int found = Arrays.binarySearch(to, moment + 1);
        return found >= 0 ? found : -found - 1;
    }

    /** Is told of each span that a piece takes. */
    private interface Taken {
        Taken NOBODY = (piece, from, to) -> {};

        void span(int piece, long from, long to);
    }

    /**
     * When work begins and ends that may start at a moment or later.
     *
     * @param first minutes before the first piece, done with it
     * @param pieces minutes of each piece
     * @param walked where its beginning is put at 0 and its end at 1; both {@link #NEVER} where there is no time for it
     */
    void walk(long moment, int first, int[] pieces, long[] walked) {
        walk(moment, first, pieces, walked, Taken.NOBODY);
    }

    /** When each piece of such work is done; a piece that is torn has several spans. */
    List<List<Span>> parts(long moment, int first, int[] pieces) {
        List<List<Span>> parts = new ArrayList<>();
        for (int p = 0; p < pieces.length; p++) {
            parts.add(new ArrayList<>());
        }
        walk(
                moment,
                first,
                pieces,
                new long[2],
                (piece, begun, ended) -> parts.get(piece).add(new Span(begun, ended)));
        return parts;
    }

    private void walk(long moment, int first, int[] pieces, long[] walked, Taken taken) {
        int s = at(moment);
        long begin = NEVER;
        long now = moment;
        for (int p = 0; p < pieces.length; p++) {
            long left = (p == 0 ? first : 0L) + pieces[p];
            boolean torn = left > longest;
            while (true) {
                if (s >= from.length) {
                    walked[0] = NEVER;
                    walked[1] = NEVER;
                    return;
                }
                now = Math.max(now, from[s]);
                long room = to[s] - now;
                if (room >= left && (room > 0 || left == 0)) {
                    begin = begin == NEVER ? now : begin;
                    taken.span(p, now, now + left);
                    now += left;
                    break;
                }
                if (torn && room > 0) {
                    begin = begin == NEVER ? now : begin;
                    taken.span(p, now, to[s]);
                    left -= room;
                }
                s++;
            }
        }
        walked[0] = begin;
        walked[1] = now;
    }
}
