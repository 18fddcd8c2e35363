package ebauche.app.contour;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.design.DesignKeeping;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.design.RoundOver;
import ebauche.core.edge.EdgeZones;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthFormatException;
import ebauche.core.plan.Stations;
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

    private record EdgesView(
            Bodies.Current current,
            List<Shown> shown,
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
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        if (radius.isBlank()) {
            page(current, current.plan().build(), false, "front", USUAL, Optional.empty(), model);
            return "contour/edges";
        }
        try {
            Build tried = DesignKeeping.build(current, with(current, face, radius, fig));
            page(current, tried, true, face, radius, Optional.empty(), model);
        } catch (BuildFileException | LengthFormatException refused) {
            page(current, current.plan().build(), false, face, radius, Optional.of(refused.getMessage()), model);
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
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        try {
            ObjectNode file = act.equals("remove") ? without(current, face) : with(current, face, radius, fig);
            keeping.keep(current, base, file, maker.name());
            return "redirect:" + current.here() + "/edges";
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("hollow.yours-stands-below"), model, response);
            page(current, current.plan().build(), false, face, radius, Optional.empty(), model);
        } catch (BuildFileException | LengthFormatException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            page(current, current.plan().build(), false, face, radius, Optional.of(refused.getMessage()), model);
        }
        return "contour/edges";
    }

    private static void page(
            Bodies.Current current,
            Build build,
            boolean tried,
            String face,
            String radius,
            Optional<String> trouble,
            Model model) {
        List<Shown> shown =
                build.roundOvers().stream().map(r -> Shown.of(build, r)).toList();
        PageModel.put(
                model,
                new EdgesView(
                        current,
                        shown,
                        current.revision().number(),
                        tried,
                        face,
                        radius,
                        trouble,
                        EdgeDrawing.of(build, shown)));
    }

    /** The design with the corner of a face rounded over so; one that it has by that name keeps its stretch. */
    private static ObjectNode with(Bodies.Current current, String face, String radius, Figures fig)
            throws LengthFormatException {
        Length length = Length.parse(radius, fig.unit());
        ObjectNode file = DesignKeeping.file(current);
        ObjectNode one = named(file, face);
        one.put("face", face).put("radius", length.toString());
        return file;
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
            }
        }
        return file;
    }
}
