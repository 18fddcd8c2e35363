package ebauche.core.blank;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.layout.Need;
import ebauche.core.layout.Pocket;
import java.util.ArrayList;
import java.util.List;

/**
 * Where brads, nipped off to nubs, keep a top from creeping: in wood that a front pocket takes away through the top into
 * the core, or else in the waste outside the outline; two, as far apart as can be.
 *
 * @param inWaste whether they stand outside the outline
 */
public record Registration(Point one, Point other, boolean inWaste) {
    /** Kept from the outline, mm: common practice. */
    private static final double CLEAR = 6;

    /** Least distance at which two pins hold a direction: common practice, mm. */
    private static final double LEAST_APART = 60;

    /** Where they stand in a blank, off what is hollow under the top. */
    public static Registration of(Need whole, Region blank, Region hollow, double topThickness) {
        List<Point> middles = new ArrayList<>();
        for (Pocket pocket : whole.pockets()) {
            if (pocket.top() <= 0.01 && pocket.bottom() > topThickness) {
                Point middle = pocket.area().centroid();
                if (!hollow.contains(middle)) {
                    middles.add(middle);
                }
            }
        }
        Registration best = null;
        for (Point a : middles) {
            for (Point b : middles) {
                if (best == null || a.distance(b) > best.one().distance(best.other())) {
                    best = new Registration(a, b, false);
                }
            }
        }
        return best != null && best.one().distance(best.other()) >= LEAST_APART ? best : corners(blank);
    }

    private static Registration corners(Region blank) {
        return new Registration(
                new Point(blank.minX() + CLEAR, blank.minY() + CLEAR),
                new Point(blank.maxX() - CLEAR, blank.maxY() - CLEAR),
                true);
    }
}
