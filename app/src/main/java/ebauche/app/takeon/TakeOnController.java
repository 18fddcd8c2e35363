package ebauche.app.takeon;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.box.Box;
import ebauche.app.reading.Readings;
import ebauche.app.ways.Ways;
import ebauche.app.ways.WaysStore;
import ebauche.app.web.Figures;
import ebauche.app.web.PageModel;
import ebauche.app.web.PublicIds;
import ebauche.app.words.Words;
import ebauche.core.design.EndsAs;
import ebauche.core.geometry.PathData;
import ebauche.core.hardware.PartKind;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.AsItCame;
import ebauche.core.plan.Planner;
import ebauche.core.plan.Schedule;
import ebauche.core.plan.StillOpen;
import ebauche.core.takeon.Laid;
import ebauche.core.takeon.PickupPlace;
import ebauche.core.takeon.PlainOutline;
import ebauche.core.timber.Species;
import ebauche.exchange.drawn.DrawnFile;
import ebauche.exchange.drawn.DrawnFileException;
import ebauche.exchange.drawn.NeckPoints;
import ebauche.exchange.takeon.Answers;
import ebauche.exchange.takeon.TakenOn;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.node.ObjectNode;

/** A new body from what lies on the bench: every answer is drawn as it is given, and the last button takes the body on. */
@Controller
@RequestMapping("/bodies/take-on")
class TakeOnController {
    /** Fields that say what a body has already are called so, and by its word. */
    private static final String HAS = "has-";

    /** Fields of the form that answer nothing. */
    private static final Set<String> OF_THE_FORM = Set.of("entry", "_csrf");

    private static final int LAID_KEPT = 20;

    private final BodyStore store;
    private final WaysStore ways;
    private final Readings readings;
    private final Cache<Question, Drawn> laid =
            Caffeine.newBuilder().maximumSize(LAID_KEPT).build();

    TakeOnController(BodyStore store, WaysStore ways, Readings readings) {
        this.store = store;
        this.ways = ways;
        this.readings = readings;
    }

    /** One of ours, to pick it by. */
    public record Shape(String key, String drawing) {
        public String words() {
            return Words.say("plain-outline." + key);
        }

        static final List<Shape> ALL = Arrays.stream(PlainOutline.values())
                .map(o -> new Shape(o.key(), TakeOnDrawing.shape(o.sample())))
                .toList();
    }

    /** What a body may have already. */
    public record Already(String word, String words) {
        static List<Already> all() {
            return Arrays.stream(AsItCame.Has.values())
                    .map(h -> new Already(h.word(), Words.say("already." + h.word())))
                    .toList();
        }
    }

    /** What the page asks. */
    private record Asked(
            Map<String, String> typed,
            String entry,
            List<Shape> shapes,
            List<Box.InBox> bridges,
            List<Box.InBox> coils,
            List<Box.InBox> pots,
            List<Box.InBox> switches,
            List<Box.InBox> jacks,
            List<PickupPlace> places,
            List<Species> timbers,
            List<EndsAs> ends,
            List<Already> has,
            List<NeckPoints> necks) {}

    /** What it answers. */
    private record Answered(
            String drawing,
            Map<String, List<Laid>> said,
            Map<String, String> troubles,
            List<StillOpen> open,
            boolean holds,
            int steps,
            int minutes) {}

    @GetMapping
    String form(
            @AuthenticationPrincipal Maker maker,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        answer(laid(maker, typed, fig), false, model);
        ask(typed, PublicIds.next(), ways.of(maker.shop()), model);
        return "takeon/take-on";
    }

    /** As it is laid out with what is answered so far: the drawing, and what is said of each answer. */
    @PostMapping("/drawn")
    String drawn(
            @AuthenticationPrincipal Maker maker,
            @RequestParam Map<String, String> typed,
            @ModelAttribute("fig") Figures fig,
            Model model) {
        answer(laid(maker, typed, fig), false, model);
        model.addAttribute("swapped", true);
        return "takeon/take-on :: laid";
    }

    /** A drawing brought in: its largest closed line, to be laid down as the page's fields say. One that cannot be read changes nothing. */
    @PostMapping("/drawing")
    String drawing(
            @RequestParam("drawing") MultipartFile drawing,
            @RequestParam Map<String, String> before,
            Model model,
            HttpServletResponse response)
            throws IOException {
        model.addAttribute("necks", NeckPoints.values());
        Map<String, String> typed = new HashMap<>(before);
        model.addAttribute("typed", typed);
        try {
            DrawnFile drawn = DrawnFile.read(drawing.getBytes());
            String path = PathData.write(drawn.shapes().get(0).segments(), 7);
            if (path.length() > PathData.MOST_CHARACTERS) {
                throw new DrawnFileException(Words.say("take-on.its-line-is-too-long"));
            }
            List<String> notes = new ArrayList<>(drawn.notes());
            if (drawn.shapes().size() > 1) {
                notes.add(Words.say(
                        "take-on.the-largest-of-its-lines", drawn.shapes().size()));
            }
            if (drawn.millimetresPerUnit().isEmpty()) {
                notes.add(Words.say("take-on.it-does-not-say-its-unit"));
            }
            typed.put("path", path);
            typed.put("perUnit", Double.toString(drawn.millimetresPerUnit().orElse(1)));
            model.addAttribute("notes", notes);
        } catch (DrawnFileException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("notes", List.of(e.getMessage()));
        }
        model.addAttribute("readNow", true);
        return "takeon/take-on :: own-line";
    }

    /** Takes the body on, with its plan; what it has already is recorded as done. */
    @PostMapping
    String take(
            @AuthenticationPrincipal Maker maker,
            @RequestParam Map<String, String> typed,
            @RequestParam String entry,
            @ModelAttribute("fig") Figures fig,
            Model model,
            HttpServletResponse response) {
        Ways shop = ways.of(maker.shop());
        TakenOn taken = layOut(typed, shop, fig);
        if (!taken.holds()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            answer(Drawn.of(taken), true, model);
            ask(typed, entry, shop, model);
            return "takeon/take-on";
        }
        AsBuilt record = came(taken.build().orElseThrow(), typed, maker);
        Body body = store.addOnce(maker.shop(), entry, taken.file().orElseThrow(), record, maker.name());
        return "redirect:/bodies/" + body.publicId();
    }

    private AsBuilt came(Build build, Map<String, String> typed, Maker maker) {
        Set<AsItCame.Has> has = Arrays.stream(AsItCame.Has.values())
                .filter(h -> typed.containsKey(HAS + h.word()))
                .collect(Collectors.toSet());
        if (has.isEmpty()) {
            return AsBuilt.NOTHING_YET;
        }
        return new AsBuilt(AsItCame.record(
                Planner.plan(build),
                has,
                () -> UUID.randomUUID().toString(),
                readings.now(),
                maker.name(),
                title -> Words.say("take-on.as-it-came", title)));
    }

    private record Question(long shop, Ways.State ways, Map<String, String> typed, Figures fig) {}

    /** What is answered once is laid out once: the page's first answers, and those that a hand goes back to. */
    private Drawn laid(Maker maker, Map<String, String> typed, Figures fig) {
        Ways shop = ways.of(maker.shop());
        Map<String, String> answers = new HashMap<>(typed);
        answers.keySet().removeAll(OF_THE_FORM);
        return laid.get(
                new Question(maker.shop(), shop.state(), answers, fig),
                asked -> Drawn.of(layOut(asked.typed(), shop, fig)));
    }

    /** As it is laid out, with its order and its drawing. */
    private record Drawn(TakenOn taken, Optional<Schedule> schedule, String drawing) {
        static Drawn of(TakenOn taken) {
            return new Drawn(
                    taken,
                    taken.build().map(Planner::schedule),
                    taken.build().map(TakeOnDrawing::of).orElse(""));
        }
    }

    private static TakenOn layOut(Map<String, String> typed, Ways shop, Figures fig) {
        Box box = Box.of(shop);
        Answers answers = new Answers(typed, fig.unit(), key -> box.find(key).map(Box.InBox::part));
        Function<ObjectNode, Build> reads = file -> Bodies.build(file, shop, AsBuilt.NOTHING_YET);
        return TakenOn.of(answers, shop.means().shop(), reads);
    }

    /** Until it is taken on, a name that is not there yet is no trouble. */
    private static void answer(Drawn drawn, boolean inEarnest, Model model) {
        TakenOn taken = drawn.taken();
        Optional<Schedule> schedule = drawn.schedule();
        Map<String, String> troubles = new LinkedHashMap<>(taken.troubles());
        if (!inEarnest) {
            troubles.remove("name");
        }
        Map<String, List<Laid>> said = taken.said().stream()
                .collect(Collectors.groupingBy(l -> l.about().word(), LinkedHashMap::new, Collectors.toList()));
        PageModel.put(
                model,
                new Answered(
                        drawn.drawing(),
                        said,
                        troubles,
                        schedule.map(s -> s.stillOpen()).orElse(List.of()),
                        taken.said().stream().noneMatch(l -> l.kind() == Laid.Kind.CANNOT),
                        schedule.map(s -> s.steps().size()).orElse(0),
                        schedule.map(s -> s.totalMinutes()).orElse(0)));
    }

    private static void ask(Map<String, String> typed, String entry, Ways shop, Model model) {
        Box box = Box.of(shop);
        List<Box.InBox> controls = box.insteadOf(PartKind.POT);
        List<Box.InBox> jacks = new ArrayList<>(box.of(PartKind.JACK));
        jacks.addAll(box.of(PartKind.JACK_DISH));
        PageModel.put(
                model,
                new Asked(
                        typed,
                        entry,
                        Shape.ALL,
                        box.insteadOf(PartKind.FLAT_BRIDGE),
                        box.of(PartKind.PICKUP),
                        box.of(PartKind.POT),
                        controls.stream()
                                .filter(p -> p.part().kind() != PartKind.POT)
                                .toList(),
                        jacks,
                        List.of(PickupPlace.values()),
                        shop.timbers().all(),
                        List.of(EndsAs.values()),
                        Already.all(),
                        List.of(NeckPoints.values())));
    }
}
