package ebauche.core.hardware;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Outline;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import ebauche.core.memo.Memo;
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
 * @param supports wood that stands in it while it is routed, to carry the router and the clamps, and is cut away afterwards
 * @param soundHoles openings through the top over it
 */
public record Chamber(
        String id,
        List<Outline> parts,
        double floor,
        Set<Feature> joins,
        List<Outline> supports,
        List<Outline> soundHoles) {
    /** So many holes are drilled for one chamber, and no more. */
    public static final int MOST_PARTS = 200;

    /** A support that stops so short of the wall is not held by it, mm. */
    private static final double HELD = 0.2;

    /** A line that is off by less lies on another, mm. */
    private static final double DRAWN = 0.1;

    /** Of one without supports and sound holes. */
    public Chamber(String id, List<Outline> parts, double floor, Set<Feature> joins) {
        this(id, parts, floor, joins, List.of(), List.of());
    }

    public Chamber {
        Refusal.between(floor, 1, 100, "floor");
        parts = List.copyOf(parts);
        joins = Set.copyOf(joins);
        supports = List.copyOf(supports);
        soundHoles = List.copyOf(soundHoles);
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
        Region plan = plan(parts);
        inside(plan, supports, "supports", "a support stands beside the hollow, or reaches out of it");
        inside(plan, soundHoles, "soundHoles", "a sound hole lies beside the hollow, or reaches out of it");
    }

    private static void inside(Region plan, List<Outline> lines, String field, String otherwise) {
        for (int i = 0; i < lines.size(); i++) {
            Region one = lines.get(i).region();
            Refusal.unless(plan.grown(DRAWN).contains(one), field, otherwise);
            for (Outline other : lines.subList(i + 1, lines.size())) {
                Refusal.unless(!one.overlaps(other.region()), field, "two of them cross, or lie on each other");
            }
        }
    }

    public Feature feature() {
        return Feature.of(FeatureKind.CHAMBER, id);
    }

    /** The same with another floor, mm. */
    public Chamber leaving(double wood) {
        return new Chamber(id, parts, wood, joins, supports, soundHoles);
    }

    /** Supports that no wall holds: they fall out where it goes through the core. */
    public Region loose() {
        Region inside = plan().grown(-HELD);
        return union(supports.stream().filter(s -> inside.contains(s.region())).toList());
    }

    /** Its sound holes, as a feature of their own. */
    public Feature opened() {
        return Feature.of(FeatureKind.SOUND_HOLES, id);
    }

    /** Its area, all parts together, without its posts. */
    public Region plan() {
        return plan(parts);
    }

    /** What the area of several lines is asked by. */
    private record Lines(List<Region> each) {}

    private static Region plan(List<Outline> parts) {
        Lines lines = new Lines(parts.stream().map(Outline::region).toList());
        return Memo.here().get(lines, () -> evenOdd(lines.each()), r -> 0);
    }

    private static Region evenOdd(List<Region> each) {
        List<double[]> rings = new ArrayList<>();
        each.forEach(r -> r.forEachRing(rings::add));
        return Region.ofRings(rings);
    }

    /** Whether wood is left standing in it. */
    public boolean hasPosts() {
        return parts.stream()
                .anyMatch(p -> parts.stream().anyMatch(o -> o != p && o.region().contains(p.region())));
    }

    /** What is routed out at first: all but its supports. */
    public Region routed() {
        return plan().minus(standing());
    }

    /** Its supports, all together. */
    public Region standing() {
        return union(supports);
    }

    /** Its sound holes, all together. */
    public Region open() {
        return union(soundHoles);
    }

    private static Region union(List<Outline> lines) {
        return lines.stream().map(Outline::region).reduce(Region.EMPTY, Region::union);
    }
}
