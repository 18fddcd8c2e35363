package ebauche.core.hollow;

import ebauche.core.geometry.Region;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;

/**
 * How far a cap bends under a thumb in the middle of a hollow: a plate that is clamped all round with a force in its middle,
 * w = c P b² / D with D = E h³ / 12 (1 - ν²). The numbers c by length over width are those of Timoshenko and Woinowsky-Krieger, Theory of
 * Plates and Shells, table 37 (from memory).
 *
 * @param length longer side of the span, mm
 * @param width shorter side, mm
 * @param thickness of the cap over it, mm
 * @param stiffness Young's modulus across the grain, MPa
 */
public record CapPlate(double length, double width, double thickness, Fact stiffness) {
    /** A thumb, N; Poisson's number of wood; and wood across its grain, MPa: common practice, the last from memory. */
    public static final double THUMB = 50;

    private static final double POISSON = 0.3;
    public static final Fact ACROSS_THE_GRAIN = Fact.usual(800, "across the grain, from memory");

    /** More than this is felt, mm: common practice. */
    public static final double FELT = 0.3;

    /** The span is told so closely, mm. */
    private static final double NEARLY = 0.1;

    private static final double[] RATIOS = {1, 1.2, 1.4, 1.6, 2, 4};
    /** From this length over width on the last number holds. */
    private static final double LONG = 4;

    private static final double[] NUMBERS = {0.0056, 0.00647, 0.00691, 0.00712, 0.00722, 0.00725};

    public CapPlate {
        Refusal.positive(width, "width");
        Refusal.positive(thickness, "thickness");
        Refusal.unless(length >= width, "length", "the longer side comes first");
    }

    /** Over one part of a hollow: as wide as the largest circle that fits in, as long as the part is. */
    public static CapPlate over(Region part, double thickness) {
        double width = 2 * part.coarser(NEARLY).widest();
        double length = Math.max(width, Math.max(part.maxX() - part.minX(), part.maxY() - part.minY()));
        return new CapPlate(length, width, thickness, ACROSS_THE_GRAIN);
    }

    /** What it bends at the most over a part, without looking where the largest circle fits: none is wider than the box or than its own area, mm. */
    static double atMost(Region part, double thickness) {
        double box = Math.min(part.maxX() - part.minX(), part.maxY() - part.minY());
        double width = Math.min(box, 2 * Math.sqrt(part.area() / Math.PI));
        return new CapPlate(LONG * width, width, thickness, ACROSS_THE_GRAIN)
                .deflection()
                .value();
    }

    /** c of the table, between its lines straight; of a long one the last. */
    double number() {
        double ratio = length / width;
        for (int i = 1; i < RATIOS.length; i++) {
            if (ratio <= RATIOS[i]) {
                double share = (ratio - RATIOS[i - 1]) / (RATIOS[i] - RATIOS[i - 1]);
                return NUMBERS[i - 1] + share * (NUMBERS[i] - NUMBERS[i - 1]);
            }
        }
        return NUMBERS[NUMBERS.length - 1];
    }

    /** How far its middle goes down under a thumb, mm. */
    public Reckoning deflection() {
        double e = stiffness.value();
        double d = e * Math.pow(thickness, 3) / (12 * (1 - POISSON * POISSON));
        double w = number() * THUMB * width * width / d;
        return Reckoning.of("cap under a thumb", Quantity.LENGTH)
                .term("c, by length over width", Fact.rule(number(), "table of clamped plates"), Quantity.FINE)
                .term("thumb, N", Fact.rule(THUMB, "common practice"), Quantity.NUMBER)
                .length("shorter side", width)
                .term("E, MPa", stiffness, Quantity.NUMBER)
                .length("cap", thickness)
                .is(w, "c, by length over width × thumb × shorter side² × 12 × (1 − " + POISSON + "²) / (E × cap³)");
    }
}
