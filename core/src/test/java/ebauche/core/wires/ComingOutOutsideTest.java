package ebauche.core.wires;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.wires.ComingOut.Clearance;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The chance of coming out against the normal distribution's table and against holes that are drilled one by one. */
class ComingOutOutsideTest {
    private static final int HOLES = 200_000;

    /** The standard normal distribution, any statistics handbook (memory). */
    @ParameterizedTest
    @CsvSource({
        "0, 0.5",
        "0.5, 0.691462",
        "1, 0.841345",
        "1.644854, 0.95",
        "1.96, 0.975002",
        "2.5758, 0.995",
        "3.2905, 0.9995"
    })
    void the_normal_distribution_is_the_tables(double z, double share) {
        assertThat(ComingOut.normal(z)).isCloseTo(share, within(2e-6));
    }

    /** 150 mm of bore with 10 mm of wood at its end, begun free hand with a spread of two degrees: 2.83 in a hundred. */
    @Test
    void ten_millimetres_at_the_end_of_a_hundred_and_fifty() {
        double leeway = ComingOut.leeway(List.of(new Clearance(150, 10)));
        assertThat(leeway).isCloseTo(3.814, within(0.001));
        assertThat(ComingOut.chance(leeway, 2)).isCloseTo(0.0283, within(0.00005));
    }

    @Test
    void where_no_wood_is_left_it_is_out_and_the_nearest_place_counts() {
        assertThat(ComingOut.chance(ComingOut.leeway(List.of(new Clearance(40, 0), new Clearance(90, 12))), 1))
                .isEqualTo(1);
        assertThat(ComingOut.leeway(List.of(new Clearance(50, 4), new Clearance(200, 9))))
                .isCloseTo(Math.toDegrees(Math.atan(9.0 / 200)), within(1e-9));
        assertThat(ComingOut.leeway(List.of())).isEqualTo(90);
    }

    /** Two hundred thousand holes at random angles, each followed along its way: as many come out, within three standard errors. */
    @ParameterizedTest
    @CsvSource({"150, 10, 4, 2", "240, 8, 6, 1", "90, 3, 5, 2", "300, 14, 9, 1.2"})
    void as_many_come_out_as_drilled_one_by_one(double length, double least, double dip, double spread) {
        List<Clearance> along = new ArrayList<>();
        for (double s = 1; s <= length; s++) {
            // A carve in the middle of its way: the wood dips there by so much.
            double carve = dip * Math.exp(-Math.pow((s - length / 2) / 20, 2));
            along.add(new Clearance(s, least + dip - carve));
        }
        double chance = ComingOut.chance(ComingOut.leeway(along), spread);
        Random random = new Random(17);
        int out = 0;
        for (int i = 0; i < HOLES; i++) {
            double off = Math.tan(Math.toRadians(random.nextGaussian() * spread));
            out += along.stream().anyMatch(c -> off * c.along() >= c.wood()) ? 1 : 0;
        }
        double error = Math.sqrt(chance * (1 - chance) / HOLES);
        assertThat(out / (double) HOLES).isCloseTo(chance, within(3 * error + 1e-9));
        assertThat(out).isPositive();
    }
}
