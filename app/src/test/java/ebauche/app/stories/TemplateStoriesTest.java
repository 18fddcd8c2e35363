package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** An outline brought in, edited, mapped, planned and printed, by mouse and by keys, on both screens. */
class TemplateStoriesTest extends Story {
    private Locator place(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_point_is_dragged_typed_and_undone_and_the_outline_kept(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/template");
        link("Edit the curve").click();
        Locator judged = page.locator("#judged");
        assertThat(judged).containsText("tightest inside turn");
        String before = judged.innerText();
        Locator point = page.locator("#handles [data-grip=point]").nth(4);
        point.scrollIntoViewIfNeeded();
        BoundingBox at = point.locator(".dot").boundingBox();
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
        page.mouse().down();
        page.mouse().move(at.x + 20, at.y - 18);
        page.mouse().up();
        assertThat(judged).not().hasText(before);
        assertThat(button("Undo")).isEnabled();
        String dragged = place("to the treble side").inputValue();
        place("to the treble side").fill("-5 in");
        button("Put it there").click();
        assertThat(place("to the treble side")).hasValue("-127 mm");
        assertThat(dragged).isNotEqualTo("-127 mm");
        // A length that is none is answered, and nothing moved.
        place("to the neck").fill("up");
        button("Put it there").click();
        assertThat(judged).containsText("“up” is no length");
        accessible();
        button("Undo").click();
        button("Undo").click();
        assertThat(judged).containsText(before.split("\n")[2]);
        assertThat(button("Undo")).isDisabled();
        // A point carried across the body would make the outline cross itself: it is taken back.
        page.locator("#handles [data-grip=point]").nth(1).focus();
        place("to the treble side").fill("200 mm");
        place("to the neck").fill("-50 mm");
        button("Put it there").click();
        assertThat(judged).containsText("crosses or touches itself");
        page.locator("#handles [data-grip=point]").nth(1).focus();
        page.keyboard().press("Shift+ArrowUp");
        assertThat(judged).containsText("tightest inside turn");
        fits();
        button("Save this outline").click();
        page.waitForURL(Pattern.compile(".*/template$"));
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_makers_drawing_is_laid_down_mapped_planned_and_printed(Screen screen) throws Exception {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("marram") + "/template");
        page.getByLabel("Drawing").setInputFiles(Path.of("../exchange/src/test/resources/drawn/maker.dxf"));
        button("Look at it").click();
        assertThat(page.getByText("layer BODY, spline")).isVisible();
        accessible();
        button("This one").first().click();
        place("to the neck").fill("-12 mm");
        button("Lay it so").click();
        assertThat(page.getByText("333.5 mm across, 438.5 mm along")).isVisible();
        accessible();
        fits();
        button("Save this outline").click();
        // Grained and mapped.
        link("Feed").click();
        assertThat(page.locator("#feed-drawing .bite").first()).isVisible();
        place("Grain off the length, degrees").fill("12");
        button("Map it").click();
        assertThat(page.locator(".grain-arrow")).hasAttribute("aria-valuenow", "12");
        button("Save this grain").click();
        assertThat(page.locator(".grain-arrow")).hasAttribute("aria-valuenow", "12");
        // Planned with the starter crib. Its sharp inside corner at the neck is named, with what helps.
        link("Passes").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Outline")))
                .isVisible();
        assertThat(page.locator(".findings")).containsText("turns in the outline's corner");
        page.locator(".cuts a").nth(1).click();
        assertThat(page.locator(".pass-plan").first()).containsText("The cheapest");
        accessible();
        fits();
        // Printed.
        link("On paper").click();
        assertThat(page.locator(".tile-map")).containsText("B2");
        accessible();
        Download pdf = page.waitForDownload(() -> link("Download the PDF").click());
        assertThat(Files.size(pdf.path())).isGreaterThan(1000);
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void the_grain_is_turned_by_hand_and_by_keys_and_the_body_flipped(Screen screen) {
        open(screen, LengthUnit.INCH);
        go(shop.path("tussock") + "/feed");
        Locator arrow = page.locator(".grain-arrow");
        assertThat(arrow).hasAttribute("aria-valuenow", "0");
        arrow.focus();
        page.keyboard().press("PageDown");
        assertThat(arrow).hasAttribute("aria-valuenow", "10");
        BoundingBox knob = page.locator(".grain-arrow .knob").first().boundingBox();
        page.mouse().move(knob.x + knob.width / 2, knob.y + knob.height / 2);
        page.mouse().down();
        page.mouse().move(knob.x, knob.y + 60);
        page.mouse().up();
        assertThat(arrow).not().hasAttribute("aria-valuenow", "10");
        assertThat(page.getByText("The design is as it was.")).isVisible();
        String bites = page.locator("#feed-drawing .bite").count() + " bites";
        assertThat(page.locator(".feed-side")).containsText(bites);
        page.keyboard().press("f");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Back up")))
                .isVisible();
        accessible();
        fits();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_shallow_cover_wants_a_spacer_and_a_deep_pickup_cavity_two_guides(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/passes?cut=cover");
        assertThat(page.locator(".pass-table").first()).containsText("spacer");
        go(shop.path("tussock") + "/passes?cut=pickup-neck");
        assertThat(page.locator(".drilling")).isVisible();
        assertThat(page.locator(".pass-plan").nth(1)).containsText("Next best");
        fits();
    }
}
