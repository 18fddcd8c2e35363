package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.measure.Refusal;
import java.util.OptionalDouble;

/**
 * A wire, or a cable of several, from one part to another.
 *
 * @param id short and lasting
 * @param from a pickup, a control, the jack, the bridge, or a cavity for what lies in it, such as a battery
 * @param to the same
 * @param diameter over its insulation, mm; empty for the shop's usual
 */
public record Wire(String id, Feature from, Feature to, OptionalDouble diameter) {
    public Wire {
        end(from, "from");
        end(to, "to");
        Refusal.unless(!from.equals(to), "to", "a wire goes from one part to another");
        diameter.ifPresent(d -> Refusal.between(d, 0.2, 12, "diameter"));
    }

    /** One of the shop's usual diameter. */
    public Wire(String id, Feature from, Feature to) {
        this(id, from, to, OptionalDouble.empty());
    }

    private static void end(Feature end, String field) {
        boolean wired = switch (end.kind()) {
            case PICKUP, CONTROL, CAVITY, JACK, BRIDGE, UNKNOWN -> true;
            default -> false;
        };
        Refusal.unless(
                wired,
                field,
                "nothing is wired to the " + end.said() + ": say a pickup, control, jack, bridge or cavity");
    }

    /** Whether it grounds the bridge. */
    public boolean isGround() {
        return isAt(FeatureKind.BRIDGE);
    }

    /** Whether it is a cable with a shield of its own: a pickup's, or the jack's. */
    public boolean isCable() {
        return isAt(FeatureKind.PICKUP) || isAt(FeatureKind.JACK);
    }

    private boolean isAt(FeatureKind kind) {
        return from.is(kind) || to.is(kind);
    }

    /** As it is said at the bench: {@code neck pickup to volume}. */
    public String said() {
        return from.part() + " to " + to.part();
    }
}
