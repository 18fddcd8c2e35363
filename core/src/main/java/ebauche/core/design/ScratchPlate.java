package ebauche.core.design;

import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Refusal;
import java.util.List;
import java.util.Optional;

/**
 * A scratch plate on the front.
 *
 * @param thickness mm
 * @param underFingerboard whether it runs under the fingerboard's end, or stops beside the neck
 * @param outline as it lies on the body, where it was drawn or traced
 * @param screws that hold it, where they are known
 */
public record ScratchPlate(double thickness, boolean underFingerboard, Optional<Outline> outline, List<Point> screws) {
    public ScratchPlate {
        Refusal.between(thickness, 0.2, 10, "thickness");
        screws = List.copyOf(screws);
    }

    /** The same moved over the front. */
    public ScratchPlate moved(double dx, double dy) {
        Placing way = Placing.moved(dx, dy);
        return new ScratchPlate(
                thickness,
                underFingerboard,
                outline.map(o -> o.placed(way)),
                screws.stream().map(s -> s.plus(dx, dy)).toList());
    }

    /** One that nobody has drawn. */
    public ScratchPlate(double thickness, boolean underFingerboard) {
        this(thickness, underFingerboard, Optional.empty(), List.of());
    }
}
