package ebauche.app.timber;

import ebauche.app.drawing.Svg;
import ebauche.core.timber.Defect;
import java.util.Locale;

/** Faults of wood, each kind told by its shape and not by colour alone. */
public final class Faults {
    private Faults() {}

    /**
     * Draws a fault in its box.
     *
     * @param state a further class, such as {@code bad} or {@code fine}
     */
    public static void draw(
            Svg svg, Defect.Kind kind, String state, String words, double x, double y, double w, double h) {
        svg.open("g", "class", "fault " + kind.name().toLowerCase(Locale.ROOT) + " " + state);
        svg.title(words);
        switch (kind) {
            case HOLE -> ellipse(svg, "void", x, y, w, h, 1);
            case KNOT -> {
                ellipse(svg, "ring", x, y, w, h, 1);
                ellipse(svg, "ring", x, y, w, h, 0.62);
                ellipse(svg, "pith", x, y, w, h, 0.25);
            }
            case SPLIT -> svg.path("crack", crack(x, y, w, h));
            case STAIN -> svg.rect("patch", x, y, w, h);
            case WANE ->
                svg.path(
                        "bark",
                        "M" + p(x, y) + "L" + p(x + w, y) + "L" + p(x + w * 0.8, y + h) + "L" + p(x + w * 0.2, y + h)
                                + "Z");
            case METAL -> {
                svg.line("nail", x, y, x + w, y + h);
                svg.line("nail", x, y + h, x + w, y);
            }
        }
        svg.rect("box", x, y, w, h);
        svg.close();
    }

    private static void ellipse(Svg svg, String css, double x, double y, double w, double h, double share) {
        svg.open(
                        "ellipse",
                        "class",
                        css,
                        "cx",
                        Svg.n(x + w / 2),
                        "cy",
                        Svg.n(y + h / 2),
                        "rx",
                        Svg.n(w / 2 * share),
                        "ry",
                        Svg.n(h / 2 * share))
                .close();
    }

    /** A zigzag along the longer side. */
    private static String crack(double x, double y, double w, double h) {
        boolean lengthwise = w >= h;
        StringBuilder path = new StringBuilder("M");
        int teeth = 6;
        for (int i = 0; i <= teeth; i++) {
            double along = (double) i / teeth;
            double side = i == 0 || i == teeth ? 0.5 : i % 2 == 0 ? 0.85 : 0.15;
            path.append(i == 0 ? "" : "L")
                    .append(lengthwise ? p(x + w * along, y + h * side) : p(x + w * side, y + h * along));
        }
        return path.toString();
    }

    private static String p(double x, double y) {
        return Svg.n(x) + " " + Svg.n(y);
    }
}
