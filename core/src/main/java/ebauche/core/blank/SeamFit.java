package ebauche.core.blank;

import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Gluing;

/**
 * How two mating edges meet when the blade or fence stands {@code e} degrees off square: both edges cut the same face up
 * gape by 2 T tan e; one cut face up and its neighbour face down close, and the seam leans by T tan e, so that the centre
 * lines of front and back differ by that. Plane geometry.
 *
 * @param thickness T of the edges, mm
 */
public record SeamFit(Gluing gluing, double thickness) {

    /** Gap that is to be expected at one face of a seam. */
    public Reckoning gap() {
        if (closes()) {
            return sum("gap expected").is(0, "the error cancels: one edge cut face up, its neighbour face down");
        }
        return sum("gap expected").is(2 * thickness * tan(), "2 x thickness x tan(off square)");
    }

    /** How far the seam has moved from the front to the back. */
    public Reckoning lean() {
        return closes()
                ? sum("seam leans by").is(thickness * tan(), "thickness x tan(off square)")
                : sum("seam leans by").is(0, "both edges lean apart alike: the seam stays upright and gapes");
    }

    /** Widest gap that the glue bridges: what the light check must find no more than. */
    public Reckoning limit() {
        return Reckoning.of("widest gap", Quantity.LENGTH)
                .length(
                        "what " + gluing.glue().words() + " bridges",
                        Fact.rule(gluing.glue().widestGap(), "common practice"))
                .is(gluing.glue().widestGap(), "what the glue bridges");
    }

    public boolean tight() {
        return gap().value() <= gluing.glue().widestGap();
    }

    /** An error that differs from edge to edge, as a hand plane's does, cannot be made to cancel. */
    private boolean closes() {
        return gluing.complementary() && gluing.edges().repeats();
    }

    private double tan() {
        return Math.tan(Math.toRadians(gluing.outOfSquare()));
    }

    private Reckoning.Builder sum(String what) {
        return Reckoning.of(what, Quantity.LENGTH)
                .length("thickness", Fact.typed(thickness))
                .angle(
                        "off square",
                        Fact.measured(
                                gluing.outOfSquare(),
                                "the shop's " + gluing.edges().words()));
    }
}
