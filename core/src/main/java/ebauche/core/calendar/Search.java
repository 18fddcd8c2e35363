package ebauche.core.calendar;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * Looks for the timetable with the least loss: lists by several rules, the best of them changed many times, what is worse kept now and then and ever more seldom
 * (simulated annealing: Kirkpatrick, Gelatt, Vecchi 1983, from memory). The same work gives the same timetable: chance comes from a fixed seed, and what it may take is a number of
 * blocks placed, not a time.
 */
public final class Search {
    /** So many blocks are placed in all for a shop of many unless it is stopped: what a person waits for without leaving the page. */
    private static final long EFFORT = 600_000;

    /** A shop of fewer blocks has more tries in the same time: placing one block is the faster the fewer there are. */
    private static final int MANY = 300;

    /** Of lists, in a shop of few. */
    private static final int MOST_TRIES = 195_000;

    /** Every timetable is looked at so many times at the least. */
    private static final int LEAST_TRIES = 40;

    private static final long SEED = 29;

    /**
     * It warms up anew so often at the most: with more effort a single cooling may wander off for good. Every other round begins with the best so far, those between with
     * one of the lists that a search begins with, so that not all depends on which of them was best at first.
     */
    private static final int ROUNDS = 10;

    /** So often at the least. */
    private static final int LEAST_ROUNDS = 3;

    /** A round has so many tries at the least, if it can be. */
    private static final int LEAST_IN_ROUND = 800;

    /** Changes that are tried to see how much worse one makes it, at the most. */
    private static final int MEASURED = 150;

    /** At the beginning of a round, of what a change makes it worse in the median. */
    private static final double WARM = 0.3;

    /** At its end, of that at its beginning. */
    private static final double COLD = 0.03;

    /** What a minute earlier of all work in the mean weighs while it looks: of timetables with the same loss one is nearer to a better. */
    private static final double ROOM = 0.3;

    /** A timetable that people work by is given up for one that is better by this share at the least. */
    private static final double CALM = 0.005;

    /** Asked now and then while it goes on. */
    public interface Watch {
        /** Never stops it. */
        Watch NOBODY = (share, best) -> true;

        /**
         * Whether it shall go on.
         *
         * @param share of what it may try, 0 to 1
         * @param best so far
         */
        boolean goOn(double share, Timetable.Loss best);
    }

    private final Workload load;
    private final Placing placing;
    private final int[][] after;

    private Search(Workload load) {
        this.load = load;
        placing = new Placing(load);
        List<List<Integer>> behind = new ArrayList<>();
        for (int i = 0; i < placing.size(); i++) {
            behind.add(new ArrayList<>());
        }
        for (int i = 0; i < placing.size(); i++) {
            for (int b : placing.before(i)) {
                behind.get(b).add(i);
            }
        }
        after = behind.stream().map(l -> l.stream().mapToInt(x -> x).toArray()).toArray(int[][]::new);
    }

    /** The usual effort, blocks that may be placed. */
    public static long effort(Workload load) {
        long n = Math.max(1, load.blocks().size());
        return n * Math.min(MOST_TRIES, EFFORT * Math.max(MANY, n) / (n * n));
    }

    /** The best timetable that is found with the usual effort. */
    public static Timetable of(Workload load) {
        return of(load, effort(load), Watch.NOBODY);
    }

    /**
     * The best timetable that is found.
     *
     * @param effort blocks that may be placed
     * @param watch asked whether to go on; what was best by then is answered
     */
    public static Timetable of(Workload load, long effort, Watch watch) {
        return new Search(load).found(effort, watch, Optional.empty());
    }

    /**
     * The best timetable that is found by somebody who has one already: its order and hands are kept unless another is clearly better.
     *
     * @param before of the same shop, before something was done, put elsewhere, or time went by
     */
    public static Timetable of(Workload load, long effort, Watch watch, Optional<Timetable> before) {
        return new Search(load).found(effort, watch, before);
    }

    /** At once, a timetable to begin with: that of before as it comes out now, or else the best of the lists that a search begins with. */
    public static Timetable atOnce(Workload load, Optional<Timetable> before) {
        Search search = new Search(load);
        Begun begun = search.begun(before);
        return search.placed(begun);
    }

    /** A list with the hands that shall do its blocks. */
    private static final class Begun {
        private final int[] list;
        private final int[] by;
        private final double loss;

        Begun(int[] list, int[] by, double loss) {
            this.list = list;
            this.by = by;
            this.loss = loss;
        }
    }

    /** A list as it is placed by hands that are named or found on the way. */
    private Begun begun(int[] list, int[] by) {
        System.arraycopy(by, 0, placing.by, 0, by.length);
        return new Begun(list, by, placing.place(list));
    }

    private Begun begun(Optional<Timetable> before) {
        if (before.isPresent()) {
            return begunAs(before.get());
        }
        int[] any = new int[placing.size()];
        Arrays.fill(any, -1);
        Begun best = null;
        for (int[] list : new Beginnings(load, placing, after).lists()) {
            Begun next = begun(list, any);
            best = best == null || next.loss < best.loss ? next : best;
        }
        return best;
    }

    /** The order and hands of another timetable; what it does not have comes last. */
    private Begun begunAs(Timetable before) {
        Map<String, Timetable.Slot> was = new HashMap<>();
        for (Timetable.Slot slot : before.slots()) {
            Block block = before.load().blocks().get(slot.block());
            String job = before.load().jobs().get(block.job()).id();
            block.pieces().forEach(p -> was.put(job + ' ' + p.key(), slot));
        }
        Map<String, Integer> hands = new HashMap<>();
        for (int h = 0; h < load.hands().size(); h++) {
            hands.put(load.hands().get(h).hand().key(), h);
        }
        int[] by = new int[placing.size()];
        double[] rule = new double[placing.size()];
        for (int i = 0; i < by.length; i++) {
            Block block = load.blocks().get(i);
            String job = load.jobs().get(block.job()).id();
            Timetable.Slot slot = block.pieces().stream()
                    .map(p -> was.get(job + ' ' + p.key()))
                    .filter(s -> s != null)
                    .findFirst()
                    .orElse(null);
            rule[i] = slot == null ? Double.MAX_VALUE : slot.from();
            int hand = slot == null
                    ? -1
                    : hands.getOrDefault(
                            before.load().hands().get(slot.hand()).hand().key(), -1);
            by[i] = hand >= 0 && Arrays.stream(placing.able(i)).anyMatch(h -> h == hand) ? hand : -1;
        }
        return begun(new Beginnings(load, placing, after).sorted(rule), by);
    }

    private Timetable placed(Begun begun) {
        System.arraycopy(begun.by, 0, placing.by, 0, begun.by.length);
        return placing.timetable(begun.list);
    }

    /** By how much a change makes it worse, in the median of those that do; what is changed for that is put back. */
    private double worse(Changes changes, double now, int tried) {
        double[] by = new double[tried];
        int count = 0;
        for (int i = 0; i < tried; i++) {
            int[] kept = changes.list.clone();
            int[] hands = placing.by.clone();
            if (changes.change()) {
                double more = placing.place(changes.list) + ROOM * placing.room - now;
                if (more > 0) {
                    by[count++] = more;
                }
            }
            changes.list = kept;
            System.arraycopy(hands, 0, placing.by, 0, hands.length);
        }
        Arrays.sort(by, 0, count);
        return count == 0 ? 1 : by[count / 2];
    }

    private Timetable found(long effort, Watch watch, Optional<Timetable> before) {
        Begun begun = begun(Optional.empty());
        Optional<Begun> asBefore = before.map(this::begunAs);
        if (asBefore.isPresent() && asBefore.get().loss <= begun.loss) {
            begun = asBefore.get();
        }
        int[] best = begun.list;
        double least = begun.loss;
        Timetable.Loss leastLoss = placed(begun).loss();
        SplittableRandom chance = new SplittableRandom(SEED);
        Changes changes = new Changes(load, placing, after, best, chance);
        double now = least + ROOM * placing.room;
        int tries = best.length < 2 ? 0 : (int) Math.max(LEAST_TRIES, effort / best.length);
        double warm = tries == 0 ? 0 : WARM * worse(changes, now, Math.min(MEASURED, 1 + tries / 10));
        int[] bestBy = placing.by.clone();
        int rounds = Math.max(LEAST_ROUNDS, Math.min(ROUNDS, tries / LEAST_IN_ROUND));
        List<int[]> others = new Beginnings(load, placing, after).lists();
        for (int t = 0; t < tries; t++) {
            double share = (double) t / tries;
            if (t % 16 == 0 && !watch.goOn(share, leastLoss)) {
                break;
            }
            double round = share * rounds;
            if (t > 0 && (int) round > (int) ((double) (t - 1) / tries * rounds)) {
                int number = (int) round;
                if (number % 2 == 1 && number / 2 < others.size()) {
                    changes.list = others.get(number / 2).clone();
                    Arrays.fill(placing.by, -1);
                } else {
                    changes.list = best.clone();
                    System.arraycopy(bestBy, 0, placing.by, 0, bestBy.length);
                }
                now = placing.place(changes.list) + ROOM * placing.room;
                changes.stands();
            }
            int[] kept = changes.list.clone();
            int[] hands = placing.by.clone();
            if (!changes.change()) {
                continue;
            }
            double loss = placing.place(changes.list);
            double felt = loss + ROOM * placing.room;
            double warmth = warm * Math.pow(COLD, round - (int) round);
            if (felt <= now || chance.nextDouble() < Math.exp((now - felt) / warmth)) {
                now = felt;
                changes.stands();
                if (loss < least - 1e-9) {
                    least = loss;
                    best = changes.list.clone();
                    bestBy = placing.by.clone();
                    leastLoss = placing.loss;
                }
            } else {
                changes.list = kept;
                System.arraycopy(hands, 0, placing.by, 0, hands.length);
            }
        }
        watch.goOn(1, leastLoss);
        return placed(
                asBefore.isPresent() && asBefore.get().loss <= least * (1 + CALM)
                        ? asBefore.get()
                        : new Begun(best, bestBy, least));
    }
}
