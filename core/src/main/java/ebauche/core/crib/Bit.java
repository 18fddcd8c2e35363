package ebauche.core.crib;

import ebauche.core.measure.Refusal;

/**
 * A router bit.
 *
 * @param name what the shop calls it
 * @param bearing where its bearing sits
 * @param diameter of the cutter
 * @param cutterLength how deep the edges reach
 * @param shank diameter
 */
public record Bit(String name, Bearing bearing, double diameter, double cutterLength, double shank) implements Tool {

    /** Where a bit's guide bearing sits. */
    public enum Bearing {
        NONE,
        AT_SHANK,
        AT_TIP
    }

    public Bit {
        Refusal.positive(diameter, "diameter");
        Refusal.positive(cutterLength, "cutterLength");
        Refusal.positive(shank, "shank");
    }
}
