package ebauche.app.wires;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.design.DesignKeeping;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.whatif.Trial;
import ebauche.app.whatif.Trials;
import ebauche.app.whatif.WhatIfQuestion;
import ebauche.app.words.Words;
import ebauche.core.channel.BoreLook;
import ebauche.core.channel.Finder;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Wire;
import ebauche.core.job.Build;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.SideBySide;
import ebauche.core.wires.WireWays;
import ebauche.exchange.json.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Where the wires go: what is wired to what, its way and length, and every channel with what its drill needs and risks. */
@Controller
@RequestMapping("/bodies/{id}/wires")
class WiresController {

    /** Places for the jack that are. */
    private final Bodies bodies;

    private final Trials trials;
    private final DesignKeeping keeping;

    WiresController(Bodies bodies, Trials trials, DesignKeeping keeping) {
        this.bodies = bodies;
        this.trials = trials;
        this.keeping = keeping;
    }

    /** One of the channels, to be chosen. */
    public record Choice(Channel channel, String said, String address, boolean chosen) {}

    /** What the page shows. */
    private record WiresView(
            Bodies.Current current,
            BuildPlan plan,
            Trial trial,
            Map<String, String> asked,
            Map<String, String> troubles,
            int base,
            SideBySide beside,
            List<Choice> channels,
            List<WireWays.Way> ways,
            List<Wire> without,
            List<WireWays.Fill> fills,
            boolean usual,
            Offered offered,
            String still) {}

    /** What is said of the chosen channel. */
    private record BoreView(
            Channel chosen,
            BoreLook look,
            BoreLookWords words,
            List<TypedEnd> typedEnds,
            boolean mistyped,
            String bore,
            String ends,
            String section) {}

    /**
     * A field of the chosen channel.
     *
     * @param value as it was typed where that cannot be meant, else as it is
     */
    public record TypedEnd(String name, String label, String value, String trouble) {}

    @GetMapping
    String wires(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(required = false) String channel,
            @RequestParam(required = false) String find,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            @RequestHeader(value = "HX-Request", required = false) String htmx,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        if ("all".equals(find)) {
            return "redirect:" + withAll(current);
        }
        page(current, WhatIfQuestion.of(typed), channel, find == null ? "" : find, fig, model);
        return htmx == null ? "wires/wires" : "wires/wires :: seen";
    }

    /** The address that tries every channel that is found. */
    private String withAll(Bodies.Current current) {
        BuildPlan plan = current.plan();
        Map<String, String> asked = new LinkedHashMap<>();
        List<Finder.Proposal> found = Finder.missing(plan.build(), plan.history());
        found.forEach(p -> asked.putAll(WhatIfQuestion.channel(Offered.free(plan.build(), p.channel()))));
        String chosen = found.isEmpty()
                ? ""
                : Offered.free(plan.build(), found.get(0).channel()).id();
        return Offered.address(current, chosen, asked) + (found.isEmpty() ? "?find=none" : "");
    }

    private void page(
            Bodies.Current current, WhatIfQuestion asked, String channel, String find, Figures fig, Model model) {
        Trial trial = trials.of(current, asked, fig.unit());
        BuildPlan plan = trial.plan();
        WireWays ways = WireWays.of(plan.build());
        List<Channel> channels = plan.build().design().channels();
        Optional<Channel> chosen = chosen(channels, channel);
        Offered offered = Offered.of(current, plan, find);
        PageModel.put(
                model,
                new WiresView(
                        current,
                        plan,
                        trial,
                        trial.shown(),
                        trial.troubles(),
                        current.revision().number(),
                        SideBySide.of(current.plan(), plan),
                        channels.stream()
                                .map(c -> new Choice(
                                        c,
                                        c.feature().said(),
                                        Offered.address(current, c.id(), trial.shown()),
                                        chosen.filter(c::equals).isPresent()))
                                .toList(),
                        ways.ways(),
                        ways.without(),
                        ways.fills(),
                        ways.wiring().usual(),
                        offered,
                        new WiresDrawing(plan, fig).still(ways, chosen, offered, current.here())));
        chosen.ifPresent(c -> {
            List<TypedEnd> typed = typedEnds(c, trial.asked().fields(), trial.troubles(), fig);
            PageModel.put(
                    model,
                    Kept.with(plan).get(new Bored(c, typed, fig), () -> bore(plan.build(), plan, c, typed, fig)));
        });
    }

    private static Optional<Channel> chosen(List<Channel> channels, String id) {
        return channels.stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .or(() -> channels.stream().findFirst());
    }

    /**
     * The seven lengths of a channel, each with what was wrong with it.
     *
     * @param asked as they were typed
     * @param troubles by field; none where all can be meant
     */
    private static List<TypedEnd> typedEnds(
            Channel c, Map<String, String> asked, Map<String, String> troubles, Figures fig) {
        TypedEnds ends = new TypedEnds(c.id(), asked, troubles, fig);
        return List.of(
                ends.field("from.x", Words.say("wires.begins-x"), c.from().x()),
                ends.field("from.y", Words.say("wires.begins-y"), c.from().y()),
                ends.field("fromUnder", Words.say("wires.begins-under"), c.fromUnder()),
                ends.field("to.x", Words.say("wires.ends-x"), c.to().x()),
                ends.field("to.y", Words.say("wires.ends-y"), c.to().y()),
                ends.field("toUnder", Words.say("wires.ends-under"), c.toUnder()),
                ends.field("diameter", Words.say("wires.diameter"), c.diameter()));
    }

    private record TypedEnds(String id, Map<String, String> asked, Map<String, String> troubles, Figures fig) {
        TypedEnd field(String its, String label, double now) {
            String name = WhatIfQuestion.CHANNEL + id + "." + its;
            // What is wrong with a place as a whole is told beside its first length.
            String whole = its.endsWith(".x") ? troubles.get(name.substring(0, name.length() - 2)) : null;
            String value = troubles.isEmpty() ? fig.exactText(now) : asked.getOrDefault(name, fig.exactText(now));
            return new TypedEnd(name, label, value, troubles.getOrDefault(name, whole));
        }
    }

    private record Bored(Channel chosen, List<TypedEnd> typed, Figures fig) {}

    private static BoreView bore(Build build, BuildPlan plan, Channel chosen, List<TypedEnd> typed, Figures fig) {
        BoreLook look = BoreLook.of(build, plan.history(), chosen);
        WiresDrawing drawing = new WiresDrawing(plan, fig);
        return new BoreView(
                chosen,
                look,
                new BoreLookWords(look),
                typed,
                typed.stream().anyMatch(t -> t.trouble() != null),
                drawing.chosen(look),
                look.isFact() ? "" : drawing.ends(chosen),
                WiresSection.of(look, WiresSection.wood(look, plan), fig));
    }

    /** Only the chosen channel, for the hand that drags an end: nothing is planned anew. */
    @GetMapping("/look")
    String look(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam String channel,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Build build = trials.build(current, WhatIfQuestion.of(typed), fig.unit());
        chosen(build.design().channels(), channel)
                .ifPresent(c -> PageModel.put(
                        model, bore(build, current.plan(), c, typedEnds(c, Map.of(), Map.of(), fig), fig)));
        model.addAttribute("current", current);
        return "wires/wires :: dragged";
    }

    /** Keeps what was asked as the next revision. */
    @PostMapping
    String keep(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam(required = false) String channel,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        WhatIfQuestion asked = WhatIfQuestion.of(typed);
        Trial trial = trials.of(current, asked, fig.unit());
        try {
            if (trial.canBeKept()) {
                keeping.keep(current, base, trial.file(), maker.name());
                return "redirect:" + Offered.address(current, channel == null ? "" : channel, Map.of());
            }
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } catch (Stale stale) {
            ConflictNotice.tell(stale, Words.say("wires-controller.your-channels-stand-below-over"), model, response);
        }
        page(current, asked, channel, "", fig, model);
        return "wires/wires";
    }

    /** What cannot be read of a dragged end is said where it stands. */
    @ExceptionHandler(BuildFileException.class)
    @ResponseStatus(HttpStatus.UNPROCESSABLE_CONTENT)
    @ResponseBody
    String unreadable(BuildFileException e) {
        return e.getMessage();
    }
}
