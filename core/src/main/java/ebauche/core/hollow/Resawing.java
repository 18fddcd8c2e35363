package ebauche.core.hollow;

import ebauche.core.design.Strip;
import ebauche.core.job.Build;
import ebauche.core.job.OwnBack;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;

/**
 * Front, back or both sawn off the blank, the core hollowed, and glued back: whether its thickness gives what saw and plane take.
 *
 * <p>By construction: blank = slice for covers and its kerf + front + kerf + core + kerf + back, each sawn face planed flat. What comes
 * together again is the blank less one kerf and two planed faces for each plate, and it must still give the finished thickness, both
 * sandings and the flattening of its outer faces.
 *
 * @param front thickness of the front plate as it is glued on, mm; nought where the front stays on
 * @param back the same of the back
 */
public record Resawing(Build build, double front, double back) {
    /** A plate that is sawn off is no thinner, mm: common practice. */
    private static final double THINNEST = 3;

    private static final double THICKEST = 40;

    public Resawing {
        Refusal.unless(isPlate(front), "front", plate());
        Refusal.unless(isPlate(back), "back", plate());
        Refusal.unless(front + back > 0, "front", "say how thick the front is to be, or the back");
    }

    /** None, or as thick as one may be. */
    private static boolean isPlate(double thickness) {
        return thickness == 0 || (thickness >= THINNEST && thickness <= THICKEST);
    }

    private static String plate() {
        return "a plate that is sawn off is between " + Math.round(THINNEST) + " and " + Math.round(THICKEST)
                + " mm thick";
    }

    private int plates() {
        return (front > 0 ? 1 : 0) + (back > 0 ? 1 : 0);
    }

    private double blank() {
        return build.design().blank().thickness();
    }

    private double kerf() {
        return build.shop().cutting().resawKerf();
    }

    private double planed() {
        return build.shop().cutting().flattening();
    }

    /** The slice for covers out of the body's own back and its kerf: it comes off first. */
    private double covers() {
        double thickest = OwnBack.cavities(build).stream()
                .mapToDouble(c -> c.cover().thickness())
                .max()
                .orElse(0);
        return thickest == 0 ? 0 : thickest + planed() + kerf();
    }

    /** What is left of the core between the plates, before it is hollowed. */
    public Reckoning core() {
        return terms("core between the plates")
                .length("front", Fact.typed(front))
                .length("back", Fact.typed(back))
                .is(
                        blank() - covers() - plates() * (kerf() + planed()) - front - back,
                        "blank − covers − plates × (kerf + planed) − front − back");
    }

    /** How thick it is when all is glued together again. */
    public Reckoning glued() {
        return terms("thickness glued together again")
                .is(blank() - covers() - plates() * (kerf() + planed()), "blank − covers − plates × (kerf + planed)");
    }

    /** How thick a blank it wants. */
    public Reckoning wants() {
        return Reckoning.of("blank that this wants", Quantity.LENGTH)
                .length("finished, with both sandings", build.thicknessed())
                .length("outer faces planed", Fact.usual(planed(), "the shop's allowances"))
                .length("covers", covers())
                .length("kerf", Fact.usual(kerf(), "the shop's resaw"))
                .length("planed", Fact.usual(planed(), "the shop's allowances"))
                .term("plates", Fact.typed(plates()), Quantity.NUMBER)
                .is(
                        build.thicknessed() + planed() + covers() + plates() * (kerf() + planed()),
                        "finished, with both sandings + outer faces planed + covers + plates × (kerf + planed)");
    }

    private Reckoning.Builder terms(String what) {
        return Reckoning.of(what, Quantity.LENGTH)
                .length("blank", Fact.typed(blank()))
                .length("covers", covers())
                .length("kerf", Fact.usual(kerf(), "the shop's resaw"))
                .length("planed", Fact.usual(planed(), "the shop's allowances"))
                .term("plates", Fact.typed(plates()), Quantity.NUMBER);
    }

    /** How much thicker the blank would have to be, mm; nought or less where it gives it. */
    public double lacks() {
        return wants().value() - blank();
    }

    /** Whether anything is left between the plates. */
    public boolean leavesACore() {
        return core().value() > 0;
    }

    /** The widest of its pieces, which the saw must open for if they are sawn before they are glued, mm. */
    public double widestPiece() {
        return build.design().blank().core().strips().stream()
                .mapToDouble(Strip::width)
                .max()
                .orElse(build.design().blank().across());
    }

    /** Whether the shop's saw opens so wide, for its pieces. */
    public boolean sawOpens() {
        return widestPiece() <= build.shop().cutting().resawHeight();
    }
}
