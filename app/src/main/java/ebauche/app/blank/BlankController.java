package ebauche.app.blank;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.timber.BoardStore;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.blank.BlankProgress;
import ebauche.core.design.BlankLayer;
import ebauche.core.job.Build;
import ebauche.core.layout.BlankPlanner;
import ebauche.core.layout.Judgement;
import ebauche.core.layout.Layout;
import ebauche.core.layout.Need;
import ebauche.core.layout.Preference;
import ebauche.core.measure.Refusal;
import ebauche.core.plan.BuildPlan;
import ebauche.core.timber.Species;
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
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The blank planner: what the rack gives for a body, ranked; the outline dragged over it; kept with its cut plan. */
@Controller
class BlankController {
    /** Layouts that are listed; the rest is worse than all of these. */
    private static final int SHOWN = 12;

    private final Bodies bodies;
    private final BoardStore boards;
    private final BlankPlanning planning;
    private final CutPlanStore cutPlans;
    private final BlankKeeping keeping;

    BlankController(
            Bodies bodies, BoardStore boards, BlankPlanning planning, CutPlanStore cutPlans, BlankKeeping keeping) {
        this.bodies = bodies;
        this.boards = boards;
        this.planning = planning;
        this.cutPlans = cutPlans;
        this.keeping = keeping;
    }

    /** One layout in the list. */
    public record Offer(Layout layout, String drawing, String address, boolean chosen) {}

    @GetMapping("/bodies/{id}/blank")
    String blank(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            BlankChoice choice,
            @ModelAttribute("fig") Figures fig,
            @RequestHeader(value = "HX-Target", required = false) String target,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        page(current, choice.orDesigned(current.plan().build()), fig, model, response);
        return "laid".equals(target) ? "blank/planner :: laid" : "blank/planner";
    }

    private void page(
            Bodies.Current current, BlankChoice choice, Figures fig, Model model, HttpServletResponse response) {
        Build build = current.plan().build();
        model.addAttribute("current", current);
        model.addAttribute("choice", choice);
        model.addAttribute("timbers", timbers(current));
        model.addAttribute("timber", choice.timber() == null ? designed(current) : choice.timber());
        model.addAttribute("begun", BlankProgress.begun(build).orElse(null));
        model.addAttribute(
                "mixed",
                build.design().blank().layers().stream()
                        .filter(BlankLayer::isMixed)
                        .map(BlankLayer::words)
                        .findFirst()
                        .orElse(null));
        model.addAttribute("tastes", Preference.values());
        model.addAttribute("kept", cutPlans.latest(current.body()).orElse(null));
        BlankPlanning.Planned planned;
        try {
            planned = planning.plan(current, choice, fig.unit());
        } catch (Refusal e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute(e.field() + "Trouble", e.getMessage());
            planned =
                    planning.plan(current, choice.without("top").without("room").without("moved"), fig.unit());
        }
        model.addAttribute("planned", planned);
        model.addAttribute("offers", offers(current, planned.coreAnswer(), planned.coreNeed(), choice, false, fig));
        List<Offer> topOffers = planned.topAnswer().isEmpty()
                ? List.of()
                : offers(current, planned.topAnswer().get(), planned.topNeed().orElseThrow(), choice, true, fig);
        model.addAttribute("topOffers", topOffers);
        laid(current.plan(), planned, fig, model);
    }

    private static String designed(Bodies.Current current) {
        return current.plan().build().design().blank().species().key();
    }

    /** The timbers on the rack, and the one that is designed. */
    private List<Species> timbers(Bodies.Current current) {
        List<Species> there = new ArrayList<>(boards.rack(current.body().shop()).stream()
                .map(s -> s.board().species())
                .distinct()
                .toList());
        Species designed = current.plan().build().design().blank().species();
        if (!there.contains(designed)) {
            there.add(0, designed);
        }
        return there;
    }

    private record Small(LaidOut laid, Need need, Figures fig) {}

    private record Large(LaidOut laid, Need need, Figures fig) {}

    private static List<Offer> offers(
            Bodies.Current current,
            BlankPlanner.Answer answer,
            Need need,
            BlankChoice choice,
            boolean top,
            Figures fig) {
        List<Offer> offers = new ArrayList<>();
        int chosen = Math.min(
                top ? choice.topIndex() : choice.core(), answer.layouts().size() - 1);
        for (int i = 0; i < Math.min(SHOWN, answer.layouts().size()); i++) {
            Layout layout = answer.layouts().get(i);
            LaidOut laid = LaidOut.of(answer, i, layout.thickness(), layout.frontAt(), 0, 0);
            String drawing = Kept.with(current.plan())
                    .get(
                            new Small(laid, need, fig),
                            () -> BlankDrawing.small(laid.alone(), laid.layer(), need, layout.judgements(), fig));
            offers.add(new Offer(
                    layout,
                    drawing,
                    address(current.here(), choice, top ? choice.core() : i, top ? i : choice.topIndex()),
                    i == chosen));
        }
        return offers;
    }

    private static String address(String here, BlankChoice c, int core, int top) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(here + "/blank");
        Optional.ofNullable(c.timber()).ifPresent(t -> uri.queryParam("timber", t));
        uri.queryParam("most", c.mostPieces()).queryParam("taste", c.tasteOrUsual());
        if (c.onlyReady()) {
            uri.queryParam("ready", true);
        }
        Optional.ofNullable(c.room()).filter(r -> !r.isBlank()).ifPresent(r -> uri.queryParam("room", r));
        Optional.ofNullable(c.top()).filter(t -> !t.isBlank()).ifPresent(t -> {
            uri.queryParam("top", t);
            Optional.ofNullable(c.topTimber()).ifPresent(x -> uri.queryParam("topTimber", x));
            uri.queryParam("m", top);
        });
        return uri.queryParam("n", core).encode().build().toUriString();
    }

    /** The chosen layers, drawn and judged where the outline lies now. */
    private static void laid(BuildPlan plan, BlankPlanning.Planned planned, Figures fig, Model model) {
        planned.core().ifPresent(core -> {
            List<Judgement> judged = core.judged(planned.coreNeed());
            model.addAttribute("core", core);
            model.addAttribute("judged", judged);
            model.addAttribute(
                    "offBlank", !core.alone().plan().contains(planned.coreNeed().outline()));
            model.addAttribute("drawing", large(plan, core, planned.coreNeed(), judged, fig));
        });
        planned.top().ifPresent(top -> {
            Need need = planned.topNeed().orElseThrow();
            List<Judgement> judged = top.judged(need);
            model.addAttribute("top", top);
            model.addAttribute("topJudged", judged);
            model.addAttribute("topDrawing", large(plan, top, need, judged, fig));
        });
    }

    private static String large(BuildPlan plan, LaidOut laid, Need need, List<Judgement> judged, Figures fig) {
        return Kept.with(plan)
                .get(
                        new Large(laid, need, fig),
                        () -> BlankDrawing.large(laid.alone(), laid.layer(), need, judged, fig));
    }

    /** Keeps the blank in the body's design, and how it is cut; whole or not at all. */
    @PostMapping("/bodies/{id}/blank")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            BlankChoice choice,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        BlankPlanning.Planned planned;
        try {
            planned = planning.plan(current, choice, fig.unit());
        } catch (Refusal e) {
            page(current, choice, fig, model, response);
            return "blank/planner";
        }
        if (!planned.complete()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            page(current, choice, fig, model, response);
            return "blank/planner";
        }
        try {
            keeping.keep(current, base, planned, maker.name());
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("blank-controller.nothing-was-saved-look-again"), model, response);
            page(bodies.current(maker.shop(), id), choice, fig, model, response);
            return "blank/planner";
        }
        return "redirect:/bodies/" + id + "/cut-list";
    }
}
