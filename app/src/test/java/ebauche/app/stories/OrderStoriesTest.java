package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A maker asks why a step stands where it does, drags it along the rule, and keeps an order of their own. */
class OrderStoriesTest extends Story {
    private List<String> order() {
        return page.locator(".rule a.division").all().stream()
                .map(d -> d.getAttribute("data-step"))
                .toList();
    }

    private Locator division(String step) {
        return page.locator(".rule a.division[data-step='" + step + "']");
    }

    /** Where a division lies: a rectangle of a drawing is asked itself, the driver answers with the drawing's width. */
    private double[] middle(String step) {
        String at = (String) division(step).locator(".reach").evaluate("""
                rect => {
                  const box = rect.getBoundingClientRect();
                  return `${box.x + box.width / 2} ${box.y + box.height / 2}`;
                }""");
        return Arrays.stream(at.split(" ")).mapToDouble(Double::parseDouble).toArray();
    }

    private void dragOnto(String step, String place) {
        double[] from = middle(step);
        double[] to = middle(place);
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        page.mouse().move(to[0] - 2, to[1]);
        page.mouse().move(to[0], to[1]);
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_step_is_dragged_along_the_rule_and_the_order_is_kept(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock"));
        page.getByText("Why here?").click();
        page.getByText("What it would cost elsewhere, and to move it").click();
        page.waitForURL(url -> url.contains("/weigh"));
        assertThat(page.getByText("The order of least loss")).isVisible();
        List<String> before = order();
        int at = before.indexOf("jack:drill");
        dragOnto("jack:drill", before.get(at + 3));
        assertThat(page.locator("#told [data-holds=true]")).isVisible();
        page.mouse().up();
        assertThat(page.getByText("Your own order")).isVisible();
        assertThat(order().indexOf("jack:drill")).isEqualTo(at + 3);
        page.locator("#release").click();
        assertThat(page.getByText("The order of least loss")).isVisible();
        assertThat(order()).isEqualTo(before);
    }

    @Test
    void let_go_where_it_cannot_stand_it_stays_and_why_is_told() {
        open(Screen.DESK, LengthUnit.INCH);
        go(shop.path("tussock") + "/weigh");
        List<String> before = order();
        dragOnto("neck:rout", "neck:fit");
        assertThat(page.getByText("It cannot stand there.")).isVisible();
        page.mouse().up();
        assertThat(page.getByText("It cannot stand there.")).isVisible();
        assertThat(page.locator("#told")).containsText("needs the neck pocket routed short of depth");
        assertThat(order()).isEqualTo(before);
    }

    @Test
    void by_keys_alone_a_step_is_moved_and_put_there() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/weigh");
        int at = order().indexOf("jack:drill");
        division("jack:drill").focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("#told input[name=to]")).hasValue("" + (at + 2));
        page.keyboard().press("s");
        assertThat(page.getByText("Your own order")).isVisible();
        assertThat(order().indexOf("jack:drill")).isEqualTo(at + 2);
    }
}
