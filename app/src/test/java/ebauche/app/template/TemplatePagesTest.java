package ebauche.app.template;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.ways.WaysStore;
import ebauche.core.crib.HoldDown;
import ebauche.core.feature.Feature;
import ebauche.core.measure.LengthUnit;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Templates as they are made, feed, passes and paper through their forms: what is kept counts, what cannot be is said, nothing is half-kept. */
class TemplatePagesTest extends TemplateVisit {
    @Autowired
    private WaysStore ways;

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
        assertThat(design().template(Feature.parse("neck")).thickness()).hasValue(12.7);
        assertThat(current().plan().build().hold(Feature.parse("neck"))).isEqualTo(HoldDown.TAPE_AND_CA);
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
        assertThat(late.body()).contains("Nothing was saved");
        assertThat(design().template(Feature.parse("neck")).thickness()).hasValue(9);
        assertThat(post("/template/made", "base", base(), "feature", "nowhere").statusCode())
                .isEqualTo(404);
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
                plans.current(shop.bodies().get("tussock")).revision().number());
        assertThat(post("/feed/grain", "base", revision, "grain", "60").statusCode())
                .isEqualTo(422);
        assertThat(post("/feed/grain", "base", revision, "grain", "5").statusCode())
                .isEqualTo(302);
        assertThat(plans.current(shop.bodies().get("tussock"))
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
        assertThat(me.get(here + "/tiles").body())
                .contains("the line across is the saddle line")
                .doesNotContain("class=\"prick\"");
        assertThat(me.get(here + "/tiles?template=pickup-neck").body())
                .contains("prick their middles through", "class=\"prick\"", "neck side of the saddles");
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
