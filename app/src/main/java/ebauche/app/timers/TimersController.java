package ebauche.app.timers;

import ebauche.app.account.Maker;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.reading.KeptAt;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The shop's timers, large: what waits, how long still, and what is up. */
@Controller
@RequestMapping("/timers")
class TimersController {
    private static final int MOST_WORDS = 120;

    /** A month: finish cures, wood settles. */
    private static final int MOST_MINUTES = 60 * 24 * 31;

    /** Buttons, minutes: common practice of glue and drying. */
    private static final List<Integer> USUAL = List.of(5, 10, 20, 30, 60, 24 * 60);

    private final TimerStore store;
    private final BodyStore bodies;
    private final Clock clock;

    TimersController(TimerStore store, BodyStore bodies, Clock clock) {
        this.store = store;
        this.bodies = bodies;
        this.clock = clock;
    }

    /** A running timer as the page and the script have it. */
    public record Running(String id, String here, String says, long ends, boolean up) {
        /** When it is up, ISO 8601. */
        public String when() {
            return Instant.ofEpochMilli(ends).toString();
        }
    }

    private record TimersView(
            List<Running> timers, List<Integer> usual, String entryId, String body, String says, String trouble) {}

    @GetMapping
    String page(
            @AuthenticationPrincipal Maker maker,
            @RequestParam(defaultValue = "") String body,
            @RequestParam(defaultValue = "") String says,
            Model model) {
        show(maker, body, says, "", model);
        return "timers/timers";
    }

    /** The same for the script that counts them down on every page. */
    @GetMapping("/running")
    ResponseEntity<List<Running>> heard(@AuthenticationPrincipal Maker maker) {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(running(maker));
    }

    private List<Running> running(Maker maker) {
        long now = clock.millis();
        return store.running(maker.shop()).stream()
                .map(t -> new Running(
                        t.id(),
                        t.body().isEmpty() ? "" : "/bodies/" + t.body() + "/bench",
                        t.says(),
                        t.ends(),
                        t.ends() <= now))
                .toList();
    }

    @PostMapping
    String set(
            @AuthenticationPrincipal Maker maker,
            @RequestParam UUID entry,
            @RequestParam(defaultValue = "") String body,
            @RequestParam(defaultValue = "") String says,
            @RequestParam(defaultValue = "") String minutes,
            @RequestParam(defaultValue = "") String other,
            KeptAt kept,
            Model model,
            HttpServletResponse response) {
        String typed = minutes.isBlank() ? other.strip() : minutes.strip();
        boolean whole =
                typed.matches("\\d{1,6}") && Integer.parseInt(typed) > 0 && Integer.parseInt(typed) <= MOST_MINUTES;
        if (!whole || says.isBlank() || says.strip().length() > MOST_WORDS) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            String why = whole
                    ? Words.say("timers.say-what-waits", MOST_WORDS)
                    : Words.say("timers.minutes-are", MOST_MINUTES);
            show(maker, body, says, why, model);
            return "timers/timers";
        }
        Optional<Body> of = body.isEmpty() ? Optional.empty() : Optional.of(bodies.find(maker.shop(), body));
        store.set(
                maker.shop(),
                entry,
                of,
                says.strip(),
                kept.when(clock).plus(Duration.ofMinutes(Integer.parseInt(typed))),
                maker.name());
        return "redirect:/timers";
    }

    @PostMapping("/off")
    String off(@AuthenticationPrincipal Maker maker, @RequestParam UUID timer) {
        store.off(maker.shop(), timer, maker.name());
        return "redirect:/timers";
    }

    private void show(Maker maker, String body, String says, String trouble, Model model) {
        PageModel.put(
                model, new TimersView(running(maker), USUAL, UUID.randomUUID().toString(), body, says, trouble));
    }
}
