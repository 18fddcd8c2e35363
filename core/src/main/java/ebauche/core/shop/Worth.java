package ebauche.core.shop;

import ebauche.core.measure.Refusal;

/**
 * What the shop's time and timber are worth, in its own money: by this an order of steps weighs the timber in a body against the work in
 * it.
 *
 * @param hour of a maker's work
 * @param litre of rough timber; a board foot is 2.36 litres
 */
public record Worth(double hour, double litre) {
    /** A small shop's, in no country's money in particular: common practice. */
    public static final Worth USUAL = new Worth(40, 8);

    public Worth {
        Refusal.between(hour, 1, 1e6, "hour");
        Refusal.between(litre, 0, 1e6, "litre");
    }

    /** Minutes of work that so much rough timber, mm³, is worth. */
    public double minutes(double timber) {
        return timber / 1e6 * litre / hour * 60;
    }
}
