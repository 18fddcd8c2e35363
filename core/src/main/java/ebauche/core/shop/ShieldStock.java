package ebauche.core.shop;

import ebauche.core.measure.Refusal;

/**
 * What a shop shields with, and how it grounds. Usual values are common practice; the tin's and the roll's own label replace them.
 *
 * @param spread of a paint, millilitres for a square metre and coat
 * @param coats of paint
 * @param drying between coats and after the last, hours
 * @param roll width of the foil, mm
 * @param overlap of one piece of foil over another, mm
 * @param conductingGlue whether the foil's glue conducts; else every overlap wants a spot of solder
 * @param grounding how all that is grounded is joined
 */
public record ShieldStock(
        double spread,
        int coats,
        double drying,
        double roll,
        double overlap,
        boolean conductingGlue,
        Grounding grounding) {
    /** Two schools. */
    public enum Grounding {
        STAR("star", "a star: each by one way"),
        BUS("bus", "a bus: by any way");

        private final String key;
        private final String words;

        Grounding(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String key() {
            return key;
        }

        public String words() {
            return words;
        }
    }

    public static final ShieldStock USUAL = new ShieldStock(150, 2, 4, 50, 6, true, Grounding.STAR);

    public ShieldStock {
        Refusal.between(spread, 10, 2000, "spread");
        Refusal.between(coats, 1, 10, "coats");
        Refusal.between(drying, 0, 240, "drying");
        Refusal.between(roll, 5, 1200, "roll");
        Refusal.between(overlap, 0, 50, "overlap");
        Refusal.unless(
                roll > 2 * overlap, "roll", "must be wider than two overlaps: the roll lays no new width otherwise");
    }
}
