package ebauche.core.routing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.shop.Shop;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Corners that a round bit leaves standing, against the square less its quarter circle. */
class UnreachedTest {
    private static final Crib STARTER = Shop.starter(1).crib();
    private static final Region BODY = Region.rectangle(new Point(0, 0), 300, 400, 0, 0);

    /** A sharp square corner keeps r² (1 - pi/4) from a bit of radius r (plane geometry). */
    @ParameterizedTest
    @CsvSource({"6.35", "9.525", "12.7"})
    void a_square_cavity_keeps_four_corners(double diameter) {
        Crib crib = STARTER.only(List.of(Bit.usual("b", Bit.Bearing.AT_SHANK, diameter, 12.7, 6.35)));
        Region cavity = Region.rectangle(new Point(3, 4), 60, 40, 0, 15);
        Unreached left = Unreached.inside(cavity, BODY, crib).orElseThrow();
        double r = diameter / 2;
        assertThat(left.corners()).hasSize(4);
        assertThat(left.corners())
                .allSatisfy(c -> assertThat(c.area()).isEqualTo(r * r * (1 - Math.PI / 4), within(0.05)));
    }

    @Test
    void a_rounded_cavity_keeps_none_and_an_inward_corner_of_a_body_keeps_one() {
        Region rounded = Region.rectangle(new Point(0, 0), 60, 40, 6.5, 0);
        assertThat(Unreached.inside(rounded, BODY, STARTER).orElseThrow().corners())
                .isEmpty();
        Region notched = Region.rectangle(new Point(0, 0), 200, 200, 0, 0)
                .minus(Region.rectangle(new Point(75, 75), 80, 80, 0, 0));
        Unreached left = Unreached.outside(notched, STARTER).orElseThrow();
        assertThat(left.bit().diameter()).isEqualTo(6.35);
        assertThat(left.corners()).hasSize(1);
        assertThat(left.corners().get(0).centroid().distance(new Point(35, 35))).isLessThan(2);
    }

    /** A pocket that opens at the body's edge has corners at its end wall only. */
    @Test
    void an_open_mouth_has_no_corners() {
        Region pocket = Region.rectangle(new Point(0, 170), 56, 80, 0, 0);
        assertThat(Unreached.inside(pocket, BODY, STARTER).orElseThrow().corners())
                .hasSize(2)
                .allMatch(c -> c.maxY() < 140);
    }

    @Test
    void a_crib_without_a_bearing_says_nothing() {
        assertThat(Unreached.inside(Region.disc(new Point(0, 0), 50), BODY, STARTER.only(List.of())))
                .isEmpty();
    }
}
