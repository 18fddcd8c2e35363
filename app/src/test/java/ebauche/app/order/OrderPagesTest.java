package ebauche.app.order;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.Visitor;
import ebauche.app.testing.WithVisitor;
import ebauche.app.ways.WaysStore;
import ebauche.core.shop.HouseRule;
import ebauche.core.shop.HouseRules;
import ebauche.core.shop.Stage;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What the order costs, a step tried elsewhere and put there, an order kept and let go. */
class OrderPagesTest extends WithVisitor {
    @Autowired
    private WaysStore ways;

    private String here() {
        return shop.path("tussock") + "/weigh";
    }

    /** The steps in their order, as the rule on the page has them. */
    private List<String> order() {
        return Pattern.compile("data-step=\"([^\"]+:[^\"]+)\"")
                .matcher(me.get(here()).body())
                .results()
                .map((MatchResult m) -> m.group(1))
                .toList();
    }

    private int base() {
        return bodies.head(shop.bodies().get("tussock")).number();
    }

    private HttpResponse<String> put(String step, int to, int base) {
        return me.post(here(), here(), Map.of("base", "" + base, "step", step, "to", "" + to));
    }

    @Test
    void the_price_of_the_order_stands_beside_that_of_the_steps_as_they_come() {
        String page = me.get(here()).body();
        assertThat(page)
                .contains("The order of least loss")
                .contains("propping up a carved body")
                .contains("slips, on the average")
                .doesNotContain("Let the plan order");
        List<String> sums = Pattern.compile("in all</th><td>(\\d+)</td><td>(\\d+)</td>")
                .matcher(page)
                .results()
                .flatMap(m -> Stream.of(m.group(1), m.group(2)))
                .toList();
        assertThat(sums).hasSize(2);
        assertThat(Integer.parseInt(sums.get(1))).isLessThan(Integer.parseInt(sums.get(0)));
    }

    @Test
    void a_place_is_told_before_a_step_is_put_there_and_then_it_stays() {
        List<String> before = order();
        int from = before.indexOf("jack:mark");
        String told = me.get(here() + "?step=jack:drill&to=" + (from + 4)).body();
        assertThat(told).contains("id=\"keep\"").contains("more there.");
        int base = base();
        assertThat(put("jack:drill", from + 4, base).statusCode()).isEqualTo(302);
        List<String> after = order();
        assertThat(after.indexOf("jack:drill")).isEqualTo(from + 4);
        assertThat(after).containsExactlyInAnyOrderElementsOf(before);
        assertThat(me.get(here()).body()).contains("Your own order").contains("Let the plan order");
        assertThat(base()).isEqualTo(base + 1);
        // A second press, or another tablet that has not seen it: nothing is lost, the newest is shown.
        HttpResponse<String> again = put("jack:drill", from + 3, base);
        assertThat(again.statusCode()).isEqualTo(409);
        assertThat(again.body()).contains("move your step once more");
        assertThat(order()).isEqualTo(after);
    }

    @Test
    void what_breaks_a_link_is_refused_with_why_and_the_nearest_place() {
        int to = order().indexOf("neck:fit");
        HttpResponse<String> refused = put("neck:rout", to, base());
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains("It cannot stand there")
                .contains("needs the neck pocket routed short of depth")
                .contains("that is as near as it can come");
        assertThat(me.get(here() + "/told?step=neck:rout&to=" + to).body())
                .contains("data-holds=\"false\"")
                .doesNotContain("<html");
        assertThat(base()).isEqualTo(1);
    }

    @Test
    void an_order_is_kept_and_let_go_and_a_reading_moves_nothing_meanwhile() {
        List<String> before = order();
        assertThat(me.post(here(), here() + "/own", Map.of("base", "" + base())).statusCode())
                .isEqualTo(302);
        assertThat(order()).isEqualTo(before);
        HttpResponse<String> read = me.post(
                shop.path("tussock") + "/bench",
                shop.path("tussock") + "/readings",
                Map.of(
                        "entry",
                        UUID.randomUUID().toString(),
                        "measures",
                        "fingerboard-thickness",
                        "value",
                        "6.2",
                        "step",
                        "neck:fit"));
        assertThat(read.statusCode()).isEqualTo(302);
        assertThat(order()).isEqualTo(before);
        assertThat(me.get(here()).body()).contains("Your own order");
        assertThat(me.post(here(), here() + "/plan", Map.of("base", "" + base()))
                        .statusCode())
                .isEqualTo(302);
        assertThat(me.get(here()).body()).contains("The order of least loss");
    }

    /** What is done has no other place, and an address that names nothing shows what is next. */
    @Test
    void what_is_done_stays_and_odd_addresses_are_answered() {
        assertThat(me.get(here() + "?step=blank:glue").body()).contains("It is done, and stays where it is.");
        assertThat(put("blank:glue", 9, base()).statusCode()).isEqualTo(422);
        assertThat(put("no:such", 9, base()).statusCode()).isEqualTo(422);
        assertThat(me.get(here() + "?step=jack:drill&to=100000").statusCode()).isEqualTo(200);
        assertThat(me.get(here() + "?step=jack:drill&to=-5").statusCode()).isEqualTo(200);
        assertThat(me.get(here() + "?step=jack:drill&to=x").statusCode()).isEqualTo(400);
    }

    private HttpResponse<String> rule(String first, String then) {
        return me.post(here(), here() + "/rule", Map.of("first", first, "then", then));
    }

    /** What the own order of a body does first is offered as a rule, kept as one, and then holds for the body's next order too. */
    @Test
    void a_habit_is_learned_from_an_own_order_and_kept_as_the_shops_rule() {
        List<String> free = order();
        assertThat(free.indexOf("contour-belly:carve")).isGreaterThan(free.indexOf("jack:drill"));
        List<String> places = Pattern.compile("<option value=\"(\\d+)\"")
                .matcher(me.get(here() + "?step=jack:drill").body())
                .results()
                .map(m -> m.group(1))
                .toList();
        put("jack:drill", Integer.parseInt(places.get(places.size() - 1)), base());
        assertThat(me.get(here()).body())
                .contains("What you do first here")
                .contains("contours before the jack&#39;s hole");
        assertThat(rule("contours", "jack").statusCode()).isEqualTo(302);
        me.post(here(), here() + "/plan", Map.of("base", "" + base()));
        assertThat(order().indexOf("contour-belly:carve")).isLessThan(order().indexOf("jack:drill"));
        assertThat(me.get(here() + "?step=jack:drill").body())
                .contains("By your shop&#39;s rule: contours before the jack&#39;s hole.")
                .contains("They cost this body");
        assertThat(me.get("/ways").body())
                .contains("<option value=\"contours\" selected=\"selected\"")
                .contains("<option value=\"jack\" selected=\"selected\"");

        HttpResponse<String> twice = rule("contours", "jack");
        assertThat(twice.statusCode()).isEqualTo(422);
        assertThat(twice.body()).contains("stands in the list already");
        HttpResponse<String> circle = rule("jack", "contours");
        assertThat(circle.statusCode()).isEqualTo(422);
        assertThat(circle.body()).contains("goes in a circle");
        assertThat(rule("nonsense", "jack").statusCode()).isEqualTo(422);
    }

    /** The settings refuse a circle, and half a rule, where it was typed; nothing is kept, nothing that was typed is lost. */
    @Test
    void rules_typed_in_the_settings_are_kept_or_refused_in_their_row() {
        int base = ways.of(shop.maker().shop()).number();
        Map<String, String> typed = Visitor.filled(me.get("/ways").body());
        typed.put("base", "" + base);
        typed.put("rules.order.0.first", "sawing");
        typed.put("rules.order.0.then", "contours");
        typed.put("rules.order.2.first", "contours");
        typed.put("rules.order.2.then", "sawing");
        HttpResponse<String> circle = me.post("/ways", "/ways", typed);
        assertThat(circle.statusCode()).isEqualTo(422);
        assertThat(circle.body()).containsPattern("(?s)name=\"rules.order.2.then\"(?:(?!</td>).)*goes in a circle");
        typed.remove("rules.order.2.then");
        typed.put("rules.order.2.first", "");
        typed.put("rules.order.1.then", "sanding");
        HttpResponse<String> half = me.post("/ways", "/ways", typed);
        assertThat(half.statusCode()).isEqualTo(422);
        assertThat(half.body())
                .containsPattern("(?s)name=\"rules.order.1.first\"(?:(?!</td>).)*class=\"field-trouble\"");
        assertThat(ways.of(shop.maker().shop()).number()).isEqualTo(base);
        typed.put("rules.order.1.then", "");
        typed.put("rules.templateDay", "yes");
        assertThat(me.post("/ways", "/ways", typed).statusCode()).isEqualTo(302);
        HouseRules kept = ways.of(shop.maker().shop()).means().shop().rules();
        assertThat(kept).isEqualTo(new HouseRules(true, List.of(new HouseRule(Stage.SAWING, Stage.CONTOURS))));
    }

    /** A cheaper order is looked for beside the work, told when it is there, and taken as the body's own; taken twice it is taken once. */
    @Test
    void a_deeper_look_is_told_when_it_found_something_and_can_be_taken() throws InterruptedException {
        assertThat(me.get(here()).body()).contains("A cheaper order is looked for");
        String told = me.get(here() + "/deeper").body();
        for (int i = 0; i < 600 && told.contains("hx-get"); i++) {
            Thread.sleep(100);
            told = me.get(here() + "/deeper").body();
        }
        assertThat(told).contains("A deeper look found an order that saves").contains("Take that order");
        assertThat(me.get(here()).body()).contains("Take that order");
        int base = base();
        String taken = here() + "/deeper";
        assertThat(me.post(here(), taken, Map.of("base", "" + base)).statusCode())
                .isEqualTo(302);
        assertThat(base()).isEqualTo(base + 1);
        assertThat(me.get(here()).body()).contains("Your own order").doesNotContain("Take that order");
        assertThat(me.post(here(), taken, Map.of("base", "" + base)).statusCode())
                .isEqualTo(302);
        assertThat(base()).isEqualTo(base + 1);
    }
}
