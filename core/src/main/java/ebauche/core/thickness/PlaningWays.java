package ebauche.core.thickness;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Strip;
import ebauche.core.geometry.Face;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Which way each strip of a face is planed so that its fibres do not tear: uphill. Turned over, each way turns round, and what lay
 * left lies right.
 *
 * @param strips from left to right as seen with that face up and the neck ahead: 1 towards the neck, -1 away from it, 0 either
 * @param widths of the strips, mm
 */
public record PlaningWays(Face face, List<Integer> strips, List<Double> widths) {

    public static PlaningWays of(Blank blank, Face face) {
        BlankLayer layer = face == Face.FRONT ? blank.top().orElse(blank.core()) : blank.core();
        List<Strip> seen = new ArrayList<>(layer.strips());
        if (face == Face.BACK) {
            Collections.reverse(seen);
        }
        return new PlaningWays(
                face,
                seen.stream()
                        .map(s -> face == Face.FRONT ? s.planedTowardsNeck() : -s.planedTowardsNeck())
                        .toList(),
                seen.stream().map(Strip::width).toList());
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
