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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Axe finds nothing on any main view, on both screens; at the bench every target is large enough for a glove. */
class AccessTest extends Story {
    /** Half of Axe's time: a colour is the same on a narrower screen. */
    private static final List<String> CONTRAST = List.of("color-contrast");

    @ParameterizedTest
    @EnumSource(Screen.class)
    void every_main_view_is_accessible_and_fits_its_screen(Screen screen) {
        open(screen, LengthUnit.INCH);
        for (String path : new String[] {
            "/",
            "/log",
            "/bodies/take-on",
            "/bodies/take-on/other",
            "/timers",
            "/timber",
            "/timber/new",
            "/timber/table",
            "/timber/timbers",
            "/ways",
            "/crib",
            "/crib/bits/new",
            "/crib/routers/0",
            shop.path("tussock") + "/blank",
            shop.path("tussock") + "/cut-list",
            shop.path("tussock") + "/glue-up",
            shop.path("tussock") + "/thickness",
            shop.path("tussock") + "/template",
            shop.path("tussock") + "/template/outline",
            shop.path("tussock") + "/passes?cut=controls",
            shop.path("tussock") + "/feed",
            shop.path("marram") + "/feed?school=TABLE",
            shop.path("tussock") + "/tiles",
            "/box",
            "/box/new/pickup",
            shop.path("sedge") + "/parts",
            shop.path("shale") + "/depths",
            shop.path("marram") + "/neck",
            shop.path("tussock") + "/cavity",
            shop.path("tussock") + "/contours",
            shop.path("tussock") + "/contours/forearm",
            shop.path("marram") + "/contours/top",
            shop.path("marram") + "/contours?add=belly",
            shop.path("tussock") + "/edges?face=front&radius=1/4%20in",
            shop.path("shale") + "/check",
            shop.path("shale") + "/one-page",
            shop.path("sedge") + "/traveller",
            shop.path("tussock") + "/balance",
            shop.path("tussock") + "/hollow?round=32%20mm",
            "/crib/machines/new",
            shop.path("tussock") + "/x-ray",
            shop.path("sedge") + "/x-ray?step=neck:rout&face=BACK&move.pickup-bridge=0,-20",
            shop.path("tussock") + "/what-if?thickness=40&part.bridge=usual:posts-metric",
            "/crib/saws/new",
            "/crib/aids/0",
            shop.path("sedge"),
            shop.path("shale"),
            shop.path("tussock") + "?step=controls:rout",
            shop.path("sedge") + "/design",
            shop.path("sedge") + "/bench",
            shop.path("shale") + "/bench?step=vibrato:rout"
        }) {
            go(path);
            accessible(screen == Screen.DESK ? List.of() : CONTRAST);
            fits();
        }
        page.context().clearCookies();
        go("/sign-in");
        accessible();
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
    @EnumSource(Screen.class)
    void at_the_bench_contrast_is_of_the_stricter_grade(Screen screen) {
        open(screen, LengthUnit.INCH);
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
    @EnumSource(Screen.class)
    void at_the_bench_every_target_is_at_least_48_pixels_high(Screen screen) {
        open(screen, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/bench");
        for (Locator target : page.locator(
                        ".bench button:visible, .bench a:visible, .bench select:visible, .bench summary:visible")
                .all()) {
            double height = target.boundingBox().height;
            assertThat(height).as(target.textContent()).isGreaterThanOrEqualTo(47.5);
        }
    }
}
