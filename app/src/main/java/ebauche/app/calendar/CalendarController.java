package ebauche.app.calendar;

import ebauche.app.account.Maker;
import ebauche.app.web.Figures;
import ebauche.core.calendar.ShopWeek;
import ebauche.exchange.calendar.CalendarCsv;
import ebauche.exchange.calendar.CalendarIcs;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The shop's days: who works at which body when, and the same for other programs. */
@Controller
@RequestMapping("/calendar")
class CalendarController {
    private final CalendarPage page;
    private final Timetables timetables;
    private final Clock clock;

    CalendarController(CalendarPage page, Timetables timetables, Clock clock) {
        this.page = page;
        this.timetables = timetables;
        this.clock = clock;
    }

    @GetMapping
    String calendar(
            @AuthenticationPrincipal Maker maker,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String body,
            @RequestParam(defaultValue = "") String step,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        page.show(maker.shop(), CalendarPage.Asked.of(from, body, step), fig, model);
        return "calendar/calendar";
    }

    /**
     * How far the timetable has come, for a page that shows one; the page is told when there is another.
     *
     * @param number of the one that it shows
     */
    @GetMapping("/stage")
    String stage(
            @AuthenticationPrincipal Maker maker,
            @RequestParam(defaultValue = "0") int number,
            Model model,
            HttpServletResponse response) {
        Timetables.Shown shown = timetables.shown(maker.shop());
        CalendarPage.stage(shown, model);
        if (shown.number() != number) {
            response.setHeader("HX-Trigger", "calendar-new");
        }
        return "calendar/stage :: stage";
    }

    /** The search is good enough. */
    @PostMapping("/stop")
    String stop(@AuthenticationPrincipal Maker maker) {
        timetables.stop(maker.shop());
        return "redirect:/calendar";
    }

    /**
     * For other calendars.
     *
     * @param hand whose work it is; everybody's where it is empty
     */
    @GetMapping("/ebauche.ics")
    ResponseEntity<byte[]> ics(@AuthenticationPrincipal Maker maker, @RequestParam(defaultValue = "") String hand) {
        Timetables.Shown shown = timetables.ready(maker.shop());
        return file(
                "text/calendar",
                "ebauche.ics",
                CalendarIcs.write(
                        shown.bodies(),
                        shown.table().orElseThrow(),
                        hand.isEmpty() ? Optional.empty() : Optional.of(hand),
                        clock.instant()));
    }

    /** For a spreadsheet. */
    @GetMapping("/calendar.csv")
    ResponseEntity<byte[]> csv(@AuthenticationPrincipal Maker maker) {
        Timetables.Shown shown = timetables.ready(maker.shop());
        ShopWeek week = shown.content().week().week();
        return file(
                "text/csv",
                "calendar.csv",
                CalendarCsv.write(week, shown.table().orElseThrow()));
    }

    private static ResponseEntity<byte[]> file(String type, String name, String text) {
        return ResponseEntity.ok()
                .contentType(new MediaType(MediaType.parseMediaType(type), StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(text.getBytes(StandardCharsets.UTF_8));
    }
}
