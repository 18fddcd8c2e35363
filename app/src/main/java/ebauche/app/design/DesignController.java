package ebauche.app.design;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.body.Revision;
import ebauche.app.web.Figures;
import ebauche.app.web.NotHere;
import ebauche.app.web.Stale;
import ebauche.core.channel.Finder;
import ebauche.core.channel.Slots;
import ebauche.core.feature.Feature;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.design.Additions;
import ebauche.exchange.design.DesignCatalogue;
import ebauche.exchange.design.FeatureMove;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
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
import org.springframework.web.server.ResponseStatusException;
import tools.jackson.databind.node.ObjectNode;

/** Editing a design on its drawing and in its form: every change is planned at once, and kept only when the maker says so. */
@Controller
@RequestMapping("/bodies/{id}")
class DesignController {
    /** Asks for channels wherever wires have no way. */
    private static final String CHANNELS = "found-channels";

    private static final String SLOTS = "found-slots";

    /** Asks for the form as it was typed, to go on with. */
    private static final String AS_TYPED = "as-typed";

    private final Bodies bodies;
    private final BodyStore store;

    DesignController(Bodies bodies, BodyStore store) {
        this.bodies = bodies;
        this.store = store;
    }

    /**
     * What a form sends beside its fields.
     *
     * @param from revision whose design was taken up, the base where it says none
     * @param held key of the part in hand
     * @param add what to add, or how else to go on; to save where it says nothing
     */
    record Asked(Integer from, String held, String add) {
        Asked {
            held = held == null ? "" : held;
            add = add == null ? "" : add;
        }
    }

    /**
     * What a hand moved on the drawing.
     *
     * @param moves word of the feature, empty for none
     * @param dx how far to the right as seen from the front, mm
     * @param dy how far to the neck, mm
     */
    record MovedBy(String moves, double dx, double dy) {
        MovedBy {
            if (!(Math.abs(dx) <= FARTHEST) || !(Math.abs(dy) <= FARTHEST)) {
                throw new ResponseStatusException(HttpStatus.BAD_REQUEST);
            }
        }

        private static final double FARTHEST = 5_000;

        boolean isNothing() {
            return moves.isEmpty() || (dx == 0 && dy == 0);
        }
    }

    @GetMapping("/design")
    String design(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(required = false) Integer from,
            @RequestParam(defaultValue = "") String held,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        int base = current.revision().number();
        Draft draft = Draft.of(base, from == null ? current.revision() : revision(current.body(), from));
        return page(current, draft, held, fig, model);
    }

    /** The plan of what is typed, with what a hand moved, nothing kept. */
    @PostMapping("/trial")
    String trial(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            Asked asked,
            @RequestParam(defaultValue = "") String moves,
            @RequestParam(defaultValue = "0") double dx,
            @RequestParam(defaultValue = "0") double dy,
            @RequestParam(name = "leave-out", defaultValue = "") List<String> leaveOut,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Draft draft = draft(current, base, asked, leaveOut, typed, fig);
        MovedBy by = new MovedBy(moves, dx, dy);
        if (!by.isNothing()) {
            ObjectNode before = draft.design().deepCopy();
            FeatureMove.move(draft.design(), Feature.mentioned(by.moves()), by.dx(), by.dy(), fig.unit());
            model.addAttribute("put", DesignTrial.put(before, draft.design()));
        }
        model.addAttribute("current", current);
        model.addAttribute("swapped", true);
        DesignTrial.show(current, draft, asked.held(), fig, model);
        return "design/trial :: trial";
    }

    @PostMapping("/design")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            Asked asked,
            @RequestParam(name = "leave-out", defaultValue = "") List<String> leaveOut,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Draft draft = draft(current, base, asked, leaveOut, typed, fig);
        String add = asked.add();
        model.addAttribute("going", add.equals(AS_TYPED) ? AS_TYPED : "on");
        if (add.equals(AS_TYPED)) {
            return page(current, draft, asked.held(), fig, model);
        }
        boolean found = add.equals(CHANNELS) || add.equals(SLOTS);
        Set<String> before = keys(draft);
        if (!add.isEmpty() && !found) {
            Additions.add(draft.design(), add);
            return page(current, draft, added(before, draft, asked.held()), fig, model);
        }
        Draft judged = draft.judged(current);
        if (!judged.troubles().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(current, judged, asked.held(), fig, model);
        }
        if (found) {
            BuildPlan plan = Planner.plan(draft.build(current));
            if (add.equals(CHANNELS)) {
                Finder.missing(plan.build(), plan.history()).forEach(p -> Additions.add(draft.design(), p.channel()));
            } else {
                Slots.missing(plan.build(), plan.history()).forEach(s -> Additions.add(draft.design(), s));
            }
            return page(current, draft, added(before, draft, asked.held()), fig, model);
        }
        try {
            store.save(current.body(), base, draft.file(), maker.name());
            return "redirect:/bodies/" + current.body().publicId();
        } catch (Stale stale) {
            response.setStatus(HttpStatus.CONFLICT.value());
            return difference(current.body(), draft, asked.held(), fig, model);
        }
    }

    private static Set<String> keys(Draft draft) {
        return DesignCatalogue.sections(draft.design()).stream()
                .map(s -> DesignForm.key(s.path()))
                .collect(Collectors.toSet());
    }

    /** The first part that was not there before; what was in hand where nothing came. */
    private static String added(Set<String> before, Draft draft, String held) {
        return DesignCatalogue.sections(draft.design()).stream()
                .map(s -> DesignForm.key(s.path()))
                .filter(k -> !before.contains(k))
                .findFirst()
                .orElse(held);
    }

    private static String page(Bodies.Current current, Draft draft, String held, Figures fig, Model model) {
        DesignForm form = DesignForm.of(current, draft, held);
        form.show(model);
        DesignTrial.show(current, draft, form.held(), fig, model);
        return "design/design";
    }

    private Draft draft(
            Bodies.Current current,
            int base,
            Asked asked,
            List<String> leaveOut,
            Map<String, String> typed,
            Figures fig) {
        int from = asked.from() == null ? base : asked.from();
        return Draft.typed(base, revision(current.body(), from), leaveOut, typed, fig.unit());
    }

    private Revision revision(Body body, int number) {
        return store.revision(body, number).orElseThrow(NotHere::new);
    }

    /** What somebody else changed meanwhile, beside what was typed here; their changes are taken where these are none. */
    private String difference(Body body, Draft draft, String held, Figures fig, Model model) {
        Bodies.Current now = bodies.current(body);
        ObjectNode from = revision(body, draft.base()).design();
        ObjectNode theirs = now.revision().design();
        model.addAttribute("theirRevision", now.revision());
        model.addAttribute("differences", differences(from, theirs, draft.design(), theirs));
        model.addAttribute("mine", differences(from, theirs, draft.design(), draft.design()));
        List<String> stillOut = draft.leaveOut().stream()
                .flatMap(p -> DesignMerge.samePlace(draft.design(), theirs, p).stream())
                .toList();
        ObjectNode merged = DesignMerge.of(from, draft.design(), theirs);
        return page(
                now,
                new Draft(merged, now.revision().number(), now.revision(), stillOut, Map.of(), Map.of()),
                held,
                fig,
                model);
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
}
