package ebauche.app.calendar;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import ebauche.core.calendar.Block;
import ebauche.core.calendar.Bound;
import ebauche.core.calendar.Hand;
import ebauche.core.calendar.ShopWeek;
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
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.util.UriComponentsBuilder;

/** What the page of the calendar shows: days of the shop, what is late and what would help, what waits, the bodies, the block in hand. */
@Component
class CalendarPage {
    /** So many days at a look. */
    static final int DAYS = 7;

    private final Timetables timetables;
    private final Cache<Question, CalendarView> made =
            Caffeine.newBuilder().maximumSize(60).build();

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

    /** A glue-up for which the shop has too few clamps. */
    public record Lacking(String name, String title, String address, String says) {}

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
            List<Lacking> lacking,
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

    /**
     * All that a page follows from: a timetable has a number of its own in its shop.
     *
     * @param stage what would help late bodies is told once it is known
     */
    private record Question(long shop, int number, Timetables.Stage stage, Asked asked, Figures fig, Locale language) {}

    /** Puts the page into the model; it is made once for each timetable. */
    void show(long shop, Asked asked, Figures fig, Model model) {
        Timetables.Shown shown = timetables.shown(shop);
        stage(shown, model);
        Question question = new Question(shop, shown.number(), shown.stage(), asked, fig, Words.language());
        PageModel.put(model, made.get(question, q -> view(shown, asked, fig)));
    }

    private static CalendarView view(Timetables.Shown shown, Asked asked, Figures fig) {
        ShopWeek week = shown.content().week().week();
        ShopClock clock = new ShopClock(week, fig);
        LocalDate today = week.day(shown.now());
        LocalDate from = asked.from().filter(d -> d.isAfter(today)).orElse(today);
        Optional<HeldBlock> held = HeldBlock.of(shown, asked.body(), asked.step());
        Optional<Timetable> table = shown.table();
        return new CalendarView(
                clock,
                table.map(
                        t -> WeekDrawing.of(shown, clock, from, DAYS, held, (body, step) -> address(from, body, step))),
                from,
                from.minusDays(DAYS).isBefore(today) ? today : from.minusDays(DAYS),
                from.plusDays(DAYS),
                today,
                from.equals(today),
                table.flatMap(t -> CalendarWords.finish(t, shown.bound().orElseThrow(), clock)),
                table.map(t -> CalendarWords.late(t, clock)).orElse(List.of()),
                shown.help().stream()
                        .map(h -> CalendarWords.help(shown, h, clock))
                        .toList(),
                shown.stage() == Timetables.Stage.DONE,
                table.map(t -> out(shown, t, from)).orElse(List.of()),
                table.map(t -> (int) t.left().stream()
                                .filter(l -> l.why() == Timetable.Why.AFTER_SUCH)
                                .count())
                        .orElse(0),
                lacking(shown, from),
                table.map(t -> bodies(shown, t, clock)).orElse(List.of()),
                held.map(h -> held(shown, h, clock)),
                week.hands(),
                address(from, asked.body(), asked.step()));
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
                    CalendarWords.why(table, left.why(), block, held),
                    asked.isPresent() && !held.isOut(),
                    job.id(),
                    step,
                    mark.day().map(LocalDate::toString).orElse(""),
                    mark.id()));
        }
        return out;
    }

    private static List<Lacking> lacking(Timetables.Shown shown, LocalDate from) {
        return shown.bodies().bodies().stream()
                .flatMap(body -> body.work().parts().stream()
                        .filter(part -> !part.lacking().isEmpty())
                        .map(part -> new Lacking(
                                body.name(),
                                part.pieces().get(0).title(),
                                address(from, body.id(), part.name()),
                                part.lacking())))
                .toList();
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
                    table.late().get(j) > 0,
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
                                        : CalendarWords.why(table, w, block(table, held), held))
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
