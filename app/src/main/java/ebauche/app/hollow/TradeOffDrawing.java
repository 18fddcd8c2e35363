package ebauche.app.hollow;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.hollow.Hollow;
import java.util.List;
import java.util.OptionalDouble;

/** What the body weighs and how far its cap goes down, over the wall that is left. */
final class TradeOffDrawing {
    private static final double WIDTH = 854;
    private static final double TALL = 130;
    private static final double LEFT = 90;
    private static final double RIGHT = 90;
    private static final double TOP = 34;
    private static final int WALLS = 15;
    private static final double THINNEST = 8;
    private static final double STEP = 3;

    private TradeOffDrawing() {}

    static String of(Hollow hollow, double wood, Figures fig) {
        StringBuilder mass = new StringBuilder();
        StringBuilder down = new StringBuilder();
        double most = 0;
        double[] left = new double[WALLS];
        OptionalDouble[] bend = new OptionalDouble[WALLS];
        List<Hollow.Traded> curve = hollow.tradeOff(THINNEST, STEP, WALLS);
        for (int i = 0; i < WALLS; i++) {
            left[i] = wood - curve.get(i).grams();
            bend[i] = curve.get(i).deflection();
            most = Math.max(most, bend[i].orElse(0));
        }
        for (int i = 0; i < WALLS; i++) {
            double x = x(THINNEST + i * STEP);
            mass.append(i == 0 ? 'M' : 'L')
                    .append(Svg.n(x))
                    .append(' ')
                    .append(Svg.n(TOP + TALL * (1 - left[i] / wood)));
            if (bend[i].isPresent() && most > 0) {
                double y = TOP + TALL * (1 - bend[i].getAsDouble() / most);
                down.append(down.isEmpty() ? 'M' : 'L')
                        .append(Svg.n(x))
                        .append(' ')
                        .append(Svg.n(y));
            }
        }
        Svg svg = new Svg(WIDTH, TOP + TALL + 40, "course", Words.say("hollow.trade-off-drawn"));
        svg.line("base", LEFT, TOP + TALL, WIDTH - RIGHT, TOP + TALL);
        svg.path("wood", mass.toString());
        if (!down.isEmpty()) {
            svg.path("neck-angle", down.toString());
        }
        double now = hollow.asked().wall();
        if (now >= THINNEST && now <= THINNEST + (WALLS - 1) * STEP) {
            svg.line("now", x(now), TOP, x(now), TOP + TALL);
        }
        svg.text("axis", 16, TOP - 14, "start", Words.say("hollow.body-weighs"));
        svg.figure("figure", LEFT - 8, TOP + TALL * (1 - left[0] / wood) + 5, "end", Figures.parts(fig.mass(left[0])));
        svg.text("axis", WIDTH - 16, TOP - 14, "end", Words.say("hollow.cap-goes-down"));
        svg.figure(
                "figure",
                WIDTH - RIGHT + 8,
                TOP + TALL + 5,
                "start",
                Figures.parts(fig.fine(bend[WALLS - 1].orElse(0))));
        svg.figure("figure", LEFT, TOP + TALL + 22, "middle", Figures.parts(fig.length(THINNEST)));
        svg.text("axis", WIDTH / 2, TOP + TALL + 24, "middle", Words.say("hollow.over-the-wall"));
        svg.figure(
                "figure",
                WIDTH - RIGHT,
                TOP + TALL + 22,
                "middle",
                Figures.parts(fig.length(THINNEST + (WALLS - 1) * STEP)));
        return svg.done();
    }

    private static double x(double wall) {
        return LEFT + (WIDTH - LEFT - RIGHT) * (wall - THINNEST) / ((WALLS - 1) * STEP);
    }
}
