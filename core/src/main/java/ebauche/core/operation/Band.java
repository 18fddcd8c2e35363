package ebauche.core.operation;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;

/**
 * How far off its number a reading is still good, and why so far. Lengths in mm.
 *
 * @param below how much less is good
 * @param above how much more is good
 */
public record Band(Reckoning below, Reckoning above) {
    private static final String WHAT = "how far off is still good";

    /** As far either way. */
    public static Band either(Reckoning within) {
        return new Band(within, within);
    }

    /** As far either way as the shop has it, for what hangs on it in words. */
    public static Band shops(String hangsOnIt, double within) {
        return either(shop(hangsOnIt, within));
    }

    /** As far as the shop has it, for what hangs on it in words. */
    public static Reckoning shop(String hangsOnIt, double within) {
        return Reckoning.of(WHAT, Quantity.LENGTH)
                .length(hangsOnIt, Fact.usual(within, "the shop's settings"))
                .is(within, hangsOnIt);
    }

    /** No farther than there is wood for: the lesser of two. */
    public static Reckoning least(Reckoning within, String room, double wood) {
        if (within.value() <= wood) {
            return within;
        }
        Reckoning.Term shops = within.terms().get(0);
        return Reckoning.of(WHAT, Quantity.LENGTH)
                .term(shops.name(), new Fact(shops.value(), shops.source(), shops.origin()), Quantity.LENGTH)
                .length(room, wood)
                .is(wood, "no more than " + room);
    }

    /** Not at all. */
    public static Reckoning none(String why) {
        return Reckoning.of(WHAT, Quantity.LENGTH).is(0, why);
    }
}
