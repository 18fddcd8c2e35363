package ebauche.core.shop;

import ebauche.core.measure.Refusal;

/**
 * What the saws take, and what is left for truing up. Millimetres; usual values are common practice.
 *
 * @param ripKerf of the saw that rips and cross-cuts
 * @param resawKerf of the saw that opens a board through its thickness
 * @param resawHeight widest strip that saw takes on edge; none is resawn if it is nought
 * @param jointing taken off each edge that is glued
 * @param endTrim cut off a board's end before the first piece, where checks are
 * @param margin of blank round the outline
 * @param sliver narrowest strip of body that may stand outside a seam
 * @param flattening that rough faces lose together before they are flat
 * @param snipe length at each end that a planer spoils
 * @param leastOffcutLength shortest offcut that goes back on the rack
 * @param leastOffcutWidth narrowest
 * @param leastOffcutThickness thinnest, where a slice is resawn off a thick board
 * @param moistureApart most by which boards that are glued together may differ, per cent
 * @param readyWithin how near to equilibrium counts as ready, per cent
 */
public record Cutting(
        double ripKerf,
        double resawKerf,
        double resawHeight,
        double jointing,
        double endTrim,
        double margin,
        double sliver,
        double flattening,
        double snipe,
        double leastOffcutLength,
        double leastOffcutWidth,
        double leastOffcutThickness,
        double moistureApart,
        double readyWithin) {

    public static final Cutting USUAL = new Cutting(3.2, 1.6, 300, 1, 20, 8, 25, 2, 60, 250, 60, 6, 2, 1);

    public Cutting {
        Refusal.between(ripKerf, 0.3, 8, "ripKerf");
        Refusal.between(resawKerf, 0.3, 8, "resawKerf");
        Refusal.between(resawHeight, 0, 1000, "resawHeight");
        Refusal.between(jointing, 0, 10, "jointing");
        Refusal.between(endTrim, 0, 200, "endTrim");
        Refusal.between(margin, 0, 60, "margin");
        Refusal.between(sliver, 0, 100, "sliver");
        Refusal.between(flattening, 0, 15, "flattening");
        Refusal.between(snipe, 0, 200, "snipe");
        Refusal.between(leastOffcutLength, 20, 2000, "leastOffcutLength");
        Refusal.between(leastOffcutWidth, 5, 600, "leastOffcutWidth");
        Refusal.between(leastOffcutThickness, 2, 200, "leastOffcutThickness");
        Refusal.between(moistureApart, 0.1, 20, "moistureApart");
        Refusal.between(readyWithin, 0.1, 10, "readyWithin");
    }

    /** The same with another margin of blank round the outline. */
    public Cutting withMargin(double room) {
        return new Cutting(
                ripKerf,
                resawKerf,
                resawHeight,
                jointing,
                endTrim,
                room,
                sliver,
                flattening,
                snipe,
                leastOffcutLength,
                leastOffcutWidth,
                leastOffcutThickness,
                moistureApart,
                readyWithin);
    }
}
