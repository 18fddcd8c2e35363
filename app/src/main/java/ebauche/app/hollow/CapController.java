package ebauche.app.hollow;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.design.DesignKeeping;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.blank.BlankProgress;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.Plates;
import ebauche.core.design.Recap;
import ebauche.core.geometry.Point;
import ebauche.core.hollow.NewCap;
import ebauche.core.hollow.Resawing;
import ebauche.core.job.Build;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.Refusal;
import ebauche.core.plan.BuildPlan;
import ebauche.core.timber.Species;
import ebauche.core.timber.Timbers;
import ebauche.exchange.json.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
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
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.node.ObjectNode;

/** Plates that are sawn off and glued back, and a new cap on a body that is built: what each takes and changes. */
@Controller
class CapController {
    private static final Map<String, Double> USUAL =
            Map.of("sawnFront", 6.0, "sawnBack", 0.0, "planed", 0.0, "cap", 5.0);

    private final Bodies bodies;

    private final DesignKeeping keeping;

    CapController(Bodies bodies, DesignKeeping keeping) {
        this.bodies = bodies;
        this.keeping = keeping;
    }

    /** Where a buried cavity's window is drilled. */
    public record Window(NewCap.Deeper of, String side) {}

    private record CapView(
            Bodies.Current current,
            BuildPlan plan,
            List<HollowQuestion.Field> fields,
            Optional<Resawing> resawing,
            boolean asDesigned,
            int base,
            Optional<NewCap> newCap,
            List<Window> windows,
            List<Species> timbers,
            Optional<CapSheet> sheet,
            boolean aJob,
            String drawing) {}

    @GetMapping("/bodies/{id}/cap")
    String cap(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        page(bodies.current(maker.shop(), id), typed, new LinkedHashMap<>(), fig, model);
        return "hollow/cap";
    }

    /** Puts the plates that are asked for into the design, its blank as thick as it is when they are glued on again. */
    @PostMapping("/bodies/{id}/cap")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Map<String, String> troubles = new LinkedHashMap<>();
        Optional<Resawing> resawing = resawing(current.plan().build(), typed, fig, troubles);
        resawing.flatMap(CapController::tooLate).ifPresent(t -> troubles.put("sawnFront", t));
        return kept(
                current,
                base,
                maker,
                troubles,
                typed,
                fig,
                model,
                response,
                design -> resawing.ifPresent(r -> plates(design.withObject("/blank"), r)));
    }

    private interface Change {
        void in(ObjectNode design);
    }

    /** Keeps the design with a change, where nothing troubles; else shows the page with what was typed. */
    private String kept(
            Bodies.Current current,
            int base,
            Maker maker,
            Map<String, String> troubles,
            Map<String, String> typed,
            Figures fig,
            Model model,
            HttpServletResponse response,
            Change change) {
        try {
            if (troubles.isEmpty()) {
                ObjectNode file = DesignKeeping.file(current);
                change.in(file.withObject("/design"));
                keeping.keep(current, base, file, maker.name());
                return "redirect:" + current.here() + "/cap";
            }
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("hollow.yours-stands-below"), model, response);
        } catch (BuildFileException refused) {
            troubles.put(field(refused.place()), refused.getMessage());
        }
        if (!troubles.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        page(current, typed, troubles, fig, model);
        return "hollow/cap";
    }

    /** The field that a place in the file stands for. */
    private static String field(String place) {
        for (String field : List.of("sawnBack", "planed", "cap")) {
            if (place.endsWith(field)) {
                return field;
            }
        }
        return "sawnFront";
    }

    /** Puts a new cap into the design: from then on it is a job with steps, after all else. */
    @PostMapping("/bodies/{id}/cap/new")
    String keepCap(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Build build = current.plan().build();
        Map<String, String> troubles = new LinkedHashMap<>();
        double planed = length("planed", build, typed, fig, troubles);
        double cap = length("cap", build, typed, fig, troubles);
        Species timber = timber(build.design(), current.ways().timbers(), typed);
        if (NewCap.isGlued(build)) {
            troubles.put("cap", Words.say("cap.cap-glued-already"));
        }
        tried(troubles, () -> NewCap.of(build, current.plan().history(), planed, cap), "planed", "cap");
        return kept(
                current,
                base,
                maker,
                troubles,
                typed,
                fig,
                model,
                response,
                design -> design.withObject("/newCap")
                        .put("species", timber.key())
                        .put("planed", mm(planed))
                        .put("cap", mm(cap)));
    }

    /** Why nothing can be sawn off any more; empty where it can. */
    private static Optional<String> tooLate(Resawing resawing) {
        Build build = resawing.build();
        if (UnderTop.isClosed(build)) {
            return Optional.of(Words.say("cap.closed-already"));
        }
        return BlankProgress.isGlued(build) && !resawing.sawsTheBlank()
                ? Optional.of(Words.say("cap.glued-already"))
                : Optional.empty();
    }

    private static void plates(ObjectNode blank, Resawing resawing) {
        blank.put("thickness", mm(resawing.glued().value()));
        plate(blank, "sawnFront", resawing.sawn().front());
        plate(blank, "sawnBack", resawing.sawn().back());
    }

    private static void plate(ObjectNode blank, String key, double thickness) {
        if (thickness > 0) {
            blank.put(key, mm(thickness));
        } else {
            blank.remove(key);
        }
    }

    private static String mm(double length) {
        return Decimals.plain(length, 5) + " mm";
    }

    private static Optional<Resawing> resawing(
            Build build, Map<String, String> typed, Figures fig, Map<String, String> troubles) {
        double front = length("sawnFront", build, typed, fig, troubles);
        double back = length("sawnBack", build, typed, fig, troubles);
        return tried(troubles, () -> new Resawing(build, new Plates(front, back)), "sawnFront", "sawnBack");
    }

    private static void page(
            Bodies.Current current, Map<String, String> typed, Map<String, String> troubles, Figures fig, Model model) {
        BuildPlan plan = current.plan();
        Build build = plan.build();
        Optional<Resawing> resawing = resawing(build, typed, fig, troubles);
        double planed = length("planed", build, typed, fig, troubles);
        double cap = length("cap", build, typed, fig, troubles);
        Optional<NewCap> newCap =
                tried(troubles, () -> NewCap.of(plan.build(), plan.history(), planed, cap), "planed", "cap");
        Timbers timbers = current.ways().timbers();
        Species timber = timber(build.design(), timbers, typed);
        PageModel.put(
                model,
                new CapView(
                        current,
                        plan,
                        List.of(
                                field("sawnFront", Words.say("cap.ask-front"), build, typed, troubles, fig),
                                field("sawnBack", Words.say("cap.ask-back"), build, typed, troubles, fig),
                                field("planed", Words.say("cap.ask-planed"), build, typed, troubles, fig),
                                field("cap", Words.say("cap.ask-cap"), build, typed, troubles, fig)),
                        resawing,
                        resawing.filter(r ->
                                        r.sawn().equals(build.design().blank().sawn()))
                                .isPresent(),
                        current.revision().number(),
                        newCap,
                        newCap.stream()
                                .flatMap(c -> c.deeper().stream())
                                .map(d -> new Window(d, side(d.window())))
                                .toList(),
                        timbers.all(),
                        newCap.map(c -> CapSheet.of(plan, c, timber, fig)),
                        newCap.flatMap(c -> build.design()
                                        .recap()
                                        .filter(r -> r.equals(new Recap(c.planed(), c.cap(), timber))))
                                .isPresent(),
                        newCap.map(NewCapDrawing::of).orElse("")));
    }

    /** The timber that is asked for; else that of the new cap or the top which the body has, or its own. */
    private static Species timber(BodyDesign design, Timbers timbers, Map<String, String> typed) {
        String key = typed.getOrDefault("timber", "").strip();
        return timbers.all().stream()
                .filter(t -> t.key().equals(key))
                .findFirst()
                .orElseGet(() -> design.recap()
                        .map(Recap::timber)
                        .orElseGet(() -> design.blank()
                                .top()
                                .map(BlankLayer::species)
                                .orElse(design.blank().species())));
    }

    /** What stands in a field that nobody typed into: as it is designed, else what is usual. */
    private static double usual(String name, Build build) {
        Plates sawn = build.design().blank().sawn();
        Optional<Recap> recap = build.design().recap();
        return switch (name) {
            case "sawnFront" -> sawn.isNone() ? USUAL.get(name) : sawn.front();
            case "sawnBack" -> sawn.isNone() ? USUAL.get(name) : sawn.back();
            case "planed" -> recap.map(Recap::planed).orElse(USUAL.get(name));
            default -> recap.map(Recap::cap).orElse(USUAL.get(name));
        };
    }

    private static HollowQuestion.Field field(
            String name,
            String label,
            Build build,
            Map<String, String> typed,
            Map<String, String> troubles,
            Figures fig) {
        String text = typed.getOrDefault(name, "").strip();
        return new HollowQuestion.Field(
                name, label, text.isEmpty() ? fig.exactText(usual(name, build)) : text, troubles.get(name));
    }

    private static String side(Point at) {
        return Math.abs(at.x()) < 0.5 ? "on" : at.x() < 0 ? "left" : "right";
    }

    private interface Tried<T> {
        T of();
    }

    /** What can be reckoned with what was typed; what it refuses is told beside its field. */
    private static <T> Optional<T> tried(Map<String, String> troubles, Tried<T> made, String... fields) {
        if (List.of(fields).stream().anyMatch(troubles::containsKey)) {
            return Optional.empty();
        }
        try {
            return Optional.of(made.of());
        } catch (Refusal refusal) {
            troubles.put(refusal.field(), refusal.getMessage());
            return Optional.empty();
        }
    }

    private static double length(
            String name, Build build, Map<String, String> typed, Figures fig, Map<String, String> troubles) {
        String text = typed.getOrDefault(name, "").strip();
        if (text.isEmpty()) {
            return usual(name, build);
        }
        try {
            return Length.parse(text, fig.unit()).millimetres();
        } catch (LengthFormatException e) {
            troubles.put(name, e.getMessage());
            return usual(name, build);
        }
    }
}
