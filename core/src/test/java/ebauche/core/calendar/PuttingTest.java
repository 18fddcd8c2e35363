package ebauche.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.calendar.Putting.Against;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What is put somewhere by hand is looked at before anything moves. */
class PuttingTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 30);
    private static final BodyWork WORK = BodyWork.of(new TestBody().schedule());
    private static final Hand ALL = new Hand("all", "All", EnumSet.allOf(Trade.class), Hours.USUAL, Set.of(), Set.of());
    private static final Hand BENCH = new Hand("bench", "Bench", Set.of(Trade.BENCH), Hours.USUAL, Set.of(), Set.of());
    private static final ShopWeek WEEK =
            new ShopWeek(ZoneId.of("Europe/Berlin"), Set.of(), List.of(ALL, BENCH), Map.of());

    private static ShopCalendar shop(Map<String, Block.Pin> first, Map<String, Block.Pin> second) {
        return new ShopCalendar(WEEK, List.of(body("a", first), body("b", second)));
    }

    private static ShopCalendar.ToDo body(String id, Map<String, Block.Pin> pins) {
        return new ShopCalendar.ToDo(id, id, Optional.empty(), WORK, Map.of(), Set.of(), pins);
    }

    private static long at(int day, String time) {
        return WEEK.at(MONDAY.plusDays(day), LocalTime.parse(time));
    }

    private static final long NOW = at(0, "08:00");

    private static Optional<Putting.Trouble> against(ShopCalendar shop, String step, String hand, long at) {
        return new Putting(shop, NOW).against("a", step, new Block.Pin(hand, at));
    }

    @Test
    void a_block_may_be_put_where_nothing_stands_against_it_and_stays_there() {
        ShopCalendar shop = shop(Map.of(), Map.of());
        long friday = at(4, "09:15");
        assertThat(against(shop, "blank:glue", "all", friday)).isEmpty();
        ShopCalendar put = shop(Map.of("blank:glue", new Block.Pin("all", friday)), Map.of());
        Timetable table = Search.of(put.workload(NOW), 20_000, Search.Watch.NOBODY);
        assertThat(table.loss().lost()).isZero();
        assertThat(table.slots())
                .filteredOn(s -> table.load().blocks().get(s.block()).pin().isPresent())
                .extracting(Timetable.Slot::from)
                .containsExactly(friday);
        assertThat(Checker.flaws(table)).isEmpty();
    }

    @Test
    void what_is_over_who_is_gone_not_trusted_or_at_home_is_told() {
        ShopCalendar shop = shop(Map.of(), Map.of());
        assertThat(against(shop, "blank:glue", "all", NOW - 60)).get().returns(Against.PAST, Putting.Trouble::against);
        assertThat(against(shop, "blank:glue", "gone", at(1, "08:00")))
                .get()
                .returns(Against.NO_HAND, Putting.Trouble::against);
        assertThat(against(shop, "blank:glue", "bench", at(1, "08:00")))
                .get()
                .returns(Against.TRADE, Putting.Trouble::against);
        Putting.Trouble noon =
                against(shop, "blank:glue", "all", at(1, "12:15")).orElseThrow();
        assertThat(noon.against()).isEqualTo(Against.NOT_AT_WORK);
        assertThat(noon.soonest()).isEqualTo(at(1, "13:00"));
    }

    /** The blank is glued for a day before it is flattened: with the joint's work before it, never by noon. */
    @Test
    void a_step_put_before_what_it_needs_is_refused_with_when_it_could_be() {
        Putting.Trouble trouble = against(shop(Map.of(), Map.of()), "thickness:front", "all", at(0, "13:00"))
                .orElseThrow();
        assertThat(trouble.against()).isEqualTo(Against.NEEDS);
        assertThat(trouble.soonest()).isGreaterThanOrEqualTo(NOW + 24 * 60);
        assertThat(trouble.other()).isNotBlank();
        long then = trouble.soonest();
        assertThat(against(shop(Map.of(), Map.of()), "thickness:front", "all", then - 1))
                .isPresent();
        assertThat(against(shop(Map.of(), Map.of()), "thickness:front", "all", at(7, "09:00")))
                .isEmpty();
    }

    @Test
    void what_was_put_sooner_and_needs_it_and_what_has_the_same_hand_stand_against_it() {
        ShopCalendar later = shop(Map.of("thickness:front", new Block.Pin("all", at(2, "09:00"))), Map.of());
        assertThat(against(later, "blank:glue", "all", at(2, "14:00")))
                .get()
                .returns(Against.LATER_ONE, Putting.Trouble::against);
        ShopCalendar other = shop(Map.of(), Map.of("blank:glue", new Block.Pin("all", at(3, "09:00"))));
        Putting.Trouble meets =
                against(other, "blank:glue", "all", at(3, "09:05")).orElseThrow();
        assertThat(meets.against()).isEqualTo(Against.MEETS);
        assertThat(meets.body()).isEqualTo("b");
    }

    /** The days that are looked at reach as far as somebody puts something. */
    @Test
    void a_block_may_be_put_half_a_year_ahead_and_what_comes_after_it_follows() {
        long summer = at(182, "09:00");
        assertThat(against(shop(Map.of(), Map.of()), "blank:glue", "all", summer))
                .isEmpty();
        ShopCalendar put = shop(Map.of("blank:glue", new Block.Pin("all", summer)), Map.of());
        Timetable table = Search.atOnce(put.workload(NOW), Optional.empty());
        assertThat(table.left()).isEmpty();
        assertThat(table.loss().lost()).isZero();
    }

    /** What time went by unused is put nowhere any more. */
    @Test
    void a_place_that_is_past_is_none() {
        ShopCalendar shop = shop(Map.of("blank:glue", new Block.Pin("all", NOW - 600)), Map.of());
        Timetable table = Search.atOnce(shop.workload(NOW), Optional.empty());
        assertThat(table.loss().lost()).isZero();
        assertThat(table.load().blocks()).allMatch(b -> b.pin().isEmpty());
    }

    /** The same work an hour later, with nothing done: who does what in which order stays. */
    @Test
    void a_timetable_that_is_worked_by_stays_as_it_is_unless_another_is_clearly_better() {
        ShopCalendar shop = shop(Map.of(), Map.of());
        Timetable first = Search.of(shop.workload(NOW), 30_000, Search.Watch.NOBODY);
        Timetable again = Search.atOnce(shop.workload(NOW), Optional.of(first));
        assertThat(again.slots()).isEqualTo(first.slots());
        Timetable searched = Search.of(shop.workload(NOW), 2_000, Search.Watch.NOBODY, Optional.of(first));
        assertThat(searched.loss().total()).isLessThanOrEqualTo(first.loss().total());
        Timetable hour = Search.atOnce(shop.workload(NOW + 60), Optional.of(first));
        assertThat(hands(hour)).isEqualTo(hands(first));
        assertThat(Checker.flaws(hour)).isEmpty();
    }

    /** Whose each block is. */
    private static Map<Integer, Integer> hands(Timetable table) {
        return table.slots().stream().collect(Collectors.toMap(Timetable.Slot::block, Timetable.Slot::hand));
    }
}
