package ebauche.app.log;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.body.LogStore;
import ebauche.app.web.EntryWords;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.feature.StepKey;
import ebauche.core.logbook.AsBuilt;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** What was done, measured and went wrong, over all bodies of the shop. */
@Controller
class LogController {
    private static final int SHOWN = 200;

    private final BodyStore store;
    private final LogStore log;
    private final Bodies bodies;
    private final Clock clock;

    LogController(BodyStore store, LogStore log, Bodies bodies, Clock clock) {
        this.store = store;
        this.log = log;
        this.bodies = bodies;
        this.clock = clock;
    }

    /**
     * One line.
     *
     * @param here the body's page
     * @param of which body, in words; empty where the page is about one
     * @param kind its key
     * @param heading of its kind
     * @param gone whether a later entry withdrew it
     * @param withdraw what its button says to who does not see its place; empty where there is nothing to withdraw
     */
    public record Line(
            String here,
            String of,
            String id,
            String kind,
            String heading,
            String when,
            String by,
            String words,
            boolean gone,
            String withdraw) {}

    /**
     * What of the log is wanted; all of it where nothing is said.
     *
     * @param sought in the number and name of its body
     * @param kind of entry
     * @param hand who logged it
     * @param before the last entry of the page before
     */
    public record Wanted(String sought, String kind, String hand, Long before) {
        public Wanted {
            sought = sought == null ? "" : sought.strip();
            kind = kind == null ? "" : kind;
            hand = hand == null ? "" : hand;
        }

        /** Where it is read. */
        String address() {
            Map<String, Object> said = new LinkedHashMap<>();
            said.put("sought", sought);
            said.put("kind", kind);
            said.put("hand", hand);
            said.put("before", before == null ? "" : before);
            said.values().removeIf(""::equals);
            UriComponentsBuilder uri = UriComponentsBuilder.fromPath("/log");
            said.keySet().forEach(name -> uri.queryParam(name, "{" + name + "}"));
            return uri.encode().buildAndExpand(said).toUriString();
        }

        /** Whether nothing is narrowed. */
        public boolean all() {
            return sought.isEmpty() && kind.isEmpty() && hand.isEmpty() && before == null;
        }
    }

    /**
     * A mishap to be made good or a step that waits for a yes, with its body.
     *
     * @param step at which, empty where none is said
     */
    public record Open(Body body, String name, AsBuilt.Entry entry, String step, String words, String when) {}

    @GetMapping("/log")
    String log(@AuthenticationPrincipal Maker maker, Wanted wanted, @ModelAttribute("fig") Figures fig, Model model) {
        List<BodyStore.Standing> bodies = store.standing(maker.shop());
        Map<Long, String> names =
                bodies.stream().collect(Collectors.toMap(s -> s.body().id(), BodyStore.Standing::name));
        List<LogStore.Logged> page = page(maker, wanted, bodies);
        boolean more = page.size() > SHOWN;
        List<LogStore.Logged> shown = more ? page.subList(0, SHOWN) : page;
        model.addAttribute("lines", lines(maker.shop(), shown, names, fig));
        model.addAttribute("wanted", wanted);
        model.addAttribute("older", more ? shown.get(shown.size() - 1).id() : null);
        model.addAttribute("kinds", KINDS);
        model.addAttribute("hands", log.hands(maker.shop()));
        model.addAttribute("open", open(maker, names, fig));
        return "log/log";
    }

    private List<LogStore.Logged> page(Maker maker, Wanted wanted, List<BodyStore.Standing> bodies) {
        List<Long> meant = wanted.sought().isEmpty()
                ? null
                : bodies.stream()
                        .filter(s -> s.isCalled(wanted.sought()))
                        .map(s -> s.body().id())
                        .toList();
        return meant != null && meant.isEmpty()
                ? List.of()
                : log.logged(
                        maker.shop(),
                        new LogStore.LogPage(meant, wanted.kind(), wanted.hand(), wanted.before(), SHOWN + 1));
    }

    /** What a log can be narrowed to. */
    private static final Set<EntryWords.Kind> KINDS = EnumSet.complementOf(EnumSet.of(EntryWords.Kind.UNREADABLE));

    /** Everything that is not settled, of every body, the oldest first. */
    private List<Open> open(Maker maker, Map<Long, String> names, Figures fig) {
        return log.bodiesUnsettled(maker.shop()).stream()
                .flatMap(body -> store.record(body).unsettled().stream()
                        .map(e -> new Open(
                                body,
                                names.getOrDefault(body.id(), ""),
                                e,
                                step(e),
                                EntryWords.of(e, fig),
                                fig.moment(e.at()))))
                .sorted(Comparator.comparing(o -> o.entry().at()))
                .toList();
    }

    private static String step(AsBuilt.Entry entry) {
        return entry instanceof AsBuilt.Asked asked
                ? asked.operation().written()
                : entry instanceof AsBuilt.Mishap m
                        ? m.operation().map(StepKey::written).orElse("")
                        : "";
    }

    /** A mishap is made good, or a yes was given. */
    @PostMapping("/bodies/{id}/settled")
    String settle(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam String entry,
            @RequestParam(defaultValue = "") String step,
            @RequestParam(defaultValue = "false") boolean onPage) {
        Body body = store.find(maker.shop(), id);
        boolean open = store.record(body).unsettled().stream().anyMatch(e -> e.id().equals(entry));
        String settled = UUID.randomUUID().toString();
        if (open) {
            String at = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
            store.log(body, new AsBuilt.Settled(settled, at, maker.name(), entry));
        }
        if (onPage) {
            return "redirect:/bodies/" + body.publicId() + "/one-page";
        }
        return step.isEmpty()
                ? "redirect:/log"
                : "redirect:"
                        + UriComponentsBuilder.fromPath("/bodies/{id}/bench")
                                .queryParam("step", "{step}")
                                .queryParam("logged", "{logged}")
                                .encode()
                                .buildAndExpand(body.publicId(), step, settled)
                                .toUriString();
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
        model.addAttribute("lines", lines(maker.shop(), log.logged(current.body()), Map.of(), fig));
        return "log/record";
    }

    /**
     * The lines of some entries.
     *
     * @param names of the bodies; of one that has none here the line does not say whose it is
     */
    private List<Line> lines(long shop, List<LogStore.Logged> entries, Map<Long, String> names, Figures fig) {
        Set<LogStore.Withdrawal> gone =
                log.withdrawn(shop, entries.stream().map(l -> l.body().id()).collect(Collectors.toSet()));
        return entries.stream()
                .map(l -> line(
                        l,
                        Optional.ofNullable(names.get(l.body().id())),
                        fig,
                        gone.contains(
                                new LogStore.Withdrawal(l.body().id(), l.entry().id()))))
                .toList();
    }

    private static Line line(LogStore.Logged logged, Optional<String> name, Figures fig, boolean gone) {
        AsBuilt.Entry entry = logged.entry();
        String when = fig.moment(entry.at().isEmpty() ? logged.at() : entry.at());
        EntryWords.Kind kind = EntryWords.Kind.of(entry);
        String words = EntryWords.of(entry, fig);
        return new Line(
                "/bodies/" + logged.body().publicId(),
                name.map(n -> Words.say("log.no", logged.body().number(), n)).orElse(""),
                entry.id(),
                kind.key(),
                kind.heading(),
                when,
                entry.by(),
                words,
                gone,
                gone || kind == EntryWords.Kind.WITHDRAWN ? "" : Words.say("log.withdraw-2", words));
    }

    /** Takes an entry back by a later one; the first stays in the record. */
    @PostMapping("/bodies/{id}/withdrawals")
    String withdraw(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam String entry,
            @RequestParam(defaultValue = "false") boolean ofBody,
            Wanted wanted) {
        Body body = store.find(maker.shop(), id);
        boolean stands = store.record(body).standing().stream().anyMatch(e -> e.id().equals(entry));
        if (stands) {
            String at = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
            store.log(body, new AsBuilt.Withdrawn(UUID.randomUUID().toString(), at, maker.name(), entry));
        }
        return "redirect:" + (ofBody ? "/bodies/" + body.publicId() + "/record" : wanted.address());
    }
}
