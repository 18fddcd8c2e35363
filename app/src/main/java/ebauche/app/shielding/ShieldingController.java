package ebauche.app.shielding;

import ebauche.app.account.Maker;
import ebauche.app.body.Bodies;
import ebauche.app.web.NotHere;
import ebauche.app.web.PageModel;
import ebauche.core.plan.BuildPlan;
import ebauche.core.shielding.Ground;
import ebauche.core.shielding.Roll;
import ebauche.core.shielding.Skin;
import ebauche.core.shielding.Suspects;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Shielding and ground: how much paint or foil, what must be one node, the meter's list and what a bad reading means. */
@Controller
@RequestMapping("/bodies/{id}/shielding")
class ShieldingController {
    private final Bodies bodies;
    private final Meter meter;

    ShieldingController(Bodies bodies, Meter meter) {
        this.bodies = bodies;
        this.meter = meter;
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
            String drawing) {}

    @GetMapping
    String shielding(
            @AuthenticationPrincipal Maker maker,
            @PathVariable String id,
            @RequestParam(defaultValue = "0") long practice,
            @RequestParam Map<String, String> typed,
            Model model) {
        Bodies.Current current = bodies.current(maker.shop(), id);
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
                        ShieldingDrawing.ground(plan, ground, suspects.bonds())));
        return "shielding/shielding";
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
