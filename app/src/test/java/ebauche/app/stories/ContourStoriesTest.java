package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A contour bowed by its handle, laid out with a square, its school chosen, its ledger ticked at the bench. */
class ContourStoriesTest extends Story {
    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_forearm_is_bowed_laid_out_and_taken_out_by_kerfs(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/contours");
        link("forearm").click();
        Locator card = page.locator(".contour-card[data-contour=forearm]");
        card.getByText("Bow its line").click();
        Locator handle = page.locator(".start-line[data-contour=forearm] .end[data-end=through0]");
        assertThat(handle).isVisible();
        Locator x = card.locator("input[name=through0x]");
        String before = x.inputValue();
        BoundingBox at = handle.locator(".grip").boundingBox();
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
        page.mouse().down();
        page.mouse().move(at.x + 8, at.y + 14);
        page.mouse().move(at.x + 10, at.y + 18);
        // Still held, it has its section, its edge and what lies under it.
        assertThat(page.locator(".contour-card.is-tried .held")).containsText("slope of the forearm contour");
        page.mouse().up();
        assertThat(x).not().hasValue(before);
        assertThat(page.locator(".start-line[data-contour=forearm] path.mark")).isVisible();
        accessible();
        fits();
        card.getByText("Save it").click();
        assertThat(card).containsText("off the front");
        link("Lay it out, take it out").click();
        assertThat(page.locator(".layout-page")).containsText("The other line, on the edge");
        assertThat(page.locator(".layout-page table").first().locator("tbody tr"))
                .hasCount(6);
        accessible();
        fits();
        page.locator("#schools tr", new Page.LocatorOptions().setHasText("hand-saw kerfs"))
                .getByText("Take it")
                .click();
        assertThat(page.locator(".layout-page")).containsText("As its maker chose");
        go(shop.path("sedge") + "/bench?step=contour-forearm:carve");
        Locator rows = page.locator("[data-ledger] input");
        rows.nth(1).check();
        page.reload();
        assertThat(page.locator("[data-ledger] input").nth(1)).isChecked();
        assertThat(page.locator("[data-ledger] input").nth(2)).not().isChecked();
        accessible();
        fits();
        go(shop.path("sedge") + "/tiles?template=contour-forearm");
        assertThat(page.locator("main")).containsText(Pattern.compile("strip and gauge"));
        fits();
    }

    /** A corner is tried, its zones by hand are told with why, along a stretch then; kept it is a step, and taken out again. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_corner_is_rounded_over_along_a_stretch(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/edges");
        assertThat(page.locator(".edges-page")).containsText("No corner is rounded over");
        page.getByLabel("radius").fill("6 mm");
        button("Try it").click();
        assertThat(page.locator(".edges-page")).containsText("Tried, not saved.");
        accessible();
        fits();
        page.getByText("Along a part of the edge only").click();
        page.locator("#edge-fromx").fill("-150 mm");
        page.locator("#edge-fromy").fill("0 mm");
        page.locator("#edge-tox").fill("-60 mm");
        page.locator("#edge-toy").fill("-150 mm");
        page.locator("#edge-fade").fill("60 mm");
        button("Try it").click();
        assertThat(page.locator(".edges-page")).containsText("Tried, not saved.");
        page.locator("#keep-edge button").click();
        assertThat(page.locator("#keep-edge")).hasCount(0);
        assertThat(page.locator(".edges-page")).containsText("front round-over");
        go(shop.path("tussock") + "/bench?step=rounding-front:carve");
        assertThat(page.locator("main")).containsText("front round-over");
        go(shop.path("tussock") + "/edges");
        button("Remove it").click();
        assertThat(page.locator(".edges-page")).containsText("No corner is rounded over");
    }
}
