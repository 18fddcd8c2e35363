package ebauche.core.calendar;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Puts blocks into a timetable one after the other, in the order of a list, each as early as it can be done by any hand (serial schedule generation; for
 * loss that only grows with time, some list gives the best timetable if every block takes as long with every hand: Kolisch 1996, from memory). A gap that an
 * earlier block of the list left is filled.
 *
 * <p>A machine that stays as the block before left it need not be set up anew. The gap in between is kept for that: another block that came between
 * would undo it.
 *
 * <p>Made for a search: nothing is allocated for a list but what it is answered with.
 */
final class Placing {
    /** So long a machine is thought to stay set up, minutes: over night, not over a free day. Common practice. */
    private static final long KEPT = 20 * 60;

    private static final int NOTHING = -1;

    private final Workload load;
    private final int n;
    private final int[][] minutes;
    /** Minutes of each block in all. */
    private final int[] work;

    private final int[][] able;
    private final int[][] before;
    private final int[][] rests;
    private final long[] soonest;
    private final int[] restsLast;
    /** Of each use: thing, count, after, first, last, minutes. */
    private final int[][][] uses;

    private final boolean[] isPinned;
    private final int[] pinHand;
    private final long[] pinAt;
    private final Timetable.Why[] never;
    private final int[] pinned;

    private final Stretches[] time;
    private final Busy[] hands;
    private final Busy[] jobs;
    private final Busy[] ones;
    private final Profile[] many;
    private final long[] due;

    /** Of the list placed last, by block. */
    final long[] from;

    final long[] to;
    final int[] hand;
    final int[] setUp;
    /** The hand that shall do a block; -1 for the one that is done with it first. */
    final int[] by;

    private int setUpTried;
    private final long[] walked = new long[2];
    private final long[] ends;

    /** What speaks against the list placed last. */
    Timetable.Loss loss;

    /** From the beginning to the end of a minute's work in the mean, minutes: of timetables with the same loss the one with less has more room left. */
    double room;

    Placing(Workload load) {
        this.load = load;
        n = load.blocks().size();
        minutes = new int[n][];
        work = new int[n];
        able = new int[n][];
        before = new int[n][];
        rests = new int[n][];
        soonest = new long[n];
        restsLast = new int[n];
        uses = new int[n][][];
        isPinned = new boolean[n];
        pinHand = new int[n];
        pinAt = new long[n];
        never = new Timetable.Why[n];
        time = load.hands().stream().map(Workload.Worker::time).toArray(Stretches[]::new);
        hands = some(load.hands().size());
        jobs = some(load.jobs().size());
        ones = some(load.things().size());
        many = load.things().stream().map(t -> new Profile(t.count())).toArray(Profile[]::new);
        due = load.jobs().stream()
                .mapToLong(j -> j.due().orElse(Stretches.NEVER))
                .toArray();
        from = new long[n];
        to = new long[n];
        hand = new int[n];
        setUp = new int[n];
        by = new int[n];
        Arrays.fill(by, NOTHING);
        ends = new long[load.jobs().size()];
        Map<String, Integer> states = new HashMap<>(Map.of("", NOTHING));
        for (int i = 0; i < n; i++) {
            compile(i, load.blocks().get(i), states);
        }
        pinned = IntStream.range(0, n).filter(i -> pinHand[i] != NOTHING).toArray();
        leaveOut();
        loss = new Timetable.Loss(0, 0, 0, 0, 0);
    }

    private static Busy[] some(int count) {
        Busy[] some = new Busy[count];
        Arrays.setAll(some, i -> new Busy());
        return some;
    }

    /** Minutes of its pieces. */
    static int[] minutes(Block block) {
        return block.pieces().stream().mapToInt(Block.Piece::minutes).toArray();
    }

    private void compile(int i, Block block, Map<String, Integer> states) {
        minutes[i] = minutes(block);
        work[i] = block.minutes();
        able[i] = able(block);
        before[i] = block.after().stream().mapToInt(Block.After::block).toArray();
        rests[i] = block.after().stream().mapToInt(Block.After::rest).toArray();
        soonest[i] = Math.max(load.from(), block.from().orElse(0));
        restsLast[i] = Timetable.rests(block);
        uses[i] = block.uses().stream()
                .map(u -> new int[] {
                    u.thing(),
                    u.count(),
                    u.after(),
                    states.computeIfAbsent(u.first(), s -> states.size()),
                    states.computeIfAbsent(u.last(), s -> states.size()),
                    u.setUp()
                })
                .toArray(int[][]::new);
        isPinned[i] = block.pin().isPresent();
        pinHand[i] = NOTHING;
        block.pin().ifPresent(pin -> {
            for (int h : able[i]) {
                if (load.hands().get(h).hand().key().equals(pin.hand())) {
                    pinHand[i] = h;
                    pinAt[i] = pin.at();
                }
            }
        });
        if (block.from().isEmpty()) {
            never[i] = Timetable.Why.WAITS;
        } else if (block.uses().stream()
                .anyMatch(u -> u.count() > load.things().get(u.thing()).count())) {
            never[i] = Timetable.Why.TOO_FEW;
        } else if (able[i].length == 0) {
            never[i] = Timetable.Why.NO_HAND;
        }
    }

    private int[] able(Block block) {
        return IntStream.range(0, load.hands().size())
                .filter(h -> !load.hands().get(h).time().isNone()
                        && load.hands().get(h).hand().trades().containsAll(block.trades()))
                .toArray();
    }

    /** What comes after a block that has no place has none. */
    private void leaveOut() {
        boolean more = true;
        while (more) {
            more = false;
            for (int i = 0; i < n; i++) {
                if (never[i] == null && Arrays.stream(before[i]).anyMatch(b -> never[b] != null)) {
                    never[i] = Timetable.Why.AFTER_SUCH;
                    more = true;
                }
            }
        }
    }

    /** Whether a block may have a place; else it has none whatever the list. */
    boolean hasPlace(int block) {
        return never[block] == null;
    }

    /** Hands that may do a block. */
    int[] able(int block) {
        return able[block];
    }

    int size() {
        return n;
    }

    /** Minutes of all its pieces. */
    int minutes(int block) {
        return work[block];
    }

    /** Before that it may not be begun, whatever it comes after. */
    long soonest(int block) {
        return soonest[block];
    }

    int[] before(int block) {
        return before[block];
    }

    int[] rests(int block) {
        return rests[block];
    }

    /**
     * Places all blocks that may have a place.
     *
     * @param list of these, each after what it comes after
     * @return what speaks against it
     */
    double place(int[] list) {
        clear();
        int lost = 0;
        long sumSetUps = 0;
        double sumEnds = 0;
        double sumWork = 0;
        Arrays.fill(ends, load.from());
        for (int block : list) {
            long soon = soonest[block];
            boolean known = true;
            for (int k = 0; k < before[block].length; k++) {
                long end = to[before[block][k]];
                known &= end != Stretches.NEVER;
                soon = Math.max(soon, end + rests[block][k]);
            }
            if (!known) {
                to[block] = Stretches.NEVER;
                lost++;
                continue;
            }
            boolean reserved = from[block] != Stretches.NEVER;
            boolean stays = reserved && from[block] >= soon;
            if (!stays) {
                if (reserved) {
                    giveBack(block);
                }
                lost += isPinned[block] ? 1 : 0;
                put(block, soon);
                if (to[block] == Stretches.NEVER) {
                    lost++;
                    continue;
                }
            }
            sumSetUps += setUp[block];
            sumEnds += (double) work[block] * (to[block] - load.from());
            sumWork += work[block];
            int job = load.blocks().get(block).job();
            ends[job] = Math.max(ends[job], to[block] + restsLast[block]);
        }
        long late = 0;
        long last = 0;
        long sum = 0;
        for (int j = 0; j < ends.length; j++) {
            late += Math.max(0, ends[j] - due[j]);
            last = Math.max(last, ends[j] - load.from());
            sum += ends[j] - load.from();
        }
        loss = new Timetable.Loss(late, last, (double) sum / Math.max(1, ends.length), sumSetUps, lost);
        room = sumEnds / Math.max(1, sumWork);
        return loss.total();
    }

    private void clear() {
        for (Busy busy : hands) {
            busy.clear();
        }
        for (Busy busy : jobs) {
            busy.clear();
        }
        for (Busy busy : ones) {
            busy.clear();
        }
        for (Profile profile : many) {
            profile.clear();
        }
        Arrays.fill(to, Stretches.NEVER);
        Arrays.fill(from, Stretches.NEVER);
        for (int block : pinned) {
            if (never[block] == null) {
                reserve(block);
            }
        }
    }

    /** What was put somewhere by hand is there before anything else is placed; where two meet, the first stays. */
    private void reserve(int block) {
        int h = pinHand[block];
        int first = fullSetUp(block);
        time[h].walk(pinAt[block], first, minutes[block], walked);
        if (walked[0] == pinAt[block] && free(block, h, walked[0], walked[1]) == walked[0]) {
            take(block, h, walked[0], walked[1], first, false);
        }
    }

    private int fullSetUp(int block) {
        int sum = 0;
        for (int[] use : uses[block]) {
            sum += use[5];
        }
        return sum;
    }

    private void put(int block, long soon) {
        long best = Stretches.NEVER;
        long bestFrom = Stretches.NEVER;
        int bestHand = NOTHING;
        int bestSetUp = 0;
        for (int h : able[block]) {
            if (by[block] != NOTHING && by[block] != h) {
                continue;
            }
            long begin = earliest(block, h, soon, best);
            if (begin != Stretches.NEVER && walked[1] < best) {
                best = walked[1];
                bestFrom = begin;
                bestHand = h;
                bestSetUp = setUpTried;
            }
        }
        if (bestHand != NOTHING) {
            take(block, bestHand, bestFrom, best, bestSetUp, true);
        }
    }

    /** The first moment at which a hand may begin, its end in {@code walked}, minutes of setting up in {@code setUpTried}; never if it would end too late. */
    private long earliest(int block, int h, long soon, long bound) {
        long begin = soon;
        while (true) {
            int first = setUpAt(block, begin);
            time[h].walk(begin, first, minutes[block], walked);
            if (walked[1] >= bound) {
                return Stretches.NEVER;
            }
            if (walked[0] > begin) {
                begin = walked[0];
                continue;
            }
            long free = free(block, h, walked[0], walked[1]);
            if (free <= begin) {
                setUpTried = first;
                return begin;
            }
            begin = free;
        }
    }

    private int setUpAt(int block, long begin) {
        int sum = 0;
        for (int[] use : uses[block]) {
            if (use[5] > 0 && (use[3] == NOTHING || ones[use[0]].stands(begin, KEPT) != use[3])) {
                sum += use[5];
            }
        }
        return sum;
    }

    private long free(int block, int h, long begin, long end) {
        long free = Math.max(
                hands[h].freeFrom(begin, end), jobs[load.blocks().get(block).job()].freeFrom(begin, end));
        for (int[] use : uses[block]) {
            int thing = use[0];
            long until = end + use[2];
            free = Math.max(
                    free,
                    load.things().get(thing).count() == 1
                            ? ones[thing].freeFrom(begin, until)
                            : many[thing].freeFrom(begin, until, use[1]));
        }
        return free;
    }

    private void take(int block, int h, long begin, long end, int first, boolean rides) {
        from[block] = begin;
        to[block] = end;
        hand[block] = h;
        setUp[block] = first;
        hands[h].take(begin, end, NOTHING);
        jobs[load.blocks().get(block).job()].take(begin, end, NOTHING);
        for (int[] use : uses[block]) {
            int thing = use[0];
            long until = end + use[2];
            if (load.things().get(thing).count() != 1) {
                many[thing].take(begin, until, use[1]);
            } else if (rides && use[5] > 0 && use[3] != NOTHING && ones[thing].stands(begin, KEPT) == use[3]) {
                ones[thing].ride(begin, until, use[4]);
            } else {
                ones[thing].take(begin, until, rides ? use[4] : NOTHING);
            }
        }
    }

    private void giveBack(int block) {
        hands[hand[block]].giveBack(from[block]);
        jobs[load.blocks().get(block).job()].giveBack(from[block]);
        for (int[] use : uses[block]) {
            if (load.things().get(use[0]).count() == 1) {
                ones[use[0]].giveBack(from[block]);
            } else {
                many[use[0]].take(from[block], to[block] + use[2], -use[1]);
            }
        }
        from[block] = Stretches.NEVER;
        to[block] = Stretches.NEVER;
    }

    /** The timetable of a list. */
    Timetable timetable(int[] list) {
        place(list);
        List<Timetable.Slot> slots = new ArrayList<>();
        List<Timetable.Left> left = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            if (never[i] != null) {
                left.add(new Timetable.Left(i, never[i]));
            } else if (to[i] == Stretches.NEVER) {
                left.add(new Timetable.Left(i, Timetable.Why.TOO_FAR));
            } else {
                slots.add(new Timetable.Slot(i, hand[i], from[i], to[i], setUp[i]));
            }
        }
        return new Timetable(load, slots, left, loss);
    }
}
