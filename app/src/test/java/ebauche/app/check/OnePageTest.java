package ebauche.app.check;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** One page to show, and what a step that waits for a yes does on it. */
class OnePageTest extends WithVisitor {
    private String page(String body) {
        return me.get(shop.path(body) + "/one-page").body();
    }

    @Test
    void it_says_what_the_body_will_be_and_flags_what_is_found() {
        String shale = page("shale");
        assertThat(shale)
                .contains("Look at these first")
                .contains("data-rule=\"block-too-long\"")
                .containsPattern("revision \\d+ by");
        assertThat(shale).contains("6, right-handed").contains("its springs in the back");
        assertThat(shale).contains("Not measured in hand").contains("Seen and agreed");
    }

    @Test
    void a_step_that_waits_for_a_yes_gets_it_here_and_once() {
        me.post(
                shop.path("sedge") + "/bench",
                shop.path("sedge") + "/asked",
                Map.of("entry", "11111111-2222-3333-4444-555555555555", "step", "controls:rout", "whom", "the client"));
        String waits = page("sedge");
        assertThat(waits).contains("Waits for a yes").contains("waits for a yes from the client");
        Matcher entry = Pattern.compile("name=\"entry\" value=\"([^\"]+)\"").matcher(waits);
        assertThat(entry.find()).isTrue();
        Map<String, String> yes = Map.of("entry", entry.group(1), "onPage", "true");
        for (int press = 0; press < 2; press++) {
            assertThat(me.post(shop.path("sedge") + "/one-page", shop.path("sedge") + "/settled", yes)
                            .headers()
                            .firstValue("Location")
                            .orElseThrow())
                    .endsWith("/one-page");
        }
        assertThat(page("sedge")).doesNotContain("Waits for a yes");
    }
}
