package ebauche.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.design.Hand;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.Work;
import ebauche.core.job.Finding;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Division;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Rounding;
import ebauche.core.operation.Band;
import ebauche.core.operation.Inspection;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FiguresTest {
    private final Figures metric = new Figures(LengthUnit.MILLIMETRE);
    private final Figures inches = new Figures(LengthUnit.INCH);

    @Test
    void a_depth_to_set_is_never_more_than_reckoned_in_either_unit() {
        assertThat(metric.setting(26.3101, Rounding.LESS, Division.CALLIPER)).isEqualTo("26.3");
        assertThat(inches.setting(26.3101, Rounding.LESS, Division.CALLIPER)).isEqualTo("1.035");
        // 1 1/32 in are 26.19375 mm; 0.11635 mm more are 0.0046 in
        assertThat(metric.besides(26.3101, Rounding.LESS, Division.CALLIPER)).isEqualTo("1.035 in");
        assertThat(inches.besides(26.3101, Rounding.LESS, Division.CALLIPER)).isEqualTo("near 1 1/32 in, 26.3 mm");
    }

    /** A sixty-fourth is 0.397 mm: less than half of one is on the line for an inch rule, and a mark to make for a metric one. */
    @Test
    void nobody_is_asked_to_mark_a_distance_of_nought() {
        assertThat(metric.sideways(-0.04, Hand.RIGHT)).isEqualTo("on it");
        assertThat(metric.sideways(-0.15, Hand.RIGHT)).isNotEqualTo("on it").contains("bass");
        assertThat(inches.sideways(-0.15, Hand.RIGHT)).isEqualTo("on it");
        assertThat(inches.sideways(0.3, Hand.RIGHT)).isEqualTo("1/64 in treble");
    }

    /** Thousandths are what a stop is set to; a rule's mark stands beside them, as near where it is not the same: worked by hand. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "15.875; LESS; CALLIPER; 0.625; 5/8 in, 15.85 mm",
                "16.175; LESS; CALLIPER; 0.636; near 41/64 in, 16.15 mm",
                "28.575; LESS; CALLIPER; 1.125; 1 1/8 in, 28.55 mm",
                "0.3; LESS; CALLIPER; 0.011; near 1/64 in, 0.3 mm",
                "0.1; LESS; CALLIPER; 0.003; 0.1 mm",
                "4; MORE; SAW; 3/16; 4 mm",
                "17.3; LESS; RULE; 43/64; 17 mm",
                "44.45; MORE; SAID; 1 3/4; 44.45 mm",
            })
    void a_setting_is_as_fine_as_what_it_is_set_with(
            double mm, Rounding rounding, Division division, String set, String beside) {
        assertThat(inches.setting(mm, rounding, division)).isEqualTo(set);
        assertThat(inches.besides(mm, rounding, division)).isEqualTo(beside);
    }

    /** Bit out of the base less the template is the depth that the gauge reads in the wood, to the last digit shown, and never too deep. */
    @Test
    void what_the_router_is_set_to_and_what_the_gauge_reads_agree() {
        Random random = new Random(5);
        for (int i = 0; i < 2000; i++) {
            double depth = 2 + random.nextDouble() * 40;
            for (double template : new double[] {0, 6.35, 12.7, 6, 9.3}) {
                for (Figures fig : List.of(metric, inches)) {
                    double stop = shown(fig.projecting(depth + template, depth));
                    double read = shown(fig.downTo(depth));
                    double over = shown(fig.machine(template, Rounding.LESS));
                    assertThat(stop - over).isCloseTo(read, within(1e-9));
                    assertThat(read).isLessThanOrEqualTo(depth + 1e-6);
                    assertThat(fig.shouldRead(new Inspection(
                                    new Measurand.DepthOf(Feature.parse("neck")),
                                    Reckoning.typed("depth", depth),
                                    Band.shops("a seat", 0.15),
                                    "gauge")))
                            .startsWith(fig.downTo(depth) + ", good from ");
                }
            }
        }
    }

    private static double shown(String text) {
        return Length.parse(text, LengthUnit.MILLIMETRE).millimetres();
    }

    /** Whatever is read inside the band that is shown is good, in either unit. */
    @Test
    void no_reading_that_is_shown_good_is_refused() {
        Random random = new Random(6);
        for (int i = 0; i < 2000; i++) {
            double depth = 2 + random.nextDouble() * 40;
            Inspection inspection = new Inspection(
                    Measurand.Dimension.BODY_THICKNESS,
                    Reckoning.typed("depth", depth),
                    Band.shops("a seat", 0.15),
                    "depth gauge");
            for (Figures fig : List.of(metric, inches)) {
                Matcher band = Pattern.compile("(.+), good from (.+) to (.+), depth gauge")
                        .matcher(fig.shouldRead(inspection));
                assertThat(band.matches()).isTrue();
                for (int end = 1; end <= 3; end++) {
                    double read =
                            Length.parse(band.group(end), LengthUnit.MILLIMETRE).millimetres();
                    assertThat(inspection.holds(read))
                            .as("%s of %s", band.group(), depth)
                            .isTrue();
                }
            }
        }
    }

    @Test
    void a_reading_is_shown_as_fine_as_it_was_typed() {
        assertThat(metric.reading(reading(16.18))).isEqualTo("16.18 mm");
        assertThat(metric.reading(reading(24.35))).isEqualTo("24.35 mm");
        assertThat(inches.reading(reading(15.875))).isEqualTo("5/8 in");
        assertThat(inches.reading(reading(16.18))).isEqualTo("0.637 in");
    }

    private static AsBuilt.Reading reading(double mm) {
        return new AsBuilt.Reading(
                "r",
                "2026-11-02T10:00:00Z",
                "me",
                Optional.of(StepKey.parse("front:thickness")),
                Measurand.Dimension.BODY_THICKNESS,
                mm);
    }

    @Test
    void what_must_leave_wood_by_being_more_is_rounded_up() {
        assertThat(metric.setting(45.04999, Rounding.MORE, Division.CALLIPER)).isEqualTo("45.05");
        assertThat(inches.sawn(4)).isEqualTo("3/16 in");
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
        assertThat(Figures.parts("from 1 3/4 in to 61/64 in"))
                .containsExactly(
                        new Figures.TextPart("from 1 ", false),
                        new Figures.TextPart("3/4", true),
                        new Figures.TextPart(" in to ", false),
                        new Figures.TextPart("61/64", true),
                        new Figures.TextPart(" in", false));
        assertThat(Figures.parts("24.05 mm")).containsExactly(new Figures.TextPart("24.05 mm", false));
        assertThat(Figures.parts("2026/11/25")).noneMatch(Figures.TextPart::fraction);
        assertThat(Figures.parts("")).isEmpty();
    }

    @Test
    void a_findings_numbers_are_written_in_the_makers_unit() {
        Finding finding = Finding.stops(Work.CAVITY, "x")
                .length("block", 42)
                .number("angle", 2, Quantity.ANGLE)
                .says("reaches {0} at {1}", "less than {0}");
        assertThat(metric.what(finding)).isEqualTo("reaches 42 mm at 2°");
        assertThat(inches.what(finding)).isEqualTo("reaches 1 21/32 in at 2°");
        assertThat(inches.cure(finding)).isEqualTo("less than 1 21/32 in");
    }
}
