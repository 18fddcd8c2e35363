package ebauche.core.calendar;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What no timetable of some work can be better than: each body's longest way from block to block if it had the shop for itself, the hands that alone can do some work
 * with all of that work, and each machine with all that is done at it. Blocks without a place count for nothing.
 *
 * @param ends when each body could be done at the soonest, minutes since 1970
 * @param last when all could be done
 * @param holds what kind of thing holds it up
 * @param busiest its name
 * @param loss no timetable has less, set-ups not counted
 */
public record Bound(List<Long> ends, long last, Holds holds, String busiest, double loss) {
    /** What can hold all up. */
    public enum Holds {
        NOTHING,
        /** A body's own way, its rests with it. */
        BODY,
        HANDS,
        THING
    }

    /** The bound of what a timetable places. */
    public static Bound of(Timetable table) {
        Workload load = table.load();
        Set<Integer> placed = new HashSet<>();
        table.slots().forEach(s -> placed.add(s.block()));
        long[] ends = alone(load, placed);
        long last = load.from();
        Holds holds = Holds.NOTHING;
        String busiest = "";
        for (int j = 0; j < ends.length; j++) {
            if (ends[j] > last) {
                last = ends[j];
                holds = Holds.BODY;
                busiest = load.jobs().get(j).name();
            }
        }
        for (Shared shared : shared(load, placed)) {
            long end = shared.end();
            if (end > last) {
                last = end;
                holds = shared.kind();
                busiest = shared.name();
            }
        }
        long late = 0;
        double sum = 0;
        for (int j = 0; j < ends.length; j++) {
            late += Math.max(0, ends[j] - load.jobs().get(j).due().orElse(Stretches.NEVER));
            sum += ends[j] - load.from();
        }
        sum = Math.max(sum, oneAfterAnother(load, placed));
        return new Bound(
                Arrays.stream(ends).boxed().toList(),
                last,
                holds,
                busiest,
                Timetable.Loss.LATE * late + last - load.from() + sum / Math.max(1, ends.length));
    }

    /** Each body's end if nobody else wanted anything. */
    private static long[] alone(Workload load, Set<Integer> placed) {
        long[] done = new long[load.blocks().size()];
        long[] ends = new long[load.jobs().size()];
        Arrays.fill(ends, load.from());
        boolean[] known = new boolean[done.length];
        for (int i : placed) {
            end(load, i, done, known);
            int job = load.blocks().get(i).job();
            ends[job] =
                    Math.max(ends[job], done[i] + Timetable.rests(load.blocks().get(i)));
        }
        return ends;
    }

    /**
     * Minutes to the ends of all bodies together if nothing but the hands' time held them up: so many bodies cannot be done before all hands have worked
     * what the shortest so many take.
     */
    private static double oneAfterAnother(Workload load, Set<Integer> placed) {
        long[] minutes = new long[load.jobs().size()];
        placed.forEach(
                i -> minutes[load.blocks().get(i).job()] += load.blocks().get(i).minutes());
        Arrays.sort(minutes);
        List<Stretches> time = load.hands().stream().map(Workload.Worker::time).toList();
        long worked = 0;
        double sum = 0;
        for (long body : minutes) {
            worked += body;
            sum += new Shared(Holds.HANDS, "", time, load.from(), worked).end() - load.from();
        }
        return sum;
    }

    private static long end(Workload load, int i, long[] done, boolean[] known) {
        if (!known[i]) {
            known[i] = true;
            Block block = load.blocks().get(i);
            long soon = Math.max(load.from(), block.from().orElse(0));
            for (Block.After after : block.after()) {
                soon = Math.max(soon, end(load, after.block(), done, known) + after.rest());
            }
            long[] walked = new long[2];
            long best = Stretches.NEVER;
            for (Workload.Worker worker : able(load, block)) {
                worker.time().walk(soon, 0, Placing.minutes(block), walked);
                best = Math.min(best, walked[1]);
            }
            done[i] = best;
        }
        return done[i];
    }

    private static List<Workload.Worker> able(Workload load, Block block) {
        return load.hands().stream()
                .filter(w -> w.hand().trades().containsAll(block.trades()))
                .toList();
    }

    /** Work that some hands or one thing must do all of. */
    private record Shared(Holds kind, String name, List<Stretches> time, long from, long minutes) {
        /** When so many minutes of it can have been worked. */
        long end() {
            List<Stretches.Span> spans =
                    time.stream().flatMap(t -> t.since(from).spans().stream()).toList();
            long low = from;
            long high = spans.stream().mapToLong(Stretches.Span::to).max().orElse(from);
            while (low < high) {
                long mid = (low + high) / 2;
                long worked = spans.stream()
                        .mapToLong(s -> Math.max(0, Math.min(mid, s.to()) - s.from()))
                        .sum();
                if (worked >= minutes) {
                    high = mid;
                } else {
                    low = mid + 1;
                }
            }
            return low;
        }
    }

    private static List<Shared> shared(Workload load, Set<Integer> placed) {
        List<Shared> shared = new ArrayList<>();
        Map<Set<String>, Long> byHands = new HashMap<>();
        for (int i : placed) {
            Set<String> able = new HashSet<>();
            able(load, load.blocks().get(i)).forEach(w -> able.add(w.hand().key()));
            byHands.merge(able, (long) load.blocks().get(i).minutes(), Long::sum);
        }
        Set<String> all = new HashSet<>();
        load.hands().forEach(w -> all.add(w.hand().key()));
        Set<Set<String>> asked = new HashSet<>(byHands.keySet());
        asked.add(all);
        for (Set<String> hands : asked) {
            long minutes = byHands.entrySet().stream()
                    .filter(e -> hands.containsAll(e.getKey()))
                    .mapToLong(Map.Entry::getValue)
                    .sum();
            List<Workload.Worker> workers = load.hands().stream()
                    .filter(w -> hands.contains(w.hand().key()))
                    .toList();
            shared.add(new Shared(
                    Holds.HANDS,
                    String.join(", ", workers.stream().map(w -> w.hand().name()).toList()),
                    workers.stream().map(Workload.Worker::time).toList(),
                    load.from(),
                    minutes));
        }
        List<Stretches> anybody = List.of(anybody(load));
        for (int t = 0; t < load.things().size(); t++) {
            int thing = t;
            if (load.things().get(t).count() == 1) {
                long minutes = placed.stream()
                        .map(i -> load.blocks().get(i))
                        .filter(b -> b.uses().stream().anyMatch(u -> u.thing() == thing))
                        .mapToLong(Block::minutes)
                        .sum();
                shared.add(new Shared(Holds.THING, load.things().get(t).said(), anybody, load.from(), minutes));
            }
        }
        return shared;
    }

    /** When anybody works. */
    private static Stretches anybody(Workload load) {
        Stretches.Builder anybody = new Stretches.Builder();
        load.hands().stream()
                .flatMap(w -> w.time().spans().stream())
                .sorted(Comparator.comparingLong(Stretches.Span::from))
                .forEach(s -> anybody.add(s.from(), s.to()));
        return anybody.build();
    }
}
