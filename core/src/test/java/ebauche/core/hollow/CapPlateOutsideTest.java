package ebauche.core.hollow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Refusal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The clamped plate's numbers, held to the plate's own equation on a grid (finite differences), and to its limits. */
class CapPlateOutsideTest {
    /** Worked value of the house: h 6, E 800, b 80 square: 0.113 mm. */
    @Test
    void the_worked_value() {
        CapPlate cap = new CapPlate(80, 80, 6, CapPlate.ACROSS_THE_GRAIN);
        assertThat(cap.deflection().value()).isCloseTo(0.113, within(0.0005));
    }

    /** Twice as thick an eighth, twice as wide four times, twice as stiff half; the longer the span the more, and then no more. */
    @Test
    void it_follows_thickness_width_and_stiffness() {
        double one =
                new CapPlate(80, 80, 6, CapPlate.ACROSS_THE_GRAIN).deflection().value();
        assertThat(new CapPlate(80, 80, 12, CapPlate.ACROSS_THE_GRAIN)
                        .deflection()
                        .value())
                .isCloseTo(one / 8, within(1e-9));
        assertThat(new CapPlate(160, 160, 6, CapPlate.ACROSS_THE_GRAIN)
                        .deflection()
                        .value())
                .isCloseTo(4 * one, within(1e-9));
        assertThat(new CapPlate(80, 80, 6, Fact.typed(1600)).deflection().value())
                .isCloseTo(one / 2, within(1e-9));
        double last = 0;
        for (double length = 80; length <= 800; length += 8) {
            double now = new CapPlate(length, 80, 6, CapPlate.ACROSS_THE_GRAIN).number();
            assertThat(now).isGreaterThanOrEqualTo(last);
            last = now;
        }
        assertThat(last).isEqualTo(0.00725);
        assertThatThrownBy(() -> new CapPlate(50, 80, 6, CapPlate.ACROSS_THE_GRAIN))
                .isInstanceOf(Refusal.class);
    }

    /** The plate's equation solved on a grid: thirteen points, edges clamped by the mirror image beyond them, a force in the middle. */
    @ParameterizedTest
    @ValueSource(doubles = {1, 1.4, 2})
    void the_table_is_what_the_plates_equation_gives(double ratio) {
        int across = 24;
        int along = (int) Math.round(across * ratio / 2) * 2;
        double coarse = solved(across / 2, along / 2);
        double fine = solved(across, along);
        // A force in one point is known to h squared: two grids tell what a finer one would say (Richardson, 1911).
        double limit = fine + (fine - coarse) / 3;
        assertThat(new CapPlate(ratio * 100, 100, 6, CapPlate.ACROSS_THE_GRAIN).number())
                .isCloseTo(limit, within(limit * 0.02));
    }

    /** w D / (P b²) in the middle of a plate of so many steps across and along. */
    private static double solved(int across, int along) {
        int m = across - 1;
        int n = along - 1;
        double[][] a = new double[m * n][m * n + 1];
        int[][] star = {
            {0, 0, 20},
            {1, 0, -8},
            {-1, 0, -8},
            {0, 1, -8},
            {0, -1, -8},
            {1, 1, 2},
            {1, -1, 2},
            {-1, 1, 2},
            {-1, -1, 2},
            {2, 0, 1},
            {-2, 0, 1},
            {0, 2, 1},
            {0, -2, 1}
        };
        for (int i = 1; i <= m; i++) {
            for (int j = 1; j <= n; j++) {
                double[] row = a[(i - 1) * n + j - 1];
                for (int[] s : star) {
                    int p = i + s[0];
                    int q = j + s[1];
                    // Beyond a clamped edge it bends as before it; on the edge it does not move.
                    p = p < 0 ? -p : p > across ? 2 * across - p : p;
                    q = q < 0 ? -q : q > along ? 2 * along - q : q;
                    if (p > 0 && p < across && q > 0 && q < along) {
                        row[(p - 1) * n + q - 1] += s[2];
                    }
                }
            }
        }
        double h = 1.0 / across;
        int middle = (across / 2 - 1) * n + along / 2 - 1;
        a[middle][m * n] = h * h;
        return eliminated(a, middle);
    }

    /** Gauss, and one of the unknowns. */
    private static double eliminated(double[][] a, int asked) {
        int n = a.length;
        for (int k = 0; k < n; k++) {
            int best = k;
            for (int i = k + 1; i < n; i++) {
                best = Math.abs(a[i][k]) > Math.abs(a[best][k]) ? i : best;
            }
            double[] swap = a[k];
            a[k] = a[best];
            a[best] = swap;
            for (int i = k + 1; i < n; i++) {
                double f = a[i][k] / a[k][k];
                if (f != 0) {
                    for (int j = k; j <= n; j++) {
                        a[i][j] -= f * a[k][j];
                    }
                }
            }
        }
        double[] x = new double[n];
        for (int i = n - 1; i >= 0; i--) {
            double sum = a[i][n];
            for (int j = i + 1; j < n; j++) {
                sum -= a[i][j] * x[j];
            }
            x[i] = sum / a[i][i];
        }
        return x[asked];
    }
}
