package ebauche.core.wires;

import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.Chamber;
import ebauche.core.job.Build;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Listing;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What a top closes: the ways that wires are fished through chambers once it is on, and the hollows that nobody reaches again.
 *
 * @param fished ways that pass a chamber, or a channel that opens into one on its way
 * @param sealed chambers of which no hollow opens into anything, and those of which only some do, each with how many do not
 */
public record Closing(List<Fished> fished, List<Sealed> sealed) {
    /**
     * A way that a cord is fished along.
     *
     * @param through what it passes, its ends first and last; after a channel the chambers that it opens into
     */
    public record Fished(WireWays.Way way, List<Feature> through) {}

    private static List<Feature> through(WireWays.Way way, Map<Feature, List<Feature>> open) {
        Set<Feature> all = new LinkedHashSet<>();
        for (Feature passed : way.through()) {
            all.add(passed);
            all.addAll(open.getOrDefault(passed, List.of()));
        }
        return List.copyOf(all);
    }

    /**
     * A chamber with hollows that open into nothing.
     *
     * @param hollows how many of its hollows open into nothing
     * @param of how many it has
     */
    public record Sealed(Feature chamber, int hollows, int of) {
        /** As it is said at the bench. */
        public String said() {
            return hollows == of
                    ? "the " + chamber.said()
                    : hollows + " of the " + of + " hollows of the " + chamber.said();
        }
    }

    public Closing {
        fished = List.copyOf(fished);
        sealed = List.copyOf(sealed);
    }

    /** Of a build with chambers; nothing without. */
    public static Closing of(Build build) {
        List<Chamber> chambers = UnderTop.chambers(build);
        if (chambers.isEmpty()) {
            return new Closing(List.of(), List.of());
        }
        WireWays ways = WireWays.of(build);
        Map<Feature, List<Feature>> open = new HashMap<>();
        for (Run run : Run.all(build)) {
            open.put(
                    run.channel().feature(),
                    run.passage().through().stream()
                            .map(Space::feature)
                            .filter(UnderTop::isInCore)
                            .toList());
        }
        List<Fished> fished = ways.ways().stream()
                .map(w -> new Fished(w, through(w, open)))
                .filter(f -> f.through().stream().anyMatch(UnderTop::isInCore))
                .toList();
        List<Sealed> sealed = new ArrayList<>();
        for (Chamber chamber : chambers) {
            List<Space> hollows = build.spaces().all().stream()
                    .filter(s -> s.feature().equals(chamber.feature()))
                    .toList();
            int shut = (int) hollows.stream()
                    .filter(s -> !ways.isOpen(s) && !chamber.open().overlaps(s.plan()))
                    .count();
            if (shut > 0) {
                sealed.add(new Sealed(chamber.feature(), shut, hollows.size()));
            }
        }
        return new Closing(fished, sealed);
    }

    /** What is looked at and ticked before the top is glued on, a sentence each: for every chamber that wires pass, and every one that is shut for good. */
    public List<String> ticks() {
        Map<Feature, List<String>> passing = new LinkedHashMap<>();
        for (Fished f : fished) {
            f.through().stream()
                    .filter(UnderTop::isInCore)
                    .forEach(c ->
                            passing.computeIfAbsent(c, k -> new ArrayList<>()).add(turning(f.way())));
        }
        List<String> ticks = new ArrayList<>();
        passing.forEach((chamber, wires) -> ticks.add((wires.size() == 1 ? "A wire is" : "Wires are")
                + " fished through the " + chamber.said() + " later: " + Listing.and(wires)
                + ". The way is free of chips and glue, or a cord lies in it."));
        sealed.forEach(s ->
                ticks.add("Nothing opens into " + s.said() + ": chips and anything loose are out of it for good."));
        return ticks;
    }

    private static String turning(WireWays.Way way) {
        int turns = way.turns();
        return way.wire().said() + " (" + (turns == 0 ? "no turn" : turns == 1 ? "one turn" : turns + " turns") + ")";
    }
}
