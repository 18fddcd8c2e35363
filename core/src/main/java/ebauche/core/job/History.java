package ebauche.core.job;

import ebauche.core.design.BodyDesign;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.memo.Memo;
import ebauche.core.memo.Once;
import ebauche.core.operation.Operation;
import ebauche.core.stock.Change;
import ebauche.core.stock.Grid;
import ebauche.core.stock.Stock;
import ebauche.core.stock.WoodLeft;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What each step really did or will do, and the wood before the first step and after each one.
 *
 * <p>The wood is replayed when somebody looks at it, and kept in a memo by its weight: let go of, it is replayed again. The grid that it
 * is told on is as fine as {@link #PITCH}, doubled as often as a blank far off its body would need too many cells.
 */
public final class History {
    /** Pitch of the stock's grid, mm. */
    public static final double PITCH = 0.5;

    /** Room round the blank in the grid, mm. */
    private static final double MARGIN = 2;

    private final Build build;
    private final List<Step> steps;
    private final Joins joins;
    private final Memo memo;
    private volatile List<WoodLeft.Thin> thinnest;
    private final Once once = new Once();

    /** The history of steps in their order; its wood is kept in that memo. */
    public History(Build build, List<Step> steps, Memo memo) {
        this.build = build;
        this.steps = List.copyOf(steps);
        this.joins = Joins.of(this.steps);
        this.memo = memo;
    }

    /**
     * What one step did or will do.
     *
     * @param changes as done, else as planned
     * @param done whether it is a fact
     */
    public record Step(Operation operation, List<Change> changes, boolean done) {}

    /** Which features are meant to break into each other, and which out of the edge, as their steps say. */
    private record Joins(Map<Feature, Set<Feature>> of, Map<Feature, WoodLeft.Opening> openings) {
        static Joins of(List<Step> steps) {
            Map<Feature, Set<Feature>> joins = new HashMap<>();
            Map<Feature, WoodLeft.Opening> openings = new HashMap<>();
            for (Step step : steps) {
                Operation operation = step.operation();
                joins.computeIfAbsent(operation.feature(), f -> new HashSet<>()).addAll(operation.joins());
                operation.opening().ifPresent(o -> openings.put(operation.feature(), o));
            }
            return new Joins(joins, openings);
        }

        boolean joined(Feature one, Feature other) {
            return one.equals(other)
                    || of.getOrDefault(one, Set.of()).contains(other)
                    || of.getOrDefault(other, Set.of()).contains(one);
        }
    }

    /** What others find out from it alone. */
    public Once once() {
        return once;
    }

    public List<Step> steps() {
        return steps;
    }

    public Stock before(int step) {
        return wood()[step];
    }

    public Stock finished() {
        return before(steps.size());
    }

    private Stock[] wood() {
        return memo.large(this, () -> memo.during(this::replayed), History::bytes);
    }

    private Stock[] replayed() {
        Stock[] wood = new Stock[steps.size() + 1];
        wood[0] = Stock.empty(grid());
        for (int i = 0; i < steps.size(); i++) {
            wood[i + 1] = wood[i].after(steps.get(i).changes());
        }
        return wood;
    }

    private static long bytes(Stock[] wood) {
        long bytes = wood[0].bytesBeyond(null);
        for (int i = 1; i < wood.length; i++) {
            bytes += wood[i].bytesBeyond(wood[i - 1]);
        }
        return bytes;
    }

    private Grid grid() {
        BodyDesign design = build.design();
        Region blank = design.blank().plan();
        Region body = design.outline().region();
        double left = Math.min(blank.minX(), body.minX()) - MARGIN;
        double right = Math.max(blank.maxX(), body.maxX()) + MARGIN;
        double low = Math.min(blank.minY(), body.minY()) - MARGIN;
        double high = Math.max(blank.maxY(), body.maxY()) + MARGIN;
        double pitch = PITCH;
        while ((right - left + pitch) * (high - low + pitch) > Grid.MOST_CELLS * pitch * pitch) {
            pitch *= 2;
        }
        return Grid.covering(left, right, low, high, pitch);
    }

    /** What is left of the finished body between its voids, faces and edge, exactly, thinnest first. */
    public List<WoodLeft.Thin> thinnest() {
        List<WoodLeft.Thin> known = thinnest;
        if (known == null) {
            known = memo.during(() -> thinnest(steps));
            thinnest = known;
        }
        return known;
    }

    /** What is left between the voids that are there after so many steps, against the faces as they will be. */
    public List<WoodLeft.Thin> thinnestAfter(int count) {
        return count >= steps.size() ? thinnest() : memo.during(() -> thinnest(steps.subList(0, count)));
    }

    /** Whether a change cuts a void into the body rather than working it as a whole. */
    public static boolean isVoid(Change change) {
        return change instanceof Change.Remove && change.feature().isVoid();
    }

    /** What is left between its voids and a face that another build shapes, under an area: of what a contour would leave while it follows the hand. */
    public List<WoodLeft.Thin> toFace(Build other, Face face, Region under) {
        return memo.during(() -> left(other, steps).toFace(face, under));
    }

    private List<WoodLeft.Thin> thinnest(List<Step> cut) {
        return left(build, cut).thinnest();
    }

    private WoodLeft left(Build shaping, List<Step> cut) {
        WoodLeft left = new WoodLeft(
                shaping.design().outline().region(),
                shaping.finished(Face.FRONT),
                shaping.finished(Face.BACK),
                joins::joined);
        for (Step step : cut) {
            for (Change change : step.changes()) {
                if (change instanceof Change.Add add && add.fills()) {
                    left.fill(add.solid());
                } else if (isVoid(change)) {
                    left.add(
                            change.feature(),
                            step.operation().face(),
                            change.solid(),
                            Optional.ofNullable(joins.openings().get(change.feature())));
                }
            }
        }
        return left;
    }

    /** Whether two features are meant to break into each other. */
    public boolean joined(Feature one, Feature other) {
        return joins.joined(one, other);
    }
}
