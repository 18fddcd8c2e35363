package ebauche.app.blank;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.body.Bodies;
import ebauche.app.body.Body;
import ebauche.app.body.BodyStore;
import ebauche.app.testing.WithVisitor;
import ebauche.core.measure.LengthUnit;
import ebauche.core.shop.Glue;
import ebauche.core.shop.Gluing;
import ebauche.core.thickness.Ledger;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** The pages from the blank to its thickness: what they keep, what they refuse, and that nothing is half-kept. */
class BlankPagesTest extends WithVisitor {
    @Autowired
    private Bodies current;

    @Autowired
    private BodyStore store;

    @Autowired
    private CutPlanStore cutPlans;

    @Autowired
    private DemoBlank demoBlank;

    private Bodies.Current now(String body) {
        return current.current(shop.bodies().get(body));
    }

    private Gluing gluing(String body) {
        return now(body).plan().build().shop().gluing();
    }

    private HttpResponse<String> glue(String body, int base, String glue, String complementary) {
        String page = shop.path(body) + "/glue-up";
        return me.post(
                "/bodies/take-on",
                page,
                Map.of("base", String.valueOf(base), "glue", glue, "complementary", complementary));
    }

    @Test
    void a_glue_is_kept_for_one_body_and_the_shops_stays() {
        assertThat(me.get(shop.path("sedge") + "/glue-up").body()).doesNotContain("Preview only");
        assertThat(me.get(shop.path("sedge") + "/glue-up?glue=EPOXY").body())
                .contains("Preview only: the body is still to be glued with PVA");
        assertThat(glue("sedge", 1, "EPOXY", "false").statusCode()).isEqualTo(302);
        assertThat(gluing("sedge").glue()).isEqualTo(Glue.EPOXY);
        assertThat(gluing("sedge").complementary()).isFalse();
        assertThat(gluing("sedge").clamps()).isEqualTo(gluing("shale").clamps());
        assertThat(gluing("shale").glue()).isEqualTo(Glue.PVA);
        assertThat(me.get(shop.path("sedge") + "/glue-up").body())
                .contains("epoxy, as saved")
                .doesNotContain("Preview only");
    }

    @Test
    void a_glue_kept_on_a_design_that_somebody_changed_meanwhile_is_refused() {
        Body sedge = shop.bodies().get("sedge");
        store.save(sedge, 1, now("sedge").revision().file(), "somebody");
        HttpResponse<String> answer = glue("sedge", 1, "HIDE", "true");
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body()).contains("Nothing was saved; look again.");
        assertThat(gluing("sedge").glue()).isEqualTo(Glue.PVA);
        assertThat(store.head(sedge).number()).isEqualTo(2);
    }

    @Test
    void a_glue_that_nobody_knows_is_refused() {
        assertThat(glue("sedge", 1, "PASTE", "true").statusCode()).isEqualTo(400);
        assertThat(store.head(shop.bodies().get("sedge")).number()).isEqualTo(1);
    }

    @Test
    void the_demo_lays_one_blank_out_and_its_boards_are_still_to_be_cut() {
        Body shale = shop.bodies().get("shale");
        demoBlank.lay(shop.maker(), shale);
        CutPlan plan = cutPlans.latest(shale).orElseThrow();
        assertThat(plan.done()).isFalse();
        String sheet = me.get(shop.path("shale") + "/cut-list").body();
        assertThat(sheet).contains("Cut: put the offcuts back on the rack");
        plan.boards()
                .forEach(b -> assertThat(sheet).contains(b.file().path("name").asString("?")));
        assertThat(now("shale").plan().build().design().blank().core().strips())
                .extracting(s -> s.board())
                .doesNotContain("");
    }

    /** The body with a book-matched top: its ledger stands in the middle, its top is laid out. */
    @Test
    void the_demo_shows_a_ledger_half_taken_and_a_top() {
        Ledger ledger = Ledger.of(now("marram").plan().build());
        assertThat(ledger.passesTaken()).isEqualTo(1);
        assertThat(ledger.passes()).isNotEmpty();
        String page = me.get(shop.path("marram") + "/thickness").body();
        assertThat(page).contains("Next, pass 2").contains("top before sanding");
        String sheet = me.get(shop.path("marram") + "/glue-up").body();
        assertThat(sheet).contains("The top onto the core, hot hide glue").contains("springs up under the bars");
        assertThat(me.get(shop.path("marram") + "/blank").body()).contains("glued up already");
        assertThat(me.get(shop.path("shale") + "/blank").body()).doesNotContain("glued up already");
    }

    @Test
    void ways_are_said_to_be_kept_only_when_they_were() {
        assertThat(me.get("/ways").body()).doesNotContain("Kept.").contains("value=\"4500\"");
        assertThat(me.get("/ways?kept").body()).contains("Saved.");
    }

    private HttpResponse<String> log(String measures, String value) {
        Map<String, String> fields =
                new HashMap<>(Map.of("entry", UUID.randomUUID().toString(), "measures", measures, "value", value));
        return me.post("/bodies/take-on", shop.path("marram") + "/thickness", fields);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "blank-thickest | 4000 mm | it can be 0 mm to 160 mm",
                "blank-thinnest | thin | is no length",
                "out-of-flat:back | -1 mm | it can be 0 mm",
                "seam-step | 90 mm | it can be 0 mm"
            })
    void a_reading_that_cannot_be_is_answered_at_its_field_and_not_logged(String what, String value, String words) {
        int before = now("marram").plan().build().asBuilt().standing().size();
        HttpResponse<String> answer = log(what, value);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(words).contains("value=\"" + value + "\"");
        assertThat(now("marram").plan().build().asBuilt().standing()).hasSize(before);
    }

    @Test
    void the_back_out_of_flat_makes_the_rest_of_the_ledger_new() {
        double before = Ledger.of(now("marram").plan().build()).offFront().value();
        assertThat(log("out-of-flat:back", "0.65 mm").statusCode()).isEqualTo(302);
        double after = Ledger.of(now("marram").plan().build()).offFront().value();
        assertThat(after).isLessThan(before);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/blank", "/cut-list", "/glue-up", "/thickness"})
    void another_shops_body_is_not_there(String page) {
        Shop other = openShop(LengthUnit.MILLIMETRE);
        assertThat(me.get(other.path("marram") + page).statusCode()).isEqualTo(404);
        assertThat(me.get(shop.path("marram") + page).statusCode()).isEqualTo(200);
    }
}
