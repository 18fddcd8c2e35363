package ebauche.app.timber;

import ebauche.app.drawing.Decimal;
import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.layout.Cut;
import ebauche.core.timber.Board;
import ebauche.core.timber.Defect;
import ebauche.core.timber.Rings;
import ebauche.core.timber.Side;
import java.util.List;

/** A board lying with face A up, its near end at the left and its marked edge towards you, at the bottom. */
public final class PlankDrawing {
    /** A piece drawn so high has room for its sizes under its mark. */
    private static final double ROOM = 44;

    private static final double SHELF_WIDTH = 560;
    private static final double SHEET_WIDTH = 860;
    private static final double MARGIN = 34;
    private static final double MOST_HEIGHT = 330;
    /** On a sheet with a table under it; so all boards of a sheet are lettered alike. */
    private static final double CUTS_HEIGHT = 230;

    private final Board board;
    private final Figures fig;
    private final double scale;
    private final double left;
    private final double top;
    private final Svg svg;

    private PlankDrawing(Board board, Figures fig, double scale, double left, double top, Svg svg) {
        this.board = board;
        this.fig = fig;
        this.scale = scale;
        this.left = left;
        this.top = top;
        this.svg = svg;
    }

    /** Small, for the rack: all boards to one scale, set by the longest. */
    public static String onShelf(Board board, Figures fig, double longest) {
        double scale = (SHELF_WIDTH - 4) / Math.max(longest, 300);
        double height = Math.max(10, board.width() * scale) + 4;
        Svg svg = new Svg(SHELF_WIDTH, height, "plank", words(board));
        PlankDrawing drawing = new PlankDrawing(board, fig, scale, 2, 2, svg);
        drawing.wood();
        drawing.faults();
        return svg.done();
    }

    private static String words(Board board) {
        return Words.say(
                "plank-drawing.fault",
                board.name(),
                board.species().name(),
                board.defects().size());
    }

    /** Large, with sizes and the end's rings; {@code data-} attributes let a script take coordinates off it. */
    public static String sheet(Board board, Figures fig) {
        PlankDrawing drawing = large(board, fig, MOST_HEIGHT, "plank large");
        drawing.wood();
        drawing.grain();
        drawing.faults();
        drawing.sizes();
        drawing.end(List.of());
        return drawing.svg.done();
    }

    /** A piece in its board: what is marked on it, from end and edge, along and across, mm. */
    public record PieceBox(String mark, double fromEnd, double fromEdge, double along, double across) {}

    /** With the pieces that are cut from it, numbered, and its cuts. */
    public static String withCuts(Board board, Figures fig, List<PieceBox> pieces, List<Cut> cuts) {
        PlankDrawing drawing = large(board, fig, CUTS_HEIGHT, "plank large cuts");
        drawing.wood();
        pieces.forEach(drawing::piece);
        drawing.faults();
        drawing.cuts(cuts);
        drawing.sizes();
        List<Cut> resaws = cuts.stream().filter(c -> c.kind() == Cut.Kind.RESAW).toList();
        if (!resaws.isEmpty()) {
            drawing.end(resaws);
        }
        return drawing.svg.done();
    }

    private static PlankDrawing large(Board board, Figures fig, double mostHeight, String css) {
        double endWidth = board.thickness() * 1.2 + 60;
        double scale = Math.min(
                (SHEET_WIDTH - 2 * MARGIN) / (board.length() + endWidth), (mostHeight - 2 * MARGIN) / board.width());
        double height = board.width() * scale + 2 * MARGIN;
        Svg svg = new Svg(SHEET_WIDTH, height, css, words(board));
        svg.attribute("data-scale", Decimal.six(scale)).attribute("data-left", Svg.n(MARGIN));
        svg.attribute("data-bottom", Svg.n(MARGIN + board.width() * scale));
        return new PlankDrawing(board, fig, scale, MARGIN, MARGIN, svg);
    }

    private double x(double fromEnd) {
        return left + fromEnd * scale;
    }

    /** The marked edge is at the bottom. */
    private double y(double fromEdge) {
        return top + (board.width() - fromEdge) * scale;
    }

    private void wood() {
        svg.rect(
                board.offcut() ? "wood offcut" : "wood",
                x(0),
                y(board.width()),
                board.length() * scale,
                board.width() * scale);
        svg.line("marked-edge", x(0), y(0), x(board.length()), y(0));
    }

    private void grain() {
        double slope = Math.tan(Math.toRadians(board.grainAngle()));
        double reach = board.length() * 0.3;
        for (int i = 1; i <= 3; i++) {
            double v = board.width() * i / 4;
            double u = board.length() / 2;
            double rise = Math.max(-board.width() / 5, Math.min(board.width() / 5, reach * slope));
            svg.line("grain", x(u - reach), y(v - rise), x(u + reach), y(v + rise));
        }
        int way = board.rise().sign();
        if (way != 0) {
            double at = x(board.length() * (way > 0 ? 0.84 : 0.16));
            double mid = y(board.width() / 2);
            svg.path(
                    "way",
                    "M" + Svg.n(at - 9 * way) + " " + Svg.n(mid - 8) + "L" + Svg.n(at + 9 * way) + " " + Svg.n(mid)
                            + "L" + Svg.n(at - 9 * way) + " " + Svg.n(mid + 8));
        }
    }

    private void faults() {
        for (Defect d : board.defects()) {
            Faults.draw(
                    svg,
                    d.kind(),
                    d.through(board.thickness()) ? "through" : d.top() <= 0.01 ? "on-a" : "under-a",
                    d.kind().words(),
                    x(d.fromEnd()),
                    y(d.fromEdge() + d.across()),
                    d.along() * scale,
                    d.across() * scale);
        }
    }

    private void sizes() {
        double under = y(0) + 22;
        svg.figure("figure", x(board.length()), under, "end", Figures.parts(fig.tape(board.length())));
        svg.figure(
                "figure",
                x(0) - 6,
                y(board.width()) - 8,
                "start",
                Figures.parts(Words.say("plank-drawing.wide", fig.tape(board.width()))));
        svg.text("caption", x(0), under, "start", Words.say("plank-drawing.near-end-marked-edge"));
        svg.text("caption", x(board.length()), y(board.width()) - 8, "end", Words.say("plank-drawing.face-a-up"));
    }

    /** The far end, seen from there: the rings, which face the heart is on, and where it is resawn. */
    private void end(List<Cut> resaws) {
        double w = Math.min(60, board.width() * scale * 0.5 + 14);
        double least = resaws.isEmpty() ? 14 : 40;
        double h = Math.max(least, Math.min(w * board.thickness() / board.width(), 46));
        double x0 = x(board.length()) + 26;
        double y0 = y(board.width() / 2) - h / 2;
        svg.open("g", "class", "end");
        String rings = board.rings().words();
        svg.title(board.heart()
                .map(side -> Words.say("plank-drawing.the-far-end-with-heart", rings, side))
                .orElseGet(() -> Words.say("plank-drawing.the-far-end", rings)));
        svg.rect("wood", x0, y0, w, h);
        boolean heartDown = board.heart().orElse(Side.B) == Side.B;
        for (int i = 1; i <= 4; i++) {
            svg.path("ring", ring(x0, y0, w, h, i / 5.0, heartDown));
        }
        for (Cut cut : resaws) {
            double y = y0 + h * (cut.at() + cut.kerf() / 2) / board.thickness();
            svg.line("cut", x0 - 5, y, x0 + w + 5, y);
        }
        svg.text("caption", x0 + w / 2, y0 - 6, "middle", "A");
        svg.figure("caption", x0 + w / 2, y0 + h + 16, "middle", Figures.parts(fig.brief(board.thickness())));
        svg.close();
    }

    private String ring(double x0, double y0, double w, double h, double share, boolean heartDown) {
        if (board.rings() == Rings.QUARTERED) {
            return "M" + Svg.n(x0 + w * share) + " " + Svg.n(y0) + "L" + Svg.n(x0 + w * share) + " " + Svg.n(y0 + h);
        }
        if (board.rings() == Rings.RIFT) {
            double x = x0 + w * share;
            return "M" + Svg.n(Math.max(x0, x - h / 2)) + " " + Svg.n(y0 + h) + "L" + Svg.n(Math.min(x0 + w, x + h / 2))
                    + " " + Svg.n(y0);
        }
        double at = y0 + h * share;
        double bow = heartDown ? -h * 0.5 : h * 0.5;
        double middle = Math.max(y0, Math.min(y0 + h, at + bow));
        return "M" + Svg.n(x0) + " " + Svg.n(at) + "Q" + Svg.n(x0 + w / 2) + " " + Svg.n(middle) + " " + Svg.n(x0 + w)
                + " " + Svg.n(at);
    }

    private void piece(PieceBox piece) {
        double y0 = y(piece.fromEdge() + piece.across());
        svg.rect("piece", x(piece.fromEnd()), y0, piece.along() * scale, piece.across() * scale);
        double middle = y(piece.fromEdge() + piece.across() / 2) + 6;
        double centre = x(piece.fromEnd() + piece.along() / 2);
        boolean room = piece.across() * scale > ROOM && piece.along() * scale > 3 * ROOM;
        svg.text("number", centre, middle - (room ? 8 : 0), "middle", piece.mark());
        if (room) {
            String size = fig.tape(piece.along()) + " x " + fig.tape(piece.across());
            svg.figure("caption", centre, middle + 12, "middle", Figures.parts(size));
        }
    }

    private void cuts(List<Cut> cuts) {
        for (Cut cut : cuts) {
            if (cut.kind() == Cut.Kind.CROSS) {
                svg.line("cut", x(cut.at()), y(board.width()) - 6, x(cut.at()), y(0) + 6);
            }
        }
    }
}
