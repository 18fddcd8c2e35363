package ebauche.app.passes;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.job.Build;
import ebauche.core.passes.PassPlan;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Holding;
import ebauche.core.plan.Stations;
import ebauche.core.routing.DrillPattern;
import ebauche.core.routing.GuidedPocket;
import ebauche.core.routing.GuidedWork;
import ebauche.core.routing.Unreached;
import ebauche.core.sheet.BearingGap;
import ebauche.core.sheet.CornersLeft;
import ebauche.core.sheet.TemplateSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The pass plan of every guided cut: the cheapest, the next two, what stands in the way, and what is missing where there is none. */
@Controller
class PassesController {
    private final Bodies bodies;

    PassesController(Bodies bodies) {
        this.bodies = bodies;
    }

    /** A plan with its drawing and the stops in the walls that it runs on. */
    public record Shown(PassPlan plan, String drawing, List<BearingGap> stops) {}

    @GetMapping("/bodies/{id}/passes")
    String passes(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String cut,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        BuildPlan plan = current.plan();
        List<GuidedWork> cuts = Stations.guidedWork(plan.build());
        GuidedWork chosen = cuts.stream()
                .filter(c -> c.feature().word().equals(cut))
                .findFirst()
                .orElse(cuts.get(0));
        model.addAttribute("current", current);
        model.addAttribute("cuts", cuts);
        model.addAttribute("chosen", chosen);
        show(plan, chosen, fig, model);
        return "passes/passes";
    }

    private static void show(BuildPlan plan, GuidedWork chosen, Figures fig, Model model) {
        Build build = plan.build();
        TemplateSheet sheet = TemplateSheet.of(plan).stream()
                .filter(s -> s.feature().equals(chosen.feature()))
                .findFirst()
                .orElseThrow();
        List<Shown> shown = new ArrayList<>();
        for (PassPlan p : chosen.plans()) {
            shown.add(new Shown(
                    p,
                    PassSection.of(
                            p,
                            Math.min(
                                    build.thicknessed(),
                                    chosen.cut().orElseThrow().work()),
                            sheet.thickness(),
                            fig),
                    BearingGap.of(plan, chosen, p.passes())));
        }
        List<BearingGap> drawn = shown.isEmpty() ? List.of() : shown.get(0).stops();
        Optional<DrillPattern> drilling = Stations.pockets(build).stream()
                .filter(p -> p.feature().equals(chosen.feature()))
                .findFirst()
                .flatMap(GuidedPocket::drilling);
        Optional<Unreached> unreached = CornersLeft.of(build, chosen.feature());
        model.addAttribute("unreached", unreached.orElse(null));
        model.addAttribute("drilling", drilling);
        model.addAttribute("aBit", PassPlan.A_BIT);
        model.addAttribute("aPass", PassPlan.A_PASS);
        model.addAttribute("aSetUp", PassPlan.A_SET_UP);
        model.addAttribute("plans", shown);
        model.addAttribute("sheet", sheet);
        model.addAttribute(
                "depthStop",
                plan.step(StepKey.of(chosen.feature(), StepKind.WASTE))
                        .flatMap(s -> s.operation().setting().figure())
                        .orElse(null));
        model.addAttribute(
                "findings",
                plan.findings().stream()
                        .filter(f -> f.isOn(chosen.feature()))
                        .filter(f -> f.rule().equals("no-bit") || f.rule().equals("no-passes"))
                        .toList());
        List<Holding.Seat> seats =
                sheet.holding().how().inWaste() ? sheet.holding().seats() : List.of();
        model.addAttribute(
                "drawing",
                DrillDrawing.of(
                        chosen.plan(),
                        chosen.face(),
                        drilling,
                        drawn,
                        seats,
                        unreached.map(Unreached::corners).orElse(List.of())));
    }
}
