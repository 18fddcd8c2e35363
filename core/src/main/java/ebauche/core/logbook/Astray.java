package ebauche.core.logbook;

import ebauche.core.hardware.Channel.Held;
import ebauche.core.measure.Refusal;

/**
 * How far off the angle it was meant to have a long hole was begun, in height.
 *
 * @param held how the drill was held
 * @param degrees down positive
 */
public record Astray(Held held, double degrees) {
    public Astray {
        Refusal.unless(held != Held.AS_USUAL, "held", "must say how the drill was held");
        Refusal.between(degrees, -90, 90, "degrees");
    }
}
