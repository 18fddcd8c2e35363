package ebauche.app.drawing;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.History;
import ebauche.core.plan.BuildPlan;

/**
 * Where the two section lines stand.
 *
 * @param acrossAt the body's x of the lengthwise section
 * @param alongAt the body's y of the cross-section
 */
public record SectionLines(double acrossAt, double alongAt) {

    /** Given places kept on the body, in whole half millimetres; where none is given, through what the step cuts. */
    public static SectionLines within(BuildPlan plan, int step, Double acrossAt, Double alongAt) {
        Region body = plan.build().design().outline().region();
        Point usual = cutBy(plan, step);
        double x = given(acrossAt) ? acrossAt : usual.x();
        double y = given(alongAt) ? alongAt : usual.y();
        return new SectionLines(
                half(Math.max(body.minX(), Math.min(body.maxX(), x))),
                half(Math.max(body.minY(), Math.min(body.maxY(), y))));
    }

    /** The middle of the first void that a step cuts; else the centre line and the neck pocket. */
    private static Point cutBy(BuildPlan plan, int step) {
        Region body = plan.build().design().outline().region();
        return plan.history().steps().stream()
                .skip(step)
                .limit(1)
                .flatMap(s -> s.changes().stream())
                .filter(History::isVoid)
                .map(c -> c.solid().plan().intersection(body))
                .filter(r -> !r.isEmpty())
                .map(Region::centroid)
                .findFirst()
                .orElseGet(() -> new Point(0, plan.build().design().neck().endWallToSaddle() + 20));
    }

    private static boolean given(Double place) {
        return place != null && Double.isFinite(place);
    }

    private static double half(double value) {
        return Math.rint(value * 2) / 2;
    }
}
