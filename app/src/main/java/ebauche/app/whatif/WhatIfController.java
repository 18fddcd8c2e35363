package ebauche.app.whatif;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.box.Box;
import ebauche.app.design.DesignKeeping;
import ebauche.app.drawing.BoardDrawing;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Part;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.SideBySide;
import ebauche.exchange.design.DesignCatalogue;
import ebauche.exchange.design.PartExchange;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What if the body were thinner, the neck tilted, the part another: every number that moves, before anything is kept. */
@Controller
@RequestMapping("/bodies/{id}/what-if")
class WhatIfController {
    private final Bodies bodies;
    private final Trials trials;
    private final DesignKeeping keeping;

    WhatIfController(Bodies bodies, Trials trials, DesignKeeping keeping) {
        this.bodies = bodies;
        this.trials = trials;
        this.keeping = keeping;
    }

    /**
     * A number that can be another.
     *
     * @param says what it is and how much it is now
     * @param now mm, or degrees; no number where nobody has said one
     * @param reach as far either way as anybody would go
     */
    public record Measure(String field, String says, double now, double reach, boolean angle) {
        static Measure length(String field, String says, double now) {
            return new Measure(field, says, now, FARTHEST, false);
        }
    }

    /** Nobody asks for more than this beside what is drawn, mm and degrees: common practice. */
    private static final double FARTHEST = 8;

    private static final double STEEPEST = 4;

    /** A feature whose part can be another. */
    public record Choice(Feature feature, String said, String now, List<Box.InBox> instead) {}

    /** The body as it stands, and as it is asked for. */
    private record WhatIfView(
            Bodies.Current current,
            BuildPlan plan,
            Trial trial,
            Map<String, String> asked,
            Map<String, String> troubles,
            List<Measure> numbers,
            List<Choice> choices,
            int base,
            Map<String, String> moves,
            Map<String, AsBuilt.Reading> standing,
            SideBySide beside,
            String today,
            String then) {}

    @GetMapping
    String page(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            @RequestHeader(value = "HX-Request", required = false) String htmx,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        show(current, WhatIfQuestion.of(typed), fig, model);
        return htmx == null ? "whatif/what-if" : "whatif/what-if :: compared";
    }

    private Trial show(Bodies.Current current, WhatIfQuestion asked, Figures fig, Model model) {
        Trial trial = trials.of(current, asked, fig.unit());
        PageModel.put(
                model,
                new WhatIfView(
                        current,
                        current.plan(),
                        trial,
                        asked.fields(),
                        trial.troubles(),
                        numbers(current.plan().build().drawn(), fig),
                        choices(current),
                        current.revision().number(),
                        moves(asked),
                        standing(current),
                        SideBySide.of(current.plan(), trial.plan()),
                        BoardDrawing.finished(current.plan(), fig),
                        BoardDrawing.finished(trial.plan(), fig)));
        return trial;
    }

    private static List<Measure> numbers(BodyDesign design, Figures fig) {
        List<Measure> numbers = new ArrayList<>();
        numbers.add(Measure.length(
                "thickness",
                Words.say("what-if-controller.body-thickness-now", fig.length(design.thickness())),
                design.thickness()));
        numbers.add(new Measure(
                "angle",
                Words.say(
                        "what-if-controller.neck-angle-in-degrees-now",
                        fig.decimal(design.neck().angle(), 1)),
                design.neck().angle(),
                STEEPEST,
                true));
        numbers.add(Measure.length(
                "heel",
                Words.say(
                        "what-if-controller.heel-thickness-now",
                        fig.length(design.neck().heelThickness())),
                design.neck().heelThickness()));
        OptionalDouble saddle = design.bridge().wantedSaddle();
        numbers.add(Measure.length(
                "saddle",
                saddle.isPresent()
                        ? Words.say("what-if-controller.saddles-over-the-front-now", fig.length(saddle.getAsDouble()))
                        : Words.say("what-if-controller.saddles-over-the-front-now-the"),
                saddle.orElse(Double.NaN)));
        for (Cavity cavity : design.cavities()) {
            String field = WhatIfQuestion.FLOOR + cavity.id();
            String over = cavity.feature().equals(Cavity.ELDEST)
                    ? "controls"
                    : cavity.feature().said();
            if (cavity.floor() instanceof Cavity.Floor.Leaving leaving) {
                String wood = cavity.throughWood()
                        ? Words.say("what-if-controller.wood-left-over-the")
                        : Words.say("what-if-controller.wood-left-under-the");
                numbers.add(Measure.length(
                        field,
                        Words.say("what-if-controller.now", wood, over, fig.length(leaving.wood())),
                        leaving.wood()));
            } else if (cavity.floor() instanceof Cavity.Floor.Deep deep) {
                numbers.add(Measure.length(
                        field,
                        Words.say("what-if-controller.depth-now", over, fig.length(deep.depth())),
                        deep.depth()));
            }
        }
        return numbers;
    }

    /** A slider for a number, in whole or half millimetres between the ends that hold. */
    public record Slider(String field, String says, double least, double most, double now, boolean angle, int moves) {}

    /** How far each number may go, those that move most first: asked for when the page is there, since each try is a plan. */
    @GetMapping("/room")
    String room(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        List<Slider> sliders = numbers(current.plan().build().drawn(), fig).stream()
                .filter(n -> Double.isFinite(n.now()))
                .map(n -> RoomToMove.of(current, n, fig.unit()))
                .map(r -> new Slider(
                        r.measure().field(),
                        r.measure().says(),
                        r.least(),
                        r.most(),
                        r.measure().now(),
                        r.measure().angle(),
                        r.moves()))
                .sorted(Comparator.comparingInt(Slider::moves).reversed())
                .toList();
        model.addAttribute("sliders", sliders);
        return "whatif/what-if :: room";
    }

    /** Readings that stand in the place of a number, whatever the design says, by the field that asks for another. */
    private static Map<String, AsBuilt.Reading> standing(Bodies.Current current) {
        AsBuilt record = current.plan().build().asBuilt();
        Map<String, AsBuilt.Reading> standing = new LinkedHashMap<>();
        Map.of("thickness", Dimension.BODY_THICKNESS, "heel", Dimension.HEEL_THICKNESS, "angle", Dimension.NECK_ANGLE)
                .forEach((field, size) -> record.latest(size).ifPresent(r -> standing.put(field, r)));
        return standing;
    }

    /** Moves by hand, which come from the X-ray and stand in no field of this form. */
    private static Map<String, String> moves(WhatIfQuestion asked) {
        return asked.fields().entrySet().stream()
                .filter(e -> e.getKey().startsWith("move.") || e.getKey().startsWith("open."))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    private static List<Choice> choices(Bodies.Current current) {
        Box box = Box.of(current.ways());
        BodyDesign design = current.plan().build().drawn();
        List<Choice> choices = new ArrayList<>();
        for (Feature feature : DesignCatalogue.fitted(current.revision().design())) {
            Part now = design.parts().get(feature);
            choices.add(new Choice(
                    feature,
                    feature.part(),
                    now == null ? Words.say("what-if-controller.as-drawn") : now.name(),
                    box.insteadOf(now == null ? PartExchange.usualKind(feature) : now.kind())));
        }
        return choices;
    }

    /** Keeps what was asked as the next revision. */
    @PostMapping
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        WhatIfQuestion asked = WhatIfQuestion.of(typed);
        Trial trial = show(current, asked, fig, model);
        if (!trial.canBeKept()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("nothing", asked.isEmpty());
            return "whatif/what-if";
        }
        try {
            keeping.keep(current, base, trial.file(), maker.name());
            return "redirect:/bodies/" + id + "/depths?kept";
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("what-if-controller.your-what-if-stands-below-over"), model, response);
            return "whatif/what-if";
        }
    }
}
