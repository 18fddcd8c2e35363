package ebauche.app.takeon;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.words.Words;
import ebauche.core.design.BodyDesign;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.stock.Bore;

/** A body as it has been laid out so far, from the front with the neck to the right; what is not decided on is dotted. */
final class TakeOnDrawing {
    private static final double WIDTH = 640;
    private static final double TALLEST = 400;
    private static final double MARGIN = 18;

    /** A shape to pick from. */
    private static final double SMALL_WIDTH = 96;

    private static final double SMALL_TALLEST = 64;

    /** The neck is drawn so far beyond the body, mm. */
    private static final double NECK_SHOWN = 70;

    private final BodyDesign design;
    private final Frame frame;
    private final Svg svg;

    private TakeOnDrawing(Build build) {
        this.design = build.design();
        Region body = design.outline().region();
        Region sheet = body.union(Region.rectangle(
                new Point(0, design.neck().endWallToSaddle() + (design.neck().pocketLength() + NECK_SHOWN) / 2),
                design.neck().widthAtMouth(),
                design.neck().pocketLength() + NECK_SHOWN,
                0,
                0));
        this.frame = Frame.holding(sheet, WIDTH, TALLEST, MARGIN, Face.FRONT);
        this.svg = new Svg(
                WIDTH,
                frame.height(sheet, MARGIN),
                "laid-out",
                Words.say("take-on-drawing.laid-out-from-the-front", design.name()));
    }

    static String of(Build build) {
        TakeOnDrawing drawing = new TakeOnDrawing(build);
        drawing.draw();
        return drawing.svg.done();
    }

    /** An outline alone, small, to pick it by. */
    static String shape(Outline outline) {
        Region body = outline.region();
        Frame frame = Frame.holding(body, SMALL_WIDTH, SMALL_TALLEST, 4, Face.FRONT);
        return new Svg(SMALL_WIDTH, frame.height(body, 4), "shape", "")
                .path("line", frame.within(0.1).path(body))
                .done();
    }

    private void draw() {
        neck();
        svg.path("wood", frame.path(design.outline().region()));
        double from = frame.x(design.outline().region().minY()) - 10;
        svg.line("centre", from, frame.y(0), WIDTH - MARGIN / 2, frame.y(0));
        svg.path(css(Feature.of(FeatureKind.NECK)), frame.path(design.neck().pocket()));
        design.neck().screws().forEach(s -> hole("hidden", s, design.neck().screwHole()));
        for (Cavity cavity : design.cavities()) {
            String hidden = cavity.face() == Face.BACK ? " hidden" : "";
            svg.path(css(cavity.feature()) + hidden, frame.path(cavity.plan()));
        }
        design.bridge().vibrato().ifPresent(v -> {
            svg.path("cut", frame.path(v.route(design.bridge().offCentre())));
            svg.path("cut hidden", frame.path(v.springs(design.bridge().offCentre())));
        });
        for (Pickup pickup : design.pickups()) {
            svg.path(css(pickup.feature()), frame.path(pickup.footprint()));
            svg.path("part", frame.path(pickup.rim()));
        }
        svg.path(
                leftOpen(Bridge.FEATURE) ? "part open" : "part",
                frame.path(design.bridge().footprint()));
        design.bridge()
                .studs()
                .ifPresent(
                        s -> svg.path("cut", frame.path(s.holes(design.bridge().offCentre()))));
        for (Control control : design.controls()) {
            hole(css(control.feature()), control.at(), Math.max(control.opening(), 8));
        }
        design.jack().ifPresent(this::jack);
        design.holes().forEach(h -> hole("cut", h.at(), 5));
        strings();
    }

    private void neck() {
        double end = design.neck().endWallToSaddle();
        double shown = design.neck().pocketLength() + NECK_SHOWN;
        Region neck =
                Region.rectangle(new Point(0, end + shown / 2), design.neck().widthAtMouth(), shown, 0, 0);
        svg.path(leftOpen(Feature.of(FeatureKind.NECK)) ? "neck open" : "neck", frame.path(neck));
    }

    private void jack(Jack jack) {
        Bore hole = Bore.level(jack.entry(), jack.aim(), jack.fromFront(), jack.diameter());
        svg.path(css(Jack.FEATURE) + " hidden", frame.path(hole.plan()));
    }

    private void strings() {
        double top = design.neck().endWallToSaddle() + design.neck().pocketLength() + NECK_SHOWN;
        double spread = design.strings().spread();
        double nut = design.strings().nutSpread().orElse(spread * 0.7);
        double share = 1 - (1 - nut / spread) * top / design.scale();
        for (int i = 0; i < design.strings().count(); i++) {
            double x = design.strings().offset(i);
            svg.line("string", frame.x(0), frame.y(x), frame.x(top), frame.y(x * share));
        }
    }

    private void hole(String css, Point at, double diameter) {
        svg.circle(css, frame.x(at), frame.y(at), diameter / 2 * frame.scale());
    }

    private String css(Feature feature) {
        return leftOpen(feature) ? "cut open" : "cut";
    }

    private boolean leftOpen(Feature feature) {
        return design.leavesOpen(feature);
    }
}
