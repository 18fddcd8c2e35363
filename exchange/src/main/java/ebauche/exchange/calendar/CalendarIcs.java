package ebauche.exchange.calendar;

import ebauche.core.calendar.DayList;
import ebauche.core.calendar.ShopCalendar;
import ebauche.core.calendar.Timetable;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.Temporal;
import java.util.List;
import java.util.Optional;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Categories;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/**
 * A calendar for other programs (iCalendar, RFC 5545): an event for each stretch of work, for what rests after it, and for each day on which a body is due. A
 * stretch keeps its name however often the calendar is made anew, so that who takes the file in again gets no second one.
 */
public final class CalendarIcs {
    private static final String OURS = "@ebauche";

    private final Timetable table;
    private final Instant written;
    private final Calendar calendar = new Calendar();

    private CalendarIcs(Timetable table, Instant written) {
        this.table = table;
        this.written = written;
        calendar.add(new ProdId("-//Ebauche//shop calendar//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
    }

    /**
     * The file.
     *
     * @param hand key of the hand whose work it is; empty for all
     * @param written the moment of writing, which each event carries
     */
    public static String write(ShopCalendar shop, Timetable table, Optional<String> hand, Instant written) {
        CalendarIcs file = new CalendarIcs(table, written);
        CalendarRows.of(table, hand).forEach(file::work);
        shop.bodies().forEach(b -> b.due().ifPresent(day -> file.due(b, day)));
        StringWriter out = new StringWriter();
        try {
            new CalendarOutputter(false).output(file.calendar, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private void work(CalendarRows.Row row) {
        DayList.Entry entry = row.entry();
        String id = row.body().id() + "/" + row.block().name() + "/" + row.part() + OURS;
        VEvent work =
                event(id, moment(entry.from()), moment(entry.to()), row.body().name() + ": " + row.steps());
        work.add(new Categories(row.hand().hand().name()));
        String steps = String.join(
                "\n",
                entry.steps().stream()
                        .map(s -> s.title() + ", " + s.minutes() + " min")
                        .toList());
        work.add(new Description(steps));
        calendar.add(work);
        boolean last = entry.to() == entry.slot().to();
        DayList.rest(table, entry.slot()).filter(r -> last).ifPresent(rest -> {
            VEvent rests = event(
                    "rest/" + id,
                    moment(entry.to()),
                    moment(rest.until()),
                    row.body().name() + ": " + rest.title() + " (rests)");
            rests.add(ImmutableTransp.TRANSPARENT);
            calendar.add(rests);
        });
    }

    private void due(ShopCalendar.ToDo body, LocalDate day) {
        VEvent due = event("due/" + body.id() + OURS, day, day.plusDays(1), body.name() + ": due");
        due.add(ImmutableTransp.TRANSPARENT);
        calendar.add(due);
    }

    private static Instant moment(long minute) {
        return Instant.ofEpochSecond(minute * 60);
    }

    private VEvent event(String id, Temporal from, Temporal to, String summary) {
        VEvent event = new VEvent(false);
        List.of(new Uid(id), new DtStamp(written), new DtStart<>(from), new DtEnd<>(to), new Summary(summary))
                .forEach(event::add);
        return event;
    }
}
