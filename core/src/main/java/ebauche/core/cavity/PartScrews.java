package ebauche.core.cavity;

import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.feature.StepKind;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Face;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Build;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.routing.Datum;
import ebauche.core.routing.Pilot;
import java.util.ArrayList;
import java.util.List;

/**
 * Screws whose places only the part in hand knows: marked through it where it lies, then their pilots drilled, by wood and screw and
 * never through. Nothing is planned to be cut, as the plan does not know where.
 */
record PartScrews(Build build) {
    List<Operation> operations() {
        List<Operation> steps = new ArrayList<>();
        Bridge bridge = build.design().bridge();
        if (bridge.studs().isEmpty()) {
            double under = build.faces().thickness() - bridge.recess();
            steps.add(step(Bridge.FEATURE, "bridge", "", under, Datum.BRIDGE_MARKED));
        }
        if (build.design().neck().scratchPlate().isPresent()) {
            steps.add(step(
                    Feature.of(FeatureKind.SCRATCH_PLATE),
                    "scratch plate",
                    "",
                    build.faces().thickness(),
                    allUnderPlate()));
        } else {
            for (Pickup pickup : build.design().pickups()) {
                steps.add(step(
                        pickup.feature(),
                        pickup.feature().part(),
                        " or its ring",
                        build.faces().thickness(),
                        atDepth(pickup)));
            }
        }
        return steps;
    }

    /** What is cut before the scratch plate is screwed on: the pickups' cavities, and whatever lies under it. */
    private Condition[] allUnderPlate() {
        List<Condition> cut = new ArrayList<>();
        cut.add(Datum.centreLine(Face.FRONT));
        build.design().pickups().forEach(p -> cut.add(atDepth(p)));
        CavityWork.all(build).forEach(w -> cut.addAll(w.underScratchPlate()));
        return cut.toArray(Condition[]::new);
    }

    private Condition atDepth(Pickup pickup) {
        return CavityStation.pickup(build, pickup).atDepth();
    }

    private Operation step(Feature feature, String part, String orElse, double under, Condition... after) {
        Pilot pilot = Pilot.small(build);
        return Operation.of(
                        Work.CAVITY,
                        feature,
                        StepKind.SCREWS,
                        "Mark the " + part + "'s screws through it" + orElse + ", drill their pilots")
                .set(pilot.to(pilot.smallDepth(under), "deep from the front, a flag of tape on the drill"))
                .needs(after)
                .caution(Caution.DRILL)
                .takes(8, 0, 0.002)
                .build();
    }
}
