package ebauche.app.design;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import ebauche.core.feature.Feature;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.design.Additions;
import ebauche.exchange.design.DesignCatalogue;
import ebauche.exchange.design.FeatureMove;
import ebauche.exchange.design.Mirrored;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.JsonPaths;
import ebauche.exchange.json.JsonText;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The design's page as it is sent, without a browser: what can be pressed, what a move answers, what is refused. */
class DesignPagesTest extends WithVisitor {
    /** A demo body, or Sedge as somebody else wants it. */
    private String at(String body) {
        if (shop.bodies().containsKey(body)) {
            return shop.path(body);
        }
        ObjectNode file = DemoBodies.read("sedge").withoutRecord();
        ObjectNode design = file.withObject("/design");
        switch (body) {
            case "left-handed" -> file.set("design", Mirrored.of(design));
            case "two cavities" -> {
                Additions.add(design, "switch-cavity");
                Additions.add(design, "toggle-switch");
                FeatureMove.move(design, Feature.parse("control-switch"), -162, 174);
            }
            case "plated" -> {
                Additions.add(design, "scratchPlate");
                Additions.add(design, "front-rout");
                Additions.add(design, "strap-button");
            }
            default -> throw new IllegalArgumentException(body);
        }
        return takenOn(file);
    }

    private HttpResponse<String> trial(String here, String... fields) {
        Map<String, String> all = new HashMap<>(Map.of("base", "1"));
        for (int i = 0; i < fields.length; i += 2) {
            all.put(fields[i], fields[i + 1]);
        }
        return me.post(here + "/design", here + "/trial", all);
    }

    private static JsonNode put(String answer) {
        return JsonText.tree(Jsoup.parse(answer).selectFirst("#trial-says").attr("data-put"));
    }

    /** All that can be pressed comes in hand, whatever the body; all that can be moved goes there and nowhere else, and back. */
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "shale", "rush", "marram", "two cavities", "plated", "left-handed"})
    void what_lies_on_the_plan_comes_in_hand_and_goes_where_it_is_moved(String body) {
        String here = at(body);
        ObjectNode design = (ObjectNode) me.fileOf(here).get("design");
        Document page = Jsoup.parse(me.get(here + "/design").body());
        List<String> moved = new ArrayList<>();
        for (Element pressed : page.select("#design-board .pressed")) {
            String key = pressed.attr("data-part");
            String moves = pressed.attr("data-moves");
            String answer = trial(here, "held", key, "moves", moves, "dx", "2", "dy", "-1.5")
                    .body();
            assertThat(answer).as(body + " " + key).doesNotContain("Not calculated yet");
            assertThat(Jsoup.parse(answer).select(".pressed.held"))
                    .as(body + " " + key)
                    .isNotEmpty();
            JsonNode put = moves.isEmpty() ? JsonText.tree("{}") : put(answer);
            for (Map.Entry<String, JsonNode> field : put.properties()) {
                String was = JsonPaths.text(design, field.getKey());
                if (!field.getKey().endsWith(".path") && !field.getKey().endsWith(".unit")) {
                    double by = Length.parse(field.getValue().asString()).millimetres()
                            - (was.isEmpty() ? 0 : Length.parse(was).millimetres());
                    assertThat(Math.abs(by - 2) < 1e-3 || Math.abs(by + 1.5) < 1e-3)
                            .as("%s %s by %s", body, field.getKey(), by)
                            .isTrue();
                    moved.add(field.getKey());
                }
            }
            assertThat(put.isEmpty()).as(body + " " + key + " moves " + moves).isEqualTo(moves.isEmpty());
        }
        assertThat(moved).hasSizeGreaterThan(3);
    }

    /** The hand takes the spring cavity by itself, and with the vibrato's route the whole bridge. */
    @Test
    void a_spring_cavity_is_moved_alone_and_a_bridge_with_all_that_is_its() {
        Document page = Jsoup.parse(me.get(shop.path("shale") + "/design").body());
        assertThat(page.select(".pressed[data-part='bridge.vibrato'][data-moves=springs]"))
                .hasSize(1);
        assertThat(page.select(".pressed[data-part='bridge.vibrato'][data-moves=bridge]"))
                .hasSize(1);
        JsonNode springs =
                put(trial(shop.path("shale"), "held", "bridge.vibrato", "moves", "springs", "dx", "0", "dy", "3")
                        .body());
        assertThat(springs.propertyNames()).containsExactly("bridge.vibrato.springsY");
        JsonNode bridge = put(trial(shop.path("shale"), "held", "bridge", "moves", "bridge", "dx", "0", "dy", "3")
                .body());
        assertThat(bridge.propertyNames()).contains("bridge.vibrato.routeY").doesNotContain("bridge.vibrato.springsY");
    }

    /** A pickup's leg pockets, a cover's screws: the hand that takes them takes their part. */
    @Test
    void what_belongs_to_a_part_is_taken_with_it() {
        for (String body : List.of("sedge", "tussock", "rush")) {
            Document page = Jsoup.parse(me.get(shop.path(body) + "/design").body());
            for (String list : List.of("pickups", "cavities")) {
                for (int i = 0;
                        i
                                < page.select(".design-parts [data-part^=" + list + ".]")
                                        .size();
                        i++) {
                    assertThat(page.select(".pressed[data-part='" + list + "." + i + "']")
                                    .eachAttr("data-moves"))
                            .as(body + " " + list + " " + i)
                            .hasSize(1)
                            .allMatch(m -> !m.isEmpty());
                }
            }
        }
    }

    /** Who works in inches reads a moved place in inches, on a 64th where it lies on one. */
    @Test
    void a_place_is_moved_in_the_makers_unit() {
        me.post("/", "/unit", Map.of("unit", "INCH", "back", "/"));
        double sixtyFourth = 25.4 / 64;
        JsonNode put = put(trial(
                        shop.path("tussock"),
                        "held",
                        "pickups.1",
                        "moves",
                        "pickup-bridge",
                        "dx",
                        "0",
                        "dy",
                        String.valueOf(sixtyFourth))
                .body());
        assertThat(put.path("pickups.1.at.y").asString("")).isEqualTo("1 49/64 in");
    }

    @ParameterizedTest
    @CsvSource({"NaN, 0, 400", "0, 1e9, 400", "far, 0, 400", "0, -6000, 400", "3, 3, 200"})
    void a_move_beyond_any_body_is_refused(String dx, String dy, int status) {
        assertThat(trial(shop.path("sedge"), "held", "pickups.0", "moves", "pickup-neck", "dx", dx, "dy", dy)
                        .statusCode())
                .isEqualTo(status);
    }

    /** What is no part, or cannot be moved, moves nothing; a part in hand that is gone is none. */
    @ParameterizedTest
    @ValueSource(strings = {"pickup-nobody", "neck", "outline", "", "../etc", "springs"})
    void what_is_not_there_moves_nothing(String moves) {
        HttpResponse<String> answer =
                trial(shop.path("sedge"), "held", "pickups.99", "moves", moves, "dx", "3", "dy", "0");
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains("Nothing moves");
        assertThat(me.get(shop.path("sedge") + "/design?held=pickups.99").statusCode())
                .isEqualTo(200);
    }

    @Test
    void a_revision_that_is_not_there_cannot_be_gone_back_to() {
        assertThat(me.get(shop.path("sedge") + "/design?from=7").statusCode()).isEqualTo(404);
        assertThat(me.get(shop.path("sedge") + "/design?from=0").statusCode()).isEqualTo(404);
        assertThat(me.get(shop.path("sedge") + "/revisions?before=-3").statusCode())
                .isEqualTo(200);
        assertThat(visitor(openShop(LengthUnit.MILLIMETRE))
                        .get(shop.path("sedge") + "/revisions")
                        .statusCode())
                .isEqualTo(404);
    }

    /** To go back is one more revision, over whatever was saved last: what another saved meanwhile is shown first. */
    @Test
    void gone_back_to_a_revision_over_one_that_came_meanwhile() {
        String here = shop.path("sedge");
        save(here, "1", "1", "name", "Two");
        save(here, "2", "2", "name", "Three");
        assertThat(save(here, "2", "1", "name", "Sedge").statusCode()).isEqualTo(409);
        assertThat(save(here, "3", "1").statusCode()).isEqualTo(302);
        assertThat(bodies.head(shop.bodies().get("sedge")).file())
                .isEqualTo(bodies.revision(shop.bodies().get("sedge"), 1)
                        .orElseThrow()
                        .file());
        Document revisions = Jsoup.parse(me.get(here + "/revisions").body());
        assertThat(revisions.select("[data-revision]").eachAttr("data-revision"))
                .containsExactly("4", "3", "2", "1");
        assertThat(revisions.selectFirst("[data-revision=4]").text()).contains("The same as revision 1");
        assertThat(revisions.selectFirst("[data-revision=2]").text())
                .contains("One place differs")
                .contains("Body, name")
                .contains("Two");
    }

    /** What is kept of a design that nobody has touched is not what somebody tries over it, though both would be saved alike. */
    @Test
    void a_part_that_is_added_and_left_out_at_once_is_new_only_where_it_is_tried() {
        String here = shop.path("sedge");
        Set<String> before = parts(Jsoup.parse(me.get(here + "/design").body()));
        Document with = Jsoup.parse(save(here, "1", "1", "add", "toggle-switch").body());
        Set<String> added = parts(with);
        added.removeAll(before);
        String part = added.iterator().next();
        Map<String, String> typed = new HashMap<>();
        ((FormElement) with.selectFirst("form#design"))
                .formData()
                .forEach(field -> typed.put(field.key(), field.value()));
        typed.putAll(Map.of("held", part, "leave-out", part, "add", ""));
        typed.remove("_csrf");
        assertThat(changed(me.post(here + "/design", here + "/trial", typed))).isEqualTo(part);
        assertThat(changed(trial(here, "held", part))).isEmpty();
    }

    private static String changed(HttpResponse<String> trial) {
        return Jsoup.parse(trial.body()).selectFirst("#trial-says").attr("data-changed");
    }

    private static Set<String> parts(Document page) {
        return new TreeSet<>(page.select("[name=leave-out]").eachAttr("value"));
    }

    private HttpResponse<String> save(String here, String base, String from, String... fields) {
        Map<String, String> all = new HashMap<>(Map.of("base", base, "from", from, "add", ""));
        for (int i = 0; i < fields.length; i += 2) {
            all.put(fields[i], fields[i + 1]);
        }
        return me.post(here + "/design", here + "/design", all);
    }

    /** Many revisions come page by page, none twice and none left out. */
    @Test
    void revisions_come_page_by_page() {
        String here = shop.path("sedge");
        ObjectNode file = bodies.head(shop.bodies().get("sedge")).file();
        for (int i = 1; i <= 64; i++) {
            ObjectNode next = file.deepCopy();
            next.withObject("/design").put("name", "Sedge " + i);
            bodies.save(shop.bodies().get("sedge"), i, next, shop.maker().name());
        }
        List<String> seen = new ArrayList<>();
        String page = here + "/revisions";
        while (!page.isEmpty()) {
            Document shown = Jsoup.parse(me.get(page).body());
            seen.addAll(shown.select("[data-revision]").eachAttr("data-revision"));
            Matcher more = Pattern.compile("/revisions\\?before=\\d+")
                    .matcher(shown.select("main").outerHtml());
            page = more.find() ? here + more.group() : "";
        }
        assertThat(seen).hasSize(65).doesNotHaveDuplicates().startsWith("65").endsWith("1");
    }

    /** A feature of every kind that a body has knows the part of the form that asks for it. */
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "shale", "marram", "fescue"})
    void every_step_s_feature_is_asked_for_somewhere(String body) {
        ObjectNode design = DemoBodies.read(body).design();
        Map<String, String> found = new HashMap<>();
        for (String word : List.of("neck", "neck-screws", "bridge", "pickup-neck", "legs-neck")) {
            DesignCatalogue.partWith(design, Feature.parse(word)).ifPresent(p -> found.put(word, p));
        }
        assertThat(found)
                .containsEntry("neck", "neck")
                .containsEntry("neck-screws", "neck")
                .containsEntry("bridge", "bridge");
        assertThat(found.getOrDefault("pickup-neck", "")).isEqualTo(found.getOrDefault("legs-neck", ""));
    }

    /** What is wrong leads to the part of the form that can mend it, in one press. */
    @Test
    void from_a_finding_one_press_leads_to_what_mends_it() {
        Document page = Jsoup.parse(me.get(shop.path("shale")).body());
        List<String> links = page.select(".findings a.change-it").eachAttr("href");
        assertThat(links).isNotEmpty().allMatch(l -> l.contains("/design?held="));
        for (String link : links) {
            assertThat(Jsoup.parse(me.get(link).body()).select("#held .design-part"))
                    .as(link)
                    .hasSize(1);
        }
        Document depths = Jsoup.parse(me.get(shop.path("tussock") + "/depths").body());
        for (Element link : depths.select(".depth-card .acts a[href*='held=']")) {
            assertThat(Jsoup.parse(me.get(link.attr("href")).body()).select("#held .design-part"))
                    .as(link.attr("href"))
                    .hasSize(1);
        }
        assertThat(depths.select(".depth-card .acts a[href*='held=']")).hasSizeGreaterThan(3);
    }
}
