package ebauche.app.stories;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Parts measured, depths read, cavities dragged and what-ifs tried, by hand and by keys, on both screens. */
class DepthStoriesTest extends Story {
    private Locator labelled(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_pickup_measured_taller_moves_its_cavity_and_a_contradiction_is_asked_again(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/depths");
        Locator card = page.locator("[data-feature=pickup-bridge]");
        assertThat(card.locator(".big")).containsText("19.3");
        view("Spec", "Parts");
        Locator height = labelled("bridge pickup, height, top to base");
        height.fill("22.5");
        Locator part = page.locator(".part-card").filter(new Locator.FilterOptions().setHas(height));
        part.getByText("Log what was measured").click();
        assertThat(page.locator("#moved")).containsText("bridge pickup cavity depth");
        // Of the neck's own nothing moves but how long its template's screws may be, which stand in that cavity's
        // waste.
        assertThat(page.locator("#moved")).not().containsText("neck pocket depth");
        assertThat(page.locator("#moved")).not().containsText("neck pickup cavity depth");
        view("Cavities", "Depths");
        assertThat(card.locator(".big")).containsText("20.8");
        card.getByText("Why?").click();
        assertThat(card).containsText("measured, the part in hand");
        accessible();
        fits();
        // The part reads otherwise the next day: it is measured once more before both are kept.
        view("Spec", "Parts");
        labelled("bridge pickup, height, top to base").fill("21 mm");
        part.getByText("Log what was measured").click();
        assertThat(part.getByRole(com.microsoft.playwright.options.AriaRole.ALERT))
                .containsText("Measure once more");
        labelled("bridge pickup, height, top to base").fill("21 mm");
        part.getByText("Log what was measured").click();
        assertThat(page.locator("#logged")).containsText("21 mm");
        go("/log");
        assertThat(page.getByText("22.5 mm").first()).isVisible();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void the_calliper_fills_the_field_and_the_reading_is_logged(Screen screen) {
        open(screen, LengthUnit.INCH);
        go(shop.path("tussock") + "/parts");
        Locator part = page.locator(".part-card").first();
        part.getByText("Read the calliper").click();
        Locator first = part.locator("input[data-calliper]").first();
        assertThat(first).hasValue(Pattern.compile("\\d+\\.\\d{3} in"));
        part.getByText("Log what was measured").click();
        assertThat(page.locator("#logged")).containsText("Logged");
        accessible();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_cavity_dragged_by_hand_tells_what_it_breaks_and_is_put_back(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/x-ray");
        Locator cavity = page.locator(".cavity[data-feature=pickup-bridge]");
        BoundingBox at = cavity.locator(".void").first().boundingBox();
        double scale = Double.parseDouble(page.locator("svg.xray").getAttribute("data-scale"));
        double pixels = page.locator("svg.xray").boundingBox().width / 800 * scale;
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 4);
        page.mouse().down();
        page.mouse().move(at.x + at.width / 2 + 20 * pixels, at.y + at.height / 4);
        page.mouse().move(at.x + at.width / 2 + 55 * pixels, at.y + at.height / 4);
        page.mouse().up();
        assertThat(page.locator("#breaks")).containsText("neck pickup");
        assertThat(page.locator("#breaks [data-rule]").first()).isVisible();
        accessible();
        fits();
        link("Put it back").click();
        assertThat(page.locator("#breaks")).hasCount(0);
        assertThat(page.locator(".pins li").first()).containsText("mm");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void by_keys_a_cavity_is_moved_half_a_millimetre_and_kept(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/x-ray");
        page.locator(".cavity[data-feature=pickup-neck]").focus();
        page.keyboard().press("ArrowLeft");
        assertThat(page.locator(".moves")).containsText("0.5 mm away from the neck");
        page.keyboard().press("Shift+ArrowLeft");
        assertThat(page.locator(".moves")).containsText("5.5 mm away from the neck");
        assertThat(page.locator("#breaks")).containsText("Breaks nothing");
        button("Save the move").click();
        page.waitForURL(Pattern.compile(".*/depths.*"));
        go(shop.path("tussock") + "/design");
        assertThat(page.locator("input[name='pickups.0.at.y']")).hasValue("134.2 mm");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void the_section_line_is_dragged_and_moved_by_keys(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("shale") + "/x-ray");
        Locator wood = page.locator("#section-view .wood");
        String before = wood.getAttribute("d");
        Locator end = page.locator(".end[data-end=b]");
        BoundingBox at = end.locator(".grip").boundingBox();
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
        page.mouse().down();
        page.mouse().move(at.x - 60, at.y + 40);
        page.mouse().move(at.x - 120, at.y + 60);
        page.mouse().up();
        assertThat(wood).not().hasAttribute("d", before);
        String dragged = wood.getAttribute("d");
        end.focus();
        page.keyboard().press("Shift+ArrowUp");
        assertThat(wood).not().hasAttribute("d", dragged);
        assertThat(page.url()).contains("bx=").contains("by=");
        // What is looked at stands in the address: a step further, the line is still there.
        double x = Double.parseDouble(end.getAttribute("data-x"));
        page.locator("a.division[data-step='neck:rout'] .bar").click();
        assertThat(page.getByText("Show it finished")).isVisible();
        assertThat(Double.parseDouble(page.locator(".end[data-end=b]").getAttribute("data-x")))
                .isEqualTo(x);
        link("Flip the body").click();
        assertThat(page.getByText("Back up")).isVisible();
        accessible();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_what_if_is_thrown_away_and_another_kept(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("tussock") + "/what-if");
        labelled("neck angle in degrees, now 0.0").fill("1");
        assertThat(page.locator("[data-feature=neck]").first()).containsText("neck pocket, depth");
        accessible();
        fits();
        link("Discard it").click();
        assertThat(page.getByText("Nothing is saved until you say so")).isVisible();
        go(shop.path("tussock") + "/design");
        assertThat(page.locator("input[name='neck.angle']")).hasValue("0");
        go(shop.path("tussock") + "/what-if");
        page.locator("select[name='part.bridge']").selectOption("usual:posts-metric");
        assertThat(page.locator("#compared")).containsText("stud hole depth");
        button("Save as the design").click();
        page.waitForURL(Pattern.compile(".*/depths.*"));
        assertThat(page.locator("table.drill-list")).containsText("bridge stud holes");
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void a_forearm_is_laid_on_its_line_dragged_and_kept(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/contours");
        link("forearm").click();
        Locator card = page.locator(".contour-card[data-contour=forearm]");
        assertThat(card).containsText("tried, not saved");
        Locator x = card.locator("input[name=tox]");
        String before = x.inputValue();
        Locator grip = page.locator(".start-line[data-contour=forearm] .end[data-end=to] .grip");
        BoundingBox at = grip.boundingBox();
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
        page.mouse().down();
        page.mouse().move(at.x + 4, at.y + 20);
        page.mouse().move(at.x + 4, at.y + 40);
        page.mouse().up();
        assertThat(x).not().hasValue(before);
        accessible();
        fits();
        String dragged = x.inputValue();
        page.locator(".start-line[data-contour=forearm] .end[data-end=to]").focus();
        page.keyboard().press("Shift+ArrowDown");
        assertThat(x).not().hasValue(dragged);
        card.getByText("Save it").click();
        assertThat(card).containsText("off the front");
        go(shop.path("sedge") + "?step=contour-forearm:carve");
        assertThat(page.locator(".card-of-step").first()).containsText("Carve the forearm contour");
        go(shop.path("sedge") + "/check");
        assertThat(page.locator("[data-rule=contour-half]")).containsText("half the body at most");
        accessible();
        fits();
    }
}
