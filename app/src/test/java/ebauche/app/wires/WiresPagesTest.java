package ebauche.app.wires;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import ebauche.core.hardware.Channel;
import ebauche.core.job.Rule;
import ebauche.core.measure.Length;
import ebauche.core.plan.BuildPlan;
import ebauche.core.realism.Realism;
import ebauche.exchange.design.Additions;
import ebauche.exchange.json.JsonText;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Channels and jack on their page: places offered and taken, a channel that is read and what the next one is told for it. */
class WiresPagesTest extends WithVisitor {
    private static final String STEP = "channel-neck-pickup:drill";

    @Autowired
    private Bodies plans;

    private BuildPlan plan(String body) {
        return plans.current(shop.bodies().get(body)).plan();
    }

    private Channel channel(String body) {
        return plan(body).build().design().channels().stream()
                .filter(c -> c.id().equals("neck-pickup"))
                .findFirst()
                .orElseThrow();
    }

    private double chance(String body) {
        return Realism.of(plan(body)).rules().stream()
                .filter(r -> r.name().equals("channel-comes-out"))
                .mapToDouble((Rule r) -> r.number().value())
                .max()
                .orElseThrow();
    }

    private String log(String body, String what, Map<String, String> fields) {
        String entry = UUID.randomUUID().toString();
        Map<String, String> all = new HashMap<>(fields);
        all.put("entry", entry);
        all.put("step", STEP);
        assertThat(me.post(shop.path(body) + "/bench", shop.path(body) + what, all)
                        .statusCode())
                .isEqualTo(302);
        return entry;
    }

    private String read(String body, String measures, String value) {
        return log(body, "/readings", Map.of("measures", measures, "value", value));
    }

    /** Under the scratch plate a slot joins neighbours: it is offered, added in the form, and saved gives the wires their way. */
    @Test
    void slots_under_the_plate_are_offered_and_kept() {
        ObjectNode file = fileOf("tussock");
        ObjectNode design = (ObjectNode) file.get("design");
        design.put("name", "Slotted");
        design.remove("channels");
        ((ArrayNode) design.get("cavities")).remove(1);
        String here = takenOn(file);
        String ways = me.get(here + "/wires?find=ways").body();
        assertThat(ways).contains("a slot under the scratch plate from the", "Add them in the design");
        assertThat(me.get(here + "/design").body()).contains("find slots under the scratch plate");
        String form = me.post(here + "/design", here + "/design", Map.of("base", "1", "add", "found-slots"))
                .body();
        Map<String, String> fields = new HashMap<>(Map.of("base", "1", "add", ""));
        for (String kind : List.of(
                "<input[^>]*name=\"(cavities[^\"]+)\" value=\"([^\"]*)\"",
                "<textarea[^>]*name=\"(cavities[^\"]+)\"[^>]*>([^<]*)<",
                "<select[^>]*name=\"(cavities[^\"]+)\">(?:(?!</select>).)*?value=\"([^\"]*)\" selected")) {
            Matcher field = Pattern.compile(kind, Pattern.DOTALL).matcher(form);
            while (field.find()) {
                fields.put(field.group(1), field.group(2));
            }
        }
        assertThat(fields).containsEntry("cavities.1.id", "slot").containsEntry("cavities.1.closed", "scratch-plate");
        assertThat(me.post(here + "/design", here + "/design", fields).statusCode())
                .isEqualTo(302);
        assertThat(me.get(here).body()).contains("cavity-slot:rout");
        assertThat(me.get(here + "/file").body()).contains("\"slot\"");
    }

    /** What cannot be meant is told beside its field, which keeps what was typed; the other fields keep what is drawn. */
    @ParameterizedTest
    @CsvSource({
        "toUnder, -5 mm, must lie between 0 and 120",
        "diameter, 60 mm, must lie between 1 and 20",
        "to.x, abc, is no length",
        "fromUnder, 3 furlongs, is no length"
    })
    void what_cannot_be_meant_is_told_beside_its_field(String field, String typed, String told) {
        String name = "channel.neck-pickup." + field;
        String page = me.get(shop.path("sedge") + "/wires?channel=neck-pickup&" + name + "="
                        + URLEncoder.encode(typed, StandardCharsets.UTF_8))
                .body();
        Matcher beside = Pattern.compile("<input[^>]*name=\"" + Pattern.quote(name) + "\" value=\"" + typed
                        + "\" aria-invalid=\"true\"><span class=\"field-trouble\" role=\"alert\">([^<]*)<")
                .matcher(page);
        assertThat(beside.find()).isTrue();
        assertThat(beside.group(1)).contains(told);
        assertThat(page).contains("<details class=\"type-ends\" open").doesNotContain("note bad");
    }

    @Test
    void a_channel_too_short_is_told_where_it_ends() {
        Channel drawn = channel("sedge");
        String page = me.get(shop.path("sedge") + "/wires?channel=neck-pickup&channel.neck-pickup.to.y="
                        + drawn.from().y() + "+mm")
                .body();
        assertThat(page).contains("must lie at least 5 mm from where the channel begins");
        assertThat(page.indexOf("must lie at least 5 mm")).isGreaterThan(page.indexOf("channel.neck-pickup.to.x"));
    }

    @Test
    void a_hole_that_went_astray_lies_where_it_was_read_and_warns_the_next_body() {
        double marram = chance("marram");
        Channel drawn = channel("sedge");
        log("sedge", "/done", Map.of());
        String lower = read("sedge", "bore-lower:channel-neck-pickup", "6");
        assertThat(channel("sedge").toUnder() - drawn.toUnder()).isBetween(6.0, 6.6);
        String page = me.get(shop.path("sedge") + "/wires?channel=neck-pickup").body();
        assertThat(page)
                .contains("It is drilled, and lies where it was drilled")
                .doesNotContain("data-end=\"from\"");
        double warned = chance("marram");
        assertThat(warned).as("another body of the shop").isGreaterThan(marram + 1);
        assertThat(me.get(shop.path("marram") + "/wires").body()).contains("own holes that were read");
        assertThat(me.get("/ways").body()).contains("Read so far, ").contains("one hole, ");
        // The same hole read again is still one hole; withdrawn, it is the one before.
        String slope = read("sedge", "bore-slope:channel-neck-pickup", "0.2");
        assertThat(me.get("/ways").body()).contains("one hole, ");
        assertThat(chance("marram")).isLessThan(marram);
        for (String gone : List.of(slope, lower)) {
            me.post("/log", shop.path("sedge") + "/withdrawals", Map.of("entry", gone));
        }
        assertThat(channel("sedge")).isEqualTo(drawn);
        assertThat(chance("marram")).isCloseTo(marram, within(1e-9));
        assertThat(me.get("/ways").body()).doesNotContain("Read so far, ");
    }

    /** What is read of a hole goes along with the body's file, and so does what the shop knows of its holes. */
    @Test
    void a_file_takes_the_record_along() {
        read("sedge", "bore-lower:channel-neck-pickup", "3");
        String own = me.get(shop.path("sedge") + "/file").body();
        assertThat(own).contains("\"astray\"").contains("bore-lower:channel-neck-pickup");
        assertThat(me.get(shop.path("marram") + "/file").body()).contains("\"longHoles\"");
        assertThat(me.get("/").statusCode()).isEqualTo(200);
    }

    @Test
    void what_nobody_can_read_is_refused_where_it_is_typed() {
        for (String typed : List.of("400", "down", "")) {
            String here = shop.path("sedge");
            assertThat(me.post(
                                    here + "/bench",
                                    here + "/readings",
                                    Map.of(
                                            "entry",
                                            UUID.randomUUID().toString(),
                                            "measures",
                                            "bore-slope:channel-neck-pickup",
                                            "value",
                                            typed,
                                            "step",
                                            STEP))
                            .statusCode())
                    .as(typed)
                    .isEqualTo(422);
        }
    }

    /** A place that is offered is tried by its link and kept by the button; then the jack is drilled there. */
    @Test
    void a_place_for_the_jack_is_offered_tried_and_kept() {
        String here = shop.path("tussock");
        String offered = me.get(here + "/wires?find=jack").body();
        assertThat(offered).contains("Where the jack can stand").contains("of wood to the cavity");
        Matcher first =
                Pattern.compile("href=\"([^\"]+/wires\\?jack\\.[^\"]+)\"").matcher(offered);
        assertThat(first.find()).isTrue();
        String tried = me.get(first.group(1).replace("&amp;", "&")).body();
        assertThat(tried).contains("nothing saved yet").contains("name=\"jack.entry.x\"");
        Map<String, String> fields = new HashMap<>();
        Matcher field = Pattern.compile("name=\"(jack\\.[a-zA-Z.]+|base)\" value=\"([^\"]*)\"")
                .matcher(tried);
        while (field.find()) {
            fields.put(field.group(1), field.group(2));
        }
        assertThat(fields).containsKeys("base", "jack.entry.x", "jack.aim.y", "jack.fromFront");
        assertThat(me.post(here + "/wires", here + "/wires", fields).statusCode())
                .isEqualTo(302);
        assertThat(plan("tussock").build().drawn().jack().orElseThrow().entry().x())
                .isCloseTo(Length.parse(fields.get("jack.entry.x")).millimetres(), within(1e-9));
    }

    /** A jack on the front in the place of the one in the edge: it is offered places, tried in one by its link, and kept there. */
    @Test
    void a_jack_in_a_dish_is_offered_places_and_moved_to_one() {
        ObjectNode file = fileOf("sedge");
        ObjectNode design = (ObjectNode) file.get("design");
        design.put("name", "Dished");
        design.remove("jack");
        Additions.add(design, "jack-dish");
        String here = takenOn(file);
        String offered = me.get(here + "/wires?find=jack").body();
        assertThat(offered).contains("on flat wood").doesNotContain("wires?jack.");
        Matcher first = Pattern.compile("href=\"([^\"]+/wires\\?move\\.cavity-dish=[^\"]+)\"")
                .matcher(offered);
        assertThat(first.find()).isTrue();
        String tried = me.get(first.group(1)).body();
        Matcher field = Pattern.compile("name=\"(move\\.cavity-dish)\" value=\"([^\"]*)\"")
                .matcher(tried);
        assertThat(field.find()).isTrue();
        Map<String, String> fields = Map.of("base", "1", field.group(1), field.group(2));
        assertThat(me.post(here + "/wires", here + "/wires", fields).statusCode())
                .isEqualTo(302);
        ObjectNode kept =
                (ObjectNode) JsonText.tree(me.get(here + "/file").body().getBytes(StandardCharsets.UTF_8));
        assertThat(kept.at("/design/cavities")
                        .valueStream()
                        .filter(c -> c.path("id").asString().equals("dish")))
                .singleElement()
                .satisfies(c -> assertThat(c.at("/coverScrews/0/x").asString()).isNotEqualTo("102 mm"));
        assertThat(me.get(here).body()).contains("cavity-dish:rout");
    }
}
