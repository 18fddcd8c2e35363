package ebauche.app.hollow;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import ebauche.core.geometry.Point;
import ebauche.core.hollow.NewCap;
import ebauche.core.hollow.Resawing;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.measure.Refusal;
import ebauche.core.plan.BuildPlan;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Plates that are sawn off and glued back, and a new cap on a body that is built: what each takes and changes. */
@Controller
class CapController {
    private static final Map<String, Double> USUAL = Map.of("front", 6.0, "back", 0.0, "planed", 0.0, "cap", 5.0);

    private final Bodies bodies;

    CapController(Bodies bodies) {
        this.bodies = bodies;
    }

    /** Where a buried cavity's window is drilled. */
    public record Window(NewCap.Deeper of, String side) {}

    private record CapView(
            Bodies.Current current,
            BuildPlan plan,
            List<HollowQuestion.Field> fields,
            Optional<Resawing> resawing,
            Optional<NewCap> newCap,
            List<Window> windows,
            String drawing) {}

    @GetMapping("/bodies/{id}/cap")
    String cap(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        BuildPlan plan = current.plan();
        Map<String, String> troubles = new LinkedHashMap<>();
        Map<String, Double> asked = USUAL.keySet().stream()
                .collect(Collectors.toMap(name -> name, name -> length(name, typed, fig, troubles)));
        Optional<Resawing> resawing = tried(
                troubles, () -> new Resawing(plan.build(), asked.get("front"), asked.get("back")), "front", "back");
        Optional<NewCap> newCap = tried(
                troubles,
                () -> NewCap.of(plan.build(), plan.history(), asked.get("planed"), asked.get("cap")),
                "planed",
                "cap");
        PageModel.put(
                model,
                new CapView(
                        current,
                        plan,
                        List.of(
                                field("front", Words.say("cap.ask-front"), typed, troubles, fig),
                                field("back", Words.say("cap.ask-back"), typed, troubles, fig),
                                field("planed", Words.say("cap.ask-planed"), typed, troubles, fig),
                                field("cap", Words.say("cap.ask-cap"), typed, troubles, fig)),
                        resawing,
                        newCap,
                        newCap.stream()
                                .flatMap(c -> c.deeper().stream())
                                .map(d -> new Window(d, side(d.window())))
                                .toList(),
                        newCap.map(NewCapDrawing::of).orElse("")));
        return "hollow/cap";
    }

    private static HollowQuestion.Field field(
            String name, String label, Map<String, String> typed, Map<String, String> troubles, Figures fig) {
        String text = typed.getOrDefault(name, "").strip();
        return new HollowQuestion.Field(
                name, label, text.isEmpty() ? fig.exactText(USUAL.get(name)) : text, troubles.get(name));
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

    private static double length(String name, Map<String, String> typed, Figures fig, Map<String, String> troubles) {
        String text = typed.getOrDefault(name, "").strip();
        if (text.isEmpty()) {
            return USUAL.get(name);
        }
        try {
            return Length.parse(text, fig.unit()).millimetres();
        } catch (LengthFormatException e) {
            troubles.put(name, e.getMessage());
            return USUAL.get(name);
        }
    }
}
