package ebauche.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.timber.Hardness;
import ebauche.core.timber.Species;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The table of timbers held to the Wood Handbook (2010 edition, values from memory). */
class TimberFileOutsideTest {

    /** Table 5-3a, specific gravity at 12 % x 1120 kg/m3, and table 13-5, movement coefficients (both from memory). */
    @ParameterizedTest
    @CsvSource({
        "ash, 0.60, .00274, .00169",
        "alder, 0.41, .00256, .00151",
        "maple, 0.63, .00353, .00165",
        "red-maple, 0.54, .00289, .00137",
        "walnut, 0.55, .00274, .00190",
        "cherry, 0.50, .00248, .00126",
        "basswood, 0.37, .00330, .00230",
        "poplar, 0.42, .00289, .00158"
    })
    void densities_and_movement_are_the_handbooks(String key, double gravity, double tangential, double radial) {
        Species species = TimberFile.SHIPPED.of(key);
        assertThat(species.density().value()).isEqualTo(1120 * gravity, within(1e-9));
        assertThat(species.tangential().value()).isEqualTo(tangential, within(1e-9));
        assertThat(species.radial().value()).isEqualTo(radial, within(1e-9));
    }

    /**
     * Table 13-5's coefficients follow from table 4-3's shrinkage from green to dry, S per cent: shrinking evenly below
     * 30 % and measured against the size at 10 %, C = (S/3000) / (1 - S/150) = S / (3000 - 20 S). Shrinkages from memory.
     */
    @ParameterizedTest
    @CsvSource({
        "ash, 7.8, 4.9",
        "alder, 7.3, 4.4",
        "maple, 9.9, 4.8",
        "red-maple, 8.2, 4.0",
        "cherry, 7.1, 3.7",
        "walnut, 7.8, 5.5",
        "basswood, 9.3, 6.6",
        "poplar, 8.2, 4.6",
        "black-ash, 7.8, 5.0"
    })
    void coefficients_agree_with_the_shrinkage_table(String key, double tangential, double radial) {
        Species species = TimberFile.SHIPPED.of(key);
        assertThat(species.tangential().value()).isEqualTo(tangential / (3000 - 20 * tangential), within(1.2e-5));
        assertThat(species.radial().value()).isEqualTo(radial / (3000 - 20 * radial), within(1.2e-5));
    }

    /** Where a row names a shrinkage as its source, its coefficient is that shrinkage's. */
    @Test
    void rows_that_name_a_shrinkage_carry_its_coefficient() {
        Pattern shrinkage = Pattern.compile("shrinkage ([0-9.]+) and ([0-9.]+)");
        int checked = 0;
        for (Species s : TimberFile.SHIPPED.all()) {
            Matcher m = shrinkage.matcher(s.tangential().origin());
            if (m.find()) {
                double t = Double.parseDouble(m.group(1));
                double r = Double.parseDouble(m.group(2));
                assertThat(s.tangential().value()).as(s.key()).isEqualTo(t / (3000 - 20 * t), within(6e-6));
                assertThat(s.radial().value()).as(s.key()).isEqualTo(r / (3000 - 20 * r), within(6e-6));
                checked++;
            }
        }
        assertThat(checked).isGreaterThan(15);
    }

    /** Common practice: wood moves more along the rings than across them, and soft timbers are light. */
    @Test
    void there_are_enough_timbers_and_each_value_names_its_source() {
        assertThat(TimberFile.SHIPPED.all()).hasSizeGreaterThanOrEqualTo(25);
        for (Species s : TimberFile.SHIPPED.all()) {
            assertThat(s.tangential().value())
                    .as(s.key())
                    .isGreaterThan(s.radial().value());
            assertThat(s.density().origin()).as(s.key()).isNotBlank();
            assertThat(s.sideHardness().origin()).as(s.key()).isNotBlank();
        }
    }

    /** How body woods work under the router: common practice. */
    @ParameterizedTest
    @CsvSource({
        "alder, SOFT",
        "basswood, SOFT",
        "poplar, SOFT",
        "okoume, SOFT",
        "cherry, MEDIUM",
        "walnut, MEDIUM",
        "mahogany, MEDIUM",
        "red-maple, MEDIUM",
        "ash, HARD",
        "maple, HARD",
        "wenge, HARD"
    })
    void hardness_sorts_body_woods_as_the_trade_does(String key, Hardness hardness) {
        assertThat(TimberFile.SHIPPED.of(key).hardness()).isEqualTo(hardness);
    }

    @Test
    void an_unknown_timber_is_answered_with_those_that_are_known() {
        assertThatThrownBy(() -> TimberFile.SHIPPED.of("cheese"))
                .hasMessageContaining("“cheese” is no timber known here")
                .hasMessageContaining("alder, ash");
    }

    private static CsvTable.Read<Species> read(String... rows) {
        String header = new String(TimberFile.shippedBytes(), StandardCharsets.UTF_8)
                .lines()
                .findFirst()
                .orElseThrow();
        return TimberFile.read(header + "\n" + String.join("\n", rows) + "\n");
    }

    @Test
    void a_shops_own_timber_takes_its_place_and_a_bad_row_is_named() {
        CsvTable.Read<Species> read = read(
                "pear,pear,710,scale,0.0040,0.0020,bench,7400,bench,,,",
                "lead,lead,11340,scale,0.0040,0.0020,bench,7400,bench,,,",
                "plum,plum,many,scale,0.0040,0.0020,bench,7400,bench,,,",
                "fig,fig,700,,0.0040,0.0020,bench,7400,bench,,,",
                "yew,yew,670,scale,0.0020,0.0010,bench,6700,bench,,,maybe");
        assertThat(read.good()).extracting(Species::key).containsExactly("pear");
        assertThat(read.troubles().stream().map(CsvTable.Trouble::inWords))
                .containsExactly(
                        "line 3: density must lie between 80 and 1400, and is 11340",
                        "line 4: density “many” is no number",
                        "line 5: density from is empty: say where the density comes from",
                        "line 6: brittle is “maybe”: say yes, or leave it empty");
        assertThat(TimberFile.SHIPPED.with(read.good()).of("pear").name()).isEqualTo("pear");
    }

    /** Heat-treated wood moves about half as much as untreated, is a little lighter, and chips: common practice, trade reports from memory. */
    @Test
    void heat_treated_timbers_chip_and_move_less() {
        for (String key : new String[] {"ash", "maple"}) {
            Species plain = TimberFile.SHIPPED.of(key);
            Species treated = TimberFile.SHIPPED.of("heat-treated-" + key);
            assertThat(treated.brittle()).isTrue();
            assertThat(plain.brittle()).isFalse();
            assertThat(treated.tangential().value() / plain.tangential().value())
                    .isBetween(0.4, 0.6);
            assertThat(treated.density().value() / plain.density().value()).isBetween(0.85, 0.95);
            assertThat(treated.cutAs()).isEqualTo(Hardness.HARD);
        }
    }

    /** A table from before timbers could chip is read as it was. */
    @Test
    void a_table_without_the_last_column_is_read() {
        CsvTable.Read<Species> read = TimberFile.read(String.join(",", TimberFile.COLUMNS.subList(0, 11))
                + "\npear,pear,710,scale,0.0040,0.0020,bench,7400,bench,,\n");
        assertThat(read.troubles()).isEmpty();
        assertThat(read.good().get(0).brittle()).isFalse();
    }
}
