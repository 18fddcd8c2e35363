package ebauche.core.geometry;

/**
 * Reads the letters of SVG path data (SVG 1.1, chapter 8.3): M L H V C S Q T A Z and their relative forms, in doubles.
 *
 * <p>A single pass over the characters. It moves a pen by absolute points: what is relative, horizontal or vertical is worked out, a
 * quadratic becomes a cubic (the same curve), a smooth curve takes the last handle mirrored.
 */
public final class PathReader {
    /** Who draws what is read; where the pen stands is known to both. */
    public interface Pen {
        /** A new run begins. */
        void move(Point to);

        void line(Point to);

        void cubic(Point first, Point second, Point to);

        /** An elliptical arc in its end-point form; lengths in the data's units times the scale, its turn in degrees. */
        void arc(double rx, double ry, double turned, boolean large, boolean left, Point to);

        /** Back to where the run began. */
        void close();
    }

    private final String text;
    private final double scale;
    private final double farthest;
    private final Pen pen;
    private int next;
    private char letter;
    private Point here;
    private Point first;
    private Point cubicHandle;
    private Point quadHandle;

    /**
     * A reader of one text.
     *
     * @param scale what one unit of the data measures
     * @param farthest a coordinate may be from nought, after scaling
     */
    public PathReader(String text, double scale, double farthest, Pen pen) {
        this.text = text;
        this.scale = scale;
        this.farthest = farthest;
        this.pen = pen;
    }

    /**
     * Reads to the end.
     *
     * @throws PathFormatException naming the place that cannot be read
     */
    public void read() {
        skipSpace();
        letter = next < text.length() ? text.charAt(next) : ' ';
        if (letter != 'M' && letter != 'm') {
            throw trouble("a path starts with M and its first point");
        }
        boolean drawn = false;
        while (next < text.length()) {
            char now = text.charAt(next);
            if (Character.isLetter(now)) {
                letter = now;
                next++;
            } else if (letter == 'M' || letter == 'm') {
                letter = letter == 'M' ? 'L' : 'l';
            } else if (drawn && (letter == 'Z' || letter == 'z')) {
                throw trouble("a letter is wanted after Z");
            }
            step(Character.isLowerCase(letter));
            drawn = true;
            skipSpace();
        }
    }

    private void step(boolean relative) {
        switch (Character.toUpperCase(letter)) {
            case 'M' -> {
                Point to = point(relative);
                pen.move(to);
                first = to;
                at(to);
            }
            case 'L' -> line(point(relative));
            case 'H' -> line(new Point(number() * scale + (relative ? here.x() : 0), here.y()));
            case 'V' -> line(new Point(here.x(), number() * scale + (relative ? here.y() : 0)));
            case 'C' -> cubic(point(relative), point(relative), point(relative));
            case 'S' -> cubic(mirrored(cubicHandle), point(relative), point(relative));
            case 'Q' -> quad(point(relative), point(relative));
            case 'T' -> quad(mirrored(quadHandle), point(relative));
            case 'A' -> arc(relative);
            case 'Z' -> {
                pen.close();
                at(first);
            }
            default -> throw trouble("“" + letter + "” is no letter that is read here (M L H V C S Q T A Z)");
        }
    }

    private void at(Point to) {
        here = to;
        cubicHandle = null;
        quadHandle = null;
    }

    private void line(Point to) {
        pen.line(to);
        at(to);
    }

    private void cubic(Point one, Point two, Point to) {
        pen.cubic(one, two, to);
        at(to);
        cubicHandle = two;
    }

    private void quad(Point handle, Point to) {
        pen.cubic(here.towards(handle, 2.0 / 3), to.towards(handle, 2.0 / 3), to);
        at(to);
        quadHandle = handle;
    }

    /** The last handle mirrored about where the pen stands; there where the last curve was another. */
    private Point mirrored(Point handle) {
        return handle == null ? here : handle.towards(here, 2);
    }

    private void arc(boolean relative) {
        double rx = Math.abs(number());
        double ry = Math.abs(number());
        double turned = number();
        boolean large = flag();
        boolean left = flag();
        Point to = point(relative);
        pen.arc(rx * scale, ry * scale, turned, large, left, to);
        at(to);
    }

    private Point point(boolean relative) {
        double x = number() * scale;
        double y = number() * scale;
        return relative && here != null ? here.plus(x, y) : new Point(x, y);
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
        boolean exponent = false;
        while (next < text.length()) {
            char c = text.charAt(next);
            boolean sign = (c == '-' || c == '+') && (next == begin || isExponent(text.charAt(next - 1)));
            boolean power = isExponent(c) && next > begin && !exponent;
            boolean dot = c == '.' && !point && !exponent;
            if (!((c >= '0' && c <= '9') || sign || power || dot)) {
                break;
            }
            point |= dot;
            exponent |= power;
            next++;
        }
        try {
            double value = Double.parseDouble(text.substring(begin, next));
            if (Math.abs(value * scale) <= farthest) {
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

    /** What is wrong, and where. */
    public PathFormatException trouble(String what) {
        int until = Math.min(text.length(), next + 12);
        String near = next >= text.length() ? "at its end" : "near “" + text.substring(next, until) + "”";
        return new PathFormatException("path data, character " + (next + 1) + " " + near + ": " + what);
    }
}
