package ebauche.app.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.template.TemplateVisit;
import ebauche.core.design.ScratchPlate;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.PathData;
import ebauche.core.geometry.Region;
import ebauche.exchange.drawn.DrawnFile;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** An outline brought in from a drawing, taken away, and edited, through the forms: read whole or refused in words. */
class OutlinePagesTest extends TemplateVisit {
    private static byte[] drawing(String name) throws Exception {
        return Files.readAllBytes(Path.of("../exchange/src/test/resources/drawn", name));
    }

    /** Lays a path down with its neck up, and what else the form holds. */
    private HttpResponse<String> laidDown(String path, String perUnit, String fromBack, String... more) {
        List<String> fields = new ArrayList<>(
                List.of("base", base(), "path", path, "perUnit", perUnit, "neck", "UP", "fromBack", fromBack));
        fields.addAll(List.of(more));
        return post("/template/placed", fields.toArray(String[]::new));
    }

    private static final byte[] PLATE = """
            <svg xmlns="http://www.w3.org/2000/svg" width="135mm" height="155mm" viewBox="0 0 135 155">
              <path d="M 0 0 L 135 0 L 135 155 L 0 155 Z"/>
              <path d="M 20 20 L 104 20 L 104 41 L 20 41 Z"/>
              <circle cx="6" cy="6" r="1.8"/><circle cx="129" cy="149" r="1.8"/>
            </svg>""".getBytes(StandardCharsets.UTF_8);

    private static String hidden(String page, String name) {
        Matcher m = Pattern.compile("name=\"" + name + "\" value=\"([^\"]*)\"").matcher(page);
        assertThat(m.find()).as(name).isTrue();
        return m.group(1);
    }

    /** A plate is laid over what it hides: its screws are where its small holes are, a pickup where an opening lies near it. */
    @Test
    void a_plates_drawing_locates_what_comes_through_it() {
        visit("tussock");
        assertThat(me.get(here + "/template").body()).contains("the scratch plate");
        String picks = me.upload(here + "/template", here + "/template/drawing?as=scratch-plate", PLATE)
                .body();
        assertThat(picks).contains("Which shape is the plate?");
        String path = hidden(picks, "path");
        String holes = hidden(picks, "holes");
        assertThat(holes.split(";")).hasSize(3);
        HttpResponse<String> looked = laidDown(path, "1", "false", "as", "scratch-plate", "holes", holes);
        assertThat(looked.body()).contains("Save this plate").contains("class=\"plate-hole\"");
        assertThat(base()).isEqualTo("1");
        assertThat(laidDown(path, "1", "false", "as", "scratch-plate", "holes", holes, "keep", "true")
                        .statusCode())
                .isEqualTo(302);
        ScratchPlate plate = design().neck().scratchPlate().orElseThrow();
        assertThat(plate.screws()).hasSize(2);
        Region line = plate.outline().orElseThrow().region();
        assertThat(line.maxX() - line.minX()).isCloseTo(135, within(0.01));
        assertThat(line.contains(plate.screws().get(0))).isTrue();
        // Every drawn plate can be seen where the body is.
        assertThat(me.get(here + "/template").body()).contains("class=\"plate\"");
        assertThat(me.get(here + "/x-ray").body()).contains("class=\"plate\"");
        assertThat(me.get(here + "/check").body()).contains("The scratch plate lies on the body all round.");
    }

    @Test
    void a_plate_that_the_body_has_not_and_holes_that_are_no_numbers_are_refused_in_words() {
        String path = "M 0 0 L 50 0 L 50 50 L 0 50 Z";
        assertThat(laidDown(path, "1", "false", "as", "cavity-nowhere", "keep", "true")
                        .body())
                .contains("has no such plate");
        visit("tussock");
        assertThat(laidDown(path, "1", "false", "as", "scratch-plate", "holes", "1 2 x", "keep", "true")
                        .body())
                .contains("import the drawing again");
        assertThat(base()).isEqualTo("1");
    }

    /** Files drawn with a DXF library and with a plotting library, see the readers' own test. */
    @ParameterizedTest
    @CsvSource({"maker.dxf, 0, 112460.03", "maker.svg, 1, 114491.27"})
    void a_makers_drawing_becomes_the_outline(String name, int shape, double area) throws Exception {
        HttpResponse<String> picks = me.upload(here + "/template", here + "/template/drawing", drawing(name));
        assertThat(picks.statusCode()).isEqualTo(200);
        DrawnFile file = DrawnFile.read(drawing(name));
        String path = PathData.write(file.shapes().get(shape).segments(), 7);
        assertThat(picks.body()).contains(path);
        String perUnit = String.valueOf(file.millimetresPerUnit().orElseThrow());
        HttpResponse<String> laid = laidDown(path, perUnit, "false", "dy", "-1/2 in");
        assertThat(laid.statusCode()).isEqualTo(200);
        assertThat(laid.body()).contains("Save this outline");
        assertThat(base()).isEqualTo("1");
        assertThat(laidDown(path, perUnit, "true", "keep", "true").statusCode()).isEqualTo(302);
        assertThat(design().outline().area()).isEqualTo(area, within(1.0));
    }

    @Test
    void a_drawing_without_a_unit_asks_for_it_and_one_in_the_wrong_unit_is_refused_by_its_size() {
        byte[] bare = "<svg xmlns='http://www.w3.org/2000/svg'><path d='M0 0H12V16H0Z'/></svg>"
                .getBytes(StandardCharsets.UTF_8);
        String page =
                me.upload(here + "/template", here + "/template/drawing", bare).body();
        assertThat(page).contains("does not say its unit").contains("1 in: 305 x 406 mm");
        String path = "M0 0 L12 0 L12 16 L0 16 Z";
        HttpResponse<String> none = laidDown(path, "", "false");
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(none.body()).contains("choose what one unit of it measures");
        HttpResponse<String> huge = laidDown(path, "254", "false");
        assertThat(huge.statusCode()).isEqualTo(422);
        assertThat(huge.body()).contains("larger than 600 x 1200 mm");
    }

    @Test
    void a_file_that_is_no_drawing_says_so_and_changes_nothing() {
        HttpResponse<String> answer = me.upload(
                here + "/template", here + "/template/drawing", "hello\nworld\n".getBytes(StandardCharsets.UTF_8));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("no SVG, and no DXF").contains("Nothing was changed");
    }

    @ParameterizedTest
    @CsvSource({"front.svg, outline", "front.dxf, OUTLINE", "back.svg, seen from the back", "back.dxf, FROM_BACK"})
    void templates_are_taken_away_at_true_size(String file, String contains) {
        HttpResponse<String> taken = me.get(here + "/template/" + file);
        assertThat(taken.statusCode()).isEqualTo(200);
        assertThat(taken.headers().firstValue("Content-Disposition").orElseThrow())
                .contains("marram-" + file);
        assertThat(taken.body()).contains(contains);
        DrawnFile back = DrawnFile.read(taken.body().getBytes(StandardCharsets.UTF_8));
        if (file.startsWith("front")) {
            double unit = back.millimetresPerUnit().orElseThrow();
            assertThat(back.shapes().get(0).area() * unit * unit)
                    .isEqualTo(design().outline().area(), within(12.0));
        }
    }

    // --- the curve editor's server

    @Test
    void the_editor_judges_a_path_and_refuses_one_that_crosses_itself() {
        String crossing = "M 0 -100 L 100 100 L -100 100 L 100 -90 Z";
        HttpResponse<String> bad = post("/template/outline/trial", "path", crossing);
        assertThat(bad.statusCode()).isEqualTo(422);
        assertThat(bad.body()).contains("crosses or touches itself");
        assertThat(post("/template/outline", "base", base(), "path", crossing).statusCode())
                .isEqualTo(422);
        assertThat(base()).isEqualTo("1");
        String moved = "M -100 -150 L 100 -150 L 100 240 L -100 240 Z";
        HttpResponse<String> typed = post(
                "/template/outline/trial",
                "path",
                moved,
                "act",
                "move",
                "point",
                "2",
                "grip",
                "POINT",
                "x",
                "4 1/2 in",
                "y",
                "240 mm");
        assertThat(typed.body()).contains("L114.3 240");
        assertThat(post(
                                "/template/outline/trial",
                                "path",
                                moved,
                                "act",
                                "move",
                                "point",
                                "9",
                                "grip",
                                "POINT",
                                "x",
                                "1",
                                "y",
                                "1")
                        .statusCode())
                .isEqualTo(422);
        assertThat(post("/template/outline/trial", "path", moved, "act", "move").statusCode())
                .isEqualTo(422);
        assertThat(post("/template/outline/trial", "act", "bass").statusCode()).isEqualTo(422);
        assertThat(post("/template/outline/trial", "path", moved, "act", "treble")
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void an_edited_outline_is_kept_as_the_next_revision() {
        Outline before = design().outline();
        String path = PathData.write(before.segments());
        assertThat(post("/template/outline", "base", base(), "path", path).statusCode())
                .isEqualTo(302);
        assertThat(base()).isEqualTo("2");
        assertThat(design().outline().area()).isEqualTo(before.area(), within(0.5));
        assertThat(post("/template/outline", "base", "1", "path", path).statusCode())
                .isEqualTo(409);
    }
}
