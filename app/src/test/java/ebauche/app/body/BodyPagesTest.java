package ebauche.app.body;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import ebauche.core.feature.Work;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.DemoBodies;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
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

    /** Some demo body has steps of each kind of work that has sheets. */
    @Test
    void every_group_of_sheets_is_a_kind_of_work() {
        Set<Work> works = DemoBodies.NAMES.stream()
                .flatMap(n -> Planner.schedule(DemoBodies.read(n).build()).steps().stream())
                .map(s -> s.operation().work())
                .collect(Collectors.toSet());
        assertThat(BodyView.Group.values())
                .flatExtracting(g -> g.work().stream().toList())
                .hasSize(7)
                .isSubsetOf(works);
    }

    /** An entry that is withdrawn from the body's own page leads back to it. */
    @Test
    void a_bodys_record_takes_withdrawals() {
        String here = shop.path("sedge");
        Body sedge = shop.bodies().get("sedge");
        String page = me.get(here + "/record").body();
        assertThat(page).contains("heel thickness").contains("name=\"ofBody\"");
        String entry = bodies.record(sedge).timeline().get(3).id();
        HttpResponse<String> back =
                me.post(here + "/record", here + "/withdrawals", Map.of("entry", entry, "ofBody", "true"));
        assertThat(back.headers().firstValue("location").orElse("")).endsWith(here + "/record");
        assertThat(me.get(here + "/record").body()).contains("class=\"gone\"");
    }
}
