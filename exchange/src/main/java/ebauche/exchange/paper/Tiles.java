package ebauche.exchange.paper;

import ebauche.core.geometry.Segment;
import ebauche.core.sheet.TemplateSheet;
import ebauche.exchange.drawn.DrawnFile;
import java.util.ArrayList;
import java.util.List;

/**
 * How a template is cut into sheets: upright or across, whichever takes fewer, the drawing in the middle of them.
 *
 * @param left least x that the first column shows, on the template
 * @param bottom least y that the lowest row shows
 * @param wide what a sheet shows of the template across, mm on the template
 * @param high what a sheet shows of it along
 * @param columns letters, from the left
 * @param rows numbers, from the top
 */
public record Tiles(
        Paper paper, boolean landscape, double left, double bottom, double wide, double high, int columns, int rows) {
    /** Kept white round a sheet: printers reach no further, mm. */
    static final double MARGIN = 10;

    /** What neighbours both show, mm: enough to glue, common practice. */
    public static final double OVERLAP = 12;

    /** Under the drawing, for bars and words, mm. */
    static final double FOOT = 22;

    /** Round the template, so that its line is not at a sheet's very edge, mm. */
    private static final double ROOM = 4;

    /** What neighbours both show, mm. */
    public double overlap() {
        return OVERLAP;
    }

    /** One sheet. */
    public record Tile(int column, int row, double left, double bottom) {
        /** Such as {@code B2}. */
        public String name() {
            return (char) ('A' + column) + String.valueOf(row + 1);
        }
    }

    /**
     * Lays sheets over a template.
     *
     * @param printer what the printer makes of its sizes
     */
    public static Tiles over(TemplateSheet sheet, Paper paper, Scale printer) {
        double[] box = box(sheet);
        Tiles upright = of(box, paper, false, printer);
        Tiles across = of(box, paper, true, printer);
        return across.columns * across.rows < upright.columns * upright.rows ? across : upright;
    }

    private static Tiles of(double[] box, Paper paper, boolean landscape, Scale printer) {
        double wide = (paper.width(landscape) - 2 * MARGIN) * printer.across();
        double high = (paper.height(landscape) - 2 * MARGIN - FOOT) * printer.along();
        int columns = count(box[2] - box[0], wide);
        int rows = count(box[3] - box[1], high);
        double spareX = columns * (wide - OVERLAP) + OVERLAP - (box[2] - box[0]);
        double spareY = rows * (high - OVERLAP) + OVERLAP - (box[3] - box[1]);
        return new Tiles(paper, landscape, box[0] - spareX / 2, box[1] - spareY / 2, wide, high, columns, rows);
    }

    private static int count(double size, double shown) {
        return (int) Math.max(1, Math.ceil((size - OVERLAP) / (shown - OVERLAP) - 1e-9));
    }

    private static double[] box(TemplateSheet sheet) {
        double[] all = {
            Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY
        };
        for (List<Segment> ring : sheet.rings()) {
            double[] box = new DrawnFile.Shape("", ring).box();
            all[0] = Math.min(all[0], box[0] - ROOM);
            all[1] = Math.min(all[1], box[1] - ROOM);
            all[2] = Math.max(all[2], box[2] + ROOM);
            all[3] = Math.max(all[3], box[3] + ROOM);
        }
        return all;
    }

    /** Row by row from the top, each from the left. */
    public List<Tile> tiles() {
        List<Tile> tiles = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                tiles.add(new Tile(
                        column, row, left + column * (wide - OVERLAP), bottom + (rows - 1 - row) * (high - OVERLAP)));
            }
        }
        return tiles;
    }
}
