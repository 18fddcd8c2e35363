package ebauche.exchange.drawn;

import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Segment;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
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

    /** Millimetres per unit by the number that the header's $INSUNITS holds. */
    private static final Map<Integer, Double> UNITS = Map.of(
            1, 25.4, 2, 304.8, 4, 1.0, 5, 10.0, 6, 1000.0, 8, 25.4e-6, 9, 0.0254, 10, 914.4, 13, 0.001, 14, 100.0);

    private final String[] lines;
    private int next;
    private OptionalDouble unit = OptionalDouble.empty();
    private final List<DxfEntity> entities = new ArrayList<>();
    private final Map<String, Integer> leftOut = new TreeMap<>();

    private DxfReader(String text) {
        this.lines = text.split("\\R", -1);
    }

    static DrawnFile read(String text) {
        DxfReader reader = new DxfReader(text);
        reader.sections();
        return reader.drawn();
    }

    private DxfEntity.Pair pair() {
        if (next + 1 >= lines.length) {
            return null;
        }
        int at = next + 1;
        String code = lines[next].strip();
        String value = lines[next + 1].strip();
        next += 2;
        try {
            return new DxfEntity.Pair(Integer.parseInt(code), value, at);
        } catch (NumberFormatException e) {
            throw new DrawnFileException(
                    "this is no SVG, and no DXF either: in line " + at + " a whole number is wanted, “"
                            + code.substring(0, Math.min(code.length(), 20)) + "” stands there");
        }
    }

    private void sections() {
        boolean found = false;
        String section = "";
        for (DxfEntity.Pair p = pair(); p != null; p = pair()) {
            if (p.code() == 0 && p.value().equals("EOF")) {
                break;
            }
            if (p.code() == 0 && p.value().equals("SECTION")) {
                DxfEntity.Pair name = pair();
                section = name == null ? "" : name.value();
                found = true;
            } else if (p.code() == 0 && p.value().equals("ENDSEC")) {
                section = "";
            } else if (section.equals("HEADER") && p.code() == 9 && p.value().equals("$INSUNITS")) {
                DxfEntity.Pair value = pair();
                if (value != null) {
                    Double known = UNITS.get((int) value.number());
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

    private void entity(DxfEntity.Pair start) {
        if (entities.size() >= MOST_ENTITIES) {
            throw new DrawnFileException(
                    "the drawing has more than " + MOST_ENTITIES + " entities. Save only the outline");
        }
        List<DxfEntity.Pair> pairs = new ArrayList<>();
        while (next + 1 < lines.length && !lines[next].strip().equals("0")) {
            pairs.add(pair());
        }
        entities.add(new DxfEntity(start.value(), pairs));
    }

    private DrawnFile drawn() {
        Map<String, List<List<Segment>>> open = new LinkedHashMap<>();
        List<DrawnFile.Shape> shapes = new ArrayList<>();
        double size = size();
        for (int i = 0; i < entities.size(); i++) {
            DxfEntity e = entities.get(i);
            List<Segment> pieces;
            boolean closed = false;
            switch (e.kind()) {
                case "LINE" -> pieces = DxfShapes.line(e);
                case "ARC" -> pieces = List.of(DxfShapes.arc(e));
                case "CIRCLE" -> {
                    pieces = DxfShapes.circle(e);
                    closed = true;
                }
                case "ELLIPSE" -> {
                    pieces = DxfShapes.ellipse(e);
                    closed = pieces.get(0)
                                    .start()
                                    .distance(pieces.get(pieces.size() - 1).end())
                            <= SAME * size;
                }
                case "LWPOLYLINE" -> {
                    pieces = DxfShapes.polyline(DxfShapes.vertices(e), (e.flags() & 1) == 1);
                    closed = (e.flags() & 1) == 1;
                }
                case "POLYLINE" -> {
                    List<double[]> vertices = new ArrayList<>();
                    int k = i + 1;
                    for (; k < entities.size() && entities.get(k).kind().equals("VERTEX"); k++) {
                        DxfEntity v = entities.get(k);
                        // Frame points of a fitted curve are not on it.
                        if ((v.flags() & 16) == 0) {
                            vertices.add(new double[] {v.needed(10), v.needed(20), v.number(42, 0)});
                        }
                    }
                    i = k - 1;
                    pieces = DxfShapes.polyline(vertices, (e.flags() & 1) == 1);
                    closed = (e.flags() & 1) == 1;
                }
                case "SPLINE" -> pieces = DxfShapes.spline(e, size);
                case "SEQEND", "VERTEX" -> pieces = List.of();
                default -> {
                    leftOut.merge(e.kind().toLowerCase(Locale.ROOT), 1, Integer::sum);
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
        for (DxfEntity e : entities) {
            for (DxfEntity.Pair p : e.pairs()) {
                if ((p.code() >= 10 && p.code() <= 11) || (p.code() >= 20 && p.code() <= 21)) {
                    double value = p.number();
                    least = Math.min(least, value);
                    most = Math.max(most, value);
                }
            }
            double radius = e.kind().equals("CIRCLE") || e.kind().equals("ARC") ? e.number(40, 0) : 0;
            most = Math.max(most, least + radius);
        }
        return most > least ? most - least : 1;
    }
}
