package ebauche.core.stock;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A face of the body: flat, and carved here and there. Where two carves meet, the deeper one is there.
 *
 * @param face which
 * @param flat its depth in the stock where it is not carved
 * @param carves by the features that make them
 */
public record FaceShape(Face face, double flat, List<Carved> carves) {
    /** A carve, the feature that makes it and the area that it takes. */
    public record Carved(Feature feature, Region plan, Carve surface) {}

    public FaceShape {
        carves = List.copyOf(carves);
    }

    public static FaceShape flat(Face face, double depth) {
        return new FaceShape(face, depth, List.of());
    }

    /** How far the face lies inside its flat at a place, mm. */
    public double fall(Point at) {
        return carves.stream().mapToDouble(c -> c.surface().fall(at)).max().orElse(0);
    }

    /** The most that it lies inside its flat over an area, mm. */
    public double mostFall(Region over) {
        return over.isEmpty()
                ? 0
                : carves.stream()
                        .mapToDouble(c -> c.surface().mostFall(over))
                        .max()
                        .orElse(0);
    }

    /** The carve that takes the most at a place, if any takes wood there. */
    public Optional<Carved> carvedAt(Point at) {
        return carves.stream()
                .filter(c -> c.surface().fall(at) > 0)
                .max(Comparator.comparingDouble(c -> c.surface().fall(at)));
    }

    /** Depth in the stock at a place. */
    public double depthAt(Point at) {
        return face == Face.FRONT ? flat + fall(at) : flat - fall(at);
    }

    /** Its surfaces: the least wood to it is the least to any of them. */
    List<Surface> surfaces() {
        return Stream.concat(
                        Stream.of((Surface) Plane.at(flat)), carves.stream().map(Carved::surface))
                .toList();
    }
}
