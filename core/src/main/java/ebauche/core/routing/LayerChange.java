package ebauche.core.routing;

import ebauche.core.design.Blank;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Where a cut comes through the joint between two timbers: the colour changes there, and tells the depth.
 *
 * @param depth from the face that is cut, as it is now
 * @param from what lies above it, such as {@code sugar maple}
 * @param to what lies below it, such as {@code red alder with black walnut}
 */
public record LayerChange(Reckoning depth, String from, String to) {

    /** Where a step's router or drill comes through it; empty where it does not, where both layers are one timber, and in the core before its top. */
    public static Optional<LayerChange> of(Build build, Operation step) {
        Blank blank = build.design().blank();
        OptionalDouble reaches = build.topReaches();
        boolean cuts = step.setting() instanceof Setting.Routed || step.setting() instanceof Setting.Drilled;
        if (!cuts
                || step.onCore()
                || blank.top().isEmpty()
                || reaches.isEmpty()
                || step.changes().isEmpty()) {
            return Optional.empty();
        }
        String top = blank.top().get().words();
        String core = blank.core().words();
        boolean front = step.face() == Face.FRONT;
        Reckoning.Builder sum = Reckoning.of("depth where the colour changes", Quantity.LENGTH)
                .length("top in the finished body", reaches.getAsDouble())
                .length("still to be sanded off the front", build.faces().toSand(Face.FRONT));
        double under = reaches.getAsDouble() + build.faces().toSand(Face.FRONT);
        String said = "top in the finished body + still to be sanded off the front";
        Reckoning depth = front
                ? sum.is(under, said)
                : sum.length("body as it is now", build.thicknessNow())
                        .is(build.thicknessNow() - under, "body as it is now − (" + said + ")");
        boolean through =
                step.setting().figure().filter(f -> f.value() > depth.value()).isPresent();
        return through && !top.equals(core) && depth.value() > 0
                ? Optional.of(new LayerChange(depth, front ? top : core, front ? core : top))
                : Optional.empty();
    }
}
