package ebauche.core.geometry;

import ebauche.core.measure.Decimals;
import java.util.ArrayList;
import java.util.List;

/**
 * Reads and writes a closed path in the letters of SVG path data: M, L, H, V, C, A, Z and their relative forms.
 *
 * <p>A single pass over the characters; at most {@value #MOST_CHARACTERS} characters and {@value #MOST_SEGMENTS}
 * pieces, so that a hostile file costs no more than a long one. Arcs must be circular. The axes are the body's (y up).
 */
public final class PathData {
    public static final int MOST_CHARACTERS = 200_000;
    public static final int MOST_SEGMENTS = 5_000;
    /** Ends nearer than this are one point, mm. */
    private static final double SAME = 1e-6;

    private final String text;
    private final double scale;
    private final List<Segment> segments = new ArrayList<>();
    private int next;
    private Point from;
    private Point first;

    private PathData(String text, double scale) {
        this.text = text;
        this.scale = scale;
    }

    /**
     * Parses one closed path.
     *
     * @param millimetresPerUnit what one unit of the data measures
     * @throws PathFormatException naming the place, if it is no single closed path
     */
    public static List<Segment> parse(String text, double millimetresPerUnit) {
        if (text.length() > MOST_CHARACTERS) {
            throw new PathFormatException("the path has " + text.length() + " characters; at most " + MOST_CHARACTERS
                    + " are read. Simplify the curve");
        }
        return new PathData(text, millimetresPerUnit).read();
    }

    /** Writes the path in millimetres, absolute letters, to a hundredth of {@link Segment#FLATNESS}. */
    public static String write(List<Segment> segments) {
        return write(segments, 4);
    }

    /** The same in the units of the segments, to so many decimals. */
    public static String write(List<Segment> segments, int decimals) {
        StringBuilder out = new StringBuilder("M").append(at(segments.get(0).start(), decimals));
        for (Segment segment : segments) {
            if (segment instanceof Segment.Cubic c) {
                out.append(" C").append(at(c.first(), decimals)).append(' ').append(at(c.second(), decimals));
                out.append(' ').append(at(c.end(), decimals));
            } else if (segment instanceof Segment.Arc a) {
                String radius = Decimals.plain(a.radius(), decimals);
                out.append(" A").append(radius).append(' ').append(radius).append(" 0 ");
                out.append(Math.abs(a.sweep()) > Math.PI ? '1' : '0').append(' ');
                out.append(a.sweep() > 0 ? '1' : '0').append(' ').append(at(a.end(), decimals));
            } else {
                out.append(" L").append(at(segment.end(), decimals));
            }
        }
        return out.append(" Z").toString();
    }

    private static String at(Point p, int decimals) {
        return Decimals.plain(p.x(), decimals) + " " + Decimals.plain(p.y(), decimals);
    }

    private List<Segment> read() {
        skipSpace();
        char command = next < text.length() ? text.charAt(next) : ' ';
        if (command != 'M' && command != 'm') {
            throw trouble("a path starts with M and its first point");
        }
        boolean closed = false;
        while (next < text.length()) {
            if (closed) {
                throw trouble("an outline is one closed path; something follows its Z");
            }
            char letter = text.charAt(next);
            if (Character.isLetter(letter)) {
                command = letter;
                next++;
            } else if (command == 'M' || command == 'm') {
                command = command == 'M' ? 'L' : 'l';
            }
            closed = step(command);
            skipSpace();
        }
        if (!closed && (first == null || from.distance(first) > SAME)) {
            throw trouble("the path is open: end it with Z, or bring it back to its first point");
        }
        if (segments.size() < 2) {
            throw trouble("the path encloses nothing");
        }
        return List.copyOf(segments);
    }

    /** Reads one command's arguments; true when it closed the path. */
    private boolean step(char command) {
        boolean relative = Character.isLowerCase(command);
        switch (Character.toUpperCase(command)) {
            case 'M' -> {
                if (first != null) {
                    throw trouble("an outline is one closed path; a second M begins another");
                }
                from = point(false);
                first = from;
            }
            case 'L' -> line(point(relative));
            case 'H' -> line(new Point(number() * scale + (relative ? from.x() : 0), from.y()));
            case 'V' -> line(new Point(from.x(), number() * scale + (relative ? from.y() : 0)));
            case 'C' -> add(new Segment.Cubic(from, point(relative), point(relative), point(relative)));
            case 'A' -> arc(relative);
            case 'Z' -> {
                line(first);
                return true;
            }
            default -> throw trouble("“" + command + "” is no letter that is read here (M L H V C A Z)");
        }
        return false;
    }

    private void line(Point to) {
        if (to.distance(from) > SAME) {
            add(new Segment.Line(from, to));
        }
    }

    private void add(Segment segment) {
        if (segments.size() >= MOST_SEGMENTS) {
            throw new PathFormatException(
                    "the path has more than " + MOST_SEGMENTS + " pieces. Draw it with fewer, longer curves");
        }
        segments.add(segment);
        from = segment.end();
    }

    /** The end-point form of an arc turned into centre and angles, SVG 1.1 appendix F.6.5, for equal radii. */
    private void arc(boolean relative) {
        double rx = Math.abs(number());
        double ry = Math.abs(number());
        number();
        boolean large = flag();
        boolean left = flag();
        Point to = point(relative);
        if (Math.abs(rx - ry) > 1e-9 * Math.max(rx, ry)) {
            throw trouble("an arc here is part of a circle: both radii alike");
        }
        double chord = from.distance(to);
        if (chord < SAME || rx == 0) {
            line(to);
            return;
        }
        double radius = Math.max(rx * scale, chord / 2);
        double rise = Math.sqrt(Math.max(0, radius * radius - chord * chord / 4));
        double side = large == left ? -1 : 1;
        Point middle = from.towards(to, 0.5);
        double ux = (to.x() - from.x()) / chord;
        double uy = (to.y() - from.y()) / chord;
        Point centre = middle.plus(-uy * rise * side, ux * rise * side);
        double a0 = Math.atan2(from.y() - centre.y(), from.x() - centre.x());
        double sweep = Math.atan2(to.y() - centre.y(), to.x() - centre.x()) - a0;
        if (left && sweep <= 0) {
            sweep += 2 * Math.PI;
        } else if (!left && sweep >= 0) {
            sweep -= 2 * Math.PI;
        }
        add(new Segment.Arc(centre, radius, a0, sweep));
        from = to;
    }

    private Point point(boolean relative) {
        double x = number() * scale;
        double y = number() * scale;
        return relative && from != null ? from.plus(x, y) : new Point(x, y);
    }

    private boolean flag() {
        skipSpace();
        if (next < text.length() && (text.charAt(next) == '0' || text.charAt(next) == '1')) {
            return text.charAt(next++) == '1';
        }
        throw trouble("an arc's flag is 0 or 1");
    }

    private double number() {
        skipSpace();
        int begin = next;
        boolean point = false;
        while (next < text.length()) {
            char c = text.charAt(next);
            boolean sign = (c == '-' || c == '+') && (next == begin || isExponent(text.charAt(next - 1)));
            boolean exponent = isExponent(c) && next > begin;
            boolean dot = c == '.' && !point;
            if (!(Character.isDigit(c) || sign || exponent || dot)) {
                break;
            }
            point |= dot;
            next++;
        }
        try {
            double value = Double.parseDouble(text.substring(begin, next));
            if (Math.abs(value * scale) <= 1e5) {
                return value;
            }
        } catch (NumberFormatException e) {
            next = begin;
            throw trouble("a number is wanted");
        }
        throw trouble("a coordinate lies far outside any body");
    }

    private static boolean isExponent(char c) {
        return c == 'e' || c == 'E';
    }

    private void skipSpace() {
        while (next < text.length() && (Character.isWhitespace(text.charAt(next)) || text.charAt(next) == ',')) {
            next++;
        }
    }

    private PathFormatException trouble(String what) {
        int until = Math.min(text.length(), next + 12);
        String near = next >= text.length() ? "at its end" : "near “" + text.substring(next, until) + "”";
        return new PathFormatException("path data, character " + (next + 1) + " " + near + ": " + what);
    }
}
