package ebauche.core.crib;

import ebauche.core.measure.Refusal;

/**
 * A sanding drum or spindle.
 *
 * @param name what the shop calls it
 * @param diameter with its sleeve, mm
 * @param height that sands, mm
 */
public record Drum(String name, double diameter, double height) implements Tool {
    public Drum {
        Refusal.unless(!name.isBlank(), "name", "needs a name");
        Refusal.between(diameter, 3, 300, "diameter");
        Refusal.between(height, 5, 400, "height");
    }
}
