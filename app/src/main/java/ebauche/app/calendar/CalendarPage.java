package ebauche.app.calendar;

import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import ebauche.core.calendar.Block;
import ebauche.core.calendar.Bound;
import ebauche.core.calendar.DayList;
import ebauche.core.calendar.Hand;
import ebauche.core.calendar.Help;
import ebauche.core.calendar.ShopCalendar;
import ebauche.core.calendar.ShopWeek;
import ebauche.core.calendar.Thing;
import ebauche.core.calendar.Timetable;
import ebauche.core.calendar.Trade;
import ebauche.core.calendar.Workload;
import ebauche.core.logbook.AsBuilt;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.util.UriComponentsBuilder;

/** What the page of the calendar shows: days of the shop, what is late and what would help, what waits, the bodies, the block in hand. */
@Component
class CalendarPage {
    /** So many days at a look. */
    static final int DAYS = 7;

    private static final int MINUTES_OF_A_DAY = 24 * 60;

    private final Timetables timetables;

    CalendarPage(Timetables timetables) {
        this.timetables = timetables;
    }

    /**
     * What is asked for.
     *
     * @param from the first day; today if it is none or past
     * @param body id of the body whose block is in hand, and a step of it; empty for none
     */
    record Asked(Optional<LocalDate> from, String body, String step) {
        static Asked of(String from, String body, String step) {
            return new Asked(day(from), body, step);
        }
    }

    /** A day as a browser sends it; empty where it is none that there could be. */
    static Optional<LocalDate> day(String typed) {
        if (!typed.matches("20\\d\\d-\\d\\d-\\d\\d")) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.parse(typed));
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    /** A body as the calendar has it. */
    public record BodyLine(
            String id, String name, String here, String due, long dueMark, String end, boolean late, String soonest) {}

    /**
     * A block without a place.
     *
     * @param says why
     * @param asked whether a day on which an answer is expected may be said
     */
    public record LeftOut(
            String name,
            String title,
            String address,
            String says,
            boolean asked,
            String id,
            String step,
            String day,
            long mark) {}

    /** What is done with a block, and how it stands. */
    public record Held(
            HeldBlock block,
            String here,
            String when,
            List<String> after,
            List<String> takes,
            List<Hand> able,
            String hand,
            String day,
            String time) {}

    /** How far it has come. */
    private record StageView(String stage, int percent, boolean underWay, int number) {}

    private record CalendarView(
            ShopClock clock,
            Optional<String> drawing,
            LocalDate from,
            LocalDate earlier,
            LocalDate later,
            LocalDate today,
            boolean first,
            Optional<String> finish,
            List<String> late,
            List<String> help,
            boolean helpSought,
            List<LeftOut> out,
            int afterSuch,
            List<BodyLine> bodies,
            Optional<Held> held,
            List<Hand> hands,
            String asked) {}

    /** Puts how far the timetable has come into the model. */
    static void stage(Timetables.Shown shown, Model model) {
        PageModel.put(
                model,
                new StageView(
                        Words.say("calendar.stage." + shown.stage().name().toLowerCase(Locale.ROOT)),
                        (int) Math.round(100 * shown.share()),
                        shown.stage().isUnderWay(),
                        shown.number()));
    }

    /** Puts the page into the model. */
    void show(long shop, Asked asked, Figures fig, Model model) {
        Timetables.Shown shown = timetables.shown(shop);
        stage(shown, model);
        ShopWeek week = shown.content().week().week();
        ShopClock clock = new ShopClock(week, fig);
        LocalDate today = week.day(shown.now());
        LocalDate from = asked.from().filter(d -> d.isAfter(today)).orElse(today);
        Optional<HeldBlock> held = HeldBlock.of(shown, asked.body(), asked.step());
        Optional<Timetable> table = shown.table();
        PageModel.put(
                model,
                new CalendarView(
                        clock,
                        table.map(t -> WeekDrawing.of(
                                shown, clock, from, DAYS, held, (body, step) -> address(from, body, step))),
                        from,
                        from.minusDays(DAYS).isBefore(today) ? today : from.minusDays(DAYS),
                        from.plusDays(DAYS),
                        today,
                        from.equals(today),
                        table.flatMap(t -> finish(t, shown.bound().orElseThrow(), clock)),
                        table.map(t -> late(t, clock)).orElse(List.of()),
                        shown.help().stream().map(h -> help(shown, h, clock)).toList(),
                        shown.stage() == Timetables.Stage.DONE,
                        table.map(t -> out(shown, t, from)).orElse(List.of()),
                        table.map(t -> (int) t.left().stream()
                                        .filter(l -> l.why() == Timetable.Why.AFTER_SUCH)
                                        .count())
                                .orElse(0),
                        table.map(t -> bodies(shown, t, clock)).orElse(List.of()),
                        held.map(h -> held(shown, h, clock)),
                        week.hands(),
                        address(from, asked.body(), asked.step())));
    }

    static String address(LocalDate from, String body, String step) {
        UriComponentsBuilder address =
                UriComponentsBuilder.fromPath("/calendar").queryParam("from", from);
        if (!body.isEmpty()) {
            address.queryParam("body", "{body}").queryParam("step", "{step}");
        }
        return address.encode()
                .buildAndExpand(Map.of("body", body, "step", step))
                .toString();
    }

    private static Optional<String> finish(Timetable table, Bound bound, ShopClock clock) {
        OptionalLong last = table.slots().stream()
                .mapToLong(s -> DayList.rest(table, s).map(DayList.Rest::until).orElse(s.to()))
                .max();
        if (last.isEmpty()) {
            return Optional.empty();
        }
        String all = Words.say("calendar.all-done", clock.moment(last.getAsLong()));
        String soonest = clock.moment(bound.last());
        return Optional.of(
                switch (bound.holds()) {
                    case NOTHING -> all;
                    case BODY -> all + " " + Words.say("calendar.no-sooner-body", soonest, bound.busiest());
                    case HANDS -> all + " " + Words.say("calendar.no-sooner-hands", soonest, bound.busiest());
                    case THING -> all + " " + Words.say("calendar.no-sooner-thing", soonest, bound.busiest());
                });
    }

    private static List<String> late(Timetable table, ShopClock clock) {
        List<String> late = new ArrayList<>();
        List<OptionalLong> ends = table.ends();
        for (int j = 0; j < ends.size(); j++) {
            Workload.Job job = table.load().jobs().get(j);
            if (job.due().isPresent() && ends.get(j).orElse(0) > job.due().getAsLong()) {
                late.add(Words.say(
                        "calendar.late",
                        job.name(),
                        clock.moment(ends.get(j).getAsLong()),
                        clock.day(clock.week().day(job.due().getAsLong() - 1)),
                        days(ends.get(j).getAsLong() - job.due().getAsLong(), clock)));
            }
        }
        return late;
    }

    /** A time by which something is late: days, or hours where it is less than one. */
    private static String days(long minutes, ShopClock clock) {
        return minutes < MINUTES_OF_A_DAY
                ? clock.fig().time((int) minutes)
                : Words.say("calendar.days", clock.fig().decimal((double) minutes / MINUTES_OF_A_DAY, 1));
    }

    private static String help(Timetables.Shown shown, Help help, ShopClock clock) {
        String less = help.late() == 0
                ? Words.say("calendar.nothing-late")
                : Words.say("calendar.late-by", days(help.late(), clock));
        return switch (help.kind()) {
            case FREE_DAY -> Words.say("calendar.help-day", clock.day(LocalDate.parse(help.of())), less);
            case ONE_MORE -> Words.say("calendar.help-more", more(shown.table().orElseThrow(), help), said(help), less);
            case THIS_FIRST ->
                Words.say(
                        "calendar.help-first",
                        shown.bodies().bodies().stream()
                                .filter(b -> b.id().equals(help.of()))
                                .map(ShopCalendar.ToDo::name)
                                .findFirst()
                                .orElse(help.of()),
                        less);
        };
    }

    private static int more(Timetable was, Help help) {
        return count(help.with(), help.of()) - count(was, help.of());
    }

    private static String said(Help help) {
        return help.with().load().things().stream()
                .filter(t -> t.name().equals(help.of()))
                .map(Thing::said)
                .findFirst()
                .orElse(help.of());
    }

    private static int count(Timetable table, String thing) {
        return table.load().things().stream()
                .filter(t -> t.name().equals(thing))
                .mapToInt(Thing::count)
                .sum();
    }

    private static List<LeftOut> out(Timetables.Shown shown, Timetable table, LocalDate from) {
        List<LeftOut> out = new ArrayList<>();
        for (Timetable.Left left : table.left()) {
            if (left.why() == Timetable.Why.AFTER_SUCH) {
                continue;
            }
            Block block = table.load().blocks().get(left.block());
            Workload.Job job = table.load().jobs().get(block.job());
            HeldBlock held = HeldBlock.of(shown, job.id(), block.name()).orElseThrow();
            Optional<AsBuilt.Asked> asked = held.part().asked();
            String step = asked.map(a -> a.operation().written()).orElse(block.name());
            Mark mark =
                    shown.content().marks().of(shown.byId().get(job.id()).body().id(), Mark.About.ANSWER, step);
            out.add(new LeftOut(
                    job.name(),
                    asked.map(AsBuilt.Asked::operation)
                            .flatMap(k -> block.pieces().stream()
                                    .filter(p -> p.key().equals(k.written()))
                                    .findFirst())
                            .orElse(block.pieces().get(0))
                            .title(),
                    address(from, job.id(), block.name()),
                    why(table, left.why(), block, held),
                    asked.isPresent() && !held.isOut(),
                    job.id(),
                    step,
                    mark.day().map(LocalDate::toString).orElse(""),
                    mark.id()));
        }
        return out;
    }

    private static String why(Timetable table, Timetable.Why why, Block block, HeldBlock held) {
        return switch (why) {
            case WAITS ->
                held.isOut()
                        ? Words.say("calendar.taken-out", held.mark().by())
                        : Words.say(
                                "calendar.waits-for",
                                held.part().asked().map(AsBuilt.Asked::whom).orElse(""));
            case NO_HAND ->
                Words.say(
                        "calendar.no-hand",
                        block.trades().stream().sorted().map(Trade::words).collect(Collectors.joining(", ")));
            case TOO_FEW ->
                block.uses().stream()
                        .filter(u ->
                                u.count() > table.load().things().get(u.thing()).count())
                        .map(u -> Words.say(
                                "calendar.too-few",
                                table.load().things().get(u.thing()).said(),
                                u.count(),
                                table.load().things().get(u.thing()).count()))
                        .collect(Collectors.joining(" "));
            case AFTER_SUCH -> "";
            case TOO_FAR -> Words.say("calendar.too-far");
        };
    }

    private static List<BodyLine> bodies(Timetables.Shown shown, Timetable table, ShopClock clock) {
        List<BodyLine> lines = new ArrayList<>();
        List<OptionalLong> ends = table.ends();
        Bound bound = shown.bound().orElseThrow();
        for (int j = 0; j < ends.size(); j++) {
            Workload.Job job = table.load().jobs().get(j);
            Bodies.Standing standing = shown.byId().get(job.id());
            Mark due = shown.content().marks().of(standing.body().id(), Mark.About.DUE, "");
            lines.add(new BodyLine(
                    job.id(),
                    job.name(),
                    "/bodies/" + job.id(),
                    due.day().map(LocalDate::toString).orElse(""),
                    due.id(),
                    ends.get(j).isPresent()
                            ? clock.moment(ends.get(j).getAsLong())
                            : Words.say("calendar.nobody-knows"),
                    job.due().isPresent() && ends.get(j).orElse(0) > job.due().getAsLong(),
                    clock.moment(bound.ends().get(j))));
        }
        return lines;
    }

    private static Held held(Timetables.Shown shown, HeldBlock held, ShopClock clock) {
        Timetable table = shown.table().orElseThrow();
        ShopWeek week = clock.week();
        long at = held.mark()
                .pin()
                .map(Block.Pin::at)
                .orElse(held.slot().map(Timetable.Slot::from).orElse(shown.now()));
        String hand = held.mark()
                .pin()
                .map(Block.Pin::hand)
                .or(() -> held.slot()
                        .map(s -> table.load().hands().get(s.hand()).hand().key()))
                .orElse("");
        Set<Trade> wanted = EnumSet.noneOf(Trade.class);
        wanted.addAll(held.part().trades());
        return new Held(
                held,
                "/bodies/" + held.body(),
                held.slot()
                        .map(s -> Words.say(
                                "calendar.when",
                                clock.span(s.from(), s.to()),
                                table.load().hands().get(s.hand()).hand().name()))
                        .orElse(held.why()
                                .map(w -> w == Timetable.Why.AFTER_SUCH
                                        ? Words.say("calendar.after-such")
                                        : why(table, w, block(table, held), held))
                                .orElse("")),
                after(shown, held, clock),
                held.part().uses().stream()
                        .map(u -> u.count() == 1 ? u.said() : Words.say("calendar.so-many", u.count(), u.said()))
                        .distinct()
                        .toList(),
                week.hands().stream()
                        .filter(h -> h.trades().containsAll(wanted))
                        .toList(),
                hand,
                week.day(at).toString(),
                week.time(at).toString());
    }

    private static Block block(Timetable table, HeldBlock held) {
        return table.load().blocks().stream()
                .filter(b -> b.name().equals(held.part().name())
                        && table.load().jobs().get(b.job()).id().equals(held.body()))
                .findFirst()
                .orElseThrow();
    }

    /** What must be done before it, and when that is. */
    private static List<String> after(Timetables.Shown shown, HeldBlock held, ShopClock clock) {
        Timetable table = shown.table().orElseThrow();
        Map<Integer, Timetable.Slot> slots = table.byBlock();
        List<String> after = new ArrayList<>();
        for (Block.After before : block(table, held).after()) {
            Block other = table.load().blocks().get(before.block());
            String title = other.pieces().get(other.pieces().size() - 1).title();
            Timetable.Slot slot = slots.get(before.block());
            after.add(
                    slot == null
                            ? title
                            : before.rest() > 0
                                    ? Words.say("calendar.after-rests", title, clock.moment(slot.to() + before.rest()))
                                    : Words.say("calendar.after", title, clock.moment(slot.to())));
        }
        return after;
    }
}
