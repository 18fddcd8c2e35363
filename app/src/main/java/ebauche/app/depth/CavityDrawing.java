package ebauche.app.depth;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.words.Words;
import ebauche.core.cavity.CavityFromParts;
import ebauche.core.design.BodyDesign;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Pickup;
import ebauche.core.plan.BuildPlan;

/** The cavity that the parts ask for, seen from the front through the wood, beside the one that is drawn today. */
public final class CavityDrawing {
    private static final double WIDTH = 800;
    private static final double MARGIN = 22;
    private static final double TALLEST = 420;

    private CavityDrawing() {}

    /**
     * The cavity with an id as it is proposed.
     *
     * @param id of the one that stands today, if the design has it
     */
    public static String of(BuildPlan plan, CavityFromParts proposed, String id) {
        BodyDesign design = plan.build().design();
        Region body = design.outline().region();
        Frame frame = Frame.holding(body, WIDTH, TALLEST, MARGIN, Face.FRONT);
        Svg svg = new Svg(
                WIDTH,
                frame.height(body, MARGIN),
                "xray from-parts",
                Words.say("cavity-drawing.the-cavity-that-the-parts-ask"));
        svg.path("body-wood", frame.path(body));
        svg.line("centre", frame.x(body.minY()) - 10, frame.y(0), frame.x(body.maxY()) + 10, frame.y(0));
        svg.path("void later", frame.path(design.neck().pocket()));
        for (Pickup pickup : design.pickups()) {
            svg.path("void later", frame.path(pickup.footprint()));
        }
        design.cavities().forEach(c -> svg.path(c.id().equals(id) ? "today" : "void later", frame.path(c.plan())));
        if (!proposed.cover().isEmpty()) {
            svg.path("cover", frame.path(proposed.cover()));
        }
        if (!proposed.cavity().isEmpty()) {
            svg.path("proposed", frame.path(proposed.cavity()));
        }
        for (Control control : proposed.controls()) {
            boolean lost =
                    proposed.shortOf().stream().anyMatch(s -> s.control().id().equals(control.id()));
            svg.path(lost ? "part lost" : "part", frame.path(control.footprint()));
            svg.path("passage", frame.path(control.passage()));
        }
        proposed.screws().forEach(p -> svg.circle("screw", frame.x(p), frame.y(p), 3));
        return svg.done();
    }
}
