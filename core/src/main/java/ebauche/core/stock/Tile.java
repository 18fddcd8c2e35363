package ebauche.core.stock;

import java.util.Arrays;

/**
 * The solid intervals of {@value #SIDE} x {@value #SIDE} cells, immutable once it is in a stock.
 *
 * <p>Each cell has the same number of slots, a slot being an interval's top and bottom depth and its material; a slot
 * whose top is not above its bottom is empty. A uniform tile keeps one cell for all. Sums over the tile (volume and
 * first moments) are reckoned once, on demand, and shared by every stock that shares the tile.
 */
final class Tile {
    static final int SIDE = 32;
    static final int CELLS = SIDE * SIDE;
    static final Tile EMPTY = new Tile(1, new float[2], new byte[1]);

    final int slots;
    final float[] depths;
    final byte[] materials;
    private volatile double[] sums;

    private Tile(int slots, float[] depths, byte[] materials) {
        this.slots = slots;
        this.depths = depths;
        this.materials = materials;
    }

    /** What it takes of the memory, nearly. */
    long bytes() {
        return 80L + (long) Float.BYTES * depths.length + materials.length;
    }

    boolean isUniform() {
        return materials.length == slots;
    }

    /** A copy that may be changed before it enters a stock. */
    Tile copy(boolean keepUniform) {
        if (keepUniform || !isUniform()) {
            return new Tile(slots, depths.clone(), materials.clone());
        }
        float[] z = new float[2 * slots * CELLS];
        byte[] m = new byte[slots * CELLS];
        for (int cell = 0; cell < CELLS; cell++) {
            System.arraycopy(depths, 0, z, cell * 2 * slots, 2 * slots);
            System.arraycopy(materials, 0, m, cell * slots, slots);
        }
        return new Tile(slots, z, m);
    }

    /** The same intervals with one more empty slot per cell. */
    Tile widened() {
        int cells = materials.length / slots;
        float[] z = new float[2 * (slots + 1) * cells];
        byte[] m = new byte[(slots + 1) * cells];
        for (int cell = 0; cell < cells; cell++) {
            System.arraycopy(depths, cell * 2 * slots, z, cell * 2 * (slots + 1), 2 * slots);
            System.arraycopy(materials, cell * slots, m, cell * (slots + 1), slots);
        }
        return new Tile(slots + 1, z, m);
    }

    /**
     * Takes the depths from..to out of a run of cells.
     *
     * @return the first cell that needs a slot more, that one untouched; {@code end} when all are done
     */
    int remove(int first, int end, float from, float to) {
        if (slots > 1) {
            int cell = first;
            while (cell < end && remove(cell, from, to)) {
                cell++;
            }
            return cell;
        }
        for (int cell = first; cell < end; cell++) {
            float top = depths[2 * cell];
            float bottom = depths[2 * cell + 1];
            if (top >= from && top < to) {
                depths[2 * cell] = Math.min(to, bottom);
            } else if (top < from && bottom > to) {
                return cell;
            } else if (top < from && bottom > from) {
                depths[2 * cell + 1] = from;
            }
        }
        return end;
    }

    /** Takes the depths from..to out of a cell. False, with the cell untouched, if a slot more is needed. */
    boolean remove(int cell, float from, float to) {
        int base = cell * slots;
        int free = -1;
        int split = -1;
        for (int s = base; s < base + slots; s++) {
            float top = depths[2 * s];
            float bottom = depths[2 * s + 1];
            if (!(top < bottom)) {
                free = s;
            } else if (top < from && bottom > to) {
                split = s;
            }
        }
        if (split >= 0) {
            if (free < 0) {
                return false;
            }
            depths[2 * free] = to;
            depths[2 * free + 1] = depths[2 * split + 1];
            materials[free] = materials[split];
            depths[2 * split + 1] = from;
            return true;
        }
        for (int s = base; s < base + slots; s++) {
            if (depths[2 * s] >= from && depths[2 * s] < to) {
                depths[2 * s] = Math.min(to, depths[2 * s + 1]);
            } else if (depths[2 * s] < from && depths[2 * s + 1] > from) {
                depths[2 * s + 1] = from;
            }
        }
        return true;
    }

    /** Puts wood at the depths from..to of a cell. False, with the cell untouched, if a slot more is needed. */
    boolean add(int cell, float from, float to, byte material) {
        for (int s = cell * slots; s < (cell + 1) * slots; s++) {
            if (!(depths[2 * s] < depths[2 * s + 1])) {
                depths[2 * s] = from;
                depths[2 * s + 1] = to;
                materials[s] = material;
                return true;
            }
        }
        return false;
    }

    /**
     * Per material: thickness summed over the cells, and its products with column, row and middle depth; four numbers
     * for each of the materials 0..{@value #MATERIALS}-1.
     */
    double[] sums() {
        double[] out = sums;
        if (out == null) {
            out = new double[4 * MATERIALS];
            for (int cell = 0; cell < CELLS; cell++) {
                sumCell(cell, out);
            }
            sums = out;
        }
        return out;
    }

    /** How many cells have wood that begins (or ends) at a depth. */
    int flat(float depth, boolean begins) {
        int of = begins ? 0 : 1;
        int cells = isUniform() ? 1 : CELLS;
        int found = 0;
        for (int cell = 0; cell < cells; cell++) {
            for (int s = cell * slots; s < (cell + 1) * slots; s++) {
                boolean wood = depths[2 * s] < depths[2 * s + 1];
                if (wood && Math.abs(depths[2 * s + of] - depth) < FLAT) {
                    found++;
                    break;
                }
            }
        }
        return isUniform() ? found * CELLS : found;
    }

    /** Single precision of a depth, mm. */
    private static final float FLAT = 1e-3f;

    static final int MATERIALS = 8;

    private void sumCell(int cell, double[] out) {
        int base = isUniform() ? 0 : cell * slots;
        int column = cell % SIDE;
        int row = cell / SIDE;
        for (int s = base; s < base + slots; s++) {
            double thickness = depths[2 * s + 1] - depths[2 * s];
            if (thickness > 0) {
                int at = 4 * materials[s];
                out[at] += thickness;
                out[at + 1] += thickness * column;
                out[at + 2] += thickness * row;
                out[at + 3] += thickness * (depths[2 * s] + depths[2 * s + 1]) / 2;
            }
        }
    }

    /** The intervals of a cell from front to back: top, bottom, top, bottom... */
    double[] intervals(int cell) {
        int base = isUniform() ? 0 : cell * slots;
        double[][] found = new double[slots][];
        int n = 0;
        for (int s = base; s < base + slots; s++) {
            if (depths[2 * s] < depths[2 * s + 1]) {
                found[n++] = new double[] {depths[2 * s], depths[2 * s + 1]};
            }
        }
        double[][] solid = Arrays.copyOf(found, n);
        Arrays.sort(solid, (a, b) -> Double.compare(a[0], b[0]));
        double[] out = new double[2 * n];
        for (int i = 0; i < n; i++) {
            out[2 * i] = solid[i][0];
            out[2 * i + 1] = solid[i][1];
        }
        return out;
    }
}
