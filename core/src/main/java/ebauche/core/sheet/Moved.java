package ebauche.core.sheet;

import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.plan.BuildPlan;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * A number that differs between two plans: the sums a maker asks about, and the figure of every step.
 *
 * @param what its name: a sum's, or a step's title and what its figure says
 * @param before empty if the earlier plan has no such number
 * @param after empty if the later plan has none
 */
public record Moved(String what, Quantity quantity, OptionalDouble before, OptionalDouble after) {
    /** Smaller differences are noise of the arithmetic, not of the wood, mm. */
    private static final double NOISE = 1e-6;

    /** Everything that differs, the sums first, then the steps in the later plan's order. */
    public static List<Moved> between(BuildPlan earlier, BuildPlan later) {
        Map<String, Reckoning> before = numbers(earlier);
        Map<String, Reckoning> after = numbers(later);
        List<Moved> moved = new ArrayList<>();
        after.forEach((what, now) -> {
            Reckoning then = before.get(what);
            if (then == null || Math.abs(then.value() - now.value()) > NOISE) {
                OptionalDouble was = then == null ? OptionalDouble.empty() : OptionalDouble.of(then.value());
                moved.add(new Moved(what, now.quantity(), was, OptionalDouble.of(now.value())));
            }
        });
        before.forEach((what, then) -> {
            if (!after.containsKey(what)) {
                moved.add(new Moved(what, then.quantity(), OptionalDouble.of(then.value()), OptionalDouble.empty()));
            }
        });
        return moved;
    }

    private static Map<String, Reckoning> numbers(BuildPlan plan) {
        Map<String, Reckoning> numbers = new LinkedHashMap<>();
        plan.reckonings().forEach(r -> numbers.put(r.what(), r));
        plan.steps().stream()
                .filter(s -> !s.done())
                .forEach(s -> s.operation()
                        .setting()
                        .figure()
                        .ifPresent(f -> numbers.put(s.operation().title(), f)));
        return numbers;
    }
}
