package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import ebauche.app.testing.Story;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Length;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.json.JsonPaths;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A body changed on its drawing: what is pressed comes in hand, is moved, taken back, kept, and gone back to. */
class DesignStoriesTest extends Story {
    private Locator onPlan(String key) {
        return page.locator("#design-board .pressed[data-part='" + key + "']");
    }

    private Locator field(String name) {
        return page.locator("[name='" + name + "']");
    }

    private String kept(String body, String path) {
        return JsonPaths.text(bodies.head(shop.bodies().get(body)).design(), path);
    }

    private double across(String key) {
        return Length.parse(field(key + ".at.x").inputValue()).millimetres();
    }

    private void drag(Locator part, double right, double down) {
        BoundingBox at = part.locator(".over").first().boundingBox();
        double x = at.x + at.width / 2;
        double y = at.y + at.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x + right / 2, y + down / 2);
        page.mouse().move(x + right, y + down);
        page.mouse().up();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_pickup_is_pressed_moved_taken_back_and_kept_and_its_revision_gone_back_to(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/design");
        onPlan("pickups.1").click();
        assertThat(page.locator("#held")).containsText("Pickup bridge");
        assertThat(page.locator("#trial")).containsText("bridge pickup cavity, from the front");
        page.locator("#trial .why summary").first().click();
        assertThat(page.locator("#trial .sum")).containsText("room under it");
        accessible();
        fits();

        onPlan("pickups.1").focus();
        page.keyboard().press("ArrowRight");
        assertThat(field("pickups.1.at.y")).hasValue("44.95 mm");
        assertThat(page.locator("#trial .sum")).isVisible();
        page.keyboard().press("Shift+ArrowRight");
        assertThat(field("pickups.1.at.y")).hasValue("49.95 mm");
        assertThat(onPlan("pickups.1")).isFocused();
        assertThat(page.locator("#trial")).containsText("bridge pickup cavity, thinnest wall");
        assertThat(page.locator("#trial")).containsText("Breaks nothing");
        assertThat(page.locator(".design-parts .changed")).hasText("Pickup bridge");

        button("Undo").click();
        assertThat(field("pickups.1.at.y")).hasValue("44.95 mm");
        button("Undo").click();
        assertThat(field("pickups.1.at.y")).hasValue("1 3/4 in");
        assertThat(button("Undo")).isDisabled();
        assertThat(page.locator("#trial")).containsText("Nothing moves");
        button("Redo").click();
        button("Redo").click();
        assertThat(field("pickups.1.at.y")).hasValue("49.95 mm");
        button("Save the design").click();
        page.waitForURL(url -> url.endsWith(shop.path("tussock")));

        go(shop.path("tussock") + "/revisions");
        assertThat(page.locator("[data-revision='2']")).containsText("Pickup bridge, y, from the saddles");
        assertThat(page.locator("[data-revision='2']")).containsText("1 3/4 in");
        assertThat(page.locator("[data-revision='2']"))
                .containsText(shop.maker().name());
        accessible();
        fits();
        link("Go back to it").click();
        assertThat(page.locator(".design-bar")).containsText("Revision 1 taken up again, over revision 2");
        assertThat(page.locator("#trial")).containsText("bridge pickup cavity, thinnest wall");
        button("Save the design").click();
        page.waitForURL(url -> url.endsWith(shop.path("tussock")));
        assertThat(bodies.head(shop.bodies().get("tussock")).design())
                .isEqualTo(bodies.revision(shop.bodies().get("tussock"), 1)
                        .orElseThrow()
                        .design());
        go(shop.path("tussock") + "/revisions");
        assertThat(page.locator("[data-revision='3']")).containsText("The same as revision 1");
    }

    /** The hand goes on while the plan is made: no move is lost, whatever comes between. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void moves_that_come_faster_than_plans_add_up(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/design?held=controls.1");
        double before = across("controls.1");
        onPlan("controls.1").focus();
        for (int i = 0; i < 7; i++) {
            page.keyboard().press("ArrowDown");
            if (i == 3) {
                page.evaluate("document.querySelector(\"[name='name']\").value = 'Tussock two'");
                page.evaluate(
                        "document.querySelector(\"[name='name']\").dispatchEvent(new Event('input', {bubbles: true}))");
            }
        }
        assertThat(field("controls.1.at.x")).hasValue(plain(before + 3.5) + " mm");
        drag(onPlan("controls.1"), 0, -30);
        assertThat(field("controls.1.at.x")).not().hasValue(plain(before + 3.5) + " mm");
        assertThat(page.locator(".design-parts .changed")).hasCount(2);
        double moved = across("controls.1") - before - 3.5;
        assertThat(moved).isLessThan(-10);
        assertThat(moved * 2).as("moved by the shop's step").isEqualTo(Math.rint(moved * 2));
        button("Save the design").click();
        page.waitForURL(url -> url.endsWith(shop.path("tussock")));
        assertThat(kept("tussock", "name")).isEqualTo("Tussock two");
        assertThat(kept("tussock", "controls.1.at.x")).isEqualTo(plain(before + 3.5 + moved) + " mm");
    }

    private static String plain(double value) {
        return Decimals.plain(value, 4);
    }

    @Test
    void what_breaks_is_told_at_once_and_is_gone_with_undo() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/design?held=pickups.0");
        assertThat(page.locator("#trial h3")).hasCount(0);
        onPlan("pickups.0").focus();
        for (int i = 0; i < 5; i++) {
            page.keyboard().press("Shift+ArrowRight");
        }
        assertThat(page.locator("#trial h3")).hasText("Breaks");
        assertThat(page.locator("#trial .findings").first()).containsText("neck pocket");
        field("pickups.0.at.y").fill("no place");
        assertThat(page.locator("#trial")).containsText("Pickup neck, y, from the saddles: ");
        assertThat(page.locator("#trial")).containsText("is no length");
        onPlan("body").focus();
        for (int i = 0; i < 6; i++) {
            page.keyboard().press("z");
        }
        assertThat(page.locator("#trial h3")).hasCount(0);
        assertThat(page.locator("#trial")).containsText("Nothing moves");
    }

    /** An addition is drawn by the server; undo goes back before it and redo brings it again, what was typed in it among it. */
    @Test
    void undo_and_redo_go_over_an_addition() {
        open(Screen.DESK, LengthUnit.INCH);
        go(shop.path("sedge") + "/design?held=body");
        field("name").fill("Sedge with a third");
        assertThat(page.locator(".design-parts .changed")).hasText("Body");
        button("pickup").click();
        assertThat(page.locator("#held")).containsText("Pickup pickup");
        assertThat(button("Undo")).isEnabled();
        field("pickups.2.at.y").fill("5 1/2");
        assertThat(page.locator("#trial")).not().containsText("Nothing moves");
        assertThat(button("Redo")).isDisabled();
        button("Undo").click();
        button("Undo").click();
        assertThat(field("pickups.2.at.y")).hasCount(0);
        assertThat(field("name")).hasValue("Sedge with a third");
        button("Undo").click();
        assertThat(field("name")).hasValue("Sedge");
        button("Redo").click();
        button("Redo").click();
        assertThat(field("pickups.2.at.y")).hasValue("80 mm");
        button("Redo").click();
        assertThat(field("pickups.2.at.y")).hasValue("5 1/2");
        page.locator("[name='leave-out'][value='pickups.2']").check();
        assertThat(onPlan("pickups.2")).hasCount(0);
        button("Undo").click();
        assertThat(onPlan("pickups.2")).hasCount(1);
        assertThat(page.locator("[name='leave-out'][value='pickups.2']")).not().isChecked();
    }

    @Test
    void an_edit_that_was_left_can_be_taken_up_again() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/design?held=pickups.1");
        onPlan("pickups.1").focus();
        page.keyboard().press("ArrowLeft");
        assertThat(field("pickups.1.at.y")).hasValue("43.95 mm");
        go(shop.path("tussock"));
        go(shop.path("tussock") + "/design");
        assertThat(field("pickups.1.at.y")).hasValue("1 3/4 in");
        button("Take it up again").click();
        assertThat(field("pickups.1.at.y")).hasValue("43.95 mm");
        assertThat(page.locator("#trial")).containsText("Breaks nothing");
        button("Undo").click();
        assertThat(field("pickups.1.at.y")).hasValue("1 3/4 in");
    }

    /** By the keyboard alone: a field is found by its name, typed, and saved. */
    @Test
    void a_field_is_found_by_its_name() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/design");
        page.keyboard().press("a");
        assertThat(page.locator("#find-field")).isFocused();
        page.keyboard().type("Neck, fret height");
        page.keyboard().press("Tab");
        assertThat(page.locator("#held [name='neck.fretHeight']")).isFocused();
        page.keyboard().press("ControlOrMeta+a");
        page.keyboard().type("1.3 mm");
        assertThat(page.locator("#trial")).containsText("numbers move");
        page.keyboard().press("Enter");
        page.waitForURL(url -> url.endsWith(shop.path("sedge")));
        assertThat(bodies.head(shop.bodies().get("sedge")).number()).isEqualTo(2);
    }

    /** With no script the list leads to the part, the form saves. */
    @Test
    void every_part_on_the_plan_has_its_part_in_the_form() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        for (String name : shop.bodies().keySet()) {
            go(shop.path(name) + "/design");
            int parts = page.locator("#design-board .pressed").count();
            assertThat(parts).as(name).isGreaterThan(4);
            for (Locator part : page.locator("#design-board .pressed").all()) {
                String key = part.getAttribute("data-part");
                assertThat(page.locator(".design-parts [data-part='" + key + "']"))
                        .hasCount(1);
            }
        }
        page.locator(".design-parts a").last().click();
        page.waitForURL(Pattern.compile(".*held=.*"));
        assertThat(page.locator("#held .design-part")).hasCount(1);
        assertThat(page.locator("#held .design-part[open]")).hasCount(1);
    }
}
