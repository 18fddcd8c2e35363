package ebauche.app.testing;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import ebauche.core.measure.LengthUnit;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;

/** A story told through the real interface in headless Chromium: things are found as a person finds them. */
public abstract class Story extends WithApp {
    private static final Playwright PLAYWRIGHT =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private static final Browser BROWSER = PLAYWRIGHT
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(browser())
                    .setHeadless(true)
                    .setArgs(List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync")));

    /** Debian's Chromium, the build without a window if it is there: it takes half the time to show a page. */
    private static Path browser() {
        Path shell = Path.of("/usr/bin/chromium-headless-shell");
        return Files.isExecutable(shell) ? shell : Path.of("/usr/bin/chromium");
    }

    /** A shared machine may stand still for a while; a story that passes never waits so long. */
    private static final double PATIENCE = 45_000;

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
    }

    /** The two screens a maker has. */
    public enum Screen {
        DESK(1280, 800),
        TABLET(820, 1180);

        private final int width;
        private final int height;

        Screen(int width, int height) {
            this.width = width;
            this.height = height;
        }
    }

    /**
     * A refusal is shown on the page; a request under way is dropped when its page is left, which htmx tells in two lines. One that fails
     * otherwise has a line of its own beside them (sendError, timeout, responseError), and that is a complaint.
     */
    private static final Pattern EXPECTED =
            Pattern.compile("the server responded with a status of 4|^htmx:(sendAbort|afterRequest), \\[object");

    private final List<BrowserContext> contexts = new ArrayList<>();
    private final List<String> complaints = new ArrayList<>();

    /** The app's worker is let in where a story is about it: elsewhere it would fetch ahead beside what is told. */
    protected ServiceWorkerPolicy workers = ServiceWorkerPolicy.BLOCK;

    /** Lines of the console that belong to the story. */
    protected Pattern expected = EXPECTED;

    protected Shop shop;
    protected Page page;

    /** Opens a shop of this story's own and signs in; no page is shown yet. */
    protected Page open(Screen screen, LengthUnit unit) {
        shop = openShop(unit);
        page = signIn(screen);
        return page;
    }

    /** One more browser, signed in to the same shop. */
    protected Page signIn(Screen screen) {
        BrowserContext context = BROWSER.newContext(new Browser.NewContextOptions()
                .setViewportSize(screen.width, screen.height)
                .setHasTouch(screen == Screen.TABLET)
                .setServiceWorkers(workers)
                .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.REDUCE));
        contexts.add(context);
        new Visitor(address())
                .signIn(shop.maker().name(), PASSWORD).cookies().stream()
                        .map(c -> new Cookie(c.getName(), c.getValue()).setUrl(address()))
                        .forEach(c -> context.addCookies(List.of(c)));
        context.setDefaultTimeout(PATIENCE);
        Page opened = context.newPage();
        opened.onPageError(complaints::add);
        opened.onConsoleMessage(m -> {
            if (m.type().equals("error") && !expected.matcher(m.text()).find()) {
                complaints.add(m.text());
            }
        });
        return opened;
    }

    protected Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    protected Locator link(String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** A page of a body, from any other: a press on its group, and one on it unless the group begins with it. */
    protected void view(String group, String name) {
        Locator place = page.getByLabel("This body")
                .getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions().setName(group).setExact(true));
        Locator folded = page.getByText("Pages of this body");
        // A page that is still read shows neither.
        place.or(folded).locator("visible=true").first().waitFor();
        if (!place.isVisible()) {
            folded.click();
        }
        place.click();
        Locator tab = page.locator(".tabs:visible")
                .getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions().setName(name).setExact(true));
        if (tab.getAttribute("aria-current") == null) {
            tab.click();
        }
    }

    protected void go(String path) {
        page.navigate(address() + path);
    }

    /** Until this page comes through the app's worker. (Waiting for an expression would evaluate it again and again, which the pages forbid.) */
    protected void underTheWorker() {
        page.evaluate("navigator.serviceWorker.ready.then(() => true)");
        page.reload();
        assertThat(page.evaluate("navigator.serviceWorker.controller !== null")).isEqualTo(true);
    }

    /** Axe finds nothing on the page as it is. No page has frames, and what is in order need not be listed: half the time. */
    protected void accessible() {
        accessible(List.of());
    }

    /** The same without rules that were held against the page elsewhere. */
    protected void accessible(List<String> without) {
        AxeRunOptions violationsOnly = new AxeRunOptions();
        violationsOnly.setResultTypes(List.of("violations"));
        AxeBuilder axe = new AxeBuilder(page).options(violationsOnly).setLegacyMode(true);
        if (!without.isEmpty()) {
            axe.disableRules(without);
        }
        List<Rule> violations = axe.analyze().getViolations();
        assertThat(violations.stream().map(v -> v.getId() + ": " + v.getNodes()).toList())
                .isEmpty();
    }

    /** Nothing is cut off sideways: a page never scrolls across. */
    protected void fits() {
        fits(page.url());
    }

    /** The same of a view. */
    protected void fits(String view) {
        Object over = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth");
        assertThat(((Number) over).intValue()).as(view + " scrolls sideways by").isLessThanOrEqualTo(0);
    }

    @AfterEach
    void close() {
        contexts.forEach(BrowserContext::close);
        assertThat(complaints).as("what the browser's console complained of").isEmpty();
    }
}
