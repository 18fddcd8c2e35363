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
import ebauche.core.contour.CarveLeft;
import ebauche.core.contour.CarveStation;
import ebauche.core.contour.EdgeBand;
import ebauche.core.contour.NestedTemplates;
import ebauche.core.contour.OtherLine;
import ebauche.core.contour.PlayerFeel;
import ebauche.core.contour.Removal;
import ebauche.core.design.Contour;
import ebauche.core.design.EdgeDepths;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.job.CarveReadings;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Inspection;
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

/** One contour laid out on the wood and brought out of it: its other line by a square, how it feels, and every school's ledger. */
@Controller
@RequestMapping("/bodies/{id}/contours/{contour}")
class ContourLayoutController {
    /** Places that are marked with a square. */
    private static final int STATIONS = 6;

    private final Bodies bodies;
    private final DesignKeeping keeping;

    ContourLayoutController(Bodies bodies, DesignKeeping keeping) {
        this.bodies = bodies;
        this.keeping = keeping;
    }

    /** A place of the other line, and what a square finds there. */
    public record Station(OtherLine.Place place, Reckoning down) {}

    /** A place where the wood is read, what a calliper is to find there once it is carved, and what it found. */
    public record Wood(CarveStation station, Inspection finds, Optional<CarveReadings.Read> read) {}

    private record LayoutView(
            Bodies.Current current,
            int base,
            Contour.Laid laid,
            String section,
            List<Station> stations,
            List<PlayerFeel> feels,
            List<EdgeBand> bands,
            boolean evens,
            List<Wood> wood,
            List<NestedTemplates.Count> counts,
            List<Removal> ways,
            Removal chosen,
            boolean own,
            Optional<String> trouble) {}

    @GetMapping
    String layout(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @PathVariable String contour,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        page(bodies.current(maker.shop(), id), contour, Optional.empty(), fig, model);
        return "contour/layout";
    }

    private static Contour.Laid laid(Build build, String id) {
        return build.contours().stream()
                .filter(l -> l.contour().id().equals(id))
                .findFirst()
                .orElseThrow(NotHere::new);
    }

    private static void page(Bodies.Current current, String id, Optional<String> trouble, Figures fig, Model model) {
        Build build = current.plan().build();
        Contour.Laid laid = laid(build, id);
        PageModel.put(
                model,
                new LayoutView(
                        current,
                        current.revision().number(),
                        laid,
                        ContourSection.of(build, laid, fig),
                        OtherLine.of(build, laid).stream()
                                .flatMap(l -> l.stations(STATIONS).stream())
                                .map(p -> new Station(p, OtherLine.down(laid, p)))
                                .toList(),
                        PlayerFeel.of(build, laid),
                        EdgeBand.of(build, laid.feature()),
                        evened(build, laid).isPresent(),
                        wood(build, laid),
                        laid.contour().start() instanceof Contour.Start.Round
                                ? NestedTemplates.counts(build, laid)
                                : List.of(),
                        Removal.of(build, laid),
                        Removal.chosen(build, laid),
                        laid.contour().by().isPresent(),
                        trouble));
    }

    private static List<Wood> wood(Build build, Contour.Laid laid) {
        CarveLeft left = CarveLeft.of(build, laid);
        return CarveStation.of(build, laid).stream()
                .map(s -> new Wood(s, s.inspection(build), left.at(s)))
                .toList();
    }

    /** The contour of the back with depths that leave an even band beside the first of the front that lies over it. */
    private static Optional<Contour> evened(Build build, Contour.Laid back) {
        if (back.face() != Face.BACK) {
            return Optional.empty();
        }
        return build.contours().stream()
                .filter(f -> f.face() == Face.FRONT && f.plan().overlaps(back.plan()))
                .findFirst()
                .flatMap(f -> EdgeBand.even(build, f, back));
    }

    @PostMapping
    String change(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @PathVariable String contour,
            @RequestParam int base,
            @RequestParam String act,
            @RequestParam(defaultValue = "") String with,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        ObjectNode file = DesignKeeping.file(current);
        ObjectNode one = inFile(file, contour);
        try {
            switch (act) {
                case "by" -> by(one, with);
                case "depth" -> one.put("depth", with);
                case "even" ->
                    evened(current.plan().build(), laid(current.plan().build(), contour))
                            .ifPresent(c -> depths(one, c));
                default -> throw new NotHere();
            }
            keeping.keep(current, base, file, maker.name());
            return "redirect:" + current.here() + "/contours/" + contour;
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("hollow.yours-stands-below"), model, response);
            page(current, contour, Optional.empty(), fig, model);
        } catch (BuildFileException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            page(current, contour, Optional.of(refused.getMessage()), fig, model);
        }
        return "contour/layout";
    }

    private static void by(ObjectNode contour, String school) {
        if (school.isBlank()) {
            contour.remove("by");
        } else {
            contour.put("by", school);
        }
    }

    private static void depths(ObjectNode contour, Contour evened) {
        contour.put("depth", mm(evened.depth()));
        ObjectNode line = contour.withObject("/line");
        line.put("along", "typed").remove(List.of("fade", "lean"));
        ArrayNode depths = line.putArray("depths");
        EdgeDepths.Typed typed = (EdgeDepths.Typed) ((Contour.Start.Across) evened.start()).depths();
        typed.depths().forEach(d -> depths.add(mm(d)));
    }

    private static String mm(double length) {
        return Decimals.plain(length, 5) + " mm";
    }

    private static ObjectNode inFile(ObjectNode file, String id) {
        for (JsonNode contour : file.path("design").path("contours")) {
            if (contour.path("id").asString("").equals(id)) {
                return (ObjectNode) contour;
            }
        }
        throw new NotHere();
    }
}
