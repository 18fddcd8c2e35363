package ebauche.app.crib;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.measure.Division;
import ebauche.core.measure.LengthUnit;
import ebauche.core.measure.Rounding;
import ebauche.core.passes.Ability;
import ebauche.core.passes.Reach.Window;
import java.util.ArrayList;
import java.util.List;

/** What a bit reaches, guide by guide, as bars along one scale of depth; the figures stand at their ends. */
public final class ReachDrawing {
    private static final double WIDTH = 470;
    private static final double LEFT = 150;
    private static final double RIGHT = 120;
    private static final double ROW = 19;
    private static final double TOP = 6;
    private static final double AXIS = 22;

    /** Depth at the end of the scale, mm: a little more than a usual body is thick. */
    private static final double DEEPEST = 50;

    private record Row(String guide, Window window) {}

    private ReachDrawing() {}

    /** Empty where no guide serves the bit. */
    public static String of(Ability ability, Figures fig) {
        List<Row> rows = new ArrayList<>();
        for (Ability.Guided g : ability.guided()) {
            String spacer = g.spacer() > 0 ? Words.say("reach-drawing.over", fig.brief(g.spacer())) : "";
            rows.add(new Row(Words.say("reach-drawing.template", fig.brief(g.template()), spacer), g.window()));
        }
        if (!ability.wall().isEmpty()) {
            rows.add(new Row(Words.say("reach-drawing.its-own-wall"), ability.wall()));
        }
        if (rows.isEmpty()) {
            return "";
        }
        double bottom = TOP + rows.size() * ROW;
        Svg svg = new Svg(
                WIDTH,
                bottom + AXIS,
                "reach",
                Words.say("reach-drawing.depths-that-reaches", ability.bit().name(), words(rows, fig)));
        scale(svg, bottom, fig);
        for (int i = 0; i < rows.size(); i++) {
            row(svg, rows.get(i), TOP + i * ROW, fig);
        }
        return svg.done();
    }

    private static String words(List<Row> rows, Figures fig) {
        List<String> said = new ArrayList<>();
        rows.forEach(r -> said.add(r.guide() + " " + said(r.window(), fig)));
        return String.join(", ", said);
    }

    private static String said(Window window, Figures fig) {
        return Words.say(
                "reach-drawing.to",
                fig.setting(window.least(), Rounding.MORE, Division.SAID),
                fig.below(window.most()));
    }

    private static double x(double depth) {
        return LEFT + Math.min(depth, DEEPEST) / DEEPEST * (WIDTH - LEFT - RIGHT);
    }

    private static void scale(Svg svg, double bottom, Figures fig) {
        double step = fig.unit() == LengthUnit.INCH ? LengthUnit.INCH.millimetres() / 2 : 10;
        for (double depth = 0; depth <= DEEPEST; depth += step) {
            svg.line("tick", x(depth), TOP, x(depth), bottom + 4);
            svg.figure("caption", x(depth), bottom + 17, "middle", Figures.parts(fig.brief(depth)));
        }
    }

    private static void row(Svg svg, Row row, double top, Figures fig) {
        svg.figure("guide", LEFT - 8, top + 14, "end", Figures.parts(row.guide()));
        double from = x(row.window().least());
        svg.rect("bar", from, top + 4, Math.max(2, x(row.window().most()) - from), ROW - 8);
        svg.figure("figure", WIDTH - RIGHT + 8, top + 14, "start", Figures.parts(said(row.window(), fig)));
    }
}
