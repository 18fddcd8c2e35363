package ebauche.app.blank;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.NotHere;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.timber.Timbers;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The cut list of a kept blank: each board with its pieces drawn, each cut in order, and what goes back on the rack. */
@Controller
class CutController {
    private final Bodies bodies;
    private final CutPlanStore plans;

    CutController(Bodies bodies, CutPlanStore plans) {
        this.bodies = bodies;
        this.plans = plans;
    }

    @GetMapping("/bodies/{id}/cut-list")
    String list(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        model.addAttribute("current", current);
        plans.latest(current.body()).ifPresent(plan -> {
            Timbers timbers = current.ways().timbers();
            model.addAttribute("plan", plan);
            model.addAttribute("boards", CutSheets.of(plan, timbers, fig));
            model.addAttribute("rests", plan.rests(timbers));
            model.addAttribute("blank", current.plan().build().design().blank());
        });
        return "blank/cut-list";
    }

    /** Logs that it was cut: boards off the rack, offcuts onto it. */
    @PostMapping("/bodies/{id}/cut-list")
    String cut(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam long plan,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        CutPlan latest = plans.latest(current.body()).orElseThrow(NotHere::new);
        try {
            if (latest.id() != plan) {
                throw new Stale(Words.say("cut-controller.another-blank-was-laid-out-meanwhile"));
            }
            plans.cut(current.body(), latest, maker.name());
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("cut-controller.nothing-was-changed-lay-the-blank"), model, response);
            return list(maker, id, fig, model);
        }
        return "redirect:/bodies/" + id + "/cut-list";
    }
}
