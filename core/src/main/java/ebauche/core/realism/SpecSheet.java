package ebauche.core.realism;

import ebauche.core.balance.Balance;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.NeckJoint;
import ebauche.core.design.Plates;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Part;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Quantity;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.StillOpen;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A body on one page, to show to whoever ordered it or to an older hand before wood is cut: what it will be, and everything that ought
 * to give a reader pause.
 *
 * @param lines what it will be, in the order of a talk about it
 * @param flags what is found against it, the worst first, without what is only good to know
 * @param notHere kinds of step that this shop can do in no way
 * @param open what is not decided, the first to close first
 * @param unmeasured bought parts that nobody measured while their wood can still be cut to them
 * @param unsettled what waits for a yes, and mistakes that are not made good
 */
public record SpecSheet(
        List<Line> lines,
        List<Finding> flags,
        List<ToolChoice> notHere,
        List<StillOpen> open,
        List<String> unmeasured,
        List<AsBuilt.Entry> unsettled) {

    /**
     * One thing about it.
     *
     * @param what it is about
     * @param text a template like a finding's: {@code {0}}, {@code {1}}... stand for the numbers
     * @param byTape the names of those numbers that nobody wants finer than a tape shows
     */
    public record Line(String what, String text, List<Finding.Value> numbers, Set<String> byTape) {
        public Line {
            numbers = List.copyOf(numbers);
            byTape = Set.copyOf(byTape);
        }

        Line(String what, String text, List<Finding.Value> numbers) {
            this(what, text, numbers, Set.of());
        }

        /** With its numbers written by {@code writer}. */
        public String says(Function<Finding.Value, String> writer) {
            return Finding.filled(text, numbers, writer);
        }
    }

    public SpecSheet {
        lines = List.copyOf(lines);
        flags = List.copyOf(flags);
        notHere = List.copyOf(notHere);
        open = List.copyOf(open);
        unmeasured = List.copyOf(unmeasured);
        unsettled = List.copyOf(unsettled);
    }

    public static SpecSheet of(BuildPlan plan) {
        Realism realism = Realism.of(plan);
        return new SpecSheet(
                lines(plan),
                Stream.concat(
                                plan.findings().stream(),
                                Balance.of(plan).rules().stream().flatMap(r -> r.finding().stream()))
                        .filter(f -> f.severity() != Finding.Severity.GOOD_TO_KNOW)
                        .toList(),
                realism.ways().stream()
                        .filter(w -> w.how() == ToolChoice.How.NOT_HERE)
                        .toList(),
                plan.stillOpen(),
                realism.unmeasured(),
                plan.build().asBuilt().unsettled());
    }

    /** Whether nothing on it ought to give anybody pause. */
    public boolean isClear() {
        return flags.isEmpty() && notHere.isEmpty() && open.isEmpty() && unmeasured.isEmpty() && unsettled.isEmpty();
    }

    private static List<Line> lines(BuildPlan plan) {
        BodyDesign d = plan.build().design();
        Region outline = d.outline().region();
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(
                "Body",
                "{0} thick, {1} long, {2} wide, about {3} of wood when it is done",
                List.of(
                        length("thickness", d.thickness()),
                        length("length", outline.maxY() - outline.minY()),
                        length("width", outline.maxX() - outline.minX()),
                        new Finding.Value(
                                "wood", plan.history().finished().balance().grams(), Quantity.MASS)),
                Set.of("length", "width")));
        lines.add(new Line("Wood", wood(d), List.of()));
        lines.add(hangs(Balance.of(plan)));
        lines.add(new Line(
                "Strings",
                d.strings().count() + ", " + d.hand().word()
                        + "-handed, {0} scale, {1} from outer to outer at the saddles, "
                        + "{2} over fret 12 on the treble side and {3} on the bass side",
                List.of(
                        length("scale", d.scale()),
                        length("spread", d.strings().spread()),
                        length("action, treble", d.strings().actionTreble()),
                        length("action, bass", d.strings().actionBass()))));
        lines.add(neck(d.neck()));
        lines.add(bridge(d.bridge()));
        lines.add(new Line(
                "Pickups",
                d.pickups().isEmpty()
                        ? "none"
                        : d.pickups().stream()
                                .map(p -> p.feature().part()
                                        + named(p.part().map(Part::name).orElse("")))
                                .collect(Collectors.joining("; ")),
                List.of()));
        lines.add(new Line("Controls", controls(d), List.of()));
        lines.add(carved(d));
        return lines;
    }

    private static Line hangs(Balance balance) {
        Finding.Value grams = new Finding.Value("guitar", balance.guitar().grams(), Quantity.MASS);
        return balance.range()
                .map(r -> new Line(
                        "On a strap",
                        "about {0} with neck and hardware; its neck stays by itself up to {1} over level",
                        List.of(grams, new Finding.Value("neck", r.most(), Quantity.ANGLE))))
                .orElseGet(() -> new Line("On a strap", "about {0} with neck and hardware", List.of(grams)));
    }

    private static Finding.Value length(String name, double mm) {
        return new Finding.Value(name, mm, Quantity.LENGTH);
    }

    private static String named(String part) {
        return part.isEmpty() ? "" : ", " + part;
    }

    private static String wood(BodyDesign d) {
        int pieces = d.blank().pieces();
        return (pieces == 1 ? "one piece of " : pieces + " pieces of ")
                + d.blank().core().words()
                + d.blank().top().map(t -> ", a top of " + t.words()).orElse("")
                + sawn(d.blank().sawn());
    }

    private static String sawn(Plates sawn) {
        if (sawn.isNone()) {
            return "";
        }
        String plates = sawn.front() == 0 ? "back" : sawn.back() == 0 ? "front" : "front and back";
        return ", " + plates + " sawn off it and glued back";
    }

    private static Line neck(NeckJoint neck) {
        String held = neck.kind() == NeckJoint.Kind.SET
                ? "glued in"
                : neck.screws().isEmpty()
                        ? "bolted on"
                        : "bolted on with " + neck.screws().size() + " screws";
        String tilt = neck.angle() == 0 ? "no tilt" : neck.angle() > 0 ? "tilted back {0}" : "tilted forward {0}";
        return new Line(
                "Neck",
                held + ", " + tilt,
                List.of(new Finding.Value("angle", Math.abs(neck.angle()), Quantity.ANGLE)));
    }

    private static Line bridge(Bridge bridge) {
        StringBuilder text = new StringBuilder(bridge.name());
        if (bridge.recess() > 0) {
            text.append(", let {0} into the front");
        }
        bridge.vibrato().ifPresent(v -> text.append(", its springs in the back"));
        bridge.stringThrough().ifPresent(s -> text.append(", strings through the body"));
        return new Line("Bridge", text.toString(), List.of(length("recess", bridge.recess())));
    }

    private static String controls(BodyDesign d) {
        List<String> all = new ArrayList<>();
        d.controls()
                .forEach(c -> all.add(
                        c.feature().part() + named(c.part().map(Part::name).orElse(""))));
        for (Cavity cavity : d.cavities()) {
            all.add(cavity.feature().said() + " from the " + cavity.face().word());
        }
        d.jack().ifPresent(j -> all.add("jack in the edge"));
        d.jackDish().ifPresent(c -> all.add("jack in a dish on the front"));
        return all.isEmpty() ? "none" : String.join("; ", all);
    }

    private static Line carved(BodyDesign d) {
        if (d.contours().isEmpty()) {
            return new Line("Carved", "nothing: front and back stay flat", List.of());
        }
        List<Finding.Value> depths = new ArrayList<>();
        List<String> all = new ArrayList<>();
        d.contours().forEach(c -> {
            all.add(c.feature().said() + " in the " + c.face().word() + ", {" + depths.size() + "} at its deepest");
            depths.add(length("depth", c.depth()));
        });
        return new Line("Carved", String.join("; ", all), depths);
    }
}
