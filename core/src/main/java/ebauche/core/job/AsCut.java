package ebauche.core.job;

import ebauche.core.design.Measurand;
import ebauche.core.design.NeckJoint;
import ebauche.core.feature.Feature;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * What of a cavity is cut already, by the record: a part measured afterwards may want more.
 *
 * @param feature the cavity's
 * @param face it is cut from
 */
public record AsCut(Build build, Feature feature, Face face) {
    /** A line that is off by less is the pencil's width, mm. */
    public static final double PENCIL = 0.3;

    /** Wood put in that ends so near under a face fills up to it, mm. */
    private static final double FLUSH = 0.5;

    /** Decimal noise under which a depth counts as the limit itself, mm. */
    private static final double NOISE = 1e-9;

    /** A floor that is off by less is not worth another round, but for the neck's: common practice. */
    private static final double WORTH = 0.5;

    /** Area that a pencil's width can explain, mm². */
    public static final double SLIVER = 5;

    private StepKey key(StepKind step) {
        return StepKey.of(feature, step);
    }

    /** Whether any step of it that takes wood is done. */
    public boolean isBegun() {
        return build.asBuilt().standing().stream()
                .anyMatch(e -> e instanceof AsBuilt.Done done
                        && done.operation().feature().equals(feature)
                        && done.changes().stream().anyMatch(Change.Remove.class::isInstance));
    }

    public boolean isDone(StepKind step) {
        return build.isDone(key(step));
    }

    /** Whether a step was done before another that is done. */
    public boolean isDoneBefore(StepKind step, StepKind other) {
        Optional<AsBuilt.Done> first = build.asBuilt().done(key(step));
        Optional<AsBuilt.Done> then = build.asBuilt().done(key(other));
        return first.isPresent() && then.isPresent() && place(first.get()) < place(then.get());
    }

    /** The area that finished steps took, less what was filled up to the face since: a filler is routed again, a shim on the floor is not. */
    public Region taken() {
        Region all = Region.EMPTY;
        for (AsBuilt.Entry entry : build.asBuilt().standing()) {
            if (entry instanceof AsBuilt.Done done) {
                for (Change change : build.changes(done)) {
                    if (change instanceof Change.Remove cut && cut.feature().equals(feature)) {
                        all = all.union(cut.solid().plan());
                    } else if (change instanceof Change.Add put && put.fills() && reachesFace(put.solid())) {
                        all = all.minus(put.solid().plan());
                    }
                }
            }
        }
        return all;
    }

    private boolean reachesFace(Solid solid) {
        double now = build.faces().now(face);
        return face == Face.FRONT ? solid.shallowest() <= now + FLUSH : solid.deepest() >= now - FLUSH;
    }

    /** What still stands of a wanted area; nothing where it is within a pencil's width of what was taken. */
    public Region standing(Region wanted) {
        Region rest = wanted.minus(taken().grown(PENCIL));
        return rest.area() > SLIVER ? rest : Region.EMPTY;
    }

    /**
     * Depth under the finished face: from the last reading, or as it was set when the cavity was cut. After a depth m was
     * measured and s sanded off the face, it is m − s less what is still to be sanded.
     */
    public Optional<Reckoning> depth(String what) {
        double toSand = toSand();
        String since = "sanded off the " + face.word() + " since, s";
        String still = "still to be sanded off the " + face.word();
        Optional<FinishedFaces.MeasuredFloor> measured = build.measuredFloor(feature, face);
        Optional<AsBuilt.Done> cut = lastCut();
        if (measured.isPresent()
                && cut.filter(c -> isLater(c, measured.get().reading())).isEmpty()) {
            AsBuilt.Reading reading = measured.get().reading();
            double sanded = measured.get().sandedSince();
            return Optional.of(Reckoning.of(what, Quantity.LENGTH)
                    .length("measured depth, m", Fact.measured(reading.value(), "read " + reading.at()))
                    .length(since, sanded)
                    .length(still, toSand)
                    .is(reading.value() - sanded - toSand, "m − s − " + still));
        }
        return cut.map(done -> {
            double then = done.expected().get(new Measurand.DepthOf(feature));
            double sanded = sandedSince(done);
            return Reckoning.of(what, Quantity.LENGTH)
                    .length("depth set when it was cut", new Fact(then, Source.COMPUTED, "the card of that day"))
                    .length(since, sanded)
                    .length(still, toSand)
                    .is(then - sanded - toSand, "depth set when it was cut − s − " + still);
        });
    }

    /** What is still to be sanded off the face that its depth is gauged from, mm: nothing off a core's front, which lies under the top. */
    public double toSand() {
        return UnderTop.isInCore(feature) ? 0 : build.faces().toSand(face);
    }

    private double sandedSince(AsBuilt.Entry entry) {
        return UnderTop.isInCore(feature) ? 0 : build.sandedSince(face, entry);
    }

    /** Depth from the face as it is now to which a step brought it, if it is done: as read at that step, else as its card had it. */
    public OptionalDouble came(StepKind step) {
        Measurand depth = new Measurand.DepthOf(feature);
        Optional<AsBuilt.Done> done =
                build.asBuilt().done(key(step)).filter(d -> d.expected().containsKey(depth));
        if (done.isEmpty()) {
            return OptionalDouble.empty();
        }
        List<AsBuilt.Reading> read = build.asBuilt().readingsAt(done.get().operation(), depth);
        if (read.isEmpty()) {
            return OptionalDouble.of(done.get().expected().get(depth) - sandedSince(done.get()));
        }
        AsBuilt.Reading last = read.get(read.size() - 1);
        return OptionalDouble.of(last.value() - sandedSince(last));
    }

    /** Depth from the face as it is now to which a cavity is routed that is not at depth yet; nought before it is begun. */
    public double begun() {
        return Math.max(came(StepKind.START).orElse(0), came(StepKind.ROUGH).orElse(0));
    }

    /** How much deeper it is wanted than it is under the finished face, mm; nought where it was never brought to depth. */
    public double lacks(double wanted) {
        return isDone(StepKind.ROUT)
                ? depth("depth as it is").map(now -> wanted - now.value()).orElse(0.0)
                : 0;
    }

    /**
     * Whether it lies so much under a wanted depth that it is worth another round: for a neck pocket more than the cards' bands
     * explain, for any other half a millimetre at least.
     */
    public boolean isTooShallow(double wanted) {
        double bands = build.bands(feature, face, false);
        double least = feature.equals(NeckJoint.FEATURE) ? bands : Math.max(WORTH, bands);
        return lacks(wanted) > least + NOISE;
    }

    /** The last step that brought it to a depth which it was to be read at. */
    private Optional<AsBuilt.Done> lastCut() {
        return Stream.of(StepKind.ROUT, StepKind.DEEPEN, StepKind.WIDEN)
                .flatMap(step -> build.asBuilt().done(key(step)).stream())
                .filter(done -> done.expected().containsKey(new Measurand.DepthOf(feature)))
                .reduce((a, b) -> place(b) > place(a) ? b : a);
    }

    private int place(AsBuilt.Entry entry) {
        return build.asBuilt().standing().indexOf(entry);
    }

    /** Whether a cavity was cut again after a reading; a step is read before it is called done. */
    private boolean isLater(AsBuilt.Done cut, AsBuilt.Reading reading) {
        return cut.operation().kind().isAgain() && !reading.isAt(cut.operation()) && place(cut) > place(reading);
    }
}
