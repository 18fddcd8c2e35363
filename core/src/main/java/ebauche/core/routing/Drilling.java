package ebauche.core.routing;

import ebauche.core.crib.Drill;
import ebauche.core.crib.Fit;
import ebauche.core.job.Build;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Setting;
import java.util.Optional;

/** The drill that a hole is drilled with, chosen by how its part or screw is to sit. */
public final class Drilling {
    /** Said of a step for which the crib has no drill; the finding names the one that is missing. */
    private static final String NONE = "a drill that the crib lacks";

    private Drilling() {}

    /** To a stop. */
    public static Setting.Drilled to(Build build, double wide, Fit fit, Reckoning depth, String says) {
        return with(build.shop().crib().drill(wide, fit, depth.value()), wide, fit, depth, says);
    }

    /** Deep into the body, with a long drill where the crib has one that fits. */
    public static Setting.Drilled deep(Build build, double wide, Fit fit, Reckoning depth, String says) {
        return with(build.shop().crib().longDrill(wide, fit, depth.value()), wide, fit, depth, says);
    }

    private static Setting.Drilled with(Optional<Drill> drill, double wide, Fit fit, Reckoning depth, String says) {
        return new Setting.Drilled(tool(drill), depth, says, Optional.of(new Setting.Drilled.Hole(wide, fit, false)));
    }

    /** Right through onto scrap, or from both faces where the drill is too short for that. */
    public static Setting.Drilled through(Build build, double wide, Fit fit, Reckoning depth) {
        Optional<Drill> drill = drill(build, wide, fit);
        boolean reaches = drill.filter(d -> d.reach() < depth.value()).isEmpty();
        return new Setting.Drilled(
                tool(drill),
                depth,
                reaches ? "right through, onto scrap" : "in all, half from each face",
                Optional.of(new Setting.Drilled.Hole(wide, fit, true)));
    }

    /** The depth of a hole through the body as it is now. */
    public static Reckoning throughBody(Build build) {
        double front = build.faces().frontNow();
        double back = build.faces().backNow();
        return Reckoning.of("through the body", Quantity.LENGTH)
                .length("front now", front)
                .length("back now", back)
                .is(back - front, "back now − front now");
    }

    private static Optional<Drill> drill(Build build, double wide, Fit fit) {
        return build.shop().crib().drill(wide, fit);
    }

    private static String tool(Optional<Drill> drill) {
        return drill.map(Drill::name).orElse(NONE);
    }
}
