package ebauche.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.build.Finding;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Rounding;
import org.junit.jupiter.api.Test;

class FiguresTest {
    private final Figures metric = new Figures(LengthUnit.MILLIMETRE);
    private final Figures inches = new Figures(LengthUnit.INCH);

    @Test
    void a_depth_to_set_is_never_more_than_reckoned_in_either_unit() {
        assertThat(metric.depthToSet(26.3101)).isEqualTo("26.3");
        assertThat(inches.depthToSet(26.3101)).isEqualTo("1 1/32");
        assertThat(metric.depthInOtherUnit(26.3101)).isEqualTo("1 1/32 in");
        assertThat(inches.depthInOtherUnit(26.3101)).isEqualTo("26.31 mm");
    }

    @Test
    void what_must_leave_wood_by_being_more_is_rounded_up() {
        assertThat(metric.setting(45.04999, Rounding.MORE)).isEqualTo("45.05");
        assertThat(inches.setting(4, Rounding.MORE)).isEqualTo("11/64");
    }

    @Test
    void readings_go_to_nearest() {
        assertThat(metric.length(24.03)).isEqualTo("24.05 mm");
        assertThat(inches.length(24.03)).isEqualTo("61/64 in");
        assertThat(inches.brief(44.45)).isEqualTo("1 3/4");
    }

    @Test
    void sums_are_shown_exactly_so_that_they_add_up() {
        assertThat(metric.exact(24.0512)).isEqualTo("24.05 mm");
        assertThat(inches.exact(25.4)).isEqualTo("25.4 mm = 1.0000 in");
        assertThat(metric.exact(2, Quantity.ANGLE)).isEqualTo("2°");
        assertThat(metric.exact(1440, Quantity.TIME)).isEqualTo("24 h");
        assertThat(metric.exact(2.5, Quantity.NUMBER)).isEqualTo("2.5");
    }

    @Test
    void numbers_that_are_compared_are_finer_than_a_gauge() {
        assertThat(metric.fine(23.456)).isEqualTo("23.46 mm");
        assertThat(inches.fine(25.4)).isEqualTo("1.000 in");
        assertThat(inches.fine(2, Quantity.ANGLE)).isEqualTo("2°");
    }

    @Test
    void times_and_masses_read_as_people_say_them() {
        assertThat(metric.time(35)).isEqualTo("35 min");
        assertThat(metric.time(60)).isEqualTo("1 h");
        assertThat(metric.time(301)).isEqualTo("5 h 01");
        assertThat(metric.mass(950.4)).isEqualTo("950 g");
        assertThat(metric.mass(4006)).isEqualTo("4.01 kg");
    }

    @Test
    void fractions_are_found_in_text_and_nothing_is_lost() {
        assertThat(metric.parts("from 1 3/4 in to 61/64 in"))
                .containsExactly(
                        new Figures.Part("from 1 ", false),
                        new Figures.Part("3/4", true),
                        new Figures.Part(" in to ", false),
                        new Figures.Part("61/64", true),
                        new Figures.Part(" in", false));
        assertThat(metric.parts("24.05 mm")).containsExactly(new Figures.Part("24.05 mm", false));
        assertThat(metric.parts("2026/11/25")).noneMatch(Figures.Part::fraction);
        assertThat(metric.parts("")).isEmpty();
    }

    @Test
    void a_findings_numbers_are_written_in_the_makers_unit() {
        Finding finding = Finding.stops("cavity", "x")
                .length("block", 42)
                .number("angle", 2, Quantity.ANGLE)
                .says("reaches {0} at {1}", "less than {0}");
        assertThat(metric.what(finding)).isEqualTo("reaches 42 mm at 2°");
        assertThat(inches.what(finding)).isEqualTo("reaches 1 21/32 in at 2°");
        assertThat(inches.cure(finding)).isEqualTo("less than 1 21/32 in");
    }
}
