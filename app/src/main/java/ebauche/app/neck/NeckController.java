package ebauche.app.neck;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.reading.Readings;
import ebauche.app.reading.SeveralReadings;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Reckoning;
import ebauche.core.neck.CentreLine;
import ebauche.core.neck.JointClamps;
import ebauche.core.neck.NeckFit;
import ebauche.core.neck.NeckPocket;
import ebauche.core.neck.NeckScrews;
import ebauche.core.neck.PocketState;
import ebauche.core.plan.BuildPlan;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The neck and its bridge: depth, fit, jig, and whether the neck points where the bridge will stand. */
@Controller
@RequestMapping("/bodies/{id}/neck")
class NeckController {
    private static final List<Dimension> HEEL = Arrays.stream(Dimension.values())
            .filter(d -> d.taken() == Dimension.Taken.FITTING_THE_NECK)
            .toList();

    private static final List<Dimension> LINE = List.of(
            Dimension.CENTRE_AT_NUT,
            Dimension.CENTRE_AT_POCKET,
            Dimension.CENTRE_AT_BRIDGE,
            Dimension.FRET_12_TO_SADDLE,
            Dimension.SADDLE_HEIGHT);

    private final Bodies bodies;
    private final BodyStore store;
    private final Readings readings;

    NeckController(Bodies bodies, BodyStore store, Readings readings) {
        this.bodies = bodies;
        this.store = store;
        this.readings = readings;
    }

    /** A size that is read here, and its latest reading. */
    public record Line(String key, String label, AsBuilt.Reading latest, String entry) {}

    @GetMapping
    String neck(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(required = false) List<String> logged,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        if (logged != null) {
            SeveralReadings.acknowledge(current, logged, model);
        }
        return page(current, fig, model);
    }

    /** What the neck's page shows. */
    private record NeckView(
            Bodies.Current current,
            BuildPlan plan,
            PocketState pocket,
            NeckPocket.Window window,
            NeckPocket.ErrorBudget budget,
            List<NeckPocket.Sensitivity> sensitivities,
            Optional<Reckoning> wedge,
            Optional<NeckScrews> screws,
            Optional<JointClamps> pressed,
            Optional<NeckFit> fit,
            List<Double> sanded,
            Optional<Reckoning> off,
            Reckoning permitted,
            List<Line> heelLines,
            List<Line> lineLines,
            String drawing) {}

    private static String page(Bodies.Current current, Figures fig, Model model) {
        Build build = current.plan().build();
        PocketState pocket = PocketState.of(build);
        CentreLine line = CentreLine.of(build);
        PageModel.put(
                model,
                new NeckView(
                        current,
                        current.plan(),
                        pocket,
                        pocket.geometry().window(build.design().bridge()),
                        pocket.geometry().errorBudget(build.shop().limits()),
                        pocket.geometry().sensitivities(),
                        build.wedge(NeckJoint.FEATURE),
                        NeckScrews.of(build),
                        JointClamps.of(build),
                        NeckFit.of(build),
                        List.of(NeckFit.SANDED_LEAST, NeckFit.SANDED_MOST),
                        line.atBridge(),
                        line.permitted(),
                        lines(build, HEEL),
                        lines(build, LINE),
                        NeckDrawing.of(current.plan(), fig)));
        return "neck/neck";
    }

    private static List<Line> lines(Build build, List<Dimension> sizes) {
        return sizes.stream()
                .map(d -> new Line(
                        d.key(),
                        d.label(),
                        build.asBuilt().latest(d).orElse(null),
                        UUID.randomUUID().toString()))
                .toList();
    }

    /** Logs every reading that was typed, all or none. */
    @PostMapping
    String log(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        SeveralReadings form = SeveralReadings.of(readings, current, maker, typed, NeckController::known, fig);
        if (!form.good()) {
            form.refuse(typed, model, response);
            return page(current, fig, model);
        }
        store.log(current.body(), form.read());
        return "redirect:/bodies/" + id + "/neck?logged=" + form.ids();
    }

    private static boolean known(String key) {
        return Arrays.stream(Dimension.values()).anyMatch(d -> d.key().equals(key));
    }
}
