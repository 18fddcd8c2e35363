package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import ebauche.app.body.Body;
import ebauche.app.testing.Story;
import ebauche.core.feature.StepKey;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.LengthUnit;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The network goes in the middle of a step: nothing is lost, nothing is sent twice, what is old is said to be old. */
class NoNetworkTest extends Story {
    private static final String NECK = "neck:rout";

    @BeforeEach
    void withoutANetworkTheConsoleSaysSo() {
        workers = ServiceWorkerPolicy.ALLOW;
        expected = Pattern.compile(expected.pattern() + "|net::ERR_(INTERNET_DISCONNECTED|FAILED)|status of 503");
    }

    /** The bench with all its steps fetched ahead. */
    private void atTheBench(String step) {
        go(shop.path("sedge") + "/bench?step=" + step);
        underTheWorker();
        page.locator(".bench[data-ahead=kept]").waitFor();
    }

    private List<AsBuilt.Entry> since(int before) {
        List<AsBuilt.Entry> all = bodies.record(sedge()).timeline();
        return all.subList(before, all.size());
    }

    private Body sedge() {
        return shop.bodies().get("sedge");
    }

    private void network(boolean there) {
        page.context().setOffline(!there);
    }

    @Test
    void a_reading_and_a_done_step_without_a_network_go_up_once_and_in_order_when_it_is_back() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        int before = bodies.record(sedge()).timeline().size();
        atTheBench(NECK);
        network(false);
        page.reload();
        assertThat(page.locator("#kept-here")).containsText("No network. This page is as it was at");
        assertThat(page.locator(".hero .big")).containsText("24.35");
        page.locator("#value").fill("24.3 mm");
        button("Log reading").click();
        assertThat(page.locator("#kept-here .waits")).containsText("readings neck:rout");
        button("Done, next step").click();
        assertThat(page.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName("Take the neck pocket template off")))
                .isVisible();
        assertThat(page.locator("#kept-here .waits")).hasCount(2);
        assertThat(since(before)).isEmpty();
        Instant kept = Instant.now();
        network(true);
        page.evaluate("window.dispatchEvent(new Event('online'))");
        assertThat(page.locator("#kept-here .waits")).hasCount(0);
        assertThat(page.locator("#kept-here")).isHidden();
        List<AsBuilt.Entry> logged = since(before);
        assertThat(logged).hasSize(2);
        assertThat(logged.get(0)).isInstanceOf(AsBuilt.Reading.class);
        assertThat(logged.get(1)).isInstanceOf(AsBuilt.Done.class);
        assertThat(bodies.record(sedge()).done(StepKey.parse(NECK))).isPresent();
        for (AsBuilt.Entry entry : logged) {
            assertThat(Duration.between(Instant.parse(entry.at()), kept).abs()).isLessThan(Duration.ofSeconds(60));
        }
        page.reload();
        assertThat(since(before)).hasSize(2);
    }

    @Test
    void what_is_refused_stays_with_its_words_and_holds_nothing_else_up() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        int before = bodies.record(sedge()).timeline().size();
        atTheBench(NECK);
        network(false);
        page.locator("#value").fill("2430 mm");
        button("Log reading").click();
        assertThat(page.locator("#kept-here .waits")).hasCount(1);
        page.locator("#wrong").click();
        page.locator("textarea[name=what]").fill("The bit slipped in its collet.");
        button("Log it").click();
        assertThat(page.locator("#kept-here .waits")).hasCount(2);
        network(true);
        page.evaluate("window.dispatchEvent(new Event('online'))");
        assertThat(page.locator("#kept-here .refused")).containsText("Did not go up: readings neck:rout");
        assertThat(page.locator("#kept-here .refused")).containsText("2430 mm");
        assertThat(since(before)).singleElement().isInstanceOf(AsBuilt.Mishap.class);
        button("Seen, let it go").click();
        assertThat(page.locator("#kept-here")).isHidden();
    }

    @Test
    void signing_out_leaves_nothing_on_the_device() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        atTheBench(NECK);
        go(shop.path("sedge") + "/design?held=pickups.0");
        page.locator("#design-board .pressed[data-part='pickups.0']").focus();
        page.keyboard().press("ArrowLeft");
        assertThat(button("Undo")).isEnabled();
        assertThat(page.evaluate("Object.keys(sessionStorage).filter((k) => k.startsWith('edit')).length"))
                .isEqualTo(1);
        go("/");
        button("Sign out").click();
        page.waitForURL("**/sign-in**");
        assertThat(page.evaluate("caches.keys().then((k) => k.filter((n) => n.includes('pages')).length)"))
                .isEqualTo(0);
        assertThat(page.evaluate("Object.keys(localStorage).length")).isEqualTo(0);
        assertThat(page.evaluate("Object.keys(sessionStorage).filter((k) => k.startsWith('edit')).length"))
                .isEqualTo(0);
        network(false);
        page.navigate(address() + shop.path("sedge") + "/bench?step=" + NECK);
        assertThat(page.locator("body")).containsText("was not opened while there was one");
    }
}
