package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A maker looks what the bits reach, puts one in, and the passes at the bench follow. */
class CribStoriesTest extends Story {
    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_bit_goes_into_the_crib_and_the_passes_follow(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("marram") + "/bench?step=neck:start");
        assertThat(page.locator(".passes")).containsText("short pattern bit 1/2 in the plunge router");
        assertThat(page.locator(".passes")).containsText("template on");
        accessible();
        go("/crib");
        Locator half = page.locator(".bits > li")
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByRole(
                                AriaRole.LINK,
                                new Page.GetByRoleOptions()
                                        .setName("short pattern bit 1/2")
                                        .setExact(true))));
        assertThat(half.locator(".reach")).containsText("8.35 to 12.7 mm");
        assertThat(half).containsText("inside corner 6.35 mm");
        accessible();
        fits();
        half.getByRole(AriaRole.LINK).click();
        page.getByLabel("cutter's length", new Page.GetByLabelOptions().setExact(true))
                .fill("long");
        button("Save").click();
        assertThat(page.getByText("“long” is no length")).isVisible();
        page.locator("input[name=cutterLength]").fill("1 in");
        button("Save").click();
        assertThat(half.locator(".reach")).containsText("21.05 to 22.4 mm");
        go(shop.path("marram") + "/bench?step=neck:rough");
        // A bit that begins at 21 deep takes no such bite: others do.
        assertThat(page.locator(".passes")).containsText("pattern bit");
        assertThat(page.locator(".passes")).not().containsText("short pattern bit 1/2");
        fits();
    }
}
