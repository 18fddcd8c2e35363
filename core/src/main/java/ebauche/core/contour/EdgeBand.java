package ebauche.core.contour;

import ebauche.core.design.Contour;
import ebauche.core.design.EdgeDepths;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.stock.Gap;
import ebauche.core.stock.Relief;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * The wood left between what shapes the front and what shapes the back that lie over each other: it must stay even and never
 * come to a point.
 *
 * @param thickness where it is least
 * @param at where that is
 */
public record EdgeBand(Feature front, Feature back, Reckoning thickness, Point at, Reckoning evenness) {
    /** The edge is looked at every so far, and compared within so much of it, mm. */
    private static final double STEP = 2;

    private static final double WITHIN = 30;

    /** Off the edge by so much a place still lies on it, mm: the contours' areas end there. */
    private static final double INSIDE = 0.02;

    /** Where the edge's band changes by more within a thumb's reach it is seen: common practice. */
    public static final double EVEN = 1.5;

    /** Every pair that one of them is of. */
    public static List<EdgeBand> of(Build build, Feature one) {
        return of(build).stream()
                .filter(b -> b.front().equals(one) || b.back().equals(one))
                .toList();
    }

    /** Every pair that lies over each other; where readings found one of them deeper, with the edge that is left there. */
    public static List<EdgeBand> of(Build build) {
        Map<List<Feature>, EdgeBand> bands = new LinkedHashMap<>();
        for (Relief front : on(build, Face.FRONT)) {
            for (Relief back : on(build, Face.BACK)) {
                Region shared = front.plan().intersection(back.plan());
                if (shared.area() > 1) {
                    bands.merge(
                            List.of(front.feature(), back.feature()),
                            band(build, front, back, shared),
                            (one, other) ->
                                    other.thickness().value() < one.thickness().value() ? other : one);
                }
            }
        }
        return List.copyOf(bands.values());
    }

    private static List<Relief> on(Build build, Face face) {
        return Stream.concat(build.surfaces().stream(), build.deeper().stream())
                .filter(r -> r.face() == face)
                .toList();
    }

    private static EdgeBand band(Build build, Relief front, Relief back, Region shared) {
        double thick = build.faces().thickness();
        Gap gap = Gap.least(front.under(0), back.under(thick), shared);
        Reckoning sum = Reckoning.of(
                        "edge between the " + front.feature().said() + " and the "
                                + back.feature().said(),
                        Quantity.LENGTH)
                .length(
                        "finished thickness",
                        build.faces().thicknessReckoning(build).asFact())
                .length("carved off the front there", front.under(0).depthAt(gap.at()))
                .length("carved off the back there", -back.under(0).depthAt(gap.at()))
                .is(gap.thickness(), "finished thickness − carved off the front there − carved off the back there");
        return new EdgeBand(front.feature(), back.feature(), sum, gap.at(), evenness(build, front, back));
    }

    /** The largest band over the least within a thumb's reach along the edge, where both contours lie. */
    private static Reckoning evenness(Build build, Relief front, Relief back) {
        double thick = build.faces().thickness();
        EdgeWalk walk = new EdgeWalk(build.design().outline().region());
        int pieces = (int) Math.ceil(walk.length() / STEP);
        double[] bands = new double[pieces];
        for (int i = 0; i < pieces; i++) {
            Point at = walk.at(walk.length() * i / pieces, -INSIDE);
            double taken = front.under(0).fall(at);
            double off = -back.under(0).fall(at);
            boolean both =
                    front.course().across(at.x(), at.y()) > 0 && back.course().across(at.x(), at.y()) > 0;
            bands[i] = both ? thick - taken - Math.abs(off) : Double.NaN;
        }
        int reach = (int) Math.floor(WITHIN / STEP);
        double most = 1;
        double largest = Double.NaN;
        double least = Double.NaN;
        for (int i = 0; i < pieces; i++) {
            for (int k = 1; k <= reach; k++) {
                double one = bands[i];
                double other = bands[(i + k) % pieces];
                double ratio = Math.max(one, other) / Math.min(one, other);
                if (ratio > most) {
                    most = ratio;
                    largest = Math.max(one, other);
                    least = Math.min(one, other);
                }
            }
        }
        return Reckoning.of("how uneven the edge is within 30 mm", Quantity.NUMBER)
                .length("largest", Double.isNaN(largest) ? thick : largest)
                .length("least beside it", Double.isNaN(least) ? thick : least)
                .is(most, "largest / least beside it");
    }

    /**
     * The back's contour with depths along the edge that keep one band beside the front's where that is at least half as deep as it gets:
     * the mean of what is left there now. As far as it makes the edge more even; empty where it does not, or where it is no contour off a line.
     */
    public static Optional<Contour> even(Build build, Contour.Laid front, Contour.Laid back) {
        double now = evenness(build, front, back).value();
        return Stream.of(1.0, 0.7, 0.4)
                .flatMap(share -> evened(build, front, back, share).stream())
                .filter(c ->
                        evenness(build, front, c.on(build.design().outline())).value() < now - WORTH)
                .findFirst();
    }

    private static Optional<Contour> evened(Build build, Contour.Laid front, Contour.Laid back, double share) {
        Optional<OtherLine> line = OtherLine.of(build, back);
        if (line.isEmpty()) {
            return Optional.empty();
        }
        double thick = build.faces().thickness();
        double half = front.profile().depth() / 2;
        List<OtherLine.Place> places = line.get().stations(PLACES);
        OptionalDouble band = places.stream()
                .filter(p -> front.under(0).fall(p.edge()) >= half)
                .mapToDouble(p -> thick - p.down() - front.under(0).fall(p.edge()))
                .average();
        if (band.isEmpty() || band.getAsDouble() <= 0) {
            return Optional.empty();
        }
        List<Double> depths = places.stream()
                .map(p -> {
                    double taken = front.under(0).fall(p.edge());
                    double wanted = taken >= half
                            ? p.down() + share * (thick - taken - band.getAsDouble() - p.down())
                            : p.down();
                    return Math.rint(Math.max(0, Math.min(wanted, MOST * p.down())) * 10) / 10;
                })
                .toList();
        double deepest = depths.stream().mapToDouble(Double::doubleValue).max().orElse(0);
        return deepest < 1
                ? Optional.empty()
                : Optional.of(back.contour().with(new EdgeDepths.Typed(depths)).with(deepest));
    }

    /** Less is not seen. */
    private static final double WORTH = 0.03;

    /** Depths that are typed for an even band, and how much deeper than before a place may become: its slope is felt. */
    private static final int PLACES = 9;

    private static final double MOST = 2;
}
