package ebauche.core.job;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.operation.Operation;
import ebauche.core.stock.Change;
import ebauche.core.stock.Stock;
import ebauche.core.stock.WoodLeft;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The wood before the first step and after each one, with what each step really did or will do. */
public final class History {
    private final Build build;
    private final Stock start;
    private final List<Step> steps;
    private final Joins joins;
    private final List<WoodLeft.Thin> thinnest;

    /**
     * A history whose wood is known.
     *
     * @param thinnest as {@link #thinnest(Build, List)} finds it for these steps
     */
    public History(Build build, Stock start, List<Step> steps, List<WoodLeft.Thin> thinnest) {
        this.build = build;
        this.start = start;
        this.steps = List.copyOf(steps);
        this.joins = Joins.of(steps.stream().map(Step::deed).toList());
        this.thinnest = List.copyOf(thinnest);
    }

    /**
     * What one step did or will do.
     *
     * @param changes as done, else as planned
     * @param done whether it is a fact
     */
    public record Deed(Operation operation, List<Change> changes, boolean done) {}

    /** One step and the wood after it. */
    public record Step(Deed deed, Stock after) {
        public Operation operation() {
            return deed.operation();
        }

        public List<Change> changes() {
            return deed.changes();
        }

        public boolean done() {
            return deed.done();
        }
    }

    /** Which features are meant to break into each other, and which out of the edge, as their steps say. */
    private record Joins(Map<Feature, Set<Feature>> of, Map<Feature, WoodLeft.Opening> openings) {
        static Joins of(List<Deed> deeds) {
            Map<Feature, Set<Feature>> joins = new HashMap<>();
            Map<Feature, WoodLeft.Opening> openings = new HashMap<>();
            for (Deed deed : deeds) {
                Operation operation = deed.operation();
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

    public List<Step> steps() {
        return steps;
    }

    public Stock before(int step) {
        return step == 0 ? start : steps.get(step - 1).after();
    }

    public Stock finished() {
        return before(steps.size());
    }

    /** What is left of the finished body between its voids, faces and edge, exactly, thinnest first. */
    public List<WoodLeft.Thin> thinnest() {
        return thinnest;
    }

    /** What is left between the voids that are there after so many steps, against the faces as they will be. */
    public List<WoodLeft.Thin> thinnestAfter(int count) {
        return count >= steps.size()
                ? thinnest
                : thinnest(build, steps.stream().limit(count).map(Step::deed).toList(), joins);
    }

    /** Whether a change cuts a void into the body rather than working it as a whole. */
    public static boolean isVoid(Change change) {
        return change instanceof Change.Remove && change.feature().isVoid();
    }

    /** What these deeds leave of the finished body between its voids, faces and edge, exactly, thinnest first. */
    public static List<WoodLeft.Thin> thinnest(Build build, List<Deed> deeds) {
        return thinnest(build, deeds, Joins.of(deeds));
    }

    private static List<WoodLeft.Thin> thinnest(Build build, List<Deed> deeds, Joins joins) {
        WoodLeft left = new WoodLeft(
                build.design().outline().region(),
                build.finished(Face.FRONT),
                build.finished(Face.BACK),
                joins::joined);
        for (Deed deed : deeds) {
            for (Change change : deed.changes()) {
                if (isVoid(change)) {
                    left.add(
                            change.feature(),
                            deed.operation().face(),
                            change.solid(),
                            Optional.ofNullable(joins.openings().get(change.feature())));
                }
            }
        }
        return left.thinnest();
    }

    /** Whether two features are meant to break into each other. */
    public boolean joined(Feature one, Feature other) {
        return joins.joined(one, other);
    }
}
