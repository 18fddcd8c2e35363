package ebauche.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.measure.Refusal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Hours of hands on the shop's own clock. When clocks are put forward and back in Europe (last Sundays of March and October, at 1:00 UTC): directive 2000/84/EC, from memory.
 */
class StretchesTest {
    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");

    private static Hand hand(String hours, DayOfWeek... days) {
        Map<DayOfWeek, List<Spell>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : days) {
            week.put(day, Hours.day(hours));
        }
        return new Hand("h", "Hand", EnumSet.allOf(Trade.class), new Hours(week), Set.of(), Set.of());
    }

    private static long minute(String local) {
        return LocalDateTime.parse(local).atZone(BERLIN).toEpochSecond() / 60;
    }

    private static long worked(Hand hand, String day) {
        LocalDate date = LocalDate.parse(day);
        return hand.working(BERLIN, date, 1, Set.of()).spans().stream()
                .mapToLong(Stretches.Span::minutes)
                .sum();
    }

    @Test
    void a_night_in_which_the_clock_is_put_back_is_an_hour_longer_and_one_hour_shorter_in_spring() {
        Hand night = hand("22:00-30:00", DayOfWeek.SATURDAY);
        assertThat(worked(night, "2026-10-17")).isEqualTo(8 * 60);
        assertThat(worked(night, "2026-10-24")).isEqualTo(9 * 60);
        assertThat(worked(night, "2027-03-27")).isEqualTo(7 * 60);
    }

    @Test
    void work_at_eight_is_at_eight_on_the_clock_before_and_after_it_is_put_back() {
        Stretches time = hand("8:00-12:00", DayOfWeek.FRIDAY, DayOfWeek.MONDAY)
                .working(BERLIN, LocalDate.parse("2026-10-23"), 4, Set.of());
        assertThat(time.spans())
                .extracting(Stretches.Span::from)
                .containsExactly(minute("2026-10-23T08:00"), minute("2026-10-26T08:00"));
        assertThat(minute("2026-10-26T08:00") - minute("2026-10-23T08:00")).isEqualTo(3 * 24 * 60 + 60);
    }

    @Test
    void glue_that_cures_a_day_over_that_night_is_ready_an_hour_earlier_by_the_clock() {
        Hand hand = hand("8:00-18:00", DayOfWeek.values());
        Workload load = TinyShop.of(hand, LocalDate.parse("2026-10-24"), minute("2026-10-24T12:00"))
                .body("a", TinyShop.piece("glue", 30, 24 * 60), TinyShop.piece("level", 20, 0))
                .load();
        assertThat(Search.of(load).slots())
                .extracting(Timetable.Slot::from)
                .containsExactly(minute("2026-10-24T12:00"), minute("2026-10-25T11:30"));
    }

    @Test
    void a_step_that_fits_into_the_afternoon_is_not_torn_by_the_break_and_one_longer_than_any_stretch_is() {
        Hand hand = hand("8:00-12:00, 13:00-17:00", DayOfWeek.MONDAY, DayOfWeek.TUESDAY);
        Stretches time = hand.working(BERLIN, LocalDate.parse("2026-12-07"), 2, Set.of());
        assertThat(time.parts(minute("2026-12-07T11:40"), 0, new int[] {15, 30}))
                .containsExactly(
                        List.of(new Stretches.Span(minute("2026-12-07T11:40"), minute("2026-12-07T11:55"))),
                        List.of(new Stretches.Span(minute("2026-12-07T13:00"), minute("2026-12-07T13:30"))));
        assertThat(time.parts(minute("2026-12-07T09:00"), 0, new int[] {300}))
                .containsExactly(List.of(
                        new Stretches.Span(minute("2026-12-07T09:00"), minute("2026-12-07T12:00")),
                        new Stretches.Span(minute("2026-12-07T13:00"), minute("2026-12-07T15:00"))));
    }

    @Test
    void days_off_and_days_on_which_the_shop_is_closed_are_free_but_for_who_works_besides() {
        Hand usual = new Hand("h", "Hand", Set.of(), Hours.USUAL, Set.of(LocalDate.parse("2026-12-08")), Set.of());
        Set<LocalDate> closed = Set.of(LocalDate.parse("2026-12-09"));
        LocalDate monday = LocalDate.parse("2026-12-07");
        assertThat(usual.working(BERLIN, monday, 7, closed).between(0, Long.MAX_VALUE / 8))
                .isEqualTo(3 * 8 * 60);
        assertThat(usual.alsoOn(LocalDate.parse("2026-12-12"))
                        .working(BERLIN, monday, 7, closed)
                        .between(0, Long.MAX_VALUE / 8))
                .isEqualTo(4 * 8 * 60);
    }

    @ParameterizedTest
    @ValueSource(strings = {"17:00-8:00", "8-8", "25:00-26:00", "8:70-9:00", "morning", "8:00-33:00", "8-12, 11-13"})
    void hours_that_are_none_are_refused(String typed) {
        Map<DayOfWeek, List<Spell>> week = new EnumMap<>(DayOfWeek.class);
        assertThatThrownBy(() -> {
                    week.put(DayOfWeek.MONDAY, Hours.day(typed));
                    new Hours(week);
                })
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isIn("hours", "monday"));
    }

    @Test
    void hours_past_midnight_count_on_and_do_not_run_into_the_next_day() {
        assertThat(Hours.day("18:00-26:00")).containsExactly(new Spell(18 * 60, 26 * 60));
        assertThat(new Spell(18 * 60, 26 * 60).written()).isEqualTo("18:00-26:00");
        Map<DayOfWeek, List<Spell>> week = new EnumMap<>(DayOfWeek.class);
        week.put(DayOfWeek.MONDAY, Hours.day("18:00-32:00"));
        week.put(DayOfWeek.TUESDAY, Hours.day("7:00-12:00"));
        assertThatThrownBy(() -> new Hours(week)).isInstanceOf(Refusal.class).hasMessageContaining("next day");
    }
}
