package ebauche.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GaugeTest {
    private static final Gauge METRIC = new Gauge(LengthUnit.MILLIMETRE);
    private static final Gauge INCHES = new Gauge(LengthUnit.INCH);

    @Test
    void a_depth_that_is_set_never_takes_more_wood_than_reckoned() {
        assertThat(METRIC.text(26.3108, Rounding.LESS)).isEqualTo("26.3 mm");
        assertThat(METRIC.text(26.3108, Rounding.MORE)).isEqualTo("26.35 mm");
        assertThat(INCHES.text(24.05, Rounding.LESS)).isEqualTo("15/16 in");
        assertThat(INCHES.text(24.05, Rounding.MORE)).isEqualTo("61/64 in");
    }

    @ParameterizedTest
    @CsvSource({
        "MILLIMETRE, CALLIPER, 0.05", "INCH, CALLIPER, 0.0254", "MILLIMETRE, SAID, 0.05", "INCH, SAID, 0.396875",
        "MILLIMETRE, RULE, 0.5", "INCH, RULE, 0.396875", "MILLIMETRE, SAW, 1", "INCH, SAW, 0.79375",
        "MILLIMETRE, TAPE, 0.5", "INCH, TAPE, 1.5875"
    })
    void rounding_keeps_its_side_and_loses_less_than_a_step(LengthUnit unit, Division division, double step) {
        Gauge gauge = new Gauge(unit, division);
        Random random = new Random(7);
        for (int i = 0; i < 2000; i++) {
            double mm = random.nextDouble() * 120 - 20;
            assertThat(gauge.shown(mm, Rounding.LESS)).isBetween(mm - step - 1e-9, mm + 1e-6);
            assertThat(gauge.shown(mm, Rounding.MORE)).isBetween(mm - 1e-6, mm + step + 1e-9);
            assertThat(gauge.shown(mm, Rounding.NEAREST)).isEqualTo(mm, within(step / 2 + 1e-9));
        }
    }

    @Test
    void what_lies_on_a_division_stays_there_whatever_the_arithmetics_noise() {
        assertThat(METRIC.shown(24.350000000000005, Rounding.LESS)).isEqualTo(24.35, within(1e-9));
        assertThat(METRIC.shown(24.349999999999998, Rounding.LESS)).isEqualTo(24.35, within(1e-9));
        assertThat(INCHES.number(25.4 * 19 / 64, Rounding.LESS)).isEqualTo("19/64");
    }

    @Test
    void fractions_are_in_lowest_terms() {
        assertThat(INCHES.number(10, Rounding.NEAREST)).isEqualTo("25/64");
        assertThat(INCHES.number(-3.175, Rounding.NEAREST)).isEqualTo("-1/8");
        assertThat(INCHES.number(25.4, Rounding.NEAREST)).isEqualTo("1");
        assertThat(INCHES.number(44.45, Rounding.NEAREST)).isEqualTo("1 3/4");
        assertThat(INCHES.number(0.1, Rounding.NEAREST)).isEqualTo("0");
    }

    /** What nobody can set is not said: thousandths to a stop, 32nds to a saw line, never a mark and so much over it. */
    @Test
    void a_number_is_as_fine_as_what_it_is_set_with() {
        assertThat(new Gauge(LengthUnit.INCH, Division.CALLIPER).text(28.58, Rounding.LESS))
                .isEqualTo("1.125 in");
        assertThat(new Gauge(LengthUnit.INCH, Division.CALLIPER).text(0.3, Rounding.LESS))
                .isEqualTo("0.011 in");
        assertThat(new Gauge(LengthUnit.INCH, Division.SAW).text(4, Rounding.MORE))
                .isEqualTo("3/16 in");
        assertThat(new Gauge(LengthUnit.MILLIMETRE, Division.SAW).text(3.2, Rounding.MORE))
                .isEqualTo("4 mm");
        assertThat(new Gauge(LengthUnit.MILLIMETRE, Division.RULE).text(17.3, Rounding.LESS))
                .isEqualTo("17 mm");
    }
}
