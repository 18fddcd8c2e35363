package ebauche.app.check;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.core.feature.Feature;
import ebauche.core.job.Rule;
import ebauche.core.plan.BuildPlan;
import ebauche.core.realism.Realism;
import ebauche.core.realism.ToolChoice;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** Can this body be made, and here? Every rule with its number, place and cure; every kind of step with how the shop does it. */
@Controller
class CheckController {
    private final Bodies bodies;

    CheckController(Bodies bodies) {
        this.bodies = bodies;
    }

    /**
     * A rule on the page.
     *
     * @param pin its number on the drawing; nought where it holds or has no place
     * @param bar its number between what it may be, drawn
     */
    public record Shown(Rule rule, int pin, String bar) {}

    @GetMapping("/bodies/{id}/check")
    String check(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Realism realism = Realism.of(current.plan());
        List<Rule> pinned = new ArrayList<>();
        Map<Rule.About, List<Shown>> shown = new LinkedHashMap<>();
        for (Rule.About about : Rule.About.values()) {
            List<Shown> rules = new ArrayList<>();
            for (Rule rule : realism.about(about)) {
                boolean pin = rule.verdict() != Rule.Verdict.HOLDS && rule.at().isPresent();
                if (pin) {
                    pinned.add(rule);
                }
                rules.add(new Shown(rule, pin ? pinned.size() : 0, RuleBar.of(rule, fig)));
            }
            if (!rules.isEmpty()) {
                shown.put(about, rules);
            }
        }
        model.addAttribute("current", current);
        model.addAttribute("plan", current.plan());
        model.addAttribute("realism", realism);
        model.addAttribute("verdicts", Rule.Verdict.values());
        model.addAttribute("shown", shown);
        model.addAttribute("leavable", leavable(current.plan(), realism));
        model.addAttribute(
                "drawing",
                Kept.with(current.plan()).get(new Pinned(fig), () -> CheckDrawing.of(current.plan(), pinned, fig)));
        return "check/check";
    }

    private record Pinned(Figures fig) {}

    /** For each kind of step that is not done as usual, the question what it would be to leave open all that it is needed for. */
    private static Map<String, String> leavable(BuildPlan plan, Realism realism) {
        Map<String, String> questions = new HashMap<>();
        for (ToolChoice way : realism.ways()) {
            List<Feature> features = way.leavable(plan);
            if (way.how() != ToolChoice.How.AS_USUAL && !features.isEmpty()) {
                questions.put(
                        way.work(),
                        features.stream().map(f -> "open." + f + "=yes").collect(Collectors.joining("&")));
            }
        }
        return questions;
    }
}
