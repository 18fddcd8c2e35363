package ebauche.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.TestBody;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.util.GeometricShapeFactory;

/** Against JTS (a general-purpose geometry library) and closed forms. */
class OutlineOutsideTest {
    @Test
    void the_exact_area_agrees_with_jts_on_the_flattened_curve_within_its_flatness() {
        Outline outline = Outline.parse(new TestBody().outline, 1);
        double bound = outline.perimeter() * Segment.FLATNESS;
        assertThat(outline.area()).isEqualTo(outline.region().area(), within(bound));
        assertThat(outline.perimeter()).isEqualTo(outline.region().perimeter(), within(0.5));
    }

    /** An ellipse from four cubic curves (kappa 0.5522847498, from memory) against JTS's own ellipse and pi a b. */
    @Test
    void an_ellipse_of_cubics_has_the_ellipses_area_and_least_radius() {
        double a = 150;
        double b = 90;
        double k = 0.5522847498;
        String path = String.format(
                java.util.Locale.ROOT,
                "M %1$f 0 C %1$f %3$f %4$f %2$f 0 %2$f C -%4$f %2$f -%1$f %3$f -%1$f 0 C -%1$f -%3$f -%4$f -%2$f 0 -%2$f C %4$f -%2$f %1$f -%3$f %1$f 0 Z",
                a,
                b,
                k * b,
                k * a);
        Outline ellipse = Outline.parse(path, 1);
        GeometricShapeFactory shapes = new GeometricShapeFactory();
        shapes.setCentre(new Coordinate(0, 0));
        shapes.setWidth(2 * a);
        shapes.setHeight(2 * b);
        shapes.setNumPoints(4000);
        Geometry jts = shapes.createEllipse();
        assertThat(ellipse.area()).isEqualTo(jts.getArea(), within(jts.getArea() * 5e-4));
        assertThat(ellipse.area()).isEqualTo(Math.PI * a * b, within(Math.PI * a * b * 5e-4));
        // the sharpest turn of an ellipse is b²/a, at the ends of its long axis
        assertThat(ellipse.smallestInsideCorner()).isEqualTo(b * b / a, within(b * b / a * 0.02));
    }

    @Test
    void regions_answer_like_jts() {
        GeometryFactory jts = new GeometryFactory();
        Geometry disc = jts.createPoint(new Coordinate(3, 4)).buffer(10, 24);
        Region region = Region.disc(new Point(3, 4), 20);
        assertThat(region.area()).isEqualTo(disc.getArea(), within(1e-9));
        Region other = Region.rectangle(new Point(10, 4), 12, 12, 0, 0);
        Geometry square = jts.toGeometry(new org.locationtech.jts.geom.Envelope(4, 16, -2, 10));
        assertThat(region.intersection(other).area())
                .isEqualTo(disc.intersection(square).getArea(), within(1e-6));
        assertThat(region.minus(other).area()).isEqualTo(disc.difference(square).getArea(), within(1e-6));
        assertThat(region.union(other).area()).isEqualTo(disc.union(square).getArea(), within(1e-6));
    }
}
