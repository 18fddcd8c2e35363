package ebauche.core.timber;

import java.util.List;
import java.util.stream.Collectors;

/**
 * A timber.
 *
 * @param key as the build file names it
 * @param name as people say it
 * @param density kg/m³ at 12 % moisture
 * @param hardness under the router
 * @param dust what its dust does beyond the usual, empty if nothing is known here
 * @param source where the density comes from
 */
public record Species(String key, String name, double density, Hardness hardness, String dust, String source) {
    /** Density at 12 % moisture per unit of specific gravity: 1000 kg/m³ of dry wood carries 12 % water. */
    private static final double PER_SPECIFIC_GRAVITY = 1120;

    private static final String HANDBOOK =
            "Wood Handbook, table 5-3a, specific gravity at 12 % x 1120 kg/m3 (from memory)";
    private static final String HARDWOOD_DUST = "Hardwood dust is a carcinogen: extraction and a mask.";

    /** The timbers that ship, in the order in which they are offered. */
    public static final List<Species> KNOWN = List.of(
            handbook("alder", "red alder", 0.41, Hardness.SOFT),
            handbook("ash", "white ash", 0.60, Hardness.HARD),
            handbook("basswood", "basswood", 0.37, Hardness.SOFT),
            handbook("cherry", "black cherry", 0.50, Hardness.MEDIUM),
            handbook("red-maple", "red maple", 0.54, Hardness.MEDIUM),
            handbook("maple", "sugar maple", 0.63, Hardness.HARD),
            handbook("poplar", "yellow-poplar", 0.42, Hardness.SOFT),
            handbook("walnut", "black walnut", 0.55, Hardness.MEDIUM));

    private static Species handbook(String key, String name, double specificGravity, Hardness hardness) {
        return new Species(key, name, specificGravity * PER_SPECIFIC_GRAVITY, hardness, HARDWOOD_DUST, HANDBOOK);
    }

    /**
     * The timber of that key.
     *
     * @throws IllegalArgumentException naming those that are known
     */
    public static Species of(String key) {
        return KNOWN.stream()
                .filter(s -> s.key.equals(key))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("“" + key + "” is no timber known here. Known: "
                        + KNOWN.stream().map(Species::key).collect(Collectors.joining(", "))));
    }
}
