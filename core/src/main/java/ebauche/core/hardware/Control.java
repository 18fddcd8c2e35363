package ebauche.core.hardware;

import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.measure.Refusal;
import java.util.OptionalDouble;

/**
 * A pot or a switch, mounted through the wood that is left over the rear cavity.
 *
 * @param id short and lasting, such as {@code volume}
 * @param kind pot or blade switch
 * @param at where its shaft or lever comes through
 * @param opening diameter of a pot's hole, width of a blade's slot
 * @param slot length of a blade's slot, 0 for a pot
 * @param thinnestTop least wood that it wants under it
 * @param thickestTop most wood that its thread or lever passes
 * @param across its body along x
 * @param along its body along y
 * @param below how far its body reaches under the top
 * @param woodOver wood left over it where that is not the cavity's own: a step in the floor
 */
public record Control(
        String id,
        Kind kind,
        Point at,
        double opening,
        double slot,
        double thinnestTop,
        double thickestTop,
        double across,
        double along,
        double below,
        OptionalDouble woodOver) {

    public enum Kind {
        POT("pot"),
        BLADE_SWITCH("blade switch");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    public Control {
        Refusal.positive(opening, "opening");
        Refusal.notNegative(thinnestTop, "thinnestTop");
        Refusal.unless(thickestTop > thinnestTop, "thickestTop", "must be more than the thinnest top");
        Refusal.positive(across, "across");
        Refusal.positive(along, "along");
        Refusal.positive(below, "below");
    }

    /** What goes through the top. */
    public Region passage() {
        return kind == Kind.POT ? Region.disc(at, opening) : Region.rectangle(at, opening, slot, 0, 0);
    }

    /** What its body covers under the top. */
    public Region footprint() {
        return Region.rectangle(at, across, along, 0, 0);
    }

    public String feature() {
        return "control-" + id;
    }
}
