package ebauche.core.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.valid.IsValidOp;
import org.locationtech.jts.operation.valid.TopologyValidationError;

/**
 * A closed path of lines, arcs and cubic curves that does not cross itself, run anticlockwise.
 *
 * <p>Area and perimeter come from the exact curves; offsets, distances and tests for crossing from the same curve
 * flattened to {@link Segment#FLATNESS}. Made once and immutable; the flattened region is kept.
 */
public final class Outline {
    /**
     * Turns sharper than this between two pieces are corners that no round bit reaches, radians. A 12.7 mm bit leaves
     * less than 0.01 mm standing in a turn of 5 degrees: r (1 / cos(2.5 degrees) - 1).
     */
    private static final double SMOOTH = Math.toRadians(5.0);

    /** Lines no longer than this, mm, that turn by no more than this are taken for a curve. */
    private static final double CHORD = 6;

    private static final double CHORDS_TURN = Math.toRadians(20);

    /** A body's outline needs some hundreds; far more are a slip of the unit or a hostile file. */
    static final int MOST_POINTS = 100_000;

    private static final int CURVATURE_SAMPLES = 96;

    private final List<Segment> segments;
    private final Region region;

    private Outline(List<Segment> segments, Region region) {
        this.segments = segments;
        this.region = region.remembered();
    }

    /** Reads path data; see {@link PathData}. */
    public static Outline parse(String path, double millimetresPerUnit) {
        return of(PathData.parse(path, millimetresPerUnit));
    }

    /** Reads path data of several closed lines, each begun with an absolute move, as {@link #writeAll} writes them. */
    public static List<Outline> parseAll(String paths, double millimetresPerUnit) {
        return Arrays.stream(paths.strip().split("(?=M)"))
                .map(p -> parse(p, millimetresPerUnit))
                .toList();
    }

    /** A circle. */
    public static Outline circle(Point centre, double diameter) {
        double r = diameter / 2;
        Point west = centre.plus(-r, 0);
        Point east = centre.plus(r, 0);
        return parse(
                "M" + west.x() + " " + west.y() + "A" + r + " " + r + " 0 0 1 " + east.x() + " " + east.y() + "A" + r
                        + " " + r + " 0 0 1 " + west.x() + " " + west.y() + "Z",
                1);
    }

    /** The rings of an area, outer and inner alike, each as straight pieces. */
    public static List<Outline> rings(Region area) {
        List<Outline> all = new ArrayList<>();
        area.forEachRing(ring -> {
            StringBuilder path = new StringBuilder();
            for (int i = 0; i + 3 < ring.length; i += 2) {
                path.append(i == 0 ? "M" : "L").append(ring[i]).append(' ').append(ring[i + 1]);
            }
            all.add(parse(path.append('Z').toString(), 1));
        });
        return all;
    }

    /** Path data of several closed lines, in millimetres. */
    public static String writeAll(List<Outline> lines) {
        return lines.stream().map(o -> PathData.write(o.segments())).collect(Collectors.joining(" "));
    }

    /**
     * An outline from pieces that join end to end.
     *
     * @throws PathFormatException if they are open or cross themselves, naming the place
     */
    public static Outline of(List<Segment> pieces) {
        long chords = pieces.stream().mapToLong(Segment::chords).sum();
        if (chords > MOST_POINTS) {
            throw new PathFormatException("the path needs " + chords + " points to follow its curves; at most "
                    + MOST_POINTS + " are drawn. Is its unit right? Else simplify it");
        }
        List<Point> points = new ArrayList<>();
        points.add(pieces.get(0).start());
        Point last = pieces.get(0).start();
        for (Segment piece : pieces) {
            if (piece.start().distance(last) > 1e-3) {
                throw new PathFormatException("the path is open at " + place(last));
            }
            piece.flattenInto(points);
            last = piece.end();
        }
        if (last.distance(points.get(0)) > 1e-3) {
            throw new PathFormatException("the path is open at " + place(last));
        }
        points.set(points.size() - 1, points.get(0));
        if (points.size() < 4) {
            throw new PathFormatException("the path encloses nothing");
        }
        Polygon polygon = Region.polygon(points);
        TopologyValidationError crossing = new IsValidOp(polygon).getValidationError();
        if (crossing != null) {
            Coordinate c = crossing.getCoordinate();
            throw new PathFormatException("the path crosses or touches itself at " + place(new Point(c.x, c.y))
                    + ". Move its handles apart there");
        }
        double signed = pieces.stream().mapToDouble(Segment::areaShare).sum();
        return new Outline(signed < 0 ? turned(pieces) : List.copyOf(pieces), Region.of(polygon));
    }

    private static List<Segment> turned(List<Segment> pieces) {
        List<Segment> out =
                new ArrayList<>(pieces.stream().map(Segment::reversed).toList());
        Collections.reverse(out);
        return List.copyOf(out);
    }

    private static String place(Point p) {
        return String.format(Locale.ROOT, "x %.1f, y %.1f", p.x(), p.y());
    }

    public List<Segment> segments() {
        return segments;
    }

    /** The same line laid elsewhere. */
    public Outline placed(Placing where) {
        return of(segments.stream().map(s -> s.placed(where)).toList());
    }

    /** The area inside, with the curves flattened. */
    public Region region() {
        return region;
    }

    /** Area inside the exact curves, mm². */
    public double area() {
        return segments.stream().mapToDouble(Segment::areaShare).sum();
    }

    /** Length of the exact curves, mm. */
    public double perimeter() {
        return segments.stream().mapToDouble(Segment::length).sum();
    }

    /** Where the outline turns inward most sharply, and how sharply. */
    public record InsideRadius(double radius, Point at) {}

    /**
     * Smallest radius of the inward turns: the largest bit that can follow the edge from outside has this radius.
     * Nought at an inward corner, infinite where the outline never turns inward. Curves are sampled at
     * {@value #CURVATURE_SAMPLES} places a piece.
     */
    public InsideRadius smallestInsideRadius() {
        InsideRadius least =
                new InsideRadius(Double.POSITIVE_INFINITY, segments.get(0).start());
        for (int i = 0; i < segments.size(); i++) {
            Segment piece = segments.get(i);
            Segment following = segments.get((i + 1) % segments.size());
            double turned = turn(piece.tangent(1), following.tangent(0));
            if (turned < -SMOOTH && !chords(piece, following, turned)) {
                return new InsideRadius(0, piece.end());
            }
            if (turned < 0 && chords(piece, following, turned)) {
                double radius = (piece.length() + following.length()) / 2 / -turned;
                least = radius < least.radius() ? new InsideRadius(radius, piece.end()) : least;
            }
            for (int k = 0; k <= CURVATURE_SAMPLES; k++) {
                double t = (double) k / CURVATURE_SAMPLES;
                double curvature = piece.curvature(t);
                if (curvature < 0 && -1 / curvature < least.radius()) {
                    least = new InsideRadius(-1 / curvature, piece.at(t));
                }
            }
        }
        return least;
    }

    /**
     * Smallest radius of the turns that a bit inside the outline must make (a cavity's corners): nought at a sharp corner,
     * infinite if there is none. Sampled like {@link #smallestInsideRadius}.
     */
    public double smallestInsideCorner() {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < segments.size(); i++) {
            Segment piece = segments.get(i);
            Segment following = segments.get((i + 1) % segments.size());
            double turned = turn(piece.tangent(1), following.tangent(0));
            if (turned > SMOOTH && !chords(piece, following, turned)) {
                return 0;
            }
            if (turned > 0 && chords(piece, following, turned)) {
                least = Math.min(least, (piece.length() + following.length()) / 2 / turned);
            }
            for (int k = 0; k <= CURVATURE_SAMPLES; k++) {
                double curvature = piece.curvature((double) k / CURVATURE_SAMPLES);
                if (curvature > 0) {
                    least = Math.min(least, 1 / curvature);
                }
            }
        }
        return least;
    }

    /**
     * Whether two pieces are chords of a curve that some program drew in short lines: then the turn between them is the curve's, and
     * no corner. A bit leaves r (1 / cos(turn / 2) - 1) standing there: 0.1 mm at most of a half inch bit in a turn of 20 degrees.
     */
    private static boolean chords(Segment a, Segment b, double turned) {
        return a instanceof Segment.Line
                && b instanceof Segment.Line
                && a.length() <= CHORD
                && b.length() <= CHORD
                && Math.abs(turned) <= CHORDS_TURN;
    }

    private static double turn(Point a, Point b) {
        return Math.atan2(a.cross(b), a.x() * b.x() + a.y() * b.y());
    }

    /** The area whose edge stands {@code distance} outside this one (inside, if negative). */
    public Region offset(double distance) {
        return region.grown(distance);
    }

    @Override
    public String toString() {
        return PathData.write(segments);
    }
}
