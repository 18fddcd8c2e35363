package ebauche.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Distances from an edge against JTS, over an outline and over a region with a hole. */
class EdgeDistanceTest {
    private static final int SEED = 7;

    @Test
    void agrees_with_jts() {
        Region body = Outline.parse(new TestBody().outline, 1).region();
        Region holed = body.minus(Region.disc(new Point(10, 20), 60));
        for (Region region : new Region[] {body, holed}) {
            double reach = 55;
            EdgeDistance edge = EdgeDistance.of(region, reach);
            Random random = new Random(SEED);
            for (int i = 0; i < 4000; i++) {
                Point at = new Point(-165 + 330 * random.nextDouble(), -155 + 400 * random.nextDouble());
                double exact = Math.abs(region.outside(at));
                if (exact <= reach) {
                    assertThat(edge.at(at.x(), at.y())).isCloseTo(exact, within(1e-9));
                } else {
                    assertThat(edge.at(at.x(), at.y())).isGreaterThanOrEqualTo(reach);
                }
            }
        }
    }

    @Test
    void a_place_far_off_is_somewhere_beyond_the_reach() {
        EdgeDistance edge = EdgeDistance.of(Region.disc(new Point(0, 0), 50), 10);
        assertThat(edge.at(500, -900)).isEqualTo(10);
    }
}
