package ebauche.core.thickness;

import ebauche.core.shop.Practice.Thicknessing;
import ebauche.core.timber.Hardness;

/**
 * How much one pass may take, mm: common practice, and less if the machine labours. A sled's is that of a 1 in carbide
 * surfacing bit; a hand plane's pass is one round over the whole face.
 *
 * @param most deepest pass
 * @param light the last one, for the surface
 */
public record Bite(double most, double light) {

    public static Bite of(Thicknessing school, Hardness hardness) {
        return switch (school) {
            case PLANER -> bite(hardness, 1.6, 1.2, 0.8, 0.4);
            case ROUTER_SLED -> bite(hardness, 3.2, 2.4, 1.6, 0.5);
            case DRUM_SANDER -> bite(hardness, 0.8, 0.5, 0.4, 0.2);
            case HAND_PLANE -> bite(hardness, 0.6, 0.4, 0.3, 0.15);
        };
    }

    private static Bite bite(Hardness hardness, double soft, double medium, double hard, double light) {
        return new Bite(
                switch (hardness) {
                    case SOFT -> soft;
                    case MEDIUM -> medium;
                    case HARD -> hard;
                },
                light);
    }
}
