package ebauche.exchange.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.calendar.Block;
import ebauche.core.calendar.BodyWork;
import ebauche.core.calendar.Hand;
import ebauche.core.calendar.Help;
import ebauche.core.calendar.Hours;
import ebauche.core.calendar.Search;
import ebauche.core.calendar.ShopCalendar;
import ebauche.core.calendar.ShopWeek;
import ebauche.core.calendar.Timetable;
import ebauche.core.calendar.Trade;
import ebauche.core.calendar.Workload;
import ebauche.core.order.Link;
import ebauche.core.plan.BuildPlan.PlanStep;
import ebauche.core.plan.Planner;
import ebauche.core.plan.Schedule;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.file.Timeline;
import ebauche.exchange.json.JsonText;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Three weeks of a shop: four bodies of the demo shop and eight more, ordered as shaped bodies or as blanks; two hands, one router table, twelve clamps. On
 * Tuesday the seam that was glued on Monday turns out open: its body is jointed and glued again, and the rest follows.
 *
 * <p>What is checked is read from the plans, link by link, and counted minute by minute, not by what made the timetable.
 */
class ThreeWeeksTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 1, 11);
    private static final LocalDate LAST = MONDAY.plusDays(18);
    private static final ShopWeek WEEK = new ShopWeek(
            ZoneId.of("Europe/Berlin"),
            Set.of(),
            List.of(
                    new Hand("m", "Maud", EnumSet.allOf(Trade.class), Hours.USUAL, Set.of(), Set.of()),
                    new Hand(
                            "j",
                            "Joss",
                            EnumSet.of(Trade.BENCH, Trade.GLUE, Trade.SURFACE, Trade.SAND, Trade.DRILL),
                            Hours.USUAL,
                            Set.of(),
                            Set.of())),
            Map.of());
    private static final long BEGIN = WEEK.at(MONDAY, LocalTime.of(8, 0));
    private static final long NOON = WEEK.at(MONDAY.plusDays(1), LocalTime.NOON);

    /** The body whose seam opens. */
    private static final String OPEN = "tussock 2";

    /**
     * One of the twelve.
     *
     * @param weeks until it is due
     */
    private record Ordered(String name, String of, String endsAs, int weeks) {}

    private static final List<Ordered> ORDERED = List.of(
            new Ordered("tussock 1", "tussock", "finished", 3),
            new Ordered("sedge 1", "sedge", "finished", 3),
            new Ordered("shale 1", "shale", "finished", 3),
            new Ordered("marram 1", "marram", "finished", 3),
            new Ordered(OPEN, "tussock", "unrouted", 1),
            new Ordered("sedge 2", "sedge", "unrouted", 2),
            new Ordered("shale 2", "shale", "unrouted", 3),
            new Ordered("tussock 3", "tussock", "blank", 1),
            new Ordered("sedge 3", "sedge", "blank", 1),
            new Ordered("shale 3", "shale", "blank", 1),
            new Ordered("marram 2", "marram", "blank", 2),
            new Ordered("fescue 1", "fescue", "blank", 2));

    private static final Map<String, Integer> OWNED =
            Map.of("bar clamp", 6, "pipe clamp", 4, "deep-reach clamp", 2, "router table", 1);

    private static Map<String, Schedule> asOrdered;
    private static Map<String, Schedule> onTuesday;
    private static Timetable first;
    private static Timetable then;

    private static ObjectNode file(Ordered ordered) {
        ObjectNode file = (ObjectNode) JsonText.tree(DemoBodies.bytes(ordered.of()));
        file.remove("asBuilt");
        file.withObject("/design").put("endsAs", ordered.endsAs());
        file.withObject("/shop/practice").put("edge", "table");
        file.withObject("/shop").set("crib", DemoBodies.shop().get("crib"));
        file.withObject("/shop/crib")
                .withArray("/routers")
                .addObject()
                .put("name", "router table")
                .put("kind", "table")
                .put("baseDiameter", "200 mm")
                .put("plunge", "60 mm");
        ArrayNode clamps = file.withObject("/shop/gluing").putArray("clamps");
        clamp(clamps, "bar clamp", 6, 600, 80);
        clamp(clamps, "pipe clamp", 4, 900, 45);
        clamp(clamps, "deep-reach clamp", 2, 250, 280);
        return file;
    }

    private static void clamp(ArrayNode clamps, String name, int count, int opening, int reach) {
        clamps.addObject()
                .put("name", name)
                .put("count", count)
                .put("opening", opening + " mm")
                .put("reach", reach + " mm")
                .put("jaw", "35 mm")
                .put("force", 4500);
    }

    private static Schedule schedule(ObjectNode file) {
        return Planner.schedule(
                BuildFile.read(file.toString().getBytes(StandardCharsets.UTF_8)).build());
    }

    private static ShopCalendar shop(Map<String, Schedule> schedules) {
        return new ShopCalendar(
                WEEK,
                ORDERED.stream()
                        .map(o -> new ShopCalendar.ToDo(
                                o.name(),
                                o.name(),
                                Optional.of(MONDAY.plusDays(7L * o.weeks() - 3)),
                                BodyWork.of(schedules.get(o.name())),
                                Map.of(),
                                Set.of(),
                                Map.of()))
                        .toList());
    }

    /** What was done by Tuesday noon as the timetable had it; the body with the open seam stands as before it was jointed. */
    private static ObjectNode withDone(Ordered ordered) {
        ObjectNode file = file(ordered);
        ArrayNode timeline = file.withObject("/asBuilt").putArray("timeline");
        Set<String> jointed = asOrdered.get(ordered.name()).steps().stream()
                .map(s -> s.operation().key().written())
                .dropWhile(k -> !k.equals("blank:joint"))
                .collect(Collectors.toSet());
        for (Timetable.Slot slot : first.slots()) {
            Block block = first.load().blocks().get(slot.block());
            if (slot.to() > NOON || !first.load().jobs().get(block.job()).id().equals(ordered.name())) {
                continue;
            }
            for (Block.Piece piece : block.pieces()) {
                if (!(ordered.name().equals(OPEN) && jointed.contains(piece.key()))) {
                    PlanStep step =
                            asOrdered.get(ordered.name()).step(piece.key()).orElseThrow();
                    String at = Instant.ofEpochSecond(slot.to() * 60).toString();
                    timeline.add(Timeline.write(step.asDone("done-" + timeline.size(), at, "Maud")));
                }
            }
        }
        return file;
    }

    @BeforeAll
    static void plan() {
        asOrdered = new LinkedHashMap<>();
        ORDERED.forEach(o -> asOrdered.put(o.name(), schedule(file(o))));
        first = Search.of(shop(asOrdered).workload(BEGIN));
        onTuesday = new LinkedHashMap<>();
        ORDERED.forEach(o -> onTuesday.put(o.name(), schedule(withDone(o))));
        Workload load = shop(onTuesday).workload(NOON);
        then = Search.of(load, Search.effort(load), Search.Watch.NOBODY, Optional.of(first));
    }

    @Test
    void three_weeks_hold_all_twelve_as_they_were_ordered() {
        assertThat(first.left()).isEmpty();
        assertThat(first.late()).containsOnly(0L);
        assertThat(first.last().orElseThrow()).isLessThan(WEEK.start(LAST.plusDays(1)));
        assertSound(first, asOrdered, BEGIN);
        assertThat(WEEK.day(slots(first, OPEN).get("blank:glue").to())).isEqualTo(MONDAY);
    }

    /** Glued again, it rests again; it is late then, nothing else is, and a Saturday would help. */
    @Test
    void an_open_seam_on_tuesday_moves_its_body_and_what_would_help_is_told() {
        assertThat(then.left()).isEmpty();
        assertSound(then, onTuesday, NOON);
        Map<String, Timetable.Slot> again = slots(then, OPEN);
        assertThat(again.get("blank:joint").from()).isGreaterThanOrEqualTo(NOON);
        assertThat(again.get("thickness:front").from())
                .isGreaterThanOrEqualTo(again.get("blank:glue").to() + 24 * 60);
        List<String> late = ORDERED.stream()
                .map(Ordered::name)
                .filter(n -> then.late().get(ORDERED.indexOf(named(n))) > 0)
                .toList();
        assertThat(late).containsExactly(OPEN);
        List<Help> help = Help.of(shop(onTuesday), then, 60_000, Search.Watch.NOBODY);
        assertThat(help.get(0).kind()).isEqualTo(Help.Kind.FREE_DAY);
        assertThat(help.get(0).of()).isEqualTo(MONDAY.plusDays(5).toString());
        assertThat(help.get(0).late())
                .isLessThan(then.late().stream().mapToLong(l -> l).sum());
    }

    private static Ordered named(String name) {
        return ORDERED.stream().filter(o -> o.name().equals(name)).findFirst().orElseThrow();
    }

    /** Read from the plans and counted minute by minute. */
    private static void assertSound(Timetable table, Map<String, Schedule> schedules, long from) {
        schedules.forEach((body, schedule) -> {
            Map<String, Timetable.Slot> slots = slots(table, body);
            Set<String> undone = schedule.steps().stream()
                    .filter(s -> !s.done())
                    .map(s -> s.operation().key().written())
                    .collect(Collectors.toSet());
            assertThat(slots.keySet()).as(body).isEqualTo(undone);
            for (Link link : schedule.ordering().links()) {
                Timetable.Slot before = slots.get(link.before().written());
                Timetable.Slot after = slots.get(link.after().written());
                if (before != null && after != null && !before.equals(after)) {
                    assertThat(after.from())
                            .as(body + ": " + link.after().written() + " after "
                                    + link.before().written())
                            .isGreaterThanOrEqualTo(before.to() + link.lagMinutes());
                }
            }
        });
        Map<String, int[]> taken = new HashMap<>();
        Map<String, Integer> there = new HashMap<>();
        for (Timetable.Slot slot : table.slots()) {
            assertThat(slot.from()).isGreaterThanOrEqualTo(from);
            for (long m = slot.from(); m < slot.to(); m++) {
                int hand = slot.hand();
                if (atWork(m)) {
                    count(taken, there, "hand " + hand, 1, 1, m);
                }
            }
            assertThat(atWork(slot.from())).isTrue();
            assertThat(atWork(slot.to() - 1)).isTrue();
            for (Block.Use use : table.load().blocks().get(slot.block()).uses()) {
                String thing = table.load().things().get(use.thing()).name();
                int owned = OWNED.getOrDefault(
                        thing, table.load().things().get(use.thing()).count());
                for (long m = slot.from(); m < slot.to() + use.after(); m++) {
                    count(taken, there, thing, use.count(), owned, m);
                }
            }
        }
        taken.forEach((thing, minutes) ->
                assertThat(Arrays.stream(minutes).max().orElse(0)).as(thing).isLessThanOrEqualTo(there.get(thing)));
        assertThat(taken).containsKeys("router table", "bar clamp", "pipe clamp", "deep-reach clamp");
    }

    private static void count(
            Map<String, int[]> taken, Map<String, Integer> there, String thing, int many, int owned, long minute) {
        there.put(thing, owned);
        taken.computeIfAbsent(thing, t -> new int[60 * 24 * 60])[(int) (minute - BEGIN)] += many;
    }

    /** Eight to twelve and one to five, Monday to Friday, in the shop's own time. */
    private static boolean atWork(long minute) {
        LocalTime time = WEEK.time(minute);
        int hour = time.getHour();
        return WEEK.day(minute).getDayOfWeek().getValue() < 6
                && ((hour >= 8 && hour < 12) || (hour >= 13 && hour < 17));
    }

    private static Map<String, Timetable.Slot> slots(Timetable table, String body) {
        Map<String, Timetable.Slot> slots = new HashMap<>();
        for (Timetable.Slot slot : table.slots()) {
            Block block = table.load().blocks().get(slot.block());
            if (table.load().jobs().get(block.job()).id().equals(body)) {
                block.pieces().forEach(p -> slots.put(p.key(), slot));
            }
        }
        return slots;
    }
}
