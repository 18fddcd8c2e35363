package ebauche.exchange.calendar;

import ebauche.core.calendar.DayList;
import ebauche.core.calendar.ShopWeek;
import ebauche.core.calendar.Timetable;
import ebauche.exchange.table.CsvTable;
import java.util.List;
import java.util.Optional;

/** A calendar as a table, a line for each stretch of work, its times on the shop's clock. */
public final class CalendarCsv {
    private static final List<String> COLUMNS =
            List.of("day", "from", "to", "hand", "body", "steps", "minutes_of_setting_up", "goes_on", "rests_until");

    private CalendarCsv() {}

    /** The table. */
    public static String write(ShopWeek week, Timetable table) {
        return CsvTable.write(
                COLUMNS,
                CalendarRows.of(table, Optional.empty()).stream()
                        .map(row -> cells(week, table, row))
                        .toList());
    }

    private static List<String> cells(ShopWeek week, Timetable table, CalendarRows.Row row) {
        DayList.Entry entry = row.entry();
        String rests = DayList.rest(table, entry.slot())
                .filter(r -> !entry.goesOn() && entry.to() == entry.slot().to())
                .map(r -> week.day(r.until()) + " " + week.time(r.until()))
                .orElse("");
        return List.of(
                week.day(entry.from()).toString(),
                week.time(entry.from()).toString(),
                week.time(entry.to()).toString(),
                row.hand().hand().name(),
                row.body().name(),
                row.steps(),
                Integer.toString(entry.setUp()),
                entry.goesOn() ? "yes" : "",
                rests);
    }
}
