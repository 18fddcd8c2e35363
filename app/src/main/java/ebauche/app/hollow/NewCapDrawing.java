package ebauche.app.hollow;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.words.Words;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hollow.NewCap;

/** The body under its new cap from the front: windows over what is buried, holes that go under, carves that are bridged. */
final class NewCapDrawing {
    private static final double WIDTH = 854;
    private static final double TALLEST = 360;
    private static final double MARGIN = 30;
    private static final double HOLE = 4;

    private NewCapDrawing() {}

    static String of(NewCap capped) {
        Region body = capped.build().design().outline().region();
        Frame frame = Frame.holding(body, WIDTH, TALLEST, MARGIN, Face.FRONT);
        Svg svg = new Svg(WIDTH, frame.height(body, MARGIN), "xray hollow-map", Words.say("cap.drawn"));
        svg.path("body-wood", frame.path(body));
        svg.line("centre", frame.x(body.minY()) - 10, frame.y(0), frame.x(body.maxY()) + 10, frame.y(0));
        for (NewCap.Overhung carve : capped.overhung()) {
            svg.open("g");
            svg.title(carve.feature().said());
            svg.path("kept", frame.path(carve.where()));
            svg.close();
        }
        for (NewCap.Deeper deeper : capped.deeper()) {
            svg.open("g");
            svg.title(deeper.feature().said());
            svg.path("void later", frame.path(deeper.plan()));
            Region window = Region.disc(deeper.window(), Math.max(1, deeper.widest()));
            svg.path("window", frame.path(window));
            svg.close();
        }
        for (NewCap.Buried buried : capped.buried()) {
            svg.open("g");
            svg.title(buried.feature().said());
            for (Point at : buried.places()) {
                svg.circle("buried", frame.x(at), frame.y(at), HOLE);
            }
            svg.close();
        }
        return svg.done();
    }
}
