package ebauche.app.template;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.body.Bodies;
import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithApp;
import ebauche.app.ways.WaysStore;
import ebauche.core.crib.HoldDown;
import ebauche.core.design.BodyDesign;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.PathData;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.drawn.DrawnFile;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Template, feed, passes and paper through their forms: what is kept counts, what cannot be is said, nothing is half-kept. */
class TemplatePagesTest extends WithApp {
    @Autowired
    private Bodies bodies;

    @Autowired
    private WaysStore ways;

    private Shop shop;
    private Visitor me;
    private String here;

    @BeforeEach
    void signIn() {
        shop = openShop(LengthUnit.MILLIMETRE);
        me = new Visitor(address()).signIn(shop.maker().name(), PASSWORD);
        here = shop.path("marram");
    }

    private Bodies.Current marram() {
        return bodies.current(shop.bodies().get("marram"));
    }

    private BodyDesign design() {
        return marram().plan().build().design();
    }

    private String base() {
        return String.valueOf(marram().revision().number());
    }

    private HttpResponse<String> post(String path, String... fields) {
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < fields.length; i += 2) {
            typed.put(fields[i], fields[i + 1]);
        }
        return me.post(here + "/template", here + path, typed);
    }

    // --- how a template is made

    @Test
    void a_template_of_its_own_is_kept_in_the_design_and_the_steps_follow() {
        assertThat(post(
                                "/template/made",
                                "base",
                                base(),
                                "feature",
                                "neck",
                                "thickness",
                                "1/2 in",
                                "material",
                                "acrylic",
                                "hold",
                                "tape-and-ca")
                        .statusCode())
                .isEqualTo(302);
        assertThat(design().template("neck").thickness()).hasValue(12.7);
        assertThat(marram().plan().build().hold("neck")).isEqualTo(HoldDown.TAPE_AND_CA);
        assertThat(me.get(here + "/template").body()).contains("a hot bit or a shank that rubs melts its edge");
        assertThat(me.get(here + "/passes?cut=neck").body()).contains("Template 12.7 mm thick");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"0.5 mm | must lie between 2 and 60", "thick | is no length", "-3 mm | must lie between"})
    void a_template_that_cannot_be_is_answered_in_its_row(String thickness, String words) {
        HttpResponse<String> answer =
                post("/template/made", "base", base(), "feature", "neck", "thickness", thickness, "material", "mdf");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(words).contains("value=\"" + thickness + "\"");
        assertThat(design().templates()).isEmpty();
    }

    @Test
    void a_stale_page_keeps_nothing_and_an_unknown_feature_is_not_there() {
        String old = base();
        post("/template/made", "base", old, "feature", "neck", "thickness", "9 mm", "material", "mdf");
        HttpResponse<String> late =
                post("/template/made", "base", old, "feature", "neck", "thickness", "12 mm", "material", "mdf");
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("Nothing was kept");
        assertThat(design().template("neck").thickness()).hasValue(9);
        assertThat(post("/template/made", "base", base(), "feature", "nowhere").statusCode())
                .isEqualTo(404);
    }

    // --- drawings in and out

    private static byte[] drawing(String name) throws Exception {
        return Files.readAllBytes(Path.of("../exchange/src/test/resources/drawn", name));
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
        HttpResponse<String> laid = post(
                "/template/placed",
                "base",
                base(),
                "path",
                path,
                "perUnit",
                perUnit,
                "neck",
                "UP",
                "fromBack",
                "false",
                "dy",
                "-1/2 in");
        assertThat(laid.statusCode()).isEqualTo(200);
        assertThat(laid.body()).contains("Keep this outline");
        assertThat(base()).isEqualTo("1");
        assertThat(post(
                                "/template/placed",
                                "base",
                                base(),
                                "path",
                                path,
                                "perUnit",
                                perUnit,
                                "neck",
                                "UP",
                                "fromBack",
                                "true",
                                "keep",
                                "true")
                        .statusCode())
                .isEqualTo(302);
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
        HttpResponse<String> none = post(
                "/template/placed", "base", base(), "path", path, "perUnit", "", "neck", "UP", "fromBack", "false");
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(none.body()).contains("choose what one unit of it measures");
        HttpResponse<String> huge = post(
                "/template/placed", "base", base(), "path", path, "perUnit", "254", "neck", "UP", "fromBack", "false");
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

    @Test
    void corners_that_no_bit_reaches_are_counted_and_how_to_finish_them_said() {
        String shouldered = "M -150 -180 L 150 -180 L 150 60 L 60 60 L 60 240 L -60 240 L -60 60 L -150 60 Z";
        assertThat(post("/template/outline", "base", base(), "path", shouldered).statusCode())
                .isEqualTo(302);
        assertThat(me.get(here + "/passes").body())
                .contains("leaves 2 corners standing", "finish them by saw, file and drum", "class=\"stands\"");
        assertThat(me.get(here + "/passes?cut=neck").body()).doesNotContain("corners standing");
    }

    // --- feed

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"steep | is no number of degrees", "120 | at most 90 degrees", "NaN | at most 90 degrees"})
    void a_grain_that_cannot_be_is_said_at_its_field(String grain, String words) {
        HttpResponse<String> answer = me.get(here + "/feed?grain=" + grain);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(words);
    }

    @Test
    void a_grain_is_kept_for_every_strip_and_in_a_blank_of_even_pieces() {
        assertThat(post("/feed/grain", "base", base(), "grain", "-7.5").statusCode())
                .isEqualTo(302);
        assertThat(design().blank().core().strips()).allMatch(s -> s.grainAngle() == -7.5);
        here = shop.path("tussock");
        String revision = String.valueOf(
                bodies.current(shop.bodies().get("tussock")).revision().number());
        assertThat(post("/feed/grain", "base", revision, "grain", "60").statusCode())
                .isEqualTo(422);
        assertThat(post("/feed/grain", "base", revision, "grain", "5").statusCode())
                .isEqualTo(302);
        assertThat(bodies.current(shop.bodies().get("tussock"))
                        .plan()
                        .build()
                        .design()
                        .blank()
                        .core()
                        .strips())
                .allMatch(s -> s.grainAngle() == 5);
    }

    @Test
    void every_school_has_its_map() {
        assertThat(me.get(here + "/feed?school=TABLE").body()).contains("Bearing side down");
        assertThat(me.get(here + "/feed?school=SAND_TO_LINE").body()).contains("a belt held square outside");
        assertThat(me.get(here + "/feed?face=BACK&router=plunge+router&with=support+block")
                        .body())
                .contains("Back up");
    }

    // --- paper

    @Test
    void a_measured_bar_corrects_the_next_print_of_the_shop() {
        assertThat(post("/tiles/measured", "base", "0", "across", "99.5 mm", "along", "3 15/16 in")
                        .statusCode())
                .isEqualTo(302);
        assertThat(me.get(here + "/tiles").body()).contains("99.50 % across, 100.01 % along");
        assertThat(me.get(here + "/tiles?template=nowhere").statusCode()).isEqualTo(404);
        assertThat(me.get(here + "/tiles.pdf?paper=LETTER").body()).startsWith("%PDF");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"70 mm | scaled to fit the page", "long | is no length", "0 mm | scaled to fit"})
    void a_bar_that_cannot_be_is_asked_for_again(String bar, String words) {
        HttpResponse<String> answer = post("/tiles/measured", "base", "0", "across", bar, "along", "100 mm");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(words).contains("value=\"" + bar + "\"");
        assertThat(ways.of(shop.maker().shop()).number()).isZero();
    }

    // --- the shop's schools among its ways

    @Test
    void the_ways_show_the_schools_that_were_kept() {
        String page = me.get("/ways").body();
        assertThat(page).contains("name=\"practice.edge\"").contains("name=\"practice.sawAllowance\"");
        // The starter's way of thicknessing stands chosen; kept unseen it would have become another.
        assertThat(page).containsPattern("<option value=\"router-sled\"[^>]*selected");
    }

    @Test
    void another_shops_template_is_not_there() {
        Shop other = openShop(LengthUnit.INCH);
        for (String path :
                new String[] {"/template", "/template/outline", "/feed", "/passes", "/tiles", "/tiles.pdf"}) {
            assertThat(me.get(other.path("marram") + path).statusCode())
                    .as(path)
                    .isEqualTo(404);
        }
    }
}
