package ebauche.app.xray;

import ebauche.app.drawing.Carves;
import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Pins;
import ebauche.app.drawing.Section;
import ebauche.app.drawing.Svg;
import ebauche.app.drawing.Voids;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hollow.NewCap;
import ebauche.core.job.FinishedFaces;
import ebauche.core.measure.Decimals;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Stock;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;

/**
 * The body seen through: every cavity and hole from both faces at once, the thinnest wood pinned where it is, and the wood
 * under any line that is laid across it. Cavities that can be moved are handles; the script moves them by its scale.
 */
public final class XrayDrawing {
    private static final double WIDTH = 800;
    private static final double PLAN_HEIGHT = 372;
    private static final double MARGIN = 22;

    /** A section is drawn so much deeper than long that a millimetre of floor can be seen. */
    private static final double DEEPER = 2;

    private static final double CAPTION = 20;
    private static final double LABELLED_RUN = 24;
    private static final double NOTHING = 0.05;

    /** Grid's rounding by which a floor at the limit is not thin, mm. */
    private static final double SINGLE_PRECISION = 1e-4;

    private final BuildPlan plan;
    private final Figures fig;
    private final int step;
    private final Region body;
    private final Frame frame;

    private XrayDrawing(BuildPlan plan, Figures fig, int step, Face up) {
        this.plan = plan;
        this.fig = fig;
        this.step = step;
        this.body = plan.build().design().outline().region();
        this.frame = Frame.holding(body, WIDTH, PLAN_HEIGHT - 2 * MARGIN, MARGIN, up);
    }

    /**
     * A line across the plan under which the wood is shown.
     *
     * @param a one end, x from the centre line and y from the saddle line
     */
    public record Cut(Point a, Point b) {}

    /**
     * The plan.
     *
     * @param step the step looked at; the number of steps for the finished body
     * @param pins the wood that is pinned, in the order of its numbers
     * @param movable features that the hand can move
     */
    public static String plan(
            BuildPlan plan,
            Figures fig,
            int step,
            Face up,
            Cut cut,
            List<WoodLeft.Thin> pins,
            Predicate<Feature> movable) {
        return new XrayDrawing(plan, fig, step, up).plan(cut, pins, movable);
    }

    /** The wood under a line before and after the step, or of the finished body. */
    public static String section(BuildPlan plan, Figures fig, int step, Cut cut) {
        return new XrayDrawing(plan, fig, step, Face.FRONT).section(cut);
    }

    private String plan(Cut cut, List<WoodLeft.Thin> pins, Predicate<Feature> movable) {
        Svg svg = new Svg(WIDTH, frame.height(body, MARGIN), "xray", words());
        svg.attribute("data-scale", Decimals.plain(frame.scale(), 6));
        svg.attribute("data-left", Decimals.plain(frame.x(0), 4));
        svg.attribute("data-flip", frame.up() == Face.FRONT ? "1" : "-1");
        svg.open("defs");
        svg.hatch("xray-front", "hatch-line", 7, 45);
        svg.hatch("xray-back", "hatch-line", 7, -45);
        svg.close();
        svg.path("body-wood", frame.path(body));
        plan.build().design().plateLines().forEach(line -> svg.path("plate", frame.path(line)));
        svg.line("centre", frame.x(body.minY()) - 10, frame.y(0), frame.x(body.maxY()) + 10, frame.y(0));
        Carves.draw(svg, frame, plan, step);
        byFeature().forEach((feature, voids) -> feature(svg, feature, voids, pins, movable.test(feature)));
        pins(svg, pins);
        cut(svg, cut);
        return svg.done();
    }

    private String words() {
        return Words.say(
                "xray-drawing.seen-through-up-every-cavity-and",
                plan.build().design().name(),
                frame.up().word());
    }

    private Map<Feature, List<Voids.Hollow>> byFeature() {
        Map<Feature, List<Voids.Hollow>> all = new LinkedHashMap<>();
        List<Voids.Hollow> voids = new ArrayList<>(Voids.of(plan, step, frame.up()));
        voids.sort((a, b) -> Double.compare(b.area().area(), a.area().area()));
        voids.forEach(
                v -> all.computeIfAbsent(v.feature(), f -> new ArrayList<>()).add(v));
        return all;
    }

    private void feature(
            Svg svg, Feature feature, List<Voids.Hollow> voids, List<WoodLeft.Thin> pins, boolean movable) {
        String said = feature.said();
        svg.open("g", "class", movable ? "cavity movable" : "cavity", "data-feature", feature.word());
        if (movable) {
            svg.attribute("tabindex", "0").attribute("role", "button");
            svg.attribute("aria-label", Words.say("xray-drawing.move-it-with-the-arrow-keys", said));
        }
        svg.title(said);
        for (Voids.Hollow v : voids) {
            String when = v.when().name().toLowerCase(Locale.ROOT);
            svg.path(
                    "void " + when + (v.through() ? " through" : v.opensUp() ? " open" : " far"), frame.path(v.area()));
        }
        Voids.Hollow first = voids.get(0);
        if (!first.through() && frame.scale() * Math.sqrt(first.area().area()) > LABELLED_RUN) {
            Point at = first.area().inner();
            boolean pinned = pins.stream().anyMatch(t -> t.at().distance(at) * frame.scale() < 2 * Pins.RADIUS);
            double y = frame.y(at) + (pinned ? 5 + 2 * Pins.RADIUS : 5);
            svg.figure("figure", frame.x(at), y, "middle", Figures.parts(fig.deep(first.depthFromOwn())));
        }
        svg.close();
    }

    private void pins(Svg svg, List<WoodLeft.Thin> thinnest) {
        Pins pins = new Pins(svg);
        for (WoodLeft.Thin thin : thinnest) {
            boolean bad = plan.build().shop().limits().tooThin(thin.kind(), thin.thickness());
            String says = fig.length(thin.thickness()) + ", " + fig.place(thin);
            pins.add(frame.x(thin.at()), frame.y(thin.at()), bad, says);
        }
    }

    private void cut(Svg svg, Cut cut) {
        svg.open("g", "class", "section-line");
        svg.line("mark", frame.x(cut.a()), frame.y(cut.a()), frame.x(cut.b()), frame.y(cut.b()));
        end(svg, "a", cut.a());
        end(svg, "b", cut.b());
        svg.close();
    }

    private void end(Svg svg, String name, Point at) {
        svg.open("g", "class", "end", "data-end", name, "tabindex", "0", "role", "button");
        svg.attribute("data-x", Svg.n(at.x())).attribute("data-y", Svg.n(at.y()));
        svg.attribute(
                "aria-label", Words.say("xray-drawing.end-of-the-section-line-move", name.toUpperCase(Locale.ROOT)));
        svg.circle("grab", frame.x(at), frame.y(at), 24);
        svg.circle("grip", frame.x(at), frame.y(at), 9);
        svg.text("letter", frame.x(at), frame.y(at) + 4.5, "middle", name.toUpperCase(Locale.ROOT));
        svg.close();
    }

    private String section(Cut cut) {
        FinishedFaces faces = plan.build().faces();
        double top = plan.build().frontmost();
        double bottom = Math.max(
                faces.backNow(),
                plan.build().design().blank().thickness() - plan.build().roughAboveFront());
        boolean finished = step >= plan.steps().size();
        if (finished) {
            top = NewCap.front(plan.build(), plan.history(), step, faces.frontFinished());
            bottom = faces.backFinished();
        }
        double length = cut.a().distance(cut.b());
        double scale = Math.min(frame.scale(), (WIDTH - 2 * MARGIN) / length);
        double down = scale * DEEPER;
        double middle = (frame.x(cut.a()) + frame.x(cut.b())) / 2;
        double half = length * scale / 2;
        double left = Math.max(half + MARGIN, Math.min(WIDTH - half - MARGIN, middle)) - half;
        Svg svg = new Svg(
                WIDTH,
                (bottom - top) * down + CAPTION + MARGIN / 2,
                "xray-section",
                Words.say("xray-drawing.the-wood-under-the-line-from"));
        svg.text("letter", left, CAPTION - 6, "middle", "A");
        svg.text("letter", left + length * scale, CAPTION - 6, "middle", "B");
        svg.text(
                "caption",
                left + half,
                CAPTION - 6,
                "middle",
                Words.say("xray-drawing.front-up-depths-drawn-twice-as"));
        Stock after = plan.history().before(Math.min(step + 1, plan.steps().size()));
        List<Section.Run> runs = Section.along(after, cut.a(), cut.b());
        if (!finished) {
            svg.path(
                    "taken",
                    boxes(Section.along(plan.history().before(step), cut.a(), cut.b()), left, scale, down, top));
        }
        svg.path("wood", boxes(runs, left, scale, down, top));
        labels(svg, runs, left, scale, down, top);
        return svg.done();
    }

    private static String boxes(List<Section.Run> runs, double left, double scale, double down, double top) {
        StringBuilder data = new StringBuilder();
        for (Section.Run run : runs) {
            for (int i = 0; i < run.solid().length; i += 2) {
                data.append('M')
                        .append(Svg.n(left + run.from() * scale))
                        .append(' ')
                        .append(Svg.n(CAPTION + (run.solid()[i] - top) * down));
                data.append('H').append(Svg.n(left + run.to() * scale));
                data.append('V').append(Svg.n(CAPTION + (run.solid()[i + 1] - top) * down));
                data.append('H').append(Svg.n(left + run.from() * scale)).append('Z');
            }
        }
        return data.toString();
    }

    private void labels(Svg svg, List<Section.Run> runs, double left, double scale, double down, double top) {
        double whole = plan.build().faces().thickness();
        for (Section.Run run : Section.merged(runs)) {
            double[] solid = run.joined();
            for (int i = 0; i < solid.length; i += 2) {
                double thick = solid[i + 1] - solid[i];
                boolean uncut = solid.length == 2 && thick > whole - 1;
                if (!uncut && thick > NOTHING && (run.to() - run.from()) * scale > LABELLED_RUN) {
                    boolean thin = plan.build().shop().limits().tooThin(WoodLeft.Kind.FLOOR, thick + SINGLE_PRECISION);
                    double y = CAPTION + ((solid[i] + solid[i + 1]) / 2 - top) * down + 5;
                    double x = left + (run.from() + run.to()) / 2 * scale;
                    svg.figure(thin ? "figure thin" : "figure", x, y, "middle", Figures.parts(fig.brief(thick)));
                }
            }
        }
    }
}
