package ebauche.app.passes;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.passes.Pass;
import ebauche.core.passes.PassPlan;

/**
 * The passes of a guided cut from the side, one beside another: the wood with its template, what is cut already, what the pass takes,
 * and the bit as it then stands, its bearing on what guides it.
 */
public final class PassSection {
    private static final double WIDTH = 780;
    private static final double MOST_HEIGHT = 300;
    private static final double TOP = 34;
    private static final double BOTTOM = 44;
    private static final double MOST_COLUMN = 180;

    private final Svg svg;
    private final Figures fig;
    private final double scale;
    private final double ground;
    private final double work;
    private final double template;

    private PassSection(PassPlan plan, double work, double template, Figures fig) {
        this.fig = fig;
        this.work = work;
        this.template = template;
        double above = template
                + plan.passes().stream().mapToDouble(Pass::spacer).max().orElse(0);
        double standing = plan.passes().stream()
                .mapToDouble(
                        p -> p.cutter().bit().cutterLength() + p.cutter().bit().guideWidth() + SHANK - p.to())
                .max()
                .orElse(0);
        double over = Math.max(above, standing);
        this.scale = (MOST_HEIGHT - TOP - BOTTOM) / (work + over);
        this.ground = TOP + over * scale;
        this.svg = new Svg(
                WIDTH,
                MOST_HEIGHT,
                "pass-section",
                Words.say(
                        "pass-section.passes-from-the-side-one-beside",
                        plan.passes().size()));
    }

    /** Shank drawn over a bearing, mm. */
    private static final double SHANK = 8;

    public static String of(PassPlan plan, double work, double template, Figures fig) {
        PassSection section = new PassSection(plan, work, template, fig);
        double column = Math.min(MOST_COLUMN, WIDTH / plan.passes().size());
        for (int i = 0; i < plan.passes().size(); i++) {
            section.pass(plan.passes().get(i), i, column);
        }
        return section.svg.done();
    }

    private void pass(Pass pass, int i, double column) {
        boolean flipped = pass.guide() == Pass.Guide.FAR_WALL;
        double x = i * column + 4;
        double wall = x + column * 0.36;
        double end = x + column - 8;
        double bit = Math.min(pass.cutter().bit().diameter() * scale, end - wall - 4);
        double bottom = ground + work * scale;
        svg.rect("wood", x, ground, wall - x, work * scale);
        // Left of the wall wood stays; right of it are the cut already made, this pass, and what is left.
        double from = flipped ? 0 : pass.from();
        double to = flipped ? pass.bite() : pass.to();
        svg.rect("rest", wall, ground + to * scale, end - wall, Math.max(0, (flipped ? 0 : work - to) * scale));
        svg.rect("takes", wall, ground + from * scale, end - wall, (to - from) * scale);
        if (pass.guide() == Pass.Guide.TEMPLATE) {
            double board = (template + pass.spacer()) * scale;
            svg.rect("template", x, ground - board, wall - x, template * scale);
            if (pass.spacer() > 0) {
                svg.rect("spacer", x, ground - pass.spacer() * scale, wall - x, pass.spacer() * scale);
            }
        }
        cutter(pass, wall, bit, ground + pass.to() * scale);
        svg.text("number", x + 4, 20, "start", (i + 1) + ".");
        svg.figure("figure", end, 20, "end", Figures.parts(fig.downTo(pass.to())));
        svg.figure(
                "caption",
                x + 4,
                bottom + 18,
                "start",
                Figures.parts(
                        switch (pass.guide()) {
                            case TEMPLATE ->
                                pass.spacer() > 0
                                        ? Words.say("pass-section.on-a-spacer")
                                        : Words.say("pass-section.template-on");
                            case WALL -> Words.say("pass-section.template-off");
                            case FAR_WALL -> "flipped";
                            case FREEHAND -> "freehand";
                            case EDGE -> "on the edge";
                            case UNDER -> "on the old wood";
                        }));
        svg.figure(
                "caption",
                x + 4,
                bottom + 36,
                "start",
                Figures.parts(Words.say("pass-section.takes", fig.below(pass.bite()))));
    }

    /** Cutter, bearing and shank with the cutter's end at a height. */
    private void cutter(Pass pass, double wall, double width, double tip) {
        double length = pass.cutter().bit().cutterLength() * scale;
        double bearing = pass.cutter().bit().guideWidth() * scale;
        double shank = Math.min(width * 0.6, pass.cutter().bit().shank() * scale);
        double over = tip - length;
        if (pass.cutter().bit().bearing().atTip()) {
            svg.rect("bearing", wall, tip, width, bearing);
        }
        if (pass.cutter().bit().bearing().atShank()) {
            svg.rect(pass.isRidden() ? "shank" : "bearing", wall, over - bearing, width, bearing);
            over -= bearing;
        }
        svg.rect("shank", wall + (width - shank) / 2, over - SHANK * scale, shank, SHANK * scale);
        svg.rect("cutter", wall, tip - length, width, length);
    }
}
