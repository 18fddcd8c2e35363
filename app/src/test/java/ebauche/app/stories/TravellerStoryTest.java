package ebauche.app.stories;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.Result;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.multi.qrcode.QRCodeMultiReader;
import com.microsoft.playwright.Page;
import ebauche.app.testing.Story;
import ebauche.core.measure.LengthUnit;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;

/** A traveller printed from its page: the browser's own sheets, read by a library that knows nothing of ours (ZXing). */
class TravellerStoryTest extends Story {
    private static final int DPI = 300;

    private static List<String> codes(BufferedImage sheet) throws Exception {
        int[] pixels = sheet.getRGB(0, 0, sheet.getWidth(), sheet.getHeight(), null, 0, sheet.getWidth());
        Result[] found = new QRCodeMultiReader()
                .decodeMultiple(
                        new BinaryBitmap(new HybridBinarizer(
                                new RGBLuminanceSource(sheet.getWidth(), sheet.getHeight(), pixels))),
                        Map.of(DecodeHintType.TRY_HARDER, true));
        return List.of(found).stream().map(Result::getText).toList();
    }

    @Test
    @SuppressWarnings("unchecked")
    void a_printed_code_opens_its_step_at_the_bench() throws Exception {
        open(Screen.DESK, LengthUnit.MILLIMETRE);
        go(shop.path("sedge") + "/traveller");
        List<String> shown = (List<String>) page.evaluate(
                "[...document.querySelectorAll('a.code')].map(a => new URL(a.href, document.baseURI).href)");
        List<String> read = new ArrayList<>();
        try (PDDocument sheets = Loader.loadPDF(page.pdf(new Page.PdfOptions().setFormat("A4")))) {
            PDFRenderer renderer = new PDFRenderer(sheets);
            for (int i = 1; i < 3; i++) {
                read.addAll(codes(renderer.renderImageWithDPI(i, DPI)));
            }
        }
        assertThat(read).hasSizeGreaterThan(3).isSubsetOf(shown);
        page.navigate(read.get(0));
        assertThat(page.url()).isEqualTo(read.get(0));
        assertThat(page.locator("section.now").count()).isEqualTo(1);
    }
}
