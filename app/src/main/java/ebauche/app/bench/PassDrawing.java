package ebauche.app.bench;

import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.drawing.Voids;
import ebauche.app.web.Kept;
import ebauche.app.words.Words;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.plan.BuildPlan;
import ebauche.core.sheet.MarkingOut;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** This pass at the bench: the body as it lies, what is cut now, and which way the router goes round it. */
public final class PassDrawing {
    private static final double HEIGHT = 300;
    private static final double MARGIN = 14;

    /** Nearer together than this, numbers cover each other. */
    private static final double CLEAR = 24;

    /** As high as a number stands. */
    private static final double FIGURE = 16;

    private PassDrawing() {}

    private record AtStep(int step, boolean marked) {}

    /**
     * Draws it.
     *
     * @param marking where that step is marked, where it is shown
     */
    public static String of(BuildPlan plan, int step, Optional<MarkingOut> marking) {
        return Kept.with(plan).get(new AtStep(step, marking.isPresent()), () -> drawn(plan, step, marking));
    }

    private static String drawn(BuildPlan plan, int step, Optional<MarkingOut> marking) {
        Operation op = plan.steps().get(step).operation();
        Region body = plan.build().design().outline().region();
        boolean sawn = isSawn(plan, step);
        Region sheet = sawn ? body : body.union(plan.build().design().blank().plan());
        double scale = (HEIGHT - 2 * MARGIN) / (sheet.maxX() - sheet.minX());
        // No wider than what is drawn: the room beside it makes it smaller.
        double width = (sheet.maxY() - sheet.minY()) * scale + 2 * MARGIN;
        double middleX = (sheet.maxX() + sheet.minX()) / 2 * (op.face() == Face.FRONT ? 1 : -1);
        Frame frame = new Frame(
                scale, width / 2 - (sheet.maxY() + sheet.minY()) / 2 * scale, HEIGHT / 2 - middleX * scale, op.face());
        Svg svg = new Svg(
                width,
                HEIGHT,
                "board",
                Words.say("pass-drawing.up", op.title(), op.face().word()));
        svg.open("defs");
        svg.hatch("hatch-front", "hatch-line", 6, 45);
        svg.hatch("hatch-back", "hatch-line", 6, -45);
        svg.hatch("hatch-now", "hatch-now-line", 5, 45);
        svg.close();
        if (sawn) {
            svg.path("body-wood", frame.path(plan.edgeBefore(step)));
        } else {
            blank(svg, frame, plan);
        }
        Region now = Region.EMPTY;
        for (Voids.Hollow v : Voids.of(plan, step, op.face())) {
            if (v.when() != Voids.When.LATER) {
                svg.path(
                        "void " + (v.when() == Voids.When.NOW ? "now" : "before")
                                + (v.through() ? " through" : v.opensUp() ? " open" : " hidden"),
                        frame.path(v.area()));
                now = v.when() == Voids.When.NOW ? v.area() : now;
            }
        }
        if (op.key().is(StepKind.LOCATE) && op.face() == Face.FRONT) {
            plan.build().design().plateLines().forEach(line -> svg.path("plate", frame.path(line)));
        }
        svg.line("centre", frame.x(body.minY()) - 8, frame.y(0), frame.x(body.maxY()) + 8, frame.y(0));
        marking.ifPresent(m -> {
            if (op.key().is(StepKind.LINE) && op.setting().figure().isEmpty()) {
                line(svg, frame, m.marks());
            }
            marks(svg, frame, m);
        });
        if (op.setting().feed() != Setting.Feed.NONE) {
            feed(svg, frame, now.isEmpty() ? body : now, op.setting().feed());
        }
        return svg.done();
    }

    /** Whether the outline has been sawn before this step. */
    private static boolean isSawn(BuildPlan plan, int step) {
        return plan.steps().subList(0, step).stream()
                .anyMatch(s -> s.operation().key().is(StepKind.SAW));
    }

    /** The blank with its seams, and the outline that will be sawn out of it. */
    private static void blank(Svg svg, Frame frame, BuildPlan plan) {
        Region blank = plan.build().design().blank().plan();
        svg.path("body-wood", frame.path(blank));
        for (double x : plan.build().design().blank().seams()) {
            svg.line("seam-line", frame.x(blank.minY()), frame.y(x), frame.x(blank.maxY()), frame.y(x));
        }
        svg.path("outline-later", frame.path(plan.build().design().outline().region()));
    }

    /** A straight line to draw, from its first mark to its last. */
    private static void line(Svg svg, Frame frame, List<MarkingOut.Mark> marks) {
        Point from = marks.get(0).place().at();
        Point to = marks.get(marks.size() - 1).place().at();
        svg.line("mark-line", frame.x(from), frame.y(from), frame.x(to), frame.y(to));
    }

    /** The places to mark, numbered as on the card; of those that stand close the first and the last have their numbers. */
    private static void marks(Svg svg, Frame frame, MarkingOut card) {
        List<MarkingOut.Mark> marks = new ArrayList<>(card.marks());
        if (marks.size() > 2) {
            marks.add(1, marks.remove(marks.size() - 1));
        }
        List<Point> numbered = new ArrayList<>();
        for (MarkingOut.Mark mark : marks) {
            Point at =
                    new Point(frame.x(mark.place().at()), frame.y(mark.place().at()));
            svg.circle("mark", at.x(), at.y(), 4);
            if (numbered.stream().allMatch(n -> n.distance(at) > CLEAR)) {
                numbered.add(at);
                // A mark at the picture's edge keeps its number in the picture.
                svg.text(
                        "mark-number",
                        at.x() + 7,
                        Math.max(FIGURE, at.y() - 6),
                        "start",
                        String.valueOf(mark.number()));
            }
        }
    }

    /** An arc with a head round the middle of what is cut, as the hand goes seen from above. */
    private static void feed(Svg svg, Frame frame, Region about, Setting.Feed feed) {
        double x = frame.x(about.centroid());
        double y = frame.y(about.centroid());
        double r = Math.max(18, Math.min(70, (about.maxX() - about.minX()) * frame.scale() * 0.3));
        boolean clockwise = feed == Setting.Feed.CLOCKWISE;
        double side = clockwise ? 1 : -1;
        svg.path(
                "feed-arc",
                "M" + Svg.n(x - side * r) + " " + Svg.n(y) + "A" + Svg.n(r) + " " + Svg.n(r) + " 0 1 "
                        + (clockwise ? 1 : 0) + " " + Svg.n(x) + " " + Svg.n(y + r));
        svg.path(
                "feed-head",
                "M" + Svg.n(x + side * 11) + " " + Svg.n(y + r - 9) + "L" + Svg.n(x - side * 7) + " " + Svg.n(y + r)
                        + "L" + Svg.n(x + side * 11) + " " + Svg.n(y + r + 9) + "Z");
    }
}
