package ebauche.exchange.drawn;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The {@code transform} of an SVG element (SVG 1.1, chapter 7.6): a list of matrix, translate, scale, rotate, skewX and skewY. */
final class SvgTransform {
    private static final Pattern ONE = Pattern.compile("\\s*,?\\s*([a-zA-Z]{4,9})\\s*\\(([^()]{0,200})\\)");

    private SvgTransform() {}

    /**
     * What it does to a place; the last in the list first.
     *
     * @throws IllegalArgumentException if it cannot be read
     */
    static Affine of(String text) {
        Affine all = Affine.NONE;
        Matcher one = ONE.matcher(text);
        int end = 0;
        while (one.find() && one.start() == end) {
            all = all.after(single(one.group(1), numbers(one.group(2))));
            end = one.end();
        }
        if (!text.substring(end).isBlank()) {
            throw new IllegalArgumentException("no transform: " + text.substring(end));
        }
        return all;
    }

    private static double[] numbers(String text) {
        String[] parts = text.strip().split("[\\s,]+|(?<=[0-9.])(?=[-+])");
        double[] numbers = new double[parts.length];
        for (int i = 0; i < parts.length; i++) {
            numbers[i] = Double.parseDouble(parts[i]);
        }
        return numbers;
    }

    private static Affine single(String what, double... n) {
        return switch (what + n.length) {
            case "matrix6" -> new Affine(n[0], n[1], n[2], n[3], n[4], n[5]);
            case "translate1" -> moved(n[0], 0);
            case "translate2" -> moved(n[0], n[1]);
            case "scale1" -> new Affine(n[0], 0, 0, n[0], 0, 0);
            case "scale2" -> new Affine(n[0], 0, 0, n[1], 0, 0);
            case "rotate1" -> turned(n[0]);
            case "rotate3" -> moved(n[1], n[2]).after(turned(n[0])).after(moved(-n[1], -n[2]));
            case "skewX1" -> new Affine(1, 0, Math.tan(Math.toRadians(n[0])), 1, 0, 0);
            case "skewY1" -> new Affine(1, Math.tan(Math.toRadians(n[0])), 0, 1, 0, 0);
            default -> throw new IllegalArgumentException(what + " of " + n.length + " numbers is no transform");
        };
    }

    private static Affine moved(double x, double y) {
        return new Affine(1, 0, 0, 1, x, y);
    }

    private static Affine turned(double degrees) {
        double c = Math.cos(Math.toRadians(degrees));
        double s = Math.sin(Math.toRadians(degrees));
        return new Affine(c, s, -s, c, 0, 0);
    }
}
