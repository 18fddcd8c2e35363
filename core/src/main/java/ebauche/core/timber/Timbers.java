package ebauche.core.timber;

import ebauche.core.measure.Refusal;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The timbers that are known, in the order in which they are offered. */
public final class Timbers {
    private final Map<String, Species> byKey = new LinkedHashMap<>();

    public Timbers(Collection<Species> species) {
        species.forEach(s -> byKey.put(s.key(), s));
    }

    public List<Species> all() {
        return List.copyOf(byKey.values());
    }

    /**
     * The timber of that key.
     *
     * @throws Refusal naming those that are known
     */
    public Species of(String key) {
        Species found = byKey.get(key);
        Refusal.unless(
                found != null,
                "species",
                "“" + key + "” is no timber known here. Known: " + String.join(", ", byKey.keySet()));
        return found;
    }

    /** These with more; one whose key is known already takes its place. */
    public Timbers with(Collection<Species> more) {
        Timbers sum = new Timbers(byKey.values());
        more.forEach(s -> sum.byKey.put(s.key(), s));
        return sum;
    }
}
