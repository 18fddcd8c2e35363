package ebauche.app.blank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.layout.Preference;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Refusal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What an address may ask of the planner: sense where nothing is said, limits where nonsense is. */
class BlankChoiceTest {
    private static BlankChoice choice(Integer most, String top, String room, String dx) {
        return new BlankChoice(null, most, null, null, top, null, room, null, null, dx, null);
    }

    @Test
    void what_is_left_out_is_chosen_sensibly() {
        BlankChoice nothing = choice(null, null, null, null);
        assertThat(nothing.mostPieces()).isEqualTo(5);
        assertThat(nothing.tasteOrUsual()).isEqualTo(Preference.BALANCED);
        assertThat(nothing.onlyReady()).isFalse();
        assertThat(nothing.right(LengthUnit.MILLIMETRE)).isZero();
        assertThat(nothing.topThickness(LengthUnit.MILLIMETRE, 44)).isEmpty();
        assertThat(nothing.margin(LengthUnit.MILLIMETRE)).isEmpty();
    }

    @Test
    void numbers_out_of_range_are_kept_within_it() {
        assertThat(choice(99, null, null, null).mostPieces()).isEqualTo(7);
        assertThat(choice(-3, null, null, null).mostPieces()).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"4 mm, 4", "-1/4 in, -6.35", "0.5, 12.7", "'', 0"})
    void the_outline_is_moved_by_what_is_written(String written, double millimetres) {
        assertThat(choice(null, null, null, written).right(LengthUnit.INCH)).isEqualTo(millimetres, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"NaN, is no length", "1e9, is no length", "300 mm, up to 200 mm each way", "far, is no length"})
    void the_outline_is_not_moved_by_what_is_no_length_or_too_far(String written, String words) {
        assertThatThrownBy(() -> choice(null, null, null, written).right(LengthUnit.MILLIMETRE))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining(words);
    }

    @ParameterizedTest
    @CsvSource({"8 mm, 8", "1/4 in, 6.35", "6, 6"})
    void a_top_is_read_as_it_is_written(String written, double millimetres) {
        assertThat(choice(null, written, null, null).topThickness(LengthUnit.MILLIMETRE, 44))
                .contains(millimetres);
    }

    @ParameterizedTest
    @CsvSource({"1 mm, from 2 mm to 30 mm", "43 mm, from 2 mm to 30 mm", "thin, is no length"})
    void a_top_that_cannot_be_is_refused_in_words(String written, String words) {
        assertThatThrownBy(() -> choice(null, written, null, null).topThickness(LengthUnit.MILLIMETRE, 44))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining(words);
    }

    @Test
    void what_was_refused_can_be_left_out_and_the_rest_stays() {
        BlankChoice bad = choice(3, "99 mm", "7 mm", "4 mm");
        assertThat(bad.without("top").topThickness(LengthUnit.MILLIMETRE, 44)).isEmpty();
        assertThat(bad.without("top").margin(LengthUnit.MILLIMETRE)).contains(7.0);
        assertThat(bad.without("room").margin(LengthUnit.MILLIMETRE)).isEmpty();
        assertThat(bad.without("top").right(LengthUnit.MILLIMETRE)).isEqualTo(4);
        assertThat(bad.without("moved").right(LengthUnit.MILLIMETRE)).isZero();
    }
}
