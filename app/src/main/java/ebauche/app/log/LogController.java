package ebauche.app.log;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.web.Figures;
import ebauche.core.logbook.AsBuilt;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What was done, measured and went wrong, over all bodies of the shop. */
@Controller
class LogController {
    private static final int SHOWN = 300;

    private final BodyStore store;
    private final Bodies bodies;
    private final Clock clock;

    LogController(BodyStore store, Bodies bodies, Clock clock) {
        this.store = store;
        this.bodies = bodies;
        this.clock = clock;
    }

    /**
     * One line.
     *
     * @param kind done, reading, mishap or withdrawn
     * @param gone whether a later entry withdrew it
     */
    public record Line(
            Body body, String name, String id, String kind, String when, String by, String words, boolean gone) {}

    @GetMapping("/log")
    String log(@AuthenticationPrincipal Maker maker, @ModelAttribute("fig") Figures fig, Model model) {
        model.addAttribute("lines", lines(store.newest(maker.shop(), SHOWN), fig));
        model.addAttribute("shown", SHOWN);
        return "log/log";
    }

    /** Everything that was written down of one body, the newest first. */
    @GetMapping("/bodies/{id}/record")
    String record(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        model.addAttribute("current", current);
        model.addAttribute("lines", lines(store.logged(current.body()), fig));
        return "log/record";
    }

    private List<Line> lines(List<BodyStore.Logged> entries, Figures fig) {
        Set<String> gone = new HashSet<>();
        entries.forEach(l -> {
            if (l.entry() instanceof AsBuilt.Withdrawn w) {
                gone.add(l.body().id() + "/" + w.entry());
            }
        });
        Map<Body, String> names = new HashMap<>();
        return entries.stream()
                .map(l -> line(
                        l,
                        names.computeIfAbsent(l.body(), b -> store.head(b).name()),
                        fig,
                        gone.contains(l.body().id() + "/" + l.entry().id())))
                .toList();
    }

    private static Line line(BodyStore.Logged logged, String name, Figures fig, boolean gone) {
        AsBuilt.Entry entry = logged.entry();
        String when = fig.moment(entry.at().isEmpty() ? logged.at() : entry.at());
        String kind = entry.kind();
        return new Line(logged.body(), name, entry.id(), kind, when, entry.by(), words(entry, fig), gone);
    }

    private static String words(AsBuilt.Entry entry, Figures fig) {
        if (entry instanceof AsBuilt.Reading r) {
            return r.measures().label() + " " + fig.reading(r);
        }
        if (entry instanceof AsBuilt.Done d) {
            return d.title();
        }
        if (entry instanceof AsBuilt.Mishap m) {
            return m.what();
        }
        if (entry instanceof AsBuilt.Unreadable u) {
            return u.why();
        }
        return "an entry withdrawn";
    }

    /** Takes an entry back by a later one; the first stays in the record. */
    @PostMapping("/bodies/{id}/withdrawals")
    String withdraw(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam String entry,
            @RequestParam(defaultValue = "false") boolean ofBody) {
        Body body = store.find(maker.shop(), id);
        boolean stands = store.record(body).standing().stream().anyMatch(e -> e.id().equals(entry));
        if (stands) {
            String at = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
            store.log(body, new AsBuilt.Withdrawn(UUID.randomUUID().toString(), at, maker.name(), entry));
        }
        return ofBody ? "redirect:/bodies/" + body.publicId() + "/record" : "redirect:/log";
    }
}
