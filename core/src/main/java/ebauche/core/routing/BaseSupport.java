package ebauche.core.routing;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.ArrayList;
import java.util.List;

/**
 * How a router's base stands while its bit runs along an edge.
 *
 * @param share of the base's disc that lies over work, template or support
 * @param margin of the bit's axis outside the hull of what carries the base, mm; less than nought where it stands within. The
 *     hands press near the axis: the further it is outside, the more the base tips
 */
public record BaseSupport(double share, double margin) {

    /** A place along an edge, and how the base stands there. */
    public record Place(FeedMap.Edge edge, BaseSupport support) {}

    /**
     * With the axis at one point. The hole for the bit is not taken off.
     *
     * @param carries work, template, support block: all at one height
     */
    public static BaseSupport at(Region carries, Point axis, double baseDiameter) {
        Region base = Region.disc(axis, baseDiameter);
        Region over = carries.intersection(base);
        if (over.isEmpty()) {
            return new BaseSupport(0, baseDiameter / 2);
        }
        return new BaseSupport(over.area() / base.area(), over.hull().outside(axis));
    }

    /** All along an outline, the bit's axis a radius outside the guided edge. */
    public static List<Place> along(FeedMap map, Region carries, double bitDiameter, double baseDiameter) {
        List<Place> places = new ArrayList<>();
        for (FeedMap.Edge edge : map.edges()) {
            Point middle = edge.from().towards(edge.to(), 0.5);
            Point axis = middle.plus(
                    edge.outward().x() * bitDiameter / 2, edge.outward().y() * bitDiameter / 2);
            places.add(new Place(edge, at(carries, axis, baseDiameter)));
        }
        return places;
    }
}
