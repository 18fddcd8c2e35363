package ebauche.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

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
    @EnumSource(LengthUnit.class)
    void rounding_keeps_its_side_and_loses_less_than_a_step(LengthUnit unit) {
        Gauge gauge = new Gauge(unit);
        double step = unit == LengthUnit.INCH ? 25.4 / 64 : 0.05;
        Random random = new Random(7);
        for (int i = 0; i < 2000; i++) {
            double mm = random.nextDouble() * 120 - 20;
            for (Rounding each : Rounding.values()) {
                assertThat(gauge.shown(mm, each) + gauge.offMark(mm, each)).isEqualTo(mm, within(1e-9));
            }
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
    void a_fraction_says_what_was_lost() {
        InchFraction third = InchFraction.nearest(10);
        assertThat(third).hasToString("25/64");
        assertThat(third.millimetres() + third.errorMm()).isEqualTo(10, within(1e-12));
        assertThat(InchFraction.nearest(-3.175)).hasToString("-1/8");
        assertThat(InchFraction.nearest(25.4)).hasToString("1");
    }
}
