package ebauche.core.layout;

import ebauche.core.timber.Board;
import ebauche.core.timber.Seasoning;
import java.util.OptionalDouble;

/**
 * A board that can be chosen, with what its moisture says.
 *
 * @param moisture now, per cent, if it was ever measured
 * @param ready whether it has come to the shop's air
 */
public record OnRack(Board board, OptionalDouble moisture, boolean ready) {
    public static OnRack of(Board board, Seasoning seasoning) {
        return new OnRack(
                board,
                seasoning.moistureNow().map(OptionalDouble::of).orElse(OptionalDouble.empty()),
                seasoning.state() == Seasoning.State.READY);
    }
}
