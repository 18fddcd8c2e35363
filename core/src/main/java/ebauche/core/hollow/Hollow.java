package ebauche.core.hollow;

import ebauche.core.design.Blank;
import ebauche.core.design.BodyDesign;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Channel;
import ebauche.core.job.Build;
import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * The largest hollow that a body allows: its outline inset by the wall, less all that must stay, as far as the bit comes into its corners;
 * or round holes in rows inside it.
 *
 * @param asked what the maker wants of it
 * @param keepOuts what stays standing, and why
 * @param parts the hollow itself, the largest part first
 */
public record Hollow(Build build, Asked asked, List<KeepOut> keepOuts, List<Region> parts) {
    /** A part of less area is not worth a setting of the router, mm². */
    private static final double LEAST = 400;

    /** Wood between two round holes, mm: common practice. */
    private static final double WEB = 6;

    /** Drawn into a design its line is off by no more, mm. */
    private static final double DRAWN = 0.02;

    /** The wall is solved for so closely, g. */
    private static final double CLOSE = 0.5;

    private static final int HALVINGS = 40;

    /**
     * What is wanted.
     *
     * @param wall wood to the edge and between the hollow and all else that is cut, mm
     * @param centre width of the block that stays along the middle, mm; nought for none
     * @param cap wood over it, mm
     * @param floor wood under it, mm
     * @param bit that routs it, mm: its corners are no sharper
     * @param round diameter of round holes, mm; empty for one large hollow
     * @param number how many round holes at the most; empty for all that fit
     * @param margins wood that stays round a feature where it is not the usual, mm
     * @param edge how far in a round-over, bevel or binding will come that the design does not have yet, mm; nought for none
     * @param from the face that it is cut from: the front under its top, or the back under plates; cap is what closes it, floor the wood that stays
     */
    public record Asked(
            double wall,
            double centre,
            double cap,
            double floor,
            double bit,
            Optional<Double> round,
            Optional<Integer> number,
            Map<Feature, Double> margins,
            double edge,
            Face from) {
        /** Common practice. */
        public static final Asked USUAL = new Asked(16, 90, 6, 8, 12.7, Optional.empty());

        public Asked {
            Refusal.between(wall, 1, 200, "wall");
            Refusal.between(centre, 0, 400, "centre");
            Refusal.between(cap, 1, 60, "cap");
            Refusal.between(floor, 1, 60, "floor");
            Refusal.between(bit, 3, 60, "bit");
            Refusal.between(edge, 0, 60, "edge");
            round.ifPresent(r -> Refusal.between(r, 8, 120, "round"));
            number.ifPresent(n -> Refusal.between(n, 1, Chamber.MOST_PARTS, "number"));
            margins = Map.copyOf(margins);
            margins.forEach((f, m) -> Refusal.between(m, -100, 100, "margin-" + f.word()));
        }

        /** One with the usual margins and as many holes as fit. */
        public Asked(double wall, double centre, double cap, double floor, double bit, Optional<Double> round) {
            this(wall, centre, cap, floor, bit, round, Optional.empty(), Map.of(), 0, Face.FRONT);
        }

        /** The same under another cap. */
        public Asked capped(double other) {
            return new Asked(wall, centre, other, floor, bit, round, number, margins, edge, from);
        }

        Asked walled(double other) {
            return new Asked(other, centre, cap, floor, bit, round, number, margins, edge, from);
        }

        /** The same over another floor. */
        public Asked floored(double other) {
            return new Asked(wall, centre, cap, other, bit, round, number, margins, edge, from);
        }

        Asked numbered(int other) {
            return numbered(Optional.of(other));
        }

        private Asked numbered(Optional<Integer> other) {
            return new Asked(wall, centre, cap, floor, bit, round, other, margins, edge, from);
        }

        /** The same with another margin round a feature. */
        public Asked keeping(Feature feature, double margin) {
            Map<Feature, Double> all = new HashMap<>(margins);
            all.put(feature, margin);
            return new Asked(wall, centre, cap, floor, bit, round, number, all, edge, from);
        }

        /** The same with an edge to come. */
        public Asked edged(double other) {
            return new Asked(wall, centre, cap, floor, bit, round, number, margins, other, from);
        }

        /** The same cut from another face. */
        public Asked cutFrom(Face other) {
            return new Asked(wall, centre, cap, floor, bit, round, number, margins, edge, other);
        }

        /** Wood between the hollow and the finished front. */
        private double over() {
            return from == Face.FRONT ? cap : floor;
        }

        /** Wood between the hollow and the finished back, its plates counted. */
        private double under() {
            return from == Face.FRONT ? floor : cap;
        }

        private KeepOut kept(KeepOut usual) {
            return margins.containsKey(usual.feature()) ? usual.within(margins.get(usual.feature())) : usual;
        }
    }

    public Hollow {
        keepOuts = List.copyOf(keepOuts);
        parts = List.copyOf(parts);
    }

    /**
     * Of a body.
     *
     * @throws Refusal if cap and floor leave nothing between them, or the wall leaves no body inside it
     */
    public static Hollow of(Build build, Asked asked) {
        BodyDesign design = build.design();
        double deep = design.thickness() - asked.cap() - asked.floor();
        Refusal.unless(deep > 0, "cap", "with that and the floor nothing is left to take out");
        Region inside = design.outline().region().grown(-asked.wall());
        Refusal.unless(!inside.isEmpty(), "wall", "the wall is wider than the body");
        List<KeepOut> kept = usual(build, asked).stream().map(asked::kept).toList();
        Region standing = build.once()
                .of(Known.class, Known::new)
                .standing
                .computeIfAbsent(
                        new Standing(kept(build, asked), asked.margins(), asked.centre()),
                        s -> standing(design, asked, kept));
        return new Hollow(build, asked, kept, parts(inside, standing, asked));
    }

    /** What stays with the usual margins. */
    private static List<KeepOut> usual(Build build, Asked asked) {
        return build.once()
                .of(Known.class, Known::new)
                .kept
                .computeIfAbsent(kept(build, asked), k -> KeepOut.of(build, k.wall(), k.over(), k.under(), k.edge()));
    }

    private static Kept kept(Build build, Asked asked) {
        double wall = Math.min(asked.wall(), build.shop().limits().thinnestWall() * 2);
        return new Kept(wall, asked.over(), asked.under(), asked.edge());
    }

    /** What is asked about a build again and again while a wall is dragged. */
    private static final class Known {
        private final Map<Kept, List<KeepOut>> kept = new ConcurrentHashMap<>();
        private final Map<Standing, Region> standing = new ConcurrentHashMap<>();
        private final Map<Curve, List<Traded>> curves = new ConcurrentHashMap<>();
        private final Map<Without, Double> costs = new ConcurrentHashMap<>();
    }

    private record Kept(double wall, double over, double under, double edge) {}

    private record Standing(Kept usual, Map<Feature, Double> margins, double centre) {}

    private record Without(Asked asked, KeepOut out) {}

    private record Curve(Asked asked, double thinnest, double step, int walls) {}

    private static List<Region> parts(BodyDesign design, Region inside, Asked asked, List<KeepOut> kept) {
        return parts(inside, standing(design, asked, kept), asked);
    }

    private static List<Region> parts(Region inside, Region standing, Asked asked) {
        Region room = inside.minus(standing).opened(asked.bit());
        if (asked.round().isPresent()) {
            List<Region> holes = RoundHoles.in(room, asked.round().get(), WEB);
            return asked.number().isPresent()
                    ? deepest(holes, room, asked.number().get())
                    : holes;
        }
        List<Region> parts = new ArrayList<>(room.parts());
        parts.removeIf(p -> p.area() < LEAST);
        parts.sort(Comparator.comparingDouble(Region::area).reversed());
        return parts;
    }

    /** The centre block and all that must stay. */
    private static Region standing(BodyDesign design, Asked asked, List<KeepOut> kept) {
        Region body = design.outline().region();
        List<Region> all = new ArrayList<>();
        if (asked.centre() > 0) {
            double tall = body.maxY() - body.minY();
            double middle = (body.maxY() + body.minY()) / 2;
            all.add(Region.rectangle(new Point(0, middle), asked.centre(), tall + 2, 0, 0));
        }
        kept.forEach(k -> all.add(k.region()));
        return Region.union(all);
    }

    /** So many of the holes, those with the most room round them. */
    private static List<Region> deepest(List<Region> holes, Region room, int number) {
        List<Region> kept = holes.stream()
                .sorted(Comparator.comparingDouble(h -> room.outside(h.centroid())))
                .limit(number)
                .toList();
        // In the order of their rows, as they are marked.
        return holes.stream().filter(kept::contains).toList();
    }

    /**
     * As chambers of the design: round holes as one, of circles; of all else one each that is in one piece, by its corners. A channel that
     * runs through one opens into it.
     */
    public List<Chamber> chambers() {
        if (asked.round().isPresent()) {
            List<Outline> circles = parts.stream()
                    .map(p -> Outline.circle(p.centroid(), asked.round().get()))
                    .toList();
            return List.of(new Chamber("holes", circles, asked.floor(), through(parts)));
        }
        List<Chamber> all = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            Region part = parts.get(i);
            List<Outline> lines = Outline.rings(part.coarser(DRAWN));
            all.add(new Chamber(name(i), lines, asked.floor(), through(List.of(part))));
        }
        return all;
    }

    /** By its side of the centre line, seen from the front, the larger first. */
    private String name(int i) {
        if (parts.size() == 1) {
            return "main";
        }
        boolean left = isLeft(parts.get(i));
        long before =
                parts.subList(0, i).stream().filter(p -> isLeft(p) == left).count();
        return (left ? "left" : "right") + (before == 0 ? "" : "-" + (before + 1));
    }

    private static boolean isLeft(Region part) {
        return part.centroid().x() < 0;
    }

    private Set<Feature> through(List<Region> some) {
        return build.design().channels().stream()
                .filter(c -> some.stream().anyMatch(p -> p.overlaps(shadow(c))))
                .map(Channel::feature)
                .collect(Collectors.toSet());
    }

    private static Region shadow(Channel channel) {
        return Region.alongLine(List.of(channel.from(), channel.to()), channel.diameter() / 2);
    }

    /** Its depth, mm. */
    public double depth() {
        return build.design().thickness() - asked.cap() - asked.floor();
    }

    /** Its area, mm². */
    public double area() {
        return parts.stream().mapToDouble(Region::area).sum();
    }

    /** The wood that it takes out, by the strips that it lies in, g. */
    public double grams() {
        return grams(parts);
    }

    private double grams(List<Region> regions) {
        Blank blank = build.design().blank();
        double grams = 0;
        for (Blank.Stripe stripe : blank.stripes(blank.core())) {
            double area =
                    regions.stream().mapToDouble(p -> p.shared(stripe.plan())).sum();
            grams += area * depth() * stripe.species().density().value() * 1e-6;
        }
        return grams;
    }

    /** Where the wood that it takes out lay: its centre of mass on the plan; empty where it takes none. */
    public Optional<Point> centre() {
        double x = 0;
        double y = 0;
        double all = 0;
        for (Region part : parts) {
            double grams = grams(List.of(part));
            x += grams * part.centroid().x();
            y += grams * part.centroid().y();
            all += grams;
        }
        return all > 0 ? Optional.of(new Point(x / all, y / all)) : Optional.empty();
    }

    /** How much more could be taken out if the wood of one keep-out need not stay, g. */
    public double costs(KeepOut out) {
        return build.once()
                .of(Known.class, Known::new)
                .costs
                .computeIfAbsent(new Without(asked, out), w -> without(out));
    }

    private double without(KeepOut out) {
        List<KeepOut> others = keepOuts.stream().filter(k -> !k.equals(out)).toList();
        return Math.max(0, grams(parts(build.design(), inside(), asked, others)) - grams());
    }

    /** What a margin that is not the usual does: how much more it takes out, less than nought if less, g; nought where it is the usual. */
    public double gains(KeepOut out) {
        if (!asked.margins().containsKey(out.feature())) {
            return 0;
        }
        List<KeepOut> before = keepOuts.stream()
                .map(k -> k.equals(out) ? k.within(usualMargin(k)) : k)
                .toList();
        return grams() - grams(parts(build.design(), inside(), asked, before));
    }

    /** What a maker would leave round what stands or is cut there, mm. */
    public double usualMargin(KeepOut out) {
        return usual(build, asked).stream()
                .filter(k -> k.feature().equals(out.feature()))
                .findFirst()
                .orElse(out)
                .margin();
    }

    private Region inside() {
        return build.design().outline().region().grown(-asked.wall());
    }

    /** The cap over the part where it bends most; round holes are all alike. */
    public Optional<CapPlate> cap() {
        CapPlate most = null;
        for (Region part : asked.round().isPresent() ? parts.stream().limit(1).toList() : parts) {
            if (most == null
                    || CapPlate.atMost(part, asked.cap()) > most.deflection().value()) {
                CapPlate over = CapPlate.over(part, asked.cap());
                most = most == null
                                || over.deflection().value() > most.deflection().value()
                        ? over
                        : most;
            }
        }
        return Optional.ofNullable(most);
    }

    /**
     * The wall that takes out a mass, the depth as it is; empty where even the thinnest wall, that of the shop's limits, takes less.
     *
     * @param grams to take out
     */
    public Optional<Hollow> byWall(double grams) {
        double thin = build.shop().limits().thinnestWall();
        double thick = 120;
        Hollow most = of(build, asked.walled(thin));
        if (grams < 0 || most.grams() < grams) {
            return Optional.empty();
        }
        Hollow best = most;
        for (int i = 0; i < HALVINGS && Math.abs(best.grams() - grams) > CLOSE; i++) {
            double middle = (thin + thick) / 2;
            Hollow tried = walled(middle);
            if (tried.grams() >= grams) {
                thin = middle;
            } else {
                thick = middle;
            }
            if (Math.abs(tried.grams() - grams) < Math.abs(best.grams() - grams)) {
                best = tried;
            }
        }
        return Optional.of(best);
    }

    /** The same with another wall; nothing where that leaves no body inside it. */
    public Hollow walled(double wall) {
        return tried(asked.walled(wall));
    }

    private Hollow tried(Asked other) {
        return build.design().outline().region().grown(-other.wall()).isEmpty()
                ? new Hollow(build, other, keepOuts, List.of())
                : of(build, other);
    }

    /** The floor that takes out a mass, the wall as it is; empty where the thinnest floor of the shop's limits takes less. */
    public Optional<Hollow> byFloor(double grams) {
        double each = grams() / depth();
        if (!(each > 0) || grams < 0) {
            return Optional.empty();
        }
        double floor = build.design().thickness() - asked.cap() - grams / each;
        boolean possible = floor >= build.shop().limits().thinnestFloor()
                && floor < build.design().thickness() - asked.cap();
        return possible ? Optional.of(of(build, asked.floored(Math.min(60, floor)))) : Optional.empty();
    }

    /** So many round holes that they take out a mass, as near as whole holes come; empty where all that fit take less, or none is round. */
    public Optional<Hollow> byNumber(double grams) {
        if (asked.round().isEmpty() || parts.isEmpty() || grams < 0) {
            return Optional.empty();
        }
        Hollow all = asked.number().isEmpty() ? this : of(build, asked.numbered(Optional.empty()));
        double each = all.grams() / all.parts().size();
        int number = (int) Math.max(1, Math.round(grams / each));
        return grams > all.grams() + each / 2
                ? Optional.empty()
                : Optional.of(
                        of(build, asked.numbered(Math.min(number, all.parts().size()))));
    }

    /**
     * What another wall would do.
     *
     * @param grams taken out with it
     * @param deflection of the cap under a thumb, mm; empty where it takes nothing out
     */
    public record Traded(double wall, double grams, OptionalDouble deflection) {}

    /** Mass against cap over the wall, from the thinnest wall, so many of them so far apart; of a build and what is asked else, once. */
    public List<Traded> tradeOff(double thinnest, double step, int walls) {
        return build.once()
                .of(Known.class, Known::new)
                .curves
                .computeIfAbsent(
                        new Curve(asked.walled(1), thinnest, step, walls),
                        c -> IntStream.range(0, walls)
                                .mapToObj(i -> walled(thinnest + i * step))
                                .map(h -> new Traded(h.asked().wall(), h.grams(), h.bend()))
                                .toList());
    }

    private OptionalDouble bend() {
        return cap().map(c -> OptionalDouble.of(c.deflection().value())).orElse(OptionalDouble.empty());
    }
}
