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
import ebauche.core.design.Binding;
import ebauche.core.design.RoundOver;
import ebauche.core.edge.Bends;
import ebauche.core.edge.EdgeZones;
import ebauche.core.edge.ShapingCost;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.plan.Stations;
import ebauche.exchange.json.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
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
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Corners between faces and edge, rounded over: tried, kept, with what a router does of them and what hands do. */
@Controller
@RequestMapping("/bodies/{id}/edges")
class EdgesController {
    private static final String USUAL = "1/4 in";

    private final Bodies bodies;
    private final DesignKeeping keeping;

    EdgesController(Bodies bodies, DesignKeeping keeping) {
        this.bodies = bodies;
        this.keeping = keeping;
    }

    /**
     * One corner.
     *
     * @param zones where hands do it; empty where the crib has no bit
     * @param findings what is told of it
     */
    public record Shown(RoundOver.Laid laid, Optional<EdgeZones> zones, List<Finding> findings) {
        static Shown of(Build build, RoundOver.Laid laid) {
            return new Shown(laid, Stations.zones(build, laid), Stations.findings(build, laid.feature()));
        }

        public List<EdgeZones.Zone> byHand() {
            return zones.map(EdgeZones::byHand).orElse(List.of());
        }
    }

    /** A binding, where hands cut its ledge, the turns that want heat, and what is found of it. */
    public record Bound(Binding binding, List<EdgeZones.Zone> byHand, List<Bends> bends, List<Finding> findings) {
        static Bound of(Build build, Binding binding) {
            return new Bound(
                    binding,
                    Stations.zones(build, binding).map(EdgeZones::byHand).orElse(List.of()),
                    Bends.of(build.design().outline(), binding.thickness()),
                    Stations.findings(build, binding.feature()));
        }
    }

    /** What is asked for: a corner, its radius, and perhaps the part of the edge that it runs along. */
    private record Asked(String face, String radius, Map<String, String> typed) {
        private static final List<String> STRETCH = List.of("fromx", "fromy", "tox", "toy", "fade");

        static Asked of(String face, String radius, Map<String, String> typed) {
            return new Asked(face, radius, typed);
        }

        boolean runsAlongAStretch() {
            return STRETCH.stream().anyMatch(f -> !text(f).isEmpty());
        }

        String text(String field) {
            return typed.getOrDefault(field, "").strip();
        }
    }

    private record EdgesView(
            Bodies.Current current,
            List<Shown> shown,
            List<ShapingCost> costs,
            List<Bound> bindings,
            Map<String, String> typed,
            int base,
            boolean tried,
            String face,
            String radius,
            Optional<String> trouble,
            String drawing) {}

    @GetMapping
    String edges(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String face,
            @RequestParam(defaultValue = "") String radius,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Asked asked = Asked.of(face, radius, typed);
        if (radius.isBlank()) {
            page(current, current.plan().build(), false, Asked.of("front", USUAL, typed), Optional.empty(), model);
            return "contour/edges";
        }
        try {
            Build tried = DesignKeeping.build(current, with(current, asked, fig));
            page(current, tried, true, asked, Optional.empty(), model);
        } catch (BuildFileException | LengthFormatException refused) {
            page(current, current.plan().build(), false, asked, Optional.of(refused.getMessage()), model);
        }
        return "contour/edges";
    }

    @PostMapping
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam String act,
            @RequestParam String face,
            @RequestParam(defaultValue = "") String radius,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Asked asked = Asked.of(face, radius, typed);
        try {
            ObjectNode file = act.equals("remove") ? without(current, face) : with(current, asked, fig);
            keeping.keep(current, base, file, maker.name());
            return "redirect:" + current.here() + "/edges";
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("hollow.yours-stands-below"), model, response);
            page(current, current.plan().build(), false, asked, Optional.empty(), model);
        } catch (BuildFileException | LengthFormatException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            page(current, current.plan().build(), false, asked, Optional.of(refused.getMessage()), model);
        }
        return "contour/edges";
    }

    private static void page(
            Bodies.Current current, Build build, boolean tried, Asked asked, Optional<String> trouble, Model model) {
        List<Shown> shown =
                build.roundOvers().stream().map(r -> Shown.of(build, r)).toList();
        List<Bound> bindings =
                build.design().bindings().stream().map(b -> Bound.of(build, b)).toList();
        PageModel.put(
                model,
                new EdgesView(
                        current,
                        shown,
                        shown.isEmpty() || build.contours().isEmpty() ? List.of() : Stations.shapingCosts(build),
                        bindings,
                        asked.typed(),
                        current.revision().number(),
                        tried,
                        asked.face(),
                        asked.radius(),
                        trouble,
                        EdgeDrawing.of(build, shown, bindings)));
    }

    /** The design with the corner of a face rounded over so; one that it has by that name keeps its stretch. */
    private static ObjectNode with(Bodies.Current current, Asked asked, Figures fig) throws LengthFormatException {
        Length length = Length.parse(asked.radius(), fig.unit());
        ObjectNode file = DesignKeeping.file(current);
        ObjectNode one = named(file, asked.face());
        one.put("face", asked.face()).put("radius", length.toString());
        if (asked.runsAlongAStretch()) {
            ObjectNode stretch = one.putObject("stretch");
            end(stretch.putObject("from"), asked, "from", fig);
            end(stretch.putObject("to"), asked, "to", fig);
            stretch.put("fade", Length.parse(asked.text("fade"), fig.unit()).toString());
        }
        return file;
    }

    private static void end(ObjectNode point, Asked asked, String end, Figures fig) throws LengthFormatException {
        point.put("x", Length.parse(asked.text(end + "x"), fig.unit()).toString());
        point.put("y", Length.parse(asked.text(end + "y"), fig.unit()).toString());
    }

    private static ObjectNode named(ObjectNode file, String id) {
        ArrayNode all = file.withObject("/design").withArray("roundOvers");
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).path("id").asString("").equals(id)) {
                return (ObjectNode) all.get(i);
            }
        }
        return all.addObject().put("id", id);
    }

    private static ObjectNode without(Bodies.Current current, String id) {
        ObjectNode file = DesignKeeping.file(current);
        ArrayNode all = file.withObject("/design").withArray("roundOvers");
        for (int i = all.size() - 1; i >= 0; i--) {
            if (all.get(i).path("id").asString("").equals(id)) {
                all.remove(i);
                return file;
            }
        }
        throw new NotHere();
    }
}
