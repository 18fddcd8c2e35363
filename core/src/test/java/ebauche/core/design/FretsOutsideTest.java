package ebauche.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FretsOutsideTest {
    /** Twelve-tone equal temperament: a semitone is the twelfth root of two. Values worked out in the computations. */
    @ParameterizedTest
    @CsvSource({"12, 323.85", "17, 242.61", "22, 181.75", "0, 647.7"})
    void frets_of_a_647_7_scale_stand_where_equal_temperament_puts_them(int fret, double fromSaddle) {
        TestBody body = new TestBody();
        body.scale = 647.7;
        assertThat(body.design().fret(fret)).isEqualTo(fromSaddle, within(0.006));
    }

    @Test
    void each_fret_is_a_semitone_and_the_octave_halves_the_string() {
        BodyDesign design = new TestBody().design();
        assertThat(design.fret(12)).isEqualTo(design.scale() / 2, within(1e-9));
        for (int n = 0; n < 24; n++) {
            double cents = 1200 * Math.log(design.fret(n) / design.fret(n + 1)) / Math.log(2);
            assertThat(cents).isEqualTo(100, within(1e-9));
        }
    }
}
