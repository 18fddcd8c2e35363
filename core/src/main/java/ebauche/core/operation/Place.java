package ebauche.core.operation;

import ebauche.core.geometry.Point;
import java.util.List;
import java.util.stream.IntStream;

/**
 * A place that a step marks, drills or draws through, as the bench says it.
 *
 * @param name within its step, such as {@code string 6}
 * @param at where it lies on the plan, mm
 */
public record Place(String name, Point at) {
    /** Several that are alike, numbered from 1: {@code screw 1}, {@code screw 2}. */
    public static List<Place> numbered(String noun, List<Point> places) {
        return IntStream.range(0, places.size())
                .mapToObj(i -> new Place(noun + " " + (i + 1), places.get(i)))
                .toList();
    }
}
