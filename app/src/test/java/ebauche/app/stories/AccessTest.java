package ebauche.app.stories;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Axe finds nothing on any view, on a desk, a tablet and a phone; at the bench every target is large enough for a glove. */
class AccessTest extends Story {
    /** Half of Axe's time: a colour is the same on a narrower screen. */
    private static final List<String> CONTRAST = List.of("color-contrast");

    @ParameterizedTest
    @CsvSource({"1280,800", "820,1180", "390,844"})
    void every_view_is_accessible_and_fits_its_screen(int width, int height) {
        open(width > 1000 ? Screen.DESK : Screen.TABLET, LengthUnit.INCH);
        page.setViewportSize(width, height);
        SoftAssertions all = new SoftAssertions();
        for (String view : Views.ALL) {
            go(Views.at(shop, view));
            all.assertThatCode(() -> {
                        accessible(width > 1000 ? List.of() : CONTRAST);
                        fits(view);
                    })
                    .as(view)
                    .doesNotThrowAnyException();
        }
        all.assertAll();
        page.context().clearCookies();
        go("/sign-in");
        accessible();
        fits();
    }

    /** A page that comes into the navigation comes into {@link Views}. */
    @Test
    void every_page_of_the_navigation_is_looked_at() {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        go(shop.path("tussock"));
        List<String> looked = Views.ALL.stream()
                .map(v -> v.replaceFirst("[?].*", ""))
                .map(v -> v.startsWith("/") ? v : v.contains("/") ? v.substring(v.indexOf('/')) : "")
                .toList();
        List<Locator> tabs = page.locator(".tabs a").all();
        assertThat(tabs).hasSizeGreaterThan(25);
        for (Locator tab : tabs) {
            String under =
                    tab.getAttribute("href").substring(shop.path("tussock").length());
            assertThat(looked).contains(under.replaceFirst("[?].*", ""));
        }
        for (Locator place : page.locator("body > header nav a").all()) {
            assertThat(looked).contains(place.getAttribute("href"));
        }
    }

    /** On A4 with the browser's usual margins, in either unit: it is shown on one page, flags and signature among it. */
    @Test
    void the_page_to_show_prints_on_one_page() throws IOException {
        open(Screen.DESK, LengthUnit.INCH);
        for (String name : shop.bodies().keySet()) {
            go(shop.path(name) + "/one-page");
            byte[] printed = page.pdf(new Page.PdfOptions().setFormat("A4").setPreferCSSPageSize(true));
            try (PDDocument paper = Loader.loadPDF(printed)) {
                assertThat(paper.getNumberOfPages()).as(name).isEqualTo(1);
                assertThat(new PDFTextStripper().getText(paper)).contains("Seen and agreed");
            }
        }
    }

    /** Contrast at the bench is that of the stricter grade, AAA, for dust, glare and safety glasses. */
    @ParameterizedTest
    @CsvSource({"1280,800", "820,1180", "390,844"})
    void at_the_bench_contrast_is_of_the_stricter_grade(int width, int height) {
        open(Screen.TABLET, LengthUnit.INCH);
        page.setViewportSize(width, height);
        for (String step : new String[] {"", "?step=controls:rout", "?step=blank:glue"}) {
            go(shop.path("sedge") + "/bench" + step);
            assertThat(new AxeBuilder(page)
                            .withRules(List.of("color-contrast-enhanced")).analyze().getViolations().stream()
                                    .map(v -> v.getNodes().toString())
                                    .toList())
                    .isEmpty();
        }
    }

    @ParameterizedTest
    @CsvSource({"1280,800", "820,1180", "390,844"})
    void at_the_bench_every_target_is_at_least_48_pixels_high(int width, int height) {
        open(Screen.TABLET, LengthUnit.MILLIMETRE);
        page.setViewportSize(width, height);
        go(shop.path("sedge") + "/bench");
        for (Locator target : page.locator(
                        ".bench button:visible, .bench a:visible, .bench select:visible, .bench summary:visible")
                .all()) {
            double tall = target.boundingBox().height;
            assertThat(tall).as(target.textContent()).isGreaterThanOrEqualTo(47.5);
        }
    }
}
