package ebauche.core.design;

import ebauche.core.measure.Refusal;
import ebauche.core.timber.Rings;
import ebauche.core.timber.Side;
import ebauche.core.timber.Species;
import java.util.Optional;

/**
 * One piece of a blank's layer, as it lies there.
 *
 * @param width jointed, mm
 * @param board what was chalked on the board it comes from, empty if none was chosen
 * @param up the board's face that lies upward
 * @param farEndToNeck whether the board's far end points to the neck
 * @param heartUp whether the pith lies upward, where it is known
 * @param planedTowardsNeck 1 if its upper face is planed towards the neck, -1 away from it, 0 if either will do
 * @param grainAngle degrees by which the grain runs off the body's length, towards the treble side as it nears the neck
 * @param species its own timber, where it is not its layer's
 */
public record Strip(
        double width,
        String board,
        Side up,
        boolean farEndToNeck,
        Rings rings,
        Optional<Boolean> heartUp,
        int planedTowardsNeck,
        double grainAngle,
        Optional<Species> species) {
    public Strip {
        Refusal.between(width, 1, 600, "width");
        Refusal.unless(board.length() <= 40, "board", "is longer than 40 letters");
        Refusal.between(planedTowardsNeck, -1, 1, "planedTowardsNeck");
        Refusal.between(grainAngle, -45, 45, "grainAngle");
    }

    /** The same with its grain at another angle. */
    public Strip withGrain(double degrees) {
        return new Strip(width, board, up, farEndToNeck, rings, heartUp, planedTowardsNeck, degrees, species);
    }

    /** The same, so wide. */
    public Strip withWidth(double other) {
        return new Strip(other, board, up, farEndToNeck, rings, heartUp, planedTowardsNeck, grainAngle, species);
    }

    /** The same of a timber of its own. */
    public Strip of(Species own) {
        return new Strip(
                width, board, up, farEndToNeck, rings, heartUp, planedTowardsNeck, grainAngle, Optional.of(own));
    }

    /** A strip of which nothing but its width is known. */
    public static Strip plain(double width) {
        return new Strip(width, "", Side.A, true, Rings.FLAT, Optional.empty(), 0, 0, Optional.empty());
    }
}
