package ebauche.app.feed;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The feed map's page, whole for every body of the demo and either school. */
class FeedPagesTest extends WithVisitor {
    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram"})
    void every_body_has_its_map(String name) {
        for (String school : new String[] {"HAND", "TABLE", "SAND_TO_LINE"}) {
            String page = me.get(shop.path(name) + "/feed?school=" + school).body();
            assertThat(page).as(school).contains("Before: the saw").endsWith("</html>\n");
            boolean drilled = page.contains("<circle class=\"relief\"");
            assertThat(page.contains("drill the tight inside turns first"))
                    .as("what is drawn is said")
                    .isEqualTo(drilled);
        }
    }
}
