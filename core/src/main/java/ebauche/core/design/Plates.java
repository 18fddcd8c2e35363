package ebauche.core.design;

import ebauche.core.measure.Refusal;

/**
 * Plates that are sawn off a blank's own wood and glued back on when the core between them is hollowed: the grain runs on from plate to
 * edge, common practice.
 *
 * @param front thickness of the front plate when it is glued back, mm; nought where none is sawn off
 * @param back the same of the back plate
 */
public record Plates(double front, double back) {
    public static final Plates NONE = new Plates(0, 0);

    /** A plate that is sawn off is no thinner, and no thicker, mm: common practice. */
    private static final double THINNEST = 3;

    private static final double THICKEST = 40;

    public Plates {
        Refusal.unless(isPlate(front), "sawnFront", plate());
        Refusal.unless(isPlate(back), "sawnBack", plate());
    }

    /** None, or as thick as one may be. */
    private static boolean isPlate(double thickness) {
        return thickness == 0 || (thickness >= THINNEST && thickness <= THICKEST);
    }

    private static String plate() {
        return "a plate that is sawn off is between " + Math.round(THINNEST) + " and " + Math.round(THICKEST)
                + " mm thick";
    }

    /** How many plates are sawn off. */
    public int count() {
        return (front > 0 ? 1 : 0) + (back > 0 ? 1 : 0);
    }

    public boolean isNone() {
        return count() == 0;
    }

    public double thickness() {
        return front + back;
    }

    /** The back plate alone. */
    public Plates withoutFront() {
        return new Plates(0, back);
    }
}
