package ebauche.core.hardware;

import ebauche.core.geometry.Outline;
import ebauche.core.measure.Refusal;
import java.util.Optional;

/**
 * The rear cavity for the controls.
 *
 * @param outline seen from the front
 * @param woodOver wood left between its floor and the finished front
 * @param coverThickness depth of the cover's recess in the back
 * @param coverLip how far the cover's recess stands out beyond the cavity
 * @param cover the cover plate itself, which the recess is as deep as
 */
public record ControlCavity(
        Outline outline, double woodOver, double coverThickness, double coverLip, Optional<Part> cover) {
    /** The feature's name for the cavity itself. */
    public static final String FEATURE = "controls";

    /** The feature's name for the recess of its cover. */
    public static final String COVER = "cover";

    public ControlCavity {
        Refusal.positive(woodOver, "woodOver");
        Refusal.notNegative(coverThickness, "coverThickness");
        Refusal.notNegative(coverLip, "coverLip");
        cover.ifPresent(c -> Refusal.unless(
                c.kind() == PartKind.COVER, "cover", "a " + c.kind().word() + " is no cover plate"));
    }

    /** A cavity whose cover's thickness is given. */
    public ControlCavity(Outline outline, double woodOver, double coverThickness, double coverLip) {
        this(outline, woodOver, coverThickness, coverLip, Optional.empty());
    }
}
