package ebauche.app.balance;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.balance.Balance;
import ebauche.core.balance.Hang;
import java.util.List;

/** From the blank to the finished body: its wood, and under it how high the neck would stay. */
final class CourseDrawing {
    private static final double WIDTH = 854;
    private static final double TALL = 92;
    private static final double LEFT = 84;
    private static final double RIGHT = 90;
    private static final double GAP = 44;
    private static final double TOP = 26;

    /** Angles are drawn between these, degrees. */
    private static final double LOW = -60;

    private static final double HIGH = 60;

    private CourseDrawing() {}

    static String of(List<Balance.Stage> stages, boolean hangs, Figures fig) {
        if (stages.size() < 2) {
            return "";
        }
        Svg svg =
                new Svg(WIDTH, TOP + TALL + (hangs ? GAP + TALL : 0) + 30, "course", Words.say("balance.course-drawn"));
        double most = stages.stream().mapToDouble(Balance.Stage::grams).max().orElseThrow();
        StringBuilder wood = new StringBuilder();
        StringBuilder neck = new StringBuilder();
        int last = stages.get(stages.size() - 1).step();
        int first = stages.get(0).step();
        for (Balance.Stage stage : stages) {
            double x = LEFT + (WIDTH - LEFT - RIGHT) * (stage.step() - first) / Math.max(1, last - first);
            wood.append(wood.isEmpty() ? 'M' : 'L').append(at(x, TOP + TALL * (1 - stage.grams() / most)));
            double angle = stage.most().map(Hang.Range::most).orElse(LOW);
            double share = (Math.max(LOW, Math.min(HIGH, angle)) - LOW) / (HIGH - LOW);
            neck.append(neck.isEmpty() ? 'M' : 'L').append(at(x, TOP + TALL + GAP + TALL * (1 - share)));
        }
        Balance.Stage end = stages.get(stages.size() - 1);
        svg.text("axis", 16, TOP - 10, "start", Words.say("balance.body-wood"));
        svg.line("base", LEFT, TOP + TALL, WIDTH - RIGHT, TOP + TALL);
        svg.path("wood", wood.toString());
        svg.text("figure", LEFT - 8, TOP + 12, "end", fig.mass(stages.get(0).grams()));
        svg.text(
                "figure", WIDTH - RIGHT + 8, TOP + TALL * (1 - end.grams() / most) + 5, "start", fig.mass(end.grams()));
        if (hangs) {
            double base = TOP + TALL + GAP;
            svg.text("axis", 16, base - 10, "start", Words.say("balance.neck-stays-up-to"));
            svg.line("base", LEFT, base + TALL / 2, WIDTH - RIGHT, base + TALL / 2);
            svg.text("axis", LEFT - 8, base + TALL / 2 + 5, "end", Words.say("balance.level"));
            svg.path("neck-angle", neck.toString());
            double angle = end.most().map(Hang.Range::most).orElse(LOW);
            svg.text(
                    "figure",
                    WIDTH - RIGHT + 8,
                    base + TALL * (1 - (Math.max(LOW, Math.min(HIGH, angle)) - LOW) / (HIGH - LOW)) + 5,
                    "start",
                    end.most()
                            .map(r -> Words.say("balance.degrees", fig.decimal(r.most(), 0)))
                            .orElseGet(() -> Words.say("balance.nowhere")));
        }
        return svg.done();
    }

    private static String at(double x, double y) {
        return Svg.n(x) + " " + Svg.n(y);
    }
}
