package ebauche.core.cavity;

import ebauche.core.build.Build;
import ebauche.core.crib.Drill;
import ebauche.core.geometry.Face;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.hardware.Jack;
import ebauche.core.measure.Fact;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Condition;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.routing.Datum;
import ebauche.core.stock.Change;
import ebauche.core.stock.Solid;
import ebauche.core.stock.WoodLeft;
import java.util.Optional;
import java.util.Set;

/** The jack's hole: square to the edge, level, into the control cavity. */
final class JackHole {
    private static final double DRILL_MATCH = 0.5;

    private JackHole() {}

    static Operation drill(Build build, Jack jack) {
        double axis = build.faces().frontFinished() + jack.fromFront();
        double fromFrontNow = build.faces().fromFaceNow(Face.FRONT, axis);
        Solid.Bore bore = new Solid.Bore(jack.entry(), jack.aim(), axis, jack.diameter());
        Reckoning height = Reckoning.of("middle of the jack's hole", Quantity.LENGTH)
                .length("wanted under the finished front", Fact.typed(jack.fromFront()))
                .length("still to be sanded off the front", build.faces().toSand(Face.FRONT))
                .is(fromFrontNow, "wanted under the finished front + still to be sanded off the front");
        String drill = build.shop()
                .crib()
                .drill(jack.diameter(), DRILL_MATCH)
                .map(Drill::name)
                .orElse("a drill that the crib lacks");
        Region body = build.design().outline().region();
        return Operation.of("cavity", Jack.FEATURE, "drill", "Drill the jack's hole, square to the edge")
                .set(new Setting.Drilled(drill, height, "from the front to its middle, on the edge"))
                .cuts(Change.Remove.fromBody(Jack.FEATURE, bore))
                .needs(
                        Datum.OUTLINE_ROUTED,
                        new Condition.Wood(
                                bore.plan().intersection(body),
                                Math.max(bore.shallowest(), build.faces().frontFinished()),
                                Math.min(bore.deepest(), build.faces().backFinished())))
                .gives(new Condition.Access("jack's hole"))
                .joins(Set.of(ControlCavity.FEATURE))
                .opens(Optional.of(WoodLeft.Opening.of(body, jack.entry(), jack.aim(), jack.diameter())))
                .caution(Caution.drilling(jack.diameter()))
                .takes(20, 0, 0.01)
                .build();
    }
}
