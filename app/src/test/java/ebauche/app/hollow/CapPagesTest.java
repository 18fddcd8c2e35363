package ebauche.app.hollow;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.node.ObjectNode;

/** The page of plates that are sawn off and of a new cap: reckoned, refused, and put into the design as steps. */
class CapPagesTest extends WithVisitor {
    private HttpResponse<String> hollowed(String here) {
        Matcher base = Pattern.compile(
                        "id=\"keep-hollow\"[^>]*>(?:<input[^>]*>)*?<input type=\"hidden\" name=\"base\" value=\"(\\d+)\"")
                .matcher(me.get(here + "/hollow").body());
        assertThat(base.find()).isTrue();
        return me.post(here + "/hollow", here + "/hollow", Map.of("supports", "on", "base", base.group(1)));
    }

    @ParameterizedTest
    @CsvSource({"sawnFront, 1 mm", "sawnBack, 50 mm", "cap, 0 mm", "planed, 43 mm", "sawnFront, six"})
    void a_plate_that_cannot_be_is_told_beside_its_field(String field, String typed) {
        String page = me.get(shop.path("sedge") + "/cap?" + field + "=" + typed.replace(" ", "%20"))
                .body();
        assertThat(page).containsPattern("id=\"cap-trouble-" + field + "\"").contains("value=\"" + typed + "\"");
    }

    @Test
    void plates_and_a_new_cap_are_reckoned() {
        String page = me.get(shop.path("sedge") + "/cap?sawnFront=6%20mm&sawnBack=5%20mm&cap=4%20mm&planed=1%20mm")
                .body();
        assertThat(page)
                .contains("The blank is")
                .contains("3 mm higher")
                .contains("bridge pickup cavity")
                .contains("up to")
                .contains("of cap stay on")
                .containsPattern("trim it flush with [^<]+, its bearing on the old edge")
                .containsPattern("\\d+ clamps in all");
        assertThat(me.get(shop.path("sedge") + "/cap?timber=maple").body())
                .containsPattern("<option value=\"maple\" selected");
    }

    /** A Sedge of fifty-four millimetres in two halves, its plates sawn off them: by hand 54 less twice 3.6 are glued together again. */
    @Test
    void plates_put_into_the_design_become_steps_and_a_hollow_between_them() {
        ObjectNode file = fileOf("sedge");
        file.remove("asBuilt");
        file.withObject("/design/blank").put("thickness", "60 mm").remove(List.of("strips", "flaws"));
        String here = takenOn(file);
        assertThat(me.get(here + "/cap").body()).contains("Put these plates into the design");
        Map<String, String> asked = new HashMap<>(Map.of("base", "1", "sawnFront", "9 mm", "sawnBack", "1 mm"));
        HttpResponse<String> refused = me.post(here + "/cap", here + "/cap", asked);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("id=\"cap-trouble-sawnBack\"").contains("value=\"1 mm\"");
        asked.put("sawnBack", "10 mm");
        assertThat(me.post(here + "/cap", here + "/cap", asked).statusCode()).isEqualTo(302);
        assertThat(me.post(here + "/cap", here + "/cap", asked).statusCode())
                .as("pressed twice")
                .isEqualTo(409);
        assertThat(me.get(here + "/cap").body())
                .contains("The design has these plates")
                .contains("value=\"10 mm\"")
                .doesNotContain("Put these plates into the design");
        assertThat(me.fileOf(here).at("/design/blank/thickness").asString()).isEqualTo("52.8 mm");
        assertThat(hollowed(here).statusCode()).isEqualTo(302);
        assertThat(me.get(here).body())
                .contains("Saw the front plate off each piece of the blank")
                .contains("through the core into a spoil board")
                .contains("Glue the back plate on");
        assertThat(me.get(here + "/glue-up").body())
                .contains("The back plate onto the core")
                .contains("The front plate onto the core")
                .contains("Over the hollow");
        me.get(here + "/blank");
        assertThat(me.get(here + "/design").body()).contains("sawnBack");
    }

    private HttpResponse<String> capped(String here, int base, String planed, String cap) {
        return me.post(
                here + "/cap",
                here + "/cap/new",
                Map.of("base", "" + base, "planed", planed, "cap", cap, "timber", "maple"));
    }

    /** Put into the design of a Sedge that is routed, its steps stand after all else; each is logged, and what is glued on is a fact. */
    @Test
    void a_new_cap_becomes_a_job_that_is_logged() {
        String here = takenOn(fileOf("sedge"));
        assertThat(me.get(here + "/cap?cap=4%20mm&planed=4%20mm").body()).contains("Make it a job");
        HttpResponse<String> refused = capped(here, 1, "43 mm", "4 mm");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("id=\"cap-trouble-planed\"").contains("value=\"43 mm\"");
        assertThat(capped(here, 1, "4 mm", "4 mm").statusCode()).isEqualTo(302);
        assertThat(capped(here, 1, "4 mm", "4 mm").statusCode())
                .as("pressed twice")
                .isEqualTo(409);
        assertThat(me.get(here + "/cap").body())
                .contains("Its steps stand in the plan")
                .doesNotContain("Make it a job")
                .containsPattern("<option value=\"maple\" selected");
        String steps = me.get(here).body();
        assertThat(steps)
                .containsSubsequence(
                        "Sand the front, 120 to 320",
                        "Mark what the new cap will bury",
                        "Plane the old front down",
                        "Glue the new cap on",
                        "Trim the new cap flush",
                        "Open the new cap along the old walls");
        assertThat(me.fileOf(here).at("/design/newCap/planed").asString()).isEqualTo("4 mm");
        for (int i = 0; i < 90 && !next(here).equals("new-cap:edge"); i++) {
            assertThat(me.post(
                                    here + "/bench",
                                    here + "/done",
                                    Map.of("entry", UUID.randomUUID().toString(), "step", next(here)))
                            .statusCode())
                    .as(next(here))
                    .isEqualTo(302);
        }
        assertThat(next(here)).isEqualTo("new-cap:edge");
        HttpResponse<String> late = capped(here, 2, "1 mm", "6 mm");
        assertThat(late.statusCode()).isEqualTo(422);
        assertThat(late.body()).contains("glued on already");
        for (String page :
                List.of("", "/x-ray", "/balance", "/check", "/feed", "/passes", "/bench?step=new-cap:rout")) {
            assertThat(me.get(here + page).statusCode()).as(page).isEqualTo(200);
        }
        ObjectNode again = me.fileOf(takenOn(me.fileOf(here)));
        assertThat(again.at("/design")).isEqualTo(me.fileOf(here).at("/design"));
        assertThat(again.at("/asBuilt/timeline").size())
                .isEqualTo(me.fileOf(here).at("/asBuilt/timeline").size());
    }

    private String next(String here) {
        Matcher step = Pattern.compile("name=\"step\" value=\"([^\"]+)\"")
                .matcher(me.get(here + "/bench").body());
        assertThat(step.find()).isTrue();
        return step.group(1);
    }
}
