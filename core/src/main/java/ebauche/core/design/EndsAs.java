package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;

/** As what a body leaves the shop: what comes after that is another's work, and nothing is cut for it here. */
public enum EndsAs {
    FINISHED("finished", "a body, all of it cut") {
        @Override
        public boolean has(Feature feature) {
            return true;
        }
    },
    /** Sawn, shaped and sanded, perhaps hollow under its top. */
    UNROUTED("unrouted", "a shaped body without its routs") {
        @Override
        public boolean has(Feature feature) {
            return !feature.isVoid() || feature.owner().is(FeatureKind.CHAMBER);
        }
    },
    /** Glued up and brought to thickness. */
    BLANK("blank", "a blank") {
        @Override
        public boolean has(Feature feature) {
            return feature.is(FeatureKind.BLANK)
                    || feature.is(FeatureKind.THICKNESS)
                    || feature.owner().is(FeatureKind.CHAMBER)
                    || feature.isFace();
        }
    };

    private final String key;
    private final String words;

    EndsAs(String key, String words) {
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

    /** Whether a feature is cut here. */
    public abstract boolean has(Feature feature);
}
