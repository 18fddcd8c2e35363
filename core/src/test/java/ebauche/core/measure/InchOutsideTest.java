package ebauche.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class InchOutsideTest {
    /** International yard and pound agreement, 1959: 1 yard is exactly 0.9144 m, so 1 inch is exactly 25.4 mm. */
    @Test
    void the_inch_is_exactly_a_thirty_sixth_of_the_international_yard() {
        assertThat(Length.parse("36 in").millimetres()).isEqualTo(914.4);
        assertThat(Length.parse("1 in").millimetres()).isEqualTo(25.4);
        assertThat(Length.parse("1 thou").millimetres()).isEqualTo(0.0254);
    }

    /** Decimal equivalents of fractions as drill tables print them, to three decimals of a millimetre (from memory). */
    @ParameterizedTest
    @CsvSource({
        "1/64, 0.397",
        "1/32, 0.794",
        "1/16, 1.588",
        "1/8, 3.175",
        "3/16, 4.763",
        "5/16, 7.938",
        "3/8, 9.525",
        "7/8, 22.225"
    })
    void fractions_agree_with_a_drill_table(String fraction, double millimetres) {
        assertThat(Length.parse(fraction).millimetres()).isEqualTo(millimetres, within(0.0006));
    }

    /** Common practice: a 12 mm shank is not a 1/2 in shank. */
    @Test
    void twelve_millimetres_are_not_half_an_inch() {
        assertThat(Length.parse("12 mm")).isNotEqualTo(Length.parse("1/2 in"));
    }
}
