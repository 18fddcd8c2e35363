package ebauche.core.geometry;

import ebauche.core.memo.Memo;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * The shortest way inside a region, such as a cord's in a hollow: straight from corner to corner of what it goes round, so by the
 * visibility graph of its corners (Lozano-Pérez and Wesley, 1979) and Dijkstra. Curves count as chords within {@link #CHORD}; a way may
 * cut a corner by twice as much.
 */
public final class WayInside {
    /** mm. */
    private static final double CHORD = 0.5;

    private final Region room;
    private final List<Point> corners;
    private final double[][] seen;

    /** What is asked of a region once. */
    private record Asked(Region region) {}

    private WayInside(Region region) {
        this.room = region.grown(2 * CHORD);
        this.corners = corners(region.coarser(CHORD));
        int n = corners.size();
        this.seen = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int k = 0; k < i; k++) {
                seen[i][k] = seen[k][i] = seen(corners.get(i), corners.get(k));
            }
        }
    }

    /** Of a region in one piece, remembered. */
    public static WayInside of(Region region) {
        return Memo.here().get(new Asked(region), () -> new WayInside(region), w -> 8L * w.seen.length * w.seen.length);
    }

    /** Corners that a way may go round: those where the region is more than half a turn wide. */
    private static List<Point> corners(Region region) {
        List<Point> corners = new ArrayList<>();
        region.forEachRing(ring -> {
            int n = ring.length / 2 - 1;
            for (int i = 0; i < n; i++) {
                Point before = at(ring, (i + n - 1) % n);
                Point here = at(ring, i);
                Point after = at(ring, (i + 1) % n);
                // Just off the corner, away from the middle of its two neighbours: inside where the region folds round
                // it.
                double dx = 2 * here.x() - before.x() - after.x();
                double dy = 2 * here.y() - before.y() - after.y();
                double far = Math.hypot(dx, dy);
                if (far > 0 && region.contains(here.plus(dx / far * 1e-3, dy / far * 1e-3))) {
                    corners.add(here);
                }
            }
        });
        return corners;
    }

    private static Point at(double[] ring, int i) {
        return new Point(ring[2 * i], ring[2 * i + 1]);
    }

    private double seen(Point a, Point b) {
        return room.containsLine(a, b) ? a.distance(b) : Double.POSITIVE_INFINITY;
    }

    /** The places that the way turns at, both ends first and last; empty where one lies outside or in another piece. */
    public Optional<List<Point>> between(Point from, Point to) {
        if (room.containsLine(from, to)) {
            return Optional.of(List.of(from, to));
        }
        int n = corners.size();
        double[] far = new double[n];
        double[] home = new double[n];
        int[] before = new int[n];
        Arrays.fill(before, -1);
        for (int i = 0; i < n; i++) {
            far[i] = seen(from, corners.get(i));
            home[i] = seen(to, corners.get(i));
        }
        boolean[] settled = new boolean[n];
        int last = -1;
        double best = Double.POSITIVE_INFINITY;
        for (int here = Dijkstra.nearest(far, settled);
                here >= 0 && far[here] < best;
                here = Dijkstra.nearest(far, settled)) {
            settled[here] = true;
            if (far[here] + home[here] < best) {
                best = far[here] + home[here];
                last = here;
            }
            for (int i = 0; i < n; i++) {
                if (!settled[i] && far[here] + seen[here][i] < far[i]) {
                    far[i] = far[here] + seen[here][i];
                    before[i] = here;
                }
            }
        }
        return last < 0 ? Optional.empty() : Optional.of(way(from, to, last, before));
    }

    private List<Point> way(Point from, Point to, int last, int[] before) {
        List<Point> way = new ArrayList<>();
        way.add(to);
        for (int i = last; i >= 0; i = before[i]) {
            way.add(corners.get(i));
        }
        way.add(from);
        Collections.reverse(way);
        return List.copyOf(way);
    }
}
