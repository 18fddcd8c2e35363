package ebauche.exchange.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.ReaderException;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import ebauche.core.design.BodyDesign;
import ebauche.exchange.file.DemoBodies;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * The printed traveller, read back by general-purpose libraries: its text by PDFBox, its square codes by ZXing's reader off the rendered
 * page. Sheet sizes: ISO 216 A4, 210 x 297 mm; ANSI/ASME Y14.1 Letter, 8 1/2 x 11 in; both from memory.
 */
class TravellerPrintOutsideTest {
    private static final int DPI = 200;

    private static final BodyDesign BODY = DemoBodies.read("tussock").build().design();

    private static Traveller.Step step(int number, int lines) {
        return new Traveller.Step(
                number,
                "Rout the pocket “" + number + "”",
                number == 2,
                "front",
                "short pattern bit 1/2, template on",
                number % 3 == 0 ? "" : "15.9 mm",
                "deep from the front",
                IntStream.range(0, lines)
                        .mapToObj(i -> i + ". pattern bit, down to " + i + " mm")
                        .toList(),
                List.of(new Traveller.Read("depth of the pocket", "Should read 15.9 mm, good from 15.8 mm to 16 mm")),
                number == 4 ? List.of("the wires are through") : List.of(),
                List.of("Unplug before you touch the bit."),
                "http://192.168.1.20:8080/bodies/akxh7mder7nmb3h8/bench?step=pickup-neck:rout-" + number);
    }

    private static Traveller traveller(int steps) {
        return new Traveller(
                "No. 1 Tussock",
                "Revision 3",
                List.of(new Traveller.Place("neck pickup", "139.7 mm neck side", "on it")),
                IntStream.rangeClosed(1, steps).mapToObj(n -> step(n, n % 9)).toList());
    }

    /** Codes down the right side of a page, each looked for by itself as a camera is held over one. */
    private static List<String> codes(BufferedImage page) {
        int side = (int) (26 / 25.4 * DPI);
        Set<String> found = new LinkedHashSet<>();
        for (int top = 0; top + side <= page.getHeight(); top += (int) (2 / 25.4 * DPI)) {
            BufferedImage window = page.getSubimage(page.getWidth() - (int) (34 / 25.4 * DPI), top, side, side);
            int[] pixels = window.getRGB(0, 0, side, side, null, 0, side);
            try {
                found.add(new QRCodeReader()
                        .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(side, side, pixels))))
                        .getText());
            } catch (ReaderException none) {
                // Between two codes there is none.
            }
        }
        return List.copyOf(found);
    }

    @ParameterizedTest
    @EnumSource(Paper.class)
    void everyStepIsThereOnceWholeOnItsPageAndItsCodeOpensIt(Paper paper) throws IOException {
        int count = 24;
        Traveller traveller = traveller(count);
        try (PDDocument pdf = Loader.loadPDF(TravellerPrint.pdf(traveller, BODY, paper))) {
            PDRectangle sheet = pdf.getPage(0).getMediaBox();
            double[] size = paper == Paper.A4 ? new double[] {210, 297} : new double[] {8.5 * 25.4, 11 * 25.4};
            assertThat(sheet.getWidth() * 25.4 / 72).isCloseTo(size[0], within(0.1));
            assertThat(sheet.getHeight() * 25.4 / 72).isCloseTo(size[1], within(0.1));
            List<String> read = new ArrayList<>();
            PDFRenderer renderer = new PDFRenderer(pdf);
            for (int i = 0; i < pdf.getNumberOfPages(); i++) {
                PDFTextStripper stripper = new PDFTextStripper();
                stripper.setStartPage(i + 1);
                stripper.setEndPage(i + 1);
                String text = stripper.getText(pdf);
                List<String> here = codes(renderer.renderImageWithDPI(i, DPI));
                read.addAll(here);
                for (Traveller.Step step : traveller.steps()) {
                    if (text.contains("Rout the pocket \"" + step.number() + "\"")) {
                        assertThat(here).as("its code stands beside it").contains(step.address());
                        assertThat(text.split("Unplug before you touch", -1).length - 1)
                                .as("each with its caution")
                                .isEqualTo(here.size());
                    }
                }
            }
            assertThat(read)
                    .hasSize(count)
                    .containsExactlyInAnyOrderElementsOf(traveller.steps().stream()
                            .map(Traveller.Step::address)
                            .toList());
            String all = new PDFTextStripper().getText(pdf);
            assertThat(all)
                    .contains("No. 1 Tussock", "139.7 mm neck side", "Should read 15.9 mm", "the wires are through");
        }
    }

    /** A step with more lines than a sheet has begins on its own page and goes on over the next: nothing of it is lost. */
    @Test
    void aStepThatIsTallerThanASheetLosesNothing() throws IOException {
        Traveller tall = new Traveller("No. 1", "x", List.of(), List.of(step(1, 90)));
        try (PDDocument pdf = Loader.loadPDF(TravellerPrint.pdf(tall, BODY, Paper.A4))) {
            String text = new PDFTextStripper().getText(pdf);
            for (int i = 0; i < 90; i++) {
                assertThat(text).contains(i + ". pattern bit, down to " + i + " mm");
            }
        }
    }

    @Test
    void aCodeOfNothingLongerThanItHoldsIsRefused() {
        assertThatThrownBy(() -> SquareCode.of("x".repeat(5000))).isInstanceOf(IllegalArgumentException.class);
        SquareCode code = SquareCode.of("http://localhost/");
        assertThat(code.path()).startsWith("M0 0.5h7m");
        boolean[][] drawn = new boolean[code.size()][code.size()];
        Matcher run = Pattern.compile("(?:M(\\d+) (\\d+)\\.5|m(\\d+) 0)h(\\d+)").matcher(code.path());
        int runs = 0;
        int row = -1;
        int at = 0;
        while (run.find()) {
            runs += run.group().length();
            row = run.group(2) == null ? row : Integer.parseInt(run.group(2));
            at = run.group(2) == null ? at + Integer.parseInt(run.group(3)) : Integer.parseInt(run.group(1));
            int to = at + Integer.parseInt(run.group(4));
            Arrays.fill(drawn[row], at, to, true);
            at = to;
        }
        assertThat(runs)
                .as("all of the path is such runs")
                .isEqualTo(code.path().length());
        for (int y = 0; y < code.size(); y++) {
            for (int x = 0; x < code.size(); x++) {
                assertThat(drawn[y][x]).isEqualTo(code.isDark(x, y));
            }
        }
    }
}
