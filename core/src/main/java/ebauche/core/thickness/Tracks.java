package ebauche.core.thickness;

import ebauche.core.crib.Bit;
import ebauche.core.shop.Shop;
import java.util.Comparator;

/**
 * How a router sled covers a face: tracks along the grain, each over part of the one before.
 *
 * @param bit diameter of the surfacing bit, mm
 * @param step from track to track: three fifths of the bit, common practice
 * @param count tracks over the blank's width
 */
public record Tracks(double bit, double step, int count) {
    private static final double STEP = 0.6;

    /** Surfacing bit that is assumed where the crib has none: 1 in, common practice. */
    private static final double USUAL_BIT = 25.4;

    public static Tracks over(double across, Shop shop) {
        double bit = shop.crib().bits().stream()
                .filter(Bit::isFree)
                .map(Bit::diameter)
                .max(Comparator.naturalOrder())
                .filter(d -> d >= USUAL_BIT / 2)
                .orElse(USUAL_BIT);
        double step = STEP * bit;
        return new Tracks(bit, step, 1 + (int) Math.ceil(Math.max(0, across - bit) / step - 1e-9));
    }
}
