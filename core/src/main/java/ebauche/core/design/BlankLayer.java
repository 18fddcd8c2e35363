package ebauche.core.design;

import ebauche.core.measure.Refusal;
import ebauche.core.timber.Flaw;
import ebauche.core.timber.Species;
import java.util.Collections;
import java.util.List;

/**
 * Strips of one timber, glued edge to edge: the body's core, or a top over it.
 *
 * @param strips from left to right, seen from the front
 * @param thickness as it goes into the blank, mm
 * @param flaws what is known of its faults, in the body's frame, depths from the layer's upper face
 */
public record BlankLayer(Species species, List<Strip> strips, double thickness, List<Flaw> flaws) {
    public static final int MOST_STRIPS = 12;

    public BlankLayer {
        strips = List.copyOf(strips);
        flaws = List.copyOf(flaws);
        Refusal.between(strips.size(), 1, MOST_STRIPS, "pieces");
        Refusal.between(thickness, 1, 120, "thickness");
    }

    /** Even strips of which nothing more is known. */
    public static BlankLayer even(Species species, int pieces, double across, double thickness) {
        return even(species, pieces, across, thickness, 0);
    }

    /** Even strips of which only the grain's angle is known, see {@link Strip}. */
    public static BlankLayer even(Species species, int pieces, double across, double thickness, double grainAngle) {
        Refusal.between(pieces, 1, MOST_STRIPS, "pieces");
        Strip strip = Strip.plain(across / pieces).withGrain(grainAngle);
        return new BlankLayer(species, Collections.nCopies(pieces, strip), thickness, List.of());
    }

    public double width() {
        return strips.stream().mapToDouble(Strip::width).sum();
    }

    /** The boards that its strips come from, each once; none if they were never chosen. */
    public List<String> boards() {
        return strips.stream()
                .map(Strip::board)
                .filter(b -> !b.isEmpty())
                .distinct()
                .toList();
    }
}
