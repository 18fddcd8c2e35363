package ebauche.exchange.paper;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import ebauche.core.memo.Memo;
import java.util.Map;

/** A square code (QR, ISO/IEC 18004) that a tablet's camera reads; made by the ZXing library, with a quarter of it to spare for dust. */
public final class SquareCode {
    private final BitMatrix dark;
    private final String path;

    private SquareCode(BitMatrix dark) {
        this.dark = dark;
        this.path = drawn();
    }

    private record Asked(String text) {}

    /**
     * The code of a text, without its quiet margin: whoever draws it leaves four squares round it.
     *
     * @throws IllegalArgumentException for a text that is too long for one
     */
    public static SquareCode of(String text) {
        return Memo.here()
                .get(
                        new Asked(text),
                        () -> encoded(text),
                        c -> (long) c.size() * c.size() / 8 + c.path().length() + 2L * text.length());
    }

    private static SquareCode encoded(String text) {
        try {
            return new SquareCode(new QRCodeWriter()
                    .encode(
                            text,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(EncodeHintType.MARGIN, 0, EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.Q)));
        } catch (WriterException e) {
            throw new IllegalArgumentException(e.getMessage(), e);
        }
    }

    /** Squares along a side. */
    public int size() {
        return dark.getWidth();
    }

    /** Whether a square is dark, from the upper left corner. */
    public boolean isDark(int column, int row) {
        return dark.get(column, row);
    }

    /**
     * Its dark squares as SVG path data, a unit a square: lines along the middle of every row, to be drawn a unit thick. Such a line says
     * less than its four edges, and a sheet has eighty codes.
     */
    public String path() {
        return path;
    }

    private String drawn() {
        StringBuilder data = new StringBuilder();
        for (int row = 0; row < size(); row++) {
            int at = -1;
            for (int column = 0; column < size(); column++) {
                int from = column;
                while (column < size() && isDark(column, row)) {
                    column++;
                }
                if (column > from) {
                    data.append(at < 0 ? "M" + from + " " + row + ".5" : "m" + (from - at) + " 0");
                    data.append('h').append(column - from);
                    at = column;
                }
            }
        }
        return data.toString();
    }
}
