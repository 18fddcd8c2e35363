package ebauche.core.hollow;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.memo.Memo;
import ebauche.core.passes.BaseSupport;
import ebauche.core.passes.Foot;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How a router's base stands over a hollow when nearly all of it is taken out: on the rim, the centre block and what supports are left in
 * it, and on nothing else. Looked at place by place, the hands free to press on any side of the bit.
 *
 * @param base its diameter, mm
 * @param worst where it stands worst
 * @param stand how deep within what carries it the hand presses there, mm; less than nought where it falls in
 */
public record Carrying(double base, Point worst, double stand) {
    /** It is looked at every so far, mm. */
    private static final double STEP = 8;

    /** What carries is taken so coarse, mm: bases are much larger. */
    private static final double COARSE = 0.25;

    /** A support that is proposed, mm: wide enough for a clamp's foot, common practice. */
    public static final double SUPPORT = 30;

    private static final int MOST_SUPPORTS = 12;

    private record Asked(Region carries, Region axes, double base) {}

    private record Answer(Optional<Carrying> worst) {}

    /**
     * Where it stands worst.
     *
     * @param blank what the core is cut from
     * @param hollow what is routed out, without its supports
     * @param bit its diameter, mm
     * @return empty where no bit goes
     */
    public static Optional<Carrying> of(Region blank, Region hollow, double bit, double base) {
        Region carries = blank.minus(hollow).coarser(COARSE);
        Region axes = hollow.grown(-bit / 2);
        return Memo.here()
                .get(new Asked(carries, axes, base), () -> new Answer(worst(carries, axes, base)), a -> 0)
                .worst();
    }

    private static Optional<Carrying> worst(Region carries, Region axes, double base) {
        Foot foot = Foot.round(base);
        List<Point> corners = corners(carries);
        Carrying worst = null;
        for (Looked each : grid(axes).stream()
                .map(at -> new Looked(at, BaseSupport.atLeast(carries, corners, at, foot)))
                .sorted(Comparator.comparingDouble(Looked::atLeast))
                .toList()) {
            if (worst != null && each.atLeast() >= worst.stand()) {
                break;
            }
            double stand = BaseSupport.at(carries, each.at(), foot).stand();
            if (worst == null || stand < worst.stand()) {
                worst = new Carrying(base, each.at(), stand);
            }
        }
        return Optional.ofNullable(worst);
    }

    /** A place, and what a base stands by there at least: those that may be worse are looked at first, the rest never. */
    private record Looked(Point at, double atLeast) {}

    private static List<Point> corners(Region region) {
        List<Point> corners = new ArrayList<>();
        region.forEachRing(ring -> {
            for (int i = 0; i < ring.length; i += 2) {
                corners.add(new Point(ring[i], ring[i + 1]));
            }
        });
        return corners;
    }

    private static List<Point> grid(Region axes) {
        List<Point> places = new ArrayList<>();
        for (Region part : axes.parts()) {
            places.add(part.inner());
            for (double x = part.minX(); x <= part.maxX(); x += STEP) {
                for (double y = part.minY(); y <= part.maxY(); y += STEP) {
                    Point at = new Point(x, y);
                    if (part.contains(at)) {
                        places.add(at);
                    }
                }
            }
        }
        return places;
    }

    /** Whether hands keep it level. */
    public boolean stands() {
        return stand >= BaseSupport.TIPS;
    }

    /** How it stands, with what it follows from. */
    public Reckoning reckoning(String hollow) {
        return Reckoning.of("stand of the router's base over the " + hollow, Quantity.LENGTH)
                .length("base", base)
                .length(
                        "from where the hand presses to the edge of what carries it",
                        Fact.rule(stand, "looked at every " + Math.round(STEP) + " mm"))
                .is(stand, "from where the hand presses to the edge of what carries it, where it is least");
    }

    /**
     * Rounds that are left standing so that a base is carried everywhere: each where it stands worst without, nearest to that place where a
     * whole support finds room and the bit passes beside it. None where it is carried without; as far as they help.
     */
    public static List<Point> supports(Region blank, Region hollow, double bit, double base) {
        List<Point> placed = new ArrayList<>();
        Region left = hollow;
        for (int i = 0; i < MOST_SUPPORTS; i++) {
            Optional<Carrying> worst = of(blank, left, bit, base).filter(c -> !c.stands());
            Region room = left.grown(-SUPPORT / 2 - bit - 1);
            if (worst.isEmpty() || room.isEmpty()) {
                return placed;
            }
            Point at = room.contains(worst.get().worst())
                    ? worst.get().worst()
                    : room.nearest(Region.disc(worst.get().worst(), 0.02))[0];
            placed.add(at);
            left = left.minus(Region.disc(at, SUPPORT));
        }
        return placed;
    }
}
