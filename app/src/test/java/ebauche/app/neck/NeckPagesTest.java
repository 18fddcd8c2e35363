package ebauche.app.neck;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import java.net.http.HttpResponse;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Readings of the neck through its page: what they move, and what cannot be. */
class NeckPagesTest extends WithVisitor {
    private HttpResponse<String> log(String body, String... read) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (int i = 0; i < read.length; i += 2) {
            fields.put(read[i], read[i + 1]);
            fields.put("entry." + read[i], UUID.randomUUID().toString());
        }
        return me.post(shop.path(body) + "/neck", shop.path(body) + "/neck", fields);
    }

    private String after(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).isEqualTo(302);
        return me.get(answer.headers().firstValue("Location").orElseThrow().replace(address(), ""))
                .body();
    }

    @Test
    void a_heel_measured_moves_the_pocket_that_is_made_to_it_and_its_jig() {
        String page = after(log("marram", "heel-width-end", "53.5 mm", "heel-width-mouth", "55.6 mm"));
        assertThat(page.substring(page.indexOf("id=\"moved\""), page.indexOf("neck-work")))
                .contains("pocket width at its end", "middle strip at its mouth");
    }

    @Test
    void nut_and_pocket_read_carry_the_line_on_to_the_bridge() {
        String page = after(log("sedge", "centre-at-nut", "-4.5", "centre-at-pocket", "0.6"));
        assertThat(page).contains("The neck&#39;s line meets the saddles").contains("on + (op − on) × S / (S − d)");
        assertThat(me.get(shop.path("sedge")).body()).contains("data-rule=\"neck-off-line\"");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "heel-width-end    | 400 mm | it can be 0 mm to 120 mm",
                "centre-at-nut     | 45 mm  | it can be -30 mm to 30 mm",
                "fret-12-to-saddle | far    | is no length"
            })
    void what_cannot_be_read_is_refused_and_nothing_else_of_the_form_is_logged(String what, String value, String why) {
        int before = bodies.standing(shop.bodies().get("marram")).entries();
        HttpResponse<String> answer = log("marram", "heel-thickness", "22.1 mm", what, value);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(why).contains("22.1 mm");
        assertThat(bodies.standing(shop.bodies().get("marram")).entries()).isEqualTo(before);
    }

    @Test
    void a_heel_that_reads_otherwise_than_before_is_measured_once_more() {
        // Sedge's heel was read at 25.4 mm.
        HttpResponse<String> answer = log("sedge", "heel-thickness", "26.1 mm");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("Measure once more").contains("first.heel-thickness");
    }

    @Test
    void every_demo_bodys_neck_is_drawn_and_told() {
        for (String body : shop.bodies().keySet()) {
            String page = me.get(shop.path(body) + "/neck").body();
            assertThat(page).contains("class=\"neck-view\"", "Bridge range", "proud of the front");
        }
    }
}
