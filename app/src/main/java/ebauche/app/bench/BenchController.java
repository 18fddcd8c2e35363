package ebauche.app.bench;

import ebauche.app.account.Maker;
import ebauche.app.blank.CutSheets;
import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.body.Resting;
import ebauche.app.body.StepInHand;
import ebauche.app.reading.DepthGauge;
import ebauche.app.reading.KeptAt;
import ebauche.app.reading.Readings;
import ebauche.app.timers.TimerStore;
import ebauche.app.web.Figures;
import ebauche.app.web.NotHere;
import ebauche.app.web.PageModel;
import ebauche.app.words.Words;
import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Quantity;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.BuildPlan.PlanStep;
import ebauche.core.plan.Planner;
import ebauche.core.plan.Schedule;
import ebauche.core.sheet.Moved;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.util.UriComponentsBuilder;

/** One step at the bench: its figure, the reading, done, went wrong. */
@Controller
@RequestMapping("/bodies/{id}")
class BenchController {
    private static final int MOST_WORDS = 2000;
    private static final int MOST_NAME = 80;

    private final Bodies bodies;
    private final BodyStore store;
    /** Steps that cut a blank out of boards: those are drawn, not the body. */
    private static final Set<StepKind> CUTTING_OUT = Set.of(StepKind.CUT, StepKind.PIECES);

    private final CutSheets sheets;
    private final DepthGauge gauge;
    private final Readings readings;
    private final Clock clock;
    private final TimerStore timers;

    BenchController(
            Bodies bodies,
            BodyStore store,
            CutSheets sheets,
            DepthGauge gauge,
            Readings readings,
            Clock clock,
            TimerStore timers) {
        this.timers = timers;
        this.sheets = sheets;
        this.clock = clock;
        this.bodies = bodies;
        this.store = store;
        this.gauge = gauge;
        this.readings = readings;
    }

    @GetMapping("/bench")
    String bench(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(required = false) String step,
            @RequestParam(required = false) String logged,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        if (logged != null) {
            acknowledge(current, logged, model);
        }
        show(current, step, fig, model);
        return "bench/bench";
    }

    /** What the bench adds to a step in hand. */
    private record BenchView(
            int index,
            List<String> pictures,
            Map<String, Measurand> measurands,
            List<AsBuilt.Reading> readings,
            String entryId,
            List<Schedule.Rest> waits,
            Optional<AsBuilt.Asked> awaited,
            List<Operation> lost,
            StepKey before,
            StepKey after) {}

    private void show(Bodies.Current current, String key, Figures fig, Model model) {
        BuildPlan plan = current.plan();
        PlanStep step = StepInHand.chosen(plan, key);
        int index = plan.indexOf(step);
        StepInHand inHand = StepInHand.of(current, step);
        PageModel.put(model, inHand);
        PageModel.put(
                model,
                new BenchView(
                        index,
                        CUTTING_OUT.contains(step.operation().key().kind())
                                ? sheets.atBench(current, fig)
                                : List.of(PassDrawing.of(plan, index, inHand.marking())),
                        measurands(step),
                        readings(plan, step),
                        UUID.randomUUID().toString(),
                        Resting.before(plan, step, clock.instant()),
                        plan.build().asBuilt().awaited(step.operation().key()),
                        step.done() ? List.of() : plan.lostWith(step),
                        index == 0
                                ? null
                                : plan.steps().get(index - 1).operation().key(),
                        index + 1 == plan.steps().size()
                                ? null
                                : plan.steps().get(index + 1).operation().key()));
        if (!model.containsAttribute("typed")) {
            model.addAttribute("typed", "");
        }
        if (!model.containsAttribute("picked")) {
            unread(plan, step).ifPresent(m -> model.addAttribute("picked", m.key()));
        }
    }

    /** What is to be measured here next: of the step's inspections the first that nobody read yet. */
    private static Optional<Measurand> unread(BuildPlan plan, PlanStep step) {
        Set<Measurand> read =
                readings(plan, step).stream().map(AsBuilt.Reading::measures).collect(Collectors.toSet());
        return step.operation().inspections().stream()
                .map(Inspection::measurand)
                .filter(m -> !read.contains(m))
                .findFirst();
    }

    /** What was just logged and what moved by it. */
    private void acknowledge(Bodies.Current current, String id, Model model) {
        List<AsBuilt.Entry> timeline = current.plan().build().asBuilt().timeline();
        timeline.stream().filter(e -> e.id().equals(id)).findFirst().ifPresent(entry -> {
            model.addAttribute("logged", entry);
            if (entry instanceof AsBuilt.Reading r && timeline.get(timeline.size() - 1) == entry) {
                AsBuilt without = new AsBuilt(timeline.subList(0, timeline.size() - 1));
                BuildPlan earlier = Planner.plan(Bodies.build(current.revision().file(), current.ways(), without));
                model.addAttribute("moved", Moved.between(earlier, current.plan()));
                r.operation()
                        .flatMap(earlier::step)
                        .flatMap(s -> s.operation().inspections().stream()
                                .filter(i -> i.measurand().equals(r.measures()))
                                .findFirst())
                        .ifPresent(i -> model.addAttribute("judged", i));
            }
        });
    }

    /** What can be measured here: the step's own inspections first. */
    private static Map<String, Measurand> measurands(PlanStep step) {
        Map<String, Measurand> out = new LinkedHashMap<>();
        step.operation().inspections().forEach(i -> out.put(i.measurand().key(), i.measurand()));
        List<Measurand> others = new ArrayList<>(List.of(
                new Measurand.SandedOff(Face.FRONT),
                new Measurand.SandedOff(Face.BACK),
                new Measurand.DepthOf(NeckJoint.FEATURE)));
        others.addAll(List.of(Dimension.values()));
        others.forEach(m -> out.putIfAbsent(m.key(), m));
        return out;
    }

    private static List<AsBuilt.Reading> readings(BuildPlan plan, PlanStep step) {
        return plan.build().asBuilt().standing().stream()
                .filter(e -> e instanceof AsBuilt.Reading r
                        && r.isAt(step.operation().key()))
                .map(AsBuilt.Reading.class::cast)
                .toList();
    }

    @PostMapping("/readings")
    String reading(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam("entry") UUID entry,
            @RequestParam String measures,
            @RequestParam String value,
            @RequestParam String step,
            @RequestParam(defaultValue = "") String first,
            KeptAt kept,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        AsBuilt.Reading reading;
        try {
            reading = readings.read(current, maker, entry, measures, value, step, first, fig);
        } catch (Readings.AskAgain again) {
            model.addAttribute("first", again.first());
            return refused(current, step, "", measures, again.getMessage(), fig, model, response);
        } catch (IllegalArgumentException e) {
            return refused(current, step, value, measures, e.getMessage(), fig, model, response);
        }
        store.log(current.body(), reading.readAt(kept.written(clock)));
        return "redirect:" + bench(id, step, entry.toString());
    }

    private String refused(
            Bodies.Current current,
            String step,
            String value,
            String measures,
            String why,
            Figures fig,
            Model model,
            HttpServletResponse response) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("trouble", why);
        model.addAttribute("typed", value.length() > 60 ? "" : value);
        model.addAttribute("picked", measures);
        show(current, step, fig, model);
        return "bench/bench";
    }

    @PostMapping("/done")
    String done(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam("entry") UUID entry,
            @RequestParam String step,
            @RequestParam MultiValueMap<String, String> typed,
            KeptAt kept,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        PlanStep done = current.plan().step(step).orElseThrow(NotHere::new);
        Set<String> ticked = Set.copyOf(typed.getOrDefault("tick", List.of()));
        Optional<String> tooEarly = done.done() ? Optional.empty() : tooEarly(current.plan(), done, ticked);
        if (tooEarly.isPresent()) {
            model.addAttribute("ticked", ticked);
            return refused(current, step, "", "", tooEarly.get(), fig, model, response);
        }
        if (store.logOnce(current.body(), done.asDone(entry.toString(), kept.written(clock), maker.name()))) {
            Resting.after(current.plan(), done)
                    .ifPresent(rest -> timers.set(
                            maker.shop(),
                            entry,
                            Optional.of(current.body()),
                            Words.say(
                                    "timers.rests",
                                    current.name(),
                                    done.operation().title()),
                            kept.when(clock).plus(rest),
                            maker.name()));
        }
        String next = bodies.current(current.body())
                .plan()
                .next()
                .map(s -> s.operation().key().written())
                .orElse(step);
        return "redirect:" + bench(id, next, entry.toString());
    }

    /** Why a step cannot be called done yet: it closes over what is still to be done, or something was not looked at. */
    private static Optional<String> tooEarly(BuildPlan plan, PlanStep step, Set<String> ticked) {
        List<Operation> lost = plan.lostWith(step);
        if (!lost.isEmpty()) {
            String first = lost.get(0).title();
            return Optional.of(Words.say("bench-controller.closes-too-early", first, lost.size() - 1));
        }
        return ticked.containsAll(step.operation().ticks())
                ? Optional.empty()
                : Optional.of(Words.say("bench-controller.tick-each-first"));
    }

    @PostMapping("/mishaps")
    String mishap(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam("entry") UUID entry,
            @RequestParam String step,
            @RequestParam String what,
            @RequestParam(defaultValue = "") String minutes,
            @RequestParam(defaultValue = "false") boolean open,
            KeptAt kept,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        if (what.isBlank() || what.length() > MOST_WORDS) {
            return refused(
                    current,
                    step,
                    "",
                    "",
                    Words.say("bench-controller.say-in-a-few-words-what", MOST_WORDS),
                    fig,
                    model,
                    response);
        }
        StepKey at = current.plan().step(step).map(s -> s.operation().key()).orElseThrow(NotHere::new);
        OptionalInt cost = cost(minutes);
        if (cost.isEmpty()) {
            return refused(
                    current,
                    step,
                    "",
                    "",
                    Words.say("bench-controller.what-it-cost-is-a-number", AsBuilt.MOST_MINUTES),
                    fig,
                    model,
                    response);
        }
        store.log(
                current.body(),
                new AsBuilt.Mishap(
                        entry.toString(),
                        kept.written(clock),
                        maker.name(),
                        Optional.of(at),
                        what.strip(),
                        cost.getAsInt(),
                        open));
        return "redirect:" + bench(id, step, entry.toString());
    }

    /** Minutes as typed; nothing typed is none. */
    private static OptionalInt cost(String minutes) {
        String typed = minutes.strip();
        if (typed.isEmpty()) {
            return OptionalInt.of(0);
        }
        if (!typed.matches("\\d{1,5}")) {
            return OptionalInt.empty();
        }
        int value = Integer.parseInt(typed);
        return value <= AsBuilt.MOST_MINUTES ? OptionalInt.of(value) : OptionalInt.empty();
    }

    /** The step waits for somebody's yes. */
    @PostMapping("/asked")
    String ask(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam("entry") UUID entry,
            @RequestParam String step,
            @RequestParam String whom,
            KeptAt kept,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        if (whom.isBlank() || whom.length() > MOST_NAME) {
            return refused(
                    current,
                    step,
                    "",
                    "",
                    Words.say("bench-controller.say-whose-yes-it-waits-for", MOST_NAME),
                    fig,
                    model,
                    response);
        }
        StepKey at = current.plan().step(step).map(s -> s.operation().key()).orElseThrow(NotHere::new);
        store.log(
                current.body(),
                new AsBuilt.Asked(entry.toString(), kept.written(clock), maker.name(), at, whom.strip()));
        return "redirect:" + bench(id, step, entry.toString());
    }

    /** The simulated gauge: what it shows for the wood as the plan has it. */
    @GetMapping(value = "/gauge", produces = MediaType.TEXT_PLAIN_VALUE)
    @ResponseBody
    String gauge(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam String step,
            @RequestParam String measures,
            @ModelAttribute("fig") Figures fig) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Inspection inspection = current.plan().step(step).stream()
                .flatMap(s -> s.operation().inspections().stream())
                .filter(i ->
                        i.measurand().key().equals(measures) && i.measurand().quantity() == Quantity.LENGTH)
                .findFirst()
                .orElseThrow(NotHere::new);
        long seed = current.body().id() * 1_000_003
                + current.plan().build().asBuilt().timeline().size();
        return gauge.read(inspection.expected().value(), seed, fig.unit());
    }

    private static String bench(String id, String step, String logged) {
        return UriComponentsBuilder.fromPath("/bodies/{id}/bench")
                .queryParam("step", "{step}")
                .queryParam("logged", "{logged}")
                .encode()
                .buildAndExpand(id, step, logged)
                .toUriString();
    }
}
