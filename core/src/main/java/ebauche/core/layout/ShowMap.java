package ebauche.core.layout;

import ebauche.core.geometry.Region;
import ebauche.core.stock.Grid;
import ebauche.core.stock.Raster;
import ebauche.core.timber.Flaw;

/**
 * What a fault at a place would count against a layout, asked some hundred thousand times while layouts are searched.
 *
 * <p>The plan is cut into cells of {@value #PITCH} mm. For each face, for the edge and for the neck's seat a table holds,
 * for every corner of the grid, how many cells left and below of it count; the number in any box is then four look-ups
 * (summed-area table, F. Crow 1984). A box is widened to whole cells, so that a fault which just touches what shows counts: an area is
 * off by at most a cell's width along the box's sides. {@link Judgement} tells the same of one fault exactly.
 */
final class ShowMap {
    private static final double PITCH = 2;

    private final Need need;
    private final Grid grid;
    private final int[] front;
    private final int[] back;
    private final int[] edge;
    private final int[] seat;
    private final int[] body;

    ShowMap(Need need) {
        this.need = need;
        Region outline = need.outline();
        this.grid = Grid.covering(
                outline.minX() - PITCH, outline.maxX() + PITCH, outline.minY() - PITCH, outline.maxY() + PITCH, PITCH);
        this.front = need.showsFront() ? sums(outline.minus(need.openFront()).minus(need.coveredFront())) : null;
        this.back = need.showsBack() ? sums(outline.minus(need.openBack()).minus(need.coveredBack())) : null;
        this.edge = sums(outline.minus(outline.grown(-PITCH)));
        this.seat = need.seat().isEmpty() ? null : sums(need.seat().intersection(outline));
        this.body = sums(outline);
    }

    private int[] sums(Region region) {
        int across = grid.columns() + 1;
        int[] sums = new int[across * (grid.rows() + 1)];
        Raster raster = Raster.of(region, grid);
        for (int row = raster.firstRow(); row < raster.endRow(); row++) {
            int[] spans = raster.spans(row);
            for (int i = 0; i < spans.length; i += 2) {
                for (int column = spans[i]; column < spans[i + 1]; column++) {
                    sums[(row + 1) * across + column + 1] = 1;
                }
            }
        }
        for (int row = 1; row <= grid.rows(); row++) {
            for (int column = 1; column < across; column++) {
                int at = row * across + column;
                sums[at] += sums[at - 1] + sums[at - across] - sums[at - across - 1];
            }
        }
        return sums;
    }

    /** Cells that count inside a box, mm². */
    private double area(int[] sums, Flaw flaw) {
        int across = grid.columns() + 1;
        int left = corner(Math.floor((flaw.minX() - grid.x0()) / PITCH), grid.columns());
        int right = corner(Math.ceil((flaw.maxX() - grid.x0()) / PITCH), grid.columns());
        int low = corner(Math.floor((flaw.minY() - grid.y0()) / PITCH), grid.rows()) * across;
        int high = corner(Math.ceil((flaw.maxY() - grid.y0()) / PITCH), grid.rows()) * across;
        return (sums[high + right] - sums[high + left] - sums[low + right] + sums[low + left]) * PITCH * PITCH;
    }

    private static int corner(double cells, int most) {
        return Math.max(0, Math.min(most, (int) cells));
    }

    /**
     * Points that a fault counts where it lies.
     *
     * @param frontAt depth of the finished upper face under the blank's
     */
    double points(Flaw flaw, double frontAt) {
        double top = flaw.top() - frontAt;
        double bottom = flaw.bottom() - frontAt;
        boolean inside = top < need.finished() && bottom > 0 && area(body, flaw) > 0;
        if (!inside) {
            return 0;
        }
        return Judgement.pointsOf(
                flaw.kind(),
                front != null && top <= 0 ? area(front, flaw) : 0,
                back != null && bottom >= need.finished() ? area(back, flaw) : 0,
                area(edge, flaw) / PITCH,
                seat != null && area(seat, flaw) > 0);
    }
}
