package ebauche.app.xray;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.drawing.RuleDrawing;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.app.web.PageModel;
import ebauche.app.whatif.Trial;
import ebauche.app.whatif.Trials;
import ebauche.app.whatif.WhatIfQuestion;
import ebauche.app.xray.XrayDrawing.Cut;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hollow.NewCap;
import ebauche.core.job.FinishedFaces;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.SideBySide;
import ebauche.core.stock.Stock;
import ebauche.core.stock.WoodLeft;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.util.UriComponentsBuilder;

/** The body seen through, before and after every step, with cavities that can be moved to see what breaks. */
@Controller
@RequestMapping("/bodies/{id}/x-ray")
class XrayController {
    private static final int PINS = 9;

    /** The section line stands out over the body by so much, mm. */
    private static final double OVER = 6;

    /** Farthest that an end of the section line may lie from the body, mm. */
    private static final double FARTHEST = 100;

    private final Bodies bodies;
    private final Trials trials;

    XrayController(Bodies bodies, Trials trials) {
        this.bodies = bodies;
        this.trials = trials;
    }

    /**
     * What is looked at; whatever is left out is chosen sensibly.
     *
     * @param step a step's key; the finished body without one
     * @param ax end A of the section line, from the centre line
     * @param ay the same from the saddle line
     */
    record Look(String step, Face face, Double ax, Double ay, Double bx, Double by) {}

    /** What the wood comes to after a step. */
    public record State(Stock.Balance balance, double flatFront, double flatBack) {
        static State of(BuildPlan plan, int step) {
            boolean finished = step >= plan.steps().size();
            FinishedFaces faces = plan.build().faces();
            Stock stock = plan.history().before(Math.min(step + 1, plan.steps().size()));
            return new State(
                    stock.balance(),
                    stock.flat(
                            NewCap.front(
                                    plan.build(),
                                    plan.history(),
                                    step,
                                    finished ? faces.frontFinished() : faces.frontNow()),
                            true),
                    stock.flat(finished ? faces.backFinished() : faces.backNow(), false));
        }
    }

    private record After(int step) {}

    /** What the page shows. */
    private record XrayView(
            Bodies.Current current,
            BuildPlan plan,
            Trial trial,
            Map<String, String> asked,
            Map<String, String> troubles,
            int base,
            SideBySide beside,
            Operation step,
            Face face,
            List<WoodLeft.Thin> pins,
            Cut cut,
            State state,
            String drawing,
            String section,
            String flip,
            String whole,
            String rule) {}

    @GetMapping
    String xray(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            Look look,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            @RequestHeader(value = "HX-Request", required = false) String htmx,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Trial trial = trials.of(current, WhatIfQuestion.of(typed), fig.unit());
        BuildPlan plan = trial.plan();
        int step = step(plan, look.step());
        boolean finished = step >= plan.steps().size();
        Face up = look.face() == null ? Face.FRONT : look.face();
        List<WoodLeft.Thin> thinnest = plan.history().thinnestAfter(finished ? step : step + 1);
        List<WoodLeft.Thin> pins = thinnest.subList(0, Math.min(PINS, thinnest.size()));
        Cut cut = cut(plan, look, pins);
        String here = current.here();
        PageModel.put(
                model,
                new XrayView(
                        current,
                        plan,
                        trial,
                        trial.shown(),
                        trial.troubles(),
                        current.revision().number(),
                        SideBySide.of(current.plan(), plan),
                        finished ? null : plan.steps().get(step).operation(),
                        up,
                        pins,
                        cut,
                        Kept.with(plan).get(new After(step), () -> State.of(plan, step)),
                        XrayDrawing.plan(
                                plan, fig, step, up, cut, pins, f -> f.kind().movable()),
                        XrayDrawing.section(plan, fig, step, cut),
                        address(here, look.step(), up.other(), cut, trial.asked()),
                        address(here, null, up, cut, trial.asked()),
                        RuleDrawing.of(
                                plan, fig, step, op -> address(here, op.key().written(), up, cut, trial.asked()))));
        return htmx == null ? "xray/x-ray" : "xray/x-ray :: seen";
    }

    /** Only the wood under the section line, for the hand that drags it. */
    @GetMapping(value = "/section", produces = MediaType.TEXT_HTML_VALUE)
    @ResponseBody
    String section(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            Look look,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        BuildPlan plan =
                trials.of(current, WhatIfQuestion.of(typed), fig.unit()).plan();
        return XrayDrawing.section(plan, fig, step(plan, look.step()), cut(plan, look, List.of()));
    }

    /** The step asked for; the number of steps for the finished body. */
    private static int step(BuildPlan plan, String key) {
        return key == null
                ? plan.steps().size()
                : plan.step(key).map(plan::indexOf).orElse(plan.steps().size());
    }

    /** The line asked for, kept near the body; else along the body through its thinnest wood. */
    private static Cut cut(BuildPlan plan, Look look, List<WoodLeft.Thin> pins) {
        Region body = plan.build().design().outline().region();
        double x = pins.isEmpty() ? 0 : pins.get(0).at().x();
        Point a = new Point(
                near(look.ax(), x, body.minX(), body.maxX()),
                near(look.ay(), body.minY() - OVER, body.minY(), body.maxY()));
        Point b = new Point(
                near(look.bx(), x, body.minX(), body.maxX()),
                near(look.by(), body.maxY() + OVER, body.minY(), body.maxY()));
        return a.distance(b) < 1 ? new Cut(a, new Point(b.x(), b.y() + 1)) : new Cut(a, b);
    }

    private static double near(Double asked, double usual, double least, double most) {
        double at = asked == null || !Double.isFinite(asked) ? usual : asked;
        return Math.max(least - FARTHEST, Math.min(most + FARTHEST, at));
    }

    /** To a hundredth of a millimetre, finer than a hand moves; never a negative nought. */
    private static double hundredth(double place) {
        return Math.rint(place * 100) / 100 + 0.0;
    }

    private static String address(String here, String step, Face face, Cut cut, WhatIfQuestion asked) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(here + "/x-ray");
        if (step != null) {
            uri.queryParam("step", step);
        }
        uri.queryParam("face", face)
                .queryParam("ax", hundredth(cut.a().x()))
                .queryParam("ay", hundredth(cut.a().y()))
                .queryParam("bx", hundredth(cut.b().x()))
                .queryParam("by", hundredth(cut.b().y()));
        asked.fields().forEach(uri::queryParam);
        return uri.encode().build().toUriString();
    }
}
