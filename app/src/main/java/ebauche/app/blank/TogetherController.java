package ebauche.app.blank;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.blank.BlankProgress;
import ebauche.core.layout.Layout;
import ebauche.core.layout.Need;
import ebauche.core.layout.Preference;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Blanks of several bodies laid out of the rack together, so that one board may give two. */
@Controller
class TogetherController {
    /** Bodies that can be ticked: the newest whose boards are whole. */
    private static final int OFFERED = 12;

    private static final int LOOKED_AT = 40;

    private final Bodies bodies;
    private final BodyStore store;
    private final BlankPlanning planning;
    private final BlankKeeping keeping;

    /** Whether its boards are whole, of each body as it stands. */
    private final Cache<BodyStore.Standing, Boolean> whole =
            Caffeine.newBuilder().maximumSize(2_000).build();

    TogetherController(Bodies bodies, BodyStore store, BlankPlanning planning, BlankKeeping keeping) {
        this.bodies = bodies;
        this.store = store;
        this.planning = planning;
        this.keeping = keeping;
    }

    /** A body that can be laid out with this one. */
    public record Partner(Body body, String name, boolean ticked) {}

    /** A layer as it is shown: drawn, with its boards and what they leave. */
    public record Layer(Layout layout, String drawing) {}

    /**
     * One body's blank among the others.
     *
     * @param after the name of the body whose rests it is cut out of
     */
    public record Shown(Bodies.Current current, List<Layer> layers, Optional<String> after) {}

    /** What the page shows. */
    private record TogetherView(
            Bodies.Current current,
            List<Partner> partners,
            Preference taste,
            List<Preference> tastes,
            Optional<List<Shown>> shown,
            double points,
            List<String> with) {}

    @GetMapping("/bodies/{id}/blank/together")
    String together(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(defaultValue = "") List<String> with,
            @RequestParam(defaultValue = "BALANCED") Preference taste,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        if (with.size() >= BlankPlanning.MOST_TOGETHER) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute(
                    "trouble", Words.say("together-controller.up-to-bodies-are-laid-out", BlankPlanning.MOST_TOGETHER));
            return page(current, List.of(), taste, fig, model);
        }
        return page(current, with, taste, fig, model);
    }

    private String page(Bodies.Current current, List<String> with, Preference taste, Figures fig, Model model) {
        Optional<BlankPlanning.Together> found = with.isEmpty()
                ? Optional.empty()
                : planning.together(all(current, with), choice(current, taste), fig.unit());
        PageModel.put(
                model,
                new TogetherView(
                        current,
                        partners(current, with),
                        taste,
                        List.of(Preference.values()),
                        found.map(
                                t -> t.bodies().stream().map(b -> shown(b, fig)).toList()),
                        found.map(BlankPlanning.Together::points).orElse(0.0),
                        with));
        return "blank/together";
    }

    private static BlankChoice choice(Bodies.Current current, Preference taste) {
        return BlankChoice.USUAL.favouring(taste).orDesigned(current.plan().build());
    }

    private List<Bodies.Current> all(Bodies.Current current, List<String> with) {
        List<Bodies.Current> all = new ArrayList<>(List.of(current));
        with.stream()
                .distinct()
                .filter(w -> !w.equals(current.body().publicId()))
                .forEach(w -> all.add(bodies.current(current.body().shop(), w)));
        return all;
    }

    private List<Partner> partners(Bodies.Current current, List<String> with) {
        return store.standing(current.body().shop()).stream()
                .filter(s -> s.body().id() != current.body().id())
                .limit(LOOKED_AT)
                .filter(s -> whole.get(
                        s,
                        standing -> BlankProgress.begun(bodies.build(standing.body()))
                                .isEmpty()))
                .limit(OFFERED)
                .map(s -> new Partner(s.body(), s.name(), with.contains(s.body().publicId())))
                .toList();
    }

    private static Shown shown(BlankPlanning.OfBody body, Figures fig) {
        List<Layer> layers = new ArrayList<>();
        body.planned().core().ifPresent(c -> layers.add(layer(c, body.planned().coreNeed(), fig)));
        body.planned()
                .top()
                .ifPresent(t -> layers.add(layer(t, body.planned().topNeed().orElseThrow(), fig)));
        return new Shown(body.current(), layers, body.after().map(Bodies.Current::name));
    }

    private static Layer layer(LaidOut laid, Need need, Figures fig) {
        return new Layer(
                laid.layout(),
                BlankDrawing.small(
                        laid.alone(), laid.layer(), need, laid.layout().judgements(), fig));
    }

    /** Keeps the blanks of all, with their cut lists; all or none. */
    @PostMapping("/bodies/{id}/blank/together")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam List<String> with,
            @RequestParam Preference taste,
            @RequestParam List<String> bodyOf,
            @RequestParam List<Integer> base,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Optional<BlankPlanning.Together> found = with.size() >= BlankPlanning.MOST_TOGETHER
                ? Optional.empty()
                : planning.together(all(current, with), choice(current, taste), fig.unit());
        // The order of cutting is part of what was looked at: another one is another plan.
        boolean same = found.isPresent()
                && base.size() == bodyOf.size()
                && found.get().bodies().stream()
                        .map(b -> b.current().body().publicId())
                        .toList()
                        .equals(bodyOf);
        try {
            if (!same) {
                throw new Stale(Words.say("together-controller.the-rack-or-a-body-is"));
            }
            keeping.keep(found.get(), base, maker.name());
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("together-controller.nothing-was-saved-look-again"), model, response);
            return page(bodies.current(maker.shop(), id), with, taste, fig, model);
        }
        return "redirect:/bodies/"
                + found.get().bodies().get(0).current().body().publicId() + "/cut-list";
    }
}
