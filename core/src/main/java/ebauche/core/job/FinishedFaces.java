package ebauche.core.job;

import ebauche.core.design.Measurand;
import ebauche.core.design.Measurand.Dimension;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.geometry.Face;
import ebauche.core.logbook.AsBuilt;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.measure.Source;
import ebauche.core.shop.Practice;
import ebauche.core.shop.Shop;
import java.util.List;
import java.util.Optional;

/**
 * Where the front and the back are now, and where they will be when the body is finished.
 *
 * <p>Stock depths: 0 is the first flattened front. The front sinks as it is sanded; the back lies where thicknessing
 * left it, as measured or as planned (finished thickness plus both sanding allowances), and rises as it is sanded. A
 * finish sanding that is still to come takes its allowance; wood sanded off before it is taken on top of that, so a
 * depth wanted under the finished front does not change while the body gets thinner.
 *
 * @param frontNow depth of the front as it is
 * @param frontFinished depth of the front when its finish sanding is done
 * @param backNow depth of the back as it is, or as thicknessing is to leave it
 * @param backFinished depth of the back when its finish sanding is done
 */
public record FinishedFaces(double frontNow, double frontFinished, double backNow, double backFinished) {

    /** Decimal noise under which a thickness counts as the limit itself, mm. */
    private static final double NOISE = 1e-9;

    /**
     * By a record.
     *
     * @param thicknessed thickness that the blank is brought to, mm
     */
    static FinishedFaces of(double thicknessed, Shop shop, AsBuilt record) {
        Practice practice = shop.practice();
        double front = record.sandedOff(Face.FRONT, 0);
        double back = backPlane(thicknessed, shop, record);
        return new FinishedFaces(
                front,
                front + stillToSand(record, Face.FRONT, practice.sanding(Face.FRONT)),
                back,
                back - stillToSand(record, Face.BACK, practice.sanding(Face.BACK)));
    }

    /** The finish sanding of a face. */
    public static StepKey finish(Face face) {
        return StepKey.of(Feature.of(FeatureKind.SANDING), face == Face.FRONT ? StepKind.FRONT : StepKind.BACK);
    }

    /** What was read at the finish sanding itself is taken, whether or not the step is called done. */
    private static double stillToSand(AsBuilt record, Face face, double allowance) {
        return record.done(finish(face)).isPresent() ? 0 : Math.max(0, allowance - finishRead(record, face));
    }

    /** Wood that the finish sanding of a face has taken, by the readings at that step. */
    public static double finishRead(AsBuilt record, Face face) {
        return record.readingsAt(finish(face), new Measurand.SandedOff(face)).stream()
                .mapToDouble(AsBuilt.Reading::value)
                .sum();
    }

    private static double backPlane(double wanted, Shop shop, AsBuilt record) {
        Optional<AsBuilt.Done> thicknessed = thicknessed(record);
        // Read on the way down, while thicknessing still has more to take, it is no fact about the body.
        Optional<AsBuilt.Reading> thickness = record.latest(Dimension.BODY_THICKNESS)
                .filter(r -> thicknessed.isPresent()
                        || r.value() <= wanted + shop.bands().thickness() + NOISE);
        if (thickness.isEmpty()) {
            double to = thicknessed
                    .map(d -> d.expected().get(Dimension.BODY_THICKNESS))
                    .orElse(wanted);
            return to - record.sandedOff(Face.BACK, 0);
        }
        int at = record.standing().indexOf(thickness.get());
        double frontThen = record.sandedOff(Face.FRONT, 0) - record.sandedOff(Face.FRONT, at);
        return frontThen + thickness.get().value() - record.sandedOff(Face.BACK, at);
    }

    /** The step that brought the body to its thickness, if it is a fact. */
    private static Optional<AsBuilt.Done> thicknessed(AsBuilt record) {
        return record.steps().values().stream()
                .filter(d -> d.expected().containsKey(Dimension.BODY_THICKNESS))
                .reduce((a, b) -> b);
    }

    public double now(Face face) {
        return face == Face.FRONT ? frontNow : backNow;
    }

    public double finished(Face face) {
        return face == Face.FRONT ? frontFinished : backFinished;
    }

    /** Finished thickness, from what was measured. */
    public double thickness() {
        return backFinished - frontFinished;
    }

    /** Depth from a face as it is now down to a plane in the stock. */
    public double fromFaceNow(Face face, double plane) {
        return face == Face.FRONT ? plane - frontNow : backNow - plane;
    }

    /** Depth from a face as it will be down to a plane in the stock. */
    public double fromFaceFinished(Face face, double plane) {
        return face == Face.FRONT ? plane - frontFinished : backFinished - plane;
    }

    /** The plane that lies a depth under the finished face. */
    public double planeUnderFinished(Face face, double depth) {
        return face == Face.FRONT ? frontFinished + depth : backFinished - depth;
    }

    /** Wood still to be sanded off a face. */
    public double toSand(Face face) {
        return Math.abs(finished(face) - now(face));
    }

    /** The finished thickness as a sum. */
    public Reckoning thicknessReckoning(Build build) {
        Fact start = build.fact(Dimension.BODY_THICKNESS, build.design().thickness());
        return Reckoning.of("finished thickness", Quantity.LENGTH)
                .length("front now", frontNow)
                .length("back now", backNow)
                .length("still to sand off the front", toSand(Face.FRONT))
                .length("still to sand off the back", toSand(Face.BACK))
                .length(start.source() == Source.MEASURED ? "thickness as measured" : "thickness wanted", start)
                .is(thickness(), "back now − front now − still to sand off the front − still to sand off the back");
    }

    /**
     * A measured floor of a cavity.
     *
     * @param reading what was read
     * @param sandedSince wood that has come off the same face since
     * @param plane the floor's depth in the stock
     */
    public record MeasuredFloor(AsBuilt.Reading reading, double sandedSince, double plane) {}

    /** The floor that the latest reading of a cavity's depth found. */
    static Optional<MeasuredFloor> measuredFloor(Build build, Feature feature, Face face) {
        AsBuilt record = build.asBuilt();
        return record.latest(new Measurand.DepthOf(feature)).map(reading -> {
            List<AsBuilt.Entry> standing = record.standing();
            boolean inCore = UnderTop.isInCore(feature);
            double since = inCore ? 0 : record.sandedOff(face, standing.indexOf(reading));
            double depthNow = reading.value() - since;
            double from = inCore ? UnderTop.front(build) : build.faces().now(face);
            double plane = face == Face.FRONT ? from + depthNow : from - depthNow;
            return new MeasuredFloor(reading, since, plane);
        });
    }
}
