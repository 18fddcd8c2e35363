package ebauche.app.drawing;

import ebauche.app.web.Figures;
import ebauche.app.web.Kept;
import ebauche.app.words.Words;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Finding;
import ebauche.core.measure.Decimals;
import ebauche.core.plan.BuildPlan;
import ebauche.core.stock.Change;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;

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
    /** Width of a seam as it is drawn, mm. */
    private static final double PENCIL = 0.2;
    /** What is smaller can be pressed so far round its middle. */
    private static final double FINGER = 9;

    private final BuildPlan plan;
    private final Figures fig;
    private final int step;
    private final Face up;
    private final SectionLines lines;
    private final Region body;
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
        double thick =
                Math.max(plan.build().design().blank().thickness(), plan.build().thicknessed());
        Region blank = plan.build().design().blank().plan();
        Region sheet = sawn() ? body : body.union(blank);
        double along = sheet.maxY() - sheet.minY();
        double across = sheet.maxX() - sheet.minX();
        double scale = Math.min(
                (WIDTH - 2 * MARGIN - GAP) / (along + thick),
                (HEIGHT - 2 * MARGIN - 2 * GAP - 8) / (across + 2 * thick));
        this.deep = thick * scale;
        double top = MARGIN + 8;
        double middle = up == Face.FRONT ? top - sheet.minX() * scale : top + sheet.maxX() * scale;
        this.frame = new Frame(scale, MARGIN - sheet.minY() * scale, middle, up);
        this.planBottom = top + across * scale;
        this.planRight = frame.x(sheet.maxY());
        this.svg = new Svg(WIDTH, HEIGHT, "board", words());
    }

    private record AroundStep(Figures fig, int step, Face up, SectionLines lines) {}

    /** Draws the wood around one step, with section lines that can be moved. */
    public static String of(BuildPlan plan, Figures fig, int step, Face up, SectionLines lines) {
        return Kept.with(plan).get(new AroundStep(fig, step, up, lines), () -> {
            BoardDrawing board = new BoardDrawing(plan, fig, step, up, lines);
            board.draw();
            board.handles();
            return board.svg.done();
        });
    }

    private record Finished(Figures fig) {}

    /** Draws the finished body from the front, with nothing to move. */
    public static String finished(BuildPlan plan, Figures fig) {
        return Kept.with(plan).get(new Finished(fig), () -> {
            BoardDrawing board = new BoardDrawing(
                    plan,
                    fig,
                    plan.steps().size(),
                    Face.FRONT,
                    SectionLines.within(plan, plan.steps().size(), null, null));
            board.draw();
            return board.svg.done();
        });
    }

    /**
     * Something on the plan that can be pressed, and moved if a hand may.
     *
     * @param key of what comes in hand with it
     * @param moves word of the feature that moves with it, empty if no hand may move it
     * @param title what it is called
     * @param said to those who cannot see it: what it is and what can be done with it
     * @param areas where it lies
     * @param held whether it is in hand
     */
    public record Pressed(String key, String moves, String title, String said, List<Region> areas, boolean held) {
        /** The middle of all of it. */
        public Point middle() {
            return new Point(
                    (least(Region::minX) + most(Region::maxX)) / 2, (least(Region::minY) + most(Region::maxY)) / 2);
        }

        private double least(ToDoubleFunction<Region> of) {
            return areas.stream().mapToDouble(of).min().orElse(0);
        }

        private double most(ToDoubleFunction<Region> of) {
            return areas.stream().mapToDouble(of).max().orElse(0);
        }

        private double size() {
            return areas.stream().mapToDouble(Region::area).sum();
        }
    }

    /** Draws the finished body from the front, whose parts can be pressed and moved; the sections go through what is in hand. */
    public static String changing(BuildPlan plan, Figures fig, SectionLines lines, List<Pressed> parts) {
        return Kept.with(plan).get(new Changing(fig, lines, List.copyOf(parts)), () -> {
            BoardDrawing board = new BoardDrawing(plan, fig, plan.steps().size(), Face.FRONT, lines);
            board.svg.attribute("data-scale", board.perMillimetre(1));
            board.draw();
            parts.stream()
                    .sorted(Comparator.comparingDouble(Pressed::size).reversed())
                    .forEach(board::pressed);
            return board.svg.done();
        });
    }

    private record Changing(Figures fig, SectionLines lines, List<Pressed> parts) {}

    private void pressed(Pressed part) {
        svg.open("g", "class", "pressed" + (part.moves().isEmpty() ? "" : " movable") + (part.held() ? " held" : ""));
        svg.attribute("data-part", part.key()).attribute("data-moves", part.moves());
        svg.attribute("tabindex", "0").attribute("role", "button");
        svg.attribute("aria-label", part.said()).attribute("aria-pressed", String.valueOf(part.held()));
        svg.title(part.title());
        for (Region area : part.areas()) {
            double wide = (area.maxX() - area.minX()) * frame.scale();
            double tall = (area.maxY() - area.minY()) * frame.scale();
            if (Math.min(wide, tall) < 2 * FINGER) {
                Point at = area.centroid();
                svg.circle("finger", frame.x(at), frame.y(at), FINGER);
            }
            svg.path("over", frame.path(area));
        }
        svg.close();
    }

    private String words() {
        String name = plan.build().design().name();
        return step < plan.steps().size()
                ? Words.say(
                        "board-drawing.drawn-in-plan-up-in-two",
                        name,
                        up.word(),
                        plan.steps().get(step).operation().title())
                : Words.say("board-drawing.drawn-in-plan-up-in-two-2", name, up.word());
    }

    /** Whether the outline has been sawn before this step. */
    private boolean sawn() {
        return plan.history().steps().subList(0, Math.min(step, plan.steps().size())).stream()
                .anyMatch(s -> s.operation().key().is(StepKind.SAW));
    }

    private boolean glued() {
        return plan.history().steps().subList(0, Math.min(step + 1, plan.steps().size())).stream()
                .flatMap(s -> s.changes().stream())
                .anyMatch(c -> c instanceof Change.Add add && add.isBlank());
    }

    private void draw() {
        svg.open("defs");
        svg.hatch("hatch-front", "hatch-line", 6, 45);
        svg.hatch("hatch-back", "hatch-line", 6, -45);
        svg.hatch("hatch-now", "hatch-now-line", 5, 45);
        svg.close();
        plan();
        depthViews();
    }

    private void depthViews() {
        SectionDrawing depths = new SectionDrawing(svg, plan, fig, frame, step);
        double lengthTop = planBottom + GAP;
        double edgeTop = lengthTop + deep + GAP - 8;
        double crossLeft = planRight + GAP;
        double bodyLeft = frame.x(body.minY());
        depths.lengthwise(lines.acrossAt(), lengthTop);
        depths.across(lines.alongAt(), crossLeft);
        depths.edge(edgeTop);
        svg.figure(
                "caption length-caption",
                bodyLeft,
                lengthTop - 7,
                "start",
                Figures.parts(Words.say("board-drawing.lengthwise", side(lines.acrossAt()))));
        svg.figure(
                "caption",
                crossLeft + deep,
                lengthTop - 7,
                "end",
                Figures.parts(Words.say("board-drawing.across-of-the-saddles", fig.fromSaddles(lines.alongAt()))));
        svg.text("caption", bodyLeft, edgeTop - 5, "start", Words.say("board-drawing.from-the-edge"));
    }

    private String side(double x) {
        return x == 0
                ? Words.say("board-drawing.on-the-centre-line")
                : Words.say(
                        "board-drawing.on-the-side",
                        fig.length(Math.abs(x)),
                        plan.build().design().hand().side(x));
    }

    private void plan() {
        if (glued() && !sawn()) {
            svg.path("body-wood", frame.path(plan.build().design().blank().plan()));
            svg.path("outline-later", frame.path(body));
        } else {
            svg.path(glued() ? "body-wood" : "outline-later", frame.path(plan.edgeBefore(step)));
        }
        seams();
        Carves.draw(svg, frame, plan, step);
        List<Voids.Hollow> voids = Voids.of(plan, step, up);
        for (Voids.Hollow v : voids) {
            svg.path(cssOf(v), frame.path(v.area()));
        }
        if (up == Face.FRONT) {
            plan.build().design().plateLines().forEach(line -> svg.path("plate", frame.path(line)));
        }
        svg.line("centre", frame.x(body.minY()) - 12, frame.y(0), frame.x(body.maxY()) + 12, frame.y(0));
        for (Voids.Hollow v : voids) {
            depthFigure(v);
        }
        plan.findings().forEach(this::spot);
    }

    private String cssOf(Voids.Hollow v) {
        String state = v.when().name().toLowerCase(Locale.ROOT);
        return "void " + state + (v.through() ? " through" : v.opensUp() ? " open" : " hidden");
    }

    private void depthFigure(Voids.Hollow v) {
        Region area = v.area();
        double across = (area.maxX() - area.minX()) * frame.scale();
        double along = (area.maxY() - area.minY()) * frame.scale();
        if (v.when() != Voids.When.LATER && v.opensUp() && !v.through() && across > 22 && along > 26) {
            Point at = area.centroid();
            svg.figure("figure", frame.x(at), frame.y(at) - 7, "middle", Figures.parts(fig.deep(v.depthFromUp())));
        }
    }

    private void seams() {
        Region sheet = sawn() ? body : plan.build().design().blank().plan();
        double middle = (sheet.minY() + sheet.maxY()) / 2;
        double length = sheet.maxY() - sheet.minY();
        for (double x : plan.build().design().blank().seams()) {
            if (glued() && x > sheet.minX() && x < sheet.maxX()) {
                Region strip = Region.rectangle(new Point(x, middle), PENCIL, length, 0, 0);
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

    /** The section lines last, so that they lie over everything and can be taken hold of. */
    private void handles() {
        double y = frame.y(lines.acrossAt());
        double x = frame.x(lines.alongAt());
        cutLine(
                "lengthwise section",
                "across",
                "vertical",
                lines.acrossAt(),
                body.minX(),
                body.maxX(),
                up == Face.FRONT ? 1 : -1);
        lineAndHandle(6, y, planRight + 8, y, "M2 " + Svg.n(y - 9) + "L18 " + Svg.n(y) + "L2 " + Svg.n(y + 9) + "Z");
        cutLine("cross-section", "along", "horizontal", lines.alongAt(), body.minY(), body.maxY(), 1);
        lineAndHandle(x, 10, x, planBottom + 8, "M" + Svg.n(x - 9) + " 4L" + Svg.n(x) + " 20L" + Svg.n(x + 9) + " 4Z");
    }

    /** Opens a section line as a slider; the script moves it by its axis, place and scale. */
    private void cutLine(
            String words, String axis, String orientation, double at, double least, double most, int sign) {
        svg.open("g", "class", "cut-line", "data-axis", axis, "data-at", Svg.n(at), "data-scale", perMillimetre(sign));
        svg.attribute("tabindex", "0").attribute("role", "slider").attribute("aria-label", words);
        svg.attribute("aria-orientation", orientation).attribute("aria-valuenow", Svg.n(at));
        svg.attribute("aria-valuemin", Svg.n(least)).attribute("aria-valuemax", Svg.n(most));
    }

    private void lineAndHandle(double x1, double y1, double x2, double y2, String handle) {
        svg.line("grab", x1, y1, x2, y2);
        svg.line("mark", x1, y1, x2, y2);
        svg.path("handle", handle);
        svg.close();
    }

    /** The scale as the hand's script needs it: a hundredth would be a millimetre off across a body. */
    private String perMillimetre(int sign) {
        return Decimals.plain(sign * frame.scale(), 6);
    }
}
