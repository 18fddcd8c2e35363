package ebauche.app.template;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.exchange.design.TracedPlate;
import java.util.List;

/** An outline on the bench, neck to the right: with its tightest inside turn, pocket and pickups, and the lines it is measured from. */
public final class OutlineDrawing {
    private static final double WIDTH = 780;
    private static final double MOST_HEIGHT = 500;
    private static final double MARGIN = 22;

    private final Svg svg;
    private final Frame frame;

    private OutlineDrawing(Region sheet, String words) {
        double scale = Math.min(
                (WIDTH - 2 * MARGIN) / (sheet.maxY() - sheet.minY()),
                (MOST_HEIGHT - 2 * MARGIN) / (sheet.maxX() - sheet.minX()));
        double left = WIDTH / 2 - (sheet.maxY() + sheet.minY()) / 2 * scale;
        frame = new Frame(scale, left, MARGIN - sheet.minX() * scale, Face.FRONT);
        svg = new Svg(WIDTH, (sheet.maxX() - sheet.minX()) * scale + 2 * MARGIN, "outline-sheet", words);
    }

    /** The outline as it is designed. */
    public static String of(Build build, Figures fig) {
        return over(build, build.drawn().outline(), fig);
    }

    /** Another outline over the designed one. */
    public static String over(Build build, Outline outline, Figures fig) {
        Region old = build.drawn().outline().region();
        Region now = outline.region();
        OutlineDrawing d = new OutlineDrawing(
                old.union(now).union(build.design().blank().plan()),
                Words.say("outline-drawing.the-outline-seen-from-the-front"));
        d.svg.path("blank-edge", d.frame.path(build.design().blank().plan()));
        if (!outline.equals(build.drawn().outline())) {
            d.svg.path("was", d.frame.path(old));
        }
        d.svg.path("wood", d.frame.path(now));
        d.parts(build, now);
        d.tightest(outline, fig);
        return d.svg.done();
    }

    /** A plate on the body that it is laid on, its openings with it. */
    public static String plate(Build build, Outline plate, List<TracedPlate.Opening> openings) {
        Region body = build.drawn().outline().region();
        OutlineDrawing d = new OutlineDrawing(
                body.union(plate.region()), Words.say("outline-drawing.the-plate-on-the-front-neck"));
        d.svg.path("wood", d.frame.path(body));
        d.parts(build, body);
        for (TracedPlate.Opening opening : openings) {
            Point middle = opening.middle();
            d.svg.path("plate-hole", d.frame.path(Region.rectangle(middle, opening.across(), opening.along(), 0, 0)));
        }
        return d.svg.done();
    }

    private void parts(Build build, Region body) {
        build.drawn()
                .tabs()
                .forEach(t -> svg.path("part", frame.path(t.region(build.drawn().outline()))));
        svg.path("part", frame.path(build.design().neck().pocket()));
        for (Pickup p : build.design().pickups()) {
            svg.path("part", frame.path(p.footprint()));
        }
        build.design()
                .cavities()
                .forEach(c -> svg.path(c.face() == Face.BACK ? "part back" : "part", frame.path(c.plan())));
        build.design().plateLines().forEach(line -> svg.path("plate", frame.path(line)));
        svg.line("centre", frame.x(body.minY()) - 12, frame.y(0), frame.x(body.maxY()) + 12, frame.y(0));
        svg.line("saddle", frame.x(0), frame.y(body.minX()) - 6, frame.x(0), frame.y(body.maxX()) + 6);
        svg.text(
                "caption", frame.x(0) + 5, frame.y(body.maxX()) + 4, "start", Words.say("outline-drawing.saddle-line"));
    }

    private void tightest(Outline outline, Figures fig) {
        Outline.InsideRadius turn = outline.smallestInsideRadius();
        if (Double.isFinite(turn.radius())) {
            double x = frame.x(turn.at());
            double y = frame.y(turn.at());
            svg.circle("tightest", x, y, 9);
            boolean left = x > WIDTH / 2;
            svg.figure(
                    "figure",
                    x + (left ? -14 : 14),
                    y + 5,
                    left ? "end" : "start",
                    Figures.parts(Words.say("outline-drawing.inside-radius", fig.length(turn.radius()))));
        }
    }
}
