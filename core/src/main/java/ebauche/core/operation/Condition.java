package ebauche.core.operation;

import ebauche.core.feature.StepKey;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Something about the work that an operation needs, gives or takes away. The order of a build and its reasons follow
 * from these; nobody writes "A before B" by hand.
 *
 * <p>Flats, walls and wood carry the region they mean and are spoiled by any change that meets it; the others are
 * spoiled only by an operation that says so. Depths are the stock's.
 */
public sealed interface Condition {
    /** Overlap of regions that is still a touch and no harm, mm². */
    double TOUCH_AREA = 1.0;

    /** Overlap of depths that is still a touch, mm. */
    double TOUCH_DEPTH = 0.05;

    /** In the trade's words, to follow "needs". */
    String words();

    /** Whether this condition, being given, answers that need. */
    boolean answers(Condition need);

    /** Where on the plan it lies: what cuts nowhere there takes nothing of it away. Empty where only steps that say so spoil it. */
    default Optional<Region> where() {
        return Optional.empty();
    }

    /** Whether a change to the wood takes this condition away, by where it cuts. */
    default boolean spoiledBy(Change change) {
        return false;
    }

    /**
     * A face flat enough to carry a base, a jig or a fence over a region.
     *
     * @param depth of the face in the stock
     * @param share of the region that must stay whole: a base is still carried over a neighbour's small pocket
     */
    record Flat(Face face, double depth, Region region, double share) implements Condition {
        /** Half the surround of a pocket still carries a base: common practice. */
        public static final double HALF = 0.5;

        @Override
        public Optional<Region> where() {
            return Optional.of(region);
        }

        @Override
        public String words() {
            return "the flat " + face.word() + " to bear on";
        }

        @Override
        public boolean answers(Condition need) {
            return (need instanceof Flat flat && flat.face == face && covers(region, flat.region))
                    || (need instanceof Rim rim && rim.face == face && covers(region, rim.line));
        }

        /** A cut over the whole region leaves it flat, only lower; one that takes too great a share of it spoils it. */
        @Override
        public boolean spoiledBy(Change change) {
            Solid solid = change.solid();
            boolean reaches = reaches(solid, depth);
            double most = (1 - share) * region.area();
            boolean tooSmall = solid.plan().area() <= most || solid.plan().boxesShare(region) <= most;
            if (!reaches || tooSmall) {
                return false;
            }
            double taken = solid.plan().shared(region) / region.area();
            return taken < 1 - 1e-6 && taken > 1 - share;
        }
    }

    /**
     * The face along a cavity's line, which a template bears on and its bearing's wall begins at: gone where another cavity takes half
     * of it, whether the two are meant to join or not. So of two cavities one in the other the inner one is cut first, and of two that
     * overlap the one that would lose more of its line: both cannot lose half of theirs to each other.
     *
     * @param depth of the face in the stock
     * @param line just outside the cavity's edge
     * @param around what carries the base: a cut over all of it works the face as a whole and leaves the line whole
     */
    record Rim(Face face, double depth, Region line, Region around) implements Condition {
        private static final double LOST = 0.5;

        @Override
        public Optional<Region> where() {
            return Optional.of(line);
        }

        @Override
        public String words() {
            return "the " + face.word() + " whole along its line, for template and bearing";
        }

        @Override
        public boolean answers(Condition need) {
            return false;
        }

        @Override
        public boolean spoiledBy(Change change) {
            Solid solid = change.solid();
            boolean reaches = reaches(solid, depth);
            double most = LOST * line.area();
            return change instanceof Change.Remove
                    && reaches
                    && solid.plan().area() > most
                    && solid.plan().boxesShare(line) > most
                    && solid.plan().shared(line) > most
                    && solid.plan().shared(around) < around.area() - TOUCH_AREA;
        }
    }

    /** Sound wood just outside an edge, for the wall that a bearing rides or the cutter leaves. */
    record Wall(String of, Region ring, double from, double to) implements Condition {
        @Override
        public Optional<Region> where() {
            return Optional.of(ring);
        }

        @Override
        public String words() {
            return "a whole wall round the " + of;
        }

        @Override
        public boolean answers(Condition need) {
            return false;
        }

        @Override
        public boolean spoiledBy(Change change) {
            return meets(change, ring, from, to);
        }
    }

    /** Wood over a region between two depths. */
    record Wood(Region region, double from, double to) implements Condition {
        @Override
        public Optional<Region> where() {
            return Optional.of(region);
        }

        @Override
        public String words() {
            return "the wood that it cuts";
        }

        @Override
        public boolean answers(Condition need) {
            if (need instanceof Wall wall) {
                return from <= wall.from + TOUCH_DEPTH && to >= wall.to - TOUCH_DEPTH && region.contains(wall.ring);
            }
            return need instanceof Wood wood
                    && from <= wood.from + TOUCH_DEPTH
                    && to >= wood.to - TOUCH_DEPTH
                    && covers(region, wood.region);
        }

        @Override
        public boolean spoiledBy(Change change) {
            return meets(change, region, from, to);
        }
    }

    /** What a step leaves behind: one with any of its kind that the same step leaves, however it is said. */
    sealed interface LeftBy extends Condition {
        StepKey by();

        @Override
        default boolean answers(Condition need) {
            return equals(need);
        }

        /** Whether another is of this kind and left by the same step. */
        default boolean same(Object other) {
            return other instanceof LeftBy that
                    && that.getClass() == getClass()
                    && that.by().equals(by());
        }
    }

    /**
     * A hole that is there to come through or to locate by.
     *
     * @param by the step that drills it
     */
    record Access(StepKey by, String hole) implements LeftBy {
        @Override
        public String words() {
            return "the " + hole;
        }

        @Override
        public boolean equals(Object other) {
            return same(other);
        }

        @Override
        public int hashCode() {
            return by.hashCode();
        }
    }

    /**
     * A line, a check or a state that was made and can be relied on.
     *
     * @param by the step that leaves it, or the last of those that may
     */
    record Mark(StepKey by, String name) implements LeftBy {
        @Override
        public String words() {
            return name;
        }

        @Override
        public boolean equals(Object other) {
            return same(other);
        }

        @Override
        public int hashCode() {
            return by.hashCode();
        }
    }

    /**
     * A template fixed in its place.
     *
     * @param by the step that fixes it
     */
    record Held(StepKey by, String template) implements LeftBy {
        @Override
        public String words() {
            return "the " + template + " fixed";
        }

        @Override
        public boolean equals(Object other) {
            return same(other);
        }

        @Override
        public int hashCode() {
            return by.hashCode();
        }
    }

    /** The surfaces of a body. */
    enum OuterSurface {
        FRONT,
        BACK,
        EDGE
    }

    /** A surface on which nothing more will be cut. */
    record Settled(OuterSurface surface, double depth, Region region) implements Condition {
        @Override
        public Optional<Region> where() {
            return Optional.of(region);
        }

        @Override
        public String words() {
            return "the " + surface.name().toLowerCase(Locale.ROOT) + " settled: nothing more cut into it";
        }

        @Override
        public boolean answers(Condition need) {
            return false;
        }

        /** A change unsettles a face when it reaches through it somewhere on the body. */
        @Override
        public boolean spoiledBy(Change change) {
            Solid solid = change.solid();
            boolean reaches = switch (surface) {
                case FRONT -> solid.shallowest() < depth + TOUCH_DEPTH;
                case BACK -> solid.deepest() > depth - TOUCH_DEPTH;
                case EDGE -> !region.contains(solid.plan());
            };
            return reaches && solid.plan().sharesMore(region, TOUCH_AREA);
        }
    }

    /** At least so many of several pieces of wood, such as the seats of a template's screws. */
    record AtLeast(int count, String what, List<Wood> of) implements Condition {
        public AtLeast {
            of = List.copyOf(of);
        }

        @Override
        public String words() {
            return "at least " + count + " " + what;
        }

        @Override
        public boolean answers(Condition need) {
            return false;
        }
    }

    /** Whether one area holds another, but for the chords that stand for its curves. */
    private static boolean covers(Region one, Region other) {
        return one.contains(other) || one.grown(Segment.FLATNESS).contains(other);
    }

    /** Whether a cut reaches a face that lies at a depth. */
    private static boolean reaches(Solid solid, double face) {
        return solid.shallowest() <= face + TOUCH_DEPTH && solid.deepest() >= face - TOUCH_DEPTH;
    }

    private static boolean meets(Change change, Region region, double from, double to) {
        Solid solid = change.solid();
        return change instanceof Change.Remove
                && solid.shallowest() < to - TOUCH_DEPTH
                && solid.deepest() > from + TOUCH_DEPTH
                && solid.plan().sharesMore(region, TOUCH_AREA)
                && solid.shallowest(region) < to - TOUCH_DEPTH
                && solid.deepest(region) > from + TOUCH_DEPTH;
    }
}
