package ebauche.app.blank;

import ebauche.app.drawing.Svg;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.geometry.Face;
import ebauche.core.measure.Rounding;
import ebauche.core.shop.Practice.Thicknessing;
import ebauche.core.thickness.Ledger;
import ebauche.core.thickness.PlaningWays;
import ebauche.core.thickness.ThicknessingPass;
import ebauche.core.thickness.Tracks;
import java.util.List;

/**
 * The blank from its end, sawdust to come drawn as layers, pass by pass; and its face from above with the way of the work.
 */
public final class SledDrawing {
    private static final double WIDTH = 760;
    private static final double END_TOP = 30;
    /** For the passes of both faces together. */
    private static final double END_HEIGHT = 160;

    private static final double KEPT_HEIGHT = 56;
    private static final double MOST_PER_MM = 30;
    private static final double LEAST_FOR_WORDS = 11;
    private static final double PLAN_HEIGHT = 186;
    private static final double GAP = 44;
    private static final double LEFT = 90;

    private SledDrawing() {}

    public static String of(
            Ledger ledger, double across, double along, Tracks tracks, List<PlaningWays> ways, Figures fig) {
        double planTop = END_TOP + (ledger.frontLeft() + ledger.backLeft()) * perMm(ledger) + KEPT_HEIGHT + GAP;
        Svg svg = new Svg(
                WIDTH,
                planTop + PLAN_HEIGHT + 14,
                "sled",
                Words.say(
                        "sled-drawing.passes-still-to-take-drawn-on",
                        ledger.passes().size()));
        end(svg, ledger, fig);
        plan(svg, planTop, ledger, across, along, tracks, ways);
        return svg.done();
    }

    private static double perMm(Ledger ledger) {
        double most = Math.max(ledger.frontLeft(), ledger.backLeft());
        return Math.min(MOST_PER_MM, END_HEIGHT / 2 / Math.max(0.1, most));
    }

    /** The end: the front's passes come off the top, the back's off the bottom; what stays is drawn short between. */
    private static void end(Svg svg, Ledger ledger, Figures fig) {
        double front = ledger.frontLeft();
        double back = ledger.backLeft();
        double perMm = perMm(ledger);
        double width = WIDTH - 2 * LEFT;
        double keepTop = END_TOP + front * perMm;
        double top = END_TOP;
        double bottom = keepTop + KEPT_HEIGHT + back * perMm;
        for (ThicknessingPass pass : ledger.passes()) {
            double h = pass.bite() * perMm;
            boolean onFront = pass.face() == Face.FRONT;
            double y = onFront ? top : bottom - h;
            svg.rect(onFront ? "pass" : "pass back", LEFT, y, width, h);
            if (h >= LEAST_FOR_WORDS) {
                svg.text("caption", LEFT - 10, y + h / 2 + 5, "end", String.valueOf(pass.number()));
                svg.figure(
                        "figure",
                        LEFT + width + 10,
                        y + h / 2 + 5,
                        "start",
                        Figures.parts(fig.machineNumber(pass.leaves(), Rounding.MORE)));
            }
            top += onFront ? h : 0;
            bottom -= onFront ? 0 : h;
        }
        svg.rect("kept", LEFT, keepTop, width, KEPT_HEIGHT);
        String stays = Words.say("sled-drawing.stays", fig.calliper(ledger.target()));
        svg.figure("figure keep", LEFT + width / 2, keepTop + KEPT_HEIGHT / 2 + 6, "middle", Figures.parts(stays));
        svg.text("caption", LEFT, END_TOP - 10, "start", Words.say("sled-drawing.from-the-end-front-up-what"));
    }

    private static void plan(
            Svg svg, double top, Ledger ledger, double across, double along, Tracks tracks, List<PlaningWays> ways) {
        double w = (WIDTH - 2 * LEFT - 40) / 2;
        double scale = Math.min(w / along, PLAN_HEIGHT / across);
        double x0 = LEFT;
        for (PlaningWays face : ways) {
            svg.text(
                    "caption",
                    x0,
                    top - 10,
                    "start",
                    Words.say("sled-drawing.up-neck-to-the-right", face.face().word()));
            svg.rect("kept", x0, top, along * scale, across * scale);
            if (ledger.school() == Thicknessing.ROUTER_SLED) {
                for (int i = 0; i < tracks.count(); i++) {
                    double y = top + Math.min(across - tracks.bit() / 2, tracks.bit() / 2 + i * tracks.step()) * scale;
                    svg.line("track", x0 + 4, y, x0 + along * scale - 4, y);
                }
            }
            arrows(svg, face, x0, top, scale, along * scale);
            x0 += along * scale + 40;
        }
    }

    private static void arrows(Svg svg, PlaningWays face, double x0, double top, double scale, double length) {
        int n = face.strips().size();
        double begins = top;
        for (int i = 0; i < n; i++) {
            double wide = face.widths().get(i) * scale;
            double y = begins + wide / 2;
            begins += wide;
            int way = face.strips().get(i);
            double from = x0 + length * 0.25;
            double to = x0 + length * 0.75;
            svg.line("way-line", from, y, to, y);
            for (int end : new int[] {-1, 1}) {
                if (way == 0 || way == end) {
                    double tip = end > 0 ? to : from;
                    svg.path(
                            "way",
                            "M" + Svg.n(tip - 9 * end) + " " + Svg.n(y - 6) + "L" + Svg.n(tip) + " " + Svg.n(y) + "L"
                                    + Svg.n(tip - 9 * end) + " " + Svg.n(y + 6));
                }
            }
        }
    }
}
