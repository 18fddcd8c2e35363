package ebauche.app.check;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.drawing.BoardDrawing;
import ebauche.app.web.EntryWords;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.BuildPlan;
import ebauche.core.realism.SpecSheet;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** A body on one page, for whoever ordered it or for a second pair of eyes, with everything that ought to give pause. */
@Controller
class OnePageController {
    private final Bodies bodies;

    OnePageController(Bodies bodies) {
        this.bodies = bodies;
    }

    /**
     * What waits, with its words.
     *
     * @param asks whether a yes settles it; else it is a mistake to be made good
     * @param step where it waits, empty where none is said
     */
    public record Waiting(String entry, boolean asks, String step, String words, String by, String when) {}

    /** What the page shows. */
    private record OnePage(
            Bodies.Current current, BuildPlan plan, SpecSheet spec, List<Waiting> waiting, String drawing) {}

    @GetMapping("/bodies/{id}/one-page")
    String onePage(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        BuildPlan plan = current.plan();
        SpecSheet spec = SpecSheet.of(plan);
        PageModel.put(
                model,
                new OnePage(
                        current,
                        plan,
                        spec,
                        spec.unsettled().stream()
                                .map(e -> waiting(e, plan, fig))
                                .toList(),
                        BoardDrawing.finished(plan, fig)));
        return "check/one-page";
    }

    private static Waiting waiting(AsBuilt.Entry entry, BuildPlan plan, Figures fig) {
        String step = entry instanceof AsBuilt.Asked asked
                ? plan.step(asked.operation()).map(s -> s.operation().title()).orElse("")
                : "";
        return new Waiting(
                entry.id(),
                entry instanceof AsBuilt.Asked,
                step,
                EntryWords.of(entry, fig),
                entry.by(),
                fig.moment(entry.at()));
    }
}
