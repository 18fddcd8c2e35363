package ebauche.core.calendar;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.stream.Collectors;

/**
 * Who does what when.
 *
 * @param load what it follows from
 * @param slots in the order of time
 * @param left what has no place, and why
 * @param loss what speaks against it
 */
public record Timetable(Workload load, List<Slot> slots, List<Left> left, Loss loss) {

    /**
     * A block's place.
     *
     * @param block its place among the load's
     * @param hand the place of the hand that does it
     * @param from when it begins, minutes since 1970
     * @param to when its hands-on work is done
     * @param setUp minutes of setting up at its beginning
     */
    public record Slot(int block, int hand, long from, long to, int setUp) {}

    /** A block without a place. */
    public record Left(int block, Why why) {}

    /** Why a block has no place. */
    public enum Why {
        /** It waits for something of which nobody can say when it comes. */
        WAITS,
        /** No hand that works is trusted with it. */
        NO_HAND,
        /** It takes more of a thing than there is. */
        TOO_FEW,
        /** What it needs has no place. */
        AFTER_SUCH,
        /** There is no time for it in the days that are looked at. */
        TOO_FAR
    }

    /**
     * What speaks against a timetable, minutes.
     *
     * @param late of all bodies together, from the day each is due to its end
     * @param last from the beginning to the end of all
     * @param mean the same of a body in the mean
     * @param setUps minutes of setting up
     * @param lost blocks that there was no time for, and blocks put somewhere by hand that could not stay there
     */
    public record Loss(long late, long last, double mean, long setUps, int lost) {
        /** A minute late is as bad as three at the end: common practice has no figure; a shop's word weighs more than its idle bench. */
        static final int LATE = 3;

        /** More than any timetable can be better by. */
        private static final double LOST = 1e7;

        /** All of it, minutes. */
        public double total() {
            return LATE * late + last + mean + setUps + LOST * lost;
        }
    }

    public Timetable {
        slots = slots.stream()
                .sorted(Comparator.comparingLong(Slot::from).thenComparingInt(Slot::block))
                .toList();
        left = List.copyOf(left);
    }

    /** When each body is done, by its place; empty where some of it has no place. */
    public List<OptionalLong> ends() {
        long[] ends = new long[load.jobs().size()];
        Arrays.fill(ends, load.from());
        for (Slot slot : slots) {
            int job = load.blocks().get(slot.block()).job();
            ends[job] = Math.max(ends[job], slot.to() + rests(load.blocks().get(slot.block())));
        }
        for (Left none : left) {
            ends[load.blocks().get(none.block()).job()] = Stretches.NEVER;
        }
        return Arrays.stream(ends)
                .mapToObj(e -> e == Stretches.NEVER ? OptionalLong.empty() : OptionalLong.of(e))
                .toList();
    }

    /** When the last of what has a place is done and has rested, minutes since 1970; empty where nothing has one. */
    public OptionalLong last() {
        return slots.stream()
                .mapToLong(s -> s.to() + rests(load.blocks().get(s.block())))
                .max();
    }

    /** By how many minutes each body is late, by its place; 0 where it is not, is due on no day, or nobody knows when it is done. */
    public List<Long> late() {
        List<OptionalLong> ends = ends();
        List<Long> late = new ArrayList<>();
        for (int j = 0; j < ends.size(); j++) {
            OptionalLong due = load.jobs().get(j).due();
            late.add(
                    due.isPresent() && ends.get(j).isPresent()
                            ? Math.max(0, ends.get(j).getAsLong() - due.getAsLong())
                            : 0);
        }
        return late;
    }

    /** A body is done when what was glued or painted last has rested. */
    static int rests(Block block) {
        return block.pieces().isEmpty()
                ? 0
                : block.pieces().get(block.pieces().size() - 1).rests();
    }

    /** The place of each block that has one. */
    public Map<Integer, Slot> byBlock() {
        return slots.stream().collect(Collectors.toMap(Slot::block, s -> s));
    }

    /** When the steps of a slot are done; one that is torn by the end of a stretch has several spans. */
    public List<List<Stretches.Span>> parts(Slot slot) {
        return load.hands()
                .get(slot.hand())
                .time()
                .parts(slot.from(), slot.setUp(), Placing.minutes(load.blocks().get(slot.block())));
    }
}
