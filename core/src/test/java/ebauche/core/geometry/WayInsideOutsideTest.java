package ebauche.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.PriorityQueue;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The shortest way inside a hollow, against its closed form round a disc and against a search on a fine grid. */
class WayInsideOutsideTest {
    private static final Region SQUARE =
            Region.ofRing(List.of(new Point(-60, -60), new Point(60, -60), new Point(60, 60), new Point(-60, 60)));

    private static double length(List<Point> way) {
        double length = 0;
        for (int i = 1; i < way.size(); i++) {
            length += way.get(i - 1).distance(way.get(i));
        }
        return length;
    }

    /** Two tangents and the arc between them (elementary geometry): 2 sqrt(d² − r²) + r (π − 2 acos(r / d)). */
    @Test
    void round_a_post_it_runs_along_two_tangents_and_an_arc() {
        double r = 20;
        double d = 50;
        Region round = SQUARE.minus(Region.disc(new Point(0, 0), 2 * r));
        List<Point> way =
                WayInside.of(round).between(new Point(-d, 0), new Point(d, 0)).orElseThrow();
        double exact = 2 * Math.sqrt(d * d - r * r) + r * (Math.PI - 2 * Math.acos(r / d));
        assertThat(length(way)).isCloseTo(exact, within(1.5));
        assertThat(way).startsWith(new Point(-d, 0)).endsWith(new Point(d, 0));
    }

    @Test
    void it_is_straight_where_nothing_stands_and_none_where_there_is_none() {
        assertThat(WayInside.of(SQUARE).between(new Point(-50, -50), new Point(50, 40)))
                .hasValueSatisfying(w -> assertThat(w).hasSize(2));
        assertThat(WayInside.of(SQUARE).between(new Point(0, 0), new Point(90, 0)))
                .isEmpty();
    }

    /** A grid of 1 mm with steps to sixteen neighbours finds ways at most 2.8 % longer than the true one, and never shorter by more than its cells. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void a_grid_finds_none_that_is_shorter(long seed) {
        Random random = new Random(seed);
        Region room = SQUARE;
        for (int i = 0; i < 5; i++) {
            double x = -45 + 90 * random.nextDouble();
            double y = -45 + 90 * random.nextDouble();
            double a = 4 + 12 * random.nextDouble();
            double b = 4 + 12 * random.nextDouble();
            room = room.minus(Region.ofRing(List.of(
                    new Point(x - a, y - b),
                    new Point(x + a, y - b),
                    new Point(x + a, y + b),
                    new Point(x - a, y + b))));
        }
        Point from = new Point(-58, -58);
        Point to = new Point(58, 58);
        double found = length(WayInside.of(room).between(from, to).orElseThrow());
        double grid = grid(room, from, to);
        assertThat(found).isBetween(grid / 1.04 - 2, grid + 0.01);
    }

    private static final int[][] STEPS = {
        {1, 0}, {0, 1}, {-1, 0}, {0, -1}, {1, 1}, {1, -1}, {-1, 1}, {-1, -1},
        {2, 1}, {1, 2}, {-2, 1}, {-1, 2}, {2, -1}, {1, -2}, {-2, -1}, {-1, -2}
    };

    private record Reached(int x, int y, double far) {}

    private static double grid(Region room, Point from, Point to) {
        int n = 121;
        double[][] far = new double[n][n];
        for (double[] row : far) {
            java.util.Arrays.fill(row, Double.POSITIVE_INFINITY);
        }
        PriorityQueue<Reached> next = new PriorityQueue<>((a, b) -> Double.compare(a.far(), b.far()));
        next.add(new Reached((int) from.x() + 60, (int) from.y() + 60, 0));
        while (!next.isEmpty()) {
            Reached here = next.remove();
            if (here.far() >= far[here.x()][here.y()]) {
                continue;
            }
            far[here.x()][here.y()] = here.far();
            for (int[] step : STEPS) {
                int x = here.x() + step[0];
                int y = here.y() + step[1];
                boolean in = x >= 0 && y >= 0 && x < n && y < n && room.contains(new Point(x - 60, y - 60));
                Point middle = new Point((x + here.x()) / 2.0 - 60, (y + here.y()) / 2.0 - 60);
                if (in && room.contains(middle)) {
                    next.add(new Reached(x, y, here.far() + Math.hypot(step[0], step[1])));
                }
            }
        }
        return far[(int) to.x() + 60][(int) to.y() + 60];
    }
}
