package ebauche.app.calendar;

import ebauche.app.account.Maker;
import ebauche.app.ways.WaysStore;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.calendar.BodyWork;
import ebauche.core.calendar.Hours;
import ebauche.core.calendar.ShopCalendar;
import ebauche.core.calendar.Trade;
import ebauche.core.shop.Gluing;
import ebauche.exchange.calendar.WeekFile;
import jakarta.servlet.http.HttpServletResponse;
import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Who works in the shop and when, days off, and things of which there are several. */
@Controller
@RequestMapping("/calendar/week")
class WeekController {
    private final CalendarStore store;
    private final Timetables timetables;
    private final WaysStore ways;

    WeekController(CalendarStore store, Timetables timetables, WaysStore ways) {
        this.store = store;
        this.timetables = timetables;
        this.ways = ways;
    }

    /** A day of the week: its word in the form, and as it is said. */
    public record Day(String word, String says) {}

    /** Something that bodies take, and how many of it there are where nothing is typed. */
    public record Thing(String name, int there) {}

    private record WeekView(
            int base,
            Map<String, String> typed,
            Map<String, String> troubles,
            List<Integer> rows,
            List<Day> days,
            List<Trade> trades,
            List<Thing> things,
            Map<String, String> elsewhere) {}

    @GetMapping
    String week(@AuthenticationPrincipal Maker maker, Model model) {
        CalendarStore.Week week = store.week(maker.shop());
        return page(maker.shop(), week.number(), WeekForm.typed(week.week()), Map.of(), model);
    }

    @PostMapping
    String keep(
            @AuthenticationPrincipal Maker maker,
            @RequestParam int base,
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletResponse response) {
        WeekForm form = WeekForm.of(typed);
        if (form.week().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(maker.shop(), base, typed, form.troubles(), model);
        }
        try {
            store.keep(maker.shop(), base, form.week().get(), maker.name());
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("calendar.look-at-the-week"), model, response);
            return page(maker.shop(), store.week(maker.shop()).number(), typed, Map.of(), model);
        }
        return "redirect:/calendar";
    }

    private String page(long shop, int base, Map<String, String> typed, Map<String, String> troubles, Model model) {
        List<Integer> rows = rows(typed);
        Map<String, String> all = new LinkedHashMap<>(typed);
        // A new hand begins with everything but a name.
        String fresh = "hands." + rows.get(rows.size() - 1) + ".";
        if (typed.getOrDefault(fresh + "name", "").isBlank()) {
            for (DayOfWeek day : DayOfWeek.values()) {
                all.putIfAbsent(fresh + WeekFile.word(day), Hours.USUAL.written(day));
            }
            Stream.of(Trade.values()).forEach(t -> all.putIfAbsent(fresh + "trades." + t.key(), "on"));
        }
        List<Thing> things = things(shop);
        Map<String, String> elsewhere = new LinkedHashMap<>(troubles);
        elsewhere
                .keySet()
                .removeIf(k -> k.startsWith("hands.")
                        || k.equals("zone")
                        || k.equals("closed")
                        || things.stream().anyMatch(t -> k.equals("things." + t.name())));
        PageModel.put(
                model, new WeekView(base, all, troubles, rows, days(), List.of(Trade.values()), things, elsewhere));
        return "calendar/week";
    }

    /** The rows that are filled, and one for another hand. */
    private static List<Integer> rows(Map<String, String> typed) {
        List<Integer> filled = IntStream.range(0, WeekForm.MOST)
                .filter(i -> typed.containsKey("hands." + i + ".name"))
                .boxed()
                .collect(Collectors.toList());
        int next = filled.isEmpty() ? 0 : filled.get(filled.size() - 1) + 1;
        boolean lastIsFree =
                !filled.isEmpty() && typed.get("hands." + (next - 1) + ".name").isBlank();
        if (next < WeekForm.MOST && !lastIsFree) {
            filled.add(next);
        }
        return filled;
    }

    private static List<Day> days() {
        return Stream.of(DayOfWeek.values())
                .map(d -> new Day(WeekFile.word(d), d.getDisplayName(TextStyle.FULL_STANDALONE, Words.language())))
                .toList();
    }

    /** What the bodies take, but templates, and clamps and cauls: those are counted where the shop says how it glues. */
    private List<Thing> things(long shop) {
        Gluing gluing = ways.of(shop).gluing();
        Set<String> counted = Stream.concat(
                        gluing.clamps().stream().map(c -> c.name()),
                        gluing.cauls().stream().map(c -> c.name()))
                .collect(Collectors.toSet());
        Map<String, Integer> found = new TreeMap<>();
        for (ShopCalendar.ToDo body : timetables.shown(shop).bodies().bodies()) {
            for (BodyWork.Part part : body.work().parts()) {
                part.uses().stream()
                        // A template is made for its shape: nobody has two of it.
                        .filter(u -> !counted.contains(u.thing()) && u.said().equals(u.thing()))
                        .forEach(u -> found.merge(u.thing(), u.there(), Math::max));
            }
        }
        store.week(shop).week().counts().forEach((name, count) -> found.putIfAbsent(name, 1));
        return found.entrySet().stream()
                .map(e -> new Thing(e.getKey(), e.getValue()))
                .toList();
    }
}
