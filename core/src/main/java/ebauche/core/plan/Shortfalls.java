package ebauche.core.plan;

import ebauche.core.design.Measurand;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.AsCut;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.job.History;
import ebauche.core.job.UnderTop;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.stock.Change;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Finds where more is wanted of a cavity or a hole that is cut already: by a part that was measured afterwards, or by a later
 * number. What is wanted less of is a contradiction, and told as such.
 */
final class Shortfalls {
    /** A hole narrower than wanted by less goes on with the part, mm: chords and a drill's own runout. */
    private static final double SNUG = 0.05;

    private final Build build;
    private final Map<StepKey, AsBuilt.Done> done;
    private final List<Finding> found = new ArrayList<>();

    private Shortfalls(Build build, Map<StepKey, AsBuilt.Done> done) {
        this.build = build;
        this.done = done;
    }

    /**
     * At most one for a feature whose steps are all done.
     *
     * @param told features of which it is told already that they were cut where the design now wants wood
     */
    static List<Finding> find(
            Build build, List<Operation> planned, Map<StepKey, AsBuilt.Done> done, Set<Feature> told) {
        if (done.isEmpty()) {
            return List.of();
        }
        Map<Feature, List<Operation>> steps = new LinkedHashMap<>();
        for (Operation operation : planned) {
            operation.changes().stream()
                    .filter(History::isVoid)
                    .map(Change::feature)
                    .distinct()
                    .forEach(f ->
                            steps.computeIfAbsent(f, k -> new ArrayList<>()).add(operation));
        }
        Shortfalls shortfalls = new Shortfalls(build, done);
        steps.keySet().removeAll(told);
        steps.forEach(shortfalls::feature);
        return shortfalls.found;
    }

    private static boolean again(Operation step) {
        return step.key().kind().isAgain();
    }

    private void feature(Feature feature, List<Operation> steps) {
        List<Operation> first = steps.stream().filter(s -> !again(s)).toList();
        if (first.isEmpty() || !first.stream().allMatch(s -> done.containsKey(s.key()))) {
            return;
        }
        boolean planned = steps.stream().anyMatch(s -> again(s) && !done.containsKey(s.key()));
        boolean hole = first.stream().allMatch(s -> s.setting() instanceof Setting.Drilled);
        Region wanted = Region.EMPTY;
        for (Operation step : first) {
            for (Change change : step.changes()) {
                if (change instanceof Change.Remove && change.feature().equals(feature)) {
                    wanted = wanted.union(change.solid().plan());
                }
            }
        }
        AsCut cut = new AsCut(build, feature, first.get(0).face());
        Region standing = hole ? wanted.minus(cut.taken()) : cut.standing(wanted);
        double lacks = standing.reachesBeyond(cut.taken());
        if (!standing.isEmpty() && lacks > SNUG) {
            tooSmall(feature, standing.inner(), lacks, hole, planned);
        } else if (!hole && !feature.equals(NeckJoint.FEATURE)) {
            tooShallow(feature, cut, first, planned);
        }
    }

    private void tooSmall(Feature feature, Point at, double lacks, boolean hole, boolean planned) {
        found.add(Finding.thinkAgain(Work.PLAN, "cut-too-small")
                .on(feature)
                .at(at)
                .length("lacks", lacks)
                .says(
                        "The " + feature.said() + (hole ? " is drilled" : " is cut")
                                + ", and it is wanted larger now: by {0} at its edge.",
                        hole
                                ? "Ream it, or plug it and drill it again; or another part."
                                : planned
                                        ? "A step that routs it again is planned; or go back to the number it was cut to."
                                        : "Rout it again, or go back to the number it was cut to."));
    }

    /** The neck pocket has its own tolerance and its own findings. */
    private void tooShallow(Feature feature, AsCut cut, List<Operation> first, boolean planned) {
        Measurand depth = new Measurand.DepthOf(feature);
        first.stream()
                .filter(s -> s.key().is(StepKind.ROUT))
                .flatMap(s -> s.inspections().stream())
                .filter(i -> i.measurand().equals(depth))
                .findFirst()
                .map(i -> i.expected().value() - cut.toSand())
                .filter(cut::isTooShallow)
                .map(cut::lacks)
                .ifPresent(lacks -> found.add(Finding.thinkAgain(Work.PLAN, "cut-too-shallow")
                        .on(feature)
                        .length("lacks", lacks)
                        .says(
                                "The " + feature.said() + " is cut, and it is wanted {0} deeper now.",
                                planned
                                        ? "A step that deepens it is planned; or go back to the number it was cut to."
                                        : UnderTop.isInCore(feature) && UnderTop.isClosed(build)
                                                ? "Nobody reaches it any more: go back to the number it was cut to."
                                                : "Take it down by that, or go back to the number it was cut to.")));
    }
}
