package ebauche.app.body;

import ebauche.app.account.Maker;
import ebauche.app.drawing.BoardDrawing;
import ebauche.app.web.Figures;
import ebauche.core.build.Build;
import ebauche.core.neck.NeckPocket;
import ebauche.core.neck.PocketState;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Moved;
import ebauche.core.plan.Planner;
import ebauche.exchange.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import org.springframework.web.util.UriComponentsBuilder;
import tools.jackson.databind.node.ObjectNode;

/** Editing a design: every change is planned at once, and kept only when the maker says so. */
@Controller
@RequestMapping("/bodies/{id}")
class DesignController {
    private final Bodies bodies;
    private final BodyStore store;

    DesignController(Bodies bodies, BodyStore store) {
        this.bodies = bodies;
        this.store = store;
    }

    /** A form's state: the design as typed, what it was based on, what is wrong with it. */
    private record Draft(ObjectNode design, int base, Map<String, String> typed, Map<String, String> troubles) {}

    @GetMapping("/design")
    String design(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Draft draft = new Draft(current.revision().design(), current.revision().number(), Map.of(), Map.of());
        form(current, draft, model);
        trial(current, draft, fig, model);
        return "body/design";
    }

    /** The plan of what is typed, nothing kept. */
    @PostMapping("/trial")
    String trial(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Draft draft = draft(current, base, typed, fig);
        model.addAttribute("current", current);
        trial(current, draft, fig, model);
        return "body/trial :: trial";
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
        Draft draft = draft(current, base, typed, fig);
        leaveOut.stream()
                .sorted(Comparator.<String>naturalOrder().reversed())
                .filter(p -> DesignFields.of(draft.design()).stream().anyMatch(s -> s.optional() && s.path().equals(p)))
                .forEach(p -> DesignEdit.leaveOut(draft.design(), p));
        NewParts.add(draft.design(), add);
        Map<String, String> troubles = new LinkedHashMap<>(draft.troubles());
        if (troubles.isEmpty()) {
            trouble(current, draft.design()).ifPresent(t -> troubles.put(DesignEdit.field(t.place()), t.getMessage()));
        }
        if (!troubles.isEmpty() || !add.isEmpty()) {
            response.setStatus((add.isEmpty() ? HttpStatus.UNPROCESSABLE_ENTITY : HttpStatus.OK).value());
            return again(current, new Draft(draft.design(), base, typed, troubles), fig, model);
        }
        try {
            store.save(current.body(), base, file(current, draft.design()), maker.name());
            return "redirect:/bodies/" + UriComponentsBuilder.fromPath(id).build().encode().toUriString();
        } catch (StaleRevision stale) {
            response.setStatus(HttpStatus.CONFLICT.value());
            return difference(current, base, draft, typed, fig, model);
        }
    }

    private String again(Bodies.Current current, Draft draft, Figures fig, Model model) {
        form(current, draft, model);
        trial(current, draft, fig, model);
        return "body/design";
    }

    /** What was typed, over the revision that it was typed over. */
    private Draft draft(Bodies.Current current, int base, Map<String, String> typed, Figures fig) {
        ObjectNode from = store.revision(current.body(), base)
                .map(Revision::design)
                .orElseGet(() -> current.revision().design());
        ObjectNode skeleton = withAdded(from, typed);
        return new Draft(
                DesignEdit.apply(skeleton, typed, fig.unit()),
                base,
                typed,
                DesignEdit.troubles(skeleton, typed, fig.unit()));
    }

    /** Parts that were added in the form since, so that their fields have a place. */
    private static ObjectNode withAdded(ObjectNode from, Map<String, String> typed) {
        ObjectNode out = from.deepCopy();
        for (String kind : List.of("studs", "vibrato", "controlCavity", "jack")) {
            String prefix = kind.equals("studs") || kind.equals("vibrato") ? "bridge." + kind + "." : kind + ".";
            if (typed.keySet().stream().anyMatch(k -> k.startsWith(prefix))) {
                NewParts.add(out, kind);
            }
        }
        for (int i = out.path("pickups").size(); typed.containsKey("pickups." + i + ".id") && i < 40; i++) {
            NewParts.add(out, "pickup");
        }
        for (int i = out.path("controls").size(); typed.containsKey("controls." + i + ".id") && i < 40; i++) {
            NewParts.add(out, "pot");
        }
        return out;
    }

    private static ObjectNode file(Bodies.Current current, ObjectNode design) {
        ObjectNode file = current.revision().file().deepCopy();
        file.set("design", design);
        return file;
    }

    private Optional<BuildFileException> trouble(Bodies.Current current, ObjectNode design) {
        try {
            Bodies.build(file(current, design), current.plan().build().asBuilt());
            return Optional.empty();
        } catch (BuildFileException e) {
            return Optional.of(e);
        }
    }

    /** What somebody else changed meanwhile, beside what was typed here; their changes are taken where these are none. */
    private String difference(
            Bodies.Current before, int base, Draft draft, Map<String, String> typed, Figures fig, Model model) {
        Bodies.Current now = bodies.current(before.body());
        ObjectNode from = store.revision(now.body(), base).orElseThrow().design();
        ObjectNode theirs = now.revision().design();
        ObjectNode merged = theirs.deepCopy();
        Map<String, String> mine = new LinkedHashMap<>();
        DesignEdit.changed(from, draft.design()).forEach(p -> mine.put(p, DesignEdit.at(draft.design(), p)));
        merged = DesignEdit.apply(withAdded(merged, mine), mine, fig.unit());
        List<Difference> differences = new ArrayList<>();
        for (String path : DesignEdit.changed(from, theirs)) {
            differences.add(new Difference(
                    label(theirs, path), DesignEdit.at(from, path), DesignEdit.at(theirs, path),
                    mine.getOrDefault(path, "")));
        }
        model.addAttribute("differences", differences);
        model.addAttribute("mine", mine.entrySet().stream()
                .map(e -> new Difference(label(draft.design(), e.getKey()), DesignEdit.at(from, e.getKey()), DesignEdit.at(theirs, e.getKey()), e.getValue()))
                .toList());
        model.addAttribute("theirRevision", now.revision());
        return again(now, new Draft(merged, now.revision().number(), Map.of(), Map.of()), fig, model);
    }

    /** One field that two makers see differently. */
    public record Difference(String field, String was, String theirs, String mine) {}

    private static String label(ObjectNode design, String path) {
        for (DesignFields.Section section : DesignFields.of(design)) {
            for (DesignFields.Field field : section.fields()) {
                if (field.path().equals(path)) {
                    return section.title() + ", " + field.label();
                }
            }
        }
        return path;
    }

    private static void form(Bodies.Current current, Draft draft, Model model) {
        Map<String, String> values = new LinkedHashMap<>();
        List<DesignFields.Section> sections = DesignFields.of(draft.design());
        sections.forEach(s -> s.fields().forEach(f -> values.put(f.path(), draft.troubles().containsKey(f.path())
                ? draft.typed().getOrDefault(f.path(), "")
                : DesignEdit.at(draft.design(), f.path()))));
        List<String> shown = sections.stream().flatMap(s -> s.fields().stream()).map(DesignFields.Field::path).toList();
        model.addAttribute("current", current);
        model.addAttribute("sections", sections);
        model.addAttribute("values", values);
        model.addAttribute("base", draft.base());
        model.addAttribute("troubles", draft.troubles());
        model.addAttribute("troublesElsewhere", draft.troubles().entrySet().stream()
                .filter(t -> !shown.contains(t.getKey()))
                .toList());
        model.addAttribute("addable", List.of("pickup", "pot", "blade-switch", "controlCavity", "jack", "studs", "vibrato").stream()
                .filter(k -> !NewParts.has(draft.design(), k))
                .toList());
    }

    private static void trial(Bodies.Current current, Draft draft, Figures fig, Model model) {
        model.addAttribute("here", "/bodies/" + current.body().publicId());
        if (!draft.troubles().isEmpty()) {
            model.addAttribute("unreadable", draft.troubles());
            return;
        }
        BuildPlan plan;
        try {
            Build build = Bodies.build(file(current, draft.design()), current.plan().build().asBuilt());
            plan = Planner.plan(build);
        } catch (BuildFileException e) {
            model.addAttribute("unreadable", Map.of(DesignEdit.field(e.place()), e.getMessage()));
            return;
        }
        PocketState pocket = PocketState.of(plan.build());
        model.addAttribute("plan", plan);
        model.addAttribute("pocket", pocket);
        model.addAttribute("window", pocket.geometry().window(plan.build().design().bridge()));
        model.addAttribute("budget", pocket.geometry().errorBudget(plan.build().shop().limits()));
        List<NeckPocket.Sensitivity> matters = pocket.geometry().sensitivities();
        model.addAttribute("sensitivities", matters);
        model.addAttribute("moved", Moved.between(current.plan(), plan));
        model.addAttribute("board", BoardDrawing.finished(plan, fig));
    }
}
