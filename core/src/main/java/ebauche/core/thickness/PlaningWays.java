package ebauche.core.thickness;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Strip;
import ebauche.core.geometry.Face;
import java.util.List;

/**
 * Which way each strip of a face is planed so that its fibres do not tear: uphill. Turned over, each way turns round.
 *
 * @param strips from left to right as seen with that face up: 1 towards the neck, -1 away from it, 0 either
 */
public record PlaningWays(Face face, List<Integer> strips) {

    public static PlaningWays of(Blank blank, Face face) {
        BlankLayer layer = face == Face.FRONT ? blank.top().orElse(blank.core()) : blank.core();
        List<Integer> ways = layer.strips().stream()
                .map(Strip::planedTowardsNeck)
                .map(w -> face == Face.FRONT ? w : -w)
                .toList();
        return new PlaningWays(face, ways);
    }

    /** Whether two strips want opposite ways, as book-matched halves do. */
    public boolean opposed() {
        return strips.contains(1) && strips.contains(-1);
    }

    /** The way for the whole face: 1, -1, or 0 where either will do or none serves all. */
    public int common() {
        return opposed() ? 0 : strips.stream().filter(w -> w != 0).findFirst().orElse(0);
    }

    /** As an instruction. */
    public String inWords() {
        if (opposed()) {
            return "Work from the centre seam outward, each strip in its own direction; then across the grain to rough thickness.";
        }
        return switch (common()) {
            case 1 -> "Work towards the neck.";
            case -1 -> "Work from the neck end.";
            default -> "Either direction; stop and turn at the first tear.";
        };
    }
}
