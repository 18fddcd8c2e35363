package ebauche.app.depth;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** A control cavity proposed from its parts through its page. */
class CavityPagesTest extends WithVisitor {
    private static final String BIT = "pattern bit 3/8";

    @Autowired
    private Bodies plans;

    private HttpResponse<String> keep(String body, int base, String bit, String lip) {
        return me.post(
                shop.path(body) + "/cavity",
                shop.path(body) + "/cavity",
                Map.of("base", String.valueOf(base), "of", "controls", "bit", bit, "lip", lip));
    }

    @Test
    void a_proposal_is_kept_as_the_designs_cavity_with_its_covers_screws() {
        assertThat(me.get(shop.path("tussock") + "/cavity").body()).contains("Save this cavity");
        assertThat(keep("tussock", 1, BIT, "5 mm").statusCode()).isEqualTo(302);
        var cavity = plans.current(shop.bodies().get("tussock"))
                .plan()
                .build()
                .design()
                .cavities()
                .get(0);
        assertThat(cavity.cover().screws()).hasSizeGreaterThanOrEqualTo(3);
        assertThat(cavity.outline().smallestInsideCorner()).isGreaterThan(9.525 / 2);
        assertThat(plans.current(shop.bodies().get("tussock")).plan().findings())
                .noneMatch(f -> f.rule().equals("control-outside"));
        assertThat(me.get(shop.path("tussock") + "/depths").body()).contains("screw holes");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"wide | is no length", "-2 mm | The lip can be", "300 mm | The lip can be"})
    void a_lip_that_cannot_be_is_answered_in_its_field(String lip, String why) {
        HttpResponse<String> answer = keep("sedge", 1, BIT, lip);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(why);
        assertThat(bodies.head(shop.bodies().get("sedge")).number()).isEqualTo(1);
    }

    @Test
    void a_bit_that_is_not_in_the_crib_keeps_nothing_and_a_stale_design_is_told() {
        assertThat(keep("sedge", 1, "house bit", "5 mm").statusCode()).isEqualTo(422);
        assertThat(keep("shale", 1, BIT, "5 mm").statusCode()).isEqualTo(302);
        assertThat(keep("shale", 1, BIT, "6 mm").statusCode()).isEqualTo(409);
    }
}
