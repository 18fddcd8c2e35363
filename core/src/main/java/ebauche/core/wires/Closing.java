package ebauche.core.wires;

import ebauche.core.design.Space;
import ebauche.core.feature.Feature;
import ebauche.core.hardware.Chamber;
import ebauche.core.job.Build;
import ebauche.core.job.UnderTop;
import ebauche.core.measure.Listing;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * What a top closes: the ways that wires are fished through chambers once it is on, and the hollows that nobody reaches again.
 *
 * @param fished ways that pass a chamber
 * @param sealed chambers of which no hollow opens into anything, and those of which only some do, each with how many do not
 */
public record Closing(List<WireWays.Way> fished, List<Sealed> sealed) {
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
        List<WireWays.Way> fished = ways.ways().stream()
                .filter(w -> w.through().stream().anyMatch(UnderTop::isInCore))
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

    /** What is looked at and ticked before the top is glued on, a sentence each. */
    public List<String> ticks() {
        Stream<String> cords = fished.stream().map(Closing::cord);
        Stream<String> shut = sealed.stream()
                .map(s -> "Nothing opens into " + s.said() + ": chips and anything loose are out of it for good.");
        return Stream.concat(cords, shut).toList();
    }

    private static String cord(WireWays.Way way) {
        List<String> said = way.through().stream().map(Feature::said).toList();
        List<String> passed = said.subList(1, said.size() - 1);
        int turns = way.turns();
        return "A cord runs from the " + said.get(0) + " through the " + Listing.and(passed) + " to the "
                + said.get(said.size() - 1) + ", for the wire " + way.wire().said() + ": "
                + (turns == 0 ? "no turn." : turns == 1 ? "one turn." : turns + " turns.");
    }
}
