package ebauche.core.hardware;

import ebauche.core.geometry.Outline;
import ebauche.core.measure.Refusal;

/**
 * The rear cavity for the controls.
 *
 * @param outline seen from the front
 * @param woodOver wood left between its floor and the finished front
 * @param coverThickness depth of the cover's recess in the back
 * @param coverLip how far the cover's recess stands out beyond the cavity
 */
public record ControlCavity(Outline outline, double woodOver, double coverThickness, double coverLip) {
    /** The feature's name for the cavity itself. */
    public static final String FEATURE = "controls";

    /** The feature's name for the recess of its cover. */
    public static final String COVER = "cover";

    public ControlCavity {
        Refusal.positive(woodOver, "woodOver");
        Refusal.notNegative(coverThickness, "coverThickness");
        Refusal.notNegative(coverLip, "coverLip");
    }
}
