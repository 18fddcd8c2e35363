package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** From the shop floor to a design that is kept, as a maker walks it at the desk or with a tablet: one story a test. */
class BodyStoriesTest extends Story {
    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_maker_opens_the_demo_shop_and_sees_its_bodies_in_progress(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/");
        button("Sign out").click();
        assertThat(page.getByText("You are signed out.")).isVisible();
        button("Open the demo shop").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Low Barn Bodies")))
                .isVisible();
        assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(DemoBodies.NAMES.size());
        Locator shale = page.getByRole(AriaRole.ARTICLE).filter(new Locator.FilterOptions().setHasText("Shale"));
        assertThat(shale).containsText("stops the build");
        assertThat(shale).containsText("stands 6 mm out of the back");
        assertThat(page.getByRole(AriaRole.ARTICLE).filter(new Locator.FilterOptions().setHasText("Sedge")))
                .containsText("Rout the neck pocket to depth");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_maker_opens_a_shop_of_their_own_and_takes_a_body_on(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/");
        button("Sign out").click();
        Locator form = page.locator("form").filter(new Locator.FilterOptions().setHasText("Open a shop of your own"));
        form.getByLabel("Shop").fill("Far Field");
        form.getByLabel("Your name").fill("ida " + System.nanoTime());
        form.getByLabel("Password, 10 characters or more").fill("quite long enough");
        form.getByLabel("inches").check();
        button("Open the shop").click();
        assertThat(page.getByText("No body yet.")).isVisible();
        link("New body").click();
        link("From one of ours, or from a file").click();
        page.getByLabel("Called").fill("Bramble");
        page.getByLabel("Sedge").check();
        button("Add this body").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("No. 1 Bramble")))
                .isVisible();
        assertThat(page.locator("#pocket-depth")).containsText("0.946 in");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void the_body_is_drawn_with_its_ordered_steps_and_rehearsed_along_the_rule(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge"));
        assertThat(page.getByText("Step 17 of 76")).isVisible();
        assertThat(page.locator("#section-length")).isVisible();
        assertThat(page.locator("#section-cross")).isVisible();
        assertThat(page.getByText("from the edge")).isVisible();
        page.getByLabel("Next step").click();
        assertThat(page.getByText("Step 18 of 76")).isVisible();
        page.locator("a.division[data-step='outline:saw'] .bar").click();
        assertThat(page.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName("Saw the outline outside the line")))
                .isVisible();
        assertThat(page.locator(".rule")).containsText("a slip here costs");
        page.getByText("Why here?").click();
        assertThat(page.locator(".reasons")).containsText("needs the outline drawn on the front");
        assertThat(page).hasURL(Pattern.compile("step=outline"));
        page.reload();
        assertThat(page.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName("Saw the outline outside the line")))
                .isVisible();
        fits();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void flipping_the_body_mirrors_it_as_in_the_hand(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge"));
        assertThat(page.locator(".board-head")).containsText("Front up");
        String before = page.locator("#board .body-wood").first().getAttribute("d");
        page.keyboard().press("f");
        assertThat(page.locator(".board-head")).containsText("Back up");
        assertThat(page.locator("#board .body-wood").first().getAttribute("d")).isNotEqualTo(before);
        link("Flip the body").click();
        assertThat(page.locator(".board-head")).containsText("Front up");
    }

    @Test
    void the_section_line_is_dragged_and_the_section_follows() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        go(shop.path("sedge"));
        Locator line = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("lengthwise section"));
        String before = page.locator("#section-length .wood").getAttribute("d");
        BoundingBox box = line.locator(".handle").boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse()
                .move(box.x + box.width / 2, box.y + 60, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(8));
        page.mouse().up();
        assertThat(page.locator("#board .length-caption")).containsText("on the treble side");
        assertThat(page.locator("#section-length .wood")).not().hasAttribute("d", before);
        assertThat(page).hasURL(Pattern.compile("x="));
    }

    @Test
    void the_section_line_follows_a_finger_on_a_tablet() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        go(shop.path("sedge"));
        BoundingBox box = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("lengthwise section"))
                .locator(".handle")
                .boundingBox();
        CDPSession touch = page.context().newCDPSession(page);
        double x = box.x + box.width / 2;
        touch(touch, "touchStart", x, box.y + box.height / 2);
        for (int i = 1; i <= 6; i++) {
            touch(touch, "touchMove", x, box.y + box.height / 2 + 10 * i);
        }
        assertThat(page.locator("#board .length-caption")).containsText("on the treble side");
        touch.send("Input.dispatchTouchEvent", touchEvent("touchEnd"));
        assertThat(page).hasURL(Pattern.compile("x="));
    }

    @Test
    void the_section_line_moves_by_keys_alone() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "?x=10");
        Locator line = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("lengthwise section"));
        line.focus();
        page.keyboard().press("ArrowDown");
        assertThat(line).hasAttribute("aria-valuenow", "11");
        page.keyboard().press("PageUp");
        assertThat(line).hasAttribute("aria-valuenow", "1");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void changing_neck_and_bridge_numbers_tells_at_once_how_deep_and_why(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/design?held=neck");
        page.getByText("The whole form").click();
        page.locator(".design-whole [data-part=bridge] > summary").click();
        assertThat(page.locator("#pocket-depth")).containsText("24.05");
        page.getByLabel("neck angle, degrees").fill("2");
        page.getByLabel("end wall to saddle line").fill("150 mm");
        page.getByLabel("saddle to aim for (empty: middle)").fill("15");
        assertThat(page.locator("#pocket-depth")).containsText("26.3");
        page.getByText("Why?").first().click();
        assertThat(page.locator("#trial .sum")).containsText("d tan α");
        assertThat(page.locator("#trial .sum")).containsText("26.31 mm");
        page.getByLabel("fret height").fill("1.3 mm");
        assertThat(page.locator("#trial .sum")).containsText("26.41 mm");
        assertThat(page.locator("#trial .sum")).isVisible();
        page.getByLabel("fret height").fill("1.2 mm");
        assertThat(page.locator("#trial")).containsText("numbers move");
        page.getByLabel("saddle to aim for (empty: middle)").fill("30 mm");
        assertThat(page.locator("#trial")).containsText("outside the bridge's range");
        page.getByLabel("heel thickness, without fingerboard").fill("one inch");
        assertThat(page.locator("#trial")).containsText("is no length");
        assertThat(bodies.head(shop.bodies().get("sedge")).number()).isEqualTo(1);
        fits();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_design_is_kept_as_the_next_revision(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("shale") + "/design?held=bridge");
        assertThat(page.locator("#trial")).containsText("stands 6 mm out of the back");
        page.locator("#held .design-rest > summary").click();
        page.getByLabel("block reaches under its plate").fill("32 mm");
        assertThat(page.locator("#trial")).not().containsText("out of the back");
        assertThat(page.locator("#trial .findings .stops")).hasCount(0);
        button("Save the design").click();
        page.waitForURL(url -> url.endsWith(shop.path("shale")));
        assertThat(page.getByText("stops the build")).hasCount(0);
        assertThat(bodies.head(shop.bodies().get("shale")).number()).isEqualTo(2);
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void the_second_of_two_editors_is_shown_the_difference(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/design?held=body");
        Page other = signIn(screen);
        other.navigate(address() + shop.path("sedge") + "/design?held=neck");
        other.getByLabel("heel thickness, without fingerboard").fill("25.9 mm");
        other.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Save the design"))
                .click();
        other.waitForURL(url -> url.endsWith(shop.path("sedge")));
        page.getByLabel("finished thickness").fill("43 mm");
        button("Save the design").click();
        assertThat(page.locator("#difference")).containsText("saved revision 2 while you were editing");
        assertThat(page.locator("#difference")).containsText("25.9 mm");
        assertThat(page.getByLabel("finished thickness")).hasValue("43 mm");
        button("Save the design").click();
        page.waitForURL(url -> url.endsWith(shop.path("sedge")));
        assertThat(bodies.head(shop.bodies().get("sedge"))
                        .design()
                        .path("neck")
                        .path("heelThickness")
                        .asString())
                .isEqualTo("25.9 mm");
    }

    @Test
    void a_number_that_was_measured_says_that_the_reading_stands_in_its_place() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/design?held=neck");
        assertThat(page.locator("label").filter(new Locator.FilterOptions().setHasText("heel thickness")))
                .containsText("Read 25.4 mm at the bench");
        page.getByLabel("heel thickness, without fingerboard").fill("27 mm");
        page.getByText("Why?").first().click();
        assertThat(page.locator("#trial .sum")).containsText("measured, read Thu 5 Nov");
        assertThat(page.locator("#pocket-depth")).containsText("24.05");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_body_leaves_and_comes_back_as_an_open_file(Screen screen, @TempDir Path folder) throws IOException {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock"));
        Download download = page.waitForDownload(() -> link("Download").click());
        Path file = folder.resolve(download.suggestedFilename());
        download.saveAs(file);
        assertThat(BuildFile.read(Files.readAllBytes(file)).build().design().name())
                .isEqualTo("Tussock");
        go("/bodies/take-on/other");
        page.getByLabel("File").setInputFiles(file);
        button("Import it").click();
        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName("No. " + (DemoBodies.NAMES.size() + 1) + " Tussock")))
                .isVisible();
        Path half = Files.write(folder.resolve("half.json"), java.util.Arrays.copyOf(Files.readAllBytes(file), 400));
        go("/bodies/take-on/other");
        page.getByLabel("File").setInputFiles(half);
        button("Import it").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Nothing was imported");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_change_typed_after_the_sign_in_ran_out_leads_to_the_door_and_not_into_the_page(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/design?held=neck");
        page.context().clearCookies();
        page.getByLabel("fret height").fill("1.3 mm");
        assertThat(page.getByText("Your sign-in ran out.")).isVisible();
    }

    @Test
    void everything_of_a_build_is_reached_by_keys_alone() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        go(shop.path("sedge"));
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).isVisible();
        page.keyboard().press("Escape");
        page.keyboard().press("n");
        assertThat(page.getByText("Step 18 of 76")).isVisible();
        page.keyboard().press("p");
        assertThat(page.getByText("Step 17 of 76")).isVisible();
        assertThat(page.locator("#later")).hasAttribute("title", "key n");
        page.keyboard().press("w");
        assertThat(page.locator(".card-of-step .figure-row .sum")).isVisible();
        page.keyboard().press("b");
        page.waitForURL(url -> url.contains("/bench"));
        page.keyboard().press("d");
        page.waitForURL(url -> url.endsWith("/depths"));
        go(shop.path("sedge") + "/bench");
        page.keyboard().press("e");
        page.waitForURL(url -> url.endsWith("/design"));
        go(shop.path("sedge") + "/bench");
        page.keyboard().press("l");
        page.waitForURL(url -> url.endsWith("/log"));
    }

    /** A press on a line takes back that line's entry and no other, on the log of the shop and on the body's own. */
    @Test
    void an_entry_is_withdrawn_by_a_press_on_its_line() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        go("/log?sought=sedge&kind=reading");
        Locator lines = page.locator("tbody tr");
        String first = lines.nth(0).locator("td").nth(3).innerText();
        String second = lines.nth(1).locator("td").nth(3).innerText();
        lines.nth(1).getByText("Withdraw").click();
        assertThat(page.locator("td.gone")).hasText(second);
        assertThat(page.url()).contains("sought=sedge", "kind=reading");
        go(shop.path("sedge") + "/record");
        assertThat(page.locator("td.gone")).hasCount(1);
        assertThat(page.locator("td.gone")).hasText(second);
        page.locator("tr")
                .filter(new Locator.FilterOptions().setHasText(first))
                .first()
                .getByText("Withdraw")
                .click();
        page.waitForURL(url -> url.endsWith("/record"));
        assertThat(page.locator("td.gone")).hasCount(2);
    }

    private static void touch(CDPSession session, String type, double x, double y) {
        JsonObject point = new JsonObject();
        point.addProperty("x", x);
        point.addProperty("y", y);
        JsonObject event = touchEvent(type);
        event.getAsJsonArray("touchPoints").add(point);
        session.send("Input.dispatchTouchEvent", event);
    }

    private static JsonObject touchEvent(String type) {
        JsonObject event = new JsonObject();
        event.addProperty("type", type);
        event.add("touchPoints", new JsonArray());
        return event;
    }

    /** On a tablet held upright, and on narrower ones, the groups of a body's pages stand in one line. */
    @Test
    void the_pages_of_a_body_stand_in_one_line_on_a_tablet() {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/x-ray");
        for (int width : new int[] {768, 800, 820, 834, 900, 1280}) {
            page.setViewportSize(width, 1180);
            assertThat(
                            page.locator(".spine")
                                    .evaluate(
                                            "s => new Set([...s.querySelectorAll('a')].map(a => a.getBoundingClientRect().bottom)).size"))
                    .as("lines at %s", width)
                    .isEqualTo(1);
        }
    }

    /** A hollow is asked for, solved for a mass, followed by its link; the guitar's balance is two presses away. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_hollow_is_reckoned_and_its_balance_looked_at(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/hollow");
        page.getByLabel("it is to weigh, kg").fill("2.5");
        button("Reckon it").click();
        page.locator(".solved a").first().click();
        assertThat(page.locator(".card-of-step")).containsText("2.50 kg are left");
        accessible();
        fits();
        page.getByLabel("wall to the edge").fill("300 mm");
        button("Reckon it").click();
        assertThat(page.locator(".field-trouble")).containsText("must lie between");
        assertThat(page.getByLabel("wall to the edge")).hasValue("300 mm");
        view("Check", "Weight and balance");
        assertThat(page.locator(".hang .strap")).hasCount(2);
        assertThat(page.locator(".hang-says")).containsText("over level the neck stays by itself");
        accessible();
        fits();
    }

    /** The wall follows the hand: the drawing and its sums are reckoned as it moves, the page when it is let go; a margin says what it does. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void the_wall_of_a_hollow_is_dragged_and_a_margin_moved(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/hollow");
        String before = page.locator("#hollow-sums strong").first().innerText();
        page.getByLabel("Drag the wall").focus();
        page.keyboard().press("PageUp");
        assertThat(page.locator("#hollow-sums strong").first()).not().hasText(before);
        assertThat(page).hasURL(Pattern.compile("wall="));
        page.getByLabel("Wood round control cavity").fill("12 mm");
        button("Reckon it").click();
        assertThat(page.locator(".moved")).containsText("less go out");
        accessible();
        fits();
    }

    /** A hollow body half way: what is still to be done is reached from the step that closes it, and ticked off before it does. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_hollow_body_is_closed_when_all_is_seen_to(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("fescue") + "/bench?step=blank:top");
        assertThat(page.locator(".closes")).containsText("nobody reaches it once this is");
        accessible();
        fits();
        page.locator(".closes li a").first().click();
        assertThat(page.getByRole(AriaRole.HEADING).first()).isVisible();
        for (int i = 0; i < 20 && page.locator(".closes").count() == 0; i++) {
            button("Done, next step").click();
        }
        assertThat(page.locator(".closes input").first()).isVisible();
        button("Done, next step").click();
        assertThat(page.locator("#logged")).not().containsText("Glue the top on");
        for (Locator tick : page.locator(".closes input").all()) {
            tick.check();
        }
        button("Done, next step").click();
        assertThat(page.locator("#logged")).containsText("Glue the top on");
    }
}
