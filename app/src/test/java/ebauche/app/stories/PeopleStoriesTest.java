package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A second maker comes into a shop, as the two of them see it. */
class PeopleStoriesTest extends Story {
    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_second_maker_is_let_in_and_finds_the_shops_bodies(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/ways");
        link("Who works here").click();
        accessible();
        fits();
        page.getByText("Let somebody in").click();
        Locator code = page.locator(".invite-code");
        assertThat(code).isVisible();
        String told = code.textContent();
        accessible();
        fits();
        // The tablet goes to the other bench.
        page.context().clearCookies();
        go("/sign-in");
        link("I have a code of somebody’s shop").click();
        accessible();
        fits();
        page.locator("input[name=code]").fill(told);
        page.locator("input[name=name]").fill("Second " + System.nanoTime());
        page.locator("input[name=password]").fill("a password of mine");
        page.locator("button", new Page.LocatorOptions().setHasText("Come into a shop"))
                .click();
        assertThat(page.locator("main")).containsText("Sedge");
    }
}
