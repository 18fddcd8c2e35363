package ebauche.app.drawing;

import java.util.ArrayList;
import java.util.List;

/** Numbered pins on a drawing. One that would cover an earlier one stands beside its place, with a line to it. */
public final class Pins {
    public static final double RADIUS = 11;

    /** Nearer than this, one hides the other's number. */
    private static final double CLEAR = 2 * RADIUS;

    private static final int WAYS = 12;
    private static final int RINGS = 3;

    /** From a circle's middle to the foot of its number. */
    private static final double FOOT = 5;

    private final Svg svg;
    private final List<double[]> standing = new ArrayList<>();

    public Pins(Svg svg) {
        this.svg = svg;
    }

    /**
     * The next pin, numbered on from the last.
     *
     * @param x of the place that it means, in the drawing
     * @param says after its number, to whoever points at it
     */
    public void add(double x, double y, boolean bad, String says) {
        double[] at = free(x, y);
        standing.add(at);
        int number = standing.size();
        svg.open("g", "class", bad ? "pin bad" : "pin");
        svg.title(number + ": " + says);
        if (at[0] != x || at[1] != y) {
            svg.line("leader", x, y, at[0], at[1]);
            svg.circle("place", x, y, 2);
        }
        svg.circle("ring", at[0], at[1], RADIUS);
        svg.text("number", at[0], at[1] + FOOT, "middle", String.valueOf(number));
        svg.close();
    }

    private double[] free(double x, double y) {
        double[] there = {x, y};
        for (int ring = 1; ring <= RINGS && covers(there); ring++) {
            for (int way = 0; way < WAYS && covers(there); way++) {
                double angle = 2 * Math.PI * way / WAYS;
                there = new double[] {x + ring * CLEAR * Math.cos(angle), y - ring * CLEAR * Math.sin(angle)};
            }
        }
        return covers(there) ? new double[] {x, y} : there;
    }

    private boolean covers(double[] there) {
        return standing.stream().anyMatch(s -> Math.hypot(s[0] - there[0], s[1] - there[1]) < CLEAR - 1e-6);
    }
}
