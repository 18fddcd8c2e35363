package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.WaitUntilState;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Pages stand still and come soon: nothing jumps when a part of them is put in, no font is waited for, little is sent before the drawing. */
class SteadyTest extends Story {
    /** Chromium's own count of what moved though nobody touched anything (Layout Instability API, W3C). */
    private static final String COUNTS = """
            window.shifts = [];
            new PerformanceObserver((list) => list.getEntries().forEach((e) => {
              if (!e.hadRecentInput) {
                window.shifts.push(e.value + ' ' + e.sources.map((s) => (s.node?.className ?? s.node?.nodeName) + ' '
                  + s.previousRect.y + ' to ' + s.currentRect.y).join(', '));
              }
            })).observe({type: 'layout-shift', buffered: true});""";

    private static final int MOST_BEFORE_THE_DRAWING = 150_000;

    /** What a browser must have before it draws the picture that stands in the page: no font, and no script, which come deferred. */
    private static final Set<String> WAITED_FOR = Set.of("document", "stylesheet");

    private void stands(String when) {
        page.waitForTimeout(300);
        assertThat((List<?>) page.evaluate("window.shifts")).as(when).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void nothing_jumps_when_a_part_of_a_page_is_put_in(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        page.addInitScript(COUNTS);
        go(shop.path("tussock") + "/design?held=pickups.1");
        stands("the design opened");
        page.locator("#design-board .pressed[data-part='pickups.1']").focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("#trial")).containsText("Breaks nothing");
        page.locator("[name='pickups.1.proud']").fill("5 mm");
        assertThat(page.locator("#trial")).containsText("numbers move");
        stands("the design changed");
        go(shop.path("tussock") + "/design?held=pickups.1");
        assertThat(page.locator("#unsaved")).isVisible();
        stands("a change that is not saved is told");

        go(shop.path("tussock") + "/what-if");
        assertThat(page.locator(".slider").first()).isVisible();
        stands("what if, its sliders come");

        go(shop.path("tussock"));
        page.locator("#later").click();
        stands("the next step");

        go(shop.path("tussock") + "/x-ray");
        page.locator(".cavity[data-feature=pickup-neck]").focus();
        page.keyboard().press("ArrowLeft");
        assertThat(page.locator(".moves")).containsText("0.5 mm");
        stands("an X-ray moved");

        go(shop.path("sedge") + "/bench");
        stands("the bench");
        go("/");
        stands("the floor");
    }

    /** Scripts on a busy tablet come long after the page is drawn: what they offer has had its room from the start. */
    @Test
    void nothing_jumps_when_the_scripts_come_late() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        page.addInitScript(COUNTS);
        List<Route> late = new ArrayList<>();
        page.route("**/*.js", late::add);
        SoftAssertions all = new SoftAssertions();
        for (String view : Views.ALL) {
            page.navigate(
                    address() + Views.at(shop, view), new Page.NavigateOptions().setWaitUntil(WaitUntilState.COMMIT));
            page.locator("main").waitFor();
            page.waitForTimeout(150);
            assertThat(late).as("scripts of " + view).isNotEmpty();
            // What a script imports comes after it.
            for (int i = 0; i < 4; i++) {
                List<Route> come = List.copyOf(late);
                late.clear();
                come.forEach(Route::resume);
                page.waitForTimeout(60);
            }
            all.assertThat((List<?>) page.evaluate("window.shifts")).as(view).isEmpty();
        }
        all.assertAll();
    }

    /** Half a row that is painted would be pushed aside by its other half: a page is shown when it is whole, or when no more of it comes. */
    @Test
    void a_page_is_shown_when_it_is_whole_or_broke_off() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        String waits = "getComputedStyle(document.body).animationName == 'broken-off'";
        go("/log");
        assertThat(page.evaluate(waits)).isEqualTo(false);
        page.route("**/log", route -> {
            APIResponse whole = route.fetch();
            String half = whole.text().replaceFirst("(?s)</main>.*", "").replaceAll("<script[^>]*></script>", "");
            route.fulfill(new Route.FulfillOptions().setResponse(whole).setBody(half));
        });
        go("/log");
        assertThat(page.evaluate(waits)).isEqualTo(true);
        assertThat(page.locator("main h1")).isVisible();
    }

    /**
     * A font that has not come when the page is drawn is not used on that page (font-display of CSS Fonts 4): nothing waits for it, and
     * nothing is set anew when it comes. It is there from the next page on.
     */
    @Test
    void no_font_is_waited_for_nor_sets_a_page_anew() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        page.addInitScript(COUNTS);
        page.route("**/*.woff2", route -> {
            page.waitForTimeout(400);
            route.resume();
        });
        go("/");
        stands("fonts that come late");
        Object waited = page.evaluate("""
                [...document.styleSheets].flatMap((s) => [...s.cssRules])
                  .filter((r) => r instanceof CSSFontFaceRule && r.style.getPropertyValue('src').includes('url('))
                  .map((r) => r.style.getPropertyValue('font-display'))""");
        assertThat((List<?>) waited).isNotEmpty().allMatch("optional"::equals);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "/design", "/bench", "/x-ray", "/contours"})
    void little_is_sent_before_the_drawing(String view) {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        List<Request> all = new ArrayList<>();
        page.onRequestFinished(all::add);
        go(shop.path("tussock") + view);
        assertThat(page.locator("main svg").first()).isVisible();
        // Asking for a size lets other requests finish meanwhile.
        long bytes = List.copyOf(all).stream()
                .filter(r -> WAITED_FOR.contains(r.resourceType()))
                .mapToLong(r -> r.sizes().responseBodySize)
                .sum();
        assertThat(bytes).as(view).isPositive().isLessThanOrEqualTo(MOST_BEFORE_THE_DRAWING);
    }
}
