package ebauche.app.shielding;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.body.BodyStore;
import ebauche.app.web.NotHere;
import ebauche.app.web.PageModel;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.hardware.Jack;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shielding.Ground;
import ebauche.core.shielding.Roll;
import ebauche.core.shielding.Skin;
import ebauche.core.shielding.Suspects;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Shielding and ground: how much paint or foil, what must be one node, the meter's list and what a bad reading means. */
@Controller
@RequestMapping("/bodies/{id}/shielding")
class ShieldingController {
    private static final StepKey METER = StepKey.of(Jack.FEATURE, StepKind.METER);

    private final Bodies bodies;
    private final BodyStore store;
    private final Meter meter;
    private final Clock clock;

    ShieldingController(Bodies bodies, BodyStore store, Meter meter, Clock clock) {
        this.bodies = bodies;
        this.store = store;
        this.meter = meter;
        this.clock = clock;
    }

    /** One shielded space; its foil on the roll where it is foil. */
    public record Lined(Skin skin, Optional<Roll> roll, String drawing) {
        /** The body's address of the pieces at their size. */
        public String file(String here) {
            return here + "/shielding/roll.svg?shield=" + skin.shield().id();
        }
    }

    /**
     * A line of the meter's list.
     *
     * @param most ohms that are still good
     * @param judged whether what is typed is good; empty where nothing is, or it cannot be read
     */
    public record Line(
            String field, String from, String to, String how, double most, String typed, Optional<Boolean> judged) {}

    /** What the page shows. */
    private record ShieldingView(
            Bodies.Current current,
            BuildPlan plan,
            List<Lined> lined,
            Ground ground,
            List<Line> lines,
            Map<String, String> troubles,
            Suspects suspects,
            Optional<Line> next,
            boolean proved,
            long practice,
            String entryId,
            String drawing) {}

    @GetMapping
    String shielding(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(defaultValue = "0") long practice,
            @RequestParam Map<String, String> typed,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Ground ground = Ground.of(current.plan().build());
        // What was saved stands there until something else is typed; a practice is no reading of this body.
        boolean saved = practice == 0 && !MeterReadings.anyOf(typed);
        AsBuilt record = current.plan().build().asBuilt();
        return page(current, saved ? MeterReadings.logged(record, ground) : typed, practice, model);
    }

    private String page(Bodies.Current current, Map<String, String> typed, long practice, Model model) {
        BuildPlan plan = current.plan();
        Ground ground = Ground.of(plan.build());
        MeterReadings readings = MeterReadings.of(typed, ground);
        Suspects suspects = readings.suspects(ground);
        List<Line> lines = lines(ground, readings);
        Optional<Line> next = suspects.next(ground)
                .map(r -> line(ground, r.one(), r.other(), "", readings))
                .filter(l -> lines.stream().noneMatch(k -> k.field().equals(l.field())));
        boolean proved =
                !lines.isEmpty() && lines.stream().allMatch(l -> l.judged().orElse(false));
        PageModel.put(
                model,
                new ShieldingView(
                        current,
                        plan,
                        Skin.all(plan.build()).stream()
                                .map(ShieldingController::lined)
                                .toList(),
                        ground,
                        lines,
                        readings.troubles(),
                        suspects,
                        next,
                        proved,
                        practice,
                        UUID.randomUUID().toString(),
                        ShieldingDrawing.ground(plan, ground, suspects.bonds())));
        return "shielding/shielding";
    }

    /** Logs what was read, all of it or nothing; pressed twice it is logged once. */
    @PostMapping("/readings")
    String log(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam UUID entry,
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletResponse response) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        MeterReadings readings =
                MeterReadings.of(typed, Ground.of(current.plan().build()));
        if (!readings.troubles().isEmpty() || readings.ohms().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(current, typed, 0, model);
        }
        String at = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
        Optional<StepKey> step = current.plan().step(METER.written()).map(s -> METER);
        store.log(
                current.body(),
                readings.ohms().entrySet().stream()
                        .map(e -> new AsBuilt.Reading(
                                UUID.nameUUIDFromBytes((entry + e.getKey()).getBytes(StandardCharsets.UTF_8))
                                        .toString(),
                                at,
                                maker.name(),
                                step,
                                MeterReadings.measures(e.getKey()),
                                e.getValue()))
                        .toList());
        return "redirect:" + current.here() + "/shielding?saved";
    }

    private static Lined lined(Skin skin) {
        Optional<Roll> roll = skin.shield().by().isFoil() ? Optional.of(skin.foil()) : Optional.empty();
        return new Lined(
                skin, roll, roll.map(r -> ShieldingDrawing.roll(r, false)).orElse(""));
    }

    /** One reading a bond, and every other pair that is typed. */
    private static List<Line> lines(Ground ground, MeterReadings readings) {
        List<Line> lines = new ArrayList<>();
        Set<String> there = new LinkedHashSet<>();
        for (Ground.Bond bond : ground.readings()) {
            Line line = line(ground, bond.one(), bond.other(), bond.how(), readings);
            lines.add(line);
            there.add(line.field());
        }
        readings.typed().keySet().stream().filter(f -> !there.contains(f)).forEach(f -> {
            String[] pair = f.substring(f.indexOf('.') + 1).split("~", 2);
            lines.add(line(ground, pair[0], pair[1], "", readings));
        });
        return lines;
    }

    private static Line line(Ground ground, String one, String other, String how, MeterReadings readings) {
        String field = MeterReadings.field(one, other);
        Optional<Boolean> judged = readings.reads().stream()
                .filter(r -> r.one().equals(one) && r.other().equals(other))
                .map(Suspects.Read::good)
                .findFirst();
        return new Line(
                field,
                ground.said(one),
                ground.said(other),
                how,
                ground.most(one, other),
                readings.typed().getOrDefault(field, ""),
                judged);
    }

    /** What the meter's stand-in shows between two nodes. */
    @GetMapping(value = "/meter", produces = MediaType.TEXT_PLAIN_VALUE)
    @ResponseBody
    String meter(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(defaultValue = "0") long practice,
            @RequestParam String field) {
        Ground ground = Ground.of(bodies.current(maker.shop(), id).plan().build());
        String[] pair = field.substring(field.indexOf('.') + 1).split("~", 2);
        if (pair.length != 2 || !ground.has(pair[0]) || !ground.has(pair[1])) {
            throw new NotHere();
        }
        return meter.read(ground, pair[0], pair[1], practice);
    }

    /** The pieces of foil on their roll, in millimetres, to cut by. */
    @GetMapping("/roll.svg")
    ResponseEntity<byte[]> roll(
            @AuthenticationPrincipal Maker maker, @PathVariable String id, @RequestParam String shield) {
        Bodies.Current current = bodies.current(maker.shop(), id);
        Skin skin = Skin.all(current.plan().build()).stream()
                .filter(s -> s.shield().id().equals(shield) && s.shield().by().isFoil())
                .findFirst()
                .orElseThrow(NotHere::new);
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("image/svg+xml"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("foil-" + shield + ".svg")
                                .build()
                                .toString())
                .body(ShieldingDrawing.roll(skin.foil(), true).getBytes(StandardCharsets.UTF_8));
    }
}
