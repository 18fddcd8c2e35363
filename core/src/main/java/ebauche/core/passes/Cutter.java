package ebauche.core.passes;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Router;
import ebauche.core.timber.Hardness;

/** A bit in a router: what both together can do. */
public record Cutter(Bit bit, Router router) {
    /** Fastest that a rim should run, m/s: common practice, where big bits turn slower. */
    private static final double FASTEST_RIM = 48;

    /** Cross-section that a middling machine takes off a medium timber in one pass, mm²: common practice. */
    private static final double CROSS_SECTION = 100;

    /** Turns per minute, least and most. */
    public record Speeds(int least, int most) {}

    public boolean fits() {
        return router.takes(bit.shank());
    }

    public double projection() {
        return Reach.projection(bit, router);
    }

    /** Between the router's slowest, and the least of its fastest, the bit's stamp and what its rim should bear. */
    public Speeds speeds() {
        int rim = (int) (FASTEST_RIM / (Math.PI * bit.diameter() / 1000) * 60 / 500) * 500;
        int most = Math.min(router.mostTurns(), rim);
        if (bit.mostTurns() > 0) {
            most = Math.min(most, bit.mostTurns());
        }
        return new Speeds(Math.min(router.leastTurns(), most), most);
    }

    /** Whether the router can turn slowly enough for the bit. */
    public boolean slowEnough() {
        return speeds().most() >= router.leastTurns();
    }

    /**
     * Cross-section (depth x width engaged) that one pass may take, mm²: common practice; less if the machine labours, and
     * with an edge that is no longer sharp.
     */
    public double crossSection(Hardness hardness) {
        double machine = switch (router.power()) {
            case LIGHT -> 0.5;
            case MIDDLE -> 1;
            case STRONG -> 1.4;
        };
        double timber = switch (hardness) {
            case SOFT -> 1.4;
            case MEDIUM -> 1;
            case HARD -> 0.7;
        };
        double edge = switch (bit.edge()) {
            case SHARP -> 1;
            case WORN -> 0.7;
            case DULL -> 0.4;
        };
        return CROSS_SECTION * machine * timber * edge;
    }
}
