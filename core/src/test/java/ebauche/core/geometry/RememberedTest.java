package ebauche.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What is remembered changes no answer, and is bounded. */
class RememberedTest {
    @Test
    void a_question_is_answered_once_while_it_is_among_the_last() {
        Remembered<Integer, String> last = new Remembered<>(2);
        AtomicInteger asked = new AtomicInteger();
        for (int q : new int[] {1, 2, 1, 3, 1, 2}) {
            assertThat(last.get(q, () -> "answer " + q + " " + asked.incrementAndGet()))
                    .startsWith("answer " + q);
        }
        // 1 and 2 asked, 1 known, 3 asked and 2 forgotten, 1 known, 2 asked again
        assertThat(asked).hasValue(4);
    }

    @Test
    void many_at_once_get_the_same_answers() {
        Remembered<Integer, Integer> last = new Remembered<>(50);
        List<Integer> squares = IntStream.range(0, 20_000)
                .parallel()
                .mapToObj(i -> last.get(i % 120, () -> (i % 120) * (i % 120)))
                .toList();
        for (int i = 0; i < squares.size(); i++) {
            assertThat(squares.get(i)).isEqualTo((i % 120) * (i % 120));
        }
    }

    private static Region star(long seed) {
        Random random = new Random(seed);
        return Region.ofRing(IntStream.range(0, 24)
                .mapToObj(i -> {
                    double r = 40 + 20 * random.nextDouble();
                    return new Point(r * Math.cos(i * Math.PI / 12), r * Math.sin(i * Math.PI / 12));
                })
                .toList());
    }

    /** The same area made twice answers as the first did; another area of the same box and corners does not. */
    @Test
    void areas_that_only_look_alike_are_told_apart() {
        for (long seed = 0; seed < 40; seed++) {
            Region one = star(seed);
            Region again = star(seed);
            assertThat(again).isEqualTo(one).isNotSameAs(one);
            assertThat(again.grown(-3)).isSameAs(one.grown(-3));
            Region square = Region.rectangle(new Point(10, 5), 30, 30, 0, 0);
            assertThat(again.minus(square).area())
                    .isCloseTo(one.area() - one.intersection(square).area(), within(1e-6));
            assertThat(one.union(square).area())
                    .isCloseTo(
                            one.area()
                                    + square.area()
                                    - again.intersection(square).area(),
                            within(1e-6));
        }
        Region diamond =
                Region.ofRing(List.of(new Point(-10, 0), new Point(0, -10), new Point(10, 0), new Point(0, 10)));
        Region kite = Region.ofRing(List.of(new Point(-10, 2), new Point(0, -10), new Point(10, 2), new Point(0, 10)));
        assertThat(kite.hashCode()).isEqualTo(diamond.hashCode());
        assertThat(kite).isNotEqualTo(diamond);
        assertThat(kite.grown(1).area()).isNotEqualTo(diamond.grown(1).area());
    }
}
