package ebauche.core.routing;

import ebauche.core.crib.Fit;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.fit.FerruleFit;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Holes right through the body whose ends in the back may take ferrules. With ferrules small holes come first, in which the spur of
 * the seats' drill finds its place; then the seats, and last the holes are opened to their width, so that no drill is set down
 * on a hole wider than its spur.
 *
 * @param work that the steps belong to
 * @param feature of the holes
 * @param what they are for, as the bench says it, such as {@code strings}
 * @param places of their middles, named
 * @param wide diameter of the holes, mm
 * @param ferrule that the seats are for, if there are any
 */
public record SeatedHoles(
        Build build,
        Work work,
        Feature feature,
        String what,
        List<Place> places,
        double wide,
        Optional<FerruleFit> ferrule) {
    /** Small enough for a spur, stiff enough for a body: common practice. */
    private static final double LOCATING = 2.4;

    /** A step that drills all of the holes, with what it needs besides what its neighbours give. */
    public interface Drill {
        Operation.Builder of(StepKind step, String title, double wide);
    }

    private String holes() {
        return what + "' holes";
    }

    /** That the holes are there at their full width. */
    public Condition.Access done() {
        return new Condition.Access(StepKey.of(feature, StepKind.DRILL), holes() + " through the body");
    }

    /**
     * The steps, in their order.
     *
     * @param title of the step that drills them where nothing comes before it
     */
    public List<Operation> operations(String title, Drill drill) {
        if (ferrule.isEmpty()) {
            return List.of(drill.of(StepKind.DRILL, title, wide).gives(done()).build());
        }
        Condition.Access small =
                new Condition.Access(StepKey.of(feature, StepKind.LOCATE), "small holes for the " + what);
        Condition.Mark seated = new Condition.Mark(
                StepKey.of(ferrule.get().feature(), StepKind.BORE),
                ferrule.get().feature().said() + " bored");
        List<Operation> steps = new ArrayList<>();
        boolean drilledFirst = build.isDone(StepKey.of(feature, StepKind.DRILL))
                && !build.isDone(StepKey.of(feature, StepKind.LOCATE));
        if (drilledFirst) {
            steps.add(seats(done()).gives(seated).build());
            steps.add(drill.of(StepKind.DRILL, title, wide).gives(done()).build());
            return steps;
        }
        steps.add(drill.of(StepKind.LOCATE, "Drill small holes for the " + what + " through the body", LOCATING)
                .gives(small)
                .build());
        steps.add(seats(small).gives(seated).build());
        steps.add(drill.of(StepKind.DRILL, "Open the " + holes() + " to their width", wide)
                .needs(seated)
                .gives(done())
                .build());
        return steps;
    }

    /** Seats for the ferrules, on the holes that came through; out of line shows at once. */
    private Operation.Builder seats(Condition.Access on) {
        FerruleFit fit = ferrule.orElseThrow();
        Reckoning finished = fit.depth();
        double seat = fit.seat().value();
        Reckoning depth = build.fromAsItIs(
                Face.BACK, "ferrule seat from the back as it is now", finished.what(), finished.asFact());
        Operation.Builder step = Operation.of(
                        work,
                        fit.feature(),
                        StepKind.BORE,
                        "Bore the " + fit.feature().said() + " in the back")
                .face(Face.BACK)
                .set(Drilling.to(build, seat, Fit.PRESS, depth, "deep from the back"))
                .needs(on)
                .joins(Set.of(feature))
                .caution(Caution.drilling(seat))
                .takes(25, 0, 0.008);
        double back = build.faces().backNow();
        double floor = build.faces().planeUnderFinished(Face.BACK, finished.value());
        for (Place place : places) {
            Point at = place.at();
            Region hole = Region.disc(at, seat);
            double fall = build.finished(Face.BACK).fall(at);
            step.at(place).cuts(Change.Remove.fromBody(fit.feature(), Solid.Prism.between(hole, floor - fall, back)));
            Datum.carvesToCome(build, Face.BACK, hole).forEach(step::needs);
        }
        return step;
    }
}
