package ebauche.app.shopfloor;

import ebauche.app.account.Maker;
import ebauche.app.account.MakerStore;
import ebauche.app.body.BodyStore;
import ebauche.app.body.NextStep;
import ebauche.app.body.PutByStore;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The bodies of a shop by how they stand, each with its next step, and what can be done now over all of them. */
@Controller
class ShopFloorController {
    /** Cards that a group shows before more are asked for. */
    private static final int SHOWN = 24;

    /** Of each body so many steps. */
    private static final int STEPS_EACH = 3;

    private final FloorCards cards;
    private final MakerStore makers;
    private final BodyStore bodies;
    private final PutByStore putBy;
    private final Clock clock;

    ShopFloorController(FloorCards cards, MakerStore makers, BodyStore bodies, PutByStore putBy, Clock clock) {
        this.cards = cards;
        this.makers = makers;
        this.bodies = bodies;
        this.putBy = putBy;
        this.clock = clock;
    }

    /** How bodies stand. */
    public enum Standing {
        IN_WORK,
        WAITING,
        DONE,
        PUT_BY;

        public String words() {
            return Words.say("floor.standing." + name().toLowerCase(Locale.ROOT).replace('_', '-'));
        }
    }

    /**
     * A body on the floor.
     *
     * @param until when what rests has rested, as it is said; empty where nothing rests
     */
    public record OnFloor(String publicId, String card, String until, boolean putBy) {}

    /** Bodies that stand alike; more of them than are shown. */
    public record Group(Standing standing, int count, List<OnFloor> shown) {}

    private record FloorView(String shop, List<Group> groups, String sought, String all, int found) {}

    @GetMapping("/")
    String floor(
            @AuthenticationPrincipal Maker maker,
            @RequestParam(defaultValue = "") String sought,
            @RequestParam(defaultValue = "") String all,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        List<FloorCards.Known> floor = cards.floor(maker.shop(), sought, fig);
        PageModel.put(
                model,
                new FloorView(
                        makers.shopName(maker.shop()),
                        groups(maker, floor, all, fig),
                        sought.strip(),
                        all,
                        floor.size()));
        return "shopfloor/floor";
    }

    private List<Group> groups(Maker maker, List<FloorCards.Known> floor, String all, Figures fig) {
        Set<Long> by = putBy.putBy(maker.shop());
        Instant now = clock.instant();
        Map<Standing, List<FloorCards.Known>> groups = new EnumMap<>(Standing.class);
        for (FloorCards.Known body : floor) {
            Standing standing = by.contains(body.body().id())
                    ? Standing.PUT_BY
                    : body.done()
                            ? Standing.DONE
                            : body.restsUntil(now).isPresent() ? Standing.WAITING : Standing.IN_WORK;
            groups.computeIfAbsent(standing, s -> new ArrayList<>()).add(body);
        }
        return groups.entrySet().stream()
                .map(g -> new Group(
                        g.getKey(),
                        g.getValue().size(),
                        g.getValue().stream()
                                .limit(all.equals(g.getKey().name()) ? Integer.MAX_VALUE : SHOWN)
                                .map(k -> shown(k, g.getKey() == Standing.PUT_BY, now, fig))
                                .toList()))
                .toList();
    }

    private OnFloor shown(FloorCards.Known known, boolean putBy, Instant now, Figures fig) {
        return new OnFloor(
                known.body().publicId(),
                known.card().isEmpty() ? cards.waiting(known.body()) : known.card(),
                known.restsUntil(now).map(r -> fig.moment(r.toString())).orElse(""),
                putBy);
    }

    /** A body is put by, or taken up again. */
    @PostMapping("/bodies/{id}/put-by")
    String putBy(@AuthenticationPrincipal Maker maker, @PathVariable String id, @RequestParam boolean by) {
        putBy.put(bodies.find(maker.shop(), id), by, maker.name());
        return "redirect:/";
    }

    /** A step that can be done now. */
    public record Doable(String here, String body, String title, int minutes) {}

    private record NowView(List<Doable> doable, int minutes, List<Integer> times, long unseen) {}

    /** What can be done now, over all bodies, in so much time: the longest that fits first. */
    @GetMapping("/now")
    String now(
            @AuthenticationPrincipal Maker maker,
            @RequestParam(defaultValue = "0") int minutes,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Instant now = clock.instant();
        Set<Long> by = putBy.putBy(maker.shop());
        List<FloorCards.Known> floor = cards.floor(maker.shop(), "", fig).stream()
                .filter(k -> !by.contains(k.body().id()))
                .toList();
        List<Doable> doable = floor.stream()
                .flatMap(k -> k.next().stream()
                        .filter(s -> !s.from().isAfter(now) && (minutes <= 0 || s.minutes() <= minutes))
                        .limit(STEPS_EACH)
                        .map(s -> doable(k, s)))
                .sorted(Comparator.comparingInt(Doable::minutes).reversed())
                .toList();
        long unseen = floor.stream().filter(k -> k.name().isEmpty()).count();
        PageModel.put(model, new NowView(doable, minutes, List.of(10, 20, 30, 60, 120), unseen));
        return "shopfloor/now";
    }

    private static Doable doable(FloorCards.Known body, NextStep step) {
        return new Doable(
                "/bodies/" + body.body().publicId() + "/bench?step=" + step.key(),
                Words.say("bench.no", body.body().number(), body.name()),
                step.title(),
                step.minutes());
    }

    /** One body's card, asked for when its place comes into sight. */
    @GetMapping(path = "/bodies/{id}/card", produces = MediaType.TEXT_HTML_VALUE)
    @ResponseBody
    String card(@AuthenticationPrincipal Maker maker, @PathVariable String id, @ModelAttribute("fig") Figures fig) {
        return cards.card(maker.shop(), id, fig);
    }
}
