package ebauche.core.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.operation.Operation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Orders of least loss against an independent solver of exact orders, the constraint solver of OR-Tools, and against a rule of scheduling theory: Smith
 * (1956), weighted completion times by chance over minutes, from memory.
 */
class LeastLossOutsideTest {
    private static final int EACH = 50;

    @Tag("slow")
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5})
    void of_small_builds_none_is_cheaper_by_the_solver(int part) {
        for (int i = 0; i < EACH; i++) {
            long seed = 1000L * part + i;
            SmallBuilds build = SmallBuilds.of(seed, 4 + i % 9);
            Costs costs = build.costs();
            List<Operation> found = LeastLoss.of(costs, build.steps, build.links(), 0);
            SolverOrder.Found best = SolverOrder.of(costs, build.links(), List.of(), 60, 1);
            assertThat(best.proved()).as("build %d proved", seed).isTrue();
            assertThat(costs.price(best.order()).total())
                    .as("what the solver counts for build %d is what we count", seed)
                    .isCloseTo(best.cost(), within(1e-6));
            assertThat(costs.price(found).total())
                    .as("the cost of build %d", seed)
                    .isCloseTo(best.cost(), within(1e-6));
            assertKept(found, build.links());
        }
    }

    /** Many steps are searched, not solved; on the same small builds, begun with some steps that are facts, that search is near the best. */
    @Test
    void what_is_searched_is_seldom_dearer_than_what_is_solved() {
        int dearer = 0;
        double worst = 1;
        for (int i = 0; i < 100; i++) {
            SmallBuilds build = SmallBuilds.of(20_000L + i, ExactOrder.MOST);
            Costs costs = build.costs();
            double solved = costs.price(LeastLoss.of(costs, build.steps, build.links(), 0))
                    .total();
            double searched = costs.price(LeastLoss.searched(costs, build.steps, build.links(), 0, 8))
                    .total();
            assertThat(searched).isGreaterThanOrEqualTo(solved - 1e-6);
            dearer += searched > solved + 1e-6 ? 1 : 0;
            worst = Math.max(worst, searched / solved);
        }
        assertThat(dearer).as("of a hundred").isLessThan(20);
        assertThat(worst).isLessThan(1.15);
    }

    /** Without set-ups and links: by chance over minutes, falling (Smith 1956, memory). */
    @ParameterizedTest
    @ValueSource(ints = {5, 12, 30, 60})
    void without_set_ups_and_links_it_is_smiths_order(int count) {
        Random chance = new Random(count);
        List<Operation> steps = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            steps.add(Operation.of(Work.PLAN, StepKey.parse("part-" + i + ":do"), "Do " + i)
                    .takes(5 + chance.nextInt(40), 0, (1 + chance.nextInt(200)) / 10_000.0)
                    .build());
        }
        Costs costs = Costs.of(steps, o -> 0, Map.of(), false);
        List<Operation> smith = new ArrayList<>(steps);
        smith.sort(Comparator.comparingDouble((Operation o) -> -o.risk() / o.handsOnMinutes()));
        List<Operation> found = LeastLoss.deeper(costs, steps, List.of(), 0, 1);
        assertThat(costs.price(found).slips())
                .isCloseTo(costs.price(smith).slips(), within(1e-9))
                .isEqualTo(costs.price(found).total());
        double planned = costs.price(LeastLoss.of(costs, steps, List.of(), 0)).total();
        assertThat(planned / costs.price(smith).total()).as("what a plan takes").isBetween(1 - 1e-9, 1.02);
    }

    static void assertKept(List<Operation> order, List<Link> links) {
        Map<StepKey, Integer> place = new HashMap<>();
        order.forEach(o -> place.put(o.key(), place.size()));
        assertThat(links).allMatch(l -> place.get(l.before()) < place.get(l.after()));
    }
}
