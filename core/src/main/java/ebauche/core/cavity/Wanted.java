package ebauche.core.cavity;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;

/** Depths that the design gives as they are. */
final class Wanted {
    private Wanted() {}

    static Reckoning typed(String what, double depth) {
        return Reckoning.of(what, Quantity.LENGTH)
                .length("depth wanted", Fact.typed(depth))
                .is(depth, "as the design says");
    }
}
