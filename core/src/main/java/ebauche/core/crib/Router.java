package ebauche.core.crib;

import ebauche.core.measure.Refusal;

/**
 * A router.
 *
 * @param baseDiameter of its foot
 * @param plunge how far it plunges
 */
public record Router(String name, double baseDiameter, double plunge) implements Tool {
    public Router {
        Refusal.positive(baseDiameter, "baseDiameter");
        Refusal.positive(plunge, "plunge");
    }
}
