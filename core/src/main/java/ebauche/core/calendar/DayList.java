package ebauche.core.calendar;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a hand does on a day, in the order of time.
 *
 * @param entries stretches of work, each of one block
 */
public record DayList(List<Entry> entries) {
    /** When something is done, as one says it. */
    public enum When {
        NOW,
        THEN,
        /** While glue or paint that the same hand has put on this day rests. */
        MEANWHILE,
        /** A glue-up that is the last of the day: it sets over night. */
        BEFORE_HOME
    }

    /**
     * A stretch of work.
     *
     * @param slot its place in the timetable
     * @param from minutes since 1970
     * @param setUp minutes of setting up at its beginning
     * @param steps that are worked at in it
     * @param goesOn whether the last of them is not done with it
     * @param rests what rests meanwhile, when it does
     */
    public record Entry(
            When when,
            Timetable.Slot slot,
            long from,
            long to,
            int setUp,
            List<Block.Piece> steps,
            boolean goesOn,
            Optional<Rest> rests) {
        public Entry {
            steps = List.copyOf(steps);
        }
    }

    /**
     * Glue or paint that rests.
     *
     * @param slot after which
     * @param title of the step that was glued or painted
     * @param until minutes since 1970
     */
    public record Rest(Timetable.Slot slot, String title, long until) {}

    public DayList {
        entries = List.copyOf(entries);
    }

    /**
     * The list of a hand's day.
     *
     * @param hand its place among the load's
     */
    public static DayList of(ShopWeek week, Timetable table, int hand, LocalDate day) {
        List<Entry> plain =
                stretches(table, hand, begins(week, table, hand, day), begins(week, table, hand, day.plusDays(1)));
        List<Entry> said = new ArrayList<>();
        Optional<Rest> resting = Optional.empty();
        for (int i = 0; i < plain.size(); i++) {
            Entry entry = plain.get(i);
            long from = entry.from();
            Optional<Rest> rests = resting.filter(r -> r.until() > from);
            said.add(new Entry(
                    when(table, plain, i, rests.isPresent()),
                    entry.slot(),
                    from,
                    entry.to(),
                    entry.setUp(),
                    entry.steps(),
                    entry.goesOn(),
                    rests));
            resting = rest(table, entry.slot())
                    .filter(r -> entry.to() == entry.slot().to())
                    .or(() -> rests);
        }
        return new DayList(said);
    }

    /** When a hand's day begins: a spell that goes past midnight is still of the day before. */
    public static long begins(ShopWeek week, Timetable table, int hand, LocalDate day) {
        long midnight = week.start(day);
        return table.load().hands().get(hand).time().spans().stream()
                .filter(s -> s.from() < midnight && s.to() > midnight)
                .mapToLong(Stretches.Span::to)
                .findFirst()
                .orElse(midnight);
    }

    private static When when(Timetable table, List<Entry> day, int i, boolean rests) {
        Entry entry = day.get(i);
        boolean last = i == day.size() - 1 && entry.to() == entry.slot().to();
        if (i == 0 && entry.from() <= table.load().from()) {
            return When.NOW;
        }
        if (last && entry.steps().stream().anyMatch(Block.Piece::glues)) {
            return When.BEFORE_HOME;
        }
        return rests ? When.MEANWHILE : When.THEN;
    }

    /** What rests when a slot is done. */
    public static Optional<Rest> rest(Timetable table, Timetable.Slot slot) {
        Block block = table.load().blocks().get(slot.block());
        int rests = Timetable.rests(block);
        return rests == 0
                ? Optional.empty()
                : Optional.of(new Rest(
                        slot, block.pieces().get(block.pieces().size() - 1).title(), slot.to() + rests));
    }

    /** The stretches in which a slot is done, in the order of time. */
    public static List<Entry> stretches(Timetable table, Timetable.Slot slot) {
        List<Entry> all = new ArrayList<>();
        addStretches(table, slot, slot.from(), slot.to(), all);
        return all;
    }

    /** A hand's work between two moments: of each slot what lies in one go. */
    private static List<Entry> stretches(Timetable table, int hand, long start, long end) {
        List<Entry> all = new ArrayList<>();
        for (Timetable.Slot slot : table.slots()) {
            if (slot.hand() == hand && slot.from() < end && slot.to() > start) {
                addStretches(table, slot, start, end, all);
            }
        }
        all.sort(Comparator.comparingLong(Entry::from));
        return all;
    }

    private static void addStretches(Timetable table, Timetable.Slot slot, long start, long end, List<Entry> all) {
        List<Block.Piece> pieces = table.load().blocks().get(slot.block()).pieces();
        List<List<Stretches.Span>> parts = table.parts(slot);
        long from = Stretches.NEVER;
        long to = Stretches.NEVER;
        List<Block.Piece> steps = new ArrayList<>();
        for (int p = 0; p < parts.size(); p++) {
            for (int s = 0; s < parts.get(p).size(); s++) {
                Stretches.Span span = parts.get(p).get(s);
                long cutFrom = Math.max(span.from(), start);
                long cutTo = Math.min(span.to(), end);
                if (cutFrom > cutTo || (cutFrom == cutTo && span.minutes() > 0)) {
                    continue;
                }
                if (!steps.isEmpty() && cutFrom > to) {
                    boolean torn = steps.get(steps.size() - 1).equals(pieces.get(p));
                    all.add(entry(slot, from, to, steps, torn));
                    steps = new ArrayList<>();
                }
                from = steps.isEmpty() ? cutFrom : from;
                to = cutTo;
                if (steps.isEmpty() || !steps.get(steps.size() - 1).equals(pieces.get(p))) {
                    steps.add(pieces.get(p));
                }
            }
        }
        if (!steps.isEmpty()) {
            List<Stretches.Span> lastSpans = parts.get(pieces.indexOf(steps.get(steps.size() - 1)));
            all.add(entry(
                    slot, from, to, steps, lastSpans.get(lastSpans.size() - 1).to() > to));
        }
    }

    private static Entry entry(Timetable.Slot slot, long from, long to, List<Block.Piece> steps, boolean goesOn) {
        return new Entry(
                When.THEN, slot, from, to, from == slot.from() ? slot.setUp() : 0, steps, goesOn, Optional.empty());
    }
}
