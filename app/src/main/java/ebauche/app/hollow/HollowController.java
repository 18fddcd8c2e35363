package ebauche.app.hollow;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.design.DesignKeeping;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.balance.Balance;
import ebauche.core.balance.Guitar;
import ebauche.core.design.BodyDesign;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.hollow.CapPlate;
import ebauche.core.hollow.Hollow;
import ebauche.core.hollow.KeepOut;
import ebauche.core.job.Build;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Reckoning;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import tools.jackson.databind.node.ObjectNode;

/** What a hollow under a cap would take out of a body, what must stay and why, what that weighs, how it hangs, and whether the cap carries a thumb. */
@Controller
class HollowController {
    private final Bodies bodies;
    private final DesignKeeping keeping;

    HollowController(Bodies bodies, DesignKeeping keeping) {
        this.bodies = bodies;
        this.keeping = keeping;
    }

    /**
     * Wood that stays: what for, how much round it, and what could be taken out without it.
     *
     * @param gains how much more another margin takes out than the usual one, g
     */
    public record Kept(
            HollowQuestion.Field margin, String what, String why, double usual, double grams, double gains) {}

    /** A hollow that brings the body to the mass that is wanted, with the address that shows it; or that none does. */
    public record Solved(String said, String address) {}

    /** What changes while the wall is dragged. */
    private record Look(
            Hollow hollow,
            double wood,
            double left,
            Optional<Reckoning> deflection,
            boolean soft,
            String before,
            String after,
            String drawing) {
        static Look of(BuildPlan plan, Hollow hollow, Figures fig) {
            Balance balance = Balance.of(plan);
            double wood = balance.guitar().wood().grams();
            Balance lighter = hollow.centre()
                    .map(at -> balance.without(hollow.grams(), at))
                    .orElse(balance);
            Optional<Reckoning> deflection = hollow.cap().map(CapPlate::deflection);
            return new Look(
                    hollow,
                    wood,
                    wood - hollow.grams(),
                    deflection,
                    deflection.filter(d -> d.value() > CapPlate.FELT).isPresent(),
                    CapSheet.stays(balance, fig),
                    CapSheet.stays(lighter, fig),
                    HollowDrawing.of(hollow));
        }
    }

    private record HollowView(
            Bodies.Current current,
            BuildPlan plan,
            List<HollowQuestion.Field> fields,
            boolean wrong,
            boolean ofGuitar,
            List<Kept> kept,
            List<Solved> solved,
            List<Feature> there,
            List<Feature> cut,
            boolean covered,
            boolean fromBack,
            int base,
            Map<String, String> asked,
            String tradeOff) {}

    @GetMapping("/bodies/{id}/hollow")
    String hollow(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        BuildPlan plan = solid(current);
        HollowQuestion question = new HollowQuestion(typed, fig);
        page(current, plan, question, question.hollow(plan.build()), fig, model);
        return "hollow/hollow";
    }

    /** What the hollow would be with what is asked, while its wall is dragged: the drawing and its sums alone. */
    @GetMapping("/bodies/{id}/hollow/look")
    String look(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        BuildPlan plan = solid(bodies.current(maker.shop(), id));
        PageModel.put(model, Look.of(plan, new HollowQuestion(typed, fig).hollow(plan.build()), fig));
        return "hollow/hollow :: now";
    }

    /** Puts what is asked into the design, in the place of the hollows that it has: chambers under the top, or cavities under plates. */
    @PostMapping("/bodies/{id}/hollow")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        BuildPlan plan = solid(current);
        HollowQuestion question = new HollowQuestion(typed, fig);
        Hollow hollow = question.hollow(plan.build());
        try {
            if (question.canBeDrawn(plan.build(), hollow)) {
                ObjectNode file = DesignKeeping.file(current);
                HollowDrawn.into(file.withObject("/design"), plan.build(), hollow, question.drawn());
                keeping.keep(current, base, file, maker.name());
                return "redirect:" + current.here() + "/hollow";
            }
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("hollow.yours-stands-below"), model, response);
        }
        page(current, plan, question, hollow, fig, model);
        return "hollow/hollow";
    }

    /** The body as if no hollow were drawn: what is reckoned here takes their place. */
    private static BuildPlan solid(Bodies.Current current) {
        Build build = current.plan().build();
        return build.once().of(Solid.class, () -> Solid.of(current.plan())).plan();
    }

    /** Planned once for each state of a body: without what is drawn of hollows, and without what of them is cut already. */
    private record Solid(BuildPlan plan) {
        static Solid of(BuildPlan drawn) {
            Build build = drawn.build();
            BodyDesign without = HollowDrawn.without(build.drawn());
            return new Solid(
                    without.equals(build.drawn())
                            ? drawn
                            : Planner.plan(new Build(without, build.shop(), HollowDrawn.uncut(build))));
        }
    }

    private static void page(
            Bodies.Current current, BuildPlan plan, HollowQuestion question, Hollow hollow, Figures fig, Model model) {
        OptionalDouble target = question.target();
        Guitar guitar = Balance.of(plan).guitar();
        double wood = guitar.wood().grams();
        double wanted =
                wood - target.orElse(wood) + (question.ofGuitar() && target.isPresent() ? guitar.grams() - wood : 0);
        Build asDrawn = current.plan().build();
        PageModel.put(model, Look.of(plan, hollow, fig));
        PageModel.put(
                model,
                new HollowView(
                        current,
                        plan,
                        question.fields(hollow),
                        !question.troubles().isEmpty(),
                        question.ofGuitar(),
                        hollow.keepOuts().stream()
                                .map(k -> kept(hollow, k, question, fig))
                                .toList(),
                        target.isPresent() ? solved(current, hollow, wanted, fig) : List.of(),
                        HollowDrawn.features(asDrawn.design()),
                        HollowDrawn.cut(asDrawn),
                        asDrawn.topReaches().isPresent(),
                        question.drawn().fromTheBack(),
                        current.revision().number(),
                        question.asked(),
                        TradeOffDrawing.of(hollow, wood, fig)));
    }

    private static Kept kept(Hollow hollow, KeepOut out, HollowQuestion question, Figures fig) {
        return new Kept(
                question.margin(out, fig.said(out.feature())),
                fig.said(out.feature()),
                out.why(),
                hollow.usualMargin(out),
                hollow.costs(out),
                hollow.gains(out));
    }

    private static List<Solved> solved(Bodies.Current current, Hollow hollow, double grams, Figures fig) {
        List<Solved> all = new ArrayList<>();
        if (grams <= 0) {
            return List.of(new Solved(Words.say("hollow.lighter-already"), ""));
        }
        hollow.byWall(grams)
                .ifPresent(h -> all.add(new Solved(
                        Words.say("hollow.by-wall", fig.length(h.asked().wall())), address(current, h.asked()))));
        hollow.byFloor(grams)
                .ifPresent(h -> all.add(new Solved(
                        Words.say("hollow.by-floor", fig.length(h.asked().floor())), address(current, h.asked()))));
        hollow.byNumber(grams)
                .ifPresent(h -> all.add(
                        new Solved(Words.say("hollow.by-number", h.parts().size()), address(current, h.asked()))));
        return all.isEmpty() ? List.of(new Solved(Words.say("hollow.what-must-stay-weighs-more"), "")) : all;
    }

    private static String address(Bodies.Current current, Hollow.Asked asked) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(current.here() + "/hollow")
                .queryParam("wall", tenth(asked.wall()))
                .queryParam("centre", tenth(asked.centre()))
                .queryParam("cap", tenth(asked.cap()))
                .queryParam("floor", tenth(asked.floor()))
                .queryParam("bit", tenth(asked.bit()));
        if (asked.from() == Face.BACK) {
            uri.queryParam("school", Face.BACK.word());
        }
        if (asked.edge() > 0) {
            uri.queryParam("edge", tenth(asked.edge()));
        }
        asked.round().ifPresent(r -> uri.queryParam("round", tenth(r)));
        asked.number().ifPresent(n -> uri.queryParam("number", n));
        asked.margins().forEach((f, m) -> uri.queryParam("margin-" + f.word(), tenth(m)));
        return uri.encode().build().toUriString();
    }

    private static String tenth(double mm) {
        return Decimals.plain(mm, 1) + " mm";
    }
}
