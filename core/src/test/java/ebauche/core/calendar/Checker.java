package ebauche.core.calendar;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Looks a timetable through for what must not be, minute by minute and pair by pair, with nothing of what made it.
 */
final class Checker {
    private final Timetable table;
    private final Workload load;
    private final List<String> flaws = new ArrayList<>();

    private Checker(Timetable table) {
        this.table = table;
        this.load = table.load();
    }

    static List<String> flaws(Timetable table) {
        Checker checker = new Checker(table);
        checker.everyBlockOnce();
        checker.table.slots().forEach(checker::slot);
        checker.meetings();
        checker.things();
        checker.setUps();
        return checker.flaws;
    }

    private void everyBlockOnce() {
        Set<Integer> seen = new HashSet<>();
        table.slots().forEach(s -> expect(seen.add(s.block()), "block " + s.block() + " twice"));
        table.left().forEach(l -> expect(seen.add(l.block()), "block " + l.block() + " placed and left"));
        expect(seen.size() == load.blocks().size(), "blocks lost");
    }

    private void slot(Timetable.Slot slot) {
        Block block = load.blocks().get(slot.block());
        Workload.Worker worker = load.hands().get(slot.hand());
        expect(worker.hand().trades().containsAll(block.trades()), "not trusted with " + slot);
        expect(slot.from() >= load.from(), "before the beginning " + slot);
        expect(block.from().isPresent() && slot.from() >= block.from().getAsLong(), "too soon " + slot);
        Map<Integer, Timetable.Slot> by = table.byBlock();
        for (Block.After after : block.after()) {
            Timetable.Slot before = by.get(after.block());
            expect(before != null && before.to() + after.rest() <= slot.from(), "before what it needs " + slot);
        }
        long worked = 0;
        List<Stretches.Span> spans = new ArrayList<>();
        List<List<Stretches.Span>> parts = table.parts(slot);
        for (int p = 0; p < parts.size(); p++) {
            long minutes = 0;
            for (Stretches.Span span : parts.get(p)) {
                expect(
                        worker.time().spans().stream().anyMatch(s -> s.from() <= span.from() && span.to() <= s.to()),
                        "outside of hours " + slot);
                minutes += span.minutes();
                spans.add(span);
            }
            int asked = block.pieces().get(p).minutes() + (p == 0 ? slot.setUp() : 0);
            expect(minutes == asked, "piece of other length " + slot);
            long longest = worker.time().spans().stream()
                    .mapToLong(Stretches.Span::minutes)
                    .max()
                    .orElse(0);
            expect(parts.get(p).size() == 1 || asked > longest, "torn though it fits " + slot);
            worked += minutes;
        }
        expect(worked == block.minutes() + slot.setUp(), "of other length " + slot);
        expect(spans.get(0).from() == slot.from(), "begins elsewhere " + slot);
        expect(spans.get(spans.size() - 1).to() == slot.to(), "ends elsewhere " + slot);
    }

    private void meetings() {
        for (Timetable.Slot a : table.slots()) {
            for (Timetable.Slot b : table.slots()) {
                if (a.block() < b.block() && a.from() < b.to() && b.from() < a.to()) {
                    expect(a.hand() != b.hand(), "one hand at two blocks " + a + b);
                    expect(
                            load.blocks().get(a.block()).job()
                                    != load.blocks().get(b.block()).job(),
                            "two at one body " + a + b);
                }
            }
        }
    }

    private void things() {
        for (int t = 0; t < load.things().size(); t++) {
            for (Timetable.Slot at : table.slots()) {
                int taken = 0;
                for (Timetable.Slot other : table.slots()) {
                    for (Block.Use use : load.blocks().get(other.block()).uses()) {
                        if (use.thing() == t && other.from() <= at.from() && at.from() < other.to() + use.after()) {
                            taken += use.count();
                        }
                    }
                }
                expect(
                        taken <= load.things().get(t).count(),
                        "more than there are of " + load.things().get(t) + " at " + at);
            }
        }
    }

    /** What was not set up for a block stands as the one before it at that machine left it, a night ago at the most. */
    private void setUps() {
        for (Timetable.Slot slot : table.slots()) {
            int needed = 0;
            for (Block.Use use : load.blocks().get(slot.block()).uses()) {
                Timetable.Slot last = null;
                String left = "";
                for (Timetable.Slot other : table.slots()) {
                    for (Block.Use before : load.blocks().get(other.block()).uses()) {
                        if (other != slot
                                && before.thing() == use.thing()
                                && other.from() < slot.from()
                                && (last == null || other.from() > last.from())) {
                            last = other;
                            left = before.last();
                        }
                    }
                }
                boolean stands = last != null
                        && !use.first().isEmpty()
                        && left.equals(use.first())
                        && slot.from() - last.to() <= 20 * 60;
                needed += stands ? 0 : use.setUp();
            }
            expect(slot.setUp() >= needed, "not set up " + slot + " wants " + needed);
        }
    }

    private void expect(boolean holds, String otherwise) {
        if (!holds) {
            flaws.add(otherwise);
        }
    }
}
