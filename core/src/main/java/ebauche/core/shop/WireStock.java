package ebauche.core.shop;

import ebauche.core.measure.Refusal;

/**
 * The wire that a shop has, and how it cuts it. Millimetres; usual values are common practice.
 *
 * @param slack more at each end, so that a part can be lifted out and soldered
 * @param cable diameter of a cable with a shield: a pickup's, the jack's
 * @param single diameter of a single wire over its insulation
 */
public record WireStock(double slack, double cable, double single) {
    public static final WireStock USUAL = new WireStock(75, 3, 1.6);

    public WireStock {
        Refusal.between(slack, 0, 500, "slack");
        Refusal.between(cable, 0.5, 12, "cable");
        Refusal.between(single, 0.2, 12, "single");
    }
}
