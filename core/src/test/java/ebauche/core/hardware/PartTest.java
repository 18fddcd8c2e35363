package ebauche.core.hardware;

import static ebauche.core.hardware.PartSize.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ebauche.core.TestParts;
import ebauche.core.geometry.Point;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PartTest {
    @Test
    void a_pot_without_a_thread_is_none() {
        assertThatThrownBy(() -> TestParts.of(PartKind.POT, BUSHING, 9, ACROSS, 25, ALONG, 25, BELOW, 20))
                .hasMessageContaining("thread")
                .hasMessageContaining("missing");
    }

    @Test
    void a_nut_that_takes_the_whole_thread_leaves_none_for_the_wood() {
        assertThatThrownBy(() -> TestParts.pot().with(Map.of(NUT, 10.0)))
                .hasMessageContaining("none is left for the wood");
        assertThat(TestParts.pot().with(Map.of(NUT, 9.9)).get(NUT)).isEqualTo(9.9);
    }

    @Test
    void sizes_that_a_kind_does_not_have_and_sizes_out_of_all_reason_are_refused() {
        assertThatThrownBy(() -> TestParts.pot().with(Map.of(BLOCK_LENGTH, 40.0)))
                .hasMessageContaining("no such size");
        assertThatThrownBy(() -> TestParts.pot().with(Map.of(BELOW, 130.0))).hasMessageContaining("between");
    }

    @Test
    void legs_come_with_all_their_sizes_or_not_at_all_and_stand_out_beyond_the_pickup() {
        assertThatThrownBy(() -> TestParts.of(PartKind.PICKUP, ACROSS, 70, ALONG, 38, HEIGHT, 20, LEGS_ACROSS, 82))
                .hasMessageContaining("goes with");
        assertThatThrownBy(() -> TestParts.pickup().with(Map.of(LEGS_ACROSS, 69.0)))
                .hasMessageContaining("beyond");
    }

    @Test
    void a_bridge_winds_up_and_not_down() {
        assertThatThrownBy(() -> TestParts.vibrato().with(Map.of(HIGHEST_SADDLE, 9.0)))
                .hasMessageContaining("over the lowest");
    }

    @ParameterizedTest
    @EnumSource(PartKind.class)
    void every_kind_and_every_size_is_known_by_its_word(PartKind kind) {
        assertThat(PartKind.of(kind.key())).contains(kind);
        assertThat(kind.sizes()).doesNotHaveDuplicates().isNotEmpty();
        kind.sizes().forEach(s -> assertThat(PartSize.of(s.key())).contains(s));
    }

    @Test
    void a_part_goes_only_where_its_kind_belongs() {
        Point at = new Point(0, 0);
        assertThatThrownBy(() -> Pickup.of("neck", at, 0, Set.of(), 0, TestParts.pot()))
                .hasMessageContaining("no pickup");
        assertThatThrownBy(() -> Control.of("tone", at, OptionalDouble.empty(), TestParts.pickup()))
                .hasMessageContaining("no control");
        assertThatThrownBy(() -> Pickup.of("neck", at, 0, Set.of(), 20, TestParts.pickup()))
                .hasMessageContaining("wholly over the front");
    }

    @Test
    void a_pot_passes_its_thread_less_nut_and_washers() {
        Control pot = Control.of("tone", new Point(0, 0), OptionalDouble.empty(), TestParts.pot());
        assertThat(pot.thickestTop()).isEqualTo(8);
        assertThat(pot.kind()).isEqualTo(Control.Kind.POT);
    }
}
