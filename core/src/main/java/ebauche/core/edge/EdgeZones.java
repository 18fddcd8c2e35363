package ebauche.core.edge;

import ebauche.core.design.Contour;
import ebauche.core.design.RoundOver;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Build;
import ebauche.core.shop.Practice;
import ebauche.core.stock.Relief;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Where a router rounds a corner over and where hands do, place by place along the edge: its bearing needs wall to ride on, and its base a
 * face that carries it.
 *
 * @param byHand the stretches that are left to hands, in the order of the walk
 * @param length of the corner in all, mm
 * @param lost what of it a contour of its own face takes afterwards, where a router goes, mm
 */
public record EdgeZones(List<Zone> byHand, double length, double lost) {
    /** It is looked at every so far along the edge, mm. */
    private static final double STEP = 3;

    /** A bearing that stands off the edge by less rides on it, mm. */
    private static final double RIDES = 0.05;

    /** A face that has fallen by less carries a base, mm. */
    private static final double LEVEL = 0.5;

    /** Why a router does not go there. */
    public enum Why {
        JOINT("the neck enters there"),
        HOLE("the bearing would fall into a hole"),
        NO_WALL("a contour of the other face has taken the wall under the bearing"),
        CARVED("the face is carved there, and the base rocks"),
        TURN("the edge turns in tighter than the bearing"),
        TIPS("the router's base tips over so narrow a part");

        private final String words;

        Why(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * A stretch that hands round over.
     *
     * @param line its places on the edge
     */
    public record Zone(Set<Why> why, List<Point> line) {
        public Point middle() {
            return line.get(line.size() / 2);
        }

        public double length() {
            return line.size() * STEP;
        }

        /** The area within a reach of it, mm. */
        public Region within(double reach) {
            return line.size() == 1 ? Region.disc(line.get(0), 2 * reach) : Region.alongLine(line, reach);
        }

        public String words() {
            return String.join("; ", why.stream().map(Why::words).toList());
        }
    }

    public EdgeZones {
        byHand = List.copyOf(byHand);
    }

    /** What of it hands round over, mm. */
    public double byHandLength() {
        return byHand.stream().mapToDouble(Zone::length).sum();
    }

    /**
     * A bit that is led along an edge by its bearing.
     *
     * @param face that carries the router's base
     * @param deep how far down the edge it cuts, mm
     * @param bearing its diameter, mm
     * @param bearingWidth along the bit, mm
     * @param base diameter of the router's base, mm
     * @param isFirst whether contours come before it
     * @param runs whether it cuts at a place of the edge
     */
    record Ride(
            Face face,
            double deep,
            double bearing,
            double bearingWidth,
            double base,
            boolean isFirst,
            Predicate<Point> runs) {}

    /** Of a corner, with the bit that rounds it over and the router's base. */
    static EdgeZones of(Build build, RoundOver.Laid laid, RoundingBit bit) {
        boolean contoursFirst = build.shop().practice().shaping() == Practice.Shaping.CONTOURS_FIRST;
        return of(
                build,
                new Ride(
                        laid.face(),
                        laid.roundOver().radius(),
                        bit.bearing(),
                        bit.bearingWidth(),
                        bit.base(),
                        contoursFirst,
                        at -> laid.course().across(at.x(), at.y()) > 0));
    }

    /** Of whatever is led along the edge. */
    static EdgeZones of(Build build, Ride ride) {
        return new Look(build, ride).along();
    }

    /** What is asked at each place. */
    private static final class Look {
        private final Build build;
        private final Ride ride;
        private final Region body;
        private final Bases bases;
        private final Region joint;
        private final EdgeWalk walk;
        private final double bearing;
        private final List<Contour.Laid> contours;

        Look(Build build, Ride ride) {
            this.build = build;
            this.ride = ride;
            this.body = build.design().outline().region();
            this.bearing = ride.bearing() / 2;
            this.bases = Bases.along(body, bearing, ride.base());
            this.joint = build.design().neck().pocket().grown(bearing);
            this.walk = new EdgeWalk(body);
            this.contours = build.contours().stream()
                    .filter(c -> !build.design().leavesOpen(c.feature()))
                    .toList();
        }

        EdgeZones along() {
            List<Zone> zones = new ArrayList<>();
            List<Point> line = new ArrayList<>();
            Set<Why> why = EnumSet.noneOf(Why.class);
            int places = (int) Math.floor(walk.length() / STEP);
            double rounded = 0;
            double lost = 0;
            for (int i = 0; i < places; i++) {
                double way = i * STEP;
                Point at = walk.at(way, 0);
                boolean runs = ride.runs().test(at);
                rounded += runs ? STEP : 0;
                Set<Why> here = runs ? here(way, at) : EnumSet.noneOf(Why.class);
                lost += runs && here.isEmpty() && isLost(at) ? STEP : 0;
                if (here.isEmpty() && !line.isEmpty()) {
                    zones.add(new Zone(EnumSet.copyOf(why), List.copyOf(line)));
                    line.clear();
                    why.clear();
                }
                if (!here.isEmpty()) {
                    line.add(at);
                    why.addAll(here);
                }
            }
            if (!line.isEmpty()) {
                zones.add(new Zone(EnumSet.copyOf(why), List.copyOf(line)));
            }
            return new EdgeZones(zones, rounded, lost);
        }

        /** Whether a contour of its face takes its corner. */
        private boolean isLost(Point at) {
            return contours.stream()
                    .anyMatch(c -> c.face() == ride.face() && c.under(0).fall(at) > LEVEL);
        }

        private Set<Why> here(double way, Point at) {
            Set<Why> here = EnumSet.noneOf(Why.class);
            if (joint.contains(at)) {
                here.add(Why.JOINT);
            }
            if (inHole(at)) {
                here.add(Why.HOLE);
            }
            if (body.outside(walk.at(way, bearing)) < bearing - RIDES) {
                here.add(Why.TURN);
            }
            if (bases.tipsAt(way)) {
                here.add(Why.TIPS);
            }
            for (Relief relief : contours) {
                boolean done = ride.isFirst() || build.isDone(StepKey.of(relief.feature(), StepKind.CARVE));
                double fall = done ? relief.under(0).fall(at) : 0;
                if (relief.face() == ride.face() && fall > LEVEL) {
                    here.add(Why.CARVED);
                } else if (relief.face() != ride.face() && fall > wallToSpare()) {
                    here.add(Why.NO_WALL);
                }
            }
            return here;
        }

        /** Wall beyond what the bearing rides on, mm. */
        private double wallToSpare() {
            return build.faces().thickness() - ride.deep() - ride.bearingWidth();
        }

        /** Whether the bearing would lie over the mouth of a hole in the edge. */
        private boolean inHole(Point at) {
            boolean jack = build.design()
                    .jack()
                    .filter(j -> isOpen(j.entry(), j.diameter(), fromFace(j), at))
                    .isPresent();
            return jack
                    || build.design().holes().stream()
                            .filter(h -> h.aim().isPresent())
                            .anyMatch(h -> isOpen(
                                    h.at(),
                                    h.part().get(PartSize.HOLE),
                                    build.faces().thickness() / 2,
                                    at));
        }

        private double fromFace(Jack jack) {
            return ride.face() == Face.FRONT ? jack.fromFront() : build.faces().thickness() - jack.fromFront();
        }

        private boolean isOpen(Point mouth, double diameter, double fromFace, Point at) {
            double upper = ride.deep();
            boolean high = fromFace - diameter / 2 < upper + ride.bearingWidth() && fromFace + diameter / 2 > 0;
            return high && mouth.distance(at) < diameter / 2 + bearing;
        }
    }
}
