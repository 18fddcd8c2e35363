package ebauche.app.drawing;

import ebauche.app.web.Figures;
import ebauche.core.build.FinishedFaces;
import ebauche.core.build.Finding;
import ebauche.core.build.History;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Decimals;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Change;
import ebauche.core.stock.Stock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Plan, two sections and the edge in projection and to one scale, as the wood is before and after one step.
 *
 * <p>The lengthwise section stands under the plan and the cross-section to its right, the face that is up towards the
 * plan in both. What the step takes is hatched; what comes later is dotted.
 */
public final class BoardDrawing {
    private static final double WIDTH = 570;
    private static final double HEIGHT = 512;
    private static final double MARGIN = 24;
    private static final double GAP = 26;
    /** A floor tilted by ten degrees, the steepest that is accepted, changes by less from cell to cell, mm. */
    private static final double SLOPE = 0.1;
    /** Shorter runs of wood carry no figure, drawing units. */
    private static final double LABELLED_RUN = 20;

    private final BuildPlan plan;
    private final Figures fig;
    private final int step;
    private final Face up;
    private final SectionLines lines;
    private final Region body;
    private final FinishedFaces faces;
    private final Frame frame;
    private final double planBottom;
    private final double planRight;
    private final double deep;
    private final Svg svg;

    private BoardDrawing(BuildPlan plan, Figures fig, int step, Face up, SectionLines lines) {
        this.plan = plan;
        this.fig = fig;
        this.step = step;
        this.up = up;
        this.lines = lines;
        this.body = plan.build().design().outline().region();
        this.faces = plan.build().faces();
        double thick = Math.max(plan.build().design().blank().thickness(), plan.build().thicknessed());
        Region blank = plan.build().design().blank().plan();
        Region sheet = sawn() ? body : body.union(blank);
        double along = sheet.maxY() - sheet.minY();
        double across = sheet.maxX() - sheet.minX();
        double scale = Math.min(
                (WIDTH - 2 * MARGIN - GAP) / (along + thick), (HEIGHT - 2 * MARGIN - 2 * GAP - 8) / (across + 2 * thick));
        this.deep = thick * scale;
        double top = MARGIN + 8;
        double middle = up == Face.FRONT ? top - sheet.minX() * scale : top + sheet.maxX() * scale;
        this.frame = new Frame(scale, MARGIN - sheet.minY() * scale, middle, up);
        this.planBottom = top + across * scale;
        this.planRight = frame.x(sheet.maxY());
        this.svg = new Svg(WIDTH, HEIGHT, "board", words());
    }

    /** Draws the wood around one step, with section lines that can be moved. */
    public static String of(BuildPlan plan, Figures fig, int step, Face up, SectionLines lines) {
        BoardDrawing board = new BoardDrawing(plan, fig, step, up, lines);
        board.draw();
        board.handles();
        return board.svg.done();
    }

    /** Draws the finished body from the front, with nothing to move. */
    public static String finished(BuildPlan plan, Figures fig) {
        BoardDrawing board =
                new BoardDrawing(plan, fig, plan.steps().size(), Face.FRONT, SectionLines.within(plan, plan.steps().size(), null, null));
        board.draw();
        return board.svg.done();
    }

    private String words() {
        String name = plan.build().design().name();
        return name + " drawn in plan, " + up.word() + " up, in two sections and from the edge, "
                + (step < plan.steps().size()
                        ? "at the step “" + plan.steps().get(step).operation().title() + "”"
                        : "finished");
    }

    /** Whether the outline has been sawn before this step. */
    private boolean sawn() {
        return plan.history().steps().subList(0, Math.min(step, plan.steps().size())).stream()
                .anyMatch(s -> s.operation().key().equals("outline:saw"));
    }

    private boolean glued() {
        return plan.history().steps().subList(0, Math.min(step + 1, plan.steps().size())).stream()
                .flatMap(s -> s.changes().stream())
                .anyMatch(Change.Add.class::isInstance);
    }

    private void draw() {
        svg.open("defs");
        svg.hatch("hatch-front", "hatch-line", 6, 45);
        svg.hatch("hatch-back", "hatch-line", 6, -45);
        svg.hatch("hatch-now", "hatch-now-line", 5, 45);
        svg.close();
        plan();
        lengthwise();
        cross();
        edge();
    }

    private void plan() {
        if (glued() && !sawn()) {
            svg.path("body-wood", frame.path(plan.build().design().blank().plan()));
            svg.path("outline-later", frame.path(body));
        } else {
            svg.path(glued() ? "body-wood" : "outline-later", frame.path(body));
        }
        seams();
        List<Voids.Void> voids = Voids.of(plan, step, up);
        for (Voids.Void v : voids) {
            svg.path(cssOf(v), frame.path(v.area()));
        }
        svg.line("centre", frame.x(body.minY()) - 12, frame.y(0), frame.x(body.maxY()) + 12, frame.y(0));
        for (Voids.Void v : voids) {
            depthFigure(v);
        }
        plan.findings().forEach(this::spot);
    }

    private String cssOf(Voids.Void v) {
        String state = v.when().name().toLowerCase(Locale.ROOT);
        return "void " + state + (v.through() ? " through" : v.opensUp() ? " open" : " hidden");
    }

    private void depthFigure(Voids.Void v) {
        Region area = v.area();
        double across = (area.maxX() - area.minX()) * frame.scale();
        double along = (area.maxY() - area.minY()) * frame.scale();
        if (v.when() != Voids.When.LATER && v.opensUp() && !v.through() && across > 22 && along > 26) {
            Point at = area.centroid();
            svg.figure("figure", frame.x(at), frame.y(at) - 7, "middle", fig.parts(fig.brief(v.depthFromUp())));
        }
    }

    private void seams() {
        int pieces = plan.build().design().blank().pieces();
        double width = plan.build().design().blank().across() / pieces;
        Region sheet = sawn() ? body : plan.build().design().blank().plan();
        for (int i = 1; i < pieces && glued(); i++) {
            double x = plan.build().design().blank().plan().minX() + i * width;
            if (x > sheet.minX() && x < sheet.maxX()) {
                Region strip = Region.rectangle(new Point(x, (sheet.minY() + sheet.maxY()) / 2), 0.2, sheet.maxY() - sheet.minY(), 0, 0);
                svg.path("seam", frame.path(strip.intersection(sheet)));
            }
        }
    }

    private void spot(Finding finding) {
        finding.where().ifPresent(at -> {
            String severity = finding.severity() == Finding.Severity.STOPS ? "spot stops" : "spot";
            svg.open("g", "class", severity);
            svg.title(fig.what(finding));
            svg.circle("ring", frame.x(at), frame.y(at), 9);
            svg.text("bang", frame.x(at), frame.y(at) + 5, "middle", "!");
            svg.close();
        });
    }

    private double depth(double stockDepth) {
        double zero = up == Face.FRONT ? -plan.build().roughAboveFront() : plan.build().design().blank().thickness()
                - plan.build().roughAboveFront();
        return Math.abs(stockDepth - zero) * frame.scale();
    }

    private Stock before() {
        return plan.history().before(Math.min(step, plan.steps().size()));
    }

    private Stock after() {
        return plan.history().before(Math.min(step + 1, plan.steps().size()));
    }

    private double lengthTop() {
        return planBottom + GAP;
    }

    private void lengthwise() {
        svg.open("g", "class", "section", "id", "section-length");
        svg.path("taken", along(Section.lengthwise(before(), lines.acrossAt())));
        svg.path("wood", along(Section.lengthwise(after(), lines.acrossAt())));
        for (Section.Run run : merged(Section.lengthwise(after(), lines.acrossAt()))) {
            double a = frame.x(run.from());
            double b = frame.x(run.to());
            for (int i = 0; i < run.solid().length && b - a > LABELLED_RUN; i += 2) {
                left(run, i, (a + b) / 2, lengthTop() + depth(middle(run, i)) + 4);
            }
        }
        svg.figure("caption", frame.x(body.minY()), lengthTop() - 7, "start",
                fig.parts("lengthwise, " + side(lines.acrossAt())));
        svg.close();
    }

    private String side(double x) {
        return x == 0
                ? "on the centre line"
                : fig.length(Math.abs(x)) + (x > 0 ? " on the treble side" : " on the bass side");
    }

    private static double middle(Section.Run run, int i) {
        return (run.solid()[i] + run.solid()[i + 1]) / 2;
    }

    /** The figure of what is left, where something was cut away; in the warning colour under the shop's limit. */
    private void left(Section.Run run, int i, double x, double y) {
        double thick = run.solid()[i + 1] - run.solid()[i];
        boolean whole = run.solid().length == 2 && thick > faces.backNow() - faces.frontNow() - 1;
        if (!whole && thick > 0.05) {
            boolean thin = thick < plan.build().shop().limits().thinnestFloor();
            svg.figure(thin ? "figure thin" : "figure", x, y, "middle", fig.parts(fig.brief(thick)));
        }
    }

    /** Neighbouring runs between which the wood hardly changes, as on a tilted floor, told as one by its last cell. */
    private static List<Section.Run> merged(List<Section.Run> runs) {
        List<Section.Run> out = new ArrayList<>();
        for (Section.Run run : runs) {
            Section.Run last = out.isEmpty() ? null : out.get(out.size() - 1);
            if (last != null && last.to() == run.from() && close(last.solid(), run.solid())) {
                out.set(out.size() - 1, new Section.Run(last.from(), run.to(), run.solid()));
            } else {
                out.add(run);
            }
        }
        return out;
    }

    private static boolean close(double[] a, double[] b) {
        for (int i = 0; i < Math.min(a.length, b.length); i++) {
            if (Math.abs(a[i] - b[i]) > SLOPE) {
                return false;
            }
        }
        return a.length == b.length;
    }

    private String along(List<Section.Run> runs) {
        StringBuilder data = new StringBuilder();
        for (Section.Run run : runs) {
            for (int i = 0; i < run.solid().length; i += 2) {
                box(data, frame.x(run.from()), lengthTop() + depth(run.solid()[i]), frame.x(run.to()),
                        lengthTop() + depth(run.solid()[i + 1]));
            }
        }
        return data.toString();
    }

    private static void box(StringBuilder data, double x1, double y1, double x2, double y2) {
        data.append('M').append(Svg.n(x1)).append(' ').append(Svg.n(y1)).append('H').append(Svg.n(x2));
        data.append('V').append(Svg.n(y2)).append('H').append(Svg.n(x1)).append('Z');
    }

    private void cross() {
        double left = planRight + GAP;
        svg.open("g", "class", "section", "id", "section-cross");
        svg.path("taken", acrossPath(Section.across(before(), lines.alongAt()), left));
        svg.path("wood", acrossPath(Section.across(after(), lines.alongAt()), left));
        for (Section.Run run : merged(Section.across(after(), lines.alongAt()))) {
            double a = frame.y(run.from());
            double b = frame.y(run.to());
            for (int i = 0; i < run.solid().length && Math.abs(b - a) > LABELLED_RUN; i += 2) {
                left(run, i, left + depth(middle(run, i)), (a + b) / 2 + 4);
            }
        }
        svg.figure("caption", left + deep, lengthTop() - 7, "end", fig.parts("across, " + fig.length(Math.abs(lines.alongAt()))
                        + (lines.alongAt() < 0 ? " behind" : " before") + " the saddles"));
        svg.close();
    }

    private String acrossPath(List<Section.Run> runs, double left) {
        StringBuilder data = new StringBuilder();
        for (Section.Run run : runs) {
            for (int i = 0; i < run.solid().length; i += 2) {
                box(data, left + depth(run.solid()[i]), frame.y(run.from()), left + depth(run.solid()[i + 1]),
                        frame.y(run.to()));
            }
        }
        return data.toString();
    }

    /** The body seen from its near edge: what lies inside is dashed, as hidden edges are. */
    private void edge() {
        double top = lengthTop() + deep + GAP - 8;
        svg.group("edge");
        double front = top + depth(faces.frontNow());
        double back = top + depth(faces.backNow());
        svg.rect("wood", frame.x(body.minY()), Math.min(front, back), (body.maxY() - body.minY()) * frame.scale(),
                Math.abs(back - front));
        for (History.Step s : plan.history().steps().subList(0, Math.min(step + 1, plan.steps().size()))) {
            for (Change change : s.changes()) {
                if (History.isVoid(change)) {
                    hidden(change, top);
                }
            }
        }
        svg.text("caption", frame.x(body.minY()), top - 5, "start", "from the edge");
        svg.close();
    }

    private void hidden(Change change, double top) {
        Region area = change.solid().plan();
        double a = top + depth(Math.max(change.solid().shallowest(), faces.frontNow()));
        double b = top + depth(Math.min(change.solid().deepest(), faces.backNow()));
        StringBuilder data = new StringBuilder();
        box(data, frame.x(Math.max(area.minY(), body.minY())), Math.min(a, b), frame.x(Math.min(area.maxY(), body.maxY())),
                Math.max(a, b));
        svg.path("hidden-edge", data.toString());
    }

    /** The section lines last, so that they lie over everything and can be taken hold of. */
    private void handles() {
        double y = frame.y(lines.acrossAt());
        double x = frame.x(lines.alongAt());
        svg.open("g", "class", "cut-line", "data-axis", "across", "data-at", Svg.n(lines.acrossAt()), "data-scale",
                perMillimetre(up == Face.FRONT ? 1 : -1), "tabindex", "0", "role", "slider",
                "aria-label", "lengthwise section", "aria-orientation", "vertical", "aria-valuemin", Svg.n(body.minX()),
                "aria-valuemax", Svg.n(body.maxX()), "aria-valuenow", Svg.n(lines.acrossAt()));
        svg.line("grab", 6, y, planRight + 8, y);
        svg.line("mark", 6, y, planRight + 8, y);
        svg.path("handle", "M2 " + Svg.n(y - 9) + "L18 " + Svg.n(y) + "L2 " + Svg.n(y + 9) + "Z");
        svg.close();
        svg.open("g", "class", "cut-line", "data-axis", "along", "data-at", Svg.n(lines.alongAt()), "data-scale",
                perMillimetre(1), "tabindex", "0", "role", "slider", "aria-label", "cross-section",
                "aria-orientation", "horizontal", "aria-valuemin", Svg.n(body.minY()), "aria-valuemax",
                Svg.n(body.maxY()), "aria-valuenow", Svg.n(lines.alongAt()));
        svg.line("grab", x, 10, x, planBottom + 8);
        svg.line("mark", x, 10, x, planBottom + 8);
        svg.path("handle", "M" + Svg.n(x - 9) + " 4L" + Svg.n(x) + " 20L" + Svg.n(x + 9) + " 4Z");
        svg.close();
    }

    /** The scale as the hand's script needs it: a hundredth would be a millimetre off across a body. */
    private String perMillimetre(int sign) {
        return Decimals.plain(sign * frame.scale(), 6);
    }
}
