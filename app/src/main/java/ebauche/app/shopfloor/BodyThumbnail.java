package ebauche.app.shopfloor;

import ebauche.app.drawing.Carves;
import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.drawing.Voids;
import ebauche.app.words.Words;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.plan.BuildPlan;

/** A small plan of a body as far as it has come, for the shop floor. */
public final class BodyThumbnail {
    private static final double WIDTH = 300;
    private static final double HEIGHT = 200;
    private static final double MARGIN = 10;

    /** What no eye sees on a card, of its width in three hundredths. */
    private static final double UNSEEN = 0.12;

    private BodyThumbnail() {}

    public static String of(BuildPlan plan) {
        Region body = plan.build().design().outline().region();
        double scale = Math.min(
                (WIDTH - 2 * MARGIN) / (body.maxY() - body.minY()),
                (HEIGHT - 2 * MARGIN) / (body.maxX() - body.minX()));
        Frame frame = new Frame(
                        scale,
                        WIDTH / 2 - (body.maxY() + body.minY()) / 2 * scale,
                        HEIGHT / 2 - (body.maxX() + body.minX()) / 2 * scale,
                        Face.FRONT)
                .within(UNSEEN);
        int next = plan.next().map(plan::indexOf).orElse(plan.steps().size());
        String name = plan.build().design().name();
        Svg svg = new Svg(WIDTH, HEIGHT, "thumbnail", Words.say("body-thumbnail.from-the-front-as-far-as", name));
        svg.path("body-wood", frame.path(body));
        Carves.draw(svg, frame, plan, next);
        for (Voids.Hollow v : Voids.of(plan, next, Face.FRONT)) {
            boolean cut = v.when() == Voids.When.BEFORE;
            svg.path(cut ? "void-cut" : "void-later", frame.path(v.area()));
        }
        svg.line("centre", frame.x(body.minY()) - 6, frame.y(0), frame.x(body.maxY()) + 6, frame.y(0));
        return svg.done();
    }
}
