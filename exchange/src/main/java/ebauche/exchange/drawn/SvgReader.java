package ebauche.exchange.drawn;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import java.io.ByteArrayInputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Reads the closed shapes of an SVG drawing: paths, polygons, polylines, rectangles, circles and ellipses, with the transforms
 * over them.
 *
 * <p>A stream over the elements with a stack of transforms; document types and entities are refused by the parser, references
 * ({@code use}) are not followed, so nothing can contain itself. Definitions, clips, masks, patterns and hidden groups are passed
 * over.
 */
final class SvgReader {
    private static final int DEEPEST = 200;
    private static final double MM_PER_PIXEL = 25.4 / 96;

    /** Ends nearer than this share of the drawing's size are one point. */
    private static final double SAME = 1e-5;

    private static final Pattern MEASURE = Pattern.compile("\\s*([0-9.eE+-]{1,30})\\s*(mm|cm|in|pt|pc|px|Q|)\\s*");
    private static final Map<String, Double> UNITS =
            Map.of("mm", 1.0, "cm", 10.0, "in", 25.4, "pt", 25.4 / 72, "pc", 25.4 / 6, "px", MM_PER_PIXEL, "Q", 0.25);

    /** What is drawn only where something else refers to it. */
    private static final Set<String> PASSED_OVER =
            Set.of("defs", "clipPath", "mask", "marker", "pattern", "symbol", "style");

    private final Deque<Affine> over = new ArrayDeque<>();
    private final List<DrawnFile.Shape> closed = new ArrayList<>();
    private final Map<String, List<List<Segment>>> open = new LinkedHashMap<>();
    private final Map<String, Integer> leftOut = new TreeMap<>();
    private OptionalDouble unit = OptionalDouble.empty();
    private int pieces;

    private SvgReader() {
        // SVG's y runs down.
        over.push(new Affine(1, 0, 0, -1, 0, 0));
    }

    static DrawnFile read(byte[] bytes) {
        SvgReader reader = new SvgReader();
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new ByteArrayInputStream(bytes));
            reader.document(xml);
        } catch (XMLStreamException e) {
            int line = e.getLocation() == null ? -1 : e.getLocation().getLineNumber();
            throw new DrawnFileException("SVG" + (line > 0 ? ", line " + line : "")
                    + ": the file is not well formed, or uses entities of its own. Save it again as plain SVG");
        }
        return reader.drawn();
    }

    private void document(XMLStreamReader xml) throws XMLStreamException {
        boolean root = true;
        int passing = 0;
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.ENTITY_REFERENCE) {
                throw new DrawnFileException("SVG, line " + xml.getLocation().getLineNumber()
                        + ": the file uses entities of its own. Save it again as plain SVG");
            }
            if (event == XMLStreamConstants.START_ELEMENT) {
                if (root && !xml.getLocalName().equals("svg")) {
                    throw new DrawnFileException(
                            "this is XML, but no SVG: its first element is “" + shorten(xml.getLocalName()) + "”");
                }
                if (passing > 0 || (!root && passedOver(xml))) {
                    passing++;
                    continue;
                }
                if (over.size() > DEEPEST) {
                    throw new DrawnFileException("SVG: groups are nested more than " + DEEPEST + " deep");
                }
                over.push(over.peek().after(transform(xml)));
                if (root) {
                    page(xml);
                } else {
                    shape(xml);
                }
                root = false;
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                if (passing > 0) {
                    passing--;
                } else {
                    over.pop();
                }
            }
        }
    }

    private static String shorten(String text) {
        return text.substring(0, Math.min(24, text.length()));
    }

    private boolean passedOver(XMLStreamReader xml) {
        String name = xml.getLocalName();
        String style = attribute(xml, "style");
        boolean hidden = "none".equals(attribute(xml, "display"))
                || style.replace(" ", "").contains("display:none");
        if (Set.of("use", "text", "image", "foreignObject").contains(name)) {
            leftOut.merge(name, 1, Integer::sum);
            return true;
        }
        return hidden || PASSED_OVER.contains(name);
    }

    private static String attribute(XMLStreamReader xml, String name) {
        String value = xml.getAttributeValue(null, name);
        return value == null ? "" : value;
    }

    private static Affine transform(XMLStreamReader xml) {
        String text = attribute(xml, "transform");
        if (text.isBlank()) {
            return Affine.NONE;
        }
        try {
            return SvgTransform.of(text);
        } catch (IllegalArgumentException e) {
            throw new DrawnFileException("SVG, line " + xml.getLocation().getLineNumber() + ": the transform “"
                    + shorten(text) + "” cannot be read");
        }
    }

    /** How large a unit is on paper, if the page says so: its width in millimetres or inches over that of its view. */
    private void page(XMLStreamReader xml) {
        Matcher width = MEASURE.matcher(attribute(xml, "width"));
        if (!width.matches() || width.group(2).isEmpty() || width.group(2).equals("px")) {
            return;
        }
        double perUnit = UNITS.get(width.group(2));
        String[] view = attribute(xml, "viewBox").strip().split("[\\s,]+");
        if (view.length == 4) {
            double wide = number(view[2], xml);
            double paper = number(width.group(1), xml) * perUnit;
            if (wide > 0 && paper > 0) {
                unit = OptionalDouble.of(paper / wide);
            }
        } else {
            unit = OptionalDouble.of(MM_PER_PIXEL);
        }
    }

    private static double number(String text, XMLStreamReader xml) {
        try {
            double value = Double.parseDouble(text.strip().replaceFirst("(px)$", ""));
            if (Math.abs(value) <= DrawnFile.FARTHEST) {
                return value;
            }
        } catch (NumberFormatException e) {
            throw new DrawnFileException("SVG, line " + xml.getLocation().getLineNumber() + ": a number is wanted, “"
                    + shorten(text) + "” stands there");
        }
        throw new DrawnFileException("SVG, line " + xml.getLocation().getLineNumber() + ": the number “" + shorten(text)
                + "” lies far outside any drawing of a body");
    }

    private static double number(XMLStreamReader xml, String name) {
        String text = attribute(xml, name);
        return text.isBlank() ? 0 : number(text, xml);
    }

    private void shape(XMLStreamReader xml) {
        switch (xml.getLocalName()) {
            case "path" -> add(xml, attribute(xml, "d"));
            case "polygon" -> add(xml, points(xml) + "Z");
            case "polyline" -> add(xml, points(xml));
            case "line" ->
                add(
                        xml,
                        "M" + number(xml, "x1") + " " + number(xml, "y1") + "L" + number(xml, "x2") + " "
                                + number(xml, "y2"));
            case "rect" -> rectangle(xml);
            case "circle" -> ellipse(xml, number(xml, "r"), number(xml, "r"));
            case "ellipse" -> ellipse(xml, number(xml, "rx"), number(xml, "ry"));
            default -> {
                // Groups and titles draw nothing themselves.
            }
        }
    }

    private static String points(XMLStreamReader xml) {
        String text = attribute(xml, "points").strip();
        return text.isEmpty() ? "" : "M" + text;
    }

    private void ellipse(XMLStreamReader xml, double rx, double ry) {
        if (rx > 0 && ry > 0) {
            double x = number(xml, "cx");
            double y = number(xml, "cy");
            String arc = "A" + rx + " " + ry + " 0 0 1 ";
            add(xml, "M" + (x - rx) + " " + y + arc + (x + rx) + " " + y + arc + (x - rx) + " " + y + "Z");
        }
    }

    private void rectangle(XMLStreamReader xml) {
        double x = number(xml, "x");
        double y = number(xml, "y");
        double w = number(xml, "width");
        double h = number(xml, "height");
        if (!(w > 0) || !(h > 0)) {
            return;
        }
        double rx = attribute(xml, "rx").isBlank() ? number(xml, "ry") : number(xml, "rx");
        double ry = attribute(xml, "ry").isBlank() ? rx : number(xml, "ry");
        rx = Math.max(0, Math.min(rx, w / 2));
        ry = Math.max(0, Math.min(ry, h / 2));
        String corner = rx > 0 && ry > 0 ? "a" + rx + " " + ry + " 0 0 1 " : null;
        StringBuilder d = new StringBuilder("M" + (x + rx) + " " + y + "H" + (x + w - rx));
        d.append(corner == null ? "" : corner + rx + " " + ry).append("V").append(y + h - ry);
        d.append(corner == null ? "" : corner + -rx + " " + ry).append("H").append(x + rx);
        d.append(corner == null ? "" : corner + -rx + " " + -ry).append("V").append(y + ry);
        d.append(corner == null ? "" : corner + rx + " " + -ry).append("Z");
        add(xml, d.toString());
    }

    private void add(XMLStreamReader xml, String data) {
        if (data.isBlank()) {
            return;
        }
        List<SvgPath.SubPath> parts;
        try {
            parts = SvgPath.parts(data, DrawnFile.MOST_PIECES - pieces);
        } catch (IllegalArgumentException e) {
            throw new DrawnFileException("SVG, line " + xml.getLocation().getLineNumber() + ": the path “"
                    + shorten(data) + "…” cannot be read");
        }
        String id = attribute(xml, "id");
        String name =
                (id.isEmpty() ? "" : shorten(id) + ", ") + xml.getLocalName().toLowerCase(Locale.ROOT);
        for (SvgPath.SubPath part : parts) {
            List<Segment> placed = new ArrayList<>();
            part.segments().forEach(s -> placed.addAll(over.peek().of(s)));
            pieces += placed.size();
            if (placed.isEmpty()) {
                continue;
            }
            if (part.closed()) {
                closed.add(new DrawnFile.Shape(name, placed));
            } else {
                open.computeIfAbsent(name, n -> new ArrayList<>()).add(placed);
            }
        }
    }

    private DrawnFile drawn() {
        List<String> notes = new ArrayList<>();
        leftOut.forEach((what, count) -> notes.add(count + " " + what + (count == 1 ? " was" : " were") + " left out"
                + (what.equals("text") ? ": turn text into paths if it is wanted" : "")
                + (what.equals("use") ? ": references are not followed" : "")));
        return Shapes.of(closed, open, SAME * size(), unit, notes);
    }

    private double size() {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (List<List<Segment>> lists : open.values()) {
            for (List<Segment> list : lists) {
                for (Segment s : list) {
                    for (Point p : List.of(s.start(), s.end())) {
                        least = Math.min(least, Math.min(p.x(), p.y()));
                        most = Math.max(most, Math.max(p.x(), p.y()));
                    }
                }
            }
        }
        return most > least ? most - least : 1;
    }
}
