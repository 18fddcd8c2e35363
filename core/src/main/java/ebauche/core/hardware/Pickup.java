package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Decimals;
import ebauche.core.measure.Refusal;
import java.util.Optional;
import java.util.Set;

/**
 * A pickup's cavity in the front.
 *
 * @param id short and lasting, such as {@code neck} or {@code bridge}
 * @param at its middle
 * @param across along x before turning
 * @param along along y before turning
 * @param cornerRadius of the cavity
 * @param turned degrees anticlockwise
 * @param depth from the finished front
 * @param joins features that it may break into on purpose
 * @param proud how far the pickup's top is to stand over the finished front, where its cavity follows from the part
 * @param part the pickup itself; with it, the cavity's sizes here are the bare part's until the build adds the shop's room
 */
public record Pickup(
        String id,
        Point at,
        double across,
        double along,
        double cornerRadius,
        double turned,
        double depth,
        Set<Feature> joins,
        double proud,
        Optional<Part> part) {
    public Pickup {
        Refusal.positive(across, "across");
        Refusal.positive(along, "along");
        Refusal.notNegative(cornerRadius, "cornerRadius");
        Refusal.positive(depth, "depth");
        joins = Set.copyOf(joins);
    }

    /** A cavity that is drawn, whatever hangs in it. */
    public Pickup(
            String id,
            Point at,
            double across,
            double along,
            double cornerRadius,
            double turned,
            double depth,
            Set<Feature> joins) {
        this(id, at, across, along, cornerRadius, turned, depth, joins, 0, Optional.empty());
    }

    /** A cavity that follows from the part: bare, without any room round it. */
    public static Pickup of(String id, Point at, double turned, Set<Feature> joins, double proud, Part part) {
        Refusal.unless(
                part.kind() == PartKind.PICKUP, "part", "a " + part.kind().word() + " is no pickup");
        Refusal.unless(
                proud < part.get(PartSize.HEIGHT),
                "proud",
                "the pickup would stand wholly over the front: it is " + Decimals.plain(part.get(PartSize.HEIGHT), 2)
                        + " mm high");
        return new Pickup(
                id,
                at,
                part.get(PartSize.ACROSS),
                part.get(PartSize.ALONG),
                part.size(PartSize.CORNER).orElse(0),
                turned,
                part.get(PartSize.HEIGHT) - proud,
                joins,
                proud,
                Optional.of(part));
    }

    /** The same with its middle elsewhere. */
    public Pickup standing(Point middle) {
        return new Pickup(id, middle, across, along, cornerRadius, turned, depth, joins, proud, part);
    }

    /** What covers the front: its ring where the part has one, whose screws stand under it, else its cavity. */
    public Region rim() {
        return part.filter(p -> p.has(PartSize.RING_ACROSS) && p.has(PartSize.RING_ALONG))
                .map(p -> Region.rectangle(at, p.get(PartSize.RING_ACROSS), p.get(PartSize.RING_ALONG), 0, turned))
                .orElseGet(this::footprint);
    }

    public Region footprint() {
        return Region.rectangle(at, across, along, cornerRadius, turned);
    }

    /** The deeper pockets for its legs. */
    public Feature legs() {
        return Feature.of(FeatureKind.LEGS, id);
    }

    public Feature feature() {
        return Feature.of(FeatureKind.PICKUP, id);
    }
}
