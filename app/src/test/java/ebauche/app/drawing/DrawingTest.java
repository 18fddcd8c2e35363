package ebauche.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.bench.PassDrawing;
import ebauche.app.shopfloor.BodyThumbnail;
import ebauche.app.web.Figures;
import ebauche.app.xray.XrayDrawing;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.LengthUnit;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.sheet.MarkingOut;
import ebauche.core.stock.Stock;
import ebauche.core.stock.WoodLeft;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

class DrawingTest {
    private static final Figures MM = new Figures(LengthUnit.MILLIMETRE);
    private static final BuildPlan SEDGE = Planner.plan(DemoBodies.read("sedge").build());

    /** Its next step, after all that is done. */
    private static final int ROUT = SEDGE.indexOf(SEDGE.step("neck:rout").orElseThrow());

    /** Area inside an SVG path of straight pieces, by the shoelace: how large it is drawn. */
    private static double drawnArea(String data) {
        double sum = 0;
        for (String ring : data.split("Z")) {
            Matcher m = Pattern.compile("(-?[0-9.]+) (-?[0-9.]+)").matcher(ring);
            List<double[]> points = new ArrayList<>();
            while (m.find()) {
                points.add(new double[] {Double.parseDouble(m.group(1)), Double.parseDouble(m.group(2))});
            }
            for (int i = 0; i < points.size(); i++) {
                double[] a = points.get(i);
                double[] b = points.get((i + 1) % points.size());
                sum += a[0] * b[1] - b[0] * a[1];
            }
        }
        return Math.abs(sum) / 2;
    }

    /** A top glued on its core, where it is not carved: one thickness of wood in figures, the glue between them as a line at its depth. */
    @Test
    void a_section_shows_the_glue_line_under_a_top_and_tells_both_layers_as_one() {
        BuildPlan marram = Planner.plan(DemoBodies.read("marram").build());
        int last = marram.steps().size();
        Stock stock = marram.history().before(last);
        Section.Run whole = Section.lengthwise(stock, 0).stream()
                .filter(r -> r.solid().length == 4)
                .max(Comparator.comparingDouble(r -> r.joined()[1] - r.joined()[0]))
                .orElseThrow();
        double under =
                marram.build().design().blank().topThickness() - marram.build().roughAboveFront();
        assertThat(whole.glueLines()).hasSize(1);
        assertThat(whole.glueLines()[0]).isEqualTo(under, within(1e-3));
        assertThat(whole.joined()).hasSize(2);
        assertThat(whole.joined()[1] - whole.joined()[0])
                .isEqualTo(marram.build().design().thickness(), within(1e-3));
        Section.Run open = new Section.Run(0, 10, new double[] {0, 6, 6, 20, 30, 36});
        assertThat(open.joined()).containsExactly(0, 20, 30, 36);
        assertThat(open.glueLines()).containsExactly(6);
    }

    @ParameterizedTest
    @EnumSource(Face.class)
    void the_plan_is_drawn_to_one_scale_and_flipping_mirrors_it(Face up) {
        Document svg = Drawn.xml(BoardDrawing.of(SEDGE, MM, ROUT, up, SectionLines.within(SEDGE, ROUT, null, null)));
        double scale = Math.abs(
                Double.parseDouble(Drawn.all(svg, "g", "cut-line").get(0).getAttribute("data-scale")));
        double drawn = drawnArea(Drawn.all(svg, "path", "body-wood").get(0).getAttribute("d"));
        double real = SEDGE.build().design().outline().area();
        assertThat(drawn / scale / scale).isEqualTo(real, within(real * 1e-3));
    }

    @Test
    void the_front_shows_the_bass_horn_above_the_centre_line_and_the_back_below() {
        Frame front = new Frame(1, 0, 100, Face.FRONT);
        Frame back = new Frame(1, 0, 100, Face.BACK);
        assertThat(front.y(-50)).isLessThan(100);
        assertThat(back.y(-50)).isGreaterThan(100);
        assertThat(front.x(200)).isGreaterThan(front.x(0));
        assertThat(back.x(200)).isEqualTo(front.x(200));
    }

    @Test
    void a_step_highlights_its_own_cut_and_dots_what_is_to_come() {
        Document svg =
                Drawn.xml(BoardDrawing.of(SEDGE, MM, ROUT, Face.FRONT, SectionLines.within(SEDGE, ROUT, null, null)));
        assertThat(Drawn.all(svg, "path", "now")).hasSize(1);
        assertThat(Drawn.all(svg, "path", "before")).isNotEmpty();
        assertThat(Drawn.all(svg, "path", "later").size()).isGreaterThan(5);
        Document finished = Drawn.xml(BoardDrawing.finished(SEDGE, MM));
        assertThat(Drawn.all(finished, "path", "later")).isEmpty();
        assertThat(Drawn.all(finished, "g", "cut-line")).isEmpty();
    }

    @Test
    void depth_figures_are_the_designs() {
        Document finished = Drawn.xml(BoardDrawing.finished(SEDGE, MM));
        List<String> figures = Drawn.all(finished, "text", "figure").stream()
                .map(Element::getTextContent)
                .toList();
        assertThat(figures).contains("24.05").contains("19");
    }

    @Test
    void at_a_step_the_figure_on_the_drawing_is_the_one_on_its_card() {
        Document svg =
                Drawn.xml(BoardDrawing.of(SEDGE, MM, ROUT, Face.FRONT, SectionLines.within(SEDGE, ROUT, null, null)));
        assertThat(Drawn.all(svg, "text", "figure").stream().map(Element::getTextContent))
                .contains("24.35");
    }

    @Test
    void before_the_saw_the_blank_is_drawn_whole_with_its_seam_and_the_outline_dashed() {
        Document svg = Drawn.xml(BoardDrawing.of(SEDGE, MM, 3, Face.FRONT, SectionLines.within(SEDGE, 3, null, null)));
        assertThat(Drawn.all(svg, "path", "outline-later")).hasSize(1);
        assertThat(Drawn.all(svg, "path", "seam")).hasSize(1);
    }

    @Test
    void a_findings_place_is_marked_on_the_drawing() {
        BuildPlan shale = Planner.plan(DemoBodies.read("shale").build());
        Document svg = Drawn.xml(BoardDrawing.of(shale, MM, 0, Face.FRONT, SectionLines.within(shale, 0, null, null)));
        assertThat(Drawn.all(svg, "g", "stops"))
                .singleElement()
                .satisfies(g -> assertThat(g.getTextContent()).contains("stands 6 mm out of the back"));
    }

    @Test
    void a_section_is_the_stock_under_its_line() {
        Stock stock = SEDGE.history().finished();
        for (Section.Run run : Section.lengthwise(stock, 0.25)) {
            double middle = (run.from() + run.to()) / 2;
            assertThat(stock.intervalsAt(0.25, middle)).containsExactly(run.solid());
        }
        double wood = Section.across(stock, 100).stream()
                .mapToDouble(r -> (r.to() - r.from()) * (r.solid()[r.solid().length - 1] - r.solid()[0]))
                .sum();
        assertThat(wood).isGreaterThan(1000);
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, -1e9, 1e9, 0.3})
    void section_lines_stay_on_the_body_in_half_millimetres(double place) {
        Region body = SEDGE.build().design().outline().region();
        SectionLines lines = SectionLines.within(SEDGE, ROUT, place, place);
        assertThat(lines.acrossAt()).isBetween(body.minX() - 0.5, body.maxX() + 0.5);
        assertThat(lines.alongAt() * 2).isEqualTo(Math.rint(lines.alongAt() * 2));
    }

    @Test
    void the_rule_has_a_division_for_every_step_as_wide_as_its_hours_and_none_too_narrow() {
        Document svg = Drawn.xml(RuleDrawing.of(SEDGE, MM, ROUT, op -> "/x?step=" + op.key()));
        List<Element> divisions = Drawn.all(svg, "a", "division");
        assertThat(divisions).hasSize(SEDGE.steps().size());
        double total = 0;
        double perMinute = -1;
        for (int i = 0; i < divisions.size(); i++) {
            Element bar = Drawn.all(svg, "rect", "bar").get(i);
            double width = Double.parseDouble(bar.getAttribute("width"));
            total += width;
            assertThat(width).isGreaterThanOrEqualTo(9);
            double rate = (width - 9) / SEDGE.steps().get(i).operation().handsOnMinutes();
            perMinute = perMinute < 0 ? rate : perMinute;
            assertThat(rate).isEqualTo(perMinute, within(0.02));
        }
        assertThat(total).isEqualTo(1240, within(0.5));
        assertThat(Drawn.all(svg, "a", "done")).hasSize(ROUT);
        assertThat(Drawn.all(svg, "a", "chosen")).hasSize(1);
        assertThat(Drawn.all(svg, "path", "notch").size()).isEqualTo((int) SEDGE.steps().stream()
                .filter(s -> s.operation().cannotBeTakenBack())
                .count());
    }

    @Test
    void the_bench_drawing_shows_which_way_to_feed() {
        int outline = SEDGE.indexOf(SEDGE.step("outline:rout").orElseThrow());
        String clockwise = Drawn.all(Drawn.xml(PassDrawing.of(SEDGE, ROUT, Optional.empty())), "path", "feed-arc")
                .get(0)
                .getAttribute("d");
        String anticlockwise = Drawn.all(
                        Drawn.xml(PassDrawing.of(SEDGE, outline, Optional.empty())), "path", "feed-arc")
                .get(0)
                .getAttribute("d");
        // the sweep flag of an SVG arc: 1 turns clockwise on the screen
        assertThat(clockwise).matches(".* 0 1 1 .*");
        assertThat(anticlockwise).matches(".* 0 1 0 .*");
    }

    @Test
    void no_text_can_become_markup() {
        BuildFile file = DemoBodies.read("sedge");
        file.design().put("name", "<script>alert(1)</script>\"'&");
        BuildPlan plan = Planner.plan(new Build(
                BuildFile.of(file.withoutRecord()).build().design(),
                SEDGE.build().shop(),
                AsBuilt.NOTHING_YET));
        for (String svg : List.of(
                BodyThumbnail.of(plan),
                BoardDrawing.finished(plan, MM),
                PassDrawing.of(plan, 3, MarkingOut.of(plan, 3)),
                RuleDrawing.of(plan, MM, 0, op -> "/\"><script>"))) {
            assertThat(svg.toLowerCase(Locale.ROOT)).doesNotContain("<script");
            Drawn.xml(svg);
        }
    }

    private static double[] at(Element e, String x, String y) {
        return new double[] {Double.parseDouble(e.getAttribute(x)), Double.parseDouble(e.getAttribute(y))};
    }

    private static double apart(double[] a, double[] b) {
        return Math.hypot(a[0] - b[0], a[1] - b[1]);
    }

    /** The floors under a jack hole towards both faces lie at one place: both numbers can be read, in their order. */
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void no_pin_covers_another_and_each_is_led_to_its_place(String body) {
        BuildPlan plan = Planner.plan(DemoBodies.read(body).build());
        List<WoodLeft.Thin> thinnest = plan.thinnest().stream().limit(12).toList();
        Document svg = Drawn.xml(XrayDrawing.plan(
                plan,
                MM,
                plan.steps().size(),
                Face.FRONT,
                new XrayDrawing.Cut(new Point(-200, 0), new Point(200, 0)),
                thinnest,
                f -> false));
        List<Element> rings = Drawn.all(svg, "circle", "ring");
        assertThat(rings).hasSameSizeAs(thinnest);
        assertThat(Drawn.all(svg, "text", "number"))
                .extracting(Element::getTextContent)
                .containsExactlyElementsOf(IntStream.rangeClosed(1, thinnest.size())
                        .mapToObj(String::valueOf)
                        .toList());
        for (Element one : rings) {
            for (Element other : rings) {
                assertThat(one == other || apart(at(one, "cx", "cy"), at(other, "cx", "cy")) > 2 * Pins.RADIUS - 0.1)
                        .isTrue();
            }
        }
        for (Element leader : Drawn.all(svg, "line", "leader")) {
            Element pin = (Element) leader.getParentNode();
            Element ring = (Element) pin.getElementsByTagName("circle").item(1);
            assertThat(apart(at(leader, "x2", "y2"), at(ring, "cx", "cy"))).isLessThan(0.1);
            assertThat(apart(at(leader, "x1", "y1"), at(leader, "x2", "y2"))).isGreaterThan(Pins.RADIUS);
        }
        assertThat(Drawn.all(svg, "line", "leader")).hasSameSizeAs(Drawn.all(svg, "circle", "place"));
    }

    /** On the shop floor a body shows what will be carved off it, and keeps it out of the way of a body without contours. */
    @Test
    void a_thumbnail_shows_the_bodys_contours() {
        Document tussock = Drawn.xml(
                BodyThumbnail.of(Planner.plan(DemoBodies.read("tussock").build())));
        assertThat(Drawn.all(tussock, "g", "carve"))
                .extracting(g -> g.getAttribute("class"))
                .containsExactly("carve later", "carve later far");
        assertThat(Drawn.all(Drawn.xml(BodyThumbnail.of(SEDGE)), "g", "carve")).isEmpty();
    }
}
