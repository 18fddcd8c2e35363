package ebauche.core.neck;

import ebauche.core.design.NeckJoint;
import ebauche.core.geometry.Face;
import ebauche.core.job.AsCut;
import ebauche.core.job.Build;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import java.util.Optional;

/**
 * The neck pocket as wanted and as it is: target depth, depth found, what is still to cut, the saddle height that follows.
 *
 * <p>All depths are from the front as it will be when finished. Sanding s off the front before the pocket is cut leaves
 * the target; after a depth m was measured the pocket is m - s deep, and target - m + s is still to cut.
 */
public record PocketState(NeckPocket geometry, Reckoning target, Build build) {

    public static PocketState of(Build build) {
        NeckPocket geometry = NeckPocket.of(build);
        Reckoning target = geometry.depthFor(geometry.aim(build.design().bridge()));
        return new PocketState(geometry, target, build);
    }

    /** Depth under the finished front, from the last reading, or as expected when the step was done. */
    public Optional<Reckoning> found() {
        return new AsCut(build, NeckJoint.FEATURE, Face.FRONT).depth("pocket depth as it is");
    }

    /** Target less what is found: positive is still to cut, negative is too deep. */
    public Optional<Reckoning> stillToCut() {
        return found().map(now -> Reckoning.of("still to cut in the pocket", Quantity.LENGTH)
                .length("pocket depth wanted, p", target.asFact())
                .length("pocket depth as it is", now.asFact())
                .is(target.value() - now.value(), "p − pocket depth as it is"));
    }

    /** How far the heel's top, under the fingerboard, stands over the finished front at the end wall. */
    public Reckoning proud() {
        Reckoning depth = found().orElse(target);
        double tilt = Math.cos(Math.toRadians(geometry.angle().value()));
        double proud =
                geometry.heel().value() / tilt + geometry.plateUnderHeel().value() - depth.value();
        return Reckoning.of("heel stands proud of the front", Quantity.LENGTH)
                .length("heel thickness, h", geometry.heel())
                .angle("neck angle, α", geometry.angle())
                .length("plate under the heel", geometry.plateUnderHeel())
                .length("pocket depth at the end wall, p", depth.asFact())
                .is(proud, "h / cos α + plate under the heel − p");
    }

    /** The saddle height that the pocket, as it is found or else as planned, calls for on the centre line. */
    public Reckoning saddleHeight() {
        return geometry.saddleHeightFor(found().orElse(target).asFact());
    }
}
