package ebauche.core.memo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What is remembered changes no answer, and holds no more than it was given. */
class MemoTest {
    private record Question(int number) {}

    @Test
    void a_question_is_answered_once_while_its_answer_is_held() {
        Memo memo = Memo.of(1_000_000);
        AtomicInteger asked = new AtomicInteger();
        for (int q : new int[] {1, 2, 1, 2, 2}) {
            assertThat(memo.get(new Question(q), () -> "answer " + q + " " + asked.incrementAndGet(), a -> 10))
                    .startsWith("answer " + q);
        }
        assertThat(asked).hasValue(2);
        memo.forget();
        memo.get(new Question(1), asked::incrementAndGet, a -> 10);
        assertThat(asked).hasValue(3);
    }

    @Test
    void it_never_holds_more_than_it_was_given() {
        Memo memo = Memo.of(100_000);
        for (int i = 0; i < 10_000; i++) {
            int n = i;
            assertThat(memo.get(new Question(n), () -> new byte[900][n % 7 + 1].length, a -> 900))
                    .isPositive();
        }
        assertThat(memo.weight()).isBetween(40_000L, 75_000L);
        assertThat(memo.size()).isBetween(40L, 90L);
        memo.put("too heavy", "", 1_000_000);
        assertThat(memo.known("too heavy", String.class)).isEmpty();
        assertThat(memo.weight()).isLessThanOrEqualTo(100_000L);
    }

    /** Of what is large the last asked is held whatever it weighs, and as many of those before it as there is room for. */
    @Test
    void of_what_is_large_the_last_asked_is_held() {
        Memo memo = Memo.of(40_000);
        AtomicInteger made = new AtomicInteger();
        for (int q : new int[] {1, 2, 1, 3, 1, 3, 2}) {
            memo.large(new Question(q), () -> q + made.incrementAndGet() * 0, a -> 4000);
        }
        // two fit: 1, 2 made, 1 known, 3 made and 2 let go, 1 and 3 known, 2 made again
        assertThat(made).hasValue(4);
        memo.large(new Question(9), made::incrementAndGet, a -> 1_000_000);
        memo.large(new Question(9), made::incrementAndGet, a -> 1_000_000);
        assertThat(made)
                .as("heavier than all that is allowed, and held while it is the last")
                .hasValue(5);
        assertThat(memo.size()).isEqualTo(1);
        memo.large(new Question(1), () -> 1, a -> 10);
        assertThat(memo.weight()).isLessThan(40_000);
    }

    @Test
    void work_is_done_during_one_and_only_as_long_as_it_lasts() {
        assertThat(Memo.here().remembers()).isFalse();
        Memo outer = Memo.of(1000);
        Memo inner = Memo.of(1000);
        assertThat(outer.during(() -> {
                    assertThat(inner.during(Memo::here)).isSameAs(inner);
                    return Memo.here();
                }))
                .isSameAs(outer);
        assertThatThrownBy(() -> inner.during(() -> {
                    throw new IllegalStateException("no");
                }))
                .hasMessage("no");
        assertThat(Memo.here().remembers()).isFalse();
        AtomicInteger asked = new AtomicInteger();
        Memo.here().get(new Question(1), asked::incrementAndGet, a -> 1);
        Memo.here().get(new Question(1), asked::incrementAndGet, a -> 1);
        assertThat(asked).as("nobody remembers").hasValue(2);
    }

    @Test
    void many_at_once_get_the_same_answers() {
        Memo memo = Memo.of(10_000);
        List<Integer> squares = IntStream.range(0, 20_000)
                .parallel()
                .mapToObj(i -> memo.get(new Question(i % 120), () -> (i % 120) * (i % 120), a -> 16))
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
        Memo.of(10_000_000).during(() -> {
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
            return null;
        });
    }

    /** Discs and rectangles are known by their numbers: one of them changed, another area. */
    @Test
    void an_area_made_by_its_numbers_is_that_of_its_numbers() {
        Memo.of(10_000_000).during(() -> {
            Point at = new Point(3, 4);
            assertThat(Region.disc(at, 8)).isSameAs(Region.disc(new Point(3, 4), 8));
            assertThat(Region.disc(at, 8).maxX()).isCloseTo(7, within(1e-9));
            assertThat(Region.disc(at, 9).maxX()).isCloseTo(7.5, within(1e-9));
            assertThat(Region.disc(new Point(4, 4), 8).maxX()).isCloseTo(8, within(1e-9));
            Region one = Region.rectangle(at, 10, 20, 2, 0);
            assertThat(Region.rectangle(at, 10, 20, 2, 0)).isSameAs(one);
            assertThat(Region.rectangle(at, 10, 20, 3, 0).area()).isLessThan(one.area());
            assertThat(Region.rectangle(at, 10, 20, 2, 90).maxX()).isCloseTo(13, within(1e-6));
            assertThat(Region.rectangle(at, 20, 10, 2, 0).maxX()).isCloseTo(13, within(1e-6));
            return null;
        });
    }
}
