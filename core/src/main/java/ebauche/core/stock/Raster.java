package ebauche.core.stock;

import ebauche.core.geometry.Region;
import java.util.Arrays;

/**
 * The cells of a grid whose centres lie in a region, as spans along each row.
 *
 * <p>Scan conversion by the even-odd rule: every edge of every ring is crossed with the rows' centre lines, the
 * crossings of a row are sorted and paired. Costs the edges plus the rows they span; exact for cell centres.
 */
public final class Raster {
    private final int firstRow;
    /** For each row, pairs of first column and column after the last. */
    private final int[][] spans;

    private Raster(int firstRow, int[][] spans) {
        this.firstRow = firstRow;
        this.spans = spans;
    }

    public static Raster of(Region region, Grid grid) {
        if (region.isEmpty()) {
            return new Raster(0, new int[0][]);
        }
        int first = Math.max(0, grid.rowAfter(region.minY()));
        int end = Math.min(grid.rows(), grid.rowAfter(region.maxY()));
        double[][] crossings = new double[Math.max(0, end - first)][];
        int[] counts = new int[crossings.length];
        region.forEachRing(ring -> {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                cross(ring[i], ring[i + 1], ring[i + 2], ring[i + 3], grid, first, crossings, counts);
            }
        });
        int[][] spans = new int[crossings.length][];
        for (int row = 0; row < spans.length; row++) {
            spans[row] = paired(crossings[row], counts[row], grid);
        }
        return new Raster(first, spans);
    }

    private static void cross(
            double x0, double y0, double x1, double y1, Grid grid, int first, double[][] crossings, int[] counts) {
        int from = Math.max(grid.rowAfter(Math.min(y0, y1)) - first, 0);
        int until = Math.min(grid.rowAfter(Math.max(y0, y1)) - first, crossings.length);
        for (int row = from; row < until; row++) {
            double y = grid.y(row + first);
            double[] at = crossings[row];
            if (at == null) {
                at = new double[4];
            } else if (counts[row] == at.length) {
                at = Arrays.copyOf(at, at.length * 2);
            }
            crossings[row] = at;
            at[counts[row]++] = x0 + (x1 - x0) * (y - y0) / (y1 - y0);
        }
    }

    private static int[] paired(double[] at, int count, Grid grid) {
        if (at == null) {
            return new int[0];
        }
        Arrays.sort(at, 0, count);
        int[] out = new int[count / 2 * 2];
        for (int i = 0; i < out.length; i++) {
            out[i] = Math.max(0, Math.min(grid.columns(), grid.columnAfter(at[i])));
        }
        return out;
    }

    public int firstRow() {
        return firstRow;
    }

    public int endRow() {
        return firstRow + spans.length;
    }

    public int[] spans(int row) {
        return spans[row - firstRow];
    }
}
