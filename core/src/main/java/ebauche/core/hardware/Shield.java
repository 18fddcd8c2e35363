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
 */
public record Shield(String id, Feature space, By by) {
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

    public Shield {
        boolean lined = space.is(FeatureKind.CAVITY) || space.is(FeatureKind.PICKUP) || space.is(FeatureKind.UNKNOWN);
        Refusal.unless(lined, "space", "the " + space.said() + " is not shielded: say a cavity or a pickup");
    }
}
