package ebauche.app.drawing;

import ebauche.app.web.Figures;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.FinishedFaces;
import ebauche.core.job.History;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Change;
import ebauche.core.stock.Stock;
import ebauche.core.stock.WoodLeft;
import java.util.List;

/**
 * The depth views of the board: the wood under a section line before and after a step with what is left in figures, and
 * the body seen from its near edge. The face that is up lies towards the plan.
 */
final class SectionDrawing {
    /** Shorter runs of wood carry no figure, drawing units. */
    private static final double LABELLED_RUN = 20;
    /** Thinner wood than this is the grid's rounding and carries no figure, mm. */
    private static final double NOTHING = 0.05;

    /** The grid keeps depths to single precision: a floor at the limit is not thin by its rounding, mm. */
    private static final double SINGLE_PRECISION = 1e-4;

    private final Svg svg;
    private final BuildPlan plan;
    private final Figures fig;
    private final Frame frame;
    private final int step;
    private final FinishedFaces faces;
    private final Region body;

    SectionDrawing(Svg svg, BuildPlan plan, Figures fig, Frame frame, int step) {
        this.svg = svg;
        this.plan = plan;
        this.fig = fig;
        this.frame = frame;
        this.step = Math.min(step, plan.steps().size());
        this.faces = plan.build().faces();
        this.body = plan.build().design().outline().region();
    }

    /** From the face of the rough blank that is up, drawing units. */
    private double depth(double stockDepth) {
        double top = plan.build().frontmost();
        double bottom = plan.build().design().blank().thickness() - plan.build().roughAboveFront();
        return Math.abs(stockDepth - (frame.up() == Face.FRONT ? top : bottom)) * frame.scale();
    }

    private Stock after() {
        return plan.history().before(Math.min(step + 1, plan.steps().size()));
    }

    /** Where a place along a section and a depth lie in the drawing. */
    private interface Placing {
        double[] at(double along, double stockDepth);
    }

    /** The section at one x of the body, its upper face at {@code top} of the drawing. */
    void lengthwise(double bodyX, double top) {
        Placing placing = (along, depth) -> new double[] {frame.x(along), top + depth(depth)};
        section(
                "section-length",
                Section.lengthwise(plan.history().before(step), bodyX),
                Section.lengthwise(after(), bodyX),
                placing);
    }

    /** The section at one y of the body, its upper face at {@code left} of the drawing. */
    void across(double bodyY, double left) {
        Placing placing = (along, depth) -> new double[] {left + depth(depth), frame.y(along)};
        section(
                "section-cross",
                Section.across(plan.history().before(step), bodyY),
                Section.across(after(), bodyY),
                placing);
    }

    private void section(String id, List<Section.Run> before, List<Section.Run> after, Placing placing) {
        svg.open("g", "class", "section", "id", id);
        svg.path("taken", boxes(before, placing));
        svg.path("wood", boxes(after, placing));
        svg.path("glue-line", glueLines(after, placing));
        for (Section.Run run : Section.merged(after)) {
            if ((run.to() - run.from()) * frame.scale() > LABELLED_RUN) {
                double[] solid = run.joined();
                for (int i = 0; i < solid.length; i += 2) {
                    left(run, solid, i, placing);
                }
            }
        }
        svg.close();
    }

    private static String glueLines(List<Section.Run> runs, Placing placing) {
        StringBuilder data = new StringBuilder();
        for (Section.Run run : runs) {
            for (double depth : run.glueLines()) {
                double[] from = placing.at(run.from(), depth);
                double[] to = placing.at(run.to(), depth);
                data.append('M').append(Svg.n(from[0])).append(' ').append(Svg.n(from[1]));
                data.append('L').append(Svg.n(to[0])).append(' ').append(Svg.n(to[1]));
            }
        }
        return data.toString();
    }

    /** The figure of what is left, where something was cut away; in the warning colour under the shop's limit. */
    private void left(Section.Run run, double[] solid, int i, Placing placing) {
        double thick = solid[i + 1] - solid[i];
        boolean whole = solid.length == 2 && thick > faces.backNow() - faces.frontNow() - 1;
        if (!whole && thick > NOTHING) {
            boolean thin = plan.build().shop().limits().tooThin(WoodLeft.Kind.FLOOR, thick + SINGLE_PRECISION);
            double[] at = placing.at((run.from() + run.to()) / 2, (solid[i] + solid[i + 1]) / 2);
            svg.figure(thin ? "figure thin" : "figure", at[0], at[1] + 4, "middle", Figures.parts(fig.brief(thick)));
        }
    }

    private static String boxes(List<Section.Run> runs, Placing placing) {
        StringBuilder data = new StringBuilder();
        for (Section.Run run : runs) {
            for (int i = 0; i < run.solid().length; i += 2) {
                box(data, placing.at(run.from(), run.solid()[i]), placing.at(run.to(), run.solid()[i + 1]));
            }
        }
        return data.toString();
    }

    private static void box(StringBuilder data, double[] a, double[] b) {
        data.append('M')
                .append(Svg.n(a[0]))
                .append(' ')
                .append(Svg.n(a[1]))
                .append('H')
                .append(Svg.n(b[0]));
        data.append('V').append(Svg.n(b[1])).append('H').append(Svg.n(a[0])).append('Z');
    }

    /** The body seen from its near edge: what lies inside is dashed, as hidden edges are. */
    void edge(double top) {
        Placing placing = (along, depth) -> new double[] {frame.x(along), top + depth(depth)};
        svg.group("edge");
        StringBuilder whole = new StringBuilder();
        box(whole, placing.at(body.minY(), faces.frontNow()), placing.at(body.maxY(), faces.backNow()));
        svg.path("wood", whole.toString());
        for (History.Step s : plan.history()
                .steps()
                .subList(0, Math.min(step + 1, plan.steps().size()))) {
            for (Change change : s.changes()) {
                if (History.isVoid(change)) {
                    hidden(change, placing);
                }
            }
        }
        svg.close();
    }

    private void hidden(Change change, Placing placing) {
        Region area = change.solid().plan();
        StringBuilder data = new StringBuilder();
        box(
                data,
                placing.at(
                        Math.max(area.minY(), body.minY()),
                        Math.max(change.solid().shallowest(), faces.frontNow())),
                placing.at(
                        Math.min(area.maxY(), body.maxY()),
                        Math.min(change.solid().deepest(), faces.backNow())));
        svg.path("hidden-edge", data.toString());
    }
}
