package ebauche.app.balance;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import ebauche.core.balance.Balance;
import ebauche.core.balance.Hang;
import ebauche.core.plan.BuildPlan;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ObjectNode;

/** Weight and balance: what the page says is what core reckons, and a body without buttons says what is missing. */
class BalancePagesTest extends WithVisitor {
    @Autowired
    private Bodies plans;

    private BuildPlan plan(String body) {
        return plans.current(shop.bodies().get(body)).plan();
    }

    @Test
    void it_says_how_high_the_neck_stays_and_what_would_change_it() {
        String page = me.get(shop.path("tussock") + "/balance").body();
        Balance balance = Balance.of(plan("tussock"));
        long most = Math.round(balance.range().orElseThrow().most());
        assertThat(page).contains("<strong>" + most + "°</strong>").contains("It would stay up to");
        assertThat(balance.otherwise())
                .hasSize(4)
                .allSatisfy(o -> assertThat(page)
                        .contains("<dd>" + Math.round(o.most().orElseThrow().most()) + "°</dd>"));
        assertThat(page).contains("505 g").contains("usual").contains("centre-of-mass");
    }

    /** Drawn as it hangs: the shoulder stands upright over the centre of mass. */
    @Test
    void the_drawing_has_the_shoulder_over_the_centre_of_mass() {
        String page = me.get(shop.path("tussock") + "/balance").body();
        Matcher plumb = Pattern.compile(
                        "class=\"plumb\" x1=\"([0-9.]+)\" y1=\"([0-9.]+)\" x2=\"([0-9.]+)\" y2=\"([0-9.]+)\"")
                .matcher(page);
        assertThat(plumb.find()).isTrue();
        assertThat(plumb.group(1)).isEqualTo(plumb.group(3));
        assertThat(Double.parseDouble(plumb.group(2))).isLessThan(Double.parseDouble(plumb.group(4)));
    }

    @Test
    void without_buttons_it_weighs_and_says_what_is_missing() {
        String page = me.get(shop.path("sedge") + "/balance").body();
        assertThat(page)
                .contains("two strap buttons")
                .contains("What it weighs")
                .doesNotContain("It would stay up to");
    }

    /** Told where it was typed, and nothing is kept. */
    @Test
    void a_neck_of_a_ton_is_refused_at_its_place() {
        ObjectNode file = fileOf("tussock");
        ((ObjectNode) file.at("/design/hanging")).put("neck", 1_000_000);
        String answer = me.upload(
                        "/bodies/take-on", "/bodies/from-file", file.toString().getBytes(StandardCharsets.UTF_8))
                .body();
        assertThat(answer).contains("must lie between 50 and 5000");
    }

    /** What was weighed is followed: a heavier neck hangs lower, and the check says so. */
    @Test
    void a_heavy_neck_is_told_on_the_check() {
        ObjectNode file = fileOf("tussock");
        ((ObjectNode) file.get("design")).put("name", "Heavy");
        ((ObjectNode) file.at("/design/hanging")).put("neck", 900);
        String here = takenOn(file);
        Hang.Range before = Balance.of(plan("tussock")).range().orElseThrow();
        assertThat(before.most()).isPositive();
        assertThat(me.get(here + "/balance").body()).contains("the neck drops until it hangs so");
        assertThat(me.get(here + "/check").body()).contains("data-rule=\"neck-heavy\"");
        assertThat(me.get(here + "/one-page").body()).contains("On a strap the neck stays up by itself");
    }
}
