package ebauche.core.channel;

import ebauche.core.crib.Fit;
import ebauche.core.design.BodyDesign;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.EdgeWalk;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Channel;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.JackSeat;
import ebauche.core.hardware.PartSize;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.stock.Bore;
import ebauche.core.stock.FaceShape;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Where a jack can stand in the edge: square to it, in the middle of its height or as near to it as the cavity lets, its whole hole coming out in a cavity, with wood round
 * it. The edge is walked round; every place that holds is looked at for how flat it is under the plate and for the pickups that a long
 * bit gets to through the hole.
 */
public final class JackPlaces {
    /** From place to place round the edge, mm. */
    private static final double STRIDE = 3;

    /** A hole is looked along every so far, mm. */
    private static final double STEP = 2;

    /** The hole's end goes on so far into the cavity, mm. */
    private static final double INTO = 1;

    /** The edge's own run is taken from so far either side, mm. */
    private static final double TANGENT = 6;

    /** Of a cup or a nut round its hole, beyond it, mm: common practice. */
    private static final double FLANGE = 4;

    /** Two that are offered lie so far apart, mm. */
    private static final double APART = 30;

    /** Near enough to a wall to be at it, mm. */
    private static final double CLOSE = 0.01;

    /** Of a jack that nobody chose yet, mm: common practice, 7/8 in. */
    private static final double USUAL_HOLE = 22.225;

    /** A jack with a plug in it reaches so far in from the edge: common practice. */
    private static final double USUAL_BELOW = 30;

    /** Its body is so much narrower than its hole, all round: common practice. */
    private static final double NUT_ROUND = 2;

    /** So deep a hole as wide as a jack's is drilled where the crib has no bit for it yet, mm: common practice. */
    private static final double DEEPEST = 100;

    /** No flat is cut deeper, mm: common practice. */
    private static final double MOST_OFF = 5;

    private final Build build;
    private final BodyDesign design;
    private final Around around;
    private final Region body;
    private final double wide;
    private final double plate;
    private final double deepest;
    private final Optional<Jack> drawn;

    private JackPlaces(Build build, History history) {
        this.build = build;
        this.design = build.design();
        this.drawn = design.jack();
        this.around = new Around(build, history, f -> f.equals(Jack.FEATURE) || f.is(FeatureKind.CHANNEL));
        this.body = design.outline().region();
        this.wide = drawn.map(Jack::diameter).orElse(USUAL_HOLE);
        this.deepest = build.shop()
                .crib()
                .drill(wide, Fit.CLEAR, DEEPEST)
                .map(d -> d.reach() - Channel.BEYOND)
                .orElse(DEEPEST);
        this.plate = drawn.map(Jack::plate).orElse(OptionalDouble.empty()).orElse(wide + 2 * FLANGE);
    }

    /**
     * A place for a jack.
     *
     * @param jack as it would stand there
     * @param into the cavity that it comes out in
     * @param wood from the edge until the whole hole is in the cavity, mm
     * @param over wood to the front, least along it, mm
     * @param under wood to the back, mm
     * @param beside wood to the nearest hollow beside it, mm; endless where there is none
     * @param flat the edge under its plate, or under its flange
     * @param reaches pickups that a long bit gets to through the hole
     */
    public record Place(
            Jack jack,
            Feature into,
            double wood,
            double over,
            double under,
            double beside,
            JackSeat flat,
            Set<Feature> reaches) {
        public Place {
            reaches = Set.copyOf(reaches);
        }

        /** How far the plate does not lie on the edge, mm. */
        public double uneven() {
            return Math.max(flat.bulge(), flat.gap());
        }

        public double leastWood() {
            return Math.min(Math.min(over, under), beside);
        }
    }

    /** The best first, none beside another: those where the jack meets no control, that reach a pickup, then how flat the edge is, then how short the hole. */
    public static List<Place> of(Build build, History history, int most) {
        return new JackPlaces(build, history).ranked(most);
    }

    private List<Place> ranked(int most) {
        List<Place> all = new ArrayList<>();
        EdgeWalk walk = new EdgeWalk(body);
        for (double way = 0; way < walk.length(); way += STRIDE) {
            Point at = walk.at(way, 0);
            Point before = walk.at(way - TANGENT, 0);
            Point after = walk.at(way + TANGENT, 0);
            square(at, before, after).ifPresent(all::add);
        }
        all.sort(Comparator.<Place>comparingInt(p -> meetsAControl(p) ? 1 : 0)
                .thenComparingInt(p -> p.reaches().isEmpty() ? 1 : 0)
                .thenComparingDouble(p -> Math.rint(Math.max(0, p.uneven() - JackSeat.LIES) * 4))
                .thenComparingDouble(Place::wood));
        List<Place> apart = new ArrayList<>();
        for (Place place : all) {
            if (apart.size() < most
                    && apart.stream()
                            .allMatch(
                                    p -> p.jack().entry().distance(place.jack().entry()) >= APART)) {
                apart.add(place);
            }
        }
        return apart;
    }

    /** Whether the jack would reach a control that hangs in the same cavity: both have the middle of its height. */
    private boolean meetsAControl(Place place) {
        Jack jack = place.jack();
        double below =
                jack.part().map(p -> p.size(PartSize.BELOW).orElse(USUAL_BELOW)).orElse(USUAL_BELOW);
        Region taken = Region.alongLine(List.of(jack.entry(), along(jack, below, 0)), wide / 2 - NUT_ROUND);
        return design.controls().stream().anyMatch(c -> c.footprint().overlaps(taken));
    }

    /** A jack square to the edge at a place, if it can stand there. */
    private Optional<Place> square(Point at, Point before, Point after) {
        double way = before.distance(after);
        double inX = -(after.y() - before.y()) / way;
        double inY = (after.x() - before.x()) / way;
        if (!body.contains(at.plus(inX, inY))) {
            inX = -inX;
            inY = -inY;
        }
        double x = inX;
        double y = inY;
        return cavity().flatMap(c -> into(c, at, x, y));
    }

    /** The cavity that it is to come out in: that of the jack as it is drawn, else the one with the most controls. */
    private Optional<Cavity> cavity() {
        return drawn.isPresent()
                ? design.cavityOf(drawn.get())
                : design.cavities().stream()
                        .max(Comparator.comparingInt(c -> design.controlsIn(c).size()));
    }

    private Optional<Place> into(Cavity cavity, Point at, double inX, double inY) {
        Region pit = around.plan(cavity.feature());
        double wood = untilWhole(pit, at, inX, inY);
        double least = build.shop().limits().thinnestWall();
        if (Double.isNaN(wood) || wood < least || wood > deepest) {
            return Optional.empty();
        }
        double front = around.frontDepth();
        OptionalDouble height = height(cavity, middle(at.plus(inX, inY)));
        if (height.isEmpty()) {
            return Optional.empty();
        }
        double mid = height.getAsDouble();
        Jack jack = new Jack(
                at,
                at.plus((wood + INTO) * inX, (wood + INTO) * inY),
                wide,
                Math.max(0.1, mid - front),
                drawn.flatMap(Jack::part));
        double over = toFace(Face.FRONT, jack, wood, mid);
        double under = toFace(Face.BACK, jack, wood, mid);
        double beside = beside(cavity, jack, mid);
        if (Math.min(Math.min(over, under), beside) < least) {
            return Optional.empty();
        }
        Place place = new Place(
                jack, cavity.feature(), wood, over, under, beside, JackSeat.of(body, jack, plate), reaches(jack));
        return place.uneven() <= MOST_OFF ? Optional.of(place) : Optional.empty();
    }

    /** Depth of the hole's middle: half-way down the edge, else as near to it as the cavity is open over the whole hole. */
    private OptionalDouble height(Cavity cavity, double mid) {
        return around.of(cavity.feature()).stream()
                .filter(s -> s.deepest() - s.shallowest() >= wide)
                .mapToDouble(s -> Math.max(s.shallowest() + wide / 2, Math.min(mid, s.deepest() - wide / 2)))
                .boxed()
                .min(Comparator.comparingDouble(h -> Math.abs(h - mid)))
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }

    /** How far it is from the edge until all of the hole's width is in a cavity; no number where it never is. */
    private double untilWhole(Region pit, Point at, double inX, double inY) {
        double most = 0;
        for (int side = -1; side <= 1; side++) {
            Point from = at.plus(-side * wide / 2 * inY, side * wide / 2 * inX);
            double in = firstIn(pit, from, inX, inY);
            if (Double.isNaN(in)) {
                return Double.NaN;
            }
            most = Math.max(most, in);
        }
        for (int side = -1; side <= 1; side++) {
            Point end =
                    at.plus((most + INTO) * inX - side * wide / 2 * inY, (most + INTO) * inY + side * wide / 2 * inX);
            if (!pit.contains(end)) {
                return Double.NaN;
            }
        }
        return most;
    }

    private static double firstIn(Region pit, Point from, double inX, double inY) {
        double most = pit.maxX() - pit.minX() + pit.maxY() - pit.minY() + pit.outside(from);
        for (double s = 0; s <= most; ) {
            double gap = pit.outside(from.plus(s * inX, s * inY));
            if (gap <= CLOSE) {
                return s;
            }
            s += Math.max(CLOSE, gap);
        }
        return Double.NaN;
    }

    /** The middle of the edge's height as it will be, depth in the stock. */
    private double middle(Point at) {
        return (around.face(Face.FRONT).depthAt(at) + around.face(Face.BACK).depthAt(at)) / 2;
    }

    private double toFace(Face face, Jack jack, double wood, double mid) {
        FaceShape shape = around.face(face);
        double least = Double.POSITIVE_INFINITY;
        for (double s = 0; s <= wood; s += STEP) {
            for (int side = -1; side <= 1; side++) {
                double across = side * wide / 2;
                Point on = along(jack, s, across);
                double half = side == 0 ? wide / 2 : 0;
                double surface = shape.depthAt(on);
                if (body.contains(on)) {
                    least = Math.min(least, (face == Face.FRONT ? mid - surface : surface - mid) - half);
                }
            }
        }
        return least;
    }

    private static Point along(Jack jack, double in, double across) {
        double way = jack.entry().distance(jack.aim());
        double x = (jack.aim().x() - jack.entry().x()) / way;
        double y = (jack.aim().y() - jack.entry().y()) / way;
        return jack.entry().plus(in * x - across * y, in * y + across * x);
    }

    /** Wood to the nearest hollow that the hole is not meant to open into and that lies in its height. */
    private double beside(Cavity cavity, Jack jack, double mid) {
        Region hole = Bore.level(jack.entry(), jack.aim(), mid, wide).plan();
        double least = Double.POSITIVE_INFINITY;
        for (Feature feature : around.features()) {
            if (!feature.equals(cavity.feature()) && !feature.equals(cavity.recess()) && !isIn(feature, cavity)) {
                for (Solid solid : around.of(feature)) {
                    if (solid.shallowest() < mid + wide / 2 && solid.deepest() > mid - wide / 2) {
                        Point[] near = hole.nearest(solid.plan());
                        least = Math.min(least, hole.overlaps(solid.plan()) ? 0 : near[0].distance(near[1]));
                    }
                }
            }
        }
        return least;
    }

    /** Whether it is drilled into the cavity's own floor. */
    private boolean isIn(Feature feature, Cavity cavity) {
        return design.controlsIn(cavity).stream().anyMatch(c -> c.feature().equals(feature))
                || (feature.owner().equals(cavity.feature()) && !feature.is(FeatureKind.COVER_SCREWS));
    }

    /** Pickups' routs that a long bit of the usual width meets, leaned in the hole as far as it can. */
    private Set<Feature> reaches(Jack jack) {
        double most = DrillRoom.leanInJack(wide, Finder.USUAL);
        Set<Feature> reached = new LinkedHashSet<>();
        double axis = Math.atan2(
                jack.aim().y() - jack.entry().y(), jack.aim().x() - jack.entry().x());
        for (Pickup pickup : design.pickups()) {
            boolean[] meets = new boolean[1];
            pickup.footprint().forEachRing(ring -> {
                for (int i = 0; i < ring.length; i += 2) {
                    double angle = Math.atan2(
                            ring[i + 1] - jack.entry().y(),
                            ring[i] - jack.entry().x());
                    double off = Math.abs(Math.toDegrees(Math.IEEEremainder(angle - axis, 2 * Math.PI)));
                    meets[0] |= off <= most;
                }
            });
            if (meets[0]) {
                reached.add(pickup.feature());
            }
        }
        return reached;
    }
}
