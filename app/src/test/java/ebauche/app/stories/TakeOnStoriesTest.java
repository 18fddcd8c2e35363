package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A body from what lies on the bench to its first figure. */
class TakeOnStoriesTest extends Story {
    private static final String OWN_LINE = """
            <svg xmlns="http://www.w3.org/2000/svg" width="340mm" height="420mm" viewBox="0 0 340 420">
            <path id="body" d="M 20 0 L 320 0 C 340 60 335 300 300 420 L 40 420 C 5 300 0 60 20 0 Z"/></svg>""";

    private Locator field(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private Locator answer(String name) {
        return page.locator("[name='" + name + "']");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_maker_says_what_lies_there_sees_it_laid_out_and_comes_to_the_first_figure(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/bodies/take-on");
        field("Called").fill("Bracken");
        Locator drawing = page.locator(".laid-out");
        assertThat(drawing.locator(".string")).hasCount(6);
        field("Strings, 4 to 12").fill("7");
        assertThat(drawing.locator(".string")).hasCount(7);
        assertThat(page.locator("#said-strings")).containsText("63 mm apart");
        field("glued in").check();
        assertThat(page.locator("#said-neck .forecloses")).containsText("no shim");
        field("both cut back").check();
        answer("pickup-neck").selectOption("open");
        assertThat(page.locator(".open-choices")).containsText("neck pickup");
        assertThat(drawing.locator(".cut.open")).hasCount(1);
        accessible();
        fits();
        button("Take it on").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Bracken")))
                .isVisible();
        link("To the bench").click();
        assertThat(page.locator(".bench")).isVisible();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void what_cannot_be_is_told_where_it_was_asked_and_nothing_typed_is_lost(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/bodies/take-on");
        field("Scale length").fill("about right");
        button("Take it on").click();
        assertThat(page.locator(".field-trouble").first()).isVisible();
        assertThat(field("Scale length")).hasValue("about right");
        field("Called").fill("Bracken");
        field("Scale length").fill("580 mm");
        field("Frets").fill("24");
        answer("pickup-middle").selectOption("usual");
        answer("bridge").selectOption("usual:vibrato-posts");
        assertThat(page.locator("#said-pickups .cannot")).isVisible();
        assertThat(page.locator(".answer .cannot")).isVisible();
        accessible();
    }

    @Test
    void an_own_drawing_is_read_and_laid_on_the_neck(@TempDir Path folder) throws IOException {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        Path file = Files.writeString(folder.resolve("own.svg"), OWN_LINE);
        go("/bodies/take-on");
        field("Called").fill("Own");
        field("my own line").check();
        field("Drawing, SVG or DXF").setInputFiles(file);
        assertThat(answer("path")).hasValue(Pattern.compile("^M.*Z$"));
        assertThat(page.locator("#said-outline")).containsText("420 mm long");
        answer("centreOff").fill("2 mm");
        Path broken = Files.writeString(folder.resolve("broken.svg"), "<svg");
        field("Drawing, SVG or DXF").setInputFiles(broken);
        assertThat(page.locator("#own-line .notes")).isVisible();
        // What was read before stays, and how it is to be laid down.
        assertThat(answer("path")).hasValue(Pattern.compile("^M.*Z$"));
        assertThat(answer("centreOff")).hasValue("2 mm");
        assertThat(page.locator("#said-outline")).containsText("420 mm long");
        button("Take it on").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Own")))
                .isVisible();
        assertThat(page.url()).contains("/bodies/");
    }
}
