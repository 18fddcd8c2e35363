package ebauche.app.drawing;

import ebauche.core.geometry.Region;
import ebauche.core.plan.BuildPlan;

/**
 * Where the two section lines stand.
 *
 * @param acrossAt the body's x of the lengthwise section
 * @param alongAt the body's y of the cross-section
 */
public record SectionLines(double acrossAt, double alongAt) {

    /** Given places kept on the body, in whole half millimetres; where none is given, through the middle. */
    public static SectionLines within(BuildPlan plan, Double acrossAt, Double alongAt) {
        Region body = plan.build().design().outline().region();
        double x = given(acrossAt) ? acrossAt : 0;
        double y = given(alongAt) ? alongAt : plan.build().design().neck().endWallToSaddle() + 20;
        return new SectionLines(
                half(Math.max(body.minX(), Math.min(body.maxX(), x))),
                half(Math.max(body.minY(), Math.min(body.maxY(), y))));
    }

    private static boolean given(Double place) {
        return place != null && Double.isFinite(place);
    }

    private static double half(double value) {
        return Math.rint(value * 2) / 2;
    }
}
