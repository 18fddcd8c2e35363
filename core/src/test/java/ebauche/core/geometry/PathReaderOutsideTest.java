package ebauche.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Path data against the JDK's own curves: a path drawn with {@link Path2D} and written in letters is read as the curves that it was
 * drawn with; smooth and quadratic letters against the formulas of SVG 1.1, chapter 8.3 (from memory).
 */
class PathReaderOutsideTest {
    /** What a pen drew, a line each, arcs as they stand. */
    private static final class Drawn implements PathReader.Pen {
        private final List<String> told = new ArrayList<>();
        private final List<Point> ends = new ArrayList<>();

        @Override
        public void move(Point to) {
            told.add("move");
            ends.add(to);
        }

        @Override
        public void line(Point to) {
            told.add("line");
            ends.add(to);
        }

        @Override
        public void cubic(Point first, Point second, Point to) {
            told.add("cubic");
            ends.addAll(List.of(first, second, to));
        }

        @Override
        public void arc(double rx, double ry, double turned, boolean large, boolean left, Point to) {
            told.add(String.format(Locale.ROOT, "arc %.3f %.3f %.1f %b %b", rx, ry, turned, large, left));
            ends.add(to);
        }

        @Override
        public void close() {
            told.add("close");
        }
    }

    private static Drawn drawn(String data) {
        Drawn pen = new Drawn();
        new PathReader(data, 1, 1e5, pen).read();
        return pen;
    }

    private static List<Point> byTheJdk(Path2D path) {
        List<Point> ends = new ArrayList<>();
        double[] c = new double[6];
        for (PathIterator it = path.getPathIterator(null); !it.isDone(); it.next()) {
            int points = switch (it.currentSegment(c)) {
                case PathIterator.SEG_CUBICTO -> 3;
                case PathIterator.SEG_CLOSE -> 0;
                default -> 1;
            };
            for (int i = 0; i < points; i++) {
                ends.add(new Point(c[2 * i], c[2 * i + 1]));
            }
        }
        return ends;
    }

    /** Absolute and relative letters of one path, drawn beside by the JDK, to the last digit that was written. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void a_path_in_letters_is_the_path_that_the_jdk_draws(long seed) {
        Random random = new Random(seed);
        Path2D path = new Path2D.Double();
        StringBuilder data = new StringBuilder();
        double x = 0;
        double y = 0;
        for (int i = 0; i < 60; i++) {
            boolean relative = random.nextBoolean();
            double[] n = random.doubles(6, -50, 50)
                    .map(v -> Math.round(v * 1e9) / 1e9)
                    .toArray();
            double ox = relative ? x : 0;
            double oy = relative ? y : 0;
            int letter = i == 0 ? 0 : 1 + random.nextInt(4);
            String text = List.of("M", "L", "H", "V", "C").get(letter);
            data.append(relative ? text.toLowerCase(Locale.ROOT) : text);
            switch (letter) {
                case 0 -> path.moveTo(ox + n[0], oy + n[1]);
                case 1 -> path.lineTo(ox + n[0], oy + n[1]);
                case 2 -> path.lineTo(ox + n[0], y);
                case 3 -> path.lineTo(x, oy + n[0]);
                default -> path.curveTo(ox + n[0], oy + n[1], ox + n[2], oy + n[3], ox + n[4], oy + n[5]);
            }
            int numbers = letter < 2 ? 2 : letter < 4 ? 1 : 6;
            for (int k = 0; k < numbers; k++) {
                data.append(k == 0 ? "" : n[k] < 0 ? "" : ",").append(n[k]);
            }
            x = path.getCurrentPoint().getX();
            y = path.getCurrentPoint().getY();
        }
        List<Point> read = drawn(data.toString()).ends;
        List<Point> jdk = byTheJdk(path);
        assertThat(read).hasSameSizeAs(jdk);
        for (int i = 0; i < jdk.size(); i++) {
            assertThat(read.get(i).distance(jdk.get(i))).isCloseTo(0, within(1e-9));
        }
    }

    /** A quadratic is the cubic with its handles two thirds of the way to the one: the same points all along. */
    @Test
    void a_quadratic_becomes_the_same_curve() {
        List<Point> p = drawn("M0 0Q10 20 30 0").ends;
        Segment.Cubic cubic = new Segment.Cubic(p.get(0), p.get(1), p.get(2), p.get(3));
        for (double t = 0; t <= 1; t += 0.125) {
            double u = 1 - t;
            Point quad = new Point(2 * u * t * 10 + t * t * 30, 2 * u * t * 20);
            assertThat(cubic.at(t).distance(quad)).isCloseTo(0, within(1e-12));
        }
    }

    /** Smooth letters take the last handle mirrored, and where the last curve was another the place where the pen stands. */
    @Test
    void a_smooth_curve_goes_on_as_the_last_one_ended() {
        List<Point> s = drawn("M0 0C0 10 10 10 10 0S20 -10 20 0").ends;
        assertThat(s.get(4).distance(new Point(10, -10))).isZero();
        List<Point> alone = drawn("M3 4S20 -10 20 0").ends;
        assertThat(alone.get(1)).isEqualTo(new Point(3, 4));
        List<Point> t = drawn("M0 0Q5 10 10 0T20 0").ends;
        // the mirrored handle is (15, -10): the cubic's first handle lies two thirds of the way to it
        assertThat(t.get(4).distance(new Point(10 + 10.0 / 3, -20.0 / 3))).isCloseTo(0, within(1e-12));
        List<Point> after = drawn("M0 0Q5 10 10 0L20 0T30 0").ends;
        assertThat(after.get(5)).isEqualTo(new Point(20, 0));
    }

    /** Numbers stand as close as the grammar lets them; a Z leads back, and what is relative goes on from there. */
    @Test
    void numbers_and_runs_are_told_apart() {
        Drawn pen = drawn("m1.5.5 0-1e0l.25,0z l1 0M7 7a3 4 30 0115 5");
        assertThat(pen.told)
                .containsExactly("move", "line", "line", "close", "line", "move", "arc 3.000 4.000 30.0 false true");
        assertThat(pen.ends.get(3).distance(new Point(2.5, 0.5))).isCloseTo(0, within(1e-12));
        assertThat(pen.ends.get(5)).isEqualTo(new Point(22, 12));
    }

    @ParameterizedTest
    @CsvSource({
        "L0 0, starts with M",
        "M0 0 B3 3, is no letter that is read here",
        "M0 0A3 3 0 2 0 5 5, flag is 0 or 1",
        "M0 0L1e9 0, far outside",
        "M0 0L1 -, a number is wanted",
        "M0 0L5 5Z 3 3, after Z"
    })
    void what_cannot_be_read_is_told_with_its_place(String data, String words) {
        assertThatThrownBy(() -> drawn(data))
                .isInstanceOf(PathFormatException.class)
                .hasMessageContaining(words)
                .hasMessageContaining("character");
    }
}
