package ebauche.core.cavity;

import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Place;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.stock.Bore;
import ebauche.core.stock.Change;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A level hole in the edge: first its middle is marked by its height, then it is drilled to a depth from the edge. Two steps, as each
 * has one figure to set.
 *
 * @param what it is for, as in {@code the jack}
 * @param axis depth of its middle in the stock
 * @param height its middle from the front as it is now, with its sum
 */
record EdgeHole(
        Build build,
        Feature feature,
        String what,
        Point entry,
        Point end,
        double wide,
        double axis,
        Reckoning height,
        Set<Feature> joins) {

    /** How deep it is in the wood: from where it enters the edge to its end. */
    Reckoning deep(String says) {
        double outside = outwards(build.design().outline().region(), end);
        return Reckoning.of(says, Quantity.LENGTH)
                .length("from its end to the edge, along it", outside)
                .is(outside, "from its end to the edge, along it");
    }

    /** Where its middle meets the edge, on the plan; a drawn entry may stand off it. */
    private Place onEdge() {
        Region body = build.design().outline().region();
        Point at = body.contains(end) ? end.towards(entry, outwards(body, end) / end.distance(entry)) : entry;
        return new Place("on the edge", at, "the edge", height);
    }

    /** How far it is from a place on its line out of an area, towards the edge. */
    double outwards(Region area, Point from) {
        double along = entry.distance(end);
        return area.wayOut(from, (entry.x() - end.x()) / along, (entry.y() - end.y()) / along);
    }

    /**
     * @param drilled the setting of the drill, to its stop
     */
    List<Operation> operations(Setting.Drilled drilled, int minutes, double risk, Caution... cautions) {
        List<Operation> steps = new ArrayList<>();
        Condition.Mark marked = new Condition.Mark(
                StepKey.of(feature, StepKind.MARK), "the middle of " + what + " hole marked on the edge");
        // Drilled without a mark of its own it needs none any more.
        boolean marks =
                build.isDone(StepKey.of(feature, StepKind.MARK)) || !build.isDone(StepKey.of(feature, StepKind.DRILL));
        if (marks) {
            steps.add(Operation.of(
                            Work.CAVITY, feature, StepKind.MARK, "Mark the middle of " + what + " hole on the edge")
                    .at(onEdge())
                    .set(new Setting.Marked(
                            "marking gauge from the front, a square round the edge",
                            height,
                            "from the front, on the edge"))
                    .needs(Datum.OUTLINE_ROUTED)
                    .gives(marked)
                    .takes(5, 0, 0.001)
                    .build());
        }
        Bore bore = Bore.level(entry, end, axis, wide);
        Operation.Builder step = Operation.of(
                        Work.CAVITY, feature, StepKind.DRILL, "Drill " + what + " hole, square to the edge")
                .set(drilled)
                .at(onEdge())
                .cuts(Change.Remove.fromBody(feature, bore))
                .needs(
                        Datum.OUTLINE_ROUTED,
                        new Condition.Wood(
                                bore.plan()
                                        .intersection(build.design().outline().region()),
                                Math.max(bore.shallowest(), build.faces().frontFinished()),
                                Math.min(bore.deepest(), build.faces().backFinished())))
                .gives(new Condition.Access(
                        StepKey.of(feature, StepKind.DRILL), what.replaceFirst("^the ", "") + " hole"))
                .joins(joins)
                .opens(Optional.of(WoodLeft.Opening.of(build.design().outline().region(), entry, end, wide)))
                .caution(cautions)
                .takes(minutes, 0, risk);
        steps.add((marks ? step.needs(marked) : step).build());
        return steps;
    }

    /** Height of a middle that lies so far under the finished front. */
    static Reckoning height(Build build, String what, Fact underFinished, String says) {
        return build.fromAsItIs(Face.FRONT, "middle of " + what + " hole", says, underFinished);
    }
}
