package ebauche.app.crib;

import ebauche.app.drawing.Svg;
import ebauche.app.words.Words;
import ebauche.core.crib.Bit;

/** A router bit lying with its shank to the left, to one scale with all others: shank, bearings, cutter. */
public final class BitDrawing {
    private static final double SCALE = 2;
    private static final double WIDTH = 240;
    private static final double HEIGHT = 64;

    private BitDrawing() {}

    public static String of(Bit bit) {
        double scale = Math.min(SCALE, Math.min((WIDTH - 8) / bit.overallLength(), (HEIGHT - 4) / bit.diameter()));
        Svg svg = new Svg(WIDTH, HEIGHT, "bit", words(bit));
        double bearings = (bit.bearing().turns() && bit.bearing().atShank() ? bit.bearingWidth() : 0)
                + (bit.bearing().atTip() ? bit.bearingWidth() : 0);
        double x = 4;
        double shank = bit.overallLength() - bit.cutterLength() - bearings;
        x = block(svg, "shank", x, shank * scale, bit.shank() * scale);
        if (bit.bearing().turns() && bit.bearing().atShank()) {
            x = block(svg, "bearing", x, bit.bearingWidth() * scale, bit.bearingDiameter() * scale);
        }
        double cutter = bit.cutterLength() * scale;
        double height = bit.diameter() * scale;
        if (bit.profile() == Bit.Profile.STRAIGHT || bit.profile() == Bit.Profile.SURFACING) {
            block(svg, "cutter", x, cutter, height);
        } else {
            svg.path("cutter", shaped(bit.profile(), x, cutter, height));
        }
        for (int i = 1; i <= bit.flutes(); i++) {
            double y = HEIGHT / 2 - height / 2 + height * i / (bit.flutes() + 1.0);
            double lean = bit.spiral() == Bit.Spiral.NONE ? 0 : height * 0.18;
            svg.line("flute", x, y + lean, x + cutter, y - lean);
        }
        x += cutter;
        if (bit.bearing().atTip()) {
            block(svg, "bearing", x, bit.bearingWidth() * scale, bit.bearingDiameter() * scale);
        }
        return svg.done();
    }

    private static String words(Bit bit) {
        return Words.say(
                "bit-drawing.bit-bearing",
                bit.name(),
                bit.profile().words(),
                bit.bearing().words());
    }

    private static double block(Svg svg, String css, double x, double length, double across) {
        svg.rect(css, x, HEIGHT / 2 - across / 2, length, across);
        return x + length;
    }

    /** Round-over and bevel narrow to the tip, a bowl ends round, a rabbet is broad all along. */
    private static String shaped(Bit.Profile profile, double x, double length, double height) {
        double middle = HEIGHT / 2;
        double top = middle - height / 2;
        double bottom = middle + height / 2;
        double end = x + length;
        String start = "M" + Svg.n(x) + " " + Svg.n(top);
        double r = Math.min(length, height / 2) * 0.8;
        return switch (profile) {
            case BEVEL ->
                start + "L" + Svg.n(end) + " " + Svg.n(middle - height * 0.15) + "V" + Svg.n(middle + height * 0.15)
                        + "L" + Svg.n(x) + " " + Svg.n(bottom) + "Z";
            case ROUND_OVER ->
                start + "Q" + Svg.n(x + r * 0.2) + " " + Svg.n(top + r) + " " + Svg.n(end) + " "
                        + Svg.n(middle - height * 0.2)
                        + "V" + Svg.n(middle + height * 0.2) + "Q" + Svg.n(x + r * 0.2) + " " + Svg.n(bottom - r) + " "
                        + Svg.n(x) + " " + Svg.n(bottom) + "Z";
            case BOWL ->
                start + "H" + Svg.n(end - r) + "Q" + Svg.n(end) + " " + Svg.n(top) + " " + Svg.n(end) + " "
                        + Svg.n(middle) + "Q" + Svg.n(end) + " " + Svg.n(bottom) + " " + Svg.n(end - r) + " "
                        + Svg.n(bottom)
                        + "H" + Svg.n(x) + "Z";
            default -> start + "H" + Svg.n(end) + "V" + Svg.n(bottom) + "H" + Svg.n(x) + "Z";
        };
    }
}
