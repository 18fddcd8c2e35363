package ebauche.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Written numbers, held to the decimal arithmetic of the platform's library. */
class DecimalsOutsideTest {
    private static String outside(double value, int places) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP);
        return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
    }

    @Test
    void any_number_is_written_as_decimal_arithmetic_rounds_it() {
        Random random = new Random(7);
        for (int i = 0; i < 200_000; i++) {
            int places = random.nextInt(8);
            double value = (random.nextDouble() - 0.5) * Math.pow(10, random.nextInt(14) - 4);
            assertThat(Decimals.plain(value, places))
                    .as("%s to %d", value, places)
                    .isEqualTo(outside(value, places));
        }
    }

    /** Halves, as people type them, at every number of places. */
    @Test
    void a_tie_is_rounded_away_from_nought() {
        for (int places = 0; places < 7; places++) {
            for (int i = -2000; i <= 2000; i++) {
                double value = (2 * i + 1) / (2 * Math.pow(10, places));
                assertThat(Decimals.plain(value, places)).isEqualTo(outside(value, places));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "0, 2, 0",
        "-0.0, 2, 0",
        "-0.001, 2, 0",
        "100, 0, 100",
        "1200, 2, 1200",
        "0.05, 2, 0.05",
        "0.005, 2, 0.01",
        "1.005, 2, 1.01",
        "-12.30, 3, -12.3",
        "1e12, 1, 1000000000000",
        "3.999, 2, 4",
        "-0.5, 0, -1"
    })
    void it_is_written_as_people_do(double value, int places, String written) {
        assertThat(Decimals.plain(value, places)).isEqualTo(written);
    }
}
