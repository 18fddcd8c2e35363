package ebauche.core.shop;

import ebauche.core.measure.Refusal;

/**
 * The room that the shop leaves round a part in its cavity, mm.
 *
 * @param pickupSide round a pickup, on each side
 * @param pickupUnder under a pickup at its lowest: springs, wires, and a way to go down
 * @param bushing by how much a hole is wider than the bushing that goes through it
 * @param block round a vibrato's block at the end of its swing, on each side
 * @param control round a pot's or a switch's body in the cavity, on each side
 * @param neck by how much a neck pocket is wider than the heel that is in hand: it goes in by hand and stays
 */
public record Clearances(
        double pickupSide, double pickupUnder, double bushing, double block, double control, double neck) {

    /** Common practice: 1/32 in round a pickup, 3 mm under it, a loose hole for a bushing, 2 mm round what moves, a snug neck. */
    public static final Clearances USUAL = new Clearances(25.4 / 32, 3, 0.4, 2, 2, 0.1);

    public Clearances {
        Refusal.between(pickupSide, 0, 10, "pickupSide");
        Refusal.between(pickupUnder, 0, 20, "pickupUnder");
        Refusal.between(bushing, 0, 5, "bushing");
        Refusal.between(block, 0, 20, "block");
        Refusal.between(control, 0, 20, "control");
        Refusal.between(neck, 0, 1, "neck");
    }
}
