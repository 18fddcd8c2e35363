package ebauche.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.TestBody;
import ebauche.core.feature.StepKey;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.order.Link;
import ebauche.core.plan.BuildPlan.PlanStep;
import ebauche.core.plan.Schedule;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A plan's steps as blocks of the calendar, and the calendar of a shop that has some such bodies. */
class BodyWorkTest {
    private static final LocalDate MONDAY = LocalDate.parse("2026-12-07");

    private static List<String> keys(BodyWork work) {
        return work.parts().stream()
                .flatMap(p -> p.pieces().stream())
                .map(Block.Piece::key)
                .toList();
    }

    private static List<PlanStep> toDo(Schedule schedule) {
        return schedule.steps().stream().filter(s -> !s.done()).toList();
    }

    private static ShopCalendar shop(ShopCalendar.ToDo... bodies) {
        Hand hand = new Hand("h", "Hand", EnumSet.allOf(Trade.class), Hours.USUAL, Set.of(), Set.of());
        return new ShopCalendar(
                new ShopWeek(ZoneId.of("Europe/Berlin"), Set.of(), List.of(hand), Map.of()), List.of(bodies));
    }

    private static ShopCalendar.ToDo toDo(String id, Schedule schedule, String due) {
        return new ShopCalendar.ToDo(
                id,
                id,
                due.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(due)),
                BodyWork.of(schedule),
                Map.of(),
                Set.of(),
                Map.of());
    }

    private static Timetable table(ShopCalendar shop) {
        return Search.of(shop.workload(shop.week().start(MONDAY) + 8 * 60), 20_000, Search.Watch.NOBODY);
    }

    @Test
    void every_step_that_is_not_done_lies_in_one_block_in_the_order_of_the_plan() {
        Schedule schedule = new TestBody().doneUpTo("blank:glue").schedule();
        assertThat(keys(BodyWork.of(schedule)))
                .containsExactlyElementsOf(toDo(schedule).stream()
                        .map(s -> s.operation().key().written())
                        .toList());
    }

    /** By ways from block to block, every link of the plan holds with its rest. */
    @Test
    void every_link_of_the_plan_holds_between_blocks() {
        Schedule schedule = new TestBody().schedule();
        List<BodyWork.Part> parts = BodyWork.of(schedule).parts();
        Map<String, Integer> blockOf = new HashMap<>();
        for (int i = 0; i < parts.size(); i++) {
            for (Block.Piece piece : parts.get(i).pieces()) {
                blockOf.put(piece.key(), i);
            }
        }
        int between = 0;
        for (Link link : schedule.ordering().links()) {
            int before = blockOf.get(link.before().written());
            int after = blockOf.get(link.after().written());
            assertThat(before).isLessThanOrEqualTo(after);
            if (before < after) {
                between++;
                assertThat(longestRest(parts, before, after))
                        .as(link.before() + " before " + link.after())
                        .isGreaterThanOrEqualTo(link.lagMinutes());
            }
        }
        assertThat(between).isGreaterThan(50);
    }

    /** The greatest sum of rests on a way from one block to another; less than nothing where there is no way. */
    private static int longestRest(List<BodyWork.Part> parts, int from, int to) {
        if (from == to) {
            return 0;
        }
        int best = -1;
        for (Map.Entry<Integer, Integer> after : parts.get(to).after().entrySet()) {
            int rest = after.getKey() >= from ? longestRest(parts, from, after.getKey()) : -1;
            best = rest < 0 ? best : Math.max(best, rest + after.getValue());
        }
        return best;
    }

    @Test
    void a_glue_up_stands_alone_with_the_clamps_that_its_sheet_has_and_what_follows_waits_for_it() {
        Schedule schedule = new TestBody().schedule();
        BodyWork.Part glue = BodyWork.of(schedule).with("blank:glue").orElseThrow();
        assertThat(glue.pieces()).hasSize(1);
        assertThat(glue.trades()).containsExactly(Trade.GLUE);
        assertThat(glue.uses()).extracting(BodyWork.Wanted::thing).contains("pipe clamp", "edge caul");
        assertThat(glue.uses()).allSatisfy(u -> {
            assertThat(u.count()).isBetween(1, u.there());
            assertThat(u.after()).isEqualTo(60);
        });
        Timetable table = table(shop(toDo("a", schedule, "")));
        Map<Integer, Timetable.Slot> by = table.byBlock();
        List<Block> blocks = table.load().blocks();
        Timetable.Slot glued = by.get(1);
        assertThat(blocks.get(glued.block()).name()).isEqualTo("blank:glue");
        assertThat(by.get(2).from() - glued.to()).isGreaterThanOrEqualTo(24 * 60);
        assertThat(Checker.flaws(table)).isEmpty();
    }

    /** The sled that takes two passes here and three there is one sled, which two bodies cannot have at once. */
    @Test
    void a_machine_is_one_thing_however_many_passes_it_takes() {
        Schedule schedule = new TestBody().schedule();
        BodyWork.Part part = BodyWork.of(schedule).with("thickness:front").orElseThrow();
        assertThat(part.uses())
                .extracting(BodyWork.Wanted::thing)
                .contains(schedule.build().thicknessing().words());
    }

    /** Nobody else has a template while it is on a body. */
    @Test
    void nothing_is_parted_while_a_template_is_on_the_body() {
        Schedule schedule = new TestBody().schedule();
        BodyWork work = BodyWork.of(schedule);
        int on = 0;
        String fixed = "";
        for (PlanStep step : schedule.steps()) {
            Operation operation = step.operation();
            if (operation.needs().stream().anyMatch(Condition.Held.class::isInstance)) {
                on++;
                assertThat(work.with(operation.key().written())).isEqualTo(work.with(fixed));
            }
            if (operation.gives().stream().anyMatch(Condition.Held.class::isInstance)) {
                fixed = operation.key().written();
            }
        }
        assertThat(on).isGreaterThan(5);
    }

    @Test
    void what_was_glued_yesterday_rests_until_it_may_be_worked() {
        TestBody body = new TestBody().doneUpTo("blank:glue");
        Schedule schedule = body.schedule();
        String at = schedule.build()
                .asBuilt()
                .done(StepKey.parse("blank:glue"))
                .orElseThrow()
                .at();
        long rested = Instant.parse(at).getEpochSecond() / 60 + 24 * 60;
        BodyWork.Part level = BodyWork.of(schedule).with("thickness:front").orElseThrow();
        assertThat(level.rested()).isBetween(rested, rested + 1);
    }

    /** A step that somebody is asked about waits until a day is named; what does not need it goes on. */
    @Test
    void a_step_that_waits_for_a_yes_is_left_out_until_somebody_says_when() {
        TestBody body = new TestBody().doneUpTo("blank:glue");
        StepKey asked = StepKey.parse("controls:rout");
        body.timeline.add(new AsBuilt.Asked("q", "2026-12-01T10:00:00Z", "me", asked, "the client"));
        BodyWork work = BodyWork.of(body.schedule());
        assertThat(work.asked()).containsExactly(asked);
        ShopCalendar.ToDo open = new ShopCalendar.ToDo("a", "a", Optional.empty(), work, Map.of(), Set.of(), Map.of());
        Timetable waits = table(shop(open));
        assertThat(waits.left()).anyMatch(l -> l.why() == Timetable.Why.WAITS);
        assertThat(waits.left()).anyMatch(l -> l.why() == Timetable.Why.AFTER_SUCH);
        assertThat(waits.slots()).isNotEmpty();
        assertThat(waits.ends()).containsExactly(OptionalLong.empty());
        LocalDate thursday = MONDAY.plusDays(3);
        ShopCalendar shop = shop(
                new ShopCalendar.ToDo("a", "a", Optional.empty(), work, Map.of(asked, thursday), Set.of(), Map.of()));
        Timetable said = table(shop);
        assertThat(said.left()).isEmpty();
        int block = new ArrayList<>(said.load().blocks())
                .indexOf(said.load().blocks().stream()
                        .filter(b -> b.pieces().stream().anyMatch(p -> p.key().equals("controls:rout")))
                        .findFirst()
                        .orElseThrow());
        assertThat(said.byBlock().get(block).from())
                .isGreaterThanOrEqualTo(shop.week().start(thursday));
    }

    @Test
    void a_late_body_is_helped_by_a_saturday() {
        Schedule schedule = new TestBody().schedule();
        ShopCalendar shop = shop(
                toDo("a", schedule, "2026-12-11"),
                toDo("b", schedule, "2026-12-11"),
                toDo("c", schedule, "2026-12-11"));
        Timetable table = table(shop);
        assertThat(table.loss().late()).isPositive();
        List<Help> helps = Help.of(shop, table, 20_000, Search.Watch.NOBODY);
        assertThat(helps).anySatisfy(h -> {
            assertThat(h.kind()).isEqualTo(Help.Kind.FREE_DAY);
            assertThat(h.of()).isEqualTo("2026-12-12");
            assertThat(h.late()).isLessThan(table.loss().late());
        });
        assertThat(Help.of(
                        shop(toDo("b", schedule, "")),
                        table(shop(toDo("b", schedule, ""))),
                        1_000,
                        Search.Watch.NOBODY))
                .isEmpty();
    }

    /** Of two bodies that want the same drill set up one is done right behind the other where that pays. */
    @Test
    void a_machine_that_stands_as_the_next_wants_it_is_not_set_up_anew() {
        Hand hand = new Hand("h", "Hand", EnumSet.allOf(Trade.class), Hours.USUAL, Set.of(), Set.of());
        long from = shop().week().start(MONDAY) + 8 * 60;
        List<Block.Use> small = List.of(new Block.Use(0, 1, 0, "3 mm", "3 mm", 20));
        List<Block.Use> large = List.of(new Block.Use(0, 1, 0, "10 mm", "10 mm", 20));
        Workload load = TinyShop.of(hand, MONDAY, from)
                .thing("drill", 1)
                .body("a", OptionalLong.empty(), small, TinyShop.piece("one", 30, 0))
                .body("b", OptionalLong.empty(), large, TinyShop.piece("two", 30, 0))
                .body("c", OptionalLong.empty(), small, TinyShop.piece("three", 30, 0))
                .load();
        Timetable table = Search.of(load, 20_000, Search.Watch.NOBODY);
        assertThat(table.loss().setUps()).isEqualTo(40);
        assertThat(Checker.flaws(table)).isEmpty();
    }

    /** What was moved by hand stays there, and the rest goes round it; before what it needs it cannot stay. */
    @Test
    void a_block_that_was_put_somewhere_stays_there_unless_what_it_needs_is_later() {
        Hand hand = new Hand("h", "Hand", EnumSet.allOf(Trade.class), Hours.USUAL, Set.of(), Set.of());
        long from = shop().week().start(MONDAY) + 8 * 60;
        Workload load = TinyShop.of(hand, MONDAY, from)
                .body("a", TinyShop.piece("one", 60, 0), TinyShop.piece("two", 60, 0))
                .load();
        List<Block> blocks = load.blocks();
        Block.Pin late = new Block.Pin("h", from + 180);
        Timetable kept =
                Search.of(load.with(List.of(blocks.get(0), blocks.get(1).pinned(Optional.of(late)))));
        assertThat(kept.byBlock().get(1).from()).isEqualTo(from + 180);
        Block.Pin soon = new Block.Pin("h", from + 30);
        Timetable moved =
                Search.of(load.with(List.of(blocks.get(0), blocks.get(1).pinned(Optional.of(soon)))));
        assertThat(moved.byBlock().get(1).from())
                .isGreaterThanOrEqualTo(moved.byBlock().get(0).to());
        assertThat(moved.loss().lost()).isEqualTo(1);
        assertThat(Checker.flaws(moved)).isEmpty();
    }

    /** Put where its hand does not work, or on a hand that is none, a block cannot stay: that counts, and it is done all the same. */
    @Test
    void a_block_that_was_put_where_nobody_works_is_done_elsewhere_and_counts() {
        Hand hand = new Hand("h", "Hand", EnumSet.allOf(Trade.class), Hours.USUAL, Set.of(), Set.of());
        long from = shop().week().start(MONDAY) + 8 * 60;
        Workload load = TinyShop.of(hand, MONDAY, from)
                .body("a", TinyShop.piece("one", 60, 0))
                .load();
        for (Block.Pin pin : List.of(new Block.Pin("h", from + 12 * 60), new Block.Pin("nobody", from))) {
            Timetable table = Search.of(load.with(List.of(load.blocks().get(0).pinned(Optional.of(pin)))));
            assertThat(table.slots()).extracting(Timetable.Slot::from).containsExactly(from);
            assertThat(table.loss().lost()).isEqualTo(1);
        }
    }
}
