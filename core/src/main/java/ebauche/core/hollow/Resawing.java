package ebauche.core.hollow;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Plates;
import ebauche.core.design.Strip;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.job.OwnBack;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Refusal;

/**
 * Front, back or both sawn off the blank, the core hollowed, and glued back: whether its thickness gives what saw and plane take.
 *
 * <p>By construction: blank = front + kerf + core + kerf + back, and where a plate came off plane takes as much off plate and core together as
 * flattens rough faces. What comes together again is the blank less one kerf and one planing for each plate, and it must still give the
 * finished thickness, both sandings and the flattening of its outer faces. A cover out of the body's own back is sliced off the pieces before
 * all this, and they are thicker by it.
 *
 * @param sawn the plates, as they are glued on again
 */
public record Resawing(Build build, Plates sawn) {
    public Resawing {
        Refusal.unless(!sawn.isNone(), "sawnFront", "say how thick the front is to be, or the back");
    }

    /** What saw and plane take between plates and core, mm. */
    public static double takes(Build build, Plates sawn) {
        return sawn.count() * between(build);
    }

    /** What they take between one plate and the core, mm. */
    public static double between(Build build) {
        return kerf(build) + planed(build);
    }

    private static double kerf(Build build) {
        return build.shop().cutting().resawKerf();
    }

    private static double planed(Build build) {
        return build.shop().cutting().flattening();
    }

    /** The blank before any plate is sawn off it: as it is designed, with what those of its design lose. */
    private double blank() {
        Blank designed = build.design().blank();
        return designed.core().thickness() + takes(build, designed.sawn());
    }

    /** The slice for covers out of the body's own back and its kerf: it comes off first. */
    private double covers() {
        double thickest = OwnBack.cavities(build).stream()
                .mapToDouble(c -> c.cover().thickness())
                .max()
                .orElse(0);
        return thickest == 0 ? 0 : thickest + planed(build) + kerf(build);
    }

    /** What is left of the core between the plates, before it is hollowed. */
    public Reckoning core() {
        return lost("core between the plates")
                .length("front", Fact.typed(sawn.front()))
                .length("back", Fact.typed(sawn.back()))
                .is(blank() - takes(build, sawn) - sawn.thickness(), "blank − plates × (kerf + planed) − front − back");
    }

    /** How thick it is when all is glued together again. */
    public Reckoning glued() {
        return lost("thickness glued together again")
                .is(blank() - takes(build, sawn), "blank − plates × (kerf + planed)");
    }

    /** How thick a plate is sawn off: plate and core share what the plane takes. */
    public Reckoning slice(Face face) {
        double plate = face == Face.FRONT ? sawn.front() : sawn.back();
        double half = planed(build) / 2;
        return Reckoning.of(face.word() + " plate as it is sawn", Quantity.LENGTH)
                .length("as it is glued on", Fact.typed(plate))
                .length("planed off its sawn face", Fact.usual(half, "half the shop's allowance"))
                .is(plate + half, "as it is glued on + planed off its sawn face");
    }

    /** How thick the wood is that a plate comes off; the front comes off first. */
    public Reckoning from(Face face) {
        boolean second = face == Face.BACK && sawn.front() > 0;
        String what = "wood that the " + face.word() + " plate is sawn from";
        if (!second) {
            return Reckoning.of(what, Quantity.LENGTH)
                    .length("blank", Fact.typed(blank()))
                    .is(blank(), "blank");
        }
        double slice = slice(Face.FRONT).value();
        return Reckoning.of(what, Quantity.LENGTH)
                .length("blank", Fact.typed(blank()))
                .length("front plate", slice)
                .length("kerf", Fact.usual(kerf(build), "the shop's resaw"))
                .is(blank() - slice - kerf(build), "blank − front plate − kerf");
    }

    /** How thick a blank it wants. */
    public Reckoning wants() {
        double top = build.design().blank().top().map(BlankLayer::thickness).orElse(0.0);
        Reckoning.Builder sum = Reckoning.of("blank that this wants", Quantity.LENGTH)
                .length("finished, with both sandings", build.thicknessed());
        if (top > 0) {
            sum.length("a top apart", Fact.typed(top));
        }
        return sum.length("outer faces planed", Fact.usual(planed(build), "the shop's allowances"))
                .length("kerf", Fact.usual(kerf(build), "the shop's resaw"))
                .length("planed", Fact.usual(planed(build), "the shop's allowances"))
                .term("plates", Fact.typed(sawn.count()), Quantity.NUMBER)
                .is(
                        build.thicknessed() - top + planed(build) + takes(build, sawn),
                        "finished, with both sandings" + (top > 0 ? " − a top apart" : "")
                                + " + outer faces planed + plates × (kerf + planed)");
    }

    /** How thick its pieces are before covers out of the body's own back are sliced off them. */
    public Reckoning pieces() {
        double wants = wants().value();
        return Reckoning.of("pieces before anything is sawn off them", Quantity.LENGTH)
                .length("blank that this wants", wants)
                .length("slice for covers with its kerf", covers())
                .is(wants + covers(), "blank that this wants + slice for covers with its kerf");
    }

    private Reckoning.Builder lost(String what) {
        return Reckoning.of(what, Quantity.LENGTH)
                .length("blank", Fact.typed(blank()))
                .length("kerf", Fact.usual(kerf(build), "the shop's resaw"))
                .length("planed", Fact.usual(planed(build), "the shop's allowances"))
                .term("plates", Fact.typed(sawn.count()), Quantity.NUMBER);
    }

    /** How much thicker the blank would have to be, mm; nought or less where it gives it. */
    public double lacks() {
        return wants().value() - blank();
    }

    /** Whether anything is left between the plates. */
    public boolean leavesACore() {
        return core().value() > 0;
    }

    /** Whether the shop's saw opens for the whole blank, so that plates come off it in one piece. */
    public boolean sawsTheBlank() {
        return build.design().blank().across() <= opens();
    }

    /** The widest that goes through the saw on edge: the blank where the saw opens for it, else the widest of its pieces before they are glued, mm. */
    public double widest() {
        Blank blank = build.design().blank();
        return sawsTheBlank()
                ? blank.across()
                : blank.core().strips().stream().mapToDouble(Strip::width).max().orElse(blank.across());
    }

    /** How wide a piece the shop's saw opens for, mm. */
    public double opens() {
        return build.shop().cutting().resawHeight();
    }

    /** Whether the shop's saw opens so wide. */
    public boolean sawOpens() {
        return widest() <= opens();
    }
}
