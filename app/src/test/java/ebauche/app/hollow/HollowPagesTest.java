package ebauche.app.hollow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import ebauche.core.balance.Balance;
import ebauche.core.hollow.Hollow;
import ebauche.core.plan.BuildPlan;
import ebauche.exchange.json.JsonText;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.web.util.HtmlUtils;
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
        assertThat(found)
                .as("by wall and by floor; by number with round holes alone")
                .isEqualTo(2);
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
                .contains("Draw it under the top")
                .doesNotContain("Nothing closes it");
        assertThat(keep(here, Map.of("wall", "20 mm")).statusCode()).isEqualTo(302);
        String page = me.get(here + "/hollow").body();
        assertThat(page).contains("left chamber").contains("Draw it in their place");
        assertThat(me.get(here).body()).contains("Hollow out the left chamber").contains("Mark the right chamber");
        assertThat(keep(here, Map.of("round", "1 in")).statusCode()).isEqualTo(302);
        assertThat(me.get(here).body()).containsPattern("Drill the \\d+ holes of the holes chamber");
        ObjectNode kept =
                (ObjectNode) JsonText.tree(me.get(here + "/file").body().getBytes(StandardCharsets.UTF_8));
        assertThat(kept.at("/design/chambers")).hasSize(1);
        assertThat(kept.at("/design/chambers/0/floor").asString()).isEqualTo("8 mm");
    }

    @Test
    void nothing_is_drawn_that_nothing_closes() {
        assertThat(page("sedge", "")).contains("Nothing closes it").doesNotContain("Draw it under the top");
        String here = covered();
        HttpResponse<String> answer = keep(here, Map.of("cap", "4 mm"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("The top of this body leaves");
        assertThat(keep(here, Map.of("wall", "nine")).statusCode()).isEqualTo(422);
        assertThat(me.post(here + "/hollow", here + "/hollow", Map.of("base", "0"))
                        .statusCode())
                .isEqualTo(409);
    }

    /** From the back each hollow is closed by a plate of its own, let in; drawn again it takes the place of the one before. */
    @Test
    void from_the_back_it_becomes_cavities_under_plates() {
        String here = shop.path("sedge");
        assertThat(page("sedge", "?school=back&edge=10%20mm"))
                .contains("Draw it from the back")
                .contains("still to be rounded")
                .contains("name=\"school\" value=\"back\"");
        assertThat(keep(here, Map.of("school", "back", "wall", "20 mm", "cap", "4 mm", "floor", "7 mm"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(keep(here, Map.of("school", "back", "wall", "25 mm")).statusCode())
                .isEqualTo(302);
        ObjectNode kept =
                (ObjectNode) JsonText.tree(me.get(here + "/file").body().getBytes(StandardCharsets.UTF_8));
        List<String> ids = kept.at("/design/cavities")
                .valueStream()
                .map(c -> c.path("id").asString())
                .toList();
        assertThat(ids).contains("hollow-left", "controls").doesNotHaveDuplicates();
        assertThat(kept.at("/design").has("chambers")).isFalse();
        assertThat(me.get(here).body()).contains("hollow left cavity");
        HttpResponse<String> holes = keep(here, Map.of("school", "back", "round", "1 in"));
        assertThat(holes.statusCode()).isEqualTo(422);
        assertThat(holes.body()).contains("not by a plate for each");
    }

    /** A router that would fall in gets supports; they stand in the file and are cut away in a step of their own. */
    @Test
    void supports_are_left_where_they_are_asked_for() {
        String here = covered();
        assertThat(keep(here, Map.of("supports", "on", "school", "front")).statusCode())
                .isEqualTo(302);
        ObjectNode kept =
                (ObjectNode) JsonText.tree(me.get(here + "/file").body().getBytes(StandardCharsets.UTF_8));
        assertThat(kept.at("/design/chambers").valueStream().anyMatch(c -> c.has("supports")))
                .isTrue();
        assertThat(me.get(here).body()).contains("Cut the supports of the left chamber away");
    }

    /** While the wall is dragged the drawing and its sums alone are reckoned: the same as on the page. */
    @Test
    void the_look_says_what_the_page_says() {
        String here = shop.path("sedge");
        String look =
                me.get(here + "/hollow/look?wall=22%20mm&margin-bridge=2%20mm").body();
        assertThat(look).contains("hollow-drawn").contains("hollow-sums").doesNotContain("<form");
        Matcher grams = Pattern.compile("<strong[^>]*>(.*?)</strong>").matcher(look);
        assertThat(grams.find()).isTrue();
        assertThat(page("sedge", "?wall=22%20mm&margin-bridge=2%20mm")).contains(grams.group(1));
    }

    @Test
    void a_margin_that_is_moved_says_what_that_does() {
        assertThat(page("sedge", "?margin-controls=2%20mm"))
                .contains("6 mm are usual:")
                .contains("more go out");
        assertThat(page("sedge", "?margin-controls=30%20mm")).contains("less go out");
        assertThat(page("sedge", "?margin-controls=nine")).contains("nine");
        assertThat(page("sedge", "?margin-controls=300%20mm")).contains("must lie between");
    }

    /** So many holes as the mass wants; the whole guitar's mass counts neck and hardware. */
    @Test
    void holes_are_solved_by_number_and_for_the_whole_guitar() {
        BuildPlan plan = plan("tussock");
        double wood = plan.history().finished().balance().grams();
        double guitar = Balance.of(plan).guitar().grams();
        String asked = "?round=1%20in&wall=16%20mm";
        String body = page("tussock", asked + "&target=" + kilograms(wood - 100));
        Matcher number = Pattern.compile("with (\\d+) holes").matcher(body);
        assertThat(number.find()).isTrue();
        String whole = page("tussock", asked + "&of=guitar&target=" + kilograms(guitar - 100));
        assertThat(whole).contains("with " + number.group(1) + " holes");
    }

    private static String kilograms(double grams) {
        return String.valueOf(Math.round(grams) / 1000.0);
    }

    @Test
    void what_is_cut_already_is_told() {
        assertThat(page("fescue", "")).contains("Cut already").contains("left chamber");
        assertThat(page("sedge", "")).doesNotContain("Cut already");
    }

    /** A chamber thought of once the core was level: its marking put the core on the bench, and the wood is all there without its cut. */
    @Test
    void what_is_cut_of_it_is_reckoned_as_if_it_stood() {
        ObjectNode file = fileOf("fescue");
        double whole = wood(takenOn(file));
        file.remove("asBuilt");
        ObjectNode design = file.withObject("/design");
        var chambers = design.remove("chambers");
        String here = takenOn(file);
        while (!next(here).equals("blank:top")) {
            post(here, here + "/bench", form(next(here)));
        }
        ObjectNode now =
                (ObjectNode) JsonText.tree(me.get(here + "/file").body().getBytes(StandardCharsets.UTF_8));
        now.withObject("/design").set("chambers", chambers);
        String late = takenOn(now);
        for (String next = next(late); next.startsWith("chamber-"); next = next(late)) {
            post(late, late + "/bench", form(next));
        }
        assertThat(wood(late)).isCloseTo(whole, within(0.011));
    }

    private double wood(String here) {
        Matcher wood = Pattern.compile("out of ([0-9.]+) kg of wood")
                .matcher(me.get(here + "/hollow").body());
        assertThat(wood.find()).isTrue();
        return Double.parseDouble(wood.group(1));
    }

    /** Closed while something on the core is not done, or nobody looked: refused, with what was ticked left so; then it is done, once. */
    @Test
    void the_top_is_glued_on_only_when_all_is_seen_to() {
        ObjectNode file = fileOf("fescue");
        file.remove("asBuilt");
        String here = takenOn(file);
        String top = here + "/bench?step=blank:top";
        Map<String, List<String>> done = new HashMap<>(form("blank:top"));
        HttpResponse<String> early = post(here, top, done);
        assertThat(early.statusCode()).isEqualTo(422);
        assertThat(early.body())
                .contains("must be done first")
                .contains("Before it closes")
                .contains("Hollow out the left chamber");
        while (me.get(top).body().contains("nobody reaches it once this is:")) {
            post(here, here + "/bench", form(next(here)));
        }
        HttpResponse<String> unseen = post(here, top, done);
        assertThat(unseen.statusCode()).isEqualTo(422);
        assertThat(unseen.body()).contains("tick it first");
        List<String> ticks = ticks(unseen.body());
        assertThat(ticks).hasSizeGreaterThan(1);
        done.put("tick", ticks.subList(0, 1));
        assertThat(post(here, top, done).body()).containsPattern("checked=\"checked\"");
        done.put("tick", ticks);
        assertThat(post(here, top, done).statusCode()).isEqualTo(302);
        assertThat(post(here, top, done).statusCode()).as("a double press").isEqualTo(302);
        assertThat(me.get(here + "/file").body()).containsOnlyOnce("\"blank:top\"");
    }

    private String next(String here) {
        Matcher step = Pattern.compile("name=\"step\" value=\"([^\"]+)\"")
                .matcher(me.get(here + "/bench").body());
        assertThat(step.find()).isTrue();
        return step.group(1);
    }

    private static List<String> ticks(String page) {
        List<String> ticks = new ArrayList<>();
        Matcher tick = Pattern.compile("name=\"tick\"[^>]*value=\"([^\"]+)\"").matcher(page);
        while (tick.find()) {
            ticks.add(HtmlUtils.htmlUnescape(tick.group(1)));
        }
        return ticks;
    }

    private static Map<String, List<String>> form(String step) {
        return Map.of("entry", List.of(UUID.randomUUID().toString()), "step", List.of(step));
    }

    private HttpResponse<String> post(String here, String page, Map<String, List<String>> form) {
        return me.postAll(page, here + "/done", form);
    }

    /** The top's glue-up says what is hollow under it, how many clamps press, and what is looked at before it closes. */
    @Test
    void the_glue_up_of_a_hollow_body_says_so() {
        assertThat(me.get(shop.path("fescue") + "/glue-up").body())
                .contains("Over the hollow")
                .contains("press here")
                .contains("fished through the right chamber");
        assertThat(me.get(shop.path("marram") + "/glue-up").body()).doesNotContain("Over the hollow");
    }
}
