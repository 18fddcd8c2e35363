package ebauche.core.geometry;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** A closed line as its corners, x, y, x, y ..., the first repeated at the end. */
public final class Ring {
    private Ring() {}

    /** 1 for one that turns to the left, -1 for one that turns to the right: the sign of its area. */
    public static double turns(double[] ring) {
        double twice = 0;
        for (int i = 0; i + 3 < ring.length; i += 2) {
            twice += ring[i] * ring[i + 3] - ring[i + 2] * ring[i + 1];
        }
        return Math.signum(twice);
    }

    /** Its corners turning to the left, the first not repeated. */
    public static List<Point> anticlockwise(double[] ring) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < ring.length - 2; i += 2) {
            points.add(new Point(ring[i], ring[i + 1]));
        }
        if (turns(ring) < 0) {
            Collections.reverse(points);
        }
        return points;
    }
}
