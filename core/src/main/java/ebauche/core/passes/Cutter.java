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

    /** A shank from here on is stout, half an inch and its metric neighbour, mm. */
    private static final double STOUT = 12;

    /** Deepest bite for its diameter, however little it meets, on a stout shank and on a slender one: common practice. */
    private static final double TIMES_STOUT = 3;

    private static final double TIMES_SLENDER = 2;

    /** A quarter-inch shank that stands out farther than this bends, and takes the less the farther: common practice, mm. */
    private static final double STANDS = 25;

    private static final double QUARTER_INCH = 6.35;

    /** From this diameter a bit on a table takes its diameter in hard wood too: common practice, mm. */
    private static final double TABLE_FROM = 12;

    /** Turns per minute, least and most. */
    public record Speeds(int least, int most) {
        private static final int MARK = 1000;

        /** What the dial is set to: as fast as bit and router go well, at a mark; slower only where it burns. Common practice. */
        public int dial() {
            return Math.max(least, most / MARK * MARK);
        }
    }

    public boolean fits() {
        return router.takes(bit.shank());
    }

    public double projection() {
        return Reach.projection(bit, router);
    }

    /** Between the router's slowest, and the least of its fastest, the bit's stamp and what its rim should bear. */
    public Speeds speeds() {
        int rim = 500 * (int) (FASTEST_RIM / (Math.PI * bit.diameter() / 1000) * 60 / 500);
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
        return CROSS_SECTION * machine * timber * edge();
    }

    private double edge() {
        return switch (bit.edge()) {
            case SHARP -> 1;
            case WORN -> 0.7;
            case DULL -> 0.4;
        };
    }

    /**
     * Deepest slot that it cuts in one pass over its whole width, mm: its diameter in soft wood, half of it in hard, by
     * hand; a table holds a stout one to its diameter in hard wood too. Common practice.
     */
    public double slot(Hardness hardness) {
        boolean held = router.kind() == Router.Kind.TABLE && bit.diameter() >= TABLE_FROM;
        double share = held
                ? 1
                : switch (hardness) {
                    case SOFT -> 1;
                    case MEDIUM -> 0.75;
                    case HARD -> 0.5;
                };
        return bit.diameter() * share;
    }

    /**
     * Deepest pass over so much of its width, mm, by what the bit bears while its shank does not stand out far: as much deeper
     * than a slot as less of it meets wood, at most three diameters on a half-inch shank and two on a slender one. Common practice.
     */
    public double byBit(Hardness hardness, double engaged) {
        double most = bit.diameter() * (stout() ? TIMES_STOUT : TIMES_SLENDER);
        return edge() * Math.min(slot(hardness) * bit.diameter() / met(engaged), most);
    }

    /** Deepest pass by what the machine drives and by how long the edges are, mm. */
    public double byMachine(Hardness hardness, double engaged) {
        return Math.min(bit.cutterLength(), crossSection(hardness) / met(engaged));
    }

    /** Deepest pass with its tip so far under the sole, mm. */
    public double bite(Hardness hardness, double engaged, double projection) {
        double stiff = Math.min(1, standsStiff() / Math.max(projection, 1e-9));
        return Math.min(byMachine(hardness, engaged), byBit(hardness, engaged) * stiff);
    }

    private double met(double engaged) {
        return Math.min(engaged, bit.diameter());
    }

    private boolean stout() {
        return bit.shank() >= STOUT;
    }

    /** How far its shank may stand out of the sole before it takes less, mm: without end for a stout one. */
    public double standsStiff() {
        return stout() ? Double.POSITIVE_INFINITY : STANDS * bit.shank() / QUARTER_INCH;
    }
}
