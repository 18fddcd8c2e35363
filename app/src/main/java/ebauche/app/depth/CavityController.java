package ebauche.app.depth;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.design.DesignKeeping;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.cavity.CavityFromParts;
import ebauche.core.crib.Bit;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cavity;
import ebauche.core.job.Build;
import ebauche.core.measure.Length;
import ebauche.core.plan.Planner;
import ebauche.core.sheet.SideBySide;
import ebauche.exchange.json.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
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
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A cavity proposed from the parts that go into it, kept when the maker says so. */
@Controller
@RequestMapping("/bodies/{id}/cavity")
class CavityController {
    private static final double USUAL_LIP = 5;
    private static final double WIDEST_LIP = 30;
    private static final String USUAL_WOOD_OVER = "6 mm";

    private final Bodies bodies;
    private final DesignKeeping keeping;

    CavityController(Bodies bodies, DesignKeeping keeping) {
        this.bodies = bodies;
        this.keeping = keeping;
    }

    @GetMapping
    String cavity(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(required = false) String of,
            @RequestParam(required = false) String bit,
            @RequestParam(required = false) String lip,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        return page(bodies.current(maker.shop(), id), of, bit, lip, fig, model);
    }

    /** What is asked of a cavity. */
    private record CavityView(
            Bodies.Current current,
            int base,
            List<Cavity> cavities,
            String of,
            String said,
            boolean letIn,
            List<Bit> bits,
            String bit,
            String lip) {}

    private String page(Bodies.Current current, String of, String bit, String lip, Figures fig, Model model) {
        Build build = current.plan().build();
        String id = which(build, of);
        Optional<Cavity> drawn = build.design().cavity(id);
        List<Bit> bits = build.shop().crib().bits().stream()
                .filter(b -> b.bearing().atShank())
                .toList();
        Optional<Bit> chosen = bits.stream()
                .filter(b -> b.name().equals(bit))
                .findFirst()
                .or(() -> bits.stream().findFirst());
        PageModel.put(
                model,
                new CavityView(
                        current,
                        current.revision().number(),
                        build.design().cavities(),
                        id,
                        Cavity.feature(id).said(),
                        isLetIn(drawn),
                        bits,
                        chosen.map(Bit::name).orElse(""),
                        lip == null ? fig.length(usualLip(drawn)) : lip));
        double wide;
        try {
            wide = lip(lip, drawn, fig);
        } catch (IllegalArgumentException e) {
            model.addAttribute("trouble", e.getMessage());
            return "depth/cavity";
        }
        chosen.flatMap(b -> CavityFromParts.of(build, new CavityFromParts.CavityWanted(id, b.diameter(), wide)))
                .ifPresent(proposed -> {
                    model.addAttribute("proposed", proposed);
                    model.addAttribute("drawing", CavityDrawing.of(current.plan(), proposed, id));
                    if (proposed.isWhole()) {
                        beside(current, id, proposed, chosen.get(), wide, model);
                    }
                });
        return "depth/cavity";
    }

    private record Proposed(String cavity, Bit bit, double lip) {}

    private static void beside(
            Bodies.Current current, String id, CavityFromParts proposed, Bit bit, double lip, Model model) {
        try {
            SideBySide beside = Kept.with(current.plan())
                    .get(
                            new Proposed(id, bit, lip),
                            () -> SideBySide.of(
                                    current.plan(),
                                    Planner.plan(DesignKeeping.build(current, file(current, id, proposed, bit, lip)))));
            model.addAttribute("beside", beside);
        } catch (BuildFileException e) {
            model.addAttribute("trouble", e.getMessage());
        }
    }

    /** The cavity that is asked for, else the first; where there is none, the one for the controls. */
    private static String which(Build build, String of) {
        List<Cavity> all = build.design().cavities();
        String first = all.isEmpty() ? FeatureKind.ELDEST : all.get(0).id();
        return all.stream()
                .map(Cavity::id)
                .filter(c -> c.equals(of))
                .findFirst()
                .orElse(first);
    }

    private static boolean isLetIn(Optional<Cavity> drawn) {
        return drawn.map(c -> c.cover().kind().liesInARecess()).orElse(true);
    }

    private static double usualLip(Optional<Cavity> drawn) {
        return drawn.map(c -> c.cover().lip()).orElse(USUAL_LIP);
    }

    private static double lip(String typed, Optional<Cavity> drawn, Figures fig) {
        double lip = typed == null
                ? usualLip(drawn)
                : Length.parse(typed, fig.unit()).millimetres();
        if (!(lip >= 0 && lip <= WIDEST_LIP)) {
            throw new IllegalArgumentException(Words.say(
                    "cavity-controller.the-lip-can-be-to-and", fig.length(0), fig.length(WIDEST_LIP), fig.length(lip)));
        }
        return lip;
    }

    /** The body's file with the proposed cavity in its design. */
    private static ObjectNode file(Bodies.Current current, String id, CavityFromParts proposed, Bit bit, double lip) {
        ObjectNode file = DesignKeeping.file(current);
        ObjectNode cavity = member(file.withObject("/design").withArray("/cavities"), id);
        cavity.putObject("outline").put("unit", "mm").put("path", proposed.path(bit.diameter()));
        Optional<Cavity> drawn = current.plan().build().design().cavity(id);
        if (drawn.isEmpty()) {
            cavity.put("woodOver", USUAL_WOOD_OVER);
        }
        if (isLetIn(drawn)) {
            cavity.put("coverLip", Length.ofMillimetres(lip).toString());
            ArrayNode screws = cavity.putArray("coverScrews");
            for (Point p : proposed.screws()) {
                screws.addObject()
                        .put("x", Length.ofMillimetres(hundredth(p.x())).toString())
                        .put("y", Length.ofMillimetres(hundredth(p.y())).toString());
            }
        }
        return file;
    }

    private static ObjectNode member(ArrayNode cavities, String id) {
        for (JsonNode there : cavities) {
            if (there.path("id").asString("").equals(id)) {
                return (ObjectNode) there;
            }
        }
        return cavities.addObject().put("id", id);
    }

    private static double hundredth(double value) {
        return Math.rint(value * 100) / 100;
    }

    @PostMapping
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam(required = false) String of,
            @RequestParam String bit,
            @RequestParam String lip,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        page(current, of, bit, lip, fig, model);
        Build build = current.plan().build();
        String which = which(build, of);
        Optional<Bit> chosen = build.shop().crib().bits().stream()
                .filter(b -> b.name().equals(bit))
                .findFirst();
        boolean whole = model.getAttribute("proposed") instanceof CavityFromParts p && p.isWhole();
        if (chosen.isEmpty() || !whole || model.containsAttribute("trouble")) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "depth/cavity";
        }
        try {
            CavityFromParts proposed = (CavityFromParts) model.getAttribute("proposed");
            keeping.keep(
                    current,
                    base,
                    file(
                            current,
                            which,
                            proposed,
                            chosen.get(),
                            lip(lip, build.design().cavity(which), fig)),
                    maker.name());
            return "redirect:/bodies/" + id + "/depths?kept";
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("cavity-controller.the-proposal-below-is-made-from"), model, response);
            return "depth/cavity";
        }
    }
}
