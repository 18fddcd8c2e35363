package ebauche.app.drawing;

import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.feature.Work;
import ebauche.core.operation.Operation;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.BuildPlan.PlanStep;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/**
 * The work of a body as one steel rule: a division per step, as wide as its hours, grouped by station, filled as far as
 * the body has come. Over it rises what the body holds in hours, and so what a slip would cost; a cut that cannot be
 * taken back is notched.
 */
public final class RuleDrawing {
    private static final double WIDTH = 1240;
    private static final double HEIGHT = 112;
    /** Even a step of a minute must be found by a finger or a mouse. */
    private static final double NARROWEST = 9;

    private static final double TOP = 48;
    private static final double BAR = 62;
    private static final double LABELS = 84;
    private static final double BOTTOM = 104;

    private final BuildPlan plan;
    private final Figures fig;
    private final int chosen;
    private final Function<Operation, String> address;
    private final List<Double> edges = new ArrayList<>();
    private final Svg svg;

    private RuleDrawing(BuildPlan plan, Figures fig, int chosen, Function<Operation, String> address) {
        this.plan = plan;
        this.fig = fig;
        this.chosen = chosen;
        this.address = address;
        this.svg = new Svg(
                WIDTH,
                HEIGHT,
                "rule",
                Words.say(
                        "rule-drawing.the-steps-of-the-build-in", plan.steps().size(), fig.time(plan.totalMinutes())));
    }

    /**
     * The drawing.
     *
     * @param chosen index of the step in hand; the number of steps for none
     * @param address where a step's division leads
     */
    public static String of(BuildPlan plan, Figures fig, int chosen, Function<Operation, String> address) {
        return new RuleDrawing(plan, fig, chosen, address).draw();
    }

    private String draw() {
        layOut();
        svg.rect("steel", 0, TOP, WIDTH, BOTTOM - TOP);
        divisions();
        stations();
        inch();
        slip();
        return svg.done();
    }

    private void layOut() {
        double total = plan.totalMinutes();
        double spare = WIDTH - NARROWEST * plan.steps().size();
        double x = 0;
        edges.add(x);
        for (PlanStep step : plan.steps()) {
            x += NARROWEST + spare * step.operation().handsOnMinutes() / total;
            edges.add(x);
        }
    }

    private void divisions() {
        for (int i = 0; i < plan.steps().size(); i++) {
            PlanStep step = plan.steps().get(i);
            Operation op = step.operation();
            double x = edges.get(i);
            double width = edges.get(i + 1) - x;
            String state = i == chosen ? "division chosen" : step.done() ? "division done" : "division";
            svg.open(
                    "a",
                    "href",
                    address.apply(op),
                    "class",
                    state,
                    "data-step",
                    op.key().written());
            String said = Words.say(
                    step.done() ? "rule-drawing.step-done" : "rule-drawing.step",
                    op.title(),
                    fig.time(op.handsOnMinutes()));
            svg.title(op.cannotBeTakenBack() ? Words.say("rule-drawing.final", said) : said);
            svg.rect("reach", x, TOP, width, BOTTOM - TOP);
            svg.rect("bar", x, BAR, width, LABELS - BAR);
            if (op.cannotBeTakenBack()) {
                double end = edges.get(i + 1);
                svg.path(
                        "notch",
                        "M" + Svg.n(end - 4) + " " + LABELS + "L" + Svg.n(end) + " " + (LABELS - 7) + "L"
                                + Svg.n(end + 4) + " " + LABELS + "Z");
            }
            svg.close();
        }
    }

    /** Tick marks like a rule's: one for every quarter hour of work, a longer one for the hour. */
    private void inch() {
        int minutes = 0;
        for (int i = 0; i < plan.steps().size(); i++) {
            int length = plan.steps().get(i).operation().handsOnMinutes();
            for (int m = (minutes + 14) / 15 * 15; m < minutes + length; m += 15) {
                double x = edges.get(i) + (edges.get(i + 1) - edges.get(i)) * (m - minutes) / length;
                svg.line("tick", x, TOP, x, TOP + (m % 60 == 0 ? 12 : 6));
            }
            minutes += length;
        }
    }

    private void stations() {
        int from = 0;
        for (int i = 1; i <= plan.steps().size(); i++) {
            boolean ends = i == plan.steps().size() || station(i) != station(from);
            if (ends) {
                svg.line("station-edge", edges.get(from), TOP, edges.get(from), BOTTOM);
                String word = station(from).word();
                String name = word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
                if (edges.get(i) - edges.get(from) > 8 * name.length() + 8) {
                    svg.text("station", edges.get(from) + 5, BOTTOM - 6, "start", name);
                }
                from = i;
            }
        }
    }

    private Work station(int step) {
        return plan.steps().get(step).operation().work();
    }

    private void slip() {
        double total = plan.totalMinutes();
        StringBuilder line = new StringBuilder("M0 " + Svg.n(TOP));
        for (int i = 0; i < plan.steps().size(); i++) {
            double y = TOP - 4 - (TOP - 22) * plan.steps().get(i).slip().minutes() / total;
            line.append('V').append(Svg.n(y)).append('H').append(Svg.n(edges.get(i + 1)));
        }
        svg.path("slip", line.toString());
        if (chosen < plan.steps().size()) {
            PlanStep step = plan.steps().get(chosen);
            double x = (edges.get(chosen) + edges.get(chosen + 1)) / 2;
            svg.line("slip-here", x, 14, x, BAR);
            boolean right = x > WIDTH / 2;
            svg.text("slip-words", right ? x - 6 : x + 6, 12, right ? "end" : "start", slipWords(step));
        }
    }

    private String slipWords(PlanStep step) {
        String timber = step.slip().timberGrams() == 0
                ? ""
                : Words.say(
                        "rule-drawing.and-of",
                        fig.mass(step.slip().timberGrams()),
                        plan.build().design().blank().timbers());
        return Words.say("rule-drawing.a-slip-here-costs", fig.time(step.slip().minutes()), timber);
    }
}
