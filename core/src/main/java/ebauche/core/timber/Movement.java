package ebauche.core.timber;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;

/**
 * How much a piece shrinks or swells: dW = W C dM (Wood Handbook, equation 13-2), linear between {@value #VALID_FROM} and
 * {@value #VALID_TO} % of moisture; beyond that it is an estimate, and says so. Positive is swelling. Millimetres.
 */
public record Movement(Species species, Rings rings) {
    public static final double VALID_FROM = 6;
    public static final double VALID_TO = 14;

    /** Change of a width when the moisture goes from one value to another. */
    public Reckoning ofWidth(double width, Fact from, Fact to) {
        return change("change of width", width, rings.acrossWidth(species), from, to);
    }

    /** Change of a thickness. */
    public Reckoning ofThickness(double thickness, Fact from, Fact to) {
        return change("change of thickness", thickness, rings.throughThickness(species), from, to);
    }

    /** Whether the rule is known to hold between these moistures. */
    public static boolean holds(double from, double to) {
        return Math.min(from, to) >= VALID_FROM && Math.max(from, to) <= VALID_TO;
    }

    private Reckoning change(String what, double size, double coefficient, Fact from, Fact to) {
        String valid = holds(from.value(), to.value()) ? "" : "; an estimate, since the rule holds from 6 to 14 %";
        return Reckoning.of(what, Quantity.LENGTH)
                .length("size", Fact.measured(size, "the board"))
                .term(
                        "movement per %, " + rings.words() + " " + species.name(),
                        Fact.rule(coefficient, species.tangential().origin()),
                        Quantity.FINE)
                .term("moisture now, %", from, Quantity.NUMBER)
                .term("moisture then, %", to, Quantity.NUMBER)
                .is(
                        size * coefficient * (to.value() - from.value()),
                        "size x movement per % x (moisture then - moisture now)" + valid);
    }
}
