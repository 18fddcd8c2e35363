package ebauche.exchange.paper;

import ebauche.core.design.BodyDesign;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Pickup;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.apache.pdfbox.util.Matrix;

/**
 * Prints a traveller as PDF: the body from the front with what lies where, then its steps, none of them parted by a page's end; every
 * step with a box to tick, a line for each reading and the square code that opens it at the bench.
 */
public final class TravellerPrint {
    private static final double POINT = 25.4 / 72;
    private static final double MARGIN = 12;
    private static final double TITLE = 6;
    private static final double HEAD = 4.4;
    private static final double FIGURE = 7;
    private static final double TEXT = 3.3;
    private static final double SMALL = 2.8;

    /** From line to line, of a letter's height. */
    private static final double LEADING = 1.35;

    private static final double CODE = 17;
    private static final double BOX = 5;
    private static final double DRAWING = 95;
    private static final double GAP = 3;

    /** A line to write a reading on. */
    private static final double TO_WRITE = 34;

    private final PDDocument document = new PDDocument();
    private final PDFont plain = new PDType1Font(FontName.HELVETICA);
    private final PDFont bold = new PDType1Font(FontName.HELVETICA_BOLD);
    private final Traveller traveller;
    private final BodyDesign design;
    private final double width;
    private final double height;
    private PDPageContentStream out;
    private double y;
    private int page;

    private TravellerPrint(Traveller traveller, BodyDesign design, Paper paper) {
        this.traveller = traveller;
        this.design = design;
        this.width = paper.width(false);
        this.height = paper.height(false);
    }

    /** The PDF's bytes. */
    public static byte[] pdf(Traveller traveller, BodyDesign design, Paper paper) {
        TravellerPrint print = new TravellerPrint(traveller, design, paper);
        try (ByteArrayOutputStream bytes = new ByteArrayOutputStream();
                PDDocument document = print.document) {
            print.turn();
            print.first();
            for (Traveller.Step step : traveller.steps()) {
                print.step(step);
            }
            print.out.close();
            document.save(bytes);
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A new page, with its head. */
    private void turn() throws IOException {
        if (out != null) {
            out.close();
        }
        PDPage sheet = new PDPage(new PDRectangle((float) (width / POINT), (float) (height / POINT)));
        document.addPage(sheet);
        page++;
        out = new PDPageContentStream(document, sheet);
        // Millimetres of paper from here on.
        out.transform(Matrix.getScaleInstance((float) (1 / POINT), (float) (1 / POINT)));
        out.setLineWidth(0.25f);
        y = height - MARGIN;
        String head = traveller.title() + (page == 1 ? "" : ", " + page);
        text(bold, page == 1 ? TITLE : SMALL, MARGIN, y - (page == 1 ? TITLE : SMALL), head);
        y -= (page == 1 ? TITLE : SMALL) * LEADING;
    }

    private void first() throws IOException {
        paragraph(plain, TEXT, MARGIN, width - 2 * MARGIN, traveller.line());
        y -= GAP;
        drawing();
        y -= GAP;
        places();
        y -= GAP;
    }

    /** The body from the front, the neck to the right. */
    private void drawing() throws IOException {
        Region body = design.outline().region();
        double scale =
                Math.min((width - 2 * MARGIN) / (body.maxY() - body.minY()), DRAWING / (body.maxX() - body.minX()));
        double left = MARGIN - body.minY() * scale;
        double middle = y + body.minX() * scale;
        ring(body, scale, left, middle);
        dash(2, 1);
        for (Cavity cavity : design.cavities()) {
            if (cavity.face() == Face.BACK) {
                ring(cavity.plan(), scale, left, middle);
            }
        }
        solid();
        for (Cavity cavity : design.cavities()) {
            if (cavity.face() == Face.FRONT) {
                ring(cavity.plan(), scale, left, middle);
            }
        }
        ring(design.neck().pocket(), scale, left, middle);
        for (Pickup pickup : design.pickups()) {
            ring(pickup.footprint(), scale, left, middle);
        }
        ring(design.bridge().footprint(), scale, left, middle);
        for (Control control : design.controls()) {
            ring(Region.disc(control.at(), Math.max(control.opening(), 4)), scale, left, middle);
        }
        for (Point screw : design.neck().screws()) {
            ring(Region.disc(screw, design.neck().screwHole()), scale, left, middle);
        }
        dash(6, 1.2f);
        line(left + body.minY() * scale - 2, middle, left + body.maxY() * scale + 2, middle);
        line(left, middle - body.minX() * scale, left, middle - body.maxX() * scale);
        solid();
        y -= (body.maxX() - body.minX()) * scale;
        text(
                plain,
                SMALL,
                MARGIN,
                y - SMALL * LEADING,
                "From the front, neck to the right. Lines in dashes: centre line and saddle line, and what lies in the back.");
        y -= SMALL * LEADING * 1.5;
    }

    private void ring(Region region, double scale, double left, double middle) throws IOException {
        List<double[]> rings = new ArrayList<>();
        region.forEachRing(rings::add);
        for (double[] points : rings) {
            for (int i = 0; i + 1 < points.length; i += 2) {
                float px = (float) (left + points[i + 1] * scale);
                float py = (float) (middle - points[i] * scale);
                if (i == 0) {
                    out.moveTo(px, py);
                } else {
                    out.lineTo(px, py);
                }
            }
            out.closePath();
        }
        if (!rings.isEmpty()) {
            out.stroke();
        }
    }

    private void places() throws IOException {
        double along = MARGIN + 70;
        double across = MARGIN + 125;
        need(TEXT * LEADING * 3);
        row(bold, along, across, "What", "From the saddle line", "From the centre line");
        for (Traveller.Place place : traveller.places()) {
            need(TEXT * LEADING);
            row(plain, along, across, place.what(), place.along(), place.across());
        }
    }

    private void row(PDFont font, double along, double across, String what, String first, String second)
            throws IOException {
        y -= TEXT * LEADING;
        text(font, TEXT, MARGIN, y, what);
        text(font, TEXT, along, y, first);
        text(font, TEXT, across, y, second);
    }

    /** A step, on a page where all of it has room. */
    private void step(Traveller.Step step) throws IOException {
        double left = MARGIN + BOX + GAP;
        double room = width - MARGIN - CODE - GAP - left;
        need(Math.max(CODE, tall(step, room)) + GAP);
        // Round a square code nothing is drawn.
        line(MARGIN, y, left + room, y);
        y -= GAP / 2;
        double top = y;
        box(step.done(), top);
        code(step.address(), width - MARGIN - CODE, top - CODE);
        paragraph(bold, HEAD, left, room, step.number() + ". " + step.title() + "  (" + step.face() + ")");
        paragraph(plain, TEXT, left, room, step.with());
        if (!step.figure().isEmpty()) {
            y -= FIGURE;
            text(bold, FIGURE, left, y, step.figure());
            double after = left + widthOf(bold, FIGURE, step.figure()) + 2;
            text(plain, TEXT, after, y, step.figureSays());
            y -= FIGURE * 0.35;
        }
        for (String setting : step.settings()) {
            paragraph(plain, TEXT, left, room, setting);
        }
        for (String look : step.looks()) {
            paragraph(plain, TEXT, left, room, "[  ] " + look);
        }
        for (Traveller.Read read : step.reads()) {
            paragraph(plain, TEXT, left, room - TO_WRITE, read.what() + ": " + read.should());
            line(left + room - TO_WRITE + 2, y - 0.6, left + room, y - 0.6);
        }
        for (String caution : step.cautions()) {
            paragraph(bold, SMALL, left, room, "! " + caution);
        }
        y = Math.min(y, top - CODE) - GAP;
    }

    private double tall(Traveller.Step step, double room) throws IOException {
        double tall = GAP / 2
                + lines(bold, HEAD, room, step.number() + ". " + step.title() + "  (" + step.face() + ")")
                        * HEAD
                        * LEADING;
        tall += lines(plain, TEXT, room, step.with()) * TEXT * LEADING;
        tall += step.figure().isEmpty() ? 0 : FIGURE * 1.35;
        for (String setting : step.settings()) {
            tall += lines(plain, TEXT, room, setting) * TEXT * LEADING;
        }
        for (String look : step.looks()) {
            tall += lines(plain, TEXT, room, "[  ] " + look) * TEXT * LEADING;
        }
        for (Traveller.Read read : step.reads()) {
            tall += lines(plain, TEXT, room - TO_WRITE, read.what() + ": " + read.should()) * TEXT * LEADING;
        }
        for (String caution : step.cautions()) {
            tall += lines(bold, SMALL, room, "! " + caution) * SMALL * LEADING;
        }
        return tall;
    }

    private void box(boolean done, double top) throws IOException {
        out.addRect((float) MARGIN, (float) (top - BOX), (float) BOX, (float) BOX);
        out.stroke();
        if (done) {
            line(MARGIN, top - BOX, MARGIN + BOX, top);
            line(MARGIN, top, MARGIN + BOX, top - BOX);
        }
    }

    private void code(String address, double left, double low) throws IOException {
        SquareCode code = SquareCode.of(address);
        double square = CODE / code.size();
        for (int row = 0; row < code.size(); row++) {
            for (int column = 0; column < code.size(); column++) {
                if (code.isDark(column, row)) {
                    out.addRect(
                            (float) (left + column * square),
                            (float) (low + (code.size() - 1 - row) * square),
                            (float) square,
                            (float) square);
                }
            }
        }
        out.fill();
    }

    /** Turns the page where so much has no room on this one; what is taller than a page begins on its own. */
    private void need(double tall) throws IOException {
        if (y - tall < MARGIN) {
            turn();
        }
    }

    private void paragraph(PDFont font, double size, double left, double room, String words) throws IOException {
        for (String line : wrapped(font, size, room, words)) {
            need(size * LEADING);
            y -= size * LEADING;
            text(font, size, left, y, line);
        }
    }

    private static int lines(PDFont font, double size, double room, String words) throws IOException {
        return wrapped(font, size, room, words).size();
    }

    private static List<String> wrapped(PDFont font, double size, double room, String words) throws IOException {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : words.strip().split("\\s+")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && widthOf(font, size, longer) > room) {
                lines.add(line.toString());
                line.setLength(0);
                line.append(word);
            } else {
                line.setLength(0);
                line.append(longer);
            }
        }
        if (!line.isEmpty()) {
            lines.add(line.toString());
        }
        return lines;
    }

    private static double widthOf(PDFont font, double size, String words) throws IOException {
        return font.getStringWidth(Latin.of(words)) / 1000 * size;
    }

    private void text(PDFont font, double size, double left, double low, String words) throws IOException {
        out.beginText();
        out.setFont(font, (float) size);
        out.newLineAtOffset((float) left, (float) low);
        out.showText(Latin.of(words));
        out.endText();
    }

    private void line(double fromX, double fromY, double toX, double toY) throws IOException {
        out.moveTo((float) fromX, (float) fromY);
        out.lineTo((float) toX, (float) toY);
        out.stroke();
    }

    private void dash(float on, float off) throws IOException {
        out.setLineDashPattern(new float[] {on, off}, 0);
    }

    private void solid() throws IOException {
        out.setLineDashPattern(new float[] {}, 0);
    }
}
