package ebauche.core.crib;

import ebauche.core.measure.Refusal;

/**
 * A drill.
 *
 * @param name what the shop calls it
 * @param kind Forstner, brad point, twist or long
 * @param spur how far its point or rim reaches under the flat it leaves
 * @param reach how deep it drills
 */
public record Drill(String name, Kind kind, double diameter, double spur, double reach) implements Tool {

    public enum Kind {
        FORSTNER("forstner", "Forstner"),
        BRAD_POINT("brad-point", "brad point"),
        TWIST("twist", "twist"),
        LONG("long", "long");

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

    public Drill {
        Refusal.unless(!name.isBlank(), "name", "needs a name");
        Refusal.positive(diameter, "diameter");
        Refusal.notNegative(spur, "spur");
        Refusal.between(diameter, 0.3, 100, "diameter");
        Refusal.between(spur, 0, 20, "spur");
        Refusal.between(reach, 1, 1000, "reach");
    }

    /** A drill that reaches as deep as such drills usually do: common practice. */
    public static Drill usual(String name, Kind kind, double diameter, double spur) {
        double reach = switch (kind) {
            case FORSTNER -> 70;
            case BRAD_POINT, TWIST -> Math.max(40, Math.min(120, 10 * diameter));
            case LONG -> 300;
        };
        return new Drill(name, kind, diameter, spur, reach);
    }
}
