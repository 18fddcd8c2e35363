package ebauche.app.order;

import ebauche.app.words.Words;
import ebauche.core.order.Ordering;
import ebauche.core.order.Price;
import ebauche.core.order.SetUp;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;

/**
 * One line of what an order costs, in minutes.
 *
 * @param asFound of the order that only keeps the links
 * @param least of the cheapest that was found
 * @param now of the order that the body has
 */
public record PriceLine(String what, double asFound, double least, double now, boolean sum) {
    static List<PriceLine> of(Ordering ordering) {
        List<PriceLine> lines = new ArrayList<>();
        for (SetUp what : SetUp.values()) {
            String said = Words.say("price-line." + what.name().toLowerCase(Locale.ROOT));
            lines.add(line(said, ordering, p -> p.times(what) * (double) what.minutes(), false));
        }
        lines.add(line(Words.say("price-line.propping"), ordering, Price::propping, false));
        lines.add(line(Words.say("price-line.holding"), ordering, Price::holding, false));
        lines.add(line(Words.say("price-line.slips"), ordering, Price::slips, false));
        lines.removeIf(l -> l.asFound == 0 && l.least == 0 && l.now == 0);
        lines.add(line(Words.say("price-line.total"), ordering, Price::total, true));
        return lines;
    }

    private static PriceLine line(String what, Ordering ordering, ToDoubleFunction<Price> of, boolean sum) {
        return new PriceLine(
                what,
                of.applyAsDouble(ordering.asFound()),
                of.applyAsDouble(ordering.least()),
                of.applyAsDouble(ordering.price()),
                sum);
    }
}
