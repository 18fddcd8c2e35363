package ebauche.app.contour;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import ebauche.exchange.json.JsonText;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Corners rounded over, over the wire: tried, kept, removed; what cannot be is told beside its field. */
class EdgesPagesTest extends WithVisitor {
    private String edges(String query) {
        return me.get(shop.path("tussock") + "/edges" + query).body();
    }

    private HttpResponse<String> post(String base, String act, String face, String radius) {
        String here = shop.path("tussock") + "/edges";
        return me.post(here, here, new HashMap<>(Map.of("base", base, "act", act, "face", face, "radius", radius)));
    }

    private JsonNode kept() {
        return JsonText.tree(me.get(shop.path("tussock") + "/file").body().getBytes(StandardCharsets.UTF_8))
                .at("/design/roundOvers");
    }

    private String base() {
        String page = edges("?face=front&radius=6%20mm");
        int at = page.indexOf("name=\"base\" value=\"") + "name=\"base\" value=\"".length();
        return page.substring(at, page.indexOf('"', at));
    }

    @Test
    void a_corner_is_tried_then_kept_then_removed() {
        assertThat(edges("")).contains("No corner is rounded over");
        assertThat(edges("?face=front&radius=1/4%20in"))
                .contains("Tried, not saved.")
                .contains("front round-over")
                .contains("by hand");
        assertThat(kept().isMissingNode()).isTrue();
        String base = base();
        assertThat(post(base, "keep", "front", "1/4 in").statusCode()).isEqualTo(302);
        assertThat(kept().at("/0/radius").asString()).isEqualTo("1/4 in");
        assertThat(post(base, "keep", "back", "6 mm").statusCode()).as("stale").isEqualTo(409);
        assertThat(me.get(shop.path("tussock")).body()).contains("front round-over");
        assertThat(post(base(), "keep", "front", "9 mm").statusCode()).isEqualTo(302);
        assertThat(kept()).hasSize(1);
        assertThat(post(base(), "remove", "front", "").statusCode()).isEqualTo(302);
        assertThat(kept()).isEmpty();
    }

    /** Along a part of the edge, asked beside the radius and kept in the design; what of it is missing is told. */
    @Test
    void a_corner_runs_along_a_stretch_that_is_asked() {
        String stretch = "&fromx=-150%20mm&fromy=0%20mm&tox=-60%20mm&toy=-150%20mm&fade=60%20mm";
        assertThat(edges("?face=front&radius=6%20mm" + stretch))
                .contains("Tried, not saved.")
                .contains("name=\"fade\" value=\"60 mm\"");
        String here = shop.path("tussock") + "/edges";
        Map<String, String> form =
                new HashMap<>(Map.of("base", base(), "act", "keep", "face", "front", "radius", "6 mm"));
        form.putAll(Map.of("fromx", "-150 mm", "fromy", "0 mm", "tox", "-60 mm", "toy", "-150 mm"));
        assertThat(me.post(here, here, form).statusCode()).as("no fade").isEqualTo(422);
        form.put("fade", "60 mm");
        assertThat(me.post(here, here, form).statusCode()).isEqualTo(302);
        assertThat(kept().at("/0/stretch/from/x").asString()).isEqualTo("-150 mm");
        assertThat(post(base(), "remove", "back", "").statusCode())
                .as("one that it does not have")
                .isEqualTo(404);
    }

    /** A binding of the design: its turns with what each asks of the strip, and its steps. */
    @Test
    void a_binding_is_told_with_its_turns() {
        ObjectNode file = fileOf("sedge");
        file.remove("asBuilt");
        file.withObject("/design")
                .putArray("bindings")
                .addObject()
                .put("id", "front")
                .put("face", "front")
                .put("thickness", "2 mm")
                .put("height", "6 mm")
                .put("species", "maple");
        String here = takenOn(file);
        assertThat(me.get(here + "/edges").body())
                .contains("front binding, 2 mm by 6 mm")
                .containsPattern("(In|Out)ward turn of [0-9.]+ mm");
        assertThat(me.get(here).body())
                .contains("Cut the ledge of the front binding")
                .contains("Bend and fit the front binding")
                .contains("Scrape the front binding flush");
        assertThat(me.get(here + "/bench?step=binding-front:bend").body()).contains("Cut the strip to length");
        assertThat(me.get(here + "/design").body()).contains("strip&#39;s thickness");
        for (String page : List.of("/x-ray", "/balance", "/check", "/contours", "/feed", "/passes", "/template")) {
            assertThat(me.get(here + page).statusCode()).as(page).isEqualTo(200);
        }
    }

    @ParameterizedTest
    @CsvSource({"front, 40 mm", "back, six", "front, 0 mm"})
    void what_cannot_be_is_told_beside_its_field(String face, String radius) {
        assertThat(edges("?face=" + face + "&radius=" + radius.replace(" ", "%20")))
                .contains("id=\"edge-trouble\"")
                .contains("value=\"" + radius + "\"");
        HttpResponse<String> refused = post(base(), "keep", face, radius);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("id=\"edge-trouble\"");
        assertThat(kept().isMissingNode()).isTrue();
    }
}
