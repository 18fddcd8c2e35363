package ebauche.app.check;

import ebauche.app.drawing.Carves;
import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Pins;
import ebauche.app.drawing.Svg;
import ebauche.app.drawing.Voids;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Rule;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Locale;

/** The body from the front with every rule that does not hold pinned where it fails. */
public final class CheckDrawing {
    private static final double WIDTH = 520;
    private static final double MARGIN = 20;
    private static final double TALLEST = 420;

    private CheckDrawing() {}

    /**
     * The drawing.
     *
     * @param pinned in the order of their numbers, each with a place
     */
    public static String of(BuildPlan plan, List<Rule> pinned, Figures fig) {
        Region body = plan.build().design().outline().region();
        Frame frame = Frame.holding(body, WIDTH, TALLEST, MARGIN, Face.FRONT);
        Svg svg = new Svg(
                WIDTH,
                frame.height(body, MARGIN),
                "xray check-map",
                Words.say("check-drawing.the-body-from-the-front-what"));
        int finished = plan.steps().size();
        svg.path("body-wood", frame.path(body));
        Carves.draw(svg, frame, plan, finished);
        plan.build().design().plateLines().forEach(line -> svg.path("plate", frame.path(line)));
        svg.line("centre", frame.x(body.minY()) - 10, frame.y(0), frame.x(body.maxY()) + 10, frame.y(0));
        for (Voids.Hollow v : Voids.of(plan, finished, Face.FRONT)) {
            String when = v.when().name().toLowerCase(Locale.ROOT);
            svg.path("void " + when + (v.through() ? " through" : v.opensUp() ? "" : " far"), frame.path(v.area()));
        }
        Pins pins = new Pins(svg);
        for (Rule rule : pinned) {
            Point at = rule.at().orElseThrow();
            String number = fig.fine(rule.number().value(), rule.number().quantity());
            pins.add(frame.x(at), frame.y(at), rule.verdict() == Rule.Verdict.FAILS, rule.says() + " " + number);
        }
        return svg.done();
    }
}
