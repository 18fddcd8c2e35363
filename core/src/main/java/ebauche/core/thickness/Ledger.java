package ebauche.core.thickness;

import ebauche.core.design.Blank;
import ebauche.core.design.BlankLayer;
import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.job.Build;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.shop.Practice.Thicknessing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * From a rough blank, as measured, to the passes that bring it flat and to thickness. After every reading the rest is new.
 *
 * <p>The front comes first: its high spots down to its lowest, or half of what there is to spare if that is more, so that
 * both faces lose alike and the blank stays still. Then the blank is turned and brought parallel. Passes over a face are
 * even and no deeper than the machine's bite; the last is light. Their sum is what is to come off at the high spot:
 * nothing is planned below the thickness that the body and its sanding need.
 */
public final class Ledger {
    /** Wood that cleans up a face once it is flat: common practice, mm. */
    static final double CLEAN_UP = 0.2;

    private static final StepKey FRONT = StepKey.of(Feature.THICKNESS, StepKind.FRONT);
    private static final StepKey BACK = StepKey.of(Feature.THICKNESS, StepKind.BACK);

    private final Build build;
    private final AsBuilt record;
    private final List<AsBuilt.Reading> thickest;

    private Ledger(Build build) {
        this.build = build;
        this.record = build.asBuilt();
        this.thickest = readings(Dimension.BLANK_THICKEST);
    }

    public static Ledger of(Build build) {
        return new Ledger(build);
    }

    private List<AsBuilt.Reading> readings(Measurand measurand) {
        return record.standing().stream()
                .filter(e -> e instanceof AsBuilt.Reading r && r.measures().equals(measurand))
                .map(AsBuilt.Reading.class::cast)
                .toList();
    }

    public Thicknessing school() {
        return build.thicknessing();
    }

    public Bite bite() {
        Bite core = Bite.of(school(), build.design().blank().cutAs());
        return build.design()
                .blank()
                .top()
                .map(t -> Bite.of(school(), t.cutAs()))
                .filter(b -> b.most() < core.most())
                .orElse(core);
    }

    /** Thickness that is wanted before sanding. */
    public double target() {
        return build.thicknessed();
    }

    /** The high spot now: as read last, else the blank's rough thickness. */
    public Fact highNow() {
        return fact(Dimension.BLANK_THICKEST, build.design().blank().thickness());
    }

    /** The thinnest spot now, never more than the high spot. */
    public Fact lowNow() {
        Fact low = record.latest(Dimension.BLANK_THINNEST).map(this::read).orElseGet(this::highNow);
        return low.value() > highNow().value() ? highNow() : low;
    }

    private Fact fact(Dimension dimension, double designed) {
        return build.fact(dimension, designed);
    }

    private Fact read(AsBuilt.Reading r) {
        return Fact.measured(r.value(), "read " + r.at() + (r.by().isEmpty() ? "" : " by " + r.by()));
    }

    /** How far a face is out of flat: as read, else a quarter of what flattening both faces usually takes. */
    public Fact outOfFlat(Face face) {
        return record.latest(new Measurand.OutOfFlat(face))
                .map(this::read)
                .orElseGet(() ->
                        Fact.usual(build.shop().cutting().flattening() / 4, "a quarter of the shop's flattening"));
    }

    private OptionalDouble backOutOfFlat() {
        return record.latest(new Measurand.OutOfFlat(Face.BACK))
                .map(r -> OptionalDouble.of(r.value()))
                .orElseGet(OptionalDouble::empty);
    }

    private double seamStep() {
        return record.latest(Dimension.SEAM_STEP).map(AsBuilt.Reading::value).orElse(0.0);
    }

    public boolean frontDone() {
        return build.isDone(FRONT);
    }

    public boolean backDone() {
        return build.isDone(BACK);
    }

    /** The front is flat once it is logged as done, or read as flat after it was read otherwise. */
    private boolean frontFlat() {
        List<AsBuilt.Reading> read = readings(new Measurand.OutOfFlat(Face.FRONT));
        return frontDone()
                || (read.size() > 1
                        && read.get(read.size() - 1).value()
                                <= build.shop().bands().flat());
    }

    /** High spot when the work began. */
    private double start() {
        return thickest.isEmpty()
                ? build.design().blank().thickness()
                : thickest.get(0).value();
    }

    /** Out of flat when the work began. */
    private double frontAtStart() {
        List<AsBuilt.Reading> read = readings(new Measurand.OutOfFlat(Face.FRONT));
        return read.isEmpty() ? outOfFlat(Face.FRONT).value() : read.get(0).value();
    }

    /** What is to come off the front's high spot in all. */
    public Reckoning offFront() {
        double out = Math.max(frontAtStart(), seamStep());
        double spare = Math.max(0, start() - target());
        double flat = out + CLEAN_UP;
        double backKeeps = backOutOfFlat().orElse(0) + CLEAN_UP;
        double value = Math.min(Math.max(flat, spare / 2), Math.max(spare - backKeeps, spare / 2));
        Reckoning.Builder sum = Reckoning.of("off the front's high spot", Quantity.LENGTH)
                .length(
                        "high spot at first",
                        Fact.measured(start(), thickest.isEmpty() ? "the design" : "first reading"))
                .length("wanted before sanding", target())
                .length(
                        "front out of flat",
                        Fact.measured(frontAtStart(), outOfFlat(Face.FRONT).origin()))
                .length("step at the seam", Fact.measured(seamStep(), "as read, else none"))
                .length("clean up", Fact.rule(CLEAN_UP, "common practice"));
        backOutOfFlat().ifPresent(b -> sum.length("back out of flat", Fact.measured(b, "as read")));
        return sum.is(
                value,
                "the larger of (out of flat or seam's step) + clean up and half of (high spot - wanted), the back keeping what flattens and cleans it up");
    }

    /** Still to come off the front. */
    public double frontLeft() {
        if (frontFlat()) {
            return 0;
        }
        double wanted = start() - offFront().value();
        return Math.max(0, Math.min(highNow().value() - wanted, highNow().value() - target()));
    }

    /** Still to come off the back. */
    public double backLeft() {
        return backDone() ? 0 : Math.max(0, highNow().value() - frontLeft() - target());
    }

    /** The passes still to take. */
    public List<ThicknessingPass> passes() {
        List<ThicknessingPass> passes = new ArrayList<>();
        double high = highNow().value();
        int number = passesTaken();
        double taken = start() - high;
        addPasses(passes, Face.FRONT, frontLeft(), high, number, frontFlat() ? 0 : taken);
        addPasses(passes, Face.BACK, backLeft(), high - frontLeft(), number + passes.size(), backTaken());
        return passes;
    }

    /** What the back has lost since the front was done. */
    private double backTaken() {
        return frontDone() && !thickest.isEmpty()
                ? Math.max(0, start() - offFront().value() - highNow().value())
                : 0;
    }

    private void addPasses(List<ThicknessingPass> out, Face face, double off, double high, int before, double taken) {
        if (off <= 1e-9) {
            return;
        }
        Bite bite = bite();
        int full = (int) Math.ceil((off - Math.min(bite.light(), off)) / bite.most() - 1e-9);
        double light = Math.min(bite.light(), off / (full + 1));
        double each = full == 0 ? 0 : (off - light) / full;
        double left = high;
        for (int i = 0; i <= full; i++) {
            boolean last = i == full;
            double depth = last ? light : each;
            left -= depth;
            boolean flip = face == Face.BACK && i == 0 && !(frontDone() && backTaken() > 0);
            out.add(new ThicknessingPass(before + i + 1, face, depth, left, taken + high - left, last, flip));
        }
    }

    /** Each reading of the high spot after the first closes a pass. */
    public int passesTaken() {
        return Math.max(0, thickest.size() - 1);
    }

    /** The high spot as it was read, first to last. */
    public List<AsBuilt.Reading> history() {
        return thickest;
    }

    /**
     * What the blank surely gives between two flat faces, before clean up.
     *
     * <p>Let f and b be how far each face lies under its own outer plane, at most F and B, and H the way between those
     * planes: the blank is H - f - b thick, and H - F - B stays. Where b = B it is no thicker than H - B, so the thinnest
     * spot is no more than that, and at least (thinnest - F) stays; likewise (thinnest - B); and as no spot is thicker than
     * H, at least (thickest - F - B). The largest of the three holds.
     */
    private double surelyGives() {
        double front = outOfFlat(Face.FRONT).value();
        double low = lowNow().value();
        if (backOutOfFlat().isEmpty()) {
            return low - front;
        }
        double back = backOutOfFlat().getAsDouble();
        return Math.max(low - Math.min(front, back), highNow().value() - front - back);
    }

    /**
     * What it has to spare if the worst spots lie over each other; less than nought where it falls short. Empty once the front is
     * flat, or where the blank is too thin anyhow.
     */
    public Optional<Reckoning> spareAtWorst() {
        if (backDone() || frontFlat() || lowNow().value() < target()) {
            return Optional.empty();
        }
        double spare = surelyGives() - target() - 2 * CLEAN_UP;
        Reckoning.Builder sum = Reckoning.of("to spare, at worst", Quantity.LENGTH)
                .length("thinnest spot", lowNow())
                .length("front out of flat", outOfFlat(Face.FRONT));
        String gives = "thinnest spot − front out of flat";
        if (backOutOfFlat().isPresent()) {
            sum.length("back out of flat", outOfFlat(Face.BACK)).length("thickest spot", highNow());
            String flatter =
                    outOfFlat(Face.FRONT).value() <= outOfFlat(Face.BACK).value() ? "front" : "back";
            gives = "the larger of (thinnest spot − " + flatter
                    + " out of flat) and (thickest spot − front out of flat − back out of flat)";
        }
        return Optional.of(sum.length("wanted before sanding", target())
                .length("clean up of both faces", Fact.rule(2 * CLEAN_UP, "common practice"))
                .is(spare, gives + " − wanted before sanding − clean up of both faces"));
    }

    /**
     * How far the front would be out of flat over the body's width alone: a cup is part of a circle, and its depth falls
     * with the square of its width (sagitta, for shallow arcs). What sawing the outline before flattening would save.
     */
    public Reckoning cupOverBody() {
        double blank = build.design().blank().across();
        double body = build.design().outline().region().maxX()
                - build.design().outline().region().minX();
        double share = Math.min(1, body / blank);
        return Reckoning.of("out of flat over the body's width", Quantity.LENGTH)
                .length("out of flat over the blank", outOfFlat(Face.FRONT))
                .length("blank's width", Fact.typed(blank))
                .length("body's width", Fact.typed(body))
                .is(
                        outOfFlat(Face.FRONT).value() * share * share,
                        "out of flat over the blank × (body's width / blank's width)²");
    }

    /** What the front's high spot has lost by now. */
    private double frontTaken() {
        double high = start();
        int read = 0;
        for (AsBuilt.Entry e : record.standing()) {
            if (e instanceof AsBuilt.Reading r && r.measures().equals(Dimension.BLANK_THICKEST)) {
                high = r.value();
            }
            boolean flat = e instanceof AsBuilt.Reading r
                    && r.measures().equals(new Measurand.OutOfFlat(Face.FRONT))
                    && ++read > 1
                    && r.value() <= build.shop().bands().flat();
            if (flat || (e instanceof AsBuilt.Done d && d.operation().equals(FRONT))) {
                break;
            }
        }
        return Math.max(0, start() - high);
    }

    /** A top's thickness when the front is flat: its passes all come off the top. Nothing without a top. */
    public Optional<Reckoning> topThen() {
        double top = build.design().blank().topThickness();
        if (top == 0) {
            return Optional.empty();
        }
        double off = frontTaken() + frontLeft();
        return Optional.of(Reckoning.of("top before sanding", Quantity.LENGTH)
                .length("top as glued on", Fact.typed(top))
                .length("off the front in all", off)
                .is(Math.max(0, top - off), "top as glued on − off the front in all"));
    }

    /** The blank's mass as it is now, at 12 %. */
    public Reckoning massNow() {
        double top = build.design().blank().top().map(BlankLayer::thickness).orElse(0.0);
        return mass((highNow().value() + lowNow().value()) / 2, Math.max(0, top - frontTaken()));
    }

    /** Its mass when it has its thickness. */
    public Reckoning massThen() {
        boolean apart = build.design().blank().top().isPresent();
        return mass(target(), topThen().filter(t -> apart).map(Reckoning::value).orElse(0.0));
    }

    private Reckoning mass(double thickness, double top) {
        Blank blank = build.design().blank();
        double plan = blank.plan().area();
        Fact under = blank.core().density();
        double value = plan * (thickness - top) * under.value() * 1e-6;
        Reckoning.Builder sum = Reckoning.of("mass of the blank", Quantity.MASS)
                .term("area, dm²", Fact.typed(plan * 1e-4), Quantity.NUMBER)
                .length("mean thickness", thickness)
                .term("density at 12 %, kg/m³", under, Quantity.NUMBER);
        if (blank.top().isEmpty()) {
            return sum.is(value, "area × mean thickness × density / 100");
        }
        Fact over = blank.top().get().density();
        return sum.length("of it the top", top)
                .term("the top's density at 12 %, kg/m³", over, Quantity.NUMBER)
                .is(
                        value + plan * top * over.value() * 1e-6,
                        "area × ((mean thickness − of it the top) × density + of it the top × the top's density) / 100");
    }
}
