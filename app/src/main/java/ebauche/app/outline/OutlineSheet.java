package ebauche.app.outline;

import ebauche.app.drawing.Decimal;
import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.words.Words;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;

/**
 * The sheet that an outline is edited on, neck to the right: blank, pocket, pickups, centre line and saddle line, and room round
 * them. The outline itself and its handles are drawn by the hand's script, which is told the scale.
 */
public final class OutlineSheet {
    private static final double WIDTH = 860;
    private static final double ROOM = 25;
    private static final double MOST_HEIGHT = 620;

    private OutlineSheet() {}

    public static String of(Build build) {
        Region body = build.drawn().outline().region();
        Region blank = build.design().blank().plan();
        Region sheet = body.union(blank);
        double scale = Math.min(
                WIDTH / (sheet.maxY() - sheet.minY() + 2 * ROOM),
                MOST_HEIGHT / (sheet.maxX() - sheet.minX() + 2 * ROOM));
        double height = (sheet.maxX() - sheet.minX() + 2 * ROOM) * scale;
        double left = WIDTH / 2 - (sheet.minY() + sheet.maxY()) / 2 * scale;
        Frame frame = new Frame(scale, left, (ROOM - sheet.minX()) * scale, Face.FRONT);
        Svg svg = new Svg(
                WIDTH, height, "outline-sheet edit", Words.say("outline-sheet.the-outline-with-its-handles-seen"));
        svg.attribute("data-scale", Decimal.six(scale));
        svg.attribute("data-left", Decimal.six(frame.x(0))).attribute("data-middle", Decimal.six(frame.y(0)));
        svg.path("blank-edge", frame.path(blank));
        svg.path("was", frame.path(body));
        svg.open("path", "class", "wood", "id", "curve").close();
        svg.path("part", frame.path(build.design().neck().pocket()));
        for (Pickup p : build.design().pickups()) {
            svg.path("part", frame.path(p.footprint()));
        }
        build.design()
                .cavities()
                .forEach(c -> svg.path(c.face() == Face.BACK ? "part back" : "part", frame.path(c.plan())));
        svg.line("centre", 0, frame.y(0), WIDTH, frame.y(0));
        svg.line("saddle", frame.x(0), 0, frame.x(0), height);
        svg.text("caption", frame.x(0) + 5, height - 6, "start", Words.say("outline-sheet.saddle-line"));
        svg.open("circle", "class", "tightest", "id", "tightest", "r", "10").close();
        svg.open("g", "id", "handles").close();
        return svg.done();
    }
}
