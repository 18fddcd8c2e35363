package ebauche.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Each kind of piece against many small straight steps. */
class SegmentTest {
    static Stream<Segment> pieces() {
        Random r = new Random(8);
        return Stream.generate(() -> piece(r)).limit(60);
    }

    private static Point point(Random r) {
        return new Point(r.nextDouble() * 200 - 100, r.nextDouble() * 200 - 100);
    }

    private static Segment piece(Random r) {
        return switch (r.nextInt(3)) {
            case 0 -> new Segment.Line(point(r), point(r));
            case 1 -> new Segment.Arc(point(r), 5 + r.nextDouble() * 80, r.nextDouble() * 6, r.nextDouble() * 8 - 4);
            default -> new Segment.Cubic(point(r), point(r), point(r), point(r));
        };
    }

    @ParameterizedTest
    @MethodSource("pieces")
    void length_and_area_share_are_those_of_many_small_steps(Segment piece) {
        int n = 20_000;
        double length = 0;
        double area = 0;
        Point last = piece.at(0);
        for (int i = 1; i <= n; i++) {
            Point next = piece.at((double) i / n);
            length += last.distance(next);
            area += (last.x() * next.y() - next.x() * last.y()) / 2;
            last = next;
        }
        assertThat(piece.length()).isEqualTo(length, within(1e-3 + length * 1e-5));
        assertThat(piece.areaShare()).isEqualTo(area, within(1e-2 + Math.abs(area) * 1e-5));
    }

    @ParameterizedTest
    @MethodSource("pieces")
    void chords_keep_within_the_flatness(Segment piece) {
        List<Point> chords = new ArrayList<>();
        chords.add(piece.start());
        piece.flattenInto(chords);
        assertThat(chords.get(chords.size() - 1).distance(piece.end())).isLessThan(1e-9);
        int n = chords.size() - 1;
        for (int i = 0; i < n; i++) {
            Point middle = piece.at((i + 0.5) / n);
            Point a = chords.get(i);
            Point b = chords.get(i + 1);
            double off = Math.abs((b.x() - a.x()) * (middle.y() - a.y()) - (b.y() - a.y()) * (middle.x() - a.x()))
                    / Math.max(1e-12, a.distance(b));
            assertThat(off).isLessThanOrEqualTo(Segment.FLATNESS * 1.05);
        }
    }

    @ParameterizedTest
    @MethodSource("pieces")
    void run_the_other_way_it_is_the_same_piece(Segment piece) {
        Segment back = piece.reversed();
        assertThat(back.start().distance(piece.end())).isLessThan(1e-9);
        assertThat(back.at(0.3).distance(piece.at(0.7))).isLessThan(1e-6);
        assertThat(back.areaShare()).isEqualTo(-piece.areaShare(), within(1e-6));
        assertThat(back.length()).isEqualTo(piece.length(), within(1e-6));
        assertThat(back.curvature(0.4)).isEqualTo(-piece.curvature(0.6), within(1e-9));
    }

    @ParameterizedTest
    @MethodSource("pieces")
    void tangent_and_curvature_are_what_small_differences_give(Segment piece) {
        double h = 1e-4;
        Point a = piece.at(0.5 - h);
        Point m = piece.at(0.5);
        Point b = piece.at(0.5 + h);
        Point tangent = piece.tangent(0.5);
        assertThat(tangent.x()).isEqualTo((b.x() - a.x()) / (2 * h), within(0.01 + Math.abs(tangent.x()) * 1e-4));
        assertThat(tangent.y()).isEqualTo((b.y() - a.y()) / (2 * h), within(0.01 + Math.abs(tangent.y()) * 1e-4));
        double cross = (m.x() - a.x()) * (b.y() - m.y()) - (m.y() - a.y()) * (b.x() - m.x());
        double menger = 2 * cross / (a.distance(m) * m.distance(b) * a.distance(b));
        assertThat(piece.curvature(0.5)).isEqualTo(menger, within(1e-3 + Math.abs(menger) * 1e-2));
    }
}
