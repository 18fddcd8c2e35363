package ebauche.core.stock;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Ring;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.memo.Memo;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * What is left between voids and faces, exactly.
 *
 * <p>Floors: straight down over the shadow that a void shares with another, or with a face, by {@link Gap}; to a carved face it is
 * the least to its flat and to each of its carves. Walls: the least plan distance between voids whose depths overlap, and
 * between a void and the outline. Where neither tells the least wood, because two voids lie aslant of each other, a bore is round or a
 * surface slopes, it is told by {@link Web}. What is meant to break out of the edge says where and which way ({@link Opening}); the wall
 * beside it is judged all the same. Cost: pairs of voids, with a geometry test for those that can be near.
 */
public final class WoodLeft {
    /** Voids whose depths overlap by less are stacked, not beside each other, mm. */
    private static final double TOUCH = 0.01;

    /** Voids that lie aslant and farther apart in any direction have no wood between them that anyone would ask about, mm. */
    private static final double NEAR = 15;

    /** Where one lies over the other the way aslant is shorter than the one straight down, but hardly by more than so many times. */
    private static final double STEEP = 3;

    /** Wood that is less by no more than this aslant than straight is told straight, mm. */
    private static final double ALIKE = 0.02;

    /** Every so far along a wall its cheek is looked at first, and finely in the end, mm. */
    private static final double STRIDE = 3;

    private static final double FINE = 0.01;

    /** Voids farther apart have no wall between them that anyone would ask about, mm. */
    private static final double FAR = 60;

    /** Whether wood is under (or over) a void, beside it, or between two that lie aslant of each other. */
    public enum Kind {
        FLOOR,
        WALL,
        ASLANT
    }

    /**
     * Where a void is meant to break out of the edge: it comes out in a direction, and the walls beside it stand up to a place along
     * that way.
     *
     * @param dx of the direction, of length one with {@code dy}
     * @param until how far along that direction its walls are judged, mm from the origin
     */
    public record Opening(double dx, double dy, double until) {
        /** Nearer to where it comes out than this a corner is broken and tells nothing of the wall: common practice, mm. */
        public static final double ROUNDED = 1;

        /** A round hole drilled level into the edge: where its axis comes out, its own half width and the rounding left out. */
        public static Opening of(Region outline, Point entry, Point inner, double diameter) {
            double length = inner.distance(entry);
            Opening way = new Opening((entry.x() - inner.x()) / length, (entry.y() - inner.y()) / length, 0);
            double out = outline.contains(inner) ? outline.wayOut(inner, way.dx, way.dy) : 0;
            return new Opening(way.dx, way.dy, way.along(inner) + out - diameter / 2 - ROUNDED);
        }

        double along(Point p) {
            return p.x() * dx + p.y() * dy;
        }
    }

    /**
     * Wood left somewhere.
     *
     * @param feature the void
     * @param neighbour the other void, or {@link Feature#FRONT}, {@link Feature#BACK} or {@link Feature#EDGE}
     * @param thickness least wood, mm; nought or less where they meet
     * @param at where on the plan
     */
    public record Thin(Kind kind, Feature feature, Feature neighbour, double thickness, Point at) {
        /** Its thickness, told by nothing but the lie of the cuts. */
        public Reckoning reckoning(String what) {
            return Reckoning.of(what, Quantity.LENGTH)
                    .length("as the cuts lie", thickness)
                    .is(thickness, "as the cuts lie");
        }
    }

    private record Pit(
            Feature feature, Face from, Solid solid, Region inside, Optional<Opening> opening, Slices slices) {
        /** Whether it reaches through a face. */
        boolean opens(double face) {
            return solid.shallowest() <= face + TOUCH && solid.deepest() >= face - TOUCH;
        }

        boolean swallows(Pit other) {
            return feature.equals(other.feature)
                    && solid.shallowest() <= other.solid.shallowest()
                    && solid.deepest() >= other.solid.deepest()
                    && (inside.equals(other.inside) || inside.contains(other.inside));
        }
    }

    private final Region outline;
    private final FaceShape front;
    private final FaceShape back;
    private final List<Pit> voids = new ArrayList<>();
    private final BiPredicate<Feature, Feature> joined;

    /**
     * @param outline of the finished body
     * @param front its front
     * @param back its back
     * @param joined whether two features are meant to break into each other
     */
    public WoodLeft(Region outline, FaceShape front, FaceShape back, BiPredicate<Feature, Feature> joined) {
        this.outline = outline;
        this.front = front;
        this.back = back;
        this.joined = joined;
    }

    /**
     * Adds a void that is cut from a face; wood outside the outline does not count. A stage on the way to a larger void of the same feature, such
     * as drilled waste, is swallowed by it.
     *
     * @param opening where it is meant to break out of the edge, if it is
     */
    public void add(Feature feature, Face from, Solid solid, Optional<Opening> opening) {
        Pit added = pit(feature, from, solid, opening);
        if (!added.inside.isEmpty() && voids.stream().noneMatch(v -> v.swallows(added))) {
            voids.removeIf(added::swallows);
            voids.add(added);
        }
    }

    private Pit pit(Feature feature, Face from, Solid solid, Optional<Opening> opening) {
        return new Pit(feature, from, solid, solid.plan().intersection(outline), opening, Slices.of(solid));
    }

    /** Wood is put into what is cut so far: voids that are added later are cut into it again. */
    public void fill(Solid fill) {
        List<Pit> all = List.copyOf(voids);
        voids.clear();
        for (Pit pit : all) {
            List<Solid> left = Fill.without(pit.solid, fill);
            if (left.equals(List.of(pit.solid))) {
                voids.add(pit);
            } else {
                left.forEach(s -> add(pit.feature, pit.from, s, pit.opening));
            }
        }
    }

    /** Adds a void that breaks out of nothing on purpose. */
    public void add(Feature feature, Face from, Solid solid) {
        add(feature, from, solid, Optional.empty());
    }

    /**
     * All floors and walls, thinnest first; only the thinnest of its kind between any two neighbours, and none between voids
     * that lie more than {@value #FAR} mm apart.
     */
    public List<Thin> thinnest() {
        List<Thin> all = new ArrayList<>();
        for (Pit one : voids) {
            floorsToFaces(one, all);
            wallToEdge(one, all);
        }
        pairs().forEach(pairs -> between(pairs, FAR, all));
        return told(all);
    }

    /** The wood from every void under an area to one face, as {@link #thinnest} would tell it. */
    public List<Thin> toFace(Face face, Region under) {
        Feature of = face == Face.FRONT ? Feature.FRONT : Feature.BACK;
        List<Thin> all = new ArrayList<>();
        for (Pit one : voids) {
            if (one.inside.boxesApart(under) <= 0) {
                floorsToFaces(one, all);
            }
        }
        return told(all.stream().filter(t -> t.neighbour.equals(of)).collect(Collectors.toCollection(ArrayList::new)));
    }

    /**
     * The floors and walls that one more void would have, thinnest first, as {@link #thinnest} would tell them once it was added.
     *
     * @param joins what it is meant to break into
     * @param most wood between it and another void that is told of, mm
     */
    public List<Thin> beside(
            Feature feature, Face from, Solid solid, Optional<Opening> opening, Predicate<Feature> joins, double most) {
        WoodLeft with =
                new WoodLeft(outline, front, back, (one, other) -> joins.test(one.equals(feature) ? other : one));
        with.voids.addAll(voids);
        Pit own = with.pit(feature, from, solid, opening);
        List<Thin> all = new ArrayList<>();
        if (own.inside.isEmpty()) {
            return all;
        }
        with.floorsToFaces(own, all);
        with.wallToEdge(own, all);
        Map<Feature, List<Pair>> near = new LinkedHashMap<>();
        for (Pit other : voids) {
            Pair pair = Pair.of(own, other);
            if (!other.feature.equals(feature) && pair.least() < most && !joins.test(other.feature)) {
                near.computeIfAbsent(other.feature, f -> new ArrayList<>()).add(pair);
            }
        }
        near.values().forEach(pairs -> {
            pairs.sort(Comparator.comparingDouble(Pair::least));
            between(pairs, most, all);
        });
        return told(all);
    }

    private static List<Thin> told(List<Thin> all) {
        all.sort(Comparator.comparingDouble(Thin::thickness)
                .thenComparing(Thin::feature)
                .thenComparing(Thin::neighbour));
        List<Thin> once = new ArrayList<>();
        for (Thin thin : all) {
            boolean known =
                    once.stream().anyMatch(t -> same(t, thin) || (thin.kind == Kind.ASLANT && between(t, thin)));
            if (!known) {
                once.add(thin);
            }
        }
        return once;
    }

    /**
     * Two voids of different features.
     *
     * @param least wood that their boxes and depths let be between them, mm
     */
    private record Pair(Pit one, Pit other, double least) {
        static Pair of(Pit one, Pit other) {
            double apart = one.inside.boxesApart(other.inside);
            return new Pair(one, other, Math.hypot(apart, one.slices.apartInDepth(other.slices)));
        }
    }

    /** The voids of every two features that are not meant to join and may be near, those that may be nearest first. */
    private Collection<List<Pair>> pairs() {
        Map<String, List<Pair>> byFeatures = new LinkedHashMap<>();
        for (int i = 0; i < voids.size(); i++) {
            Pit one = voids.get(i);
            for (Pit other : voids.subList(i + 1, voids.size())) {
                if (!one.feature.equals(other.feature)
                        && !one.inside.fartherApartThan(other.inside, FAR)
                        && !joined.test(one.feature, other.feature)) {
                    byFeatures
                            .computeIfAbsent(one.feature + " " + other.feature, k -> new ArrayList<>())
                            .add(Pair.of(one, other));
                }
            }
        }
        byFeatures.values().forEach(p -> p.sort(Comparator.comparingDouble(Pair::least)));
        return byFeatures.values();
    }

    /** The wood between the voids of two features; pairs that surely have more than others are not looked at. */
    private static void between(List<Pair> pairs, double most, List<Thin> out) {
        double best = most;
        for (Pair pair : pairs) {
            if (pair.least() < best) {
                List<Thin> found = new ArrayList<>();
                between(pair, best, found);
                for (Thin thin : found) {
                    best = Math.min(best, thin.thickness());
                    out.add(thin);
                }
            }
        }
    }

    /** Whether two lie between the same two: what is less straight need not be told aslant. */
    private static boolean between(Thin a, Thin b) {
        return (a.feature.equals(b.feature) && a.neighbour.equals(b.neighbour))
                || (a.feature.equals(b.neighbour) && a.neighbour.equals(b.feature));
    }

    private static boolean same(Thin a, Thin b) {
        return a.kind == b.kind && a.feature.equals(b.feature) && a.neighbour.equals(b.neighbour);
    }

    /**
     * A floor lies opposite the face that a void is cut from, and over it too where it does not open there; a bore that does not stand
     * upright has both, unless its axis begins on the face: over a pocket its end may stand in the air all the same. A void that is meant to go through says so by
     * joining the face.
     */
    private void floorsToFaces(Pit one, List<Thin> out) {
        boolean lies = one.solid instanceof Bore bore && !bore.isUpright();
        double up = lies ? ((Bore) one.solid).highestAxis() : one.solid.shallowest();
        double down = lies ? ((Bore) one.solid).lowestAxis() : one.solid.deepest();
        boolean opensFront = one.from == Face.FRONT && up <= front.flat() + TOUCH;
        boolean opensBack = one.from == Face.BACK && down >= back.flat() - TOUCH;
        if (!opensBack && !joined.test(one.feature, Feature.BACK)) {
            Region floor =
                    floor(one, v -> v.solid.deepest() > one.solid.deepest() + TOUCH || (lies && v.opens(back.flat())));
            if (!floor.isEmpty()) {
                Thin straight = toFace(one, Feature.BACK, back, floor);
                out.add(straight);
                aslantToCarves(one, Feature.BACK, back, straight, out);
            }
        }
        if (!opensFront && !joined.test(one.feature, Feature.FRONT)) {
            Region floor = floor(
                    one, v -> v.solid.shallowest() < one.solid.shallowest() - TOUCH || (lies && v.opens(front.flat())));
            if (!floor.isEmpty()) {
                Thin straight = toFace(one, Feature.FRONT, front, floor);
                out.add(straight);
                aslantToCarves(one, Feature.FRONT, front, straight, out);
            }
        }
    }

    /** Where a face is carved the least wood lies square to the slope, or beside the void. */
    private static void aslantToCarves(Pit one, Feature face, FaceShape shape, Thin straight, List<Thin> out) {
        for (FaceShape.Carved carved : shape.carves()) {
            double most = Math.min(NEAR, straight.thickness() - ALIKE);
            if (one.inside.boxesApart(carved.plan()) < most) {
                toCarve(one, carved)
                        .filter(w -> w.thickness() < most)
                        .ifPresent(w -> out.add(new Thin(Kind.ASLANT, one.feature, face, w.thickness(), w.at())));
            }
        }
    }

    /** The wood to a carve in whatever direction. */
    private static Optional<Web> toCarve(Pit one, FaceShape.Carved carved) {
        return remembered(
                new Asked(one.solid, carved),
                () -> one.solid instanceof Bore bore && !bore.isUpright()
                        ? Optional.of(Web.least(carved, bore))
                        : Web.least(carved, one.slices));
    }

    /** What is asked of the wood between a void and another, or a carve: it follows from these alone. */
    private record Asked(Solid one, Object other) {}

    /** Of two surfaces over an area. */
    private record Between(Surface upper, Surface lower, Region over) {}

    /** Of two places on the plan. */
    private record Apart(Region one, Region other, boolean toEdge) {}

    /** What such an answer weighs. */
    private static final long ANSWER_BYTES = 100;

    private static <T> T remembered(Object asked, Supplier<T> looked) {
        return Memo.here().get(asked, looked, w -> ANSWER_BYTES);
    }

    private static Point[] nearest(Region one, Region other) {
        return remembered(new Apart(one, other, false), () -> one.nearest(other));
    }

    private static Point[] nearestToEdge(Region one, Region around) {
        return remembered(new Apart(one, around, true), () -> one.nearestToEdge(around));
    }

    /** Where a void's own floor is: not where a joined one goes on deeper through it, such as a cavity inside its cover's recess. */
    private Region floor(Pit one, Predicate<Pit> deeper) {
        Region floor = one.inside;
        for (Pit other : voids) {
            boolean itsOwn = other.feature.equals(one.feature);
            if (!itsOwn && deeper.test(other) && joined.test(one.feature, other.feature) && meetInDepth(one, other)) {
                floor = floor.minus(other.inside);
            }
        }
        return floor;
    }

    private static boolean meetInDepth(Pit one, Pit other) {
        return one.solid.shallowest() <= other.solid.deepest() + TOUCH
                && other.solid.shallowest() <= one.solid.deepest() + TOUCH;
    }

    private void wallToEdge(Pit one, List<Thin> out) {
        if (one.opening.isPresent()) {
            cheeks(one, one.opening.get(), out);
            return;
        }
        boolean crosses = !outline.contains(one.solid.plan());
        Point[] ends = nearestToEdge(one.inside, outline);
        out.add(new Thin(Kind.WALL, one.feature, Feature.EDGE, crosses ? 0 : ends[0].distance(ends[1]), ends[0]));
    }

    private static void between(Pair pair, double best, List<Thin> out) {
        Pit one = pair.one();
        Pit other = pair.other();
        double overlap = Math.min(one.solid.deepest(), other.solid.deepest())
                - Math.max(one.solid.shallowest(), other.solid.shallowest());
        Region shared = one.inside.intersection(other.inside);
        if (shared.area() > 1e-3) {
            boolean oneAbove = middle(one, shared) <= middle(other, shared);
            Pit above = oneAbove ? one : other;
            Pit below = oneAbove ? other : one;
            Gap gap = least(bottom(above.solid), top(below.solid), shared);
            Thin straight = new Thin(Kind.FLOOR, above.feature, below.feature, gap.thickness(), gap.at());
            aslant(above, below, straight, out);
            return;
        }
        double near = Math.min(best, NEAR);
        if (overlap <= TOUCH && pair.least() >= near) {
            return;
        }
        Point[] ends = nearest(one.inside, other.inside);
        double apart = ends[0].distance(ends[1]);
        boolean straight = (one.slices.isEven() && other.slices.isEven()) || apart >= near;
        if (overlap > TOUCH && straight) {
            out.add(new Thin(Kind.WALL, one.feature, other.feature, apart, ends[0].towards(ends[1], 0.5)));
        } else if (Math.hypot(apart, one.slices.apartInDepth(other.slices)) < near) {
            Kind kind = overlap > TOUCH ? Kind.WALL : Kind.ASLANT;
            web(one, other)
                    .filter(w -> overlap > TOUCH || w.thickness() < near)
                    .ifPresent(w -> out.add(new Thin(kind, one.feature, other.feature, w.thickness(), w.at())));
        }
    }

    /** The least wood between two in whatever direction: of two bores by their axes. */
    private static Optional<Web> web(Pit one, Pit other) {
        return remembered(new Asked(one.solid, other.solid), () -> lookBetween(one, other));
    }

    private static Optional<Web> lookBetween(Pit one, Pit other) {
        if (one.solid instanceof Bore a && other.solid instanceof Bore b) {
            Bore.Passing passing = a.passing(b);
            return Optional.of(new Web(Math.max(0, passing.wood()), passing.at()));
        }
        if (one.solid instanceof Bore a && !a.isUpright() && other.slices.isEven()) {
            return Optional.of(Web.least(a, other.slices));
        }
        if (other.solid instanceof Bore b && !b.isUpright() && one.slices.isEven()) {
            return Optional.of(Web.least(b, one.slices));
        }
        return Web.least(one.slices, other.slices);
    }

    /** Twice the depth of a void's middle over an area. */
    private static double middle(Pit pit, Region over) {
        return pit.solid.shallowest(over) + pit.solid.deepest(over);
    }

    /** One over the other: straight down, unless a slope or a bore's roundness makes the least wood another. */
    private static void aslant(Pit above, Pit below, Thin straight, List<Thin> out) {
        boolean even = above.slices.isEven() && below.slices.isEven();
        Optional<Web> web = even || straight.thickness() <= 0 || straight.thickness() > STEEP * NEAR
                ? Optional.empty()
                : web(above, below);
        boolean round = web.isPresent() && web.get().thickness() > straight.thickness() + ALIKE;
        if (!round) {
            out.add(straight);
        }
        web.filter(w -> round || w.thickness() < straight.thickness() - ALIKE)
                .ifPresent(w -> out.add(new Thin(Kind.ASLANT, above.feature, below.feature, w.thickness(), w.at())));
    }

    /**
     * The wood beside what comes out of the edge, square to its walls, as far as they are judged; less than nought where a wall is gone.
     * Looked at in strides along each wall, and finely round the least.
     */
    private void cheeks(Pit one, Opening opening, List<Thin> out) {
        remembered(new Beside(one.feature, one.solid, opening, outline), () -> leastCheek(one, opening))
                .ifPresent(out::add);
    }

    /** What is asked of the walls beside what comes out of the edge. */
    private record Beside(Feature feature, Solid solid, Opening opening, Region outline) {}

    private Optional<Thin> leastCheek(Pit one, Opening opening) {
        Thin[] least = {null};
        one.solid.plan().forEachRing(ring -> {
            double turns = Ring.turns(ring);
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Wall wall =
                        new Wall(new Point(ring[i], ring[i + 1]), new Point(ring[i + 2], ring[i + 3]), turns, opening);
                Thin thin = wall.least(one.feature);
                if (thin != null && (least[0] == null || thin.thickness() < least[0].thickness())) {
                    least[0] = thin;
                }
            }
        });
        return Optional.ofNullable(least[0]).filter(t -> t.thickness() < FAR);
    }

    /** A straight piece of a wall, the void to its left or, if it turns the other way, to its right. */
    private final class Wall {
        private final Point a;
        private final Point b;
        private final double outX;
        private final double outY;
        private final Opening opening;

        Wall(Point a, Point b, double turns, Opening opening) {
            double length = Math.max(a.distance(b), 1e-9);
            this.a = a;
            this.b = b;
            this.outX = (b.y() - a.y()) / length * turns;
            this.outY = -(b.x() - a.x()) / length * turns;
            this.opening = opening;
        }

        Thin least(Feature feature) {
            int strides = (int) Math.ceil(a.distance(b) / STRIDE);
            double at = -1;
            double least = Double.POSITIVE_INFINITY;
            for (int k = 0; k <= strides && strides > 0; k++) {
                double cheek = cheek((double) k / strides);
                if (cheek < least) {
                    least = cheek;
                    at = (double) k / strides;
                }
            }
            if (at < 0) {
                return null;
            }
            double half = 1.0 / strides;
            while (half * a.distance(b) > FINE) {
                half /= 2;
                for (double to : new double[] {at - half, at + half}) {
                    double cheek = to < 0 || to > 1 ? Double.POSITIVE_INFINITY : cheek(to);
                    if (cheek < least) {
                        least = cheek;
                        at = to;
                    }
                }
            }
            return new Thin(Kind.WALL, feature, Feature.EDGE, least, a.towards(b, at));
        }

        /** Endless where the wall is not judged. */
        private double cheek(double along) {
            Point p = a.towards(b, along);
            if (opening.along(p) > opening.until()) {
                return Double.POSITIVE_INFINITY;
            }
            return outline.contains(p) ? outline.wayOut(p, outX, outY) : -outline.outside(p);
        }
    }

    private static Surface top(Solid solid) {
        return solid instanceof Solid.Prism p ? p.top() : ((Bore) solid).side(false);
    }

    private static Surface bottom(Solid solid) {
        return solid instanceof Solid.Prism p ? p.bottom() : ((Bore) solid).side(true);
    }

    /** Straight up or down to a face, whose surfaces lie each where it lies. */
    private static Thin toFace(Pit one, Feature neighbour, FaceShape shape, Region over) {
        Gap best = null;
        for (FaceShape.Part part : shape.parts()) {
            Region here = part.only().map(over::intersection).orElse(over);
            if (!here.isEmpty()) {
                Gap gap = shape.face() == Face.FRONT
                        ? least(part.surface(), top(one.solid), here)
                        : least(bottom(one.solid), part.surface(), here);
                best = best == null ? gap : best.or(gap);
            }
        }
        return new Thin(Kind.FLOOR, one.feature, neighbour, best.thickness(), best.at());
    }

    private static Gap least(Surface upper, Surface lower, Region over) {
        boolean round = upper instanceof Bore.Side || lower instanceof Bore.Side;
        return round
                ? remembered(new Between(upper, lower, over), () -> Gap.least(upper, lower, over))
                : Gap.least(upper, lower, over);
    }
}
