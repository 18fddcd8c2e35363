package ebauche.core.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/** The edges of an area: how far it is to them, from them, and across between them. Millimetres. */
final class Edges {
    /** A place that lies on an edge but for the noise of the arithmetic, mm. */
    private static final double ON = 1e-9;

    private final Geometry area;

    /** Made on demand; a race makes it twice and harms nothing. */
    private volatile IndexedFacetDistance index;

    private volatile List<double[]> rings;

    Edges(Geometry area) {
        this.area = area;
    }

    private IndexedFacetDistance index() {
        IndexedFacetDistance known = index;
        if (known == null) {
            known = new IndexedFacetDistance(area.getBoundary());
            index = known;
        }
        return known;
    }

    /** The closest pair of points, the first on these edges. */
    Point[] nearest(Geometry other) {
        Coordinate[] ends = index().nearestPoints(other.getBoundary());
        return new Point[] {new Point(ends[0].x, ends[0].y), new Point(ends[1].x, ends[1].y)};
    }

    /** How far it is to the nearest edge; endless where there is none. */
    double distance(Point p) {
        double least = Double.POSITIVE_INFINITY;
        for (double[] ring : rings()) {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                if (isWithin(p, ring, i, least)) {
                    least = Math.min(least, distance(p, ring, i));
                }
            }
        }
        return least;
    }

    /** Whether an edge lies nearer than a distance. */
    boolean nearerThan(Point p, double distance) {
        for (double[] ring : rings()) {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                if (isWithin(p, ring, i, distance) && distance(p, ring, i) < distance) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether an edge's box lies so near. */
    private static boolean isWithin(Point p, double[] ring, int i, double distance) {
        double ax = ring[i] - p.x();
        double bx = ring[i + 2] - p.x();
        double ay = ring[i + 1] - p.y();
        double by = ring[i + 3] - p.y();
        return (ax <= distance || bx <= distance)
                && (ax >= -distance || bx >= -distance)
                && (ay <= distance || by <= distance)
                && (ay >= -distance || by >= -distance);
    }

    /** How far it is to the edge from one corner to the next. */
    private static double distance(Point p, double[] ring, int i) {
        double dx = ring[i + 2] - ring[i];
        double dy = ring[i + 3] - ring[i + 1];
        double ax = p.x() - ring[i];
        double ay = p.y() - ring[i + 1];
        double size = dx * dx + dy * dy;
        double share = size > 0 ? Math.max(0, Math.min(1, (ax * dx + ay * dy) / size)) : 0;
        double x = ax - share * dx;
        double y = ay - share * dy;
        return Math.sqrt(x * x + y * y);
    }

    /** Length of edge that runs through another area. */
    double within(Geometry other) {
        return OverlayNGRobust.overlay(area.getBoundary(), other, OverlayNG.INTERSECTION)
                .getLength();
    }

    /** The corner that lies farthest in a direction. */
    Point farthest(double dx, double dy) {
        double[] best = {Double.NEGATIVE_INFINITY, 0, 0};
        forEachRing(ring -> {
            for (int i = 0; i < ring.length; i += 2) {
                double along = ring[i] * dx + ring[i + 1] * dy;
                if (along > best[0]) {
                    best[0] = along;
                    best[1] = ring[i];
                    best[2] = ring[i + 1];
                }
            }
        });
        return new Point(best[1], best[2]);
    }

    /** Where the line x = at, or y = at, crosses them: its y, or its x, in order. */
    double[] crossings(boolean upright, double at) {
        List<Double> crossings = new ArrayList<>();
        int across = upright ? 0 : 1;
        for (double[] ring : rings()) {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                double a = ring[i + across] - at;
                double b = ring[i + 2 + across] - at;
                if (a > 0 != b > 0) {
                    double from = ring[i + 1 - across];
                    crossings.add(from + (ring[i + 3 - across] - from) * a / (a - b));
                }
            }
        }
        return crossings.stream().mapToDouble(c -> c).sorted().toArray();
    }

    /** Length, from edge to edge, of the line through a point inside. */
    double chord(Point through, double dx, double dy) {
        double[] ends = {Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY};
        double size = Math.hypot(dx, dy);
        forEachRing(ring -> {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                double ax = ring[i] - through.x();
                double ay = ring[i + 1] - through.y();
                double bx = ring[i + 2] - through.x();
                double by = ring[i + 3] - through.y();
                double a = (dx * ay - dy * ax) / size;
                double b = (dx * by - dy * bx) / size;
                if (a > 0 != b > 0) {
                    double t = a / (a - b);
                    double at = ((ax + t * (bx - ax)) * dx + (ay + t * (by - ay)) * dy) / size;
                    ends[0] = at <= 0 ? Math.max(ends[0], at) : ends[0];
                    ends[1] = at >= 0 ? Math.min(ends[1], at) : ends[1];
                }
            }
        });
        return ends[1] - ends[0];
    }

    /** The way from a place to the first edge in a direction of length one, nought where it lies on one; endless where it meets none. */
    double wayOut(Point from, double dx, double dy) {
        double least = Double.POSITIVE_INFINITY;
        for (double[] ring : rings()) {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                double ax = ring[i] - from.x();
                double ay = ring[i + 1] - from.y();
                double bx = ring[i + 2] - from.x();
                double by = ring[i + 3] - from.y();
                double a = dx * ay - dy * ax;
                double b = dx * by - dy * bx;
                if (a > 0 != b > 0) {
                    double t = a / (a - b);
                    double way = (ax + t * (bx - ax)) * dx + (ay + t * (by - ay)) * dy;
                    if (way >= -ON) {
                        least = Math.min(least, Math.max(0, way));
                    }
                }
            }
        }
        // A corner that only touches the way is crossed by no edge.
        return Double.isInfinite(least) && distance(from) <= ON ? 0 : least;
    }

    /** Made once for who asks very often. */
    private List<double[]> rings() {
        List<double[]> known = rings;
        if (known == null) {
            List<double[]> all = new ArrayList<>();
            forEachRing(all::add);
            known = all;
            rings = known;
        }
        return known;
    }

    /** Every ring, outer and inner, as its coordinates x0, y0, x1, y1, ..., closed. */
    void forEachRing(Consumer<double[]> ring) {
        for (int i = 0; i < area.getNumGeometries(); i++) {
            Polygon polygon = (Polygon) area.getGeometryN(i);
            if (polygon.isEmpty()) {
                continue;
            }
            ring.accept(flat(polygon.getExteriorRing()));
            for (int k = 0; k < polygon.getNumInteriorRing(); k++) {
                ring.accept(flat(polygon.getInteriorRingN(k)));
            }
        }
    }

    private static double[] flat(LinearRing ring) {
        Coordinate[] at = ring.getCoordinates();
        double[] out = new double[at.length * 2];
        for (int i = 0; i < at.length; i++) {
            out[2 * i] = at[i].x;
            out[2 * i + 1] = at[i].y;
        }
        return out;
    }
}
