package ebauche.app.contour;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.design.DesignKeeping;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.NotHere;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.contour.Dragged;
import ebauche.core.contour.EdgeBand;
import ebauche.core.contour.Removal;
import ebauche.core.contour.UsualContour;
import ebauche.core.design.Contour;
import ebauche.core.job.Build;
import ebauche.core.measure.Reckoning;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.sheet.SideBySide;
import ebauche.exchange.json.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Contours and carved tops: laid on the outline, tried, kept; with what they leave and which numbers they move. */
@Controller
@RequestMapping("/bodies/{id}/contours")
class ContoursController {
    private final Bodies bodies;
    private final DesignKeeping keeping;

    ContoursController(Bodies bodies, DesignKeeping keeping) {
        this.bodies = bodies;
        this.keeping = keeping;
    }

    /**
     * One contour on the page.
     *
     * @param width from its line to its deepest place, mm; empty where it cannot be laid
     * @param by how it is brought out; none where it cannot be laid
     * @param section cut square to its line through its deepest place; empty where it cannot be laid
     */
    public record Shown(ContourForm form, OptionalDouble width, String section, List<Reckoning> sums, Removal by) {}

    @GetMapping
    String contours(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(required = false) String add,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Optional<UsualContour> usual = Arrays.stream(UsualContour.values())
                .filter(u -> u.id().equals(add))
                .findFirst();
        if (usual.isPresent()) {
            Contour contour = unlike(current, usual.get().on(current.plan().build()));
            attempt(current, ContourForm.fresh(contour, fig), fig, model);
        } else {
            page(current, current.plan(), null, fig, model);
        }
        return "contour/contours";
    }

    /** A second one of a kind gets a name of its own. */
    private static Contour unlike(Bodies.Current current, Contour contour) {
        List<String> taken = current.plan().build().design().contours().stream()
                .map(Contour::id)
                .toList();
        String id = contour.id();
        for (int n = 2; taken.contains(id); n++) {
            id = contour.id() + "-" + n;
        }
        return new Contour(id, contour.face(), contour.start(), contour.depth(), contour.shape(), contour.radius());
    }

    private static void page(Bodies.Current current, BuildPlan shown, ContourForm tried, Figures fig, Model model) {
        Build build = shown.build();
        List<Shown> all = new ArrayList<>();
        for (Contour.Laid laid : build.contours()) {
            boolean isTried = tried != null && laid.contour().id().equals(tried.get("id"));
            ContourForm form = isTried
                    ? tried
                    : ContourForm.of(inFile(current, laid.contour().id()));
            all.add(new Shown(
                    form,
                    OptionalDouble.of(laid.profile().width()),
                    ContourSection.of(build, laid, fig),
                    sums(build, laid),
                    Removal.chosen(build, laid)));
        }
        if (tried != null && all.stream().noneMatch(s -> s.form().equals(tried))) {
            all.removeIf(s -> s.form().was().equals(tried.was()));
            all.add(new Shown(tried, OptionalDouble.empty(), "", List.of(), null));
        }
        all.sort(Comparator.comparing(s -> !s.form().equals(tried)));
        model.addAttribute("current", current);
        model.addAttribute("plan", shown);
        model.addAttribute("base", current.revision().number());
        model.addAttribute("shown", all);
        model.addAttribute("tried", tried);
        model.addAttribute("usual", UsualContour.values());
        model.addAttribute("drawing", ContourDrawing.of(build, fig, tried == null ? "" : tried.get("id")));
    }

    private static JsonNode inFile(Bodies.Current current, String id) {
        for (JsonNode contour : current.revision().design().path("contours")) {
            if (contour.path("id").asString("").equals(id)) {
                return contour;
            }
        }
        throw new IllegalStateException("the plan has a contour that its file lacks: " + id);
    }

    /** What can be told of one: its slope, how wide it is, the edge that it leaves with those of the other face. */
    private static List<Reckoning> sums(Build build, Contour.Laid laid) {
        List<Reckoning> sums = new ArrayList<>(List.of(laid.slope()));
        EdgeBand.of(build, laid.feature()).forEach(b -> sums.addAll(List.of(b.thickness(), b.evenness())));
        return sums;
    }

    /**
     * What a contour is while its line follows the hand.
     *
     * @param line as it runs, in the drawing's units; empty where it begins off none
     */
    private record HeldView(String section, String line, List<Reckoning> sums, List<Dragged.Floor> floors) {}

    /** The section, the edge that stays and the floors under a contour as it is held; nothing is planned and nothing kept. */
    @PostMapping("/held")
    String held(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        ContourForm form = ContourForm.posted(typed);
        ObjectNode file = DesignKeeping.file(current);
        form.into(file.withObject("/design"), fig);
        try {
            if (!form.troubles().isEmpty()) {
                throw new BuildFileException(
                        "contours", String.join("; ", form.troubles().values()));
            }
            Build build = DesignKeeping.build(current, file);
            Contour.Laid laid = build.contours().stream()
                    .filter(l -> l.contour().id().equals(form.get("id")))
                    .findFirst()
                    .orElseThrow(NotHere::new);
            Dragged held = Dragged.of(build, current.plan().history(), laid);
            List<Reckoning> sums = new ArrayList<>(List.of(laid.slope()));
            held.bands().forEach(b -> sums.addAll(List.of(b.thickness(), b.evenness())));
            PageModel.put(
                    model,
                    new HeldView(
                            ContourSection.of(build, laid, fig),
                            ContourDrawing.line(build, laid),
                            sums,
                            held.floors()));
            return "contour/held :: held";
        } catch (BuildFileException cannot) {
            model.addAttribute("why", cannot.getMessage());
            return "contour/held :: cannot";
        }
    }

    /** Shows the design with the form's contour in it; the file, if it means something. */
    private static Optional<ObjectNode> attempt(Bodies.Current current, ContourForm form, Figures fig, Model model) {
        ObjectNode file = DesignKeeping.file(current);
        form.into(file.withObject("/design"), fig);
        if (form.troubles().isEmpty()) {
            try {
                BuildPlan then = Planner.plan(DesignKeeping.build(current, file));
                page(current, then, form, fig, model);
                model.addAttribute("beside", SideBySide.of(current.plan(), then));
                return Optional.of(file);
            } catch (BuildFileException e) {
                form.troubles().put(field(e.place()), e.getMessage());
            }
        }
        page(current, current.plan(), form, fig, model);
        return Optional.empty();
    }

    /** The form's field that a place in the file stands for; the depth's line takes what belongs to no field. */
    private static String field(String path) {
        String last = path.substring(path.lastIndexOf('.') + 1);
        if (last.equals("to")) {
            return (path.contains(".stretch.") ? ContourForm.STRETCH : "") + "tox";
        }
        return List.of("width", "radius", "id", "fade", "lean", "depths", "edge", "diameter")
                        .contains(last)
                ? last
                : "depth";
    }

    @PostMapping
    String change(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam String act,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        ContourForm form = ContourForm.posted(typed).pulled(act, fig);
        try {
            if (act.equals("remove")) {
                ObjectNode file = DesignKeeping.file(current);
                ContourForm.remove(file.withObject("/design"), form.was());
                keeping.keep(current, base, file, maker.name());
                return "redirect:/bodies/" + id + "/contours";
            }
            Optional<ObjectNode> file = attempt(current, form, fig, model);
            if (file.isEmpty()) {
                response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            } else if (act.equals("keep")) {
                keeping.keep(current, base, file.get(), maker.name());
                return "redirect:/bodies/" + id + "/contours";
            }
        } catch (Stale stale) {
            attempt(current, form, fig, model);
            ConflictNotice.tell(stale, Words.say("contours-controller.what-you-typed-is-still-below"), model, response);
        }
        return "contour/contours";
    }
}
