package ebauche.core.feed;

import ebauche.core.crib.Drill;
import ebauche.core.feed.FeedMap.Edge;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Where a saw's blade cannot follow the line, and straight cuts to make first, so that the waste falls off in pieces.
 *
 * <p>The saw runs outside the outline by its allowance: an inward turn of radius r is one of r - allowance for the blade, an
 * outward one r + allowance. In each tight stretch the cuts run from the blank's edge beside one another, the way the stretch
 * opens, and stop before the line.
 *
 * @param tight stretches that the blade cannot turn in
 * @param cuts from the blank's edge to short of the saw's line
 * @param holes to drill instead, each in a tight inside turn and against the saw's line: what a drill clears does not chip
 */
public record ReliefCuts(List<FeedPlan.Run> tight, List<Cut> cuts, List<Hole> holes) {
    /** Between cuts, along the line, mm: common practice. */
    private static final double APART = 15;

    /** Where a cut stops before the saw's line, mm: about a kerf. */
    private static final double SHORT_OF = 1.5;

    /** A cut that meets the line at a flatter angle than this sine rather runs along it. */
    private static final double SLANT = 0.35;

    /** Edges beside a sharp corner: one on each side. */
    private static final int CORNER = 2;

    /** A smaller hole clears no corner, mm: common practice. */
    private static final double LEAST_HOLE = 8;

    /** So much of the allowance a hole may take, mm. */
    private static final double TOUCHES = 0.5;

    private static final double STEP = 2;
    private static final double FARTHEST = 1500;

    /** One straight cut. */
    public record Cut(Point from, Point to) {}

    /** One hole, with a drill of the crib. */
    public record Hole(Point at, Drill drill) {}

    public ReliefCuts {
        tight = List.copyOf(tight);
        cuts = List.copyOf(cuts);
        holes = List.copyOf(holes);
    }

    /**
     * Proposes cuts.
     *
     * @param map of the outline, any face up
     * @param allowance the saw leaves, mm
     * @param turns smallest radius that the blade follows, mm
     * @param drills of the crib
     */
    public static ReliefCuts of(
            FeedMap map, Region body, Region blank, double allowance, double turns, List<Drill> drills) {
        Region kept = body.grown(allowance);
        List<FeedPlan.Run> tight = FeedPlan.runs(map.edges(), e -> radius(e, allowance) < turns).stream()
                .filter(run -> !isOutwardCorner(run))
                .toList();
        List<Cut> cuts = new ArrayList<>();
        for (FeedPlan.Run run : tight) {
            Point way = opening(run);
            double since = APART;
            for (Edge e : run.edges()) {
                since += e.length();
                double slant = e.outward().x() * way.x() + e.outward().y() * way.y();
                if (since >= APART && slant > SLANT) {
                    Point to = e.outside(allowance + SHORT_OF);
                    Point from = blankEdge(to, way, blank, kept);
                    if (from != null && from.distance(to) > STEP) {
                        cuts.add(new Cut(from, to));
                        since = 0;
                    }
                }
            }
        }
        List<Hole> holes = tight.stream()
                .flatMap(run -> hole(run, kept, blank, allowance, drills).stream())
                .toList();
        return new ReliefCuts(tight, cuts, holes);
    }

    /** The drills of its holes, each once. */
    public List<String> drills() {
        return holes.stream().map(h -> h.drill().name()).distinct().toList();
    }

    /** The largest drill that lies in a tight inside turn without touching what stays; none that is too small to be of use. */
    private static Optional<Hole> hole(
            FeedPlan.Run run, Region kept, Region blank, double allowance, List<Drill> drills) {
        Optional<Edge> tightest = run.edges().stream()
                .filter(e -> e.bend() < 0)
                .min(Comparator.comparingDouble(e -> radius(e, allowance)));
        return tightest.flatMap(e -> drills.stream()
                .filter(d -> d.kind() != Drill.Kind.LONG && d.diameter() >= LEAST_HOLE)
                .sorted(Comparator.comparingDouble(Drill::diameter).reversed())
                .map(d -> new Hole(e.outside(allowance + d.diameter() / 2), d))
                .filter(h -> blank.contains(h.at()) && clear(h, kept))
                .findFirst());
    }

    private static boolean clear(Hole hole, Region kept) {
        return kept.outside(hole.at()) >= hole.drill().diameter() / 2 - TOUCHES;
    }

    /** A corner that stands out is no curve: the saw runs past it and comes back from the other side. */
    private static boolean isOutwardCorner(FeedPlan.Run run) {
        return run.edges().size() <= CORNER && run.edges().stream().allMatch(e -> e.bend() > 0);
    }

    /** Of the saw's line there, mm. */
    static double radius(Edge e, double allowance) {
        if (e.bend() < 0) {
            return -1 / e.bend() - allowance;
        }
        return e.bend() > 0 ? 1 / e.bend() + allowance : Double.POSITIVE_INFINITY;
    }

    private static Point opening(FeedPlan.Run run) {
        double x = 0;
        double y = 0;
        for (Edge e : run.edges()) {
            x += e.outward().x() * e.length();
            y += e.outward().y() * e.length();
        }
        double size = Math.hypot(x, y);
        return size < 1e-9 ? run.edges().get(0).outward() : new Point(x / size, y / size);
    }

    /** Where a line out of the blank leaves it; null if it would first meet wood that stays. */
    private static Point blankEdge(Point start, Point way, Region blank, Region kept) {
        for (double d = 0; d < FARTHEST; d += STEP) {
            Point p = start.plus(way.x() * d, way.y() * d);
            if (kept.contains(p)) {
                return null;
            }
            if (!blank.contains(p)) {
                return p;
            }
        }
        return null;
    }
}
