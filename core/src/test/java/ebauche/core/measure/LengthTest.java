package ebauche.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LengthTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "44.5 mm | 44.5",
                "44,5 mm | 44.5",
                "4.45cm | 44.5",
                "1 3/4 in | 44.45",
                "1-3/4\" | 44.45",
                "3/64\" | 1.190625",
                "23 thou | 0.5842",
                "1 3/4 | 44.45",
                "-1/8 in | -3.175",
                "0 mm | 0",
                "2 in. | 50.8",
                "1⁄2 in | 12.7",
                ".5 in | 12.7",
                "5 millimetres | 5",
                "7/8 inches | 22.225"
            })
    void reads_lengths_as_makers_write_them(String written, double millimetres) {
        assertThat(Length.parse(written).millimetres()).isEqualTo(millimetres, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                " ",
                "deep",
                "12",
                "1/0 in",
                "1 in 3 mm",
                "12 mm 4",
                "NaN mm",
                "Infinity mm",
                "1e9 mm",
                "1e3",
                "20000 mm",
                "1,234 mm",
                "3 ft",
                "5'",
                "--3 mm",
                "1 3/4/2 in",
                "0x10 mm"
            })
    void refuses_what_is_no_length_and_says_how_to_write_one(String written) {
        assertThatThrownBy(() -> Length.parse(written))
                .isInstanceOf(LengthFormatException.class)
                .hasMessageContaining("Write it like 44.5 mm");
    }

    @Test
    void says_what_is_wrong_with_two_units_and_with_a_fraction_over_nought() {
        assertThatThrownBy(() -> Length.parse("1 in 3 mm")).hasMessageContaining("more than one unit");
        assertThatThrownBy(() -> Length.parse("3/0 in")).hasMessageContaining("over zero");
        assertThatThrownBy(() -> Length.parse("1e9 mm")).hasMessageContaining("no length");
        assertThatThrownBy(() -> Length.parse("999999999 mm")).hasMessageContaining("beyond 10000 mm");
    }

    @Test
    void a_very_long_text_is_refused_at_once_and_shortened_in_the_answer() {
        assertThatThrownBy(() -> Length.parse("1".repeat(100_000)))
                .isInstanceOf(LengthFormatException.class)
                .satisfies(e -> assertThat(e.getMessage()).hasSizeLessThan(200));
    }

    @Test
    void a_bare_number_takes_the_makers_unit_and_keeps_it_in_writing() {
        assertThat(Length.parse("12", LengthUnit.MILLIMETRE).millimetres()).isEqualTo(12);
        assertThat(Length.parse("1.5", LengthUnit.INCH).millimetres()).isEqualTo(38.1, within(1e-9));
        assertThat(Length.parse("1.5", LengthUnit.INCH)).hasToString("1.5 in");
    }

    @Test
    void who_typed_inches_reads_inches_again_and_equality_is_by_length() {
        assertThat(Length.parse("1 3/4\"")).hasToString("1 3/4\"");
        assertThat(Length.parse("1 3/4\""))
                .isEqualTo(Length.parse("44.45 mm"))
                .hasSameHashCodeAs(Length.parse("44.45 mm"));
        assertThat(Length.parse("1 in")).isGreaterThan(Length.parse("25 mm"));
    }

    @Test
    void what_a_length_prints_it_parses_again() {
        for (double mm : new double[] {0, 0.0001, 1.190625, 24.05, 999.5, -3.175}) {
            assertThat(Length.parse(Length.ofMillimetres(mm).toString()).millimetres())
                    .isEqualTo(mm, within(1e-4));
        }
    }

    /** A bit that hollows a body out goes farther than any part is long. */
    @Test
    void the_way_of_a_tool_may_be_longer_than_a_part() {
        assertThat(Length.parseWay("26556 mm").millimetres()).isEqualTo(26556);
        assertThatThrownBy(() -> Length.parse("26556 mm")).isInstanceOf(LengthFormatException.class);
        assertThatThrownBy(() -> Length.parseWay("2000000 mm"))
                .isInstanceOf(LengthFormatException.class)
                .hasMessageContaining("1000000 mm");
    }

    /** What a hand moved is written as its maker reads a rule: 2 1/2 in and a 64th more; between two 64ths in decimals. */
    @ParameterizedTest
    @CsvSource({
        "63.896875, INCH, 2 33/64 in",
        "-3.175, INCH, -1/8 in",
        "0, INCH, 0 in",
        "10, INCH, 0.3937 in",
        "63.9, MILLIMETRE, 63.9 mm"
    })
    void a_length_is_written_in_the_unit_that_is_asked_for(double millimetres, LengthUnit unit, String written) {
        assertThat(Length.of(millimetres, unit)).hasToString(written);
        assertThat(Length.parse(written).millimetres()).isCloseTo(millimetres, within(2e-4));
    }
}
