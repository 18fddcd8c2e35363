package ebauche.core.geometry;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** An outline walked anticlockwise, its places told by how far along they lie, mm. */
public final class EdgeWalk {
    /** A piece of no length is this long, mm. */
    private static final double THINNEST = 1e-12;

    private final List<Point> ring = new ArrayList<>();
    private final List<Double> along = new ArrayList<>();

    /** The outline of an area; of several the first that it has. */
    public EdgeWalk(Region outline) {
        outline.forEachRing(points -> {
            if (ring.isEmpty()) {
                ring.addAll(Ring.anticlockwise(points));
                ring.add(ring.get(0));
            }
        });
        double length = 0;
        along.add(0.0);
        for (int i = 0; i + 1 < ring.size(); i++) {
            length += ring.get(i).distance(ring.get(i + 1));
            along.add(length);
        }
    }

    /** All round, mm. */
    public double length() {
        return along.get(along.size() - 1);
    }

    /** Where its straight pieces meet, as ways along it. */
    public List<Double> corners() {
        return Collections.unmodifiableList(along.subList(0, along.size() - 1));
    }

    /** Where the edge comes nearest to a place. */
    public double nearest(Point place) {
        double best = Double.POSITIVE_INFINITY;
        double at = 0;
        for (int i = 0; i + 1 < ring.size(); i++) {
            Point a = ring.get(i);
            Point b = ring.get(i + 1);
            double size = a.distance(b);
            double share = size == 0
                    ? 0
                    : Math.max(
                            0,
                            Math.min(
                                    1,
                                    ((place.x() - a.x()) * (b.x() - a.x()) + (place.y() - a.y()) * (b.y() - a.y()))
                                            / (size * size)));
            double off = place.distance(a.towards(b, share));
            if (off < best) {
                best = off;
                at = along.get(i) + share * size;
            }
        }
        return at;
    }

    /** A place so far along the edge and so far out of it, mm. */
    public Point at(double way, double out) {
        double on = way - length() * Math.floor(way / length());
        int found = Collections.binarySearch(along, on);
        int i = Math.min(Math.max(0, found >= 0 ? found : -found - 2), ring.size() - 2);
        Point a = ring.get(i);
        Point b = ring.get(i + 1);
        double size = Math.max(a.distance(b), THINNEST);
        Point edge = a.towards(b, (on - along.get(i)) / size);
        return edge.plus(out * (b.y() - a.y()) / size, -out * (b.x() - a.x()) / size);
    }
}
