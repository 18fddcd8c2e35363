package ebauche.app.traveller;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.body.Bodies;
import ebauche.app.testing.WithVisitor;
import ebauche.core.measure.LengthUnit;
import java.net.http.HttpResponse;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** The traveller of every demo body, as a page and as PDF: all that is to be done, none of what is done unless it is asked for. */
class TravellerTest extends WithVisitor {
    @Autowired
    private Bodies bodies;

    private static int steps(String page) {
        return (int) Pattern.compile("class=\"code\"").matcher(page).results().count();
    }

    @ParameterizedTest
    @ValueSource(strings = {"tussock", "sedge", "shale", "marram", "fescue", "rush"})
    void everyStepThatIsLeftHasItsBoxAndItsCode(String name) {
        var plan = bodies.current(shop.bodies().get(name)).plan();
        String left = me.get(shop.path(name) + "/traveller").body();
        String all = me.get(shop.path(name) + "/traveller?all=true").body();
        assertThat(steps(all)).isEqualTo(plan.steps().size());
        assertThat(steps(left))
                .isEqualTo((int) plan.steps().stream().filter(s -> !s.done()).count());
        assertThat(all).contains(shop.path(name) + "/bench?step=outline:saw");
    }

    @Test
    void thePdfSaysTheSameInTheMakersUnitAndOnThePaperAskedFor() throws Exception {
        String path = shop.path("sedge");
        HttpResponse<byte[]> answer = me.bytes(path + "/traveller.pdf?all=true&paper=LETTER");
        assertThat(answer.headers().firstValue("Content-Type").orElse("")).isEqualTo("application/pdf");
        assertThat(answer.headers().firstValue("Content-Disposition").orElse(""))
                .contains("sedge-traveller.pdf");
        try (PDDocument pdf = Loader.loadPDF(answer.body())) {
            String text = new PDFTextStripper().getText(pdf);
            assertThat(text)
                    .contains("No. 2 Sedge", "Rout the control cavity to depth", "38.8 mm", "Unplug before you touch");
            assertThat(text).doesNotContain("?");
            assertThat(pdf.getPage(0).getMediaBox().getWidth() * 25.4 / 72).isBetween(215.0, 216.5);
        }
        Shop inches = openShop(LengthUnit.INCH);
        try (PDDocument pdf = Loader.loadPDF(
                visitor(inches).bytes(inches.path("sedge") + "/traveller.pdf").body())) {
            assertThat(new PDFTextStripper().getText(pdf)).contains("1.527 in").doesNotContain("38.8 mm");
        }
        assertThat(visitor(inches).get(path + "/traveller.pdf").statusCode()).isEqualTo(404);
    }
}
