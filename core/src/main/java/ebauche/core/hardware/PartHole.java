package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Refusal;
import java.util.Optional;

/**
 * A single hole for a part that goes straight into the wood: a threaded insert, a strap button's screw.
 *
 * @param id short and lasting, such as {@code strap-tail}
 * @param part insert or strap button
 * @param at its middle on the plan; for one in the edge, where it enters
 * @param from the side it is drilled from
 * @param aim for one in the edge, a place further in that it points to
 */
public record PartHole(String id, Part part, Point at, Side from, Optional<Point> aim) {
    /** The side that a hole is drilled from. */
    public enum Side {
        FRONT("front"),
        BACK("back"),
        EDGE("edge");

        private final String key;

        Side(String key) {
            this.key = key;
        }

        /** As files write it. */
        public String key() {
            return key;
        }
    }

    public PartHole {
        Refusal.unless(
                part.kind() == PartKind.INSERT || part.kind() == PartKind.STRAP_BUTTON,
                "part",
                "a " + part.kind().word() + " has a cavity of its own and is no single hole");
        Refusal.unless(
                from != Side.EDGE || aim.isPresent(), "aim", "a hole in the edge needs a place further in to point to");
        aim.ifPresent(
                a -> Refusal.unless(a.distance(at) >= 1, "aim", "must lie at least 1 mm from where the hole enters"));
    }

    public Feature feature() {
        return Feature.of(FeatureKind.HOLE, id);
    }
}
