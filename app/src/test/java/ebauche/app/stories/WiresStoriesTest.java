package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Channels found, dragged and saved; the ground proved with a meter. */
class WiresStoriesTest extends Story {
    /** A body without channels is given its own; the ways and lengths of its wires are told at once. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void channels_are_found_tried_and_saved(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/design");
        for (int i = 0; i < 3; i++) {
            page.locator("input[name=leave-out][value='channels." + i + "']").check();
        }
        button("Save the design").first().click();
        go(shop.path("sedge") + "/wires");
        assertThat(page.getByText("No channel is drawn yet")).isVisible();
        assertThat(page.locator(".wire-list")).containsText("no way yet");
        link("Find channels").click();
        assertThat(page.locator(".gone").first()).containsText("No way is planned");
        assertThat(page.locator(".wire-list")).not().containsText("no way yet");
        assertThat(page.locator(".bores a")).hasCount(3);
        accessible();
        fits();
        button("Save the channels").click();
        page.waitForURL(Pattern.compile(".*/wires.*"));
        assertThat(page.locator("#keep")).hasCount(0);
        assertThat(page.locator(".bores a")).hasCount(3);
    }

    /** An end follows the hand: the chance while it moves, what it breaks when it is let go; the keys do the same. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void an_end_is_dragged_and_its_chance_follows(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/wires?channel=neck-pickup");
        assertThat(page.locator(".bore-says h2")).hasText("neck pickup channel");
        String before = page.locator(".chances").innerText();
        Locator end = page.locator(".depth-end[data-end=to]");
        end.scrollIntoViewIfNeeded();
        BoundingBox at = end.locator(".grip").boundingBox();
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
        page.mouse().down();
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2 - 10);
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2 - 18);
        assertThat(page.locator(".chances")).not().hasText(before);
        page.mouse().up();
        assertThat(page.locator("[data-rule=channel-comes-out]").first()).isVisible();
        assertThat(page.url()).contains("channel.neck-pickup.toUnder=");
        accessible();
        fits();
        link("Put it back").click();
        page.locator(".end[data-end=to]").focus();
        page.keyboard().press("Shift+ArrowRight");
        assertThat(page.getByText("tried, nothing saved yet")).isVisible();
    }

    /** The meter's stand-in with one bad bond: what it reads names the bond to look at. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_bad_bond_is_found_with_the_meter(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/shielding");
        button("Read the meter").click();
        assertThat(page.getByText("All is one node.")).isVisible();
        accessible();
        fits();
        link("Practise with a bad bond.").click();
        button("Read the meter").click();
        assertThat(page.getByText("Look at:")).isVisible();
        assertThat(page.locator(".meter-list li.bad")).hasCount(1);
        assertThat(page.locator(".bond.suspect")).hasCount(1);
        Locator first = page.locator("input[name^='ohms.']").first();
        first.fill("-3");
        button("Judge the readings").click();
        assertThat(page.getByText("Ohms are not below zero.")).isVisible();
        assertThat(page.locator("input[name^='ohms.']").first()).hasValue("-3");
    }
}
