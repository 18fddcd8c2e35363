package ebauche.core.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * How far places lie from a region's edge, asked a great many times.
 *
 * <p>The plan is cut into square buckets; each keeps the edge's pieces that can be the nearest to any place in it: with r
 * half a bucket's diagonal and d the distance of its centre from the edge, those within d + 2r of the centre. A question
 * looks at one bucket's few pieces. Exact within the reach that was asked for; farther off it answers that reach or more.
 * Making it costs buckets times pieces near them, a question some ten pieces.
 */
public final class EdgeDistance {
    private static final double BUCKET = 16;

    private final double x0;
    private final double y0;
    private final int columns;
    private final double reach;
    private final double[][] buckets;

    private EdgeDistance(double x0, double y0, int columns, double reach, double[][] buckets) {
        this.x0 = x0;
        this.y0 = y0;
        this.columns = columns;
        this.reach = reach;
        this.buckets = buckets;
    }

    /** Distances up to {@code reach} inside a region, mm. */
    public static EdgeDistance of(Region region, double reach) {
        List<double[]> pieces = new ArrayList<>();
        region.forEachRing(ring -> {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                pieces.add(new double[] {ring[i], ring[i + 1], ring[i + 2], ring[i + 3]});
            }
        });
        double x0 = region.minX() - BUCKET;
        double y0 = region.minY() - BUCKET;
        int columns = (int) Math.ceil((region.maxX() - x0) / BUCKET) + 1;
        int rows = (int) Math.ceil((region.maxY() - y0) / BUCKET) + 1;
        double[][] buckets = new double[columns * rows][];
        double half = BUCKET * Math.sqrt(0.5);
        for (int i = 0; i < buckets.length; i++) {
            double cx = x0 + (i % columns + 0.5) * BUCKET;
            double cy = y0 + (i / columns + 0.5) * BUCKET;
            buckets[i] = near(pieces, cx, cy, half, reach);
        }
        return new EdgeDistance(x0, y0, columns, reach, buckets);
    }

    private static double[] near(List<double[]> pieces, double cx, double cy, double half, double reach) {
        double[] off = new double[pieces.size()];
        for (int i = 0; i < off.length; i++) {
            double[] p = pieces.get(i);
            off[i] = square(p[0], p[1], p[2], p[3], cx, cy);
        }
        double least = Math.sqrt(Arrays.stream(off).min().orElse(Double.POSITIVE_INFINITY));
        if (least > reach + half) {
            return new double[0];
        }
        double within = (least + 2 * half) * (least + 2 * half);
        List<double[]> kept = new ArrayList<>();
        for (int i = 0; i < off.length; i++) {
            if (off[i] <= within) {
                kept.add(pieces.get(i));
            }
        }
        return kept.stream().flatMapToDouble(Arrays::stream).toArray();
    }

    /** Distance of a place from the edge, mm, inside or outside alike; the reach, or more, where it lies farther off. */
    public double at(double x, double y) {
        int column = (int) Math.floor((x - x0) / BUCKET);
        int row = (int) Math.floor((y - y0) / BUCKET);
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
