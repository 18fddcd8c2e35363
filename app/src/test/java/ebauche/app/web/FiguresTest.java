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
        assertThat(metric.mass(0.84)).isEqualTo("0.8 g");
        assertThat(inches.mass(4006)).isEqualTo("8 lb 13 oz");
        assertThat(inches.mass(453.59237 * 3)).isEqualTo("3 lb");
        assertThat(inches.mass(300)).isEqualTo("300 g");
        assertThat(inches.exact(4006, Quantity.MASS)).isEqualTo("4.01 kg = 8 lb 13 oz");
        assertThat(metric.grams(0.41, 0.83)).isEqualTo("0.4 to 0.8 g");
        assertThat(metric.grams(22.6, 39.1)).isEqualTo("23 to 39 g");
    }

    /** An inch maker sets a sled or planer by thousandths, never deeper than reckoned, never leaving less. */
    @Test
    void machines_are_set_by_thousandths() {
        assertThat(inches.bite(0.2)).isEqualTo("0.007");
        assertThat(inches.machineDown(0.254)).isEqualTo("0.010 in");
        assertThat(inches.machineLeaves(43.2)).isEqualTo("1.701 in");
        assertThat(inches.calliper(43.2)).isEqualTo("1.701 in");
        assertThat(metric.bite(0.237)).isEqualTo("0.2");
        assertThat(metric.machineLeaves(43.21)).isEqualTo("43.25 mm");
    }

    @Test
    void boards_are_said_as_a_tape_shows_them() {
        assertThat(inches.boardSize(2400, 190, 50.8)).isEqualTo("94 1/2 in x 7 1/2 in x 2 in");
        assertThat(metric.boardSize(425.57, 186.9, 6.2)).isEqualTo("425.5 mm x 187 mm x 6.2 mm");
    }

    /** Worked from NIST SP 811, app. B: 1 lbf = 4.448 222 N, 1 psi = 6.894 757 kPa. */
    @Test
    void force_and_pressure_are_said_in_the_makers_units() {
        assertThat(metric.force(15_700)).isEqualTo("15.7 kN");
        assertThat(inches.force(4448.222)).isEqualTo("1000 lbf");
        assertThat(metric.pressure(1.05)).isEqualTo("1.05 MPa");
        assertThat(inches.pressure(6.894757)).isEqualTo("1000 psi");
    }

    @Test
    void a_sheet_says_grams_even_to_an_inch_maker() {
        assertThat(inches.grams(2, 4)).isEqualTo("2.0 to 4.0 g");
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
