package ebauche.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a hand does on a day, as it is said in the shop. */
class DayListTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 30);
    private static final Hand HAND = new Hand("h", "H", EnumSet.allOf(Trade.class), Hours.USUAL, Set.of(), Set.of());
    private static final ShopWeek WEEK = new ShopWeek(ZoneId.of("Europe/Berlin"), Set.of(), List.of(HAND), Map.of());

    private static Timetable table(int bodies) {
        BodyWork work = BodyWork.of(new TestBody().schedule());
        List<ShopCalendar.ToDo> all = new ArrayList<>();
        for (int i = 0; i < bodies; i++) {
            all.add(new ShopCalendar.ToDo("b" + i, "b" + i, Optional.empty(), work, Map.of(), Set.of(), Map.of()));
        }
        long now = WEEK.at(MONDAY, LocalTime.of(8, 0));
        return Search.of(new ShopCalendar(WEEK, all).workload(now), 20_000, Search.Watch.NOBODY);
    }

    @Test
    void the_days_of_a_hand_together_are_all_its_work_and_none_of_it_twice() {
        Timetable table = table(3);
        long sum = 0;
        for (LocalDate day = MONDAY; day.isBefore(MONDAY.plusDays(60)); day = day.plusDays(1)) {
            List<DayList.Entry> entries = DayList.of(WEEK, table, 0, day).entries();
            long end = 0;
            for (DayList.Entry entry : entries) {
                assertThat(WEEK.day(entry.from())).isEqualTo(day);
                assertThat(entry.from()).isGreaterThanOrEqualTo(end);
                end = entry.to();
                sum += entry.to() - entry.from();
            }
        }
        long work = table.slots().stream()
                .mapToLong(s -> s.setUp() + table.load().blocks().get(s.block()).minutes())
                .sum();
        assertThat(sum).isEqualTo(work);
    }

    @Test
    void the_first_is_now_and_what_is_done_while_glue_sets_says_until_when() {
        Timetable table = table(3);
        List<DayList.Entry> today = DayList.of(WEEK, table, 0, MONDAY).entries();
        assertThat(today.get(0).when()).isEqualTo(DayList.When.NOW);
        assertThat(today)
                .filteredOn(e -> e.when() == DayList.When.MEANWHILE)
                .isNotEmpty()
                .allSatisfy(e -> {
                    DayList.Rest rest = e.rests().orElseThrow();
                    assertThat(rest.until()).isGreaterThan(e.from());
                    assertThat(rest.slot().to()).isLessThanOrEqualTo(e.from());
                });
    }

    /** A glue-up that nothing comes after on its day sets over night. */
    @Test
    void a_glue_up_that_is_last_is_one_before_going_home() {
        Hand hand = HAND;
        long from = WEEK.at(MONDAY, LocalTime.of(14, 0));
        Workload load = TinyShop.of(hand, MONDAY, from)
                .body(
                        "a",
                        TinyShop.piece("saw", 60, 0),
                        TinyShop.piece("glue", 60, 24 * 60),
                        TinyShop.piece("plane", 45, 0))
                .load();
        Timetable table = Search.of(load);
        assertThat(DayList.of(WEEK, table, 0, MONDAY).entries())
                .extracting(DayList.Entry::when)
                .containsExactly(DayList.When.NOW, DayList.When.BEFORE_HOME);
        assertThat(DayList.of(WEEK, table, 0, MONDAY.plusDays(1)).entries())
                .extracting(DayList.Entry::when)
                .containsExactly(DayList.When.THEN);
    }
}
