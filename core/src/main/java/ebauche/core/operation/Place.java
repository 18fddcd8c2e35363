package ebauche.core.operation;

import ebauche.core.geometry.Point;
import ebauche.core.measure.Reckoning;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A place that a step marks, drills or draws through, as the bench says it.
 *
 * @param name within its step, such as {@code string 6}
 * @param at where it lies on the plan, mm
 * @param wall what it lies on where that is no face
 */
public record Place(String name, Point at, Optional<OnAWall> wall) {
    /**
     * On the edge, or on a wall inside the body.
     *
     * @param words such as {@code the edge} or {@code the wall of the neck pocket}
     * @param down from the front as it is now to the place, mm
     */
    public record OnAWall(String words, Reckoning down) {}

    /** On the face that is up. */
    public Place(String name, Point at) {
        this(name, at, Optional.empty());
    }

    /** On the edge or on a wall, so far down from the front. */
    public Place(String name, Point at, String wall, Reckoning down) {
        this(name, at, Optional.of(new OnAWall(wall, down)));
    }

    /** Several that are alike, numbered from 1: {@code screw 1}, {@code screw 2}. */
    public static List<Place> numbered(String noun, List<Point> places) {
        return IntStream.range(0, places.size())
                .mapToObj(i -> new Place(noun + " " + (i + 1), places.get(i)))
                .toList();
    }
}
