package ebauche.app.depth;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.geometry.Face;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.DepthCard;
import ebauche.core.stock.WoodLeft;

/**
 * One cavity cut through, the face it is cut from up: its template, its floor, the drill's stop, the wood that is left. All
 * are drawn to one scale.
 */
public final class DepthDrawing {
    private static final double WIDTH = 220;
    private static final double HEIGHT = 150;
    private static final double MARGIN = 6;
    private static final double LEFT = 46;
    private static final double RIGHT = 174;

    /** A void on the other side of the wood is drawn shifted by so much. */
    private static final double BESIDE = 24;

    /** Room between the tip of a line and its figure. */
    private static final double LIFT = 4;

    /** Height of a figure. */
    private static final double FIGURE = 16;

    private DepthDrawing() {}

    public static String of(BuildPlan plan, DepthCard card, Figures fig) {
        double thick = plan.build().faces().thickness();
        double template = plan.build().templateThickness(card.feature());
        double scale = Math.min(2.2, (HEIGHT - 2 * MARGIN) / (thick + template));
        double face = MARGIN + template * scale;
        double depth = Math.min(card.depth().value(), thick);
        double mouth = Math.min(card.mouth().map(m -> m.value()).orElse(depth), thick);
        Svg svg = new Svg(WIDTH, face + thick * scale + MARGIN, "depth-view", words(card, fig));
        svg.rect("wood", MARGIN, face, WIDTH - 2 * MARGIN, thick * scale);
        svg.rect("template", MARGIN, MARGIN, LEFT - MARGIN, template * scale);
        svg.rect("template", RIGHT, MARGIN, WIDTH - MARGIN - RIGHT, template * scale);
        svg.path(
                card.done() ? "cavity cut" : "cavity",
                "M" + Svg.n(LEFT) + " " + Svg.n(face) + "V" + Svg.n(face + depth * scale) + "L" + Svg.n(RIGHT) + " "
                        + Svg.n(face + mouth * scale) + "V" + Svg.n(face) + "Z");
        card.stop().ifPresent(s -> {
            double y = face + Math.min(s.value(), thick) * scale;
            svg.line("stop", LEFT, y, RIGHT, y);
        });
        card.thinnest().filter(l -> !l.towards().isFace()).ifPresent(l -> {
            double from = face + (Math.max(depth, mouth) + l.sum().value()) * scale;
            svg.rect("cavity other", LEFT + BESIDE, from, RIGHT - LEFT, Math.max(0, face + thick * scale - from));
        });
        double middle = (LEFT + RIGHT) / 2;
        // A recess too shallow to hold its figure has it beside.
        boolean holds = depth * scale > FIGURE;
        svg.figure(
                "figure",
                holds ? middle : RIGHT + LIFT,
                face + depth * scale / 2 + LIFT,
                holds ? "middle" : "start",
                Figures.parts(fig.deep(Math.min(card.now().value(), thick))));
        card.thinnest().ifPresent(left -> {
            boolean thin = plan.build()
                    .shop()
                    .limits()
                    .tooThin(WoodLeft.Kind.FLOOR, left.sum().value());
            double floor = Math.max(depth, mouth);
            double beyond = left.towards().isFace() ? thick : floor + left.sum().value();
            double y = face + (floor + beyond) / 2 * scale + LIFT;
            svg.figure(
                    thin ? "figure thin" : "figure",
                    middle,
                    y,
                    "middle",
                    Figures.parts(fig.brief(left.sum().value())));
        });
        return svg.done();
    }

    private static String words(DepthCard card, Figures fig) {
        String cut = Words.say(
                card.face() == Face.FRONT ? "depth-drawing.front-up" : "depth-drawing.back-up",
                card.said(),
                fig.below(card.now().value()));
        return card.thinnest()
                .map(l -> Words.say(
                        "depth-drawing.leaves", cut, fig.length(l.sum().value())))
                .orElse(cut);
    }
}
