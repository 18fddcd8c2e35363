package ebauche.core.sheet;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.operation.Operation;
import ebauche.core.passes.Pass;
import ebauche.core.passes.Reach;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Stations;
import ebauche.core.routing.GuidedWork;
import ebauche.core.stock.Change;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A void in the wall that a bearing runs on: it dives in there, so the pass is stopped and begun anew beyond, or the void is
 * plugged.
 *
 * @param pass number of the pass, from 1
 * @param feature what was cut there before
 * @param at the middle of the gap in the wall
 * @param from least depth of the gap within the bearing's band, from the face that is worked
 * @param to greatest
 */
public record BearingGap(int pass, Feature feature, Point at, double from, double to) {
    /** How far into the wood a wall is looked at, mm. */
    private static final double RING = 2;

    private static final double NEARLY = 0.05;

    /** The feature in words. */
    public String said() {
        return feature.said();
    }

    /** The stops of one step's passes; none where it is not routed along a guide. */
    public static List<BearingGap> at(BuildPlan plan, Operation step) {
        List<Pass> passes = step.setting().passes();
        if (passes.stream().allMatch(p -> p.guide() == Pass.Guide.TEMPLATE)) {
            return List.of();
        }
        return Stations.guidedWork(plan.build(), step.feature())
                .map(w -> of(plan, w, passes))
                .orElse(List.of());
    }

    /** The stops of the passes of what is routed along a template: voids that the plan cuts before it. */
    public static List<BearingGap> of(BuildPlan plan, GuidedWork work, List<Pass> passes) {
        return of(plan, work.feature(), work.face(), work.wall(RING), passes);
    }

    private static List<BearingGap> of(BuildPlan plan, Feature feature, Face face, Region ring, List<Pass> passes) {
        Build build = plan.build();
        List<BearingGap> stops = new ArrayList<>();
        List<Change> before = before(plan, feature);
        int number = 0;
        for (Pass pass : passes) {
            number++;
            if (pass.guide() == Pass.Guide.TEMPLATE) {
                continue;
            }
            double[] band = band(build, face, pass);
            stops.addAll(stops(build, face, ring, band, before, number));
        }
        return stops;
    }

    /** One stop for each feature that takes so much of the band that the bearing has too little wall. */
    private static List<BearingGap> stops(
            Build build, Face face, Region ring, double[] band, List<Change> before, int number) {
        Map<Feature, BearingGap> byFeature = new LinkedHashMap<>();
        for (Change change : before) {
            double from = Math.max(band[0], change.solid().shallowest());
            double to = Math.min(band[1], change.solid().deepest());
            // A bearing that still runs on enough wall over or under the void does not fall in.
            boolean falls = to - from > NEARLY && band[1] - band[0] - (to - from) < Reach.LEAST_CONTACT - NEARLY;
            Region gap = falls ? ring.intersection(change.solid().plan()) : Region.EMPTY;
            if (gap.area() > NEARLY) {
                // The last of a feature's cuts is the widest.
                byFeature.put(
                        change.feature(),
                        new BearingGap(
                                number,
                                change.feature(),
                                gap.centroid(),
                                depth(build, face, from, to),
                                depthTo(build, face, from, to)));
            }
        }
        return List.copyOf(byFeature.values());
    }

    private static double depth(Build build, Face face, double from, double to) {
        return face == Face.FRONT
                ? from - build.faces().frontNow()
                : build.faces().backNow() - to;
    }

    private static double depthTo(Build build, Face face, double from, double to) {
        return face == Face.FRONT
                ? to - build.faces().frontNow()
                : build.faces().backNow() - from;
    }

    /** The stock depths over which the bearing runs. */
    private static double[] band(Build build, Face face, Pass pass) {
        double width = pass.cutter().bit().guideWidth();
        double low;
        double high;
        if (pass.guide() == Pass.Guide.FAR_WALL) {
            // From the other face the bearing runs beyond the cutter's end.
            low = pass.to();
            high = pass.to() + width;
            return face == Face.FRONT
                    ? new double[] {
                        build.faces().backNow() - high, build.faces().backNow() - low
                    }
                    : new double[] {
                        build.faces().frontNow() + low, build.faces().frontNow() + high
                    };
        }
        high = pass.to() - pass.cutter().bit().cutterLength();
        low = Math.max(0, high - width);
        return face == Face.FRONT
                ? new double[] {build.faces().frontNow() + low, build.faces().frontNow() + high}
                : new double[] {build.faces().backNow() - high, build.faces().backNow() - low};
    }

    /** What is cut before a feature's own last cut, other than by itself. */
    private static List<Change> before(BuildPlan plan, Feature feature) {
        List<Change> cut = new ArrayList<>();
        List<Change> sofar = new ArrayList<>();
        for (History.Step step : plan.history().steps()) {
            for (Change change : step.changes()) {
                if (change.feature().equals(feature)) {
                    cut = new ArrayList<>(sofar);
                } else if (History.isVoid(change)) {
                    sofar.add(change);
                }
            }
        }
        return cut;
    }
}
