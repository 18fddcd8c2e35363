package ebauche.core.crib;

import ebauche.core.measure.Refusal;
import java.util.List;

/**
 * A router.
 *
 * @param name what the shop calls it
 * @param kind how it is held and guided
 * @param power what it can be asked to cut
 * @param baseDiameter of its foot
 * @param flat from the bit's axis to a straight side of the foot; half the diameter where it is round
 * @param plunge how far it travels
 * @param collets shank diameters that it takes
 * @param colletGap from the collet to the foot's sole when it is all the way down
 * @param leastTurns per minute
 * @param mostTurns per minute
 */
public record Router(
        String name,
        Kind kind,
        Power power,
        double baseDiameter,
        double flat,
        double plunge,
        List<Double> collets,
        double colletGap,
        int leastTurns,
        int mostTurns)
        implements Tool {

    /**
     * A collet closes by no more than this: a 12 mm shank is no half inch (12.7), and held in its collet it slips or
     * flies. Common practice.
     */
    public static final double COLLET_CLOSES = 0.1;

    /** How a router is held. */
    public enum Kind {
        HAND("hand", "hand router"),
        TRIMMER("trimmer", "trimmer"),
        PLUNGE("plunge", "plunge router"),
        TABLE("table", "router table");

        private final String key;
        private final String words;

        Kind(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    /** Class of machine, by what it can be asked to cut. */
    public enum Power {
        LIGHT("light", "light, under 1 kW"),
        MIDDLE("middle", "middle, 1 to 1.6 kW"),
        STRONG("strong", "strong, over 1.6 kW");

        private final String key;
        private final String words;

        Power(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    public Router {
        Refusal.unless(!name.isBlank(), "name", "needs a name");
        Refusal.positive(baseDiameter, "baseDiameter");
        Refusal.positive(plunge, "plunge");
        Refusal.between(baseDiameter, 30, 1200, "baseDiameter");
        Refusal.between(flat, 10, baseDiameter / 2 + 1e-9, "flat");
        Refusal.between(plunge, 1, 150, "plunge");
        Refusal.unless(!collets.isEmpty(), "collets", "a router without a collet holds no bit");
        collets.forEach(c -> Refusal.between(c, 2, 20, "collets"));
        collets = List.copyOf(collets);
        Refusal.between(colletGap, 0, 100, "colletGap");
        Refusal.between(leastTurns, 1000, 60_000, "leastTurns");
        Refusal.between(mostTurns, leastTurns, 60_000, "mostTurns");
    }

    /** A router of which only foot and travel are known; the rest as such machines usually have it: common practice. */
    public static Router usual(String name, double baseDiameter, double plunge) {
        boolean small = baseDiameter < 110;
        return new Router(
                name,
                small ? Kind.TRIMMER : Kind.PLUNGE,
                small ? Power.LIGHT : Power.STRONG,
                baseDiameter,
                baseDiameter / 2,
                plunge,
                small ? List.of(6.35) : List.of(6.35, 12.7),
                8,
                small ? 16_000 : 8_000,
                small ? 30_000 : 24_000);
    }

    /** Whether one of its collets closes on a shank. */
    public boolean takes(double shank) {
        return collets.stream().anyMatch(c -> shank <= c + 1e-6 && c - shank <= COLLET_CLOSES);
    }
}
