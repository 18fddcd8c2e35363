package ebauche.app.drawing;

import ebauche.app.web.Figures;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.plan.BuildPlan;
import ebauche.core.realism.Rule;
import java.util.List;
import java.util.Locale;

/** The body from the front with every rule that does not hold pinned where it fails. */
public final class CheckDrawing {
    private static final double WIDTH = 520;
    private static final double MARGIN = 20;
    private static final double TALLEST = 420;
    private static final double PIN = 11;

    private CheckDrawing() {}

    /** @param pinned in the order of their numbers, each with a place */
    public static String of(BuildPlan plan, List<Rule> pinned, Figures fig) {
        Region body = plan.build().design().outline().region();
        Frame frame = Frame.holding(body, WIDTH, TALLEST, MARGIN, Face.FRONT);
        Svg svg = new Svg(
                WIDTH,
                frame.height(body, MARGIN),
                "xray check-map",
                "The body from the front, what does not hold pinned where it fails");
        int finished = plan.steps().size();
        svg.path("body-wood", frame.path(body));
        Carves.draw(svg, frame, plan, finished);
        svg.line("centre", frame.x(body.minY()) - 10, frame.y(0), frame.x(body.maxY()) + 10, frame.y(0));
        for (Voids.Void v : Voids.of(plan, finished, Face.FRONT)) {
            String when = v.when().name().toLowerCase(Locale.ROOT);
            svg.path("void " + when + (v.through() ? " through" : v.opensUp() ? "" : " far"), frame.path(v.area()));
        }
        for (int i = 0; i < pinned.size(); i++) {
            pin(svg, frame, i + 1, pinned.get(i), fig);
        }
        return svg.done();
    }

    private static void pin(Svg svg, Frame frame, int number, Rule rule, Figures fig) {
        Point at = rule.at().orElseThrow();
        svg.open("g", "class", rule.verdict() == Rule.Verdict.FAILS ? "pin bad" : "pin");
        svg.title(number + ": " + rule.says() + " "
                + fig.fine(rule.number().value(), rule.number().quantity()));
        svg.circle("ring", frame.x(at), frame.y(at), PIN);
        svg.text("number", frame.x(at), frame.y(at) + 5, "middle", String.valueOf(number));
        svg.close();
    }
}
