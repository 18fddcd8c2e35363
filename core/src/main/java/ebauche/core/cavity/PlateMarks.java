package ebauche.core.cavity;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Measurand;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKey;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Cover;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Band;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Inspection;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A plate that will lie on the face is laid on before what it hides is cut: the plate in hand, itself placed by neck and bridge, shows
 * where the cavity under it goes (common practice).
 */
record PlateMarks(Build build) {
    private static final StepKey SCRATCH_PLATE = StepKey.of(Feature.of(FeatureKind.SCRATCH_PLATE), StepKind.LOCATE);
    private static final String SCRATCH_PLATE_SAID = "the scratch plate";

    /** The mark that the plate over a cavity leaves. */
    static Condition.Mark of(Cavity cavity) {
        return mark(key(cavity), said(cavity));
    }

    /** What shows where a pickup's template goes: the scratch plate where the pickup comes through it, else the centre line. */
    static Condition.Mark of(Build build, Pickup pickup) {
        boolean through = build.drawn().onPlates().containsKey(pickup.feature());
        return through ? mark(SCRATCH_PLATE, SCRATCH_PLATE_SAID) : Datum.centreLine(Face.FRONT);
    }

    private static Condition.Mark mark(StepKey key, String said) {
        return new Condition.Mark(key, "the place of " + said + " marked");
    }

    /** The scratch plate is one, however many cavities lie under it. */
    private static StepKey key(Cavity cavity) {
        return cavity.cover().kind() == Cover.Kind.SCRATCH_PLATE
                ? SCRATCH_PLATE
                : StepKey.of(cavity.feature(), StepKind.LOCATE);
    }

    private static String said(Cavity cavity) {
        return cavity.cover().kind() == Cover.Kind.SCRATCH_PLATE
                ? SCRATCH_PLATE_SAID
                : "the plate over the " + cavity.feature().said();
    }

    /** One step for each plate that covers a cavity or lets a pickup through. */
    List<Operation> operations() {
        Map<StepKey, List<Cavity>> plates = new LinkedHashMap<>();
        if (build.drawn().pickups().stream().anyMatch(p -> isDrawnOnPlate(p.feature()))) {
            plates.put(SCRATCH_PLATE, new ArrayList<>());
        }
        design().cavities().stream()
                .filter(c -> c.cover().kind().liesOnTheFace())
                .forEach(c ->
                        plates.computeIfAbsent(key(c), k -> new ArrayList<>()).add(c));
        return plates.entrySet().stream()
                .map(plate -> laidOn(plate.getKey(), plate.getValue()))
                .toList();
    }

    private BodyDesign design() {
        return build.design();
    }

    private Operation laidOn(StepKey key, List<Cavity> under) {
        boolean scratchPlate = key.equals(SCRATCH_PLATE);
        String said = scratchPlate ? SCRATCH_PLATE_SAID : said(under.get(0));
        Face face = scratchPlate ? Face.FRONT : under.get(0).face();
        Region area = under.stream().map(Cavity::plan).reduce(Region.EMPTY, Region::union);
        Map<Feature, Point> openings = new LinkedHashMap<>();
        if (scratchPlate) {
            for (Pickup pickup : design().pickups()) {
                if (isDrawnOnPlate(pickup.feature())) {
                    area = area.union(pickup.footprint());
                    openings.put(pickup.feature(), build.drawn().onPlates().get(pickup.feature()));
                }
            }
        }
        for (Cavity cavity : under) {
            build.drawn().cavity(cavity.id()).stream()
                    .flatMap(c -> build.drawn().controlsIn(c).stream())
                    .forEach(c -> openings.put(c.feature(), c.at()));
        }
        Operation.Builder step = Operation.of(
                        Work.CAVITY,
                        key.feature(),
                        StepKind.LOCATE,
                        "Lay " + said + " on, mark its edge and its openings")
                .face(face)
                .set(new Setting.ByHand(
                        face == Face.FRONT
                                ? "placed by the neck in its pocket and the bridge on its mark; its edge scribed, its openings drawn round, its holes pricked through"
                                : "placed by the centre line; its edge scribed, its screws' holes pricked through"))
                .needs(
                        face == Face.FRONT ? Datum.BRIDGE_MARKED : Datum.centreLine(face),
                        Datum.flat(
                                build,
                                face,
                                area.intersection(design().outline().region())))
                .gives(mark(key, said))
                .takes(8, 0, 0.001);
        openings.forEach((feature, at) -> {
            step.at(feature.part(), at);
            step.inspect(reading(feature, at.y(), true));
            step.inspect(reading(feature, at.x() * design().hand().treble(), false));
        });
        return step.build();
    }

    /** A plate has the openings that were drawn, wherever a reading puts what lies under it. */
    private boolean isDrawnOnPlate(Feature feature) {
        return build.drawn().onPlates().containsKey(feature);
    }

    /** It should read what the drawing has: a reading says how the plate differs from that. */
    private Inspection reading(Feature feature, double drawn, boolean along) {
        String from = along ? "its middle from the saddle line" : "its middle off the centre line";
        return new Inspection(
                new Measurand.OpeningAt(feature, along),
                Reckoning.of(from, Quantity.LENGTH)
                        .length("as it is drawn", Fact.typed(drawn))
                        .is(drawn, "as it is drawn"),
                Band.shops("a part under its opening", build.shop().bands().room()),
                along ? "rule along the centre line" : "rule square to the centre line");
    }
}
