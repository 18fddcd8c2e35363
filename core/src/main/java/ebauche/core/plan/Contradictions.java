package ebauche.core.plan;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Region;
import ebauche.core.job.AsCut;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.operation.Operation;
import ebauche.core.stock.Change;
import ebauche.core.stock.Fill;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Finds where a later design wants wood that a finished step has already taken.
 *
 * <p>A finished cut agrees with the design when the planned cuts of the same feature from the same face cover it, within
 * the shop's tolerances. Otherwise the nearest planned cut tells what is gone: an area of plan, or a depth.
 */
final class Contradictions {
    /** How much thicker a blank may be wanted than it was left: a sanding's worth, mm. */
    private static final double DEPTH = 0.3;

    /** Decimal noise under which a depth counts as the limit itself, mm. */
    private static final double NOISE = 1e-9;

    /**
     * A cavity that is so little larger than its part wants goes on, with room to shim: a part measured smaller afterwards is no
     * reason to stop. Common practice.
     */
    private static final double ROOM = 2;

    private Contradictions() {}

    /**
     * At most one for a feature, by its name: the last cut tells most.
     *
     * @param done finished steps by their keys, in the order of doing
     * @param cut what each of them really did to the wood
     */
    static Map<Feature, Finding> find(
            Build build, List<Operation> planned, Map<StepKey, AsBuilt.Done> done, Map<StepKey, List<Change>> cut) {
        Map<Feature, Finding> found = new LinkedHashMap<>();
        List<AsBuilt.Done> lastFirst = new ArrayList<>(done.values());
        Collections.reverse(lastFirst);
        List<Solid> putBack = new ArrayList<>();
        for (AsBuilt.Done fact : lastFirst) {
            for (Change change : cut.get(fact.operation())) {
                if (change instanceof Change.Remove taken && !found.containsKey(taken.feature())) {
                    stillGone(taken, putBack)
                            .flatMap(t -> compare(build, planned, fact, t).stream())
                            .findFirst()
                            .ifPresent(f -> found.put(taken.feature(), f));
                } else if (change instanceof Change.Add add && add.fills()) {
                    putBack.add(add.solid());
                }
            }
        }
        return found;
    }

    /** What is still gone of a cut, after the wood that was put back since. */
    private static Stream<Change.Remove> stillGone(Change.Remove cut, List<Solid> putBack) {
        List<Solid> left = List.of(cut.solid());
        for (Solid fill : putBack) {
            left = Fill.without(left, fill);
        }
        return left.stream().map(s -> new Change.Remove(cut.feature(), cut.workpiece(), s));
    }

    private static Optional<Finding> compare(
            Build build, List<Operation> planned, AsBuilt.Done fact, Change.Remove cut) {
        Region body = build.design().outline().region();
        Region taken = cut.solid().plan().intersection(body);
        if (taken.area() < AsCut.SLIVER) {
            return Optional.empty();
        }
        boolean cavity = false;
        Region wanted = Region.EMPTY;
        double shallowest = Double.POSITIVE_INFINITY;
        double deepest = Double.NEGATIVE_INFINITY;
        for (Operation operation : planned) {
            for (Change change : operation.changes()) {
                boolean sameWork =
                        operation.face() == fact.face() || fact.operation().equals(operation.key());
                if (sameWork
                        && change instanceof Change.Remove plan
                        && plan.feature().equals(cut.feature())) {
                    cavity |= plan.feature().isVoid() && !plan.feature().owner().is(FeatureKind.NECK);
                    wanted = wanted.union(plan.solid().plan());
                    shallowest = Math.min(shallowest, plan.solid().shallowest());
                    deepest = Math.max(deepest, plan.solid().deepest());
                }
            }
        }
        Region gone = taken.minus(wanted.grown(AsCut.PENCIL));
        if (gone.area() > AsCut.SLIVER) {
            double beyond = wanted.isEmpty() ? Double.POSITIVE_INFINITY : gone.reachesBeyond(wanted);
            return Optional.of(
                    cavity && beyond <= ROOM ? roomier(fact, gone, beyond) : areaGone(fact, gone, wanted.isEmpty()));
        }
        return depthGone(build, fact, cut.feature(), cut.solid(), shallowest, deepest, cavity);
    }

    private static Finding roomier(AsBuilt.Done fact, Region gone, double beyond) {
        return Finding.thinkAgain(Work.PLAN, "done-contradicted")
                .at(gone.inner())
                .length("larger by", beyond)
                .says(
                        "“" + fact.title() + "” is done, and took {0} more at its edge than is wanted now.",
                        "Larger than wanted: usable with a shim, or go back to the number it was cut to.");
    }

    private static Finding areaGone(AsBuilt.Done fact, Region gone, boolean unwanted) {
        String what = unwanted
                ? "“" + fact.title() + "” is done, and the design no longer has what it cut."
                : "“" + fact.title() + "” is done, and the design now wants wood that it took.";
        return Finding.stops(Work.PLAN, "done-contradicted")
                .at(gone.centroid())
                .says(what, "Go back to the design as it was cut, or plan a plug, a cap or a new blank.");
    }

    private static Optional<Finding> depthGone(
            Build build,
            AsBuilt.Done fact,
            Feature cut,
            Solid solid,
            double shallowest,
            double deepest,
            boolean cavity) {
        double tolerance = Math.max(DEPTH, build.bands(cut, fact.face(), true)) + NOISE;
        double below = solid.deepest() - deepest;
        double above = shallowest - solid.shallowest();
        boolean through = solid.deepest() >= build.faces().backNow();
        boolean fromAbove = solid.shallowest() <= build.faces().frontNow();
        double over = Math.max(through ? 0 : below, fromAbove ? 0 : above);
        if (over <= tolerance) {
            return Optional.empty();
        }
        Finding.Builder finding = cavity && over <= ROOM
                ? Finding.thinkAgain(Work.PLAN, "done-contradicted")
                : Finding.stops(Work.PLAN, "done-contradicted");
        return Optional.of(finding.at(solid.plan().centroid())
                .length("too deep by", over)
                .says(
                        "“" + fact.title() + "” is done, {0} deeper than the design now wants.",
                        "Go back to the number it was cut to, shim or plug it, or change what rests on it."));
    }
}
