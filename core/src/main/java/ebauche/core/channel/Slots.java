package ebauche.core.channel;

import ebauche.core.design.ScratchPlate;
import ebauche.core.design.Space;
import ebauche.core.design.Spaces;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.measure.Decimals;
import ebauche.core.stock.Solid;
import ebauche.core.wires.WireWays;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Slots for wires between neighbours under the scratch plate, of which one at least is open to the front; the other may be a cavity from the
 * back, which the slot meets through its roof. Routed along a template, or their waste taken out
 * with a Forstner first, as the shop does it. No drill goes astray in them, but the plate must hide them (common practice).
 */
public final class Slots {
    /** Half an inch: the usual template bit goes along it, mm. */
    private static final double WIDE = 12.7;

    /** The middles of its round ends lie in the two spaces by this much, so that it opens into them as wide as it is, mm. */
    private static final double INTO = 2;

    /** Neighbours lie no farther apart; along their walls it is tried every so far, mm. */
    private static final double FARTHEST = 80;

    private static final double STEP = 6;

    /** A pickup's cable lies in it with room over it; so far it comes down into a space under a roof too, mm. */
    private static final double SHALLOWEST = 8;

    /** Wood to all else, and the plate beyond its edge, mm. */
    private static final double CLEAR = 3;

    private Slots() {}

    /**
     * One that is proposed.
     *
     * @param one its middle line's end in the one space
     * @param other its end in the other
     * @param depth from the finished front: to the shallower of the two floors
     */
    public record Slot(Feature from, Feature into, Point one, Point other, double wide, double depth) {
        /** Wood that it goes through, mm. */
        public double wood() {
            return one.distance(other) - 2 * INTO;
        }

        /** Its line, two straight sides and two half circles, millimetres. */
        public String path() {
            double length = one.distance(other);
            double x = (other.x() - one.x()) / length * wide / 2;
            double y = (other.y() - one.y()) / length * wide / 2;
            String round = " A " + n(wide / 2) + " " + n(wide / 2) + " 0 0 0 ";
            return "M " + at(one.plus(-y, x)) + " L " + at(other.plus(-y, x)) + round + at(other.plus(y, -x)) + " L "
                    + at(one.plus(y, -x)) + round + at(one.plus(-y, x)) + " Z";
        }

        private static String at(Point p) {
            return n(p.x()) + " " + n(p.y());
        }

        private static String n(double value) {
            return Decimals.plain(value, 3);
        }

        public Region plan() {
            return Outline.parse(path(), 1).region();
        }
    }

    /** Slots that give a way to what has none, so far as the plate hides any; the shortest first. */
    public static List<Slot> missing(Build build, History history) {
        Optional<Region> plate = build.design()
                .neck()
                .scratchPlate()
                .flatMap(ScratchPlate::outline)
                .map(o -> o.region().grown(-CLEAR));
        List<Slot> found = new ArrayList<>();
        if (plate.isEmpty()) {
            return found;
        }
        WireWays ways = WireWays.of(build);
        Around around = new Around(build, history, f -> false);
        Set<Feature> reached = new LinkedHashSet<>(ways.reached());
        Set<Feature> shut = new LinkedHashSet<>(ways.shut().keySet());
        boolean more = true;
        while (more && !shut.isEmpty()) {
            Optional<Slot> next = open(build.spaces(), reached)
                    .flatMap(r -> open(build.spaces(), shut).flatMap(s -> between(r, s)))
                    .sorted(Comparator.comparingDouble(Slot::wood))
                    .filter(s -> isHidden(s, plate.get(), build.spaces()) && keepsClear(s, around, build))
                    .findFirst();
            next.ifPresent(s -> {
                found.add(s);
                Set<Feature> with = ways.joinedWith(s.into());
                reached.addAll(with);
                shut.removeAll(with);
            });
            more = next.isPresent();
        }
        return found;
    }

    /** The spaces of some features that hold wires. */
    private static Stream<Space> open(Spaces spaces, Set<Feature> of) {
        return spaces.all().stream()
                .filter(s -> of.contains(s.feature()))
                .filter(s -> s.feature().is(FeatureKind.PICKUP) || s.feature().is(FeatureKind.CAVITY));
    }

    /** From every place along the one's wall to every one along the other's, in a straight line that ends a little inside both. */
    private static Stream<Slot> between(Space from, Space into) {
        double depth = Math.min(from.bottom(), into.bottom());
        boolean meets = isOpen(from) || isOpen(into);
        List<Slot> all = new ArrayList<>();
        if (meets && depth >= SHALLOWEST + Math.max(from.top(), into.top())) {
            List<Point> begins = along(from.plan());
            List<Point> ends = along(into.plan());
            for (Point a : begins) {
                for (Point b : ends) {
                    double way = a.distance(b);
                    if (way > CLEAR && way <= FARTHEST) {
                        Point one = a.towards(b, -INTO / way);
                        Point other = a.towards(b, 1 + INTO / way);
                        if (from.plan().contains(one) && into.plan().contains(other)) {
                            all.add(new Slot(from.feature(), into.feature(), one, other, WIDE, depth));
                        }
                    }
                }
            }
        }
        return all.stream();
    }

    private static List<Point> along(Region region) {
        List<Point> places = new ArrayList<>();
        region.forEachRing(ring -> {
            double next = 0;
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Point a = new Point(ring[i], ring[i + 1]);
                Point b = new Point(ring[i + 2], ring[i + 3]);
                double length = a.distance(b);
                for (; next < length; next += STEP) {
                    places.add(a.towards(b, next / length));
                }
                next -= length;
            }
        });
        return places;
    }

    private static boolean isOpen(Space space) {
        return space.top() <= 0;
    }

    private static boolean isHidden(Slot slot, Region plate, Spaces spaces) {
        Region rest = slot.plan();
        for (Space space : spaces.all()) {
            boolean its = space.feature().equals(slot.from()) || space.feature().equals(slot.into());
            if (its && isOpen(space)) {
                rest = rest.minus(space.plan());
            }
        }
        return plate.contains(rest);
    }

    /** Whether it keeps its wood to all that is cut there, but the two and what belongs to them. */
    private static boolean keepsClear(Slot slot, Around around, Build build) {
        Region round = slot.plan().grown(CLEAR);
        double floor = build.faces().frontFinished() + slot.depth() + CLEAR;
        Set<Feature> met = Set.of(slot.from(), slot.into());
        boolean offScrews = build.design().neck().scratchPlate().stream()
                .flatMap(p -> p.screws().stream())
                .noneMatch(round::contains);
        return offScrews
                && around.body().contains(round)
                && around.features().stream()
                        .filter(f -> !met.contains(f) && !Around.isPartOf(f, met))
                        .flatMap(f -> around.of(f).stream())
                        .noneMatch(
                                (Solid s) -> s.shallowest() < floor && s.plan().overlaps(round));
    }
}
