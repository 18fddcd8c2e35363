package ebauche.app.calendar;

import ebauche.app.words.Words;
import ebauche.core.calendar.Block;
import ebauche.core.calendar.Bound;
import ebauche.core.calendar.Help;
import ebauche.core.calendar.ShopCalendar;
import ebauche.core.calendar.Thing;
import ebauche.core.calendar.Timetable;
import ebauche.core.calendar.Trade;
import ebauche.core.calendar.Workload;
import ebauche.core.logbook.AsBuilt;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Collectors;

/** Says what a timetable tells: when all is done, what is late, what would help, why something has no place. */
final class CalendarWords {
    private static final int MINUTES_OF_A_DAY = 24 * 60;

    private CalendarWords() {}

    /** When all is done, and what it cannot be done before. */
    static Optional<String> finish(Timetable table, Bound bound, ShopClock clock) {
        OptionalLong last = table.last();
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

    /** Each body that is late, and by how much. */
    static List<String> late(Timetable table, ShopClock clock) {
        List<String> said = new ArrayList<>();
        List<Long> late = table.late();
        for (int j = 0; j < late.size(); j++) {
            if (late.get(j) > 0) {
                Workload.Job job = table.load().jobs().get(j);
                said.add(Words.say(
                        "calendar.late",
                        job.name(),
                        clock.moment(table.ends().get(j).getAsLong()),
                        clock.day(clock.week().day(job.due().getAsLong() - 1)),
                        days(late.get(j), clock)));
            }
        }
        return said;
    }

    /** A time by which something is late: days, or hours where it is less than one. */
    private static String days(long minutes, ShopClock clock) {
        return minutes < MINUTES_OF_A_DAY
                ? clock.fig().time((int) minutes)
                : Words.say("calendar.days", clock.fig().decimal((double) minutes / MINUTES_OF_A_DAY, 1));
    }

    /** Something that would help. */
    static String help(Timetables.Shown shown, Help help, ShopClock clock) {
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

    /** Why a block has no place. */
    static String why(Timetable table, Timetable.Why why, Block block, HeldBlock held) {
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
}
