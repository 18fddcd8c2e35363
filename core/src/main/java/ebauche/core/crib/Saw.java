package ebauche.core.crib;

import ebauche.core.measure.Refusal;

/**
 * A saw for outlines.
 *
 * @param name what the shop calls it
 * @param blade width of its blade, mm
 * @param kerf what the blade takes, mm
 */
public record Saw(String name, Kind kind, double blade, double kerf) implements Tool {
    /**
     * Width of a band saw's blade and the smallest radius that it follows, mm: the table that hangs beside the machine in
     * eighths of an inch, common practice (memory).
     */
    private static final double[][] FOLLOWS = {
        {3.175, 4.8}, {4.76, 7.9}, {6.35, 15.9}, {9.525, 38.1}, {12.7, 63.5}, {19.05, 139.7}
    };

    private static final double NEW_HAND = 6.35;
    private static final double STEADY_HAND = 3;

    /** Thickness from which a jigsaw's blade bends sideways, and how much it does per mm beyond. */
    private static final double THIN = 20;

    private static final double WANDERS = 0.08;

    /** How it is driven. */
    public enum Kind {
        BAND("band", "band saw"),
        JIG("jig", "jigsaw"),
        COPING("coping", "coping saw");

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

    public Saw {
        Refusal.unless(!name.isBlank(), "name", "needs a name");
        Refusal.between(blade, 0.5, 40, "blade");
        Refusal.between(kerf, 0.2, 5, "kerf");
    }

    /** A saw with the kerf that such blades usually have: common practice. */
    public static Saw usual(String name, Kind kind, double blade) {
        return new Saw(name, kind, blade, kind == Kind.BAND ? 1.0 : 1.3);
    }

    /**
     * How far outside the line a hand should saw when the router follows, mm: 1/4 in for one that is new to it, less for steady
     * ones; a jigsaw's blade wanders out of square in thick work, so more. Common practice.
     */
    public double allowance(double steadiness, double thickness) {
        double wander = kind == Kind.JIG ? Math.max(0, thickness - THIN) * WANDERS : 0;
        return NEW_HAND - (NEW_HAND - STEADY_HAND) * steadiness + wander;
    }

    /** Smallest radius that its blade follows without being forced, mm; between the table's rows along the chord. */
    public double turns() {
        double[] before = {0, 0};
        for (double[] row : FOLLOWS) {
            if (blade <= row[0]) {
                return before[1] + (blade - before[0]) / (row[0] - before[0]) * (row[1] - before[1]);
            }
            before = row;
        }
        return before[1] * blade / before[0];
    }
}
