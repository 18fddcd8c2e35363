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

/** Channels found, dragged, saved and read; a place for the jack; the ground proved with a meter. */
class WiresStoriesTest extends Story {
    /** A body without channels is given its own; the ways and lengths of its wires are told at once. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void channels_are_found_tried_and_saved(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/design");
        page.getByText("The whole form").click();
        for (int i = 0; i < 3; i++) {
            page.locator(".design-whole [data-part='channels." + i + "'] > summary")
                    .click();
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
        button("Save the readings").click();
        page.waitForURL(Pattern.compile(".*saved.*"));
        assertThat(page.getByText("Saved in the record.")).isVisible();
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

    /** A jack is given another place: numbered on the body and in the list, tried, kept. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void the_jack_is_given_a_place(Screen screen) {
        open(screen, LengthUnit.INCH);
        go(shop.path("tussock") + "/wires");
        link("Where the jack can stand").click();
        Locator places = page.locator(".ways-ranked a");
        assertThat(places.first()).isVisible();
        int offered = places.count();
        assertThat(page.locator(".jack-number")).hasCount(offered);
        accessible();
        fits();
        places.first().click();
        assertThat(page.getByText("tried, nothing saved yet")).isVisible();
        button("Save the channels").click();
        page.waitForURL(Pattern.compile(".*/wires(\\?.*)?$"));
        assertThat(page.locator("#keep")).hasCount(0);
    }

    /** A channel is drilled and read at the bench; from then on it lies there, and no hand drags it. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_drilled_channel_is_read(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/bench?step=channel-neck-pickup:drill");
        button("Done, next step").click();
        page.waitForURL(Pattern.compile(".*logged=.*"));
        go(shop.path("sedge") + "/bench?step=channel-neck-pickup:drill");
        assertThat(page.locator("select[name=measures]")).hasValue("bore-lower:channel-neck-pickup");
        button("Keypad").click();
        page.locator("[data-key='3']").click();
        button("Log reading").click();
        assertThat(page.locator("#logged")).containsText("too low where it comes out 3 mm");
        assertThat(page.locator("select[name=measures]")).hasValue("bore-aside:channel-neck-pickup");
        accessible();
        fits();
        go(shop.path("sedge") + "/wires?channel=neck-pickup");
        assertThat(page.getByText("It is drilled, and lies where it was drilled."))
                .isVisible();
        assertThat(page.locator(".end, .depth-end")).hasCount(0);
        accessible();
        fits();
    }
}
