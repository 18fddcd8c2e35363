package ebauche.app.contour;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.words.Words;
import ebauche.core.edge.EdgeZones;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import java.util.List;

/** The body from the front: what a router rounds over of its corners, and what hands do. */
final class EdgeDrawing {
    private static final double WIDTH = 854;
    private static final double TALLEST = 430;
    private static final double MARGIN = 30;

    /** A stretch by hand is drawn so wide, mm. */
    private static final double SEEN = 5;

    private EdgeDrawing() {}

    static String of(Build build, List<EdgesController.Shown> shown) {
        Region body = build.design().outline().region();
        Frame frame = Frame.holding(body, WIDTH, TALLEST, MARGIN, Face.FRONT);
        Svg svg = new Svg(WIDTH, frame.height(body, MARGIN), "xray hollow-map edge-map", Words.say("edges.drawn"));
        svg.path("body-wood", frame.path(body));
        svg.line("centre", frame.x(body.minY()) - 10, frame.y(0), frame.x(body.maxY()) + 10, frame.y(0));
        for (EdgesController.Shown one : shown) {
            boolean far = one.laid().face() == Face.BACK;
            svg.path(far ? "void later" : "void now", frame.path(one.laid().plan()));
            for (EdgeZones.Zone zone : one.byHand()) {
                svg.open("g");
                svg.title(zone.words());
                svg.path("kept", frame.path(zone.within(SEEN)));
                svg.close();
            }
        }
        return svg.done();
    }
}
