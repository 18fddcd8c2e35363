package ebauche.app.drawing;

import ebauche.core.geometry.Point;
import ebauche.core.stock.Grid;
import ebauche.core.stock.Stock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** The wood under one straight line across the grid, as runs of cells with the same solid intervals. */
public final class Section {
    /** A floor tilted by ten degrees, the steepest that is accepted, changes by less from cell to cell, mm. */
    private static final double SLOPE = 0.1;

    /** Depths nearer than this touch: single precision rounds them, mm. */
    private static final double GLUED = 1e-3;

    /**
     * Neighbouring cells that hold the same wood.
     *
     * @param from along the line, mm
     * @param to along the line, mm
     * @param solid top, bottom, top, bottom... depths front to back
     */
    @SuppressWarnings("ArrayRecordComponent") // drawn, never compared
    public record Run(double from, double to, double[] solid) {
        /** The same with layers that are glued on each other told as one. */
        public double[] joined() {
            double[] out = new double[solid.length];
            int n = 0;
            for (int i = 0; i < solid.length; i += 2) {
                if (n > 0 && glued(out[n - 1], solid[i])) {
                    out[n - 1] = solid[i + 1];
                } else {
                    out[n++] = solid[i];
                    out[n++] = solid[i + 1];
                }
            }
            return Arrays.copyOf(out, n);
        }

        /** Depths at which one layer is glued on another. */
        double[] glueLines() {
            return IntStream.range(1, solid.length / 2)
                    .filter(i -> glued(solid[2 * i - 1], solid[2 * i]))
                    .mapToDouble(i -> solid[2 * i])
                    .toArray();
        }

        private static boolean glued(double bottom, double top) {
            return top - bottom < GLUED;
        }
    }

    private Section() {}

    /** Along the body, at one x. */
    public static List<Run> lengthwise(Stock stock, double x) {
        Grid grid = stock.grid();
        int column = grid.columnAt(x);
        double[][] cells = new double[grid.rows()][];
        for (int row = 0; row < cells.length; row++) {
            cells[row] = stock.intervals(column, row);
        }
        return runs(cells, grid.y(0) - grid.pitch() / 2, grid.pitch());
    }

    /** Across the body, at one y. */
    public static List<Run> across(Stock stock, double y) {
        Grid grid = stock.grid();
        int row = grid.rowAt(y);
        double[][] cells = new double[grid.columns()][];
        for (int column = 0; column < cells.length; column++) {
            cells[column] = stock.intervals(column, row);
        }
        return runs(cells, grid.x(0) - grid.pitch() / 2, grid.pitch());
    }

    /** Along any line of the plan; distances are from its first end. */
    public static List<Run> along(Stock stock, Point from, Point to) {
        double length = from.distance(to);
        double pitch = stock.grid().pitch();
        double[][] cells = new double[Math.max(1, (int) Math.floor(length / pitch))][];
        for (int i = 0; i < cells.length; i++) {
            Point at = from.towards(to, (i + 0.5) * pitch / length);
            cells[i] = stock.intervalsAt(at.x(), at.y());
        }
        return runs(cells, 0, pitch);
    }

    private static List<Run> runs(double[][] cells, double start, double pitch) {
        List<Run> runs = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= cells.length; i++) {
            if (i == cells.length || !Arrays.equals(cells[i], cells[from])) {
                if (cells[from].length > 0) {
                    runs.add(new Run(start + from * pitch, start + i * pitch, cells[from]));
                }
                from = i;
            }
        }
        return runs;
    }

    /** Neighbouring runs between which the wood hardly changes, as on a tilted floor, told as one by its last cell. */
    public static List<Run> merged(List<Run> runs) {
        List<Run> out = new ArrayList<>();
        for (Run run : runs) {
            Run last = out.isEmpty() ? null : out.get(out.size() - 1);
            if (last != null && last.to() == run.from() && close(last.solid(), run.solid())) {
                out.set(out.size() - 1, new Run(last.from(), run.to(), run.solid()));
            } else {
                out.add(run);
            }
        }
        return out;
    }

    private static boolean close(double[] a, double[] b) {
        for (int i = 0; i < Math.min(a.length, b.length); i++) {
            if (Math.abs(a[i] - b[i]) > SLOPE) {
                return false;
            }
        }
        return a.length == b.length;
    }
}
