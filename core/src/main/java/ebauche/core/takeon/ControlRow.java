package ebauche.core.takeon;

import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartSize;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Controls in a row along the treble side's edge, from beside the bridge towards the tail, as far apart as a hand likes and the wood
 * allows, the first of them near where the hand plays. Every place of the row on lines at several distances inside the edge is tried.
 * Common practice, from memory; mm, right-handed.
 *
 * @param at where each stands, in the order asked
 * @param apart from middle to middle of neighbours, but where two are larger
 */
record ControlRow(List<Point> at, double apart) {
    /** From middle to middle of two knobs, the best first. */
    private static final double[] APART = {44, 40, 36, 32, 28};

    /** Two parts side by side do not touch. */
    private static final double BETWEEN = 1.5;

    /** Lines inside the edge that a row is tried on. */
    private static final double NEAREST = 22;

    private static final double FARTHEST = 95;
    private static final double INSET = 3;
    private static final double STRIDE = 3;

    /** The first stands so far beside the outer string, and so far behind the saddles. */
    private static final double BESIDE_STRINGS = 60;

    private static final double BEHIND_SADDLES = 8;

    /** Farther inside the edge than this a jack's hole into their cavity gets long: each millimetre counts as so much beside the wished place. */
    private static final double NEAR_EDGE = 34;

    private static final double FAR_COUNTS = 2;

    /** No row begins nearer to the neck. */
    private static final double FOREMOST = 60;

    /**
     * The row, if the wood has room for it.
     *
     * @param allowed where their bodies may lie
     * @param outerString x of the outer treble string at the saddles
     */
    static Optional<ControlRow> of(List<Part> controls, Region body, Region allowed, double outerString) {
        Point wished = new Point(outerString + BESIDE_STRINGS, -BEHIND_SADDLES);
        Map<Double, Region> middles = new HashMap<>();
        List<EdgeWalk> lines = new ArrayList<>();
        for (double inset = NEAREST; inset <= FARTHEST; inset += INSET) {
            Region inner = body.grown(-inset);
            if (!inner.isEmpty()) {
                lines.add(new EdgeWalk(inner));
            }
        }
        for (double apart : APART) {
            Optional<ControlRow> best = Optional.empty();
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i < lines.size(); i++) {
                EdgeWalk line = lines.get(i);
                double deep = FAR_COUNTS * Math.max(0, NEAREST + i * INSET - NEAR_EDGE);
                for (double way = 0; way < line.length(); way += STRIDE) {
                    Point first = line.at(way, 0);
                    double off = first.distance(wished) + deep;
                    if (off < least && first.x() > outerString && first.y() < FOREMOST) {
                        List<Point> row = row(controls, line, way, apart);
                        if (fits(controls, row, allowed, middles)) {
                            least = off;
                            best = Optional.of(new ControlRow(row, apart));
                        }
                    }
                }
            }
            if (best.isPresent()) {
                return best;
            }
        }
        return Optional.empty();
    }

    /** Down the treble side: an outline is walked anticlockwise, so backward along it. */
    private static List<Point> row(List<Part> controls, EdgeWalk line, double from, double apart) {
        List<Point> row = new ArrayList<>();
        double way = from;
        for (int i = 0; i < controls.size(); i++) {
            if (i > 0) {
                way -= Math.max(apart, reach(controls.get(i - 1)) + reach(controls.get(i)) + BETWEEN);
            }
            row.add(line.at(way, 0));
        }
        return row;
    }

    private static boolean fits(List<Part> controls, List<Point> row, Region allowed, Map<Double, Region> middles) {
        for (int i = 0; i < row.size(); i++) {
            Region room = middles.computeIfAbsent(reach(controls.get(i)), r -> allowed.grown(-r));
            if (!room.contains(row.get(i))) {
                return false;
            }
            for (int k = 0; k < i; k++) {
                if (row.get(k).distance(row.get(i)) < reach(controls.get(k)) + reach(controls.get(i)) + BETWEEN - 0.5) {
                    return false;
                }
            }
        }
        return true;
    }

    /** Half of what it takes whichever way it is turned. */
    private static double reach(Part part) {
        return Math.max(part.get(PartSize.ACROSS), part.get(PartSize.ALONG)) / 2;
    }
}
