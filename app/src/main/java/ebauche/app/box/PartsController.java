package ebauche.app.box;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.reading.DepthGauge;
import ebauche.app.reading.Readings;
import ebauche.app.reading.SeveralReadings;
import ebauche.app.web.Figures;
import ebauche.app.web.NotHere;
import ebauche.app.words.Words;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The parts of one body: what they are sold as, what they measure in hand, and which cavities move by that. */
@Controller
@RequestMapping("/bodies/{id}/parts")
class PartsController {
    private final Bodies bodies;
    private final BodyStore store;
    private final Readings readings;
    private final DepthGauge calliper;

    PartsController(Bodies bodies, BodyStore store, Readings readings, DepthGauge calliper) {
        this.bodies = bodies;
        this.store = store;
        this.readings = readings;
        this.calliper = calliper;
    }

    /**
     * One size of a part in hand.
     *
     * @param key what a reading of it measures
     * @param known as read, else nominal
     */
    public record Line(String key, PartSize size, double nominal, Fact known, String entry) {
        public boolean measured() {
            return known.source() == Source.MEASURED;
        }
    }

    /**
     * One part with the sums of its cavity.
     *
     * @param feature that is cut for it
     */
    public record InHand(
            Feature feature, String said, Part part, String drawing, List<Line> lines, List<Reckoning> sums) {}

    @GetMapping
    String parts(
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

    private static String page(Bodies.Current current, Figures fig, Model model) {
        Build build = current.plan().build();
        List<InHand> parts = new ArrayList<>();
        build.drawn().parts().forEach((feature, part) -> parts.add(inHand(build, feature, part, fig)));
        model.addAttribute("current", current);
        model.addAttribute("plan", current.plan());
        model.addAttribute("parts", parts);
        return "box/parts";
    }

    private static InHand inHand(Build build, Feature feature, Part part, Figures fig) {
        List<Line> lines = part.sizes().keySet().stream()
                .map(size -> new Line(
                        new Measurand.SizeOf(feature, size).key(),
                        size,
                        part.get(size),
                        build.fitting().size(feature, part, size),
                        UUID.randomUUID().toString()))
                .toList();
        return new InHand(
                feature,
                feature.part(),
                part,
                PartDrawing.of(build.fitting().known(feature, part), fig),
                lines,
                build.fitting().sums(build.design(), feature));
    }

    /** Logs every size that was typed, all or none. */
    @PostMapping
    String log(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        SeveralReadings form = SeveralReadings.of(readings, current, maker, typed, key -> key.startsWith("size:"), fig);
        form.read()
                .forEach(r -> missing(current, r)
                        .ifPresent(why -> form.troubles().put(r.measures().key(), why)));
        if (!form.good()) {
            form.refuse(typed, model, response);
            return page(current, fig, model);
        }
        store.log(current.body(), form.read());
        return "redirect:/bodies/" + id + "/parts?logged=" + form.ids();
    }

    /** Why a size cannot be logged here, if this body has no such part or the part no such size. */
    private static Optional<String> missing(Bodies.Current current, AsBuilt.Reading reading) {
        Measurand.SizeOf size = (Measurand.SizeOf) reading.measures();
        Part part = current.plan().build().drawn().parts().get(size.feature());
        return part != null && part.has(size.size())
                ? Optional.empty()
                : Optional.of(Words.say("parts-controller.this-body-has-no-such-part"));
    }

    /** The simulated calliper: parts of one kind differ by a few tenths from what they are sold as. */
    @GetMapping("/calliper")
    ResponseEntity<String> calliper(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam String measures,
            @ModelAttribute("fig") Figures fig) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Build build = current.plan().build();
        if (!(readable(measures) instanceof Measurand.SizeOf size)) {
            throw new NotHere();
        }
        Part part = Optional.ofNullable(build.drawn().parts().get(size.feature()))
                .filter(p -> p.has(size.size()))
                .orElseThrow(NotHere::new);
        long seed = current.body().id() * 1_000_003 + measures.hashCode();
        return ResponseEntity.ok()
                .contentType(MediaType.TEXT_PLAIN)
                .body(calliper.read(part.get(size.size()), seed, fig.unit()));
    }

    private static Measurand readable(String measures) {
        try {
            return Measurand.parse(measures);
        } catch (IllegalArgumentException e) {
            throw new NotHere();
        }
    }
}
