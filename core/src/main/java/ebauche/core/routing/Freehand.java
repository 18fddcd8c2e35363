package ebauche.core.routing;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Rounding;
import ebauche.core.passes.Cutter;
import ebauche.core.passes.Pass;
import ebauche.core.shop.Practice;
import ebauche.core.timber.Hardness;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The waste of a pocket routed out freehand, short of its line and of its floor, before the template guides: as another school
 * has it where the first drills. The bit is the one with the fewest passes, of those the stoutest.
 *
 * @param core where the bit goes
 * @param passes down to the depth at which the template takes over
 */
public record Freehand(Region core, List<Pass> passes) {
    /** Kept between the freehand bit and the line, an eighth of an inch: common practice, mm. */
    static final double SHY = 3.2;

    private static final double NOISE = 1e-9;

    /** Deepest that a bit is led freehand in one pass, in diameters: half of what a guide allows, common practice. */
    private static final double BITE = 0.5;

    /**
     * The waste of a pocket.
     *
     * @param depth that the waste goes to
     * @param deepest that the shop takes in one pass
     */
    static Optional<Freehand> of(Region plan, double depth, Hardness hardness, double deepest, Stream<Cutter> cutters) {
        return chosen(plan, SHY, depth, hardness, deepest, cutters.filter(c -> isLed(c.bit(), depth)));
    }

    /**
     * A hollow that nobody sees, routed to its line depth by depth on a wide base. There is room in it for a shank that is no wider than its
     * cutter, so that the edges need reach no farther than one bite.
     *
     * @param depth that it goes to
     */
    public static Optional<Freehand> ofHollow(Build build, Region plan, double depth) {
        Crib bench = build.shop().crib().tables(false);
        double deepest = build.shop().limits().pocketPass();
        return chosen(
                plan,
                0,
                depth,
                build.design().blank().cutAs(plan),
                deepest,
                bench.bits().stream()
                        .flatMap(b -> bench.routers().stream().map(r -> new Cutter(b, r)))
                        .filter(c -> isLedInHollow(c.bit())));
    }

    /**
     * Hands-on minutes for what it takes out, down to a depth: 20 to 25 for a hollow, common practice.
     *
     * @param gone what is out already, mm³
     */
    public int minutes(double depth, double gone, Practice practice) {
        return PocketSteps.minutes(Math.max(0, core.area() * depth - gone), practice);
    }

    private static Optional<Freehand> chosen(
            Region plan, double shy, double depth, Hardness hardness, double deepest, Stream<Cutter> cutters) {
        return cutters.filter(c -> c.fits() && c.slowEnough() && c.projection() >= depth)
                .flatMap(c -> {
                    Region core = plan.grown(-shy).opened(c.bit().diameter());
                    return core.isEmpty()
                            ? Stream.empty()
                            : Stream.of(new Freehand(core, passes(c, depth, hardness, deepest)));
                })
                .min(Comparator.<Freehand>comparingInt(f -> f.passes().size())
                        .thenComparing(f -> f.passes().get(0).cutter().bit().diameter(), Comparator.reverseOrder())
                        .thenComparing(f -> f.passes().get(0).cutter().bit().name()));
    }

    /** Straight, plunged, and with nothing wider or turning above its edges down in the slot. */
    private static boolean isLed(Bit bit, double depth) {
        return bit.profile() == Bit.Profile.STRAIGHT
                && bit.centreCutting()
                && !bit.bearing().atTip()
                && bit.cutterLength() >= depth;
    }

    /** As wide above its edges as they are, or narrower. */
    private static boolean isLedInHollow(Bit bit) {
        boolean floors = bit.profile() == Bit.Profile.STRAIGHT || bit.profile() == Bit.Profile.BOWL;
        boolean atTip = bit.bearing().atTip();
        return floors
                && bit.centreCutting()
                && !atTip
                && Math.max(bit.shank(), bit.bearingDiameter()) <= bit.diameter() + NOISE;
    }

    private static List<Pass> passes(Cutter cutter, double depth, Hardness hardness, double deepest) {
        double wide = cutter.bit().diameter();
        double bite = Math.min(deepest, Math.min(BITE * wide, cutter.bite(hardness, wide, depth)));
        int count = (int) Math.ceil(depth / bite - 1e-9);
        List<Pass> passes = new ArrayList<>();
        double from = 0;
        for (int i = 1; i <= count; i++) {
            double to = i == count ? depth : Gauge.settable(depth * i / count, Rounding.LESS);
            passes.add(new Pass(cutter, Pass.Guide.FREEHAND, 0, from, to, to, wide));
            from = to;
        }
        return passes;
    }
}
