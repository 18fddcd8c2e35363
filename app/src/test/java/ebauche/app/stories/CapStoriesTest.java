package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import ebauche.app.testing.Story;
import ebauche.app.testing.Visitor;
import ebauche.core.measure.LengthUnit;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.node.ObjectNode;

/** Plates sawn off a blank and glued back over a hollow core; a new cap on a body that was built: at the desk and on a tablet. */
class CapStoriesTest extends Story {
    private Visitor maker() {
        return new Visitor(address()).signIn(shop.maker().name(), PASSWORD);
    }

    /** A blank of sixty millimetres gives both plates; its core is hollowed out with supports, and both glue-ups stand on their sheet. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void plates_are_sawn_off_and_the_core_hollowed_between_them(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        ObjectNode file = maker().fileOf(shop.path("sedge"));
        file.remove("asBuilt");
        file.withObject("/design/blank").put("thickness", "60 mm").remove(List.of("strips", "flaws"));
        String here = maker().takenOn(file);
        go(here + "/hollow");
        page.locator("#to-cap").click();
        page.getByLabel("front plate sawn off").fill("9 mm");
        page.getByLabel("back plate sawn off").fill("10 mm");
        button("Reckon it").click();
        assertThat(page.locator(".cap-page")).containsText("The blank gives it");
        accessible();
        fits();
        button("Put these plates into the design").click();
        assertThat(page.locator(".cap-page")).containsText("The design has these plates");
        link("Hollow it out").click();
        page.getByLabel("leave supports that carry the router").check();
        button("Reckon it").click();
        accessible();
        fits();
        page.locator("#keep-hollow button").click();
        go(here);
        for (String step : List.of("Saw the front plate off", "Saw the back plate off", "Glue the back plate on")) {
            assertThat(page.locator("main")).containsText(step);
        }
        go(here + "/glue-up");
        assertThat(page.locator("main")).containsText("The back plate onto the core");
        accessible();
        fits();
        go(here + "/bench");
        button("Done, next step").click();
        assertThat(page.locator("#logged")).isVisible();
        go(here + "/bench?step=blank:saw-back");
        assertThat(page.locator("main")).containsText("Saw the back plate off each piece of the blank");
        accessible();
        fits();
    }

    /** Reckoned, made a job, and begun: what it buries is marked, and the old front planed. */
    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_body_is_capped_anew(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/hollow");
        page.locator("#to-cap").click();
        page.getByLabel("new cap on the old body").fill("4 mm");
        button("Reckon it").click();
        assertThat(page.locator(".cap-page")).containsText("4 mm higher");
        accessible();
        fits();
        button("Make it a job").click();
        assertThat(page.locator(".cap-page")).containsText("Its steps stand in the plan");
        link("To the steps").click();
        assertThat(page.locator("main")).containsText("Mark what the new cap will bury");
        go(shop.path("sedge") + "/bench?step=new-cap:rout");
        assertThat(page.locator("main")).containsText("Open the new cap along the old walls");
        assertThat(page.locator("main")).containsText("bearing on the old wall");
        accessible();
        fits();
    }
}
