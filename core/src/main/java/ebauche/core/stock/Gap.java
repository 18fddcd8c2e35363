package ebauche.core.stock;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;

/**
 * The least wood between two surfaces over an area.
 *
 * <p>Exact where it can be: between flat surfaces it lies at a corner of the area, and between a level one and a carved
 * one where the carve lies farthest towards the other. A tilted surface against a carved one, or two carved ones, are
 * looked at every {@value #STEP} mm along the area's edge, and inside it first coarsely, then so closely about the least: off by less than
 * half a step times the steeper slope.
 *
 * @param thickness mm; less than nought where they cross
 */
public record Gap(double thickness, Point at) {
    private static final double STEP = 0.5;

    /** Cells in which a least inside an area is looked for first, mm: no carve is so narrow that it has two of them between. */
    private static final double WIDE = 3;

    /** The least wood between them; the upper one lies nearer the front. */
    public static Gap least(Surface upper, Surface lower, Region over) {
        if (lower.isLevel()) {
            return at(upper.lowest(over), upper, lower);
        }
        if (upper.isLevel()) {
            return at(lower.highest(over), upper, lower);
        }
        if (upper instanceof Plane u && lower instanceof Plane l) {
            return at(over.farthest(u.slopeX() - l.slopeX(), u.slopeY() - l.slopeY()), upper, lower);
        }
        return searched(upper, lower, over);
    }

    private static Gap at(Point at, Surface upper, Surface lower) {
        return new Gap(lower.depthAt(at) - upper.depthAt(at), at);
    }

    private static Gap searched(Surface upper, Surface lower, Region over) {
        Gap[] best = {new Gap(Double.POSITIVE_INFINITY, over.inner())};
        over.forEachRing(ring -> {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Point a = new Point(ring[i], ring[i + 1]);
                Point b = new Point(ring[i + 2], ring[i + 3]);
                int pieces = (int) Math.max(1, Math.ceil(a.distance(b) / STEP));
                for (int k = 0; k < pieces; k++) {
                    best[0] = best[0].or(at(a.towards(b, (double) k / pieces), upper, lower));
                }
            }
        });
        Gap coarse = inside(upper, lower, over, WIDE);
        if (coarse.thickness() < Double.POSITIVE_INFINITY) {
            Region near =
                    Region.rectangle(coarse.at(), 2 * WIDE, 2 * WIDE, 0, 0).intersection(over);
            best[0] = best[0].or(coarse).or(near.isEmpty() ? coarse : inside(upper, lower, near, STEP));
        }
        return best[0];
    }

    /** The least at the middles of cells so wide that lie inside. */
    private static Gap inside(Surface upper, Surface lower, Region over, double step) {
        Gap best = new Gap(Double.POSITIVE_INFINITY, over.inner());
        Grid grid = Grid.covering(over.minX(), over.maxX(), over.minY(), over.maxY(), step);
        Raster raster = Raster.of(over, grid);
        for (int row = raster.firstRow(); row < raster.endRow(); row++) {
            int[] spans = raster.spans(row);
            for (int i = 0; i < spans.length; i += 2) {
                for (int column = spans[i]; column < spans[i + 1]; column++) {
                    best = best.or(at(new Point(grid.x(column), grid.y(row)), upper, lower));
                }
            }
        }
        return best;
    }

    /** The lesser of two. */
    Gap or(Gap other) {
        return other.thickness < thickness ? other : this;
    }
}
