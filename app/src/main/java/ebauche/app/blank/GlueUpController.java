package ebauche.app.blank;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.timber.ClimateStore;
import ebauche.app.timber.Rack;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.blank.BlankNeed;
import ebauche.core.blank.GlueUp;
import ebauche.core.blank.Registration;
import ebauche.core.blank.SeamFit;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Plates;
import ebauche.core.geometry.Region;
import ebauche.core.gluing.TopPress;
import ebauche.core.hollow.Resawing;
import ebauche.core.job.Build;
import ebauche.core.job.UnderTop;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Gluing;
import ebauche.core.timber.Climate;
import ebauche.exchange.file.ShopPart;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.node.ObjectNode;

/** The glue-up sheet of a body's blank: one page for its core, one for its top's seams, one for gluing the top on. */
@Controller
class GlueUpController {
    private final Bodies bodies;
    private final BodyStore store;
    private final Rack rack;

    GlueUpController(Bodies bodies, BodyStore store, Rack rack) {
        this.bodies = bodies;
        this.store = store;
        this.rack = rack;
    }

    /** One layer to be glued edge to edge. */
    public record Sheet(String what, GlueUp glueUp, String drawing) {
        public SeamFit fit() {
            return glueUp.fit();
        }
    }

    /** What is pressed onto the core: how, pinned where, and what is looked at before. */
    public record Pressed(String what, TopPress press, Registration pins, String drawing, List<String> ticks) {}

    /**
     * Shows the sheet.
     *
     * @param glue to look at another glue than the shop's
     * @param complementary to look at the other way of cutting edges
     */
    @GetMapping("/bodies/{id}/glue-up")
    String sheet(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(required = false) Glue glue,
            @RequestParam(required = false) Boolean complementary,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        page(bodies.current(maker.shop(), id), glue, complementary, fig, model);
        return "blank/glue-up";
    }

    /** Keeps what was looked at for this body alone; the shop's ways stay as they are. */
    @PostMapping("/bodies/{id}/glue-up")
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam Glue glue,
            @RequestParam boolean complementary,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        ObjectNode file = current.revision().file().deepCopy();
        ShopPart.glueWith(file, glue, complementary);
        try {
            store.save(current.body(), base, file, maker.name());
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("glue-up-controller.nothing-was-saved-look-again"), model, response);
            page(bodies.current(maker.shop(), id), glue, complementary, fig, model);
            return "blank/glue-up";
        }
        return "redirect:/bodies/" + id + "/glue-up";
    }

    private void page(Bodies.Current current, Glue glue, Boolean complementary, Figures fig, Model model) {
        Blank blank = current.plan().build().design().blank();
        Gluing shops = current.plan().build().shop().gluing();
        Gluing gluing = new Gluing(
                glue == null ? shops.glue() : glue,
                shops.edges(),
                shops.outOfSquare(),
                complementary == null ? shops.complementary() : complementary,
                shops.clamps(),
                shops.cauls());
        Optional<Climate> climate = rack.air(current.body().shop()).map(ClimateStore.Reading::climate);
        List<Sheet> sheets = new ArrayList<>();
        ownWood(current.plan().build()).forEach((what, layer) -> add(sheets, what, blank, layer, gluing, climate, fig));
        blank.top()
                .ifPresent(t -> add(sheets, Words.say("glue-up-controller.the-top"), blank, t, gluing, climate, fig));
        model.addAttribute("current", current);
        model.addAttribute("blank", blank);
        model.addAttribute("gluing", gluing);
        model.addAttribute("shops", shops);
        model.addAttribute("glues", Glue.values());
        model.addAttribute("climate", climate.orElse(null));
        model.addAttribute("sheets", sheets);
        model.addAttribute("presses", presses(current, blank, gluing, fig));
    }

    /** The blank's own wood as its pieces are glued: core and plates each by itself where they are sawn off the pieces. */
    private static Map<String, BlankLayer> ownWood(Build build) {
        Blank blank = build.design().blank();
        Plates sawn = blank.sawn();
        Map<String, BlankLayer> all = new LinkedHashMap<>();
        if (sawn.isNone() || new Resawing(build, sawn).sawsTheBlank()) {
            all.put(Words.say("glue-up-controller.the-blank"), blank.core());
            return all;
        }
        all.put(Words.say("glue-up-controller.the-core"), blank.core().thick(blank.coreThickness()));
        if (sawn.front() > 0) {
            all.put(
                    Words.say("glue-up-controller.the-front-plate"),
                    blank.core().thick(sawn.front()));
        }
        if (sawn.back() > 0) {
            all.put(Words.say("glue-up-controller.the-back-plate"), blank.core().thick(sawn.back()));
        }
        return all;
    }

    private static void add(
            List<Sheet> sheets,
            String what,
            Blank blank,
            BlankLayer layer,
            Gluing gluing,
            Optional<Climate> climate,
            Figures fig) {
        if (layer.strips().size() > 1) {
            GlueUp glueUp = new GlueUp(layer, blank.along(), gluing, climate);
            sheets.add(new Sheet(what, glueUp, ClampDrawing.of(blank, layer, glueUp.clamps(), fig)));
        }
    }

    /** What is pressed onto the core: its back plate first, then what closes it. */
    private static List<Pressed> presses(Bodies.Current current, Blank blank, Gluing gluing, Figures fig) {
        Build build = current.plan().build();
        List<Pressed> all = new ArrayList<>();
        if (blank.sawn().back() > 0) {
            all.add(pressed(
                    Words.say("glue-up-controller.the-back-plate"),
                    current,
                    UnderTop.hollowWhenBacked(build),
                    blank.sawn().back(),
                    gluing,
                    List.of(),
                    fig));
        }
        if (blank.isCovered()) {
            all.add(pressed(
                    blank.sawn().front() > 0
                            ? Words.say("glue-up-controller.the-front-plate")
                            : Words.say("glue-up-controller.the-top"),
                    current,
                    UnderTop.hollowWhenClosed(build),
                    blank.topThickness(),
                    gluing,
                    current.plan()
                            .step(UnderTop.CLOSES)
                            .map(s -> s.operation().ticks())
                            .orElse(List.of()),
                    fig));
        }
        return all;
    }

    private static Pressed pressed(
            String what,
            Bodies.Current current,
            Region hollow,
            double thickness,
            Gluing gluing,
            List<String> ticks,
            Figures fig) {
        BuildPlan plan = current.plan();
        Blank blank = plan.build().design().blank();
        TopPress press = TopPress.onto(blank.plan(), hollow, thickness, gluing);
        Registration pins =
                Registration.of(BlankNeed.whole(plan.build(), plan.history()), blank.plan(), hollow, thickness);
        return new Pressed(what, press, pins, ClampDrawing.top(blank, hollow, press, pins, fig), ticks);
    }
}
