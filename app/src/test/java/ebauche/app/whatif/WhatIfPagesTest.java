package ebauche.app.whatif;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.body.Bodies;
import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithVisitor;
import ebauche.core.measure.LengthUnit;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.DepthCard;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What-ifs and X-rays through the real pages: nothing is stored until it is kept, and nobody's is lost. */
class WhatIfPagesTest extends WithVisitor {
    @Autowired
    private Bodies plans;

    private int head(String body) {
        return bodies.head(shop.bodies().get(body)).number();
    }

    private HttpResponse<String> ask(String body, String... fields) {
        StringBuilder path = new StringBuilder(shop.path(body) + "/what-if?");
        for (int i = 0; i < fields.length; i += 2) {
            path.append(fields[i])
                    .append('=')
                    .append(URLEncoder.encode(fields[i + 1], StandardCharsets.UTF_8))
                    .append('&');
        }
        return me.get(path.toString());
    }

    private HttpResponse<String> keep(String body, int base, String... fields) {
        Map<String, String> form = new HashMap<>(Map.of("base", String.valueOf(base)));
        for (int i = 0; i < fields.length; i += 2) {
            form.put(fields[i], fields[i + 1]);
        }
        return me.post(shop.path(body) + "/what-if?thickness=41.2&angle=1", shop.path(body) + "/what-if", form);
    }

    private double depth(String body, String feature) {
        BuildPlan plan = plans.current(shop.bodies().get(body)).plan();
        return DepthCard.of(plan).stream()
                .filter(c -> c.feature().word().equals(feature))
                .findFirst()
                .orElseThrow()
                .depth()
                .value();
    }

    @Test
    void a_thinner_body_moves_what_hangs_on_its_back_and_is_kept_only_when_told() {
        double before = depth("tussock", "controls");
        String page = ask("tussock", "thickness", "41.45 mm").body();
        assertThat(page).contains("data-feature=\"controls\"").contains("Save as the design");
        assertThat(page)
                .contains("neck pickup cavity, thinnest wood under it")
                .doesNotContain("neck pickup cavity, depth");
        assertThat(head("tussock")).isEqualTo(1);
        assertThat(depth("tussock", "controls")).isEqualTo(before);
        assertThat(keep("tussock", 1, "thickness", "41.45 mm").statusCode()).isEqualTo(302);
        assertThat(head("tussock")).isEqualTo(2);
        assertThat(depth("tussock", "controls")).isCloseTo(before - 3, within(1e-6));
    }

    @Test
    void another_bridge_brings_its_studs_and_takes_the_vibratos_route_away() {
        String page = ask("shale", "part.bridge", "usual:posts-metric").body();
        assertThat(page).contains("no longer").contains("data-feature=\"vibrato\"");
        assertThat(keep("shale", 1, "part.bridge", "usual:posts-metric").statusCode())
                .isEqualTo(302);
        assertThat(bodies.head(shop.bodies().get("shale"))
                        .design()
                        .path("bridge")
                        .has("vibrato"))
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "thickness  | thin     | is no length",
                "thickness  | 400 mm   | between 5 and 120",
                "thickness  | -3 mm    | between 5 and 120",
                "angle      | 40       | between -10 and 10",
                "angle      | steep    | is no angle",
                "heel       | 0 mm     | more than zero",
                "part.bridge | usual:none | no longer in the box",
                "part.pickup-none | usual:coil-wide | nothing to put it in",
                "move.neck  | 3,3      | nothing of that name",
                "move.pickup-neck | far | is no move",
                "move.pickup-neck | 900,900 | is no move"
            })
    void what_cannot_be_is_answered_in_words_and_cannot_be_kept(String field, String value, String why) {
        HttpResponse<String> shown = ask("sedge", field, value);
        assertThat(shown.statusCode()).isEqualTo(200);
        assertThat(shown.body()).contains(why).doesNotContain("Save as the design");
        assertThat(keep("sedge", 1, field, value).statusCode()).isEqualTo(422);
        assertThat(head("sedge")).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "heel         | 60 mm   | comes-through",
                "move.vibrato | 0,300   | bridge-off-body",
                "part.pickup-neck | own:giant | breaks-out"
            })
    void what_can_be_asked_and_breaks_the_body_is_a_finding(String field, String value, String rule) {
        me.post(
                "/box/new/pickup",
                "/box/0",
                Map.of(
                        "base", "0", "kind", "pickup", "name", "giant", "across", "395 mm", "along", "100 mm", "height",
                        "20 mm"));
        assertThat(ask("shale", field, value).body()).contains("data-rule=\"" + rule + "\"");
    }

    @Test
    void two_who_keep_different_what_ifs_lose_nothing() {
        assertThat(keep("sedge", 1, "thickness", "43 mm").statusCode()).isEqualTo(302);
        HttpResponse<String> second = keep("sedge", 1, "angle", "1");
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(second.body()).contains("saved revision 2 meanwhile").contains("name=\"angle\" value=\"1\"");
        assertThat(head("sedge")).isEqualTo(2);
        assertThat(keep("sedge", 2, "angle", "1").statusCode()).isEqualTo(302);
        assertThat(plans.current(shop.bodies().get("sedge")).plan().build().drawn())
                .satisfies(d -> assertThat(d.thickness()).isEqualTo(43))
                .satisfies(d -> assertThat(d.neck().angle()).isEqualTo(1));
    }

    @Test
    void a_cavity_left_open_keeps_its_wood_and_the_last_step_that_leaves_it_open_is_named() {
        assertThat(ask("tussock", "open.pickup-bridge", "maybe").body()).contains("say yes to leave it open");
        assertThat(ask("tussock", "open.pickup-bridge", "yes").body()).contains("data-feature=\"pickup-bridge\"");
        assertThat(keep("tussock", 1, "open.pickup-bridge", "yes").statusCode()).isEqualTo(302);
        String page = me.get(shop.path("tussock") + "/depths").body();
        assertThat(page).contains("data-open=\"pickup-bridge\"").doesNotContain("data-feature=\"pickup-bridge\"");
        assertThat(keep("tussock", 2, "open.pickup-bridge", "no").statusCode()).isEqualTo(302);
        assertThat(me.get(shop.path("tussock") + "/depths").body())
                .contains("data-feature=\"pickup-bridge\"")
                .doesNotContain("data-open");
    }

    @Test
    void nothing_asked_is_nothing_kept() {
        assertThat(keep("sedge", 1).statusCode()).isEqualTo(422);
        assertThat(keep("sedge", 1, "thickness", " ").body()).contains("Nothing was changed");
        assertThat(ask("sedge").body()).contains("Nothing is saved until you say so");
        assertThat(ask("sedge", "thickness", "44.5 mm").body())
                .contains("Nothing moves by that")
                .contains("that stands, whatever the design says");
        assertThat(head("sedge")).isEqualTo(1);
    }

    @Test
    void a_cavity_moved_in_the_x_ray_tells_what_it_breaks_and_stores_nothing() {
        String page =
                me.get(shop.path("sedge") + "/x-ray?move.pickup-bridge=45,-50").body();
        assertThat(page)
                .contains("data-rule=\"breaks-in\"")
                .contains("45 mm to the treble side, 50 mm away from the neck");
        assertThat(me.get(shop.path("sedge") + "/x-ray?move.pickup-bridge=0,-1").body())
                .contains("Breaks nothing");
        assertThat(head("sedge")).isEqualTo(1);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "ax=NaN&ay=1e99&bx=-1e99&by=Infinity",
                "ax=5&ay=5&bx=5&by=5",
                "step=nothing:like-that&face=BACK",
                "move.pickup-bridge=,",
                "step=blank:joint",
                "ax=-400&ay=-400&bx=-380&by=-400"
            })
    void an_odd_address_is_answered_all_the_same(String query) {
        for (String path : new String[] {"/x-ray?", "/x-ray/section?"}) {
            assertThat(me.get(shop.path("shale") + path + query).statusCode())
                    .as(path + query)
                    .isEqualTo(200);
        }
    }

    @Test
    void a_face_that_is_none_is_no_page() {
        assertThat(me.get(shop.path("shale") + "/x-ray?face=SIDE").statusCode()).isEqualTo(400);
    }

    @Test
    void the_section_alone_is_small_and_shows_the_moved_cavity() {
        String at = shop.path("sedge") + "/x-ray/section?ax=0&ay=-200&bx=0&by=220";
        String today = me.get(at).body();
        String moved = me.get(at + "&move.pickup-bridge=0,10").body();
        assertThat(today).startsWith("<svg").isNotEqualTo(moved);
    }

    @Test
    void depth_cards_show_what_the_plan_says_in_the_makers_unit() {
        Shop inches = openShop(LengthUnit.INCH);
        Visitor maker = visitor(inches);
        String page = maker.get(inches.path("tussock") + "/depths").body();
        // 5/8 in of depth and the sanding still to come, set to the 64th that leaves wood
        assertThat(page)
                .contains("data-feature=\"pickup-neck\"")
                .contains("41/64")
                .contains("Drill list");
    }
}
