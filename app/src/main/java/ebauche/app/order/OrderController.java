package ebauche.app.order;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.StepInHand;
import ebauche.app.design.DesignKeeping;
import ebauche.app.drawing.RuleDrawing;
import ebauche.app.ways.WaysStore;
import ebauche.app.web.ConflictNotice;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.app.web.PageModel;
import ebauche.app.web.Stale;
import ebauche.app.words.Words;
import ebauche.core.feature.StepKey;
import ebauche.core.operation.Operation;
import ebauche.core.order.Move;
import ebauche.core.order.Ordering;
import ebauche.core.order.WhyHere;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.BuildPlan.PlanStep;
import ebauche.exchange.json.BuildFileException;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What the order of a body's steps costs, why each stands where it does, and the maker's own order. */
@Controller
@RequestMapping("/bodies/{id}/weigh")
class OrderController {
    private final Bodies bodies;
    private final DesignKeeping keeping;
    private final WaysStore ways;
    private final DeeperLooks looks;

    OrderController(Bodies bodies, DesignKeeping keeping, WaysStore ways, DeeperLooks looks) {
        this.bodies = bodies;
        this.keeping = keeping;
        this.ways = ways;
        this.looks = looks;
    }

    /**
     * What the page shows.
     *
     * @param why of a step that is still to be done
     * @param move what comes of it if the step goes to the place that was pressed
     */
    private record View(
            Bodies.Current current,
            BuildPlan plan,
            Ordering ordering,
            List<PriceLine> prices,
            String rule,
            PlanStep step,
            int base,
            Optional<WhyHere> why,
            Optional<String> curve,
            Optional<Move> move,
            HouseLine house,
            DeeperLooks.Look look,
            Optional<StepKey> earlier,
            Optional<StepKey> later) {}

    private record Rule(String here, Figures fig, int chosen) {}

    @GetMapping
    String page(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(required = false) String step,
            @RequestParam(required = false) Integer to,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        show(bodies.current(maker.shop(), id), step, to, fig, model);
        return "order/weigh";
    }

    private void show(Bodies.Current current, String asked, Integer to, Figures fig, Model model) {
        BuildPlan plan = current.plan();
        Ordering ordering = plan.schedule().ordering();
        PlanStep step = StepInHand.chosen(plan, asked);
        StepKey key = step.operation().key();
        Optional<WhyHere> why = step.done() ? Optional.empty() : Optional.of(WhyHere.of(ordering, key));
        Optional<Move> move = why.isEmpty() || to == null || to == why.get().place()
                ? Optional.empty()
                : Optional.of(Move.of(ordering, key, to));
        int chosen = plan.indexOf(step);
        PageModel.put(
                model,
                new View(
                        current,
                        plan,
                        ordering,
                        PriceLine.of(ordering),
                        Kept.with(plan)
                                .get(
                                        new Rule(current.here(), fig, chosen),
                                        () -> RuleDrawing.of(
                                                plan, fig, chosen, op -> at(current, op.key(), Optional.empty()))),
                        step,
                        current.revision().number(),
                        why,
                        why.filter(w -> !w.fixed())
                                .map(w -> PlacesDrawing.of(
                                        w,
                                        ordering,
                                        move.map(Move::to),
                                        fig,
                                        place -> at(current, key, Optional.of(place)))),
                        move,
                        Kept.with(plan).get(HouseLine.class, () -> HouseLine.of(ordering)),
                        looks.at(plan),
                        key(plan, chosen - 1),
                        key(plan, chosen + 1)));
    }

    private static Optional<StepKey> key(BuildPlan plan, int index) {
        return index < 0 || index >= plan.steps().size()
                ? Optional.empty()
                : Optional.of(plan.steps().get(index).operation().key());
    }

    /** What is told of a place while a step is dragged over it. */
    @GetMapping("/told")
    String told(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam String step,
            @RequestParam int to,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        show(bodies.current(maker.shop(), id), step, to, fig, model);
        return "order/weighed :: told";
    }

    private record DeeperView(Bodies.Current current, Ordering ordering, DeeperLooks.Look look, int base) {}

    /** Whether a cheaper order was found meanwhile. */
    @GetMapping("/deeper")
    String deeper(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        PageModel.put(
                model,
                new DeeperView(
                        current,
                        current.plan().schedule().ordering(),
                        looks.at(current.plan()),
                        current.revision().number()));
        model.addAttribute("here", current.here());
        return "order/deeper :: deeper";
    }

    /** Takes the cheaper order as the body's own. */
    @PostMapping("/deeper")
    String takeDeeper(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Optional<List<Operation>> found = looks.at(current.plan()).found().map(Ordering.Deeper::order);
        if (found.isEmpty()) {
            // The body is another than it was looked for, or it is taken already: the page shows how it stands.
            return "redirect:" + current.here() + "/weigh";
        }
        return keep(current, base, found, null, maker, fig, model, response);
    }

    private static String at(Bodies.Current current, StepKey step, Optional<Integer> to) {
        UriComponentsBuilder uri =
                UriComponentsBuilder.fromPath(current.here() + "/weigh").queryParam("step", step);
        to.ifPresent(place -> uri.queryParam("to", place));
        return uri.build().toUriString();
    }

    /** Puts one step elsewhere: all others stay, and the order is the maker's own from now on. */
    @PostMapping
    String move(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam String step,
            @RequestParam int to,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Ordering ordering = current.plan().schedule().ordering();
        Optional<PlanStep> moving = current.plan().step(step).filter(s -> !s.done());
        Optional<Move> move =
                moving.map(s -> Move.of(ordering, s.operation().key(), to)).filter(Move::holds);
        if (move.isEmpty()) {
            // Done meanwhile, or no place for it any more: the page tells why, nothing is kept.
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            show(current, step, to, fig, model);
            return "order/weigh";
        }
        return keep(current, base, Optional.of(move.get().order()), step, maker, fig, model, response);
    }

    /** Makes the order that the plan has now the maker's own, so that nothing moves it any more, or lets the plan order the steps again. */
    @PostMapping("/{whose:own|plan}")
    String whose(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @PathVariable String whose,
            @RequestParam int base,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Optional<List<Operation>> order = whose.equals("own")
                ? Optional.of(current.plan().schedule().ordering().operations())
                : Optional.empty();
        return keep(current, base, order, null, maker, fig, model, response);
    }

    /** Makes what this body's own order does first a rule of the shop, for all its bodies that have no order of their own. */
    @PostMapping("/rule")
    String rule(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam String first,
            @RequestParam String then,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        try {
            ways.keepRule(maker.shop(), first, then, maker.name());
        } catch (BuildFileException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            show(current, null, null, fig, model);
            model.addAttribute("meanwhile", refused.getMessage());
            return "order/weigh";
        } catch (Stale stale) {
            show(current, null, null, fig, model);
            ConflictNotice.tell(stale, Words.say("order-controller.the-rules-below-are-the-newest"), model, response);
            return "order/weigh";
        }
        return "redirect:" + current.here() + "/weigh?ruled";
    }

    private String keep(
            Bodies.Current current,
            int base,
            Optional<List<Operation>> order,
            String step,
            Maker maker,
            Figures fig,
            Model model,
            HttpServletResponse response) {
        ObjectNode file = DesignKeeping.file(current);
        ObjectNode design = file.withObject("/design");
        design.remove("order");
        order.ifPresent(steps -> {
            ArrayNode list = design.putArray("order");
            steps.forEach(o -> list.add(o.key().written()));
        });
        try {
            keeping.keep(current, base, file, maker.name());
        } catch (Stale stale) {
            show(current, step, null, fig, model);
            ConflictNotice.tell(stale, Words.say("order-controller.the-order-below-is-the-newest"), model, response);
            return "order/weigh";
        }
        UriComponentsBuilder back = UriComponentsBuilder.fromPath(current.here() + "/weigh");
        Optional.ofNullable(step).ifPresent(s -> back.queryParam("step", s));
        return "redirect:" + back.build().toUriString();
    }
}
