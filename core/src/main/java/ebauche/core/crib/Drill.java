package ebauche.core.crib;

import ebauche.core.measure.Refusal;

/**
 * A drill.
 *
 * @param name what the shop calls it
 * @param kind Forstner, brad point or twist
 * @param spur how far its point or rim reaches under the flat it leaves
 */
public record Drill(String name, Kind kind, double diameter, double spur) implements Tool {

    public enum Kind {
        FORSTNER,
        BRAD_POINT,
        TWIST
    }

    public Drill {
        Refusal.positive(diameter, "diameter");
        Refusal.notNegative(spur, "spur");
    }
}
