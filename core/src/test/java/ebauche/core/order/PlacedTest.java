package ebauche.core.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is told of a move is the difference of the prices, counted anew. */
class PlacedTest {
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void what_a_move_costs_is_what_the_order_costs_more_then(int seed) {
        Random chance = new Random(seed);
        SmallBuilds build = SmallBuilds.of(seed, 40);
        Placed placed =
                new Placed(build.costs(), IntStream.range(0, build.steps.size()).toArray());
        int dearer = 0;
        for (int i = 0; i < 400; i++) {
            int a = chance.nextInt(placed.size() - 1);
            int b = a + 1 + chance.nextInt(placed.size() - a - 1);
            int c = b + 1 + chance.nextInt(placed.size() - b);
            double lying = 0;
            for (int at = b; at < c; at++) {
                lying += placed.lying(a, b, at);
            }
            double told = placed.swapped(a, b, c, placed.used(a, b)) + lying;
            double was = placed.price();
            placed.swap(a, b, c);
            assertThat(placed.price() - was).as("move %d", i).isEqualTo(told, within(1e-6));
            dearer += told > 0 ? 1 : 0;
        }
        assertThat(dearer).as("moves of both kinds").isBetween(20, 380);
    }
}
