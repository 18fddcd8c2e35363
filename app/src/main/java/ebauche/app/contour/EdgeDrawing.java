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

    static String of(Build build, List<EdgesController.Shown> shown, List<EdgesController.Bound> bindings) {
        Region body = build.design().outline().region();
        Frame frame = Frame.holding(body, WIDTH, TALLEST, MARGIN, Face.FRONT);
        Svg svg = new Svg(WIDTH, frame.height(body, MARGIN), "xray hollow-map edge-map", Words.say("edges.drawn"));
        svg.path("body-wood", frame.path(body));
        svg.line("centre", frame.x(body.minY()) - 10, frame.y(0), frame.x(body.maxY()) + 10, frame.y(0));
        for (EdgesController.Bound one : bindings) {
            Region ledge = one.binding()
                    .on(build.design().outline(), build.design().neck().pocket());
            edge(svg, frame, one.binding().face(), ledge, one.byHand());
        }
        for (EdgesController.Shown one : shown) {
            edge(svg, frame, one.laid().face(), one.laid().plan(), one.byHand());
        }
        return svg.done();
    }

    /** What is worked along the edge, and where hands do it. */
    private static void edge(Svg svg, Frame frame, Face face, Region plan, List<EdgeZones.Zone> byHand) {
        svg.path(face == Face.BACK ? "void later" : "void now", frame.path(plan));
        for (EdgeZones.Zone zone : byHand) {
            svg.open("g");
            svg.title(zone.words());
            svg.path("kept", frame.path(zone.within(SEEN)));
            svg.close();
        }
    }
}
