package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import ebauche.exchange.table.TimberFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A maker at the rack: boards, moisture, faults, tables. */
class TimberStoriesTest extends Story {

    private Locator choice(String label) {
        return page.getByRole(
                AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(label).setExact(true));
    }

    private Locator labelled(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private Locator row(String board) {
        return page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByRole(
                                AriaRole.LINK,
                                new Page.GetByRoleOptions().setName(board).setExact(true))));
    }

    private void putBoard(String name, String timber, String length, String width, String thickness) {
        go("/timber/new");
        labelled("Mark").fill(name);
        choice("Timber").selectOption(timber);
        labelled("Length").fill(length);
        labelled("Width").fill(width);
        labelled("Thickness, measured or in quarters (8/4)").fill(thickness);
        button("Put it on the rack").click();
        page.waitForURL(url -> !url.endsWith("/new"));
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void the_rack_says_which_boards_are_ready_and_the_air_changes_that(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/timber");
        assertThat(row("A1")).containsText("Ready");
        assertThat(row("A5")).containsText("days");
        assertThat(row("R2")).containsText("Not measured");
        labelled("Temperature, °C").fill("20");
        labelled("Humidity, %").fill("80");
        button("Log").click();
        assertThat(page.getByText("80 % relative, typed")).isVisible();
        assertThat(row("A1")).containsText("days");
        assertThat(row("A1")).containsText("swell");
        button("Read the hygrometer").click();
        assertThat(page.getByText("simulated hygrometer")).isVisible();
        labelled("Humidity, %").fill("400");
        labelled("Temperature, °C").fill("20");
        button("Log").click();
        assertThat(page.getByText("The humidity was not read: it can be 2 to 98 %."))
                .isVisible();
        choice("Timber").selectOption("black walnut");
        button("Show").click();
        assertThat(page.locator(".boards > li")).hasCount(3);
        fits();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_board_in_quarters_is_put_up_measured_and_its_knot_drawn(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        putBoard("K7", "black cherry", "1000 mm", "7 1/2 in", "8/4");
        assertThat(page.locator(".plank.large")).containsText("190.5");
        assertThat(page.getByText("never measured")).isVisible();
        labelled("Meter, %").fill("400");
        button("Log reading").click();
        assertThat(page.getByText("Read 400 %; wood in a shop holds at most 150 %"))
                .isVisible();
        labelled("Meter, %").fill("13.5");
        button("Log reading").click();
        assertThat(page.getByText("until it is ready")).isVisible();

        BoundingBox box = page.locator(".plank.large .wood").first().boundingBox();
        page.mouse().move(box.x + box.width * 0.4, box.y + box.height * 0.3);
        page.mouse().down();
        page.mouse().move(box.x + box.width * 0.45, box.y + box.height * 0.5);
        page.mouse().up();
        assertThat(labelled("from the near end")).hasValue(java.util.regex.Pattern.compile("4\\d\\d mm|39\\d mm"));
        choice("What").selectOption("knot");
        button("Mark the fault").click();
        assertThat(page.locator(".faults")).containsText("right through");
        assertThat(page.locator(".plank .knot")).hasCount(1);

        labelled("long").fill("5000 mm");
        labelled("from the near end").fill("10 mm");
        labelled("from the marked edge").fill("10 mm");
        labelled("wide").fill("10 mm");
        button("Mark the fault").click();
        assertThat(page.getByRole(AriaRole.ALERT)
                        .filter(new Locator.FilterOptions().setHasText("lies outside the board")))
                .isVisible();
        assertThat(labelled("long")).hasValue("5000 mm");
        assertThat(page.locator(".plank .knot")).hasCount(1);
        accessible();
        fits();
    }

    @ParameterizedTest
    @EnumSource(value = Screen.class, names = "DESK")
    void a_table_of_boards_is_looked_at_first_and_its_good_rows_kept_when_told_to(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/timber/table");
        String csv = """
                name,species,length,width,thickness,moisture,measured on
                T1,ash,900 mm,200 mm,8/4,9.5,2026-11-01
                T2,ash,900 mm,0 mm,52 mm,,
                T3,ash,900,200 mm,52 mm,,
                T4,ash,900 mm,200 mm,52 mm,400,2026-11-01
                T5,=2+2,900 mm,200 mm,52 mm,,
                """;
        bring(csv);
        assertThat(page.getByText("4 rows cannot be read")).isVisible();
        assertThat(page.locator("main")).containsText("line 3: width must lie between 5 and 1200, and is 0");
        assertThat(page.locator("main")).containsText("line 4: length “900” has no unit");
        assertThat(page.locator("main")).containsText("line 5: moisture must lie between 0 and 150, and is 400");
        assertThat(page.locator("main")).containsText("line 6: species “=2+2” is no timber known here");
        go("/timber");
        assertThat(row("T1")).hasCount(0);
        go("/timber/table");
        bring(csv);
        button("Put it on the rack").click();
        assertThat(row("T1")).isVisible();
        assertThat(row("T2")).hasCount(0);

        Download download = page.waitForDownload(() -> link("Download as CSV").click());
        try {
            String out = Files.readString(download.path());
            assertThat(out).contains("T1,ash,900 mm,200 mm,8/4").contains("9.5,2026-11-01");
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private void bring(String csv) {
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload("rack.csv", "text/csv", csv.getBytes(StandardCharsets.UTF_8)));
        button("Look at it").click();
    }

    @ParameterizedTest
    @EnumSource(value = Screen.class, names = "TABLET")
    void a_shop_adds_its_own_timber_and_a_board_of_it(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/timber/timbers");
        assertThat(page.locator("tbody tr")).hasCount(TimberFile.SHIPPED.all().size());
        String header =
                "key,name,density,density from,tangential,radial,movement from,hardness,hardness from,dust,dust from\n";
        String bad = header + "pear,pear wood,71000,our scale,0.004,0.002,our bench,7400,our bench,,\n";
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload("own.csv", "text/csv", bad.getBytes(StandardCharsets.UTF_8)));
        button("Add them").click();
        assertThat(page.getByText("line 2: density must lie between 80 and 1400, and is 71000"))
                .isVisible();
        String good = bad.replace("71000", "710");
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload("own.csv", "text/csv", good.getBytes(StandardCharsets.UTF_8)));
        button("Add them").click();
        assertThat(page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("pear wood")))
                .containsText("the shop's own");
        putBoard("Q1", "pear wood", "700 mm", "200 mm", "52 mm");
        assertThat(page.locator("main")).containsText("pear wood");
    }

    @ParameterizedTest
    @EnumSource(value = Screen.class, names = "DESK")
    void of_two_makers_who_change_a_board_the_second_is_told(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/timber");
        row("E1").getByRole(AriaRole.LINK).first().click();
        Page other = signIn(screen);
        other.navigate(page.url());
        other.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Remove the knot 1"))
                .click();
        assertThat(other.getByText("None marked.")).isVisible();
        page.getByText("Change its sizes or its name").click();
        labelled("Width").fill("204 mm");
        button("Save").click();
        assertThat(page.getByText("was changed meanwhile. Nothing of yours was saved"))
                .isVisible();
        assertThat(page.getByText("None marked.")).isVisible();
    }

    @ParameterizedTest
    @EnumSource(value = Screen.class, names = "TABLET")
    void the_shops_ways_are_kept_and_a_clamp_of_no_force_is_refused_in_its_place(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go("/ways");
        labelled("force in newtons, clamps 1").fill("0");
        button("Save shop settings").click();
        assertThat(page.getByText("must lie between 50 and 40000, and is 0")).isVisible();
        assertThat(labelled("force in newtons, clamps 1")).hasAttribute("aria-invalid", "true");
        labelled("force in newtons, clamps 1").fill("5000");
        labelled("measured off square, degrees").fill("0.5");
        choice("neighbours cut one face up, one face down").selectOption("no, all the same face up");
        button("Save shop settings").click();
        assertThat(page.getByText("Saved.")).isVisible();
        go(shop.path("tussock") + "/glue-up");
        // 2 x 2 in x tan 0.5 degrees
        assertThat(page.locator("main")).containsText("0.89 mm");
        assertThat(page.locator("main")).containsText("gape more than this glue bridges");
        accessible();
    }
}
