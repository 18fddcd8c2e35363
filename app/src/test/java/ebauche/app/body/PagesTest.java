package ebauche.app.body;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.JsonPaths;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Bad input through the real forms: a clear answer, a status that fits, nothing half-saved. */
class PagesTest extends WithVisitor {
    private HttpResponse<String> read(String value) {
        return read(UUID.randomUUID().toString(), "depth:neck", value);
    }

    private HttpResponse<String> read(String entry, String measures, String value) {
        return me.post(
                shop.path("sedge") + "/bench",
                shop.path("sedge") + "/readings",
                Map.of("entry", entry, "measures", measures, "value", value, "step", "neck:rout"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "4000 mm | it can be 0 mm to 120 mm", "-3 mm | it can be", "NaN | is no length", "1e9 | is no length",
                "99999 mm | beyond 10000 mm", "3/0 in | over zero", "1 in 2 mm | more than one unit",
                        "deep | is no length"
            })
    void a_reading_that_cannot_be_is_refused_in_words_and_not_logged(String value, String words) {
        int before = bodies.standing(shop.bodies().get("sedge")).entries();
        HttpResponse<String> answer = read(value);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(words).contains("value=\"" + value + "\"");
        assertThat(bodies.standing(shop.bodies().get("sedge")).entries()).isEqualTo(before);
    }

    @Test
    void a_reading_of_nothing_known_or_with_a_forged_id_is_refused() {
        assertThat(read(UUID.randomUUID().toString(), "colour", "3 mm").statusCode())
                .isEqualTo(422);
        assertThat(read("not-a-uuid", "depth:neck", "24 mm").statusCode()).isEqualTo(400);
    }

    @Test
    void the_same_reading_sent_twice_is_answered_alike_and_counts_once() {
        String id = UUID.randomUUID().toString();
        int before = bodies.standing(shop.bodies().get("sedge")).entries();
        HttpResponse<String> first = read(id, "sanded-off:front", "0.4 mm");
        HttpResponse<String> second = read(id, "sanded-off:front", "0.4 mm");
        assertThat(second.headers().firstValue("Location"))
                .isEqualTo(first.headers().firstValue("Location"));
        assertThat(bodies.standing(shop.bodies().get("sedge")).entries()).isEqualTo(before + 1);
    }

    private Map<String, String> form(String... changes) {
        Map<String, String> fields = new HashMap<>(Map.of("base", "1", "add", ""));
        for (int i = 0; i < changes.length; i += 2) {
            fields.put(changes[i], changes[i + 1]);
        }
        return fields;
    }

    private HttpResponse<String> keep(Map<String, String> fields) {
        return keep("sedge", fields);
    }

    private HttpResponse<String> keep(String body, Map<String, String> fields) {
        return me.post(shop.path(body) + "/design", shop.path(body) + "/design", fields);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "neck.heelThickness | thick | is no length",
                "neck.heelThickness | 0 mm | more than zero",
                "neck.heelThickness | -2 mm | more than zero",
                "neck.heelThickness | 1/0 in | over zero",
                "neck.angle | 40 | between -10 and 10",
                "neck.angle | steep | must be a number",
                "thickness | 1e9 | is no length",
                "strings.count | 2.5 | must be a whole number",
                "outline.path | M 0 0 L 10 10 | open",
                "outline.path | M 0 0 L 10 10 L 10 0 L 0 10 Z | crosses",
                "outline.path | nonsense | starts with M",
                "scale | 5 mm | between 200 and 1200",
                "name | '' | is missing"
            })
    void a_design_with_a_wrong_number_says_so_at_its_field_and_is_not_kept(String field, String value, String words) {
        HttpResponse<String> answer = keep(form(field, value));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(words).contains("field-trouble");
        assertThat(bodies.head(shop.bodies().get("sedge")).number()).isEqualTo(1);
    }

    @Test
    void a_path_of_a_million_points_is_refused_in_words() {
        String points = " L 1 1".repeat(40_000);
        assertThat(keep(form("outline.path", "M 0 0" + points + " Z")).body())
                .contains("characters; at most 200000 are read");
        HttpResponse<String> huge = keep(form("outline.path", "M 0 0" + " L 1 1".repeat(1_000_000) + " Z"));
        assertThat(huge.statusCode()).isEqualTo(413);
        assertThat(huge.body()).contains("forms up to 1 MB");
        assertThat(bodies.head(shop.bodies().get("sedge")).number()).isEqualTo(1);
    }

    @Test
    void a_bare_number_is_taken_in_the_makers_unit() {
        assertThat(keep(form("thickness", "43.5")).statusCode()).isEqualTo(302);
        assertThat(bodies.head(shop.bodies().get("sedge"))
                        .design()
                        .path("thickness")
                        .asString())
                .isEqualTo("43.5 mm");
    }

    /** What is found stands in the form, to be looked at and changed; saved, the wires have their way. */
    @Test
    void channels_are_found_where_wires_have_no_way() {
        for (int i = 0; i < 3; i++) {
            Map<String, String> without = form("base", String.valueOf(i + 1), "leave-out", "channels." + (2 - i));
            assertThat(keep(without).statusCode()).isEqualTo(302);
        }
        assertThat(me.get(shop.path("sedge")).body()).contains("data-rule=\"no-way-for-wires\"");
        String found = keep(form("base", "4", "add", "found-channels")).body();
        assertThat(found).contains("Wire channel wires");
        Map<String, String> fields = form("base", "4");
        Matcher typed =
                Pattern.compile("name=\"(channels[^\"]+)\" value=\"([^\"]*)\"").matcher(found);
        while (typed.find()) {
            fields.put(typed.group(1), typed.group(2));
        }
        assertThat(fields).containsKeys("channels.0.from.x", "channels.0.toUnder");
        assertThat(keep(fields).statusCode()).isEqualTo(302);
        assertThat(me.get(shop.path("sedge")).body())
                .doesNotContain("data-rule=\"no-way-for-wires\"", "data-rule=\"channel-in-wood\"");
        assertThat(me.get(shop.path("sedge") + "/design").body()).doesNotContain("find channels for the wires");
    }

    @Test
    void a_hole_for_an_insert_is_added_moved_and_drilled() {
        assertThat(keep(form("add", "insert")).body()).contains("Hole insert");
        Map<String, String> fields = form(
                "holes.0.id",
                "cover-nut",
                "holes.0.from",
                "back",
                "holes.0.at.x",
                "-60 mm",
                "holes.0.at.y",
                "60 mm",
                "holes.0.aim.x",
                "",
                "holes.0.aim.y",
                "");
        assertThat(keep(fields).statusCode()).isEqualTo(302);
        assertThat(me.get(shop.path("sedge") + "/depths").body()).contains("cover nut hole");
        assertThat(me.get(shop.path("sedge") + "/parts").body()).contains("cover nut");
        fields.put("base", "2");
        fields.put("holes.0.from", "edge");
        HttpResponse<String> aimless = keep(fields);
        assertThat(aimless.statusCode()).isEqualTo(422);
        assertThat(aimless.body()).contains("needs a place further in to point to");
    }

    @Test
    void parts_are_added_with_usual_sizes_and_left_out_again() {
        HttpResponse<String> added = keep(form("add", "pickup"));
        assertThat(added.statusCode()).isEqualTo(200);
        assertThat(added.body()).contains("Pickup pickup");
        assertThat(bodies.head(shop.bodies().get("sedge")).number()).isEqualTo(1);
        Map<String, String> fields =
                form("pickups.2.id", "middle", "pickups.2.at.y", "90 mm", "pickups.2.part.sizes.height", "18 mm");
        assertThat(keep(fields).statusCode()).isEqualTo(302);
        assertThat(bodies.head(shop.bodies().get("sedge"))
                        .design()
                        .path("pickups")
                        .size())
                .isEqualTo(3);
        Map<String, String> out = form("leave-out", "pickups.2");
        out.put("base", "2");
        assertThat(keep(out).statusCode()).isEqualTo(302);
        assertThat(bodies.head(shop.bodies().get("sedge"))
                        .design()
                        .path("pickups")
                        .size())
                .isEqualTo(2);
    }

    /** Every kind that can be added is offered, comes with its fields, is kept with what was typed and is read back. */
    @ParameterizedTest
    @CsvSource({
        "shale, heel, neck.heel, length, 77 mm",
        "sedge, neckFerrules, neck.ferrule, sizes.head-sunk, 3.5 mm",
        "sedge, scratchPlate, neck.scratchPlate, thickness, 2.4 mm",
        "sedge, stringThrough, bridge.stringThrough, y, -26 mm",
        "sedge, strap-button, holes.0, id, tail",
        "sedge, insert, holes.0, id, nut",
        "sedge, pot, controls.2, id, blend",
        "sedge, toggle-switch, controls.2, id, phase",
        "sedge, blade-switch, controls.2, id, selector",
        "sedge, pickup, pickups.2, id, middle"
    })
    void what_can_be_added_is_kept_with_its_fields(String body, String kind, String place, String field, String typed) {
        String page = me.get(shop.path(body) + "/design").body();
        assertThat(page).contains("name=\"add\" value=\"" + kind + "\"");
        String offered = keep(body, form("add", kind)).body();
        Map<String, String> fields = form();
        Matcher its = Pattern.compile("name=\"(" + Pattern.quote(place) + "\\.[^\"]+)\"[^>]*?value=\"([^\"]*)\"")
                .matcher(offered);
        while (its.find()) {
            fields.put(its.group(1), its.group(2));
        }
        assertThat(fields).as("its fields are in the form").containsKey(place + "." + field);
        fields.put(place + "." + field, typed);
        HttpResponse<String> kept = keep(body, fields);
        assertThat(kept.statusCode()).as(kept.body()).isEqualTo(302);
        var design = bodies.head(shop.bodies().get(body)).design();
        assertThat(JsonPaths.text(design, place + "." + field)).isEqualTo(typed);
        assertThat(me.get(shop.path(body)).statusCode()).isEqualTo(200);
        assertThat(me.get(shop.path(body) + "/design").body()).contains(typed);
    }

    /** A body taken on for the left hand has its controls where the player reaches them, and so has what is added to it. */
    @Test
    void a_left_handed_body_is_taken_on_mirrored() {
        HttpResponse<String> taken = me.post(
                "/bodies/take-on",
                "/bodies/from-pattern",
                Map.of("pattern", "sedge", "name", "Other hand", "hand", "left"));
        assertThat(taken.statusCode()).isEqualTo(302);
        String at = taken.headers()
                .firstValue("Location")
                .orElseThrow()
                .replace(address(), "")
                .replace("/design", "");
        String design = me.get(at + "/design").body();
        assertThat(design).contains("<option value=\"left\" selected=\"selected\">left</option>");
        assertThat(design).containsPattern("name=\"controls.0.at.x\"[^>]*value=\"-98 mm\"");
        assertThat(me.post(at + "/design", at + "/design", Map.of("base", "1", "add", "pot"))
                        .body())
                .containsPattern("name=\"controls.2.at.x\"[^>]*value=\"-100 mm\"");
        assertThat(me.get(at + "/depths").body()).contains("treble").doesNotContain("No drill");
        assertThat(me.get(at).statusCode()).isEqualTo(200);
    }

    @Test
    void the_second_of_two_editors_is_shown_the_difference_and_loses_nothing() {
        assertThat(keep(form("neck.heelThickness", "25.9 mm", "thickness", "43 mm"))
                        .statusCode())
                .isEqualTo(302);
        HttpResponse<String> second = keep(form("strings.spread", "51 mm", "thickness", "42 mm"));
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(second.body())
                .contains("25.9 mm")
                .contains("43 mm")
                .contains("42 mm")
                .contains("value=\"51 mm\"");
        Map<String, String> merged =
                form("neck.heelThickness", "25.9 mm", "strings.spread", "51 mm", "thickness", "42 mm");
        merged.put("base", "2");
        assertThat(keep(merged).statusCode()).isEqualTo(302);
        var design = bodies.head(shop.bodies().get("sedge")).design();
        assertThat(design.path("neck").path("heelThickness").asString()).isEqualTo("25.9 mm");
        assertThat(design.path("strings").path("spread").asString()).isEqualTo("51 mm");
    }

    /** A choice left open, a template and a contour have no field in this form; what the other kept of them is told all the same. */
    @Test
    void what_the_other_kept_elsewhere_is_told_too() {
        var sedge = shop.bodies().get("sedge");
        var file = bodies.head(sedge).file().deepCopy();
        var design = (tools.jackson.databind.node.ObjectNode) file.get("design");
        design.putArray("undecided").add("pickup-neck");
        design.putArray("templates").addObject().put("feature", "neck").put("thickness", "9 mm");
        bodies.save(sedge, 1, file, "the other");
        HttpResponse<String> mine = keep(form("strings.spread", "51 mm"));
        assertThat(mine.statusCode()).isEqualTo(409);
        String told = mine.body()
                .substring(mine.body().indexOf("Changed by them"), mine.body().indexOf("Changed by you"));
        assertThat(told).contains("undecided", "pickup-neck", "templates, neck, thickness", "9 mm");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "{", "noise \u0000 noise", "[1,2]", "{\"format\":\"ebauche-build\",\"version\":9}"})
    void a_file_that_is_none_is_refused_and_nothing_taken_on(String text) {
        HttpResponse<String> answer =
                me.upload("/bodies/take-on", "/bodies/from-file", text.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("Nothing was imported");
        assertThat(bodies.standing(shop.maker().shop())).hasSize(DemoBodies.NAMES.size());
    }

    @Test
    void a_file_of_50_megabytes_and_one_nested_200_000_deep_are_refused() {
        HttpResponse<String> large = me.upload("/bodies/take-on", "/bodies/from-file", new byte[50_000_000]);
        assertThat(large.statusCode()).isEqualTo(413);
        assertThat(large.body()).contains("files up to 4 MB");
        byte[] deep = ("[".repeat(200_000) + "]".repeat(200_000)).getBytes(StandardCharsets.UTF_8);
        assertThat(me.upload("/bodies/take-on", "/bodies/from-file", deep).statusCode())
                .isEqualTo(422);
        assertThat(bodies.standing(shop.maker().shop())).hasSize(DemoBodies.NAMES.size());
    }

    @Test
    void a_body_leaves_as_a_file_and_comes_back() {
        HttpResponse<String> file = me.get(shop.path("tussock") + "/file");
        assertThat(file.headers().firstValue("Content-Disposition").orElseThrow())
                .contains("tussock.ebauche.json");
        assertThat(file.body())
                .isEqualTo(new String(
                        ebauche.exchange.file.BuildFile.write(
                                DemoBodies.read("tussock").withoutRecord(),
                                DemoBodies.read("tussock").build().asBuilt()),
                        StandardCharsets.UTF_8));
        HttpResponse<String> back =
                me.upload("/bodies/take-on", "/bodies/from-file", file.body().getBytes(StandardCharsets.UTF_8));
        assertThat(back.statusCode()).isEqualTo(302);
        assertThat(bodies.standing(shop.maker().shop())).hasSize(DemoBodies.NAMES.size() + 1);
        String again = me.get(
                        back.headers().firstValue("Location").orElseThrow().replaceFirst("http://[^/]+", "") + "/file")
                .body();
        assertThat(again).isEqualTo(file.body());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "?step=no-such",
                "?x=NaN&y=Infinity",
                "?x=1e300",
                "?face=BACK&step=outline:saw",
                "?step=blank:joint"
            })
    void an_odd_address_still_shows_the_body(String query) {
        assertThat(me.get(shop.path("sedge") + query).statusCode()).isEqualTo(200);
    }

    @Test
    void a_name_full_of_markup_is_only_text() {
        Map<String, String> fields = form("name", "<script>alert(1)</script>\"'&");
        assertThat(keep(fields).statusCode()).isEqualTo(302);
        for (String page : new String[] {"/", shop.path("sedge"), shop.path("sedge") + "/bench", "/log"}) {
            assertThat(me.get(page).body()).doesNotContain("<script>alert").contains("alert(1)");
        }
    }

    @Test
    void a_slip_is_withdrawn_by_a_later_entry_and_stays_readable() {
        read(UUID.randomUUID().toString(), "sanded-off:front", "0.7 mm");
        var record = bodies.record(shop.bodies().get("sedge"));
        String id = record.timeline().get(record.timeline().size() - 1).id();
        me.post("/log", shop.path("sedge") + "/withdrawals", Map.of("entry", id));
        var after = bodies.record(shop.bodies().get("sedge"));
        assertThat(after.timeline()).hasSize(record.timeline().size() + 1);
        assertThat(after.standing()).noneMatch(e -> e.id().equals(id));
        assertThat(me.get("/log").body()).contains("0.7 mm").contains("Withdrawn");
    }
}
