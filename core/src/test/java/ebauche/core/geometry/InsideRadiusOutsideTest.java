package ebauche.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** The tightest inward turn against circles and ellipses, whose radii are known, and offsets against JTS asked directly. */
class InsideRadiusOutsideTest {
    /** A slab with a bite of half an ellipse out of its upper edge, as drawn by cubics of at most 22.5 degrees. */
    private static Outline bitten(double halfAcross, double deep) {
        List<Segment> pieces = new ArrayList<>();
        pieces.add(new Segment.Line(new Point(-150, -100), new Point(150, -100)));
        pieces.add(new Segment.Line(new Point(150, -100), new Point(150, 0)));
        pieces.add(new Segment.Line(new Point(150, 0), new Point(halfAcross, 0)));
        for (Segment.Cubic c : new Segment.Arc(new Point(0, 0), 1, 0, -Math.PI).cubics()) {
            pieces.add(new Segment.Cubic(
                    stretched(c.start(), halfAcross, deep),
                    stretched(c.first(), halfAcross, deep),
                    stretched(c.second(), halfAcross, deep),
                    stretched(c.end(), halfAcross, deep)));
        }
        pieces.add(new Segment.Line(new Point(-halfAcross, 0), new Point(-150, 0)));
        pieces.add(new Segment.Line(new Point(-150, 0), new Point(-150, -100)));
        return Outline.of(pieces);
    }

    private static Point stretched(Point p, double x, double y) {
        return new Point(p.x() * x, p.y() * y);
    }

    /** An ellipse turns tightest at the ends of its long axis: b²/a (analytic geometry). */
    @ParameterizedTest
    @CsvSource({"40, 40, 40", "40, 20, 10", "20, 50, 8", "60, 30, 15", "12, 12, 12"})
    void a_bite_of_an_ellipse_turns_as_its_axes_say(double halfAcross, double deep, double radius) {
        Outline.InsideRadius turn = bitten(halfAcross, deep).smallestInsideRadius();
        assertThat(turn.radius()).isEqualTo(radius, within(radius * 0.002));
        if (deep > halfAcross) {
            assertThat(turn.at().distance(new Point(0, -deep))).isLessThan(1);
        } else if (deep < halfAcross) {
            assertThat(Math.abs(turn.at().x())).isEqualTo(halfAcross, within(0.5));
        }
    }

    /** A program that draws in short lines means the curve: half a circle out of the edge, in chords of some degrees. */
    @ParameterizedTest
    @CsvSource({"25, 40", "25, 12", "8, 24", "60, 200"})
    void a_bite_in_short_lines_turns_as_its_circle(double radius, int chords) {
        List<Segment> pieces = new ArrayList<>();
        pieces.add(new Segment.Line(new Point(-150, -100), new Point(150, -100)));
        pieces.add(new Segment.Line(new Point(150, -100), new Point(150, 0)));
        pieces.add(new Segment.Line(new Point(150, 0), new Point(radius, 0)));
        for (int i = 0; i < chords; i++) {
            pieces.add(new Segment.Line(on(radius, i, chords), on(radius, i + 1, chords)));
        }
        pieces.add(new Segment.Line(new Point(-radius, 0), new Point(-150, 0)));
        pieces.add(new Segment.Line(new Point(-150, 0), new Point(-150, -100)));
        double turn = Math.PI / chords;
        double found = Outline.of(pieces).smallestInsideRadius().radius();
        if (2 * radius * Math.sin(turn / 2) > 6) {
            // Long chords are meant as they are drawn: corners.
            assertThat(found).isZero();
        } else {
            assertThat(found).isEqualTo(radius, within(radius * 0.01));
        }
    }

    private static Point on(double radius, int i, int chords) {
        double a = -Math.PI * i / chords;
        double y = i == 0 || i == chords ? 0 : radius * Math.sin(a);
        return new Point(i == chords ? -radius : radius * Math.cos(a), y);
    }

    /** A bit runs along the bite as long as its radius is no larger: grown by more, the bite's corner is cut off. */
    @ParameterizedTest
    @CsvSource({"3", "6.35", "9.5"})
    void offsets_agree_with_jts_and_come_back_where_a_bit_turns(double distance) {
        Outline outline = bitten(40, 20);
        List<Coordinate> ring = new ArrayList<>();
        for (Segment s : outline.segments()) {
            int n = s instanceof Segment.Line ? 1 : 400;
            for (int i = 0; i < n; i++) {
                Point p = s.at((double) i / n);
                ring.add(new Coordinate(p.x(), p.y()));
            }
        }
        ring.add(ring.get(0));
        Geometry grown = new GeometryFactory()
                .createPolygon(ring.toArray(new Coordinate[0]))
                .buffer(distance, 64);
        assertThat(outline.offset(distance).area()).isEqualTo(grown.getArea(), within(grown.getArea() * 1e-4));
        Region back = outline.offset(distance).grown(-distance);
        assertThat(back.area()).isEqualTo(outline.area(), within(6.0));
    }
}
