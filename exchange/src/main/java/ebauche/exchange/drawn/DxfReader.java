package ebauche.exchange.drawn;

import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;

/**
 * Reads the closed shapes of a DXF drawing in text form: lines, arcs, circles, ellipses, polylines with bulges, splines.
 *
 * <p>The file is a list of pairs, a number that says what follows and the value. One pass over the pairs; blocks are not followed,
 * so nothing can contain itself.
 */
final class DxfReader {
    private static final int MOST_ENTITIES = 50_000;

    /** Ends nearer than this share of the drawing's size are one point. */
    private static final double SAME = 1e-5;

    /** Curves that are no cubics are followed so near, as a share of the drawing's size. */
    private static final double CLOSE = 2e-6;

    /** Millimetres per unit by the number that the header's $INSUNITS holds. */
    private static final Map<Integer, Double> UNITS = Map.of(
            1, 25.4, 2, 304.8, 4, 1.0, 5, 10.0, 6, 1000.0, 8, 25.4e-6, 9, 0.0254, 10, 914.4, 13, 0.001, 14, 100.0);

    private final String[] lines;
    private int next;
    private OptionalDouble unit = OptionalDouble.empty();
    private final List<Entity> entities = new ArrayList<>();
    private final Map<String, Integer> leftOut = new TreeMap<>();

    /** One pair. */
    private record Pair(int code, String value, int line) {}

    /** An entity with its pairs; those of its vertices follow in their order. */
    private record Entity(String kind, List<Pair> pairs) {
        String text(int code, String otherwise) {
            return pairs.stream()
                    .filter(p -> p.code() == code)
                    .map(Pair::value)
                    .findFirst()
                    .orElse(otherwise);
        }

        double number(int code, double otherwise) {
            return pairs.stream()
                    .filter(p -> p.code() == code)
                    .findFirst()
                    .map(DxfReader::number)
                    .orElse(otherwise);
        }

        double needed(int code) {
            double value = number(code, Double.NaN);
            if (Double.isNaN(value)) {
                throw new DrawnFileException(
                        "DXF, line " + (pairs.isEmpty() ? 1 : pairs.get(0).line()) + ": a " + kind.toLowerCase()
                                + " without its value " + code);
            }
            return value;
        }

        int flags() {
            return (int) number(70, 0);
        }

        String name() {
            return "layer " + text(8, "0") + ", " + kind.toLowerCase();
        }

        /** Whether it is drawn on the back of its plane, so that x runs the other way. */
        boolean mirrored() {
            return number(230, 1) < 0;
        }
    }

    private DxfReader(String text) {
        this.lines = text.split("\\R", -1);
    }

    static DrawnFile read(String text) {
        DxfReader reader = new DxfReader(text);
        reader.sections();
        return reader.drawn();
    }

    private Pair pair() {
        if (next + 1 >= lines.length) {
            return null;
        }
        int at = next + 1;
        String code = lines[next].strip();
        String value = lines[next + 1].strip();
        next += 2;
        try {
            return new Pair(Integer.parseInt(code), value, at);
        } catch (NumberFormatException e) {
            throw new DrawnFileException(
                    "this is no SVG, and no DXF either: in line " + at + " a whole number is wanted, “"
                            + code.substring(0, Math.min(code.length(), 20)) + "” stands there");
        }
    }

    private void sections() {
        boolean found = false;
        String section = "";
        for (Pair p = pair(); p != null; p = pair()) {
            if (p.code() == 0 && p.value().equals("EOF")) {
                break;
            }
            if (p.code() == 0 && p.value().equals("SECTION")) {
                Pair name = pair();
                section = name == null ? "" : name.value();
                found = true;
            } else if (p.code() == 0 && p.value().equals("ENDSEC")) {
                section = "";
            } else if (section.equals("HEADER") && p.code() == 9 && p.value().equals("$INSUNITS")) {
                Pair value = pair();
                if (value != null) {
                    Double known = UNITS.get((int) number(value));
                    unit = known == null ? OptionalDouble.empty() : OptionalDouble.of(known);
                }
            } else if (section.equals("ENTITIES") && p.code() == 0) {
                entity(p);
            }
        }
        if (!found) {
            throw new DrawnFileException("this is no SVG, and no DXF either: it has no section");
        }
    }

    private void entity(Pair start) {
        if (entities.size() >= MOST_ENTITIES) {
            throw new DrawnFileException(
                    "the drawing has more than " + MOST_ENTITIES + " entities. Save only the outline");
        }
        List<Pair> pairs = new ArrayList<>();
        while (next + 1 < lines.length && !lines[next].strip().equals("0")) {
            pairs.add(pair());
        }
        entities.add(new Entity(start.value(), pairs));
    }

    private static double number(Pair p) {
        try {
            double value = Double.parseDouble(p.value());
            if (Math.abs(value) <= DrawnFile.FARTHEST) {
                return value;
            }
        } catch (NumberFormatException e) {
            throw new DrawnFileException("DXF, line " + (p.line() + 1) + ": a number is wanted, “"
                    + p.value().substring(0, Math.min(p.value().length(), 20)) + "” stands there");
        }
        throw new DrawnFileException("DXF, line " + (p.line() + 1) + ": the number " + p.value()
                + " lies far outside any drawing of a body");
    }

    private DrawnFile drawn() {
        Map<String, List<List<Segment>>> open = new LinkedHashMap<>();
        List<DrawnFile.Shape> shapes = new ArrayList<>();
        double size = size();
        for (int i = 0; i < entities.size(); i++) {
            Entity e = entities.get(i);
            List<Segment> pieces;
            boolean closed = false;
            switch (e.kind()) {
                case "LINE" -> pieces = line(e);
                case "ARC" -> pieces = List.of(arc(e));
                case "CIRCLE" -> {
                    pieces = circle(e);
                    closed = true;
                }
                case "ELLIPSE" -> {
                    pieces = ellipse(e);
                    closed = pieces.get(0)
                                    .start()
                                    .distance(pieces.get(pieces.size() - 1).end())
                            <= SAME * size;
                }
                case "LWPOLYLINE" -> {
                    pieces = polyline(vertices(e), (e.flags() & 1) == 1);
                    closed = (e.flags() & 1) == 1;
                }
                case "POLYLINE" -> {
                    List<double[]> vertices = new ArrayList<>();
                    int k = i + 1;
                    for (; k < entities.size() && entities.get(k).kind().equals("VERTEX"); k++) {
                        Entity v = entities.get(k);
                        // Frame points of a fitted curve are not on it.
                        if ((v.flags() & 16) == 0) {
                            vertices.add(new double[] {v.needed(10), v.needed(20), v.number(42, 0)});
                        }
                    }
                    i = k - 1;
                    pieces = polyline(vertices, (e.flags() & 1) == 1);
                    closed = (e.flags() & 1) == 1;
                }
                case "SPLINE" -> pieces = spline(e, size);
                case "SEQEND", "VERTEX" -> pieces = List.of();
                default -> {
                    leftOut.merge(e.kind().toLowerCase(), 1, Integer::sum);
                    pieces = List.of();
                }
            }
            if (e.mirrored() && !e.kind().equals("LINE") && !e.kind().equals("SPLINE")) {
                pieces = pieces.stream()
                        .map(s -> s.placed(Placing.fromTheBack()))
                        .toList();
            }
            if (closed && !pieces.isEmpty()) {
                shapes.add(new DrawnFile.Shape(e.name(), pieces));
            } else if (!pieces.isEmpty()) {
                open.computeIfAbsent(e.name(), n -> new ArrayList<>()).add(pieces);
            }
        }
        return Shapes.of(shapes, open, SAME * size, unit, notes());
    }

    private List<String> notes() {
        List<String> notes = new ArrayList<>();
        leftOut.forEach((kind, count) -> notes.add(count + " " + kind + (count == 1 ? " was" : " were") + " left out"
                + (kind.equals("insert") ? ": blocks are not followed; explode them before saving" : "")));
        return notes;
    }

    /** The drawing's extent, from the points that all entities name. */
    private double size() {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Entity e : entities) {
            for (Pair p : e.pairs()) {
                if (p.code() >= 10 && p.code() <= 11 || p.code() >= 20 && p.code() <= 21) {
                    double value = number(p);
                    least = Math.min(least, value);
                    most = Math.max(most, value);
                }
            }
            double radius = e.kind().equals("CIRCLE") || e.kind().equals("ARC") ? e.number(40, 0) : 0;
            most = Math.max(most, least + radius);
        }
        return most > least ? most - least : 1;
    }

    private static List<Segment> line(Entity e) {
        Point a = new Point(e.needed(10), e.needed(20));
        Point b = new Point(e.needed(11), e.needed(21));
        return a.equals(b) ? List.of() : List.of(new Segment.Line(a, b));
    }

    private static Point centre(Entity e) {
        return new Point(e.needed(10), e.needed(20));
    }

    private static double radius(Entity e) {
        double radius = e.needed(40);
        if (!(radius > 0)) {
            throw new DrawnFileException(
                    "DXF, line " + e.pairs().get(0).line() + ": a radius of " + radius + " draws nothing");
        }
        return radius;
    }

    private static Segment arc(Entity e) {
        double from = Math.toRadians(e.needed(50));
        double sweep = Math.toRadians(e.needed(51)) - from;
        sweep -= 2 * Math.PI * Math.floor(sweep / (2 * Math.PI));
        return new Segment.Arc(centre(e), radius(e), from, sweep == 0 ? 2 * Math.PI : sweep);
    }

    private static List<Segment> circle(Entity e) {
        Point centre = centre(e);
        double radius = radius(e);
        return List.of(new Segment.Arc(centre, radius, 0, Math.PI), new Segment.Arc(centre, radius, Math.PI, Math.PI));
    }

    /** Cubics of the circle that it is seen from its own axes. */
    private static List<Segment> ellipse(Entity e) {
        Point centre = centre(e);
        double ax = e.needed(11);
        double ay = e.needed(21);
        double ratio = e.number(40, 1);
        double from = e.number(41, 0);
        double to = e.number(42, 2 * Math.PI);
        if (Math.hypot(ax, ay) == 0 || !(ratio > 0)) {
            throw new DrawnFileException("DXF, line " + e.pairs().get(0).line() + ": an ellipse without an axis");
        }
        double sweep = to - from;
        sweep = sweep > 0 && sweep <= 2 * Math.PI + 1e-9
                ? sweep
                : sweep - 2 * Math.PI * Math.floor(sweep / (2 * Math.PI));
        List<Segment> out = new ArrayList<>();
        for (Segment.Cubic c : new Segment.Arc(new Point(0, 0), 1, from, sweep).cubics()) {
            out.add(Affine.of(ax, ay, -ay * ratio, ax * ratio, centre.x(), centre.y())
                    .of(c));
        }
        return out;
    }

    private static List<double[]> vertices(Entity e) {
        List<double[]> vertices = new ArrayList<>();
        for (Pair p : e.pairs()) {
            switch (p.code()) {
                case 10 -> vertices.add(new double[] {number(p), Double.NaN, 0});
                case 20 -> {
                    if (!vertices.isEmpty()) {
                        vertices.get(vertices.size() - 1)[1] = number(p);
                    }
                }
                case 42 -> {
                    if (!vertices.isEmpty()) {
                        vertices.get(vertices.size() - 1)[2] = number(p);
                    }
                }
                default -> {
                    // Widths and heights do not move the line.
                }
            }
        }
        for (double[] v : vertices) {
            if (Double.isNaN(v[1])) {
                throw new DrawnFileException(
                        "DXF, line " + e.pairs().get(0).line() + ": a polyline's point has no second coordinate");
            }
        }
        return vertices;
    }

    private static List<Segment> polyline(List<double[]> vertices, boolean closed) {
        List<Segment> out = new ArrayList<>();
        int n = vertices.size();
        for (int i = 0; i < (closed ? n : n - 1); i++) {
            double[] v = vertices.get(i);
            double[] w = vertices.get((i + 1) % n);
            Point a = new Point(v[0], v[1]);
            Point b = new Point(w[0], w[1]);
            if (!a.equals(b)) {
                out.add(Math.abs(v[2]) < 1e-9 ? new Segment.Line(a, b) : Segment.Arc.ofBulge(a, b, v[2]));
            }
        }
        return out;
    }

    private static List<Segment> spline(Entity e, double size) {
        List<Double> knots = new ArrayList<>();
        List<Double> weights = new ArrayList<>();
        List<Point> control = new ArrayList<>();
        double x = Double.NaN;
        for (Pair p : e.pairs()) {
            switch (p.code()) {
                case 40 -> knots.add(number(p));
                case 41 -> weights.add(number(p));
                case 10 -> x = number(p);
                case 20 -> control.add(new Point(Double.isNaN(x) ? 0 : x, number(p)));
                default -> {
                    // Tolerances, tangents and fit points do not make the curve where control points do.
                }
            }
        }
        if (control.isEmpty()) {
            throw new DrawnFileException(
                    "DXF, line " + (e.pairs().isEmpty() ? 1 : e.pairs().get(0).line())
                            + ": a spline without control points is not read. Let your program write them");
        }
        return new BSpline((int) e.number(71, 3), knots, control, weights, CLOSE * size).pieces();
    }
}
