package ebauche.app.calendar;

import ebauche.app.account.Maker;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import ebauche.core.calendar.Block;
import ebauche.core.calendar.DayList;
import ebauche.core.calendar.Hand;
import ebauche.core.calendar.ShopWeek;
import ebauche.core.calendar.Timetable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestParam;

/** The list of each hand's day, to be read at the bench or pinned over it. */
@Controller
class DayController {
    private final Timetables timetables;

    DayController(Timetables timetables) {
        this.timetables = timetables;
    }

    /**
     * A stretch of work as it is read out.
     *
     * @param when now, then, meanwhile, before-home
     * @param says how that is said
     * @param steps with the address of each at the bench
     */
    public record Line(
            String when,
            String says,
            String span,
            String body,
            int setUp,
            List<Step> steps,
            String goesOn,
            String rests) {}

    /** A step of it. */
    public record Step(String title, int minutes, String bench) {}

    /** A hand's day. */
    public record HandDay(String key, String name, List<Line> lines, int minutes, boolean works) {}

    private record DayView(
            ShopClock clock,
            LocalDate on,
            LocalDate before,
            LocalDate after,
            LocalDate today,
            List<HandDay> days,
            List<Hand> hands,
            String hand,
            boolean looking) {}

    @GetMapping("/calendar/day")
    String day(
            @AuthenticationPrincipal Maker maker,
            @RequestParam(defaultValue = "") String on,
            @RequestParam(defaultValue = "") String hand,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Timetables.Shown shown = timetables.shown(maker.shop());
        ShopWeek week = shown.content().week().week();
        ShopClock clock = new ShopClock(week, fig);
        LocalDate today = week.day(shown.now());
        LocalDate day = CalendarPage.day(on).filter(d -> d.isAfter(today)).orElse(today);
        List<HandDay> days = new ArrayList<>();
        Optional<Timetable> table = shown.table();
        for (int h = 0; h < week.hands().size(); h++) {
            Hand of = week.hands().get(h);
            if (hand.isEmpty() || hand.equals(of.key())) {
                int place = h;
                boolean works = !of.working(week.zone(), day, 1, week.closed()).isNone();
                List<DayList.Entry> entries = table.map(
                                t -> DayList.of(week, t, place, day).entries())
                        .orElse(List.of());
                days.add(new HandDay(
                        of.key(),
                        of.name(),
                        entries.stream()
                                .map(e -> line(table.orElseThrow(), e, clock, day))
                                .toList(),
                        entries.stream()
                                .mapToInt(e -> (int) (e.to() - e.from()))
                                .sum(),
                        works));
            }
        }
        LocalDate before = day.minusDays(1).isBefore(today) ? today : day.minusDays(1);
        PageModel.put(
                model,
                new DayView(clock, day, before, day.plusDays(1), today, days, week.hands(), hand, table.isEmpty()));
        return "calendar/day";
    }

    private static Line line(Timetable table, DayList.Entry entry, ShopClock clock, LocalDate day) {
        Block block = table.load().blocks().get(entry.slot().block());
        String body = table.load().jobs().get(block.job()).id();
        boolean done = entry.to() == entry.slot().to();
        return new Line(
                entry.when().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                says(entry, clock, day),
                Words.say("calendar.from-to", clock.time(entry.from()), clock.time(entry.to())),
                table.load().jobs().get(block.job()).name(),
                entry.setUp(),
                entry.steps().stream()
                        .map(p -> new Step(p.title(), p.minutes(), "/bodies/" + body + "/bench?step=" + p.key()))
                        .toList(),
                entry.goesOn() ? Words.say("calendar.goes-on") : "",
                DayList.rest(table, entry.slot())
                        .filter(r -> done)
                        .map(r -> Words.say("calendar.then-rests", clock.until(r.until(), day)))
                        .orElse(""));
    }

    private static String says(DayList.Entry entry, ShopClock clock, LocalDate day) {
        return switch (entry.when()) {
            case NOW -> Words.say("calendar.now");
            case THEN -> Words.say("calendar.then");
            case MEANWHILE ->
                Words.say(
                        "calendar.while-it-rests",
                        entry.rests().orElseThrow().title(),
                        clock.until(entry.rests().orElseThrow().until(), day));
            case BEFORE_HOME -> Words.say("calendar.before-home");
        };
    }
}
