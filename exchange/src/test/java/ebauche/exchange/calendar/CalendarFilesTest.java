package ebauche.exchange.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.calendar.Block;
import ebauche.core.calendar.BodyWork;
import ebauche.core.calendar.Hand;
import ebauche.core.calendar.Hours;
import ebauche.core.calendar.Search;
import ebauche.core.calendar.ShopCalendar;
import ebauche.core.calendar.ShopWeek;
import ebauche.core.calendar.Timetable;
import ebauche.core.calendar.Trade;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.json.JsonText;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** A calendar's files are read back by libraries of others, and a week by ours. */
class CalendarFilesTest {
    private static final Hand MAUD = new Hand("m", "Maud", EnumSet.allOf(Trade.class), Hours.USUAL, Set.of(), Set.of());
    private static final Hand NIGHT = new Hand(
            "n",
            "Nell",
            EnumSet.of(Trade.BENCH, Trade.GLUE),
            Hours.USUAL,
            Set.of(LocalDate.of(2026, 11, 30), LocalDate.of(2026, 12, 1)),
            Set.of(LocalDate.of(2026, 12, 5)));
    private static final ShopWeek WEEK = new ShopWeek(
            ZoneId.of("Europe/Berlin"), Set.of(LocalDate.of(2026, 12, 24)), List.of(MAUD, NIGHT), Map.of("the saw", 2));
    private static final ShopCalendar SHOP = new ShopCalendar(WEEK, List.of(body("tussock"), body("rush")));
    private static final long NOW = WEEK.at(LocalDate.of(2026, 11, 30), LocalTime.of(8, 0));
    private static final Timetable TABLE = Search.of(SHOP.workload(NOW), 5_000, Search.Watch.NOBODY);
    private static final Instant WRITTEN = Instant.parse("2026-11-30T07:00:00Z");

    private static ShopCalendar.ToDo body(String name) {
        BodyWork work = BodyWork.of(Planner.schedule(DemoBodies.read(name).build()));
        return new ShopCalendar.ToDo(
                name, "1 " + name, Optional.of(LocalDate.of(2026, 12, 18)), work, Map.of(), Set.of(), Map.of());
    }

    private static List<VEvent> events(Optional<String> hand) throws Exception {
        String ics = CalendarIcs.write(SHOP, TABLE, hand, WRITTEN);
        Calendar read = new CalendarBuilder().build(new StringReader(ics));
        assertThat(read.validate().hasErrors()).isFalse();
        return read.getComponents("VEVENT");
    }

    /** RFC 5545: section 3.1 (lines end in CRLF, none over 75 octets), 3.6.1 (UID and DTSTAMP once in each event). */
    @Test
    void the_file_keeps_to_the_standard_and_its_events_are_the_slots() throws Exception {
        String ics = CalendarIcs.write(SHOP, TABLE, Optional.empty(), WRITTEN);
        assertThat(ics.replace("\r\n", "")).doesNotContain("\n").doesNotContain("\r");
        assertThat(ics.split("\r\n")).allMatch(l -> l.getBytes(StandardCharsets.UTF_8).length <= 75);
        List<VEvent> events = events(Optional.empty());
        assertThat(events).extracting(e -> e.getUid().orElseThrow().getValue()).doesNotHaveDuplicates();
        assertThat(events).allMatch(e -> e.getDateTimeStamp().getDate().equals(WRITTEN));
        long worked = events.stream()
                .filter(e -> e.getDescription() != null)
                .mapToLong(e -> minutes(e))
                .sum();
        long sum = TABLE.slots().stream()
                .mapToLong(s -> s.setUp() + TABLE.load().blocks().get(s.block()).minutes())
                .sum();
        assertThat(worked).isEqualTo(sum);
        assertThat(events)
                .filteredOn(e -> e.getSummary().getValue().endsWith(": due"))
                .hasSize(2);
    }

    private static long minutes(VEvent event) {
        return Duration.between(
                        event.getDateTimeStart().getDate(),
                        event.getEndDate().orElseThrow().getDate())
                .toMinutes();
    }

    /** Taken in again it moves events, and adds none. */
    @Test
    void events_keep_their_names_when_the_calendar_is_made_anew() throws Exception {
        List<String> names = events(Optional.empty()).stream()
                .map(e -> e.getUid().orElseThrow().getValue())
                .filter(n -> n.endsWith("/1@ebauche"))
                .toList();
        Timetable later = Search.atOnce(SHOP.workload(NOW + 24 * 60), Optional.of(TABLE));
        String again = CalendarIcs.write(SHOP, later, Optional.empty(), WRITTEN);
        Calendar read = new CalendarBuilder().build(new StringReader(again));
        assertThat(read.<VEvent>getComponents("VEVENT"))
                .extracting(e -> e.getUid().orElseThrow().getValue())
                .containsAll(names);
    }

    @Test
    void the_work_of_one_hand_is_its_own() throws Exception {
        assertThat(events(Optional.of("n")))
                .filteredOn(e -> e.getDescription() != null)
                .isNotEmpty()
                .allMatch(e ->
                        e.getCategories().stream().allMatch(c -> c.getValue().equals("Nell")));
    }

    @Test
    void the_table_has_a_line_for_each_stretch_on_the_clock_of_the_shop() throws Exception {
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(CalendarCsv.write(WEEK, TABLE)))
                .getRecords();
        assertThat(rows).hasSize(CalendarRows.of(TABLE, Optional.empty()).size());
        assertThat(rows.get(0).get("day")).isEqualTo("2026-11-30");
        assertThat(rows.get(0).get("from")).isEqualTo("08:00");
        assertThat(rows)
                .allMatch(r ->
                        r.get("from").compareTo("08:00") >= 0 && r.get("to").compareTo("17:00") <= 0);
    }

    @Test
    void a_week_is_read_back_as_it_was_written() {
        ObjectNode json = WeekFile.write(WEEK);
        ObjectNode text = (ObjectNode) JsonText.tree(json.toString().getBytes(StandardCharsets.UTF_8));
        assertThat(WeekFile.read(text)).isEqualTo(WEEK);
    }

    @Test
    void what_is_wrong_in_a_week_is_named_by_its_place() {
        ObjectNode json = WeekFile.write(WEEK);
        ((ObjectNode) json.path("hands").path(1).path("hours")).put("friday", "17:00-9:00");
        assertThatThrownBy(() -> WeekFile.read(json))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining("end before they begin")
                .extracting(e -> ((BuildFileException) e).place())
                .isEqualTo("hands[2].hours.friday");
    }

    /** A block's first piece names it, whatever comes before. */
    @Test
    void rows_stand_in_the_order_of_time() {
        List<CalendarRows.Row> rows = CalendarRows.of(TABLE, Optional.empty());
        for (int i = 1; i < rows.size(); i++) {
            assertThat(rows.get(i).entry().from())
                    .isGreaterThanOrEqualTo(rows.get(i - 1).entry().from());
        }
        assertThat(rows)
                .allMatch(
                        r -> r.block().pieces().stream().map(Block.Piece::title).anyMatch(r.steps()::contains));
    }
}
