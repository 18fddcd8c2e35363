package ebauche.core.build;

import ebauche.core.operation.Operation;
import ebauche.core.stock.Change;
import ebauche.core.stock.Stock;
import ebauche.core.stock.WoodLeft;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The wood before the first step and after each one, with what each step really did or will do. */
public final class History {
    /** Work on the whole body, not voids in it. */
    private static final Set<String> WHOLE_BODY = Set.of("blank", "thickness", "outline", "sanding");

    private final Stock start;
    private final List<Step> steps;
    private final Map<String, Set<String>> joins = new HashMap<>();
    private final Build build;
    private final List<WoodLeft.Thin> thinnest;

    public History(Build build, Stock start, List<Step> steps) {
        this.build = build;
        this.start = start;
        this.steps = List.copyOf(steps);
        for (Step step : steps) {
            joins.computeIfAbsent(step.operation().feature(), f -> new HashSet<>())
                    .addAll(step.operation().joins());
        }
        this.thinnest = woodLeft(steps.size()).thinnest();
    }

    /**
     * One step.
     *
     * @param changes as done, else as planned
     * @param done whether it is a fact
     */
    public record Step(Operation operation, List<Change> changes, boolean done, Stock after) {}

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
        return count >= steps.size() ? thinnest : woodLeft(count).thinnest();
    }

    /** Whether a change cuts a void into the body rather than working it as a whole. */
    public static boolean isVoid(Change change) {
        return change instanceof Change.Remove && !WHOLE_BODY.contains(change.feature());
    }

    private WoodLeft woodLeft(int count) {
        FinishedFaces faces = build.faces();
        WoodLeft left = new WoodLeft(
                build.design().outline().region(), faces.frontFinished(), faces.backFinished(), this::joined);
        for (Step step : steps.subList(0, count)) {
            for (Change change : step.changes()) {
                if (isVoid(change)) {
                    left.add(change.feature(), step.operation().face(), change.solid());
                }
            }
        }
        return left;
    }

    /** Whether two features are meant to break into each other. */
    public boolean joined(String one, String other) {
        return one.equals(other)
                || joins.getOrDefault(one, Set.of()).contains(other)
                || joins.getOrDefault(other, Set.of()).contains(one);
    }
}
