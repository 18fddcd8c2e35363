package ebauche.core.channel;

import ebauche.core.channel.Run.Begun;
import ebauche.core.channel.Run.Space;
import ebauche.core.design.BodyDesign;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Jack;
import ebauche.core.job.Build;
import ebauche.core.job.Finding;
import ebauche.core.measure.Listing;
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
final class WireWays {
    private final BodyDesign design;
    private final List<Run> runs;

    WireWays(Build build) {
        this.design = build.design();
        this.runs = Run.all(build);
    }

    /** Pickups and cavities from which no wire gets there, said once. */
    Optional<Finding> missing() {
        boolean wired = !design.controls().isEmpty() || design.jack().isPresent();
        Set<Feature> reached = reached();
        Map<Feature, Point> shut = new LinkedHashMap<>();
        design.pickups().stream()
                .filter(p -> !reached.contains(p.feature()))
                .forEach(p -> shut.put(p.feature(), p.at()));
        design.cavities().stream()
                .filter(c -> !reached.contains(c.feature()))
                .forEach(c -> shut.put(c.feature(), c.plan().centroid()));
        if (!wired || shut.isEmpty()) {
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
                                        + (isGrounded(reached) ? "." : ", nor for the bridge's ground."),
                                "Add wire channels to the design before anything is glued over or finished: from the neck pocket, the jack hole or between cavities."));
    }

    /** Whether a channel comes up under the bridge. */
    private boolean isGrounded(Set<Feature> reached) {
        return runs.stream()
                .filter(r -> r.begun() == Begun.ON_THE_FRONT)
                .flatMap(r -> r.spaces().stream())
                .anyMatch(s -> reached.contains(s.feature()));
    }

    /** What joins the cavity that has the jack, if only through others. */
    private Set<Feature> reached() {
        List<Set<Feature>> together = new ArrayList<>();
        design.pickups().forEach(p -> together.add(with(p.feature(), p.joins())));
        design.cavities().forEach(c -> together.add(with(c.feature(), c.joins())));
        design.jack().flatMap(design::cavityOf).ifPresent(c -> together.add(Set.of(c.feature(), Jack.FEATURE)));
        runs.forEach(r -> together.add(
                new LinkedHashSet<>(r.spaces().stream().map(Space::feature).toList())));
        Set<Feature> reached = new LinkedHashSet<>();
        Deque<Feature> ahead = new ArrayDeque<>();
        design.jack()
                .flatMap(design::cavityOf)
                .or(() -> design.cavities().stream().findFirst())
                .map(Cavity::feature)
                .ifPresent(ahead::add);
        while (!ahead.isEmpty()) {
            Feature here = ahead.remove();
            if (reached.add(here)) {
                together.stream().filter(t -> t.contains(here)).forEach(ahead::addAll);
            }
        }
        return reached;
    }

    private static Set<Feature> with(Feature one, Set<Feature> others) {
        Set<Feature> all = new LinkedHashSet<>(others);
        all.add(one);
        return all;
    }
}
