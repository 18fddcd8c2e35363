package ebauche.core.design;

import ebauche.core.measure.Refusal;

/**
 * A scratch plate on the front.
 *
 * @param thickness mm
 * @param underFingerboard whether it runs under the fingerboard's end, or stops beside the neck
 */
public record ScratchPlate(double thickness, boolean underFingerboard) {
    public ScratchPlate {
        Refusal.between(thickness, 0.2, 10, "thickness");
    }
}
