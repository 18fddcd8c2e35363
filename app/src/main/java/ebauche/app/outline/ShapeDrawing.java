package ebauche.app.outline;

import ebauche.app.drawing.SegmentPath;
import ebauche.app.drawing.Svg;
import ebauche.app.words.Words;
import ebauche.core.geometry.Segment;
import java.util.List;

/** A shape of somebody's drawing, small, as it lies there. */
public final class ShapeDrawing {
    private static final double WIDTH = 220;
    private static final double HEIGHT = 160;
    private static final double MARGIN = 8;

    private ShapeDrawing() {}

    /** Draws it; the box holds its least x and y and its greatest. */
    public static String of(List<Segment> segments, double[] box) {
        double scale = Math.min(
                (WIDTH - 2 * MARGIN) / Math.max(1e-9, box[2] - box[0]),
                (HEIGHT - 2 * MARGIN) / Math.max(1e-9, box[3] - box[1]));
        double left = WIDTH / 2 - (box[0] + box[2]) / 2 * scale;
        double bottom = HEIGHT / 2 + (box[1] + box[3]) / 2 * scale;
        Svg svg = new Svg(WIDTH, HEIGHT, "shape", Words.say("shape-drawing.a-closed-shape-of-the-drawing"));
        svg.path("edge", SegmentPath.of(segments, p -> left + p.x() * scale, p -> bottom - p.y() * scale));
        return svg.done();
    }
}
