package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.measure.Refusal;

/**
 * A space that is shielded.
 *
 * @param id short and lasting
 * @param space a cavity or a pickup's rout
 * @param by what its walls are lined with
 * @param joined what joins it to the ground
 */
public record Shield(String id, Feature space, By by, Joined joined) {
    /** What lines the walls. */
    public enum By {
        PAINT("paint", "conductive paint"),
        COPPER("copper", "copper foil"),
        ALUMINIUM("aluminium", "aluminium foil");

        private final String key;
        private final String words;

        By(String key, String words) {
            this.key = key;
            this.words = words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }

        public String words() {
            return words;
        }

        public boolean isFoil() {
            return this != PAINT;
        }
    }

    /** What joins a shield to the ground. */
    public enum Joined {
        AS_USUAL("as-usual", "the parts that stand in it, else a lug"),
        LUG("lug", "a wire from a lug under a screw"),
        SOLDER("solder", "a wire soldered to it");

        private final String key;
        private final String words;

        Joined(String key, String words) {
            this.key = key;
            this.words = words;
        }

        /** As files write it. */
        public String key() {
            return key;
        }

        public String words() {
            return words;
        }
    }

    /** One that is joined as is usual. */
    public Shield(String id, Feature space, By by) {
        this(id, space, by, Joined.AS_USUAL);
    }

    /** Common practice: solder takes on copper; on aluminium and on paint it does not. */
    public Shield {
        Refusal.unless(
                joined != Joined.SOLDER || by == By.COPPER,
                "joined",
                "solder does not take on " + by.words() + ": join it by a lug under a screw");
        boolean lined = space.is(FeatureKind.CAVITY) || space.is(FeatureKind.PICKUP) || space.is(FeatureKind.UNKNOWN);
        Refusal.unless(lined, "space", "the " + space.said() + " is not shielded: say a cavity or a pickup");
    }
}
