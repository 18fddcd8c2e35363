package ebauche.core.balance;

import ebauche.core.geometry.Point;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.stock.Stock;
import java.util.List;

/**
 * A whole guitar as masses at places: its body's wood and all that it carries.
 *
 * @param wood of the body, with its centre of mass
 * @param loads all else
 */
public record Guitar(Stock.Balance wood, List<Load> loads) {
    /** A head stands out so far beyond the nut, its tuners lie in its middle, mm: from memory. */
    public static final double HEAD = 185;

    public Guitar {
        loads = List.copyOf(loads);
    }

    /** Mass, g. */
    public double grams() {
        return wood.grams() + carried();
    }

    private double carried() {
        return loads.stream().mapToDouble(l -> l.grams().value()).sum();
    }

    /** Centre of mass on the plan. */
    public Point centre() {
        double x = wood.grams() * wood.at().x();
        double y = wood.grams() * wood.at().y();
        for (Load load : loads) {
            x += load.grams().value() * load.at().x();
            y += load.grams().value() * load.at().y();
        }
        return new Point(x / grams(), y / grams());
    }

    /** Its mass as a sum. */
    public Reckoning sum() {
        Reckoning.Builder sum = Reckoning.of("the whole guitar", Quantity.MASS);
        String wooden = "body's wood";
        sum.term(wooden, computed(wood.grams()), Quantity.MASS);
        StringBuilder formula = new StringBuilder(wooden);
        for (Load load : loads) {
            sum.term(load.said(), load.grams(), Quantity.MASS);
            formula.append(" + ").append(load.said());
        }
        return sum.is(grams(), formula.toString());
    }

    private static Fact computed(double grams) {
        return new Fact(grams, Source.COMPUTED, "the wood that is left");
    }

    /** The same with so much wood taken out at a place, g. */
    public Guitar without(double grams, Point at) {
        double left = wood.grams() - grams;
        Point centre = new Point(
                (wood.grams() * wood.at().x() - grams * at.x()) / left,
                (wood.grams() * wood.at().y() - grams * at.y()) / left);
        return new Guitar(new Stock.Balance(left, centre, wood.depth()), loads);
    }

    /** The same with so much less wood, taken evenly so that the body balances where it did. */
    public Guitar lighter(double grams) {
        return new Guitar(new Stock.Balance(Math.max(0, wood.grams() - grams), wood.at(), wood.depth()), loads);
    }

    /** The same with one load weighing a share of what it does. */
    public Guitar with(String said, double share) {
        return new Guitar(
                wood,
                loads.stream()
                        .map(l -> l.said().equals(said)
                                ? new Load(
                                        said,
                                        new Fact(
                                                l.grams().value() * share,
                                                l.grams().source(),
                                                l.grams().origin()),
                                        l.at())
                                : l)
                        .toList());
    }
}
