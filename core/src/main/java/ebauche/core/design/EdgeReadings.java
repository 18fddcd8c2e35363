package ebauche.core.design;

import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.PathFormatException;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * How far an edge that was shaped by hand stands inside its template, read all round with the template snapped back on.
 *
 * <p>Stations lie at equal ways along the outline, the first where the centre line leaves it at the tail, counted anticlockwise as
 * seen from the front. Between two the edge is taken to run straight from one reading to the next; a station that nobody read lies on
 * its template.
 *
 * @param drawn the template's line
 * @param inside by station, mm; less than nought where the edge stands proud
 */
public record EdgeReadings(Outline drawn, List<Double> inside) {
    public static final int STATIONS = 16;

    /** Of a corner sharper than this the point is cut off: the cosine of the turn between its sides. */
    private static final double SHARPEST = -0.5;

    /** Beside a place, so that the piece before it and that after it are told apart, mm. */
    private static final double NEAR = 1e-6;

    /** Two places nearer than this are one, mm. */
    private static final double SAME = 1e-6;

    public EdgeReadings {
        inside = List.copyOf(inside);
    }

    /** Where the stations lie on the template's line, the first at the tail. */
    public static List<Point> stations(Outline drawn) {
        EdgeWalk walk = new EdgeWalk(drawn.region());
        double from = tail(drawn, walk);
        return IntStream.range(0, STATIONS)
                .mapToObj(i -> walk.at(from + i * walk.length() / STATIONS, 0))
                .toList();
    }

    private static double tail(Outline drawn, EdgeWalk walk) {
        return walk.nearest(new Point(0, drawn.region().minY()));
    }

    /**
     * The edge as it is: the template's line, each of its pieces moved in by what was read there, corners kept.
     *
     * @throws Refusal if with those readings the edge would cross itself
     */
    public Outline outline() {
        EdgeWalk walk = new EdgeWalk(drawn.region());
        double from = tail(drawn, walk);
        TreeSet<Double> ways = new TreeSet<>(walk.corners());
        for (int i = 0; i < STATIONS; i++) {
            ways.add(wrapped(from + i * walk.length() / STATIONS, walk));
        }
        List<Point> ring = new ArrayList<>();
        for (double way : ways) {
            Point moved = moved(walk, way, at(wrapped(way - from, walk) / walk.length()));
            if (ring.isEmpty() || moved.distance(ring.get(ring.size() - 1)) > SAME) {
                ring.add(moved);
            }
        }
        List<Segment> pieces = new ArrayList<>();
        for (int i = 0; i < ring.size(); i++) {
            pieces.add(new Segment.Line(ring.get(i), ring.get((i + 1) % ring.size())));
        }
        Refusal.unless(
                pieces.stream().mapToDouble(Segment::areaShare).sum() > 0,
                "value",
                "with that nothing of the body is left. Is it in another unit?");
        try {
            return Outline.of(pieces);
        } catch (PathFormatException e) {
            throw new Refusal("value", "with that the edge would cross itself. Is it in another unit?");
        }
    }

    private static double wrapped(double way, EdgeWalk walk) {
        return way - walk.length() * Math.floor(way / walk.length());
    }

    /** A place of the line moved in, square to the pieces before and after it. */
    private static Point moved(EdgeWalk walk, double way, double inside) {
        Point place = walk.at(way, 0);
        Point before = outwards(walk, way - NEAR);
        Point after = outwards(walk, way + NEAR);
        double turn = Math.max(SHARPEST, before.x() * after.x() + before.y() * after.y());
        double by = -inside / (1 + turn);
        return place.plus(by * (before.x() + after.x()), by * (before.y() + after.y()));
    }

    /** Out of the body, square to its edge, one long. */
    private static Point outwards(EdgeWalk walk, double way) {
        Point on = walk.at(way, 0);
        Point out = walk.at(way, 1);
        return new Point(out.x() - on.x(), out.y() - on.y());
    }

    /** The reading at a share of the whole way. */
    private double at(double share) {
        double place = share * STATIONS;
        int before = (int) Math.floor(place) % STATIONS;
        double beyond = place - Math.floor(place);
        return inside.get(before) * (1 - beyond) + inside.get((before + 1) % STATIONS) * beyond;
    }
}
