package ebauche.core.calendar;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.stream.IntStream;

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
    private final int n;
    private final int[][] after;
    /** Of each body its blocks. */
    private final int[][] ofJob;

    private final List<int[]> alike = new ArrayList<>();
    private final SplittableRandom chance = new SplittableRandom(SEED);
    private int[] list = new int[0];
    private final int[] place;
    private final boolean[] goes;

    private Search(Workload load) {
        this.load = load;
        placing = new Placing(load);
        n = placing.size();
        List<List<Integer>> behind = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            behind.add(new ArrayList<>());
        }
        for (int i = 0; i < n; i++) {
            for (int b : placing.before(i)) {
                behind.get(b).add(i);
            }
        }
        after = behind.stream().map(l -> l.stream().mapToInt(x -> x).toArray()).toArray(int[][]::new);
        ofJob = IntStream.range(0, load.jobs().size())
                .mapToObj(j -> IntStream.range(0, n)
                        .filter(i -> load.blocks().get(i).job() == j && placing.hasPlace(i))
                        .toArray())
                .toArray(int[][]::new);
        place = new int[n];
        goes = new boolean[n];
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
        double[] tails = tails();
        int[] best = new int[0];
        double least = Double.POSITIVE_INFINITY;
        for (double[] rule : rules(tails)) {
            int[] begun = sorted(rule);
            double loss = placing.place(begun);
            if (loss < least) {
                least = loss;
                best = begun;
            }
        }
        Timetable.Loss leastLoss = placing.timetable(best).loss();
        list = best.clone();
        double now = least + ROOM * placing.room;
        int tries = best.length < 2 ? 0 : (int) Math.max(LEAST_TRIES, effort / best.length);
        double warm = Math.min(WARMEST, WARM * tries);
        int[] bestBy = placing.by.clone();
        alike();
        for (int t = 0; t < tries; t++) {
            double share = (double) t / tries;
            if (t % 16 == 0 && !watch.goOn(share, leastLoss)) {
                break;
            }
            int[] kept = list.clone();
            int[] hands = placing.by.clone();
            if (!change()) {
                continue;
            }
            double loss = placing.place(list);
            double felt = loss + ROOM * placing.room;
            double warmth = least * warm * Math.pow(COLD, share);
            if (felt <= now || chance.nextDouble() < Math.exp((now - felt) / warmth)) {
                now = felt;
                if (loss < least - 1e-9) {
                    least = loss;
                    best = list.clone();
                    bestBy = placing.by.clone();
                    leastLoss = placing.loss;
                }
            } else {
                list = kept;
                System.arraycopy(hands, 0, placing.by, 0, n);
            }
        }
        watch.goOn(1, leastLoss);
        System.arraycopy(bestBy, 0, placing.by, 0, n);
        return placing.timetable(best);
    }

    /** Elapsed minutes from the start of each block to the end of its body, at the least and about. */
    private double[] tails() {
        double pace = pace();
        double[] tails = new double[n];
        int[] order = sorted(new double[n]);
        for (int k = order.length - 1; k >= 0; k--) {
            int b = order[k];
            double rest = Timetable.rests(load.blocks().get(b));
            for (int next : after[b]) {
                for (int q = 0; q < placing.before(next).length; q++) {
                    if (placing.before(next)[q] == b) {
                        rest = Math.max(rest, placing.rests(next)[q] + tails[next]);
                    }
                }
            }
            tails[b] = rest + load.blocks().get(b).minutes() * pace;
        }
        return tails;
    }

    /** Minutes that go by while the hands work one: nights and free days count. */
    private double pace() {
        long fourWeeks = 28L * 24 * 60;
        double most = load.hands().stream()
                .mapToLong(h -> h.time().between(load.from(), load.from() + fourWeeks))
                .max()
                .orElse(0);
        return most == 0 ? 1 : fourWeeks / most;
    }

    /** What comes first by each rule: the smaller. */
    private List<double[]> rules(double[] tails) {
        double[] minutes = new double[load.jobs().size()];
        load.blocks().forEach(b -> minutes[b.job()] += b.minutes());
        double[] slack = new double[n];
        double[] longest = new double[n];
        double[] oneByOne = new double[n];
        double[] shortest = new double[n];
        double far = 1e9;
        for (int i = 0; i < n; i++) {
            Block block = load.blocks().get(i);
            double due = load.jobs().get(block.job()).due().isPresent()
                    ? load.jobs().get(block.job()).due().getAsLong() - load.from()
                    : far;
            double wanted = block.pin().isPresent() ? block.pin().get().at() - load.from() : due - tails[i];
            slack[i] = wanted;
            longest[i] = -tails[i];
            oneByOne[i] = due + block.job() * 1e-3;
            shortest[i] = minutes[block.job()] + block.job() * 1e-3;
        }
        return List.of(slack, longest, oneByOne, shortest);
    }

    /** A list in which everything comes after what it must, else the smaller first. */
    private int[] sorted(double[] rule) {
        int[] waits = new int[n];
        for (int i = 0; i < n; i++) {
            waits[i] = placing.before(i).length;
        }
        PriorityQueue<Integer> free = new PriorityQueue<>((a, b) -> {
            int first = Double.compare(rule[a], rule[b]);
            return first != 0 ? first : Integer.compare(a, b);
        });
        for (int i = 0; i < n; i++) {
            if (waits[i] == 0 && placing.hasPlace(i)) {
                free.add(i);
            }
        }
        int[] sorted = new int[n];
        int count = 0;
        while (!free.isEmpty()) {
            int i = free.remove();
            sorted[count++] = i;
            for (int next : after[i]) {
                if (--waits[next] == 0 && placing.hasPlace(next)) {
                    free.add(next);
                }
            }
        }
        return Arrays.copyOf(sorted, count);
    }

    /** Blocks that one set-up would do for, of several bodies. */
    private void alike() {
        Map<String, List<Integer>> by = new TreeMap<>();
        for (int i = 0; i < n; i++) {
            for (Block.Use use : load.blocks().get(i).uses()) {
                if (use.setUp() > 0 && !use.first().isEmpty() && placing.hasPlace(i)) {
                    by.computeIfAbsent(use.thing() + " " + use.first(), k -> new ArrayList<>())
                            .add(i);
                }
            }
        }
        by.values().stream()
                .filter(l -> l.size() > 1)
                .map(l -> l.stream().mapToInt(x -> x).toArray())
                .forEach(alike::add);
    }

    /** Changes the list; whether anything was changed. */
    private boolean change() {
        for (int i = 0; i < list.length; i++) {
            place[list[i]] = i;
        }
        double what = chance.nextDouble();
        if (what < 0.1 && ofJob.length > 1) {
            return apart();
        }
        if (what < 0.25 && !alike.isEmpty()) {
            return together();
        }
        int i = list[chance.nextInt(list.length)];
        if (what < 0.4 && placing.able(i).length > 1) {
            int h = chance.nextInt(placing.able(i).length + 1) - 1;
            int hand = h < 0 ? -1 : placing.able(i)[h];
            boolean other = placing.by[i] != hand;
            placing.by[i] = hand;
            return other;
        }
        if (what < 0.7) {
            return ahead(i, chance.nextInt(list.length));
        }
        int low = low(i);
        int high = high(i);
        return high > low && move(i, low + chance.nextInt(high - low + 1));
    }

    /** Puts a block before or behind a place, and with it all that must go along: what it comes after, or what comes after it. */
    private boolean ahead(int block, int to) {
        int at = place[block];
        if (at == to) {
            return false;
        }
        Arrays.fill(goes, false);
        goes[block] = true;
        int low = Math.min(at, to);
        int high = Math.max(at, to);
        if (to < at) {
            for (int k = at; k >= to; k--) {
                if (goes[list[k]]) {
                    for (int b : placing.before(list[k])) {
                        goes[b] = true;
                    }
                }
            }
        } else {
            for (int k = at; k <= to; k++) {
                if (goes[list[k]]) {
                    for (int next : after[list[k]]) {
                        goes[next] = true;
                    }
                }
            }
        }
        int[] part = Arrays.copyOfRange(list, low, high + 1);
        int k = low;
        for (int pass = 0; pass < 2; pass++) {
            for (int b : part) {
                if (goes[b] == (to < at == (pass == 0))) {
                    list[k++] = b;
                }
            }
        }
        return true;
    }

    /** Puts a block right behind one that leaves the machine as it wants it. */
    private boolean together() {
        int[] group = alike.get(chance.nextInt(alike.size()));
        int a = group[chance.nextInt(group.length)];
        int b = group[chance.nextInt(group.length)];
        if (a == b || load.blocks().get(a).job() == load.blocks().get(b).job()) {
            return false;
        }
        int wanted = place[a] < place[b] ? place[a] + 1 : place[a];
        return move(b, Math.max(low(b), Math.min(high(b), wanted)));
    }

    /** Of two bodies all of one before the other, in the places that both have. */
    private boolean apart() {
        int[] first = ofJob[chance.nextInt(ofJob.length)];
        int[] second = ofJob[chance.nextInt(ofJob.length)];
        if (first == second || first.length == 0 || second.length == 0) {
            return false;
        }
        int[] places = IntStream.concat(Arrays.stream(first), Arrays.stream(second))
                .map(b -> place[b])
                .sorted()
                .toArray();
        int[] in = IntStream.concat(byPlace(first), byPlace(second)).toArray();
        for (int k = 0; k < places.length; k++) {
            list[places[k]] = in[k];
        }
        return true;
    }

    private IntStream byPlace(int[] blocks) {
        return Arrays.stream(blocks)
                .boxed()
                .sorted((a, b) -> Integer.compare(place[a], place[b]))
                .mapToInt(x -> x);
    }

    private int low(int block) {
        int low = 0;
        for (int b : placing.before(block)) {
            low = Math.max(low, place[b] + 1);
        }
        return low;
    }

    private int high(int block) {
        int high = list.length - 1;
        for (int next : after[block]) {
            if (placing.hasPlace(next)) {
                high = Math.min(high, place[next] - 1);
            }
        }
        return high;
    }

    private boolean move(int block, int to) {
        int at = place[block];
        if (at == to) {
            return false;
        }
        if (at < to) {
            System.arraycopy(list, at + 1, list, at, to - at);
        } else {
            System.arraycopy(list, to, list, to + 1, at - to);
        }
        list[to] = block;
        return true;
    }
}
