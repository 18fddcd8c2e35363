package ebauche.app.shopfloor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import ebauche.app.body.Body;
import ebauche.app.testing.WithVisitor;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.json.JsonText;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** The floor of a shop with more bodies than fit a screen: what is known is shown, the rest comes into sight one by one. */
class ShopFloorPagesTest extends WithVisitor {
    private static final Pattern WAITING = Pattern.compile("hx-get=\"([^\"]+)\"");

    private static long count(String text, String part) {
        return Pattern.compile(Pattern.quote(part)).matcher(text).results().count();
    }

    private Body takeOn(String name) {
        ObjectNode file = (ObjectNode) JsonText.tree(DemoBodies.bytes("shale"));
        ((ObjectNode) file.get("design")).put("name", name);
        BuildFile read = BuildFile.of(file);
        return bodies.add(
                shop.maker().shop(), read.withoutRecord(), read.build().asBuilt(), "tester");
    }

    @Test
    void a_screen_full_is_made_at_once_and_the_rest_beside_the_work_or_when_it_is_seen() {
        int more = 2 * FloorCards.AT_ONCE;
        for (int i = 0; i < more; i++) {
            takeOn("Many " + i);
        }
        int all = more + shop.bodies().size();
        String floor = me.get("/").body();
        assertThat(count(floor, "class=\"on-floor\"")).isEqualTo(all);
        assertThat(count(floor, "hx-trigger=\"revealed\"")).isEqualTo(all - FloorCards.AT_ONCE);
        Matcher waiting = WAITING.matcher(floor);
        assertThat(waiting.find()).isTrue();
        String card = me.get(waiting.group(1)).body();
        assertThat(card).contains("<progress", "to go", "thumbnail").doesNotContain("<html");
        await().atMost(Duration.ofSeconds(60))
                .untilAsserted(() -> assertThat(me.get("/").body())
                        .doesNotContain("Preview")
                        .contains("Many 0", "Many " + (more - 1), "Tussock"));
        assertThat(me.get("/now").body()).contains("Many 0").doesNotContain("not looked at");
    }

    /** A card shows the body as it stands: a reading and a new revision make it anew. */
    @Test
    void a_card_follows_its_body() {
        Body body = takeOn("Follows");
        String before = me.get("/").body();
        assertThat(before).contains("Follows");
        String path = "/bodies/" + body.publicId();
        me.post(
                path + "/bench",
                path + "/readings",
                Map.of(
                        "entry",
                        UUID.randomUUID().toString(),
                        "measures",
                        "blank-thinnest",
                        "value",
                        "30 mm",
                        "step",
                        ""));
        assertThat(me.get(path + "/card").body()).contains("short by");
        assertThat(me.get("/").body()).contains("short by");
    }

    @Test
    void another_shops_card_is_not_there() {
        Body others = openShop(LengthUnit.INCH).bodies().get("sedge");
        assertThat(me.get("/bodies/" + others.publicId() + "/card").statusCode())
                .isEqualTo(404);
    }
}
