package ebauche.core.passes;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.ArrayList;
import java.util.List;

/**
 * How a router's base stands while its bit runs along an edge.
 *
 * @param share of the base's area that lies over work, template or support
 * @param margin of the bit's axis outside the hull of what carries the base, mm; less than nought where it stands within. Hands
 *     that press at the axis tip the base where it is outside
 * @param stand how deep within that hull the inner hand presses, mm; less than nought where even that hand tips it. Along a
 *     straight edge a large base stands deeper than a small one; at a narrow horn neither does
 */
public record BaseSupport(double share, double margin, double stand) {
    /** Stand under which a base tips, and under which it wants care, mm: common practice, from what hands manage. */
    public static final double TIPS = 10;

    private static final double SHAKY = 14;

    /** Between a support block and the bit, mm: common practice. */
    private static final double CLEAR = 3;

    /** A router is turned in the hands, so that the inner one comes over the broadest work: degrees off straight inward. */
    private static final double[] TURNS = {0, -35, 35, -70, 70};

    private static final double[] ALL_ROUND = {0, 30, 60, 90, 120, 150, 180, 210, 240, 270, 300, 330};

    /** Points round a base's rim that are tried, and how far inside it, mm. */
    private static final int RIM = 24;

    private static final double WITHIN = 0.1;

    /** How it goes there. */
    public enum Footing {
        STEADY("steady"),
        SHAKY("wants a steady inner hand"),
        TIPS("tips");

        private final String words;

        Footing(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public Footing footing() {
        if (stand < TIPS) {
            return Footing.TIPS;
        }
        return stand < SHAKY ? Footing.SHAKY : Footing.STEADY;
    }

    /** With the axis at one point, the hands free to press on any side: as it stands best. */
    public static BaseSupport at(Region carries, Point axis, Foot foot) {
        return steadiest(carried(carries, foot.over(axis, new Point(0, 1))), axis, new Point(0, 1), foot, ALL_ROUND);
    }

    /**
     * What a round base stands by at least, the hands free to press on any side, told by points of what carries it alone: those of its
     * corners that lie under the base, and round the base's rim. No more than {@link #at(Region, Point, Foot)} finds, and sooner found.
     */
    public static double atLeast(Region carries, List<Point> corners, Point axis, Foot foot) {
        double reach = foot.diameter() / 2 - WITHIN;
        List<Point> on = new ArrayList<>();
        for (Point corner : corners) {
            if (corner.distance(axis) < reach) {
                on.add(corner);
            }
        }
        for (int i = 0; i < RIM; i++) {
            double turn = 2 * Math.PI * i / RIM;
            Point at = axis.plus(reach * Math.cos(turn), reach * Math.sin(turn));
            if (carries.contains(at)) {
                on.add(at);
            }
        }
        return steadiest(new Carried(0, Region.hullOf(on)), axis, new Point(0, 1), foot, ALL_ROUND)
                .stand();
    }

    /**
     * With the axis at one point.
     *
     * @param carries work, template, support block: all at one height
     * @param outward unit vector away from the work
     */
    public static BaseSupport at(Region carries, Point axis, Point outward, Foot foot) {
        if (foot.knob() == 0) {
            // A round base covers the same however it is turned.
            return steadiest(carried(carries, foot.over(axis, outward)), axis, outward, foot, TURNS);
        }
        BaseSupport best = null;
        for (double degrees : TURNS) {
            Point way = turned(outward, degrees);
            BaseSupport stands = steadiest(carried(carries, foot.over(axis, way)), axis, way, foot, new double[] {0});
            if (best == null || stands.stand() > best.stand()) {
                best = stands;
            }
        }
        return best;
    }

    private record Carried(double share, Region hull) {}

    private static Carried carried(Region carries, Region base) {
        Region over = carries.intersection(base);
        return new Carried(over.area() / base.area(), over.hull());
    }

    private static BaseSupport steadiest(Carried on, Point axis, Point outward, Foot foot, double[] turns) {
        if (on.hull().isEmpty()) {
            return new BaseSupport(0, foot.diameter() / 2, -foot.diameter() / 2);
        }
        double stand = Double.NEGATIVE_INFINITY;
        for (double degrees : turns) {
            stand = Math.max(stand, -on.hull().outside(foot.pressed(axis, turned(outward, degrees))));
        }
        return new BaseSupport(on.share(), on.hull().outside(axis), stand);
    }

    private static Point turned(Point way, double degrees) {
        double c = Math.cos(Math.toRadians(degrees));
        double s = Math.sin(Math.toRadians(degrees));
        return new Point(way.x() * c - way.y() * s, way.x() * s + way.y() * c);
    }

    /** Wood or board of the same height laid round the work, so near that the bit passes between. */
    public static Region block(Region work, double bitDiameter, double width) {
        double gap = bitDiameter + CLEAR;
        return work.grown(gap + width).minus(work.grown(gap));
    }
}
