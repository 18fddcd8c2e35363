package ebauche.app.hollow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import ebauche.core.hollow.Hollow;
import ebauche.core.plan.BuildPlan;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

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
}
