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
    /**
     * A carve, the feature that makes it and the area that it takes.
     *
     * @param only where it lies so, of one that is not level with the face beyond its area; empty of any other
     */
    public record Carved(Feature feature, Region plan, Carve surface, Optional<Region> only) {
        /** One that is level with the face beyond its area. */
        public Carved(Feature feature, Region plan, Carve surface) {
            this(feature, plan, surface, Optional.empty());
        }

        double fall(Point at, double flat) {
            return only.isPresent() && !only.get().contains(at) ? 0 : Math.abs(surface.depthAt(at.x(), at.y()) - flat);
        }

        double mostFall(Region over, double flat) {
            Region here = only.map(over::intersection).orElse(over);
            return here.isEmpty() ? 0 : surface.mostFall(here) + Math.abs(surface.flat() - flat);
        }
    }

    public FaceShape {
        carves = List.copyOf(carves);
    }

    public static FaceShape flat(Face face, double depth) {
        return new FaceShape(face, depth, List.of());
    }

    /** The same without what readings found deeper. */
    public FaceShape drawn() {
        return new FaceShape(
                face, flat, carves.stream().filter(c -> c.only().isEmpty()).toList());
    }

    /** How far the face lies inside its flat at a place, mm. */
    public double fall(Point at) {
        return carves.stream().mapToDouble(c -> c.fall(at, flat)).max().orElse(0);
    }

    /** The most that it lies inside its flat over an area, mm. */
    public double mostFall(Region over) {
        return over.isEmpty()
                ? 0
                : carves.stream().mapToDouble(c -> c.mostFall(over, flat)).max().orElse(0);
    }

    /** The carve that takes the most at a place, if any takes wood there. */
    public Optional<Carved> carvedAt(Point at) {
        return carves.stream().filter(c -> c.fall(at, flat) > 0).max(Comparator.comparingDouble(c -> c.fall(at, flat)));
    }

    /** Depth in the stock at a place. */
    public double depthAt(Point at) {
        return face == Face.FRONT ? flat + fall(at) : flat - fall(at);
    }

    /**
     * One of its surfaces.
     *
     * @param only where it lies; empty of one that lies everywhere
     */
    record Part(Surface surface, Optional<Region> only) {}

    /** Its surfaces: the least wood to it is the least to any of them. */
    List<Part> parts() {
        return Stream.concat(
                        Stream.of(new Part(Plane.at(flat), Optional.empty())),
                        carves.stream().map(c -> new Part(c.surface(), c.only())))
                .toList();
    }
}
