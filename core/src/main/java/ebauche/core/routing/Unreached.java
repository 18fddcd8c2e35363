package ebauche.core.routing;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.geometry.Region;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Corners that not even the narrowest bearing bit of a crib reaches, to be finished by hand.
 *
 * <p>What a round bit takes out of a cavity is the cavity opened by the bit's disc; what it leaves along an outline is the body closed
 * by it (mathematical morphology). The rest stands.
 *
 * @param bit the narrowest
 * @param corners what it leaves standing, each by itself
 * @param outside whether they are along the outside of a body
 */
public record Unreached(Bit bit, List<Region> corners, boolean outside) {
    /** A crumb that sanding takes, mm²: common practice. */
    private static final double CRUMB = 0.2;

    private static final double HAIR = 0.05;

    public Unreached {
        corners = List.copyOf(corners);
    }

    /** In a cavity; empty for a crib without a bearing bit. Where it opens at the body's edge the bit runs out and in freely. */
    public static Optional<Unreached> inside(Region cavity, Region body, Crib crib) {
        return narrowest(crib).map(b -> {
            Region beyond = body.grown(2 * b.diameter()).minus(body);
            Region swept = cavity.union(beyond).opened(b.diameter());
            return new Unreached(b, pieces(cavity.intersection(body).minus(swept)), false);
        });
    }

    /** Along the outside of a body. */
    public static Optional<Unreached> outside(Region body, Crib crib) {
        return narrowest(crib)
                .map(b -> new Unreached(
                        b,
                        pieces(body.grown(b.diameter() / 2)
                                .grown(-b.diameter() / 2)
                                .minus(body)),
                        true));
    }

    private static Optional<Bit> narrowest(Crib crib) {
        return crib.bits().stream()
                .filter(Bit::copies)
                .min(Comparator.comparingDouble(Bit::diameter).thenComparing(Bit::name));
    }

    private static List<Region> pieces(Region rest) {
        // Curves are drawn in chords: what stands by their difference alone is a hair's breadth.
        return rest.opened(2 * HAIR).parts().stream()
                .filter(p -> p.area() > CRUMB)
                .toList();
    }
}
