package ebauche.core.hardware;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
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
 */
public record Pickup(
        String id,
        Point at,
        double across,
        double along,
        double cornerRadius,
        double turned,
        double depth,
        Set<String> joins) {
    public Pickup {
        Refusal.positive(across, "across");
        Refusal.positive(along, "along");
        Refusal.notNegative(cornerRadius, "cornerRadius");
        Refusal.positive(depth, "depth");
        joins = Set.copyOf(joins);
    }

    public Region footprint() {
        return Region.rectangle(at, across, along, cornerRadius, turned);
    }

    public String feature() {
        return "pickup-" + id;
    }
}
