package ebauche.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Definite edges, arches with a recurve and discs against closed forms and thrown places. */
class ShapedProfilesOutsideTest {
    private static Profile of(Profile.Shape shape, double width, double depth) {
        return switch (shape) {
            case STRAIGHT -> Profile.straight(width, depth);
            case HOLLOW -> Profile.hollow(width, depth, 1.2 * Profile.smallestRadius(width, depth));
            case ROUND -> Profile.round(width, depth);
            case BLENDED -> Profile.blended(width, depth);
            case ARCHED -> Profile.arched(width, depth);
        };
    }

    @ParameterizedTest
    @EnumSource(Profile.Shape.class)
    void behind_a_definite_edge_lies_the_same_shape_and_none_ever_rises(Profile.Shape shape) {
        Profile feathered = of(shape, 60, 12);
        Profile edged = feathered.behind(1.5);
        assertThat(edged.width()).isEqualTo(61.5);
        assertThat(edged.depth()).isEqualTo(13.5);
        double before = 0;
        double steepest = 0;
        for (double t = 0; t <= 62; t += 0.01) {
            double fall = edged.fall(t);
            assertThat(fall).isGreaterThanOrEqualTo(before - 1e-12);
            steepest = Math.max(steepest, (fall - before) / 0.01);
            assertThat(fall).isCloseTo(t <= 1.5 ? Math.min(t, 1.5) : 1.5 + feathered.fall(t - 1.5), within(1e-9));
            before = fall;
        }
        assertThat(Math.toDegrees(Math.atan(steepest)))
                .as("no steeper than it says, and as steep")
                .isCloseTo(edged.steepest(), within(0.2));
        assertThat(edged.fall(edged.across(9))).isCloseTo(9, within(1e-4));
        assertThatThrownBy(() -> new Profile(Profile.Shape.STRAIGHT, 60, 2, 0, 2))
                .isInstanceOf(Refusal.class);
    }

    /** Two parabolas with one slope where they meet: by calculus the area under them is d w (1 - 1/3 - 1/3 (1 - 2 a) ...), here told by its halves. */
    @Test
    void an_arch_is_level_at_both_ends_and_its_section_is_that_of_its_two_parabolas() {
        Profile arch = Profile.arched(90, 15);
        double h = 1e-4;
        assertThat(arch.fall(h) / h).isCloseTo(0, within(1e-3));
        assertThat((15 - arch.fall(90 - h)) / h).isCloseTo(0, within(1e-3));
        assertThat(arch.fall(60))
                .as("two thirds of its fall lie before the recurve")
                .isCloseTo(10, within(1e-9));
        double sum = 0;
        for (double t = 0.005; t < 90; t += 0.01) {
            sum += arch.fall(t) * 0.01;
        }
        // Under a parabola from its level end lies a third of its box: 60 x 10 / 3, then 30 x 15 less a third of 30 x
        // 5.
        assertThat(sum).isCloseTo(60 * 10 / 3.0 + 30 * 15 - 30 * 5 / 3.0, within(0.01));
    }

    /** A dish in the shape of a sphere's cap: pi h2 (3 R - h) / 3, a handbook formula. */
    @Test
    void a_disc_hollowed_to_its_middle_is_a_cap_of_a_sphere() {
        double radius = 20;
        double deep = 4;
        double sphere = (radius * radius + deep * deep) / (2 * deep);
        Relief cap = new Relief() {
            @Override
            public Feature feature() {
                return Feature.parse("contour-knob");
            }

            @Override
            public Face face() {
                return Face.FRONT;
            }

            @Override
            public Region plan() {
                return Region.disc(new Point(7, -3), 2 * radius);
            }

            @Override
            public Course course() {
                return new Course.Spot(new Point(7, -3), radius);
            }

            @Override
            public Profile profile() {
                return Profile.hollow(radius, deep, sphere);
            }
        };
        double closed = Math.PI * deep * deep * (3 * sphere - deep) / 3;
        assertThat(cap.volume()).isCloseTo(closed, within(0.01 * closed));
        assertThat(cap.under(0).fall(new Point(7, -3))).isCloseTo(deep, within(1e-9));
    }

    @Test
    void what_lies_farthest_in_a_disc_is_found_among_thrown_places() {
        Course.Spot spot = new Course.Spot(new Point(10, 20), 14);
        Random random = new Random(7);
        for (int n = 0; n < 40; n++) {
            Region over = Region.rectangle(
                    new Point(random.nextDouble() * 60 - 20, random.nextDouble() * 60 - 10), 6, 9, 2, 0.3);
            Point farthest = spot.farthest(over);
            double most = spot.across(farthest.x(), farthest.y());
            for (int k = 0; k < 300; k++) {
                Point at = new Point(
                        over.minX() + random.nextDouble() * (over.maxX() - over.minX()),
                        over.minY() + random.nextDouble() * (over.maxY() - over.minY()));
                if (over.contains(at)) {
                    assertThat(spot.across(at.x(), at.y())).isLessThanOrEqualTo(most + 1e-3);
                }
            }
        }
        Region plan = Region.disc(new Point(10, 20), 28);
        assertThat(spot.beyond(plan, 4).area()).isCloseTo(Math.PI * 100, within(1.0));
        assertThat(spot.beyond(plan, 14).isEmpty()).isTrue();
    }
}
