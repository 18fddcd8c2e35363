package ebauche.core.channel;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.stock.Solid;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Places where a channel may begin or end: along the walls of a space at a few depths, or on the front under the bridge. */
final class Walls {
    /** Along a wall places are tried so far apart, and along the edge, mm. */
    private static final double ALONG_WALL = 12;

    private static final double ALONG_EDGE = 20;

    /** Under the bridge, mm. */
    private static final double UNDER_BRIDGE = 6;

    /** A place so near another tells nothing new, mm. */
    private static final double APART = ALONG_WALL / 2;

    /** The hole's middle lies so far over a floor that it grazes it by, mm. */
    private static final double OVER_FLOOR = 1;

    /** A hole that leans is taller than it is wide: by so much where it leans by 25 degrees. */
    private static final double TALLER = 1.1;

    /** Wood kept to the faces, mm: common practice. */
    private final double clear;

    private final Around around;
    private final double wide;
    private final Map<Feature, List<Wall>> known = new HashMap<>();

    Walls(Around around, double wide, double clear) {
        this.around = around;
        this.wide = wide;
        this.clear = clear;
    }

    /**
     * A place on the wall of a space.
     *
     * @param dx of the way out of it, of length one with {@code dy}; both nought on the front, where any way will do
     * @param depths at which a hole's middle may lie there, in the stock
     */
    record Wall(Point at, double dx, double dy, List<Double> depths) {
        boolean isUpright() {
            return dx != 0 || dy != 0;
        }
    }

    List<Wall> of(Feature space) {
        return known.computeIfAbsent(space, this::along);
    }

    private List<Wall> along(Feature space) {
        List<Wall> places = new ArrayList<>();
        eachPlace(around.plan(space), ALONG_WALL, (at, dx, dy) -> {
            if (places.stream().noneMatch(o -> o.at().distance(at) < APART)
                    && around.body().outside(at) < -clear) {
                places.add(new Wall(at, dx, dy, depths(space, at.plus(-dx, -dy))));
            }
        });
        return places;
    }

    /** Places on the edge, from where a drill goes in. */
    List<Wall> edge() {
        List<Wall> places = new ArrayList<>();
        List<Double> depths = between(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
        eachPlace(around.body(), ALONG_EDGE, (at, dx, dy) -> {
            if (places.stream().noneMatch(o -> o.at().distance(at) < ALONG_EDGE / 2)) {
                places.add(new Wall(at, -dx, -dy, depths));
            }
        });
        return places;
    }

    /** A place on a region's rim, and the way out of the region there, of length one. */
    private interface OnRim {
        void at(Point place, double dx, double dy);
    }

    private static void eachPlace(Region region, double apart, OnRim what) {
        region.forEachRing(ring -> {
            for (int i = 0; i + 3 < ring.length; i += 2) {
                Point a = new Point(ring[i], ring[i + 1]);
                Point b = new Point(ring[i + 2], ring[i + 3]);
                double length = a.distance(b);
                int steps = (int) Math.ceil(length / apart);
                for (int k = 0; k < steps; k++) {
                    Point at = a.towards(b, (k + 0.5) / steps);
                    double dx = (b.y() - a.y()) / length;
                    double dy = -(b.x() - a.x()) / length;
                    int side = region.contains(at.plus(dx, dy)) ? -1 : 1;
                    what.at(at, side * dx, side * dy);
                }
            }
        });
    }

    /** Depths of a middle beside a wall of a space: just over its floor and under its roof, and between. */
    private List<Double> depths(Feature space, Point inside) {
        double top = Double.POSITIVE_INFINITY;
        double bottom = Double.NEGATIVE_INFINITY;
        for (Solid solid : around.of(space)) {
            double[] piece = Line.piece(solid, inside);
            if (piece.length > 0) {
                top = Math.min(top, piece[0]);
                bottom = Math.max(bottom, piece[1]);
            }
        }
        return between(top, bottom);
    }

    /** Depths of a middle between a roof and a floor, and between the faces. */
    private List<Double> between(double top, double bottom) {
        double half = TALLER * wide / 2;
        double least = Math.max(top + half + OVER_FLOOR, around.frontDepth() + half + clear);
        double most = Math.min(bottom - half - OVER_FLOOR, around.backDepth() - half - clear);
        if (!(most >= least)) {
            return List.of();
        }
        return most - least < 2 ? List.of(most) : List.of(least, (2 * least + most) / 3, (least + 2 * most) / 3, most);
    }

    /** Places on the front that the bridge covers, clear of what is cut there: common practice has the hole beside the bridge's hollow. */
    List<Wall> underBridge(Region footprint) {
        List<Wall> places = new ArrayList<>();
        Region covered = footprint.intersection(around.body());
        double edge = wide / 2 + clear;
        List<Solid> near = around.features().stream()
                .flatMap(f -> around.of(f).stream())
                .filter(s ->
                        s.shallowest() < around.frontDepth() + edge && s.plan().boxesApart(footprint) < edge)
                .toList();
        for (double y = footprint.minY() + edge; y <= footprint.maxY() - edge; y += UNDER_BRIDGE) {
            for (double x = footprint.minX() + edge; x <= footprint.maxX() - edge; x += UNDER_BRIDGE) {
                Point at = new Point(x, y);
                boolean solid = near.stream().noneMatch(s -> s.plan().outside(at) < edge);
                if (solid && covered.outside(at) <= -edge) {
                    places.add(new Wall(at, 0, 0, List.of(around.frontDepth())));
                }
            }
        }
        return places;
    }
}
