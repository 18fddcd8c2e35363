package ebauche.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OutlineTest {
    private static final String CIRCLE = "M 50 0 A 50 50 0 0 1 -50 0 A 50 50 0 0 1 50 0 Z";

    @Test
    void a_circle_has_its_area_perimeter_and_no_inward_turn() {
        Outline circle = Outline.parse(CIRCLE, 1);
        assertThat(circle.area()).isEqualTo(Math.PI * 2500, within(1e-6));
        assertThat(circle.perimeter()).isEqualTo(Math.PI * 100, within(1e-6));
        assertThat(circle.smallestInsideRadius().radius()).isInfinite();
        assertThat(circle.smallestInsideCorner()).isEqualTo(50, within(1e-9));
    }

    @Test
    void a_notch_turns_inward_by_its_radius() {
        Outline notched = Outline.parse("M -50 0 L -8 0 A 8 8 0 0 0 8 0 L 50 0 L 50 -60 L -50 -60 Z", 1);
        assertThat(notched.smallestInsideRadius().radius()).isZero();
        Outline smooth = Outline.parse(
                "M -50 0 L -20 0 C -10 0 -10 -20 0 -20 C 10 -20 10 0 20 0 L 50 0 L 50 -60 L -50 -60 Z", 1);
        assertThat(smooth.smallestInsideRadius().radius()).isBetween(3.0, 12.0);
    }

    @Test
    void path_letters_absolute_and_relative_mean_the_same() {
        Outline absolute = Outline.parse("M 0 0 H 100 V 50 C 100 80 50 80 50 50 L 0 50 Z", 1);
        Outline relative = Outline.parse("m 0 0 h 100 v 50 c 0 30 -50 30 -50 0 l -50 0 z", 1);
        assertThat(relative.area()).isEqualTo(absolute.area(), within(1e-9));
        assertThat(relative.perimeter()).isEqualTo(absolute.perimeter(), within(1e-9));
    }

    @Test
    void inches_scale_and_direction_does_not_matter() {
        Outline square = Outline.parse("M 0 0 L 0 1 L 1 1 L 1 0 Z", 25.4);
        assertThat(square.area()).isEqualTo(25.4 * 25.4, within(1e-9));
    }

    @Test
    void what_is_written_is_read_again() {
        Outline first = Outline.parse("M 0 0 H 100 V 50 C 100 80 50 80 50 50 A 25 25 0 0 1 0 50 Z", 1);
        Outline again = Outline.parse(first.toString(), 1);
        assertThat(again.area()).isEqualTo(first.area(), within(0.01));
        // Half a circle is written in two quarters.
        assertThat(again.segments()).hasSize(first.segments().size() + 1);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "M 0 0 L 10 0 L 10 10",
                "",
                "nonsense",
                "L 0 0 L 1 1 Z",
                "M 0 0 L 10 0 Z",
                "M 0 0 L 10 10 L 10 0 L 0 10 Z",
                "M 0 0 L NaN 0 L 1 1 Z",
                "M 0 0 L 1e9 0 L 1 1 Z",
                "M 0 0 L 10 0 L 10 10 Z M 1 1 L 2 1 L 2 2 Z",
                "M 0 0 Q 1 1 2 2 Z",
                "M 0 0 A 5 9 0 0 1 10 0 L 5 -5 Z",
                "M 0 0 L 10 0 L 10 10 L",
                "M 0 0 A 5 5 0 7 1 10 0 Z"
            })
    void open_crossing_and_foreign_paths_are_refused_in_words(String path) {
        assertThatThrownBy(() -> Outline.parse(path, 1))
                .isInstanceOf(PathFormatException.class)
                .satisfies(e -> assertThat(e.getMessage()).isNotBlank().doesNotContain("Exception"));
    }

    @Test
    void an_open_path_says_where_it_is_open_and_a_crossing_where_it_crosses() {
        assertThatThrownBy(() -> Outline.parse("M 0 0 L 10 0 L 10 10", 1)).hasMessageContaining("open");
        assertThatThrownBy(() -> Outline.parse("M 0 0 L 10 10 L 10 0 L 0 10 Z", 1))
                .hasMessageContaining("x 5.0, y 5.0");
    }

    @Test
    void a_path_of_a_million_points_is_refused_before_it_is_built() {
        StringBuilder path = new StringBuilder("M 0 0");
        for (int i = 0; i < 1_000_000; i++) {
            path.append(" L ").append(i).append(" 1");
        }
        assertThatThrownBy(() -> Outline.parse(path + " Z", 1)).hasMessageContaining("characters");
        StringBuilder pieces = new StringBuilder("M0 0");
        for (int i = 1; i <= 6000; i++) {
            pieces.append('L').append(i).append(' ').append(i % 2);
        }
        assertThatThrownBy(() -> Outline.parse(pieces + "Z", 1)).hasMessageContaining("5000 pieces");
    }

    @Test
    void curves_that_would_need_millions_of_points_are_refused_before_they_are_drawn() {
        StringBuilder path = new StringBuilder("M0 0");
        for (int i = 0; i < 4000; i++) {
            path.append("C9e4 9e4 -9e4 9e4 ").append(i % 7).append(' ').append(i % 5);
        }
        assertThatThrownBy(() -> Outline.parse(path + "Z", 1)).hasMessageContaining("at most 100000 are drawn");
    }

    @Test
    void an_offset_outward_and_back_covers_the_round_outline_again() {
        Outline circle = Outline.parse(CIRCLE, 1);
        assertThat(circle.offset(4).area()).isEqualTo(Math.PI * 54 * 54, within(8.0));
        assertThat(circle.offset(-4).area()).isEqualTo(Math.PI * 46 * 46, within(8.0));
    }

    @Test
    void random_star_shapes_have_the_shoelace_area() {
        Random random = new Random(3);
        for (int i = 0; i < 100; i++) {
            int n = 5 + random.nextInt(40);
            double[] x = new double[n];
            double[] y = new double[n];
            StringBuilder path = new StringBuilder();
            for (int k = 0; k < n; k++) {
                double r = 20 + random.nextDouble() * 100;
                x[k] = r * Math.cos(2 * Math.PI * k / n);
                y[k] = r * Math.sin(2 * Math.PI * k / n);
                path.append(k == 0 ? "M" : "L").append(String.format(Locale.ROOT, "%.6f %.6f ", x[k], y[k]));
            }
            double twice = 0;
            for (int k = 0; k < n; k++) {
                twice += x[k] * y[(k + 1) % n] - x[(k + 1) % n] * y[k];
            }
            assertThat(Outline.parse(path + "Z", 1).area()).isEqualTo(twice / 2, within(1e-2));
        }
    }

    /** Half circles and more, their ends and radii rounded as they are written, come back within a thousandth. */
    @ParameterizedTest
    @ValueSource(strings = {"0.3522", "1.35", "0.35"})
    void a_half_circle_comes_back_where_it_was(String inches) {
        String slot = "M 0 0 A R R 0 0 1 0 D L -2 D A R R 0 0 1 -2 0 Z"
                .replace("D", "" + 2 * Double.parseDouble(inches))
                .replace("R", inches);
        Outline drawn = Outline.parse(slot, 25.4);
        Outline back = Outline.parse(drawn.toString(), 1);
        assertThat(back.region().area()).isCloseTo(drawn.region().area(), within(0.02));
        assertThat(back.region().minus(drawn.region().grown(0.002)).isEmpty()).isTrue();
        assertThat(drawn.region().minus(back.region().grown(0.002)).isEmpty()).isTrue();
    }
}
