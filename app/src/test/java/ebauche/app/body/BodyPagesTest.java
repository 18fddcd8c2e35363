package ebauche.app.body;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import java.net.http.HttpResponse;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The frame round every page of a body. */
class BodyPagesTest extends WithVisitor {
    /** Every page is there, says what is next, and has the way to every other in it: of its own group and of all the others. */
    @ParameterizedTest
    @EnumSource
    void every_page_of_a_body_leads_to_every_other(BodyView view) {
        String here = shop.path("tussock");
        HttpResponse<String> answer = me.get(here + view.path());
        assertThat(answer.statusCode()).isEqualTo(200);
        String page = answer.body();
        for (BodyView other : BodyView.values()) {
            boolean atTheBench = view == BodyView.BENCH && other == view;
            assertThat(page.contains("href=\"" + here + other.path() + "\"") || atTheBench)
                    .as(other.name())
                    .isTrue();
        }
        if (view != BodyView.BENCH) {
            assertThat(page).contains("Next: ", "in it,").containsPattern("id=\"to-" + view.key() + "\"[^>]*\"page\"");
        }
    }

    /** An address further down belongs to the page above it; one that is none belongs to none. */
    @ParameterizedTest
    @CsvSource({"'', ORDER", "/template/outline, TEMPLATE", "/thickness, THICKNESS", "/templates, ''", "/file, ''"})
    void a_page_is_known_by_its_address(String under, String view) {
        assertThat(BodyView.at(under).map(Enum::name).orElse("")).isEqualTo(view);
    }
}
