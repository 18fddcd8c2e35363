package ebauche.core.geometry;

import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.shape.CubicBezierCurve;

/** A drawn line through places, as points a step apart: straight, an arc through its apex, or a curve through more. */
public final class Curve {
    /** From point to point, mm. */
    public static final double STEP = 1;

    /** An apex that lies less off its chord leaves a straight line, mm. */
    private static final double STRAIGHT = 0.01;

    private Curve() {}

    /**
     * From the first place to the last.
     *
     * @param places at least two; of three the middle one is the apex of an arc of a circle
     */
    public static List<Point> through(List<Point> places) {
        List<Point> drawn = switch (places.size()) {
            case 2 -> List.copyOf(places);
            case 3 -> arc(places.get(0), places.get(1), places.get(2));
            default -> bezier(places);
        };
        return spaced(drawn);
    }

    /** By the circle through three places; its middle stands where two upright bisectors meet. */
    private static List<Point> arc(Point a, Point b, Point c) {
        double chord = a.distance(c);
        double off = ((c.x() - a.x()) * (b.y() - a.y()) - (c.y() - a.y()) * (b.x() - a.x())) / chord;
        double along = ((b.x() - a.x()) * (c.x() - a.x()) + (b.y() - a.y()) * (c.y() - a.y())) / chord;
        Refusal.unless(along > 0 && along < chord, "through", "an arc's apex lies between its ends");
        if (Math.abs(off) < STRAIGHT) {
            return List.of(a, c);
        }
        // The circle of (0, 0), (along, off), (chord, 0): its middle at (chord / 2, k).
        double k = (along * along + off * off - along * chord) / (2 * off);
        double radius = Math.hypot(chord / 2, k);
        double ux = (c.x() - a.x()) / chord;
        double uy = (c.y() - a.y()) / chord;
        double from = Math.atan2(-k, -chord / 2);
        double turn = 2 * Math.atan2(chord / 2, Math.abs(k));
        // The lesser arc where the apex lies beyond the chord from the middle, else the greater.
        double swept = off * k <= 0 ? turn : 2 * Math.PI - turn;
        double way = off > 0 ? -swept : swept;
        int pieces = (int) Math.max(2, Math.ceil(radius * swept / STEP));
        List<Point> points = new ArrayList<>();
        points.add(a);
        for (int i = 1; i < pieces; i++) {
            double at = from + way * i / pieces;
            double x = chord / 2 + radius * Math.cos(at);
            double y = k + radius * Math.sin(at);
            points.add(a.plus(x * ux - y * uy, x * uy + y * ux));
        }
        points.add(c);
        return points;
    }

    /** Smooth through all of them: cubic Bezier pieces that meet without a corner. */
    private static List<Point> bezier(List<Point> places) {
        Coordinate[] through =
                places.stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new);
        return Arrays.stream(CubicBezierCurve.bezierCurve(new GeometryFactory().createLineString(through), 1)
                        .getCoordinates())
                .map(c -> new Point(c.x, c.y))
                .toList();
    }

    /** A step apart, ends kept. */
    private static List<Point> spaced(List<Point> drawn) {
        double length = length(drawn);
        int pieces = (int) Math.max(2, Math.ceil(length / STEP));
        List<Point> even = new ArrayList<>();
        even.add(drawn.get(0));
        int piece = 0;
        double before = 0;
        for (int i = 1; i < pieces; i++) {
            double at = length * i / pieces;
            double size = drawn.get(piece).distance(drawn.get(piece + 1));
            while (before + size < at) {
                before += size;
                piece++;
                size = drawn.get(piece).distance(drawn.get(piece + 1));
            }
            even.add(drawn.get(piece).towards(drawn.get(piece + 1), (at - before) / size));
        }
        even.add(drawn.get(drawn.size() - 1));
        return even;
    }

    /** From point to point, mm. */
    public static double length(List<Point> line) {
        double length = 0;
        for (int i = 0; i + 1 < line.size(); i++) {
            length += line.get(i).distance(line.get(i + 1));
        }
        return length;
    }
}
