package ebauche.app.contour;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A contour's line bowed and its depths said along the edge; laid out, its school chosen, its paper printed. */
class ContourLayoutPagesTest extends WithVisitor {
    private Map<String, String> forearm(String... more) {
        Map<String, String> form = new HashMap<>(Map.ofEntries(
                Map.entry("base", "1"),
                Map.entry("act", "keep"),
                Map.entry("was", ""),
                Map.entry("start", "line"),
                Map.entry("id", "forearm"),
                Map.entry("face", "front"),
                Map.entry("depth", "18 mm"),
                Map.entry("shape", "straight"),
                Map.entry("fromx", "-170"),
                Map.entry("fromy", "-10"),
                Map.entry("tox", "-10"),
                Map.entry("toy", "-170")));
        for (int i = 0; i < more.length; i += 2) {
            form.put(more[i], more[i + 1]);
        }
        return form;
    }

    private HttpResponse<String> post(String here, Map<String, String> form) {
        return me.post(here + "/contours", here + "/contours", form);
    }

    private String fresh() {
        ObjectNode file = fileOf("sedge");
        file.remove("asBuilt");
        return takenOn(file);
    }

    /** Bowed by a press: a handle in the middle of its line; kept, it stands in the file, and its steps and ledger follow. */
    @Test
    void a_line_is_bowed_and_its_depths_are_typed() {
        String here = fresh();
        HttpResponse<String> bowed = post(here, forearm("act", "bow"));
        assertThat(bowed.statusCode()).isEqualTo(200);
        assertThat(bowed.body()).contains("name=\"through0x\"").contains("data-end=\"through0\"");
        assertThat(post(here, forearm("through0x", "-84", "through0y", "-84", "along", "typed", "depths", "6; 18; 9"))
                        .statusCode())
                .isEqualTo(302);
        ObjectNode file = me.fileOf(here);
        assertThat(file.at("/design/contours/0/line/along").asString()).isEqualTo("typed");
        assertThat(file.at("/design/contours/0/line/depths").size()).isEqualTo(3);
        assertThat(file.at("/design/contours/0/line/through/0/x").asString()).isEqualTo("-84 mm");
        assertThat(me.get(here + "/contours").body())
                .contains("value=\"6 mm; 18 mm; 9 mm\"")
                .contains("Lay it out, take it out");
        assertThat(me.get(here).body()).contains("Carve the forearm contour");
        assertThat(me.fileOf(takenOn(file)).at("/design")).isEqualTo(file.at("/design"));
        for (String page : List.of(
                "", "/x-ray", "/check", "/balance", "/hollow", "/plan.json", "/tiles?template=contour-forearm")) {
            assertThat(me.get(here + page).statusCode()).as(page).isIn(200, 404);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "through0x, 900, through0y, 0, lies off the body",
        "through0x, -160, through0y, 120, ''",
        "along, typed, depths, six, six",
        "along, leaned, lean, much, a number",
        "along, even, even-fade, 1, must lie between",
        "along, leaned, lean, 4, between"
    })
    void what_cannot_be_is_told_beside_its_field(String one, String value, String other, String typed, String says) {
        HttpResponse<String> answer = post(fresh(), forearm(one, value, other, typed));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("field-trouble").contains(says).contains(typed);
    }

    /** Every school with its minutes; one is taken with a press, and the bench's ledger is its own. */
    @Test
    void its_school_is_chosen_and_the_bench_has_its_ledger() {
        String here = fresh();
        post(here, forearm());
        String page = me.get(here + "/contours/forearm").body();
        assertThat(page)
                .contains("rasp and files")
                .contains("hand-saw kerfs and chisel")
                .contains("router off a fence")
                .contains("the crib has no belt or disc sander")
                .contains("As costs least")
                .contains("down the edge")
                .contains("To the player");
        String there = here + "/contours/forearm";
        Map<String, String> kerfs = Map.of("base", "2", "act", "by", "with", "kerfs");
        assertThat(me.post(there, there, kerfs).statusCode()).isEqualTo(302);
        assertThat(me.post(there, there, kerfs).statusCode())
                .as("pressed twice")
                .isEqualTo(409);
        assertThat(me.get(there).body()).contains("As its maker chose");
        String bench = me.get(here + "/bench?step=contour-forearm:carve").body();
        assertThat(bench).contains("Kerf 3: from the line").contains("data-ledger");
        assertThat(me.post(there, there, Map.of("base", "3", "act", "by", "with", "axe"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(me.post(there, there, Map.of("base", "3", "act", "depth", "with", "14 mm"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(me.fileOf(here).at("/design/contours/0/depth").asString()).isEqualTo("14 mm");
        assertThat(me.get(here + "/contours/nobody").statusCode()).isEqualTo(404);
    }

    /** On paper at full size: the strip as long as the contour on the edge, in tiles. */
    @Test
    void strip_and_gauge_are_printed() {
        String here = fresh();
        post(here, forearm());
        String page = me.get(here + "/tiles?template=contour-forearm").body();
        assertThat(page).contains("strip and gauge");
        assertThat(me.get(here + "/tiles.pdf?template=contour-forearm").statusCode())
                .isEqualTo(200);
        assertThat(me.get(shop.path("marram") + "/tiles?template=contour-top").body())
                .contains("templates and gauge");
    }

    /** Where the back lies over the front the edge that stays is told, and a press types depths that keep it even. */
    @Test
    void the_edge_is_kept_even_by_a_press() {
        String here = fresh();
        post(here, forearm("along", "typed", "depths", "12; 24; 12", "depth", "24 mm"));
        post(
                here,
                forearm(
                        "base", "2", "id", "belly", "face", "back", "depth", "13 mm", "fromx", "-180", "fromy", "10",
                        "tox", "20", "toy", "-180"));
        String page = me.get(here + "/contours/belly").body();
        assertThat(page).contains("The edge that stays").contains("how uneven the edge is");
        assertThat(page).contains("even-band");
        String there = here + "/contours/belly";
        assertThat(me.post(there, there, Map.of("base", "3", "act", "even")).statusCode())
                .isEqualTo(302);
        assertThat(me.fileOf(here).at("/design/contours/1/line/along").asString())
                .isEqualTo("typed");
    }

    /** Marram's top: its templates by the step, its paper in open formats, and what a calliper found at nine stations. */
    @Test
    void a_carved_top_has_its_stations_and_its_templates_as_files() {
        ObjectNode file = fileOf("marram");
        ArrayNode timeline = file.withObject("/asBuilt").withArray("timeline");
        timeline.addObject()
                .put("kind", "reading")
                .put("id", "deep")
                .put("at", "2026-11-01T10:00:00Z")
                .put("by", "test")
                .put("operation", "contour-top:carve")
                .put("measures", "wood-at:contour-top.-110.110")
                .put("value", "38 mm");
        String here = takenOn(file);
        String page = me.get(here + "/contours/top").body();
        assertThat(page)
                .contains("Wood left under it")
                .contains("Nested templates, by the step that they leave")
                .contains("38 mm");
        assertThat(page.split("neck side|tail side", -1)).hasSizeGreaterThanOrEqualTo(9);
        assertThat(me.get(here).body()).contains("under its surface there");
        assertThat(me.get(here + "/tiles.svg?template=contour-top").body()).contains("<svg");
        assertThat(me.get(here + "/tiles.dxf?template=contour-top").body()).contains("SECTION");
        assertThat(me.get(here + "/tiles.svg?template=nothing").statusCode()).isEqualTo(404);
        assertThat(me.fileOf(here).at("/asBuilt/timeline").toString()).contains("wood-at:contour-top.-110.110");
    }
}
