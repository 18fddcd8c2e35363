package ebauche.core.wires;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Listing;
import ebauche.core.wires.Run.Begun;
import ebauche.core.wires.Run.Space;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Which spaces a wire can get into from the cavity that has the jack: through spaces that join, and through channels. */
public final class WireWays {
    private final BodyDesign design;
    private final List<Run> runs;

    public WireWays(Build build) {
        this.design = build.design();
        this.runs = Run.all(build);
    }

    /** Pickups and cavities from which no wire gets there, said once. */
    public Optional<Finding> missing() {
        Map<Feature, Point> shut = shut();
        if (shut.isEmpty()) {
            return Optional.empty();
        }
        String names = Listing.and(shut.keySet().stream()
                .map(f -> f.is(FeatureKind.PICKUP) ? f.part() : f.said())
                .toList());
        Map.Entry<Feature, Point> first = shut.entrySet().iterator().next();
        return Optional.of(
                Finding.thinkAgain(Work.CHANNEL, "no-way-for-wires")
                        .on(first.getKey())
                        .at(first.getValue())
                        .says(
                                "No way is planned for the wires of the " + names
                                        + (isGrounded(reached()) ? "." : ", nor for the bridge's ground."),
                                "Add wire channels to the design before anything is glued over or finished: from the neck pocket, the jack hole or between cavities."));
    }

    /** Pickups and cavities from which no wire gets there, each with its place; none where nothing is wired. */
    public Map<Feature, Point> shut() {
        Map<Feature, Point> shut = new LinkedHashMap<>();
        if (design.controls().isEmpty() && design.jack().isEmpty()) {
            return shut;
        }
        Set<Feature> reached = reached();
        design.pickups().stream()
                .filter(p -> !reached.contains(p.feature()))
                .forEach(p -> shut.put(p.feature(), p.at()));
        design.cavities().stream()
                .filter(c -> !reached.contains(c.feature()))
                .forEach(c -> shut.put(c.feature(), c.plan().centroid()));
        return shut;
    }

    /** Whether a channel comes up under the bridge. */
    private boolean isGrounded(Set<Feature> reached) {
        return runs.stream()
                .filter(r -> r.begun() == Begun.ON_THE_FRONT)
                .flatMap(r -> r.spaces().stream())
                .anyMatch(s -> reached.contains(s.feature()));
    }

    /** What joins the cavity that has the jack, if only through others. */
    public Set<Feature> reached() {
        return design.jack()
                .flatMap(design::cavityOf)
                .or(() -> design.cavities().stream().findFirst())
                .map(c -> joinedWith(c.feature()))
                .orElseGet(LinkedHashSet::new);
    }

    /** A space and all that joins it, if only through others. */
    public Set<Feature> joinedWith(Feature space) {
        List<Set<Feature>> together = new ArrayList<>();
        design.pickups().forEach(p -> together.add(with(p.feature(), p.joins())));
        design.cavities().forEach(c -> together.add(with(c.feature(), c.joins())));
        design.jack().flatMap(design::cavityOf).ifPresent(c -> together.add(Set.of(c.feature(), Jack.FEATURE)));
        // The neck fills its pocket: no wire goes from one channel into another there.
        runs.forEach(r -> together.add(new LinkedHashSet<>(r.spaces().stream()
                .map(Space::feature)
                .filter(f -> !f.equals(NeckJoint.FEATURE))
                .toList())));
        Set<Feature> joined = new LinkedHashSet<>();
        Deque<Feature> ahead = new ArrayDeque<>(Set.of(space));
        while (!ahead.isEmpty()) {
            Feature here = ahead.remove();
            if (joined.add(here)) {
                together.stream().filter(t -> t.contains(here)).forEach(ahead::addAll);
            }
        }
        return joined;
    }

    private static Set<Feature> with(Feature one, Set<Feature> others) {
        Set<Feature> all = new LinkedHashSet<>(others);
        all.add(one);
        return all;
    }
}
