package ebauche.core.stock;

import ebauche.core.geometry.Region;
import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;

/** How far a profile has fallen in the cells of one grid over a course whose distances are dear, each reckoned when it is first asked for. */
final class FallenCells {
    /** At the pitch that the wood of most bodies is told on. */
    private static final int CELLS_PER_MM2 = 4;

    private final Course course;
    private final Grid grid;
    private final Profile profile;
    private final DoubleUnaryOperator falling;
    private final float[] fallen;

    private FallenCells(Course course, Grid grid, Profile profile) {
        this.course = course;
        this.grid = grid;
        this.profile = profile;
        this.falling = profile.falling();
        this.fallen = new float[grid.columns() * grid.rows()];
        Arrays.fill(fallen, Float.NaN);
    }

    double at(int column, int row) {
        int cell = row * grid.columns() + column;
        if (Float.isNaN(fallen[cell])) {
            fallen[cell] = (float) falling.applyAsDouble(course.across(grid.x(column), grid.y(row)));
        }
        return fallen[cell];
    }

    /** What one grid over a body weighs. */
    static long bytesOver(Region body) {
        double box = (body.maxX() - body.minX()) * (body.maxY() - body.minY());
        return (long) (Float.BYTES * box * CELLS_PER_MM2);
    }

    /** The last grid's cells are remembered; two plans at once may reckon some of them twice, to the same end. */
    static final class Last {
        private volatile FallenCells cells;

        FallenCells over(Course course, Grid grid, Profile profile) {
            FallenCells known = cells;
            if (known == null || !known.grid.equals(grid) || !known.profile.equals(profile)) {
                known = new FallenCells(course, grid, profile);
                cells = known;
            }
            return known;
        }
    }
}
