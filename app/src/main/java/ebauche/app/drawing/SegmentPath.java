package ebauche.app.drawing;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** A closed run of pieces as SVG path data, its curves as chords so short that no screen shows them. */
public final class SegmentPath {
    private static final int CHORDS = 24;

    private SegmentPath() {}

    public static String of(List<Segment> ring, ToDoubleFunction<Point> x, ToDoubleFunction<Point> y) {
        StringBuilder data = new StringBuilder();
        for (Segment s : ring) {
            int n = s instanceof Segment.Line ? 1 : CHORDS;
            for (int i = 0; i < n; i++) {
                Point p = s.at((double) i / n);
                data.append(data.isEmpty() ? 'M' : 'L')
                        .append(Svg.n(x.applyAsDouble(p)))
                        .append(' ')
                        .append(Svg.n(y.applyAsDouble(p)));
            }
        }
        return data.append('Z').toString();
    }
}
