package ebauche.core.channel;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.job.History;
import ebauche.core.stock.FaceShape;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Where a jack's dish can stand on the front: all of it on flat wood, clear of strings, knobs and all that lies on the face, wood round its
 * rout and under it. It is moved over the face as it is turned; of those with ample wood the places
 * nearest to the cavity that its wires come from are the best, as the channel between them is short.
 */
public final class DishPlaces {
    /** It is tried every so far either way, mm. */
    private static final double STRIDE = 4;

    /** From the dish to the edge: a round-over runs past it; to what lies on the face, mm: common practice. */
    private static final double TO_EDGE = 6;

    private static final double BESIDE = 3;

    /** From the outer strings' lines to the dish, and across a knob, mm: common practice. */
    private static final double STRINGS = 10;

    private static final double KNOB = 25;

    /** A dish lies on a face that is not level by more than this with a gap under its rim, mm: common practice. */
    private static final double LEVEL = 0.4;

    /** A plate's screw goes in so far, mm: common practice. */
    private static final double SCREW = 20;

    /** A place with less wood than this somewhere comes after those with more, mm: common practice. */
    private static final double AMPLE = 6;

    /** Of a dish that nobody drew, beyond its rout, mm: common practice. */
    private static final double RIM = 4;

    /** Two that are offered lie so far apart, mm. */
    private static final double APART = 30;

    private final Build build;
    private final BodyDesign design;
    private final Cavity dish;
    private final Around around;
    private final Region plate;
    private final Region room;
    private final Point plateMiddle;
    private final Point routMiddle;

    /** Of its rout, under the finished front, mm; as deep as the body where nobody knows. */
    private final double deep;

    private DishPlaces(Build build, History history, Cavity dish) {
        this.build = build;
        this.design = build.design();
        this.dish = dish;
        this.around = new Around(build, history, f -> f.owner().equals(dish.feature()) || f.is(FeatureKind.CHANNEL));
        this.plate = dish.cover()
                .outline()
                .map(Outline::region)
                .orElseGet(() -> dish.plan().grown(RIM));
        this.deep = build.spaces().of(dish.feature()).map(Space::bottom).orElse(design.thickness());
        this.plateMiddle = plate.inner();
        this.routMiddle = dish.plan().inner();
        this.room = design.outline().region().grown(-TO_EDGE).minus(taken());
    }

    /**
     * A place for the dish.
     *
     * @param at the middle of its rout
     * @param dx how far it is moved there from where it is drawn, to the right as seen from the front, mm
     * @param dy to the neck, mm
     * @param beside wood to the nearest hollow beside its rout, or the edge, mm
     * @param under wood to the back, mm
     * @param from the cavity that its wires come from
     * @param apart wood to that, mm
     */
    public record Place(Point at, double dx, double dy, double beside, double under, Feature from, double apart) {}

    /** The best first, none beside another; none for a body whose jack stands in no dish, or that has no other cavity. */
    public static List<Place> of(Build build, History history, int most) {
        Optional<Cavity> dish = build.design().jackDish();
        return dish.isEmpty() ? List.of() : new DishPlaces(build, history, dish.get()).ranked(most);
    }

    /** What lies on the front, with room round it. */
    private Region taken() {
        Bridge bridge = design.bridge();
        double spread = design.strings().spread() + 2 * STRINGS;
        double from = bridge.footprintY() - bridge.along() / 2;
        double to = design.outline().region().maxY();
        Region taken = Region.rectangle(
                        new Point(bridge.offCentre(), (from + to) / 2), spread, Math.max(1, to - from), 0, 0)
                .union(bridge.footprint().grown(BESIDE))
                .union(design.neck().pocket().grown(BESIDE));
        for (Pickup pickup : design.pickups()) {
            taken = taken.union(pickup.rim().grown(BESIDE));
        }
        for (Control control : design.controls()) {
            taken = taken.union(Region.disc(control.at(), KNOB).grown(BESIDE));
        }
        for (Region line : design.plateLines()) {
            if (!line.equals(plate)) {
                taken = taken.union(line.grown(BESIDE));
            }
        }
        return taken;
    }

    private List<Place> ranked(int most) {
        Optional<Cavity> wires = design.cavities().stream()
                .filter(c -> !c.feature().equals(dish.feature()))
                .max(Comparator.comparingInt(c -> design.controlsIn(c).size()));
        if (wires.isEmpty()) {
            return List.of();
        }
        Region target = around.plan(wires.get().feature());
        List<Spot> spots = new ArrayList<>();
        Region body = design.outline().region();
        for (double dx = whole(body.minX() - plate.minX()); dx <= body.maxX() - plate.maxX(); dx += STRIDE) {
            for (double dy = whole(body.minY() - plate.minY()); dy <= body.maxY() - plate.maxY(); dy += STRIDE) {
                if (room.contains(plateMiddle.plus(dx, dy)) && room.contains(plate.moved(dx, dy))) {
                    Region rout = dish.plan().moved(dx, dy);
                    spots.add(new Spot(dx, dy, rout, rout.overlaps(target) ? 0 : distance(rout, target)));
                }
            }
        }
        spots.sort(Comparator.comparingDouble(Spot::apart));
        return nearest(spots, wires.get().feature(), most);
    }

    /** A place on the front, before anybody has looked into the wood under it. */
    private record Spot(double dx, double dy, Region rout, double apart) {}

    /** The nearest with ample wood; only where they are too few, those with little. */
    private List<Place> nearest(List<Spot> spots, Feature from, int most) {
        List<Place> ample = new ArrayList<>();
        List<Place> scant = new ArrayList<>();
        for (Spot spot : spots) {
            if (ample.size() == most) {
                return ample;
            }
            at(spot, from).ifPresent(p -> {
                if (Math.min(p.beside(), p.under()) < AMPLE) {
                    scant.add(p);
                } else {
                    addApart(ample, p);
                }
            });
        }
        for (Place place : scant) {
            if (ample.size() < most) {
                addApart(ample, place);
            }
        }
        return ample;
    }

    private static void addApart(List<Place> apart, Place place) {
        if (apart.stream().allMatch(p -> p.at().distance(place.at()) >= APART)) {
            apart.add(place);
        }
    }

    /** Up to whole strides, so that where it is drawn is one of the places. */
    private static double whole(double least) {
        return Math.ceil(least / STRIDE) * STRIDE;
    }

    private Optional<Place> at(Spot spot, Feature from) {
        double dx = spot.dx();
        double dy = spot.dy();
        Region rout = spot.rout();
        double least = build.shop().limits().thinnestWall();
        double under = under(rout, routMiddle.plus(dx, dy));
        double beside = beside(rout);
        boolean stands = under >= build.shop().limits().thinnestFloor()
                && beside >= least
                && spot.apart() >= least
                && isLevel(plate.moved(dx, dy), plateMiddle.plus(dx, dy))
                && dish.cover().screws().stream().allMatch(s -> findsWood(s.plus(dx, dy)));
        return stands
                ? Optional.of(new Place(routMiddle.plus(dx, dy), dx, dy, beside, under, from, spot.apart()))
                : Optional.empty();
    }

    private static double distance(Region one, Region other) {
        Point[] near = one.nearest(other);
        return near[0].distance(near[1]);
    }

    /** Wood to the back, and to what is cut from the back under it. */
    private double under(Region rout, Point middle) {
        double floor = around.frontDepth() + deep;
        double least = leastOf(around.face(Face.BACK), rout, middle) - floor;
        for (Feature feature : around.features()) {
            for (Solid solid : around.of(feature)) {
                if (solid.shallowest() >= floor && solid.plan().overlaps(rout)) {
                    least = Math.min(least, solid.shallowest() - floor);
                }
            }
        }
        return least;
    }

    private static double leastOf(FaceShape face, Region area, Point middle) {
        double[] least = {Double.POSITIVE_INFINITY};
        points(area, middle, p -> least[0] = Math.min(least[0], face.depthAt(p)));
        return least[0];
    }

    private boolean isLevel(Region rim, Point middle) {
        double[] span = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
        FaceShape front = around.face(Face.FRONT);
        points(rim, middle, p -> {
            span[0] = Math.min(span[0], front.depthAt(p));
            span[1] = Math.max(span[1], front.depthAt(p));
        });
        return span[1] - span[0] <= LEVEL;
    }

    /** Its corners and its middle. */
    private static void points(Region area, Point middle, Consumer<Point> look) {
        look.accept(middle);
        area.forEachRing(ring -> {
            for (int i = 0; i + 1 < ring.length; i += 2) {
                look.accept(new Point(ring[i], ring[i + 1]));
            }
        });
    }

    private boolean findsWood(Point screw) {
        double tip = around.frontDepth() + SCREW;
        return around.features().stream()
                .flatMap(f -> around.of(f).stream())
                .noneMatch(s -> s.shallowest() < tip && s.plan().outside(screw) < Cover.WOOD_ROUND_A_SCREW);
    }

    private double beside(Region rout) {
        double floor = around.frontDepth() + deep;
        Point[] edge = rout.nearestToEdge(design.outline().region());
        double least = edge[0].distance(edge[1]);
        for (Feature feature : around.features()) {
            for (Solid solid : around.of(feature)) {
                if (solid.shallowest() < floor) {
                    least = Math.min(least, solid.plan().overlaps(rout) ? 0 : distance(rout, solid.plan()));
                }
            }
        }
        return least;
    }
}
