package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The bench is one screen: figure, drawing, what to measure and Done are in sight without a finger, on a desk, a tablet and a phone. */
class OneScreenTest extends Story {
    private static final List<String> STEPS = List.of(
            "tussock/bench",
            "tussock/bench?step=neck:rough",
            "tussock/bench?step=blank:glue",
            "marram/bench?step=contour-top:carve",
            "sedge/bench?step=controls:rout",
            "fescue/bench?step=blank:top-glue",
            "shale/bench?step=vibrato:rout");

    private void inSight(String what, int width, int height) {
        BoundingBox box = page.locator(what).first().boundingBox();
        assertThat(box).as(what).isNotNull();
        assertThat(box.y).as(what + " from the top").isGreaterThanOrEqualTo(-0.5);
        assertThat(box.y + box.height).as(what + " to the bottom").isLessThanOrEqualTo(height + 0.5);
        assertThat(box.x + box.width).as(what + " to the right").isLessThanOrEqualTo(width + 0.5);
    }

    @ParameterizedTest
    @CsvSource({"1280,800", "820,1180", "390,844"})
    void nothing_that_a_step_needs_is_out_of_sight(int width, int height) {
        open(Screen.DESK, LengthUnit.INCH);
        page.setViewportSize(width, height);
        for (String step : STEPS) {
            String name = step.substring(0, step.indexOf('/'));
            go(shop.path(name) + step.substring(name.length()));
            int tall = (int) page.evaluate("document.documentElement.scrollHeight");
            int wide = (int) page.evaluate("document.documentElement.scrollWidth");
            assertThat(tall).as(step).isLessThanOrEqualTo(height);
            assertThat(wide).as(step).isLessThanOrEqualTo(width);
            for (String what :
                    List.of("h2", ".now .big:visible", ".drawn svg", "#value", ".log-it", ".bench-acts .yes")) {
                inSight(what, width, height);
            }
            assertThat(page.locator(".drawn svg").first().boundingBox().height)
                    .as("drawing of " + step)
                    .isGreaterThan(90);
            assertThat(page.locator(".more").boundingBox().height)
                    .as("the rest of " + step)
                    .isGreaterThan(70);
            assertThat(page.locator(".bench-acts .yes").boundingBox().height).isGreaterThanOrEqualTo(56);
        }
    }

    @Test
    void the_keypad_is_folded_until_it_is_wanted() {
        open(Screen.TABLET, LengthUnit.INCH);
        go(shop.path("sedge") + "/bench?step=controls:rout");
        assertThat(page.locator("#keypad")).isHidden();
        button("Keypad").click();
        page.locator("[data-key='1']").click();
        page.locator("[data-key='1/2']").click();
        assertThat(page.locator("#value")).hasValue("1 1/2 in");
        inSight("#keypad", 820, 1180);
        button("Keypad").click();
        assertThat(page.locator("#keypad")).isHidden();
    }

    @Test
    void the_pass_in_hand_is_large_and_stays_so_on_this_device() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/bench?step=neck:rough");
        Locator inHand = page.locator(".a-pass:visible");
        assertThat(inHand).containsText("Pass 1 of 3");
        button("Pass cut").click();
        assertThat(inHand).containsText("Pass 2 of 3");
        page.reload();
        assertThat(inHand).containsText("Pass 2 of 3");
        page.getByLabel("The pass before").click();
        assertThat(inHand).containsText("Pass 1 of 3");
        for (int i = 0; i < 3; i++) {
            button("Pass cut").click();
        }
        assertThat(button("Pass cut")).isDisabled();
        assertThat(inHand).containsText("Pass 3 of 3");
    }

    @Test
    void the_screen_is_asked_to_stay_awake() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        page.addInitScript("""
                window.asked = [];
                window.first = new Promise((told) => Object.defineProperty(navigator, "wakeLock", { value: { request: (what) => {
                  window.asked.push(what);
                  told(what);
                  return Promise.resolve({});
                } } }));
                """);
        go(shop.path("sedge") + "/bench");
        assertThat(page.evaluate("window.first")).isEqualTo("screen");
        assertThat(page.evaluate("window.asked")).isEqualTo(List.of("screen"));
    }

    @Test
    void several_timers_run_over_several_bodies_and_tell_when_they_are_up() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/bench");
        page.locator("a.timers").click();
        accessible();
        fits();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("5 min").setExact(true))
                .click();
        page.locator("[name=says]").fill("Fescue's back plate");
        page.locator("[name=other]").fill("90");
        button("Start").click();
        assertThat(page.locator(".running .countdown")).hasCount(2);
        assertThat(page.locator(".running .countdown").nth(1)).hasText(Pattern.compile("1:(29|30):\\d\\d"));
        assertThat(page.locator(".running li").first()).containsText("Sedge");
        go(shop.path("tussock"));
        assertThat(page.locator("a.timers")).hasText(Pattern.compile("Timers 0:0[45]:\\d\\d"));
        page.clock().install();
        go(shop.path("tussock") + "/bench");
        page.clock().fastForward(301_000);
        assertThat(page.locator(".timer-up")).containsText("Up: Sedge");
        assertThat(page.locator("a.timers")).hasText("Timers 1!");
    }
}
