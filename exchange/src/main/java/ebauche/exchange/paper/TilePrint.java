package ebauche.exchange.paper;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Rounding;
import ebauche.core.plan.Holding;
import ebauche.core.sheet.PrickPattern;
import ebauche.core.sheet.TemplateSheet;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.apache.pdfbox.util.Matrix;

/**
 * Prints a template in tiles as vector PDF.
 *
 * <p>Every sheet shows its part of the whole drawing in its frame, with crosses where it meets its neighbours, its name, a map of
 * the sheets, a bar of 100 mm across and one along, one of 4 in, and the face that the template lies on. The drawing is divided by
 * what the printer makes of a length. Beside the template's line lie the centre line and a line across that lays it along the body, and
 * where the waste is drilled out, to be pricked through.
 */
public final class TilePrint {
    private static final double POINT = 25.4 / 72;
    private static final double INCH = 25.4;
    private static final double LINE = 0.25;
    private static final double FINE = 0.12;
    private static final double CROSS = 4;
    private static final double PRICK = 1.5;

    /** Of a quarter circle's radius, to the middle points of its curve. */
    private static final double KAPPA = 4 * (Math.sqrt(2) - 1) / 3;

    private static final double SMALL = 3.1;
    private static final double LARGE = 4.6;
    private static final double MAP = 15;

    private final PDDocument document = new PDDocument();
    private final PDFont font = new PDType1Font(FontName.HELVETICA);
    private final PDFont bold = new PDType1Font(FontName.HELVETICA_BOLD);
    private final TemplateSheet sheet;
    private final Optional<PrickPattern> waste;
    private final String title;
    private final Tiles tiles;
    private final Scale printer;

    private TilePrint(TemplateSheet sheet, Optional<PrickPattern> waste, String title, Tiles tiles, Scale printer) {
        this.sheet = sheet;
        this.waste = waste;
        this.title = title;
        this.tiles = tiles;
        this.printer = printer;
    }

    /**
     * The PDF's bytes.
     *
     * @param waste where its cavity's waste is drilled out, if it is
     * @param title the body's name, on every sheet
     */
    public static byte[] pdf(
            TemplateSheet sheet, Optional<PrickPattern> waste, String title, Paper paper, Scale printer) {
        TilePrint print = new TilePrint(sheet, waste, Latin.of(title), Tiles.over(sheet, paper, printer), printer);
        try (ByteArrayOutputStream out = new ByteArrayOutputStream();
                PDDocument document = print.document) {
            for (Tiles.Tile tile : print.tiles.tiles()) {
                print.page(tile);
            }
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void page(Tiles.Tile tile) throws IOException {
        double width = tiles.paper().width(tiles.landscape());
        double height = tiles.paper().height(tiles.landscape());
        PDPage page = new PDPage(new PDRectangle((float) (width / POINT), (float) (height / POINT)));
        document.addPage(page);
        try (PDPageContentStream out = new PDPageContentStream(document, page)) {
            // Millimetres of paper from here on.
            out.transform(Matrix.getScaleInstance((float) (1 / POINT), (float) (1 / POINT)));
            double frameHeight = height - 2 * Tiles.MARGIN - Tiles.FOOT;
            double frameWidth = width - 2 * Tiles.MARGIN;
            double low = Tiles.MARGIN + Tiles.FOOT;
            out.saveGraphicsState();
            rectangle(out, Tiles.MARGIN, low, frameWidth, frameHeight);
            out.clip();
            drawing(out, tile, low);
            out.restoreGraphicsState();
            out.setLineWidth((float) FINE);
            rectangle(out, Tiles.MARGIN, low, frameWidth, frameHeight);
            out.stroke();
            marks(out, low, frameWidth, frameHeight);
            foot(out, tile, width);
        }
    }

    private static void rectangle(PDPageContentStream out, double x, double y, double w, double h) throws IOException {
        out.addRect((float) x, (float) y, (float) w, (float) h);
    }

    private void drawing(PDPageContentStream out, Tiles.Tile tile, double low) throws IOException {
        out.setLineWidth((float) LINE);
        for (List<Segment> ring : sheet.rings()) {
            Point start = ring.get(0).start();
            move(out, tile, low, start);
            for (Segment s : ring) {
                piece(out, tile, low, s);
            }
            out.closeAndStroke();
        }
        out.setLineDashPattern(new float[] {6, 1.2f, 1, 1.2f}, 0);
        out.setLineWidth((float) FINE);
        double top = tiles.bottom() + tiles.rows() * tiles.high();
        move(out, tile, low, new Point(0, tiles.bottom()));
        line(out, tile, low, new Point(0, top));
        double across = sheet.lineAcross();
        move(out, tile, low, new Point(tiles.left(), across));
        line(out, tile, low, new Point(tiles.left() + tiles.columns() * tiles.wide(), across));
        out.stroke();
        out.setLineDashPattern(new float[0], 0);
        for (Point hole : sheet.holes()) {
            cross(out, tile, low, hole);
        }
        if (sheet.holding().how().inWaste()) {
            for (Holding.Seat seat : sheet.holding().seats()) {
                cross(out, tile, low, seat.at());
            }
        }
        if (waste.isPresent()) {
            PrickPattern pattern = waste.get();
            for (int i = 0; i < pattern.at().size(); i++) {
                prick(out, tile, low, pattern.at().get(i), pattern.wide() / 2, i + 1);
            }
        }
    }

    /** A hole's rim, and its middle numbered as on the step's card. */
    private void prick(PDPageContentStream out, Tiles.Tile tile, double low, Point middle, double radius, int number)
            throws IOException {
        cross(out, tile, low, middle, PRICK);
        move(out, tile, low, middle.plus(radius, 0));
        for (int quarter = 0; quarter < 4; quarter++) {
            double from = quarter * Math.PI / 2;
            Point start = new Point(Math.cos(from), Math.sin(from));
            Point end = new Point(-start.y(), start.x());
            piece(
                    out,
                    tile,
                    low,
                    new Segment.Cubic(
                            middle.plus(radius * start.x(), radius * start.y()),
                            middle.plus(radius * (start.x() + KAPPA * end.x()), radius * (start.y() + KAPPA * end.y())),
                            middle.plus(radius * (end.x() + KAPPA * start.x()), radius * (end.y() + KAPPA * start.y())),
                            middle.plus(radius * end.x(), radius * end.y())));
        }
        out.closeAndStroke();
        Point beside = middle.plus(PRICK, PRICK);
        text(out, font, SMALL, px(tile, beside), py(tile, low, beside), String.valueOf(number));
    }

    private void piece(PDPageContentStream out, Tiles.Tile tile, double low, Segment s) throws IOException {
        if (s instanceof Segment.Arc arc) {
            for (Segment.Cubic c : arc.cubics()) {
                piece(out, tile, low, c);
            }
        } else if (s instanceof Segment.Cubic c) {
            out.curveTo(
                    px(tile, c.first()),
                    py(tile, low, c.first()),
                    px(tile, c.second()),
                    py(tile, low, c.second()),
                    px(tile, c.end()),
                    py(tile, low, c.end()));
        } else {
            line(out, tile, low, s.end());
        }
    }

    /** From the template to the paper, divided by what the printer makes of a length. */
    private float px(Tiles.Tile tile, Point p) {
        return (float) (Tiles.MARGIN + (p.x() - tile.left()) / printer.across());
    }

    private float py(Tiles.Tile tile, double low, Point p) {
        return (float) (low + (p.y() - tile.bottom()) / printer.along());
    }

    private void move(PDPageContentStream out, Tiles.Tile tile, double low, Point p) throws IOException {
        out.moveTo(px(tile, p), py(tile, low, p));
    }

    private void line(PDPageContentStream out, Tiles.Tile tile, double low, Point p) throws IOException {
        out.lineTo(px(tile, p), py(tile, low, p));
    }

    private void cross(PDPageContentStream out, Tiles.Tile tile, double low, Point p) throws IOException {
        cross(out, tile, low, p, CROSS);
    }

    private void cross(PDPageContentStream out, Tiles.Tile tile, double low, Point p, double arm) throws IOException {
        move(out, tile, low, p.plus(-arm, 0));
        line(out, tile, low, p.plus(arm, 0));
        move(out, tile, low, p.plus(0, -arm));
        line(out, tile, low, p.plus(0, arm));
        out.stroke();
    }

    /** Crosses in the middle of what neighbours share, at the same places of the template on both sheets. */
    private void marks(PDPageContentStream out, double low, double width, double height) throws IOException {
        double inX = Tiles.OVERLAP / 2 / printer.across();
        double inY = Tiles.OVERLAP / 2 / printer.along();
        for (double x : new double[] {Tiles.MARGIN + inX, Tiles.MARGIN + width - inX}) {
            for (double y : new double[] {low + inY, low + height - inY}) {
                bar(out, x - CROSS, y, x + CROSS, y);
                bar(out, x, y - CROSS, x, y + CROSS);
            }
        }
    }

    private static void bar(PDPageContentStream out, double x1, double y1, double x2, double y2) throws IOException {
        out.moveTo((float) x1, (float) y1);
        out.lineTo((float) x2, (float) y2);
        out.stroke();
    }

    private void foot(PDPageContentStream out, Tiles.Tile tile, double width) throws IOException {
        double y = Tiles.MARGIN;
        String side = sheet.face() == Face.FRONT ? "seen from the FRONT" : "seen from the BACK, mirrored";
        text(
                out,
                bold,
                LARGE,
                Tiles.MARGIN,
                y + 15.5,
                title + ", " + Latin.of(sheet.name()) + ": sheet " + tile.name());
        text(
                out,
                font,
                SMALL,
                Tiles.MARGIN,
                y + 11,
                "Template " + side + ". Print at 100 %, measure the bars, glue on the crosses.");
        text(out, font, SMALL, Tiles.MARGIN, y + 7.2, lies());
        out.setLineWidth((float) LINE);
        scaleBar(out, Tiles.MARGIN, y + 4, Scale.BAR / printer.across(), "100 mm");
        if (width > 2 * Tiles.MARGIN + 4 * INCH + 60) {
            scaleBar(out, Tiles.MARGIN, y + 0.5, 4 * INCH / printer.across(), "4 in");
        }
        // Along the sheet, in the white beside the frame.
        double x = Tiles.MARGIN - 3;
        double from = Tiles.MARGIN + Tiles.FOOT;
        bar(out, x, from, x, from + Scale.BAR / printer.along());
        bar(out, x - 1.5, from, x + 1.5, from);
        bar(out, x - 1.5, from + Scale.BAR / printer.along(), x + 1.5, from + Scale.BAR / printer.along());
        map(out, tile, width);
    }

    /** Where the line across lies on the body, and what the circles are; a sheet does not know what its maker measures in. */
    private String lies() {
        double across = sheet.lineAcross();
        String far = new Gauge(LengthUnit.MILLIMETRE).text(Math.abs(across), Rounding.NEAREST) + " ("
                + new Gauge(LengthUnit.INCH).text(Math.abs(across), Rounding.NEAREST) + ")";
        String line = across == 0
                ? "Line across: the saddle line."
                : "Line across: " + far + " from the saddle line, toward the " + (across > 0 ? "neck." : "tail.");
        return line + (waste.isPresent() ? " Circles: the waste; prick their middles through." : "");
    }

    private void scaleBar(PDPageContentStream out, double x, double y, double length, String words) throws IOException {
        bar(out, x, y, x + length, y);
        bar(out, x, y - 1.5, x, y + 1.5);
        bar(out, x + length, y - 1.5, x + length, y + 1.5);
        text(out, font, SMALL, x + length + 3, y - 1, words);
    }

    /** All sheets small, this one filled. */
    private void map(PDPageContentStream out, Tiles.Tile tile, double width) throws IOException {
        double cell = Math.min(MAP / tiles.rows(), 30.0 / tiles.columns());
        double left = width - Tiles.MARGIN - cell * tiles.columns();
        out.setLineWidth((float) FINE);
        for (Tiles.Tile t : tiles.tiles()) {
            double x = left + t.column() * cell;
            double y = Tiles.MARGIN + (tiles.rows() - 1 - t.row()) * cell;
            rectangle(out, x, y, cell, cell);
            if (t.equals(tile)) {
                out.setNonStrokingColor(0.8f);
                out.fillAndStroke();
                out.setNonStrokingColor(0f);
            } else {
                out.stroke();
            }
            text(out, font, Math.min(SMALL, cell * 0.5), x + cell * 0.2, y + cell * 0.3, t.name());
        }
    }

    private static void text(PDPageContentStream out, PDFont font, double size, double x, double y, String words)
            throws IOException {
        out.beginText();
        out.setFont(font, (float) size);
        out.newLineAtOffset((float) x, (float) y);
        out.showText(words);
        out.endText();
    }
}
