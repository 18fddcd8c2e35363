package ebauche.core.hardware;

import ebauche.core.geometry.Point;
import ebauche.core.measure.Refusal;

/**
 * The output jack's hole in the edge.
 *
 * @param entry where its axis meets the outline, or just outside
 * @param aim where the hole ends
 * @param diameter of the hole
 * @param fromFront depth of its axis below the finished front
 */
public record Jack(Point entry, Point aim, double diameter, double fromFront) {
    public static final String FEATURE = "jack";

    public Jack {
        Refusal.positive(diameter, "diameter");
        Refusal.positive(fromFront, "fromFront");
        Refusal.unless(entry.distance(aim) >= 1, "aim", "must lie at least 1 mm from the entry");
    }
}
