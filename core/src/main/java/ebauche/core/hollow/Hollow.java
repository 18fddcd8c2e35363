package ebauche.core.hollow;

import ebauche.core.design.Blank;
import ebauche.core.design.BodyDesign;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Chamber;
import ebauche.core.hardware.Channel;
import ebauche.core.job.Build;
import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

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
     */
    public record Asked(double wall, double centre, double cap, double floor, double bit, Optional<Double> round) {
        /** Common practice. */
        public static final Asked USUAL = new Asked(16, 90, 6, 8, 12.7, Optional.empty());

        public Asked {
            Refusal.between(wall, 1, 200, "wall");
            Refusal.between(centre, 0, 400, "centre");
            Refusal.between(cap, 1, 60, "cap");
            Refusal.between(floor, 1, 60, "floor");
            Refusal.between(bit, 3, 60, "bit");
            round.ifPresent(r -> Refusal.between(r, 8, 120, "round"));
        }

        /** The same under another cap. */
        public Asked capped(double other) {
            return new Asked(wall, centre, other, floor, bit, round);
        }

        Asked walled(double other) {
            return new Asked(other, centre, cap, floor, bit, round);
        }

        Asked floored(double other) {
            return new Asked(wall, centre, cap, other, bit, round);
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
        List<KeepOut> kept = KeepOut.of(
                build, Math.min(asked.wall(), build.shop().limits().thinnestWall() * 2), asked.cap(), asked.floor());
        return new Hollow(build, asked, kept, parts(design, inside, asked, kept));
    }

    private static List<Region> parts(BodyDesign design, Region inside, Asked asked, List<KeepOut> kept) {
        Region left = inside;
        if (asked.centre() > 0) {
            double tall =
                    design.outline().region().maxY() - design.outline().region().minY();
            double middle = (design.outline().region().maxY()
                            + design.outline().region().minY())
                    / 2;
            left = left.minus(Region.rectangle(new Point(0, middle), asked.centre(), tall + 2, 0, 0));
        }
        for (KeepOut out : kept) {
            left = left.minus(out.region());
        }
        Region room = left.opened(asked.bit());
        if (asked.round().isPresent()) {
            return RoundHoles.in(room, asked.round().get(), WEB);
        }
        List<Region> parts = new ArrayList<>(room.parts());
        parts.removeIf(p -> p.area() < LEAST);
        parts.sort(Comparator.comparingDouble(Region::area).reversed());
        return parts;
    }

    /** As a chamber of the design: holes as circles, all else by its corners. A channel that runs through it opens into it. */
    public Chamber chamber(String id) {
        List<Outline> lines = parts.stream()
                .flatMap(p -> asked.round().isPresent()
                        ? Stream.of(Outline.circle(p.centroid(), asked.round().get()))
                        : Outline.rings(p.coarser(DRAWN)).stream())
                .toList();
        Set<Feature> joins = build.design().channels().stream()
                .filter(c -> parts.stream().anyMatch(p -> p.overlaps(shadow(c))))
                .map(Channel::feature)
                .collect(Collectors.toSet());
        return new Chamber(id, lines, asked.floor(), joins);
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
        List<KeepOut> others = keepOuts.stream().filter(k -> !k.equals(out)).toList();
        Region inside = build.design().outline().region().grown(-asked.wall());
        return Math.max(0, grams(parts(build.design(), inside, asked, others)) - grams());
    }

    /** The cap over the part where it bends most. */
    public Optional<CapPlate> cap() {
        return parts.stream()
                .map(p -> CapPlate.over(p, asked.cap()))
                .max(Comparator.comparingDouble(c -> c.deflection().value()));
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
}
