package ebauche.core.design;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Refusal;
import ebauche.core.timber.Flaw;
import ebauche.core.timber.Hardness;
import ebauche.core.timber.Species;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * Strips glued edge to edge: the body's core, or a top over it.
 *
 * @param species of all strips but those with a timber of their own
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

    /** Its strips in another thickness, mm; of its faults nothing is known there. */
    public BlankLayer thick(double other) {
        return new BlankLayer(species, strips, other, List.of());
    }

    /** What a strip is made of. */
    public Species of(Strip strip) {
        return strip.species().orElse(species);
    }

    private Stream<Species> timbers() {
        return strips.stream().map(this::of).distinct();
    }

    /** Whether its strips are of more than one timber. */
    public boolean isMixed() {
        return timbers().count() > 1;
    }

    /** What it is made of, such as {@code red alder} or {@code red alder with sugar maple}; the layer's own timber first. */
    public String words() {
        List<String> others =
                timbers().filter(s -> !s.equals(species)).map(Species::name).toList();
        boolean allOwn = strips.stream().noneMatch(s -> of(s).equals(species));
        String first = allOwn ? others.get(0) : species.name();
        List<String> rest = allOwn ? others.subList(1, others.size()) : others;
        return rest.isEmpty() ? first : first + " with " + String.join(" and ", rest);
    }

    /** The hardest of its timbers: glue must close it. */
    public Hardness hardness() {
        return timbers().map(Species::hardness).max(Comparator.naturalOrder()).orElseThrow();
    }

    /** What a router takes it for: a cut across its strips meets the hardest. */
    public Hardness cutAs() {
        return timbers().map(Species::cutAs).max(Comparator.naturalOrder()).orElseThrow();
    }

    /** Whether any of its strips chips. */
    public boolean isBrittle() {
        return timbers().anyMatch(Species::brittle);
    }

    /** kg/m³ at 12 % moisture, the mean of its strips by their widths. */
    public Fact density() {
        return isMixed()
                ? Fact.usual(
                        strips.stream()
                                        .mapToDouble(
                                                s -> s.width() * of(s).density().value())
                                        .sum()
                                / width(),
                        "the mean of its strips by their widths")
                : of(strips.get(0)).density();
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
