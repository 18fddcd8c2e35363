package ebauche.core.stock;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.BiPredicate;
import java.util.function.Predicate;

/**
 * What is left between voids and faces, exactly.
 *
 * <p>Floors: over the shadow that a void shares with another, or with a face, by {@link Gap}; to a carved face it is the
 * least to its flat and to each of its carves. Walls: the least plan distance between voids whose
 * depths overlap, and between a void and the outline. A level bore counts as wide as it is at its axis and as deep as
 * its roundness, which errs to the side of less wood. Cost: pairs of voids, with a geometry test for those whose depths
 * can meet.
 */
public final class WoodLeft {
    /** Voids whose depths overlap by less are stacked, not beside each other, mm. */
    private static final double TOUCH = 0.01;

    /** Voids farther apart have no wall between them that anyone would ask about, mm. */
    private static final double FAR = 60;

    /** The outline's name as a neighbour of walls. */
    public static final String EDGE = "edge";

    public static final String FRONT = "front";
    public static final String BACK = "back";

    /** Whether wood is under (or over) a void, or beside it. */
    public enum Kind {
        FLOOR,
        WALL
    }

    /**
     * Wood left somewhere.
     *
     * @param feature the void
     * @param neighbour the other void, or {@link #FRONT}, {@link #BACK} or {@link #EDGE}
     * @param thickness least wood, mm; nought or less where they meet
     * @param at where on the plan
     */
    public record Thin(Kind kind, String feature, String neighbour, double thickness, Point at) {}

    private record Void(String feature, Face from, Solid solid, Region inside) {
        boolean swallows(Void other) {
            return feature.equals(other.feature)
                    && solid.shallowest() <= other.solid.shallowest()
                    && solid.deepest() >= other.solid.deepest()
                    && (inside.equals(other.inside) || inside.contains(other.inside));
        }
    }

    private final Region outline;
    private final FaceShape front;
    private final FaceShape back;
    private final List<Void> voids = new ArrayList<>();
    private final BiPredicate<String, String> joined;

    /**
     * @param outline of the finished body
     * @param front its front
     * @param back its back
     * @param joined whether two features are meant to break into each other
     */
    public WoodLeft(Region outline, FaceShape front, FaceShape back, BiPredicate<String, String> joined) {
        this.outline = outline;
        this.front = front;
        this.back = back;
        this.joined = joined;
    }

    /**
     * Adds a void that is cut from a face; wood outside the outline does not count. A stage on the way to a larger void of the same feature, such
     * as drilled waste, is swallowed by it.
     */
    public void add(String feature, Face from, Solid solid) {
        Region inside = solid.plan().intersection(outline);
        Void added = new Void(feature, from, solid, inside);
        if (!inside.isEmpty() && voids.stream().noneMatch(v -> v.swallows(added))) {
            voids.removeIf(added::swallows);
            voids.add(added);
        }
    }

    /**
     * All floors and walls, thinnest first; only the thinnest of its kind between any two neighbours, and none between voids
     * that lie more than {@value #FAR} mm apart.
     */
    public List<Thin> thinnest() {
        List<Thin> all = new ArrayList<>();
        for (int i = 0; i < voids.size(); i++) {
            Void one = voids.get(i);
            floorsToFaces(one, all);
            wallToEdge(one, all);
            for (Void other : voids.subList(i + 1, voids.size())) {
                if (!one.inside.fartherApartThan(other.inside, FAR)
                        && !one.feature.equals(other.feature)
                        && !joined.test(one.feature, other.feature)) {
                    between(one, other, all);
                }
            }
        }
        all.sort(Comparator.comparingDouble(Thin::thickness)
                .thenComparing(Thin::feature)
                .thenComparing(Thin::neighbour));
        List<Thin> once = new ArrayList<>();
        for (Thin thin : all) {
            if (once.stream().noneMatch(t -> same(t, thin))) {
                once.add(thin);
            }
        }
        return once;
    }

    private static boolean same(Thin a, Thin b) {
        return a.kind == b.kind && a.feature.equals(b.feature) && a.neighbour.equals(b.neighbour);
    }

    /**
     * A floor lies opposite the face that a void is cut from, and over it too where it does not open there; a level bore has
     * both. A void that is meant to go through says so by joining the face.
     */
    private void floorsToFaces(Void one, List<Thin> out) {
        boolean bore = one.solid instanceof Solid.Bore;
        boolean opensFront = one.from == Face.FRONT && one.solid.shallowest() <= front.flat() + TOUCH;
        boolean opensBack = one.from == Face.BACK && one.solid.deepest() >= back.flat() - TOUCH;
        if ((bore || !opensBack) && !joined.test(one.feature, BACK)) {
            Region floor = floor(one, v -> v.solid.deepest() > one.solid.deepest() + TOUCH);
            if (!floor.isEmpty()) {
                out.add(least(one, BACK, List.of(bottom(one.solid)), back.surfaces(), floor));
            }
        }
        if ((bore || !opensFront) && !joined.test(one.feature, FRONT)) {
            Region floor = floor(one, v -> v.solid.shallowest() < one.solid.shallowest() - TOUCH);
            if (!floor.isEmpty()) {
                out.add(least(one, FRONT, front.surfaces(), List.of(top(one.solid)), floor));
            }
        }
    }

    /** Where a void's own floor is: not where a joined one goes on deeper through it, such as a cavity inside its cover's recess. */
    private Region floor(Void one, Predicate<Void> deeper) {
        Region floor = one.inside;
        for (Void other : voids) {
            boolean itsOwn = other.feature.equals(one.feature);
            if (!itsOwn && deeper.test(other) && joined.test(one.feature, other.feature) && meetInDepth(one, other)) {
                floor = floor.minus(other.inside);
            }
        }
        return floor;
    }

    private static boolean meetInDepth(Void one, Void other) {
        return one.solid.shallowest() <= other.solid.deepest() + TOUCH
                && other.solid.shallowest() <= one.solid.deepest() + TOUCH;
    }

    private void wallToEdge(Void one, List<Thin> out) {
        if (joined.test(one.feature, EDGE)) {
            return;
        }
        boolean crosses = !outline.contains(one.solid.plan());
        Point[] ends = one.inside.nearestToEdge(outline);
        out.add(new Thin(Kind.WALL, one.feature, EDGE, crosses ? 0 : ends[0].distance(ends[1]), ends[0]));
    }

    private void between(Void one, Void other, List<Thin> out) {
        double overlap = Math.min(one.solid.deepest(), other.solid.deepest())
                - Math.max(one.solid.shallowest(), other.solid.shallowest());
        Region shared = one.inside.intersection(other.inside);
        if (shared.area() > 1e-3) {
            boolean oneAbove =
                    one.solid.shallowest() + one.solid.deepest() <= other.solid.shallowest() + other.solid.deepest();
            Void above = oneAbove ? one : other;
            Void below = oneAbove ? other : one;
            out.add(least(above, below.feature, List.of(bottom(above.solid)), List.of(top(below.solid)), shared));
        } else if (overlap > TOUCH) {
            Point[] ends = one.inside.nearest(other.inside);
            Point between = ends[0].towards(ends[1], 0.5);
            out.add(new Thin(Kind.WALL, one.feature, other.feature, ends[0].distance(ends[1]), between));
        }
    }

    private static Surface top(Solid solid) {
        return solid instanceof Solid.Prism p ? p.top() : Plane.at(solid.shallowest());
    }

    private static Surface bottom(Solid solid) {
        return solid instanceof Solid.Prism p ? p.bottom() : Plane.at(solid.deepest());
    }

    private static Thin least(Void one, String neighbour, List<Surface> uppers, List<Surface> lowers, Region over) {
        Gap best = null;
        for (Surface upper : uppers) {
            for (Surface lower : lowers) {
                Gap gap = Gap.least(upper, lower, over);
                best = best == null ? gap : best.or(gap);
            }
        }
        return new Thin(Kind.FLOOR, one.feature, neighbour, best.thickness(), best.at());
    }
}
