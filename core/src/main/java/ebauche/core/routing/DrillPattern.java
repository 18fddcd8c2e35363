package ebauche.core.routing;

import ebauche.core.crib.Drill;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Where a large drill is set down to take the waste out of a cavity before it is routed.
 *
 * <p>The rim stays inside the skin that is kept for the template's line. Holes are chosen one after the other, each where it takes
 * the most wood that still stands, on a grid of {@value #CELL} mm; none is bored for less than an eighth of its own area. The greedy
 * choice of a cover is within 1 - 1/e of the best with as many holes (Nemhauser, Wolsey and Fisher, 1978). They are numbered along
 * the cavity.
 *
 * @param holes centres
 * @param share of the area inside the skin that the holes take out
 */
public record DrillPattern(Drill drill, List<Point> holes, double share) {
    private static final double CELL = 2;
    private static final double LEAST_GAIN = 1.0 / 8;
    private static final int MOST_HOLES = 60;

    /** From a hole's edge to the spur, mm: common practice. */
    private static final double BESIDE = 2;

    /** Keeps a place that just touches an edge within the area, mm. */
    private static final double TOUCH = 1e-3;

    public DrillPattern {
        holes = List.copyOf(holes);
    }

    /**
     * Sets a drill down over a cavity.
     *
     * @param skin kept between the rim and the cavity's edge, mm
     * @param holes that are there already: the drill's spur needs wood beside them
     */
    public static DrillPattern of(Region cavity, Drill drill, double skin, Region holes) {
        return of(cavity.grown(-skin), centres(cavity, drill, skin, holes), drill);
    }

    /** Where its middle may stand; nowhere where it is too wide, or holes that are there leave its spur no wood. */
    static Region centres(Region cavity, Drill drill, double skin, Region holes) {
        Region places = cavity.grown(-skin).grown(-drill.diameter() / 2 + TOUCH);
        return holes.isEmpty() ? places : places.minus(holes.grown(BESIDE));
    }

    private static DrillPattern of(Region inside, Region centres, Drill drill) {
        if (centres.isEmpty()) {
            return new DrillPattern(drill, List.of(), 0);
        }
        double radius = drill.diameter() / 2;
        List<Point> standing = grid(inside);
        List<Point> places = grid(centres);
        places.addAll(edge(centres));
        double least = LEAST_GAIN * Math.PI * radius * radius / (CELL * CELL);
        List<Point> holes = new ArrayList<>();
        while (holes.size() < MOST_HOLES) {
            int most = -1;
            Point best = places.get(0);
            for (Point place : places) {
                int taken = taken(standing, place, radius);
                if (taken > most) {
                    most = taken;
                    best = place;
                }
            }
            if (most < least && !holes.isEmpty()) {
                break;
            }
            holes.add(best);
            Point hole = best;
            standing.removeIf(p -> p.distance(hole) <= radius);
        }
        boolean tall = inside.maxY() - inside.minY() > inside.maxX() - inside.minX();
        holes.sort(Comparator.comparingDouble(p -> tall ? p.y() : p.x()));
        Region bored = Region.EMPTY;
        for (Point hole : holes) {
            bored = bored.union(Region.disc(hole, drill.diameter()));
        }
        return new DrillPattern(drill, holes, bored.intersection(inside).area() / inside.area());
    }

    /** Places along an area's edge: where it is narrow the grid misses it. */
    private static List<Point> edge(Region area) {
        List<Point> places = new ArrayList<>();
        area.forEachRing(ring -> {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Point a = new Point(ring[i], ring[i + 1]);
                Point b = new Point(ring[i + 2], ring[i + 3]);
                int steps = (int) Math.max(1, Math.ceil(a.distance(b) / CELL));
                for (int k = 0; k < steps; k++) {
                    places.add(a.towards(b, (double) k / steps));
                }
            }
        });
        return places;
    }

    private static int taken(List<Point> standing, Point hole, double radius) {
        int count = 0;
        for (Point p : standing) {
            double dx = p.x() - hole.x();
            double dy = p.y() - hole.y();
            if (dx * dx + dy * dy <= radius * radius) {
                count++;
            }
        }
        return count;
    }

    /** Places on a grid about the area's middle that lie inside. */
    private static List<Point> grid(Region area) {
        double x = (area.minX() + area.maxX()) / 2;
        double y = (area.minY() + area.maxY()) / 2;
        int across = (int) ((area.maxX() - area.minX()) / 2 / CELL);
        int along = (int) ((area.maxY() - area.minY()) / 2 / CELL);
        List<Point> places = new ArrayList<>();
        for (int j = -along; j <= along; j++) {
            for (int i = -across; i <= across; i++) {
                Point p = new Point(x + i * CELL, y + j * CELL);
                if (area.contains(p)) {
                    places.add(p);
                }
            }
        }
        return places;
    }
}
