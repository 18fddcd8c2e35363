package ebauche.app.calendar;

import ebauche.app.drawing.Svg;
import ebauche.app.words.Words;
import ebauche.core.calendar.Block;
import ebauche.core.calendar.DayList;
import ebauche.core.calendar.Hand;
import ebauche.core.calendar.ShopCalendar;
import ebauche.core.calendar.ShopWeek;
import ebauche.core.calendar.Stretches;
import ebauche.core.calendar.Timetable;
import ebauche.core.plan.Schedule;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;

/**
 * Days of a shop as its steel rules lie in a drawer: of each day a rule for every hand, as long as its hours, cut where it has a break. A block of work lies on it
 * with the number of its body; what rests afterwards hangs under the day's rules as a string, knotted where it may be worked again.
 */
final class WeekDrawing {
    private static final double WIDTH = 860;
    private static final double LEFT = 74;
    private static final double HEAD = 20;
    private static final double HOURS = 13;
    private static final double RULE = 34;
    private static final double BETWEEN = 5;
    private static final double LANE = 18;
    private static final double AFTER = 12;
    private static final double FREE = 20;

    /** A letter of the narrow face at the size of the drawing, about. */
    private static final double LETTER = 5.6;

    /** From where a string hangs to its words. */
    private static final double BESIDE = 5;

    private static final int HOUR = 60;
    private static final int QUARTER = 15;
    private static final int SECONDS = 60;

    private final Timetables.Shown shown;
    private final ShopWeek week;
    private final Timetable table;
    private final ShopClock clock;
    private final LocalDate first;
    private final Optional<HeldBlock> held;
    private final BiFunction<String, String, String> address;
    private final List<Day> days = new ArrayList<>();
    private final List<Hung> rests = new ArrayList<>();
    private long earliest = Long.MAX_VALUE;
    private long latest = Long.MIN_VALUE;
    private double scale;
    private Svg svg;

    /** Hours of one hand on a day, minutes since that day began. */
    private record Row(int hand, Hand of, List<Stretches.Span> hours) {}

    private record Day(LocalDate day, List<Row> rows, List<Hanging> strings) {}

    /**
     * Glue or paint that rests.
     *
     * @param body number of its body
     * @param slot after which; empty where it was put on already
     * @param from minutes since 1970; now where it was put on already
     */
    private record Hung(String body, Optional<Timetable.Slot> slot, long from, long until) {}

    /** A rest as far as a day shows it, minutes since that day began, and its lane. */
    private record Hanging(Hung rest, long from, long to, int lane) {}

    private WeekDrawing(
            Timetables.Shown shown,
            ShopClock clock,
            LocalDate first,
            int count,
            Optional<HeldBlock> held,
            BiFunction<String, String, String> address) {
        this.shown = shown;
        this.week = shown.content().week().week();
        this.table = shown.table().orElseThrow();
        this.clock = clock;
        this.first = first;
        this.held = held;
        this.address = address;
        addRests();
        for (int d = 0; d < count; d++) {
            addDay(first.plusDays(d));
        }
        if (earliest > latest) {
            earliest = 8L * HOUR;
            latest = 17L * HOUR;
        }
        scale = (WIDTH - LEFT - 4) / (latest - earliest);
        hang();
    }

    /**
     * The drawing.
     *
     * @param first day that it shows
     * @param count of days
     * @param held block that is looked at
     * @param address of a block, by body and step
     */
    static String of(
            Timetables.Shown shown,
            ShopClock clock,
            LocalDate first,
            int count,
            Optional<HeldBlock> held,
            BiFunction<String, String, String> address) {
        return new WeekDrawing(shown, clock, first, count, held, address).draw();
    }

    private void addRests() {
        long now = table.load().from();
        for (ShopCalendar.ToDo body : shown.bodies().bodies()) {
            for (Schedule.Rest rest : body.work().resting()) {
                // As every page shows it; the work itself begins with the next full minute.
                long until = Math.floorDiv(rest.until().getEpochSecond(), SECONDS);
                if (until > now) {
                    rests.add(new Hung(number(body.name()), Optional.empty(), now, until));
                }
            }
        }
        for (Timetable.Slot slot : table.slots()) {
            Block block = table.load().blocks().get(slot.block());
            String body = number(table.load().jobs().get(block.job()).name());
            DayList.rest(table, slot)
                    .ifPresent(r -> rests.add(new Hung(body, Optional.of(slot), slot.to(), r.until())));
        }
        rests.sort(Comparator.comparingLong(Hung::from));
    }

    private void addDay(LocalDate day) {
        long begin = week.start(day);
        List<Row> rows = new ArrayList<>();
        for (int h = 0; h < week.hands().size(); h++) {
            Hand hand = week.hands().get(h);
            List<Stretches.Span> hours = hand.working(week.zone(), day, 1, week.closed()).spans().stream()
                    .map(s -> new Stretches.Span(s.from() - begin, s.to() - begin))
                    .toList();
            if (!hours.isEmpty()) {
                rows.add(new Row(h, hand, hours));
                earliest = Math.min(earliest, hours.get(0).from() / HOUR * HOUR);
                latest = Math.max(latest, (hours.get(hours.size() - 1).to() + HOUR - 1) / HOUR * HOUR);
            }
        }
        days.add(new Day(day, rows, new ArrayList<>()));
    }

    /** Hangs what rests under the days that it lasts into, each in the first lane that is free. */
    private void hang() {
        for (Day day : days) {
            if (day.rows().isEmpty()) {
                continue;
            }
            long begin = week.start(day.day());
            List<Double> ends = new ArrayList<>();
            for (Hung rest : rests) {
                long from = Math.max(earliest, rest.from() - begin);
                long to = Math.min(latest, rest.until() - begin);
                if (from >= latest
                        || to <= earliest
                        || rest.from() >= week.start(day.day().plusDays(1))) {
                    continue;
                }
                double length = LETTER * words(rest).length();
                double said = isSaidBefore(x(from), rest) ? x(from) - BESIDE - length : x(from) + BESIDE;
                double until = Math.max(x(to), said + length) + 10;
                int lane = 0;
                while (lane < ends.size() && ends.get(lane) > Math.min(x(from), said)) {
                    lane++;
                }
                if (lane == ends.size()) {
                    ends.add(0.0);
                }
                ends.set(lane, until);
                day.strings().add(new Hanging(rest, from, to, lane));
            }
        }
    }

    /** Whether the words of a string have no room behind the place that it hangs from. */
    private boolean isSaidBefore(double from, Hung rest) {
        return from + BESIDE + LETTER * words(rest).length() > WIDTH;
    }

    private double x(long minute) {
        return LEFT + (minute - earliest) * scale;
    }

    private double height(Day day) {
        if (day.rows().isEmpty()) {
            return FREE;
        }
        int lanes = day.strings().stream().mapToInt(Hanging::lane).max().orElse(-1) + 1;
        return HEAD + HOURS + day.rows().size() * (RULE + BETWEEN) + lanes * LANE + AFTER;
    }

    private String draw() {
        double height = days.stream().mapToDouble(this::height).sum() + 4;
        svg = new Svg(WIDTH, height, "week", Words.say("calendar.drawing", clock.day(first), days.size()));
        svg.attribute("data-left", Svg.n(LEFT));
        svg.attribute("data-scale", Svg.n(scale * 100));
        svg.attribute("data-earliest", Long.toString(earliest));
        double y = 2;
        for (Day day : days) {
            draw(day, y);
            y += height(day);
        }
        return svg.done();
    }

    private void draw(Day day, double top) {
        boolean today = day.day().equals(week.day(table.load().from()));
        svg.text(
                "day",
                0,
                top + HEAD - 6,
                "start",
                today ? Words.say("calendar.today", clock.day(day.day())) : clock.day(day.day()));
        if (day.rows().isEmpty()) {
            svg.text("free", LEFT, top + HEAD - 6, "start", Words.say("calendar.nobody-works"));
            return;
        }
        dues(day, top);
        double y = top + HEAD + HOURS;
        for (long m = earliest; m <= latest; m += HOUR) {
            svg.text("hour", x(m), y - 3, m == latest ? "end" : "start", clock.time(week.start(day.day()) + m));
        }
        double bottom = y + day.rows().size() * (RULE + BETWEEN);
        for (Hanging string : day.strings()) {
            hang(day, string, y, bottom);
        }
        for (Row row : day.rows()) {
            draw(day, row, y);
            y += RULE + BETWEEN;
        }
        if (today) {
            double at = x(Math.max(earliest, table.load().from() - week.start(day.day())));
            svg.line("now-line", at, top + HEAD, at, bottom);
        }
    }

    /** Bodies that are due on a day hang at its head. */
    private void dues(Day day, double top) {
        long end = week.start(day.day().plusDays(1));
        List<String> due = table.load().jobs().stream()
                .filter(j -> j.due().isPresent() && j.due().getAsLong() == end)
                .map(j -> j.name())
                .toList();
        if (!due.isEmpty()) {
            svg.text("due", WIDTH - 4, top + HEAD - 6, "end", Words.say("calendar.due", String.join(", ", due)));
        }
    }

    private void draw(Day day, Row row, double y) {
        svg.open(
                "g",
                "class",
                "of-hand",
                "data-hand",
                row.of().key(),
                "data-day",
                day.day().toString());
        svg.text("hand", 0, y + RULE / 2 + 4, "start", cut(row.of().name(), LEFT - 6));
        for (Stretches.Span hours : row.hours()) {
            svg.rect("steel", x(hours.from()), y, x(hours.to()) - x(hours.from()), RULE);
            for (long m = (hours.from() + QUARTER - 1) / QUARTER * QUARTER; m <= hours.to(); m += QUARTER) {
                svg.line("tick", x(m), y, x(m), y + (m % HOUR == 0 ? 9 : 5));
            }
        }
        DayList.of(week, table, row.hand(), day.day()).entries().forEach(e -> draw(day, e, y));
        svg.close();
    }

    private void draw(Day day, DayList.Entry entry, double y) {
        Block block = table.load().blocks().get(entry.slot().block());
        String body = table.load().jobs().get(block.job()).id();
        String name = table.load().jobs().get(block.job()).name();
        long begin = week.start(day.day());
        double from = x(entry.from() - begin);
        double width = Math.max(3, x(entry.to() - begin) - from);
        boolean isHeld = held.filter(
                        h -> h.body().equals(body) && h.part().name().equals(block.name()))
                .isPresent();
        boolean pinned = block.pin().isPresent();
        svg.open(
                "a",
                "href",
                address.apply(body, block.name()),
                "class",
                "slot" + (isHeld ? " held" : "") + (pinned ? " pinned" : ""),
                "data-body",
                body,
                "data-step",
                block.name(),
                "data-base",
                Long.toString(base(body, block.name())));
        String title = entry.steps().get(0).title();
        svg.title(Words.say("calendar.slot", name, title, clock.span(entry.from(), entry.to())));
        svg.rect("bar", from, y + 10, width, RULE - 10);
        if (entry.setUp() > 0) {
            svg.rect("set-up", from, y + 10, Math.min(width, entry.setUp() * scale), RULE - 10);
        }
        if (entry.goesOn()) {
            svg.path("torn", torn(from + width, y + 10, RULE - 10));
        }
        if (pinned) {
            svg.circle("pin", from + 5, y + 10, 4);
        }
        svg.text("words", from + 4, y + RULE - 8, "start", cut(number(name) + " " + title, width - 6));
        svg.close();
    }

    /** The last word that somebody said on a block by hand. */
    private long base(String body, String block) {
        return HeldBlock.of(shown, body, block).map(h -> h.mark().id()).orElse(0L);
    }

    /** A body's number, by which makers call it. */
    private static String number(String name) {
        return name.substring(0, Math.max(1, name.indexOf(' ')));
    }

    /** The ragged end of a piece that goes on elsewhere. */
    private static String torn(double x, double y, double height) {
        StringBuilder path = new StringBuilder("M" + Svg.n(x) + " " + Svg.n(y));
        for (int i = 1; i <= 4; i++) {
            path.append('L')
                    .append(Svg.n(x + (i % 2 == 0 ? 0 : -5)))
                    .append(' ')
                    .append(Svg.n(y + height * i / 4));
        }
        return path.toString();
    }

    private void hang(Day day, Hanging string, double top, double bottom) {
        Hung rest = string.rest();
        double y = bottom + string.lane() * LANE + LANE - 6;
        double from = x(string.from());
        double to = x(string.to());
        long begin = week.start(day.day());
        if (rest.slot().isPresent() && rest.from() - begin >= earliest) {
            int row = 0;
            for (int r = 0; r < day.rows().size(); r++) {
                row = day.rows().get(r).hand() == rest.slot().get().hand() ? r : row;
            }
            double knot = top + row * (RULE + BETWEEN) + RULE;
            svg.circle("knot", from, knot, 3);
            svg.line("string", from, knot, from, y);
        }
        svg.line("string", from, y, to, y);
        if (rest.until() - begin <= latest) {
            svg.circle("knot", to, y, 3);
        } else {
            svg.path(
                    "string",
                    "M" + Svg.n(to - 6) + " " + Svg.n(y - 3) + "L" + Svg.n(to) + " " + Svg.n(y) + "L" + Svg.n(to - 6)
                            + " " + Svg.n(y + 3));
        }
        boolean before = isSaidBefore(from, rest);
        svg.text("rests", from + (before ? -BESIDE : BESIDE), y - 3, before ? "end" : "start", words(rest));
    }

    private String words(Hung rest) {
        return Words.say("calendar.string", rest.body(), clock.moment(rest.until()));
    }

    private static String cut(String words, double width) {
        int letters = (int) Math.max(0, width / LETTER);
        return words.length() <= letters
                ? words
                : letters < 3
                        ? words.substring(0, Math.min(words.length(), Math.max(0, letters)))
                        : words.substring(0, letters - 1) + "…";
    }
}
