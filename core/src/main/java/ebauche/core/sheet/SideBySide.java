package ebauche.core.sheet;

import ebauche.core.feature.Feature;
import ebauche.core.job.Finding;
import ebauche.core.measure.Quantity;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Two plans of one body beside each other: what a change would move, before it is kept.
 *
 * @param cavities depth, wood left and thinnest wall of every cavity, those that differ
 * @param others the other numbers that differ
 * @param appeared findings that only the later plan has
 * @param gone findings that only the earlier plan has
 * @param stay findings of both
 */
public record SideBySide(
        List<Row> cavities, List<Moved> others, List<Finding> appeared, List<Finding> gone, List<Finding> stay) {

    /** Smaller differences are noise of the arithmetic, not of the wood, mm. */
    private static final double NOISE = 1e-6;

    /**
     * One number of a cavity.
     *
     * @param what depth, or which wood
     * @param today empty if the cavity is not there today, or has no such wood
     * @param then the same for the change
     * @param tooThin whether the change leaves less wood there than the shop does
     */
    public record Row(Feature feature, String what, OptionalDouble today, OptionalDouble then, boolean tooThin) {}

    public static SideBySide of(BuildPlan today, BuildPlan then) {
        return new SideBySide(
                cavities(today, then),
                others(today, then),
                findings(then, today),
                findings(today, then),
                both(today, then));
    }

    /** Findings of an order that cannot be: they follow from others and go with them. */
    private static final Set<String> FOLLOW = Set.of("circle", "nobody-gives");

    /** What appeared, without what only follows from it. */
    public List<Finding> causes() {
        List<Finding> causes =
                appeared.stream().filter(f -> !FOLLOW.contains(f.rule())).toList();
        return causes.isEmpty() ? appeared : causes;
    }

    /** How many findings appeared that only follow from the others. */
    public int following() {
        return appeared.size() - causes().size();
    }

    /** Whether nothing at all moves. */
    public boolean isEmpty() {
        return cavities.isEmpty() && others.isEmpty() && appeared.isEmpty() && gone.isEmpty();
    }

    private static List<Row> cavities(BuildPlan today, BuildPlan then) {
        Map<Feature, Numbers> before = numbers(today);
        Map<Feature, Numbers> after = numbers(then);
        Map<Feature, Numbers> all = new LinkedHashMap<>(after);
        before.forEach(all::putIfAbsent);
        List<Row> rows = new ArrayList<>();
        for (Feature feature : all.keySet()) {
            Numbers a = before.getOrDefault(feature, Numbers.NONE);
            Numbers b = after.getOrDefault(feature, Numbers.NONE);
            row(feature, "depth", a.depth, b.depth, false, rows);
            row(feature, "thinnest wood under it", a.floor, b.floor, thin(then, WoodLeft.Kind.FLOOR, b.floor), rows);
            row(feature, "thinnest wall", a.wall, b.wall, thin(then, WoodLeft.Kind.WALL, b.wall), rows);
        }
        return rows;
    }

    private static boolean thin(BuildPlan plan, WoodLeft.Kind kind, OptionalDouble wood) {
        return wood.isPresent() && plan.build().shop().limits().tooThin(kind, wood.getAsDouble());
    }

    private static void row(
            Feature feature, String what, OptionalDouble today, OptionalDouble then, boolean tooThin, List<Row> rows) {
        boolean same = today.isPresent() == then.isPresent()
                && (today.isEmpty() || Math.abs(today.getAsDouble() - then.getAsDouble()) <= NOISE);
        if (!same) {
            rows.add(new Row(feature, what, today, then, tooThin));
        }
    }

    private record Numbers(OptionalDouble depth, OptionalDouble floor, OptionalDouble wall) {
        static final Numbers NONE = new Numbers(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static Map<Feature, Numbers> numbers(BuildPlan plan) {
        Map<Feature, Numbers> numbers = new LinkedHashMap<>();
        for (DepthCard card : DepthCard.of(plan)) {
            numbers.put(
                    card.feature(),
                    new Numbers(
                            OptionalDouble.of(card.depth().value()),
                            card.left().stream()
                                    .mapToDouble(l -> l.sum().value())
                                    .min(),
                            card.walls().stream()
                                    .mapToDouble(WoodLeft.Thin::thickness)
                                    .min()));
        }
        return numbers;
    }

    /** Sums that no cavity's row tells already: saddle height, holes, masses. */
    private static List<Moved> others(BuildPlan today, BuildPlan then) {
        List<String> told = new ArrayList<>();
        today.steps().forEach(s -> told.add(s.operation().title()));
        then.steps().forEach(s -> told.add(s.operation().title()));
        DepthCard.of(then).forEach(c -> told.add(c.depth().what()));
        List<Moved> moved = new ArrayList<>(Moved.between(today, then));
        moved.removeIf(m -> told.contains(m.what()));
        double before = today.history().finished().balance().grams();
        double after = then.history().finished().balance().grams();
        if (Math.abs(before - after) > NOISE) {
            moved.add(new Moved(
                    "mass of the finished wood", Quantity.MASS, OptionalDouble.of(before), OptionalDouble.of(after)));
        }
        return moved;
    }

    private record Key(String rule, Optional<Feature> feature, String what) {
        static Key of(Finding finding) {
            return new Key(finding.rule(), finding.feature(), finding.what());
        }
    }

    private static List<Finding> findings(BuildPlan of, BuildPlan notIn) {
        List<Key> others = notIn.findings().stream().map(Key::of).toList();
        return of.findings().stream().filter(f -> !others.contains(Key.of(f))).toList();
    }

    private static List<Finding> both(BuildPlan today, BuildPlan then) {
        List<Key> others = today.findings().stream().map(Key::of).toList();
        return then.findings().stream().filter(f -> others.contains(Key.of(f))).toList();
    }
}
