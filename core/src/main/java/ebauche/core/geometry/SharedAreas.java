package ebauche.core.geometry;

import java.util.IdentityHashMap;
import java.util.Map;

/**
 * Areas shared by pairs of regions, each reckoned once. Steps of one cavity sweep the same region again and again; this
 * remembers by the regions' identity and lives no longer than the plan that asks.
 */
public final class SharedAreas {
    private final Map<Region, Map<Region, Double>> known = new IdentityHashMap<>();

    /** Area that two regions share, mm². */
    public double of(Region one, Region other) {
        return known.computeIfAbsent(one, r -> new IdentityHashMap<>())
                .computeIfAbsent(other, r -> one.intersection(r).area());
    }
}
