package ebauche.core.timber;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestTimber;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Reckoning;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Wood and the air of the shop, held to the Wood Handbook (values written from memory, as marked). */
class MoistureOutsideTest {

    /** Wood Handbook (2010), table 4-2, row of 70 °F = 21.1 °C (from memory). */
    @ParameterizedTest
    @CsvSource({"0.30, 6.2", "0.40, 7.7", "0.50, 9.2", "0.65, 12.0", "0.80, 16.0"})
    void equilibrium_at_seventy_fahrenheit_is_the_tables(double humidity, double moisture) {
        double celsius = (70 - 32) / 1.8;
        assertThat(new Climate(celsius, humidity).equilibriumMoisture().value()).isEqualTo(moisture, within(0.1));
    }

    /** Facts of the trade (common practice): warm air of one humidity dries wood more; damp air wets it. */
    @Test
    void equilibrium_rises_with_humidity_and_falls_with_warmth() {
        for (double h = 0.1; h < 0.9; h += 0.05) {
            double here = new Climate(20, h).equilibriumMoisture().value();
            assertThat(new Climate(20, h + 0.05).equilibriumMoisture().value()).isGreaterThan(here);
            assertThat(new Climate(35, h).equilibriumMoisture().value()).isLessThan(here);
        }
    }

    /** Wood Handbook, equation 13-2 and table 13-5 (from memory): flat-sawn white ash 330 wide, 8 to 11 %, swells 2.7. */
    @Test
    void flat_sawn_ash_swells_by_the_handbooks_sum() {
        Reckoning flat = new Movement(TestTimber.ASH, Rings.FLAT)
                .ofWidth(330, Fact.measured(8, "meter"), Fact.measured(11, "meter"));
        assertThat(flat.value()).isEqualTo(330 * 0.00274 * 3, within(1e-9)).isEqualTo(2.7, within(0.02));
        Reckoning quartered = new Movement(TestTimber.ASH, Rings.QUARTERED)
                .ofWidth(330, Fact.measured(8, "meter"), Fact.measured(11, "meter"));
        assertThat(quartered.value()).isEqualTo(330 * 0.00169 * 3, within(1e-9));
    }

    /**
     * The strain of a direction between the rings' two, against the length of a stretched vector: independent of the
     * formula in use.
     */
    @Test
    void rift_sawn_wood_moves_as_a_stretched_diagonal_does() {
        double t = TestTimber.ASH.tangential().value();
        double r = TestTimber.ASH.radial().value();
        double half = Math.sqrt(0.5);
        double stretched = Math.hypot(half * (1 + t), half * (1 + r)) - 1;
        assertThat(Rings.RIFT.acrossWidth(TestTimber.ASH)).isEqualTo(stretched, within(1e-6));
        assertThat(Rings.FLAT.throughThickness(TestTimber.ASH)).isEqualTo(r, within(1e-12));
    }

    @Test
    void a_sum_beyond_the_rules_range_says_that_it_is_an_estimate() {
        Movement ash = new Movement(TestTimber.ASH, Rings.FLAT);
        Fact green = Fact.measured(25, "meter");
        Fact dry = Fact.measured(9, "meter");
        assertThat(ash.ofWidth(100, green, dry).formula()).contains("estimate");
        assertThat(ash.ofWidth(100, Fact.measured(12, ""), dry).formula()).doesNotContain("estimate");
        assertThat(ash.ofWidth(100, green, dry).value()).isNegative();
    }

    private static Board board(double thickness, MoistureReading... readings) {
        return new Board(
                "B1",
                TestTimber.ASH,
                false,
                1200,
                200,
                thickness,
                Rings.FLAT,
                Optional.empty(),
                Rise.LEVEL,
                0,
                OptionalDouble.empty(),
                List.of(readings),
                List.of());
    }

    private static final Climate AIR = new Climate(20, 0.5);

    @Test
    void a_board_is_ready_when_it_is_near_the_airs_moisture_and_not_before_it_was_measured() {
        double emc = AIR.equilibriumMoisture().value();
        assertThat(new Seasoning(board(50), AIR, 1, 10).state()).isEqualTo(Seasoning.State.NOT_MEASURED);
        assertThat(new Seasoning(board(50, new MoistureReading(10, emc + 0.9)), AIR, 1, 10).state())
                .isEqualTo(Seasoning.State.READY);
        Seasoning wet = new Seasoning(board(50, new MoistureReading(10, emc + 4)), AIR, 1, 10);
        assertThat(wet.state()).isEqualTo(Seasoning.State.WAITING);
        assertThat(wet.move().orElseThrow().value()).isNegative();
    }

    @Test
    void the_wait_is_the_time_after_which_the_same_model_says_ready() {
        double emc = AIR.equilibriumMoisture().value();
        Board wet = board(50, new MoistureReading(0, emc + 5));
        double days = new Seasoning(wet, AIR, 1, 0).daysToWait().orElseThrow().value();
        assertThat(new Seasoning(wet, AIR, 1, days - 0.5).state()).isEqualTo(Seasoning.State.WAITING);
        assertThat(new Seasoning(wet, AIR, 1, days + 0.5).state()).isEqualTo(Seasoning.State.READY);
        double twiceAsThick = new Seasoning(board(100, new MoistureReading(0, emc + 5)), AIR, 1, 0)
                .daysToWait()
                .orElseThrow()
                .value();
        assertThat(twiceAsThick).isEqualTo(4 * days, within(1e-9));
    }

    @Test
    void a_boards_own_readings_tell_its_speed() {
        double emc = AIR.equilibriumMoisture().value();
        // Halved in ten days: a quarter of the first difference after twenty.
        Board known = board(50, new MoistureReading(0, emc + 8), new MoistureReading(10, emc + 4));
        Seasoning now = new Seasoning(known, AIR, 1, 10);
        assertThat(now.daysToWait().orElseThrow().value()).isEqualTo(20, within(1e-6));
        assertThat(now.daysToWait().orElseThrow().terms().get(2).origin()).contains("own last two readings");
        // A board that gets wetter while the air is drier tells nothing.
        Board odd = board(50, new MoistureReading(0, emc + 4), new MoistureReading(10, emc + 6));
        assertThat(new Seasoning(odd, AIR, 1, 10)
                        .daysToWait()
                        .orElseThrow()
                        .terms()
                        .get(2)
                        .origin())
                .contains("common practice");
    }

    /** 1 dm³ of white ash at 12 % is 672 g by definition of the density; water alone is added or lost. */
    @Test
    void mass_follows_the_moisture() {
        assertThat(TestTimber.ASH.mass(1e6, Fact.measured(12, "")).value()).isEqualTo(672, within(1e-9));
        assertThat(TestTimber.ASH.mass(1e6, Fact.measured(0, "")).value()).isEqualTo(600, within(1e-9));
    }

    @Test
    void what_cannot_be_is_refused() {
        assertThatThrownBy(() -> new MoistureReading(0, 400)).hasMessageContaining("between 0 and 150");
        assertThatThrownBy(() -> new Climate(20, 1.2)).hasMessageContaining("between");
        assertThatThrownBy(() -> new Climate(Double.NaN, 0.5)).hasMessageContaining("a number");
    }

    @Test
    void a_defect_outside_its_board_and_a_board_of_no_width_are_refused() {
        Defect knot = new Defect(Defect.Kind.KNOT, 1190, 20, 30, 20, 0, 50);
        assertThatThrownBy(() -> withDefect(knot))
                .hasMessageContaining("the knot at 1190, 20 mm lies outside the board");
        assertThatThrownBy(() -> new Defect(Defect.Kind.KNOT, 10, 20, 30, 20, 40, 30))
                .hasMessageContaining("below the top");
        assertThatThrownBy(() -> new Board(
                        "B",
                        TestTimber.ASH,
                        false,
                        900,
                        0,
                        50,
                        Rings.FLAT,
                        Optional.empty(),
                        Rise.LEVEL,
                        0,
                        OptionalDouble.empty(),
                        List.of(),
                        List.of()))
                .hasMessageContaining("must lie between 5 and 1200, and is 0");
    }

    private static Board withDefect(Defect defect) {
        Board b = board(50);
        return new Board(
                b.name(),
                b.species(),
                b.offcut(),
                b.length(),
                b.width(),
                b.thickness(),
                b.rings(),
                b.heart(),
                b.rise(),
                b.grainAngle(),
                b.price(),
                b.readings(),
                List.of(defect));
    }
}
