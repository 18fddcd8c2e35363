package ebauche.core.stock;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;

/**
 * What one operation does to the wood, exactly.
 *
 * <p>{@code feature} names the feature of the design that the change makes, so that walls between features that are
 * meant to join can be told from those that are not.
 */
public sealed interface Change {
    Feature feature();

    Workpiece workpiece();

    Solid solid();

    /** Wood cut away. */
    record Remove(Feature feature, Workpiece workpiece, Solid solid) implements Change {
        public static Remove fromBody(Feature feature, Solid solid) {
            return new Remove(feature, Workpiece.BODY, solid);
        }
    }

    /** Wood put on or in: the blank itself, a cap, a plug, a shim. */
    record Add(Feature feature, Workpiece workpiece, Solid solid, Material material) implements Change {
        /** Whether it is the body's own timber, and no plug, shim or cap of a repair. */
        public boolean isBlank() {
            return feature.is(FeatureKind.BLANK);
        }

        /** Whether it fills what was cut: a plug, a shim; a new cap lies over that, and is opened again. */
        public boolean fills() {
            return !isBlank() && !feature.is(FeatureKind.NEW_CAP);
        }
    }
}
