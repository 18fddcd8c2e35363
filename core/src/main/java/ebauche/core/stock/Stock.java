package ebauche.core.stock;

import ebauche.core.geometry.Point;
import ebauche.core.memo.Memo;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The wood that is left, as solid intervals along the depth over every cell of a plan grid.
 *
 * <p>Immutable. Cells live in tiles that successive stocks share, so that the stocks of a whole build cost what was
 * changed and not what is there: a change copies only the tiles it touches. Depths are kept to a 1/10,000 mm or better
 * (single precision). The grid is for finding what nobody thought of, for sections and for mass; numbers on a card come
 * from exact geometry. Cost of a change: its outline's edges plus the cells it covers.
 */
public final class Stock {
    /** A pocket's few rows of tiles are done before another core could begin. */
    private static final int FEW_ROWS = 10;

    /** What a change does to tiles; a body edited a little goes through nearly the same stocks again. */
    private record Sweeping(Grid grid, Change change, byte material) {}

    private final Grid grid;
    private final int tilesAcross;
    private final Tile[] tiles;
    private final List<Material> materials;

    private Stock(Grid grid, Tile[] tiles, List<Material> materials) {
        this.grid = grid;
        this.tilesAcross = across(grid.columns());
        this.tiles = tiles;
        this.materials = materials;
    }

    private static int across(int cells) {
        return (cells + Tile.SIDE - 1) / Tile.SIDE;
    }

    /** No wood at all. */
    public static Stock empty(Grid grid) {
        Tile[] tiles = new Tile[across(grid.columns()) * across(grid.rows())];
        Arrays.fill(tiles, Tile.EMPTY);
        return new Stock(grid, tiles, List.of());
    }

    public Grid grid() {
        return grid;
    }

    /** The stock after all these changes, in order. */
    public Stock after(List<Change> changes) {
        Stock stock = this;
        for (Change change : changes) {
            stock = stock.after(change);
        }
        return stock;
    }

    /** The stock after one change to the body; changes to other workpieces leave it as it is. */
    public Stock after(Change change) {
        if (change.workpiece() != Workpiece.BODY) {
            return this;
        }
        List<Material> kinds = materials;
        byte material = 0;
        if (change instanceof Change.Add add) {
            if (!kinds.contains(add.material())) {
                kinds = new ArrayList<>(materials);
                kinds.add(add.material());
            }
            material = (byte) kinds.indexOf(add.material());
        }
        Memo memo = Memo.here();
        Sweeping asked = new Sweeping(grid, change, material);
        Tile[] changed = tiles.clone();
        Swept last = memo.known(asked, Swept.class).orElse(null);
        BitSet open = last == null ? all() : last.again(tiles, changed);
        if (!open.isEmpty()) {
            BitSet swept = new Sweep(change, material, changed, open).run();
            Swept now = Swept.of(last == null ? swept : last.touched(), tiles, changed);
            memo.put(asked, now, now.bytes());
        }
        return new Stock(grid, changed, List.copyOf(kinds));
    }

    private BitSet all() {
        BitSet all = new BitSet();
        all.set(0, tiles.length);
        return all;
    }

    /** What one change did when it was last made, tile by tile of those that it touches: the very same tile comes out the same. */
    private static final class Swept {
        private final int[] indexes;
        private final Tile[] before;
        private final Tile[] after;

        private Swept(int[] indexes, Tile[] before, Tile[] after) {
            this.indexes = indexes;
            this.before = before;
            this.after = after;
        }

        static Swept of(BitSet touched, Tile[] before, Tile[] after) {
            int[] indexes = touched.stream().toArray();
            Tile[] from = new Tile[indexes.length];
            Tile[] to = new Tile[indexes.length];
            for (int i = 0; i < indexes.length; i++) {
                from[i] = before[indexes[i]];
                to[i] = after[indexes[i]];
            }
            return new Swept(indexes, from, to);
        }

        /** Fills in what is known; which tiles are still to be swept. */
        BitSet again(Tile[] tiles, Tile[] out) {
            BitSet open = new BitSet();
            for (int i = 0; i < indexes.length; i++) {
                if (tiles[indexes[i]] == before[i]) {
                    out[indexes[i]] = after[i];
                } else {
                    open.set(indexes[i]);
                }
            }
            return open;
        }

        BitSet touched() {
            BitSet touched = new BitSet();
            for (int index : indexes) {
                touched.set(index);
            }
            return touched;
        }

        long bytes() {
            long bytes = 0;
            for (int i = 0; i < after.length; i++) {
                bytes += 12 + (after[i] == before[i] ? 0 : after[i].bytes());
            }
            return bytes;
        }
    }

    /** One change carried over the tiles that it touches. */
    private final class Sweep {
        private final Solid solid;
        private final boolean adding;
        private final byte material;
        private final Tile[] out;
        private final BitSet open;
        private final Raster raster;
        /** Whether its two surfaces run at one distance, as what sanding takes does: one of them tells the other. */
        private final boolean parallel;

        private final double apart;
        private final Surface.Depths tops;
        private final Surface.Depths bottoms;

        Sweep(Change change, byte material, Tile[] out, BitSet open) {
            this.solid = change.solid();
            this.adding = change instanceof Change.Add;
            this.material = material;
            this.out = out;
            this.open = open;
            this.raster = Raster.of(solid.plan(), grid);
            this.apart = solid instanceof Solid.Prism p
                            && p.top() instanceof Carve top
                            && p.bottom() instanceof Carve bottom
                            && top.runsWith(bottom)
                    ? bottom.flat() - top.flat()
                    : Double.NaN;
            this.parallel = !Double.isNaN(apart);
            this.tops = solid instanceof Solid.Prism p ? p.top().over(grid) : null;
            this.bottoms = solid instanceof Solid.Prism p ? p.bottom().over(grid) : null;
        }

        /** Rows of tiles know nothing of each other: many of them are swept on all cores. Which tiles the change lies over. */
        BitSet run() {
            int first = raster.firstRow() / Tile.SIDE;
            int end = (raster.endRow() + Tile.SIDE - 1) / Tile.SIDE;
            IntStream rows = IntStream.range(first, Math.max(first, end));
            BitSet[] covered = (end - first > FEW_ROWS ? rows.parallel() : rows)
                    .mapToObj(this::row)
                    .toArray(BitSet[]::new);
            BitSet all = new BitSet();
            for (BitSet row : covered) {
                all.or(row);
            }
            return all;
        }

        private BitSet row(int tr) {
            BitSet over = new BitSet();
            for (int tc = 0; tc < tilesAcross; tc++) {
                int index = tr * tilesAcross + tc;
                int covered = open.get(index) ? covered(tr, tc) : 0;
                if (covered > 0) {
                    over.set(index);
                    out[index] = swept(out[index], tr, tc, covered == Tile.CELLS);
                }
            }
            return over;
        }

        private int covered(int tr, int tc) {
            int cells = 0;
            int left = tc * Tile.SIDE;
            for (int row = firstRow(tr); row < endRow(tr); row++) {
                int[] spans = raster.spans(row);
                for (int i = 0; i < spans.length; i += 2) {
                    cells += Math.max(0, Math.min(spans[i + 1], left + Tile.SIDE) - Math.max(spans[i], left));
                }
            }
            return cells;
        }

        private int firstRow(int tr) {
            return Math.max(raster.firstRow(), tr * Tile.SIDE);
        }

        private int endRow(int tr) {
            return Math.min(raster.endRow(), (tr + 1) * Tile.SIDE);
        }

        private Tile swept(Tile tile, int tr, int tc, boolean whole) {
            boolean level = solid instanceof Solid.Prism p
                    && p.top().isLevel()
                    && p.bottom().isLevel();
            if (whole && level && tile.isUniform()) {
                return cell(tile.copy(true), 0, tc * Tile.SIDE, tr * Tile.SIDE);
            }
            Tile work = tile.copy(false);
            int left = tc * Tile.SIDE;
            for (int row = firstRow(tr); row < endRow(tr); row++) {
                int[] spans = raster.spans(row);
                for (int i = 0; i < spans.length; i += 2) {
                    int end = Math.min(spans[i + 1], left + Tile.SIDE);
                    if (level && !adding) {
                        work = run(work, (row - tr * Tile.SIDE) * Tile.SIDE - left, Math.max(spans[i], left), end);
                        continue;
                    }
                    for (int column = Math.max(spans[i], left); column < end; column++) {
                        int cell = (row - tr * Tile.SIDE) * Tile.SIDE + column - left;
                        work = cell(work, cell, column, row);
                    }
                }
            }
            return work;
        }

        /** A run of cells cut to one depth: the common case, without asking each cell what it is cut to. */
        private Tile run(Tile tile, int rowStart, int column, int end) {
            float from = (float) solid.shallowest();
            float to = (float) solid.deepest();
            Tile work = tile;
            int next = rowStart + column;
            while (column < end && next < rowStart + end && from < to) {
                next = work.remove(next, rowStart + end, from, to);
                if (next < rowStart + end) {
                    work = work.widened();
                }
            }
            return work;
        }

        private Tile cell(Tile tile, int cell, int column, int row) {
            float from;
            float to;
            if (solid instanceof Bore bore) {
                double[] piece = bore.pieceAt(grid.x(column), grid.y(row));
                if (piece.length == 0) {
                    return tile;
                }
                from = (float) piece[0];
                to = (float) piece[1];
            } else {
                double top = tops.at(column, row);
                from = (float) top;
                to = (float) (parallel ? top + apart : bottoms.at(column, row));
            }
            if (!(from < to)) {
                return tile;
            }
            Tile work = tile;
            while (!(adding ? work.add(cell, from, to, material) : work.remove(cell, from, to))) {
                work = work.widened();
            }
            return work;
        }
    }

    /** What its tiles take of the memory that another stock's do not, nearly. */
    public long bytesBeyond(Stock other) {
        long bytes = 16 + 4L * tiles.length;
        for (int i = 0; i < tiles.length; i++) {
            bytes += other != null && other.tiles[i] == tiles[i] ? 0 : tiles[i].bytes();
        }
        return bytes;
    }

    /** The solid intervals over a plan point: top, bottom, top, bottom..., front to back; empty outside the wood. */
    public double[] intervalsAt(double x, double y) {
        int column = (int) Math.floor((x - grid.x0()) / grid.pitch());
        int row = (int) Math.floor((y - grid.y0()) / grid.pitch());
        if (column < 0 || row < 0 || column >= grid.columns() || row >= grid.rows()) {
            return new double[0];
        }
        return intervals(column, row);
    }

    /** The solid intervals of one cell. */
    public double[] intervals(int column, int row) {
        Tile tile = tiles[row / Tile.SIDE * tilesAcross + column / Tile.SIDE];
        return tile.intervals(row % Tile.SIDE * Tile.SIDE + column % Tile.SIDE);
    }

    /** Volume of wood, mm³. */
    public double volume() {
        double sum = 0;
        for (Tile tile : tiles) {
            double[] s = tile.sums();
            for (int m = 0; m < Tile.MATERIALS; m++) {
                sum += s[4 * m];
            }
        }
        return sum * grid.pitch() * grid.pitch();
    }

    /**
     * Mass and where it balances.
     *
     * @param grams of wood, hardware not counted
     * @param at centre of mass on the plan
     * @param depth of the centre of mass, mm
     */
    public record Balance(double grams, Point at, double depth) {}

    /** Mass and centre of mass from each material's density at 12 % moisture. */
    public Balance balance() {
        double grams = 0;
        double mx = 0;
        double my = 0;
        double mz = 0;
        for (int i = 0; i < tiles.length; i++) {
            double[] s = tiles[i].sums();
            double left = grid.x(i % tilesAcross * Tile.SIDE);
            double low = grid.y(i / tilesAcross * Tile.SIDE);
            for (int m = 0; m < materials.size(); m++) {
                // kg/m³ times mm³ is 1e-6 g
                double weight = materials.get(m).density() * grid.pitch() * grid.pitch() * 1e-6;
                grams += weight * s[4 * m];
                mx += weight * (s[4 * m] * left + s[4 * m + 1] * grid.pitch());
                my += weight * (s[4 * m] * low + s[4 * m + 2] * grid.pitch());
                mz += weight * s[4 * m + 3];
            }
        }
        return grams == 0
                ? new Balance(0, new Point(0, 0), 0)
                : new Balance(grams, new Point(mx / grams, my / grams), mz / grams);
    }

    /**
     * Area of a face that is still there at a depth, so that a base or a jig finds it, mm².
     *
     * @param front whether wood is looked for under the depth (the front) or over it (the back)
     */
    public double flat(double depth, boolean front) {
        long cells = 0;
        for (Tile tile : tiles) {
            cells += tile.flat((float) depth, front);
        }
        return cells * grid.pitch() * grid.pitch();
    }

    /** How many tiles differ from another stock of the same grid: what a change really cost. */
    public int tilesUnlike(Stock other) {
        int count = 0;
        for (int i = 0; i < tiles.length; i++) {
            if (tiles[i] != other.tiles[i]) {
                count++;
            }
        }
        return count;
    }

    /** A plain copy of the cells that differ from {@code before}: the least that a change could cost (for measuring). */
    public long copyOfCellsUnlike(Stock before) {
        long touched = 0;
        for (int i = 0; i < tiles.length; i++) {
            if (tiles[i] != before.tiles[i]) {
                touched += tiles[i].copy(false).depths.length;
            }
        }
        return touched;
    }
}
