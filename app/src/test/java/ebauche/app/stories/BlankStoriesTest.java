package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** From the rack to a flat blank of the right thickness. */
class BlankStoriesTest extends Story {

    private Locator choice(String label) {
        return page.getByRole(
                AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(label).setExact(true));
    }

    private Locator labelled(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    /** A board just large enough for Sedge, with a knot in its middle. */
    private void putKnottyBoard() {
        go("/timber/new");
        labelled("Mark").fill("K1");
        choice("Timber").selectOption("black cherry");
        labelled("Length").fill("536 mm");
        labelled("Width").fill("412 mm");
        labelled("Thickness, measured or in quarters (8/4)").fill("8/4");
        button("Put it on the rack").click();
        choice("What").selectOption("knot");
        labelled("from the near end").fill("256 mm");
        labelled("from the marked edge").fill("194 mm");
        labelled("long").fill("24 mm");
        labelled("wide").fill("24 mm");
        button("Mark the fault").click();
        assertThat(page.locator(".faults")).containsText("knot");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void the_outline_is_dragged_off_a_knot(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        putKnottyBoard();
        go(shop.path("sedge") + "/blank?timber=cherry&most=1&room=20+mm");
        Locator fates = page.locator(".fates");
        // The planner put the knot where a pickup's cavity takes it; dragged away from there it shows.
        assertThat(fates).not().containsText("shows on the front");
        page.locator(".drag-body .outline").scrollIntoViewIfNeeded();
        BoundingBox body = page.locator(".drag-body .outline").boundingBox();
        double perMm = body.width / 423.2; // the outline's own length
        page.mouse().move(body.x + body.width * 0.3, body.y + body.height * 0.5);
        page.mouse().down();
        page.mouse().move(body.x + body.width * 0.3 - 10 * perMm, body.y + body.height * 0.5);
        page.mouse().move(body.x + body.width * 0.3 - 20 * perMm, body.y + body.height * 0.5);
        page.mouse().up();
        assertThat(fates).containsText("shows on the front");
        assertThat(Double.parseDouble(labelled("to the neck").inputValue().replace(" mm", "")))
                .isBetween(-21.0, -19.0);
        // Without the hand: typed.
        labelled("to the neck").fill("0");
        button("Move the outline").click();
        assertThat(fates).not().containsText("shows on the front");
        page.locator(".drag-body").press("Shift+ArrowRight");
        assertThat(labelled("to the neck")).hasValue("10 mm");
        page.locator(".drag-body").press("Shift+ArrowRight");
        assertThat(labelled("to the neck")).hasValue("20 mm");
        assertThat(fates).containsText("shows on the front");
        labelled("to the neck").fill("far");
        button("Move the outline").click();
        assertThat(page.getByText("“far” is no length")).isVisible();
        labelled("to the neck").fill("90");
        button("Move the outline").click();
        assertThat(page.getByText("The outline runs off this blank.")).isVisible();
        accessible();
        fits();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void from_the_rack_to_a_flat_blank(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock"));
        view("Blank", "From the rack");
        assertThat(page.getByText("The first is the best of all that were tried"))
                .isVisible();
        page.locator(".offer")
                .filter(new Locator.FilterOptions().setHasText("Three pieces"))
                .first()
                .click();
        assertThat(page.locator(".laid .board-head")).containsText("Three pieces");
        page.getByText("Why this place in the list?").click();
        assertThat(page.locator(".laid-says .sum")).containsText("seams");
        button("Use this blank and write the cut list").click();

        assertThat(page.locator(".sheet")).containsText("cross-cut, from the near end");
        assertThat(page.locator(".sheet")).containsText("A1-1");
        assertThat(bodies.head(shop.bodies().get("tussock")).number()).isEqualTo(2);
        fits();
        button("Cut: put the offcuts back on the rack").click();
        assertThat(page.getByText("Cut. The boards have left the rack, and the offcuts are on it."))
                .isVisible();
        go("/timber");
        assertThat(page.getByRole(
                        AriaRole.LINK, new Page.GetByRoleOptions().setName("A1").setExact(true)))
                .hasCount(0);
        Locator offcut = page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("A1-1"));
        assertThat(offcut).containsText("offcut");
        assertThat(offcut).containsText("Ready");

        go(shop.path("tussock"));
        assertThat(page.locator(".what")).containsText("3 pieces of white ash");
        view("Blank", "From the rack");
        link("Glue-up").click();
        assertThat(page.locator(".sheet")).containsText("2 seams, PVA");
        assertThat(page.locator(".sheet")).containsText("A1, face");
        choice("Glue").selectOption("epoxy");
        button("Show").click();
        assertThat(page.locator("main")).containsText("clamp to contact only");
        fits();
        button("Use it for this body").click();
        assertThat(choice("Glue").locator("option:checked")).hasText("epoxy, as saved");

        view("Thickness", "Ledger");
        log("thickest spot now", "52.4 mm");
        log("thinnest spot now", "51.2 mm");
        log("front out of flat", "1.4 mm");
        assertThat(page.locator("#now-title")).hasText("Next, pass 1");
        String before = page.locator(".ledger-table .next").innerText();
        log("thickest spot now", "50.2 mm");
        assertThat(page.locator("#now-title")).hasText("Next, pass 2");
        assertThat(page.locator(".ledger-table .done")).containsText("2.2 mm");
        assertThat(page.locator(".ledger-table .next")).not().hasText(before);
        assertThat(page.locator("dl.two")).containsText("50.2 mm");
        log("thickest spot now", "4000 mm");
        assertThat(page.getByText("it can be 0 mm to 160 mm")).isVisible();
        log("thinnest spot now", "44 mm");
        assertThat(page.getByText("short by 1.05 mm")).isVisible();
        fits();
    }

    private void log(String what, String value) {
        page.locator("form")
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Log " + what))))
                .locator("input[name=value]")
                .fill(value);
        button("Log " + what).click();
        page.waitForLoadState();
    }

    @ParameterizedTest
    @EnumSource(value = Screen.class, names = "TABLET")
    void a_top_is_laid_out_too_and_its_pressing_told(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/blank");
        labelled("Top, finished").fill("60 mm");
        button("Lay it out").click();
        assertThat(page.getByText("A top of 60 mm cannot be laid: from 2 mm to 30 mm"))
                .isVisible();
        labelled("Top, finished").fill("8 mm");
        choice("Its timber").selectOption("sugar maple");
        button("Lay it out").click();
        Locator book = page.locator(".offer").filter(new Locator.FilterOptions().setHasText("book-matched"));
        assertThat(book.first()).containsText("halves mirrored");
        button("Use this blank and write the cut list").click();
        assertThat(page.locator(".sheet")).containsText("and a top");
        link("Glue-up").click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The top onto the core")))
                .containsText("area pressed at all");
        accessible();
        go(shop.path("sedge") + "?step=blank:top");
        assertThat(page.locator("#step-title")).hasText("Glue the top on");
    }

    /** Each sheet is pinned over the bench: one page, whatever it holds. */
    @ParameterizedTest
    @EnumSource(value = Screen.class, names = "DESK")
    void each_sheet_prints_on_one_page(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/blank?most=3&n=1");
        button("Use this blank and write the cut list").click();
        for (String sheet : new String[] {"cut-list", "glue-up", "thickness"}) {
            go(shop.path("tussock") + "/" + sheet);
            assertThat(printedPages()).as(sheet).isEqualTo(1);
        }
    }

    /** Pages of the sheet as Chromium prints it on A4; its file names each page once. */
    private long printedPages() {
        String pdf = new String(
                page.pdf(new Page.PdfOptions().setFormat("A4").setPreferCSSPageSize(true)),
                StandardCharsets.ISO_8859_1);
        return Pattern.compile("/Type\\s*/Page\\b(?!s)").matcher(pdf).results().count();
    }

    @ParameterizedTest
    @EnumSource(value = Screen.class, names = "DESK")
    void what_the_rack_cannot_give_is_said(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/blank?timber=maple");
        assertThat(page.getByText("No board gives this blank.")).isVisible();
        assertThat(page.locator(".offers")).containsText("too thin");
        go(shop.path("sedge") + "/cut-list");
        assertThat(page.getByText("No blank is laid out yet.")).isVisible();
        accessible();
    }

    @ParameterizedTest
    @EnumSource(value = Screen.class, names = "DESK")
    void a_board_that_somebody_else_cut_meanwhile_is_not_cut_again(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/blank");
        button("Use this blank and write the cut list").click();
        assertThat(page.locator(".sheet")).containsText("A1");
        Page other = signIn(screen);
        other.navigate(address() + "/timber");
        other.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("A1").setExact(true))
                .click();
        other.getByText("Remove it from the rack for good").click();
        other.waitForURL(url -> url.endsWith("/timber"));
        button("Cut: put the offcuts back on the rack").click();
        assertThat(page.getByText("“A1” is no longer on the rack. Nothing was changed"))
                .isVisible();
        go("/timber");
        assertThat(page.getByText("A1-1")).hasCount(0);
    }
}
