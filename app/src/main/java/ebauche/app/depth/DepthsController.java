package ebauche.app.depth;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.DepthCard;
import ebauche.core.sheet.DrillHole;
import ebauche.core.sheet.MarkedThrough;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** A card for every cavity: how deep, from where, what is left; and the drill list. */
@Controller
class DepthsController {
    private final Bodies bodies;

    DepthsController(Bodies bodies) {
        this.bodies = bodies;
    }

    /** A card with its drawing. */
    public record Shown(DepthCard card, String drawing) {}

    private record Drawn(Figures fig) {}

    @GetMapping("/bodies/{id}/depths")
    String depths(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        BuildPlan plan = current.plan();
        List<Shown> cards = Kept.with(plan)
                .get(
                        new Drawn(fig),
                        () -> DepthCard.of(plan).stream()
                                .map(c -> new Shown(c, DepthDrawing.of(plan, c, fig)))
                                .toList());
        model.addAttribute("current", current);
        model.addAttribute("plan", plan);
        model.addAttribute("cards", cards);
        model.addAttribute("holes", DrillHole.of(plan));
        model.addAttribute("through", MarkedThrough.of(plan));
        return "depth/depths";
    }
}
