package ebauche.app.order;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What the order costs, a step tried elsewhere and put there, an order kept and let go. */
class OrderPagesTest extends WithVisitor {
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
}
