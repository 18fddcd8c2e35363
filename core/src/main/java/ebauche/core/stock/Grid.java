package ebauche.core.stock;

/**
 * Square cells over the plan, symmetric about the centre line: centres lie at (i + 1/2) times the pitch from it.
 *
 * @param pitch side of a cell, mm
 * @param x0 left edge of the first column, a multiple of the pitch
 * @param y0 lower edge of the first row, a multiple of the pitch
 */
public record Grid(double pitch, double x0, double y0, int columns, int rows) {
    /** Enough for the largest body that is accepted, 1200 x 600, on half-millimetre cells, and no more. */
    public static final long MOST_CELLS = 3_200_000;

    public Grid {
        if (!(pitch > 0) || columns < 1 || rows < 1) {
            throw new IllegalArgumentException("a grid needs a pitch, columns and rows");
        }
        if ((long) columns * rows > MOST_CELLS) {
            throw new IllegalArgumentException(
                    "a stock of " + (long) columns * rows + " cells is beyond " + MOST_CELLS);
        }
    }

    /** The grid that covers a box on the plan. */
    public static Grid covering(double minX, double maxX, double minY, double maxY, double pitch) {
        int left = (int) Math.floor(minX / pitch);
        int low = (int) Math.floor(minY / pitch);
        int columns = (int) Math.ceil(maxX / pitch) - left;
        int rows = (int) Math.ceil(maxY / pitch) - low;
        return new Grid(pitch, left * pitch, low * pitch, columns, rows);
    }

    /** Centre of a column. */
    public double x(int column) {
        return x0 + (column + 0.5) * pitch;
    }

    /** Centre of a row. */
    public double y(int row) {
        return y0 + (row + 0.5) * pitch;
    }

    /** First column whose centre lies at or beyond x; may lie outside the grid. */
    int columnAfter(double x) {
        return (int) Math.ceil((x - x0) / pitch - 0.5);
    }

    /** First row whose centre lies at or beyond y; may lie outside the grid. */
    int rowAfter(double y) {
        return (int) Math.ceil((y - y0) / pitch - 0.5);
    }

    /** The column that holds x, kept inside the grid. */
    public int columnAt(double x) {
        return Math.max(0, Math.min(columns - 1, (int) Math.floor((x - x0) / pitch)));
    }

    /** The row that holds y, kept inside the grid. */
    public int rowAt(double y) {
        return Math.max(0, Math.min(rows - 1, (int) Math.floor((y - y0) / pitch)));
    }
}
