package ebauche.app.passes;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.words.Words;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.plan.Holding;
import ebauche.core.routing.DrillPattern;
import ebauche.core.sheet.BearingGap;
import java.util.List;
import java.util.Optional;

/** A cut from above, as it lies with its face up: where waste is drilled, where the bearing would fall in, what no bit reaches. */
public final class DrillDrawing {
    private static final double WIDTH = 780;
    private static final double HEIGHT = 300;
    private static final double MARGIN = 40;
    private static final double SCREW = 4;

    private DrillDrawing() {}

    public static String of(
            Region plan,
            Face face,
            Optional<DrillPattern> drilling,
            List<BearingGap> stops,
            List<Holding.Seat> seats,
            List<Region> unreached) {
        double scale = Math.min(
                (WIDTH - 2 * MARGIN) / (plan.maxY() - plan.minY()),
                (HEIGHT - 2 * MARGIN) / (plan.maxX() - plan.minX()));
        double middle = (plan.minX() + plan.maxX()) / 2 * (face == Face.FRONT ? 1 : -1);
        Frame frame = new Frame(
                scale, WIDTH / 2 - (plan.minY() + plan.maxY()) / 2 * scale, HEIGHT / 2 - middle * scale, face);
        Svg svg = new Svg(
                WIDTH,
                HEIGHT,
                "drilling",
                drilling.map(d -> Words.say(
                                "drill-drawing.the-cut-with-holes",
                                face.word(),
                                d.holes().size(),
                                d.drill().name()))
                        .orElseGet(() -> Words.say("drill-drawing.the-cut-from-above", face.word())));
        svg.path("cavity", frame.path(plan));
        drilling.ifPresent(d -> {
            int number = 1;
            for (Point hole : d.holes()) {
                double x = frame.x(hole);
                double y = frame.y(hole);
                svg.circle("hole", x, y, d.drill().diameter() / 2 * scale);
                svg.line("cross", x - 4, y, x + 4, y);
                svg.line("cross", x, y - 4, x, y + 4);
                svg.text("caption", x + 5, y - 5, "start", String.valueOf(number++));
            }
        });
        unreached.forEach(corner -> svg.path("stands", frame.path(corner)));
        for (BearingGap stop : stops) {
            svg.open("g", "class", "wall-stop");
            svg.title("void in the wall: " + stop.said());
            svg.circle("mark", frame.x(stop.at()), frame.y(stop.at()), 9);
            svg.close();
        }
        for (Holding.Seat seat : seats) {
            Point at = seat.at();
            double x = frame.x(at);
            double y = frame.y(new Point(face == Face.FRONT ? at.x() : -at.x(), at.y()));
            if (x > 0 && x < WIDTH && y > 0 && y < HEIGHT) {
                svg.circle("seat", x, y, Math.max(3, SCREW / 2 * scale));
            }
        }
        return svg.done();
    }
}
