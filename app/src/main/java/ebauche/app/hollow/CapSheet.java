package ebauche.app.hollow;

import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.balance.Balance;
import ebauche.core.balance.Hang;
import ebauche.core.crib.Bit;
import ebauche.core.gluing.TopPress;
import ebauche.core.hollow.NewCap;
import ebauche.core.plan.BuildPlan;
import ebauche.core.timber.Species;
import java.util.Optional;

/**
 * How a new cap goes onto a body that is built, and what it makes of it.
 *
 * @param planed what comes off the old front, g
 * @param comesOn what the cap weighs when it is trimmed and opened, g
 * @param wood of the body under its cap, g
 * @param before to which angle the neck stays by itself on its strap, in words; empty where that cannot be told
 * @param press onto what is left between the cavities
 * @param trims the bit that trims it flush; none where the crib has no such
 */
public record CapSheet(
        Species timber,
        double planed,
        double comesOn,
        double wood,
        String before,
        String after,
        TopPress press,
        Optional<String> trims) {
    static CapSheet of(BuildPlan plan, NewCap cap, Species timber, Figures fig) {
        NewCap.Wood off = cap.planedOff(plan.history());
        NewCap.Wood on = cap.comesOn(timber);
        Balance balance = Balance.of(plan);
        Balance capped = balance.without(off.grams(), off.at()).without(-on.grams(), on.at());
        return new CapSheet(
                timber,
                off.grams(),
                on.grams(),
                capped.guitar().wood().grams(),
                stays(balance, fig),
                stays(capped, fig),
                cap.press(),
                cap.trims().map(Bit::name));
    }

    /** To which angle the neck stays by itself. */
    static String stays(Balance balance, Figures fig) {
        return balance.hang().isEmpty()
                ? ""
                : balance.range()
                        .map(Hang.Range::most)
                        .map(m -> Words.say("hollow.neck-stays-to", fig.decimal(m, 0)))
                        .orElseGet(() -> Words.say("hollow.neck-stays-nowhere"));
    }
}
