package ebauche.app.body;

import ebauche.app.account.Maker;
import ebauche.app.drawing.BoardDrawing;
import ebauche.app.drawing.RuleDrawing;
import ebauche.app.drawing.SectionLines;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.app.web.PageModel;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.BuildPlan.PlanStep;
import ebauche.core.stock.Stock;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.util.UriComponentsBuilder;

/** One body: the rule, the drawing, the card of the step in hand, what is wrong. */
@Controller
class BodyController {
    private final Bodies bodies;

    BodyController(Bodies bodies) {
        this.bodies = bodies;
    }

    /** What a maker looks at: a step, a face, two section lines; whatever is left out is chosen sensibly. */
    record Look(String step, Face face, Double x, Double y) {}

    @GetMapping("/bodies/{id}")
    String body(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            Look look,
            @ModelAttribute("fig") Figures fig,
            @RequestHeader(value = "HX-Request", required = false) String htmx,
            @RequestHeader(value = "HX-Target", required = false) String target,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        show(current, look, fig, model);
        if (htmx == null) {
            return "body/body";
        }
        return "board".equals(target) ? "body/work :: board" : "body/work :: work";
    }

    /** What the body's page adds to a step in hand. */
    private record StepView(
            int chosen,
            Face face,
            SectionLines lines,
            Stock.Balance balance,
            String rule,
            String board,
            String flip,
            String earlier,
            String later) {}

    /** The rule as it is drawn: its steps lead to the same section lines. */
    private record Rule(String here, Figures fig, int chosen, Double x, Double y) {}

    private static void show(Bodies.Current current, Look look, Figures fig, Model model) {
        BuildPlan plan = current.plan();
        PlanStep step = StepInHand.chosen(plan, look.step());
        int chosen = plan.indexOf(step);
        PageModel.put(model, StepInHand.of(current, step));
        Face face = look.face() == null ? step.operation().face() : look.face();
        SectionLines lines = SectionLines.within(plan, chosen, look.x(), look.y());
        String here = current.here();
        PageModel.put(
                model,
                new StepView(
                        chosen,
                        face,
                        lines,
                        plan.history().finished().balance(),
                        Kept.with(plan)
                                .get(
                                        new Rule(here, fig, chosen, look.x(), look.y()),
                                        () -> RuleDrawing.of(plan, fig, chosen, op -> at(here, op.key(), null, look))),
                        BoardDrawing.of(plan, fig, chosen, face, lines),
                        at(here, step.operation().key(), face.other(), look),
                        neighbour(plan, here, chosen - 1, look),
                        neighbour(plan, here, chosen + 1, look)));
    }

    private static String neighbour(BuildPlan plan, String here, int index, Look look) {
        boolean there = index >= 0 && index < plan.steps().size();
        return there ? at(here, plan.steps().get(index).operation().key(), null, look) : null;
    }

    private static String at(String here, StepKey step, Face face, Look look) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(here).queryParam("step", step);
        Optional.ofNullable(face).ifPresent(f -> uri.queryParam("face", f));
        Optional.ofNullable(look.x()).ifPresent(x -> uri.queryParam("x", x));
        Optional.ofNullable(look.y()).ifPresent(y -> uri.queryParam("y", y));
        return uri.build().toUriString();
    }
}
