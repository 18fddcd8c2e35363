package ebauche.core.calendar;

import java.util.Arrays;
import java.util.List;
import java.util.PriorityQueue;

/** Lists to begin with: by how soon each block must be begun, by what is longest after it, body after body as they are due, the shortest body first, the body with the least time to spare first. */
final class Beginnings {
    private final Workload load;
    private final Placing placing;
    private final int n;
    private final int[][] after;

    /**
     * Of some work.
     *
     * @param after what comes after each block
     */
    Beginnings(Workload load, Placing placing, int[][] after) {
        this.load = load;
        this.placing = placing;
        this.n = placing.size();
        this.after = after;
    }

    /** In each everything that may have a place comes after what it must. */
    List<int[]> lists() {
        return rules(tails()).stream().map(this::sorted).toList();
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
        double[] tightest = new double[n];
        double[] tight = new double[load.jobs().size()];
        Arrays.fill(tight, Double.MAX_VALUE);
        double far = 1e9;
        for (int i = 0; i < n; i++) {
            Block block = load.blocks().get(i);
            double due = load.jobs().get(block.job()).due().isPresent()
                    ? load.jobs().get(block.job()).due().getAsLong() - load.from()
                    : far;
            double wanted = block.pin().isPresent() ? block.pin().get().at() - load.from() : due - tails[i];
            slack[i] = wanted;
            tight[block.job()] = Math.min(tight[block.job()], wanted);
            longest[i] = -tails[i];
            oneByOne[i] = due + block.job() * 1e-3;
            shortest[i] = minutes[block.job()] + block.job() * 1e-3;
        }
        for (int i = 0; i < n; i++) {
            int job = load.blocks().get(i).job();
            tightest[i] = tight[job] + job * 1e-3;
        }
        return List.of(slack, longest, oneByOne, shortest, tightest);
    }

    /** A list in which everything comes after what it must, else the smaller first. */
    int[] sorted(double[] rule) {
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
}
