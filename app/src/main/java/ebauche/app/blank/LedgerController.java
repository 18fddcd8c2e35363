package ebauche.app.blank;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.reading.Readings;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import ebauche.core.design.Blank;
import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.Stations;
import ebauche.core.shop.Practice.Thicknessing;
import ebauche.core.shop.Shop;
import ebauche.core.thickness.Ledger;
import ebauche.core.thickness.PlaningWays;
import ebauche.core.thickness.Tracks;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The thickness ledger: what was read, the passes still to take, and the forms that log the next reading. */
@Controller
class LedgerController {
    private final Bodies bodies;

    private final BodyStore store;
    private final Readings readings;

    LedgerController(Bodies bodies, BodyStore store, Readings readings) {
        this.bodies = bodies;
        this.store = store;
        this.readings = readings;
    }

    /** A reading that the ledger asks for. */
    public record WantedReading(Measurand measurand, String label, String hint, String entry) {}

    /** A pass that was taken: what the high spot was before and after. */
    public record Taken(int number, double before, double after, String at) {
        public double bite() {
            return before - after;
        }
    }

    @GetMapping("/bodies/{id}/thickness")
    String ledger(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(required = false) Thicknessing school,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        page(bodies.current(maker.shop(), id), school, fig, model);
        return "blank/thickness";
    }

    /** What the ledger's page shows. */
    private record LedgerView(
            Bodies.Current current,
            Ledger ledger,
            Blank blank,
            List<PlaningWays> ways,
            Tracks tracks,
            List<Taken> taken,
            List<WantedReading> asked,
            List<Finding> findings,
            List<Thicknessing> schools,
            String drawing) {}

    /** Shows the ledger, by the shop's way of thicknessing or as another would take it. */
    private static void page(Bodies.Current current, Thicknessing school, Figures fig, Model model) {
        Build build = school == null
                ? current.plan().build()
                : by(school, current.plan().build());
        Ledger ledger = Ledger.of(build);
        Blank blank = build.design().blank();
        List<PlaningWays> ways = List.of(PlaningWays.of(blank, Face.FRONT), PlaningWays.of(blank, Face.BACK));
        Tracks tracks = Tracks.over(blank.across(), build.shop());
        PageModel.put(
                model,
                new LedgerView(
                        current,
                        ledger,
                        blank,
                        ways,
                        tracks,
                        taken(ledger),
                        asked(ledger),
                        Stations.findings(build, Feature.THICKNESS),
                        List.of(Thicknessing.values()),
                        SledDrawing.of(ledger, blank.across(), blank.along(), tracks, ways, fig)));
    }

    /** Logs a reading and comes back to the ledger, which is new by it. */
    @PostMapping("/bodies/{id}/thickness")
    String log(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam UUID entry,
            @RequestParam String measures,
            @RequestParam String value,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Ledger ledger = Ledger.of(current.plan().build());
        StepKey step = StepKey.of(Feature.THICKNESS, ledger.frontLeft() > 0 ? StepKind.FRONT : StepKind.BACK);
        try {
            store.log(current.body(), readings.read(current, maker, entry, measures, value, step.written(), "", fig));
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("trouble", Map.of(measures, e.getMessage()));
            model.addAttribute("typed", Map.of(measures, value.length() > 60 ? "" : value));
            page(current, null, fig, model);
            return "blank/thickness";
        }
        return "redirect:/bodies/" + id + "/thickness";
    }

    private static Build by(Thicknessing school, Build build) {
        Shop shop = build.shop().with(build.shop().practice().withThicknessing(school));
        return new Build(build.design(), shop, build.asBuilt());
    }

    private static List<Taken> taken(Ledger ledger) {
        List<Taken> taken = new ArrayList<>();
        List<AsBuilt.Reading> read = ledger.history();
        for (int i = 1; i < read.size(); i++) {
            taken.add(new Taken(
                    i, read.get(i - 1).value(), read.get(i).value(), read.get(i).at()));
        }
        return taken;
    }

    private static List<WantedReading> asked(Ledger ledger) {
        return List.of(
                asked(
                        Dimension.BLANK_THICKEST,
                        Words.say("ledger-controller.thickest-spot-now"),
                        ledger.history().isEmpty()
                                ? Words.say("ledger-controller.six-places-the-highest")
                                : Words.say("ledger-controller.after-a-pass")),
                asked(
                        Dimension.BLANK_THINNEST,
                        Words.say("ledger-controller.thinnest-spot-now"),
                        Words.say("ledger-controller.the-lowest-of-the-six")),
                asked(
                        new Measurand.OutOfFlat(Face.FRONT),
                        Words.say("ledger-controller.front-out-of-flat"),
                        Words.say("ledger-controller.straightedge-and-winding-sticks")),
                asked(
                        new Measurand.OutOfFlat(Face.BACK),
                        Words.say("ledger-controller.back-out-of-flat"),
                        Words.say("ledger-controller.the-same-turned-over")),
                asked(
                        Dimension.SEAM_STEP,
                        Words.say("ledger-controller.step-at-the-seam"),
                        Words.say("ledger-controller.fingernail-or-feeler")),
                asked(
                        Dimension.BODY_THICKNESS,
                        Words.say("ledger-controller.finished-thickness"),
                        Words.say("ledger-controller.when-the-back-is-done")));
    }

    private static WantedReading asked(Measurand measurand, String label, String hint) {
        return new WantedReading(measurand, label, hint, UUID.randomUUID().toString());
    }
}
