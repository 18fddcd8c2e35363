package ebauche.core.wires;

import java.util.List;

/**
 * How likely a long hole comes out through a face that it runs along. A bit once begun goes straight, so it misses by the angle that it
 * was begun at: normally distributed about the angle that is wanted, in height, with a spread by the way it is held. It comes out where
 * that angle is larger than the least under which it touches the face, so with probability 1 − Φ(least of atan(k / s) / spread).
 */
public final class ComingOut {
    private ComingOut() {}

    /**
     * Wood between the hole and a face.
     *
     * @param along how far the bit is in, mm from where it enters the wood
     * @param wood between its surface and the face there, mm; nought or less where it is out
     */
    public record Clearance(double along, double wood) {}

    /** The least angle, degrees, by which the bit may go astray towards a face before it comes out; nought where it is out as drawn. */
    public static double leeway(List<Clearance> along) {
        return along.stream()
                .mapToDouble(c -> c.wood() <= 0 ? 0 : Math.toDegrees(Math.atan2(c.wood(), c.along())))
                .min()
                .orElse(90);
    }

    /**
     * How likely it comes out through one face, between 0 and 1.
     *
     * @param leeway degrees towards that face
     * @param spread of the angle it is begun at, degrees (standard deviation)
     */
    public static double chance(double leeway, double spread) {
        return leeway <= 0 ? 1 : 1 - normal(leeway / spread);
    }

    /** Φ, the share of a normal distribution that lies below so many standard deviations. */
    static double normal(double z) {
        return 1 - erfc(z / Math.sqrt(2)) / 2;
    }

    /** The complement of the error function, for z not below 0: Abramowitz and Stegun, 7.1.26 (memory), within 1.5e-7. */
    private static double erfc(double z) {
        double t = 1 / (1 + 0.3275911 * z);
        double sum = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
        return sum * Math.exp(-z * z);
    }
}
