package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.measure.Refusal;
import ebauche.core.timber.Species;

/**
 * A new cap that is glued over the front of a body when it is built already.
 *
 * @param planed wood that comes off the old front before, mm
 * @param cap its thickness when it is glued on, mm
 * @param timber what it is made of
 */
public record Recap(double planed, double cap, Species timber) {
    public static final Feature FEATURE = Feature.of(FeatureKind.NEW_CAP);

    /** @throws Refusal of a cap that no maker could level, or that is another body */
    public Recap {
        check(planed, cap);
    }

    /**
     * Whether a cap can be made so.
     *
     * @throws Refusal of one that no maker could level, or that is another body
     */
    public static void check(double planed, double cap) {
        Refusal.between(cap, 1, 30, "cap");
        Refusal.between(planed, 0, 20, "planed");
    }
}
