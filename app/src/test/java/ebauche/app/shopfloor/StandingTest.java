package ebauche.app.shopfloor;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithVisitor;
import ebauche.core.measure.LengthUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** How bodies stand on the floor, which of them are put by, what can be done now. */
class StandingTest extends WithVisitor {
    private static final Pattern SECTION =
            Pattern.compile("<section class=\"standing ([a-z_]+)\">(.*?)</section>", Pattern.DOTALL);

    private String section(String standing, String query) {
        Matcher m = SECTION.matcher(me.get("/" + query).body());
        while (m.find()) {
            if (m.group(1).equals(standing)) {
                return m.group(2);
            }
        }
        return "";
    }

    private String fresh(String name) {
        var file = me.fileOf(shop.path(name));
        file.remove("asBuilt");
        ((tools.jackson.databind.node.ObjectNode) file.get("design")).put("name", "Rested " + name);
        return me.takenOn(file);
    }

    private void done(String body, String step) {
        me.post(
                body + "/bench",
                body + "/done",
                Map.of("entry", UUID.randomUUID().toString(), "step", step));
    }

    @Test
    void a_body_whose_glue_rests_waits_and_says_until_when() {
        String body = fresh("tussock");
        assertThat(section("in_work", "")).contains("Rested tussock");
        done(body, "blank:joint");
        done(body, "blank:glue");
        assertThat(section("in_work", "")).doesNotContain("Rested tussock");
        assertThat(section("waiting", "")).contains("Rested tussock", "Rests until ");
        assertThat(me.get("/now").body()).doesNotContain("Rested tussock");
    }

    @Test
    void a_body_that_is_put_by_stands_apart_until_it_is_taken_up_again() {
        String sedge = shop.path("sedge");
        me.post("/", sedge + "/put-by", Map.of("by", "true"));
        me.post("/", sedge + "/put-by", Map.of("by", "true"));
        assertThat(section("put_by", "")).contains(sedge).contains("Take it up again");
        assertThat(section("in_work", "")).doesNotContain(sedge);
        assertThat(me.get("/now").body()).doesNotContain("Sedge");
        Visitor stranger = visitor(openShop(LengthUnit.MILLIMETRE));
        assertThat(stranger.post("/", sedge + "/put-by", Map.of("by", "false")).statusCode())
                .isEqualTo(404);
        assertThat(section("put_by", "")).contains(sedge);
        me.post("/", sedge + "/put-by", Map.of("by", "false"));
        assertThat(section("put_by", "")).isEmpty();
        assertThat(section("in_work", "")).contains(sedge);
    }

    @Test
    void a_body_is_found_by_its_name_or_its_number() {
        assertThat(me.get("/?sought=SEDG").body()).contains(shop.path("sedge")).doesNotContain(shop.path("tussock"));
        assertThat(me.get("/?sought=No.+1").body())
                .contains(shop.path("tussock"))
                .doesNotContain(shop.path("sedge"));
        assertThat(me.get("/?sought=nobody").body()).contains("No body has “nobody”");
        assertThat(me.get("/?sought=%3Cb%3E").body()).doesNotContain("<b>");
    }

    @Test
    void what_can_be_done_now_fits_the_time_and_leads_to_the_bench() {
        String all = me.get("/now").body();
        String brief = me.get("/now?minutes=10").body();
        assertThat(all).contains("/bench?step=").contains("Sedge");
        List<String> steps = Pattern.compile("/bench\\?step=([a-z0-9:-]+)")
                .matcher(all)
                .results()
                .map(r -> r.group(1))
                .toList();
        assertThat(steps).isNotEmpty();
        Matcher times = Pattern.compile("<tr><td>(\\d+) min</td>").matcher(brief);
        List<Integer> minutes =
                times.results().map(r -> Integer.parseInt(r.group(1))).toList();
        assertThat(minutes).isNotEmpty().allMatch(m -> m <= 10);
        assertThat(brief.length()).isLessThan(all.length());
        // Each of them can really be begun: its page at the bench waits for nothing.
        Matcher here = Pattern.compile("href=\"(/bodies/[a-z0-9]+/bench\\?step=[^\"]+)\"")
                .matcher(all);
        List<String> pages = here.results().map(r -> r.group(1)).toList();
        assertThat(pages).hasSameSizeAs(steps);
        for (String page : pages) {
            assertThat(me.get(page).body()).doesNotContain("must rest until").doesNotContain("This step is done");
        }
    }
}
