package ebauche.core.calendar;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Looks for the timetable with the least loss: lists by several rules, the best of them changed many times, what is worse kept now and then and ever more seldom
 * (simulated annealing: Kirkpatrick, Gelatt, Vecchi 1983, from memory). The same work gives the same timetable: chance comes from a fixed seed, and what it may take is a number of
 * blocks placed, not a time.
 */
public final class Search {
    /** So many blocks are placed in all unless it is stopped: what a person waits for without leaving the page. */
    public static final long EFFORT = 600_000;

    /** Every timetable is looked at so many times at the least. */
    private static final int LEAST_TRIES = 40;

    private static final long SEED = 29;

    /** What is taken for worse at the beginning, as a share of the loss, for each try: who has many may wander farther. */
    private static final double WARM = 2e-6;

    private static final double WARMEST = 6e-2;

    /** At the end, of that at the beginning. */
    private static final double COLD = 0.01;

    /** What a minute earlier of all blocks in the mean weighs while it looks: of timetables with the same loss one is nearer to a better. */
    private static final double ROOM = 0.3;

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

    /** The best timetable that is found with the usual effort. */
    public static Timetable of(Workload load) {
        return of(load, EFFORT, Watch.NOBODY);
    }

    /**
     * The best timetable that is found.
     *
     * @param effort blocks that may be placed
     * @param watch asked whether to go on; what was best by then is answered
     */
    public static Timetable of(Workload load, long effort, Watch watch) {
        return new Search(load).found(effort, watch);
    }

    private Timetable found(long effort, Watch watch) {
        int[] best = new int[0];
        double least = Double.POSITIVE_INFINITY;
        for (int[] begun : new Beginnings(load, placing, after).lists()) {
            double loss = placing.place(begun);
            if (loss < least) {
                least = loss;
                best = begun;
            }
        }
        Timetable.Loss leastLoss = placing.timetable(best).loss();
        SplittableRandom chance = new SplittableRandom(SEED);
        Changes changes = new Changes(load, placing, after, best, chance);
        double now = least + ROOM * placing.room;
        int tries = best.length < 2 ? 0 : (int) Math.max(LEAST_TRIES, effort / best.length);
        double warm = Math.min(WARMEST, WARM * tries);
        int[] bestBy = placing.by.clone();
        for (int t = 0; t < tries; t++) {
            double share = (double) t / tries;
            if (t % 16 == 0 && !watch.goOn(share, leastLoss)) {
                break;
            }
            int[] kept = changes.list.clone();
            int[] hands = placing.by.clone();
            if (!changes.change()) {
                continue;
            }
            double loss = placing.place(changes.list);
            double felt = loss + ROOM * placing.room;
            double warmth = least * warm * Math.pow(COLD, share);
            if (felt <= now || chance.nextDouble() < Math.exp((now - felt) / warmth)) {
                now = felt;
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
        System.arraycopy(bestBy, 0, placing.by, 0, bestBy.length);
        return placing.timetable(best);
    }
}
