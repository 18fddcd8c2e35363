package ebauche.app.check;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import java.net.http.HttpResponse;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What can be made, and how it is done here, through its page and the shop's forms. */
class CheckPagesTest extends WithVisitor {
    private String check(String body) {
        HttpResponse<String> page = me.get(shop.path(body) + "/check");
        assertThat(page.statusCode()).isEqualTo(200);
        return page.body();
    }

    @Test
    void the_block_that_is_too_long_fails_with_its_number_and_cure() {
        String page = check("shale");
        Matcher rule = Pattern.compile("<li class=\"fails\" data-rule=\"block\".*?</li>", Pattern.DOTALL)
                .matcher(page);
        assertThat(rule.find()).isTrue();
        assertThat(rule.group()).contains("-6 mm").contains("at least 0 mm").contains("a shorter block");
    }

    @Test
    void a_shop_that_thicknesses_by_planer_and_has_none_is_told_the_way_round_on_sheet_and_step() {
        assertThat(check("shale")).contains("No thickness planer for it: router sled");
        assertThat(me.get(shop.path("shale") + "?step=thickness:front").body())
                .contains("No thickness planer here:")
                .contains("router sled");
        assertThat(me.get(shop.path("shale") + "/bench?step=thickness:front").body())
                .contains("No thickness planer here:");
        // A planer wide enough goes into the crib, and the step is as usual.
        HttpResponse<String> kept = me.post(
                "/crib/machines/new",
                "/crib/machines/2",
                Map.of("base", base(), "name", "planer", "kind", "planer", "size", "500 mm"));
        assertThat(kept.statusCode()).isEqualTo(302);
        assertThat(me.get("/crib").body()).contains("planer");
        assertThat(check("shale")).doesNotContain("No thickness planer");
    }

    private String base() {
        Matcher m = Pattern.compile("name=\"base\" value=\"(\\d+)\"")
                .matcher(me.get("/ways").body());
        assertThat(m.find()).isTrue();
        return m.group(1);
    }

    /** Every field of the ways' form as it stands, ticked skills included. */
    private Map<String, String> ways() {
        Map<String, String> fields = new LinkedHashMap<>();
        String page = me.get("/ways").body();
        Matcher input = Pattern.compile("<input[^>]*name=\"([^\"]+)\"[^>]*>").matcher(page);
        while (input.find()) {
            Matcher value = Pattern.compile("value=\"([^\"]*)\"").matcher(input.group());
            boolean tick = input.group().contains("type=\"checkbox\"");
            if (!tick || input.group().contains("checked")) {
                fields.put(input.group(1), tick ? "on" : value.find() ? value.group(1) : "");
            }
        }
        Matcher select = Pattern.compile("<select[^>]*name=\"([^\"]+)\"[^>]*>(.*?)</select>", Pattern.DOTALL)
                .matcher(page);
        while (select.find()) {
            Matcher chosen = Pattern.compile("value=\"([^\"]*)\"[^>]*selected").matcher(select.group(2));
            Matcher first = Pattern.compile("value=\"([^\"]*)\"").matcher(select.group(2));
            fields.put(select.group(1), chosen.find() ? chosen.group(1) : first.find() ? first.group(1) : "");
        }
        fields.remove("_csrf");
        return fields;
    }

    @Test
    void hands_that_are_not_trusted_with_a_rasp_saw_kerfs_and_then_cannot_carve_at_all() {
        assertThat(check("tussock")).contains("Carve contours").contains("saw rasp, then files");
        Map<String, String> ways = ways();
        assertThat(ways).containsKeys("practice.skills.carve", "practice.skills.plane");
        ways.remove("practice.skills.carve");
        assertThat(me.post("/ways", "/ways", ways).statusCode()).isEqualTo(302);
        assertThat(check("tussock")).contains("some twenty hand-saw kerfs from line to line, then chisel");
        Map<String, String> fewer = ways();
        assertThat(fewer).doesNotContainKey("practice.skills.carve");
        fewer.remove("practice.skills.saw");
        fewer.put("base", base());
        assertThat(me.post("/ways", "/ways", fewer).statusCode()).isEqualTo(302);
        String neither = check("tussock");
        assertThat(neither).contains("cannot be done here yet");
        assertThat(me.get(shop.path("tussock") + "/one-page").body()).contains("Beyond this shop");
        // What is too hard for the shop can be left open: asked about first, nothing changed until it is saved.
        Matcher leave = Pattern.compile("href=\"([^\"]+/what-if\\?open\\.contour[^\"]+)\"")
                .matcher(neither);
        assertThat(leave.find()).isTrue();
        assertThat(me.get(leave.group(1).replace("&amp;", "&")).body()).contains("left open, its wood kept");
    }

    @Test
    void parts_that_nobody_has_measured_are_named_until_they_are() {
        String page = check("tussock");
        assertThat(page).contains("Not measured yet").contains("measure it in hand");
        assertThat(check("marram")).doesNotContain("Not measured yet");
    }
}
