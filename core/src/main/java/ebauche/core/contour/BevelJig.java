package ebauche.core.contour;

import ebauche.core.crib.Bit;
import ebauche.core.design.CarveSchool;
import ebauche.core.design.Contour;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Rounding;
import ebauche.core.operation.Caution;
import ebauche.core.operation.LedgerRow;
import ebauche.core.stock.Profile;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A bevel along the edge by a bevel bit whose bearing rides on a jig: where the bevel is to be narrower the jig stands out farther, so that
 * it fades out. A bit's angle is from its axis: one of 60 degrees takes w tan 30 off the edge for a bevel w wide.
 *
 * @param laid the bevel, all round or along a stretch
 * @param line of the jig, all round the body, as the bearing runs
 */
public record BevelJig(Contour.Laid laid, List<Point> line) {
    /** The jig's line is laid every so far along the edge, mm. */
    private static final double STEP = 2;

    /** The bit comes up by so much at a time at most, mm: common practice. */
    private static final double LIFT = 4;

    /** Narrower than this a part of the jig vibrates and splits along its grain, mm: common practice. */
    static final double THIN = 12;

    /** A bit whose angle is off by less leaves the bevel, degrees, and one that slopes in less far by so little, mm: the scraper's. */
    private static final double SAME_ANGLE = 1;

    private static final double NEAR = 0.2;

    /** Of a bevel: what its surface is at the edge tells how wide it is there. */
    public static BevelJig of(Region body, Contour.Laid laid) {
        EdgeWalk walk = new EdgeWalk(body);
        int pieces = (int) Math.ceil(walk.length() / STEP);
        List<Point> line = new ArrayList<>();
        for (int i = 0; i < pieces; i++) {
            double way = walk.length() * i / pieces;
            Point at = walk.at(way, 0);
            line.add(walk.at(way, standsOut(laid, at)));
        }
        return new BevelJig(laid, line);
    }

    /** How far the jig stands out over the edge at a place of it, mm. */
    static double standsOut(Contour.Laid laid, Point edge) {
        double wide = Math.max(0, laid.course().across(edge.x(), edge.y()));
        return laid.profile().width() - Math.min(wide, laid.profile().width());
    }

    /** The bit's angle from its axis, for a bevel so wide and so deep. */
    static Reckoning angle(Profile profile) {
        return Reckoning.of("bit's angle from its axis", Quantity.ANGLE)
                .length("wide, w", Fact.typed(profile.width()))
                .length("down the edge, d", Fact.typed(profile.depth()))
                .is(Math.toDegrees(Math.atan2(profile.width(), profile.depth())), "arctan(w / d)");
    }

    private static String lacking(List<Bit> bits, double angle) {
        if (bits.isEmpty()) {
            return "the crib has no sound bevel bit with a bearing at its tip, and a router for it";
        }
        Bit nearest = bits.get(0);
        double lean = nearest.lean().getAsDouble();
        return Math.abs(lean - angle) <= SAME_ANGLE
                ? "the edges of " + nearest.name() + " slope less far in than the bevel is wide"
                : nearest.name() + " leans " + Math.round(lean) + " degrees from its axis, and this bevel wants "
                        + Math.round(angle);
    }

    static Removal removal(Build build, Contour.Laid laid) {
        Profile profile = laid.profile();
        double angle = angle(profile).value();
        List<Bit> bits = build.shop().crib().bits().stream()
                .filter(b -> b.lean().isPresent() && b.bearingSound())
                .filter(b -> build.shop().crib().inHand(b).isPresent())
                .sorted(Comparator.comparingDouble(b -> Math.abs(b.lean().getAsDouble() - angle)))
                .toList();
        Optional<Bit> bit = bits.stream()
                .filter(b ->
                        Math.abs(b.lean().getAsDouble() - angle) <= SAME_ANGLE && b.slopes() >= profile.width() - NEAR)
                .findFirst();
        int lifts = (int) Math.max(2, Math.ceil(profile.depth() / LIFT));
        List<LedgerRow> rows = new ArrayList<>();
        rows.add(LedgerRow.of(
                "Jig from its line on paper: on the edge where the bevel is widest, farther out where it is narrower; its thin parts of plywood, never of solid wood along the grain"
                        + bit.map(b -> "; " + b.name()).orElse(""),
                Reckoning.of("jig stands out where there is no bevel", Quantity.LENGTH)
                        .length("widest", Fact.typed(profile.width()))
                        .is(profile.width(), "widest − nothing"),
                angle(profile)));
        rows.add(LedgerRow.of(
                "A test piece of the same laminate first, at half the depth",
                Reckoning.of("deep", Quantity.LENGTH)
                        .length("down the edge", Fact.typed(profile.depth()))
                        .is(Gauge.settable(profile.depth() / 2, Rounding.LESS), "down the edge / 2")));
        for (int k = 1; k <= lifts; k++) {
            rows.add(LedgerRow.of(
                    "Lift " + k + ": all round, the bearing on the jig",
                    Reckoning.of("deep", Quantity.LENGTH)
                            .length("down the edge", Fact.typed(profile.depth()))
                            .is(
                                    Gauge.settable(profile.depth() * k / lifts, Rounding.LESS),
                                    k + " of " + lifts + " equal lifts")));
        }
        rows.add(LedgerRow.of("Scraper along it; where it fades out a file and a block"));
        Optional<String> cannot = profile.shape() != Profile.Shape.STRAIGHT
                ? Optional.of("a bevel bit leaves a straight slope")
                : bit.isPresent() ? Optional.empty() : Optional.of(lacking(bits, angle));
        double length = laid.plan().area() / profile.width();
        return new Removal(
                CarveSchool.JIG,
                rows,
                0.2,
                (int) Math.round(45 + 3.0 * lifts * length / 1000 + 6 * length / 1000),
                List.of(Caution.ROUTER, Caution.DUST),
                cannot);
    }
}
