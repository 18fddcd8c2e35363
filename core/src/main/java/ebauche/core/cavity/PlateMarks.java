package ebauche.core.cavity;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Cavity;
import ebauche.core.hardware.Cover;
import ebauche.core.job.Build;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.operation.StepKey;
import ebauche.core.operation.StepKind;
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
    /** The mark that the plate over a cavity leaves. */
    static Condition.Mark of(Cavity cavity) {
        return new Condition.Mark(key(cavity), "the place of " + said(cavity) + " marked");
    }

    /** The scratch plate is one, however many cavities lie under it. */
    private static StepKey key(Cavity cavity) {
        return StepKey.of(
                cavity.cover().kind() == Cover.Kind.SCRATCH_PLATE
                        ? Feature.of(FeatureKind.SCRATCH_PLATE)
                        : cavity.feature(),
                StepKind.LOCATE);
    }

    private static String said(Cavity cavity) {
        return cavity.cover().kind() == Cover.Kind.SCRATCH_PLATE
                ? "the scratch plate"
                : "the plate over the " + cavity.feature().said();
    }

    /** One step for each plate that covers a cavity. */
    List<Operation> operations() {
        Map<StepKey, List<Cavity>> plates = new LinkedHashMap<>();
        build.design().cavities().stream()
                .filter(c -> c.cover().kind().liesOnTheFace())
                .forEach(c ->
                        plates.computeIfAbsent(key(c), k -> new ArrayList<>()).add(c));
        return plates.values().stream().map(this::laidOn).toList();
    }

    private Operation laidOn(List<Cavity> under) {
        Cavity first = under.get(0);
        Face face = first.face();
        Region area = under.stream().map(Cavity::plan).reduce(Region.EMPTY, Region::union);
        return Operation.of(
                        Work.CAVITY,
                        key(first).feature(),
                        StepKind.LOCATE,
                        "Lay " + said(first) + " on, mark its edge and its openings")
                .face(face)
                .set(new Setting.ByHand(
                        face == Face.FRONT
                                ? "placed by the neck in its pocket and the bridge on its mark; its edge scribed, its controls' holes pricked through"
                                : "placed by the centre line; its edge scribed, its screws' holes pricked through"))
                .needs(
                        face == Face.FRONT ? Datum.BRIDGE_MARKED : Datum.centreLine(face),
                        Datum.flat(
                                build,
                                face,
                                area.intersection(build.design().outline().region())))
                .gives(of(first))
                .takes(8, 0, 0.001)
                .build();
    }
}
