package ebauche.core.neck;

import ebauche.core.design.Heel;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.design.NeckJoint;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.operation.Band;
import ebauche.core.operation.Inspection;
import ebauche.core.shop.Glue;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How the heel sits between the pocket's walls, and the jig that the pocket is routed with.
 *
 * <p>A gap is what is left when the heel is pushed to one side: pocket width less heel width. It shows at 1/64 in and is loose
 * at 1/32 (common practice). Millimetres.
 *
 * @param atEnd gap at the end wall
 * @param atMouth gap at the mouth
 */
public record NeckFit(Heel heel, Reckoning atEnd, Reckoning atMouth, Reckoning pocketEnd, Reckoning pocketMouth) {
    public static final double SHOWS = 25.4 / 64;
    static final double LOOSE = 25.4 / 32;

    /** What sanding a finished neck takes off its width, least and most: 1/64 to 1/32 in, common practice. */
    public static final double SANDED_LEAST = 25.4 / 64;

    public static final double SANDED_MOST = 25.4 / 32;

    /** The middle strip of a pocket jig is made this much under the heel's width and eased to fit: common practice. */
    private static final double UNDER_HEEL = 0.2;

    /** A pencil held against the neck draws its line this far off: half a sharp pencil, common practice. */
    private static final double PENCIL = 0.35;

    /** How a heel sits. */
    public enum Grade {
        TOO_TIGHT("does not go in"),
        SNUG("snug"),
        SHOWS("the gap shows"),
        LOOSE("loose");

        private final String words;

        Grade(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** The fit of a design that knows its heel. */
    public static Optional<NeckFit> of(Build build) {
        NeckJoint neck = build.design().neck();
        return neck.heel().map(h -> {
            Fact heelEnd = build.fact(Dimension.HEEL_WIDTH_END, h.widthAtEnd());
            Fact heelMouth = build.fact(Dimension.HEEL_WIDTH_MOUTH, h.widthAtMouth());
            Reckoning end = pocket(build, h, true);
            Reckoning mouth = pocket(build, h, false);
            return new NeckFit(h, gap("end", end, heelEnd), gap("mouth", mouth, heelMouth), end, mouth);
        });
    }

    /** The pocket's width: as measured, else made to the heel, else as drawn. */
    private static Reckoning pocket(Build build, Heel heel, boolean atEnd) {
        NeckJoint neck = build.design().neck();
        double drawn = atEnd ? neck.widthAtEnd() : neck.widthAtMouth();
        Fact width = build.fact(atEnd ? Dimension.POCKET_WIDTH_END : Dimension.POCKET_WIDTH_MOUTH, drawn);
        if (width.source() == Source.MEASURED) {
            return Reckoning.measured("pocket width at its " + (atEnd ? "end" : "mouth"), width);
        }
        return wanted(build, heel, atEnd);
    }

    /** The pocket's width as it is to be: made to the heel, else as drawn. */
    private static Reckoning wanted(Build build, Heel heel, boolean atEnd) {
        NeckJoint neck = build.design().neck();
        double drawn = atEnd ? neck.widthAtEnd() : neck.widthAtMouth();
        return heel.made() == Heel.Made.NECK_FIRST
                ? build.fitting().pocketWidth(heel, atEnd)
                : Reckoning.typed("pocket width at its " + (atEnd ? "end" : "mouth"), drawn);
    }

    private static Reckoning gap(String where, Reckoning pocket, Fact heel) {
        return Reckoning.of("gap at the pocket's " + where, Quantity.LENGTH)
                .length("pocket width there", pocket.asFact())
                .length("heel's width there", heel)
                .is(pocket.value() - heel.value(), "pocket width there − heel's width there");
    }

    /** The routed pocket is read across at both ends: the heel goes in, and no gap shows. */
    static List<Inspection> widths(Build build) {
        NeckJoint neck = build.design().neck();
        return neck.heel().stream()
                .flatMap(h -> Stream.of(
                        width(
                                build,
                                Dimension.POCKET_WIDTH_END,
                                wanted(build, h, true),
                                build.fact(Dimension.HEEL_WIDTH_END, h.widthAtEnd())),
                        width(
                                build,
                                Dimension.POCKET_WIDTH_MOUTH,
                                wanted(build, h, false),
                                build.fact(Dimension.HEEL_WIDTH_MOUTH, h.widthAtMouth()))))
                .toList();
    }

    private static Inspection width(Build build, Dimension where, Reckoning wanted, Fact heel) {
        double room = Math.max(0, wanted.value() - heel.value());
        Reckoning narrower = Reckoning.of("narrower, and still good", Quantity.LENGTH)
                .length("pocket's width", wanted.asFact())
                .length("heel's width", heel)
                .is(room, "pocket's width − heel's width: the heel goes in");
        Fact widest = widest(build);
        Reckoning wider = Reckoning.of("wider, and still good", Quantity.LENGTH)
                .length("widest gap", widest)
                .length("room round the heel", room)
                .is(Math.max(0, widest.value() - room), "widest gap − room round the heel");
        return new Inspection(where, wanted, new Band(narrower, wider), "calliper's inside jaws");
    }

    /** A gap that does not show yet, and that the glue of a set neck fills on both sides. */
    private static Fact widest(Build build) {
        Fact hidden = Fact.rule(NeckRules.under(SHOWS), "under the gap that shows, common practice");
        Glue glue = build.shop().gluing().glue();
        boolean glued = build.design().neck().kind() == NeckJoint.Kind.SET && 2 * glue.widestGap() < SHOWS;
        return glued
                ? Fact.rule(NeckRules.under(2 * glue.widestGap()), "what " + glue.words() + " fills on both sides")
                : hidden;
    }

    /** The wider of the two gaps governs what is seen, a heel too wide at either place does not go in. */
    public Grade fit() {
        return after(0);
    }

    /** The fit once so much has been sanded off the neck's width. */
    public Grade after(double sanded) {
        double least = Math.min(atEnd.value(), atMouth.value()) + sanded;
        double most = Math.max(atEnd.value(), atMouth.value()) + sanded;
        if (least < 0) {
            return Grade.TOO_TIGHT;
        }
        return most >= LOOSE ? Grade.LOOSE : most >= SHOWS ? Grade.SHOWS : Grade.SNUG;
    }

    /** Width of the jig's opening, or of its middle strip, at the end or the mouth: what is cut before it is eased to fit. */
    public Reckoning jig(boolean atEnd) {
        Reckoning.Term width = (atEnd ? atEnd() : atMouth()).terms().get(1);
        Fact heelWidth = new Fact(width.value(), width.source(), width.origin());
        String where = atEnd ? " at its end" : " at its mouth";
        return switch (heel.jig()) {
            case THREE_STRIPS ->
                Reckoning.of("middle strip" + where, Quantity.LENGTH)
                        .length("heel's width there", heelWidth)
                        .length("made under it, then eased", Fact.rule(UNDER_HEEL, "common practice"))
                        .is(heelWidth.value() - UNDER_HEEL, "heel's width there − made under it, then eased");
            case TRACED_NECK ->
                Reckoning.of("traced opening" + where, Quantity.LENGTH)
                        .length("heel's width there", heelWidth)
                        .length("the pencil's line off the neck", Fact.rule(PENCIL, "common practice"))
                        .is(heelWidth.value() + 2 * PENCIL, "heel's width there + 2 × the pencil's line off the neck");
            case DRAWN -> atEnd ? pocketEnd : pocketMouth;
        };
    }
}
