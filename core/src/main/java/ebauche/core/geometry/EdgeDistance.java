package ebauche.core.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * How far places lie from a region's edge, asked a great many times.
 *
 * <p>The plan is cut into square buckets; each keeps the edge's pieces that can be the nearest to any place in it: with r
 * half a bucket's diagonal and d the distance of its centre from the edge, those within d + 2r of the centre. Small buckets
 * choose among the pieces of the large one that they lie in. A question looks at one small bucket's few pieces. Exact within
 * the reach that was asked for; farther off it answers that reach or more. Making it costs large buckets times pieces and
 * small buckets times the pieces near them; a question some five pieces.
 */
public final class EdgeDistance {
    private static final double LARGE = 32;
    private static final double SMALL = 4;
    private static final int ACROSS = (int) (LARGE / SMALL);

    private final double x0;
    private final double y0;
    private final int columns;
    private final double reach;
    /** For each small bucket its pieces, x, y, x, y of their ends. */
    private final double[][] buckets;

    private EdgeDistance(double x0, double y0, int columns, double reach, double[][] buckets) {
        this.x0 = x0;
        this.y0 = y0;
        this.columns = columns;
        this.reach = reach;
        this.buckets = buckets;
    }

    /** What it takes of the memory, nearly. */
    public long bytes() {
        return Arrays.stream(buckets).mapToLong(b -> 24L + 8L * b.length).sum();
    }

    /** Distances up to {@code reach} inside a region, mm. */
    public static EdgeDistance of(Region region, double reach) {
        List<double[]> rings = new ArrayList<>();
        region.forEachRing(rings::add);
        return of(pieces(rings), region.minX() - LARGE, region.minY() - LARGE, region.maxX(), region.maxY(), reach);
    }

    /** Distances up to {@code reach} from an open line, on either side, mm. */
    public static EdgeDistance ofLine(List<Point> line, double reach) {
        double[] ring = new double[2 * line.size()];
        for (int i = 0; i < line.size(); i++) {
            ring[2 * i] = line.get(i).x();
            ring[2 * i + 1] = line.get(i).y();
        }
        double[] x = line.stream().mapToDouble(Point::x).sorted().toArray();
        double[] y = line.stream().mapToDouble(Point::y).sorted().toArray();
        double room = reach + LARGE;
        int last = line.size() - 1;
        return of(pieces(List.of(ring)), x[0] - room, y[0] - room, x[last] + room, y[last] + room, reach);
    }

    private static EdgeDistance of(double[] pieces, double x0, double y0, double maxX, double maxY, double reach) {
        int wide = (int) Math.ceil((maxX - x0) / LARGE) + 1;
        int high = (int) Math.ceil((maxY - y0) / LARGE) + 1;
        double[][] buckets = new double[wide * ACROSS * high * ACROSS][];
        for (int i = 0; i < wide * high; i++) {
            int across = i % wide;
            int up = i / wide;
            double left = x0 + across * LARGE;
            double low = y0 + up * LARGE;
            double[] near = near(pieces, left + LARGE / 2, low + LARGE / 2, LARGE * Math.sqrt(0.5), reach);
            for (int k = 0; k < ACROSS * ACROSS; k++) {
                int column = across * ACROSS + k % ACROSS;
                int row = up * ACROSS + k / ACROSS;
                double cx = x0 + (column + 0.5) * SMALL;
                double cy = y0 + (row + 0.5) * SMALL;
                buckets[row * wide * ACROSS + column] = near(near, cx, cy, SMALL * Math.sqrt(0.5), reach);
            }
        }
        return new EdgeDistance(x0, y0, wide * ACROSS, reach, buckets);
    }

    private static double[] pieces(List<double[]> rings) {
        double[] pieces =
                new double[2 * rings.stream().mapToInt(r -> r.length - 2).sum()];
        int n = 0;
        for (double[] ring : rings) {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                System.arraycopy(ring, i, pieces, n, 4);
                n += 4;
            }
        }
        return pieces;
    }

    /** The pieces that can be the nearest to a place within half a diagonal of a centre; none where all are out of reach. */
    private static double[] near(double[] pieces, double cx, double cy, double half, double reach) {
        double[] off = new double[pieces.length / 4];
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < off.length; i++) {
            off[i] = square(pieces[4 * i], pieces[4 * i + 1], pieces[4 * i + 2], pieces[4 * i + 3], cx, cy);
            least = Math.min(least, off[i]);
        }
        double nearest = Math.sqrt(least);
        if (!(nearest <= reach + half)) {
            return new double[0];
        }
        double within = (nearest + 2 * half) * (nearest + 2 * half);
        double[] kept = new double[pieces.length];
        int n = 0;
        for (int i = 0; i < off.length; i++) {
            if (off[i] <= within) {
                System.arraycopy(pieces, 4 * i, kept, n, 4);
                n += 4;
            }
        }
        return Arrays.copyOf(kept, n);
    }

    /** Distance of a place from the edge, mm, inside or outside alike; the reach, or more, where it lies farther off. */
    public double at(double x, double y) {
        int column = (int) Math.floor((x - x0) / SMALL);
        int row = (int) Math.floor((y - y0) / SMALL);
        if (column < 0 || column >= columns || row < 0 || row * columns + column >= buckets.length) {
            return reach;
        }
        double[] near = buckets[row * columns + column];
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < near.length; i += 4) {
            least = Math.min(least, square(near[i], near[i + 1], near[i + 2], near[i + 3], x, y));
        }
        return least == Double.POSITIVE_INFINITY ? reach : Math.sqrt(least);
    }

    private static double square(double ax, double ay, double bx, double by, double x, double y) {
        double dx = bx - ax;
        double dy = by - ay;
        double size = dx * dx + dy * dy;
        double along = size == 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / size));
        double ox = x - ax - along * dx;
        double oy = y - ay - along * dy;
        return ox * ox + oy * oy;
    }
}
