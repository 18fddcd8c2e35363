package ebauche.app.neck;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.app.words.Words;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.NeckJoint;
import ebauche.core.hardware.Bridge;
import ebauche.core.job.FinishedFaces;
import ebauche.core.neck.NeckPocket;
import ebauche.core.neck.PocketState;
import ebauche.core.plan.BuildPlan;

/**
 * The neck joint along the centre line: body, pocket, heel, fingerboard, the string down to its saddle, and the window of
 * heights that the bridge can serve. Heights are drawn three times as tall as lengths.
 */
public final class NeckDrawing {
    private static final double WIDTH = 800;
    private static final double TALLER = 3;
    private static final double MARGIN = 24;
    /** Shown over the highest saddle, mm. */
    private static final double ABOVE = 5;

    private static final double BEHIND = 40;
    private static final double NECK_SHOWN = 60;

    /** The fingerboard stands out over the front beyond the end wall, mm: drawn so, common practice. */
    private static final double OVERHANG = 14;

    private final NeckPocket geometry;
    private final NeckJoint neck;
    private final FinishedFaces faces;
    private final Bridge bridge;
    private final double depth;
    private final double saddle;
    private final double scale;
    private final double length;
    private final Figures fig;

    private NeckDrawing(BuildPlan plan, Figures fig) {
        BodyDesign design = plan.build().design();
        PocketState state = PocketState.of(plan.build());
        this.geometry = state.geometry();
        this.neck = design.neck();
        this.faces = plan.build().faces();
        this.bridge = design.bridge();
        this.depth = state.found().orElse(state.target()).value();
        this.saddle = state.saddleHeight().value();
        this.fig = fig;
        this.length = design.scale();
        this.scale = (WIDTH - 2 * MARGIN) / (BEHIND + end() + neck.pocketLength() + NECK_SHOWN);
    }

    private record Asked(Figures fig) {}

    public static String of(BuildPlan plan, Figures fig) {
        return Kept.with(plan).get(new Asked(fig), () -> new NeckDrawing(plan, fig).draw());
    }

    private double end() {
        return geometry.endWallToSaddle().value();
    }

    private double tan() {
        return Math.tan(Math.toRadians(geometry.angle().value()));
    }

    /** Along the body, towards the nut to the right. */
    private double x(double y) {
        return MARGIN + (BEHIND + y) * scale;
    }

    /** Over the finished front, upward. */
    private double y(double over) {
        return MARGIN + (bridge.highestOverFront() + ABOVE - over) * scale * TALLER;
    }

    /** Height over the front of a line parallel to the pocket's floor, so much over it. */
    private double overFloor(double above, double along) {
        return above / Math.cos(Math.toRadians(geometry.angle().value()))
                + geometry.plateUnderHeel().value()
                - depth
                - (along - end()) * tan();
    }

    private String draw() {
        double body = faces.thickness();
        Svg svg = new Svg(
                WIDTH,
                y(-body) + MARGIN,
                "neck-view",
                Words.say("neck-drawing.the-neck-joint-from-the-side", fig.below(depth), fig.length(saddle)));
        double mouth = end() + neck.pocketLength();
        svg.path(
                "wood",
                "M" + at(-BEHIND, 0) + "L" + at(end(), 0) + "L" + at(end(), -depth) + "L"
                        + at(mouth, -depth - neck.pocketLength() * tan()) + "L" + at(mouth, -body) + "L"
                        + at(-BEHIND, -body) + "Z");
        double h = geometry.heel().value();
        double board = h + geometry.fingerboard().value();
        svg.path("heel", slab(0, h, end(), mouth + NECK_SHOWN));
        svg.path("fingerboard", slab(h, board, end() - OVERHANG, mouth + NECK_SHOWN));
        double frets = board + geometry.fret().value();
        double far = mouth + NECK_SHOWN;
        double action = 2 * geometry.actionAtCentre() - geometry.nut().value();
        double overFrets = action + (geometry.nut().value() - action) * far / length;
        svg.line("string", x(0), y(saddle), x(far), y(overFloor(frets, far) + overFrets));
        svg.rect("bridge", x(-12), y(bridge.lowestOverFront()), 16 * scale, bridge.lowestOverFront() * scale * TALLER);
        svg.line("window", x(0), y(bridge.lowestOverFront()), x(0), y(bridge.highestOverFront()));
        svg.line("tick", x(-5), y(bridge.highestOverFront()), x(5), y(bridge.highestOverFront()));
        svg.line("tick", x(-5), y(bridge.lowestOverFront()), x(5), y(bridge.lowestOverFront()));
        svg.circle("saddle", x(0), y(saddle), 5);
        svg.figure("figure", x(-8), y(saddle) - 6, "end", Figures.parts(fig.brief(saddle)));
        svg.line("measure", x(end()) + 14, y(0), x(end()) + 14, y(-depth));
        svg.figure("figure", x(end()) + 20, y(-depth / 2), "start", Figures.parts(fig.deep(depth)));
        svg.figure(
                "figure",
                x(end() + neck.pocketLength() / 2),
                y(-(depth + neck.pocketLength() / 2 * tan() + body) / 2) + 5,
                "middle",
                Figures.parts(fig.brief(body - depth - neck.pocketLength() / 2 * tan())));
        svg.text(
                "caption",
                x(-BEHIND) + 4,
                y(-body) - 8,
                "start",
                Words.say("neck-drawing.heights-three-times-as-tall-as"));
        return svg.done();
    }

    private String at(double along, double over) {
        return Svg.n(x(along)) + " " + Svg.n(y(over));
    }

    private String slab(double from, double to, double start, double stop) {
        return "M" + at(start, overFloor(from, start)) + "L" + at(stop, overFloor(from, stop)) + "L"
                + at(stop, overFloor(to, stop)) + "L" + at(start, overFloor(to, start)) + "Z";
    }
}
