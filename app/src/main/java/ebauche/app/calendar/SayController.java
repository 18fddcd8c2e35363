package ebauche.app.calendar;

import ebauche.app.account.Maker;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.NotHere;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.calendar.Block;
import ebauche.core.calendar.Putting;
import ebauche.core.calendar.ShopWeek;
import jakarta.servlet.http.HttpServletResponse;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What a maker says of the calendar by hand: blocks put somewhere or taken out, due days, answers that are expected. */
@Controller
@RequestMapping("/calendar")
class SayController {
    private static final String PAGE = "calendar/calendar";

    private final CalendarPage page;
    private final Timetables timetables;
    private final CalendarStore store;
    private final BodyStore bodies;

    SayController(CalendarPage page, Timetables timetables, CalendarStore store, BodyStore bodies) {
        this.page = page;
        this.timetables = timetables;
        this.store = store;
        this.bodies = bodies;
    }

    /**
     * A block that is said something of.
     *
     * @param from the first day of the page
     * @param base the last word on it that its maker has seen
     */
    record Of(String from, String body, String step, long base) {}

    /** Puts a block somewhere: refused where it cannot stay, and then nothing moves. */
    @PostMapping("/put")
    String put(
            @AuthenticationPrincipal Maker maker,
            @RequestParam(defaultValue = "") String from,
            @RequestParam String body,
            @RequestParam String step,
            @RequestParam long base,
            @RequestParam String hand,
            @RequestParam String day,
            @RequestParam String time,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Of of = new Of(from, body, step, base);
        Timetables.Shown shown = timetables.ready(maker.shop());
        HeldBlock held = HeldBlock.of(shown, body, step).orElseThrow(NotHere::new);
        ShopWeek week = shown.content().week().week();
        Optional<LocalDate> on = CalendarPage.day(day);
        Optional<LocalTime> at = time(time);
        if (on.isEmpty() || at.isEmpty()) {
            return refuse(maker, of, Words.say("calendar.no-time"), fig, model, response);
        }
        Block.Pin pin = new Block.Pin(hand, week.at(on.get(), at.get()));
        Optional<Putting.Trouble> trouble = new Putting(shown.bodies(), shown.now()).against(body, step, pin);
        if (trouble.isPresent()) {
            String why = why(trouble.get(), new ShopClock(week, fig));
            return refuse(maker, of, why, fig, model, response);
        }
        return say(maker, of, held.step(), Mark.put(pin), fig, model, response);
    }

    private static Optional<LocalTime> time(String typed) {
        try {
            return Optional.of(LocalTime.parse(typed));
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    private static String why(Putting.Trouble trouble, ShopClock clock) {
        String soonest = trouble.soonest() == 0 ? "" : clock.moment(trouble.soonest());
        return switch (trouble.against()) {
            case PAST -> Words.say("calendar.against-past");
            case NO_HAND -> Words.say("calendar.against-no-hand");
            case TRADE -> Words.say("calendar.against-trade");
            case NOT_AT_WORK ->
                soonest.isEmpty()
                        ? Words.say("calendar.against-never-at-work")
                        : Words.say("calendar.against-not-at-work", soonest);
            case NOWHERE -> Words.say("calendar.against-nowhere");
            case NEEDS ->
                trouble.other().isEmpty()
                        ? Words.say("calendar.against-rests", soonest)
                        : Words.say("calendar.against-needs", trouble.other(), soonest);
            case LATER_ONE -> Words.say("calendar.against-later", trouble.other());
            case MEETS -> Words.say("calendar.against-meets", trouble.other(), trouble.body());
        };
    }

    /** Takes a block out, or lets it find its place again. */
    @PostMapping("/block")
    String block(
            @AuthenticationPrincipal Maker maker,
            @RequestParam(defaultValue = "") String from,
            @RequestParam String body,
            @RequestParam String step,
            @RequestParam long base,
            @RequestParam String kind,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Of of = new Of(from, body, step, base);
        HeldBlock held =
                HeldBlock.of(timetables.ready(maker.shop()), body, step).orElseThrow(NotHere::new);
        Mark mark = Mark.block(kind.equals("out") ? Mark.Kind.OUT : Mark.Kind.FREE);
        return say(maker, of, held.step(), mark, fig, model, response);
    }

    /** A body is due on a day, or on none. */
    @PostMapping("/due")
    String due(
            @AuthenticationPrincipal Maker maker,
            @RequestParam(defaultValue = "") String from,
            @RequestParam String body,
            @RequestParam long base,
            @RequestParam String day,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        return sayDay(maker, new Of(from, body, "", base), Mark.About.DUE, day, fig, model, response);
    }

    /** The answer that a step waits for is expected on a day, or nobody knows when. */
    @PostMapping("/answer")
    String answer(
            @AuthenticationPrincipal Maker maker,
            @RequestParam(defaultValue = "") String from,
            @RequestParam String body,
            @RequestParam String step,
            @RequestParam long base,
            @RequestParam String day,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        HeldBlock held =
                HeldBlock.of(timetables.ready(maker.shop()), body, step).orElseThrow(NotHere::new);
        String asked = held.part()
                .asked()
                .map(a -> a.operation().written())
                .filter(step::equals)
                .orElseThrow(NotHere::new);
        return sayDay(maker, new Of(from, body, asked, base), Mark.About.ANSWER, day, fig, model, response);
    }

    private String sayDay(
            Maker maker, Of of, Mark.About about, String day, Figures fig, Model model, HttpServletResponse response) {
        Optional<LocalDate> on = CalendarPage.day(day);
        if (on.isEmpty() && !day.isBlank()) {
            return refuse(maker, of, Words.say("calendar.no-day"), fig, model, response);
        }
        Timetables.Shown shown = timetables.shown(maker.shop());
        LocalDate today = shown.content().week().week().day(shown.now());
        if (on.isPresent() && on.get().isBefore(today)) {
            String over = Words.say("calendar.day-is-over", fig.day(on.get()), fig.day(today));
            return refuse(maker, of, over, fig, model, response);
        }
        return say(maker, of, of.step(), Mark.on(about, on), fig, model, response);
    }

    private String say(
            Maker maker, Of of, String step, Mark mark, Figures fig, Model model, HttpServletResponse response) {
        Body body = bodies.find(maker.shop(), of.body());
        try {
            store.say(body, step, mark, of.base(), maker.name());
        } catch (Stale stale) {
            page.show(maker.shop(), CalendarPage.Asked.of(of.from(), of.body(), of.step()), fig, model);
            ConflictNotice.tell(stale, Words.say("calendar.look-again"), model, response);
            return PAGE;
        }
        boolean held = mark.about() == Mark.About.BLOCK;
        LocalDate from = CalendarPage.day(of.from()).orElse(LocalDate.EPOCH);
        return "redirect:" + CalendarPage.address(from, held ? of.body() : "", held ? of.step() : "");
    }

    private String refuse(Maker maker, Of of, String why, Figures fig, Model model, HttpServletResponse response) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        page.show(maker.shop(), CalendarPage.Asked.of(of.from(), of.body(), of.step()), fig, model);
        model.addAttribute("trouble", why);
        model.addAttribute("troubleOf", of.body() + "/" + of.step());
        return PAGE;
    }
}
