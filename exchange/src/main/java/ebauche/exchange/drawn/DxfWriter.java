package ebauche.exchange.drawn;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import ebauche.core.measure.Decimals;
import ebauche.core.sheet.TemplateSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Writes templates as DXF in text form at true size, in millimetres: one polyline a line, arcs as bulges, curves as chords within
 * half a hundredth of a millimetre. Only the plainest entities are used, so that old programs read it.
 */
public final class DxfWriter {
    private static final String LINE = "\r\n";
    private static final double CROSS = 4;

    private final StringBuilder out = new StringBuilder();

    private DxfWriter() {}

    /** Writes templates that lie on one face into one drawing. */
    public static String write(List<TemplateSheet> sheets) {
        DxfWriter dxf = new DxfWriter();
        dxf.pair(0, "SECTION")
                .pair(2, "HEADER")
                .pair(9, "$INSUNITS")
                .pair(70, "4")
                .pair(0, "ENDSEC");
        dxf.pair(0, "SECTION").pair(2, "ENTITIES");
        double[] box = SvgWriter.box(sheets);
        dxf.line("CENTRE_LINE", new Point(0, box[1] - 5), new Point(0, box[3] + 5));
        for (TemplateSheet sheet : sheets) {
            String layer = sheet.feature().word().toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "_")
                    + (sheet.mirrored() ? "_FROM_BACK" : "");
            sheet.rings().forEach(r -> dxf.polyline(layer, r));
            for (Point hole : sheet.holes()) {
                dxf.line(layer, hole.plus(-CROSS, 0), hole.plus(CROSS, 0));
                dxf.line(layer, hole.plus(0, -CROSS), hole.plus(0, CROSS));
            }
        }
        dxf.pair(0, "ENDSEC").pair(0, "EOF");
        return dxf.out.toString();
    }

    private DxfWriter pair(int code, String value) {
        out.append(code).append(LINE).append(value).append(LINE);
        return this;
    }

    private DxfWriter point(int codeX, Point p) {
        return pair(codeX, n(p.x())).pair(codeX + 10, n(p.y()));
    }

    private static String n(double value) {
        return Decimals.plain(value, 5);
    }

    private void line(String layer, Point a, Point b) {
        pair(0, "LINE").pair(8, layer).point(10, a).point(11, b);
    }

    private void polyline(String layer, List<Segment> ring) {
        pair(0, "POLYLINE").pair(8, layer).pair(66, "1").pair(70, "1").point(10, new Point(0, 0));
        for (Segment segment : ring) {
            if (segment instanceof Segment.Arc arc) {
                // A whole turn has no bulge: it goes as two halves.
                int parts = Math.abs(arc.sweep()) > Math.PI ? 2 : 1;
                for (int i = 0; i < parts; i++) {
                    double step = arc.sweep() / parts;
                    Segment.Arc part = new Segment.Arc(arc.centre(), arc.radius(), arc.from() + i * step, step);
                    vertex(layer, part.start(), part.bulge());
                }
            } else {
                for (Point p : starts(segment)) {
                    vertex(layer, p, 0);
                }
            }
        }
        pair(0, "SEQEND").pair(8, layer);
    }

    /** Chords that stand half as far off as the drawn curve's may. */
    private static List<Point> starts(Segment segment) {
        int n = segment instanceof Segment.Line ? 1 : (int) Math.ceil(segment.chords() * Math.sqrt(2));
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            points.add(segment.at((double) i / n));
        }
        return points;
    }

    private void vertex(String layer, Point at, double bulge) {
        pair(0, "VERTEX").pair(8, layer).point(10, at);
        if (bulge != 0) {
            pair(42, Decimals.plain(bulge, 9));
        }
    }
}
