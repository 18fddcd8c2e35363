package ebauche.core.blank;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.layout.Need;
import ebauche.core.layout.Pocket;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where pins keep a top from creeping on its core, on a blank of 300 x 400 about (10, 50). */
class RegistrationTest {
    private static final Region BLANK = Region.rectangle(new Point(10, 50), 300, 400, 0, 0);

    /** 20 mm of rim round a hollow on either side of a block 60 wide. */
    private static final Region HOLLOW = Region.rectangle(new Point(-75, 50), 90, 360, 0, 0)
            .union(Region.rectangle(new Point(95, 50), 90, 360, 0, 0));

    private static Need need(Pocket... pockets) {
        return new Need(BLANK, 44, 48, 0.5, List.of(pockets), Region.EMPTY, Region.EMPTY, Region.EMPTY, true, true);
    }

    private static Pocket pocket(double x, double y, double top, double bottom) {
        return new Pocket(Region.rectangle(new Point(x, y), 20, 20, 0, 0), top, bottom);
    }

    /** Pins stand where pockets take them away: the two that lie farthest apart, through the top and open at the front. */
    @Test
    void pins_stand_in_pockets_as_far_apart_as_can_be() {
        Registration pins = Registration.of(
                need(pocket(0, 0, 0, 19), pocket(0, 70, 0, 19), pocket(0, 150, 0, 19)), BLANK, Region.EMPTY, 6);
        assertThat(pins.inWaste()).isFalse();
        assertThat(List.of(pins.one(), pins.other()))
                .usingElementComparator((a, b) -> a.distance(b) < 1e-6 ? 0 : 1)
                .containsExactlyInAnyOrder(new Point(0, 0), new Point(0, 150));
    }

    /** Else in the corners of the blank, 6 mm from its edges. */
    @ParameterizedTest
    @CsvSource({"59, 0, 19, true", "60, 0, 19, false", "150, 0, 6, true", "150, 0, 6.1, false", "150, 3, 19, true"})
    void else_they_stand_in_the_waste(double apart, double top, double bottom, boolean inWaste) {
        List<Pocket> pockets = new ArrayList<>(List.of(pocket(0, 0, top, bottom), pocket(0, apart, top, bottom)));
        Registration pins = Registration.of(need(pockets.toArray(new Pocket[0])), BLANK, Region.EMPTY, 6);
        assertThat(pins.inWaste()).isEqualTo(inWaste);
        if (inWaste) {
            assertThat(pins.one()).isEqualTo(new Point(-134, -144));
            assertThat(pins.other()).isEqualTo(new Point(154, 244));
        }
        assertThat(Registration.of(need(), BLANK, Region.EMPTY, 6).inWaste()).isTrue();
    }

    @Test
    void no_pin_stands_over_a_hollow() {
        Need whole = need(pocket(-75, 0, 0, 19), pocket(10, 150, 0, 19), pocket(10, -50, 0, 19));
        Registration pins = Registration.of(whole, BLANK, HOLLOW, 6);
        assertThat(List.of(pins.one(), pins.other())).containsExactlyInAnyOrder(new Point(10, 150), new Point(10, -50));
    }
}
