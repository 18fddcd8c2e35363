package ebauche.app.hollow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import ebauche.core.hollow.Hollow;
import ebauche.core.plan.BuildPlan;
import ebauche.exchange.json.JsonText;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ObjectNode;

/** The page of a hollow: what it takes, what must stay, a body solved for a mass, and what cannot be told beside its field. */
class HollowPagesTest extends WithVisitor {
    @Autowired
    private Bodies plans;

    private BuildPlan plan(String body) {
        return plans.current(shop.bodies().get(body)).plan();
    }

    private String page(String body, String asked) {
        return me.get(shop.path(body) + "/hollow" + asked).body();
    }

    @Test
    void it_says_what_it_takes_and_what_must_stay() {
        Hollow hollow = Hollow.of(plan("sedge").build(), Hollow.Asked.USUAL);
        String page = page("sedge", "");
        assertThat(page).contains(Math.round(hollow.grams()) + " g").contains("the bridge stands on it");
        assertThat(page.split("class=\"kept\"", -1)).hasSize(hollow.keepOuts().size() + 1);
        assertThat(page.split("class=\"void now\"", -1)).hasSize(hollow.parts().size() + 1);
        assertThat(page("tussock", "")).contains("On its strap").contains("over level");
    }

    /** The body that is wanted is found by its wall and by its floor; the link shows it. */
    @Test
    void solved_for_a_mass_the_link_shows_that_body() {
        BuildPlan plan = plan("sedge");
        double wood = plan.history().finished().balance().grams();
        double wanted = wood - 0.6 * Hollow.of(plan.build(), Hollow.Asked.USUAL).grams();
        String page = page("sedge", "?target=" + Math.round(wanted) / 1000.0);
        Matcher solved =
                Pattern.compile("href=\"([^\"]+/hollow\\?wall=[^\"]+)\"").matcher(page);
        int found = 0;
        while (solved.find()) {
            found++;
            String there = me.get(solved.group(1).replace("&amp;", "&")).body();
            Matcher left = Pattern.compile("of wood: ([0-9.]+) kg are left").matcher(there);
            assertThat(left.find()).isTrue();
            assertThat(Double.parseDouble(left.group(1))).isCloseTo(wanted / 1000, within(0.02));
        }
        assertThat(found).isEqualTo(2);
        assertThat(page("sedge", "?target=0.4")).contains("what must stay weighs more");
        assertThat(page("sedge", "?target=9")).contains("lighter than that without a hollow");
    }

    @ParameterizedTest
    @CsvSource({
        "wall, 300 mm, must lie between",
        "wall, 190 mm, wider than the body",
        "cap, 40 mm, nothing is left",
        "floor, nine, nine",
        "round, 2 mm, must lie between",
        "target, a ton, is no mass"
    })
    void what_cannot_be_is_told_beside_its_field(String field, String typed, String said) {
        String page = page("sedge", "?" + field + "=" + typed.replace(" ", "%20"));
        Matcher told = Pattern.compile(
                        "name=\"" + field + "\" value=\"([^\"]*)\"[^>]*>\\s*<p class=\"field-trouble\"[^>]*>([^<]*)<")
                .matcher(page);
        assertThat(told.find()).as(page).isTrue();
        assertThat(told.group(1)).isEqualTo(typed);
        assertThat(told.group(2)).contains(said);
    }

    /** A Sedge with ten millimetres of top over a core of forty. */
    private String covered() {
        ObjectNode file = fileOf("sedge");
        file.remove("asBuilt");
        ObjectNode blank = file.withObject("/design/blank");
        blank.put("thickness", "40 mm").remove(List.of("strips", "flaws"));
        blank.putObject("top").put("species", "maple").put("pieces", 2).put("thickness", "10 mm");
        return takenOn(file);
    }

    private HttpResponse<String> keep(String here, Map<String, String> asked) {
        Matcher base = Pattern.compile(
                        "id=\"keep-hollow\"[^>]*>(?:<input[^>]*>)*?<input type=\"hidden\" name=\"base\" value=\"(\\d+)\"")
                .matcher(me.get(here + "/hollow").body());
        assertThat(base.find()).isTrue();
        Map<String, String> form = new HashMap<>(asked);
        form.put("base", base.group(1));
        return me.post(here + "/hollow", here + "/hollow", form);
    }

    @Test
    void drawn_into_the_design_it_becomes_steps_before_the_top() {
        String here = covered();
        assertThat(me.get(here + "/hollow").body())
                .contains("Draw it into the design")
                .doesNotContain("Nothing closes it");
        assertThat(keep(here, Map.of("wall", "20 mm")).statusCode()).isEqualTo(302);
        String page = me.get(here + "/hollow").body();
        assertThat(page).contains("main chamber").contains("Draw it in their place");
        assertThat(me.get(here).body()).contains("Hollow out the main chamber").contains("Mark the main chamber");
        assertThat(keep(here, Map.of("round", "1 in")).statusCode()).isEqualTo(302);
        assertThat(me.get(here).body()).containsPattern("Drill the \\d+ holes of the main chamber");
        ObjectNode kept =
                (ObjectNode) JsonText.tree(me.get(here + "/file").body().getBytes(StandardCharsets.UTF_8));
        assertThat(kept.at("/design/chambers")).hasSize(1);
        assertThat(kept.at("/design/chambers/0/floor").asString()).isEqualTo("8 mm");
    }

    @Test
    void nothing_is_drawn_that_nothing_closes() {
        assertThat(page("sedge", "")).contains("Nothing closes it").doesNotContain("keep-hollow");
        String here = covered();
        HttpResponse<String> answer = keep(here, Map.of("cap", "4 mm"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("The top of this body leaves");
        assertThat(keep(here, Map.of("wall", "nine")).statusCode()).isEqualTo(422);
        assertThat(me.post(here + "/hollow", here + "/hollow", Map.of("base", "0"))
                        .statusCode())
                .isEqualTo(409);
    }
}
