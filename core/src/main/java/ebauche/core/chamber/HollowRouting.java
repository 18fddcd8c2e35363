package ebauche.core.chamber;

import ebauche.core.crib.Aid;
import ebauche.core.crib.Router;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hollow.Carrying;
import ebauche.core.job.Build;
import ebauche.core.passes.Cutter;
import ebauche.core.passes.Pass;
import ebauche.core.routing.Freehand;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * How a hollow is routed out: bit and passes, what the router stands on, and whether that is carried wherever the bit goes.
 *
 * @param plan what is routed out
 * @param deep from the core's front, mm
 */
record HollowRouting(Build build, Region plan, double deep, Freehand freehand) {
    /** What a router stands on over the hollow. */
    record Base(String said, double diameter) {}

    /** Empty where no bit of the crib does it, or it has no depth. */
    static Optional<HollowRouting> of(Build build, Region plan, double deep) {
        return deep > 0
                ? Freehand.ofHollow(build, plan, deep).map(f -> new HollowRouting(build, plan, deep, f))
                : Optional.empty();
    }

    private Cutter cutter() {
        return freehand.passes().get(0).cutter();
    }

    List<Pass> passes() {
        return freehand.passes();
    }

    /** Its bits, in the order of the passes. */
    String tool() {
        return passes().stream().map(p -> p.cutter().bit().name()).distinct().collect(Collectors.joining(", then "));
    }

    /** Hands-on minutes, so much of the wood being out already, mm³. */
    int minutes(double gone) {
        return freehand.minutes(deep, gone, build.shop().practice());
    }

    /** The widest that the shop has for the router that takes it out. */
    Base base() {
        Router router = cutter().router();
        return build.shop().crib().aids().stream()
                .filter(a -> a.kind() == Aid.Kind.LARGE_BASE && a.size() > router.baseDiameter())
                .max(Comparator.comparingDouble(Aid::size))
                .map(a -> new Base("the " + a.name(), a.size()))
                .orElse(new Base("the base of the " + router.name(), router.baseDiameter()));
    }

    /** Where supports would carry that base; none where it stands without. */
    List<Point> supports() {
        return Carrying.supports(
                build.design().blank().plan(), plan, cutter().bit().diameter(), base().diameter());
    }

    /** How that base stands where it stands worst; empty where no bit goes. */
    Optional<Carrying> carrying() {
        return Carrying.of(build.design().blank().plan(), plan, cutter().bit().diameter(), base().diameter());
    }

    /** What the bit leaves standing between supports and walls, mm². */
    double notReached() {
        return plan.area() - freehand.core().area();
    }
}
