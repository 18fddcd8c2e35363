package ebauche.exchange.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import ebauche.core.measure.Refusal;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.sheet.MarkingOut;
import ebauche.core.sheet.PrickPattern;
import ebauche.core.sheet.TemplateSheet;
import ebauche.exchange.drawn.DrawnFile;
import ebauche.exchange.file.DemoBodies;
import java.awt.geom.Point2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The printed sheets measured back: their drawing operators as a printer gets them, in points of 1/72 in, turned into mm. */
class TilePrintOutsideTest {
    private static final BuildPlan PLAN =
            Planner.plan(DemoBodies.read("tussock").build());
    private static final double MM = 25.4 / 72;

    /** Collects every stroked path of a page, each as its points, after all transforms. */
    private static final class Operators extends PDFGraphicsStreamEngine {
        private final List<List<double[]>> strokes = new ArrayList<>();
        private final List<double[]> clips = new ArrayList<>();
        private List<List<double[]>> path = new ArrayList<>();
        private boolean images;
        private boolean clipping;

        Operators(PDPage page) throws IOException {
            super(page);
            processPage(page);
        }

        private void add(double... xy) {
            for (int i = 0; i < xy.length; i += 2) {
                path.get(path.size() - 1).add(new double[] {xy[i] * MM, xy[i + 1] * MM});
            }
        }

        @Override
        public void moveTo(float x, float y) {
            path.add(new ArrayList<>());
            add(x, y);
        }

        @Override
        public void lineTo(float x, float y) {
            add(x, y);
        }

        /** The curve itself, at two hundred places. */
        @Override
        public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
            List<double[]> run = path.get(path.size() - 1);
            double[] from = run.get(run.size() - 1);
            for (int i = 1; i <= 200; i++) {
                double t = i / 200.0;
                double u = 1 - t;
                add(
                        u * u * u * from[0] / MM + 3 * u * u * t * x1 + 3 * u * t * t * x2 + t * t * t * x3,
                        u * u * u * from[1] / MM + 3 * u * u * t * y1 + 3 * u * t * t * y2 + t * t * t * y3);
            }
        }

        @Override
        public void appendRectangle(Point2D p0, Point2D p1, Point2D p2, Point2D p3) {
            path.add(new ArrayList<>());
            for (Point2D p : List.of(p0, p1, p2, p3)) {
                add(p.getX(), p.getY());
            }
        }

        @Override
        public void clip(int rule) {
            clipping = true;
        }

        @Override
        public void endPath() {
            if (clipping) {
                clips.addAll(path.get(0));
            }
            clipping = false;
            path = new ArrayList<>();
        }

        @Override
        public void strokePath() {
            strokes.addAll(path);
            path = new ArrayList<>();
        }

        @Override
        public void fillPath(int rule) {
            path = new ArrayList<>();
        }

        @Override
        public void fillAndStrokePath(int rule) {
            path = new ArrayList<>();
        }

        @Override
        public void closePath() {
            // The last point is joined to the first; no new one comes of it.
        }

        @Override
        public Point2D getCurrentPoint() {
            List<double[]> run = path.get(path.size() - 1);
            double[] p = run.get(run.size() - 1);
            return new Point2D.Double(p[0] / MM, p[1] / MM);
        }

        @Override
        public void drawImage(PDImage image) {
            images = true;
        }

        @Override
        public void shadingFill(COSName name) {
            images = true;
        }

        /** Straight lines of a length, mm, as printed. */
        long lines(double length, boolean along) {
            return strokes.stream()
                    .filter(s -> s.size() == 2)
                    .filter(s -> Math.abs(Math.abs(s.get(1)[along ? 1 : 0] - s.get(0)[along ? 1 : 0]) - length) < 0.01
                            && Math.abs(s.get(1)[along ? 0 : 1] - s.get(0)[along ? 0 : 1]) < 0.001)
                    .count();
        }

        List<double[]> longest() {
            return strokes.stream()
                    .max((a, b) -> Integer.compare(a.size(), b.size()))
                    .orElseThrow();
        }
    }

    private static double[] box(List<double[]> points) {
        double[] box = {1e9, 1e9, -1e9, -1e9};
        for (double[] p : points) {
            box[0] = Math.min(box[0], p[0]);
            box[1] = Math.min(box[1], p[1]);
            box[2] = Math.max(box[2], p[0]);
            box[3] = Math.max(box[3], p[1]);
        }
        return box;
    }

    static Stream<Arguments> prints() {
        return TemplateSheet.of(PLAN).stream()
                .flatMap(s -> Stream.of(Paper.values())
                        .flatMap(p -> Stream.of(
                                Arguments.of(s.name(), s, p, Scale.TRUE),
                                Arguments.of(s.name(), s, p, new Scale(0.985, 1.012)))));
    }

    @ParameterizedTest(name = "{0} {2}")
    @MethodSource("prints")
    void sheets_measure_true_and_meet_at_their_crosses(String name, TemplateSheet sheet, Paper paper, Scale printer)
            throws IOException {
        byte[] pdf = TilePrint.pdf(sheet, Optional.empty(), "Tussock", paper, printer);
        Tiles tiles = Tiles.over(sheet, paper, printer);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo(tiles.columns() * tiles.rows());
            double[] drawn = box(points(sheet));
            double[] first = null;
            for (int i = 0; i < document.getNumberOfPages(); i++) {
                Operators page = new Operators(document.getPage(i));
                assertThat(page.images).as("vector only").isFalse();
                // The bars, as this printer will make them.
                assertThat(page.lines(100 / printer.across(), false)).isEqualTo(1);
                assertThat(page.lines(100 / printer.along(), true)).isEqualTo(1);
                assertThat(page.lines(101.6 / printer.across(), false)).isEqualTo(1);
                double[] box = box(page.longest());
                assertThat((box[2] - box[0]) * printer.across()).isEqualTo(drawn[2] - drawn[0], within(0.02));
                assertThat((box[3] - box[1]) * printer.along()).isEqualTo(drawn[3] - drawn[1], within(0.02));
                Tiles.Tile tile = tiles.tiles().get(i);
                if (first == null) {
                    first = box;
                } else {
                    // From sheet to sheet the drawing moves by what a sheet shows less the overlap.
                    double stepX = tile.column() * (tiles.wide() - Tiles.OVERLAP) / printer.across();
                    double stepY = tile.row() * (tiles.high() - Tiles.OVERLAP) / printer.along();
                    assertThat(first[0] - box[0]).isEqualTo(stepX, within(0.01));
                    assertThat(box[1] - first[1]).isEqualTo(stepY, within(0.01));
                }
                double[] clip = box(page.clips);
                assertThat((clip[2] - clip[0]) * printer.across()).isEqualTo(tiles.wide(), within(0.01));
                assertThat(crosses(page)).hasSize(4);
            }
        }
    }

    /** Circles as wide as the drill, on the holes that the step's card tells, mirrored for the back; pricked through at their middles. */
    @ParameterizedTest
    @ValueSource(strings = {"controls", "vibrato", "pickup-neck"})
    void the_waste_is_drawn_where_the_card_says(String feature) throws IOException {
        BuildPlan plan = Planner.plan(
                DemoBodies.read(feature.equals("vibrato") ? "shale" : "marram").build());
        TemplateSheet sheet = TemplateSheet.of(plan).stream()
                .filter(s -> s.feature().word().equals(feature))
                .findFirst()
                .orElseThrow();
        int index = plan.indexOf(plan.step(feature + ":waste").orElseThrow());
        MarkingOut card = MarkingOut.of(plan, index).orElseThrow();
        PrickPattern pattern = PrickPattern.of(plan, sheet).orElseThrow();
        Tiles tiles = Tiles.over(sheet, Paper.A4, Scale.TRUE);
        assertThat(tiles.tiles()).hasSize(1);
        byte[] pdf = TilePrint.pdf(sheet, Optional.of(pattern), "Body", Paper.A4, Scale.TRUE);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            Operators page = new Operators(document.getPage(0));
            double[] clip = box(page.clips);
            List<double[]> circles = page.strokes.stream()
                    .filter(s -> s.size() == 4 * 200 + 1)
                    .map(TilePrintOutsideTest::box)
                    .filter(b -> Math.abs(b[2] - b[0] - pattern.wide()) < 0.01
                            && Math.abs(b[3] - b[1] - pattern.wide()) < 0.01)
                    .toList();
            assertThat(circles).hasSameSizeAs(card.marks());
            for (int i = 0; i < circles.size(); i++) {
                double x = tiles.left() + (circles.get(i)[0] + circles.get(i)[2]) / 2 - clip[0];
                double y = tiles.bottom() + (circles.get(i)[1] + circles.get(i)[3]) / 2 - clip[1];
                Point at = card.marks().get(i).place().at();
                assertThat(x).isEqualTo(sheet.mirrored() ? -at.x() : at.x(), within(0.02));
                assertThat(y).isEqualTo(at.y(), within(0.02));
            }
            // The line across lies where its words say, all the way over the sheet.
            assertThat(page.strokes)
                    .anyMatch(s -> s.size() == 2
                            && Math.abs(s.get(0)[1] - s.get(1)[1]) < 0.001
                            && Math.abs(s.get(1)[0] - s.get(0)[0] - tiles.wide()) < 0.01
                            && Math.abs(s.get(0)[1] - clip[1] + tiles.bottom() - sheet.lineAcross()) < 0.01);
            assertThat(new PDFTextStripper().getText(document)).contains("Circles: the waste", "Line across: ");
        }
        assertThat(PrickPattern.of(plan, TemplateSheet.of(plan).get(0)))
                .as("an outline has no waste to drill")
                .isEmpty();
    }

    private static List<double[]> points(TemplateSheet sheet) {
        List<double[]> points = new ArrayList<>();
        for (Segment s : sheet.rings().get(0)) {
            for (int i = 0; i <= 200; i++) {
                points.add(new double[] {s.at(i / 200.0).x(), s.at(i / 200.0).y()});
            }
        }
        return points;
    }

    /** Level lines of 8 mm that an upright one of 8 mm halves, off the drawing's own holes: at the frame's corners. */
    private static List<double[]> crosses(Operators page) {
        double[] clip = box(page.clips);
        List<double[]> found = new ArrayList<>();
        for (List<double[]> s : page.strokes) {
            if (s.size() == 2 && Math.abs(s.get(1)[0] - s.get(0)[0] - 8) < 0.001) {
                double x = (s.get(0)[0] + s.get(1)[0]) / 2;
                double y = s.get(0)[1];
                double inX = Math.min(x - clip[0], clip[2] - x);
                double inY = Math.min(y - clip[1], clip[3] - y);
                if (Math.abs(inX - Tiles.OVERLAP / 2) < 0.15 && Math.abs(inY - Tiles.OVERLAP / 2) < 0.15) {
                    found.add(new double[] {x, y});
                }
            }
        }
        return found;
    }

    @Test
    void sheets_are_named_and_say_which_side_is_seen() throws IOException {
        TemplateSheet rear = TemplateSheet.of(PLAN).stream()
                .filter(TemplateSheet::mirrored)
                .findFirst()
                .orElseThrow();
        try (PDDocument document =
                Loader.loadPDF(TilePrint.pdf(rear, Optional.empty(), "Tussock \u2713", Paper.A4, Scale.TRUE))) {
            String text = new PDFTextStripper().getText(document);
            assertThat(text).contains("seen from the BACK, mirrored", "sheet A1", "100 mm", "4 in", "Tussock ?");
        }
    }

    @Test
    void fewer_sheets_are_taken_upright_or_across() {
        TemplateSheet outline = TemplateSheet.of(PLAN).get(0);
        double[] box = new DrawnFile.Shape("", outline.rings().get(0)).box();
        Tiles tiles = Tiles.over(outline, Paper.A4, Scale.TRUE);
        // 341 x 417 and 4 round it: two columns of 178 (190 less the overlap) upright, and two rows of 243.
        assertThat(box[2] - box[0]).isBetween(340.0, 343.0);
        assertThat(tiles.columns() * tiles.rows()).isEqualTo(4);
        assertThat(tiles.tiles()).extracting(Tiles.Tile::name).containsExactly("A1", "B1", "A2", "B2");
    }

    /** A bar that measures 99 says the printer makes 0.99 of a length; printed anew, its drawing is 1/0.99 as large. */
    @Test
    void a_measured_bar_corrects_the_next_print() {
        Scale once = Scale.TRUE.measured(99, 100.5);
        assertThat(once.across()).isEqualTo(0.99, within(1e-12));
        // The bar was then drawn 100 / 0.99 long and comes out at 100: nothing more to correct.
        assertThat(once.measured(100, 100)).isEqualTo(once);
        // Still a little short: both corrections count.
        assertThat(once.measured(99.8, 100).across()).isEqualTo(0.99 * 0.998, within(1e-12));
        assertThatThrownBy(() -> Scale.TRUE.measured(80, 100)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Scale.TRUE.measured(100, 0)).isInstanceOf(Refusal.class);
    }
}
