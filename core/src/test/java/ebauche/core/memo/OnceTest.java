package ebauche.core.memo;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class OnceTest {
    private record One(int found) {}

    private record Other(One of) {}

    /** Found out once, also one inside the other, and by many at once all the same. */
    @Test
    void each_is_found_out_once_and_may_ask_for_another() {
        Once once = new Once();
        AtomicInteger asked = new AtomicInteger();
        Other other = once.of(Other.class, () -> new Other(once.of(One.class, () -> new One(asked.incrementAndGet()))));
        assertThat(once.of(One.class, () -> new One(asked.incrementAndGet()))).isSameAs(other.of());
        assertThat(asked).hasValue(1);
        Once shared = new Once();
        List<One> all = IntStream.range(0, 200)
                .parallel()
                .mapToObj(i -> shared.of(One.class, () -> new One(i)))
                .distinct()
                .toList();
        assertThat(all).hasSize(1);
    }
}
