package ebauche.exchange.drawn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.sheet.TemplateSheet;
import ebauche.exchange.file.DemoBodies;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;

/**
 * Files that others drew, and what we write read back.
 *
 * <p>{@code maker.dxf} was drawn with ezdxf 1.4 (loose lines, an arc, a B-spline, a rational spline, part of an ellipse and a
 * polyline with a bulge, in inches, in no order), {@code maker.svg} with matplotlib's SVG output (cubics and quadratics in points,
 * on a page of its own). Their areas and extents were reckoned by numpy from 20 000 points a curve, apart from this program.
 */
class DrawnFileOutsideTest {
    private static DrawnFile read(String name) throws IOException {
        try (InputStream in = DrawnFileOutsideTest.class.getResourceAsStream("/drawn/" + name)) {
            return DrawnFile.read(in.readAllBytes());
        }
    }

    private static Outline outline(DrawnFile file, int shape) {
        Placing mm = Placing.scaled(file.millimetresPerUnit().orElseThrow());
        return Outline.of(file.shapes().get(shape).segments().stream()
                .map(s -> s.placed(mm))
                .toList());
    }

    @Test
    void an_outline_drawn_with_a_dxf_library_in_loose_pieces() throws IOException {
        DrawnFile file = read("maker.dxf");
        assertThat(file.millimetresPerUnit()).hasValue(25.4);
        assertThat(file.shapes()).hasSize(2);
        Outline outline = outline(file, 0);
        assertThat(file.shapes().get(0).name()).contains("BODY");
        assertThat(outline.area()).isEqualTo(112460.027, within(0.05));
        assertThat(outline.region().minX()).isEqualTo(-173.75, within(0.01));
        assertThat(outline.region().maxX()).isEqualTo(160, within(0.01));
        assertThat(outline.region().minY()).isEqualTo(-190, within(0.01));
        assertThat(outline.region().maxY()).isEqualTo(248.6888, within(0.01));
        // The hole is a shape of its own, and text is said to be left out.
        assertThat(outline(file, 1).area()).isEqualTo(Math.PI * 100, within(0.01));
        assertThat(file.notes()).anyMatch(n -> n.contains("text"));
    }

    @Test
    void an_outline_drawn_with_a_plotting_library_in_points() throws IOException {
        DrawnFile file = read("maker.svg");
        assertThat(file.millimetresPerUnit().orElseThrow()).isEqualTo(25.4 / 72, within(1e-9));
        // The page's own white sheet is the largest shape; the outline comes after it.
        Outline outline = outline(file, 1);
        assertThat(outline.area()).isEqualTo(114491.267, within(0.6));
        assertThat(outline.region().maxX() - outline.region().minX()).isEqualTo(168.465246 + 176.948705, within(0.01));
        assertThat(outline.region().maxY() - outline.region().minY()).isEqualTo(243.790673 + 191.770337, within(0.01));
        // y runs up again: the neck's end, 60 wide, lies at the top but for the horns.
        assertThat(outline.segments()).anyMatch(s -> s instanceof Segment.Line && Math.abs(s.length() - 60) < 0.01);
    }

    /** Circle, ellipse, rounded rectangle, turned and mirrored, against their areas. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<circle cx='50' cy='60' r='20'/> | 1256.637",
                "<ellipse cx='50' cy='60' rx='20' ry='10' transform='rotate(30)'/> | 628.3185",
                "<rect x='10' y='20' width='40' height='30'/> | 1200",
                "<rect x='10' y='20' width='40' height='30' rx='5' transform='scale(2,-1)'/> | 2357.0796",
                "<g transform='translate(5 5) scale(2)'><polygon points='0,0 10,0 10,10'/></g> | 200",
                "<path d='M0 0q10 20 20 0z'/> | 133.3333",
                "<path d='M0 0c0 10 10 10 10 0s10 -10 10 0v20h-20z'/> | 400",
                "<path d='M0 0t10 0 10 0v-20h-20z'/> | 400",
                "<path d='M10 0A10 10 0 0 1 -10 0 10 10 0 0 1 10 0'/> | 314.1593",
                "<path d='M10 0A10 5 45 0 1 -10 0'/><path d='M-10 0L10 0'/> | -1"
            })
    void shapes_of_svg_have_their_areas(String body, double area) {
        String svg = "<svg xmlns='http://www.w3.org/2000/svg' width='200mm' height='200mm' viewBox='0 0 200 200'>"
                + body + "</svg>";
        DrawnFile file = DrawnFile.read(svg.getBytes(StandardCharsets.UTF_8));
        assertThat(file.millimetresPerUnit()).hasValue(1);
        if (area > 0) {
            assertThat(file.shapes().get(0).area()).isEqualTo(area, within(area * 1e-5));
        } else {
            // Half of an ellipse that is seen from its own axes, closed by a loose line: half of pi a b, scaled up to
            // reach.
            double grow = 10 * 10 * (0.5 / 100 + 0.5 / 25);
            assertThat(file.shapes().get(0).area()).isEqualTo(Math.PI * 50 * grow / 2, within(0.01));
        }
    }

    /** Bulge: the tangent of a quarter of the arc's angle. Half a circle has 1, a quarter tan 22.5 degrees. */
    @ParameterizedTest
    @CsvSource({"1, 3.14159265", "0.41421356, 1.57079633", "-0.41421356, -1.57079633", "2.41421356, 4.71238898"})
    void a_bulge_is_an_arc(double bulge, double sweep) {
        Segment.Arc arc = Segment.Arc.ofBulge(new Point(3, 4), new Point(13, 4), bulge);
        assertThat(arc.sweep()).isEqualTo(sweep, within(1e-7));
        assertThat(arc.start().distance(new Point(3, 4))).isLessThan(1e-9);
        assertThat(arc.end().distance(new Point(13, 4))).isLessThan(1e-9);
        assertThat(arc.bulge()).isEqualTo(bulge, within(1e-7));
        // Half a circle on a chord of 10 rises by 5 to the right of its way, as a left turn does.
        if (bulge == 1) {
            assertThat(arc.at(0.5).distance(new Point(8, -1))).isLessThan(1e-9);
        }
    }

    /** A rational quadratic with weights 1, cos 45, 1 is a quarter of a circle (Piegl and Tiller, The NURBS Book, memory). */
    @Test
    void a_rational_spline_is_a_circle() {
        BSpline quarter = new BSpline(
                2,
                List.of(0.0, 0.0, 0.0, 1.0, 1.0, 1.0),
                List.of(new Point(10, 0), new Point(10, 10), new Point(0, 10)),
                List.of(1.0, Math.sqrt(0.5), 1.0),
                1e-5);
        for (Segment s : quarter.pieces()) {
            for (double t = 0; t <= 1; t += 0.1) {
                assertThat(Math.hypot(s.at(t).x(), s.at(t).y())).isEqualTo(10, within(1e-4));
            }
        }
    }

    /** A spline without inner knots is its Bézier curve. */
    @Test
    void a_spline_of_one_span_is_a_bezier_curve() {
        List<Point> c = List.of(new Point(0, 0), new Point(1, 5), new Point(7, 5), new Point(9, 0));
        Segment piece = new BSpline(3, List.of(2.0, 2.0, 2.0, 2.0, 4.0, 4.0, 4.0, 4.0), c, List.of(), 1e-9)
                .pieces()
                .get(0);
        assertThat(piece).isInstanceOfSatisfying(Segment.Cubic.class, b -> {
            assertThat(b.first().distance(c.get(1))).isLessThan(1e-12);
            assertThat(b.second().distance(c.get(2))).isLessThan(1e-12);
        });
    }

    static List<String> demos() {
        return DemoBodies.NAMES;
    }

    private static LineString dense(List<Segment> ring) {
        List<Coordinate> at = new ArrayList<>();
        for (Segment s : ring) {
            int n = Math.max(2, (int) (s.length() / 0.5));
            for (int i = 0; i < n; i++) {
                Point p = s.at((double) i / n);
                at.add(new Coordinate(p.x(), p.y()));
            }
        }
        at.add(at.get(0));
        return new GeometryFactory().createLineString(at.toArray(new Coordinate[0]));
    }

    /** Every template of every demo body, out and in again: no point moves by more than a hundredth; distances by JTS. */
    @ParameterizedTest
    @MethodSource("demos")
    void templates_come_back_within_a_hundredth(String demo) {
        BuildPlan plan = Planner.plan(DemoBodies.read(demo).build());
        for (TemplateSheet sheet : TemplateSheet.of(plan)) {
            DrawnFile svg = DrawnFile.read(SvgWriter.write("t", List.of(sheet)).getBytes(StandardCharsets.UTF_8));
            DrawnFile dxf = DrawnFile.read(DxfWriter.write(List.of(sheet)).getBytes(StandardCharsets.UTF_8));
            assertThat(svg.millimetresPerUnit().orElseThrow()).isEqualTo(1, within(1e-6));
            assertThat(dxf.millimetresPerUnit()).hasValue(1);
            LineString drawn = dense(sheet.rings().get(0));
            for (DrawnFile back : List.of(svg, dxf)) {
                assertThat(back.shapes()).hasSize(sheet.rings().size());
                LineString came = dense(back.shapes().get(0).segments());
                assertThat(farthest(drawn, came)).as(sheet.name()).isLessThan(0.01);
                assertThat(farthest(came, drawn)).as(sheet.name()).isLessThan(0.01);
            }
        }
    }

    /** Farthest that a point of one, every half millimetre, lies from the other's lines: Hausdorff's distance, one way. */
    private static double farthest(LineString a, LineString b) {
        IndexedFacetDistance lines = new IndexedFacetDistance(b);
        double worst = 0;
        for (Coordinate c : a.getCoordinates()) {
            worst = Math.max(worst, lines.distance(a.getFactory().createPoint(c)));
        }
        return worst;
    }
}
