package ebauche.exchange.calendar;

import ebauche.core.calendar.Block;
import ebauche.core.calendar.DayList;
import ebauche.core.calendar.Timetable;
import ebauche.core.calendar.Workload;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The stretches of work of a timetable, as files write them. */
final class CalendarRows {
    private CalendarRows() {}

    /**
     * A stretch.
     *
     * @param hand who works
     * @param part which stretch of its block it is, from 1
     */
    record Row(Workload.Worker hand, Workload.Job body, Block block, int part, DayList.Entry entry) {
        String steps() {
            return entry.steps().stream().map(Block.Piece::title).collect(Collectors.joining("; "));
        }
    }

    /**
     * All stretches of some hand or of all, in the order of time.
     *
     * @param hand its key; empty for all
     */
    static List<Row> of(Timetable table, Optional<String> hand) {
        List<Row> rows = new ArrayList<>();
        Workload load = table.load();
        for (Timetable.Slot slot : table.slots()) {
            Workload.Worker worker = load.hands().get(slot.hand());
            if (hand.isPresent() && !hand.get().equals(worker.hand().key())) {
                continue;
            }
            Block block = load.blocks().get(slot.block());
            List<DayList.Entry> stretches = DayList.stretches(table, slot);
            for (int i = 0; i < stretches.size(); i++) {
                rows.add(new Row(worker, load.jobs().get(block.job()), block, i + 1, stretches.get(i)));
            }
        }
        rows.sort(Comparator.comparingLong(r -> r.entry().from()));
        return rows;
    }
}
