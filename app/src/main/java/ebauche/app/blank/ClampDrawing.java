package ebauche.app.blank;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.blank.ClampPlan;
import ebauche.core.blank.Registration;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.gluing.TopPress;

/** Clamps on the blank, neck to the right: which bars lie over and which under, and when each is tightened. */
public final class ClampDrawing {
    private static final double WIDTH = 760;
    private static final double MARGIN = 64;
    private static final double HEIGHT = 400;

    private ClampDrawing() {}

    private static Frame frame(Region plan) {
        double scale = Math.min(
                (WIDTH - 2 * MARGIN) / (plan.maxY() - plan.minY()),
                (HEIGHT - 2 * MARGIN) / (plan.maxX() - plan.minX()));
        return new Frame(scale, MARGIN - plan.minY() * scale, MARGIN - plan.minX() * scale, Face.FRONT);
    }

    private static double width(Region plan, Frame frame) {
        return (plan.maxY() - plan.minY()) * frame.scale() + 2 * MARGIN;
    }

    /** An edge glue-up. */
    public static String of(Blank blank, BlankLayer layer, ClampPlan clamps, Figures fig) {
        Region plan = blank.plan();
        Frame frame = frame(plan);
        double height = (plan.maxX() - plan.minX()) * frame.scale() + 2 * MARGIN;
        Svg svg = new Svg(
                width(plan, frame),
                height,
                "clamping",
                Words.say(
                        "clamp-drawing.clamps-along-the-seams", clamps.clamps().size()));
        svg.rect(
                "strip",
                frame.x(plan.minY()),
                frame.y(plan.minX()),
                blank.along() * frame.scale(),
                blank.across() * frame.scale());
        double[] seams = blank.seams(layer);
        for (int i = 0; i < seams.length; i++) {
            svg.line("seam", frame.x(plan.minY()), frame.y(seams[i]), frame.x(plan.maxY()), frame.y(seams[i]));
            String mark = String.valueOf((char) ('a' + i));
            svg.text("mark", frame.x(plan.maxY()) + 12, frame.y(seams[i]) + 5, "start", mark);
        }
        pieceNumbers(svg, frame, blank, layer);
        clamps.caul().ifPresent(c -> {
            double h = c.thickness() * frame.scale();
            svg.rect("caul", frame.x(plan.minY()), frame.y(plan.minX()) - h, blank.along() * frame.scale(), h);
            svg.rect("caul", frame.x(plan.minY()), frame.y(plan.maxX()), blank.along() * frame.scale(), h);
        });
        double reach = clamps.caul().map(c -> c.thickness()).orElse(0.0) * frame.scale() + 10;
        for (ClampPlan.Set set : clamps.clamps()) {
            double x = frame.x(plan.minY() + set.along());
            String css = set.over() ? "bar" : "bar under";
            svg.line(css, x, frame.y(plan.minX()) - reach, x, frame.y(plan.maxX()) + reach);
            jaw(svg, x, frame.y(plan.minX()) - reach, set.clamp().jaw() * frame.scale());
            jaw(svg, x, frame.y(plan.maxX()) + reach, set.clamp().jaw() * frame.scale());
            svg.circle("turn", x, frame.y(plan.minX()) - reach - 16, 12);
            svg.text("turn-number", x, frame.y(plan.minX()) - reach - 11, "middle", String.valueOf(set.turn()));
            svg.figure(
                    "caption", x, frame.y(plan.maxX()) + reach + 20, "middle", Figures.parts(fig.brief(set.along())));
        }
        return svg.done();
    }

    private static void pieceNumbers(Svg svg, Frame frame, Blank blank, BlankLayer layer) {
        double x = blank.middleX() - layer.width() / 2;
        for (int i = 0; i < layer.strips().size(); i++) {
            double width = layer.strips().get(i).width();
            svg.text(
                    "mark",
                    frame.x(blank.plan().minY()) - 24,
                    frame.y(x + width / 2) + 5,
                    "middle",
                    String.valueOf(i + 1));
            x += width;
        }
    }

    private static void jaw(Svg svg, double x, double y, double width) {
        double w = Math.max(10, width);
        svg.rect("jaw", x - w / 2, y - 4, w, 8);
    }

    /** A top under cauls and clamps, with its pins and the place that is pressed least. */
    public static String top(Blank blank, Region hollow, TopPress press, Registration pins, Figures fig) {
        Region plan = blank.plan();
        Frame frame = frame(plan);
        double height = (plan.maxX() - plan.minX()) * frame.scale() + 2 * MARGIN;
        Svg svg = new Svg(
                width(plan, frame),
                height,
                "clamping",
                Words.say(
                        "clamp-drawing.cauls-and-clamps-over-the-top",
                        press.cauls().size(),
                        press.presses().size()));
        svg.rect(
                "strip",
                frame.x(plan.minY()),
                frame.y(plan.minX()),
                blank.along() * frame.scale(),
                blank.across() * frame.scale());
        svg.line("centre", frame.x(plan.minY()) - 16, frame.y(0), frame.x(plan.maxY()) + 16, frame.y(0));
        if (!hollow.isEmpty()) {
            svg.open("g");
            svg.title(Words.say("clamp-drawing.hollow-nothing-is-glued"));
            svg.path("under-it", frame.path(hollow));
            svg.close();
        }
        press.spine().ifPresent(s -> {
            double w = s.caul().width() * frame.scale();
            double over = (s.caul().length() - blank.along()) / 2 * frame.scale();
            double x0 = frame.x(plan.minY()) - over;
            svg.rect("caul", x0, frame.y(s.x()) - w / 2, s.caul().length() * frame.scale(), w);
            jaw(svg, x0, frame.y(s.x()), s.clamp().jaw() * frame.scale());
            jaw(
                    svg,
                    x0 + s.caul().length() * frame.scale(),
                    frame.y(s.x()),
                    s.clamp().jaw() * frame.scale());
        });
        for (TopPress.PlacedCaul laid : press.cauls()) {
            double w = laid.caul().width() * frame.scale();
            double over = (laid.caul().length() - blank.across()) / 2 * frame.scale();
            double y0 = frame.y(plan.minX()) - over;
            svg.rect("caul", frame.x(laid.y()) - w / 2, y0, w, laid.caul().length() * frame.scale());
            jaw(svg, frame.x(laid.y()), y0, laid.clamp().jaw() * frame.scale());
            jaw(
                    svg,
                    frame.x(laid.y()),
                    y0 + laid.caul().length() * frame.scale(),
                    laid.clamp().jaw() * frame.scale());
        }
        for (TopPress.Press p : press.presses()) {
            double w = p.clamp().jaw() * frame.scale();
            svg.rect("jaw", frame.x(p.at()) - w / 2, frame.y(p.at()) - w / 2, w, w);
        }
        for (var pin : new ebauche.core.geometry.Point[] {pins.one(), pins.other()}) {
            svg.open("g", "class", "pin");
            svg.title(Words.say("clamp-drawing.a-brad-nipped-to-a-nub"));
            svg.circle("ring", frame.x(pin), frame.y(pin), 5);
            svg.close();
        }
        svg.open("g", "class", "weakest");
        svg.title(Words.say("clamp-drawing.pressed-least-here"));
        svg.circle("ring", frame.x(press.weakest()), frame.y(press.weakest()), 13);
        svg.text("bang", frame.x(press.weakest()), frame.y(press.weakest()) + 5, "middle", "!");
        svg.close();
        return svg.done();
    }
}
