package ebauche.core.neck;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.StringSetup;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import java.util.Optional;

/**
 * Whether the neck points at the bridge: the neck's middle read against the body's centre line, with a laser or a string, at
 * the nut and at the pocket, carried on in a straight line to the saddles.
 *
 * <p>With o_n at the nut (S from the saddle line) and o_p at the pocket's end wall (d from it), the line stands
 * o_n + (o_p - o_n) S / (S - d) off at the saddles. What the bridge may be off by follows from the strings: one that is e off at
 * the saddles is e (S - d) / S off over the fingerboard's end, where the outer strings still want some wood beside them.
 * Plane geometry. Millimetres, treble positive.
 */
public final class CentreLine {
    /** Least fingerboard beside an outer string: common practice. */
    static final double BESIDE_STRING = 2.5;

    /** A nut's spread by that at the saddles, where it is not known: common practice. */
    private static final double NUT_SHARE = 2.0 / 3;

    private final Build build;
    private final BodyDesign design;

    private CentreLine(Build build) {
        this.build = build;
        this.design = build.design();
    }

    public static CentreLine of(Build build) {
        return new CentreLine(build);
    }

    private double endWall() {
        return build.fact(Dimension.END_WALL_TO_SADDLE, design.neck().endWallToSaddle())
                .value();
    }

    /** Where the neck's line meets the saddles: read there, else carried on from nut and pocket; empty before both are read. */
    public Optional<Reckoning> atBridge() {
        Optional<AsBuilt.Reading> there = build.asBuilt().latest(Dimension.CENTRE_AT_BRIDGE);
        if (there.isPresent()) {
            return Optional.of(
                    Reckoning.measured("neck's line at the bridge", build.fact(Dimension.CENTRE_AT_BRIDGE, 0)));
        }
        return carriedOn();
    }

    /** Where nut and pocket say that the neck's line meets the saddles. */
    public Optional<Reckoning> carriedOn() {
        AsBuilt record = build.asBuilt();
        if (record.latest(Dimension.CENTRE_AT_NUT).isEmpty()
                || record.latest(Dimension.CENTRE_AT_POCKET).isEmpty()) {
            return Optional.empty();
        }
        Fact nut = build.fact(Dimension.CENTRE_AT_NUT, 0);
        Fact pocket = build.fact(Dimension.CENTRE_AT_POCKET, 0);
        double scale = design.scale();
        double off = nut.value() + (pocket.value() - nut.value()) * scale / (scale - endWall());
        return Optional.of(Reckoning.of("neck's line at the bridge", Quantity.LENGTH)
                .length("off at the nut, on", nut)
                .length("off at the pocket, op", pocket)
                .length("scale, S", Fact.typed(scale))
                .length("end wall to saddle, d", endWall())
                .is(off, "on + (op − on) × S / (S − d)"));
    }

    /** Width of the fingerboard at the pocket's end: the heel's there, which it covers, else the pocket's. */
    Fact boardAtEnd() {
        return design.neck()
                .heel()
                .map(h -> build.fact(Dimension.HEEL_WIDTH_END, h.widthAtEnd()))
                .orElseGet(() -> Fact.typed(design.neck().widthAtEnd()));
    }

    /** The outer strings' spread over the pocket's end; without a nut's they come together at it to two thirds, common practice. */
    double spreadAtEnd() {
        StringSetup strings = design.strings();
        double nut = strings.nutSpread().orElse(strings.spread() * NUT_SHARE);
        return nut + (strings.spread() - nut) * (design.scale() - endWall()) / design.scale();
    }

    /** How far off the centre line the neck's line may meet the saddles. */
    public Reckoning permitted() {
        StringSetup strings = design.strings();
        double shops = build.shop().limits().bridgeOffCentre();
        if (strings.nutSpread().isEmpty() || design.neck().heel().isEmpty()) {
            return Reckoning.of("permitted at the bridge", Quantity.LENGTH)
                    .length("the shop's limit", Fact.usual(shops, "the shop's limits"))
                    .is(shops, "the shop's limit");
        }
        double scale = design.scale();
        double d = endWall();
        double board = boardAtEnd().value();
        double there = spreadAtEnd();
        double spare = (board - there) / 2 - BESIDE_STRING;
        return Reckoning.of("permitted at the bridge", Quantity.LENGTH)
                .length("fingerboard at the pocket's end, w", board)
                .length("strings' spread there, s", there)
                .length("least fingerboard beside a string, b", Fact.rule(BESIDE_STRING, "common practice"))
                .length("scale, S", Fact.typed(scale))
                .length("end wall to saddle, d", d)
                .is(Math.max(0, spare * scale / (scale - d)), "((w − s) / 2 − b) × S / (S − d)");
    }
}
