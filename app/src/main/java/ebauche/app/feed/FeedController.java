package ebauche.app.feed;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.crib.Router;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.Strip;
import ebauche.core.feed.FeedMap;
import ebauche.core.feed.FeedMap.Band;
import ebauche.core.feed.FeedPlan;
import ebauche.core.feed.Grain;
import ebauche.core.feed.ReliefCuts;
import ebauche.core.feed.Steadying;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.job.Build;
import ebauche.core.outline.Sawing;
import ebauche.core.passes.BaseSupport.Footing;
import ebauche.core.shop.Practice.EdgeSchool;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.OptionalDouble;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The feed map of a body's outline: grain, bites, the base's stand, relief cuts; and its grain kept in the design. */
@Controller
class FeedController {
    private static final double MOST_GRAIN = 90;
    private static final double MOST_KEPT = 45;

    private final Bodies bodies;
    private final BodyStore store;
    private final FeedMapping mapping;

    FeedController(Bodies bodies, BodyStore store, FeedMapping mapping) {
        this.bodies = bodies;
        this.store = store;
        this.mapping = mapping;
    }

    /** What a maker looks at; whatever is left out is as the shop does it. */
    record Look(Face face, EdgeSchool school, String router, String grain, String with) {}

    /** A remedy with what it leaves, and where it is looked at. */
    public record Remedy(String with, double tips, double shaky, String address, boolean chosen) {}

    @GetMapping("/bodies/{id}/feed")
    String feed(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            Look look,
            @ModelAttribute("fig") Figures fig,
            @RequestHeader(value = "HX-Target", required = false) String target,
            Model model,
            HttpServletResponse response) {
        page(bodies.current(maker.shop(), id), look, fig, model, response);
        return "map".equals(target) ? "feed/feed :: map" : "feed/feed";
    }

    /** What is asked of an edge. */
    private record EdgeView(
            Bodies.Current current,
            EdgeSchool school,
            List<EdgeSchool> schools,
            List<Router> routers,
            Router router,
            Face face,
            boolean hasTable,
            boolean trial,
            String grainTyped,
            BodyDesign design) {}

    private void page(Bodies.Current current, Look look, Figures fig, Model model, HttpServletResponse response) {
        Build build = current.plan().build();
        String here = current.here();
        OptionalDouble grain = OptionalDouble.empty();
        try {
            grain = degrees(look.grain(), MOST_GRAIN);
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("grainTrouble", e.getMessage());
        }
        EdgeSchool school = look.school() == null ? build.shop().practice().edge() : look.school();
        List<Router> routers = FeedMapping.routers(build.shop().crib(), school);
        Router router = routers.stream()
                .filter(r -> r.name().equals(look.router()))
                .findFirst()
                .or(() -> routers.stream().findFirst())
                .orElse(null);
        Face up = look.face() == null ? Face.FRONT : look.face();
        PageModel.put(
                model,
                new EdgeView(
                        current,
                        school,
                        List.of(EdgeSchool.values()),
                        routers,
                        router,
                        up,
                        !build.shop().crib().tables(true).routers().isEmpty(),
                        grain.isPresent(),
                        look.grain(),
                        build.design()));
        FeedMapping.FeedQuestion asked = new FeedMapping.FeedQuestion(up, school, router, grain);
        map(current, asked, look, fig, model);
        saw(build, model);
        model.addAttribute("flip", address(here, look, up.other(), look.with()));
    }

    /** What the grain makes of it. */
    private record GrainView(
            FeedPlan feed,
            FeedMap map,
            ReliefCuts relief,
            boolean brittle,
            List<FeedPlan.Bite> bites,
            int otherBites,
            List<Band> bands,
            double grain,
            List<Remedy> remedies,
            String drawing) {}

    private record Mapped(FeedMapping.FeedQuestion asked, Look look, Figures fig) {}

    /** The grain as it is laid out is kept with the plan; of one that is turned under a hand each is asked once. */
    private void map(Bodies.Current current, FeedMapping.FeedQuestion asked, Look look, Figures fig, Model model) {
        PageModel.put(
                model,
                asked.grain().isPresent()
                        ? mapped(current, asked, look, fig)
                        : Kept.with(current.plan())
                                .get(new Mapped(asked, look, fig), () -> mapped(current, asked, look, fig)));
    }

    private GrainView mapped(Bodies.Current current, FeedMapping.FeedQuestion asked, Look look, Figures fig) {
        Build build = current.plan().build();
        FeedPlan feed = FeedMapping.feed(build, asked.grain());
        FeedMap map = feed.map(asked.worked());
        List<Steadying> stands =
                asked.router() == null ? List.of() : mapping.standings(current.plan(), feed.map(asked.worked()), asked);
        Steadying shown = stands.stream()
                .filter(s -> s.with().equals(look.with()))
                .findFirst()
                .or(() -> stands.stream().findFirst())
                .orElse(new Steadying("", List.of()));
        ReliefCuts relief = FeedMapping.relief(build, map);
        boolean sands = asked.school() == EdgeSchool.SAND_TO_LINE;
        List<FeedPlan.Bite> bites = sands ? List.of() : feed.bites(asked.worked());
        String here = current.here();
        double middle = asked.grain().orElseGet(() -> grainAtMiddle(build));
        return new GrainView(
                feed,
                map,
                relief,
                build.design().blank().isBrittle(),
                bites,
                feed.bites(asked.worked().other()).size(),
                List.of(Band.values()),
                middle,
                stands.stream()
                        .map(s -> new Remedy(
                                s.with(),
                                s.length(Footing.TIPS),
                                s.length(Footing.SHAKY),
                                address(here, look, asked.up(), s.with()),
                                s.equals(shown)))
                        .toList(),
                FeedDrawing.of(
                        new FeedDrawing.Shown(
                                build.drawn().outline().region(),
                                build.design().blank(),
                                asked.up(),
                                map,
                                bites,
                                feed,
                                sands ? new Steadying("", List.of()) : shown,
                                relief,
                                middle),
                        fig));
    }

    private static double grainAtMiddle(Build build) {
        return Grain.of(build.design().blank(), build.design().blank().core())
                .at(build.drawn().outline().region().centroid());
    }

    private static void saw(Build build, Model model) {
        Outline.InsideRadius tightest = build.drawn().outline().smallestInsideRadius();
        model.addAttribute("allowance", build.shop().practice().sawAllowance());
        model.addAttribute("wanted", Sawing.allowance(build).orElse(null));
        model.addAttribute("saw", Sawing.saw(build).orElse(null));
        model.addAttribute("tightest", tightest);
        model.addAttribute("drum", build.shop().crib().drum(tightest.radius()).orElse(null));
    }

    private static String address(String here, Look look, Face face, String with) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(here + "/feed").queryParam("face", face);
        if (look.school() != null) {
            uri.queryParam("school", look.school());
        }
        if (look.router() != null) {
            uri.queryParam("router", look.router());
        }
        if (look.grain() != null && !look.grain().isBlank()) {
            uri.queryParam("grain", look.grain());
        }
        if (with != null) {
            uri.queryParam("with", with);
        }
        return uri.encode().build().toUriString();
    }

    /** Typed degrees; empty where nothing was typed. */
    private static OptionalDouble degrees(String typed, double most) {
        if (typed == null || typed.isBlank()) {
            return OptionalDouble.empty();
        }
        try {
            double value = Double.parseDouble(
                    typed.strip().replace(',', '.').replace("°", "").replace('−', '-'));
            if (Math.abs(value) <= most) {
                return OptionalDouble.of(value);
            }
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(Words.say("feed-controller.is-no-number-of-degrees", typed.strip()));
        }
        throw new IllegalArgumentException(
                Words.say("feed-controller.the-grain-runs-at-most-degrees", (int) most, typed.strip()));
    }

    /** Keeps the grain in the design: of every strip of the core, where its strips are laid out. */
    @PostMapping("/bodies/{id}/feed/grain")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            Look look,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        double grain;
        try {
            grain = degrees(look.grain(), MOST_KEPT)
                    .orElseThrow(() ->
                            new IllegalArgumentException(Words.say("feed-controller.type-how-the-grain-runs-in")));
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            page(current, look, fig, model, response);
            model.addAttribute("grainTrouble", e.getMessage());
            return "feed/feed";
        }
        ObjectNode file = current.revision().file().deepCopy();
        put(file, current.plan().build().design().blank().core().strips(), grain);
        try {
            store.save(current.body(), base, file, maker.name());
        } catch (Stale stale) {
            page(current, look, fig, model, response);
            ConflictNotice.tell(stale, Words.say("feed-controller.the-grain-was-not-saved-look"), model, response);
            return "feed/feed";
        }
        return "redirect:/bodies/" + current.body().publicId() + "/feed";
    }

    private static void put(ObjectNode file, List<Strip> strips, double grain) {
        ObjectNode blank = file.withObject("/design").withObject("/blank");
        if (blank.has("strips")) {
            for (JsonNode strip : blank.path("strips")) {
                ((ObjectNode) strip).put("grainAngle", grain);
            }
        } else if (!strips.isEmpty()) {
            blank.put("grainAngle", grain);
        }
    }
}
