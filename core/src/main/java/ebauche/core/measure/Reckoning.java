package ebauche.core.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * A computed number that can say why: its value, the formula in words and the named terms put into it.
 *
 * @param what the name of the result, such as {@code pocket depth}
 * @param value the result, not rounded
 * @param quantity what unit the value has
 * @param formula the sum in words, using the terms' names
 * @param terms the numbers put in, in the order in which the formula names them
 */
public record Reckoning(String what, double value, Quantity quantity, String formula, List<Term> terms) {

    public Reckoning {
        terms = List.copyOf(terms);
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException(what + " came out as no number");
        }
    }

    /** One number of the sum. */
    public record Term(String name, double value, Quantity quantity, Source source, String origin) {}

    public static Builder of(String what, Quantity quantity) {
        return new Builder(what, quantity);
    }

    /** A result that was read off the work rather than reckoned. */
    public static Reckoning measured(String what, Fact fact) {
        return of(what, Quantity.LENGTH).length("as measured", fact).is(fact.value(), "as measured");
    }

    /** A length that the design gives as it is. */
    public static Reckoning typed(String what, double value) {
        return of(what, Quantity.LENGTH).length("wanted", Fact.typed(value)).is(value, "wanted");
    }

    public Fact asFact() {
        return new Fact(value, Source.COMPUTED, what);
    }

    /** Gathers the terms, then takes the value. */
    public static final class Builder {
        private final String what;
        private final Quantity quantity;
        private final List<Term> terms = new ArrayList<>();

        private Builder(String what, Quantity quantity) {
            this.what = what;
            this.quantity = quantity;
        }

        public Builder length(String name, Fact fact) {
            return term(name, fact, Quantity.LENGTH);
        }

        public Builder angle(String name, Fact fact) {
            return term(name, fact, Quantity.ANGLE);
        }

        public Builder length(String name, double value) {
            return term(name, new Fact(value, Source.COMPUTED, name), Quantity.LENGTH);
        }

        public Builder term(String name, Fact fact, Quantity kind) {
            terms.add(new Term(name, fact.value(), kind, fact.source(), fact.origin()));
            return this;
        }

        public Reckoning is(double value, String formula) {
            return new Reckoning(what, value, quantity, formula, terms);
        }
    }
}
