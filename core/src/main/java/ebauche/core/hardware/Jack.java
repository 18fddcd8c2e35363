package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Refusal;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The output jack hole in the edge.
 *
 * @param entry where its axis meets the outline, or just outside
 * @param aim where the hole ends
 * @param diameter of the hole
 * @param fromFront depth of its axis below the finished front
 * @param part the jack itself, which the hole is drilled for
 */
public record Jack(Point entry, Point aim, double diameter, double fromFront, Optional<Part> part) {
    public static final Feature FEATURE = Feature.of(FeatureKind.JACK);

    public Jack {
        Refusal.positive(diameter, "diameter");
        Refusal.positive(fromFront, "fromFront");
        Refusal.unless(entry.distance(aim) >= 1, "aim", "must lie at least 1 mm from the entry");
        part.ifPresent(p -> Refusal.unless(
                p.kind() == PartKind.JACK, "part", "a " + p.kind().word() + " is no jack"));
    }

    /** A hole whose diameter is given. */
    public Jack(Point entry, Point aim, double diameter, double fromFront) {
        this(entry, aim, diameter, fromFront, Optional.empty());
    }

    /** How long the plate is that lies on the edge, along it; nothing for one that sits in its hole. */
    public OptionalDouble plate() {
        return part.map(p -> p.size(PartSize.ALONG)).orElse(OptionalDouble.empty());
    }

    /** How high that plate is, from face to face. */
    public OptionalDouble plateHeight() {
        return part.map(p -> p.size(PartSize.ACROSS)).orElse(OptionalDouble.empty());
    }
}
