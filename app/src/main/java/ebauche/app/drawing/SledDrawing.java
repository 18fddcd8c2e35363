package ebauche.app.drawing;

import ebauche.app.web.Figures;
import ebauche.core.geometry.Face;
import ebauche.core.shop.Practice.Thicknessing;
import ebauche.core.thickness.Ledger;
import ebauche.core.thickness.Pass;
import ebauche.core.thickness.PlaningWays;
import ebauche.core.thickness.Tracks;
import java.util.List;

/**
 * The blank from its end, sawdust to come drawn as layers, pass by pass; and its face from above with the way of the work.
 * Depth is drawn larger than width: its scale is written beside it.
 */
public final class SledDrawing {
    private static final double WIDTH = 760;
    private static final double END_TOP = 30;
    private static final double END_HEIGHT = 190;
    private static final double PLAN_TOP = 260;
    private static final double LEFT = 90;

    private SledDrawing() {}

    public static String of(
            Ledger ledger, double across, double along, Tracks tracks, List<PlaningWays> ways, Figures fig) {
        Svg svg =
                new Svg(WIDTH, 470, "sled", ledger.passes().size() + " passes still to take, drawn on the blank's end");
        end(svg, ledger, fig);
        plan(svg, ledger, across, along, tracks, ways);
        return svg.done();
    }

    /** The end: the front's passes come off the top, the back's off the bottom. */
    private static void end(Svg svg, Ledger ledger, Figures fig) {
        double high = ledger.highNow().value();
        double perMm = END_HEIGHT / Math.max(high, ledger.target());
        double width = WIDTH - 2 * LEFT;
        svg.rect("stock", LEFT, END_TOP, width, high * perMm);
        double top = END_TOP;
        double bottom = END_TOP + high * perMm;
        double written = Double.NEGATIVE_INFINITY;
        double writtenLow = Double.POSITIVE_INFINITY;
        for (Pass pass : ledger.passes()) {
            double h = pass.bite() * perMm;
            boolean front = pass.face() == Face.FRONT;
            double y = front ? top : bottom - h;
            svg.rect(front ? "pass" : "pass back", LEFT, y, width, h);
            double middle = y + h / 2 + 5;
            boolean room = front ? middle - written >= 15 : writtenLow - middle >= 15;
            if (room) {
                svg.text("caption", LEFT - 10, middle, "end", String.valueOf(pass.number()));
                svg.figure("figure", LEFT + width + 10, middle, "start", fig.parts(fig.brief(pass.leaves())));
                written = front ? middle : written;
                writtenLow = front ? writtenLow : middle;
            }
            top += front ? h : 0;
            bottom -= front ? 0 : h;
        }
        svg.rect("kept", LEFT, top, width, Math.max(0, bottom - top));
        svg.figure(
                "figure keep",
                LEFT + width / 2,
                (top + bottom) / 2 + 6,
                "middle",
                fig.parts(fig.length(ledger.target()) + " stays"));
        svg.text("caption", LEFT, END_TOP - 10, "start", "from the end, front up; depth enlarged");
    }

    private static void plan(
            Svg svg, Ledger ledger, double across, double along, Tracks tracks, List<PlaningWays> ways) {
        double w = (WIDTH - 2 * LEFT - 40) / 2;
        double scale = Math.min(w / along, 160 / across);
        double x0 = LEFT;
        for (PlaningWays face : ways) {
            svg.text("caption", x0, PLAN_TOP - 10, "start", face.face().word() + " up, neck to the right");
            svg.rect("kept", x0, PLAN_TOP, along * scale, across * scale);
            if (ledger.school() == Thicknessing.ROUTER_SLED) {
                for (int i = 0; i < tracks.count(); i++) {
                    double y = PLAN_TOP
                            + Math.min(across - tracks.bit() / 2, tracks.bit() / 2 + i * tracks.step()) * scale;
                    svg.line("track", x0 + 4, y, x0 + along * scale - 4, y);
                }
            }
            arrows(svg, face, x0, across * scale, along * scale);
            x0 += along * scale + 40;
        }
    }

    private static void arrows(Svg svg, PlaningWays face, double x0, double height, double length) {
        int n = face.strips().size();
        for (int i = 0; i < n; i++) {
            double y = PLAN_TOP + height * (i + 0.5) / n;
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
