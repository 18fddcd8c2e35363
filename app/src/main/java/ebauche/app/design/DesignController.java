package ebauche.app.design;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.body.Revision;
import ebauche.app.drawing.BoardDrawing;
import ebauche.app.web.Figures;
import ebauche.app.web.NotHere;
import ebauche.app.web.Stale;
import ebauche.core.channel.Finder;
import ebauche.core.channel.Slots;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.neck.NeckPocket;
import ebauche.core.neck.PocketState;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.sheet.Moved;
import ebauche.exchange.design.Additions;
import ebauche.exchange.design.DesignCatalogue;
import ebauche.exchange.field.Field;
import ebauche.exchange.json.BuildFileException;
import ebauche.exchange.json.JsonPaths;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
import tools.jackson.databind.node.ObjectNode;

/** Editing a design: every change is planned at once, and kept only when the maker says so. */
@Controller
@RequestMapping("/bodies/{id}")
class DesignController {
    /** Asks for channels wherever wires have no way. */
    private static final String CHANNELS = "found-channels";

    private static final String SLOTS = "found-slots";

    private final Bodies bodies;
    private final BodyStore store;

    DesignController(Bodies bodies, BodyStore store) {
        this.bodies = bodies;
        this.store = store;
    }

    /**
     * A form's state.
     *
     * @param design as typed, with the parts that are marked to be left out
     * @param leaveOut those parts
     * @param troubles what is wrong, by field
     */
    private record Draft(
            ObjectNode design,
            int base,
            List<String> leaveOut,
            Map<String, String> typed,
            Map<String, String> troubles) {

        static Draft of(Revision revision) {
            return new Draft(revision.design().deepCopy(), revision.number(), List.of(), Map.of(), Map.of());
        }

        /** The design that would be kept. */
        ObjectNode kept() {
            return DesignEdit.without(design, leaveOut);
        }

        Draft with(Map<String, String> found) {
            return new Draft(design, base, leaveOut, typed, found);
        }
    }

    @GetMapping("/design")
    String design(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Draft draft = Draft.of(current.revision());
        form(current, draft, model);
        trial(current, draft, fig, model);
        return "design/design";
    }

    /** The plan of what is typed, nothing kept. */
    @PostMapping("/trial")
    String trial(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam(name = "leave-out", defaultValue = "") List<String> leaveOut,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        model.addAttribute("current", current);
        trial(current, draft(current, base, leaveOut, typed, fig), fig, model);
        return "design/trial :: trial";
    }

    @PostMapping("/design")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam(defaultValue = "") String add,
            @RequestParam(name = "leave-out", defaultValue = "") List<String> leaveOut,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Draft draft = draft(current, base, leaveOut, typed, fig);
        boolean found = add.equals(CHANNELS) || add.equals(SLOTS);
        if (!add.isEmpty() && !found) {
            Additions.add(draft.design(), add);
            return again(current, draft, fig, model);
        }
        Draft judged = draft.with(troubles(current, draft));
        if (!judged.troubles().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return again(current, judged, fig, model);
        }
        if (found) {
            BuildPlan plan = Planner.plan(build(current, draft));
            if (add.equals(CHANNELS)) {
                Finder.missing(plan.build(), plan.history()).forEach(p -> Additions.add(draft.design(), p.channel()));
            } else {
                Slots.missing(plan.build(), plan.history()).forEach(s -> Additions.add(draft.design(), s));
            }
            return again(current, draft, fig, model);
        }
        try {
            store.save(current.body(), base, file(current, draft.kept()), maker.name());
            return "redirect:/bodies/" + current.body().publicId();
        } catch (Stale stale) {
            response.setStatus(HttpStatus.CONFLICT.value());
            return difference(current.body(), draft, fig, model);
        }
    }

    private String again(Bodies.Current current, Draft draft, Figures fig, Model model) {
        form(current, draft, model);
        trial(current, draft, fig, model);
        return "design/design";
    }

    /** What was typed, over the revision that it was typed over. */
    private Draft draft(
            Bodies.Current current, int base, List<String> leaveOut, Map<String, String> typed, Figures fig) {
        ObjectNode from =
                store.revision(current.body(), base).orElseThrow(NotHere::new).design();
        ObjectNode skeleton = Additions.shown(from, typed);
        return new Draft(
                DesignEdit.apply(skeleton, typed, fig.unit()),
                base,
                leaveOut,
                typed,
                DesignEdit.troubles(skeleton, typed, fig.unit()));
    }

    private static ObjectNode file(Bodies.Current current, ObjectNode design) {
        ObjectNode file = current.revision().file().deepCopy();
        file.set("design", design);
        return file;
    }

    /** What is wrong with a draft: every length that is none, else the first thing that the design refuses. */
    private static Map<String, String> troubles(Bodies.Current current, Draft draft) {
        if (!draft.troubles().isEmpty()) {
            return draft.troubles();
        }
        try {
            build(current, draft);
            return Map.of();
        } catch (BuildFileException e) {
            return Map.of(DesignEdit.field(e.place()), e.getMessage());
        }
    }

    private static Build build(Bodies.Current current, Draft draft) {
        return Bodies.build(
                file(current, draft.kept()),
                current.ways(),
                current.plan().build().asBuilt());
    }

    /** What somebody else changed meanwhile, beside what was typed here; their changes are taken where these are none. */
    private String difference(Body body, Draft draft, Figures fig, Model model) {
        Bodies.Current now = bodies.current(body);
        ObjectNode from =
                store.revision(body, draft.base()).orElseThrow(NotHere::new).design();
        ObjectNode theirs = now.revision().design();
        model.addAttribute("theirRevision", now.revision());
        model.addAttribute("differences", differences(from, theirs, draft.design(), theirs));
        model.addAttribute("mine", differences(from, theirs, draft.design(), draft.design()));
        List<String> stillOut = draft.leaveOut().stream()
                .flatMap(p -> DesignMerge.samePlace(draft.design(), theirs, p).stream())
                .toList();
        ObjectNode merged = DesignMerge.of(from, draft.design(), theirs);
        return again(now, new Draft(merged, now.revision().number(), stillOut, Map.of(), Map.of()), fig, model);
    }

    /** One field as it was, as they have it, and as it was typed here. */
    public record Difference(String field, String was, String theirs, String mine) {}

    /**
     * @param to the design whose changes are told: theirs, or mine
     */
    private static List<Difference> differences(ObjectNode from, ObjectNode theirs, ObjectNode mine, ObjectNode to) {
        return DesignDifference.between(from, to).stream()
                .map(p -> new Difference(
                        p.field(),
                        DesignDifference.text(from, p.path()),
                        DesignDifference.text(theirs, p.path()),
                        DesignDifference.text(mine, p.path())))
                .toList();
    }

    private static void form(Bodies.Current current, Draft draft, Model model) {
        Map<String, String> values = new LinkedHashMap<>();
        List<DesignCatalogue.Section> sections =
                DesignCatalogue.sections(draft.design(), current.ways().timbers());
        sections.forEach(s -> s.fields()
                .forEach(f -> values.put(
                        f.path(),
                        draft.troubles().containsKey(f.path())
                                ? draft.typed().getOrDefault(f.path(), "")
                                : JsonPaths.text(draft.design(), f.path()))));
        List<String> shown = sections.stream()
                .flatMap(s -> s.fields().stream())
                .map(Field.Input::path)
                .toList();
        model.addAttribute("current", current);
        model.addAttribute(
                "noWay",
                current.plan().findings().stream().anyMatch(f -> f.rule().equals("no-way-for-wires")));
        model.addAttribute("sections", sections);
        model.addAttribute("values", values);
        model.addAttribute("base", draft.base());
        model.addAttribute("troubles", draft.troubles());
        model.addAttribute(
                "troublesElsewhere",
                draft.troubles().entrySet().stream()
                        .filter(t -> !shown.contains(t.getKey()))
                        .toList());
        Map<String, AsBuilt.Reading> measured = new LinkedHashMap<>();
        AsBuilt record = current.plan().build().asBuilt();
        DesignCatalogue.measurable(draft.design())
                .forEach((path, size) -> record.latest(size).ifPresent(reading -> measured.put(path, reading)));
        model.addAttribute("measured", measured);
        model.addAttribute("leaveOut", draft.leaveOut());
        model.addAttribute("addable", Additions.to(draft.design()));
    }

    private static void trial(Bodies.Current current, Draft draft, Figures fig, Model model) {
        Map<String, String> troubles = troubles(current, draft);
        if (!troubles.isEmpty()) {
            model.addAttribute("unreadable", troubles);
            return;
        }
        boolean asKept = draft.kept().equals(current.revision().design());
        BuildPlan plan = asKept ? current.plan() : Planner.plan(build(current, draft));
        PocketState pocket = PocketState.of(plan.build());
        model.addAttribute("plan", plan);
        model.addAttribute("pocket", pocket);
        model.addAttribute(
                "window", pocket.geometry().window(plan.build().design().bridge()));
        model.addAttribute(
                "budget", pocket.geometry().errorBudget(plan.build().shop().limits()));
        List<NeckPocket.Sensitivity> matters = pocket.geometry().sensitivities();
        model.addAttribute("sensitivities", matters);
        model.addAttribute("moved", Moved.between(current.plan(), plan));
        model.addAttribute("board", BoardDrawing.finished(plan, fig));
    }
}
