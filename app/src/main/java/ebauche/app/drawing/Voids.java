package ebauche.app.drawing;

import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.FinishedFaces;
import ebauche.core.job.History;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The cavities and holes of a plan as a drawing needs them: cut already at a step, being cut there, or still to come. */
public final class Voids {
    public enum When {
        BEFORE,
        NOW,
        LATER
    }

    /**
     * One void.
     *
     * @param area its plan inside the body
     * @param depthFromUp how deep it reaches from the face that is up: as that face is now, or, on the finished body, as it
     *     will be
     * @param opensUp whether it is open on the face that is up
     * @param depthFromOwn how deep it reaches from the face that it opens on; as {@code depthFromUp} where it opens on none
     */
    public record Hollow(
            Feature feature,
            Region area,
            When when,
            boolean opensUp,
            boolean through,
            double depthFromUp,
            double depthFromOwn) {}

    private Voids() {}

    /**
     * For every feature the last cut before the step, the cut of the step itself, and, if neither is there, the last to
     * come: waste and rough passes do not lie over the finished cavity.
     */
    public static List<Hollow> of(BuildPlan plan, int step, Face up) {
        FinishedFaces faces = plan.build().faces();
        Region body = plan.build().design().outline().region();
        Map<When, Map<String, Hollow>> last = new EnumMap<>(When.class);
        for (When when : When.values()) {
            last.put(when, new LinkedHashMap<>());
        }
        List<History.Step> steps = plan.history().steps();
        for (int i = 0; i < steps.size(); i++) {
            When when = i < step ? When.BEFORE : i == step ? When.NOW : When.LATER;
            // Supports are cut away beside what was cut before: they do not take its place.
            String beside = steps.get(i).operation().key().is(StepKind.SUPPORTS) ? "/supports/" : "/";
            int part = 0;
            for (Change change : steps.get(i).changes()) {
                if (History.isVoid(change)) {
                    last.get(when)
                            .put(
                                    change.feature() + beside + part++,
                                    one(change, when, body, faces, up, step == steps.size()));
                }
            }
        }
        last.get(When.LATER).keySet().removeAll(last.get(When.BEFORE).keySet());
        last.get(When.LATER).keySet().removeAll(last.get(When.NOW).keySet());
        List<Hollow> all = new ArrayList<>();
        last.values().forEach(v -> all.addAll(v.values()));
        return all;
    }

    private static Hollow one(Change change, When when, Region body, FinishedFaces faces, Face up, boolean finished) {
        Solid solid = change.solid();
        boolean front = solid.shallowest() <= faces.frontFinished() + 0.01;
        boolean back = solid.deepest() >= faces.backFinished() - 0.01;
        boolean opensUp = up == Face.FRONT ? front : back;
        double floor = up == Face.FRONT ? solid.deepest() : solid.shallowest();
        double depth = finished ? faces.fromFaceFinished(up, floor) : faces.fromFaceNow(up, floor);
        double fromOwn = depth;
        boolean opensDown = up == Face.FRONT ? back : front;
        if (!opensUp && opensDown) {
            double ceiling = up == Face.FRONT ? solid.shallowest() : solid.deepest();
            fromOwn = finished ? faces.fromFaceFinished(up.other(), ceiling) : faces.fromFaceNow(up.other(), ceiling);
        }
        return new Hollow(
                change.feature(), solid.plan().intersection(body), when, opensUp, front && back, depth, fromOwn);
    }
}
