package ebauche.core.contour;

import ebauche.core.design.CarveSchool;
import ebauche.core.design.Contour;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import ebauche.core.job.Build;
import ebauche.core.routing.TemplateLine;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A contour at full size on paper: the strip to tape along the edge, whose lower line is the contour's, and the gauge to cut out, whose
 * edge is its cut square to the line where it is deepest; of a carved top by templates the family of their outlines, as they lie.
 */
final class ContourPaper {
    /** Between the strip and the gauge, and what a gauge has over its face and beyond the line, mm. */
    private static final double APART = 25;

    private static final double BACK = 18;
    private static final double BESIDE = 30;

    /** A gauge's edge is drawn from point to point so far apart, mm. */
    private static final double STEP = 0.5;

    private ContourPaper() {}

    /** One contour's. */
    static TemplateLine of(Build build, Contour.Laid laid) {
        List<List<Segment>> rings = new ArrayList<>();
        Optional<OtherLine> line = OtherLine.of(build, laid);
        double at = 0;
        if (line.isPresent()) {
            rings.add(strip(line.get()));
            at = line.get().deepest().down() + APART;
        } else if (laid.contour().start() instanceof Contour.Start.Disc) {
            rings.addAll(edges(laid.plan()));
            at = build.design().outline().region().maxX() + APART + BACK;
        } else if (Removal.chosen(build, laid).school() == CarveSchool.JIG) {
            BevelJig jig = BevelJig.of(build.design().outline().region(), laid);
            rings.add(closed(jig.line()));
            at = build.design().outline().region().maxX() + laid.profile().width() + APART + BACK;
        } else if (Removal.chosen(build, laid).school() == CarveSchool.TEMPLATES) {
            for (NestedTemplates.Template each : NestedTemplates.of(build, laid).all()) {
                rings.addAll(edges(each.line()));
            }
            at = build.design().outline().region().maxX() + APART + BACK;
        }
        rings.add(gauge(laid, at + BACK));
        String name = laid.feature().said() + (line.isPresent() ? ", strip and gauge" : ", templates and gauge");
        return new TemplateLine(laid.feature(), name, Face.FRONT, rings, Optional.empty());
    }

    private static List<Segment> closed(List<Point> points) {
        List<Segment> lines = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            Point a = points.get(i);
            Point b = points.get((i + 1) % points.size());
            if (!a.equals(b)) {
                lines.add(new Segment.Line(a, b));
            }
        }
        return lines;
    }

    /** Along the edge upwards, down the edge to the right: its left line lies on the face's corner. */
    static List<Segment> strip(OtherLine line) {
        List<Point> points = new ArrayList<>();
        for (OtherLine.Place place : line.places()) {
            points.add(new Point(place.down(), place.along()));
        }
        points.add(new Point(0, line.places().get(line.places().size() - 1).along()));
        points.add(new Point(0, line.places().get(0).along()));
        return closed(points);
    }

    /** The line at nought upwards to the edge: its right line lies on the wood. */
    static List<Segment> gauge(Contour.Laid laid, double at) {
        double width = laid.profile().width();
        List<Point> points = new ArrayList<>();
        points.add(new Point(at - BACK, -BESIDE));
        points.add(new Point(at, -BESIDE));
        int pieces = (int) Math.ceil(width / STEP);
        for (int i = 0; i <= pieces; i++) {
            double across = width * i / pieces;
            points.add(new Point(at + laid.profile().fall(across), across));
        }
        points.add(new Point(at - BACK, width));
        return closed(points);
    }

    private static List<List<Segment>> edges(Region region) {
        List<List<Segment>> rings = new ArrayList<>();
        region.forEachRing(ring -> {
            List<Point> points = new ArrayList<>();
            for (int i = 0; i + 3 < ring.length; i += 2) {
                points.add(new Point(ring[i], ring[i + 1]));
            }
            rings.add(closed(points));
        });
        return rings;
    }
}
