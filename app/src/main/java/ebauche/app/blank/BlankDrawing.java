package ebauche.app.blank;

import ebauche.app.drawing.Decimal;
import ebauche.app.drawing.Frame;
import ebauche.app.drawing.Svg;
import ebauche.app.timber.Faults;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.blank.BlankNeed;
import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Strip;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.layout.Judgement;
import ebauche.core.layout.Need;
import ebauche.core.layout.Pocket;
import ebauche.core.plan.BuildPlan;
import ebauche.core.timber.Rings;
import java.util.List;

/**
 * A blank on the bench, neck to the right: its strips with their seams and grain, the body's outline and pockets over it,
 * each fault with what becomes of it; under it the end with the rings of every strip.
 */
public final class BlankDrawing {
    private static final double WIDTH = 760;
    private static final double MARGIN = 22;
    private static final double END = 92;
    private static final double MOST_HEIGHT = 520;

    /** At the bench it is shown at this size, so that its figures stay legible. */
    private static final double BENCH_HEIGHT = 250;

    private static final double BENCH_WIDTH = 520;

    private final Blank blank;
    private final BlankLayer layer;
    private final Need need;
    private final Frame frame;
    private final Svg svg;

    private BlankDrawing(Blank blank, BlankLayer layer, Need need, double most, double width, String css) {
        this.blank = blank;
        this.layer = layer;
        this.need = need;
        Region sheet = blank.plan();
        double minX = Math.min(sheet.minX(), need.outline().minX());
        double maxX = Math.max(sheet.maxX(), need.outline().maxX());
        double minY = Math.min(sheet.minY(), need.outline().minY());
        double maxY = Math.max(sheet.maxY(), need.outline().maxY());
        double side = css.contains("small") ? 0 : END;
        double margin = css.contains("small") ? 4 : MARGIN;
        double scale = Math.min((width - 2 * margin - side) / (maxY - minY), (most - 2 * margin) / (maxX - minX));
        double height = (maxX - minX) * scale + 2 * margin;
        this.frame = new Frame(scale, margin - minY * scale, margin - minX * scale, Face.FRONT);
        this.svg = new Svg(width, height, css, words());
        svg.attribute("data-scale", Decimal.six(scale));
    }

    private String words() {
        return Words.say(
                "blank-drawing.piece-of-the-bodys-outline-over", layer.strips().size(), layer.words());
    }

    /** Small, for the list of layouts. */
    public static String small(Blank blank, BlankLayer layer, Need need, List<Judgement> judged, Figures fig) {
        BlankDrawing drawing = new BlankDrawing(blank, layer, need, 110, 150, "blank small");
        drawing.strips(false);
        drawing.faults(judged);
        drawing.svg.path("outline", drawing.frame.path(need.outline()));
        return drawing.svg.done();
    }

    /** Large; the outline with its pockets is one group that the hand can drag. */
    public static String large(Blank blank, BlankLayer layer, Need need, List<Judgement> judged, Figures fig) {
        BlankDrawing drawing = new BlankDrawing(blank, layer, need, MOST_HEIGHT, WIDTH, "blank");
        drawing.strips(true);
        drawing.faults(judged);
        drawing.body();
        drawing.end();
        return drawing.svg.done();
    }

    /** What is to be cut out of the board: how wide and how long, and how the body will lie in it. */
    public static String toCut(BuildPlan plan, Figures fig) {
        Build build = plan.build();
        Blank blank = build.design().blank();
        BlankDrawing drawing = new BlankDrawing(
                blank, blank.core(), BlankNeed.whole(build, plan.history()), BENCH_HEIGHT, BENCH_WIDTH, "blank");
        drawing.strips(true);
        drawing.svg.path("outline", drawing.frame.path(drawing.need.outline()));
        Region sheet = blank.plan();
        double right = drawing.frame.x(sheet.maxY());
        double low = drawing.frame.y(sheet.maxX());
        drawing.svg.figure(
                "figure",
                right - 8,
                low - 8,
                "end",
                Figures.parts(Words.say("blank-drawing.long", fig.tape(blank.along()))));
        drawing.svg.figure(
                "figure",
                right + 8,
                (low + drawing.frame.y(sheet.minX())) / 2,
                "start",
                Figures.parts(fig.tape(blank.across())));
        return drawing.svg.done();
    }

    private void strips(boolean named) {
        double x = blank.middleX() - layer.width() / 2;
        double low = blank.middleY() - blank.along() / 2;
        double high = low + blank.along();
        int number = 1;
        for (Strip strip : layer.strips()) {
            double y0 = frame.y(x);
            double h = strip.width() * frame.scale();
            svg.rect("strip" + (number % 2 == 0 ? " other" : ""), frame.x(low), y0, blank.along() * frame.scale(), h);
            grain(strip, x, low, high);
            if (named) {
                String words = number
                        + (strip.board().isEmpty() ? "" : "  " + strip.board())
                        + strip.species().map(s -> "  " + s.name()).orElse("");
                svg.text("strip-name", frame.x(low) + 8, y0 + Math.min(h - 5, 18), "start", words);
            }
            x += strip.width();
            number++;
        }
        for (double seam : blank.seams(layer)) {
            svg.line("seam", frame.x(low), frame.y(seam), frame.x(high), frame.y(seam));
        }
    }

    /** An arrow the way the upper face is planed, lying as the grain lies. */
    private void grain(Strip strip, double left, double low, double high) {
        double middle = left + strip.width() / 2;
        double from = low + (high - low) * 0.12;
        double to = low + (high - low) * 0.3;
        double drift = (to - from) * Math.tan(Math.toRadians(strip.grainAngle())) / 2;
        svg.line("grain", frame.x(from), frame.y(middle - drift), frame.x(to), frame.y(middle + drift));
        int way = strip.planedTowardsNeck();
        if (way != 0) {
            double tip = way > 0 ? frame.x(to) : frame.x(from);
            double y = frame.y(middle + way * drift);
            svg.path(
                    "way",
                    "M" + Svg.n(tip - 8 * way) + " " + Svg.n(y - 5) + "L" + Svg.n(tip) + " " + Svg.n(y) + "L"
                            + Svg.n(tip - 8 * way) + " " + Svg.n(y + 5));
        }
    }

    private void faults(List<Judgement> judged) {
        for (Judgement j : judged) {
            Faults.draw(
                    svg,
                    j.flaw().kind(),
                    j.bad() ? "bad" : "fine",
                    j.inWords(),
                    frame.x(j.flaw().minY()),
                    frame.y(j.flaw().minX()),
                    (j.flaw().maxY() - j.flaw().minY()) * frame.scale(),
                    (j.flaw().maxX() - j.flaw().minX()) * frame.scale());
        }
    }

    private void body() {
        svg.open("g", "class", "drag-body", "tabindex", "0", "role", "application");
        svg.attribute("aria-label", Words.say("blank-drawing.the-outline-over-the-blank-drag"));
        svg.path("outline", frame.path(need.outline()));
        for (Pocket pocket : need.pockets()) {
            boolean front = pocket.top() <= 0.01;
            svg.path(front ? "pocket front" : "pocket", frame.path(pocket.area()));
        }
        svg.path("covered", frame.path(need.coveredFront()));
        svg.line(
                "centre",
                frame.x(need.outline().minY()) - 10,
                frame.y(0),
                frame.x(need.outline().maxY()) + 10,
                frame.y(0));
        svg.close();
    }

    /** The end towards the neck: how the rings stand, so that neighbours' cups cancel. */
    private void end() {
        double x0 = frame.x(Math.max(blank.plan().maxY(), need.outline().maxY())) + 34;
        double w = Math.min(END - 44, layer.thickness() * frame.scale());
        double x = blank.middleX() - layer.width() / 2;
        svg.text("caption", x0 + w / 2, frame.y(x) - 8, "middle", "rings");
        for (Strip strip : layer.strips()) {
            double y0 = frame.y(x);
            double h = strip.width() * frame.scale();
            svg.rect("strip", x0, y0, w, h);
            for (int i = 1; i <= 3; i++) {
                svg.path("ring", ring(strip, x0, y0, w, h, i / 4.0));
            }
            x += strip.width();
        }
    }

    /** Front to the left: a heart that lies up bows the rings away from it. */
    private static String ring(Strip strip, double x0, double y0, double w, double h, double share) {
        if (strip.rings() == Rings.QUARTERED) {
            double y = y0 + h * share;
            return "M" + Svg.n(x0) + " " + Svg.n(y) + "L" + Svg.n(x0 + w) + " " + Svg.n(y);
        }
        if (strip.rings() == Rings.RIFT) {
            double y = y0 + h * share;
            return "M" + Svg.n(x0) + " " + Svg.n(Math.max(y0, y - w / 2)) + "L" + Svg.n(x0 + w) + " "
                    + Svg.n(Math.min(y0 + h, y + w / 2));
        }
        double at = x0 + w * share;
        double bow = strip.heartUp().map(up -> up ? w * 0.45 : -w * 0.45).orElse(0.0);
        double middle = Math.max(x0, Math.min(x0 + w, at + bow));
        return "M" + Svg.n(at) + " " + Svg.n(y0) + "Q" + Svg.n(middle) + " " + Svg.n(y0 + h / 2) + " " + Svg.n(at) + " "
                + Svg.n(y0 + h);
    }
}
