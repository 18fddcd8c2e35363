package ebauche.app.hollow;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.words.Words;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hollow.Hollow;
import ebauche.core.hollow.KeepOut;

/** The body from the front, the hollow in it, and all that must stay with why it does. */
final class HollowDrawing {
    private static final double WIDTH = 854;
    private static final double TALLEST = 430;
    private static final double MARGIN = 30;

    private HollowDrawing() {}

    static String of(Hollow hollow) {
        Region body = hollow.build().design().outline().region();
        Frame frame = Frame.holding(body, WIDTH, TALLEST, MARGIN, Face.FRONT);
        Svg svg = new Svg(WIDTH, frame.height(body, MARGIN), "xray hollow-map", Words.say("hollow.drawn"));
        svg.path("body-wood", frame.path(body));
        svg.line("centre", frame.x(body.minY()) - 10, frame.y(0), frame.x(body.maxY()) + 10, frame.y(0));
        hollow.parts().forEach(part -> svg.path("void now", frame.path(part)));
        for (KeepOut out : hollow.keepOuts()) {
            svg.open("g");
            svg.title(out.feature().said() + ": " + out.why());
            svg.path("kept", frame.path(out.region().intersection(body)));
            svg.close();
        }
        return svg.done();
    }
}
