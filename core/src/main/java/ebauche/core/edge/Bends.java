package ebauche.core.edge;

import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import java.util.ArrayList;
import java.util.List;

/**
 * Where a strip that is let into an edge bends most: its fibres outside are stretched by half its thickness over the radius of its middle.
 *
 * @param radius of the edge, mm
 * @param inside whether the edge turns inward there, as in a waist or a horn's crook
 * @param strain of its outer fibres, a share
 */
public record Bends(Point at, double radius, boolean inside, double strain) {
    /** Wood is bent dry to about so much, and hot and wet to so much: common practice. */
    public static final double DRY = 0.01;

    public static final double HOT = 0.03;

    /** Each piece of the outline is looked at in so many places, and turns nearer together than this are one, mm. */
    private static final int LOOKS = 48;

    private static final double ONE = 30;

    /** The turns of an outline that want more than a strip takes dry, the tightest first. */
    public static List<Bends> of(Outline outline, double thickness) {
        List<Bends> all = new ArrayList<>();
        double way = outline.segments().stream().mapToDouble(Segment::areaShare).sum() >= 0 ? 1 : -1;
        for (Segment piece : outline.segments()) {
            for (int i = 0; i <= LOOKS; i++) {
                double curvature = way * piece.curvature((double) i / LOOKS);
                if (Math.abs(curvature) < 1e-6) {
                    continue;
                }
                double radius = 1 / Math.abs(curvature);
                boolean inside = curvature < 0;
                double strain = strain(radius, inside, thickness);
                if (strain > DRY) {
                    all.add(new Bends(piece.at((double) i / LOOKS), radius, inside, strain));
                }
            }
        }
        all.sort((one, other) -> Double.compare(other.strain(), one.strain()));
        List<Bends> apart = new ArrayList<>();
        for (Bends each : all) {
            if (apart.stream().noneMatch(b -> b.at().distance(each.at()) < ONE)) {
                apart.add(each);
            }
        }
        return apart;
    }

    /**
     * A corner of an outline, where no strip bends: its ends are mitred.
     *
     * @param turn how much the edge turns there, degrees
     */
    public record Corner(Point at, double turn, boolean inside) {
        /** How far off square each end of the strip is cut. */
        public Reckoning mitre() {
            return Reckoning.of("each end off square by", Quantity.ANGLE)
                    .angle("the edge turns by", new Fact(turn, Source.COMPUTED, "the outline"))
                    .is(turn / 2, "the edge turns by / 2");
        }
    }

    /** Where an outline turns at once, degrees: a strip follows less. */
    private static final double SHARP = 12;

    /** The corners of an outline, along it. */
    public static List<Corner> corners(Outline outline) {
        List<Segment> pieces = outline.segments();
        double way = pieces.stream().mapToDouble(Segment::areaShare).sum() >= 0 ? 1 : -1;
        List<Corner> corners = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            Point in = pieces.get(i).tangent(1);
            Point out = pieces.get((i + 1) % pieces.size()).tangent(0);
            double turn = Math.toDegrees(
                    Math.atan2(in.x() * out.y() - in.y() * out.x(), in.x() * out.x() + in.y() * out.y()));
            if (Math.abs(turn) > SHARP) {
                corners.add(new Corner(pieces.get(i).at(1), Math.abs(turn), way * turn < 0));
            }
        }
        return corners;
    }

    /** t / 2 over the radius of the strip's middle: it lies inside of an edge that turns outward, and round one that turns inward. */
    static double strain(double radius, boolean inside, double thickness) {
        double middle = inside ? radius + thickness / 2 : Math.max(radius - thickness / 2, 1e-3);
        return thickness / 2 / middle;
    }

    /** Its radius, and the strain there in per cent. */
    Reckoning[] figures(double thickness) {
        double middle = inside ? radius + thickness / 2 : radius - thickness / 2;
        return new Reckoning[] {
            Reckoning.of("edge turns with radius", Quantity.LENGTH)
                    .length("by the outline's curvature", radius)
                    .is(radius, "by the outline's curvature"),
            Reckoning.of("stretches by, per cent", Quantity.NUMBER)
                    .length("strip's thickness, t", Fact.typed(thickness))
                    .length("radius of its middle, R", middle)
                    .is(100 * strain, "100 t / 2R")
        };
    }
}
