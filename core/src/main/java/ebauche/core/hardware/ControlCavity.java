package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import java.util.List;
import java.util.Optional;

/**
 * The rear cavity for the controls.
 *
 * @param outline seen from the front
 * @param woodOver wood left between its floor and the finished front
 * @param coverThickness depth of the cover's recess in the back
 * @param coverLip how far the cover's recess stands out beyond the cavity
 * @param screws of the cover, each with an ear of its own round it
 * @param cover the cover plate itself, which the recess is as deep as
 */
public record ControlCavity(
        Outline outline,
        double woodOver,
        double coverThickness,
        double coverLip,
        List<Point> screws,
        Optional<Part> cover) {
    /** The feature's name for the cavity itself. */
    public static final Feature FEATURE = Feature.of(FeatureKind.CONTROLS);

    /** The feature's name for the pilot holes of its cover's screws. */
    public static final Feature SCREWS = Feature.of(FeatureKind.COVER_SCREWS);

    /** Diameter of the ear round a cover's screw: common practice. */
    public static final double EAR = 9;

    /** The feature's name for the recess of its cover. */
    public static final Feature COVER = Feature.of(FeatureKind.COVER);

    public ControlCavity {
        Refusal.positive(woodOver, "woodOver");
        Refusal.notNegative(coverThickness, "coverThickness");
        Refusal.notNegative(coverLip, "coverLip");
        screws = List.copyOf(screws);
        cover.ifPresent(c -> Refusal.unless(
                c.kind() == PartKind.COVER, "cover", "a " + c.kind().word() + " is no cover plate"));
    }

    /** What the cover's recess takes: the cavity, its lip, and an ear round every screw. */
    public Region coverPlan() {
        Region plan = outline.region().grown(coverLip);
        for (Point screw : screws) {
            plan = plan.union(Region.disc(screw, EAR));
        }
        return plan;
    }

    /** A cavity whose cover's thickness is given. */
    public ControlCavity(Outline outline, double woodOver, double coverThickness, double coverLip) {
        this(outline, woodOver, coverThickness, coverLip, List.of(), Optional.empty());
    }
}
