package ebauche.core.plan;

import ebauche.core.design.Measurand;
import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * How much deeper than its number a floor is still good: no nearer than the shop's thinnest floor to whatever is cut into the body
 * under it. Where that is still to be cut too, each of the two may have half of the wood to spare. What a gauge can tell is good always.
 */
final class FloorBands {
    private final Build build;
    private final Map<StepKey, List<Change>> cut;
    private final List<Operation> steps;

    private FloorBands(Build build, Map<StepKey, List<Change>> cut, List<Operation> steps) {
        this.build = build;
        this.cut = cut;
        this.steps = steps;
    }

    /**
     * The same steps, their bands closed where wood is scarce.
     *
     * @param cut what finished steps did to the wood
     */
    static List<Operation> closed(Build build, Map<StepKey, List<Change>> cut, List<Operation> steps) {
        FloorBands bands = new FloorBands(build, cut, steps);
        return steps.stream().map(bands::closed).toList();
    }

    private Operation closed(Operation step) {
        List<Inspection> inspections = new ArrayList<>();
        for (Inspection i : step.inspections()) {
            boolean wide = i.measurand().equals(new Measurand.DepthOf(step.feature()))
                    && i.band().above().value() > least();
            inspections.add(wide ? i.with(closed(step, i.band())) : i);
        }
        return inspections.equals(step.inspections()) ? step : step.measuring(inspections);
    }

    private Band closed(Operation step, Band band) {
        double spare = Double.POSITIVE_INFINITY;
        for (Change change : step.changes()) {
            if (change instanceof Change.Remove floor && floor.feature().equals(step.feature())) {
                spare = Math.min(spare, spare(step, floor.solid()));
            }
        }
        Reckoning above = spare < least()
                ? Band.least(band.above(), "as little as a gauge can tell, since no wood is to spare", least())
                : Band.least(band.above(), "wood over the thinnest floor", spare);
        return new Band(band.below(), above);
    }

    private double least() {
        return build.shop().limits().depthTolerance();
    }

    private double spare(Operation step, Solid floor) {
        double thinnest = build.shop().limits().thinnestFloor();
        Region near = floor.plan().grown(thinnest);
        double spare = Double.POSITIVE_INFINITY;
        for (Operation other : steps) {
            boolean done = cut.containsKey(other.key());
            if (meets(step, other)) {
                continue;
            }
            for (Change change : cut.getOrDefault(other.key(), other.changes())) {
                if (change instanceof Change.Remove gone && gone.solid().plan().overlaps(near)) {
                    double wood = wood(step.face(), floor, gone.solid(), near) - thinnest;
                    boolean shared = !done && isFloor(other);
                    spare = Math.min(spare, shared ? wood / 2 : wood);
                }
            }
        }
        return spare;
    }

    private static boolean isFloor(Operation step) {
        return step.inspections().stream().anyMatch(i -> i.measurand().equals(new Measurand.DepthOf(step.feature())));
    }

    private static boolean meets(Operation step, Operation other) {
        return other.feature().equals(step.feature())
                || step.joins().contains(other.feature())
                || other.joins().contains(step.feature());
    }

    /** Wood between a floor and what lies under it; no end of it where the other does not lie under it. */
    private static double wood(Face face, Solid floor, Solid other, Region near) {
        double wood = face == Face.FRONT
                ? other.shallowest(near) - floor.deepest()
                : floor.shallowest() - other.deepest(near);
        return wood >= 0 ? wood : Double.POSITIVE_INFINITY;
    }
}
