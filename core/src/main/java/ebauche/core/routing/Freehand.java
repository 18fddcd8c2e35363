package ebauche.core.routing;

import ebauche.core.crib.Bit;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Rounding;
import ebauche.core.passes.Cutter;
import ebauche.core.passes.Pass;
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
record Freehand(Region core, List<Pass> passes) {
    /** Kept between the freehand bit and the line, an eighth of an inch: common practice, mm. */
    static final double SHY = 3.2;

    /** Deepest that a bit is led freehand in one pass, in diameters: half of what a guide allows, common practice. */
    private static final double BITE = 0.5;

    /**
     * Chooses the bit.
     *
     * @param depth that the waste goes to
     * @param deepest that the shop takes in one pass
     */
    static Optional<Freehand> of(Region plan, double depth, Hardness hardness, double deepest, Stream<Cutter> cutters) {
        return cutters.filter(c -> c.fits() && c.slowEnough() && isLed(c.bit(), depth) && c.projection() >= depth)
                .flatMap(c -> {
                    Region core = plan.grown(-SHY).opened(c.bit().diameter());
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
