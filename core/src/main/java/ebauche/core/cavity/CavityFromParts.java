package ebauche.core.cavity;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Ring;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.measure.Decimals;
import ebauche.core.shop.Limits;
import ebauche.core.stock.WoodLeft;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The cavity that controls of a body ask for, with its cover and the cover's screws.
 *
 * <p>Every part's body is grown by the shop's room, or by the bit's radius if that is more, so that the bit turns in every corner;
 * what stands apart is joined by closing (growing and shrinking by the least distance that makes one piece through which the bit
 * passes). What the walls to the edge and to other cavities want is taken off, and what is left is opened by the bit again. A
 * part that no longer fits is named. Cost: some twenty offsets of a region of a few hundred points. Millimetres, seen from
 * the front.
 *
 * @param controls that it is for
 * @param cavity its plan
 * @param cover the recess of its cover, with an ear round each screw
 * @param screws where the cover's screws stand
 * @param joinedBy what stood apart was joined over twice this
 * @param onePiece whether the bit goes through all of it without being lifted
 * @param shortOf parts that the walls leave no room for
 */
public record CavityFromParts(
        List<Control> controls,
        Region cavity,
        Region cover,
        List<Point> screws,
        double joinedBy,
        boolean onePiece,
        List<TooLittle> shortOf) {

    /** Farthest that parts are joined over, mm: beyond it they want two cavities. */
    private static final double FARTHEST = 60;

    private static final double STEP = 2;

    private static final double EAR = Cover.EAR;

    /** One screw to so much of the cover's edge, at least three: common practice. */
    private static final double SCREW_EVERY = 110;

    private static final int LEAST_SCREWS = 3;

    /** Corners are made this much wider than the bit, so that it turns in them in spite of chords and a hand's pressure, mm. */
    private static final double EASE = 0.15;

    /** A passage is so much wider than the bit, so that wires and the bit go through, mm. */
    private static final double PASSAGE = 1;

    /** A turn of the bit's track under this is none, radians. */
    private static final double HARDLY = Math.toRadians(0.5);

    /** The bit's track is told to this, mm. */
    private static final double TRACK = 0.03;

    /** Chords of an offset curve cut this much off a corner, mm. */
    private static final double CHORD = 0.05;

    /**
     * What is asked for.
     *
     * @param cavity id of the one that is asked for: the controls that stand in it ask for their room
     * @param bit diameter of the bit that cuts it
     * @param lip how far the cover stands out beyond the cavity
     */
    public record CavityWanted(String cavity, double bit, double lip) {}

    /**
     * A part that the walls leave no room for.
     *
     * @param missing how much of its room is lost, mm² of plan
     */
    public record TooLittle(Control control, double missing) {}

    /** Proposes a cavity for the controls that stand in it; empty if there are none. */
    public static Optional<CavityFromParts> of(Build build, CavityWanted asked) {
        List<Control> controls = build.design().controls().stream()
                .filter(c -> asked.cavity()
                        .equals(build.design().cavityOf(c).map(Cavity::id).orElse(FeatureKind.ELDEST)))
                .toList();
        if (controls.isEmpty()) {
            return Optional.empty();
        }
        double radius = asked.bit() / 2 + EASE;
        double room = Math.max(build.shop().clearances().control(), radius);
        Region wanted = Region.EMPTY;
        for (Control control : controls) {
            Region own = control.footprint().grown(room);
            wanted = wanted.union(own);
        }
        double by = radius;
        Region joined = closed(wanted, by);
        while (!onePiece(joined, 2 * radius) && by < FARTHEST) {
            by += STEP;
            joined = closed(wanted, by);
        }
        Optional<Cavity> drawn = build.design().cavity(asked.cavity());
        Region allowed = allowed(build, asked.cavity(), drawn.map(Cavity::joins).orElse(Set.of()));
        Region cavity = joined.intersection(allowed).opened(2 * radius);
        List<TooLittle> missing = new ArrayList<>();
        for (Control control : controls) {
            double lost = control.footprint()
                    .minus(cavity.isEmpty() ? Region.EMPTY : cavity.grown(CHORD))
                    .area();
            if (lost > CHORD) {
                missing.add(new TooLittle(control, lost));
            }
        }
        boolean whole = !cavity.isEmpty() && onePiece(cavity, asked.bit());
        if (!whole) {
            return Optional.of(new CavityFromParts(controls, cavity, Region.EMPTY, List.of(), by, false, missing));
        }
        boolean letIn = drawn.isEmpty() || drawn.get().cover().kind().liesInARecess();
        if (!letIn) {
            return Optional.of(new CavityFromParts(controls, cavity, Region.EMPTY, List.of(), by, true, missing));
        }
        Region lipped = cavity.grown(asked.lip());
        List<Point> screws = screws(build, cavity);
        Region cover = lipped;
        for (Point screw : screws) {
            cover = cover.union(Region.disc(screw, EAR));
        }
        return Optional.of(new CavityFromParts(controls, cavity, cover, screws, by, true, missing));
    }

    /** Whether it can be cut as proposed: one piece that holds every part. */
    public boolean isWhole() {
        return shortOf.isEmpty() && onePiece;
    }

    private static Region closed(Region region, double by) {
        return region.grown(by).grown(-by);
    }

    /** Whether the bit's middle has one track through all of it, with something to spare. */
    private static boolean onePiece(Region region, double bit) {
        Region track = region.grown(-bit / 2 - PASSAGE / 2);
        return !track.isEmpty() && track.parts().size() == 1;
    }

    /** Where the shop's walls leave it: inside the edge, off the pickups, the bridge's routes and studs, other cavities and the neck pocket; what it is to join takes nothing. */
    private static Region allowed(Build build, String wanted, Set<Feature> joins) {
        Limits limits = build.shop().limits();
        double wall = limits.least(WoodLeft.Kind.WALL);
        Region allowed = build.design().outline().region().grown(-wall);
        List<Region> others = new ArrayList<>();
        for (Pickup pickup : build.design().pickups()) {
            if (joins.contains(pickup.feature())) {
                continue;
            }
            others.add(pickup.footprint());
            build.fitting().pickups().legs(pickup).ifPresent(l -> others.add(l.plan()));
        }
        new BridgeWork(build).pockets().forEach(p -> others.add(p.plan()));
        build.design().bridge().studs().ifPresent(s -> {
            for (int side = -1; side <= 1; side += 2) {
                others.add(Region.disc(
                        new Point(build.design().bridge().offCentre() + side * s.spacing() / 2, s.y()), s.diameter()));
            }
        });
        build.design().cavities().stream().filter(c -> !c.id().equals(wanted)).forEach(c -> others.add(c.plan()));
        others.add(build.design().neck().pocket());
        for (Region other : others) {
            allowed = allowed.minus(other.grown(wall));
        }
        return allowed;
    }

    /**
     * Screws evenly along the edge, each so far outside the cavity that its ear stands in whole wood. A place with too little
     * body round it is slid along the edge.
     */
    private static List<Point> screws(Build build, Region cavity) {
        double wall = build.shop().limits().least(WoodLeft.Kind.WALL);
        Region line = cavity.grown(EAR / 2);
        Region sound = build.design().outline().region().grown(-wall - EAR / 2);
        List<Point> edge = new ArrayList<>();
        line.forEachRing(ring -> {
            for (int i = 0; i + 1 < ring.length - 2; i += 2) {
                Point a = new Point(ring[i], ring[i + 1]);
                Point b = new Point(ring[i + 2], ring[i + 3]);
                int pieces = (int) Math.max(1, Math.ceil(a.distance(b)));
                for (int k = 0; k < pieces; k++) {
                    edge.add(a.towards(b, (double) k / pieces));
                }
            }
        });
        List<Point> places = edge.stream().filter(sound::contains).toList();
        int count = (int) Math.max(LEAST_SCREWS, Math.ceil(line.perimeter() / SCREW_EVERY));
        return spread(places, count);
    }

    /** So many places as far from each other as can be: always the one farthest from all that are taken (Gonzalez, 1985). */
    private static List<Point> spread(List<Point> places, int count) {
        List<Point> taken = new ArrayList<>();
        if (places.isEmpty()) {
            return taken;
        }
        taken.add(places.stream().max(Comparator.comparingDouble(Point::y)).orElseThrow());
        while (taken.size() < Math.min(count, places.size())) {
            taken.add(places.stream()
                    .max(Comparator.comparingDouble(
                            p -> taken.stream().mapToDouble(p::distance).min().orElse(0)))
                    .orElseThrow());
        }
        return taken;
    }

    /**
     * The cavity's edge as path data in millimetres: where the bit's middle runs, set off by the bit's radius, so that every corner is a
     * true arc.
     *
     * @param bit diameter that it was asked for with
     */
    public String path(double bit) {
        double radius = bit / 2 + EASE;
        StringBuilder data = new StringBuilder();
        cavity.grown(-radius).coarser(TRACK).forEachRing(ring -> {
            if (data.isEmpty()) {
                offset(Ring.anticlockwise(ring), radius, data);
            }
        });
        return data.toString();
    }

    private static void offset(List<Point> ring, double radius, StringBuilder data) {
        int n = ring.size();
        for (int i = 0; i < n; i++) {
            Point before = ring.get((i + n - 1) % n);
            Point at = ring.get(i);
            Point after = ring.get((i + 1) % n);
            double in = Math.atan2(at.y() - before.y(), at.x() - before.x());
            double out = Math.atan2(after.y() - at.y(), after.x() - at.x());
            double turn = Math.IEEEremainder(out - in, 2 * Math.PI);
            data.append(i == 0 ? "M " : "L ");
            if (turn > HARDLY) {
                data.append(place(at, radius, in - Math.PI / 2));
                data.append(" A ")
                        .append(plain(radius))
                        .append(' ')
                        .append(plain(radius))
                        .append(" 0 0 1 ");
                data.append(place(at, radius, out - Math.PI / 2)).append(' ');
            } else {
                double away = radius / Math.cos(turn / 2);
                data.append(place(at, away, in + turn / 2 - Math.PI / 2)).append(' ');
            }
        }
        data.append('Z');
    }

    private static String place(Point from, double away, double direction) {
        return plain(from.x() + away * Math.cos(direction)) + " " + plain(from.y() + away * Math.sin(direction));
    }

    private static String plain(double value) {
        return Decimals.plain(value, 4);
    }
}
