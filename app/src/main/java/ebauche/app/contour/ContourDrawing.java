package ebauche.app.contour;

import ebauche.app.drawing.Carves;
import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.Contour;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.measure.Decimals;
import java.util.List;

/**
 * A body's contours from the front: where each begins, and its depth in bands like a chart of a sea; those of the back are
 * dashed, as seen through the wood. The ends of a line are handles.
 */
public final class ContourDrawing {
    private static final double WIDTH = 800;
    private static final double MARGIN = 26;
    private static final double TALLEST = 460;

    /** A contour's figure stands so far in from its deepest place, as a share of the way to the middle. */
    private static final double INSIDE = 0.12;

    private final Build build;
    private final Frame frame;
    private final Svg svg;

    private ContourDrawing(Build build) {
        this.build = build;
        Region body = build.design().outline().region();
        this.frame = Frame.holding(body, WIDTH, TALLEST, MARGIN, Face.FRONT);
        this.svg = new Svg(
                WIDTH,
                frame.height(body, MARGIN),
                "xray contour-map",
                Words.say("contour-drawing.the-bodys-contours-from-the-front"));
    }

    /**
     * The drawing.
     *
     * @param tried the contour whose line the hand can take
     */
    public static String of(Build build, Figures fig, String tried) {
        ContourDrawing d = new ContourDrawing(build);
        d.ground();
        for (Contour.Laid laid : build.contours()) {
            d.bands(laid, fig);
        }
        for (Contour.Laid laid : build.contours()) {
            d.ends(laid, laid.contour().id().equals(tried));
        }
        return d.svg.done();
    }

    /** The curve that a contour begins off, as a path in the drawing; empty where it begins off none, or off a straight line. */
    static String line(Build build, Contour.Laid laid) {
        return laid.contour().start() instanceof Contour.Start.Across across
                        && !across.through().isEmpty()
                ? new ContourDrawing(build).curve(across.line())
                : "";
    }

    private void ground() {
        BodyDesign design = build.design();
        Region body = design.outline().region();
        svg.attribute("data-scale", Decimals.plain(frame.scale(), 6));
        svg.path("body-wood", frame.path(body));
        svg.line("centre", frame.x(body.minY()) - 10, frame.y(0), frame.x(body.maxY()) + 10, frame.y(0));
        svg.path("void later", frame.path(design.neck().pocket()));
        svg.path("void later", frame.path(design.bridge().footprint()));
        for (Pickup pickup : design.pickups()) {
            svg.path("void later", frame.path(pickup.footprint()));
        }
        design.cavities()
                .forEach(c -> svg.path(c.face() == Face.BACK ? "void far later" : "void later", frame.path(c.plan())));
        design.controls().forEach(c -> svg.path("void later", frame.path(c.passage())));
    }

    private void bands(Contour.Laid laid, Figures fig) {
        svg.open(
                "g",
                "class",
                "carve before" + Carves.side(laid, frame),
                "data-contour",
                laid.contour().id());
        svg.title(Words.say(
                "contour-drawing.contour-at-its-deepest",
                laid.contour().id(),
                fig.length(laid.contour().depth())));
        Carves.bands(svg, frame, laid);
        Point at = laid.course().farthest(laid.plan());
        Point in = at.towards(build.design().outline().region().centroid(), INSIDE);
        svg.figure(
                "figure",
                frame.x(in),
                frame.y(in) + 5,
                "middle",
                Figures.parts(fig.brief(laid.profile().depth())));
        svg.close();
    }

    /** What can be moved of one that begins off no line: a disc's middle, the ends of its stretch. */
    private void places(Contour.Laid laid, boolean tried) {
        String id = laid.contour().id();
        svg.open("g", "class", tried ? "start-line tried" : "start-line", "data-contour", id);
        if (laid.contour().start() instanceof Contour.Start.Disc disc) {
            end("at", disc.at(), id);
        } else if (laid.contour().start() instanceof Contour.Start.Round round) {
            round.along().ifPresent(s -> {
                end(ContourForm.STRETCH + "from", s.from(), id);
                end(ContourForm.STRETCH + "to", s.to(), id);
            });
        }
        svg.close();
    }

    private void ends(Contour.Laid laid, boolean tried) {
        if (laid.contour().start() instanceof Contour.Start.Across across) {
            svg.open(
                    "g",
                    "class",
                    tried ? "start-line tried" : "start-line",
                    "data-contour",
                    laid.contour().id());
            if (across.through().isEmpty()) {
                svg.line(
                        "mark",
                        frame.x(across.from()),
                        frame.y(across.from()),
                        frame.x(across.to()),
                        frame.y(across.to()));
            } else {
                svg.path("mark", curve(across.line()));
            }
            end("from", across.from(), laid.contour().id());
            end("to", across.to(), laid.contour().id());
            for (int i = 0; i < across.through().size(); i++) {
                end(
                        ContourForm.THROUGH + i,
                        across.through().get(i),
                        laid.contour().id());
            }
            svg.close();
        } else {
            places(laid, tried);
        }
    }

    private String curve(List<Point> line) {
        StringBuilder data = new StringBuilder();
        for (Point p : line) {
            data.append(data.isEmpty() ? 'M' : 'L')
                    .append(Svg.n(frame.x(p)))
                    .append(' ')
                    .append(Svg.n(frame.y(p)));
        }
        return data.toString();
    }

    private void end(String name, Point at, String of) {
        svg.open("g", "class", "end", "data-end", name, "tabindex", "0", "role", "button");
        svg.attribute("data-x", Svg.n(at.x())).attribute("data-y", Svg.n(at.y()));
        svg.attribute(
                "aria-label",
                switch (name) {
                    case "from" -> Words.say("contour-drawing.one-end-of-the-contours-line", of);
                    case "to" -> Words.say("contour-drawing.other-end-of-the-contours-line", of);
                    case "at", ContourForm.STRETCH + "from", ContourForm.STRETCH + "to" ->
                        Words.say("contour-drawing.a-place-of-the-contour", of);
                    default -> Words.say("contour-drawing.a-handle-of-the-contours-line", of);
                });
        svg.circle("grab", frame.x(at), frame.y(at), 24);
        svg.circle("grip", frame.x(at), frame.y(at), 8);
        svg.close();
    }
}
