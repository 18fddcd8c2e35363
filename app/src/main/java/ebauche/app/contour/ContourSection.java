package ebauche.app.contour;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.design.Contour;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.stock.Course;
import ebauche.core.stock.FaceShape;
import ebauche.core.stock.Ruled;

/**
 * A contour cut square to its line through its deepest place: from the flat beside the line to the body's edge, with the
 * other face below it. Drawn to one scale both ways.
 */
public final class ContourSection {
    private static final double WIDTH = 330;
    private static final double MARGIN = 16;
    private static final double FLAT = 18;
    private static final double TALLEST = 130;
    /** A curve is drawn from point to point so far apart, mm. */
    private static final double STEP = 1.5;

    private ContourSection() {}

    public static String of(Build build, Contour.Laid laid, Figures fig) {
        Region body = build.design().outline().region();
        Point deepest = laid.course().farthest(laid.plan());
        double wide = laid.contour().start() instanceof Contour.Start.Disc disc
                ? disc.diameter() / 2
                : laid.profile().width();
        Point inward = inward(laid, deepest, body);
        FaceShape front = build.finished(Face.FRONT);
        FaceShape back = build.finished(Face.BACK);
        double thick = build.faces().thickness();
        double length = wide + FLAT;
        double scale = Math.min((WIDTH - 2 * MARGIN - 60) / length, TALLEST / thick);
        Svg svg = new Svg(
                WIDTH,
                thick * scale + 2 * MARGIN,
                "contour-section",
                Words.say(
                        "contour-section.the-cut-square-to-its-line",
                        laid.contour().feature().said(),
                        fig.length(wide),
                        fig.length(laid.contour().depth())));
        StringBuilder upper = new StringBuilder();
        StringBuilder lower = new StringBuilder();
        int steps = (int) Math.ceil(length / STEP);
        for (int i = 0; i <= steps; i++) {
            double along = length * i / steps;
            Point at = deepest.plus(inward.x() * (length - along), inward.y() * (length - along));
            double x = MARGIN + along * scale;
            upper.append(i == 0 ? "M" : "L").append(at(x, MARGIN + front.fall(at) * scale));
            lower.insert(0, "L" + at(x, MARGIN + (thick - back.fall(at)) * scale));
        }
        svg.path("wood", upper.toString() + lower + "Z");
        double edge = MARGIN + length * scale;
        double line = MARGIN + FLAT * scale;
        boolean onFront = laid.contour().face() == Face.FRONT;
        double face = onFront ? MARGIN : MARGIN + thick * scale;
        svg.line("was", line, face, edge, face);
        svg.line("tick", line, face - 5, line, face + 5);
        double top = MARGIN + front.fall(deepest) * scale;
        double bottom = MARGIN + (thick - back.fall(deepest)) * scale;
        svg.figure(
                "figure",
                edge + 8,
                (onFront ? MARGIN + top : bottom + MARGIN + thick * scale) / 2 + 5,
                "start",
                Figures.parts("−" + fig.brief(laid.contour().depth())));
        svg.figure(
                "figure left",
                edge + 8,
                (top + bottom) / 2 + 5,
                "start",
                Figures.parts(fig.brief(build.thicknessAt(deepest))));
        svg.figure(
                "figure",
                (line + edge) / 2,
                onFront ? MARGIN - 4 : MARGIN + thick * scale + 14,
                "middle",
                Figures.parts(fig.brief(wide)));
        return svg.done();
    }

    private static String at(double x, double y) {
        return Svg.n(x) + " " + Svg.n(y);
    }

    /** The way from the deepest place back to the line. */
    private static Point inward(Contour.Laid laid, Point deepest, Region body) {
        if (laid.course() instanceof Course.Line line) {
            double size = line.from().distance(line.to());
            return new Point(
                    (line.to().y() - line.from().y()) / size,
                    -(line.to().x() - line.from().x()) / size);
        }
        if (laid.course() instanceof Ruled ruled) {
            return ruled.inward(deepest);
        }
        Point middle = body.centroid();
        double size = deepest.distance(middle);
        return new Point((middle.x() - deepest.x()) / size, (middle.y() - deepest.y()) / size);
    }
}
