package ebauche.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import ebauche.core.TestParts;
import ebauche.core.design.Measurand;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Pickup;
import ebauche.core.logbook.AsBuilt;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Readings that cannot both be true are asked for once more; those that can are not. */
class SecondLookTest {
    private static TestBody body() {
        TestBody body = new TestBody();
        body.pickups.set(0, Pickup.of("neck", new Point(0, 130), 0, Set.of(), 5, TestParts.pickup()));
        return body;
    }

    private static Optional<SecondLook.Contradiction> look(TestBody body, String measures, double value) {
        return SecondLook.at(body.build(), Measurand.parse(measures), value);
    }

    @Test
    void the_first_reading_of_anything_contradicts_nothing() {
        for (String measures :
                new String[] {"size:pickup-neck.height", "heel-thickness", "depth:neck", "body-thickness"}) {
            assertThat(look(body(), measures, 3)).as(measures).isEmpty();
        }
    }

    /** A part or a neck stays as it is: two readings of it agree within the shop's limit, and that limit still agrees. */
    @ParameterizedTest
    @CsvSource({"size:pickup-neck.height, 20.4", "heel-thickness, 25.6", "fingerboard-thickness, 6.3", "nut-height, 0.6"
    })
    void what_does_not_change_is_asked_for_again_beyond_the_shops_limit(String measures, double first) {
        TestBody body = body();
        double limit = body.shop.limits().thicknessTolerance();
        body.read(measures, first);
        assertThat(look(body, measures, first + limit - 1e-6)).isEmpty();
        assertThat(look(body, measures, first - limit + 1e-6)).isEmpty();
        for (double off : new double[] {limit + 0.01, -limit - 0.01}) {
            SecondLook.Contradiction told = look(body, measures, first + off).orElseThrow();
            assertThat(told.earlier().value()).isEqualTo(first);
            assertThat(told.expected()).isEqualTo(first);
            assertThat(told.limit()).isEqualTo(limit);
        }
    }

    @Test
    void what_sanding_or_setting_up_changes_is_never_asked_for_again() {
        TestBody body = body().read("body-thickness", 45.1).read("saddle-height", 12);
        assertThat(look(body, "body-thickness", 44.2)).isEmpty();
        assertThat(look(body, "saddle-height", 13.5)).isEmpty();
    }

    /** A cavity gets deeper by the router and shallower only by what is sanded off its face. */
    @Test
    void a_cavity_that_grew_shallower_by_itself_is_asked_for_again() {
        TestBody body = body().doneUpTo("neck:rough").read("depth:neck", 23, "neck:rough");
        double limit = body.shop.limits().depthTolerance();
        assertThat(look(body, "depth:neck", 24.3)).as("routed on").isEmpty();
        assertThat(look(body, "depth:neck", 23 - limit + 1e-6)).isEmpty();
        SecondLook.Contradiction told = look(body, "depth:neck", 22.5).orElseThrow();
        assertThat(told.expected()).isEqualTo(23);
        body.read("sanded-off:front", 0.4);
        assertThat(look(body, "depth:neck", 22.5))
                .as("0.4 of it was sanded off")
                .isEmpty();
        assertThat(look(body, "depth:neck", 22.4).orElseThrow().expected()).isCloseTo(22.6, within(1e-9));
        body.read("sanded-off:back", 1);
        assertThat(look(body, "depth:neck", 22.4))
                .as("the back has no part in it")
                .isPresent();
    }

    @Test
    void the_latest_reading_counts_and_a_withdrawn_one_does_not() {
        TestBody body = body().read("heel-thickness", 25.0);
        body.read("heel-thickness", 26.0);
        assertThat(look(body, "heel-thickness", 26.1)).isEmpty();
        assertThat(look(body, "heel-thickness", 25.0)).isPresent();
        body.timeline.add(
                new AsBuilt.Withdrawn("w", "", "test", body.timeline.get(1).id()));
        assertThat(look(body, "heel-thickness", 25.0)).isEmpty();
    }
}
