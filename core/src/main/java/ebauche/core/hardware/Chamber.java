package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * A hollow that is routed into the core and closed by the top: one or more parts, such as either side of the centre block or holes in rows,
 * all to one depth.
 *
 * @param id short and lasting
 * @param parts seen from the front; none crosses another, and one that lies in another is a post that stays, which carries the top
 * @param floor wood left to the finished back, mm
 * @param joins features that it may break into, such as the cavity that its wires come from
 */
public record Chamber(String id, List<Outline> parts, double floor, Set<Feature> joins) {
    /** So many holes are drilled for one chamber, and no more. */
    public static final int MOST_PARTS = 200;

    public Chamber {
        Refusal.between(floor, 1, 100, "floor");
        parts = List.copyOf(parts);
        joins = Set.copyOf(joins);
        Refusal.unless(
                !parts.isEmpty() && parts.size() <= MOST_PARTS,
                "outline",
                "a chamber has one to " + MOST_PARTS + " parts, each a closed line");
        for (int i = 0; i < parts.size(); i++) {
            for (Outline other : parts.subList(i + 1, parts.size())) {
                Region one = parts.get(i).region();
                boolean apart = !one.overlaps(other.region());
                boolean post = one.contains(other.region()) != other.region().contains(one);
                Refusal.unless(apart || post, "outline", "two parts of the chamber cross, or lie on each other");
            }
        }
    }

    public Feature feature() {
        return Feature.of(FeatureKind.CHAMBER, id);
    }

    /** Its area, all parts together, without its posts. */
    public Region plan() {
        List<double[]> rings = new ArrayList<>();
        parts.forEach(p -> p.region().forEachRing(rings::add));
        return Region.ofRings(rings);
    }

    /** Whether wood is left standing in it. */
    public boolean hasPosts() {
        return parts.stream()
                .anyMatch(p -> parts.stream().anyMatch(o -> o != p && o.region().contains(p.region())));
    }
}
