package ebauche.core.edge;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.crib.Router;
import java.util.Comparator;
import java.util.Optional;

/**
 * A round-over bit of a radius, and the router that carries it along an edge.
 *
 * @param router of those that take its shank in the hand the one with the widest base: that stands deepest on the work
 */
record RoundingBit(Bit bit, Router router) {
    /** A radius that is off by less is that radius, mm: an inch size beside a metric one. */
    private static final double SAME = 0.2;

    /** The radius that a bit rounds over, its bearing at the tip, mm. */
    static double radius(Bit bit) {
        return bit.slopes();
    }

    /** The one of a crib that is nearest to a radius; empty where it has none, or no router for it. */
    static Optional<RoundingBit> of(Crib crib, double radius) {
        return crib.bits().stream()
                .filter(b ->
                        b.profile() == Bit.Profile.ROUND_OVER && b.bearing().atTip() && b.bearingSound())
                .filter(b -> Math.abs(radius(b) - radius) <= SAME)
                .sorted(Comparator.<Bit>comparingDouble(b -> Math.abs(radius(b) - radius))
                        .thenComparing(Bit::name))
                .flatMap(b -> crib.inHand(b).map(r -> new RoundingBit(b, r)).stream())
                .findFirst();
    }

    /** Diameter of its bearing, mm. */
    double bearing() {
        return bit.bearingDiameter();
    }

    double bearingWidth() {
        return bit.bearingWidth();
    }

    /** Diameter of the router's base, mm. */
    double base() {
        return router.baseDiameter();
    }
}
