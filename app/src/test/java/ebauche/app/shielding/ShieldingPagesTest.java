package ebauche.app.shielding;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import ebauche.core.design.Measurand;
import ebauche.core.logbook.AsBuilt;
import java.net.http.HttpResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The meter's readings go into the record, all or none, and stand on the page again. */
class ShieldingPagesTest extends WithVisitor {
    private List<AsBuilt.Reading> logged() {
        return bodies.record(shop.bodies().get("sedge")).standing().stream()
                .filter(e -> e instanceof AsBuilt.Reading r && r.measures() instanceof Measurand.Ohms)
                .map(AsBuilt.Reading.class::cast)
                .toList();
    }

    private List<String> fields() {
        Matcher field = Pattern.compile("name=\"(ohms\\.[^\"]+)\"")
                .matcher(me.get(shop.path("sedge") + "/shielding").body());
        return field.results().map(m -> m.group(1)).toList();
    }

    private HttpResponse<String> save(UUID entry, Map<String, String> ohms) {
        Map<String, String> all = new LinkedHashMap<>(ohms);
        all.put("entry", entry.toString());
        return me.post(shop.path("sedge") + "/shielding", shop.path("sedge") + "/shielding/readings", all);
    }

    @Test
    void readings_are_saved_once_and_stand_there_again() {
        List<String> fields = fields();
        assertThat(fields).hasSizeGreaterThan(3);
        UUID entry = UUID.randomUUID();
        Map<String, String> ohms = Map.of(fields.get(0), "0,4", fields.get(1), "OL");
        assertThat(save(entry, ohms).statusCode()).isEqualTo(302);
        assertThat(save(entry, ohms).statusCode()).as("pressed twice").isEqualTo(302);
        assertThat(logged()).extracting(AsBuilt.Reading::value).containsExactlyInAnyOrder(0.4, Measurand.Ohms.OPEN);
        assertThat(logged())
                .allSatisfy(
                        r -> assertThat(r.operation().orElseThrow().written()).isEqualTo("jack:meter"));
        String page = me.get(shop.path("sedge") + "/shielding").body();
        assertThat(page).contains("value=\"0.4\"").contains("value=\"OL\"").contains("Look at:");
        assertThat(me.get("/log").body()).contains("0.4 Ω").contains("open");
        // Read again after the mending: the last counts.
        save(UUID.randomUUID(), Map.of(fields.get(1), "0.6"));
        assertThat(me.get(shop.path("sedge") + "/shielding").body()).doesNotContain("Look at:");
        // A practice is no reading of this body.
        assertThat(me.get(shop.path("sedge") + "/shielding?practice=3").body())
                .doesNotContain("value=\"0.4\"")
                .doesNotContain("keep-readings");
    }

    @Test
    void what_is_no_reading_is_refused_with_the_rest_and_nothing_is_saved() {
        List<String> fields = fields();
        for (String typed : List.of("-1", "much", "NaN")) {
            HttpResponse<String> answer = save(UUID.randomUUID(), Map.of(fields.get(0), "0.3", fields.get(1), typed));
            assertThat(answer.statusCode()).as(typed).isEqualTo(422);
            assertThat(answer.body()).contains("value=\"" + typed + "\"").contains("value=\"0.3\"");
        }
        assertThat(save(UUID.randomUUID(), Map.of()).statusCode()).isEqualTo(422);
        assertThat(logged()).isEmpty();
    }

    /** The bench asks for the same pairs, with the same limits. */
    @Test
    void the_bench_takes_them_too() {
        String bench = me.get(shop.path("sedge") + "/bench?step=jack:meter").body();
        for (String field : fields()) {
            assertThat(bench).contains("value=\"ohms:" + field.substring("ohms.".length()) + "\"");
        }
        String key = "ohms:" + fields().get(0).substring("ohms.".length());
        HttpResponse<String> read = me.post(
                shop.path("sedge") + "/bench",
                shop.path("sedge") + "/readings",
                Map.of("entry", UUID.randomUUID().toString(), "measures", key, "value", "0.2", "step", "jack:meter"));
        assertThat(read.statusCode()).isEqualTo(302);
        assertThat(me.get(shop.path("sedge") + "/shielding").body()).contains("value=\"0.2\"");
    }
}
