package ebauche.app.outline;

import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.geometry.Segment;
import ebauche.exchange.drawn.NeckPoints;
import java.util.ArrayList;
import java.util.List;

/** A drawn shape laid on the body: at its size, the neck up, seen from the front, its middle where the old outline's was. */
final class ShapePlacing {
    private ShapePlacing() {}

    /** The ways that a shape goes one after another until it lies on the body. */
    static List<Placing> ways(
            List<Segment> shape, double perUnit, NeckPoints neck, boolean fromBack, Region old, double dx, double dy) {
        List<Placing> ways = new ArrayList<>();
        ways.add(new Placing(false, perUnit, neck == null ? 0 : neck.turned(), 0, 0));
        if (fromBack) {
            ways.add(Placing.fromTheBack());
        }
        Region now = Outline.of(placed(shape, ways)).region();
        ways.add(Placing.moved(
                (old.minX() + old.maxX() - now.minX() - now.maxX()) / 2 + dx,
                (old.minY() + old.maxY() - now.minY() - now.maxY()) / 2 + dy));
        return ways;
    }

    static List<Segment> placed(List<Segment> shape, List<Placing> ways) {
        List<Segment> there = shape;
        for (Placing way : ways) {
            there = there.stream().map(s -> s.placed(way)).toList();
        }
        return there;
    }

    static Point placed(Point point, List<Placing> ways) {
        Point there = point;
        for (Placing way : ways) {
            there = way.of(there);
        }
        return there;
    }
}
